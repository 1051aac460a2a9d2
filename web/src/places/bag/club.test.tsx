/** Clubs of the bag as they are typed: what is refused stays to be corrected, what is no number is never taken for
 * nothing. */

import { fireEvent, screen, waitFor } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import type { Build, Session } from "../../api/client";
import type { PlaceProps } from "../../session/place";
import { LIVE, m, session, shot } from "../../tests/session";
import { changes, clear, draw, serve, show } from "../../tests/stage";
import { Said } from "../../ui/Said";
import { typedFar, typedNumber } from "../../ui/typed";
import { fromFar } from "../../ui/units";
import { Targets } from "../brief/Targets";
import { Bag } from "./Bag";
import { ClubCard } from "./ClubCard";

afterEach(clear);

/** A place as the frame holds it: what goes wrong is said. */
function Held({ place: Place, of }: { place: (props: PlaceProps) => React.ReactNode; of: Session }) {
	const [error, setError] = useState<unknown>(null);
	const act = (change: () => Promise<unknown>) => void change().catch(setError);
	return (
		<>
			<Said error={error as Error | null} />
			<Place session={of} act={act} busy={false} live={LIVE} />
		</>
	);
}
const held = (place: (props: PlaceProps) => React.ReactNode, of: Session = session) =>
	draw(<Held place={place} of={of} />);
const type = (label: string, value: string) =>
	fireEvent.change(screen.getByLabelText(label), { target: { value } });
const value = (label: string) => (screen.getByLabelText(label) as HTMLInputElement).value;

test.each([
	["165", 165],
	[" 162,5 ", 162.5],
	["−3", -3],
	["", null],
	["  ", null],
])("typed %j is read as %j", (text, wanted) => {
	expect(typedNumber(text, "carry")).toBe(wanted);
	expect(typedFar(text, "carry")).toBe(wanted === null ? null : fromFar(wanted));
});

test.each(["16o", "1.2.3", "about 160"])("typed %j is refused with what to write", (text) => {
	expect(() => typedNumber(text, "carry")).toThrow(`“${text}” is no number. Write the carry in figures`);
});

