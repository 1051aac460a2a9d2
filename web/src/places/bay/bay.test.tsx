/** The Bay on its own: one key each, the shot in work, undo, what counts. */

import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { Session } from "../../api/client";
import { m, session, shot, verdict } from "../../tests/session";
import { changes, clear, draw, Place, serve, show } from "../../tests/stage";
import { fromFar } from "../../ui/units";
import { Bay } from "./Bay";

afterEach(clear);

const inHand: Session = { ...session, in_hand: 4 };
const ok = {
	"PUT /api/shots/3/strike": inHand,
	"PUT /api/shots/3/aside": inHand,
	"PUT /api/shots/3/counts": inHand,
	"PUT /api/shots/1/counts": inHand,
	"PUT /api/sessions/7/in-hand": inHand,
	"PUT /api/sessions/7/ask": inHand,
};
const press = (key: string) => fireEvent.keyDown(document.body, { key });

test("keys act on the last shot until another is touched", async () => {
	const sent = serve(ok);
	show(Bay, inHand);
	press("n");
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]).toMatchObject({ url: "/api/shots/3/strike", body: { strike: "thin" } });
	press("x"); // shot 3 is set aside already: it comes back
	await waitFor(() => expect(changes(sent)[1]?.body).toMatchObject({ aside: false }));
	fireEvent.click(screen.getByRole("button", { name: "Shot 1, carry 177" }));
	press("i");
	await waitFor(() => expect(changes(sent)).toHaveLength(3));
	expect(changes(sent)[2]).toEqual({
		method: "PUT",
		url: "/api/shots/1/counts",
		body: { misread: false, distance: true, line: false },
	});
	press("q");
	await waitFor(() => expect(changes(sent)[3]?.body).toMatchObject({ misread: true }));
});

/** Every command of the Bay on the shot in work: its key, its name, and what it sends. */
const COMMANDS: [string, string, string, object][] = [
	["t", "Toe", "strike", { strike: "toe" }],
	["l", "Heel", "strike", { strike: "heel" }],
	["n", "Thin", "strike", { strike: "thin" }],
	["y", "Fat", "strike", { strike: "fat" }],
	["x", "Set aside", "aside", { aside: true }],
	["q", "Misread", "counts", { misread: true }],
	["i", "No line", "counts", { line: false }],
	["u", "No distance", "counts", { distance: false }],
];

/** What is touched: on the pad or beside it, the rest behind More. */
async function touched(name: string | RegExp): Promise<HTMLElement> {
	const there = screen.queryByRole("button", { name });
	if (there) return there;
	fireEvent.click(screen.getByRole("button", { name: "⇧M More" }));
	return screen.findByRole("button", { name, hidden: true });
}

test.each(COMMANDS)(
	"%s, by key and by touch, acts on the newest shot, also one that came later",
	async (key, name, what, body) => {
		const sent = serve({ [`PUT /api/shots/11/${what}`]: inHand, [`PUT /api/shots/12/${what}`]: inHand });
		const place = (shots: Session["shots"]) => <Place place={Bay} session={{ ...inHand, shots }} />;
		const { rerender } = draw(place([shot(11, 4, 177)]));
		press(key);
		await waitFor(() => expect(changes(sent)).toHaveLength(1));
		rerender(place([shot(11, 4, 177), shot(12, 4, 181)]));
		const button = await touched(new RegExp(`^${key.toUpperCase()} ${name}$`));
		fireEvent.click(button);
		await waitFor(() => expect(changes(sent)).toHaveLength(2));
		press(key);
		await waitFor(() => expect(changes(sent)).toHaveLength(3));
		expect(changes(sent).map((each) => each.url)).toEqual([
			`/api/shots/11/${what}`,
			`/api/shots/12/${what}`,
			`/api/shots/12/${what}`,
		]);
		for (const each of changes(sent)) expect(each.body).toMatchObject(body);
	},
);

