/** The Brief on its own: jobs made exact, courses that keep their jobs, what is sent and when. */

import { act, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Session } from "../../api/client";
import { keepTyping, openOutbox, reopen, signedInAs, typedOf } from "../../api/outbox";
import { readIn, USUAL } from "../../said/units";
import { m, session } from "../../tests/session";
import { changes, clear, Place, type Sent, serve, show } from "../../tests/stage";
import { fromFar } from "../../ui/units";
import { Brief } from "./Brief";

beforeEach(() => void vi.useFakeTimers({ shouldAdvanceTime: true }));
afterEach(() => {
	vi.useRealTimers();
	readIn(USUAL);
	clear();
});

const put = "PATCH /api/sessions/7/brief";
const settle = () => act(() => vi.advanceTimersByTimeAsync(700));
const last = (sent: Sent[]) =>
	(changes(sent).at(-1) as { body: { now: Record<string, unknown> & { jobs: Record<string, unknown>[] } } })
		.body.now;
const slide = (name: string, value: number, nth = 0) =>
	fireEvent.change(screen.getAllByRole("slider", { name })[nth] as HTMLElement, { target: { value } });

test("a common job is made exact by sliding, and travels in metres a moment later, once", async () => {
	const sent = serve({ [put]: session });
	show(Brief, session);
	fireEvent.click(screen.getByRole("button", { name: "+ Carry over water" }));
	slide("Distance in yards", 172);
	slide("Must carry in yards", 160);
	slide("Times a round", 1.5);
	expect(changes(sent)).toHaveLength(0);
	await settle();
	expect(changes(sent)).toHaveLength(1);
	expect(last(sent).jobs[0]).toMatchObject({
		name: "Carry over water",
		distance_m: fromFar(172),
		carry_over_m: fromFar(160),
		uses_per_round: 1.5,
		course: "",
	});
	expect(screen.getByRole("img", { name: /172 yd, 160 to carry, 24 wide and 26 deep, medium/ })).toBeTruthy();
});

test("read in metres, a job that nobody touched goes back as it was said in yards", async () => {
	readIn({ ...USUAL, far: "m", speed: "kmh" });
	const sent = serve({ [put]: session });
	const [first] = session.brief.common.map((job) => ({
		...job,
		distance_m: m(181.4),
		width_m: m(23),
		wind_mps: 4.5,
	})) as Session["brief"]["jobs"];
	if (!first) throw new Error("no common job");
	const second = { ...first, name: "Second" };
	show(Brief, { ...session, brief: { ...session.brief, jobs: [first, second] } });
	fireEvent.click(screen.getByRole("button", { name: /^Second/ }));
	expect(screen.getByRole("button", { name: /^Second/ }).textContent).toContain(
		"181 m into a medium green, 23 wide",
	);
	slide("Distance in metres", 150);
	await settle();
	const figures = { distance_m: first.distance_m, width_m: first.width_m, wind_mps: 4.5 };
	expect(last(sent).jobs).toMatchObject([figures, { ...figures, distance_m: 150 }]);
});

test("a job that no club of the bag reaches says so while it is slid", () => {
	serve({ [put]: session });
	show(Brief, session);
	fireEvent.click(screen.getByRole("button", { name: "+ Long par three" }));
	expect(screen.queryByText(/Out of reach/)).toBeNull();
	slide("Distance in yards", 230);
	expect(screen.getByText(/Out of reach: 5W, the longest for it, stops at 204\./)).toBeTruthy();
	fireEvent.change(screen.getByLabelText("Kind of shot"), { target: { value: "tee" } });
	expect(screen.queryByText(/Out of reach/)).toBeNull();
});

test("nothing to carry is sent as nothing", async () => {
	const sent = serve({ [put]: session });
	show(Brief, session);
	fireEvent.click(screen.getByRole("button", { name: "+ Carry over water" }));
	slide("Must carry in yards", 0);
	await settle();
	expect(last(sent).jobs[0]).toMatchObject({ carry_over_m: null });
});

