/**
 * Changes on their way to the server. Each is kept in this browser, by name, until the server has it: sent again after
 * a lost line, a stopped server, an ended sign-in or a reload, in the order they were made, and done once.
 */
import { useSyncExternalStore } from "react";
import { spoken, t } from "../said/words";
import { currentSession, forgetHeld, revisionHeld } from "./held";

export interface Refusal {
	title: string;
	field: string | null;
	/** What someone else wrote in the same fields meanwhile. */
	theirs?: Record<string, unknown>;
}

export interface Entry {
	/** `TAB.NUMBER`: the server does it once, however often it is sent. */
	change: string;
	/** Who made it: nobody else's sign-in sends it. */
	who: string;
	session: number;
	method: string;
	path: string;
	body: unknown;
	since: number;
	/** Not sent before, so that a word is typed to its end. */
	due: number;
	/** What is still being typed is one entry, by this name. */
	draft?: string;
	refused?: Refusal;
}

export interface Line {
	/** Changes that the server does not have yet. */
	waiting: number;
	/** The server does not answer. */
	lost: boolean;
	/** The sign-in ended while changes waited. */
	signedOut: boolean;
	savedAt: number | null;
	/** Changes of an earlier page that the server refused: nobody waits for their answer any more. */
	refused: Entry[];
}

const STORED = "hemicycle.outbox.";
const TAB = "hemicycle.tab";
const AGAIN_MS = [500, 1000, 2000, 4000, 8000, 15_000];
const MOST_FAULTS = 6;
/** An answer that takes longer is said to be waited for; one that takes longest is asked for anew. */
const LONG_MS = 3000;
const LONGEST_MS = 30_000;
let tab = "";
let number = 0;
let who = "";
let entries: Entry[] = [];
let flying: Entry | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
let tries = 0;
let line: Line = { waiting: 0, lost: false, signedOut: false, savedAt: null, refused: [] };
const answers = new Map<string, (answer: Response) => void>();
const listeners = new Set<() => void>();
let heard: (answer: unknown, entry: Entry) => void = () => undefined;
let onSignedOut: () => void = () => undefined;

const cookie = (name: string) => {
	const found = document.cookie.split("; ").find((part) => part.startsWith(`${name}=`));
	return found ? decodeURIComponent(found.slice(name.length + 1)) : "";
};

/** The name of the next change of this tab. */
export function nextChange(): string {
	if (!tab) takeTab(sessionStorage.getItem(TAB) || crypto.randomUUID());
	number = Math.max(number + 1, Math.floor(Date.now() / 10));
	return `${tab}.${number}`;
}

function takeTab(name: string) {
	tab = name;
	sessionStorage.setItem(TAB, name);
}

function store() {
	const name = STORED + tab;
	try {
		if (entries.length) localStorage.setItem(name, JSON.stringify(entries));
		else localStorage.removeItem(name);
	} catch {
		// The browser's store is full or forbidden: what waits is kept as long as this page is open.
	}
}

function tell(now: Partial<Line> = {}) {
	const mine = entries.filter((entry) => entry.who === who);
	line = {
		...line,
		...now,
		waiting: mine.filter((entry) => !entry.refused).length,
		refused: mine.filter((entry) => entry.refused && !entry.draft),
	};
	for (const each of listeners) each();
}

function read(name: string): Entry[] {
	try {
		const found: unknown = JSON.parse(localStorage.getItem(name) ?? "[]");
		return Array.isArray(found) ? (found as Entry[]) : [];
	} catch {
		return [];
	}
}

/** Begin with what an earlier page of this tab left, and with what tabs left that are gone. */
export async function openOutbox(hooks: {
	heard: (answer: unknown, entry: Entry) => void;
	signedOut: () => void;
}): Promise<void> {
	heard = hooks.heard;
	onSignedOut = hooks.signedOut;
	const before = sessionStorage.getItem(TAB) || crypto.randomUUID();
	// A tab that was duplicated has the name of the first: it takes another.
	takeTab((await holds(before)) ? before : crypto.randomUUID());
	if (tab !== before) await holds(tab);
	entries = [...read(STORED + tab), ...entries];
	await adopt();
	store();
	tell();
	pump();
}

/** Hold a tab's name as long as this page lives; false where another page holds it. */
async function holds(name: string): Promise<boolean> {
	if (!navigator.locks) return true;
	return new Promise((done) => {
		void navigator.locks.request(`hemicycle.${name}`, { ifAvailable: true }, (lock) => {
			done(lock !== null);
			return lock ? new Promise(() => undefined) : undefined;
		});
	});
}

async function adopt(): Promise<void> {
	if (!navigator.locks) return;
	const left = Object.keys(localStorage).filter((name) => name.startsWith(STORED) && name !== STORED + tab);
	for (const name of left) {
		await navigator.locks.request(
			`hemicycle.${name.slice(STORED.length)}`,
			{ ifAvailable: true },
			async (lock) => {
				if (!lock) return;
				entries = [...entries, ...read(name)];
				store();
				localStorage.removeItem(name);
			},
		);
	}
}

