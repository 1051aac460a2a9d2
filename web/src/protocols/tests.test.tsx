/** What came of the tests of the short game: seen from the side, and on paper. */
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { Session } from "../api/client";
import { build, session } from "../tests/session";
import { clear, draw, serve } from "../tests/stage";
import { fromFar } from "../ui/units";
import CardPage from "./part_swing/CardPage";
import { spotAt } from "./stop/Green";
import { StopBench } from "./stop/StopBench";

afterEach(clear);

type Short = NonNullable<Session["bag"]["short"]>;
const line = (
	id: number,
	lands: number,
	releases: number,
	more: Partial<Short["stops"]["lines"][number]> = {},
) => ({
	build: id,
	ball: "own" as const,
	n: 3,
	lands_m: fromFar(lands),
	releases_m: fromFar(releases),
	half_m: fromFar(0.6),
	left_m: fromFar(1),
	firmer_m: fromFar(releases + 4),
	modelled_m: null,
	computed_m: null,
	sentence: `${id} lands ${lands}.`,
	...more,
});
const cell = (swing: string, yards: number, usable = true) => ({
	swing,
	carry_m: fromFar(yards),
	doubt_m: fromFar(3),
	spread_m: fromFar(2.4),
	run_m: fromFar(1),
	n: usable ? 3 : 0,
	usable,
	why_not: usable ? "" : "not hit",
});
function seen(lines: Short["stops"]["lines"], card: Short["card"] = null): Session {
	const stops = {
		green: { target_m: fromFar(25), firmness: "medium", green_ft: 10.5, slope_percent: -2 },
		wedges: [61, 62],
		wanted: 3,
		seen: [],
		lines,
		sentences: ["58 stops 3.0 yd sooner than 54, give or take 0.8."],
		firmer: "firm",
	};
	const short = { stops, card } as unknown as Short;
	const wedges = [build(61, "54", 104, { head_type: "wedge" }), build(62, "58", 84, { head_type: "wedge" })];
	return { ...session, builds: [...session.builds, ...wedges], bag: { ...session.bag, short } };
}

test("what was seen, what a monitor modelled and what is computed stand in columns of their own", () => {
	draw(
		<StopBench
			session={seen([line(62, 22, 3), line(61, 20, 6, { half_m: null, modelled_m: fromFar(5) })])}
		/>,
	);
	const table = within(screen.getByRole("table"));
	const heads = table.getAllByRole("columnheader").map((each) => each.textContent);
	expect(heads).toEqual([
		"Far, as seen",
		"Lands",
		"Releases",
		"Left",
		"On firm, computed",
		"Monitor’s model",
		"Balls",
	]);
	const rows = table.getAllByRole("row").slice(1);
	expect(
		rows.map((row) =>
			within(row)
				.getAllByRole("cell")
				.map((each) => each.textContent?.trim()),
		),
	).toEqual([
		["58", "22", "3±0.6", "1", "7", "–", "3"],
		["54", "20", "6", "1", "10", "5", "3"],
	]);
	expect(screen.getByText("A medium green, meter 10.5, 2.0% downhill.")).toBeTruthy();
	expect(screen.getByText(/^58 stops 3.0 yd sooner/)).toBeTruthy();
	expect(screen.getByRole("img", { name: /from the side/ }).querySelectorAll("path")).toHaveLength(2);
	clear();
	draw(<StopBench session={seen([])} />);
	expect(screen.queryByRole("table")).toBeNull();
});

test("a touch of the green is a spot on the ground, yard for yard", () => {
	const box = { left: 10, top: 20, width: 660, height: 240 } as DOMRect;
	// From 4 to 37 yd across, six yards to each side.
	expect(spotAt(box, 10, 140, fromFar(25))).toEqual({ far: fromFar(4), side: 0 });
	const end = spotAt(box, 670, 20, fromFar(25));
	expect(end.far).toBeCloseTo(fromFar(37));
	expect(end.side).toBeCloseTo(fromFar(-6));
});

test("the card goes on paper in two sizes; what is no number to play by stands in brackets", async () => {
	const card = {
		swings: ["half"],
		rows: [
			{ build: 61, stock: "full", cells: [cell("full", 104), cell("half", 60)], sentence: "" },
			{
				build: 62,
				stock: "comfortable",
				cells: [cell("comfortable", 84), cell("half", 48, false)],
				sentence: "",
			},
		],
		open: ["Nothing between 60 and 84: 24 yd."],
		shared: [],
		eases: "",
		run: "a medium green",
	};
	serve({ "GET /api/sessions/7": seen([], card) });
	draw(
		<Routes>
			<Route path="/sessions/:id/card" element={<CardPage />} />
		</Routes>,
		"/sessions/7/card",
	);
	const paper = within(await screen.findByRole("region", { name: "Distance card" }));
	const cells = paper.getAllByRole("row").map((row) => row.textContent);
	expect(cells).toEqual(["Carry, ydstockhalf", "5410460", "58comfortable84(48)"]);
	expect(paper.queryByText(/Nothing between/)).toBeNull();
	expect(document.querySelector("style")?.textContent).toContain("85.6mm 54mm");
	fireEvent.click(screen.getByRole("button", { name: "A6" }));
	await waitFor(() => expect(document.querySelector("main style")?.textContent).toContain("105mm 148mm"));
	expect(paper.getByText("Nothing between 60 and 84: 24 yd.")).toBeTruthy();
	expect(paper.getAllByText("± 2")).toHaveLength(4);
	clear();
	serve({ "GET /api/sessions/7": seen([]) });
	draw(
		<Routes>
			<Route path="/sessions/:id/card" element={<CardPage />} />
		</Routes>,
		"/sessions/7/card",
	);
	expect(await screen.findByText(/No part swing was hit yet/)).toBeTruthy();
});
