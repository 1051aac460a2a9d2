/** Comparing and judging: the flights, the landing zone, the metrics against the window, the verdicts. */

import { useState } from "react";
import { Link } from "react-router";
import { change } from "../../acts";
import type { Bench as BenchAnswer, Session, Verdict, Wish } from "../../api/client";
import { useBench } from "../../api/session";
import { type ProtocolKey, protocolKeys } from "../../api/words";
import { FlightBoard } from "../../instruments/flight-board/FlightBoard";
import { PANELS } from "../../protocols";
import { t } from "../../said/words";
import { Accept } from "../../session/Accept";
import { Claims } from "../../session/Claims";
import { isClosed } from "../../session/closed";
import { boardClub } from "../../session/flights";
import type { PlaceProps } from "../../session/place";
import { buildOf, candidatesOf, windowsOf } from "../../session/select";
import { worthWords } from "../../session/words";
import { Letter, letterColour } from "../../ui/Letter";
import { Said, Waiting } from "../../ui/Said";
import { asFar, figure, signed, whole } from "../../ui/units";
import { Flights } from "./Flights";
import { Metrics } from "./Metrics";
import { WhatIf } from "./WhatIf";

/** A small count as a sentence has it. */
const inWords = (count: number) =>
	["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"][count] ??
	String(count);

/** With what to go on. */
const moreOf = ({ more, more_with, more_in_vain }: BenchAnswer["choice"]) =>
	more_in_vain
		? t("bench-even-more-with-would-hardly", { more, moreWith: more_with })
		: t("bench-about-more-with", { more, moreWith: more_with });

export function Bench({ session, act, busy }: PlaceProps) {
	const bench = useBench(session);
	if (candidatesOf(session).length === 0) return <NothingOnTheStand session={session} act={act} />;
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_23rem]">
			<section className="min-w-0 p-4">
				<div className="mb-1 flex flex-wrap items-baseline gap-x-4">
					<h2 className="text-lg">{t("bench-flight-board")}</h2>
					<p className="quiet text-sm">{t("bench-ellipse-80-kept-shots-whisker")}</p>
				</div>
				<Said error={bench.error} />
				{bench.data ? (
					<Board session={session} bench={bench.data} />
				) : (
					<Waiting what={t("bench-the-flights")} />
				)}
				<Metrics session={session} bench={bench.data} />
				{bench.data && <Findings session={session} bench={bench.data} />}
				{bench.data?.eases && <p className="mt-1 text-[14.5px]">{bench.data.eases}</p>}
				{bench.data && <Flights session={session} flights={bench.data.flights} />}
				<Tested session={session} bench={bench.data} act={act} />
				{bench.data && <Claims claims={bench.data.claims} />}
				{bench.data &&
					Object.entries(bench.data.lies).map(([letter, said]) => (
						<p key={letter} className="mt-1 text-[14.5px]">
							<Letter letter={letter} size={20} /> {said.join(" ")}
						</p>
					))}
				{bench.data &&
					Object.entries(bench.data.spans).map(([letter, words]) => (
						<p key={letter} className="mt-1 text-[14.5px]">
							<Letter letter={letter} size={20} /> {words}
						</p>
					))}
				<WhatIf session={session} act={act} busy={busy} />
			</section>
			<aside className="flex flex-col gap-4 border-l border-base-300 bg-base-100 p-4">
				{bench.data && <Chosen session={session} choice={bench.data.choice} />}
				{bench.data && bench.data.choice.worths.length > 0 && <Worths choice={bench.data.choice} />}
				{[session.day_words, session.monitor].filter(Boolean).map((words) => (
					<p key={words} className="hole-text text-[14.5px] font-semibold">
						{words}
					</p>
				))}
				<div className="flex items-baseline justify-between">
					<h2 className="text-lg">{t("bench-verdict")}</h2>
					<span className="quiet text-sm">{CHANCES[session.bag.wanted.wish]}</span>
				</div>
				{session.verdicts.length === 0 && (
					<p className="quiet">
						{t("bench-without-slot-there-nothing-judge", { headline: session.bag.headline })}
					</p>
				)}
				<ul className="space-y-4">
					{session.verdicts.map((verdict) => (
						<VerdictCard
							key={verdict.build}
							session={session}
							verdict={verdict}
							serves={bench.data?.serves[verdict.letter] ?? []}
							act={act}
							busy={busy}
						/>
					))}
				</ul>
				{bench.data && <Compared bench={bench.data} session={session} />}
				<Link className="btn btn-primary mt-auto h-12" to={`/sessions/${session.id}/handover`}>
					{t("bench-decide")}
				</Link>
			</aside>
		</div>
	);
}

