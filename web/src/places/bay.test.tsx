/** The Bay on its own: one key each, the shot in work, undo, what counts. */
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { Session } from "../api/client";
import { session, shot, verdict, YD } from "../tests/session";
import { changes, clear, serve, show } from "../tests/stage";
import { Bay } from "./Bay";

afterEach(clear);

const inHand: Session = { ...session, in_hand: 4 };
const ok = {
	"PUT /api/shots/3/strike": inHand,
	"PUT /api/shots/3/aside": inHand,
	"PUT /api/shots/3/counts": inHand,
	"PUT /api/shots/1/counts": inHand,
	"PUT /api/sessions/7/in-hand": inHand,
	"PUT /api/sessions/7/intent": inHand,
};
const press = (key: string) => fireEvent.keyDown(document.body, { key });

test("keys act on the last shot until another is touched, and undo sends back what was", async () => {
	const sent = serve(ok);
	show(Bay, inHand);
	press("n");
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]).toMatchObject({ url: "/api/shots/3/strike", body: { strike: "thin" } });
	press("z");
	await waitFor(() => expect(changes(sent)).toHaveLength(2));
	expect(changes(sent)[1]).toMatchObject({ url: "/api/shots/3/strike", body: { strike: "" } });
	press("x"); // shot 3 is set aside already: it comes back
	await waitFor(() => expect(changes(sent)[2]?.body).toMatchObject({ aside: false }));
	fireEvent.click(screen.getByRole("button", { name: "Shot 1, carry 177" }));
	press("i");
	await waitFor(() => expect(changes(sent)).toHaveLength(4));
	expect(changes(sent)[3]).toEqual({
		method: "PUT",
		url: "/api/shots/1/counts",
		body: { misread: false, distance: true, line: false },
	});
	press("q");
	await waitFor(() => expect(changes(sent)[4]?.body).toMatchObject({ misread: true }));
});

test("a letter takes a build in hand, and another shot is asked for on W", async () => {
	const sent = serve(ok);
	show(Bay, inHand);
	press("b");
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ build: 5 }));
	press("w");
	fireEvent.click(await screen.findByRole("button", { name: "Fade", hidden: true }));
	await waitFor(() => expect(changes(sent)[1]?.body).toEqual({ intent: "fade" }));
});

test("the last shot is large, says where it lies, and what is other about it", () => {
	serve({});
	const mine: Session = {
		...inHand,
		shots: [
			shot(1, 4, 177),
			shot(2, 4, 172, { question: "This one is 6 short of the others.", line: false }),
		],
		verdicts: [verdict()],
	};
	show(Bay, mine);
	expect(screen.getByTestId("last-carry").textContent).toBe("172");
	expect(screen.getByText("4 short of the window")).toBeTruthy();
	expect(screen.getByText("Odd: This one is 6 short of the others.")).toBeTruthy();
	expect(screen.getByRole("list", { name: "Shots of this build" }).textContent).toContain("no line");
});

test("the window is that of the build's own kind of head, where its verdict has one", () => {
	serve({});
	const own = verdict({
		facts: [
			{
				quantity: "carry_m",
				label: "Carry",
				mean: 178 * YD,
				low: 180 * YD,
				high: 187 * YD,
				good: false,
				source: "measured",
			},
		],
	});
	show(Bay, { ...inHand, shots: [shot(1, 4, 178)], verdicts: [own] });
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

test("without a build in hand it says so, and no key does harm", () => {
	const sent = serve({});
	show(Bay, { ...session, in_hand: null });
	expect(screen.getByText("Take a build in hand on the left, then hit.")).toBeTruthy();
	for (const key of "xnzmsqiu") press(key);
	expect(changes(sent)).toEqual([]);
});
