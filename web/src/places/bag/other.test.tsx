/** Clubs that are not of the rack: what is refused is said where it was typed, and stays. */

import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { PlaceProps } from "../../session/place";
import { shaft } from "../../tests/rack";
import { session } from "../../tests/session";
import { changes, clear, serve, show } from "../../tests/stage";
import { OtherClubs } from "./OtherClubs";

afterEach(clear);

const open = (answers: Record<string, unknown>) => {
	const sent = serve(answers);
	let closed = 0;
	const place = (props: PlaceProps) => (
		<OtherClubs
			{...props}
			act={(change) => void change().catch(() => undefined)}
			onClose={() => {
				closed += 1;
			}}
		/>
	);
	show(place, session);
	return { sent, closed: () => closed };
};
const type = (label: string, value: string) =>
	fireEvent.change(screen.getByLabelText(label), { target: { value } });
const stand = (index: number) =>
	fireEvent.click(
		screen.getAllByRole("button", { name: "On the stand", hidden: true })[index] as HTMLElement,
	);

test("a borrowed club needs three fields; without its loft nothing is sent and what was typed stays", async () => {
	const { sent, closed } = open({ "POST /api/sessions/7/borrowed": session });
	type("What the borrowed club is called", "Old 3H");
	stand(0);
	expect(await screen.findByText("Give the loft of the borrowed club.")).toBeTruthy();
	expect(closed()).toBe(0);
	type("Loft of the borrowed club in degrees", "20,5");
	stand(0);
	await waitFor(() =>
		expect(changes(sent)[0]?.body).toEqual({ name: "Old 3H", head_type: "hybrid", loft_deg: 20.5 }),
	);
	await waitFor(() => expect(closed()).toBe(1));
});

test("an own club goes up as it is, bent or with another shaft, with the caution of the work", async () => {
	const { sent } = open({
		"POST /api/builds/1/otherwise": session,
		"GET /api/rack": { shafts: [shaft(21, "Fenlark 65 H")] },
	});
	stand(1);
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ changes: [], shaft: null }));
	type("What is done to it", "bend");
	expect(screen.getByText(/cast and hollow heads can crack/)).toBeTruthy();
	type("By how much, less than nothing for the other way", "-1");
	stand(1);
	await waitFor(() =>
		expect(changes(sent)[1]?.body).toEqual({ changes: [{ kind: "bend", amount: -1 }], shaft: null }),
	);
	type("What is done to it", "");
	await screen.findByText("Fenlark 65 H");
	type("Which shaft it gets", "21");
	expect(screen.getByText(/epoxy, solvent and dust/)).toBeTruthy();
	stand(1);
	await waitFor(() => expect(changes(sent)[2]?.body).toEqual({ changes: [], shaft: 21 }));
});

test("heads at one loft: those that turn are counted, the fixed ones named", async () => {
	const rows = [
		{ letter: "A", name: "4H 22°", loft_deg: 23, why: "" },
		{ letter: "B", name: "U4 22°", loft_deg: null, why: "fixed: it does not turn" },
	];
	const { sent } = open({ "GET /api/sessions/7/level": rows, "POST /api/sessions/7/level": session });
	type("Loft to turn to in degrees", "23");
	expect(await screen.findByText(/left out, fixed/)).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: "Turn 1", hidden: true }));
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ loft_deg: 23 }));
});
