/** What the places make of a session: yards for metres, one span, and requests in canonical units. */

import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, test, vi } from "vitest";
import { signedInAs } from "../api/outbox";
import { CommandProvider } from "../commands/commands";
import { FlightBoard } from "../instruments/flight-board/FlightBoard";
import { Targets } from "../places/brief/Targets";
import { boardClub } from "../session/flights";
import { rungs } from "../session/ladder";
import { mapProps, readoutOf, sideProps } from "../session/maps";
import { carriesOf, windowsOf } from "../session/select";
import { session, shot } from "../tests/session";
import { fromFar } from "../ui/units";

afterEach(() => {
	cleanup();
	vi.unstubAllGlobals();
});

describe("from the session to the instruments", () => {
	test("the map has the bag in ink, the hole in work, the window and a ring for each candidate", () => {
		const map = mapProps(session);
		expect(map.clubs.map((club) => [club.name, Math.round(club.carry), Math.round(club.total)])).toEqual([
			["5i", 162, 170],
			["5W", 196, 204],
		]);
		expect(map.holes).toMatchObject([
			{ id: 1, yards: 26, inWork: true, label: "26 yd uncovered between 5i and 5W" },
		]);
		expect(map.windows.map((window) => [Math.round(window.low), Math.round(window.high)])).toEqual([
			[176, 183],
		]);
		expect(map.rings.map((ring) => [ring.letter, ring.shots.map(Math.round)])).toEqual([
			["A", [177, 179]],
			["B", []],
		]);
		expect(map.readout).toMatchObject({ big: "26", unit: "yd uncovered", warn: true });
	});
	test("shots set aside are not dots, and an overruled window is the one that is drawn", () => {
		expect(carriesOf(session, 4).map(Math.round)).toEqual([177, 179]);
		const mine = structuredClone(session);
		const target = mine.bag.in_work?.slots[0]?.targets[0];
		if (target) target.low = fromFar(170);
		expect(Math.round(windowsOf(mine)[0]?.low ?? 0)).toBe(170);
	});
	test("the ladder runs from the longest club to the shortest, the uncarried last, with the step above", () => {
		const ladder = rungs(session);
		expect(ladder.map((rung) => rung.name)).toEqual(["5W", "5i", "Pt"]);
		expect(ladder.map((rung) => rung.step && Math.round(rung.step))).toEqual([34, null, null]);
		expect(ladder[0]).toMatchObject({ hole: true, fixed: true });
	});
	test("without a slot the readout says what to do", () => {
		const bare = {
			...session.bag,
			in_work: null,
			order: [],
			headline: "Import the baseline or type carries.",
		};
		expect(readoutOf(bare, String)).toMatchObject({
			big: "",
			warn: false,
			lines: ["Import the baseline or type carries."],
		});
	});
	test("the bag after is drawn with the new club in its letter", () => {
		const after = sideProps(
			{
				clubs: [
					{
						id: 1,
						letter: "",
						name: "5i",
						head_type: "iron",
						loft_deg: 26,
						carry_m: fromFar(162),
						total_m: fromFar(170),
						new: false,
						expected: false,
					},
					{
						id: 4,
						letter: "A",
						name: "4H 22°",
						head_type: "hybrid",
						loft_deg: 22,
						carry_m: fromFar(178),
						total_m: fromFar(184),
						new: true,
						expected: false,
					},
				],
				gaps: [],
				headline: "",
				club_count: 2,
			},
			"Bag after",
			"roll-out meets carry",
		);
		expect(after.clubs.map((club) => club.letter)).toEqual(["", "A"]);
		expect(after.readout).toMatchObject({ big: "0", warn: false, over: "2 clubs, A 4H 22° in" });
	});
});

test("the landing zone is yard for yard, right to the right and further up", () => {
	const line = {
		build: 4,
		letter: "A",
		name: "4H",
		carry_m: fromFar(178),
		total_m: fromFar(184),
		offline_m: fromFar(2),
		path: [
			[0, 0],
			[100, 25],
			[fromFar(178), 0],
		],
		pattern: null,
	};
	const wide = structuredClone(session);
	wide.shots = [
		shot(1, 4, 170, { readings: { carry_m: fromFar(170), offline_m: -fromFar(10) } }),
		shot(2, 4, 180, { readings: { carry_m: fromFar(180), offline_m: fromFar(10) } }),
	];
	render(<FlightBoard clubs={[boardClub(wide, line)]} neighbours={[]} windows={[]} />);
	const dots = [...screen.getByRole("img", { name: /Landing zone/ }).querySelectorAll('circle[r="3.4"]')];
	const [left, right] = dots.map((dot) => [Number(dot.getAttribute("cx")), Number(dot.getAttribute("cy"))]);
	const across = (right?.[0] ?? 0) - (left?.[0] ?? 0);
	const along = (left?.[1] ?? 0) - (right?.[1] ?? 0);
	expect(across).toBeGreaterThan(0);
	expect(across / 20).toBeCloseTo(along / 10);
});

test("a target typed in yards travels in metres, and a refusal is the caller's to show", async () => {
	const sent: { url: string; body: unknown }[] = [];
	vi.stubGlobal("fetch", async (request: Request) => {
		sent.push({ url: new URL(request.url).pathname, body: await request.json() });
		return Response.json({ title: "The window is the wrong way round.", field: "low" }, { status: 400 });
	});
	signedInAs("fitter");
	let said = "";
	const act = (go: () => Promise<unknown>) => void go().catch((error: Error) => (said = error.message));
	render(
		<CommandProvider>
			<Targets session={session} act={act} busy={false} />
		</CommandProvider>,
	);
	fireEvent.click(screen.getByRole("button", { name: "Change Carry" }));
	expect((screen.getByLabelText("Carry from") as HTMLInputElement).value).toBe("176");
	fireEvent.change(screen.getByLabelText("Carry from"), { target: { value: "150,5" } });
	fireEvent.change(screen.getByLabelText("Carry to"), { target: { value: "" } });
	fireEvent.click(screen.getByRole("button", { name: "Set" }));
	await waitFor(() => expect(said).toBe("The window is the wrong way round."));
	expect(sent[0]?.url).toBe("/api/sessions/7/targets");
	expect(sent[0]?.body).toEqual({ slot: 0, quantity: "carry_m", low: fromFar(150.5), high: null });
});
