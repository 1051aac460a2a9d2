/** The Bench on its own: the choice, the verdicts, is one better. */

import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { Bench as BenchAnswer, Session } from "../../api/client";
import { bench as empty, m, session, verdict } from "../../tests/session";
import { changes, clear, serve, show } from "../../tests/stage";
import { fromFar } from "../../ui/units";
import { Bench } from "./Bench";

afterEach(clear);

const bench: BenchAnswer = {
	...empty,
	comparisons: [
		{
			metric: "jobs",
			better: "A",
			worse: "B",
			by: 0.2,
			by_equal: null,
			chance: 0.8,
			settled: false,
			more: 4,
			sentence: "A does 0.2 more of the jobs a round than B: not settled.",
		},
		{
			metric: "carry_m",
			better: "B",
			worse: "A",
			by: 5,
			by_equal: 4,
			chance: 0.97,
			settled: true,
			more: 0,
			sentence: "B carries 5 yd further than A: settled.",
		},
	],
	choice: {
		letter: "A",
		runner_up: "B",
		sentence: "A makes most of the jobs.",
		settled: false,
		chance_best: 0.7,
		letters: ["A"],
		leaves: [],
		because: "saves_most",
		worths: [
			{
				letter: "A",
				saves: 0.34,
				low: -0.1,
				high: 0.8,
				lines: [
					{ line: "yardages", strokes: 0.21 },
					{ line: "jobs", strokes: 0.13 },
					{ line: "price", strokes: -0.03 },
				],
			},
		],
		more_with: "B",
		more_in_vain: false,
		more: 4,
	},
};
const judged: Session = {
	...session,
	verdicts: [
		verdict({
			against: "3 in 10 stop short.",
			shape: "It bends 8 yd right as a rule; a draw is wanted.",
			played: [
				{
					job: "Second",
					uses_per_round: 1,
					success: 0.72,
					low: 0.6,
					high: 0.8,
					short: 0.2,
					long: 0,
					left: 0,
					right: 0.1,
					lie: "from rough: 9% less carry by judgement, not hit from there",
					eased_m: null,
					never: false,
				},
				{
					job: "Par five",
					uses_per_round: 1,
					success: 0.01,
					low: 0,
					high: 0.02,
					short: 0.99,
					long: 0,
					left: 0,
					right: 0,
					lie: "",
					eased_m: null,
					never: true,
				},
			],
		}),
		verdict({
			build: 5,
			letter: "B",
			kind: "one_turn",
			headline: "One turn away: 1° up",
			chance: 0.004,
			chance_words: "under 1%",
			slot: 0,
		}),
	],
	bag: { ...session.bag, stand: ["B is 1.5 in longer than A."] },
};
const answers = { "GET /api/sessions/7/bench": bench };

test("the choice comes first, with what would settle it, then each verdict with its chance and its jobs", async () => {
	serve(answers);
	show(Bench, judged);
	expect(await screen.findByText("A makes most of the jobs.")).toBeTruthy();
	expect(screen.getByText("Not settled: about 4 more with B.")).toBeTruthy();
	const saved = screen.getByTestId("worths");
	expect(saved.textContent).toContain("+0.3−0.1 to 0.8: 0.21 yardages, 0.13 jobs, −0.03 price");
	expect(screen.getByText("83%")).toBeTruthy();
	expect(screen.getByText("under 1%")).toBeTruthy();
	expect(screen.getByRole("list", { name: "Jobs played out with A" }).textContent).toContain("72%");
	expect(screen.queryByText("Par five")).toBeNull();
	expect(screen.getByText("One job more, not its own.")).toBeTruthy();
	expect(screen.getByText("3 in 10 stop short.")).toBeTruthy();
	expect(screen.getByText("It bends 8 yd right as a rule; a draw is wanted.")).toBeTruthy();
	expect(screen.getByText("B is 1.5 in longer than A.")).toBeTruthy();
});

