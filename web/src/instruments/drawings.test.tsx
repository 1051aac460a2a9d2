/** Drawings of the bag after, of jobs and of flights through the bag: what can be read off them. */
import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, test } from "vitest";
import { CarryMap, type CarryMapProps, type MapClub } from "./carry-map/CarryMap";
import { FlightLines } from "./flight-board/FlightLines";
import { JobDrawing, type JobDrawingProps } from "./job-drawing/JobDrawing";

afterEach(cleanup);

const club = (id: number, name: string, carry: number, more: Partial<MapClub> = {}): MapClub => ({
	id,
	name,
	carry,
	total: carry + 8,
	spread: null,
	...more,
});
const readout = { over: "", big: "26", unit: "yd", lines: [], warn: true };
const map: CarryMapProps = {
	title: "Carry map",
	clubs: [club(1, "5i", 162), club(2, "5W", 196)],
	holes: [{ id: 1, from: 170, to: 196, yards: 26, label: "26 yd uncovered between 5i and 5W", inWork: true }],
	windows: [{ low: 176, high: 183 }],
	rings: [{ letter: "A", name: "4H", carry: 178, total: 184, shots: [177, 179] }],
	rule: "roll-out meets carry",
	readout,
};
const after = {
	name: "Plan 1",
	readout,
	clubs: [
		club(1, "5i", 162),
		club(4, "4H", 178, { letter: "A", expected: true }),
		club(5, "U4", 186, { letter: "B", swapped: "Links" }),
	],
	holes: [{ id: 1, from: 170, to: 178, yards: 8, label: "Plan 1: 8 yd uncovered", inWork: false }],
};

describe("the bag after", () => {
	test("takes the place of the candidates' rings and says in words what is expected and what is swapped", () => {
		const { container } = render(<CarryMap {...map} after={after} />);
		const said = [...container.querySelectorAll("title")].map((each) => each.textContent);
		expect(said).toContain("4H: should carry 178 yd");
		expect(said).toContain("U4: carries 186 yd, on Links only");
		expect(said).toContain("5i: carries 162 yd");
		expect(container.querySelectorAll('circle[r="3.4"]')).toHaveLength(0); // no dots of single shots
		expect(container.querySelectorAll('path[stroke-dasharray="4 3"]')).toHaveLength(2);
	});
	test("is in the table for screen readers too, with its holes", () => {
		render(<CarryMap {...map} after={after} />);
		expect(screen.getByRole("row", { name: /Plan 1: A 4H 178 186/ })).toBeTruthy();
		expect(screen.getByRole("row", { name: /Plan 1: B U4, on Links only 186/ })).toBeTruthy();
		expect(screen.getByRole("row", { name: /Plan 1: 8 yd uncovered 170 178/ })).toBeTruthy();
	});
	test("lies on the scale of both bags, so that the same yards are the same angle", () => {
		const edge = (props: CarryMapProps) => {
			const { container, unmount } = render(<CarryMap {...props} />);
			const line = container.querySelector('g[aria-label^="5i"] line');
			const at = [line?.getAttribute("x1"), line?.getAttribute("y1")];
			unmount();
			return at;
		};
		const far = { ...after, clubs: [...after.clubs, club(9, "Dr", 240)] };
		expect(edge({ ...map, after: far })).not.toEqual(edge({ ...map, after }));
	});
});

test("a typed carry has a broken whisker as wide as its doubt, one that was hit a whole one", () => {
	const { container } = render(
		<CarryMap
			{...map}
			clubs={[club(1, "5i", 162, { doubt: 7 }), club(2, "5W", 196, { spread: 5 })]}
			rings={[]}
		/>,
	);
	const broken = container.querySelectorAll('g[aria-label^="5i"] path[stroke-dasharray="3 4"]');
	expect(broken).toHaveLength(1);
	expect(container.querySelectorAll('g[aria-label^="5W"] path[stroke-dasharray]')).toHaveLength(0);
});

const job: JobDrawingProps = {
	kind: "green",
	distance: 180,
	over: 160,
	width: 24,
	depth: 26,
	firmness: "firm",
};
const drawn = (over: Partial<JobDrawingProps>) => render(<JobDrawing {...job} {...over} />).container;

describe("a job drawn", () => {
	test("what must be carried lies short of the target, and nothing is drawn for nothing", () => {
		const container = drawn({});
		const trouble = container.querySelector('rect[fill="url(#job-trouble)"]');
		const green = container.querySelector("ellipse");
		const end = Number(trouble?.getAttribute("x")) + Number(trouble?.getAttribute("width"));
		expect(end).toBeLessThan(Number(green?.getAttribute("cx")));
		cleanup();
		expect(drawn({ over: null }).querySelector('rect[fill="url(#job-trouble)"]')).toBeNull();
	});
	test("a larger green is drawn larger, a firm one with a heavier edge, and never out of the picture", () => {
		const size = (over: Partial<JobDrawingProps>) => {
			const green = drawn(over).querySelector("ellipse");
			cleanup();
			return ["rx", "ry", "stroke-width"].map((key) => Number(green?.getAttribute(key)));
		};
		const [deep = 0, wide = 0, edge = 0] = size({});
		const [shallow = 0, narrow = 0, soft = 0] = size({ depth: 12, width: 12, firmness: "soft" });
		expect(deep).toBeGreaterThan(shallow);
		expect(wide).toBeGreaterThan(narrow);
		expect(edge).toBeGreaterThan(soft);
		expect(size({ width: 60, depth: 60 })[1]).toBeLessThan(48);
	});
	test("off the tee there is a strip to keep to and a line to reach, no green", () => {
		const container = drawn({ kind: "tee", over: null });
		expect(container.querySelector("ellipse")).toBeNull();
		expect(container.querySelector('rect[fill="var(--track)"]')).toBeTruthy();
		expect(screen.getByRole("img").getAttribute("aria-label")).toBe("180 yd, 24 wide and 26 deep, firm");
	});
});

describe("flight through the bag", () => {
	const flown = (id: number, name: string, peak: number | null, odd: string[] = []) => ({
		id,
		name,
		peak,
		landing: 45 + id,
		spin: 4000 + 500 * id,
		odd,
	});
	test("a jump is marked and named, and the last figure of each line stands beside it", () => {
		const { container } = render(
			<FlightLines clubs={[flown(1, "3W", 100), flown(2, "4H", 70, ["peak_m"]), flown(3, "5i", 98)]} />,
		);
		expect([...container.querySelectorAll("title")].map((each) => each.textContent)).toContain(
			"4H: 70, out of line",
		);
		const words = [...container.querySelectorAll("text")].map((each) => each.textContent);
		expect(words).toEqual(expect.arrayContaining(["4H", "98", "48°", "5\u202f500"]));
	});
	test("higher is further up, and clubs without a flight leave no gap", () => {
		const { container } = render(
			<FlightLines
				clubs={[
					flown(1, "3W", 100),
					{ ...flown(2, "5W", null), landing: null, spin: null },
					flown(3, "5i", 80),
				]}
			/>,
		);
		const [first, second] = [...container.querySelectorAll("g > g > circle")].map((each) =>
			Number(each.getAttribute("cy")),
		);
		expect(first).toBeLessThan(second ?? 0);
		expect(container.textContent).not.toContain("5W");
	});
	test("one club alone is no line", () => {
		const { container } = render(<FlightLines clubs={[flown(1, "3W", 100)]} />);
		expect(container.querySelector("svg")).toBeNull();
	});
});
