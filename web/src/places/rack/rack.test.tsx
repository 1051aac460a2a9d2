/** The rack as it is kept: what stands there, what is written down of a head, and a file with broken rows. */

import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { Rack as RackAnswer } from "../../api/client";
import { head, shaft } from "../../tests/rack";
import { changes, clear, draw, serve } from "../../tests/stage";
import { forgetDrafts } from "../../ui/draft";
import Rack from "./Rack";

afterEach(clear);

const table = [
	{ name: "A", loft_deg: 1, lie_deg: 0.5, face_deg: -0.5 },
	{ name: "B", loft_deg: 0, lie_deg: 0, face_deg: 0 },
];
const rack: RackAnswer = {
	may_change: true,
	heads: [
		head(1, "4H", {
			history: { players: 3, won: 1, speed_share: 0.012, launch_deg: -0.8, spin_share: 0 },
		}),
		head(2, "7W", { head_type: "fairway", positions: table, lofts_deg: [21, 22], stock: 0 }),
		head(3, "U4", { head_type: "utility", retired: true, lofts_deg: [], sleeve_deg: 0 }),
	],
	shafts: [shaft(21, "Fenlark 65 H"), shaft(22, "Wexmoor 85", { bend: "low", balance: 0.52 })],
};
const type = (label: string, value: string) =>
	fireEvent.change(screen.getByLabelText(label), { target: { value } });

test("a head says how it turns, whether it can be had and how it did here; what was taken off is apart", async () => {
	serve({ "GET /api/rack": rack });
	draw(<Rack />);
	const row = (await screen.findByRole("button", { name: /^4H/ })).closest("tr") as HTMLElement;
	expect(row.textContent).toContain("turns 2°");
	expect(row.textContent).toContain("hit by 3, chosen once, 1.2% faster than expected, 0.8° lower");
	const wood = screen.getByRole("button", { name: /^7W/ }).closest("tr") as HTMLElement;
	expect(wood.textContent).toContain("2 positions, 21° to 22°");
	expect(wood.textContent).toContain("none");
	expect(screen.queryByRole("button", { name: /^U4/ })).toBeNull();
	fireEvent.click(screen.getByLabelText("Taken off"));
	expect(screen.getByRole("button", { name: /^U4/ })).toBeTruthy();
	fireEvent.click(screen.getByRole("tab", { name: "Shafts" }));
	fireEvent.click(screen.getByLabelText("Taken off"));
	expect((screen.getByText("Wexmoor 85").closest("tr") as HTMLElement).textContent).toContain("52%");
});

test("a head is written down with its sleeve's table; what is no number is said and what was typed stays", async () => {
	const sent = serve({
		"GET /api/rack": rack,
		"POST /api/rack/heads": rack,
		"PATCH /api/rack/heads/1": rack,
	});
	draw(<Rack />);
	fireEvent.click(await screen.findByRole("button", { name: "Add a head" }));
	for (const [label, value] of [
		["Maker", "Corbrae"],
		["Model", "Ness"],
		["Stands on the sole", "5H"],
		["Loft, °", "l25"],
		["Length, in", "39.5"],
		["Price", "300"],
	] as const)
		type(label, value);
	const press = (name: string) => fireEvent.click(screen.getByRole("button", { name, hidden: true }));
	for (const loft of ["1", "-1", "2"]) {
		press("Add a position");
		type(`loft of position ${["1", "-1", "2"].indexOf(loft) + 1}`, loft);
	}
	// What is taken out takes its own figures with it, and its letter is free again.
	press("Remove position 1");
	press("Add a position");
	type("face of position 3", "o.5");
	fireEvent.click(screen.getByRole("button", { name: "Onto the rack", hidden: true }));
	expect(await screen.findByText(/“l25” is no number/)).toBeTruthy();
	expect(changes(sent)).toEqual([]);
	type("Loft, °", "25");
	press("Onto the rack");
	expect(await screen.findByText(/Write the face of position A in figures/)).toBeTruthy();
	type("face of position 3", "0.5");
	fireEvent.click(screen.getByRole("button", { name: "Onto the rack", hidden: true }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toMatchObject({
		maker: "Corbrae",
		loft_deg: 25,
		length_in: 39.5,
		lie_deg: null,
		positions: [
			{ name: "B", loft_deg: -1, lie_deg: 0, face_deg: 0 },
			{ name: "C", loft_deg: 2, lie_deg: 0, face_deg: 0 },
			{ name: "A", loft_deg: 0, lie_deg: 0, face_deg: 0.5 },
		],
	});
	fireEvent.click(await screen.findByRole("button", { name: /^4H/ }));
	fireEvent.click(screen.getByRole("button", { name: "Take it off the rack", hidden: true }));
	await waitFor(() => expect(changes(sent)[1]?.body).toEqual({ retired: true }));
});

test("a file is looked at first; its broken rows are listed and the rest goes in", async () => {
	const problems = [{ line: 4, column: "loft_deg", sentence: "“twenty” is not a number." }];
	const sent = serve({
		"GET /api/rack": rack,
		"POST /api/rack/file": { rows: 2, added: 0, changed: 0, problems },
	});
	draw(<Rack />);
	fireEvent.click(await screen.findByRole("button", { name: "Bring in CSV" }));
	const file = new File(["maker,model\n"], "rack.csv", { type: "text/csv" });
	fireEvent.change(screen.getByLabelText("File of heads"), { target: { files: [file] } });
	expect(await screen.findByText("2 can go in, 1 cannot.")).toBeTruthy();
	expect(screen.getByText(/“twenty” is not a number/)).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: "Take in 2", hidden: true }));
	await waitFor(() => expect(changes(sent)[1]?.body).toMatchObject({ only_look: false, what: "heads" }));
});

test("a fitter reads the rack and is told whose it is to change", async () => {
	serve({ "GET /api/rack": { ...rack, may_change: false } });
	draw(<Rack />);
	expect(await screen.findByText("Only the owner changes what is here.")).toBeTruthy();
	expect(screen.queryByRole("button", { name: "Add a head" })).toBeNull();
	expect(screen.getByText("Write out CSV").getAttribute("href")).toBe("/api/rack/heads.csv");
});

test("a head that is half typed is there again after it was closed, and goes when that is asked for", async () => {
	serve({ "GET /api/rack": rack });
	draw(<Rack />);
	const open = async () => fireEvent.click(await screen.findByRole("button", { name: "Add a head" }));
	const press = (name: string) => fireEvent.click(screen.getByRole("button", { name, hidden: true }));
	const maker = () => (screen.getByLabelText("Maker") as HTMLInputElement).value;
	await open();
	type("Maker", "Corbrae");
	press("Add a position");
	expect(screen.queryByText("As you left it, not saved.")).toBeNull(); // it is being typed
	press("Close");
	await open();
	expect(maker()).toBe("Corbrae");
	expect(screen.getByLabelText("Name of position 1")).toBeTruthy();
	expect(screen.getByText("As you left it, not saved.")).toBeTruthy();
	press("Begin anew");
	expect([maker(), screen.queryByLabelText("Name of position 1")]).toEqual(["", null]);
	// Whoever signs out leaves nothing behind.
	type("Maker", "Corbrae");
	forgetDrafts();
	await waitFor(() => expect(maker()).toBe(""));
	expect(sessionStorage.length).toBe(0);
});