/** Someone signed in, or is known to be: what they left waiting goes on its way. Empty: nobody. */
export function signedInAs(name: string): void {
	who = name;
	tries = 0;
	tell({ signedOut: false });
	pump();
}

let taking: Promise<unknown> = Promise.resolve();

/** Put a change at the end of what waits. Changes stand in the order they were made, however long it takes to read
 * what each of them says: an undo has no body and would overtake what it takes back. */
function take(request: Request): Promise<Entry> {
	const taken = taking.then(async () => {
		const text = await request.text();
		const entry: Entry = {
			change: nextChange(),
			who,
			session: currentSession(),
			method: request.method,
			path: new URL(request.url).pathname,
			body: text ? JSON.parse(text) : null,
			since: revisionHeld(currentSession()),
			due: 0,
		};
		for (const before of entries) before.due = 0;
		entries.push(entry);
		store();
		tell();
		return entry;
	});
	taking = taken.catch(() => undefined);
	return taken;
}

/** Keep a change and send it; the answer comes when the server has it, or has refused it. */
export async function send(request: Request): Promise<Response> {
	const entry = await take(request);
	const answer = new Promise<Response>((done) => answers.set(entry.change, done));
	pump();
	return answer;
}

/** Fields that are being typed: kept at once, sent a moment after the last key. An empty change takes it back. */
export interface Typing {
	now: Record<string, unknown>;
	was: Record<string, unknown>;
}

/** What was saved of each draft last, and what had stood there before. */
const saved = new Map<string, Typing>();
const alike = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Typed on a picture from before the last saving: what stood there then is what was saved. */
function onWhatWasSaved(draft: string, typing: Typing): Typing {
	const last = saved.get(draft);
	if (!last) return typing;
	const was = Object.entries(typing.was).map(([name, value]) => {
		const stale = name in last.now && alike(value, last.was[name]);
		return [name, stale ? last.now[name] : value] as const;
	});
	return { now: typing.now, was: Object.fromEntries(was) };
}

export function keepTyping(draft: string, path: string, typed: Typing, afterMs: number): void {
	const typing = onWhatWasSaved(draft, typed);
	const open = entries.find((entry) => entry.draft === draft && entry !== flying);
	if (Object.keys(typing.now).length === 0) {
		if (open) entries = entries.filter((entry) => entry !== open);
	} else if (open) {
		open.body = typing;
		open.due = Date.now() + afterMs;
		delete open.refused;
	} else {
		entries.push({
			change: nextChange(),
			who,
			session: currentSession(),
			method: "PATCH",
			path,
			body: typing,
			since: revisionHeld(currentSession()),
			due: Date.now() + afterMs,
			draft,
		});
	}
	store();
	tell();
	pump();
}

/** What is typed and not yet on the server, the later word last; and why the last of it was refused, if it was. */
export function typedOf(draft: string): Typing & { refused: Refusal | undefined; sent: boolean } {
	const mine = entries.filter((entry) => entry.draft === draft && entry.who === who);
	const all = mine.map((entry) => entry.body as Typing);
	return {
		now: Object.assign({}, ...all.map((each) => each.now)),
		was: Object.assign({}, ...[...all].reverse().map((each) => each.was)),
		refused: mine.find((entry) => entry.refused)?.refused,
		sent: mine.length === 0,
	};
}

/** What is being typed goes now, not in a moment. */
export function hurry(): void {
	for (const entry of entries) entry.due = 0;
	pump();
}

/** Forget a change that was refused. */
export function forget(entry: Entry): void {
	entries = entries.filter((each) => each !== entry);
	store();
	tell();
}

/** When nothing waits any more, or it is clear that it has to wait: true where all is on the server. */
export function settled(): Promise<boolean> {
	hurry();
	return new Promise((done) => {
		const look = () => {
			if (line.waiting > 0 && !line.lost && !line.signedOut) return;
			listeners.delete(look);
			done(line.waiting === 0);
		};
		listeners.add(look);
		look();
	});
}

function pump(): void {
	clearTimeout(timer);
	if (flying || line.signedOut || !who) return;
	const next = entries.find((entry) => entry.who === who && !entry.refused);
	if (!next) return;
	const wait = next.due - Date.now();
	if (wait > 0) timer = setTimeout(pump, wait);
	else void fly(next);
}

function later(): void {
	tell({ lost: true });
	timer = setTimeout(pump, AGAIN_MS[Math.min(tries, AGAIN_MS.length - 1)]);
	tries += 1;
}

const ask = (path: string) => globalThis.fetch(new Request(new URL(path, window.location.origin)));