test("a course that is named anew keeps its jobs, and one that goes leaves them everywhere", async () => {
	const sent = serve({ [put]: session });
	const placed: Session = {
		...session,
		brief: {
			...session.brief,
			courses: [
				{ name: "Home", kind: "home", firmness: "soft", share: 80, green_ft: 10, sand: "", wind_mps: 0 },
				{ name: "Links", kind: "trip", firmness: "firm", share: 20, green_ft: 10, sand: "", wind_mps: 0 },
			],
			jobs: [
				{
					name: "Into the wind",
					kind: "tee",
					distance_m: m(180),
					carry_over_m: null,
					width_m: m(26),
					depth_m: m(26),
					firmness: "firm",
					uses_per_round: 2,
					course: "Links",
					lie: "tee",
					green_ft: 10,
					wind_mps: 0,
					wind_from_deg: 0,
				},
			],
		},
	};
	show(Brief, placed);
	fireEvent.change(screen.getAllByLabelText("Name of the course")[1] as HTMLElement, {
		target: { value: "West" },
	});
	await settle();
	expect(last(sent).jobs[0]).toMatchObject({ course: "West", lie: "tee" });
	const rows = screen.getAllByLabelText("Name of the course").map((each) => each.closest("li"));
	fireEvent.click(within(rows[1] as HTMLElement).getByRole("button", { name: "Remove" }));
	await settle();
	expect(last(sent)).toMatchObject({ courses: [{ name: "Home", share: 80 }] });
	expect(last(sent).jobs[0]).toMatchObject({ course: "" });
	const [first] = changes(sent);
	expect(first?.body).toMatchObject({ was: { jobs: [{ course: "Links" }] } });
});

test("wishes against a kind of head are sent, no wish is not; pain brings its caution", async () => {
	const sent = serve({ [put]: session });
	show(Brief, session);
	fireEvent.change(screen.getByLabelText("Utility irons"), { target: { value: "vetoed" } });
	fireEvent.change(screen.getByLabelText("Shape wanted"), { target: { value: "draw" } });
	fireEvent.click(screen.getByRole("button", { name: "rough" }));
	fireEvent.click(screen.getByLabelText("Pain or an injury"));
	await settle();
	expect(last(sent)).toMatchObject({
		likes: { utility: "vetoed" },
		shape: "draw",
		lies: ["rough"],
		pain: true,
	});
	expect(screen.getByText(/See a doctor before swinging hard/)).toBeTruthy();
});

test("leaving the place sends what was not sent yet", async () => {
	const sent = serve({ [put]: session });
	const { unmount } = show(Brief, session);
	fireEvent.change(screen.getByLabelText("Notes"), { target: { value: "Dislikes long shafts." } });
	unmount();
	await settle();
	expect(last(sent)).toMatchObject({ notes: "Dislikes long shafts." });
});

const notes = () => screen.getByLabelText("Notes") as HTMLTextAreaElement;
const type = (text: string) => fireEvent.change(notes(), { target: { value: text } });
const withNotes = (text: string, revision = 41): Session => ({
	...session,
	revision,
	brief: { ...session.brief, notes: text },
});

test("a word that was typed and not sent is there after a reload, and goes on its way", async () => {
	const away = () => vi.stubGlobal("fetch", () => Promise.reject(new TypeError("no line")));
	away();
	signedInAs("fitter");
	const { unmount } = show(Brief, session);
	type("Sore wri");
	unmount();
	reopen(); // before the half second is over
	signedInAs("fitter");
	await openOutbox({ heard: () => undefined, signedOut: () => undefined });
	show(Brief, session);
	expect(notes().value).toBe("Sore wri");
	await settle();
	expect(await screen.findByText("Kept here, on its way.")).toBeTruthy();
	const later = serve({ [put]: withNotes("Sore wri") });
	await act(() => vi.advanceTimersByTimeAsync(20_000));
	expect(changes(later).map((each) => each.body)).toEqual([
		{ now: { notes: "Sore wri" }, was: { notes: "" } },
	]);
});

