/** The application around the places: signing in, the keys, the live line, and problems that say what to do. */
import { act, cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { reopen } from "../api/outbox";
import { bench, me, session, shot, verdict } from "../tests/session";
import { changes, clear, draw, type Sent, serve } from "../tests/stage";
import { App } from "./App";

/** The browser's end of a stream, without a server behind it. */
class Line extends EventTarget {
	static open: Line[] = [];
	onerror: (() => void) | null = null;
	closed = false;
	constructor(readonly url: string) {
		super();
		Line.open.push(this);
	}
	close() {
		this.closed = true;
	}
	tell(data: unknown) {
		this.dispatchEvent(new MessageEvent("changed", { data: JSON.stringify(data) }));
	}
}

beforeEach(() => {
	Line.open = [];
	vi.stubGlobal("EventSource", Line);
});
afterEach(clear);

const SESSION = "GET /api/sessions/7";
const inHand = { ...session, in_hand: 4 };
const lists = {
	"GET /api/sessions": { count: 0, next: null, previous: null, results: [] },
	"GET /api/checks-due": { within_days: 42, checks: [] },
	"GET /api/customers": [],
	"GET /api/rack": { may_change: true, heads: [], shafts: [] },
	"GET /api/sessions/7/bench": bench,
};

function start(
	at: string,
	answers: Record<string, unknown>,
): { sent: Sent[]; answers: Record<string, unknown> } {
	const all: Record<string, unknown> = { "GET /api/me": me, [SESSION]: session, ...lists, ...answers };
	const sent = serve(all);
	draw(<App />, at);
	return { sent, answers: all };
}
const press = (key: string, code = `Digit${key}`) => fireEvent.keyDown(document.body, { key, code });
const here = () =>
	screen.getByRole("navigation", { name: "Places of the visit" }).querySelector('[aria-current="page"]')
		?.textContent;

test("who is not signed in is asked, and goes on where the address led", async () => {
	const { sent } = start("/sessions/7/bag", {
		"GET /api/me": { signed_in: false, name: "", role: "", shop: "", bays: [] },
		"POST /api/sign-in": me,
	});
	fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "fitter" } });
	fireEvent.change(screen.getByLabelText("Password"), { target: { value: "long enough" } });
	fireEvent.click(screen.getByRole("button", { name: "Sign in" }));
	await screen.findByPlaceholderText("Club, 5i");
	expect(sent.find((each) => each.url === "/api/sign-in")?.body).toEqual({
		username: "fitter",
		password: "long enough",
	});
});

test("a page in other units than its reader’s shows nothing of them and begins anew", async () => {
	start("/", { "GET /api/me": { ...me, currency: "EUR" } });
	await waitFor(() => expect(localStorage.getItem("units")).toContain("EUR"));
	localStorage.removeItem("units");
	expect(screen.queryByRole("heading", { name: "Visits" })).toBeNull();
	expect(screen.getByText(/^Reading/)).toBeTruthy();
});

test("a wrong password is said in words and the name stays", async () => {
	start("/", {
		"GET /api/me": { signed_in: false, name: "", role: "", shop: "", bays: [] },
		"POST /api/sign-in": Response.json({ title: "Name or password is wrong.", field: null }, { status: 403 }),
	});
	fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "fitter" } });
	fireEvent.change(screen.getByLabelText("Password"), { target: { value: "x" } });
	fireEvent.click(screen.getByRole("button", { name: "Sign in" }));
	expect(await screen.findByText("Name or password is wrong.")).toBeTruthy();
	expect((screen.getByLabelText("Name") as HTMLInputElement).value).toBe("fitter");
});

test("the places are on the keys 1 to 5 and the desk on 0", async () => {
	start("/sessions/7/brief", {});
	await screen.findByRole("heading", { name: "Ada Field" });
	expect(here()).toContain("Brief");
	for (const [key, name] of [
		["2", "Bag"],
		["3", "Bay"],
		["4", "Bench"],
		["5", "Handover"],
	] as const) {
		press(key);
		await waitFor(() => expect(here()).toContain(name));
	}
	press("0");
	expect(await screen.findByText("Your first customer")).toBeTruthy();
});

