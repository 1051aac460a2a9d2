/** What the places make of a session: yards for metres, one span, and requests in canonical units. */
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, test, vi } from "vitest";
import type { Build, Session, Shot } from "../api/client";
import { CommandProvider } from "../app/commands";
import { FlightBoard } from "../instruments/FlightBoard";
import { boardClub, carriesOf, mapProps, readoutOf, rungs, sideProps, windowsOf } from "./model";
import { Targets } from "./Targets";

afterEach(() => {
	cleanup();
	vi.unstubAllGlobals();
});

const YD = 0.9144;
const build = (id: number, name: string, carry: number | null, more: Partial<Build> = {}): Build => ({
	id,
	letter: "",
	name,
	head_type: "iron",
	detail: "",
	shaft: "",
	stated_loft_deg: null,
	set_loft_deg: null,
	length_m: null,
	price: null,
	fixed: false,
	liking: "neutral",
	turned_from: "",
	sleeve_deg: 0,
	carry_m: carry === null ? null : carry * YD,
	total_m: carry === null ? null : (carry + 8) * YD,
	carry_from: carry === null ? "none" : "hit",
	spread_m: 4,
	kept: 5,
	set_aside: 0,
	half_width_m: 2,
	settled: true,
	more: 0,
	miss_cost_m: null,
	averages: {},
	averages_all: {},
	sources: {},
	...more,
});
const shot = (id: number, of: number, carry: number, more: Partial<Shot> = {}): Shot => ({
	id,
	number: id,
	build: of,
	aside: false,
	aside_reason: "",
	strike: "",
	question: "",
	readings: { carry_m: carry * YD, offline_m: 2 * YD },
	sources: {},
	...more,
});

const carryTarget = {
	quantity: "carry_m",
	label: "Carry",
	low: 176 * YD,
	high: 183 * YD,
	proposed_low: 176 * YD,
	proposed_high: 183 * YD,
	overruled: false,
	why: "5i rolls out to 170.",
	firm: true,
};
const session: Session = {
	id: 7,
	customer: { id: 1, name: "Ada Field", hand: "right" },
	fitter: "",
	bay: 1,
	bay_name: "Bay 1",
	held_on: "2026-11-24",
	ball: "",
	surface: "mat",
	indoor: true,
	altitude_m: 0,
	temperature_c: 20,
	status: "open",
	rule: "roll_out",
	clubs_to_place: 1,
	in_hand: 4,
	brief: {
		miss: "none",
		firmness: "medium",
		most_clubs: 14,
		budget: null,
		pain: false,
		notes: "",
		jobs: [],
		done: true,
	},
	builds: [
		build(1, "5i", 162),
		build(2, "5W", 196, { head_type: "fairway", fixed: true }),
		build(3, "Pt", null, { head_type: "putter" }),
		build(4, "4H 22°", 178, { letter: "A" }),
		build(5, "U4 22°", null, { letter: "B" }),
	],
	shots: [shot(1, 4, 177), shot(2, 4, 179), shot(3, 4, 150, { aside: true }), shot(4, 1, 162)],
	bag: {
		remarks: [{ build: 1, what: "count", sentence: "One club belongs between 5i and 5W." }],
		order: [1, 2],
		between: [
			{
				lower: 1,
				upper: 2,
				rule: "roll_out",
				step_m: 34 * YD,
				coverage_m: 26 * YD,
				hole_m: 26 * YD,
				hole_from_m: 170 * YD,
				hole_to_m: 196 * YD,
				overlap_m: 0,
				crowded: false,
			},
		],
		rule: "roll_out",
		rule_words: "roll-out meets carry",
		step: "10 to 15",
		club_count: 3,
		headline: "26 yd uncovered between 5i and 5W.",
		plan: {
			lower: 1,
			upper: 2,
			rule: "roll_out",
			open_m: 26 * YD,
			count: 1,
			left_m: 9 * YD,
			slack_m: 3.5 * YD,
			at_worst_m: 12.5 * YD,
			sentence: "One club leaves 9 yd either side. Two close it.",
			slots: [
				{
					index: 0,
					target_m: 179.5 * YD,
					low_m: 176 * YD,
					high_m: 183 * YD,
					roll_m: 6,
					targets: [carryTarget],
				},
			],
		},
	},
	verdicts: [],
	next: "",
	steady: "",
	tired: false,
	stand_in: false,
};

