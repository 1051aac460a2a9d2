/** Figures as they are written, colours as they can be told apart, keys as they are meant. */
import { readFileSync } from "node:fs";
import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, test, vi } from "vitest";
import { HelpSheet } from "../app/HelpSheet";
import { CommandButton, useCommands } from "../commands/commands";
import { OwnUnits } from "../places/shop/OwnUnits";
import { readIn, USUAL } from "../said/units";
import { clear, draw, serve } from "../tests/stage";
import { csvOf } from "./SaveTable";
import {
	figure,
	fromFar,
	fromSpeed,
	fromUnit,
	lengthText,
	type Metres,
	reading,
	shownAs,
	side,
	toFar,
	unit,
	wish,
} from "./units";

const { currency: _none, ...usualUnits } = USUAL;
afterEach(() => {
	readIn(USUAL);
	clear();
});

describe("figures", () => {
	test("minus signs, thin spaces and blanks are the real characters", () => {
		expect(figure(-12.34, 1)).toBe("\u221212.3");
		expect(figure(-0.2)).toBe("0");
		expect(figure(4310)).toBe("4\u202f310");
		expect(figure(null)).toBe("–");
	});
	test("yards are not taken for metres", () => {
		const yards = toFar(fromFar(178));
		// @ts-expect-error yards where metres are wanted
		expect(toFar(yards)).toBeGreaterThan(190);
		// @ts-expect-error a plain number has no unit
		expect(toFar(100)).toBeGreaterThan(100);
	});
	test("readings in the units a fitter works in", () => {
		expect(toFar(fromFar(178))).toBeCloseTo(178);
		expect(reading("carry_m", 162.76)).toBe("178");
		expect(reading("landing_deg", 44.4)).toBe("44°");
		expect(side(-3.7 as Metres)).toBe("4 L");
		expect(wish("landing_deg", 44, null)).toBe("44° or more");
		expect(wish("offline_m", -10.06, 10.06)).toBe("11 either side");
		expect(wish("offline_m", -10.06, 10.06, true)).toBe("11 yd either side");
	});
	test("readings, and what is typed, in the units one has chosen", async () => {
		const metric = { far: "m", high: "m", speed: "mps", warmth: "f", club_length: "mm" } as const;
		readIn({ ...metric, currency: "" });
		expect([reading("carry_m", 162.76), reading("ball_speed_mps", 53.64), lengthText(0.90805)]).toEqual([
			"163",
			"53.6",
			"908",
		]);
		expect([shownAs("peak_m").unit, unit("warmth"), fromUnit("warmth", 50)]).toEqual(["m", "°F", 10]);
		expect([fromFar(150), fromSpeed(5), side(-3.7 as Metres)]).toEqual([150, 5, "4 L"]);
		readIn(USUAL);
		const sent = serve({ "PUT /api/me/units": {} });
		draw(<OwnUnits />);
		fireEvent.change(screen.getByLabelText(/^Shots/), { target: { value: "m" } });
		await waitFor(() => expect(sent[0]?.body).toEqual({ ...usualUnits, far: "m" }));
	});
});

