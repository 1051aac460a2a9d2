/** Pages that open with a code: the assistant's of a sole test, and the player's notes of the course. */
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import { m } from "../../tests/session";
import { changes, clear, draw, serve } from "../../tests/stage";
import ByCode from "./ByCode";

afterEach(clear);

const place = (key: string, name: string) => ({
	key,
	name,
	told: "Face square.",
	sand: key === "sand",
	target_m: m(36),
});
const next = (code: number) => ({ code, place: "pitch", duel: false, visit: 0 });

test("a page by a code asks for one, and says why where it opens nothing", async () => {
	window.history.replaceState(null, "", "/course");
	serve({ "GET /api/course/WRONG": Response.json({ title: "No page has this code." }, { status: 404 }) });
	draw(<ByCode />);
	fireEvent.change(screen.getByLabelText("Code on the fitter’s screen"), { target: { value: "wrong" } });
	fireEvent.click(screen.getByRole("button", { name: "Open" }));
	expect(await screen.findByText("No page has this code.")).toBeTruthy();
	expect(window.location.pathname).toBe("/course/WRONG");
	window.history.replaceState(null, "", "/");
});

test("the assistant’s page says whom to hand, tapes shafts, and closes where the test is over", async () => {
	const page = {
		revision: 3,
		customer: "Ada Field",
		lines: [
			{ code: 0, word: "Candle", club: "Thin 58", detail: "58°, 5° bounce", taped: false },
			{ code: 1, word: "Garden", club: "Wide 58", detail: "58°, 12° bounce", taped: true },
		],
		next: next(1),
		place: place("pitch", "Stock pitch"),
		following: next(0),
		shots: 3,
		more: 9,
	};
	window.history.replaceState(null, "", "/hand-out/ACDEFHJK");
	const [candle, garden] = page.lines as [(typeof page.lines)[0], (typeof page.lines)[0]];
	const sent = serve({
		"GET /api/hand-out/ACDEFHJK": page,
		"PUT /api/hand-out/ACDEFHJK": {
			...page,
			next: null,
			place: null,
			lines: [{ ...candle, taped: true }, garden],
		},
	});
	vi.stubGlobal(
		"EventSource",
		class {
			addEventListener() {}
			close() {}
		},
	);
	draw(<ByCode />);
	expect((await screen.findByTestId("hand")).textContent).toBe("Garden");
	expect(screen.getByText("Then Candle.")).toBeTruthy();
	expect(screen.getByRole("button", { name: /Garden.*on/, pressed: true })).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: /Candle/ }));
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ code: 0, taped: true }));
	expect(await screen.findByText(/All is handed/)).toBeTruthy();
	clear();
	const why = "This code opens nothing any more: the test is over, or there is a newer code.";
	serve({ "GET /api/hand-out/ACDEFHJK": Response.json({ title: why }, { status: 404 }) });
	draw(<ByCode />);
	expect((await screen.findByRole("alert")).textContent).toBe(why);
	window.history.replaceState(null, "", "/");
});

test("a note of the course needs the club and a word, or that it was picked up first; it is on the page at once", async () => {
	const page = {
		codes: [
			{ code: 0, name: "Candle" },
			{ code: 2, name: "Marble" },
		],
		places: [place("pitch", "Stock pitch"), place("sand", "Greenside sand")],
		notes: [],
		since: "2026-11-20",
	};
	const note = { code: 2, place: "sand", word: "", first: true, by_player: true, played_on: "2026-11-24" };
	window.history.replaceState(null, "", "/course/ACDEFHJK");
	const sent = serve({
		"GET /api/course/ACDEFHJK": page,
		"POST /api/course/ACDEFHJK": { ...page, notes: [note] },
	});
	draw(<ByCode />);
	const write = (await screen.findByRole("button", { name: "Write it down" })) as HTMLButtonElement;
	expect(write.disabled).toBe(true);
	fireEvent.click(screen.getByRole("button", { name: "Marble" }));
	expect(write.disabled).toBe(true);
	fireEvent.click(screen.getByRole("button", { name: "Picked up first" }));
	fireEvent.change(screen.getByLabelText("From which lie"), { target: { value: "sand" } });
	fireEvent.click(write);
	await waitFor(() =>
		expect(changes(sent)[0]?.body).toMatchObject({ code: 2, place: "sand", word: "", first: true }),
	);
	expect(await screen.findByText(/, greenside sand, picked up first/)).toBeTruthy();
	clear();
	// Decided meanwhile: what was written is not lost with the page.
	const why = "This is decided: nothing more can be noted.";
	const over = () => Response.json({ title: why, field: null }, { status: 404 });
	const answers: Record<string, unknown> = { "GET /api/course/ACDEFHJK": page };
	serve(answers);
	draw(<ByCode />);
	fireEvent.click(await screen.findByRole("button", { name: "Marble" }));
	fireEvent.change(screen.getByLabelText("What it did"), { target: { value: "Dug" } });
	answers["POST /api/course/ACDEFHJK"] = over();
	answers["GET /api/course/ACDEFHJK"] = over();
	fireEvent.click(screen.getByRole("button", { name: "Write it down" }));
	expect(await screen.findByText(`${why} Tell the fitter yourself: Dug`)).toBeTruthy();
	window.history.replaceState(null, "", "/");
});
