/** What a turn of the sleeve, a length or a weight would do to one build, and what other air would. */

import { useState } from "react";
import { useNavigate } from "react-router";
import { change } from "../../acts";
import type { Session, WhatIf as WhatIfAnswer } from "../../api/client";
import { useWhatIf } from "../../api/session";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { PlaceProps } from "../../session/place";
import { buildOf, candidatesOf } from "../../session/select";
import { Letter } from "../../ui/Letter";
import { Caution, Said, Waiting } from "../../ui/Said";
import { asFar, figure, inShown, type Metres, metresOf, reading, unit } from "../../ui/units";

const FIGURES = ["launch_deg", "spin_rpm", "ball_speed_mps", "peak_m", "landing_deg"] as const;
/** Left out where there is little room: they explain the change, the others are its result. */
const WIDE = new Set(["launch_deg", "ball_speed_mps"]);
const NAMES: Record<string, string> = {
	launch_deg: t("label-launch"),
	spin_rpm: t("label-spin-rpm"),
	ball_speed_mps: t("label-ball", { unit: unit("speed") }),
	peak_m: t("label-peak", { unit: unit("high") }),
	landing_deg: t("bench-landing"),
};

export function WhatIf({ session, act, busy }: Pick<PlaceProps, "session" | "act" | "busy">) {
	const hit = candidatesOf(session).filter((build) => build.kept > 0);
	const [chosen, setChosen] = useState<number | null>(null);
	const build = hit.find((each) => each.id === chosen) ?? hit[0];
	const found = useWhatIf(session, build?.id ?? null);
	if (!build) return null;
	return (
		<section className="mt-5" aria-label={t("bench-what-if")}>
			<div className="mb-1 flex flex-wrap items-center gap-2">
				<h2 className="mr-2 text-lg">{t("bench-what-if")}</h2>
				{hit.map((each) => (
					<button
						key={each.id}
						type="button"
						aria-pressed={each.id === build.id}
						aria-label={t("bench-what-if-with", { letter: each.letter, name: each.name })}
						className={`btn btn-sm h-11 px-2 ${each.id === build.id ? "border-base-content" : "border-base-300"} bg-base-100`}
						onClick={() => setChosen(each.id)}
					>
						<Letter letter={each.letter} /> {each.name}
					</button>
				))}
			</div>
			<Said error={found.error} />
			{found.data ? (
				<Answers session={session} found={found.data} act={act} busy={busy} />
			) : (
				!found.error && <Waiting what={t("bench-what-change-would-do")} />
			)}
		</section>
	);
}

type AnswerProps = Pick<PlaceProps, "act" | "busy"> & { session: Session; found: WhatIfAnswer };

function Answers({ session, found, act, busy }: AnswerProps) {
	const [open, setOpen] = useState<string | null>(null);
	if (found.shots === 0) return <p className="quiet">{t("bench-build-has-no-shot-with")}</p>;
	return (
		<>
			<p className="quiet mb-2 text-sm">
				{t("bench-predicted-from-kept-shots-each", { shots: found.shots, anchor: found.anchor })}
			</p>
			<div className="grid gap-x-8 gap-y-4 2xl:grid-cols-[1fr_auto]">
				<table className="table-plain w-full self-start">
					<thead>
						<tr>
							<th scope="col">{t("label-change")}</th>
							<th scope="col">{t("label-carry", { unit: unit("far") })}</th>
							{FIGURES.map((key) => (
								<th key={key} scope="col" className={WIDE.has(key) ? "hidden xl:table-cell" : ""}>
									{NAMES[key]}
								</th>
							))}
							<th scope="col">{t("bench-start", { unit: unit("far") })}</th>
							<th scope="col">
								<span className="sr-only">{t("bench-test-it")}</span>
							</th>
						</tr>
					</thead>
					<tbody>
						<tr className="border-b border-base-300">
							<td className="font-semibold">{t("bench-as-it-is")}</td>
							<td className="num">{reading("carry_m", found.before.carry_m)}</td>
							{FIGURES.map((key) => (
								<td key={key} className={WIDE.has(key) ? "hidden xl:table-cell" : ""}>
									{reading(key, found.before[key])}
								</td>
							))}
							<td />
							<td />
						</tr>
						{found.changes.map((each) => (
							<ChangeRow
								key={each.kind + each.amount}
								session={session}
								found={found}
								each={each}
								act={act}
								busy={busy}
								open={open === each.kind + each.amount}
								onOpen={() => setOpen(open === each.kind + each.amount ? null : each.kind + each.amount)}
							/>
						))}
					</tbody>
				</table>
				<Elsewhere found={found} />
			</div>
		</>
	);
}

type RowProps = AnswerProps & { each: WhatIfAnswer["changes"][number]; open: boolean; onOpen: () => void };

