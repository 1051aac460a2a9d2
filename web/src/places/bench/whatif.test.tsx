/** What a change would do: beside what was hit, with its doubt, and one act to test it. */

import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { WhatIf as Found, Session } from "../../api/client";
import { build, m, session } from "../../tests/session";
import { changes, clear, serve, show } from "../../tests/stage";
import { fromFar } from "../../ui/units";
import { WhatIf } from "./WhatIf";

afterEach(clear);

const usual = {
	label: "",
	error: {},
	after: {},
	face_closed_deg: 0,
	lie_deg: 0,
	bounce_deg: 0,
	start_deg: 0,
	start_error_deg: 0,
	start_m: m(0),
	source: "",
	caution: "",
};
const found: Found = {
	build: 5,
	letter: "A",
	shots: 6,
	anchored: true,
	anchor: "Anchored to 20 measured flights.",
	before: { carry_m: fromFar(176), landing_deg: 46, spin_rpm: 4900 },
	changes: [
		{
			...usual, kind: "loft", amount: 1, words: "1° more loft", after: { carry_m: fromFar(173.5), landing_deg: 47 },
			error: { carry_m: fromFar(1.2) }, face_closed_deg: 0.9, lie_deg: 0.4, start_deg: -0.5, start_error_deg: 0.3, start_m: m(-1.4), directions: ["Higher, shorter."],
			source: "Impact and flight.", caution: "Check that the head is tight.",
		},
		{ ...usual, kind: "loft", amount: -3, words: "3° less loft", after: { carry_m: fromFar(180) }, error: { carry_m: fromFar(1) }, directions: [] },
		{ ...usual, kind: "shaft_weight", amount: 10, words: "10 g heavier shaft", directions: ["Often lower, for some straighter."] },
	],
	elsewhere: [{ label: "Cold, 5 °C", carry_m: fromFar(171), carry_error_m: m(1.6), landing_deg: 46 }],
}; // biome-ignore format: rows of figures
const sleeved = build(5, "4H", 176, {
	letter: "A",
	set_loft_deg: 22,
	stated_loft_deg: 22,
	settings_deg: [20, 21, 22, 23, 24],
	kept: 6,
});
const other = build(6, "9W", 179, { letter: "B", kept: 5 });
const stand: Session = {
	...session,
	builds: [...session.builds.filter((each) => !each.letter), sleeved, other],
};
const at = (id: number) => `GET /api/builds/${id}/what-if`;
const row = (words: string) => screen.getByRole("button", { name: words }).closest("tr") as HTMLElement;

test("a turn stands beside what was hit, signed and with its doubt", async () => {
	serve({ [at(5)]: found });
	show(WhatIf, stand);
	await screen.findByText("1° more loft");
	expect(row("1° more loft").textContent).toContain("174 −2.5 ±1.2");
	expect(row("1° more loft").textContent).toContain("1.5 left ±0.9");
	expect(row("3° less loft").textContent).toContain("180 +4.0 ±1.0");
	expect(screen.getByText(/Predicted from 6 kept shots.*Anchored to 20 measured flights/)).toBeTruthy();
	expect(screen.getByText("Cold, 5 °C").closest("tr")?.textContent).toContain("171 ±2");
});

test("what else a turn moves, its source and its caution are one act away", async () => {
	serve({ [at(5)]: found });
	show(WhatIf, stand);
	const turn = await screen.findByRole("button", { name: "1° more loft" });
	expect(turn.getAttribute("aria-expanded")).toBe("false");
	fireEvent.click(turn);
	expect(
		screen.getByText(
			"Also: face 0.9° closed when soled as before, lie 0.4° more upright, starts 0.5° further left (give or take 0.3°).",
		),
	).toBeTruthy();
	expect(screen.getByText("Source: Impact and flight.")).toBeTruthy();
	expect(screen.getByText("Check that the head is tight.")).toBeTruthy();
	fireEvent.click(turn);
	expect(screen.queryByText("Source: Impact and flight.")).toBeNull();
});

test("only a turn the sleeve has can be hit, as a build of its own", async () => {
	const sent = serve({ [at(5)]: found, "POST /api/builds/5/settings": stand });
	show(WhatIf, stand);
	await screen.findByText("1° more loft");
	expect(within(row("3° less loft")).queryByRole("button", { name: "Turn and hit it" })).toBeNull();
	expect(within(row("10 g heavier shaft")).queryByRole("button", { name: "Turn and hit it" })).toBeNull();
	fireEvent.click(within(row("1° more loft")).getByRole("button", { name: "Turn and hit it" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ set_loft_deg: 23 }));
});

test("where only a direction is known it is said and no figure is", async () => {
	serve({ [at(5)]: found });
	show(WhatIf, stand);
	await screen.findByText("Often lower, for some straighter.");
	expect(row("10 g heavier shaft").textContent).not.toContain("±");
});

test("another build is asked for by its letter; one without launches says what is missing", async () => {
	serve({ [at(5)]: found, [at(6)]: { ...found, build: 6, letter: "B", shots: 0 } });
	show(WhatIf, stand);
	fireEvent.click(screen.getByRole("button", { name: "What if with B 9W" }));
	await screen.findByText(/no shot with ball speed, launch and spin/);
});

test("agreed, nothing can be turned any more", async () => {
	serve({ [at(5)]: found });
	show(WhatIf, { ...stand, status: "agreed" });
	await screen.findByText("1° more loft");
	expect(screen.queryByRole("button", { name: "Turn and hit it" })).toBeNull();
});