const TOUCHED: [string, string, string][] = [
	["w", "Shot wanted", "Shot wanted"],
	["s", "Setting", "4H 22°: new setting"],
	["m", "Move", "was hit with"],
];
test.each(TOUCHED)("%s opens its sheet by key and by touch", async (key, name, title) => {
	serve({});
	const builds = inHand.builds.map((each) =>
		each.id === 4 ? { ...each, settings_deg: [21, 22, 23] } : each,
	);
	const { unmount } = show(Bay, { ...inHand, builds });
	press(key);
	expect((await screen.findByRole("dialog", { hidden: true })).textContent).toContain(title);
	unmount();
	show(Bay, { ...inHand, builds });
	fireEvent.click(await touched(`${key.toUpperCase()} ${name}`));
	await waitFor(() => expect(screen.getByRole("dialog", { hidden: true }).textContent).toContain(title));
});

test("what was done here can be read", async () => {
	const trail = [{ at: "2026-11-28T10:00:00Z", sentence: "Rowan set shot 3 aside." }];
	serve({ "GET /api/sessions/7/acts": { undo: "", redo: "", trail } });
	show(Bay, inHand);
	fireEvent.click(screen.getByRole("button", { name: "What was done here" }));
	await waitFor(() =>
		expect(screen.getByRole("dialog", { hidden: true }).textContent).toContain("Rowan set shot 3 aside."),
	);
});

test("a shot whose club is not sure says why, and one key files it under the other or leaves it", async () => {
	const sent = serve({ "PUT /api/shots/12/build": inHand, "PUT /api/shots/12/club": inHand });
	const unsure = { ...shot(12, 4, 181), check_club: "hit 1.2 s after it was taken", instead: 5 };
	show(Bay, { ...inHand, shots: [shot(11, 4, 177), unsure] });
	expect(screen.getByText("Check the club:").parentElement?.textContent).toContain(
		"hit 1.2 s after it was taken",
	);
	press(".");
	await waitFor(() =>
		expect(changes(sent)[0]).toMatchObject({ url: "/api/shots/12/build", body: { build: 5 } }),
	);
	fireEvent.click(screen.getByRole("button", { name: ", It was A 4H 22°" }));
	await waitFor(() => expect(changes(sent)[1]?.url).toBe("/api/shots/12/club"));
	fireEvent.click(screen.getByRole("button", { name: "Shot 1, carry 177" }));
	expect(screen.queryByText("Check the club:")).toBeNull();
});

test("several shots, picked one by one or by their run, are tagged, set aside and moved in one act", async () => {
	const sent = serve({ "PUT /api/sessions/7/shots": inHand });
	const shots = [shot(1, 4, 177), shot(2, 4, 179), { ...shot(3, 4, 150), run: 2 }];
	show(Bay, { ...inHand, shots });
	press("6"); // the last one
	fireEvent.click(screen.getByRole("button", { name: "Shot 1, carry 177" }));
	expect(screen.getByText(/^2 selected:/)).not.toBeNull();
	press("x");
	await waitFor(() =>
		expect(changes(sent)[0]?.body).toEqual({ shots: [1, 3], aside: true, reason: "by the fitter" }),
	);
	expect(screen.queryByText(/selected:/)).toBeNull();
	press("7"); // the run of the first, which was touched last
	expect(screen.getByText(/^2 selected:/)).not.toBeNull();
	press("n");
	await waitFor(() => expect(changes(sent)[1]?.body).toEqual({ shots: [1, 2], strike: "thin" }));
	press("ArrowRight");
	press("6");
	press("m");
	fireEvent.click(await screen.findByRole("button", { name: "B U4 22°", hidden: true }));
	await waitFor(() => expect(changes(sent)[2]?.body).toEqual({ shots: [2], build: 5 }));
});

test("a letter takes a build in hand, and another shot is asked for on W", async () => {
	const sent = serve(ok);
	show(Bay, inHand);
	press("b");
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ build: 5 }));
	press("w");
	fireEvent.click(await screen.findByRole("button", { name: "fade", hidden: true }));
	await waitFor(() => expect(changes(sent)[1]?.body).toEqual({ protocol: "shaped", intent: "fade" }));
});

test("the last shot is large, says where it lies, and what is other about it", () => {
	serve({});
	const mine: Session = {
		...inHand,
		shots: [shot(1, 4, 177), shot(2, 4, 172, { line: false })],
		questions: { 2: "This one is 6 short of the others." },
		verdicts: [verdict()],
	};
	show(Bay, mine);
	expect(screen.getByTestId("last-carry").textContent).toBe("172");
	expect(screen.getByText("4 short of the window")).toBeTruthy();
	expect(screen.getByText("Odd: This one is 6 short of the others.")).toBeTruthy();
	expect(screen.getByRole("list", { name: "Shots of this build" }).textContent).toContain("no line");
});

