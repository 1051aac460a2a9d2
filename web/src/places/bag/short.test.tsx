/** The short end of the Bag on its own: its order of work, its steps, the cut and the sole. */

import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { Session } from "../../api/client";
import { build, m, session, standing } from "../../tests/session";
import { changes, clear, serve, show } from "../../tests/stage";
import { fromFar } from "../../ui/units";
import { Bay } from "../bay/Bay";
import { Bag } from "./Bag";

afterEach(clear);

type Short = NonNullable<Session["bag"]["short"]>;
const place: Short["places"][number] = {
	target_m: fromFar(98),
	low_m: fromFar(95),
	high_m: fromFar(101),
	build: 61,
	off_m: fromFar(6),
	bend_deg: 2,
	bend_carry_m: fromFar(97),
	bend_error_m: m(1),
	bounce_deg: 2,
	caution: "Bend a little at a time.",
	sentence: "Carry 98: the 54 is 6 long; 2° weaker should carry 97, give or take 2.",
};
const step = (lower: number, upper: number, yards: number, more: Partial<Short["steps"][number]> = {}) => ({
	lower,
	upper,
	step_m: fromFar(yards),
	ball_step_mps: 2.2352,
	over_m: m(0),
	few: false,
	sentence: "As wanted.",
	alike_m: null,
	alike_half_m: null,
	...more,
});
const end = (id: number, yards: number, missing = "") => ({
	build: id,
	carry_m: fromFar(yards),
	shots: 5,
	swing: "",
	missing,
});
const short: Short = {
	low: end(62, 84),
	high: end(63, 126),
	steps: [
		step(62, 61, 20, { over_m: m(3.2), few: true, sentence: "5 yd wider than the 10 to 15 wanted." }),
		step(61, 63, 22, { ball_step_mps: null }),
	],
	widest: 1,
	minutes: "Left, in minutes: sole 14, ends 3; 17 in all.",
	stages: [
		{ key: "sole", name: "Sole of 58", done: false, words: "Not chosen yet for 58." },
		{ key: "ends", name: "Both ends", done: true, words: "84 with 58, 126 with PW." },
	],
	school: "shortest",
	why: "The shortest decides what the others are.",
	sentence: "22 yd between 54 and PW.",
	unhit: [],
	open_under: "",
	schools: { each: 2, part: 1, proposed: null, sentence: "42 yd from 58 to PW: two wedges between." },
	places: [
		place,
		{ ...place, target_m: fromFar(112), build: null, bend_deg: null, sentence: "Carry 112: nothing." },
	],
	recheck: "",
	card: null,
	stops: {
		green: {
			target_m: fromFar(25),
			firmness: "medium",
			green_ft: 10,
			slope_percent: 0,
			wind_mps: 0,
			wind_from_deg: 0,
		},
		seen: [],
	},
};
const TESTS = [
	standing(
		"part_swing",
		["stock", "half"],
		[
			[61, 0, 5, { length: "full" }],
			[61, 1, 2],
			[62, 0, 3, { length: "comfortable" }],
		],
		{ minutes: 1 },
	),
	standing("grooves", [], []),
	standing(
		"stop",
		["Stop test"],
		[
			[61, 0, 0],
			[62, 0, 0],
		],
		{ next: null },
	),
];
const bag = (more: Partial<Short> = {}, tests = TESTS): Session => ({
	...session,
	tests,
	builds: [
		...session.builds,
		build(61, "54", 104, { head_type: "wedge" }),
		build(62, "58", 84, { head_type: "wedge" }),
		build(63, "PW", 126, { head_type: "wedge" }),
	],
	bag: { ...session.bag, end: "short", short: { ...short, ...more } },
});
const open = (seen: Session) => {
	show(Bag, seen);
	fireEvent.keyDown(document.body, { key: "w" });
};

test("steps stand with their ball speed, and what is wide or rests on few shots says so", () => {
	serve({});
	open(bag());
	const table = within(screen.getByRole("table", { name: "Steps" }));
	expect(table.getByRole("row", { name: /58 → 54 20 5 5 yd wider than the 10 to 15 wanted/ })).toBeTruthy();
	expect(table.getByRole("row", { name: /54 → PW 22 – As wanted/ })).toBeTruthy();
	expect(screen.getByText(/about 5 mph a step, is the steadier sign/)).toBeTruthy();
	expect(screen.getByText(/42 yd from 58 to PW: two wedges between/)).toBeTruthy();
	expect(screen.getByText("done")).toBeTruthy();
});