test("is one really better is asked of one thing at a time, of those that can be told", async () => {
	serve(answers);
	show(Bench, judged);
	expect(await screen.findByText(/0.2 more of the jobs a round/)).toBeTruthy();
	expect(screen.queryByText(/carries 5 yd further/)).toBeNull();
	fireEvent.click(screen.getByRole("button", { name: "Further" }));
	expect(screen.getByText(/carries 5 yd further/)).toBeTruthy();
	expect(screen.queryByRole("button", { name: "Straighter" })).toBeNull();
});

test("each build stands against the window it is judged by", async () => {
	serve(answers);
	const second = structuredClone(judged);
	const slot = second.bag.in_work?.slots[0];
	if (!slot) throw new Error("no slot");
	const other = { carry_m: { low: fromFar(190), high: fromFar(197) } };
	second.bag.in_work?.slots.push({ ...slot, index: 1 });
	second.builds = second.builds.map((each) =>
		each.letter === "B" ? { ...each, carry_m: fromFar(193), wanted: other } : each,
	);
	second.builds = second.builds.map((each) => ({ ...each, averages: { carry_m: each.carry_m ?? 0 } }));
	second.verdicts = [verdict({ build: 4, slot: 0 }), verdict({ build: 5, letter: "B", slot: 1 })];
	show(Bench, second, "/?tab=flight");
	const row = (await screen.findByText(/^Carry, yd/)).closest("tr") as HTMLElement;
	expect(row.textContent).toContain("each by its own");
	const bands = [...row.querySelectorAll("svg rect")].map((each) => Number(each.getAttribute("x")));
	expect(bands).toHaveLength(2);
	expect(bands[1]).toBeGreaterThan(bands[0] ?? 0);
});

test("of a shot that was asked for it says what it did beside the stock one, and when not as meant", async () => {
	const by = { peak_m: m(-6.1), carry_m: -fromFar(4), curve_m: fromFar(8) };
	const findings: BenchAnswer["findings"] = [
		{
			build: 4,
			swing: "",
			at: {},
			letter: "A",
			protocol: "shaped",
			intent: "low",
			n: 3,
			by,
			as_asked: true,
			sentence: "",
		},
		{
			build: 4,
			swing: "",
			at: {},
			letter: "A",
			protocol: "shaped",
			intent: "fade",
			n: 1,
			by,
			as_asked: null,
			sentence: "",
		},
		{
			build: 5,
			swing: "",
			at: {},
			letter: "B",
			protocol: "shaped",
			intent: "low",
			n: 2,
			by: { ...by, peak_m: m(3.05) },
			as_asked: false,
			sentence: "",
		},
	];
	serve({ "GET /api/sessions/7/bench": { ...bench, findings } });
	show(Bench, judged, "/?tab=tests");
	const table = (await screen.findByText("Asked for, beside the stock shot")).closest("table") as HTMLElement;
	const rows = [...table.querySelectorAll("tbody tr")].map((row) =>
		[...row.querySelectorAll("td")].map((cell) => cell.textContent),
	);
	expect(rows).toEqual([
		[
			"low",
			"20 ft lower, 4 yd shorteras meant, 3 hit",
			"10 ft higher, 4 yd shorternot what was meant, 2 hit",
		],
		["fade", "8 yd right, 4 yd shortermay be chance, 1 hit", "not asked"],
	]);
});

