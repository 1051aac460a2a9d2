/** The instruments as drawings of their props: equal angle is equal yards, and nothing needs hovering. */
import { readFileSync } from "node:fs";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import { angleOf, point } from "./carry-map/arch";
import { CarryMap, type CarryMapProps } from "./carry-map/CarryMap";
import { Gate } from "./gate/Gate";
import { Ladder } from "./ladder/Ladder";
import { spanOf, ticks } from "./scale";

afterEach(cleanup);

const props: CarryMapProps = {
	title: "Carry map of Ada",
	clubs: [
		{ id: 1, name: "5i", carry: 162, total: 170, spread: 4 },
		{ id: 2, name: "5W", carry: 196, total: 209, spread: null },
		{ id: 3, name: "LW", carry: 70, total: 68, spread: 2 },
	],
	holes: [{ id: 1, from: 170, to: 196, yards: 26, label: "26 yd uncovered between 5i and 5W", inWork: true }],
	windows: [{ low: 176, high: 183 }],
	rings: [
		{ letter: "A", name: "4H", carry: 178, total: 184, shots: [176, 178, 180] },
		{ letter: "B", name: "U4", carry: null, total: null, shots: [] },
	],
	rule: "roll-out meets carry",
	readout: { over: "Between 5i and 5W", big: "26", unit: "yd uncovered", lines: ["One club"], warn: true },
};

test("equal angle is equal yards, from the left foot to the right one", () => {
	const span = { low: 60, high: 240 };
	expect(angleOf(60, span)).toBe(0);
	expect(angleOf(150, span)).toBeCloseTo(Math.PI / 2);
	expect(angleOf(170, span) - angleOf(160, span)).toBeCloseTo(angleOf(90, span) - angleOf(80, span));
	const arch = { cx: 100, cy: 100, span };
	expect(point(arch, 60, 50)).toEqual({ x: 50, y: 100 });
	expect(point(arch, 240, 50).x).toBeCloseTo(150);
	expect(point(arch, 150, 50).y).toBeCloseTo(50);
});

test("the map says the hole, its rule and every club in words and in a table", () => {
	render(<CarryMap {...props} />);
	expect(screen.getByText("yd uncovered")).toBeTruthy();
	expect(screen.getByText("Holes by roll-out meets carry")).toBeTruthy();
	const rows = screen.getAllByRole("row").map((row) => row.textContent);
	expect(rows).toContain("5i162170");
	expect(rows).toContain("Candidate A 4H178184");
	expect(rows).toContain("Candidate B U4not hitnot hit");
	expect(rows).toContain("26 yd uncovered between 5i and 5W170196");
});

test("a hole is chosen by pointer and by keyboard, and a drawing without a choice offers none", () => {
	const chosen = vi.fn();
	const { rerender } = render(<CarryMap {...props} onChooseHole={chosen} />);
	const hole = screen.getByRole("button", { name: /26 yd uncovered/ });
	fireEvent.click(hole);
	fireEvent.keyDown(hole, { key: "Enter" });
	expect(chosen.mock.calls).toEqual([[1], [1]]);
	rerender(<CarryMap {...props} />);
	expect(screen.queryByRole("button")).toBeNull();
});

test("a wedge that spins back has no body, only its edge", () => {
	const { container } = render(<CarryMap {...props} holes={[]} windows={[]} rings={[]} />);
	const club = container.querySelector('g[aria-label^="LW"]');
	expect(club?.querySelectorAll("path.moves")).toHaveLength(0);
	expect(container.querySelector('g[aria-label^="5i"]')?.querySelectorAll("path.moves")).toHaveLength(1);
});

test("a gate keeps its window and marks inside its scale", () => {
	const { container } = render(
		<Gate
			span={{ low: 160, high: 200 }}
			low={176}
			high={null}
			dots={[140, 178]}
			mark={210}
			colour="red"
			label="g"
		/>,
	);
	const band = container.querySelector("rect");
	expect(Number(band?.getAttribute("x"))).toBeCloseTo(240);
	expect(Number(band?.getAttribute("width"))).toBeCloseTo(360);
	const xs = [...container.querySelectorAll("line")].map((line) => Number(line.getAttribute("x1")));
	expect(Math.min(...xs)).toBe(0);
	expect(Math.max(...xs)).toBe(600);
});

test("the ladder marks the step with the hole, a club that was typed, and a flight out of line", () => {
	const rung = { letter: "", loft: 18, fixed: false, crowded: false, known: "", doubt: null, odd: [] };
	const rungs = [
		{
			...rung,
			id: 2,
			name: "5W",
			carry: 196,
			total: 209,
			step: 34,
			hole: true,
			peak: 88,
			landing: 46.4,
			spin: 3900,
		},
		{
			...rung,
			id: 1,
			name: "5i",
			carry: 162,
			total: 170,
			step: null,
			hole: false,
			known: "typed",
			peak: 60,
			landing: null,
			spin: null,
			odd: ["peak_m"],
		},
	];
	const { rerender } = render(<Ladder chosen={null} rungs={rungs} />);
	expect(screen.getByRole("cell", { name: "34" }).className).toContain("hole-text");
	expect(screen.getByRole("cell", { name: /170 ?typed/ })).toBeTruthy();
	rerender(<Ladder chosen={null} rungs={rungs} flight />);
	expect(screen.queryByRole("cell", { name: "34" })).toBeNull();
	expect(screen.getByRole("cell", { name: "46°" })).toBeTruthy();
	expect(screen.getByRole("cell", { name: /60\s*out of line/ }).className).toContain("hole-text");
	expect(screen.getByRole("cell", { name: "88" }).className).not.toContain("hole-text");
});

test("spans and ticks are whole steps", () => {
	expect(spanOf([163, 187], 10, 3)).toEqual({ low: 160, high: 190 });
	expect(spanOf([], 10)).toEqual({ low: 0, high: 10 });
	expect(ticks({ low: 155, high: 180 }, 10)).toEqual([160, 170, 180]);
});

test("what can be chosen on the map shows its focus by a line over all its own strokes", () => {
	const { container } = render(
		<CarryMap {...props} onChooseHole={() => undefined} onChooseClub={() => undefined} />,
	);
	const chosen = [...container.querySelectorAll('g[role="button"]')];
	expect(chosen).toHaveLength(4);
	for (const each of chosen) {
		const line = each.querySelector(":scope > .focus-line");
		expect(each.lastElementChild).toBe(line);
		expect(line?.getAttribute("d")).toMatch(/^M/);
		// Its own stroke would hide the one that the focus gives it.
		expect(line?.getAttribute("stroke")).toBeNull();
	}
	const css = readFileSync("src/index.css", "utf8");
	expect(css).toMatch(/:focus-visible > \.focus-line \{\s*stroke: var\(--color-base-content\)/);
});
