/**
 * What was last read stays on this device, so that a session opens outdoors without a line, after a reload too. Nothing
 * is read from here while the server answers; it is forgotten with the sign-out, and after half a day.
 */
import { dehydrate, hydrate, type QueryClient } from "@tanstack/react-query";
import { del, get, set } from "idb-keyval";

const KEPT = "hemicycle.read";
const LASTS_MS = 12 * 3600 * 1000;
const AFTER_MS = 1000;
/** What a session in the Bay is made of; the rest of the shop is not carried about. */
const CARRIED = ["me", "session", "bench", "sessions"];

interface Kept {
	at: number;
	state: ReturnType<typeof dehydrate>;
}

/** Where it is kept: the browser's own store. */
export interface Store {
	get: (key: string) => Promise<unknown>;
	set: (key: string, value: unknown) => Promise<void>;
	del: (key: string) => Promise<void>;
}
const DEVICE: Store = { get, set, del };

/** What was kept, put where it would have been read. */
async function bringBack(queries: QueryClient, store: Store): Promise<void> {
	try {
		const kept = (await store.get(KEPT)) as Kept | undefined;
		if (kept && kept.at > Date.now() - LASTS_MS) hydrate(queries, kept.state);
	} catch {
		// A browser that keeps nothing begins without.
	}
}

async function write(queries: QueryClient, store: Store): Promise<void> {
	const state = dehydrate(queries, {
		shouldDehydrateQuery: (query) =>
			query.state.status === "success" && CARRIED.includes(String(query.queryKey[0])),
	});
	try {
		await store.set(KEPT, { at: Date.now(), state } satisfies Kept);
	} catch {
		// Full or forbidden: then it is read anew.
	}
}

export const forgetOnDevice = (store: Store = DEVICE): Promise<void> =>
	store.del(KEPT).catch(() => undefined);

/** Ask the server who is here; where it does not answer, begin with what was read last. From then on what is read is
 * kept, until what is returned is called. */
export async function begin(queries: QueryClient, store: Store = DEVICE): Promise<() => void> {
	try {
		const answer = await fetch("/api/me", { signal: AbortSignal.timeout(4000) });
		if (!answer.ok) throw new Error(String(answer.status));
		queries.setQueryData(["me"], await answer.json());
	} catch {
		await bringBack(queries, store);
	}
	let timer: ReturnType<typeof setTimeout> | undefined;
	const leave = queries.getQueryCache().subscribe(() => {
		clearTimeout(timer);
		timer = setTimeout(() => void write(queries, store), AFTER_MS);
	});
	return () => {
		leave();
		clearTimeout(timer);
	};
}
