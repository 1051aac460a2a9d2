/** Where is the hole, what closes it, what does the bag become? Map, ladder, stand, short list and plans. */

import { memo, useCallback, useMemo, useRef, useState } from "react";
import { change } from "../../acts";
import type { Session } from "../../api/client";
import { usePlans } from "../../api/session";
import { VOCABULARY } from "../../api/vocabulary";
import { useCommands } from "../../commands/commands";
import { inGroup, type Row } from "../../commands/rows";
import { CarryMap } from "../../instruments/carry-map/CarryMap";
import { FlightLines } from "../../instruments/flight-board/FlightLines";
import { Ladder } from "../../instruments/ladder/Ladder";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import { rungs } from "../../session/ladder";
import { afterOf, type End, mapProps } from "../../session/maps";
import type { PlaceProps } from "../../session/place";
import { buildOf, ownOf } from "../../session/select";
import { RULES } from "../../session/words";
import { useInAddress, usePartInAddress } from "../../ui/address";
import { dropDraft, useDrafted } from "../../ui/draft";
import { Said, Waiting } from "../../ui/Said";
import { Tabs } from "../../ui/Tabs";
import { typedFar } from "../../ui/typed";
import { unitName } from "../../ui/units";
import { Averages } from "./Averages";
import { ClubCard } from "./ClubCard";
import { ImportDialog } from "./ImportDialog";
import { OtherClubs } from "./OtherClubs";
import { columnsOf, keyOf, Plans } from "./Plans";
import { RackPicker } from "./RackPicker";
import { gapChange, RuleBar } from "./Rules";
import { ShortEnd } from "./ShortEnd";
import { ShortList } from "./ShortList";
import { Stand } from "./Stand";

const PARTS = [
	{ id: "stand", name: t("bag-stand"), key: "t" },
	{ id: "list", name: t("bag-short-list"), key: "l" },
	{ id: "plans", name: t("bag-plans"), key: "p" },
	{ id: "wedges", name: t("bag-short-end"), key: "w" },
] as const;
const ENDS: { id: End; name: string }[] = [
	{ id: "whole", name: t("bag-whole-bag") },
	{ id: "short", name: t("bag-short-end") },
	{ id: "long", name: t("bag-long-end") },
];
type Part = (typeof PARTS)[number]["id"];

const Arch = memo(CarryMap);

