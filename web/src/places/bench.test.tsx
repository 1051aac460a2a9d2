/** The Bench and the Handover on their own: the choice, the verdicts, is one better, the decision as it is sent. */
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { Bench as BenchPicture, Choice, Handover as HandoverPicture, Session } from "../api/client";
import { carryTarget, session, verdict, YD } from "../testing/session";
import { changes, clear, serve, show } from "../testing/stage";
import { Bench } from "./Bench";
import { Handover } from "./Handover";

afterEach(clear);

const bench: BenchPicture = {
	lines: [],
	neighbours: [],
	comparisons: [
		{
			metric: "jobs",
			better: "A",
			worse: "B",
			by: 0.2,
			by_equal: null,
			chance: 0.8,
			settled: false,
			more: 4,
			sentence: "A does 0.2 more of the jobs a round than B: not settled.",
		},
		{
			metric: "carry_m",
			better: "B",
			worse: "A",
			by: 5,
			by_equal: 4,
			chance: 0.97,
			settled: true,
			more: 0,
			sentence: "B carries 5 yd further than A: settled.",
		},
	],
	choice: {
		letter: "A",
		runner_up: "B",
		sentence: "A makes most of the jobs.",
		settled: false,
		chance_best: 0.7,
		more_with: "B",
		more: 4,
	},
};
const judged: Session = {
	...session,
	verdicts: [
		verdict({
			against: "3 in 10 stop short.",
			played: [
				{
					job: "Second",
					uses_per_round: 1,
					success: 0.72,
					low: 0.6,
					high: 0.8,
					short: 0.2,
					long: 0,
					left: 0,
					right: 0.1,
				},
			],
		}),
		verdict({
			build: 5,
			letter: "B",
			kind: "one_turn",
			headline: "One turn away: 1° up",
			chance: 0.004,
			slot: 0,
		}),
	],
	bag: { ...session.bag, stand: ["B is 1.5 in longer than A."] },
};
const answers = { "GET /api/sessions/7/bench": bench };

test("the choice comes first, with what would settle it, then each verdict with its chance and its jobs", async () => {
	serve(answers);
	show(Bench, judged);
	expect(await screen.findByText("A makes most of the jobs.")).toBeTruthy();
	expect(screen.getByText("Not settled: about 4 more with B.")).toBeTruthy();
	expect(screen.getByText("83%")).toBeTruthy();
	expect(screen.getByText("under 1%")).toBeTruthy();
	expect(screen.getByRole("list", { name: "Jobs played out with A" }).textContent).toContain("72%");
	expect(screen.getByText("3 in 10 stop short.")).toBeTruthy();
	expect(screen.getByText("B is 1.5 in longer than A.")).toBeTruthy();
});

test("is one really better is asked of one thing at a time, of those that can be told", async () => {
	serve(answers);
	show(Bench, judged);
	expect(await screen.findByText(/0.2 more of the jobs a round/)).toBeTruthy();
	expect(screen.queryByText(/carries 5 yd further/)).toBeNull();
	fireEvent.click(screen.getByRole("button", { name: "Further" }));
	expect(screen.getByText(/carries 5 yd further/)).toBeTruthy();
	expect(screen.queryByRole("button", { name: "Straighter" })).toBeNull();
});

test("each build stands against the window it is judged by", async () => {
	serve(answers);
	const second = structuredClone(judged);
	const slot = second.bag.plan?.slots[0];
	if (!slot) throw new Error("no slot");
	const target = { ...carryTarget, low: 190 * YD, high: 197 * YD };
	second.bag.plan?.slots.push({ ...slot, index: 1, targets: [target] });
	second.builds = second.builds.map((each) => (each.letter === "B" ? { ...each, carry_m: 193 * YD } : each));
	second.builds = second.builds.map((each) => ({ ...each, averages: { carry_m: each.carry_m ?? 0 } }));
	second.verdicts = [verdict({ build: 4, slot: 0 }), verdict({ build: 5, letter: "B", slot: 1 })];
	show(Bench, second);
	const row = (await screen.findByText(/^Carry, yd/)).closest("tr") as HTMLElement;
	expect(row.textContent).toContain("each by its own");
	const bands = [...row.querySelectorAll("svg rect")].map((each) => Number(each.getAttribute("x")));
	expect(bands).toHaveLength(2);
	expect(bands[1]).toBeGreaterThan(bands[0] ?? 0);
});

