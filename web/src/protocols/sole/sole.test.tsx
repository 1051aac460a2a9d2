/** The sole test on the screen: what is handed and held against what, what is sent, and who is told what when. */
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { Session, SoleTest } from "../../api/client";
import { Bay } from "../../places/bay/Bay";
import { build, m, session, standing } from "../../tests/session";
import { changes, clear, draw, serve, show } from "../../tests/stage";
import { comingOf, notYetIn } from "./coming";
import SetUpPage from "./SetUp";
import { SoleBench } from "./SoleBench";

afterEach(clear);

const code = (number: number, word: string, more: Partial<SoleTest["codes"][number]> = {}) => ({
	code: number,
	word,
	build: 70 + number,
	dropped: null,
	club: null,
	cells: [],
	spread_m: null,
	spread_low_m: null,
	spread_high_m: null,
	bad: [],
	under: [],
	...more,
});
const place = (key: string, name: string) => ({
	key,
	name,
	told: "Face square.",
	sand: key === "sand",
	target_m: m(36),
	open_face: key === "sand",
});
const next = (number: number, key = "pitch", more = {}) => ({
	code: number,
	place: key,
	duel: false,
	visit: 0,
	...more,
});
const handing = (id: number, number: number, said: number | null, key = "pitch") => ({
	...next(number, key),
	id,
	said,
	best: null,
	turf: "slid" as const,
	groove: null,
	sound: "",
	left_m: null,
	opened: null,
});
const result: SoleTest["result"] = {
	order: [],
	placed: [],
	named: null,
	likely: [],
	sure: 0.5,
	same: false,
	sentences: ["Nothing was compared yet."],
	deciding: "",
	repeats: "",
	measured: [],
	at_odds: "",
	belief: "",
	blindness: "",
	loft_needed: "",
};
const begun: SoleTest = {
	id: 5,
	blind: "single",
	setter: "fitter",
	setter_name: "Rowan Ashby",
	loft_deg: 58,
	wedge: null,
	duels: 4,
	finalists: 2,
	short: false,
	on: true,
	revealed: false,
	places: [place("pitch", "Stock pitch"), place("sand", "Greenside sand")],
	codes: [code(0, "Candle"), code(1, "Garden"), code(2, "Marble")],
	handings: [],
	next: next(1),
	ahead: [next(1), next(0), next(2), next(2, "sand"), next(0, "sand"), next(1, "sand")],
	shots: 3,
	since: 0,
	done: 0,
	more: 9,
	minutes: 16,
	complete: false,
	unplayed: ["pitch", "sand"],
	result,
	warnings: [],
	guess: null,
	confidence: "",
	chosen: null,
	hand_out_opened: null,
	course: "",
	notes: [],
};
const played = (more: Partial<SoleTest>, hand: number | null = 71): Session => ({
	...session,
	protocol: "sole",
	in_hand: hand,
	soles: [{ ...begun, ...more }],
});
const SAID = "POST /api/trials/5/said";

