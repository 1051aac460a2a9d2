/**
 * What this browser holds of a session, by its revision: an older answer never overwrites a newer one, and only the
 * shots that changed travel.
 */
import { notifyManager, type QueryClient } from "@tanstack/react-query";
import type { Session, Shot } from "./types";

// An answer is drawn with what it changes elsewhere, such as what waits no more, and not a frame after it.
notifyManager.setScheduler(queueMicrotask);

/** The newest revision of each session that this page has had, and the one it is at. */
const revisions = new Map<number, number>();
let current = 0;
export const currentSession = () => current;
export const revisionHeld = (id: number) => revisions.get(id) ?? 0;
export function nowAt(session: Session): void {
	current = session.id;
	revisions.set(session.id, Math.max(session.revision, revisionHeld(session.id)));
}

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
	if (!came.shots_since) return came;
	if (!before || before.revision < came.shots_since) return null;
	return { ...came, shots: merged(before.shots, came.shots), shots_since: 0 };
}

/** A session with a new shot in it, at once; its averages follow when it is read anew. */
export const withShot = (session: Session, shot: Shot): Session => ({
	...session,
	shots: merged(session.shots, [shot]),
});
