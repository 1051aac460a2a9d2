/** A session, a plan or a side of the handover as the carry map draws it. */
import type { Bag, BagPlan, BagSide, Gap, Session } from "../api/client";
import type { CarryMapProps, MapAfter, MapClub, MapHole, MapRing } from "../instruments/carry-map/CarryMap";
import { spanOf } from "../instruments/scale";
import { t } from "../said/words";
import { asFar, type Metres, signed, toFar, unit, whole } from "../ui/units";
import { buildOf, candidatesOf, carriesOf, inBag, nameOf, windowsOf } from "./select";
import { ruleWords } from "./words";

function mapClubs(session: Session): MapClub[] {
	return inBag(session).flatMap((build) =>
		build.carry_m === null
			? []
			: [
					{
						id: build.id,
						name: nameOf(build),
						carry: toFar(build.carry_m),
						total: toFar(build.total_m ?? build.carry_m),
						spread: build.carry_from === "hit" && build.spread_m !== null ? toFar(build.spread_m) : null,
						doubt:
							build.carry_from !== "hit" && build.carry_doubt_m !== null ? toFar(build.carry_doubt_m) : null,
						expected: build.carry_from === "assumed",
						parts: build.part_swings.map((each) => toFar(each.carry_m)),
					},
				],
	);
}

function mapHoles(gaps: Gap[], name: (id: number) => string, inWork: number | null): MapHole[] {
	return gaps
		.filter((gap) => gap.open_m > 0)
		.map((gap) => ({
			id: gap.lower,
			from: toFar(gap.open_from_m),
			to: toFar(gap.open_to_m),
			yards: whole(toFar(gap.open_m)),
			label: t("session-uncovered-between", {
				open: asFar(gap.open_m),
				unit: unit("far"),
				lower: name(gap.lower),
				upper: name(gap.upper),
			}),
			inWork: gap.lower === inWork,
		}));
}

function mapOverlaps(gaps: Gap[], name: (id: number) => string) {
	return gaps
		.filter((gap) => gap.crowded && gap.overlap_m > 0)
		.map((gap) => ({
			from: toFar(gap.open_to_m),
			to: toFar((gap.open_to_m + gap.overlap_m) as Metres),
			label: t("session-overlap-by", {
				lower: name(gap.lower),
				upper: name(gap.upper),
				overlap: asFar(gap.overlap_m),
				unit: unit("far"),
			}),
		}));
}

export function mapRings(session: Session): MapRing[] {
	return candidatesOf(session)
		.filter((build) => !build.accepted)
		.map((build) => ({
			letter: build.letter,
			name: build.name,
			carry: build.carry_m === null ? null : toFar(build.carry_m),
			total: build.total_m === null ? null : toFar(build.total_m),
			shots: carriesOf(session, build.id),
		}));
}

/** The widest hole where another is in work. */
const widestBeside = ({ widest }: Bag, name: (id: number) => string): string[] =>
	widest
		? [
				t("session-widest-between", {
					open: asFar(widest.open_m),
					unit: unit("far"),
					lower: name(widest.lower),
					upper: name(widest.upper),
				}),
			]
		: [];

/** The widest step between the ends of the wedges, where their space is cut. */
const widestStep = ({ short }: Bag) =>
	short?.places.length && short.widest !== null ? short.steps[short.widest] : undefined;

export function readoutOf(bag: Bag, name: (id: number) => string): CarryMapProps["readout"] {
	const inWork = bag.in_work;
	if (!inWork) {
		const none = bag.order.length < 2 || bag.wanted.wish !== "gap";
		return { over: "", big: none ? "" : t("session-no-hole"), unit: "", lines: [bag.headline], warn: false };
	}
	const widest = widestStep(bag);
	const windows = inWork.slots.map((slot) => `${asFar(slot.low_m)}–${asFar(slot.high_m)}`).join(" and ");
	const upper = bag.gaps.find((gap) => gap.lower === inWork.lower);
	if (widest)
		return {
			over: t("session-between-and", { lower: name(widest.lower), upper: name(widest.upper) }),
			big: asFar(widest.step_m),
			unit: t("session-widest-step", { unit: unit("far") }),
			lines: [t("session-window-carry", { windows, unit: unit("far") }), inWork.sentence],
			warn: widest.over_m > 0,
		};
	return {
		over:
			inWork.lower === null || inWork.upper === null
				? t("session-end-bag")
				: t("session-between-and", { lower: name(inWork.lower), upper: name(inWork.upper) }),
		big: inWork.lower === null ? windows : asFar(inWork.open_m || upper?.step_m),
		unit:
			inWork.lower === null
				? t("session-wanted", { unit: unit("far") })
				: inWork.open_m > 0
					? t("session-uncovered", { unit: unit("far") })
					: t("session-step", { unit: unit("far") }),
		lines: [
			t("session-window-carry", { windows, unit: unit("far") }),
			inWork.sentence,
			...widestBeside(bag, name),
		],
		warn: inWork.open_m > 0,
	};
}

const m0 = 0 as Metres;
export type End = Session["bag"]["end"];

/** The yardages of one end: from the shortest part swing to the shortest iron, or from there on. */
function spanOfEnd(session: Session, end: End): CarryMapProps["span"] {
	const { short } = session.bag;
	if (end === "whole" || !short?.low || !short.high) return undefined;
	const uppers = short.steps.map((step) => toFar(buildOf(session, step.upper)?.carry_m ?? m0));
	const top = Math.max(toFar(short.high.carry_m), ...uppers);
	const clubs = mapClubs(session);
	if (end === "long")
		return spanOf(
			clubs
				.filter((club) => club.carry >= toFar(short.high?.carry_m ?? m0))
				.flatMap((club) => [club.carry, club.total]),
			10,
			4,
		);
	const parts = clubs.flatMap((club) => club.parts ?? []);
	return spanOf([toFar(short.low.carry_m), top, ...parts], 10, 6);
}

