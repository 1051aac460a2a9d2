/** The Handover on its own: one club or several, what leaves the bag, the decision as it is sent and as it stays. */
import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { Handover as HandoverAnswer, Session } from "../../api/client";
import { A, agreed, B, choice, handover } from "../../tests/handover";
import { session } from "../../tests/session";
import { changes, clear, serve, show } from "../../tests/stage";
import { Handover } from "./Handover";

afterEach(clear);

const URL_OF = "/api/sessions/7/handover";

/** The server: what it drafts follows what it is asked for. */
function open(picture: HandoverAnswer = handover, of: Session = session) {
	const sent = serve({
		[`GET ${URL_OF}`]: picture,
		[`POST ${URL_OF}`]: picture,
		[`GET ${URL_OF}/draft`]: (address: URL) => {
			const builds = address.searchParams.getAll("builds").map(Number);
			const dropped = address.searchParams.getAll("dropped").map(Number);
			const names = dropped.map((id) => of.builds.find((each) => each.id === id)?.name ?? "");
			return choice(
				[A, B].filter((each) => builds.includes(each.build)),
				names,
				Math.max(0, builds.length - 1 - dropped.length),
			);
		},
	});
	show(Handover, of);
	return sent;
}

const reasons = () => (screen.getByLabelText("Reasons") as HTMLTextAreaElement).value;
const yes = () => fireEvent.click(screen.getByRole("button", { name: "Yes, that is it", hidden: true }));
const agree = () => {
	fireEvent.click(screen.getByRole("button", { name: "Agree" }));
	yes();
};

test("the decision goes out with its reasons, why the others lost, and the check a year on", async () => {
	const sent = open();
	expect(((await screen.findByRole("radio", { name: /4H/ })) as HTMLInputElement).checked).toBe(true);
	fireEvent.change(screen.getByLabelText("Why B U4 22° lost"), { target: { value: "Too flat." } });
	fireEvent.change(screen.getByLabelText("Reasons"), { target: { value: "It holds." } });
	agree();
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toEqual({
		builds: [4],
		dropped: [],
		set: null,
		reasons: "It holds.",
		lost: [{ letter: "B", name: "U4 22°", why: "Too flat." }],
		next_check: "2027-11-24",
		correction: "",
	});
});

test("for one place another build takes the first one's, with its own reasons and doubt", async () => {
	open();
	fireEvent.click(await screen.findByRole("radio", { name: /U4/ }));
	await waitFor(() => expect(reasons()).toBe("B in."));
	expect(screen.getByText(/more shots would make this surer/)).toBeTruthy();
	expect(screen.getByLabelText("Why A 4H 22° lost")).toBeTruthy();
});

test("what is written while the bag of another choice is still worked out is kept", async () => {
	let answer: (drafted: unknown) => void = () => undefined;
	const sent = serve({
		[`GET ${URL_OF}`]: handover,
		[`POST ${URL_OF}`]: handover,
		[`GET ${URL_OF}/draft`]: new Promise((done) => {
			answer = done;
		}),
	});
	show(Handover, session);
	fireEvent.click(await screen.findByRole("radio", { name: /U4/ }));
	fireEvent.change(screen.getByLabelText("Reasons"), { target: { value: "She likes to look down at it." } });
	answer(choice([B]));
	expect(await screen.findByLabelText("Why A 4H 22° lost")).toBeTruthy();
	expect(reasons()).toBe("She likes to look down at it.");
	agree();
	await waitFor(() => expect(changes(sent)[0]?.body).toMatchObject({ builds: [5], reasons: reasons() }));
});

test("keeping buys nothing", async () => {
	const sent = open();
	fireEvent.click(await screen.findByRole("radio", { name: /Keep what is there/ }));
	await waitFor(() => expect(screen.queryByText(/Build sheet/)).toBeNull());
	agree();
	await waitFor(() => expect(changes(sent)[0]?.body).toMatchObject({ builds: [], dropped: [] }));
});

test("for two places two builds go in together, and what is too many is left out", async () => {
	const sent = open(handover, { ...session, clubs_to_place: 2 });
	fireEvent.click(await screen.findByRole("checkbox", { name: /U4/ }));
	expect(await screen.findByText(/1 too many/)).toBeTruthy();
	expect(screen.getByText("Together").textContent).toBe("Together £558");
	expect(screen.getAllByRole("heading", { name: /Build sheet/ })).toHaveLength(2);
	expect(screen.getByText("12 clubs, A and B in")).toBeTruthy();
	const own = session.builds.find((each) => !each.letter);
	fireEvent.change(screen.getByLabelText("Leave out"), { target: { value: String(own?.id) } });
	await waitFor(() => expect(screen.queryByText(/too many/)).toBeNull());
	agree();
	await waitFor(() =>
		expect(changes(sent)[0]?.body).toMatchObject({ builds: [4, 5], dropped: [own?.id], lost: [] }),
	);
	fireEvent.click(screen.getByRole("button", { name: `Keep the ${own?.name} after all` }));
	expect(await screen.findByText(/1 too many/)).toBeTruthy();
});

