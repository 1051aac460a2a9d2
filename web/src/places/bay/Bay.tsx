/** Hitting: the build in hand, the last shot large, its place against the window, what to hit next. */

import { useState } from "react";
import type { DayKind, Seen, Session, Shot } from "../../api/client";
import { change, useTrail } from "../../api/session";
import type { ProtocolKey } from "../../api/words";
import { termOf } from "../../api/words";
import { type Command, CommandBar, useCommands } from "../../commands/commands";
import { CarryMap } from "../../instruments/carry-map/CarryMap";
import { PANELS } from "../../protocols";
import { soleTitle } from "../../protocols/sole/coming";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import { gateSpan } from "../../session/gates";
import { handed } from "../../session/handed";
import { mapProps } from "../../session/maps";
import type { PlaceProps } from "../../session/place";
import { buildOf, candidatesOf } from "../../session/select";
import { letterColour } from "../../ui/Letter";
import { Caution } from "../../ui/Said";
import { type AllOf, CheckClub, called, Selection, TrailSheet } from "./Acts";
import { NewSetting, PickBuild, WantedShot } from "./Dialogs";
import { Flights } from "./Flights";
import { Copy, InHand, LastShot, SoFar } from "./LastShot";
import { NoShot, useMayPretend } from "./NoShot";
import { FeltSheet, nextMode, PlayerPanel, PlayerSheet, showing } from "./PlayerPanel";
import {
	after,
	BALLS,
	hitFrom,
	hitWith,
	LIES,
	meant,
	nextIntent,
	nextLength,
	RunBar,
	RunSheet,
} from "./RunBar";
import { ShotRow } from "./ShotRow";
import { BayStand } from "./Stand";
import { StandInPanel } from "./StandInPanel";
import { Steady } from "./Steady";
import { Tray } from "./Tray";
import { Turn, useTurn } from "./Turn";
import { TypePad } from "./TypePad";
import { useShotsInWork, withShots } from "./work";

const TAGS = [
	{ strike: "toe", key: "t" },
	{ strike: "heel", key: "l" },
	{ strike: "high", key: "k" },
	{ strike: "low", key: "j" },
	{ strike: "thin", key: "n" },
	{ strike: "fat", key: "y" },
] as const;

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);
const DAYS: DayKind[] = ["usual", "fast", "slow"];