test("a place of the cut is filled by a bend, made as a build of its own, with its caution", async () => {
	const sent = serve({ "POST /api/builds/61/otherwise": session });
	open(bag());
	const cut = within(screen.getByRole("region", { name: "The cut" }));
	expect(cut.getAllByRole("button", { name: "Bend it, on the stand" })).toHaveLength(1);
	fireEvent.click(cut.getByRole("button", { name: "Bend it, on the stand" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toMatchObject({ changes: [{ kind: "bend", amount: 2 }] });
	expect(cut.getByText(/Bend a little at a time/)).toBeTruthy();
});

test("how many wedges belong between is chosen, and the order of work turned round", async () => {
	const sent = serve({ "PUT /api/sessions/7/gap": session, "PATCH /api/sessions/7/brief": session });
	open(bag());
	const many = within(screen.getByRole("group", { name: "How many wedges between the ends" }));
	fireEvent.click(many.getByRole("button", { name: "2" }));
	fireEvent.click(screen.getByRole("button", { name: "From the set wedge down instead" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(2));
	expect(changes(sent)[0]?.body).toMatchObject({ clubs_to_place: 2 });
	expect(changes(sent)[1]?.body).toMatchObject({ now: { school: "set_wedge" }, was: { school: "shortest" } });
});

test("an agreed visit shows the cut and changes nothing; without a wedge there is none to show", () => {
	serve({});
	open({ ...bag(), status: "agreed" });
	expect(screen.queryByRole("button", { name: "Bend it, on the stand" })).toBeNull();
	expect((screen.getByLabelText("The sole that was chosen") as HTMLInputElement).disabled).toBe(true);
	clear();
	serve({});
	open({ ...bag(), bag: { ...session.bag, short: null } });
	expect(screen.getByText(/No wedge is in the bag/)).toBeTruthy();
});

test("a sole in a loft it is not made in comes bent, onto the stand in one act", async () => {
	const sentence = "Not made in 57°: Wide 56 bent 1° weaker.";
	const sent = serve({
		"GET /api/sessions/7/sole": (address: URL) =>
			address.search === "?sole=narrow&loft_deg=57.5" && { head: 8, shaft: 3, bend_deg: 1, sentence },
		"POST /api/sessions/7/candidates": session,
	});
	open(bag({ unhit: ["LW"], recheck: "The irons are others than on 2 May: hit PW again." }));
	fireEvent.change(screen.getByLabelText("Sole looked for"), { target: { value: "narrow" } });
	fireEvent.change(screen.getByLabelText("Loft looked for in degrees"), { target: { value: "57,5" } });
	expect(await screen.findByText(sentence)).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: "On the stand" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toEqual({ again: false, candidates: [{ head: 8, shaft: 3, bend_deg: 1 }] });
	expect(screen.getByText("Never hit here: LW.")).toBeTruthy();
	expect(screen.getByText(/hit PW again/)).toBeTruthy();
});

test("the distance card says what is no number to play by, what nothing covers, and where it is printed", () => {
	serve({});
	const cell = (swing: string, yards: number, more = {}) => ({
		swing,
		carry_m: fromFar(yards),
		doubt_m: fromFar(3),
		spread_m: fromFar(2),
		run_m: fromFar(1),
		n: 3,
		usable: true,
		why_not: "",
		...more,
	});
	open(
		bag({
			card: {
				swings: ["half"],
				rows: [
					{ build: 61, stock: "full", cells: [cell("full", 104), cell("half", 60)], sentence: "" },
					{
						build: 62,
						stock: "comfortable",
						cells: [cell("comfortable", 84), cell("half", 48, { n: 0, usable: false, why_not: "not hit" })],
						sentence: "58 repeats well eased off.",
					},
				],
				open: ["Nothing between 60 (54 half) and 84 (58 comfortable): 24 yd."],
				shared: [],
				eases: "",
				run: "a medium green",
			},
		}),
	);
	const table = within(screen.getByRole("table", { name: "Distance card" }));
	expect(table.getByRole("row", { name: /54\s*104\s*±3 · 2\s*60\s*±3 · 2/ })).toBeTruthy();
	expect(table.getByRole("row", { name: /58\s*comfortable\s*84.*\(48\).*not hit/ })).toBeTruthy();
	expect(screen.getByText(/Nothing between 60/).className).toContain("hole-text");
	expect(screen.getByText("58 repeats well eased off.")).toBeTruthy();
	expect(screen.getByRole("link", { name: "To print" }).getAttribute("href")).toBe("/sessions/7/card");
});

test("a swing of the card is hit by one touch or key: the wedge, the swing and the test together", async () => {
	const sent = serve({ "PUT /api/sessions/7/task": session });
	const seen: Session = { ...bag(), protocol: "part_swing", in_hand: 62, length: "full" };
	show(Bay, seen);
	expect(screen.getByText(/1 shots? left, about 1 minutes?\./)).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: "54 half, 2 of 3" }));
	const half = { build: 61, protocol: "part_swing", length: "half", lie: null };
	await waitFor(() => expect(changes(sent).map((each) => each.body)).toEqual([half]));
	clear();
	const again = serve({ "PUT /api/sessions/7/task": session });
	show(Bay, seen);
	fireEvent.keyDown(document.body, { key: "]" });
	await waitFor(() => expect(changes(again).map((each) => each.body)).toEqual([half]));
});

test("the groove test takes wedge, lie and swing at a touch, and says where a fresh wedge is wanting", async () => {
	const sent = serve({ "PUT /api/sessions/7/task": session });
	const grooves = standing(
		"grooves",
		["dry", "wet"],
		[
			[61, 0, 5, { wanted: 5 }],
			[62, 1, 1, { lie: "wet", wanted: 5 }],
		],
		{ warning: "Range balls say little of grooves.", remarks: ["Half swings to one spot."] },
	);
	const seen: Session = {
		...bag({}, [grooves]),
		protocol: "grooves",
		in_hand: 61,
		length: "full",
		struck_ball: "range",
	};
	show(Bay, seen);
	expect(screen.getByText(/4 shots left, about 2 minutes/)).toBeTruthy();
	expect(screen.getByText(/Range balls say little of grooves/)).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: "58 wet, 1 of 5" }));
	const wet = { build: 62, protocol: "grooves", length: "half", lie: "wet" };
	await waitFor(() => expect(changes(sent).map((each) => each.body)).toEqual([wet]));
	clear();
	serve({});
	show(Bay, { ...bag(), protocol: "grooves" });
	expect(screen.getByText("Nothing of it is here.")).toBeTruthy();
});

