/** The bag of a session as the rungs of the ladder. */
import type { Build, Session } from "../api/client";
import type { Rung } from "../instruments/ladder/Ladder";
import { t } from "../said/words";
import { metresOf, toFar, toHigh } from "../ui/units";
import { buildOf, ownOf } from "./select";

/** How a carry is known that was not hit today. */
export const KNOWN: Record<Build["carry_from"], string> = {
	hit: "",
	none: "",
	typed: t("label-typed"),
	assumed: t("label-assumed"),
	old_swing: t("label-old-swing"),
};

export function rungs(session: Session): Rung[] {
	const { order, gaps } = session.bag;
	const above = new Map(gaps.map((gap) => [gap.upper, gap]));
	const known = [...order].reverse();
	const rest = ownOf(session).filter((build) => !order.includes(build.id) && !build.out_of_favour);
	return [...known.map((id) => buildOf(session, id)), ...rest]
		.filter((build): build is Build => build !== undefined)
		.map((build) => {
			const gap = above.get(build.id);
			const peak = metresOf(build.averages, "peak_m");
			return {
				id: build.id,
				name: build.name,
				letter: build.letter,
				loft: build.set_loft_deg,
				carry: build.carry_m === null ? null : toFar(build.carry_m),
				total: build.total_m === null ? null : toFar(build.total_m),
				known: KNOWN[build.carry_from],
				doubt: build.carry_doubt_m === null ? null : toFar(build.carry_doubt_m),
				step: gap ? toFar(gap.step_m) : null,
				hole: (gap?.open_m ?? 0) > 0,
				crowded: gap?.crowded ?? false,
				fixed: build.fixed,
				peak: peak === null ? null : toHigh(peak),
				landing: build.averages.landing_deg ?? null,
				spin: build.averages.spin_rpm ?? null,
				odd: session.bag.remarks.filter((remark) => remark.build === build.id).map((remark) => remark.what),
			};
		});
}
