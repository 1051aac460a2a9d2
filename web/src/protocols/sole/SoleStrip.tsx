/** The blind sole test in the Bay: which code is handed from which lie, and what the player says of it. */
import { useRef, useState } from "react";
import { change } from "../../acts";
import type { Shot, SoleTest, Turf } from "../../api/client";
import { useLine, useWaiting } from "../../api/outbox";
import { useCommands } from "../../commands/commands";
import { Num, Worded } from "../../said/Worded";
import { t } from "../../said/words";
import { BendCaution } from "../../ui/BendCaution";
import { Said } from "../../ui/Said";
import { typedNumber } from "../../ui/typed";
import { asFar, fromFar, type Metres, reading, unit, unitName } from "../../ui/units";
import type { StripProps } from "../panels";
import { type Coming, comingOf, type Handing, notYetIn, placeOf, soleTestOf, wordOf } from "./coming";
import { Ending } from "./Ending";
import { HandingList } from "./HandingList";
import { Choice, SAID, turfKey, turfName, turfsOf } from "./Marks";
import { TestMenu } from "./TestMenu";

export function SoleStrip({ session, act, agreed }: StripProps) {
	const test = soleTestOf(session);
	const line = useLine();
	const unheard = useWaiting<Handing>(test ? `/api/trials/${test.id}/said` : "");
	const placed = useRef(new Map<Handing, number>());
	if (!test?.on) return <p className="quiet text-[17px]">{t("sole-no-sole-test-going-key")}</p>;
	const waiting = notYetIn(test, unheard, placed.current);
	const coming = comingOf(test, waiting, line.lost);
	const key = coming.next
		? [coming.next.code, coming.next.place, coming.next.visit, test.done + waiting.length].join()
		: "";
	return (
		<section aria-label={t("sole-sole-test")} className="space-y-3">
			{coming.next ? (
				<Handed
					key={key}
					session={session}
					act={act}
					agreed={agreed}
					test={test}
					coming={coming}
					next={coming.next}
					waiting={waiting.length}
				/>
			) : waiting.length > 0 && !line.lost ? (
				<p className="hole-text text-lg font-semibold" role="status">
					{t("sole-reading-who-comes-next")}
				</p>
			) : (
				<Ending session={session} act={act} test={test} lost={waiting.length > 0} />
			)}
			<HandingList act={act} test={test} waiting={waiting} agreed={agreed} />
			{!agreed && <TestMenu act={act} test={test} />}
		</section>
	);
}

const OPENED = [
	{ value: -1, name: t("sole-opened-less") },
	{ value: 0, name: t("sole-opened-as-much") },
	{ value: 1, name: t("sole-opened-more") },
];

const THIRD = ["first", "second", "third"];

