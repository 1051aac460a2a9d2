/** The Desk and the Shop: what is in the middle comes first, checks fall due, thresholds change in the shop's words. */

import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { SessionLine, ShopSettings } from "../../api/client";
import { readIn, USUAL } from "../../said/units";
import { m, me } from "../../tests/session";
import { changes, clear, draw, serve } from "../../tests/stage";
import { Desk } from "../desk/Desk";
import Shop from "./Shop";

afterEach(() => {
	readIn(USUAL);
	clear();
});

const day = (off: number) => new Date(Date.now() + off * 86_400_000).toISOString().slice(0, 10);
const NEXT = { not_begun: "brief", open: "bay", agreed: null, erased: null } as const;
const line = (
	id: number,
	name: string,
	status: SessionLine["status"],
	more: Partial<SessionLine> = {},
): SessionLine => ({
	id,
	customer: { id, name, hand: "right", try_out: false, units: null },
	held_on: day(-10),
	bay_name: "Bay 1",
	status,
	outcome: "",
	shots: 12,
	next_check: null,
	next: NEXT[status],
	...more,
});
const page = (results: SessionLine[], next: string | null = null) => ({
	count: 9,
	next,
	previous: null,
	results,
});
const none = {
	"GET /api/sessions": page([]),
	"GET /api/bays-now": [],
	"GET /api/checks-due": { within_days: 42, checks: [] },
	"GET /api/customers": [],
};
const desk = () => draw(<Desk me={me} />);

test("what is in the middle comes first and leads to the bay; earlier ones come on request", async () => {
	serve({
		...none,
		"GET /api/sessions": (address: URL) =>
			address.searchParams.get("page") === "2"
				? page([line(4, "Cy", "agreed")])
				: page([line(1, "Ada", "agreed"), line(2, "Bo", "not_begun"), line(3, "Di", "open")], "?page=2"),
	});
	desk();
	const links = async () =>
		(await screen.findAllByRole("link", { name: /In the middle|Not begun|Agreed/ })).map((each) =>
			each.getAttribute("href"),
		);
	const first = ["/sessions/3/bay", "/sessions/2/brief", "/sessions/1/handover"];
	expect(await links()).toEqual(first);
	fireEvent.click(screen.getByRole("button", { name: "Earlier visits" }));
	await waitFor(async () => expect(await links()).toEqual([...first, "/sessions/4/handover"]));
	expect(screen.queryByRole("button", { name: "Earlier visits" })).toBeNull();
});

test("checks that fall due lead to what was agreed; when there is none, how far was looked is said", async () => {
	const check = { session: 4, customer: "Cy", next_check: "2027-01-05" };
	serve({ ...none, "GET /api/checks-due": { within_days: 42, checks: [check] } });
	desk();
	const link = await screen.findByRole("link", { name: /Look again: Cy ?5 Jan 2027/ });
	expect(link.getAttribute("href")).toBe("/sessions/4/handover");
	clear();
	serve(none);
	desk();
	expect(await screen.findByText("None in the next 6 weeks.")).toBeTruthy();
});

test("a known customer is found by part of the name, by keyboard, and visits", async () => {
	const people = [
		{ id: 8, name: "Eve Moor", hand: "left" },
		{ id: 9, name: "Steve Ash", hand: "right" },
	];
	const sent = serve({
		...none,
		"GET /api/customers": (address: URL) =>
			people.filter((each) => each.name.toLowerCase().includes(address.searchParams.get("search") ?? "")),
		"POST /api/sessions": { id: 21 },
	});
	desk();
	// Where nobody has been yet the form begins with a new customer.
	fireEvent.click(await screen.findByRole("button", { name: "Known customer" }));
	fireEvent.click(screen.getByRole("button", { name: "Start" }));
	expect(await screen.findByText("Choose a customer, or add a new one.")).toBeTruthy();
	const box = screen.getByRole("combobox", { name: "Customer" });
	fireEvent.change(box, { target: { value: "eve" } });
	const found = within(screen.getByRole("listbox"));
	await waitFor(() => expect(found.getAllByRole("option")).toHaveLength(2));
	fireEvent.keyDown(box, { key: "ArrowDown" });
	fireEvent.keyDown(box, { key: "Enter" });
	expect((box as HTMLInputElement).value).toBe("Eve Moor");
	fireEvent.click(screen.getByRole("button", { name: "Start" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ customer: 8, bay: 3 }));
});

test("a new customer is made first, then the visit in the bay that was chosen", async () => {
	const sent = serve({
		...none,
		"POST /api/customers": { id: 8, name: "Eve", hand: "left" },
		"POST /api/sessions": { id: 21 },
	});
	draw(<Desk me={me} />);
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
const shop: ShopSettings = {
	name: "One",
	city: "",
	currency: "GBP",
	ground: "medium",
	may_change: true,
	idle_minutes: 0,
	keep_years: 0,
	backup: { made_at: null, bytes: 0, kept: 0, keeps: 14, every_hours: 24 },
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
			shots_by: "feed",
			altitude_m: m(0),
			temperature_c: 20,
			noise: { carry_m: { shot: 1.1, day: 1 } },
			closed: false,
		},
	],
};

