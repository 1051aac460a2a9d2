/** From what the API says to what the instruments draw: yards, feet and names. No rule of the job is here. */
import type { Bag, BagPlan, BagSide, Between, BoardLine, Build, Session, Shot, Target } from "../api/client";
import type { CarryMapProps, MapAfter, MapClub, MapHole, MapRing } from "../instruments/CarryMap";
import type { BoardClub } from "../instruments/FlightBoard";
import type { Rung } from "../instruments/Ladder";
import { figure, toFeet, toYards, yd } from "../ui/units";

export const buildOf = (session: Session, id: number | null): Build | undefined =>
	session.builds.find((build) => build.id === id);
export const candidatesOf = (session: Session): Build[] =>
	session.builds.filter((build) => build.letter !== "");
export const ownOf = (session: Session): Build[] => session.builds.filter((build) => build.letter === "");
export const shotsOf = (session: Session, build: number): Shot[] =>
	session.shots.filter((shot) => shot.build === build);

/** Whether a shot says how far the club goes: kept, not misread, and meant as a stock shot. */
export const countsFor = (shot: Shot): boolean =>
	!shot.aside && !shot.misread && shot.distance && shot.intent === "stock";

export const carriesOf = (session: Session, build: number): number[] =>
	shotsOf(session, build)
		.filter((shot) => countsFor(shot) && shot.readings.carry_m !== undefined)
		.map((shot) => toYards(shot.readings.carry_m ?? 0));

export function targetOf(session: Session, slot: number, quantity: string): Target | undefined {
	return session.bag.plan?.slots[slot]?.targets.find((target) => target.quantity === quantity);
}

/** The carry windows in force, in yards. */
/** The letters on the stand. */
export const lettersOf = (session: Session) => candidatesOf(session).map((build) => build.letter);

const LISTS = {
	and: new Intl.ListFormat("en-GB", { type: "conjunction" }),
	or: new Intl.ListFormat("en-GB", { type: "disjunction" }),
};
export const listOf = (words: string[], last: keyof typeof LISTS) => LISTS[last].format(words);

export function windowsOf(session: Session): { low: number; high: number }[] {
	return (session.bag.plan?.slots ?? []).map((slot) => {
		const carry = slot.targets.find((target) => target.quantity === "carry_m");
		return { low: toYards(carry?.low ?? slot.low_m), high: toYards(carry?.high ?? slot.high_m) };
	});
}

function mapClubs(session: Session): MapClub[] {
	return ownOf(session)
		.filter((build) => build.carry_m !== null)
		.map((build) => ({
			id: build.id,
			name: build.name,
			carry: toYards(build.carry_m ?? 0),
			total: toYards(build.total_m ?? build.carry_m ?? 0),
			spread: build.carry_from === "hit" && build.spread_m !== null ? toYards(build.spread_m) : null,
			doubt:
				build.carry_from === "typed" && build.carry_doubt_m !== null ? toYards(build.carry_doubt_m) : null,
		}));
}

function mapHoles(between: Between[], name: (id: number) => string, inWork: number | null): MapHole[] {
	return between
		.filter((gap) => gap.hole_m > 0)
		.map((gap) => ({
			id: gap.lower,
			from: toYards(gap.hole_from_m),
			to: toYards(gap.hole_to_m),
			yards: Math.round(toYards(gap.hole_m)),
			label: `${yd(gap.hole_m)} yd uncovered between ${name(gap.lower)} and ${name(gap.upper)}`,
			inWork: gap.lower === inWork,
		}));
}

function mapOverlaps(between: Between[], name: (id: number) => string) {
	return between
		.filter((gap) => gap.crowded && gap.overlap_m > 0)
		.map((gap) => ({
			from: toYards(gap.hole_to_m),
			to: toYards(gap.hole_to_m + gap.overlap_m),
			label: `${name(gap.lower)} and ${name(gap.upper)} overlap by ${yd(gap.overlap_m)} yd`,
		}));
}

export function mapRings(session: Session): MapRing[] {
	return candidatesOf(session).map((build) => ({
		letter: build.letter,
		name: build.name,
		carry: build.carry_m === null ? null : toYards(build.carry_m),
		total: build.total_m === null ? null : toYards(build.total_m),
		shots: carriesOf(session, build.id),
	}));
}

export function readoutOf(bag: Bag, name: (id: number) => string): CarryMapProps["readout"] {
	const plan = bag.plan;
	if (!plan) {
		const none = bag.order.length < 2;
		return { over: "", big: none ? "" : "No hole", unit: "", lines: [bag.headline], warn: false };
	}
	const windows = plan.slots.map((slot) => `${yd(slot.low_m)}–${yd(slot.high_m)}`).join(" and ");
	const upper = bag.between.find((gap) => gap.lower === plan.lower);
	return {
		over: `Between ${name(plan.lower)} and ${name(plan.upper)}`,
		big: yd(plan.open_m || upper?.step_m),
		unit: plan.open_m > 0 ? "yd uncovered" : "yd step",
		lines: [`Window: carry ${windows} yd`, plan.sentence],
		warn: plan.open_m > 0,
	};
}