export function Bay({ session, act, live }: PlaceProps) {
	const build = buildOf(session, session.in_hand);
	const { shots, shot, selected, touch, turn, step, select } = useShotsInWork(session, session.in_hand);
	const [dialog, setDialog] = useState<
		"setting" | "move" | "wanted" | "player" | "felt" | "trail" | "run" | "type" | null
	>(null);
	const trail = useTrail(session, dialog === "trail").data;
	const agreed = isClosed(session);
	const pretend = useMayPretend(session);
	const code = soleTitle(session);
	const none = agreed ? t("label-session-agreed") : shot ? undefined : t("label-no-shot-yet");
	const one = none ?? (selected.length ? t("bay-one-shot-clear-selection-first") : undefined);
	const span = gateSpan(session);

	/** Do something to the shots in work. now: how they look at once, until the server has said so. */
	const doing = (now: Partial<Shot>, toOne: (each: Shot) => Promise<Session | Seen>, toAll: AllOf) => {
		if (!shot) return;
		const ids = selected.map((each) => each.id);
		if (ids.length === 0) act(() => toOne(shot), withShots([shot.id], now));
		else {
			act(() => change.shots(session.id, { shots: ids, ...toAll }), withShots(ids, now));
			select([]);
		}
	};
	const aside = (each: Shot) => {
		const away = selected.length ? selected.some((other) => !other.aside) : !each.aside;
		const reason = away ? (each.strike ?? t("bag-by-fitter")) : "";
		doing(
			{ aside: away, aside_reason: reason, counts: !away },
			(mine) => change.aside(mine.id, away, reason),
			{ aside: away, reason },
		);
	};
	const counts = (each: Shot, over: Partial<Pick<Shot, "misread" | "distance" | "line">>) => {
		const { misread, distance, line } = each;
		act(() => change.counts(each.id, { misread, distance, line, ...over }), withShots([each.id], over));
	};
	const { Strip, next } = PANELS[session.protocol as ProtocolKey] ?? {};
	const goOn = next?.(session, act) ?? null;
	const inTurn = useTurn(session);
	const take = (id: number) =>
		act(
			() => change.inHand(session.id, id),
			(seen) => handed(seen, id),
		);
	const commands: Command[] = [
		...TAGS.map((tag) => ({
			id: tag.strike,
			name: capital(termOf("strike", tag.strike)),
			keys: tag.key,
			shown: tag.key.toUpperCase(),
			group: t("label-bay"),
			blocked: none,
			run: () => {
				const strike = shot?.strike === tag.strike && !selected.length ? null : tag.strike;
				doing({ strike }, (each) => change.strike(each.id, strike), { strike });
			},
		})),
		{
			id: "aside",
			name: shot?.aside ? t("label-bring-back") : t("label-set-aside-2"),
			keys: "x",
			shown: "X",
			group: t("label-bay"),
			blocked: none,
			run: () => shot && aside(shot),
		},
		{
			id: "misread",
			name: shot?.misread ? t("bay-read-well") : t("bay-misread"),
			keys: "q",
			shown: "Q",
			group: t("label-bay"),
			blocked: one,
			run: () => shot && counts(shot, { misread: !shot.misread }),
		},
		{
			id: "line",
			name: shot?.line === false ? t("bay-line-counts") : t("bay-no-line-2"),
			keys: "i",
			shown: "I",
			group: t("label-bay"),
			blocked: one,
			run: () => shot && counts(shot, { line: !shot.line, distance: true }),
		},
		{
			id: "distance",
			name: shot?.distance === false ? t("bay-distance-counts") : t("bay-no-distance"),
			keys: "u",
			shown: "U",
			group: t("label-bay"),
			blocked: one,
			run: () => shot && counts(shot, { distance: !shot.distance, line: true }),
		},
		{
			id: "wanted",
			name: session.intent === "stock" ? t("bay-shot-wanted") : t("bay-wanted", { intent: session.intent }),
			keys: "w",
			shown: "W",
			group: t("label-bay"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => setDialog("wanted"),
		},
		{
			id: "pin",
			name: shot && session.pinned === shot.id ? t("bay-not-copy") : t("bay-to-copy"),
			keys: "p",
			shown: "P",
			group: t("label-bay"),
			blocked: one,
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
			name: t("bay-swing-changed"),
			keys: "v",
			shown: "V",
			group: t("label-bay"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => {
				act(() => change.swing(session.id, true));
			},
		},
		{
			id: "setting",
			name: t("bay-setting"),
			keys: "s",
			shown: "S",
			group: t("label-bay"),
			blocked: agreed
				? t("label-session-agreed")
				: build?.settings_deg.length || build?.head_type === "wedge"
					? undefined
					: t("bay-no-sleeve-build"),
			run: () => setDialog("setting"),
		},
		{
			id: "type",
			name: t("bay-type-shots"),
			keys: "shift+t",
			shown: "⇧T",
			group: t("label-bay"),
			blocked: agreed ? t("label-session-agreed") : build ? undefined : t("bay-take-club-hand-first"),
			run: () => setDialog("type"),
		},
		{
			id: "move",
			name: t("bay-move"),
			keys: "m",
			shown: "M",
			group: t("label-bay"),
			blocked: none,
			run: () => setDialog("move"),
		},
	];
	useCommands("bay", commands);
	useCommands("day", [
		{
			id: "select",
			name: t("bay-select-shot-others"),
			keys: "6",
			shown: "6",
			group: t("label-now-then"),
			blocked: none,
			run: () => shot && turn(shot.id),
		},
		{
			id: "select-run",
			name: t("bay-select-whole-run"),
			keys: "7",
			shown: "7",
			group: t("label-now-then"),
			blocked: none,
			run: () => shot && select(shots.filter((each) => each.run === shot.run).map((each) => each.id)),
		},
		{
			id: "other-club",
			name: shot?.instead
				? t("bay-it-was-3", { instead: called(session, shot.instead) })
				: t("bay-other-club"),
			keys: ".",
			shown: ".",
			group: t("label-now-then"),
			blocked: shot?.check_club && !agreed ? undefined : t("bay-no-club-check"),
			run: () => shot?.instead && act(() => change.move(shot.id, shot.instead as number)),
		},
		{
			id: "this-club",
			name: t("bay-it-was-this-club"),
			keys: ",",
			shown: ",",
			group: t("label-now-then"),
			blocked: shot?.check_club && !agreed ? undefined : t("bay-no-club-check"),
			run: () => shot && act(() => change.keepClub(shot.id), withShots([shot.id], { check_club: "" })),
		},
		{
			id: "shot-before",
			name: t("bay-shot-before"),
			keys: "arrowleft",
			shown: "←",
			group: t("label-now-then"),
			blocked: none,
			run: () => step(-1),
		},
		{
			id: "shot-after",
			name: t("bay-shot-after"),
			keys: "arrowright",
			shown: "→",
			group: t("label-now-then"),
			blocked: none,
			run: () => step(1),
		},
		{
			id: "lie",
			name: t("bay-hit-from-another-lie"),
			keys: "r",
			shown: "R",
			group: t("label-now-then"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => act(...hitFrom(session, after(LIES, session.lie))),
		},
		{
			id: "length",
			name: t("bay-longer-or-shorter-swing"),
			keys: "-",
			shown: "−",
			group: t("label-now-then"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => act(...hitWith(session, { length: nextLength(session.length) })),
		},
		{
			id: "intent",
			name: t("bay-another-shot-meant"),
			keys: ";",
			shown: ";",
			group: t("label-now-then"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => act(...meant(session, nextIntent(session))),
		},
		{
			id: "ball",
			name: t("bay-another-ball"),
			keys: "=",
			shown: "=",
			group: t("label-now-then"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => act(...hitWith(session, { struck_ball: after(BALLS, session.struck_ball) })),
		},
		{
			id: "run",
			name: t("bay-wind-tee-air"),
			keys: "/",
			shown: "/",
			group: t("label-now-then"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => setDialog("run"),
		},
		{
			id: "next-up",
			name: t("bay-other-player-up"),
			keys: "'",
			shown: "’",
			group: t("label-now-then"),
			blocked: session.partner && !agreed ? undefined : t("bay-nobody-hits-turn-here"),
			run: () => inTurn.mutate(),
		},
		{
			id: "next-task",
			name: t("bay-next-test"),
			keys: "]",
			shown: "]",
			group: t("label-now-then"),
			blocked: agreed ? t("label-session-agreed") : goOn ? undefined : t("bay-test-asks-for-nothing-more"),
			run: () => goOn?.(),
		},
		{
			id: "player",
			name: t("bay-next-mode-players-screen"),
			keys: "9",
			shown: "9",
			group: t("label-now-then"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => act(...showing(session, { mode: nextMode(session) })),
		},
		{
			id: "felt",
			name: t("bay-what-player-felt"),
			keys: "8",
			shown: "8",
			group: t("label-now-then"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => setDialog("felt"),
		},
		{
			id: "day",
			name: t("bay-usual-fast-or-slow-day"),
			keys: "o",
			shown: "O",
			group: t("label-now-then"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () =>
				act(() => change.day(session.id, DAYS[(DAYS.indexOf(session.day) + 1) % DAYS.length] ?? "usual")),
		},
	]);
	useCommands(
		"stand",
		candidatesOf(session).map((each) => ({
			id: `hand-${each.letter}`,
			name: t("bay-take-hand", { name: each.name }),
			keys: each.letter.toLowerCase(),
			shown: each.letter,
			group: t("label-on-the-stand"),
			blocked: agreed ? t("label-session-agreed") : undefined,
			run: () => take(each.id),
		})),
	);

	return (
		<div className="grid min-h-full grid-cols-[15.5rem_1fr] xl:grid-cols-[17.5rem_1fr_17rem]">
			<BayStand session={session} span={span} onTake={(id) => !agreed && take(id)} />
			<section className="flex min-w-0 flex-col gap-4 p-5">
				<InHand session={session} build={build} code={code} live={live}>
					{!agreed && <Turn session={session} act={act} turn={inTurn} />}
				</InHand>
				{/* From which lie and how long a swing comes with the code. */}
				{!code && <RunBar session={session} agreed={agreed} act={act} onMore={() => setDialog("run")} />}
				{Strip && <Strip session={session} act={act} agreed={agreed} />}
				<Tray session={session} build={build} />
				<p className="font-semibold xl:hidden">{session.next}</p>
				{build && shot && <LastShot session={session} build={build} shot={shot} span={span} />}
				{build && !shot && !code && !agreed && <NoShot session={session} onType={() => setDialog("type")} />}
				{!build && !code && (
					<p className="quiet py-16 text-center text-xl">{t("bay-take-build-hand-left-then")}</p>
				)}
				{shot?.check_club && !agreed && (
					<CheckClub
						session={session}
						shot={shot}
						onOther={(id) => act(() => change.move(shot.id, id))}
						onThis={() => act(() => change.keepClub(shot.id), withShots([shot.id], { check_club: "" }))}
					/>
				)}
				<div className="flex flex-wrap items-end gap-x-3 gap-y-2">
					<ShotRow
						key={session.in_hand}
						session={session}
						shots={shots}
						shot={shot}
						selected={selected}
						colour={letterColour(build?.letter ?? "")}
						onTouch={touch}
					/>
					{shot && !agreed && (
						<Selection
							selected={selected.length}
							onOne={() => turn(shot.id)}
							onRun={() => select(shots.filter((each) => each.run === shot.run).map((each) => each.id))}
							onClear={() => select([])}
						/>
					)}
				</div>
				{build && shot && <Copy session={session} shot={shot} />}
				{build && <SoFar build={build} />}
				{build && <Flights session={session} build={build} />}
				{/* What is touched after every shot stays in reach at the bottom, however many shots there are. */}
				<div className="sticky bottom-0 z-10 order-2 -mx-5 mt-auto -mb-5 bg-base-200 px-5 py-3">
					<CommandBar group={t("label-bay")} />
				</div>
			</section>
			<aside className="col-span-full grid content-start gap-5 border-l border-base-300 bg-base-100 p-4 md:grid-cols-3 xl:col-span-1 xl:grid-cols-1">
				<section className="hidden xl:block">
					<h2 className="mb-1 text-lg">{t("label-next")}</h2>
					<p className="text-[17px] font-medium">{session.next}</p>
					{session.question && <p className="hole-text mt-1 text-[15px] font-semibold">{session.question}</p>}
				</section>
				<button
					type="button"
					className="min-h-9 cursor-pointer justify-self-start text-[14.5px] underline"
					onClick={() => setDialog("trail")}
				>
					{t("bay-what-done-here")}
				</button>
				<Steady session={session} act={act} agreed={agreed} />
				{!agreed && <PlayerPanel session={session} act={act} onOpen={() => setDialog("player")} />}
				{session.bag.in_work && <CarryMap {...mapProps(session, undefined, session.bag.end)} small />}
				{!agreed && pretend && <StandInPanel session={session} />}
				<Caution>{t("bay-one-person-swings-time-nobody")}</Caution>
			</aside>
			{dialog === "setting" && build && (
				<NewSetting build={build} act={act} onClose={() => setDialog(null)} />
			)}
			{dialog === "run" && <RunSheet session={session} act={act} onClose={() => setDialog(null)} />}
			{dialog === "trail" && <TrailSheet acts={trail} onClose={() => setDialog(null)} />}
			{dialog === "player" && <PlayerSheet session={session} act={act} onClose={() => setDialog(null)} />}
			{dialog === "felt" && (
				<FeltSheet session={session} act={act} first={build} onClose={() => setDialog(null)} />
			)}
			{dialog === "type" && build && (
				<TypePad session={session} build={build} act={act} onClose={() => setDialog(null)} />
			)}
			{dialog === "wanted" && <WantedShot session={session} act={act} onClose={() => setDialog(null)} />}
			{dialog === "move" && shot && (
				<PickBuild
					session={session}
					shot={shot}
					onPick={(id) => {
						doing({ build: id }, (each) => change.move(each.id, id), { build: id });
						setDialog(null);
					}}
					onClose={() => setDialog(null)}
				/>
			)}
		</div>
	);
}