describe("from the session to the instruments", () => {
	test("the map has the bag in ink, the hole in work, the window and a ring for each candidate", () => {
		const map = mapProps(session);
		expect(map.clubs.map((club) => [club.name, Math.round(club.carry), Math.round(club.total)])).toEqual([
			["5i", 162, 170],
			["5W", 196, 204],
		]);
		expect(map.holes).toMatchObject([
			{ id: 1, yards: 26, inWork: true, label: "26 yd uncovered between 5i and 5W" },
		]);
		expect(map.windows.map((window) => [Math.round(window.low), Math.round(window.high)])).toEqual([
			[176, 183],
		]);
		expect(map.rings.map((ring) => [ring.letter, ring.shots.map(Math.round)])).toEqual([
			["A", [177, 179]],
			["B", []],
		]);
		expect(map.readout).toMatchObject({ big: "26", unit: "yd uncovered", warn: true });
	});
	test("shots set aside are not dots, and an overruled window is the one that is drawn", () => {
		expect(carriesOf(session, 4).map(Math.round)).toEqual([177, 179]);
		const mine = structuredClone(session);
		const target = mine.bag.plan?.slots[0]?.targets[0];
		if (target) target.low = 170 * YD;
		expect(Math.round(windowsOf(mine)[0]?.low ?? 0)).toBe(170);
	});
	test("the ladder runs from the longest club to the shortest, the uncarried last, with the step above", () => {
		const ladder = rungs(session);
		expect(ladder.map((rung) => rung.name)).toEqual(["5W", "5i", "Pt"]);
		expect(ladder.map((rung) => rung.step && Math.round(rung.step))).toEqual([34, null, null]);
		expect(ladder[0]).toMatchObject({ hole: true, fixed: true });
	});
	test("without a slot the readout says what to do", () => {
		const bare = { ...session.bag, plan: null, order: [], headline: "Import the baseline or type carries." };
		expect(readoutOf(bare, String)).toMatchObject({
			big: "",
			warn: false,
			lines: ["Import the baseline or type carries."],
		});
	});
	test("the bag after is drawn with the new club in its letter", () => {
		const after = sideProps(
			{
				clubs: [
					{
						id: 1,
						letter: "",
						name: "5i",
						head_type: "iron",
						loft_deg: 26,
						carry_m: 162 * YD,
						total_m: 170 * YD,
						new: false,
					},
					{
						id: 4,
						letter: "A",
						name: "4H 22°",
						head_type: "hybrid",
						loft_deg: 22,
						carry_m: 178 * YD,
						total_m: 184 * YD,
						new: true,
					},
				],
				between: [],
				headline: "",
				club_count: 2,
			},
			"Bag after",
			"roll-out meets carry",
		);
		expect(after.clubs.map((club) => club.letter)).toEqual(["", "A"]);
		expect(after.readout).toMatchObject({ big: "0", warn: false, over: "2 clubs, A 4H 22° in" });
	});
});

test("the landing zone is yard for yard, with right of the target below the line", () => {
	const line = {
		build: 4,
		letter: "A",
		name: "4H",
		carry_m: 178 * YD,
		total_m: 184 * YD,
		offline_m: 2 * YD,
		path: [
			[0, 0],
			[100, 25],
			[178 * YD, 0],
		],
		pattern: null,
	};
	const wide = structuredClone(session);
	wide.shots = [
		shot(1, 4, 170, { readings: { carry_m: 170 * YD, offline_m: -10 * YD } }),
		shot(2, 4, 180, { readings: { carry_m: 180 * YD, offline_m: 10 * YD } }),
	];
	render(<FlightBoard clubs={[boardClub(wide, line)]} neighbours={[]} window={null} />);
	const dots = [...screen.getByRole("img", { name: /Landing zone/ }).querySelectorAll('circle[r="3.4"]')];
	const [left, right] = dots.map((dot) => [Number(dot.getAttribute("cx")), Number(dot.getAttribute("cy"))]);
	const across = (right?.[1] ?? 0) - (left?.[1] ?? 0);
	const along = (right?.[0] ?? 0) - (left?.[0] ?? 0);
	expect(across).toBeGreaterThan(0);
	expect(across / 20).toBeCloseTo(along / 10);
});

test("a target typed in yards travels in metres, and a refusal is the caller's to show", async () => {
	const sent: { url: string; body: unknown }[] = [];
	vi.stubGlobal("fetch", async (request: Request) => {
		sent.push({ url: new URL(request.url).pathname, body: await request.json() });
		return Response.json({ title: "The window is the wrong way round.", field: "low" }, { status: 400 });
	});
	let said = "";
	const act = (go: () => Promise<Session>) => void go().catch((error: Error) => (said = error.message));
	render(
		<CommandProvider>
			<Targets session={session} act={act} busy={false} />
		</CommandProvider>,
	);
	fireEvent.click(screen.getByRole("button", { name: "Change Carry" }));
	expect((screen.getByLabelText("Carry from") as HTMLInputElement).value).toBe("176");
	fireEvent.change(screen.getByLabelText("Carry from"), { target: { value: "150,5" } });
	fireEvent.change(screen.getByLabelText("Carry to"), { target: { value: "" } });
	fireEvent.click(screen.getByRole("button", { name: "Set" }));
	await waitFor(() => expect(said).toBe("The window is the wrong way round."));
	expect(sent[0]?.url).toBe("/api/sessions/7/targets");
	expect(sent[0]?.body).toEqual({ slot: 0, quantity: "carry_m", low: 150.5 * YD, high: null });
});