function mapSteps(session: Session): NonNullable<CarryMapProps["steps"]> {
	return (session.bag.short?.steps ?? []).map((step) => {
		const from = toFar(buildOf(session, step.lower)?.carry_m ?? m0);
		return {
			from,
			to: from + toFar(step.step_m),
			yards: whole(toFar(step.step_m)),
			open: step.over_m > 0,
		};
	});
}

/** The bag at one end, or whole. What lies beyond the end is not drawn. */
export function mapProps(session: Session, after?: MapAfter, end: End = "whole"): CarryMapProps {
	const all = wholeMap(session, after);
	const span = spanOfEnd(session, end);
	if (!span) return all;
	const there = (yards: number) => yards >= span.low && yards <= span.high;
	return {
		...all,
		span,
		clubs: all.clubs.filter((club) => there(club.carry)),
		holes: all.holes.filter((hole) => there(hole.from) && there(hole.to)),
		windows: all.windows.filter((window) => there(window.low) && there(window.high)),
		rings: all.rings.filter((ring) => ring.carry === null || there(ring.carry)),
		steps: end === "short" ? mapSteps(session) : [],
	};
}

function wholeMap(session: Session, after?: MapAfter): CarryMapProps {
	const name = (id: number) => nameOf(buildOf(session, id));
	return {
		title: t("session-carry-map", { name: session.customer.name }),
		clubs: mapClubs(session),
		holes: mapHoles(session.bag.gaps, name, session.bag.in_work?.lower ?? null),
		overlaps: mapOverlaps(session.bag.gaps, name),
		windows: windowsOf(session),
		rings: mapRings(session),
		after,
		rule: ruleWords(session.bag),
		readout: after?.readout ?? readoutOf(session.bag, name),
	};
}

/** A plan as the ring inside the map. */
export function afterOf(session: Session, plan: BagPlan): MapAfter {
	const name = (id: number) => {
		const build = buildOf(session, id);
		return build ? `${build.letter} ${build.name}`.trim() : "";
	};
	const carried: MapClub[] = plan.clubs
		.filter((club) => club.id !== plan.swap_away)
		.map((club) => ({
			id: club.id,
			name: club.name,
			letter: club.letter,
			carry: toFar(club.carry_m),
			total: toFar(club.total_m),
			spread: null,
			expected: club.expected,
		}));
	const away = buildOf(session, plan.swap_away);
	const swapped: MapClub[] = away?.carry_m
		? [
				{
					id: away.id,
					name: away.name,
					letter: away.letter,
					carry: toFar(away.carry_m),
					total: toFar(away.total_m ?? away.carry_m),
					spread: null,
					swapped: plan.swap_course,
				},
			]
		: [];
	const holes = mapHoles(plan.gaps, name, null);
	const fresh = plan.builds.map((id) => buildOf(session, id)?.letter).filter(Boolean);
	const gained = plan.saves === null ? "" : t("session-strokes-saved-round", { saves: signed(plan.saves) });
	return {
		name: plan.name,
		readout: {
			over: fresh.length ? t("session-in", { name: plan.name, list: fresh.join(" and ") }) : plan.name,
			big: asFar(plan.widest_m),
			unit: t("session-widest-hole", { unit: unit("far") }),
			lines: [
				t("session-uncovered-all", {
					open: asFar(plan.open_m),
					unit: unit("far"),
					which: fresh.length ? gained : "",
				}),
			],
			warn: plan.widest_m > 0,
		},
		clubs: [...carried, ...swapped],
		holes: holes.map((hole) => ({ ...hole, label: `${plan.name}: ${hole.label}` })),
	};
}

export function sideProps(side: BagSide, title: string, rule: string): CarryMapProps {
	const name = (id: number) => side.clubs.find((club) => club.id === id)?.name ?? "";
	const fresh = side.clubs.filter((club) => club.new);
	// One by its name, several by their letters: the line is short. Clubs of a set have none.
	const lettered = fresh.filter((club) => club.letter);
	const named = lettered
		.map((club) => (fresh.length > 1 ? club.letter : `${club.letter} ${club.name}`))
		.join(" and ");
	const come = lettered.length < fresh.length ? t("session-with-its-set", { come: named }) : named;
	const near = side.gaps.filter((gap) => gap.open_m > 0);
	const widest = near.reduce((most, gap) => (gap.open_m > most ? gap.open_m : most), 0 as Metres);
	return {
		title,
		clubs: side.clubs.map((club) => ({
			id: club.id,
			name: club.name,
			letter: club.new ? club.letter : "",
			carry: toFar(club.carry_m),
			total: toFar(club.total_m),
			spread: null,
			isNew: club.new,
		})),
		holes: mapHoles(side.gaps, name, null),
		windows: [],
		rings: [],
		rule,
		readout: {
			over: come
				? t("session-clubs-in", { clubCount: side.club_count, come })
				: t("session-clubs", { clubCount: side.club_count }),
			big: widest > 0 ? asFar(widest) : "0",
			unit: t("session-widest-hole", { unit: unit("far") }),
			lines: [],
			warn: widest > 0,
		},
	};
}
