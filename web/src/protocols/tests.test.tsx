/** What came of the tests of the short game: seen from the side, and on paper. */
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { Bench, Session } from "../api/client";
import { bench, build, session } from "../tests/session";
import { clear, draw, serve } from "../tests/stage";
import { fromFar } from "../ui/units";
import CardPage from "./part_swing/CardPage";
import { spotAt } from "./stop/Green";
import { StopBench } from "./stop/StopBench";

afterEach(clear);

type Short = NonNullable<Session["bag"]["short"]>;
const figure = (at: number | null, half: number | null = null) => ({ at: [at], half, told: false });
const row = (id: number, lands: number, releases: number, half: number | null, modelled: number | null) => ({
	name: "",
	build: id,
	shots: [3],
	figures: {
		lands_m: figure(fromFar(lands)),
		releases_m: figure(fromFar(releases), half),
		firmer_m: figure(fromFar(releases + 4)),
		modelled_m: figure(modelled),
	},
});
const column = (key: string, name: string) => ({ key, name, reading: "carry_m", digits: null });
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
function seen(card: Short["card"] = null): Session {
	const green = { target_m: fromFar(25), firmness: "medium", green_ft: 10.5, slope_percent: -2 };
	const short = { stops: { green, seen: [] }, card } as unknown as Short;
	const wedges = [build(61, "54", 104, { head_type: "wedge" }), build(62, "58", 84, { head_type: "wedge" })];
	return { ...session, builds: [...session.builds, ...wedges], bag: { ...session.bag, short } };
}

test("what was seen, what a monitor modelled and what is computed stand in columns of their own", () => {
	const stops: Bench["results"][number] = {
		test: "stop",
		title: "Stop test, to 25 yd",
		builds: [],
		columns: [
			column("lands_m", "Lands"),
			column("releases_m", "Releases"),
			column("firmer_m", "On firm, computed"),
			column("modelled_m", "Monitor’s model"),
		],
		rows: [row(62, 22, 3, fromFar(0.6), null), row(61, 20, 6, null, fromFar(5))],
		outcome: null,
		sentence: "",
		remarks: ["58 stops 3.0 yd sooner than 54, give or take 0.8."],
	};
	const panel = (results: Bench["results"]) => (
		<StopBench protocol="stop" session={seen()} bench={{ ...bench, results }} act={() => {}} />
	);
	draw(panel([stops]));
	const table = within(screen.getByRole("table"));
	const texts = (role: string, of: HTMLElement) =>
		within(of)
			.getAllByRole(role)
			.map((each) => each.textContent?.trim());
	const [head, ...rows] = table.getAllByRole("row") as [HTMLElement, ...HTMLElement[]];
	expect(texts("columnheader", head)).toEqual([
		"Far, as seen",
		"Lands, yd",
		"Releases, yd",
		"On firm, computed, yd",
		"Monitor’s model, yd",
		"Balls",
	]);
	expect(rows.map((each) => texts("cell", each))).toEqual([
		["58", "22", "3±0.6", "7", "–", "3"],
		["54", "20", "6", "10", "5", "3"],
	]);
	expect(screen.getByText("A medium green, meter 10.5, 2.0% downhill.")).toBeTruthy();
	expect(screen.getByText(/^58 stops 3.0 yd sooner/)).toBeTruthy();
	expect(screen.getByRole("img", { name: /from the side/ }).querySelectorAll("path")).toHaveLength(2);
	clear();
	draw(panel([]));
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
	serve({ "GET /api/sessions/7": seen(card) });
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
	serve({ "GET /api/sessions/7": seen() });
	draw(
		<Routes>
			<Route path="/sessions/:id/card" element={<CardPage />} />
		</Routes>,
		"/sessions/7/card",
	);
	expect(await screen.findByText(/No part swing was hit yet/)).toBeTruthy();
});
