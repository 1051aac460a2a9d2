/** The player's screen on its own: what each mode shows, and what is said of a club. */

import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { PlayerView } from "../../api/client";
import { m } from "../../tests/session";
import { changes, clear, draw, serve } from "../../tests/stage";
import Player from "./Player";

afterEach(clear);
beforeEach(() => {
	vi.stubGlobal(
		"EventSource",
		class {
			addEventListener() {}
			close() {}
		},
	);
	window.history.replaceState(null, "", "/player/acdefh");
});

const blind: PlayerView = {
	mode: "blind",
	revision: 3,
	club: "A",
	shots: 4,
	asks: null,
	flight: null,
	readings: {},
	builds: [],
};
const flight = {
	carry_m: m(164.6),
	aside: false,
	path: [
		[0, 0],
		[90, 25],
		[164.6, 0],
	],
	landed: [{ carry_m: m(164.6), offline_m: m(-3), aside: false }],
	window: { low: 160, high: 167 },
};
const at = "/api/player/ACDEFH";

test("blind shows the letter and the count, simple the carry, full what was read", async () => {
	const drawn = (view: PlayerView) => {
		serve({ [`GET ${at}`]: view });
		return draw(<Player />);
	};
	const first = drawn(blind);
	expect((await screen.findByTestId("player-blind")).textContent).toBe("A4 shots");
	first.unmount();
	const simple = drawn({ ...blind, mode: "simple", flight });
	expect((await screen.findByTestId("player-carry")).textContent).toBe("180");
	expect(screen.getByTestId("player-numbers").textContent).toContain("wanted 175–183");
	expect(screen.queryByText("Spin")).toBeNull();
	simple.unmount();
	drawn({ ...blind, mode: "full", flight, readings: { spin_rpm: 4200, carry_m: 164.6 } });
	expect((await screen.findByText("Spin")).parentElement?.textContent).toContain("4\u202f200");
});

test("feel is four marks, each to be skipped; trust of 1 asks about a veto; a lost answer is sent again", async () => {
	let lost = true;
	const sent = serve({
		[`GET ${at}`]: { ...blind, mode: "feel", asks: { build: 9, letter: "B" } },
		[`POST ${at}`]: () => {
			if (lost) {
				lost = false;
				throw new TypeError("no line");
			}
			return { ...blind, mode: "feel" };
		},
	});
	draw(<Player />);
	fireEvent.click(
		await screen
			.findByRole("button", { name: "Skip all" })
			.then(() => screen.getByRole("button", { name: "Sound: 4" })),
	);
	fireEvent.click(screen.getByRole("button", { name: "Trust, standing over it: 1" }));
	screen.getByText("You would not trust it: is it one you will not play?");
	fireEvent.click(screen.getByRole("button", { name: "I will not play this one" }));
	fireEvent.change(screen.getByLabelText("In a word"), { target: { value: " harsh " } });
	fireEvent.click(screen.getByRole("button", { name: "Done" }));
	await waitFor(() => expect(screen.getByTestId("player-blind")).not.toBeNull(), { timeout: 5000 });
	expect(changes(sent).map((each) => each.body)).toEqual(
		Array(2).fill({ build: 9, veto: true, word: "harsh", sound: 4, trust: 1 }),
	);
});

test("a code that opens nothing says what to do and lets another be typed", async () => {
	const title = "This code opens nothing any more. Ask the fitter for a new one.";
	serve({
		[`GET ${at}`]: Response.json({ title, field: "code" }, { status: 404 }),
		"GET /api/player/KLMNPR": blind,
	});
	draw(<Player />);
	expect((await screen.findByRole("alert")).textContent).toBe(title);
	fireEvent.change(screen.getByLabelText("Code on the fitter’s screen"), { target: { value: "klmnpr" } });
	fireEvent.click(screen.getByRole("button", { name: "Open" }));
	await screen.findByTestId("player-blind");
	expect(window.location.pathname).toBe("/player/KLMNPR");
});
