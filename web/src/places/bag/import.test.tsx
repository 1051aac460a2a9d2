/** A shots file: read in whatever letters it was written, looked at, put right, taken in. */

import { fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { ImportPreview, ImportResult } from "../../api/client";
import { session } from "../../tests/session";
import { clear, type Sent, serve, show } from "../../tests/stage";
import { fromFar } from "../../ui/units";
import { ImportDialog } from "./ImportDialog";

afterEach(clear);

const PREVIEW = "POST /api/sessions/7/import/preview";
const TAKE = "POST /api/sessions/7/import";
const preview: ImportPreview = {
	file_name: "shots.csv",
	columns: [
		{ header: "Schläger", key: "club", unit: "", example: "7i", sure: true, ask: "", maybe: [] },
		{ header: "Länge", key: "carry_m", unit: "m", example: "140", sure: true, ask: "", maybe: [] },
		{ header: "Notiz", key: "", unit: "", example: "", sure: true, ask: "", maybe: [] },
	],
	clubs: [
		{ written: "Eisen 7", name: "7i", shots: 5, kind: "iron", here: 0 },
		{ written: "Fähre", name: "", shots: 1, kind: null, here: 0 },
	],
	shots: 5,
	problems: [{ line: 4, column: "Länge", sentence: "“weit” is not a number." }],
	unlike: [{ line: 3, club: "7i", carry_m: fromFar(90), why: "38 yd under the middle of the others." }],
	remembered: false,
	sheets: [],
	left: [],
	here: 0,
	players: [],
	whose: "",
	questions: [],
};
const taken: ImportResult = {
	shots: 5,
	clubs: 1,
	set_aside: 1,
	computed: 2,
	here: 0,
	problems: preview.problems,
};

/** What the place is told. */
const said: string[] = [];

function open(answers: Record<string, unknown> = { [PREVIEW]: preview, [TAKE]: taken }): Sent[] {
	const sent = serve(answers);
	said.length = 0;
	show(
		() => (
			<ImportDialog
				session={{ ...session, id: 7 }}
				onTaken={(words) => said.push(words)}
				onClose={() => said.push("closed")}
			/>
		),
		session,
	);
	return sent;
}
const choose = (bytes: Uint8Array<ArrayBuffer> | string, name = "shots.csv") =>
	fireEvent.change(screen.getByLabelText("Shots file"), { target: { files: [new File([bytes], name)] } });
const bodies = (sent: Sent[]) => sent.map((each) => each.body as Record<string, unknown>);

const TEXT = "Schläger;Länge\nEisen 7;140\n";
const latin = Uint8Array.from(TEXT, (letter) => letter.charCodeAt(0));
const wide = Uint8Array.from([0xff, 0xfe, ...[...TEXT].flatMap((letter) => [letter.charCodeAt(0), 0])]);

test.each([
	["UTF-8", new TextEncoder().encode(TEXT)],
	["Windows-1252", latin],
	["UTF-16", wide],
])("a file in %s is read as it was written", async (_, bytes) => {
	const sent = open();
	choose(bytes);
	await screen.findByRole("button", { name: "Take in 5 shots" });
	expect(bodies(sent)[0]).toMatchObject({ file_name: "shots.csv", text: TEXT, columns: [] });
});

test("what is unlike the others is marked to be set aside, and may be left in", async () => {
	const sent = open();
	choose(TEXT);
	const aside = await screen.findByRole("checkbox", { name: /Set aside 7i 90 \(line 3\): 38 yd under/ });
	expect((aside as HTMLInputElement).checked).toBe(true);
	fireEvent.click(aside);
	// It stays so while something else is put right.
	fireEvent.change(screen.getByLabelText("Unit of Länge"), { target: { value: "yd" } });
	await waitFor(() => expect(sent).toHaveLength(2));
	await waitFor(() =>
		expect((screen.getByLabelText("Unit of Länge") as HTMLSelectElement).disabled).toBe(false),
	);
	fireEvent.click(screen.getByRole("button", { name: "Take in 5 shots" }));
	await waitFor(() =>
		expect(bodies(sent)[2]).toMatchObject({ aside: [], clubs: { "Eisen 7": "7i", Fähre: "" } }),
	);
});

test("a column put right is read again with a unit of its own kind, and a club goes where it is sent", async () => {
	const sent = open();
	choose(TEXT);
	fireEvent.change(await screen.findByLabelText("Fähre goes to"), { target: { value: "9i" } });
	fireEvent.change(screen.getByLabelText("Länge is"), { target: { value: "ball_speed_mps" } });
	await waitFor(() => expect(sent).toHaveLength(2));
	expect(bodies(sent)[1]).toMatchObject({
		columns: [{ key: "club" }, { header: "Länge", key: "ball_speed_mps", unit: "mph" }, { key: "" }],
		clubs: { Fähre: "9i" },
	});
	// What was said of the clubs stays said after the file was read again.
	const kept = (await screen.findByLabelText("Fähre goes to")) as HTMLInputElement;
	expect(kept.value).toBe("9i");
});

test("rows that cannot be read are named with the line and the reason, before and after", async () => {
	open();
	choose(TEXT);
	await screen.findByText("Line 4, Länge: “weit” is not a number.");
	fireEvent.click(screen.getByRole("button", { name: "Take in 5 shots" }));
	await screen.findByText(/5 shots of 1 club\. 1 set aside\. 2 had blanks filled/);
	expect(screen.getByText("Line 4, Länge: “weit” is not a number.")).toBeTruthy();
	expect(said).not.toContain("closed");
});

test("what is being typed stays where it is when the file was read anew", async () => {
	open();
	choose(TEXT);
	const take = await screen.findByRole("button", { name: "Take in 5 shots" });
	expect(document.activeElement).toBe(take);
	const club = screen.getByLabelText("Fähre goes to");
	fireEvent.blur(club);
	club.focus();
	await waitFor(() => expect((take as HTMLButtonElement).disabled).toBe(false));
	expect(document.activeElement).toBe(club);
});

test("a file of which nothing is left to be read closes, and the place says what went in", async () => {
	open({ [PREVIEW]: { ...preview, problems: [] }, [TAKE]: { ...taken, problems: [], here: 2 } });
	choose(TEXT);
	fireEvent.click(await screen.findByRole("button", { name: "Take in 5 shots" }));
	await waitFor(() => expect(said).toContain("closed"));
	expect(said[0]).toMatch(/^5 shots of 1 club\. .* 2 are here already and were left out\.$/);
});

test("a file too large is not sent, and another may be chosen", async () => {
	const sent = open();
	choose(new Uint8Array(4_000_001));
	expect(await screen.findByText(/The file is over 4 MB/)).toBeTruthy();
	expect(sent).toHaveLength(0);
	choose(TEXT);
	await screen.findByRole("button", { name: "Take in 5 shots" });
	expect(screen.queryByText(/over 4 MB/)).toBeNull();
});

test("a file of something else says so, and nothing can be taken in", async () => {
	const refused = Response.json(
		{ title: "No line of the file looks like a header.", field: "file" },
		{ status: 400 },
	);
	open({ [PREVIEW]: refused });
	choose("%PDF-1.7");
	expect(await screen.findByText("No line of the file looks like a header.")).toBeTruthy();
	expect(screen.queryByRole("button", { name: /Take in/ })).toBeNull();
});

test("letters on the stand are offered beside the names of the bag", async () => {
	const sent = open();
	choose(TEXT);
	expect(await screen.findByText("By name into the bag, by letter to A or B on the stand.")).toBeTruthy();
	fireEvent.change(screen.getByLabelText("Eisen 7 goes to"), { target: { value: "B" } });
	fireEvent.click(screen.getByRole("button", { name: "Take in 5 shots" }));
	await waitFor(() => expect(bodies(sent)[1]).toMatchObject({ clubs: { "Eisen 7": "B" } }));
});

const asking: ImportPreview = {
	...preview,
	sheets: ["Shots", "Notes"],
	columns: [
		{ header: "Club", key: "club", unit: "", example: "7i", sure: true, ask: "", maybe: [] },
		{
			header: "Carry",
			key: "carry_m",
			unit: "yd",
			example: "150",
			sure: false,
			ask: "Is “Carry” in yards, metres or feet?",
			maybe: [],
		},
		{
			header: "Est. Spin",
			key: "",
			unit: "",
			example: "5200",
			sure: false,
			ask: "Is “Est. Spin” the spin, or is it to be left out?",
			maybe: ["spin_rpm"],
		},
	],
	clubs: [{ written: "Old faithful", name: "Old faithful", shots: 5, kind: null, here: 1 }],
	here: 1,
	players: [
		{ name: "Ada", shots: 5 },
		{ name: "Bo", shots: 4 },
	],
	left: [{ line: 9, column: "", sentence: "“Average” is no shot: averages are worked out here." }],
	questions: [
		{ id: "column Carry", sentence: "Is “Carry” in yards, metres or feet?" },
		{ id: "carry", sentence: "Carries read 9% under what ball speed, launch and spin fly." },
	],
};

test("what a file leaves open is asked where it stands, and nothing goes in before it is answered", async () => {
	const sent = open({ [PREVIEW]: asking, [TAKE]: taken });
	choose(TEXT);
	const take = await screen.findByRole("button", { name: "Answer 2 questions first" });
	expect((take as HTMLButtonElement).disabled).toBe(true);
	const last = async (count: number) => {
		await waitFor(() => expect(sent).toHaveLength(count));
		return bodies(sent).at(-1);
	};
	fireEvent.click(screen.getByRole("button", { name: "Carry is in metres" }));
	expect(await last(2)).toMatchObject({
		columns: [{}, { key: "carry_m", unit: "m", sure: true }, { sure: false }],
	});
	fireEvent.click(await screen.findByRole("button", { name: "Leave out Est. Spin" }));
	expect(await last(3)).toMatchObject({ columns: [{}, { sure: false }, { key: "", sure: true }] });
	fireEvent.click(screen.getByRole("radio", { name: /Bo/ }));
	expect(await last(4)).toMatchObject({ whose: "Bo" });
	fireEvent.change(screen.getByLabelText("Kind of Old faithful"), { target: { value: "hybrid" } });
	expect(await last(5)).toMatchObject({ kinds: { "Old faithful": "hybrid" } });
	fireEvent.click(screen.getByRole("button", { name: "Right as it is" }));
	expect(await last(6)).toMatchObject({ answered: ["carry"] });
	fireEvent.click(screen.getByRole("checkbox", { name: /1 is here already, 5 are new/ }));
	expect(await last(7)).toMatchObject({ again: true });
	fireEvent.change(screen.getByLabelText("Sheet"), { target: { value: "Notes" } });
	expect(await last(8)).toMatchObject({ sheet: "Notes", columns: [], answered: [] });
	expect(screen.getByText(/“Average” is no shot/)).toBeTruthy();
});

test("a workbook is sent as it is", async () => {
	const sent = open();
	choose(Uint8Array.from([0x50, 0x4b, 3, 4, 200, 0]), "shots.xlsx");
	await screen.findByRole("button", { name: "Take in 5 shots" });
	expect(bodies(sent)[0]).toMatchObject({ text: "", data: btoa("PK\u0003\u0004\u00c8\u0000") });
});