/** The decision, where builds were judged or a test decided. */
function Chosen({ session, choice }: { session: Session; choice: BenchAnswer["choice"] }) {
	if (session.verdicts.length === 0 && choice.because !== "tested") return null;
	return (
		<p
			className="border-l-4 py-1 pl-3 text-[15.5px] font-semibold"
			style={{ borderColor: "var(--window-line)" }}
			data-testid="choice"
		>
			{choice.sentence}
			{!choice.settled && choice.more_with && (
				<span className="quiet block text-[14px] font-normal">
					{t("bench-not-settled", { choice: moreOf(choice) })}
				</span>
			)}
		</p>
	);
}

/** What came of the tests, a panel each. */
function Tested({
	session,
	bench,
	act,
}: Pick<PlaceProps, "session" | "act"> & { bench: BenchAnswer | undefined }) {
	return Object.entries(PANELS).map(
		([key, { Result }]) =>
			Result && <Result key={key} protocol={key as ProtocolKey} session={session} bench={bench} act={act} />,
	);
}

/** Without a build of the stand only tests have something to say. */
function NothingOnTheStand({ session, act }: Pick<PlaceProps, "session" | "act">) {
	const bench = useBench(session);
	return (
		<div className="mx-auto max-w-3xl space-y-6 p-6">
			<div className="space-y-4 py-6 text-center">
				<p className="text-2xl font-semibold">{t("bench-nothing-compare-yet")}</p>
				<p className="quiet">
					{t("bench-put-candidates-stand-hit-least", { leastShots: inWords(session.least_shots) })}
				</p>
				<Link className="btn btn-primary h-12 px-8" to={`/sessions/${session.id}/bag`}>
					{t("bench-to-the-bag")}
				</Link>
			</div>
			<Said error={bench.error} />
			{bench.data && <Chosen session={session} choice={bench.data.choice} />}
			<Tested session={session} bench={bench.data} act={act} />
			{bench.data && <Claims claims={bench.data.claims} />}
		</div>
	);
}

/** What the bag with each build in it saves, so that the runner-up's case stands beside the choice. */
function Worths({ choice }: { choice: BenchAnswer["choice"] }) {
	return (
		<table className="w-full text-[14.5px]" data-testid="worths">
			<caption className="quiet mb-1 text-left text-sm">{t("bench-strokes-saved-round-todays-bag")}</caption>
			<tbody>
				{choice.worths.map((each) => (
					<tr key={each.letter} className="border-t border-base-300 align-baseline">
						<th scope="row" className="py-1 pr-2 text-left">
							<Letter letter={each.letter} size={20} />
						</th>
						<td className="num pr-3 text-right text-[17px] whitespace-nowrap">{signed(each.saves)}</td>
						<td className="quiet text-[12.5px]">
							{t("bench-to", { low: figure(each.low, 1), high: figure(each.high, 1) })}
							{each.lines.length > 0 && <span className="block">{worthWords(each.lines)}</span>}
						</td>
					</tr>
				))}
			</tbody>
		</table>
	);
}

