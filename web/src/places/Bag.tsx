/** Where is the hole? The carry map, the ladder, the rule and the slots; baseline by file or by typing. */
import { useState } from "react";
import { Link } from "react-router";
import type { Session } from "../api/client";
import { change } from "../api/session";
import { useCommands } from "../app/commands";
import type { PlaceProps } from "../app/SessionFrame";
import { CarryMap, MOST_RINGS } from "../instruments/CarryMap";
import { Ladder } from "../instruments/Ladder";
import { Letter } from "../ui/Letter";
import { yd } from "../ui/units";
import { ClubCard } from "./ClubCard";
import { ImportDialog } from "./ImportDialog";
import { buildOf, candidatesOf, mapProps, rungs } from "./model";
import { RackPicker } from "./RackPicker";

const RULES = [
	{ id: "roll_out", name: "Roll-out meets carry" },
	{ id: "carry_only", name: "Carry only" },
	{ id: "even_steps", name: "Even carry steps" },
] as const;
type Rule = (typeof RULES)[number]["id"];

export function Bag(props: PlaceProps) {
	const { session, act, busy } = props;
	const [importing, setImporting] = useState(false);
	const [picking, setPicking] = useState(false);
	const [flight, setFlight] = useState(false);
	const [chosen, setChosen] = useState<number | null>(null);
	const agreed = session.status === "agreed";
	const gap = (over: Partial<{ rule: Rule; clubs_to_place: number; hole_above: number | null }>) =>
		act(() =>
			change.gap(session.id, {
				rule: session.rule as Rule,
				clubs_to_place: session.clubs_to_place,
				hole_above: session.bag.plan?.lower ?? null,
				...over,
			}),
		);
	useCommands("bag", [
		{
			id: "import",
			name: "Import shots",
			keys: "i",
			shown: "I",
			group: "Bag",
			blocked: agreed ? "Agreed" : undefined,
			run: () => setImporting(true),
		},
		{
			id: "rack",
			name: "Candidates from the rack",
			keys: "k",
			shown: "K",
			group: "Bag",
			blocked: agreed ? "Agreed" : undefined,
			run: () => setPicking(true),
		},
		{
			id: "rule",
			name: "Change the rule",
			keys: "r",
			shown: "R",
			group: "Bag",
			blocked: agreed ? "Agreed" : undefined,
			run: () =>
				gap({
					rule:
						RULES[(RULES.findIndex((each) => each.id === session.rule) + 1) % RULES.length]?.id ?? "roll_out",
				}),
		},
	]);
	const club = chosen === null ? undefined : buildOf(session, chosen);
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_21.5rem]">
			<section className="flex min-w-0 flex-col p-4">
				<div className="flex flex-wrap items-center gap-2">
					<h2 className="mr-auto text-lg">Carry map</h2>
					<div className="join" role="group" aria-label="Rule the holes are drawn by">
						{RULES.map((rule) => (
							<button
								key={rule.id}
								type="button"
								aria-pressed={session.rule === rule.id}
								disabled={busy || agreed}
								className={`btn join-item btn-sm h-10 ${session.rule === rule.id ? "btn-primary" : "border-base-300 bg-base-100"}`}
								onClick={() => gap({ rule: rule.id })}
							>
								{rule.name}
							</button>
						))}
					</div>
					<div className="join" role="group" aria-label="Clubs to place">
						{[1, 2, 3].map((count) => (
							<button
								key={count}
								type="button"
								aria-pressed={session.clubs_to_place === count}
								disabled={busy || agreed}
								className={`btn join-item btn-sm h-10 ${session.clubs_to_place === count ? "btn-primary" : "border-base-300 bg-base-100"}`}
								onClick={() => gap({ clubs_to_place: count })}
							>
								{count} {count === 1 ? "club" : "clubs"}
							</button>
						))}
					</div>
				</div>
				{session.bag.order.length < 2 ? (
					<NoBaseline session={session} onImport={() => setImporting(true)} />
				) : (
					<div className="mx-auto w-full max-w-[62rem] flex-1">
						<CarryMap
							{...mapProps(session)}
							onChooseClub={setChosen}
							onChooseHole={(lower) => gap({ hole_above: lower })}
						/>
					</div>
				)}
				<Stand session={session} onPick={() => setPicking(true)} agreed={agreed} />
			</section>
			<aside className="flex flex-col gap-4 border-l border-base-300 bg-base-100 p-4">
				<div className="flex items-baseline justify-between">
					<h2 className="text-lg">Ladder</h2>
					<button
						type="button"
						className="btn btn-sm h-9 border-base-300 bg-base-100"
						aria-pressed={flight}
						onClick={() => setFlight(!flight)}
					>
						{flight ? "Show steps" : "Show flight"}
					</button>
					<ClubCount session={session} />
				</div>
				<Ladder rungs={rungs(session)} chosen={chosen} onChoose={setChosen} flight={flight} />
				<Remarks session={session} />
				{!agreed && <AddClub session={session} act={act} busy={busy} />}
				{club && (
					<ClubCard
						key={club.id}
						session={session}
						build={club}
						act={act}
						busy={busy}
						onClose={() => setChosen(null)}
					/>
				)}
				<button type="button" className="btn h-11" onClick={() => setImporting(true)} disabled={agreed}>
					<span className="key">I</span> Import shots
				</button>
			</aside>
			{importing && <ImportDialog session={session} onClose={() => setImporting(false)} />}
			{picking && <RackPicker session={session} act={act} busy={busy} onClose={() => setPicking(false)} />}
		</div>
	);
}