async function fly(entry: Entry): Promise<void> {
	flying = entry;
	let answer: Response | null = null;
	let told: Record<string, unknown> = {};
	let made: unknown;
	const long = setTimeout(() => tell({ lost: true }), LONG_MS);
	try {
		answer = await globalThis.fetch(
			new Request(new URL(entry.path, window.location.origin), {
				method: entry.method,
				credentials: "same-origin",
				headers: {
					"Content-Type": "application/json",
					"X-CSRFToken": cookie("csrftoken"),
					Change: entry.change,
					Prefer: "return=minimal",
					"Since-Revision": String(entry.since),
				},
				...(entry.body === null ? {} : { body: JSON.stringify(entry.body) }),
				signal: AbortSignal.timeout(LONGEST_MS),
			}),
		);
		if (!answer.ok) {
			told = (await answer.clone().json()) as Record<string, unknown>;
			if (told.said) told.title = await spoken(told.said);
		}
		if (told.type === "hemicycle:done") {
			// It was done before the line broke: what is there now is the answer.
			answer = await ask(`/api/sessions/${entry.session}${entry.path.includes("plans") ? "/plans" : ""}`);
		}
		if (told.type === "hemicycle:csrf") await ask("/api/me");
		if (answer.ok) made = await spoken(await answer.clone().json());
	} catch {
		if (!answer || answer.status < 500) answer = null;
	} finally {
		clearTimeout(long);
	}
	flying = null;
	const faulty = answer?.status === 500 && tries >= MOST_FAULTS;
	if (!answer || (answer.status >= 500 && !faulty) || answer.status === 429) return later();
	if (answer.status === 401) {
		tell({ signedOut: true });
		return onSignedOut();
	}
	if (told.type === "hemicycle:csrf" && tries === 0) return later();
	tries = 0;
	arrived(entry, answer, told, made);
	pump();
}

/** In one go: what a change made is there in the moment in which it waits no more. */
function arrived(entry: Entry, answer: Response, told: Record<string, unknown>, made: unknown): void {
	const consumer = answers.get(entry.change);
	answers.delete(entry.change);
	if (answer.ok) {
		entries = entries.filter((each) => each !== entry);
		if (entry.draft) saved.set(entry.draft, entry.body as Typing);
		heard(made, entry);
		store();
		tell({ lost: false, savedAt: Date.now() });
	} else if (entry.draft || !consumer) {
		// Nothing typed is dropped: it stays as it is until it is put right or taken back.
		entry.refused = {
			title: String(told.title ?? t("api-server-answered", { status: answer.status })),
			field: (told.field as string | null) ?? null,
			...(told.theirs ? { theirs: told.theirs as Record<string, unknown> } : {}),
		};
		store();
		tell({ lost: false });
	} else {
		entries = entries.filter((each) => each !== entry);
		store();
		tell({ lost: false });
	}
	consumer?.(answer);
}

/** What was sent is on the server now: what was typed after it builds on that. */
export function rebase(draft: string, stands: Record<string, unknown>): void {
	for (const entry of entries) {
		if (entry.draft !== draft) continue;
		const typing = entry.body as Typing;
		for (const name of Object.keys(typing.was)) if (name in stands) typing.was[name] = stands[name];
	}
	store();
}

export function useLine(): Line {
	return useSyncExternalStore(listen, () => line);
}

let waits: Entry[] = [];

/** The changes of this sign-in that the server does not have yet: a screen shows them as they will be. */
function waiting(): Entry[] {
	const mine = entries.filter((entry) => entry.who === who && !entry.refused);
	const same = mine.length === waits.length && mine.every((entry, index) => entry === waits[index]);
	if (!same) waits = mine;
	return waits;
}

export function useWaiting<Body>(path: string): Body[] {
	const mine = useSyncExternalStore(listen, waiting);
	return mine.filter((entry) => entry.path === path).map((entry) => entry.body as Body);
}

/** What an earlier page of this tab did to a session and nobody here waits for; the server does not have it yet. */
export function useLeft(session: number): Entry[] {
	const mine = useSyncExternalStore(listen, waiting);
	return mine.filter((entry) => entry.session === session && !entry.draft && !answers.has(entry.change));
}

function listen(listener: () => void): () => void {
	listeners.add(listener);
	return () => listeners.delete(listener);
}

/** A page begun anew, for tests: as a reload leaves it. `store`: also what the browser keeps. */
export function reopen(emptied = false): void {
	forgetHeld();
	clearTimeout(timer);
	entries = [];
	flying = null;
	tries = 0;
	who = "";
	answers.clear();
	saved.clear();
	if (emptied) {
		localStorage.clear();
		sessionStorage.clear();
		tab = "";
	}
	line = { waiting: 0, lost: false, signedOut: false, savedAt: null, refused: [] };
	for (const each of listeners) each();
}

/** The line may be back: look at once. */
export function tryNow(): void {
	tries = 0;
	pump();
}
if (typeof window !== "undefined") {
	window.addEventListener("online", tryNow);
	document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && tryNow());
}