function Board({ session, bench }: { session: Session; bench: BenchAnswer }) {
	return (
		<FlightBoard
			clubs={bench.lines.map((line) => boardClub(session, line))}
			neighbours={bench.neighbours.map((line) => boardClub(session, line))}
			windows={windowsOf(session)}
		/>
	);
}

/** What a verdict's chance is the chance of. */
const CHANCES: Record<Wish, string> = {
	gap: t("bench-chance-fill-slot"),
	like: t("bench-chance-do-same"),
	replace: t("bench-chance-do-what-asked"),
	flight: t("bench-chance-do-what-asked"),
	far: t("bench-chance-go-further-play"),
	compare: "",
};

const LIKINGS = {
	neutral: t("bench-no-word-yet"),
	liked: t("bench-likes-it"),
	disliked: t("bench-dislikes-it"),
	vetoed: t("bench-will-not-play"),
} as const;

function VerdictCard({
	session,
	verdict,
	serves,
	act,
	busy,
}: { session: Session; verdict: Verdict; serves: string[] } & Pick<PlaceProps, "act" | "busy">) {
	const build = buildOf(session, verdict.build);
	const inWork = session.bag.in_work;
	return (
		<li className="border-t-3 pt-2" style={{ borderColor: letterColour(verdict.letter) }}>
			<div className="flex items-start gap-2">
				<Letter letter={verdict.letter} />
				<p className="min-w-0 flex-1 leading-tight">
					<span className="block font-semibold">{build?.name}</span>
					<span
						className={`block text-[17px] font-semibold ${verdict.kind === "one_turn" ? "hole-text" : ""}`}
					>
						{verdict.headline}
					</span>
				</p>
				<span className="num text-2xl">{verdict.chance_words}</span>
			</div>
			<p className="mt-1 text-[14.5px]">
				{inWork && inWork.count > 1 ? `${t("bench-slot", { slot: verdict.slot + 1 })} ` : ""}
				{verdict.why}
			</p>
			<Jobs verdict={verdict} />
			{verdict.against && !verdict.why.includes(verdict.against) && (
				<p className="text-[14.5px]">
					<span className="quiet">{t("bench-against-2")}</span> {verdict.against}
				</p>
			)}
			{verdict.shape && <p className="text-[14.5px]">{verdict.shape}</p>}
			{verdict.change && <p className="text-[14.5px] font-medium">{verdict.change}</p>}
			{build?.feel && (
				<p className="text-[14.5px]">
					<span className="quiet">{t("bench-player-felt")}</span> {build.feel.words}
					{build.feel.numbers && <span className="quiet"> {t("bench-numbers-may-have-been-seen")}</span>}
				</p>
			)}
			{serves.length > 0 && <p className="quiet text-[14px]">{serves.join(" ")}</p>}
			<div className="mt-1 flex flex-wrap items-center gap-2">
				<label className="flex items-center gap-2 text-[14px]">
					<span className="quiet">{t("label-the-player")}</span>
					<select
						className="select h-9 w-44"
						aria-label={t("bench-what-player-says", { letter: verdict.letter })}
						value={build?.liking ?? "neutral"}
						disabled={busy || isClosed(session)}
						onChange={(event) =>
							act(() => change.club(verdict.build, { liking: event.target.value as keyof typeof LIKINGS }))
						}
					>
						{Object.entries(LIKINGS).map(([value, words]) => (
							<option key={value} value={value}>
								{words}
							</option>
						))}
					</select>
				</label>
				{build && <Accept session={session} build={build} act={act} busy={busy} />}
			</div>
		</li>
	);
}