test("the window is that of the build's own kind of head", () => {
	serve({});
	const wanted = { carry_m: { low: fromFar(180), high: fromFar(187) } };
	const builds = inHand.builds.map((each) => (each.id === 4 ? { ...each, wanted } : each));
	show(Bay, { ...inHand, builds, shots: [shot(1, 4, 178)] });
	expect(screen.getByText("2 short of the window")).toBeTruthy();
});

test("shots meant low, misread or without distance are no dots of the stock swing", () => {
	serve({});
	const mixed: Session = {
		...inHand,
		shots: [
			shot(1, 4, 177),
			shot(2, 4, 150, { intent: "low" }),
			shot(3, 4, 250, { misread: true }),
			shot(4, 4, 120, { distance: false }),
		],
	};
	const { container } = show(Bay, mixed);
	const row = screen.getByRole("list", { name: "Shots of this build" });
	expect([...row.querySelectorAll("li")].map((each) => each.textContent)).toEqual([
		expect.stringContaining("177"),
		expect.stringContaining("low"),
		expect.stringContaining("misread"),
		expect.stringContaining("no carry"),
	]);
	const gate = container.querySelector('[aria-label="Carries of A against the window"]');
	expect(gate?.querySelectorAll('line[stroke-linecap="round"]')).toHaveLength(1);
});

test("of many shots the newest stand there, and those before them when they are asked for, at last from the server", async () => {
	const many = Array.from({ length: 60 }, (_, at) => shot(at + 101, 4, 170 + (at % 9), { number: at + 101 }));
	const befores: (string | null)[] = [];
	serve({
		"GET /api/sessions/7/shots": (asked: URL) => {
			befores.push(asked.searchParams.get("before"));
			return { earlier: 0, shots: [shot(100, 4, 150, { number: 100 })] };
		},
	});
	show(Bay, { ...inHand, shots: many, earlier: 1 });
	const row = screen.getByRole("list", { name: "Shots of this build" });
	expect(row.querySelectorAll("[aria-pressed]")).toHaveLength(48);
	// Whoever goes back by keys sees where they are.
	fireEvent.click(row.querySelector("[aria-pressed]") as Element);
	press("arrowleft");
	expect(row.querySelectorAll("[aria-pressed]")).toHaveLength(49);
	fireEvent.click(screen.getByRole("button", { name: "11 before these" }));
	expect(row.querySelectorAll("[aria-pressed]")).toHaveLength(60);
	fireEvent.click(screen.getByRole("button", { name: "1 before these, of all clubs" }));
	await waitFor(() => expect(befores).toEqual(["101"]));
	serve({});
	fireEvent.click(screen.getByRole("button", { name: "1 before these, of all clubs" }));
	expect((await screen.findByRole("alert")).textContent).toContain("Nothing at /api/sessions/7/shots.");
});

test("without a build in hand it says so, and no key does harm", () => {
	const sent = serve({});
	show(Bay, { ...session, in_hand: null });
	expect(screen.getByText("Take a build in hand on the left, then hit.")).toBeTruthy();
	for (const key of "xnzmsqiu") press(key);
	expect(changes(sent)).toEqual([]);
});

test("another setting is another build, chosen within what the sleeve turns", async () => {
	const turning = session.builds.map((each) =>
		each.id === 4
			? { ...each, stated_loft_deg: 22, set_loft_deg: 22, settings_deg: [20.5, 21, 21.5, 22, 22.5, 23, 23.5] }
			: each,
	);
	const sent = serve({ "POST /api/builds/4/settings": inHand });
	show(Bay, { ...inHand, builds: turning });
	press("s");
	const sheet = await screen.findByRole("dialog", { hidden: true });
	const lofts = [...sheet.querySelectorAll("button.text-lg")] as HTMLButtonElement[];
	expect(lofts.map((each) => each.textContent)).toEqual([
		"20.5°",
		"21°",
		"21.5°",
		"22° now",
		"22.5°",
		"23°",
		"23.5°",
	]);
	expect(lofts[3]?.disabled).toBe(true);
	expect(sheet.textContent).toContain("screw is at the maker’s torque");
	fireEvent.click(lofts[6] as HTMLButtonElement);
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ set_loft_deg: 23.5 }));
});

