/** The Desk and the Shop: what is in the middle comes first, checks fall due, thresholds change in the shop's words. */
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { SessionLine, ShopPicture } from "../api/client";
import { me } from "../tests/session";
import { changes, clear, draw, serve } from "../tests/stage";
import { Desk } from "./Desk";
import Shop from "./Shop";

afterEach(clear);

const day = (off: number) => new Date(Date.now() + off * 86_400_000).toISOString().slice(0, 10);
const line = (
	id: number,
	name: string,
	status: SessionLine["status"],
	more: Partial<SessionLine> = {},
): SessionLine => ({
	id,
	customer: { id, name, hand: "right" },
	held_on: day(-10),
	bay_name: "Bay 1",
	status,
	outcome: "",
	shots: 12,
	next_check: null,
	...more,
});
test("what is in the middle comes first and leads to the bay; only the latest check of a customer falls due", async () => {
	const old = line(4, "Cy", "agreed", { held_on: day(-400), next_check: day(-30) });
	const later = { ...line(5, "Cy", "agreed", { next_check: day(300) }), customer: old.customer };
	serve({
		"GET /api/sessions": [
			line(1, "Ada", "agreed", { next_check: day(20) }),
			line(2, "Bo", "not_begun"),
			line(3, "Di", "open"),
			old,
			later,
		],
		"GET /api/customers": [],
	});
	draw(<Desk me={me} onSignOut={() => undefined} onHelp={() => undefined} />);
	const links = await screen.findAllByRole("link", { name: /In the middle|Not begun|Agreed/ });
	expect(links.map((each) => each.getAttribute("href"))).toEqual([
		"/sessions/3/bay",
		"/sessions/2/brief",
		"/sessions/1/handover",
		"/sessions/4/handover",
		"/sessions/5/handover",
	]);
	const due = screen.getByRole("heading", { name: "Checks that fall due" }).closest("section");
	expect(due?.textContent).toContain("Ada");
	expect(due?.textContent).not.toContain("Cy");
});

test("a new customer is made first, then the visit in the bay that was chosen", async () => {
	const sent = serve({
		"GET /api/sessions": [],
		"GET /api/customers": [],
		"POST /api/customers": { id: 8, name: "Eve", hand: "left" },
		"POST /api/sessions": { id: 21 },
	});
	draw(<Desk me={me} onSignOut={() => undefined} onHelp={() => undefined} />);
	fireEvent.click(screen.getByRole("button", { name: "New customer" }));
	fireEvent.change(screen.getByLabelText("Customer’s name"), { target: { value: "Eve" } });
	fireEvent.change(screen.getByLabelText("Hand"), { target: { value: "left" } });
	fireEvent.click(screen.getByRole("button", { name: "Start" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(2));
	expect(changes(sent).map((each) => each.body)).toEqual([
		{ name: "Eve", hand: "left" },
		{ customer: 8, bay: 3 },
	]);
});

const threshold = {
	key: "sure",
	label: "Fills the slot from",
	why: "Wrong once in five.",
	unit: "chance",
	value: 0.8,
	usual: 0.8,
	low: 0.5,
	high: 0.99,
};
const shop: ShopPicture = {
	name: "One",
	may_change: true,
	thresholds: [
		threshold,
		{
			...threshold,
			key: "least_gain",
			label: "No gain under",
			unit: "shots a round",
			value: 0.05,
			usual: 0.05,
		},
		{ ...threshold, key: "one_head_m", label: "One head away up to", unit: "yd", value: 10, usual: 12 },
	],
	bays: [
		{
			id: 3,
			name: "Bay 1",
			indoor: true,
			surface: "mat",
			models_flight: true,
			altitude_m: 0,
			temperature_c: 20,
		},
	],
};

test("a chance is set in shots out of a hundred, and what is unlike the usual says so", async () => {
	const sent = serve({ "GET /api/shop": shop, "PUT /api/shop": shop, "PUT /api/bays/3": shop });
	draw(<Shop />);
	const sure = await screen.findByLabelText("Fills the slot from");
	expect((sure as HTMLInputElement).value).toBe("80");
	fireEvent.change(sure, { target: { value: "85" } });
	fireEvent.blur(sure);
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ values: { sure: 0.85 } }));
	expect(screen.getByText("usual 12")).toBeTruthy();
	expect((screen.getByLabelText("No gain under") as HTMLInputElement).value).toBe("0.05");
	fireEvent.change(screen.getByLabelText("What the monitor of Bay 1 measures"), {
		target: { value: "flight" },
	});
	await waitFor(() =>
		expect(changes(sent)[1]).toMatchObject({ url: "/api/bays/3", body: { models_flight: false } }),
	);
});

test("a fitter sees the thresholds and cannot change them", async () => {
	serve({ "GET /api/shop": { ...shop, may_change: false } });
	draw(<Shop />);
	expect(((await screen.findByLabelText("Fills the slot from")) as HTMLInputElement).readOnly).toBe(true);
	expect(screen.getByText("Only the owner changes what is here.")).toBeTruthy();
});
