/**
 * What was last read stays on this device, so that it opens outdoors without a line, after a reload too. Nothing of a
 * session is read from here while the server answers; it is forgotten with the sign-out, and after half a day.
 */
import { dehydrate, hydrate, type Query, type QueryClient } from "@tanstack/react-query";
import { del, get, set } from "idb-keyval";
import { ownUnits } from "../said/units";
import { spoken } from "../said/words";
import { Problem } from "./client";

const LASTS_MS = 12 * 3600 * 1000;
const AFTER_MS = 1000;

/** What is carried about, by name, and the first words of its queries. */
interface Carried {
	name: string;
	what: string[];
}
/** What a session in the Bay is made of, and not the rest of the shop. */
const SESSION: Carried = { name: "hemicycle.read", what: ["me", "session", "bench", "sessions", "paper"] };
/** Pages that a code opens, on a device of their own. */
const BY_CODE: Carried = { name: "hemicycle.by-code", what: ["hand-out", "course"] };

/** The built file has its content in its name: what another program read may lack what this one shows. */
const PROGRAM = import.meta.url;

interface Kept {
	at: number;
	program: string;
	/** What was read is in words, in these units. */
	units: string;
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
async function bringBack(queries: QueryClient, store: Store, carried: Carried): Promise<void> {
	try {
		const kept = (await store.get(carried.name)) as Kept | undefined;
		const same = kept?.program === PROGRAM && kept.units === JSON.stringify(ownUnits());
		if (same && kept.at > Date.now() - LASTS_MS) hydrate(queries, kept.state);
	} catch {
		// A browser that keeps nothing begins without.
	}
}

/** Read well once, and not refused since: that the line was lost meanwhile takes nothing away. */
const stands = ({ state }: Query) =>
	state.data !== undefined && !(state.error instanceof Problem && state.error.status >= 400);

async function write(queries: QueryClient, store: Store, carried: Carried): Promise<void> {
	const { mutations, queries: read } = dehydrate(queries, {
		shouldDehydrateQuery: (query) => stands(query) && carried.what.includes(String(query.queryKey[0])),
	});
	const well = read.map((each) => ({
		...each,
		state: { ...each.state, status: "success" as const, error: null, fetchFailureReason: null },
	}));
	try {
		if (well.length === 0) await store.del(carried.name);
		else
			await store.set(carried.name, {
				at: Date.now(),
				program: PROGRAM,
				units: JSON.stringify(ownUnits()),
				state: { mutations, queries: well },
			} satisfies Kept);
	} catch {
		// Full or forbidden: then it is read anew.
	}
}

/** From now on what is read is kept, until what is returned is called. */
function carryOn(queries: QueryClient, store: Store, carried: Carried): () => void {
	let timer: ReturnType<typeof setTimeout> | undefined;
	const leave = queries.getQueryCache().subscribe(() => {
		// Not put off by what comes next: without a line something is tried again all the time.
		timer ??= setTimeout(() => {
			timer = undefined;
			void write(queries, store, carried);
		}, AFTER_MS);
	});
	return () => {
		leave();
		clearTimeout(timer);
	};
}

export const forgetOnDevice = (store: Store = DEVICE): Promise<void> =>
	store.del(SESSION.name).catch(() => undefined);

/** Ask the server who is here; where it does not answer, begin with what was read last. From then on what is read is
 * kept, until what is returned is called. */
export async function begin(queries: QueryClient, store: Store = DEVICE): Promise<() => void> {
	try {
		const answer = await fetch("/api/me", { signal: AbortSignal.timeout(4000) });
		if (!answer.ok) throw new Error(String(answer.status));
		queries.setQueryData(["me"], await spoken(await answer.json()));
	} catch {
		await bringBack(queries, store, SESSION);
	}
	return carryOn(queries, store, SESSION);
}

/** A page that a code opens begins as it was read last, and is read anew as soon as the server answers; where that
 * refuses the code, nothing of it stays. */
export async function beginByCode(queries: QueryClient, store: Store = DEVICE): Promise<() => void> {
	await bringBack(queries, store, BY_CODE);
	for (const what of BY_CODE.what) void queries.invalidateQueries({ queryKey: [what] });
	return carryOn(queries, store, BY_CODE);
}
