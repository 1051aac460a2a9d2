/** Hitting: the build in hand, the last shot large, its place against the window, what to hit next. */
import { useMemo, useState } from "react";
import type { Build, DayKind, Lie, Session, Shot } from "../../api/client";
import { change, useBench } from "../../api/session";
import { VOCABULARY } from "../../api/vocabulary";
import { type Command, CommandBar, useCommands } from "../../commands/commands";
import { CarryMap } from "../../instruments/carry-map/CarryMap";
import { SideView } from "../../instruments/flight-board/FlightBoard";
import { boardClub } from "../../session/flights";
import { gateSpan, windowFor } from "../../session/gates";
import { mapProps } from "../../session/maps";
import type { PlaceProps } from "../../session/place";
import { buildOf, candidatesOf, shotsOf } from "../../session/select";
import { letterColour } from "../../ui/Letter";
import { Caution } from "../../ui/Said";
import { NewSetting, PickBuild, WantedShot } from "./Dialogs";
import { Copy, InHand, LastShot, ShotRow, SoFar } from "./LastShot";
import { FeltSheet, nextMode, PlayerPanel, PlayerSheet, showing } from "./PlayerPanel";
import { BayStand } from "./Stand";
import { StandInPanel } from "./StandInPanel";
import { Tray } from "./Tray";

const TAGS = [
	{ strike: "toe", key: "t" },
	{ strike: "heel", key: "l" },
	{ strike: "high", key: "k" },
	{ strike: "low", key: "j" },
	{ strike: "thin", key: "n" },
	{ strike: "fat", key: "y" },
] as const;

/** From these a shot speaks for the club. */
const CLEAN: readonly Lie[] = VOCABULARY.cleanLies;
const LIES: (Lie | null)[] = [null, ...VOCABULARY.lies];
const DAYS: DayKind[] = ["usual", "fast", "slow"];

/** Something done that can be taken back. now: how the session looks at once when it is. */
interface Done {
	what: string;
	back: () => Promise<Session>;
	now: (session: Session) => Session;
}

/** A session in which one shot is otherwise. */
const withShot =
	(id: number, now: Partial<Shot>) =>
	(session: Session): Session => ({
		...session,
		shots: session.shots.map((shot) => (shot.id === id ? { ...shot, ...now } : shot)),
	});

/** The shot that keys act on: the one that was touched, else the last one. */
function useShotInWork(session: Session, build: Build | undefined) {
	const [touched, setTouched] = useState<number | null>(null);
	const shots = useMemo(() => (build ? shotsOf(session, build.id) : []), [session, build]);
	const shot = shots.find((each) => each.id === touched) ?? shots.at(-1);
	return { shots, shot, touch: setTouched };
}