describe("letters of builds", () => {
	const css = readFileSync("src/index.css", "utf8");
	type Colour = [number, number, number];
	const linear = (hex: string): Colour =>
		[1, 3, 5].map((at) => {
			const part = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
			return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
		}) as Colour;
	const light = (c: Colour) => 0.2126 * c[0] + 0.7152 * c[1] + 0.0722 * c[2];
	const contrast = (a: Colour, b: Colour) => {
		const [high, low] = [light(a), light(b)].sort((x, y) => y - x) as [number, number];
		return (high + 0.05) / (low + 0.05);
	};
	// Simulations of G. M. Machado, M. M. Oliveira, L. A. F. Fernandes, IEEE TVCG 15 (2009) 1291, severity 1.
	const VISIONS: Record<string, number[][]> = {
		usual: [
			[1, 0, 0],
			[0, 1, 0],
			[0, 0, 1],
		],
		protanopia: [
			[0.152286, 1.052583, -0.204868],
			[0.114503, 0.786281, 0.099216],
			[-0.003882, -0.048116, 1.051998],
		],
		deuteranopia: [
			[0.367322, 0.860646, -0.227968],
			[0.280085, 0.672501, 0.047413],
			[-0.01182, 0.04294, 0.968881],
		],
	};
	const seen = (c: Colour, m: number[][]): Colour =>
		m.map((row) =>
			Math.min(
				1,
				Math.max(
					0,
					row.reduce((sum, w, i) => sum + w * (c[i] ?? 0), 0),
				),
			),
		) as Colour;
	/** OKLab, B. Ottosson 2020. */
	const oklab = ([r, g, b]: Colour): Colour => {
		const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
		const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
		const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
		return [
			0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
			1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
			0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
		];
	};
	const apart = (a: Colour, b: Colour) =>
		Math.hypot(...oklab(a).map((value, i) => value - (oklab(b)[i] ?? 0)));
	const theme = (name: string) => {
		const block = css.match(new RegExp(`\\[data-theme="${name}"\\] \\{([^}]*)\\}`))?.[1] ?? "";
		return (variable: string) =>
			linear(block.match(new RegExp(`--${variable}: (#[0-9a-f]{6})`))?.[1] ?? "#000000");
	};

	test.each(["chalk", "dusk"])("in %s they stand apart under common colour vision and from amber", (name) => {
		const colour = theme(name);
		const letters = [..."ABCDEFGH"].map((letter) => [letter, colour(letter)] as const);
		const ink = linear(css.match(/name: "chalk";[^}]*--color-base-content: (#[0-9a-f]{6})/)?.[1] ?? "");
		for (const [vision, matrix] of Object.entries(VISIONS)) {
			for (const [i, [a, first]] of letters.entries()) {
				for (const [b, second] of letters.slice(i + 1)) {
					const least = name === "chalk" && b > "D" ? 0.08 : 0.055;
					expect(apart(seen(first, matrix), seen(second, matrix)), `${a} ${b} ${vision}`).toBeGreaterThan(
						least,
					);
				}
				// The player's own clubs are drawn in ink.
				if (name === "chalk")
					expect(apart(seen(first, matrix), seen(ink, matrix)), `${a} ink ${vision}`).toBeGreaterThan(0.12);
				expect(
					apart(seen(first, matrix), seen(colour("hole"), matrix)),
					`${a} amber ${vision}`,
				).toBeGreaterThan(0.05);
			}
		}
	});
	test.each([
		["chalk", "#e9eeec"],
		["dusk", "#17262b"],
	])("in %s they can be read on the ground", (name, ground) => {
		for (const letter of "ABCDEFGH")
			expect(contrast(theme(name)(letter), linear(ground)), letter).toBeGreaterThan(4.5);
	});
});

function Commands({ run, blocked, sheet = false }: { run: () => void; blocked?: string; sheet?: boolean }) {
	useCommands("place", [
		{ id: "aside", name: "Set aside", keys: "x", shown: "X", group: "Bay", blocked, run },
		{ id: "thin", name: "Thin", keys: "n", shown: "N", group: "Bay", run: () => undefined },
	]);
	return (
		<>
			<input aria-label="Notes" />
			<select aria-label="Club" />
			<input type="range" aria-label="Distance" />
			<CommandButton id="aside" />
			<CommandButton id="thin" />
			<HelpSheet open={sheet} onClose={() => undefined} />
		</>
	);
}

test("a command is one object: its key, its button and its line on the sheet do the same", () => {
	const run = vi.fn();
	const sent = serve({ "PUT /api/me/keys": {} });
	draw(<Commands run={run} />);
	fireEvent.keyDown(document.body, { key: "x" });
	fireEvent.click(screen.getByRole("button", { name: "X Set aside" }));
	expect(run).toHaveBeenCalledTimes(2);
	expect(screen.getAllByText(/Set aside/)).toHaveLength(2);
	// Not from what takes the key itself, not while it is held down, and not where it is blocked.
	for (const name of ["Notes", "Club", "Distance"])
		fireEvent.keyDown(screen.getByLabelText(name), { key: "x" });
	fireEvent.keyDown(document.body, { key: "x", repeat: true });
	expect(run).toHaveBeenCalledTimes(2);
	cleanup();
	draw(<Commands run={run} blocked="No shot yet" />);
	fireEvent.keyDown(document.body, { key: "x" });
	expect(run).toHaveBeenCalledTimes(2);
	expect(sent).toEqual([]);
});

test("a key may be another, or none, and all of them may be off", async () => {
	const run = vi.fn();
	const sent = serve({ "PUT /api/me/keys": {} });
	draw(<Commands run={run} sheet />);
	const press = (key: string) => fireEvent.keyDown(document.body, { key });
	fireEvent.click(screen.getByRole("button", { name: "Set aside: X. Change" }));
	fireEvent.keyDown(screen.getByRole("button", { name: /Press the new key/ }), { key: "n" });
	expect(screen.getByText("N is Thin")).toBeTruthy();
	fireEvent.keyDown(screen.getByRole("button", { name: /Press the new key/ }), { key: "j" });
	await waitFor(() => expect(sent[0]?.body).toEqual({ off: false, changed: { aside: "j" } }));
	document.querySelector("dialog")?.removeAttribute("open");
	await screen.findByRole("button", { name: "Set aside: J. Change", hidden: true });
	press("x");
	expect(run).toHaveBeenCalledTimes(0);
	press("j");
	expect(run).toHaveBeenCalledTimes(1);
	fireEvent.click(screen.getByRole("checkbox", { name: "Keys act", hidden: true }));
	press("j");
	expect(run).toHaveBeenCalledTimes(1);
	await waitFor(() => expect(sent.at(-1)?.body).toEqual({ off: true, changed: { aside: "j" } }));
});

test("a table as a file has what is read, quoted, with the minus that programs read, and is no formula", () => {
	const table = document.createElement("table");
	table.innerHTML =
		"<tr><th>Club</th><th>Carry, yd</th></tr><tr><td>=SUM(A1)</td><td>\u22123,5</td></tr><tr><td>4H “x”</td><td>1 78</td></tr>";
	expect(csvOf(table)).toBe('Club,"Carry, yd"\n\'=SUM(A1),"-3,5"\n4H “x”,1 78');
});