test("the first at a lie is held against nothing; each after it takes two touches, and the next word is there at once", async () => {
	const sent = serve({
		[SAID]: new Promise(() => undefined),
		"GET /api/me": { signed_in: true, username: "fitter" },
	});
	show(Bay, played({}));
	expect(screen.getByTestId("code").textContent).toBe("Garden");
	expect((screen.getByRole("button", { name: /Better$/ }) as HTMLButtonElement).disabled).toBe(true);
	fireEvent.click(screen.getByRole("button", { name: /Dug/ }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toMatchObject({
		code: 1,
		place: "pitch",
		said: null,
		turf: "dug",
		duel: false,
	});
	await waitFor(() => expect(screen.getByTestId("code").textContent).toBe("Candle"));
	expect(screen.getByText(/Than Garden, the one before/)).toBeTruthy();
	// One alone sends nothing; by key the same as by touch.
	fireEvent.keyDown(document.body, { key: "ArrowDown", code: "ArrowDown" });
	expect(screen.getByRole("button", { name: /Worse$/, pressed: true })).toBeTruthy();
	expect(screen.getByTestId("code").textContent).toBe("Candle");
	fireEvent.click(screen.getByRole("button", { name: /Slid/ }));
	await waitFor(() => expect(screen.getByTestId("code").textContent).toBe("Marble"));
	expect(screen.getByTestId("handed").textContent).toBe("2");
});

test("with a line, who goes on to the next lie is waited for; without one nobody is out", () => {
	const said = [next(1), next(0), next(2)];
	expect(comingOf(begun, said, false).next).toBeNull();
	expect(comingOf(begun, said, true)).toMatchObject({ next: next(2, "sand"), first: true, before: null });
	expect(comingOf(begun, said.slice(0, 2), false)).toMatchObject({ next: next(2), first: false, before: 0 });
	// The two of a duel come again and again, and each is taken off once.
	const duel = [next(0, "pitch", { duel: true }), next(1, "pitch", { duel: true })];
	const two = { ...begun, ahead: [...duel, ...duel] };
	expect(comingOf(two, [duel[0] as never], false)).toMatchObject({ next: duel[1], before: 0 });
});

test("what is read before its own answer came is not counted twice, nor one of a duel taken for another", () => {
	const placed = new Map();
	const [one, two] = [next(0, "pitch", { duel: true }), next(1, "pitch", { duel: true })] as never[];
	const at = (done: number, waiting: never[]) => notYetIn({ ...begun, done }, waiting, placed);
	expect(at(4, [])).toEqual([]);
	expect(at(4, [one] as never[])).toEqual([one]);
	expect(at(4, [one, two] as never[])).toEqual([one, two]);
	expect(at(5, [one, two] as never[])).toEqual([two]);
	expect(at(6, [one, two] as never[])).toEqual([]);
	expect(at(6, [])).toEqual([]);
	// Taken back, and said again.
	expect(at(5, [next(1, "pitch", { duel: true })] as never[])).toHaveLength(1);
	// After a reload without a line all that waits is still to come.
	expect(notYetIn({ ...begun, done: 4 }, [one, two] as never[], new Map())).toHaveLength(2);
});

test("what was said is put right by a touch, and that another club is in hand is said", async () => {
	const sent = serve({ "PUT /api/trial-events/31/said": session, "PUT /api/trials/5/in-hand": session });
	show(
		Bay,
		played({ handings: [handing(30, 1, null), handing(31, 0, 1)], next: next(2), ahead: [next(2)] }, 4),
	);
	fireEvent.click(screen.getByRole("button", { name: "Take Marble in hand" }));
	fireEvent.click(screen.getByRole("button", { name: /Candle.*better, slid/ }));
	const sheet = within(screen.getByRole("dialog", { name: "Candle, Stock pitch" }));
	fireEvent.click(sheet.getByRole("button", { name: "Level" }));
	fireEvent.click(sheet.getByRole("button", { name: "Put right" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(2));
	expect(changes(sent).map((each) => each.body)).toEqual([
		{ code: 2, place: "pitch" },
		{ said: 0, turf: "slid", best: null, opened: null, groove: null, sound: "", left_m: null },
	]);
});

test("after the duel the player guesses; unplayed lies and a missing guess are said before the reveal", async () => {
	const sent = serve({ "PUT /api/trials/5/guess": session, "POST /api/trials/5/reveal": session });
	show(
		Bay,
		played(
			{ handings: [handing(30, 1, null)], next: null, ahead: [], complete: true, unplayed: ["sand"] },
			null,
		),
	);
	fireEvent.click(screen.getByRole("button", { name: "Reveal" }));
	const sheet = within(screen.getByRole("dialog", { name: "Reveal now?" }));
	expect(sheet.getByText(/greenside sand/)).toBeTruthy();
	expect(sheet.getByText(/has not guessed yet/)).toBeTruthy();
	fireEvent.click(sheet.getByRole("button", { name: "Reveal all the same" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ early: true }));
	const guess = within(screen.getByRole("group", { name: "The player’s guess" }));
	fireEvent.click(guess.getByRole("button", { name: "Garden" }));
	fireEvent.click(screen.getByRole("button", { name: "Certain" }));
	await waitFor(() => expect(changes(sent)[1]?.body).toEqual({ code: 1, confidence: "certain" }));
});

const club = (name: string, more = {}) => ({
	name,
	sole: "wide",
	bounce_deg: 12,
	loft_deg: 58,
	shaft: "",
	control: false,
	same_as: null,
	loft_role: null,
	...more,
});

test("the Bench ranks by code while it is blind, and by club with what disagrees once it is revealed", async () => {
	const sent = serve({ "PUT /api/trials/5/chosen": session });
	const act = (go: () => Promise<unknown>) => void go().catch(() => undefined);
	const ranked = {
		...result,
		order: [1, 0],
		placed: [1, 2],
		named: 1,
		sentences: ["Garden is liked best, 91 in 100 sure."],
	};
	const handings = [handing(30, 1, null)];
	draw(<SoleBench session={played({ handings, result: ranked })} act={act} />);
	expect(screen.getByText(/Still blind/)).toBeTruthy();
	expect(screen.getAllByRole("row").map((row) => row.firstChild?.textContent)).toEqual([
		"Liked",
		"1",
		"2",
		"",
	]);
	clear();
	serve({});
	const level = { ...result, order: [2, 1, 0], placed: [1, 2, 2], sentences: ["Marble leads."] };
	const codes = [code(0, "Candle", { dropped: 2 }), code(1, "Garden"), code(2, "Marble")];
	draw(<SoleBench session={played({ handings, result: level, codes })} act={act} />);
	expect(screen.getAllByRole("row").map((row) => row.firstChild?.textContent)).toEqual([
		"Liked",
		"1",
		"2=",
		"2=",
	]);
	expect(screen.getByText("out after 2 lies")).toBeTruthy();
	expect(screen.queryByRole("button", { name: "Choose" })).toBeNull();
	clear();
	serve({ "PUT /api/trials/5/chosen": session });
	const told = {
		handings,
		on: false,
		revealed: true,
		codes: [
			code(0, "Candle", { club: club("Thin 58", { control: true }), bad: ["sand"], under: ["pitch"] }),
			code(1, "Garden", {
				club: club("Wide 58"),
				spread_m: m(2),
				spread_low_m: m(1.4),
				spread_high_m: m(3.6),
			}),
			code(2, "Marble", { club: club("Wide 58", { same_as: 1 }) }),
		],
		result: { ...ranked, at_odds: "Wide 58 is liked best, yet Thin 58 repeats its distance better." },
	};
	draw(<SoleBench session={played(told)} act={act} />);
	const [, wide, thin] = screen.getAllByRole("row");
	expect(wide?.textContent).toContain("Wide 58 wide sole, 12° bounce, was Garden and Marble");
	expect(wide?.textContent).toContain("2.2 (1.5 to 3.9)");
	expect(thin?.textContent).toContain("the control");
	expect(thin?.textContent).toContain("under the floor: stock pitch");
	expect(screen.getAllByRole("row")).toHaveLength(3);
	expect(screen.getByText(/yet Thin 58 repeats/)).toBeTruthy();
	// The second code of a club is no row of its own, whichever the first is.
	clear();
	serve({ "PUT /api/trials/5/chosen": session });
	const twins = [
		code(0, "Candle", { club: club("Wide 58") }),
		code(1, "Garden", { club: club("Wide 58", { same_as: 0 }) }),
	];
	const order = { ...ranked, order: [0], placed: [1], named: 0 };
	draw(<SoleBench session={played({ ...told, codes: twins, result: order })} act={act} />);
	expect(screen.getAllByRole("row")).toHaveLength(2);
	clear();
	const again = serve({ "PUT /api/trials/5/chosen": session });
	draw(<SoleBench session={played(told)} act={act} />);
	fireEvent.click(screen.getAllByRole("button", { name: "Choose" })[0] as HTMLElement);
	await waitFor(() => expect(changes(again)[0]?.body).toEqual({ code: 1 }));
	expect(changes(sent)).toEqual([]);
});

test("the set-up begins with what there is, refuses what is no test, and shows the link only when asked", async () => {
	const choice = (head: number, name: string, control: "nearest" | null = null) => ({
		head,
		build: null,
		bend_deg: 0,
		name,
		sole: "wide",
		bounce_deg: 12,
		loft_deg: 58,
		control,
	});
	const lies = begun.places;
	const choices = {
		loft_deg: 58,
		clubs: [choice(1, "Thin 58", "nearest"), choice(2, "Wide 58")],
		chosen: [0, 1],
		control: 0,
		places: ["pitch", "sand"],
		lies,
		shaft: 3,
		shaft_name: "Steel",
	};
	const wedge = build(62, "58", 84, { head_type: "wedge", set_loft_deg: 58 });
	const own = { ...session, builds: [...session.builds, wedge] };
	const lines = [{ code: 0, word: "Candle", club: "Thin 58", detail: "58°", taped: false }];
	const sent = serve({
		"GET /api/sessions/7": own,
		"GET /api/sessions/7/trials/sole/choices": choices,
		"POST /api/sessions/7/trials/sole/check": {
			handings: 12,
			minutes: 21,
			warnings: ["The lengths differ."],
		},
		"POST /api/sessions/7/trials/sole": { ...own, soles: [begun] },
		"GET /api/trials/5/link": { lines },
	});
	draw(
		<Routes>
			<Route path="/sessions/:id/soles" element={<SetUpPage />} />
		</Routes>,
		"/sessions/7/soles",
	);
	expect(await screen.findByText("The lengths differ.")).toBeTruthy();
	const wide = screen.getByRole("checkbox", { name: /Wide 58/ });
	fireEvent.click(wide);
	expect(screen.getByText(/Two soles at least/)).toBeTruthy();
	expect((screen.getByRole("button", { name: "Draw the codes" }) as HTMLButtonElement).disabled).toBe(true);
	fireEvent.click(wide);
	fireEvent.click(screen.getByRole("button", { name: "Wide 58 under two codes" }));
	fireEvent.click(screen.getByRole("button", { name: "Draw the codes" }));
	expect(await screen.findByRole("region", { name: "Taping" })).toBeTruthy();
	const made = sent.find((each) => each.method === "POST" && each.url.endsWith("/trials/sole"));
	expect(made?.body).toMatchObject({
		loft_deg: 58,
		control: 0,
		control_is: "nearest",
		repeat: 1,
		wedge: 62,
		shaft: 3,
	});
	expect(sent.some((each) => each.url.endsWith("/link"))).toBe(false);
	fireEvent.click(screen.getByRole("button", { name: /Show which is which/ }));
	expect(await screen.findByText("Thin 58")).toBeTruthy();
});

test("only the setter is offered the link; in a double blind test nobody is, and an early end says what is left", async () => {
	const me = (username: string) => ({ "GET /api/me": { signed_in: true, username } });
	const sent = serve({ ...me("fitter"), "POST /api/trials/5/give-up": session });
	show(Bay, played({ handings: [handing(30, 1, null)] }));
	expect(await screen.findByRole("button", { name: "Which code is which" })).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: "End it early" }));
	expect(screen.getByText(/Not played by those that are left: stock pitch, greenside sand/)).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: "Give it up" }));
	await waitFor(() => expect(changes(sent).map((each) => each.url)).toEqual(["/api/trials/5/give-up"]));
	clear();
	serve(me("other"));
	show(Bay, played({}));
	expect(await screen.findByText("Only Rowan Ashby may see which code is which club.")).toBeTruthy();
	expect(screen.queryByRole("button", { name: "Which code is which" })).toBeNull();
	clear();
	serve(me("fitter"));
	show(Bay, played({ blind: "double" }));
	expect(await screen.findByText("The assistant has not opened the page yet.")).toBeTruthy();
	expect(screen.queryByRole("button", { name: "Which code is which" })).toBeNull();
});