test("a bonded head has no other setting", () => {
	const sent = serve({});
	show(Bay, inHand);
	press("s");
	expect(screen.queryByRole("dialog", { hidden: true })).toBeNull();
	expect(changes(sent)).toEqual([]);
});

test("a shot is filed under the club it was hit with", async () => {
	const sent = serve({ "PUT /api/shots/2/build": inHand });
	show(Bay, inHand);
	fireEvent.click(screen.getByRole("button", { name: "Shot 2, carry 179" }));
	press("m");
	const sheet = await screen.findByRole("dialog", { hidden: true });
	expect(sheet.textContent).toContain("Shot 179 was hit with");
	const names = [...sheet.querySelectorAll("li button")] as HTMLButtonElement[];
	expect(names.map((each) => [each.textContent?.trim(), each.disabled])).toEqual([
		["5i", false],
		["5W", false],
		["A 4H 22°", true],
		["B U4 22°", false],
	]);
	fireEvent.click(names[3] as HTMLButtonElement);
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ build: 5 }));
});

test("the stand says of each build how sure its carry is, and own clubs come in hand on request", async () => {
	const sent = serve(ok);
	const two = [verdict({ settled: false, more: 3, half_width_m: m(4) })];
	const open = session.builds.map((each) =>
		each.id === 4 ? { ...each, settled: false, set_aside: 1 } : each,
	);
	show(Bay, { ...inHand, builds: open, verdicts: two });
	const [a, b] = ["4H 22°", "U4 22°"].map((name) => screen.getByRole("button", { name: new RegExp(name) }));
	expect(a?.textContent).toContain("5 kept, 1 aside");
	expect(a?.textContent).toContain("3 more settles");
	expect(a?.getAttribute("aria-pressed")).toBe("true");
	fireEvent.click(b as HTMLElement);
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ build: 5 }));
	fireEvent.click(screen.getByRole("button", { name: "The player’s own clubs" }));
	expect(screen.queryByRole("button", { name: /^Pt/ })).toBeNull();
	fireEvent.click(screen.getByRole("button", { name: "5i162" }));
	await waitFor(() => expect(changes(sent)[1]?.body).toEqual({ build: 1 }));
});

test("the stand-in hits what is asked and is stopped; while it hits it is not started again", async () => {
	const nobody = { ...inHand, customer: { ...inHand.customer, try_out: true } };
	const sent = serve({ "POST /api/bays/1/stand-in": {}, "DELETE /api/bays/1/stand-in": {} });
	const { unmount } = show(Bay, nobody);
	fireEvent.click(screen.getByRole("button", { name: "Hit 6" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ shots: 6, every_s: 1.5 }));
	unmount();
	// Never among the shots of a real player.
	const real = show(Bay, inHand);
	expect(screen.queryByRole("button", { name: "Hit 6" })).toBeNull();
	real.unmount();
	const again = serve({ "GET /api/bays/1/stand-in": { hitting: true }, "DELETE /api/bays/1/stand-in": {} });
	show(Bay, nobody);
	await screen.findByText("Stand-in hitting");
	expect((screen.getByRole("button", { name: "Hit 1" }) as HTMLButtonElement).disabled).toBe(true);
	fireEvent.click(screen.getByRole("button", { name: "Stop" }));
	await waitFor(() => expect(changes(again)[0]?.method).toBe("DELETE"));
});

test("when the bay serves another customer both the name and the way back are said", () => {
	serve({});
	const { unmount } = show(Bay, { ...inHand, bay_is_here: false, bay_serves: "Bo Hill" });
	expect(screen.getByText(/Bay 1 serves Bo Hill now: shots go there\. Take a build in hand/)).toBeTruthy();
	unmount();
	show(Bay, { ...inHand, bay_is_here: false, bay_serves: "" });
	expect(screen.getByText(/Bay 1 serves nobody: shots wait in its tray\. Take a build in hand/)).toBeTruthy();
});