export function Bay({ session, act, live }: PlaceProps) {
	const build = buildOf(session, session.in_hand);
	const { shots, shot, touch } = useShotInWork(session, build);
	const [dialog, setDialog] = useState<"setting" | "move" | "wanted" | "player" | "felt" | null>(null);
	const [undo, setUndo] = useState<Done[]>([]);
	const agreed = session.status === "agreed";
	const none = agreed ? "The session is agreed" : shot ? undefined : "No shot yet";
	const span = gateSpan(session);

	/** Do something to a shot. now: how the shot looks at once, until the server has said so. */
	const doing = (
		what: string,
		each: Shot,
		now: Partial<Shot>,
		go: () => Promise<Session>,
		back: () => Promise<Session>,
	) => {
		act(go, withShot(each.id, now));
		const before = Object.fromEntries(Object.keys(now).map((key) => [key, each[key as keyof Shot]]));
		setUndo((so) => [...so, { what, back, now: withShot(each.id, before) }]);
	};
	const aside = (each: Shot) => {
		const reason = each.aside ? "" : (each.strike ?? "by the fitter");
		doing(
			each.aside ? "bringing back" : "setting aside",
			each,
			{ aside: !each.aside, aside_reason: reason, counts: each.aside },
			() => change.aside(each.id, !each.aside, reason),
			() => change.aside(each.id, each.aside, each.aside_reason),
		);
	};
	const counts = (each: Shot, over: Partial<Pick<Shot, "misread" | "distance" | "line">>) => {
		const { misread, distance, line } = each;
		const before = { misread, distance, line };
		doing(
			"what counts",
			each,
			over,
			() => change.counts(each.id, { ...before, ...over }),
			() => change.counts(each.id, before),
		);
	};
	const take = (id: number) =>
		act(
			() => change.inHand(session.id, id),
			(seen) => ({ ...seen, in_hand: id }),
		);
	const from = (lie: Lie | null) =>
		act(
			() => change.hitFrom(session.id, lie),
			(seen) => ({ ...seen, lie }),
		);
	const commands: Command[] = [
		...TAGS.map((tag) => ({
			id: tag.strike,
			name: tag.strike[0]?.toUpperCase() + tag.strike.slice(1),
			keys: tag.key,
			shown: tag.key.toUpperCase(),
			group: "Bay",
			blocked: none,
			run: () => {
				if (!shot) return;
				const was = shot.strike;
				const strike = was === tag.strike ? null : tag.strike;
				doing(
					"the strike",
					shot,
					{ strike },
					() => change.strike(shot.id, strike),
					() => change.strike(shot.id, was),
				);
			},
		})),
		{
			id: "aside",
			name: shot?.aside ? "Bring back" : "Set aside",
			keys: "x",
			shown: "X",
			group: "Bay",
			blocked: none,
			run: () => shot && aside(shot),
		},
		{
			id: "misread",
			name: shot?.misread ? "Read well" : "Misread",
			keys: "q",
			shown: "Q",
			group: "Bay",
			blocked: none,
			run: () => shot && counts(shot, { misread: !shot.misread }),
		},
		{
			id: "line",
			name: shot?.line === false ? "Line counts" : "No line",
			keys: "i",
			shown: "I",
			group: "Bay",
			blocked: none,
			run: () => shot && counts(shot, { line: !shot.line, distance: true }),
		},
		{
			id: "distance",
			name: shot?.distance === false ? "Distance counts" : "No distance",
			keys: "u",
			shown: "U",
			group: "Bay",
			blocked: none,
			run: () => shot && counts(shot, { distance: !shot.distance, line: true }),
		},
		{
			id: "wanted",
			name: session.intent === "stock" ? "Shot wanted" : `Wanted: ${session.intent}`,
			keys: "w",
			shown: "W",
			group: "Bay",
			blocked: agreed ? "The session is agreed" : undefined,
			run: () => setDialog("wanted"),
		},
		{
			id: "pin",
			name: shot && session.pinned === shot.id ? "Not to copy" : "To copy",
			keys: "p",
			shown: "P",
			group: "Bay",
			blocked: none,
			run: () => {
				if (!shot) return;
				const pinned = session.pinned !== shot.id;
				act(
					() => change.pin(shot.id, pinned),
					(seen) => ({ ...seen, pinned: pinned ? shot.id : null }),
				);
			},
		},
		{
			id: "swing",
			name: "Swing changed",
			keys: "v",
			shown: "V",
			group: "Bay",
			blocked: agreed ? "The session is agreed" : undefined,
			run: () => {
				act(() => change.swing(session.id, true));
				setUndo((so) => [
					...so,
					{ what: "the word on the swing", back: () => change.swing(session.id, false), now: (seen) => seen },
				]);
			},
		},
		{
			id: "undo",
			name: "Undo",
			keys: "z",
			shown: "Z",
			group: "Bay",
			blocked: undo.length ? undefined : "Nothing to undo",
			run: () => {
				const last = undo.at(-1);
				if (last) act(last.back, last.now);
				setUndo((before) => before.slice(0, -1));
			},
		},
		{
			id: "setting",
			name: "Setting",
			keys: "s",
			shown: "S",
			group: "Bay",
			blocked: agreed
				? "The session is agreed"
				: build?.settings_deg.length
					? undefined
					: "No sleeve on this build",
			run: () => setDialog("setting"),
		},
		{
			id: "move",
			name: "Move",
			keys: "m",
			shown: "M",
			group: "Bay",
			blocked: none,
			run: () => setDialog("move"),
		},
	];
	useCommands("bay", commands);
	useCommands("day", [
		{
			id: "lie",
			name: "Hit from another lie",
			keys: "r",
			shown: "R",
			group: "Now and then",
			blocked: agreed ? "The session is agreed" : undefined,
			run: () => from(LIES[(LIES.indexOf(session.lie) + 1) % LIES.length] ?? null),
		},
		{
			id: "player",
			name: "Next mode of the player’s screen",
			keys: "9",
			shown: "9",
			group: "Now and then",
			blocked: agreed ? "The session is agreed" : undefined,
			run: () => act(...showing(session, { mode: nextMode(session) })),
		},
		{
			id: "felt",
			name: "What the player felt",
			keys: "8",
			shown: "8",
			group: "Now and then",
			blocked: agreed ? "The session is agreed" : undefined,
			run: () => setDialog("felt"),
		},
		{
			id: "day",
			name: "A usual, fast or slow day",
			keys: "o",
			shown: "O",
			group: "Now and then",
			blocked: agreed ? "The session is agreed" : undefined,
			run: () =>
				act(() => change.day(session.id, DAYS[(DAYS.indexOf(session.day) + 1) % DAYS.length] ?? "usual")),
		},
	]);
	useCommands(
		"stand",
		candidatesOf(session).map((each) => ({
			id: `hand-${each.letter}`,
			name: `Take ${each.name} in hand`,
			keys: each.letter.toLowerCase(),
			shown: each.letter,
			group: "On the stand",
			blocked: agreed ? "The session is agreed" : undefined,
			run: () => take(each.id),
		})),
	);

	return (
		<div className="grid min-h-full grid-cols-[15.5rem_1fr] xl:grid-cols-[17.5rem_1fr_17rem]">
			<BayStand session={session} span={span} onTake={(id) => !agreed && take(id)} />
			<section className="flex min-w-0 flex-col gap-4 p-5">
				<InHand session={session} build={build} live={live} />
				<p className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[15px]" data-testid="run-bar">
					<label className="flex items-center gap-2">
						<span className="quiet">
							<span className="key">R</span> from
						</span>
						<select
							className="select h-9 w-40"
							aria-label="What is hit from next"
							value={session.lie ?? ""}
							disabled={agreed}
							onChange={(event) => from((event.target.value || null) as Lie | null)}
						>
							<option value="">{session.surface}</option>
							{VOCABULARY.lies.map((lie) => (
								<option key={lie} value={lie}>
									{lie.replace("_", " ")}
								</option>
							))}
						</select>
					</label>
					<span>
						<span className="quiet">swing</span> {session.intent}
					</span>
					{session.lie && !CLEAN.includes(session.lie) && (
						<span className="quiet">Says what the lie does: not counted in what the club does.</span>
					)}
				</p>
				<Tray session={session} build={build} />
				<p className="font-semibold xl:hidden">{session.next}</p>
				{build && shot ? (
					<LastShot session={session} build={build} shot={shot} span={span} />
				) : (
					<p className="quiet py-16 text-center text-xl">
						{build
							? "Hit the first shot: it appears here by itself."
							: "Take a build in hand on the left, then hit."}
					</p>
				)}
				<ShotRow
					session={session}
					shots={shots}
					shot={shot}
					colour={letterColour(build?.letter ?? "")}
					onTouch={touch}
				/>
				{build && shot && <Copy session={session} shot={shot} />}
				{build && <SoFar build={build} />}
				{build && <Flights session={session} build={build} />}
				{/* What is touched after every shot stays in reach: on a tablet before what is looked at now and then, on a
				    wide screen at the bottom, however many shots there are. */}
				<div className="order-1 xl:sticky xl:bottom-0 xl:z-10 xl:order-2 xl:-mx-5 xl:mt-auto xl:-mb-5 xl:bg-base-200 xl:px-5 xl:py-3">
					<CommandBar group="Bay" />
				</div>
			</section>
			<aside className="col-span-full grid content-start gap-5 border-l border-base-300 bg-base-100 p-4 md:grid-cols-3 xl:col-span-1 xl:grid-cols-1">
				<section className="hidden xl:block">
					<h2 className="mb-1 text-lg">Next</h2>
					<p className="text-[17px] font-medium">{session.next}</p>
				</section>
				<section>
					<h2 className="mb-1">Steady?</h2>
					<p className={session.tired ? "hole-text font-semibold" : "quiet"}>{session.steady}</p>
					{session.swing > 1 && (
						<p className="text-[14.5px]">The swing was changed: only shots since then count.</p>
					)}
					{[session.day_words, session.monitor].filter(Boolean).map((words) => (
						<p key={words} className="hole-text text-[14.5px] font-semibold">
							{words}
						</p>
					))}
					<select
						className="select mt-1 h-10 w-full"
						aria-label="What kind of day it is"
						value={session.day}
						disabled={agreed}
						onChange={(event) => act(() => change.day(session.id, event.target.value as DayKind))}
					>
						<option value="usual">A usual day</option>
						<option value="fast">A fast day: everything flies</option>
						<option value="slow">A slow day</option>
					</select>
				</section>
				{!agreed && <PlayerPanel session={session} act={act} onOpen={() => setDialog("player")} />}
				{session.bag.in_work && <CarryMap {...mapProps(session)} small />}
				{!agreed && <StandInPanel session={session} />}
				<Caution>
					One person swings at a time, nobody level with or ahead of the ball. Check that a changed head is
					tight.
				</Caution>
			</aside>
			{dialog === "setting" && build && (
				<NewSetting build={build} act={act} onClose={() => setDialog(null)} />
			)}
			{dialog === "player" && <PlayerSheet session={session} act={act} onClose={() => setDialog(null)} />}
			{dialog === "felt" && (
				<FeltSheet session={session} act={act} first={build} onClose={() => setDialog(null)} />
			)}
			{dialog === "wanted" && <WantedShot session={session} act={act} onClose={() => setDialog(null)} />}
			{dialog === "move" && shot && (
				<PickBuild
					session={session}
					shot={shot}
					onPick={(id) => {
						doing(
							"the move",
							shot,
							{ build: id },
							() => change.move(shot.id, id),
							() => change.move(shot.id, shot.build),
						);
						setDialog(null);
					}}
					onClose={() => setDialog(null)}
				/>
			)}
		</div>
	);
}

/** The build in hand in the air, between the clubs on both sides. */
function Flights({ session, build }: { session: Session; build: Build }) {
	const bench = useBench(session);
	if (!bench.data) return null;
	const mine = [...bench.data.lines, ...bench.data.neighbours].filter((line) => line.build === build.id);
	if (mine.length === 0) return null;
	const window = windowFor(build);
	return (
		<div className="order-2 max-w-3xl xl:order-1">
			<SideView
				clubs={mine.map((line) => boardClub(session, line))}
				neighbours={bench.data.neighbours
					.filter((line) => line.build !== build.id)
					.map((line) => boardClub(session, line))}
				windows={window ? [window] : []}
				height={168}
			/>
		</div>
	);
}