test("a club that is refused stays in its fields; one that went in leaves them empty", async () => {
	const answers: Record<string, unknown> = {};
	const sent = serve(answers);
	held((props) => <Bag {...props} />);
	type("Club to add", "7i");
	type("Carry in yards", "14o");
	fireEvent.click(screen.getByRole("button", { name: "Add" }));
	expect((await screen.findByRole("alert")).textContent).toContain("“14o” is no number");
	expect(changes(sent)).toEqual([]);
	type("Carry in yards", "140");
	fireEvent.click(screen.getByRole("button", { name: "Add" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect([value("Club to add"), value("Carry in yards")]).toEqual(["7i", "140"]);
	answers["POST /api/sessions/7/clubs"] = session;
	fireEvent.click(screen.getByRole("button", { name: "Add" }));
	await waitFor(() => expect(value("Club to add")).toBe(""));
	expect(changes(sent)[1]?.body).toEqual({ name: "7i", typed_carry_m: fromFar(140), typed_total_m: null });
});

const card = (of = session, which = 2) => {
	const found = of.builds.find((each) => each.id === which);
	if (!found) throw new Error("no such club");
	return (props: PlaceProps) => <ClubCard {...props} build={found} onClose={() => undefined} />;
};

test("a field sends what was typed in it and nothing else; a slip of the finger does not clear what was there", async () => {
	const sent = serve({ "PUT /api/builds/2": session });
	held(card());
	expect([value("Carry of 5W in yards"), value("Total of 5W in yards")]).toEqual(["196", "204"]);
	type("Carry of 5W in yards", "l96");
	fireEvent.click(screen.getByRole("button", { name: "Set" }));
	expect((await screen.findByRole("alert")).textContent).toContain("“l96” is no number");
	expect(changes(sent)).toEqual([]);
	type("Carry of 5W in yards", "198");
	type("Give or take of 5W in yards", "6");
	fireEvent.click(screen.getByRole("button", { name: "Set" }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toEqual({ typed_carry_m: fromFar(198), typed_doubt_m: fromFar(6) });
});

test("a club whose carry is assumed is fixed without its figures being typed", async () => {
	const sent = serve({ "PUT /api/builds/2": session });
	const builds = session.builds.map((each) =>
		each.id === 2 ? { ...each, carry_from: "assumed" as const, total_read: false } : each,
	);
	held(card({ ...session, builds }), { ...session, builds });
	expect(value("Total of 5W in yards")).toBe("");
	fireEvent.click(screen.getByRole("checkbox", { name: /fixed/i }));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(Object.keys(changes(sent)[0]?.body as object)).toEqual(["fixed"]);
});

test("of a club that was hit its shots are shown, each set aside or brought back, and it may be freed", async () => {
	const shots = [shot(8, 1, 161), shot(9, 1, 130, { aside: true }), shot(10, 1, 180)];
	const sent = serve({ "PUT /api/shots/8/aside": session, "PUT /api/builds/1": session });
	const odd = { ...session, shots, questions: { 10: "Odd." } };
	held(card(odd, 1), odd);
	fireEvent.click(screen.getByRole("button", { name: "Shot 8, carry 161: set aside" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toMatchObject({ aside: true }));
	expect(screen.getByRole("button", { name: "Shot 9, carry 130: bring back" })).toBeTruthy();
	expect(screen.getByText("Odd.")).toBeTruthy();
	fireEvent.click(screen.getByRole("checkbox"));
	await waitFor(() => expect(changes(sent)[1]?.body).toEqual({ fixed: true }));
});

test("the same but newer is one act, and back again; a club is taken out of the bag", async () => {
	const sent = serve({ "PUT /api/sessions/7/gap": session, "DELETE /api/builds/2": session });
	const { unmount } = held(card());
	fireEvent.click(screen.getByRole("button", { name: "Replace it like for like" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toMatchObject({ like_for: 2, clubs_to_place: 1 }));
	fireEvent.click(screen.getByRole("button", { name: "Take out of the bag" }));
	await waitFor(() => expect(changes(sent)[1]).toMatchObject({ method: "DELETE", url: "/api/builds/2" }));
	unmount();
	const wanted = { ...session.bag.wanted, wish: "like" as const, like: 2 };
	held(card(), { ...session, bag: { ...session.bag, wanted } });
	fireEvent.click(screen.getByRole("button", { name: "Back to the hole" }));
	await waitFor(() => expect(changes(sent)[2]?.body).toMatchObject({ wish: "gap", like_for: null }));
});

test("a club goes out of favour with its reason, and comes back", async () => {
	const sent = serve({ "PUT /api/builds/2": session });
	const { unmount } = held(card());
	type("Why the 5W is out of favour", "balloons");
	fireEvent.click(screen.getByRole("button", { name: "Out of favour" }));
	await waitFor(() => expect(changes(sent)[0]?.body).toEqual({ out_of_favour: "balloons" }));
	unmount();
	const builds = session.builds.map((each) =>
		each.id === 2 ? { ...each, out_of_favour: "balloons" } : each,
	);
	held(card({ ...session, builds }));
	fireEvent.click(screen.getByRole("button", { name: "Back in favour" }));
	await waitFor(() => expect(changes(sent)[1]?.body).toEqual({ out_of_favour: "" }));
});

test("nothing of an agreed bag can be changed", () => {
	serve({});
	show(card(), { ...session, status: "agreed" });
	expect((screen.getAllByRole("group")[0] as HTMLElement).hasAttribute("disabled")).toBe(true);
});

test("a target that is no number is not sent and can be corrected; one that is refused stays open", async () => {
	const sent = serve({});
	held((props) => <Targets {...props} />);
	fireEvent.click(screen.getByRole("button", { name: "Change Carry" }));
	type("Carry from", "far");
	fireEvent.submit(screen.getByLabelText("Carry from"));
	expect((await screen.findByRole("alert")).textContent).toContain("“far” is no number");
	expect(changes(sent)).toEqual([]);
	type("Carry from", "178");
	fireEvent.submit(screen.getByLabelText("Carry from"));
	await waitFor(() =>
		expect(changes(sent)[0]?.body).toMatchObject({ low: fromFar(178), quantity: "carry_m" }),
	);
	expect(value("Carry from")).toBe("178");
});

test("what a club is can be stated; what was assumed says so, and nonsense is refused where it is typed", async () => {
	const sent = serve({ "PUT /api/builds/1/stated": session });
	const assumed = {
		...session.builds[0],
		assumed: ["length_m"],
		length_m: m(0.9652),
		set_loft_deg: 27,
	} as Build;
	draw(
		<ClubCard
			session={session}
			build={{ ...assumed, id: 1 }}
			act={(go) => void go()}
			busy={false}
			onClose={() => undefined}
		/>,
	);
	const length = screen.getByLabelText(/^Length, in/) as HTMLInputElement;
	expect(length.value).toBe("38");
	expect(length.closest("label")?.textContent).toContain("assumed");
	fireEvent.change(length, { target: { value: "long" } });
	fireEvent.click(screen.getByRole("button", { name: "State it" }));
	expect(screen.getByRole("alert").textContent).toContain("“long” is no number");
	fireEvent.change(length, { target: { value: "38,5" } });
	fireEvent.change(screen.getByLabelText("Loft on the gauge, °"), { target: { value: "26.5" } });
	fireEvent.change(screen.getByLabelText("Stock swing"), { target: { value: "eased" } });
	fireEvent.click(screen.getByRole("button", { name: "State it" }));
	await waitFor(() =>
		expect(changes(sent)[0]?.body).toEqual({
			length_m: expect.closeTo(0.9779, 4),
			measured_loft_deg: 26.5,
			stock_swing: "eased",
		}),
	);
});

test("a row that is half typed is there again after another place, and empty once it went in", async () => {
	serve({ "POST /api/sessions/7/clubs": session });
	const { unmount } = show(Bag, session);
	const name = () => screen.getByLabelText("Club to add") as HTMLInputElement;
	fireEvent.change(name(), { target: { value: "5i" } });
	fireEvent.change(screen.getByLabelText("Carry in yards"), { target: { value: "16" } });
	unmount();
	show(Bag, session);
	expect([name().value, (screen.getByLabelText("Carry in yards") as HTMLInputElement).value]).toEqual([
		"5i",
		"16",
	]);
	fireEvent.click(screen.getByRole("button", { name: "Add" }));
	await waitFor(() => expect(name().value).toBe(""));
});