export function Bag(props: PlaceProps) {
	const { session, act, busy } = props;
	const [sheet, openSheet] = useInAddress("sheet");
	const [club, setClub] = useInAddress("club");
	const chosen = club === null ? null : Number(club);
	const setChosen = useCallback(
		(build: number | null) => setClub(build === null ? null : String(build)),
		[setClub],
	);
	const [part, setPart] = usePartInAddress<Part>(
		"part",
		PARTS.map((each) => each.id),
		session.bag.end === "short" ? "wedges" : "stand",
	);
	const [end, setEnd] = useState<End>(session.bag.short ? session.bag.end : "whole");
	const [shown, setShown] = useState("");
	const [taken, setTaken] = useState("");
	const plans = usePlans(session, part === "plans");
	const agreed = isClosed(session);
	const known = session.bag.order.length >= 2;
	const blocked = agreed ? t("label-agreed") : undefined;
	const close = () => openSheet(null);
	const sheets = { importing: () => openSheet("import"), summing: () => openSheet("averages") };
	const nextRule = RULES[(RULES.findIndex((each) => each.id === session.rule) + 1) % RULES.length];
	const nextEnd = ENDS[(ENDS.findIndex((each) => each.id === end) + 1) % ENDS.length];
	const oneEnd = session.bag.short ? undefined : t("bag-no-wedge-bag");
	useCommands(
		"bag",
		inGroup(t("label-bag"), [
			["import", t("bag-import-shots"), "i", blocked, sheets.importing],
			["rack", t("bag-candidates-from-rack"), "k", blocked, () => openSheet("rack")],
			["other", t("bag-borrowed-own-one-loft"), "o", blocked, () => openSheet("other")],
			[
				"rule",
				t("bag-change-rule"),
				"r",
				blocked,
				() => act(gapChange(session, { rule: nextRule?.id ?? "roll_out" })),
			],
			["averages", t("bag-averages-read-off-screen"), "v", blocked, sheets.summing],
			["end", t("bag-other-end-map"), "e", oneEnd, () => setEnd(nextEnd?.id ?? "whole")],
			...PARTS.map((each): Row => [each.id, each.name, each.key, undefined, () => setPart(each.id)]),
		]),
	);
	const columns = plans.data ? columnsOf(plans.data) : [];
	// Until something is hit, what the builds of the stand should make of the bag.
	const first = plans.data?.found.added.length ? "best" : (plans.data?.expected?.name ?? "best");
	const which = shown || first;
	const plan = columns.find((each, index) => keyOf(each, index) === which) ?? columns[1];
	const planned = part === "plans" ? plan : undefined;
	// The map is drawn anew when what it shows changes, not when a club is chosen beside it.
	const map = useMemo(
		() => mapProps(session, planned && afterOf(session, planned), end),
		[session, planned, end],
	);
	const chooseHole = useCallback(
		(lower: number) =>
			act(
				gapChange(session, {
					wish: "gap",
					gap_above: lower,
					like_for: null,
					flight: null,
					ways: [],
					named: {},
				}),
			),
		[act, session],
	);
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_21.5rem]">
			<section className="flex min-w-0 flex-col p-4">
				<RuleBar session={session} act={act} busy={busy} />
				{known ? (
					<div className={`mx-auto w-full ${part === "stand" ? "max-w-[60rem]" : "max-w-[44rem]"}`}>
						<Arch {...map} onChooseClub={setChosen} onChooseHole={chooseHole} />
						{session.bag.short && <EndSwitch end={end} onEnd={setEnd} />}
					</div>
				) : (
					<NoBaseline session={session} onImport={sheets.importing} />
				)}
				<div className="my-2">
					<Tabs tabs={PARTS} tab={part} onTab={setPart} name={t("bag-below-map")} />
				</div>
				{part === "stand" && (
					<Stand
						session={session}
						onPick={() => openSheet("rack")}
						onList={() => setPart("list")}
						onOther={() => openSheet("other")}
						agreed={agreed}
						act={act}
						busy={busy}
					/>
				)}
				{part === "wedges" && (
					<>
						<ShortEnd session={session} act={act} busy={busy} />
						{!agreed && (
							<button type="button" className="btn mt-3 h-11" onClick={() => openSheet("rack")}>
								<span className="key">K</span> {t("bag-candidates-from-rack")}
							</button>
						)}
					</>
				)}
				{part === "list" && <ShortList session={session} act={act} busy={busy} />}
				{part === "plans" &&
					(plans.data ? (
						<Plans session={session} plans={plans.data} shown={which} onShow={setShown} />
					) : plans.isError ? (
						<Said error={plans.error} />
					) : (
						<Waiting what={t("bag-the-plans")} />
					))}
			</section>
			<Beside
				session={session}
				act={act}
				busy={busy}
				chosen={chosen}
				onChoose={setChosen}
				taken={taken}
				{...sheets}
			/>
			{sheet === "import" && <ImportDialog session={session} onTaken={setTaken} onClose={close} />}
			{sheet === "averages" && <Averages session={session} own={ownOf(session)} act={act} onClose={close} />}
			{sheet === "other" && <OtherClubs session={session} act={act} busy={busy} onClose={close} />}
			{sheet === "rack" && <RackPicker session={session} act={act} busy={busy} onClose={close} />}
		</div>
	);
}

interface BesideProps extends Pick<PlaceProps, "session" | "act" | "busy"> {
	chosen: number | null;
	onChoose: (build: number | null) => void;
	importing: () => void;
	summing: () => void;
	/** What the last file brought in, in words. */
	taken: string;
}

