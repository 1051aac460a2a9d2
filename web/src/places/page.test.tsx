/** The customer's page: what was decided and why, in plain words, or that nothing is yet. */
import { screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { BagSide, Choice, Handover } from "../api/client";
import { YD } from "../testing/session";
import { clear, draw, serve } from "../testing/stage";
import CustomerPage from "./CustomerPage";

afterEach(clear);

const club = (id: number, name: string, carry: number, letter = ""): BagSide["clubs"][number] => ({
	id,
	letter,
	name,
	head_type: "hybrid",
	loft_deg: null,
	carry_m: carry * YD,
	total_m: (carry + 6) * YD,
	new: letter !== "",
	expected: false,
});
const side = (clubs: BagSide["clubs"], headline: string): BagSide => ({
	clubs,
	between: [],
	headline,
	club_count: 12,
});
const chosen: Choice = {
	build: 4,
	letter: "A",
	name: "4H 22°",
	headline: "Fills the slot",
	why: "",
	reasons: "",
	lost: [{ letter: "B", name: "U4 22°", why: "It lands too flat to stay on the green." }],
	after: side([club(1, "5i", 162), club(4, "4H", 178, "A"), club(2, "5W", 196)], "The space is closed."),
	sheet: [{ label: "Head", value: "Brackwater Skerry 4H" }],
	price: "279.00",
	prediction: "",
};
const handover: Handover = {
	session: 7,
	customer: "Ada Field",
	shop: "One",
	held_on: "2026-11-24",
	rule_words: "roll-out meets carry",
	before: side([club(1, "5i", 162), club(2, "5W", 196)], "26 yd uncovered between 5i and 5W."),
	choices: [],
	suggested: null,
	suggestion: "",
	earlier: [],
	cautions: ["Fourteen clubs at most in play."],
	agreed: {
		revision: 1,
		decision: "buy",
		agreed_at: "2026-11-24T10:00:00Z",
		agreed_by: "Rowan Ashby",
		reasons: "It holds the long par three.",
		next_check: "2027-11-24",
		runner_up: "B U4 22°",
		choice: chosen,
		before: side([club(1, "5i", 162), club(2, "5W", 196)], "26 yd uncovered between 5i and 5W."),
	},
};

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
	open(handover);
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
	open(handover);
	await screen.findByRole("heading", { name: "Your distances" });
	const list = screen.getAllByRole("list").find((each) => within(each).queryByText("178")) as HTMLElement;
	expect(
		within(list)
			.getAllByRole("listitem")
			.map((each) => each.textContent),
	).toEqual(["5W196", "4H178", "5i162"]);
});

test("to keep the bag is a decision too, with nothing to order", async () => {
	const agreed = handover.agreed as NonNullable<Handover["agreed"]>;
	const keep = {
		...chosen,
		build: null,
		letter: "",
		name: "Keep",
		sheet: [],
		after: handover.before,
		lost: [],
	};
	open({ ...handover, agreed: { ...agreed, decision: "keep", choice: keep, next_check: null } });
	expect(await screen.findByRole("heading", { name: "Keep the bag you have" })).toBeTruthy();
	expect(screen.queryByText(/Build sheet/)).toBeNull();
	expect(screen.queryByText(/Come back for a check/)).toBeNull();
	expect(screen.queryByText(/It flies/)).toBeNull();
});

test("before anything is agreed there is no page, and it says when there will be", async () => {
	open({ ...handover, agreed: null });
	expect(await screen.findByText(/The page is made when the recommendation is/)).toBeTruthy();
});
