/** The short end: the order of work, both ends, the steps, the cut between them and how many wedges belong there. */

import { useState } from "react";
import { Link } from "react-router";
import { change } from "../../acts";
import type { Session } from "../../api/client";
import { useSole } from "../../api/session";
import { termOf } from "../../api/words";
import { DistanceCard } from "../../protocols/part_swing/DistanceCard";
import { standingOf } from "../../protocols/standing";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { PlaceProps } from "../../session/place";
import { usePutUp } from "../../session/putUp";
import { buildOf, candidatesOf, nameOf } from "../../session/select";
import { Caution, Said } from "../../ui/Said";
import { asFar, figure, inShown, speedDigits, toSpeed, unit } from "../../ui/units";
import { gapChange } from "./Rules";

type Props = Pick<PlaceProps, "session" | "act" | "busy">;
type Short = NonNullable<Session["bag"]["short"]>;

export function ShortEnd({ session, act, busy }: Props) {
	const short = session.bag.short;
	if (!short) return <p className="quiet py-2">{t("bag-no-wedge-bag-add-pw")}</p>;
	return (
		<div className="grid gap-x-6 gap-y-4 md:grid-cols-[17rem_1fr]">
			<div className="space-y-3">
				<Order short={short} session={session} act={act} busy={busy} />
				<Sole session={session} act={act} busy={busy} />
			</div>
			<div className="min-w-0 space-y-4">
				{short.recheck && <p className="hole-text font-semibold">{short.recheck}</p>}
				{short.open_under && <p className="hole-text font-semibold">{short.open_under}</p>}
				{short.steps.length > 0 && <Steps short={short} session={session} />}
				<Cut short={short} session={session} act={act} busy={busy} />
				{short.schools && <p className="text-[15px] font-semibold">{short.schools.sentence}</p>}
				{short.unhit.length > 0 && (
					<p className="hole-text text-[14.5px]">
						{t("bag-never-hit-here", { list: short.unhit.join(", ") })}
					</p>
				)}
				<PartSwings short={short} session={session} />
			</div>
		</div>
	);
}

/** The distance card, or what it takes to have one. */
function PartSwings({ short, session }: { short: Short; session: Session }) {
	return (
		<section aria-label={t("label-part-swings")}>
			<div className="mb-1 flex flex-wrap items-center gap-3">
				<h3>{t("label-distance-card")}</h3>
				{short.card && (
					<Link className="no-print btn btn-sm h-11" to={`/sessions/${session.id}/card`}>
						{t("bag-to-print")}
					</Link>
				)}
			</div>
			{short.card ? (
				<DistanceCard session={session} card={short.card} />
			) : (
				<p className="quiet text-sm">
					{t("bag-what-each-wedge-carries-with", {
						minutes: standingOf(session, "part_swing")?.minutes ?? 0,
					})}
				</p>
			)}
		</section>
	);
}

function Order({ short, session, act, busy }: Props & { short: Short }) {
	const write = (body: { school: Short["school"] }) =>
		act(() => change.brief(session.id, body, { school: short.school }));
	return (
		<section aria-label={t("bag-order-work")}>
			<h3 className="mb-1">{t("bag-order-work")}</h3>
			<ol className="space-y-2">
				{short.stages.map((stage, index) => (
					<li key={stage.key} className="flex gap-2">
						<span className="num quiet w-4">{index + 1}</span>
						<span className="min-w-0">
							<span className="font-semibold">
								{stage.name}{" "}
								{stage.done && (
									<>
										<span aria-hidden="true">✓</span>
										<span className="sr-only">{t("bag-done")}</span>
									</>
								)}
							</span>
							<span className="quiet block text-sm">{stage.words}</span>
						</span>
					</li>
				))}
			</ol>
			{short.minutes && !isClosed(session) && <p className="mt-1">{short.minutes}</p>}
			<p className="quiet mt-1 text-sm">{short.why}</p>
			<button
				type="button"
				className="mt-1 min-h-11 cursor-pointer text-sm underline"
				disabled={busy || isClosed(session)}
				onClick={() => write({ school: short.school === "shortest" ? "set_wedge" : "shortest" })}
			>
				{short.school === "shortest" ? t("bag-from-set-wedge-down-instead") : t("bag-shortest-first-instead")}
			</button>
		</section>
	);
}