function ChangeRow({ session, found, each, act, busy, open, onOpen }: RowProps) {
	const known = each.after.carry_m !== undefined;
	const gain = inShown("carry_m", (each.after.carry_m ?? 0) - (found.before.carry_m ?? 0));
	return (
		<>
			<tr>
				<td>
					<button
						type="button"
						className="min-h-11 min-w-11 cursor-pointer text-left underline decoration-dotted underline-offset-4"
						aria-expanded={open}
						onClick={onOpen}
					>
						{each.words}
					</button>
				</td>
				{known ? (
					<>
						<td className="num">
							{reading("carry_m", each.after.carry_m)}{" "}
							<span className="quiet text-[13px] font-normal">
								{gain >= 0 ? "+" : ""}
								{figure(gain, 1)} ±{asFar(metresOf(each.error, "carry_m"), 1)}
							</span>
						</td>
						{FIGURES.map((key) => (
							<td key={key} className={WIDE.has(key) ? "hidden xl:table-cell" : ""}>
								{reading(key, each.after[key])}
							</td>
						))}
					</>
				) : (
					<td colSpan={FIGURES.length + 1} className="quiet max-w-0 truncate !text-left">
						{each.directions[0]}
					</td>
				)}
				<Start each={each} />
				<td>
					{each.kind === "loft" ? (
						<Test session={session} found={found} each={each} act={act} busy={busy} />
					) : (
						<MakeIt session={session} found={found} each={each} act={act} busy={busy} />
					)}
				</td>
			</tr>
			{open && (
				<tr>
					<td colSpan={FIGURES.length + 4} className="max-w-0 !whitespace-normal !text-left">
						<div className="space-y-1 bg-base-100 p-3 text-[14px]">
							<Sides each={each} />
							{each.directions.map((line) => (
								<p key={line}>{line}</p>
							))}
							<p className="quiet">{t("bench-source", { source: each.source })}</p>
							{each.caution && <Caution>{each.caution}</Caution>}
						</div>
					</td>
				</tr>
			)}
		</>
	);
}

const size = (metres: number) => Math.abs(metres) as Metres;
const sideOf = (deg: number) => termOf("side", deg < 0 ? "left" : "right");

/** How far beside where it came down before a shot starts for. */
function Start({ each }: { each: WhatIfAnswer["changes"][number] }) {
	if (Math.abs(each.start_deg) < 0.05) return <td className="quiet">–</td>;
	const doubt = size((each.start_m * each.start_error_deg) / each.start_deg);
	return (
		<td className="num whitespace-nowrap">
			{asFar(size(each.start_m), 1)} {sideOf(each.start_deg)}{" "}
			<span className="quiet text-[13px] font-normal">±{asFar(doubt, 1)}</span>
		</td>
	);
}

/** What a turn does besides loft: face, lie, bounce and start line. */
function Sides({ each }: { each: WhatIfAnswer["changes"][number] }) {
	const parts: string[] = [];
	if (Math.abs(each.face_closed_deg) >= 0.05)
		parts.push(
			t("bench-face-when-soled-as-before", {
				faceClosed: figure(Math.abs(each.face_closed_deg), 1),
				which: each.face_closed_deg > 0 ? t("bench-closed") : t("label-open"),
			}),
		);
	if (Math.abs(each.lie_deg) >= 0.05)
		parts.push(
			t("bench-lie", {
				lie: figure(Math.abs(each.lie_deg), 1),
				which: each.lie_deg > 0 ? t("bench-more-upright") : t("bench-flatter"),
			}),
		);
	if (Math.abs(each.bounce_deg) >= 0.05)
		parts.push(
			t("bench-bounce", {
				bounce: figure(Math.abs(each.bounce_deg), 1),
				which: each.bounce_deg > 0 ? t("bench-more") : t("bench-less"),
			}),
		);
	if (Math.abs(each.start_deg) >= 0.05)
		parts.push(
			t("bench-starts-further-give-or-take", {
				start: figure(Math.abs(each.start_deg), 1),
				start2: sideOf(each.start_deg),
				startError: figure(each.start_error_deg, 1),
			}),
		);
	return parts.length ? <p className="font-medium">{t("bench-also", { list: parts.join(", ") })}</p> : null;
}

/** Turn the sleeve as shown and go and hit it: a new build. */
/** Any other change as a build of its own, made from this one. */
function MakeIt({
	session,
	found,
	each,
	act,
	busy,
}: AnswerProps & { each: WhatIfAnswer["changes"][number] }) {
	const navigate = useNavigate();
	return (
		<button
			type="button"
			className="btn btn-sm h-11"
			aria-label={t("bench-make-test", { letter: found.letter, words: each.words })}
			disabled={busy || isClosed(session)}
			onClick={() =>
				act(async () => {
					const made = await change.otherwise(found.build, [{ kind: each.kind, amount: each.amount }]);
					void navigate(`/sessions/${session.id}/bay`);
					return made;
				})
			}
		>
			{t("bench-make-it")}
		</button>
	);
}

function Test({ session, found, each, act, busy }: Omit<RowProps, "open" | "onOpen">) {
	const navigate = useNavigate();
	const build = buildOf(session, found.build);
	if (!build || build.set_loft_deg === null || build.stated_loft_deg === null || isClosed(session))
		return null;
	const loft = build.set_loft_deg + each.amount;
	if (!build.settings_deg.some((offered) => Math.abs(offered - loft) < 0.05)) return null;
	return (
		<button
			type="button"
			className="btn btn-sm h-11"
			disabled={busy}
			onClick={() =>
				act(async () => {
					const after = await change.setting(build.id, loft);
					void navigate(`/sessions/${session.id}/bay`);
					return after;
				})
			}
		>
			{t("bench-turn-hit")}
		</button>
	);
}

function Elsewhere({ found }: { found: WhatIfAnswer }) {
	return (
		<table className="table-plain self-start">
			<thead>
				<tr>
					<th scope="col">
						{t("bench-other-air")}{" "}
						<span className="quiet text-sm font-normal">{t("bench-wind-as-10-m-up")}</span>
					</th>
					<th scope="col">{t("label-carry", { unit: unit("far") })}</th>
					<th scope="col">{t("bench-landing")}</th>
				</tr>
			</thead>
			<tbody>
				{found.elsewhere.map((air) => (
					<tr key={air.label}>
						<td>{air.label}</td>
						<td className="num">
							{asFar(air.carry_m)}{" "}
							<span className="quiet text-[13px] font-normal">±{asFar(air.carry_error_m)}</span>
						</td>
						<td>{reading("landing_deg", air.landing_deg)}</td>
					</tr>
				))}
			</tbody>
		</table>
	);
}
