/** The first page: one step each, a refusal goes back to where it is put right, and nothing of the password is kept. */
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { me } from "../../tests/session";
import { changes, clear, draw, type Sent, serve } from "../../tests/stage";
import Opening from "./Opening";

afterEach(clear);
const stranger = { ...me, signed_in: false, username: "", role: "", shop: "", bays: [] };
const type = (label: RegExp | string, value: string) =>
	fireEvent.change(screen.getByLabelText(label), { target: { value } });
const next = (name = "Next") => fireEvent.click(screen.getByRole("button", { name }));

test("a name that is taken leads back to its step, with all that was typed", async () => {
	const sent = serve({
		"GET /api/opening": { possible: true, allowed: true },
		"POST /api/opening": Response.json(
			{ title: "“ines” is taken. Choose another name to sign in with.", field: "username" },
			{ status: 400 },
		),
	});
	draw(<Opening me={stranger} />, "/open");
	await screen.findByLabelText(/What your shop is called/);
	type(/What your shop is called/, "Westmark Fitting");
	next();
	type(/Your name/, "Ines Moor");
	type(/Sign in as/, "ines");
	type(/Password/, "nobody guesses this");
	next();
	fireEvent.click(screen.getByRole("radio", { name: /^Soft/ }));
	next();
	fireEvent.click(screen.getByRole("button", { name: "One more bay" }));
	fireEvent.change(screen.getByLabelText("Where Bay 2 is"), { target: { value: "out" } });
	next("Open the shop");
	await screen.findByText(/is taken/);
	expect((screen.getByLabelText(/Sign in as/) as HTMLInputElement).value).toBe("ines");
	const { bays, ground, password } = (changes(sent)[0] as Sent).body as Record<string, unknown>;
	expect([ground, password]).toEqual(["soft", "nobody guesses this"]);
	// Outdoors a monitor follows the ball until it is said otherwise.
	expect((bays as { models_flight: boolean }[]).map((bay) => bay.models_flight)).toEqual([true, false]);
	expect(JSON.stringify({ ...sessionStorage })).not.toContain("nobody guesses");
});

test("without the code, and where the shop is open, it says what to do", async () => {
	serve({ "GET /api/opening": { possible: true, allowed: false } });
	const { unmount } = draw(<Opening me={stranger} />, "/open");
	expect(await screen.findByText(/address that the start command shows/)).toBeTruthy();
	unmount();
	serve({ "GET /api/opening": { possible: false, allowed: false } });
	draw(<Opening me={stranger} />, "/open");
	await waitFor(() => expect(screen.getByText(/is open already/)).toBeTruthy());
});