test("grooves blind go by their words, and are revealed once something was hit", async () => {
	const blind = {
		id: 9,
		setter: "fitter",
		setter_name: "",
		codes: [
			{ build: 80, word: "Feather" },
			{ build: 81, word: "Kettle" },
		],
		guess: null,
		confidence: "",
	};
	const seen = (done: number): Session => ({
		...session,
		in_hand: 80,
		protocol: "grooves",
		tests: [
			standing(
				"grooves",
				["dry"],
				[
					[80, 0, done],
					[81, 0, 0],
				],
				{ blind },
			),
		],
	});
	const answers = {
		"GET /api/me": { signed_in: true, username: "fitter" },
		"PUT /api/trials/9/guess": session,
	};
	serve(answers);
	show(Bay, seen(0));
	expect(screen.getByRole("heading", { name: /Grooves, blind/ })).toBeTruthy();
	expect((screen.getByRole("button", { name: "Reveal" }) as HTMLButtonElement).disabled).toBe(true);
	clear();
	const sent = serve({ ...answers, "POST /api/trials/9/reveal": session });
	show(Bay, seen(3));
	const guess = within(screen.getByRole("group", { name: "The player’s guess" }));
	fireEvent.click(guess.getByRole("button", { name: "Kettle" }));
	fireEvent.click(screen.getByRole("button", { name: "Only a guess" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	fireEvent.click(screen.getByRole("button", { name: "Reveal" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(2));
	expect(changes(sent)[0]?.body).toEqual({ code: 81, confidence: "guess" });
	expect(changes(sent)[1]?.url).toBe("/api/trials/9/reveal");
});