/** The ladder, the club that was chosen on it, and what the bag is filled with. */
function Beside({ session, act, busy, chosen, onChoose, importing, summing, taken }: BesideProps) {
	const [flight, setFlight] = useState(false);
	const agreed = isClosed(session);
	const club = chosen === null ? undefined : buildOf(session, chosen);
	const table = useMemo(() => rungs(session), [session]);
	return (
		<aside className="flex flex-col gap-4 border-l border-base-300 bg-base-100 p-4">
			<div className="flex items-baseline justify-between">
				<h2 className="text-lg">{t("bag-ladder")}</h2>
				<button
					type="button"
					className="no-print btn btn-sm h-11 border-base-300 bg-base-100"
					aria-pressed={flight}
					onClick={() => setFlight(!flight)}
				>
					{flight ? t("bag-show-steps") : t("bag-show-flight")}
				</button>
				<ClubCount session={session} />
			</div>
			<Ladder rungs={table} chosen={chosen} onChoose={onChoose} flight={flight} />
			{flight && <FlightLines clubs={table} />}
			<OutOfFavour session={session} onChoose={onChoose} />
			{club && (
				<ClubCard
					key={club.id}
					session={session}
					build={club}
					act={act}
					busy={busy}
					onClose={() => onChoose(null)}
				/>
			)}
			<Remarks session={session} />
			{!agreed && <AddClub session={session} act={act} busy={busy} />}
			{!agreed && ownOf(session).length === 0 && <UsualSet session={session} act={act} />}
			<button type="button" className="no-print btn h-11" onClick={importing} disabled={agreed}>
				<span className="key">I</span> {t("bag-import-shots")}
			</button>
			<button type="button" className="no-print btn h-11" onClick={summing} disabled={agreed}>
				<span className="key">V</span> {t("bag-averages-read-off-screen")}
			</button>
			<p role="status" className="empty:hidden">
				{session.imports.at(-1)?.undone ? "" : taken}
			</p>
			<Imports session={session} act={act} busy={busy || agreed} />
		</aside>
	);
}

/** Which part of the bag the map is scaled to. */
function EndSwitch({ end, onEnd }: { end: End; onEnd: (end: End) => void }) {
	return (
		<div
			className="no-print flex items-center justify-center gap-1"
			role="group"
			aria-label={t("bag-scale-map")}
		>
			<span className="key">E</span>
			{ENDS.map((each) => (
				<button
					key={each.id}
					type="button"
					aria-pressed={end === each.id}
					className={`btn btn-sm h-11 ${end === each.id ? "btn-primary" : "border-base-300 bg-base-100"}`}
					onClick={() => onEnd(each.id)}
				>
					{each.name}
				</button>
			))}
		</div>
	);
}

/** The files that were taken in; each can be taken back whole, and brought in again. */
function Imports({ session, act, busy }: Pick<PlaceProps, "session" | "act" | "busy">) {
	if (session.imports.length === 0) return null;
	return (
		<ul className="space-y-1 text-sm" aria-label={t("bag-files-taken")}>
			{session.imports.map((file) => (
				<li key={file.id} className="flex items-center justify-between gap-2">
					<span className={`min-w-0 break-words ${file.undone ? "quiet line-through" : ""}`}>
						{file.file_name}
					</span>
					<span className="quiet shrink-0">
						{file.undone ? t("bag-taken-back") : t("bag-shots", { shots: file.shots })}
					</span>
					<button
						type="button"
						className="min-h-11 shrink-0 cursor-pointer underline"
						disabled={busy}
						onClick={() => act(() => change.undoImport(file.id, !file.undone))}
					>
						{file.undone ? t("bag-bring-again") : t("bag-take-back")}
					</button>
				</li>
			))}
		</ul>
	);
}

/** What the bag says besides its holes: how many clubs belong, where irons stop stepping, flights out of line. */
function Remarks({ session }: { session: Session }) {
	if (session.bag.remarks.length === 0) return null;
	return (
		<section className="bg-base-200 p-3" aria-label={t("bag-what-bag-says")}>
			<ul className="space-y-1.5 text-[14.5px]">
				{session.bag.remarks.map((remark) => (
					<li key={remark.sentence} className={remark.what === "count" ? "font-semibold" : ""}>
						{remark.sentence}
					</li>
				))}
			</ul>
		</section>
	);
}

