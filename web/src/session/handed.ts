/** A club taken in hand as it looks at once, until the server has said so. */
import type { Session } from "../api/client";
import { VOCABULARY } from "../api/vocabulary";
import { PROTOCOLS, type ProtocolKey } from "../api/words";
import { t } from "../said/words";
import { buildOf } from "./select";

const LENGTHS: Record<string, string> = VOCABULARY.lengths;

/** Another club comes back to its own swing and to stock shots; a short test of wedges goes on with a wedge. */
export function handed(seen: Session, id: number): Session {
	const build = buildOf(seen, id);
	if (seen.in_hand === id || !build) return { ...seen, in_hand: id };
	const wedge = build.head_type === "wedge";
	if (wedge && PROTOCOLS[seen.protocol as ProtocolKey].short) return { ...seen, in_hand: id };
	const byEffort = build.stock_swing === "eased" || build.stock_swing === "hard";
	return {
		...seen,
		in_hand: id,
		length: byEffort ? "full" : build.stock_swing,
		intent: byEffort ? (build.stock_swing as Session["intent"]) : "stock",
		protocol: byEffort ? "effort" : wedge && seen.protocol === "part_swing" ? "part_swing" : "full_swing",
		asked_carry_m: null,
		gripped_in: 0,
	};
}

/** What taking a club in hand changed beside the club, to be said in the bar; empty for nothing. */
export function cameBack(before: Session, now: Session): string {
	if (before.id !== now.id || before.in_hand === now.in_hand || now.in_hand === null) return "";
	const build = buildOf(now, now.in_hand);
	const said = [];
	// A test that asks for its shots one by one says itself which swing is wanted.
	const asked = PROTOCOLS[now.protocol as ProtocolKey].tasks;
	if (
		!asked &&
		(before.length !== now.length || before.intent !== now.intent || before.gripped_in !== now.gripped_in)
	)
		said.push(
			t("session-its-own", {
				which:
					now.length === "full"
						? t("session-full-swing")
						: t("session-swing", { now: LENGTHS[now.length] ?? now.length }),
			}),
		);
	const over =
		before.protocol !== now.protocol && before.protocol !== "full_swing"
			? (TESTS[before.protocol] ?? PROTOCOLS[before.protocol as ProtocolKey].name)
			: "";
	const back =
		said.length > 0
			? t("session-is-back-to", {
					letter: build?.letter || build?.name || t("label-it"),
					list: said.join(" and "),
				})
			: "";
	return [back, over ? t("session-over-with-another-club", { over }) : ""].filter(Boolean).join(" ");
}

const TESTS: Record<string, string> = {
	part_swing: t("session-part-swings"),
	stop: t("session-stop-test"),
	grooves: t("session-groove-test"),
	sole: t("session-sole-test"),
	shaped: t("session-shaped-shots"),
	yardage: t("session-yardage-asked-for"),
};