test("no key of a place fires while a name is typed", async () => {
	start("/sessions/7/bag", {});
	const name = await screen.findByPlaceholderText("Club, 5i");
	fireEvent.keyDown(name, { key: "4", code: "Digit4" });
	expect(here()).toContain("Bag");
});

test("a shot is on the screen with the notice, before its averages are read anew", async () => {
	const { sent, answers } = start("/sessions/7/bay", { [SESSION]: inHand });
	await screen.findByRole("heading", { name: "Ada Field" });
	answers[SESSION] = new Promise(() => undefined); // the averages are long in coming
	expect(Line.open.map((each) => each.url)).toEqual(["/api/sessions/7/stream"]);
	const before = sent.filter((each) => each.url === "/api/sessions/7").length;
	act(() => Line.open[0]?.tell({ revision: 41, shot: shot(9, 4, 171) }));
	expect((await screen.findAllByText("171")).length).toBeGreaterThan(0);
	await waitFor(() => expect(sent.filter((each) => each.url === "/api/sessions/7").length).toBe(before + 1));
});

test("a break of the line is said where shots are waited for, and so is its return", async () => {
	start("/sessions/7/bay", {});
	await screen.findByRole("heading", { name: "Ada Field" });
	act(() => Line.open[0]?.tell({ revision: null, shot: null }));
	expect(await screen.findByText("Feed open")).toBeTruthy();
	act(() => Line.open[0]?.onerror?.());
	expect(screen.queryByText("Feed open")).toBeNull();
	act(() => Line.open[0]?.tell({ revision: null, shot: null }));
	expect(await screen.findByText("Feed open")).toBeTruthy();
	// A server that stands still breaks no line: that nothing is heard is said all the same, with since when.
	const later = Date.now() + 6000;
	vi.spyOn(Date, "now").mockImplementation(() => later);
	expect(await screen.findByText(/^Nothing heard since \d\d:\d\d:\d\d/, {}, { timeout: 3000 })).toBeTruthy();
	act(() => Line.open[0]?.dispatchEvent(new MessageEvent("beat", { data: "{}" })));
	expect(await screen.findByText("Feed open")).toBeTruthy();
	vi.restoreAllMocks();
});

test("leaving the session closes its line", async () => {
	start("/sessions/7/bag", {});
	await screen.findByRole("heading", { name: "Ada Field" });
	press("0");
	await screen.findByText("Your first customer");
	expect(Line.open.every((each) => each.closed)).toBe(true);
});

test("a problem of a change is said under the header and belongs to its place", async () => {
	start("/sessions/7/bag", {
		"POST /api/sessions/7/clubs": Response.json(
			{ title: "5i is in the bag already.", field: "name" },
			{ status: 400 },
		),
	});
	fireEvent.change(await screen.findByPlaceholderText("Club, 5i"), { target: { value: "5i" } });
	fireEvent.click(screen.getByRole("button", { name: "Add" }));
	expect(await screen.findByText("5i is in the bag already.")).toBeTruthy();
	press("4");
	await waitFor(() => expect(screen.queryByText("5i is in the bag already.")).toBeNull());
});

test("a stand-in that has ended lets the next one hit, though nothing tells that it ended", async () => {
	const { answers } = start("/sessions/7/bay", {
		"GET /api/me": { ...me, demo: true },
		"GET /api/bays/1/stand-in": { hitting: true },
	});
	const hit = (await screen.findByRole("button", { name: "Hit 1" })) as HTMLButtonElement;
	await waitFor(() => expect(hit.disabled).toBe(true));
	answers["GET /api/bays/1/stand-in"] = { hitting: false };
	await waitFor(() => expect(hit.disabled).toBe(false), { timeout: 4000 });
});

const whole = (sent: Sent[]) =>
	sent.filter((each) => each.method === "GET" && each.url === "/api/sessions/7").length;

test("what this screen knows already is not read anew, what it does not know is", async () => {
	const { sent, answers } = start("/sessions/7/bay", { [SESSION]: inHand });
	await screen.findByRole("heading", { name: "Ada Field" });
	act(() => Line.open[0]?.tell({ revision: 40, shot: null }));
	act(() => Line.open[0]?.tell({ revision: 39, shot: null }));
	answers[SESSION] = { ...inHand, revision: 41, next: "Six more with B." };
	act(() => Line.open[0]?.tell({ revision: 41, shot: null }));
	await screen.findAllByText("Six more with B.");
	expect(whole(sent)).toBe(2);
});