test("a chance is set in shots out of a hundred, and what is unlike the usual says so", async () => {
	const keys = { "GET /api/bays/3/keys": { keys: [], made: null } };
	const sent = serve({ "GET /api/shop": shop, "PUT /api/shop": shop, "PUT /api/bays/3": shop, ...keys });
	draw(<Shop />, "/shop?part=thresholds");
	const sure = await screen.findByLabelText("Fills the slot from");
	expect((sure as HTMLInputElement).value).toBe("80");
	fireEvent.change(sure, { target: { value: "85" } });
	fireEvent.blur(sure);
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ values: { sure: 0.85 } }));
	expect(screen.getByText("usual 12")).toBeTruthy();
	expect((screen.getByLabelText("No gain under") as HTMLInputElement).value).toBe("0.05");
	fireEvent.click(screen.getByRole("link", { name: "Bays" }));
	fireEvent.change(screen.getByLabelText("What the monitor of Bay 1 measures"), {
		target: { value: "flight" },
	});
	await waitFor(() =>
		expect(changes(sent)[1]).toMatchObject({ url: "/api/bays/3", body: { models_flight: false } }),
	);
	expect(changes(sent)[1]?.body).not.toHaveProperty("noise");
	const day = screen.getByLabelText("Carry of Bay 1, all day alike");
	fireEvent.change(day, { target: { value: "2" } });
	fireEvent.blur(day);
	await waitFor(() =>
		expect(changes(sent)[2]?.body).toMatchObject({ noise: { carry_m: { shot: 1.1, day: 2 } } }),
	);
});

test("what a monitor reads wrong stands in the reader’s unit and goes back in the usual one", async () => {
	readIn({ ...USUAL, far: "m" });
	const sent = serve({
		"GET /api/shop": shop,
		"PUT /api/bays/3": shop,
		"GET /api/bays/3/keys": { keys: [], made: null },
	});
	draw(<Shop />, "/shop?part=bays");
	const shot = (await screen.findByLabelText("Carry of Bay 1, from shot to shot")) as HTMLInputElement;
	expect([shot.value, shot.parentElement?.textContent]).toEqual(["1", "m"]);
	fireEvent.change(shot, { target: { value: "0.9144" } });
	fireEvent.blur(shot);
	await waitFor(() =>
		expect(changes(sent)[0]?.body).toMatchObject({ noise: { carry_m: { shot: expect.closeTo(1), day: 1 } } }),
	);
});

test("a fitter sees the thresholds and cannot change them", async () => {
	serve({ "GET /api/shop": { ...shop, may_change: false } });
	draw(<Shop />, "/shop?part=thresholds");
	expect(((await screen.findByLabelText("Fills the slot from")) as HTMLInputElement).readOnly).toBe(true);
	expect(screen.getByText("Only the owner changes what is here.")).toBeTruthy();
	expect(screen.queryByRole("link", { name: "People" })).toBeNull();
});

test("desk and shop have a banner and a main part to go to", async () => {
	serve({ ...none, "GET /api/shop": shop });
	desk();
	await screen.findByText("Your first customer");
	const landmarks = () => [screen.getAllByRole("banner").length, screen.getAllByRole("main").length];
	expect(landmarks()).toEqual([1, 1]);
	clear();
	serve({ "GET /api/shop": shop });
	draw(<Shop />);
	await screen.findByText("Bays and their monitors");
	expect(landmarks()).toEqual([1, 1]);
});

test("an owner says what the shop and its bays are called, adds one and closes one", async () => {
	const sent = serve({
		"GET /api/shop": shop,
		"PUT /api/shop/name": { ...shop, name: "Westmark Fitting" },
		"POST /api/bays": shop,
		"PATCH /api/bays/3": shop,
		"GET /api/bays/3/keys": { keys: [] },
	});
	draw(<Shop />);
	fireEvent.change(await screen.findByLabelText("What the shop is called, on papers too"), {
		target: { value: "Westmark Fitting" },
	});
	fireEvent.click(screen.getByRole("button", { name: "Save" }));
	await waitFor(() =>
		expect(changes(sent).at(-1)?.body).toEqual({
			name: "Westmark Fitting",
			city: "",
			currency: "GBP",
			ground: "medium",
		}),
	);
	fireEvent.change(screen.getByLabelText("One more bay"), { target: { value: "Bay 2" } });
	fireEvent.change(screen.getByLabelText("Indoor or outdoor"), { target: { value: "out" } });
	fireEvent.click(screen.getByRole("button", { name: "Add it" }));
	await waitFor(() => expect(changes(sent).at(-1)?.body).toEqual({ name: "Bay 2", indoor: false }));
	fireEvent.click(screen.getByRole("button", { name: "Close it" }));
	await waitFor(() => expect(changes(sent).at(-1)?.body).toEqual({ closed: true }));
	const name = screen.getByLabelText("Name of Bay 1");
	fireEvent.change(name, { target: { value: "Left bay" } });
	fireEvent.blur(name);
	await waitFor(() => expect(changes(sent).at(-1)?.body).toEqual({ name: "Left bay" }));
});
