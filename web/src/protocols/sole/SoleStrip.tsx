/** The blind sole test in the Bay: which code is handed from which lie, and what the player says of it. */
import { useRef, useState } from "react";
import type { Shot, SoleTest, Turf } from "../../api/client";
import { useLine, useWaiting } from "../../api/outbox";
import { change } from "../../api/session";
import { useCommands } from "../../commands/commands";
import { BendCaution, Said } from "../../ui/Said";
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
	const unheard = useWaiting<Handing>(test ? `/api/soles/${test.id}/handings` : "");
	const placed = useRef(new Map<Handing, number>());
	if (!test?.on)
		return <p className="quiet text-[17px]">No sole test is going on. Key W, Sole test, sets one up.</p>;
	const waiting = notYetIn(test, unheard, placed.current);
	const coming = comingOf(test, waiting, line.lost);
	const key = coming.next
		? [coming.next.code, coming.next.place, coming.next.visit, test.done + waiting.length].join()
		: "";
	return (
		<section aria-label="Sole test" className="space-y-3">
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
			) : waiting.length > 0 ? (
				<WaitsForLine lost={line.lost} />
			) : (
				<Ending session={session} act={act} test={test} />
			)}
			<HandingList act={act} test={test} waiting={waiting} agreed={agreed} />
			{!agreed && <TestMenu act={act} test={test} />}
		</section>
	);
}

function WaitsForLine({ lost }: { lost: boolean }) {
	return (
		<p className="hole-text text-lg font-semibold" role="status">
			{lost
				? "All that can be handed without the line is said and kept. Who meets whom next is told when it is back."
				: "Reading who comes next."}
		</p>
	);
}

const THIRD = ["first", "second", "third"];

function Handed({
	session,
	act,
	agreed,
	test,
	coming,
	next,
	waiting,
}: StripProps & {
	test: SoleTest;
	coming: Coming;
	next: NonNullable<Coming["next"]>;
	waiting: number;
}) {
	const [said, setSaid] = useState<number | null>(null);
	const [turf, setTurf] = useState<Turf | null>(null);
	const [more, setMore] = useState({ best: null as number | null, groove: "", sound: "", left: "" });
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
			const left = typedNumber(more.left, "distance left");
			const body: Handing = {
				...next,
				...now,
				best: more.best,
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
			id: `sole-${each.name.toLowerCase()}`,
			name: `${each.name} than the one before`,
			keys: each.keys,
			shown: each.shown,
			group: "Sole test",
			blocked: agreed ? "The session is agreed" : coming.first ? "The first at this lie" : undefined,
			run: () => say(each.said),
		})),
		...turfsOf(sand).map((each) => ({
			id: `sole-${each}`,
			name: `${turfName(each)}, the turf`,
			keys: `shift+${turfKey(each)}`,
			shown: `⇧${turfKey(each).toUpperCase()}`,
			group: "Sole test",
			blocked: agreed ? "The session is agreed" : undefined,
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
						{next.duel ? "Duel: " : ""}
						{place?.name}
						{place ? `, ${asFar(place.target_m as Metres)} ${unit("far")}` : ""}
						{next.visit > 0 ? `, ${THIRD[next.visit] ?? `${next.visit + 1}th`} time there` : ""}
					</p>
					<p>{place?.told}</p>
				</div>
				<p className="quiet text-right text-[15px]">
					<span className="num" data-testid="handed">
						{test.done + waiting}
					</span>{" "}
					of <span className="num">{test.done + test.more}</span> handed
					<br />
					about <span className="num">{test.minutes}</span> min left
				</p>
			</div>
			{!inHand && !agreed && waiting === 0 && (
				<p className="hole-text flex flex-wrap items-center gap-3 font-semibold">
					Another club is in hand: shots would not be this code’s.
					<button
						type="button"
						className="btn h-12"
						onClick={() => act(() => change.takeCode(test.id, next.code, next.place))}
					>
						Take {wordOf(test, next.code)} in hand
					</button>
				</p>
			)}
			{code?.club?.loft_role === "weaker" && <BendCaution />}
			<ShotsOfCode shots={shots} wanted={test.shots} />
			<div className="space-y-2">
				<div>
					<p className="quiet mb-1 text-sm">
						{coming.first
							? "The first at this lie: held against nothing"
							: `Than ${wordOf(test, coming.before ?? 0)}, the one before`}
					</p>
					<Choice
						label="Better, level or worse"
						big
						all={SAID.map((each) => ({ value: each.said as number, name: each.name, shown: each.shown }))}
						chosen={said}
						disabled={agreed || coming.first}
						onChoose={say}
					/>
				</div>
				<div>
					<p className="quiet mb-1 text-sm">{sand ? "In the sand" : "The turf"}</p>
					<Choice
						label="How it met the ground"
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
				<summary className="quiet min-h-9 cursor-pointer text-sm">
					Also noticed, before the two touches
				</summary>
				<div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
					<Choice
						label="Against the best so far"
						all={SAID.map((each) => ({ value: each.said as number, name: `${each.name} than the best` }))}
						chosen={more.best}
						onChoose={(best) => setMore({ ...more, best: more.best === best ? null : best })}
					/>
					{(
						[
							["groove", "Groove it struck, from the lowest"],
							["left", `Left to the hole, ${unitName("far")}`],
							["sound", "Sound, in a word"],
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
			<span className="num">{good}</span> of <span className="num">{wanted}</span> shots
			{shots.length === 0 && <span className="quiet">, where there is a monitor</span>}
			{shots.slice(-4).map((each) => (
				<span key={each.id} className={`quiet ml-4 ${each.aside ? "line-through" : ""}`}>
					<span className="num">{reading("launch_deg", each.readings.launch_deg)}</span>,{" "}
					<span className="num">{reading("spin_rpm", each.readings.spin_rpm)}</span> rpm
				</span>
			))}
		</p>
	);
}
