/** Hitting: the build in hand, the last shot large, its place against the window, what to hit next. */
import { useMemo, useState } from "react";
import type { Build, Session, Shot } from "../api/client";
import { change, useBench } from "../api/session";
import { type Command, CommandBar, useCommands } from "../app/commands";
import type { PlaceProps } from "../app/SessionFrame";
import { CarryMap } from "../instruments/CarryMap";
import { SideView } from "../instruments/FlightBoard";
import { Gate } from "../instruments/Gate";
import { type Span, spanOf } from "../instruments/scale";
import { Letter, letterColour } from "../ui/Letter";
import { Caution } from "../ui/Said";
import { figure, READINGS, reading, side, toYards, wish, yd } from "../ui/units";
import { NewSetting, PickBuild } from "./BayDialogs";
import {
	boardClub,
	buildOf,
	candidatesOf,
	carriesOf,
	mapProps,
	ownOf,
	shotsOf,
	targetOf,
	windowsOf,
} from "./model";
import { StandInPanel } from "./StandInPanel";

const TAGS = [
	{ strike: "toe", key: "t" },
	{ strike: "heel", key: "l" },
	{ strike: "thin", key: "n" },
	{ strike: "fat", key: "y" },
] as const;

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
	const [dialog, setDialog] = useState<"setting" | "move" | null>(null);
	const [undo, setUndo] = useState<{ what: string; back: () => Promise<Session> }[]>([]);
	const agreed = session.status === "agreed";
	const none = agreed ? "The session is agreed" : shot ? undefined : "No shot yet";
	const span = gateSpan(session);

	const doing = (what: string, go: () => Promise<Session>, back: () => Promise<Session>) => {
		act(go);
		setUndo((before) => [...before, { what, back }]);
	};
	const aside = (each: Shot) =>
		doing(
			each.aside ? "bringing back" : "setting aside",
			() => change.aside(each.id, !each.aside, each.strike || "by the fitter"),
			() => change.aside(each.id, each.aside, each.aside_reason),
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
				const was = shot.strike as "" | "toe" | "heel" | "thin" | "fat";
				doing(
					"the strike",
					() => change.strike(shot.id, was === tag.strike ? "" : tag.strike),
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
			id: "undo",
			name: "Undo",
			keys: "z",
			shown: "Z",
			group: "Bay",
			blocked: undo.length ? undefined : "Nothing to undo",
			run: () => {
				const last = undo.at(-1);
				if (last) act(last.back);
				setUndo((before) => before.slice(0, -1));
			},
		},
		{
			id: "setting",
			name: "Setting",
			keys: "s",
			shown: "S",
			group: "Bay",
			blocked: agreed ? "The session is agreed" : build?.sleeve_deg ? undefined : "No sleeve on this build",
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
	useCommands(
		"stand",
		candidatesOf(session).map((each) => ({
			id: `hand-${each.letter}`,
			name: `Take ${each.name} in hand`,
			keys: each.letter.toLowerCase(),
			shown: each.letter,
			group: "On the stand",
			blocked: agreed ? "The session is agreed" : undefined,
			run: () => act(() => change.inHand(session.id, each.id)),
		})),
	);

	return (
		<div className="grid min-h-full grid-cols-[15.5rem_1fr] xl:grid-cols-[17.5rem_1fr_17rem]">
			<Stand
				session={session}
				span={span}
				onTake={(id) => !agreed && act(() => change.inHand(session.id, id))}
			/>
			<section className="flex min-w-0 flex-col gap-4 p-5">
				<InHand session={session} build={build} live={live} />
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
				<ShotRow shots={shots} shot={shot} colour={letterColour(build?.letter ?? "")} onTouch={touch} />
				{build && <Flights session={session} build={build} />}
				<div className="mt-auto">
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
				</section>
				{session.bag.plan && <CarryMap {...mapProps(session)} small />}
				{!agreed && <StandInPanel session={session} />}
				<Caution>
					One person swings at a time, nobody level with or ahead of the ball. Check that a changed head is
					tight.
				</Caution>
			</aside>
			{dialog === "setting" && build && (
				<NewSetting build={build} act={act} onClose={() => setDialog(null)} />
			)}
			{dialog === "move" && shot && (
				<PickBuild
					session={session}
					shot={shot}
					onPick={(id) => {
						doing(
							"the move",
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
	const bench = useBench(session.id);
	if (!bench.data) return null;
	const mine = [...bench.data.lines, ...bench.data.neighbours].filter((line) => line.build === build.id);
	if (mine.length === 0) return null;
	return (
		<div className="max-w-3xl">
			<SideView
				clubs={mine.map((line) => boardClub(session, line))}
				neighbours={bench.data.neighbours
					.filter((line) => line.build !== build.id)
					.map((line) => boardClub(session, line))}
				window={windowFor(session, build) ?? null}
				height={168}
			/>
		</div>
	);
}

/** One scale for every gate of the session: the window and all kept candidate shots. */
function gateSpan(session: Session): Span {
	const shots = candidatesOf(session).flatMap((build) => carriesOf(session, build.id));
	const windows = windowsOf(session).flatMap((window) => [window.low, window.high]);
	const own = candidatesOf(session).length
		? []
		: ownOf(session).flatMap((build) => carriesOf(session, build.id));
	return spanOf([...shots, ...windows, ...own], 10, 3);
}

function windowFor(session: Session, build: Build) {
	const verdict = session.verdicts.find((each) => each.build === build.id);
	return build.letter ? windowsOf(session)[verdict?.slot ?? 0] : undefined;
}

function Stand({ session, span, onTake }: { session: Session; span: Span; onTake: (id: number) => void }) {
	const own = ownOf(session).filter((build) => build.head_type !== "putter");
	const [showOwn, setShowOwn] = useState(candidatesOf(session).length === 0);
	return (
		<aside className="border-r border-base-300 bg-base-100">
			<h2 className="px-4 pt-4 pb-1 text-lg">On the stand</h2>
			{candidatesOf(session).length === 0 && (
				<p className="quiet px-4 text-sm">Nothing yet. Pick candidates on the Bag, key K.</p>
			)}
			<ul>
				{candidatesOf(session).map((build) => (
					<li key={build.id}>
						<button
							type="button"
							className={`block w-full cursor-pointer border-l-4 px-3 py-2.5 text-left ${build.id === session.in_hand ? "bg-base-200" : "border-transparent"}`}
							style={build.id === session.in_hand ? { borderColor: letterColour(build.letter) } : undefined}
							aria-pressed={build.id === session.in_hand}
							onClick={() => onTake(build.id)}
						>
							<span className="flex items-center gap-2">
								<Letter letter={build.letter} />
								<span className="num text-[17px]">{build.name}</span>
								<span className="quiet ml-auto text-sm">
									{build.kept} kept{build.set_aside ? `, ${build.set_aside} aside` : ""}
								</span>
							</span>
							{build.turned_from && (
								<span className="quiet block text-[13px]">
									turned from {build.turned_from}: {build.detail}
								</span>
							)}
							<Gate
								span={span}
								low={windowFor(session, build)?.low ?? null}
								high={windowFor(session, build)?.high ?? null}
								dots={carriesOf(session, build.id)}
								mark={build.carry_m === null ? null : toYards(build.carry_m)}
								colour={letterColour(build.letter)}
								height={24}
								label={`Carries of ${build.letter} against the window`}
							/>
							<span className="flex justify-between text-sm">
								<span>
									<span className="quiet">carry</span> <span className="num">{yd(build.carry_m)}</span>
								</span>
								<span className="quiet">{settledWords(session, build)}</span>
							</span>
						</button>
					</li>
				))}
			</ul>
			<button
				type="button"
				className="min-h-11 w-full cursor-pointer px-4 text-left text-sm underline"
				onClick={() => setShowOwn(!showOwn)}
			>
				{showOwn ? "Hide the player’s own clubs" : "The player’s own clubs"}
			</button>
			{showOwn && (
				<ul className="grid grid-cols-3 gap-1 px-3 pb-3">
					{own.map((build) => (
						<li key={build.id}>
							<button
								type="button"
								aria-pressed={build.id === session.in_hand}
								className={`min-h-12 w-full cursor-pointer text-center ${build.id === session.in_hand ? "bg-primary text-primary-content" : "bg-base-200"}`}
								onClick={() => onTake(build.id)}
							>
								<span className="num block">{build.name}</span>
								<span className="block text-[12px]">{build.kept ? yd(build.carry_m) : "not hit"}</span>
							</button>
						</li>
					))}
				</ul>
			)}
		</aside>
	);
}

function settledWords(session: Session, build: Build): string {
	const verdict = session.verdicts.find((each) => each.build === build.id);
	if (build.half_width_m === null) return "not hit";
	const within = `±${yd(build.half_width_m, 1)}`;
	if (build.settled) return `settled, ${within}`;
	if (verdict?.settled) return (verdict.chance ?? 0) < 0.5 ? "clear of the window" : "settled";
	const more = verdict?.more ?? build.more;
	return more ? `${within}, ${more} more settles` : within;
}

function InHand({
	session,
	build,
	live,
}: {
	session: Session;
	build: Build | undefined;
	live: PlaceProps["live"];
}) {
	return (
		<div className="flex items-center gap-3">
			{build && (build.letter ? <Letter letter={build.letter} size={30} /> : null)}
			<h2 className="min-w-0 flex-1 truncate text-[22px]">
				{build ? build.name : "No build in hand"}{" "}
				<span className="quiet text-[16px] font-normal">
					{build?.detail}
					{build?.shaft ? `, ${build.shaft}` : ""}
				</span>
			</h2>
			<span
				className={`flex shrink-0 items-center gap-2 ${live === "lost" ? "hole-text" : ""}`}
				role="status"
			>
				<span
					className={`inline-block h-3 w-3 rounded-full border-2 ${live === "live" ? "bg-current" : ""}`}
				/>
				{live === "live"
					? session.stand_in
						? "Stand-in hitting"
						: "Feed open"
					: live === "lost"
						? "Feed lost, trying again"
						: "Opening the feed"}
			</span>
		</div>
	);
}

function LastShot({
	session,
	build,
	shot,
	span,
}: {
	session: Session;
	build: Build;
	shot: Shot;
	span: Span;
}) {
	const window = windowFor(session, build);
	const carry = shot.readings.carry_m === undefined ? null : toYards(shot.readings.carry_m);
	const slot = session.verdicts.find((each) => each.build === build.id)?.slot ?? 0;
	return (
		<div>
			<div className="flex items-end gap-6">
				<p
					className={`num text-[9.5rem] leading-[0.8] tracking-tight ${shot.aside ? "quiet line-through" : ""}`}
					data-testid="last-carry"
				>
					{figure(carry)}
				</p>
				<div className="pb-1 text-[21px] leading-snug">
					<p className="quiet">carry, yd</p>
					<p className="font-semibold">{place(carry, window)}</p>
					{(shot.strike || shot.aside) && (
						<p className="quiet text-[17px]">
							{shot.aside ? `set aside${shot.aside_reason ? `, ${shot.aside_reason}` : ""}` : shot.strike}
						</p>
					)}
					{shot.question && <p className="hole-text text-[17px]">Odd: {shot.question}</p>}
				</div>
			</div>
			<div className="mt-4">
				<Gate
					span={span}
					low={window?.low ?? null}
					high={window?.high ?? null}
					dots={carriesOf(session, build.id)}
					mark={null}
					last={carry}
					colour={letterColour(build.letter)}
					labels
					height={46}
					label="Carries of this build against the window, yards"
				/>
			</div>
			<dl className="mt-3 grid grid-cols-3 gap-x-6 gap-y-3 md:grid-cols-6">
				{(["landing_deg", "peak_m", "spin_rpm", "ball_speed_mps", "launch_deg", "offline_m"] as const).map(
					(key) => {
						const target = build.letter ? targetOf(session, slot, key) : undefined;
						const source = shot.sources[key];
						return (
							<div key={key}>
								<dt className="quiet text-sm">{READINGS[key]?.label}</dt>
								<dd className="num text-[27px] leading-tight">
									{key === "offline_m" ? side(shot.readings[key]) : reading(key, shot.readings[key])}
									<span className="quiet ml-1 text-[14px] font-normal">
										{READINGS[key]?.unit === "°" ? "" : READINGS[key]?.unit}
									</span>
								</dd>
								<dd className="quiet text-[13px]">
									{target ? wish(key, target.low, target.high) : ""}
									{source && source !== "measured" ? `${target ? ", " : ""}${source}` : ""}
								</dd>
							</div>
						);
					},
				)}
			</dl>
		</div>
	);
}

function place(carry: number | null, window: { low: number; high: number } | undefined): string {
	if (carry === null || !window) return "";
	if (carry < window.low) return `${Math.max(1, Math.round(window.low - carry))} short of the window`;
	if (carry > window.high) return `${Math.max(1, Math.round(carry - window.high))} long of the window`;
	return "In the window";
}

interface RowProps {
	shots: Shot[];
	shot: Shot | undefined;
	colour: string;
	onTouch: (id: number) => void;
}

function ShotRow({ shots, shot, colour, onTouch }: RowProps) {
	return (
		<ol className="flex flex-wrap gap-1.5" aria-label="Shots of this build">
			{shots.map((each, index) => (
				<li key={each.id}>
					<button
						type="button"
						className={`min-h-16 w-18 cursor-pointer border-b-3 bg-base-100 px-2 py-1 text-left ${each.id === shot?.id ? "outline-2" : ""}`}
						style={{ borderColor: each.aside ? "transparent" : colour }}
						aria-pressed={each.id === shot?.id}
						aria-label={`Shot ${index + 1}, carry ${yd(each.readings.carry_m)}${each.aside ? ", set aside" : ""}`}
						onClick={() => onTouch(each.id)}
					>
						<span className="quiet block text-[12px]">{index + 1}</span>
						<span className={`num block text-[19px] leading-tight ${each.aside ? "quiet line-through" : ""}`}>
							{yd(each.readings.carry_m)}
						</span>
						<span className={`block text-[12px] ${each.question ? "hole-text" : "quiet"}`}>
							{each.strike || (each.aside ? "aside" : each.question ? "odd?" : "\u00a0")}
						</span>
					</button>
				</li>
			))}
		</ol>
	);
}
