/**
 * What this browser holds of a session, by its revision: an older answer never overwrites a newer one, and only the
 * shots that changed travel.
 */
import { notifyManager, type QueryClient } from "@tanstack/react-query";
import { useSyncExternalStore } from "react";
import type { EarlierShots, Seen, Session, Shot } from "./types";

// An answer is drawn with what it changes elsewhere, such as what waits no more, and not a frame after it.
notifyManager.setScheduler(queueMicrotask);

type SeenOf = Pick<Seen, "shot" | "build" | "now">;

/** The newest revision of each session that this page has had, and the one it is at. */
const revisions = new Map<number, number>();
let current = 0;
export const currentSession = () => current;
export const revisionHeld = (id: number) => revisions.get(id) ?? 0;
export function nowAt(session: Session): void {
	current = session.id;
	revisions.set(session.id, Math.max(session.revision, revisionHeld(session.id)));
	for (const each of listeners) each();
}

/** The newest revision of each session that this page was told of, whether it has read it or not. */
const told = new Map<number, number>();
const listeners = new Set<() => void>();
export const toldOf = (id: number) => told.get(id) ?? 0;
export function isTold(id: number, revision: number): void {
	if (revision <= toldOf(id)) return;
	told.set(id, revision);
	for (const each of listeners) each();
}
function listen(listener: () => void): () => void {
	listeners.add(listener);
	return () => listeners.delete(listener);
}
/** What was seen of changes that the session held here does not have yet, in the order they were made. */
const ahead = new Map<number, { revision: number; seen: SeenOf }[]>();
/** A page begun anew, for tests. */
export function forgetHeld(): void {
	told.clear();
	revisions.clear();
	ahead.clear();
}
export const useTold = (id: number) => useSyncExternalStore(listen, () => toldOf(id));

/** Whether what is judged here rests on less than what is known to have happened. */
export const useThinking = (id: number) => useSyncExternalStore(listen, () => toldOf(id) > revisionHeld(id));

export const sessionKey = (id: number) => ["session", id] as const;

export const held = (queries: QueryClient, id: number): Session | undefined =>
	queries.getQueryData<Session>(sessionKey(id));

/** Shots held with those that changed, in the order they were hit. */
function merged(before: Shot[], changed: Shot[]): Shot[] {
	const known = new Map(before.map((shot) => [shot.id, shot]));
	for (const shot of changed) known.set(shot.id, shot);
	return [...known.values()].sort((a, b) => a.number - b.number);
}

/** The newer of what is held and what came; `null` when what came builds on what is not held. */
export function newer(before: Session | undefined, came: Session): Session | null {
	if (before && came.revision < before.revision) return before;
	if (!came.shots_since) return withAhead(came);
	if (!before || before.revision < came.shots_since) return null;
	const shots = merged(before.shots, came.shots);
	return withAhead({ ...came, shots, shots_since: 0, earlier: before.earlier });
}

/** What was read may be older than what was seen since: the club that was taken in hand stays in hand. */
function withAhead(session: Session): Session {
	const still = (ahead.get(session.id) ?? []).filter((each) => each.revision > session.revision);
	ahead.set(session.id, still);
	return still.reduce((so, each) => withSeen(so, each.seen), session);
}

/** A session with one change more seen, whichever of those that are seen came first. */
export function alsoSeen(before: Session, revision: number, seen: SeenOf): Session {
	if (revision <= before.revision) return before;
	const others = (ahead.get(before.id) ?? []).filter((each) => each.revision !== revision);
	const all = [...others, { revision, seen }].sort((a, b) => a.revision - b.revision);
	ahead.set(before.id, all);
	return all
		.filter((each) => each.revision >= revision)
		.reduce((so, each) => withSeen(so, each.seen), before);
}

/** A session with a page of shots from before those that are held. */
export const withEarlier = (session: Session, page: EarlierShots): Session => ({
	...session,
	shots: merged(page.shots, session.shots),
	earlier: page.earlier,
});

/** A session with what is seen of a change at once; what is judged follows when it is read anew. */
function withSeen(session: Session, { shot, build, now }: SeenOf): Session {
	const averaged = ({ id, carry_m, spread_m, ...own }: NonNullable<Seen["build"]>) =>
		session.builds.map((each) =>
			each.id !== id
				? each
				: { ...each, ...own, ...(carry_m === null ? {} : { carry_m, spread_m, carry_from: "hit" as const }) },
		);
	return {
		...session,
		...(shot ? { shots: merged(session.shots, [shot]) } : {}),
		...(build ? { builds: averaged(build) } : {}),
		...now,
	};
}