test("swings of one club stand side by side, and a yardage by name beside what came", async () => {
	const seen = { build: 4, letter: "A", n: 3, as_asked: null };
	const at = (yards: number) => ({ carry_m: fromFar(yards), spread_m: fromFar(4), spin_rpm: 8600 });
	const findings: BenchAnswer["findings"] = [
		{ ...seen, protocol: "effort", intent: "stock", by: {}, swing: "", at: at(97), sentence: "" },
		{
			...seen,
			protocol: "effort",
			intent: "stock",
			by: {},
			swing: "three_quarter",
			at: at(96),
			sentence: "It goes as far at three-quarter.",
		},
		{ ...seen, protocol: "effort", intent: "stock", by: {}, swing: "9:00", at: at(61), sentence: "" },
		{
			...seen,
			protocol: "yardage",
			intent: "yardage",
			by: {
				asked_m: fromFar(75),
				carry_m: fromFar(72),
				off_m: fromFar(-3),
				launch_deg: 31,
				spin_rpm: 7400,
			},
			swing: "",
			at: {},
			sentence: "Asked 75: carries 72, 3 short.",
		},
	];
	serve({ "GET /api/sessions/7/bench": { ...bench, findings, eases: "Eases off about as most do." } });
	show(Bench, judged, "/?tab=tests");
	const effort = within(await screen.findByRole("region", { name: "Effort" }));
	for (const name of [/^stock 97 4 8.?600 3/, /^three-quarter.* 96 4/, /^to 9:00 61 4/])
		expect(effort.getByRole("row", { name })).toBeTruthy();
	expect(effort.getByText("It goes as far at three-quarter.")).toBeTruthy();
	const asked = within(screen.getByRole("region", { name: "Yardages by name" }));
	expect(asked.getByRole("row", { name: /75 72 .3 – 31° 7.?400 3/ })).toBeTruthy();
	expect(screen.getByText(/Eases off about as most do/)).toBeTruthy();
});

test("a wedge flies beside its window with what it may be, and each complaint has its answer", async () => {
	const window = (quantity: string, low: number, high: number) => ({
		quantity,
		low,
		middle: (low + high) / 2,
		high,
	});
	const flights: BenchAnswer["flights"] = [
		{
			build: 4,
			windows: [window("launch_deg", 25, 30), window("spin_rpm", 8000, 10200)],
			means: { launch_deg: 34, spin_rpm: 6900 },
			where: { launch_deg: 1, spin_rpm: -1 },
			high_little: true,
			sentence: "Too high with too little spin.",
			causes: [{ what: "contact high on the face", why: "3 of 5 called high", test: "Powder the face." }],
			source: "Published averages up to the set wedge.",
		},
	];
	const claims: BenchAnswer["claims"] = [
		{
			club: "54",
			complaint: "runs_out",
			claim: "open",
			sentence: "54, “it does not stop”: hit a fresh one.",
		},
		{ club: "54", complaint: "line", claim: "not_so", sentence: "54, “it goes off line”: within 0.3°." },
	];
	serve({ "GET /api/sessions/7/bench": { ...bench, flights, claims } });
	show(Bench, judged, "/?tab=flight");
	const flight = within(await screen.findByRole("region", { name: "Flight by loft" }));
	expect(flight.getByText("34")).toBeTruthy();
	expect(flight.getByText("25 to 30")).toBeTruthy();
	expect(flight.getByText(/Perhaps contact high on the face/).textContent).toBe(
		"Perhaps contact high on the face (3 of 5 called high). Powder the face.",
	);
	fireEvent.keyDown(document.body, { key: "t" });
	const said = within(await screen.findByRole("region", { name: "What bothers the player" }));
	expect(said.getAllByRole("listitem").map((each) => each.textContent)).toEqual([
		"open54, “it does not stop”: hit a fresh one.",
		"not so54, “it goes off line”: within 0.3°.",
	]);
});