test("shots of the tray are filed under the build in hand by one act, or are nobody's", async () => {
	const waits = [
		{ id: 31, at: "2026-11-25T10:00:00Z", readings: { carry_m: fromFar(171) } },
		{ id: 32, at: "2026-11-25T10:01:00Z", readings: { ball_speed_mps: 54 } },
	];
	const none = { waiting: [], put_away: 0 };
	const answers = {
		"GET /api/bays/1/tray": { waiting: waits, put_away: 0 },
		"POST /api/bays/1/tray": { waiting: waits.slice(1), put_away: 0 },
		"PUT /api/bays/1/tray": { waiting: [], put_away: 2 },
		"DELETE /api/bays/1/tray": { waiting: waits, put_away: 0 },
	};
	const sent = serve(answers);
	const { unmount } = show(Bay, inHand);
	const tray = await screen.findByRole("region", { name: "Tray of the bay" });
	expect(tray.textContent).toContain("2 shots came while Bay 1 served nobody");
	expect(tray.textContent).toContain("171 yd120.8 mph");
	fireEvent.click(screen.getByRole("checkbox", { name: "120.8 mph" }));
	fireEvent.click(screen.getByRole("button", { name: "These were hit with A" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ session: 7, build: 4, shots: [31] }));
	await screen.findByText("1 shot came while Bay 1 served nobody");
	unmount();
	serve({ ...answers, "POST /api/bays/1/tray": none });
	show(Bay, { ...session, in_hand: null });
	const file = await screen.findByRole("button", { name: "Take the build they were hit with in hand" });
	expect((file as HTMLButtonElement).disabled).toBe(true);
	fireEvent.click(screen.getByRole("button", { name: "They are nobody’s" }));
	await waitFor(() => expect(screen.queryByRole("region", { name: "Tray of the bay" })).toBeNull());
	fireEvent.click(screen.getByRole("button", { name: "2 shots were put away as nobody’s: bring back" }));
	expect(await screen.findByRole("region", { name: "Tray of the bay" })).toBeTruthy();
});

test("a tray that someone else has filed meanwhile says so, and offers nothing more to file", async () => {
	const shot = { id: 31, at: "2026-11-25T10:00:00Z", readings: { carry_m: 150 } };
	const trays = [{ waiting: [shot], put_away: 0 }];
	const title = "Some of these shots were filed or put away already. Look at the tray again.";
	serve({
		"GET /api/bays/1/tray": () => trays.shift() ?? { waiting: [], put_away: 0 },
		"POST /api/bays/1/tray": Response.json({ title, field: null }, { status: 409 }),
	});
	show(Bay, inHand);
	fireEvent.click(await screen.findByRole("button", { name: "They were hit with A" }));
	expect((await screen.findByRole("alert")).textContent).toContain("already");
	await waitFor(() => expect(screen.queryByRole("button", { name: "They were hit with A" })).toBeNull());
	expect(screen.queryByText(/^0 shots/)).toBeNull();
});

test("the run bar says what holds now: swing, ball and wind, each changed by one key or touch", async () => {
	const sent = serve({ "PUT /api/sessions/7/run": inHand, "PUT /api/sessions/7/ask": inHand });
	show(Bay, { ...inHand, indoor: false, wind_mps: 4, wind_from_deg: 90 });
	expect(screen.getByTestId("run-bar").textContent).toContain("9 mph from the right");
	press("-");
	press("=");
	await waitFor(() =>
		expect(changes(sent).map((each) => each.body)).toEqual([
			{ length: "three_quarter" },
			{ struck_ball: "hard" },
		]),
	);
	fireEvent.click(screen.getByRole("button", { name: /^Next: / }));
	fireEvent.change(screen.getByLabelText("How long the next swings are"), { target: { value: "9:00" } });
	await waitFor(() => expect(changes(sent)[2]?.body).toEqual({ length: "9:00" }));
	press(";");
	await waitFor(() => expect(changes(sent)[3]?.body).toEqual({ protocol: "shaped", intent: "low" }));
	press("/");
	const field = (label: string) => screen.getByLabelText(label, { selector: "input, select" });
	fireEvent.change(field("Wind in mph"), { target: { value: "11,2" } });
	fireEvent.change(field("Where the wind comes from"), { target: { value: "180" } });
	fireEvent.change(field("Height of the tee in inches"), { target: { value: "1" } });
	fireEvent.click(screen.getByRole("button", { name: "From the next shot on", hidden: true }));
	await waitFor(() =>
		expect(changes(sent)[4]?.body).toEqual({
			wind_mps: expect.closeTo(5.007, 2),
			wind_from_deg: 180,
			tee_mm: 25,
			temperature_c: inHand.temperature_c,
			gripped_in: 0,
		}),
	);
});

