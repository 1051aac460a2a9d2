/** What of a sole test comes next, with what was said here and has no line yet. */

import type { change } from "../../acts";
import type { Session, SoleTest } from "../../api/client";
import { PROTOCOLS, type ProtocolKey } from "../../api/words";
import { t } from "../../said/words";

export type Handing = Parameters<typeof change.sayOfCode>[1];
export type NextCode = NonNullable<SoleTest["next"]>;
type Stage = Pick<NextCode, "place" | "visit" | "duel">;

export interface Coming {
	/** Nothing where all is played, or where only the server can say who is left. */
	next: NextCode | null;
	/** The first at its lie: held against nothing. */
	first: boolean;
	/** The code it is held against. */
	before: number | null;
}

const stageOf = (each: { place: string; visit?: number; duel?: boolean }): Stage => ({
	place: each.place,
	visit: each.visit ?? 0,
	duel: each.duel ?? false,
});
export const sameStage = (a: Stage, b: Stage) =>
	a.place === b.place && a.visit === b.visit && a.duel === b.duel;

/** The test that is on, else the last one that was set up. */
export const soleTestOf = (session: Session): SoleTest | undefined =>
	session.soles.find((each) => each.on) ?? session.soles.at(-1);

/** Of what waits, what the test as it is read does not have yet: an answer may be read before the one who gave it is
 * told so. placed: by each that waits, which handing it is, from nought; it is kept from one drawing to the next. */
export function notYetIn(test: SoleTest, waiting: Handing[], placed: Map<Handing, number>): Handing[] {
	for (const gone of [...placed.keys()].filter((each) => !waiting.includes(each))) placed.delete(gone);
	let at = test.done;
	for (const said of waiting) {
		at = placed.get(said) ?? at;
		placed.set(said, at);
		at += 1;
	}
	return waiting.filter((said) => (placed.get(said) ?? 0) >= test.done);
}

/** lost: without a line nobody is out; with one, who goes on to the next lie is waited for. */
export function comingOf(test: SoleTest, waiting: Handing[], lost: boolean): Coming {
	const left = [...test.ahead];
	for (const said of waiting) {
		const at = left.findIndex((each) => each.code === said.code && sameStage(each, stageOf(said)));
		if (at >= 0) left.splice(at, 1);
	}
	const last = waiting.at(-1) ?? test.handings.at(-1);
	const coming = left[0] ?? (lost && waiting.length > 0 ? duelOf(test, waiting) : null);
	const together = coming !== null && last !== undefined && sameStage(coming, stageOf(last));
	const next = together || lost || waiting.length === 0 ? coming : null;
	return { next, first: !together, before: together ? last.code : null };
}

/** Who meets whom next in the duel, told without a line: those take turns that were liked best by what was answered. */
function duelOf(test: SoleTest, waiting: Handing[]): NextCode | null {
	const fought = waiting.filter((each) => each.duel).length;
	const place = test.places[0]?.key;
	if (fought >= test.duels || place === undefined) return null;
	const said = [...test.handings, ...waiting].filter((each) => !each.duel);
	const liked = test.codes.map(() => 0);
	said.forEach((now, at) => {
		const before = said[at - 1];
		if (!before || !sameStage(stageOf(now), stageOf(before))) return;
		liked[now.code] = (liked[now.code] ?? 0) + (now.said ?? 0);
		liked[before.code] = (liked[before.code] ?? 0) - (now.said ?? 0);
	});
	const codes = test.codes.filter((each) => each.dropped === null).map((each) => each.code);
	const order = codes.sort((a, b) => (liked[b] ?? 0) - (liked[a] ?? 0)).slice(0, test.finalists);
	const code = order[fought % order.length];
	return code === undefined ? null : { code, place, visit: 0, duel: true };
}

/** What a test by codes that is in hand is called; empty where none is. */
export function soleTitle(session: Session): string {
	const blind = session.tests.find((each) =>
		each.blind?.codes.some((code) => code.build === session.in_hand),
	);
	if (blind) return t("blind-title", { test: PROTOCOLS[blind.test as ProtocolKey].name });
	const of = (test: SoleTest) => test.codes.some((each) => each.build === session.in_hand);
	const test =
		session.in_hand === null && session.protocol === "sole" ? soleTestOf(session) : session.soles.find(of);
	if (!test) return "";
	return test.blind === "open" ? t("sole-sole-other-lofts") : t("sole-blind-sole-test");
}

export const wordOf = (test: SoleTest, code: number): string => test.codes[code]?.word ?? "";
export const placeOf = (test: SoleTest, key: string) => test.places.find((each) => each.key === key);
/** By its club once that is told. */
export const nameOfCode = (test: SoleTest, code: number): string =>
	test.codes[code]?.club?.name ?? wordOf(test, code);