test("a plan that was kept is chosen in one act, and says what of it was not hit", async () => {
	const plans = [
		{ name: "Plan 1", builds: [5], dropped: [1], unhit: ["C"] },
		{ name: "Plan 2", builds: [4, 5], dropped: [], unhit: [] },
		{ name: "Plan 2", builds: [4], dropped: [1], unhit: [] }, // one was taken away and another kept
	];
	const sent = open({ ...handover, plans }, { ...session, clubs_to_place: 2 });
	const first = await screen.findByRole("button", { name: "Plan 1" });
	expect(screen.getByRole("button", { name: "Suggested" }).getAttribute("aria-pressed")).toBe("true");
	expect(screen.getByText("Plan 1 also wants C, not hit enough yet.")).toBeTruthy();
	expect(screen.getAllByRole("button", { name: "Plan 2" })).toHaveLength(2);
	fireEvent.click(first);
	await waitFor(() => expect(first.getAttribute("aria-pressed")).toBe("true"));
	await waitFor(() => expect(reasons()).toBe("B in."));
	agree();
	await waitFor(() => expect(changes(sent)[0]?.body).toMatchObject({ builds: [5], dropped: [1] }));
});

test("a choice that the server refuses says why and cannot be agreed", async () => {
	const refusal = Response.json(
		{ title: "The 5i is fixed: it stays in the bag.", field: "dropped" },
		{ status: 400 },
	);
	serve({ [`GET ${URL_OF}`]: handover, [`GET ${URL_OF}/draft`]: refusal });
	show(Handover, session);
	fireEvent.click(await screen.findByRole("radio", { name: /U4/ }));
	expect((await screen.findByRole("alert")).textContent).toContain("The 5i is fixed");
	expect((screen.getByRole("button", { name: "Agree" }) as HTMLButtonElement).disabled).toBe(true);
});

test("what is agreed is shown as it was, with no way to change it", async () => {
	open(agreed(choice([A, B], ["5i"])), { ...session, status: "agreed" });
	expect(await screen.findByText("It holds the long par three.")).toBeTruthy();
	expect(screen.getByText(/✓ Agreed 24 November 2026/)).toBeTruthy();
	expect(screen.getAllByRole("heading", { level: 2 }).map((each) => each.textContent)).toEqual([
		"A4H 22°",
		"BU4 22°",
	]);
	expect(screen.getByText("Left out: 5i")).toBeTruthy();
	expect(screen.queryByRole("button", { name: "Agree" })).toBeNull();
	expect(screen.getByRole("link", { name: "Page for the customer" }).getAttribute("href")).toBe(
		"/sessions/7/page",
	);
});

test("a correction names its reason, goes out as a new edition, and the one before stays to be read", async () => {
	const first = agreed(choice([A]));
	const second = agreed(choice([]), { edition: 2, correction: "Bought elsewhere.", decision: "keep" });
	let now = first;
	const sent = serve({
		[`GET ${URL_OF}`]: () => now,
		[`POST ${URL_OF}`]: () => {
			now = { ...second, earlier: first.agreed ? [first.agreed] : [] };
			return now;
		},
		[`GET ${URL_OF}/draft`]: choice([]),
	});
	show(Handover, { ...session, status: "agreed", frozen: true });
	fireEvent.click(await screen.findByRole("button", { name: "Correct it in a new edition" }));
	const button = () => screen.getByRole("button", { name: "Agree edition 2" }) as HTMLButtonElement;
	expect(button().disabled).toBe(true);
	fireEvent.change(screen.getByLabelText("Why it is corrected"), { target: { value: "Bought elsewhere." } });
	fireEvent.click(button());
	yes();
	await waitFor(() =>
		expect(changes(sent)[0]?.body).toMatchObject({ builds: [4], correction: "Bought elsewhere." }),
	);
	expect(await screen.findByText(/Edition 2, corrected .* by Rowan Ashby: Bought elsewhere\./)).toBeTruthy();
	const earlier = screen.getByRole("link", { name: /^Edition 1, .*: 4H 22°$/ });
	expect(earlier.getAttribute("href")).toBe("/sessions/7/page?edition=1");
});

test("a contender that is not here yet keeps the session open, with the question that remains", async () => {
	const question = "One question remains: does the 9W do more than A? It is not here yet: hit it when it is.";
	const sent = open(handover, { ...session, awaited: "9W", question });
	expect(await screen.findByText(question)).not.toBeNull();
	fireEvent.change(screen.getByLabelText("A contender that is not here yet"), { target: { value: "" } });
	fireEvent.click(screen.getByRole("button", { name: "Do not wait" }));
	await waitFor(() =>
		expect(changes(sent)[0]).toMatchObject({ url: "/api/sessions/7/awaited", body: { name: "" } }),
	);
});

test("of a customer who is erased the figures are shown, and nothing is corrected or agreed any more", async () => {
	open(agreed(choice([A, B], ["5i"])), { ...session, status: "erased" });
	await screen.findByText("Page for the customer");
	expect(screen.queryByText("Correct it in a new edition")).toBeNull();
	cleanup();
	open(handover, { ...session, status: "erased" });
	expect(await screen.findByText(/Nothing was agreed before/)).toBeTruthy();
});