function Handed({
	session,
	act,
	agreed,
	test,
	coming,
	next,
	waiting,
}: Omit<StripProps, "protocol"> & {
	test: SoleTest;
	coming: Coming;
	next: NonNullable<Coming["next"]>;
	waiting: number;
}) {
	const [said, setSaid] = useState<number | null>(null);
	const [turf, setTurf] = useState<Turf | null>(null);
	const [more, setMore] = useState({
		best: null as number | null,
		opened: null as number | null,
		groove: "",
		sound: "",
		left: "",
	});
	const [wrong, setWrong] = useState<unknown>(null);
	const sent = useRef(false); // a key that bounces says nothing twice
	const place = placeOf(test, next.place);
	const sand = place?.sand ?? false;
	const code = test.codes[next.code];
	const inHand = code?.build === session.in_hand && session.protocol === "sole";
	const shots = session.shots.filter((each) => each.build === code?.build && each.number > test.since);
	const send = (now: { said: number | null; turf: Turf | null }) => {
		if (sent.current || now.turf === null || (now.said === null && !coming.first)) return;
		try {
			const groove = typedNumber(more.groove, "groove");
			const left = typedNumber(more.left, t("sole-distance-left"));
			const body: Handing = {
				...next,
				...now,
				best: more.best,
				opened: more.opened,
				sound: more.sound,
				groove: groove === null ? null : Math.round(groove),
				left_m: left === null ? null : fromFar(left),
			};
			setWrong(null);
			sent.current = true;
			act(() => change.sayOfCode(test.id, body));
		} catch (error) {
			setWrong(error);
		}
	};
	const say = (value: number) => {
		setSaid(value);
		send({ said: value, turf });
	};
	const met = (value: Turf) => {
		setTurf(value);
		send({ said, turf: value });
	};
	useCommands("sole", [
		...SAID.map((each) => ({
			id: `sole-${each.key}`,
			name: t("sole-than-one-before", { name: each.name }),
			keys: each.keys,
			shown: each.shown,
			group: t("sole-sole-test"),
			blocked: agreed ? t("label-session-agreed") : coming.first ? t("sole-first-lie") : undefined,
			run: () => say(each.said),
		})),
		...turfsOf(sand).map((each) => ({
			id: `sole-${each}`,
			name: t("sole-the-turf", { each: turfName(each) }),
			keys: `shift+${turfKey(each)}`,
			shown: `⇧${turfKey(each).toUpperCase()}`,
			group: t("sole-sole-test"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => met(each),
		})),
	]);
	return (
		<>
			<div className="flex flex-wrap items-end gap-x-6 gap-y-1">
				<h2 className="text-[4.2rem] leading-none font-semibold tracking-tight" data-testid="code">
					{wordOf(test, next.code)}
				</h2>
				<div className="min-w-64 flex-1 text-[19px] leading-snug">
					<p className="font-semibold">
						{next.duel ? `${t("sole-duel-3")} ` : ""}
						{place?.name}
						{place ? `, ${asFar(place.target_m as Metres)} ${unit("far")}` : ""}
						{next.visit > 0
							? t("sole-time-there", { third: THIRD[next.visit] ?? `${next.visit + 1}th` })
							: ""}
					</p>
					<p>{place?.told}</p>
				</div>
				<p className="quiet text-right text-[15px]">
					<Worded
						id="sole-handed-of"
						drawn={{
							done: (
								<span className="num" data-testid="handed">
									{test.done + waiting}
								</span>
							),
							all: <Num>{test.done + test.more}</Num>,
						}}
					/>
					<br />
					<Worded id="sole-minutes-left" drawn={{ minutes: <Num>{test.minutes}</Num> }} />
				</p>
			</div>
			{!inHand && !agreed && waiting === 0 && (
				<p className="hole-text flex flex-wrap items-center gap-3 font-semibold">
					{t("sole-another-club-hand-shots-would")}
					<button
						type="button"
						className="btn h-12"
						onClick={() => act(() => change.takeCode(test.id, next.code, next.place))}
					>
						{t("sole-take-hand", { code: wordOf(test, next.code) })}
					</button>
				</p>
			)}
			{code?.club?.loft_role === "weaker" && <BendCaution />}
			<ShotsOfCode shots={shots} wanted={test.shots} />
			<div className="space-y-2">
				<div>
					<p className="quiet mb-1 text-sm">
						{coming.first
							? t("sole-first-lie-held-against-nothing")
							: t("sole-than-one-before-2", { before: wordOf(test, coming.before ?? 0) })}
					</p>
					<Choice
						label={t("sole-better-level-or-worse")}
						big
						all={SAID.map((each) => ({ value: each.said as number, name: each.name, shown: each.shown }))}
						chosen={said}
						disabled={agreed || coming.first}
						onChoose={say}
					/>
				</div>
				{place?.open_face && !coming.first && (
					<div>
						<p className="quiet mb-1 text-sm">{t("sole-face-opened")}</p>
						<Choice
							label={t("sole-face-opened")}
							all={OPENED}
							chosen={more.opened}
							disabled={agreed}
							onChoose={(opened) => setMore({ ...more, opened })}
						/>
					</div>
				)}
				<div>
					<p className="quiet mb-1 text-sm">{sand ? t("sole-in-the-sand") : t("sole-the-turf-2")}</p>
					<Choice
						label={t("sole-how-met-ground")}
						big
						all={turfsOf(sand).map((each) => ({
							value: each,
							name: turfName(each),
							shown: `⇧${turfKey(each).toUpperCase()}`,
						}))}
						chosen={turf}
						disabled={agreed}
						onChoose={met}
					/>
				</div>
			</div>
			<details>
				<summary className="quiet min-h-11 cursor-pointer text-sm">
					{t("sole-also-noticed-before-two-touches")}
				</summary>
				<div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
					<Choice
						label={t("sole-against-best-so-far")}
						all={SAID.map((each) => ({
							value: each.said as number,
							name: t("sole-than-best", { name: each.name }),
						}))}
						chosen={more.best}
						onChoose={(best) => setMore({ ...more, best: more.best === best ? null : best })}
					/>
					{(
						[
							["groove", t("sole-groove-struck-from-lowest")],
							["left", t("sole-left-hole", { unit: unitName("far") })],
							["sound", t("sole-sound-word")],
						] as const
					).map(([name, label]) => (
						<label key={name} className="flex items-center gap-2 text-sm">
							{label}
							<input
								className={`input h-11 ${name === "sound" ? "w-32" : "w-16"}`}
								inputMode={name === "sound" ? "text" : "decimal"}
								value={more[name]}
								onChange={(event) => setMore({ ...more, [name]: event.target.value })}
							/>
						</label>
					))}
				</div>
			</details>
			<Said error={wrong} />
		</>
	);
}

/** The shots of this handing, as far as they were read; a bad one is set aside and touches nothing that is liked. */
function ShotsOfCode({ shots, wanted }: { shots: Shot[]; wanted: number }) {
	const good = shots.filter((each) => !each.aside && !each.misread).length;
	return (
		<p className="text-[17px]" data-testid="shots-of-code">
			<Worded id="sole-shots-of" drawn={{ good: <Num>{good}</Num>, wanted: <Num>{wanted}</Num> }} />
			{shots.length === 0 && <span className="quiet">{t("sole-where-there-monitor")}</span>}
			{shots.slice(-4).map((each) => (
				<span key={each.id} className={`quiet ml-4 ${each.aside ? "line-through" : ""}`}>
					<span className="num">{reading("launch_deg", each.readings.launch_deg)}</span>,{" "}
					<span className="num">{reading("spin_rpm", each.readings.spin_rpm)}</span> {t("label-rpm")}
				</span>
			))}
		</p>
	);
}