test("the word of one's own change, which comes before its answer, makes nothing be read twice", async () => {
	let answer: (data: unknown) => void = () => undefined;
	const { sent } = start("/sessions/7/bay", {
		[SESSION]: inHand,
		"PUT /api/sessions/7/in-hand": new Promise((done) => {
			answer = done;
		}),
	});
	await screen.findByRole("heading", { name: "Ada Field" });
	press("b", "KeyB");
	await waitFor(() => expect(sent.some((each) => each.method === "PUT")).toBe(true));
	act(() => Line.open[0]?.tell({ revision: 41, shot: null }));
	act(() => answer({ ...inHand, revision: 41, in_hand: 5, next: "Now B." }));
	await screen.findAllByText("Now B.");
	expect(whole(sent)).toBe(1);
});

test("a tag shows at once, and is taken back with a word when it is refused", async () => {
	let refuse: (data: unknown) => void = () => undefined;
	start("/sessions/7/bay", {
		[SESSION]: inHand,
		"PUT /api/shots/2/strike": new Promise((done) => {
			refuse = done;
		}),
	});
	const second = await screen.findByRole("button", { name: /^Shot 2/ });
	fireEvent.click(second);
	press("n", "KeyN");
	await waitFor(() => expect(second.textContent).toContain("thin"));
	act(() => refuse(Response.json({ title: "This session is agreed.", field: null }, { status: 409 })));
	expect(await screen.findByText("This session is agreed.")).toBeTruthy();
	await waitFor(() => expect(second.textContent).not.toContain("thin"));
});

test("what waits for a line is seen after the page was read anew, as it was before", async () => {
	const away = { [SESSION]: inHand, "PUT /api/shots/2/strike": new Promise(() => undefined) };
	start("/sessions/7/bay", away);
	fireEvent.click(await screen.findByRole("button", { name: /^Shot 2/ }));
	press("n", "KeyN");
	await waitFor(() => expect(screen.getByRole("button", { name: /^Shot 2/ }).textContent).toContain("thin"));
	cleanup();
	reopen();
	const { answers } = start("/sessions/7/bay", away);
	await waitFor(() => expect(screen.getByRole("button", { name: /^Shot 2/ }).textContent).toContain("thin"));
	answers["PUT /api/shots/2/strike"] = Response.json({ title: "Agreed.", field: null }, { status: 409 });
	cleanup();
	reopen();
	start("/sessions/7/bay", answers);
	await screen.findByText("Agreed.", { exact: false });
	expect(screen.getByRole("button", { name: /^Shot 2/ }).textContent).not.toContain("thin");
});

test("only the shots that changed come back, into those that are held", async () => {
	const changed = { ...inHand, revision: 41, shots_since: 40, shots: [shot(1, 4, 177, { strike: "toe" })] };
	start("/sessions/7/bay", { [SESSION]: inHand, "PUT /api/shots/1/strike": changed });
	fireEvent.click(await screen.findByRole("button", { name: /^Shot 1/ }));
	press("t", "KeyT");
	const row = screen.getByRole("list", { name: "Shots of this build" });
	await waitFor(() => expect(row.textContent).toContain("toe"));
	expect(row.querySelectorAll("li")).toHaveLength(3);
});

test("what was changed is seen at once; until it is judged anew the screen says so, and reads once for several", async () => {
	let judged: (data: unknown) => void = () => undefined;
	const tagged = shot(1, 4, 177, { strike: "toe" });
	const build = { id: 4, kept: 2, set_aside: 0, carry_m: 150, spread_m: 3, averages: { carry_m: 150 } };
	const seen = { id: 7, revision: 41, what: "shot", shot: tagged, build, now: null };
	const { sent, answers } = start("/sessions/7/bay", { [SESSION]: inHand });
	fireEvent.click(await screen.findByRole("button", { name: /^Shot 1/ }));
	answers["PUT /api/shots/1/strike"] = seen;
	answers[SESSION] = new Promise((done) => {
		judged = done;
	});
	press("t", "KeyT");
	const row = screen.getByRole("list", { name: "Shots of this build" });
	await waitFor(() => expect(row.textContent).toContain("toe"));
	expect(await screen.findByText("Working it out")).toBeTruthy();
	act(() => Line.open[0]?.tell({ ...seen, revision: 42 }));
	expect(whole(sent)).toBe(2);
	act(() => judged({ ...inHand, revision: 42, shots: [tagged], next: "Six more with B." }));
	await screen.findAllByText("Six more with B.");
	await waitFor(() => expect(screen.queryByText("Working it out")).toBeNull());
	expect(whole(sent)).toBe(2);
});

