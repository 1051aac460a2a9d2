/** The customer's page: what was decided and why, in plain words, or that nothing is yet. */
import { screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, expect, test } from "vitest";
import { words } from "../../said/words";
import { A, agreed, B, choice, handover } from "../../tests/handover";
import { clear, draw, serve } from "../../tests/stage";
import { asFar, type Metres } from "../../ui/units";
import CustomerPage from "./CustomerPage";

afterEach(clear);

function open(answer: unknown) {
	serve({ "GET /api/sessions/7/handover": answer });
	draw(
		<Routes>
			<Route path="/sessions/:id/page" element={<CustomerPage />} />
		</Routes>,
		"/sessions/7/page",
	);
}

test("the new club, how far it flies, why, what it replaces and when to come back", async () => {
	open(agreed(choice([A])));
	expect(await screen.findByRole("heading", { name: "Your new club: 4H 22°" })).toBeTruthy();
	expect(screen.getByText(/It flies/).textContent).toBe(
		"It flies 178 yards through the air and stops at about 184.",
	);
	expect(screen.getByText("It holds the long par three.")).toBeTruthy();
	expect(screen.getByText("It lands too flat to stay on the green.", { exact: false })).toBeTruthy();
	expect(screen.getByText("Come back for a check around 24 November 2027.")).toBeTruthy();
	expect(screen.getByText("Fourteen clubs at most in play.")).toBeTruthy();
});

test("the distances run from the longest club, the new one among them", async () => {
	open(agreed(choice([A])));
	await screen.findByRole("heading", { name: "Your distances" });
	const list = screen.getAllByRole("list").find((each) => within(each).queryByText("178")) as HTMLElement;
	expect(
		within(list)
			.getAllByRole("listitem")
			.map((each) => each.textContent),
	).toEqual(["5W196", "4H 22°178", "5i162"]);
});

test("of two clubs each says how far it flies, and what stays at home is named", async () => {
	open(agreed(choice([A, B], ["5i"])));
	expect(await screen.findByRole("heading", { name: "Your new clubs: 4H 22° and U4 22°" })).toBeTruthy();
	expect(screen.getAllByText(/flies/).map((each) => each.textContent)).toEqual([
		"The 4H 22° flies 178 yards through the air and stops at about 184.",
		"The U4 22° flies 187 yards through the air and stops at about 193.",
	]);
	expect(screen.getByText("Leave these at home: 5i.")).toBeTruthy();
});

test("to keep the bag is a decision too, with nothing to order", async () => {
	open(agreed(choice([]), { decision: "keep", next_check: null }));
	expect(await screen.findByRole("heading", { name: "Keep the bag you have" })).toBeTruthy();
	expect(screen.queryByText(/Build sheet/)).toBeNull();
	expect(screen.queryByText(/Come back for a check/)).toBeNull();
	expect(screen.queryByText(/flies/)).toBeNull();
});

test("before anything is agreed there is no page, and it says when there will be", async () => {
	open(handover);
	expect(await screen.findByText(/The page is made when the recommendation is/)).toBeTruthy();
});

test("a customer’s paper is read in the customer’s units, and what is drawn after it in one’s own", async () => {
	const units = { far: "m", high: "m", speed: "kmh", warmth: "c", club_length: "mm" } as const;
	const why = {
		say: "why-carries-outside",
		carry: { far: 173 },
		off: { far: 3 },
		short: "yes",
		low: { far: 161 },
		high: { far: 167 },
	};
	const answer = agreed(choice([A]));
	open({
		...answer,
		units,
		agreed: {
			...answer.agreed,
			choice: { ...answer.agreed?.choice, lost: [{ letter: "B", name: "U4 22°", why }] },
		},
	});
	expect((await screen.findByText(/through the air/)).textContent).toBe(
		"It flies 163 metres through the air and stops at about 168.",
	);
	expect(screen.getByText(/It flies 173 m, 3 short of the 161 to 167 you needed/)).toBeTruthy();
	clear();
	expect(asFar(100 as Metres)).toBe("109");
	expect(words(why)).toMatch(/^Carries 189, 3 short/);
});