/** What the bag says besides its holes: how many clubs belong, where irons stop stepping, flights out of line. */
function Remarks({ session }: { session: Session }) {
	if (session.bag.remarks.length === 0) return null;
	return (
		<section className="bg-base-200 p-3" aria-label="What the bag says">
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

function ClubCount({ session }: { session: Session }) {
	const { club_count: count } = session.bag;
	const most = session.brief.most_clubs;
	const over = count > most;
	return (
		<span className={over ? "hole-text font-semibold" : "quiet text-sm"}>
			{count} of {most} clubs{over ? ": too many" : ""}
		</span>
	);
}

function NoBaseline({ session, onImport }: { session: Session; onImport: () => void }) {
	return (
		<div className="grid flex-1 place-items-center p-10 text-center">
			<div className="max-w-md space-y-4">
				<p className="text-2xl font-semibold">What does {session.customer.name.split(" ")[0]} carry today?</p>
				<p className="quiet">
					Bring in the shots of the monitor as a CSV file, or add clubs on the right and type what each one
					carries. Two clubs are enough to see a step.
				</p>
				<button type="button" className="btn btn-primary h-12 px-8 text-lg" onClick={onImport}>
					Import shots
				</button>
			</div>
		</div>
	);
}

function Stand({ session, onPick, agreed }: { session: Session; onPick: () => void; agreed: boolean }) {
	const candidates = candidatesOf(session);
	return (
		<div className="mt-2">
			<ul className="grid gap-2 sm:grid-cols-2 xl:grid-cols-4">
				{candidates.map((build) => {
					const verdict = session.verdicts.find((each) => each.build === build.id);
					return (
						<li
							key={build.id}
							className="border-t-3 bg-base-100 px-3 py-2"
							style={{ borderColor: `var(--${build.letter})` }}
						>
							<p className="flex items-center gap-2 font-semibold">
								<Letter letter={build.letter} /> <span className="truncate">{build.name}</span>
							</p>
							<p className="truncate">
								<span className="num text-xl">{yd(build.carry_m)}</span>{" "}
								<span className="quiet text-sm">
									carry {build.half_width_m === null ? "" : `±${yd(build.half_width_m, 1)}`}
								</span>
								{build.averages.landing_deg !== undefined && (
									<>
										{" "}
										<span className="num text-xl">{Math.round(build.averages.landing_deg)}°</span>{" "}
										<span className="quiet text-sm">land</span>
									</>
								)}
							</p>
							<p className={verdict?.kind === "one_turn" ? "hole-text font-semibold" : "font-semibold"}>
								{verdict?.headline ?? "Not hit yet"}
							</p>
						</li>
					);
				})}
				{!agreed && candidates.length < 8 && (
					<li>
						<button
							type="button"
							className="btn h-full min-h-14 w-full border-dashed border-base-300 bg-transparent"
							onClick={onPick}
						>
							<span className="key">K</span> Candidates from the rack
						</button>
					</li>
				)}
			</ul>
			<p className="mt-2 flex items-center justify-between text-sm">
				<span className="quiet">
					{candidates.length > MOST_RINGS
						? `The map shows the first ${MOST_RINGS} candidates.`
						: "Outer ring: the bag, carry to roll-out. Inner rings: candidates, a dot for each kept shot."}
				</span>
				{candidates.length > 0 && (
					<Link to={`/sessions/${session.id}/bay`} className="font-semibold underline">
						To the bay
					</Link>
				)}
			</p>
		</div>
	);
}

function AddClub({ session, act, busy }: Pick<PlaceProps, "session" | "act" | "busy">) {
	const [name, setName] = useState("");
	const [carry, setCarry] = useState("");
	const [total, setTotal] = useState("");
	const metres = (text: string) => (text.trim() === "" ? null : Number(text.replace(",", ".")) * 0.9144);
	return (
		<form
			className="flex items-center gap-1.5"
			onSubmit={(event) => {
				event.preventDefault();
				act(() =>
					change.addClub(session.id, { name, typed_carry_m: metres(carry), typed_total_m: metres(total) }),
				);
				setName("");
				setCarry("");
				setTotal("");
			}}
		>
			<input
				className="input h-10 min-w-0 flex-1 px-2"
				placeholder="Club, 5i"
				aria-label="Club to add"
				value={name}
				onChange={(e) => setName(e.target.value)}
				required
			/>
			<input
				className="input h-10 w-18 px-2"
				placeholder="carry"
				aria-label="Carry in yards"
				inputMode="decimal"
				value={carry}
				onChange={(e) => setCarry(e.target.value)}
			/>
			<input
				className="input h-10 w-18 px-2"
				placeholder="total"
				aria-label="Total in yards"
				inputMode="decimal"
				value={total}
				onChange={(e) => setTotal(e.target.value)}
			/>
			<button type="submit" className="btn btn-sm h-10" disabled={busy}>
				Add
			</button>
		</form>
	);
}
