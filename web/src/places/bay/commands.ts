/** The keys of the Bay. Those of the group of the place itself are the bar of touch targets, in this order. */
import { change } from "../../acts";
import type { DayKind } from "../../api/client";
import { termOf } from "../../api/words";
import { useCommands } from "../../commands/commands";
import { inGroup, type Row } from "../../commands/rows";
import { t } from "../../said/words";
import { candidatesOf } from "../../session/select";
import { called } from "./Acts";
import type { InBay } from "./inBay";
import { nextMode } from "./PlayerPanel";
import { after, BALLS, LIES, meant, nextIntent, nextLength } from "./RunBar";

const TAGS = [
	{ strike: "toe", key: "t" },
	{ strike: "heel", key: "l" },
	{ strike: "high", key: "k" },
	{ strike: "low", key: "j" },
	{ strike: "thin", key: "n" },
	{ strike: "fat", key: "y" },
] as const;
const DAYS: DayKind[] = ["usual", "fast", "slow"];

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

const closed = ({ agreed }: InBay) => (agreed ? t("label-session-agreed") : undefined);
const noShot = (bay: InBay) => closed(bay) ?? (bay.shot ? undefined : t("label-no-shot-yet"));
const notOne = (bay: InBay) =>
	noShot(bay) ?? (bay.selected.length ? t("bay-one-shot-clear-selection-first") : undefined);

function strikes(bay: InBay): Row[] {
	const { shot, selected } = bay;
	return TAGS.map((tag) => [
		tag.strike,
		capital(termOf("strike", tag.strike)),
		tag.key,
		noShot(bay),
		() => {
			const strike = shot?.strike === tag.strike && !selected.length ? null : tag.strike;
			bay.doing((each) => change.strike(each.id, strike), { strike });
		},
	]);
}

function ofTheShot(bay: InBay): Row[] {
	const { shot } = bay;
	const only = notOne(bay);
	return [
		[
			"aside",
			shot?.aside ? t("label-bring-back") : t("label-set-aside-2"),
			"x",
			noShot(bay),
			() => shot && bay.setAside(shot),
		],
		[
			"misread",
			shot?.misread ? t("bay-read-well") : t("bay-misread"),
			"q",
			only,
			() => shot && bay.letCount(shot, { misread: !shot.misread }),
		],
		[
			"line",
			shot?.line === false ? t("bay-line-counts") : t("bay-no-line-2"),
			"i",
			only,
			() => shot && bay.letCount(shot, { line: !shot.line, distance: true }),
		],
		[
			"distance",
			shot?.distance === false ? t("bay-distance-counts") : t("bay-no-distance"),
			"u",
			only,
			() => shot && bay.letCount(shot, { distance: !shot.distance, line: true }),
		],
	];
}

function ofTheNext(bay: InBay): Row[] {
	const { session, act, build, shot, open } = bay;
	const over = closed(bay);
	const wanted =
		session.intent === "stock" ? t("bay-shot-wanted") : t("bay-wanted", { intent: session.intent });
	const isPinned = shot !== undefined && session.pinned === shot.id;
	const pin = () => {
		if (!shot) return;
		act(() => change.pin(shot.id, !isPinned));
	};
	const turns = build?.settings_deg.length || build?.head_type === "wedge";
	return [
		["wanted", wanted, "w", over, () => open("wanted")],
		["pin", isPinned ? t("bay-not-copy") : t("bay-to-copy"), "p", notOne(bay), pin],
		["swing", t("bay-swing-changed"), "v", over, () => act(() => change.swing(session.id, true))],
		[
			"setting",
			t("bay-setting"),
			"s",
			over ?? (turns ? undefined : t("bay-no-sleeve-build")),
			() => open("setting"),
		],
		[
			"type",
			t("bay-type-shots"),
			"shift+t",
			over ?? (build ? undefined : t("bay-take-club-hand-first")),
			() => open("type"),
		],
		["move", t("bay-move"), "m", noShot(bay), () => open("move")],
		["more", t("bay-more"), "shift+m", undefined, () => open("more")],
	];
}

function whichShot(bay: InBay): Row[] {
	const { session, shot } = bay;
	const none = noShot(bay);
	const sure = shot?.check_club && !bay.agreed ? undefined : t("bay-no-club-check");
	const other = shot?.instead
		? t("bay-it-was-3", { instead: called(session, shot.instead) })
		: t("bay-other-club");
	return [
		["select", t("bay-select-shot-others"), "6", none, () => shot && bay.turn(shot.id)],
		["select-run", t("bay-select-whole-run"), "7", none, () => shot && bay.selectRun(shot)],
		["other-club", other, ".", sure, () => shot?.instead && bay.fileUnder(shot, shot.instead)],
		["this-club", t("bay-it-was-this-club"), ",", sure, () => shot && bay.itWasThis(shot)],
		["shot-before", t("bay-shot-before"), "arrowleft", none, () => bay.step(-1)],
		["shot-after", t("bay-shot-after"), "arrowright", none, () => bay.step(1)],
	];
}

function howItIsHit(bay: InBay): Row[] {
	const { session, act } = bay;
	const over = closed(bay);
	const longer = () => act(() => change.run(session.id, { length: nextLength(session.length) }));
	const ball = () => act(() => change.run(session.id, { struck_ball: after(BALLS, session.struck_ball) }));
	return [
		[
			"lie",
			t("bay-hit-from-another-lie"),
			"r",
			over,
			() => act(() => change.hitFrom(session.id, after(LIES, session.lie))),
		],
		["length", t("bay-longer-or-shorter-swing"), "-", over, longer],
		["intent", t("bay-another-shot-meant"), ";", over, () => act(() => meant(session, nextIntent(session)))],
		["ball", t("bay-another-ball"), "=", over, ball],
		["run", t("bay-wind-tee-air"), "/", over, () => bay.open("run")],
	];
}

function whoAndWhen(bay: InBay): Row[] {
	const { session, act, goOn } = bay;
	const over = closed(bay);
	const day = DAYS[(DAYS.indexOf(session.day) + 1) % DAYS.length] ?? "usual";
	const alone = session.partner && !bay.agreed ? undefined : t("bay-nobody-hits-turn-here");
	const done = over ?? (goOn ? undefined : t("bay-test-asks-for-nothing-more"));
	const screen = () => act(() => change.screen(session.id, { mode: nextMode(session) }));
	return [
		["next-up", t("bay-other-player-up"), "'", alone, () => bay.inTurn.mutate()],
		["next-task", t("bay-next-test"), "]", done, () => goOn?.()],
		["player", t("bay-next-mode-players-screen"), "9", over, screen],
		["felt", t("bay-what-player-felt"), "8", over, () => bay.open("felt")],
		["day", t("bay-usual-fast-or-slow-day"), "o", over, () => act(() => change.day(session.id, day))],
	];
}

export function useBayCommands(bay: InBay): void {
	const bar = [...strikes(bay), ...ofTheShot(bay), ...ofTheNext(bay)];
	useCommands("bay", inGroup(t("label-bay"), bar));
	const beside = [...whichShot(bay), ...howItIsHit(bay), ...whoAndWhen(bay)];
	useCommands("day", inGroup(t("label-now-then"), beside));
	const stand = candidatesOf(bay.session).map(
		(each): Row => [
			`hand-${each.letter}`,
			t("bay-take-hand", { name: each.name }),
			each.letter.toLowerCase(),
			closed(bay),
			() => bay.take(each.id),
		],
	);
	useCommands("stand", inGroup(t("label-on-the-stand"), stand));
}