test("what someone else writes appears in fields that are not being typed in", async () => {
	const sent = serve({ [put]: session });
	const { rerender } = show(Brief, session);
	fireEvent.change(screen.getByLabelText("Budget"), { target: { value: "300" } });
	rerender(<Place place={Brief} session={withNotes("From the other screen")} />);
	await waitFor(() => expect(notes().value).toBe("From the other screen"));
	await settle();
	expect(changes(sent).map((each) => each.body)).toEqual([{ now: { budget: "300" }, was: { budget: null } }]);
});

test("two who wrote in one field see both texts, and either may stay", async () => {
	const clash = Response.json(
		{ type: "hemicycle:clash", title: "Someone else wrote here.", field: null, theirs: { notes: "Theirs" } },
		{ status: 409 },
	);
	const answers: Record<string, unknown> = { [put]: clash };
	const sent = serve(answers);
	const { unmount } = show(Brief, session);
	type("Mine");
	await settle();
	const told = await screen.findByRole("alert", { name: "Two people wrote here" });
	expect(told.textContent).toContain("Mine");
	expect(told.textContent).toContain("Theirs");
	answers[put] = withNotes("Mine");
	fireEvent.click(screen.getByRole("button", { name: "Keep mine" }));
	await settle();
	expect(changes(sent).at(-1)?.body).toEqual({ now: { notes: "Mine" }, was: { notes: "Theirs" } });
	unmount();
	clear();
	serve({ [put]: clash });
	show(Brief, session);
	type("Mine");
	await settle();
	fireEvent.click(await screen.findByRole("button", { name: "Take theirs" }));
	await settle();
	expect(notes().value).toBe("Theirs");
	expect(screen.queryByRole("alert")).toBeNull();
});

test("a refusal is said under the form, and the form keeps what was typed", async () => {
	const sent = serve({});
	show(Brief, session);
	fireEvent.click(screen.getByRole("button", { name: "+ Long par three" }));
	await settle();
	expect(changes(sent)).toHaveLength(1);
	expect(screen.getByRole("alert").textContent).toContain("Nothing at /api/sessions/7/brief.");
	expect((screen.getByLabelText("Name of the job") as HTMLInputElement).value).toBe("Long par three");
});

test("targets say why, how sure, by kind of head, and what is out of reach; an agreed brief is closed", () => {
	serve({});
	const told = structuredClone(session);
	const slot = told.bag.in_work?.slots[0];
	if (slot) {
		slot.by_type = [
			{ head_type: "fairway", roll_m: m(2), low_m: fromFar(178), high_m: fromFar(185) },
			{ head_type: "utility", roll_m: m(9), low_m: fromFar(173), high_m: fromFar(180) },
		];
		slot.targets.push({
			...(slot.targets[0] as (typeof slot.targets)[number]),
			quantity: "landing_deg",
			low: 46,
			high: null,
			out_of_reach: "Out of reach at this speed: 40° at the most.",
		});
	}
	show(Brief, { ...told, status: "agreed" });
	expect(screen.getByText(/fairway wood 178 to 185, utility iron 173 to 180/)).toBeTruthy();
	expect(screen.getAllByText("Known to ±2 yd from the shots hit.")).toHaveLength(2);
	expect(screen.getByText("Out of reach at this speed: 40° at the most.")).toBeTruthy();
	expect(screen.queryByRole("button", { name: "Change Carry" })).toBeNull();
	expect(screen.getByText("Agreed.")).toBeTruthy();
});

test("what is typed on before the screen has heard of the last saving is held against what was saved", async () => {
	const sent = serve({ "PATCH /api/sessions/7/brief": session });
	const sends = (now: string, was: string) =>
		keepTyping("brief:7", "/api/sessions/7/brief", { now: { notes: now }, was: { notes: was } }, 0);
	sends("Before", "");
	await waitFor(() => expect(typedOf("brief:7").sent).toBe(true));
	sends("Before, and more", "");
	await waitFor(() => expect(changes(sent)).toHaveLength(2));
	expect(changes(sent)[1]?.body).toEqual({ now: { notes: "Before, and more" }, was: { notes: "Before" } });
	await waitFor(() => expect(typedOf("brief:7").sent).toBe(true));
	sends("Third", "Somebody else's");
	await waitFor(() => expect(changes(sent)[2]?.body).toMatchObject({ was: { notes: "Somebody else's" } }));
});
