/** Comparing and judging: the flights, the landing zone, the metrics against the window, the verdicts. */

import { Link } from "react-router";
import type { Bench as BenchAnswer, Session } from "../../api/client";
import { useBench } from "../../api/session";
import { type ProtocolKey, protocolKeys } from "../../api/words";
import { useCommands } from "../../commands/commands";
import { inGroup, type Row } from "../../commands/rows";
import { FlightBoard } from "../../instruments/flight-board/FlightBoard";
import { PANELS } from "../../protocols";
import { t } from "../../said/words";
import { Claims } from "../../session/Claims";
import { boardClub } from "../../session/flights";
import type { PlaceProps } from "../../session/place";
import { candidatesOf, windowsOf } from "../../session/select";
import { usePartInAddress } from "../../ui/address";
import { Letter } from "../../ui/Letter";
import { Said, Waiting } from "../../ui/Said";
import { Tabs } from "../../ui/Tabs";
import { Flights } from "./Flights";
import { Metrics } from "./Metrics";
import { WhatIf } from "./WhatIf";
import { type Question, Which } from "./Which";

/** A small count as a sentence has it. */
const inWords = (count: number) =>
	["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"][count] ??
	String(count);

/** With what to go on. */
const moreOf = ({ more, more_with, more_in_vain }: BenchAnswer["choice"]) =>
	more_in_vain
		? t("bench-even-more-with-would-hardly", { more, moreWith: more_with })
		: t("bench-about-more-with", { more, moreWith: more_with });

const TABS = [
	{ id: "which", name: t("bench-which"), key: "w" },
	{ id: "flight", name: t("bench-flight"), key: "f" },
	{ id: "tests", name: t("bench-tests"), key: "t" },
	{ id: "what-if", name: t("bench-what-if"), key: "i" },
] as const;
type Tab = (typeof TABS)[number]["id"];

export function Bench({ session, act, busy }: PlaceProps) {
	const bench = useBench(session);
	const [tab, setTab] = usePartInAddress<Tab>(
		"tab",
		TABS.map((each) => each.id),
		"which",
	);
	useCommands(
		"bench",
		inGroup(
			t("app-bench"),
			TABS.map((each): Row => [each.id, each.name, each.key, undefined, () => setTab(each.id)]),
		),
	);
	if (candidatesOf(session).length === 0) return <NothingOnTheStand session={session} act={act} />;
	return (
		<div className="flex min-h-full flex-col">
			{/* What is decided stays in sight, whatever is looked at. */}
			<div className="sticky top-0 z-10 flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-base-300 bg-base-100 px-4 py-2">
				<div className="min-w-72 flex-1">
					{bench.data ? (
						<Chosen session={session} choice={bench.data.choice} />
					) : (
						!bench.error && <Waiting what={t("bench-the-decision")} />
					)}
				</div>
				<Link className="btn btn-primary h-11" to={`/sessions/${session.id}/handover`}>
					{t("bench-decide")}
				</Link>
			</div>
			<Tabs tabs={TABS} tab={tab} onTab={setTab} name={t("bench-questions")} />
			<Said error={bench.error} />
			<div className="p-4" role="tabpanel" aria-label={TABS.find((each) => each.id === tab)?.name}>
				{tab === "which" && <Which session={session} bench={bench.data} act={act} busy={busy} />}
				{tab === "flight" && <Flight session={session} bench={bench.data} />}
				{tab === "tests" && <Tests session={session} bench={bench.data} act={act} />}
				{tab === "what-if" && <WhatIf session={session} act={act} busy={busy} />}
			</div>
		</div>
	);
}

/** How they fly: from the side and from above, figure by figure. */
function Flight({ session, bench }: Pick<Question, "session" | "bench">) {
	return (
		<section>
			<div className="mb-1 flex flex-wrap items-baseline gap-x-4">
				<h3 className="text-lg">{t("bench-flight-board")}</h3>
				<p className="quiet text-sm">{t("bench-ellipse-80-kept-shots-whisker")}</p>
			</div>
			{bench ? <Board session={session} bench={bench} /> : <Waiting what={t("bench-the-flights")} />}
			<Metrics session={session} bench={bench} />
			{bench && <Flights session={session} flights={bench.flights} />}
			{bench && (
				<>
					{Object.entries(bench.lies).map(([letter, said]) => (
						<p key={letter} className="mt-1 text-[14.5px]">
							<Letter letter={letter} size={20} /> {said.join(" ")}
						</p>
					))}
					{Object.entries(bench.spans).map(([letter, words]) => (
						<p key={letter} className="mt-1 text-[14.5px]">
							<Letter letter={letter} size={20} /> {words}
						</p>
					))}
				</>
			)}
		</section>
	);
}

/** What came of the tests, and what was said of the clubs beforehand. */
function Tests({ session, bench, act }: Omit<Question, "busy">) {
	if (!bench) return <Waiting what={t("bench-the-tests")} />;
	const none =
		bench.findings.length + bench.results.length + bench.claims.length === 0 && session.soles.length === 0;
	return (
		<div className="max-w-5xl">
			{none && <p className="quiet">{t("bench-no-test-yet")}</p>}
			<Findings session={session} bench={bench} />
			{bench.eases && <p className="mt-1 text-[14.5px]">{bench.eases}</p>}
			<Tested session={session} bench={bench} act={act} />
			<Claims claims={bench.claims} />
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

function Board({ session, bench }: { session: Session; bench: BenchAnswer }) {
	return (
		<FlightBoard
			clubs={bench.lines.map((line) => boardClub(session, line))}
			neighbours={bench.neighbours.map((line) => boardClub(session, line))}
			windows={windowsOf(session)}
		/>
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