test("the player's word on a build is sent as it is chosen", async () => {
	const sent = serve({ ...answers, "PUT /api/builds/5": judged });
	show(Bench, judged);
	fireEvent.change(screen.getByLabelText("What the player says of B"), { target: { value: "vetoed" } });
	await waitFor(() =>
		expect(changes(sent)).toEqual([{ method: "PUT", url: "/api/builds/5", body: { liking: "vetoed" } }]),
	);
});

const side = { clubs: [], between: [], headline: "26 yd uncovered between 5i and 5W.", club_count: 12 };
const choice = (build: number | null, letter: string, name: string, more: Partial<Choice> = {}): Choice => ({
	build,
	letter,
	name,
	headline: "Fills the slot",
	why: "",
	reasons: `${name} fills it.`,
	lost: [],
	after: { ...side, headline: "The space is closed." },
	sheet: [{ label: "Head", value: "Brackwater Skerry 4H" }],
	price: "279.00",
	prediction: "",
	...more,
});
const handover: HandoverPicture = {
	session: 7,
	customer: "Ada Field",
	shop: "One",
	held_on: "2026-11-24",
	rule_words: "roll-out meets carry",
	before: side,
	choices: [
		choice(4, "A", "4H 22°", { lost: [{ letter: "B", name: "U4 22°", why: "Lands too flat." }] }),
		choice(5, "B", "U4 22°", { prediction: "Not settled: more shots would make this surer." }),
		choice(null, "", "Keep what is there", { sheet: [], price: null }),
	],
	suggested: 4,
	suggestion: "Most successful shots a round.",
	agreed: null,
	earlier: [],
	cautions: ["Fourteen clubs at most in play."],
};

test("the decision goes out with its reasons, why the others lost, and the check a year on", async () => {
	const sent = serve({ "GET /api/sessions/7/handover": handover, "POST /api/sessions/7/handover": handover });
	show(Handover, judged);
	expect(((await screen.findByRole("radio", { name: /4H/ })) as HTMLInputElement).checked).toBe(true);
	fireEvent.change(screen.getByLabelText("Why B U4 22° lost"), {
		target: { value: "Too flat for the par three." },
	});
	fireEvent.change(screen.getByLabelText("Reasons"), { target: { value: "It holds." } });
	fireEvent.click(screen.getByRole("button", { name: "Agree" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toEqual({
		build: 4,
		reasons: "It holds.",
		lost: [{ letter: "B", name: "U4 22°", why: "Too flat for the par three." }],
		next_check: "2027-11-24",
	});
});

test("another choice brings its own reasons and its doubt; keeping buys nothing", async () => {
	const sent = serve({ "GET /api/sessions/7/handover": handover, "POST /api/sessions/7/handover": handover });
	show(Handover, judged);
	fireEvent.click(await screen.findByRole("radio", { name: /U4/ }));
	expect((screen.getByLabelText("Reasons") as HTMLTextAreaElement).value).toBe("U4 22° fills it.");
	expect(screen.getByText(/more shots would make this surer/)).toBeTruthy();
	fireEvent.click(screen.getByRole("radio", { name: /Keep what is there/ }));
	expect(screen.queryByText(/Build sheet/)).toBeNull();
	fireEvent.click(screen.getByRole("button", { name: "Agree" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toMatchObject({ build: null, lost: [] }));
});

test("what is agreed is shown as it was, with no way to change it", async () => {
	const agreed = {
		revision: 1,
		decision: "buy" as const,
		agreed_at: "2026-11-24T10:00:00Z",
		agreed_by: "Rowan Ashby",
		reasons: "It holds the long par three.",
		next_check: "2027-11-24",
		runner_up: "B U4 22°",
		choice: choice(4, "A", "4H 22°"),
		before: side,
	};
	serve({ "GET /api/sessions/7/handover": { ...handover, agreed } });
	show(Handover, { ...judged, status: "agreed" });
	expect(await screen.findByText("It holds the long par three.")).toBeTruthy();
	expect(screen.getByText(/✓ Agreed 24 November 2026/)).toBeTruthy();
	expect(screen.queryByRole("button", { name: "Agree" })).toBeNull();
	expect(screen.getByRole("link", { name: "Page for the customer" }).getAttribute("href")).toBe(
		"/sessions/7/page",
	);
});

test("nothing on the stand is said, with the way to the bag", () => {
	serve({});
	show(Bench, { ...session, builds: session.builds.filter((each) => !each.letter) });
	expect(screen.getByText("Nothing to compare yet")).toBeTruthy();
	expect(screen.getByRole("link", { name: "To the bag" }).getAttribute("href")).toBe("/sessions/7/bag");
});
