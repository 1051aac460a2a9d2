/** The Bag on its own: the rule, the short list, plans side by side, imports, a typed club. */

import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { Plans, Session } from "../../api/client";
import { afterOf } from "../../session/maps";
import { bagPlan, ranked, session, verdict } from "../../tests/session";
import { changes, clear, serve, show } from "../../tests/stage";
import { fromFar } from "../../ui/units";
import { Bag } from "./Bag";

afterEach(clear);

const bare: Session = { ...session, builds: session.builds.filter((each) => !each.letter) };
const list = {
	slots: [
		[
			ranked(1, "4H", 0.8),
			ranked(2, "7W", 0.5, { set_loft_deg: 23, turn_deg: 1 }),
			ranked(3, "U3", 0.4, { supported: false, sentence: "Not supported by this speed." }),
			ranked(4, "3H", 0.05),
		],
	],
	why: "",
	left_out: ["9W Tarnhollow: not made left-handed."],
};
const shortlist = "GET /api/sessions/7/shortlist";

test("the short list marks what may well fill the window, and one act puts it on the stand as it is set", async () => {
	const sent = serve({ [shortlist]: list, "POST /api/sessions/7/candidates": session });
	show(Bag, bare);
	fireEvent.keyDown(document.body, { key: "l" });
	fireEvent.click(await screen.findByRole("button", { name: "Put 2 on the stand" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toEqual({
		again: false,
		candidates: [
			{ head: 1, shaft: 21, set_loft_deg: 22, length_m: null },
			{ head: 2, shaft: 22, set_loft_deg: 23, length_m: null },
		],
	});
	expect(screen.getByText("22° set to 23°")).toBeTruthy();
	expect(screen.getByRole("row", { name: /U3.*Not supported by this speed.*not supported/ })).toBeTruthy();
	expect(screen.getByRole("row", { name: /3H.*1 in 10/ })).toBeTruthy();
	expect(screen.getByText(/not made left-handed/)).toBeTruthy();
});

test("with candidates up nothing is marked, and those that are up show their letter", async () => {
	const up = { ...list, slots: [[ranked(1, "4H", 0.8, { letter: "A" }), ranked(2, "7W", 0.5)]] };
	serve({ [shortlist]: up });
	show(Bag, session);
	fireEvent.click(screen.getByRole("tab", { name: /Short list/ }));
	const put = await screen.findByRole("button", { name: "Put the marked on the stand" });
	expect((put as HTMLButtonElement).disabled).toBe(true);
	expect(screen.getAllByRole("checkbox")).toHaveLength(1);
	fireEvent.click(screen.getByRole("checkbox"));
	expect(screen.getByRole("button", { name: "Put 1 on the stand" })).toBeTruthy();
});

test("too little known of the player is said in place of a list", async () => {
	serve({ [shortlist]: { slots: [], why: "Hit or type two clubs of the bag at least.", left_out: [] } });
	show(Bag, bare);
	fireEvent.keyDown(document.body, { key: "l" });
	expect(await screen.findByText("Hit or type two clubs of the bag at least.")).toBeTruthy();
	expect(screen.queryByRole("button", { name: /on the stand/ })).toBeNull();
});

const found = bagPlan("Proposed", [1, 2, 4], {
	added: ["A 4H 22°"],
	saves: 0.9,
	saves_low: 0.4,
	saves_high: 1.3,
	worth: [
		{ line: "yardages", strokes: 0.62 },
		{ line: "jobs", strokes: 0.31 },
		{ line: "price", strokes: -0.03 },
	],
	rounds: 2.1,
	open_m: fromFar(9),
	widest_m: fromFar(9),
	price: "279",
	sentence: "A 4H 22° in: 26 yd uncovered become 9.",
	jobs: [{ job: "Second", uses_per_round: 1, club: "A 4H 22°", success: 0.72 }],
	next: "Widest hole left: 9 yd between A 4H 22° and 5W.",
});
const today = bagPlan("Today", [1, 2], {
	jobs: [{ job: "Second", uses_per_round: 1, club: "5i", success: 0.12 }],
});
const kept = bagPlan("Plan 1", [1, 2, 4, 5], { id: 31, swap_home: 4, swap_away: 5, swap_course: "Links" });
const plans: Plans = {
	revision: 40,
	today,
	found,
	expected: null,
	schools: [],
	plans: [kept],
	searched: 12,
	courses: ["Home", "Links"],
};

test("plans stand beside today's bag, and the map shows the one that is chosen", async () => {
	serve({ "GET /api/sessions/7/plans": plans });
	show(Bag, session);
	fireEvent.keyDown(document.body, { key: "p" });
	expect(await screen.findByText(/26 yd uncovered become 9/)).toBeTruthy();
	expect(screen.getByText(/Among 12 bags with up to 1 new club/)).toBeTruthy();
	const map = screen.getByRole("group", { name: "Carry map of Ada Field" });
	expect(map.textContent).toContain("Proposed: A in");
	expect(map.textContent).toContain("+0.9 strokes saved a round");
	const row = (name: string) => screen.getByRole("row", { name: new RegExp(name) });
	expect(row("Strokes saved a round").textContent).toContain("+0.9 (0.4 to 1.3)");
	expect(row("Strokes saved a round").textContent).toContain("0.62 yardages, 0.31 jobs, −0.03 price");
	expect(row("Successful shots a round").textContent).toContain("2.1");
	expect(row("^Second").textContent).toContain("72% A 4H 22°");
	fireEvent.click(screen.getByRole("button", { name: "Today" }));
	expect(map.textContent).toContain("26yd widest hole");
});

test("a club taken out of a plan takes its swap pair with it", async () => {
	const sent = serve({ "GET /api/sessions/7/plans": plans, "PUT /api/plans/31": plans });
	show(Bag, session);
	fireEvent.keyDown(document.body, { key: "p" });
	fireEvent.click(await screen.findByRole("button", { name: "Change" }));
	const editor = within(screen.getByRole("group", { name: "Plan 1: in and out" }));
	expect(editor.getByRole("button", { name: /B in the place of A: turn round/ })).toBeTruthy();
	fireEvent.click(editor.getByRole("button", { name: /U4/ }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toEqual({
		name: "Plan 1",
		builds: [1, 2, 4],
		swap_home: null,
		swap_away: null,
		swap_course: "",
	});
	expect((editor.getByRole("button", { name: /5W/ }) as HTMLButtonElement).disabled).toBe(true); // fixed
});

test("keeping the best bag makes a plan of its clubs", async () => {
	const sent = serve({ "GET /api/sessions/7/plans": plans, "POST /api/sessions/7/plans": plans });
	show(Bag, session);
	fireEvent.keyDown(document.body, { key: "p" });
	fireEvent.click(await screen.findByRole("button", { name: "Keep" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toMatchObject({ name: "Plan 2", builds: [1, 2, 4] }));
});

test("in the bag after, the club for the other course is drawn beside the one it stands for", () => {
	const hit = structuredClone(session);
	const other = hit.builds.find((each) => each.id === 5);
	if (other) Object.assign(other, { carry_m: fromFar(186), total_m: fromFar(196) });
	const clubs = [
		{ id: 1, letter: "", name: "5i", carry: 162 },
		{ id: 4, letter: "A", name: "4H 22°", carry: 178 },
	].map(({ carry, ...club }) => ({
		...club,
		head_type: "iron" as const,
		loft_deg: 22,
		carry_m: fromFar(carry),
		total_m: fromFar(carry + 6),
		new: club.letter !== "",
		expected: club.letter === "A",
	}));
	const after = afterOf(hit, { ...kept, clubs });
	expect(
		after.clubs.map((club) => [club.letter, Math.round(club.carry), club.swapped, club.expected]),
	).toEqual([
		["", 162, undefined, false],
		["A", 178, undefined, true],
		["B", 186, "Links", undefined],
	]);
});

test("the rule goes round on one key, and steps travel in metres", async () => {
	const sent = serve({ "PUT /api/sessions/7/gap": session, "PUT /api/sessions/7/rules": session });
	show(Bag, session);
	fireEvent.keyDown(document.body, { key: "r" });
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toMatchObject({ rule: "carry_only", gap_above: 1, clubs_to_place: 1 });
	fireEvent.click(screen.getByRole("button", { name: "Steps and turf" }));
	fireEvent.change(screen.getByLabelText("Roll-out on"), { target: { value: "firm" } });
	await waitFor(() => expect(changes(sent)).toHaveLength(2));
	expect(changes(sent)[1]?.body).toMatchObject({
		turf: "firm",
		long_least_m: null,
		short_rule: "even_steps",
	});
	fireEvent.change(screen.getByLabelText("Step at the long end, most"), { target: { value: "18" } });
	fireEvent.click(screen.getByRole("button", { name: "Set steps" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(3));
	expect(changes(sent)[2]?.body).toMatchObject({ long_least_m: fromFar(10), long_most_m: fromFar(18) });
});

test("a candidate says what it does to its neighbours, and what the first targets would have said", () => {
	serve({});
	const drifted = {
		...session,
		verdicts: [verdict({ at_first: "One head away (carry 170 to 177)" })],
		bag: { ...session.bag, moved: { A: "Leaves 8 yd below it and 12 yd above it of 26." } },
	};
	show(Bag, drifted);
	const card = screen.getByText("4H 22°").closest("li");
	expect(card?.textContent).toContain("Leaves 8 yd below it");
	expect(card?.textContent).toContain("By the first targets: One head away (carry 170 to 177)");
});

test("a file is taken back whole, and brought in again", async () => {
	const sent = serve({ "PUT /api/imports/9": session });
	const files = [
		{ id: 9, file_name: "range.csv", shots: 54, undone: false },
		{ id: 10, file_name: "old.csv", shots: 0, undone: true },
	];
	show(Bag, { ...session, imports: files });
	fireEvent.click(screen.getByRole("button", { name: "Take back" }));
	await waitFor(() =>
		expect(changes(sent)[0]).toMatchObject({ url: "/api/imports/9", body: { undone: true } }),
	);
	expect(screen.getByRole("button", { name: "Bring in again" })).toBeTruthy();
});

test("a typed club shows its give or take and can be aimed at like for like", async () => {
	const sent = serve({ "PUT /api/builds/1": session, "PUT /api/sessions/7/gap": session });
	const typed = structuredClone(session);
	typed.shots = [];
	Object.assign(typed.builds[0] ?? {}, { carry_from: "typed", carry_doubt_m: fromFar(7) });
	show(Bag, typed);
	expect(screen.getByRole("row", { name: /5i.*162\s*±7/ })).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: "5i" }));
	fireEvent.change(screen.getByLabelText("Give or take of 5i in yards"), { target: { value: "3" } });
	fireEvent.click(screen.getByRole("button", { name: "Set" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toMatchObject({ typed_doubt_m: fromFar(3) }));
	fireEvent.click(screen.getByRole("button", { name: "Replace it like for like" }));
	await waitFor(() => expect(changes(sent)[1]?.body).toMatchObject({ like_for: 1, clubs_to_place: 1 }));
});

test("an empty bag says what to do, and an agreed one changes nothing", () => {
	serve({});
	const { unmount } = show(Bag, {
		...session,
		builds: [],
		shots: [],
		bag: { ...session.bag, order: [], gaps: [], in_work: null, headline: "Import the baseline." },
	});
	expect(screen.getByText("What does Ada carry today?")).toBeTruthy();
	unmount();
	const sent = serve({});
	show(Bag, { ...session, status: "agreed" });
	fireEvent.keyDown(document.body, { key: "r" });
	fireEvent.keyDown(document.body, { key: "i" });
	expect(screen.queryByRole("dialog")).toBeNull();
	expect(sent).toEqual([]);
});
