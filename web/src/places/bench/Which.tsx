/** Which one: what each build saves by its parts, and its verdict with its jobs; whether one is really better. */
import { useState } from "react";
import { change } from "../../acts";
import type { Bench as BenchAnswer, Session, Verdict, Wish } from "../../api/client";
import { t } from "../../said/words";
import { Accept } from "../../session/Accept";
import { isClosed } from "../../session/closed";
import type { PlaceProps } from "../../session/place";
import { buildOf } from "../../session/select";
import { worthWords } from "../../session/words";
import { Letter, letterColour } from "../../ui/Letter";
import { asFar, figure, signed, whole } from "../../ui/units";

/** What each question of the bench is asked with. */
export interface Question extends Pick<PlaceProps, "session" | "act" | "busy"> {
	bench: BenchAnswer | undefined;
}

/** Which one: what each saves, and its verdict, slot by slot. */
export function Which({ session, bench, act, busy }: Question) {
	return (
		<div className="grid gap-x-8 gap-y-5 xl:grid-cols-[24rem_1fr]">
			<div className="space-y-4">
				{bench && bench.choice.worths.length > 0 && <Worths choice={bench.choice} />}
				{[session.day_words, session.monitor].filter(Boolean).map((words) => (
					<p key={words} className="hole-text text-[14.5px] font-semibold">
						{words}
					</p>
				))}
				{bench && <Compared bench={bench} session={session} />}
			</div>
			<section>
				<div className="mb-2 flex items-baseline justify-between gap-4">
					<h3 className="text-lg">{t("bench-verdict")}</h3>
					<span className="quiet text-sm">{CHANCES[session.bag.wanted.wish]}</span>
				</div>
				{session.verdicts.length === 0 && (
					<p className="quiet">
						{t("bench-without-slot-there-nothing-judge", { headline: session.bag.headline })}
					</p>
				)}
				<ul className="grid gap-x-6 gap-y-5 md:grid-cols-2">
					{session.verdicts.map((verdict) => (
						<VerdictCard
							key={verdict.build}
							session={session}
							verdict={verdict}
							serves={bench?.serves[verdict.letter] ?? []}
							act={act}
							busy={busy}
						/>
					))}
				</ul>
			</section>
		</div>
	);
}

type Worth = BenchAnswer["choice"]["worths"][number];

/** What the bag with each build in it saves, so that the runner-up's case stands beside the choice. */
function Worths({ choice }: { choice: BenchAnswer["choice"] }) {
	const sums = choice.worths.flatMap((each) => {
		const parts = each.lines.map((line) => line.strokes);
		const over = (sign: 1 | -1) =>
			parts.filter((part) => part * sign > 0).reduce((sum, part) => sum + part, 0);
		return [each.low, each.high, over(1), over(-1)];
	});
	const ends = [Math.min(0, ...sums), Math.max(0.1, ...sums)] as const;
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
						<td className="w-full">
							<WorthBar worth={each} ends={ends} />
							<span className="quiet block text-[12.5px]">
								{t("bench-to", { low: figure(each.low, 1), high: figure(each.high, 1) })}
								{each.lines.length > 0 && `: ${worthWords(each.lines)}`}
							</span>
						</td>
					</tr>
				))}
			</tbody>
		</table>
	);
}

const WIDE = 240;
/** Parts after the first are paler. */
const SHADES = [1, 0.62, 0.4, 0.26, 0.16];

/** What a build saves by its parts, end to end: what it costs to the left of nought; what it comes to, with its doubt. */
function WorthBar({ worth, ends: [low, high] }: { worth: Worth; ends: readonly [number, number] }) {
	const at = (strokes: number) => ((strokes - low) / (high - low)) * WIDE;
	const colour = letterColour(worth.letter);
	let [gained, lost] = [0, 0];
	const parts = worth.lines.map((each) => {
		const from = each.strokes < 0 ? lost : gained;
		if (each.strokes < 0) lost += each.strokes;
		else gained += each.strokes;
		const [left, right] = [at(Math.min(from, from + each.strokes)), at(Math.max(from, from + each.strokes))];
		return { line: each.line, left, wide: right - left };
	});
	return (
		<svg
			viewBox={`0 0 ${WIDE} 22`}
			className="block h-[22px] w-full"
			preserveAspectRatio="none"
			aria-hidden="true"
		>
			{parts.map((part, index) => (
				<rect
					key={part.line}
					x={part.left}
					y="4"
					width={Math.max(part.wide, 0)}
					height="9"
					fill={colour}
					fillOpacity={SHADES[index] ?? 0.12}
				/>
			))}
			<path d={`M${at(0)} 0v22`} stroke="currentColor" strokeWidth="1" vectorEffect="non-scaling-stroke" />
			<path
				d={`M${at(worth.low)} 18H${at(worth.high)}`}
				stroke={colour}
				strokeWidth="2"
				vectorEffect="non-scaling-stroke"
			/>
			<path
				d={`M${at(worth.saves)} 14v8`}
				stroke={colour}
				strokeWidth="3"
				vectorEffect="non-scaling-stroke"
			/>
		</svg>
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
						className="select h-11 w-44"
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
						<span className="min-w-0 flex-1 break-words">{job.job}</span>
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
						<span className="shrink-0 text-right">
							<span className="num">{percent(job.success)}</span>{" "}
							<span className="quiet text-[12.5px]">
								{t("bench-nine-times-ten", { low: percent(job.low), high: percent(job.high) })}
							</span>
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
			{there.length > 0 && (
				<div className="mb-3">
					<h3 className="mb-1.5">{t("bench-one-really-better")}</h3>
					<div className="join mb-2" role="group" aria-label={t("bench-better-what")}>
						{there.map((each) => (
							<button
								key={each.id}
								type="button"
								aria-pressed={each.id === metric}
								className={`btn join-item btn-sm h-11 px-2.5 ${each.id === metric ? "btn-primary" : "border-base-300 bg-base-100"}`}
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
				</div>
			)}
			<Otherwise lines={session.bag.stand} />
		</section>
	);
}

const FIRST = 4;

/** What builds differ in besides their heads: the first few, and all of them where they are asked for. */
function Otherwise({ lines }: { lines: readonly string[] }) {
	if (lines.length === 0) return null;
	const list = (some: readonly string[]) => (
		<ul className="space-y-1 text-[14.5px]">
			{some.map((line) => (
				<li key={line}>{line}</li>
			))}
		</ul>
	);
	return (
		<>
			<h3 className="mb-1">{t("bench-what-else-differs")}</h3>
			{list(lines.slice(0, FIRST))}
			{lines.length > FIRST && (
				<details>
					<summary className="flex min-h-11 cursor-pointer items-center underline">
						{t("bench-more-differences", { more: lines.length - FIRST })}
					</summary>
					{list(lines.slice(FIRST))}
				</details>
			)}
		</>
	);
}