export function mapProps(session: Session, after?: MapAfter): CarryMapProps {
	const name = (id: number) => buildOf(session, id)?.name ?? "";
	return {
		title: `Carry map of ${session.customer.name}`,
		clubs: mapClubs(session),
		holes: mapHoles(session.bag.between, name, session.bag.plan?.lower ?? null),
		overlaps: mapOverlaps(session.bag.between, name),
		windows: windowsOf(session),
		rings: mapRings(session),
		after,
		rule: ruleWords(session.bag),
		readout: after?.readout ?? readoutOf(session.bag, name),
	};
}

/** The rule as the map names it, one for each end of the bag, and the turf when it was stated. */
export function ruleWords(bag: Bag): string {
	const short = bag.between.some((gap) => gap.rule !== bag.rule);
	const turf = bag.turf ? ` on ${bag.turf} turf` : "";
	return bag.rule_words + turf + (short ? `; irons and wedges by ${bag.short_rule_words}` : "");
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
			carry: toYards(club.carry_m),
			total: toYards(club.total_m),
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
					carry: toYards(away.carry_m),
					total: toYards(away.total_m ?? away.carry_m),
					spread: null,
					swapped: plan.swap_course,
				},
			]
		: [];
	const holes = mapHoles(plan.between, name, null);
	const fresh = plan.builds.map((id) => buildOf(session, id)?.letter).filter(Boolean);
	const gained =
		plan.gain === null ? "" : `, ${plan.gain < 0 ? "" : "+"}${figure(plan.gain, 1)} successful shots a round`;
	return {
		name: plan.name,
		readout: {
			over: fresh.length ? `${plan.name}: ${fresh.join(" and ")} in` : plan.name,
			big: yd(plan.widest_m),
			unit: "yd widest hole",
			lines: [`${yd(plan.holes_m)} yd uncovered in all${fresh.length ? gained : ""}`],
			warn: plan.widest_m > 0,
		},
		clubs: [...carried, ...swapped],
		holes: holes.map((hole) => ({ ...hole, label: `${plan.name}: ${hole.label}` })),
	};
}

export function sideProps(side: BagSide, title: string, rule: string): CarryMapProps {
	const name = (id: number) => side.clubs.find((club) => club.id === id)?.name ?? "";
	const fresh = side.clubs.filter((club) => club.new);
	// One by its name, several by their letters: the line is short.
	const come = fresh
		.map((club) => (fresh.length > 1 ? club.letter : `${club.letter} ${club.name}`))
		.join(" and ");
	const near = side.between.filter((gap) => gap.hole_m > 0);
	const widest = near.reduce((most, gap) => Math.max(most, gap.hole_m), 0);
	return {
		title,
		clubs: side.clubs.map((club) => ({
			id: club.id,
			name: club.name,
			letter: club.new ? club.letter : "",
			carry: toYards(club.carry_m),
			total: toYards(club.total_m),
			spread: null,
			isNew: club.new,
		})),
		holes: mapHoles(side.between, name, null),
		windows: [],
		rings: [],
		rule,
		readout: {
			over: come ? `${side.club_count} clubs, ${come} in` : `${side.club_count} clubs`,
			big: widest > 0 ? yd(widest) : "0",
			unit: "yd widest hole",
			lines: [],
			warn: widest > 0,
		},
	};
}

export function rungs(session: Session): Rung[] {
	const { order, between } = session.bag;
	const above = new Map(between.map((gap) => [gap.upper, gap]));
	const known = [...order].reverse();
	const rest = ownOf(session).filter((build) => !order.includes(build.id));
	return [...known.map((id) => buildOf(session, id)), ...rest]
		.filter((build): build is Build => build !== undefined)
		.map((build) => {
			const gap = above.get(build.id);
			return {
				id: build.id,
				name: build.name,
				letter: "",
				loft: build.set_loft_deg,
				carry: build.carry_m === null ? null : toYards(build.carry_m),
				total: build.total_m === null ? null : toYards(build.total_m),
				typed: build.carry_from === "typed",
				doubt: build.carry_doubt_m === null ? null : toYards(build.carry_doubt_m),
				step: gap ? toYards(gap.step_m) : null,
				hole: (gap?.hole_m ?? 0) > 0,
				crowded: gap?.crowded ?? false,
				fixed: build.fixed,
				peak: build.averages.peak_m === undefined ? null : toFeet(build.averages.peak_m),
				landing: build.averages.landing_deg ?? null,
				spin: build.averages.spin_rpm ?? null,
				odd: session.bag.remarks.filter((remark) => remark.build === build.id).map((remark) => remark.what),
			};
		});
}

export function boardClub(session: Session, line: BoardLine): BoardClub {
	return {
		letter: line.letter,
		name: line.name,
		path: line.path.map(([far = 0, up = 0]) => [toYards(far), toFeet(up)]),
		carry: toYards(line.carry_m),
		total: toYards(line.total_m),
		offline: toYards(line.offline_m),
		shots: shotsOf(session, line.build)
			.filter((shot) => shot.readings.carry_m !== undefined && shot.readings.offline_m !== undefined)
			.map((shot) => ({
				carry: toYards(shot.readings.carry_m ?? 0),
				offline: toYards(shot.readings.offline_m ?? 0),
				aside: shot.aside,
			})),
		ellipse: line.pattern
			? {
					carry: toYards(line.pattern.carry_m),
					offline: toYards(line.pattern.offline_m),
					major: toYards(line.pattern.major_m),
					minor: toYards(line.pattern.minor_m),
					tilt: line.pattern.tilt_deg,
					depth: toYards(line.pattern.depth_m),
					width: toYards(line.pattern.width_m),
				}
			: null,
	};
}