test("a shot that is kept apart says why, and one hit in wind what it carried as it was hit", () => {
	serve({});
	const half = { ...shot(11, 4, 90), apart: "half swing", counts: false };
	const windy = { ...shot(12, 4, 181), as_hit_m: fromFar(169) };
	show(Bay, { ...inHand, shots: [half, windy] });
	expect(screen.getByRole("button", { name: /^Shot 1/ }).textContent).toContain("half swing");
	expect(screen.getByText("as hit 169, without the wind 181")).not.toBeNull();
});

test("shots are typed by pad or keys: with the carry alone three touches a ball, else figure by figure", async () => {
	const sent = serve({ "POST /api/sessions/7/shots": inHand });
	show(Bay, inHand);
	fireEvent.keyDown(document.body, { key: "T", shiftKey: true });
	const touch = (name: string) => fireEvent.click(screen.getByRole("button", { name, hidden: true }));
	for (const digit of "168") touch(digit);
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toEqual({ build: 4, carry_m: 168 * 0.9144 });
	touch("Side");
	touch("Ball speed");
	for (const digit of "84") touch(digit);
	touch("Next");
	touch("6");
	touch("Right of the line");
	touch("Next");
	const entry = screen.getByLabelText("Ball speed in mph");
	fireEvent.change(entry, { target: { value: "12x" } });
	touch("Take it in");
	expect(await screen.findByText(/“12x” is no number/)).toBeTruthy();
	touch("Type the ball speed");
	fireEvent.change(screen.getByLabelText("Ball speed in mph"), { target: { value: "90.5" } });
	touch("Take it in");
	await waitFor(() => expect(changes(sent)).toHaveLength(2));
	expect(changes(sent)[1]?.body).toEqual({
		build: 4,
		carry_m: 84 * 0.9144,
		offline_m: -6 * 0.9144,
		ball_speed_mps: 90.5 * 0.44704,
	});
});

test("what is typed belongs to the club the pad was opened for, whatever is taken in hand meanwhile", async () => {
	const sent = serve({ "POST /api/sessions/7/shots": inHand });
	const { rerender } = show(Bay, inHand);
	fireEvent.keyDown(document.body, { key: "T", shiftKey: true });
	rerender(<Place place={Bay} session={{ ...inHand, in_hand: 5 }} />);
	for (const name of "168") fireEvent.click(screen.getByRole("button", { name, hidden: true }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toMatchObject({ build: 4 });
});

test("a typed shot that is refused is not called typed, and stays to be put right", async () => {
	serve({
		"POST /api/sessions/7/shots": () =>
			Response.json({ title: "Carry reads 168, which no golf shot has.", field: "carry_m" }, { status: 400 }),
	});
	show(Bay, inHand);
	fireEvent.keyDown(document.body, { key: "T", shiftKey: true });
	for (const name of "168") fireEvent.click(screen.getByRole("button", { name, hidden: true }));
	await waitFor(() => expect(screen.getByLabelText("Carry in yd")).toHaveProperty("value", "168"));
	const pad = screen.getByRole("dialog", { hidden: true });
	expect(pad.textContent).not.toContain("Typed:");
	// Refused while the next one is being typed: neither is lost, and it is said which was not taken in.
	fireEvent.change(screen.getByLabelText("Carry in yd"), { target: { value: "169" } });
	fireEvent.click(screen.getByRole("button", { name: "1", hidden: true }));
	await waitFor(() => expect(pad.textContent).toContain("Not taken in: 169, 168."));
	expect(screen.getByLabelText("Carry in yd")).toHaveProperty("value", "1");
});