/** The sole that was chosen for the most lofted wedge; and a sole in a loft it is not made in. */
function Sole({ session, act, busy }: Props) {
	const [loft, setLoft] = useState("");
	const soles = [...new Set(candidatesOf(session).map((build) => build.sole))].filter(Boolean);
	const [sole, setSole] = useState("wide");
	const wanted = Number(loft.replace(",", "."));
	const found = useSole(session, sole, loft.trim() && Number.isFinite(wanted) ? wanted : null);
	const agreed = isClosed(session);
	const { put, question } = usePutUp(session, act);
	return (
		<section aria-label={t("label-sole")}>
			<h3 className="mb-1">{t("bag-its-sole")}</h3>
			<div className="flex flex-wrap items-center gap-2">
				<input
					key={session.brief.sole}
					className="input h-11 min-w-0 flex-1 px-2"
					aria-label={t("bag-sole-chosen")}
					placeholder={t("bag-not-chosen-yet")}
					maxLength={60}
					list="soles"
					defaultValue={session.brief.sole}
					disabled={agreed}
					onBlur={(event) =>
						event.target.value !== session.brief.sole &&
						act(() => change.brief(session.id, { sole: event.target.value }, { sole: session.brief.sole }))
					}
				/>
				<datalist id="soles">
					{[t("bag-as-played-now"), ...soles].map((each) => (
						<option key={each} value={each} />
					))}
				</datalist>
			</div>
			{!agreed && (
				<Link className="btn mt-1 h-11 border-base-300 bg-base-100" to={`/sessions/${session.id}/soles`}>
					{t("bag-set-up-blind-sole-test")}
				</Link>
			)}
			<div className="mt-2 flex flex-wrap items-center gap-2 text-sm">
				<span className="quiet">{t("bag-sole-loft")}</span>
				<select
					className="select h-11 w-26"
					aria-label={t("bag-sole-looked-for")}
					value={sole}
					onChange={(event) => setSole(event.target.value)}
				>
					{["wide", "medium", "narrow"].map((each) => (
						<option key={each} value={each}>
							{termOf("sole-width", each)}
						</option>
					))}
				</select>
				<input
					className="input h-11 w-16 px-2 text-right"
					inputMode="decimal"
					aria-label={t("bag-loft-looked-for-degrees")}
					placeholder={t("label-loft-2")}
					value={loft}
					onChange={(event) => setLoft(event.target.value)}
				/>
			</div>
			<Said error={found.error} />
			{found.data && (
				<p className="mt-1 text-sm">
					{found.data.sentence}{" "}
					{found.data.head !== null && !agreed && (
						<button
							type="button"
							className="min-h-11 cursor-pointer font-semibold underline"
							disabled={busy}
							onClick={() => {
								const { head, shaft, bend_deg } = found.data;
								if (head !== null && shaft !== null) put([{ head, shaft, bend_deg }]);
							}}
						>
							{t("label-on-the-stand")}
						</button>
					)}
				</p>
			)}
			{question}
		</section>
	);
}

function Steps({ short, session }: { short: Short; session: Session }) {
	const name = (id: number) => nameOf(buildOf(session, id));
	const few = short.steps.some((step) => step.few);
	return (
		<div>
			<table className="w-full text-[15px]" aria-label={t("label-steps")}>
				<thead>
					<tr className="quiet text-left text-sm">
						<th className="whitespace-nowrap font-normal">{t("bag-from-to")}</th>
						<th className="whitespace-nowrap pl-4 text-right font-normal">
							{t("label-step", { unit: unit("far") })}
						</th>
						<th className="whitespace-nowrap pl-4 text-right font-normal">
							{t("label-ball", { unit: unit("speed") })}
						</th>
						<th className="w-full pl-4 font-normal">{t("bag-beside-wish")}</th>
					</tr>
				</thead>
				<tbody>
					{short.steps.map((step) => (
						<tr key={`${step.lower}-${step.upper}`} className="border-t border-base-300 align-baseline">
							<td className="whitespace-nowrap py-1">
								{name(step.lower)} → {name(step.upper)}
							</td>
							<td className={`num text-right text-lg ${step.over_m > 0 ? "hole-text font-semibold" : ""}`}>
								{asFar(step.step_m)}
							</td>
							<td className={`num text-right ${step.few ? "font-semibold" : ""}`}>
								{step.ball_step_mps === null ? "–" : figure(inShown("ball_speed_mps", step.ball_step_mps))}
							</td>
							<td className="pl-4 text-sm">{step.sentence}</td>
						</tr>
					))}
				</tbody>
			</table>
			{few && (
				<p className="quiet mt-1 text-sm">
					{t("bag-with-so-few-shots-ball", {
						toSpeed: figure(toSpeed(2.2352), speedDigits()),
						unit: unit("speed"),
					})}
				</p>
			)}
		</div>
	);
}

const COUNTS = [1, 2, 3];

function Cut({ short, session, act, busy }: Props & { short: Short }) {
	const agreed = isClosed(session);
	if (short.places.length === 0) {
		const low = short.low?.missing === "" && short.high?.missing === "" && session.bag.end === "short";
		return (
			low && (
				<button
					type="button"
					className="btn btn-sm h-11"
					disabled={busy || agreed}
					onClick={() => act(gapChange(session, { gap_above: null }))}
				>
					{t("bag-cut-whole-space-between-ends")}
				</button>
			)
		);
	}
	const caution = short.places.find((place) => place.caution)?.caution;
	return (
		<section aria-label={t("bag-the-cut")}>
			<div className="mb-1 flex flex-wrap items-center gap-2">
				<h3>{t("bag-cut-wedges-between-ends")}</h3>
				<div className="join" role="group" aria-label={t("bag-how-many-wedges-between-ends")}>
					{COUNTS.map((count) => (
						<button
							key={count}
							type="button"
							aria-pressed={session.clubs_to_place === count}
							className={`btn join-item btn-sm h-11 px-4 ${session.clubs_to_place === count ? "btn-primary" : "border-base-300 bg-base-100"}`}
							disabled={busy || agreed}
							onClick={() => act(gapChange(session, { clubs_to_place: count }))}
						>
							{count}
						</button>
					))}
				</div>
			</div>
			<ul className="space-y-2">
				{short.places.map((place) => (
					<li key={place.target_m} className="flex flex-wrap items-center gap-2 text-[15px]">
						<span>{place.sentence}</span>
						{place.bend_deg !== null && place.build !== null && !agreed && (
							<button
								type="button"
								className="btn btn-sm h-11"
								disabled={busy}
								onClick={() => {
									const { build, bend_deg } = place;
									if (build !== null && bend_deg !== null)
										act(() => change.otherwise(build, [{ kind: "bend", amount: bend_deg }]));
								}}
							>
								{t("bag-bend-stand")}
							</button>
						)}
					</li>
				))}
			</ul>
			{caution && <Caution>{caution}</Caution>}
		</section>
	);
}