/** How often each job succeeds, with the span that is left open, 0 to 10 in 10. */
function Jobs({ verdict }: { verdict: Verdict }) {
	const can = verdict.played.filter((job) => !job.never);
	const never = verdict.played.length - can.length;
	// That it does none is said in the verdict's own words.
	if (can.length === 0) return null;
	return (
		<>
			<ul
				className="my-1.5 space-y-1"
				aria-label={t("bench-jobs-played-out-with", { letter: verdict.letter })}
			>
				{can.map((job) => (
					<li key={job.job} className="flex flex-wrap items-center gap-x-2 text-[13.5px]">
						<span className="min-w-0 flex-1 truncate" title={job.job}>
							{job.job}
						</span>
						<svg viewBox="0 0 100 14" className="h-3.5 w-24 shrink-0" aria-hidden="true">
							<rect x="0" y="5" width="100" height="4" fill="var(--track)" />
							<rect
								x={job.low * 100}
								y="3"
								width={(job.high - job.low) * 100}
								height="8"
								fill={letterColour(verdict.letter)}
								fillOpacity="0.35"
							/>
							<rect
								x={job.success * 100 - 1.5}
								y="0"
								width="3"
								height="14"
								fill={letterColour(verdict.letter)}
							/>
						</svg>
						<span
							className="num w-9 shrink-0 text-right"
							title={t("bench-nine-times-ten", { low: percent(job.low), high: percent(job.high) })}
						>
							{percent(job.success)}
						</span>
						{job.eased_m !== null && (
							<span className="quiet w-full text-[12.5px] leading-tight">
								{t("bench-with-part-swing-carries", { eased: asFar(job.eased_m) })}
							</span>
						)}
						{job.lie && <span className="quiet w-full text-[12.5px] leading-tight">{job.lie}</span>}
					</li>
				))}
			</ul>
			{never > 0 && <p className="quiet text-[12.5px]">{t("bench-one-job-more-not-its", { never })}</p>}
		</>
	);
}

const percent = (share: number) => `${whole(share * 100)}%`;

const BETTER = [
	{ id: "saves", name: t("bench-saves") },
	{ id: "jobs", name: t("label-jobs") },
	{ id: "carry_m", name: t("bench-further") },
	{ id: "landing_deg", name: t("bench-steeper") },
	{ id: "side_spread", name: t("bench-straighter") },
] as const;

function Compared({ bench, session }: { bench: BenchAnswer; session: Session }) {
	const there = BETTER.filter((each) => bench.comparisons.some((pair) => pair.metric === each.id));
	const [chosen, setMetric] = useState<string>("saves");
	const metric = there.find((each) => each.id === chosen)?.id ?? there[0]?.id;
	if (bench.comparisons.length === 0 && session.bag.stand.length === 0) return null;
	return (
		<section className="bg-base-200 p-3">
			<h3 className="mb-1.5">{t("bench-one-really-better")}</h3>
			<div className="join mb-2" role="group" aria-label={t("bench-better-what")}>
				{there.map((each) => (
					<button
						key={each.id}
						type="button"
						aria-pressed={each.id === metric}
						className={`btn join-item btn-sm h-10 px-2.5 ${each.id === metric ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={() => setMetric(each.id)}
					>
						{each.name}
					</button>
				))}
			</div>
			<ul className="space-y-1 text-[14.5px]">
				{bench.comparisons
					.filter((pair) => pair.metric === metric)
					.map((pair) => (
						<li key={pair.better + pair.worse}>{pair.sentence}</li>
					))}
			</ul>
			{session.bag.stand.length > 0 && (
				<>
					<h3 className="mt-3 mb-1">{t("bench-what-else-differs")}</h3>
					<ul className="space-y-1 text-[14.5px]">
						{session.bag.stand.map((line) => (
							<li key={line}>{line}</li>
						))}
					</ul>
				</>
			)}
		</section>
	);
}

/** What came of each protocol that was hit, in its own panel. */
function Findings({ session, bench }: { session: Session; bench: BenchAnswer }) {
	return protocolKeys.map((protocol) => {
		const Panel = PANELS[protocol].Bench;
		const found = bench.findings.filter((each) => each.protocol === protocol);
		return Panel && found.length > 0 && <Panel key={protocol} session={session} findings={found} />;
	});
}