/** Clubs that the player plays no more: in no count and no hole, a press away from coming back. */
function OutOfFavour({ session, onChoose }: { session: Session; onChoose: (id: number) => void }) {
	const out = ownOf(session).filter((build) => build.out_of_favour);
	if (out.length === 0) return null;
	return (
		<ul aria-label={t("bag-out-favour")} className="text-sm">
			{out.map((build) => (
				<li key={build.id}>
					<button
						type="button"
						className="min-h-11 cursor-pointer text-left underline"
						onClick={() => onChoose(build.id)}
					>
						{t("bag-out-favour-2", { name: build.name, outOfFavour: build.out_of_favour })}
					</button>
				</li>
			))}
		</ul>
	);
}

function ClubCount({ session }: { session: Session }) {
	const { club_count: count } = session.bag;
	const most = session.brief.most_clubs;
	const over = count > most;
	return (
		<span className={over ? "hole-text font-semibold" : "quiet text-sm"}>
			{t("bag-of-clubs", { count, most, which: over ? t("bag-too-many-2") : "" })}
		</span>
	);
}

function NoBaseline({ session, onImport }: { session: Session; onImport: () => void }) {
	return (
		<div className="grid flex-1 place-items-center p-10 text-center">
			<div className="max-w-md space-y-4">
				<p className="text-2xl font-semibold">
					{t("bag-what-does-carry-today", { split: session.customer.name.split(" ")[0] })}
				</p>
				<p className="quiet">{t("bag-bring-shots-monitor-as-csv")}</p>
				<button type="button" className="btn btn-primary h-12 px-8 text-lg" onClick={onImport}>
					{t("bag-import-shots")}
				</button>
			</div>
		</div>
	);
}

/** An empty bag laid out with the clubs that are usual at the end that is worked at, to be corrected. */
function UsualSet({ session, act }: Pick<PlaceProps, "session" | "act">) {
	const names = VOCABULARY.usualSets[session.brief.end];
	const [laidOut, setLaidOut] = useState(false); // without a line they are not in the bag yet
	return (
		<button
			type="button"
			className="no-print btn h-auto min-h-14 flex-col items-start gap-0 py-2 text-left"
			disabled={laidOut}
			onClick={() => {
				setLaidOut(true);
				for (const name of names)
					act(() => change.addClub(session.id, { name, typed_carry_m: null, typed_total_m: null }));
			}}
		>
			<span>{t("bag-usual-set", { n: names.length })}</span>
			<span className="quiet text-sm font-normal">{names.join(", ")}</span>
		</button>
	);
}

function AddClub({ session, act, busy }: Pick<PlaceProps, "session" | "act" | "busy">) {
	const form = `add:${session.id}`;
	const [name, setName] = useDrafted(form, "name", "");
	const [carry, setCarry] = useDrafted(form, "carry", "");
	const [total, setTotal] = useDrafted(form, "total", "");
	const first = useRef<HTMLInputElement>(null);
	return (
		<form
			className="no-print flex items-center gap-1.5"
			onSubmit={(event) => {
				event.preventDefault();
				first.current?.focus();
				act(async () => {
					const made = await change.addClub(session.id, {
						name,
						typed_carry_m: typedFar(carry, "carry"),
						typed_total_m: typedFar(total, "total"),
					});
					// What was refused stays to be corrected.
					dropDraft(form);
					return made;
				});
			}}
		>
			<input
				ref={first}
				className="input h-11 min-w-0 flex-1 px-2"
				placeholder={t("bag-club-5i")}
				aria-label={t("bag-club-add")}
				value={name}
				onChange={(e) => setName(e.target.value)}
				required
			/>
			<input
				className="input h-11 w-18 px-2"
				placeholder={t("label-carry-3")}
				aria-label={t("bag-carry-in", { unit: unitName("far") })}
				inputMode="decimal"
				value={carry}
				onChange={(e) => setCarry(e.target.value)}
			/>
			<input
				className="input h-11 w-18 px-2"
				placeholder={t("label-total-2")}
				aria-label={t("bag-total-in", { unit: unitName("far") })}
				inputMode="decimal"
				value={total}
				onChange={(e) => setTotal(e.target.value)}
			/>
			<button type="submit" className="btn h-11" disabled={busy}>
				{t("label-add")}
			</button>
		</form>
	);
}