test("a ball of the stop test is touched where it lands and where it stops, or typed; one is set aside", async () => {
	const sent = serve({
		"POST /api/sessions/7/trials/stop/seen": session,
		"PUT /api/trial-events/5/aside": session,
		"PUT /api/sessions/7/in-hand": session,
	});
	const of = (part: string) => changes(sent).filter((each) => each.url.includes(part));
	const stops: Short["stops"] = {
		...short.stops,
		seen: [
			{
				id: 5,
				build: 61,
				ball: "own",
				landed_m: fromFar(20),
				stopped_m: fromFar(24),
				landed_side_m: m(0),
				stopped_side_m: m(0),
				left_m: fromFar(1),
				balls: 1,
				aside: false,
			},
		],
	};
	show(Bay, { ...bag({ stops }), protocol: "stop", in_hand: 61 });
	const green = screen.getByTestId("green");
	green.getBoundingClientRect = () => ({ left: 0, top: 0, width: 330, height: 120 }) as DOMRect;
	fireEvent.click(green, { clientX: 160, clientY: 60 });
	expect(screen.getByText("Now where it stopped.")).toBeTruthy();
	fireEvent.click(green, { clientX: 210, clientY: 70 });
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	// 4 to 37 yd over 330 px, six yards to each side over 120.
	expect(changes(sent)[0]?.body).toMatchObject({
		build: 61,
		landed_m: expect.closeTo(fromFar(20)),
		landed_side_m: expect.closeTo(0),
		stopped_m: expect.closeTo(fromFar(25)),
		stopped_side_m: expect.closeTo(fromFar(1)),
		balls: 1,
	});
	fireEvent.click(screen.getByRole("button", { name: /^58/ }));
	fireEvent.change(screen.getByLabelText("Landed, yards"), { target: { value: "21" } });
	fireEvent.click(screen.getByRole("button", { name: "Add" }));
	expect(screen.getByText(/Give the stop/)).toBeTruthy();
	fireEvent.change(screen.getByLabelText("Stopped, yards"), { target: { value: "24,5" } });
	fireEvent.click(screen.getByRole("button", { name: "Add" }));
	// A wedge that is chosen is in hand: the monitor's shots are filed under it.
	await waitFor(() => expect(of("in-hand")[0]?.body).toEqual({ build: 62 }));
	await waitFor(() => expect(of("/trials/stop/seen")).toHaveLength(2));
	expect(of("/trials/stop/seen")[1]?.body).toMatchObject({ build: 62, stopped_m: fromFar(24.5), balls: 3 });
	fireEvent.click(screen.getByRole("button", { name: /^54/ }));
	fireEvent.click(screen.getByRole("button", { name: "Landed 20, stopped 24" }));
	await waitFor(() => expect(of("/aside")[0]?.body).toEqual({ aside: true }));
});