test("what was seen since stays seen when something older is read, in whichever order it came", async () => {
	let read: (data: unknown) => void = () => undefined;
	const { answers } = start("/sessions/7/bay", { [SESSION]: inHand });
	await screen.findByRole("heading", { name: "Ada Field" });
	answers[SESSION] = new Promise((done) => {
		read = done;
	});
	const other = { shot: null, build: null };
	act(() => Line.open[0]?.tell({ ...other, revision: 43, now: { in_hand: 5 } }));
	act(() => Line.open[0]?.tell({ ...other, revision: 42, now: { in_hand: 4 } }));
	const inHandNow = () => screen.getByRole("button", { name: /^BU4/, pressed: true });
	await waitFor(inHandNow);
	act(() => read({ ...inHand, revision: 41, next: "As it was before." }));
	await screen.findAllByText("As it was before.");
	inHandNow();
});

test("a place that cannot be drawn says so, and the others go on working", async () => {
	vi.spyOn(console, "error").mockImplementation(() => undefined);
	const { answers } = start("/sessions/7/bench", {
		"GET /api/sessions/7/bench": { ...bench, lines: [{}], choice: null },
		[SESSION]: { ...session, verdicts: [verdict()] },
	});
	expect(await screen.findByText("This place could not be drawn")).toBeTruthy();
	press("2");
	await screen.findByPlaceholderText("Club, 5i");
	answers["GET /api/sessions/7/bench"] = bench;
});

test("an agreed session says so in every place but its handover", async () => {
	start("/sessions/7/bench", {
		[SESSION]: {
			...session,
			status: "agreed",
			frozen: true,
			customer: { id: 1, name: "Ada Field", hand: "left" },
		},
	});
	expect(await screen.findByText(/It is shown as it was and does not change/)).toBeTruthy();
	expect(screen.getByText(/left-handed/)).toBeTruthy();
	press("5");
	await waitFor(() => expect(screen.queryByText(/It is shown as it was/)).toBeNull());
});

test("what was done last is taken back and done again by name, in every place", async () => {
	const { sent } = start("/sessions/7/brief", {
		[SESSION]: session,
		"GET /api/sessions/7/acts": { undo: "wrote in the brief", redo: "put a club in the bag", trail: [] },
		"POST /api/sessions/7/undo": session,
		"POST /api/sessions/7/redo": session,
	});
	fireEvent.click(await screen.findByRole("button", { name: "Z takes back: wrote in the brief" }));
	press("2");
	fireEvent.click(await screen.findByRole("button", { name: "⇧Z does again: put a club in the bag" }));
	press("z");
	await waitFor(() =>
		expect(changes(sent).map((each) => each.url.split("/").at(-1))).toEqual(["undo", "redo", "undo"]),
	);
});

test.each(["brief", "bag", "bay", "bench", "handover"])("no key of the %s does two things", async (place) => {
	start(`/sessions/7/${place}`, { [SESSION]: inHand });
	await screen.findByRole("navigation", { name: "Places of the visit" });
	press("?", "Slash");
	const keys = await screen.findAllByRole("button", { name: /Change$/, hidden: true });
	const shown = keys.map((each) => each.textContent).filter((key) => key && key !== "none");
	expect(shown.length).toBeGreaterThan(8);
	expect(shown.filter((key, at) => shown.indexOf(key) !== at)).toEqual([]);
});

test("a session that is not there leads back to the desk; a server that is silent says what to do", async () => {
	start("/sessions/8/bag", {});
	expect(await screen.findByText("Nothing at /api/sessions/8.")).toBeTruthy();
	expect(screen.getByRole("link", { name: "To the desk" }).getAttribute("href")).toBe("/");
	clear();
	vi.stubGlobal("fetch", () => Promise.reject(new TypeError("refused")));
	draw(<App />);
	expect(await screen.findByText(/does not answer. Nothing you saved is lost/)).toBeTruthy();
});