test("a column can be held against another, and the two read as neighbours; lines are kept for the shop", async () => {
	const two = {
		lower: 4,
		upper: 2,
		step_m: fromFar(18),
		coverage_m: fromFar(9),
		often: 1,
		sentence: "",
	};
	const sent = serve({
		"GET /api/sessions/7/bench": { ...bench, side_by_side: [two] },
		"PUT /api/shop/columns": {},
		"GET /api/sessions/7": judged,
	});
	// Seen as 186 and 204: whoever subtracts on the screen finds 18, though they are 17.2 apart.
	const carries: Record<number, number> = { 4: fromFar(186.4), 2: fromFar(203.6) };
	const builds = judged.builds.map((each) => ({ ...each, averages: { carry_m: carries[each.id] ?? 0 } }));
	show(Bench, { ...judged, builds }, "/?tab=flight");
	fireEvent.change(await screen.findByLabelText("What the columns are held against"), {
		target: { value: "2" },
	});
	const row = screen.getByText("Carry, yd").closest("tr") as HTMLElement;
	expect(row.textContent).toContain("\u221218");
	expect(((await screen.findByText("Step, yd")).closest("tr") as HTMLElement).textContent).toContain("18");
	expect((screen.getByText("In the other’s yardage").closest("tr") as HTMLElement).textContent).toContain(
		"1 in 10",
	);
	fireEvent.click(screen.getByRole("button", { name: "Lines" }));
	fireEvent.click(screen.getByRole("button", { name: "Total, yd further up" }));
	fireEvent.click(screen.getByRole("button", { name: "Leave out Smash" }));
	fireEvent.click(screen.getByRole("button", { name: "Keep for the shop" }));
	await waitFor(() => expect(changes(sent)[0]?.url).toBe("/api/shop/columns"));
	const kept = changes(sent)[0]?.body as { columns: string[] } | undefined;
	expect(kept?.columns.slice(0, 2)).toEqual(["total_m", "carry_m"]);
	expect(kept?.columns).not.toContain("smash");
});

test("the player's word on a build is sent as it is chosen", async () => {
	const sent = serve({ ...answers, "PUT /api/builds/5": judged });
	show(Bench, judged);
	fireEvent.change(screen.getByLabelText("What the player says of B"), { target: { value: "vetoed" } });
	await waitFor(() =>
		expect(changes(sent)).toEqual([{ method: "PUT", url: "/api/builds/5", body: { liking: "vetoed" } }]),
	);
});

test("nothing on the stand is said, with the way to the bag", () => {
	serve({});
	show(Bench, { ...session, builds: session.builds.filter((each) => !each.letter) });
	expect(screen.getByText("Nothing to compare yet")).toBeTruthy();
	expect(screen.getByRole("link", { name: "To the bag" }).getAttribute("href")).toBe("/sessions/7/bag");
});

test("an old wedge beside a fresh one: the outcome first, then both figures from each lie", async () => {
	const beside = (old: number, fresh: number, told = true) => ({ at: [old, fresh], half: 200, told });
	const column = (key: string, reading = key, digits: number | null = null) => ({
		key,
		name: `The ${key}`,
		reading,
		digits,
	});
	const results: BenchAnswer["results"] = [
		{
			test: "grooves",
			title: "Grooves, old against new",
			builds: [1, 11],
			columns: [column("spin_rpm"), column("launch_deg"), column("run_m", "carry_m", 1)],
			rows: [
				{
					name: "wet",
					build: null,
					shots: [5, 4],
					figures: { spin_rpm: beside(2100, 3650), run_m: beside(7.1, 4.9, false) },
				},
			],
			outcome: "replace",
			sentence: "Worth replacing: wet, 54 runs 2.4 yd further than B.",
			remarks: ["Wet: the fresh one spins 1550 rpm more.", "190 rounds are why it is tested."],
		},
	];
	serve({ "GET /api/sessions/7/bench": { ...bench, results } });
	show(Bench, session, "/?tab=tests");
	const told = within(await screen.findByRole("region", { name: "Grooves, old against new" }));
	expect(told.getByText(/^Worth replacing: wet/).className).toContain("hole-text");
	const row = told.getByRole("row", { name: /^wet/ });
	expect(row.textContent?.replace(/\s/g, "")).toBe("wet2100|3650–7.8|5.45|4");
	expect(told.getByText("190 rounds are why it is tested.")).toBeTruthy();
});

test("a club of the bag that was typed and not hit stands in the columns with what is known of it", async () => {
	serve({ "GET /api/sessions/7/bench": bench });
	const builds = judged.builds.map((each) =>
		each.letter ? each : { ...each, averages: {}, carry_from: "typed" as const },
	);
	show(Bench, { ...judged, builds }, "/?tab=flight");
	const row = (await screen.findByText("Carry, yd")).closest("tr") as HTMLElement;
	expect(row.textContent).toMatch(/196 typed/);
});
