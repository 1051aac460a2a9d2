/** What was read last opens without a line, and is never shown while the server answers. */
import { QueryClient } from "@tanstack/react-query";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { Problem } from "./client";
import { beginByCode, begin as beginWith, forgetOnDevice, type Store } from "./onDevice";

// jsdom has no IndexedDB: the same few words over a map.
const kept = new Map<string, unknown>();
const store: Store = {
	get: async (key) => kept.get(key),
	set: async (key, value) => void kept.set(key, value),
	del: async (key) => void kept.delete(key),
};

const KEY = "hemicycle.read";
const answers = (answer: () => Promise<Response>) => vi.stubGlobal("fetch", answer);
const me = { signed_in: true, username: "rowan" };
const lost = () => Promise.reject(new TypeError("no line"));

const running: (() => void)[] = [];
const begin = async (queries: QueryClient) => void running.push(await beginWith(queries, store));

beforeEach(() => kept.clear());
afterEach(() => {
	for (const stop of running.splice(0)) stop();
});

async function visit() {
	const queries = new QueryClient();
	answers(async () => Response.json(me));
	await begin(queries);
	queries.setQueryData(["session", 7], { id: 7, revision: 4 });
	queries.setQueryData(["rack"], { heads: [] });
	await vi.waitFor(() => expect(kept.has(KEY)).toBe(true), 10_000);
	return queries;
}

test("a session that was open is there without a line, and nothing else of the shop", async () => {
	await visit();
	const later = new QueryClient();
	answers(lost);
	await begin(later);
	expect(later.getQueryData(["me"])).toEqual(me);
	expect(later.getQueryData(["session", 7])).toEqual({ id: 7, revision: 4 });
	expect(later.getQueryData(["rack"])).toBeUndefined();
});

test("while the server answers nothing of it is used, and a broken answer is no answer", async () => {
	await visit();
	const later = new QueryClient();
	answers(async () => Response.json({ signed_in: false }));
	await begin(later);
	expect(later.getQueryData(["me"])).toEqual({ signed_in: false });
	expect(later.getQueryData(["session", 7])).toBeUndefined();
	const broken = new QueryClient();
	answers(async () => new Response("", { status: 503 }));
	await begin(broken);
	expect(broken.getQueryData(["session", 7])).toEqual({ id: 7, revision: 4 });
});

test("it is forgotten with the sign-out, and after half a day", async () => {
	await visit();
	const old = kept.get(KEY) as { at: number };
	kept.set(KEY, { ...old, at: Date.now() - 13 * 3600 * 1000 });
	answers(lost);
	const stale = new QueryClient();
	await begin(stale);
	expect(stale.getQueryData(["session", 7])).toBeUndefined();
	// What another program read may lack what this one shows.
	kept.set(KEY, { ...old, program: "another" });
	const older = new QueryClient();
	await begin(older);
	expect(older.getQueryData(["session", 7])).toBeUndefined();
	kept.set(KEY, old);
	await forgetOnDevice(store);
	const empty = new QueryClient();
	await begin(empty);
	expect(empty.getQueryData(["me"])).toBeUndefined();
});

test("it is there after a second reload too, though reading it anew failed in between", async () => {
	await visit();
	answers(lost);
	const first = new QueryClient();
	await begin(first);
	kept.clear();
	const failed = first.fetchQuery({ queryKey: ["session", 7], queryFn: () => lost(), retry: false });
	await expect(failed).rejects.toThrow("no line");
	await vi.waitFor(() => expect(kept.has(KEY)).toBe(true), 10_000);
	const second = new QueryClient();
	await begin(second);
	expect(second.getQueryData(["session", 7])).toEqual({ id: 7, revision: 4 });
	expect(second.getQueryState(["session", 7])?.status).toBe("success");
});

test("a page that a code opens is kept by itself, and goes when the code is refused", async () => {
	const page = new QueryClient();
	running.push(await beginByCode(page, store));
	page.setQueryData(["hand-out", "ACDE"], { lines: [] });
	page.setQueryData(["rack"], { heads: [] });
	await vi.waitFor(() => expect(kept.size).toBe(1), 10_000);
	const later = new QueryClient();
	running.push(await beginByCode(later, store));
	expect(later.getQueryData(["hand-out", "ACDE"])).toEqual({ lines: [] });
	expect(later.getQueryState(["hand-out", "ACDE"])?.isInvalidated).toBe(true);
	expect(later.getQueryData(["rack"])).toBeUndefined();
	const over = async () => Promise.reject(new Problem("This code opens nothing any more.", 404, "code"));
	const refused = later.fetchQuery({ queryKey: ["hand-out", "ACDE"], queryFn: over, retry: false });
	await expect(refused).rejects.toThrow("opens nothing");
	await vi.waitFor(() => expect(kept.size).toBe(0), 10_000);
});

test("it is kept though something is read anew all the time, as without a line", async () => {
	const queries = new QueryClient();
	answers(async () => Response.json(me));
	await begin(queries);
	const trying = setInterval(() => queries.setQueryData(["acts"], { at: Date.now() }), 200);
	try {
		await vi.waitFor(() => expect(kept.has(KEY)).toBe(true), 3000);
	} finally {
		clearInterval(trying);
	}
});
