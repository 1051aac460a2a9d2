/** The whole rack: what goes together, what is there for this player, and what is sent to the stand. */

import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { Rack, Session } from "../../api/client";
import { head, shaft } from "../../tests/rack";
import { m, session } from "../../tests/session";
import { changes, clear, serve, show } from "../../tests/stage";
import { RackPicker } from "./RackPicker";

afterEach(clear);

const rack: Rack = {
	may_change: false,
	heads: [
		head(1, "4H", { sole: "", shafts: [20, 21] }),
		head(2, "5H", {
			loft_deg: 25,
			left_handed: false,
			sleeve_deg: 0,
			lofts_deg: [],
			sole: "narrow",
			shafts: [21],
		}),
		head(3, "9W", { head_type: "fairway", loft_deg: 24, sole: "", stock: 0, shafts: [] }),
	],
	shafts: [shaft(20, "Fenlark 65 H"), shaft(21, "Wexmoor 85", { weight_g: 85 })],
};

function open(of: Session = session) {
	const sent = serve({ "GET /api/rack": rack, "POST /api/sessions/7/candidates": of });
	show((props) => <RackPicker {...props} onClose={() => undefined} />, of);
	return sent;
}
const row = async (label: string) =>
	(await screen.findByLabelText(`Shaft for ${label}`)).closest("li") as HTMLElement;
const put = (of: HTMLElement) => within(of).getByRole("button", { hidden: true }) as HTMLButtonElement;

test("each head offers the shafts that go into it, and says sleeve, sole and what stands already", async () => {
	open();
	const options = async (label: string) =>
		[...(await row(label)).querySelectorAll("option")].map((each) => each.textContent);
	expect(await options("4H")).toEqual(["Fenlark 65 H, 65 g R", "Wexmoor 85, 85 g R"]);
	expect(await options("5H")).toEqual(["Wexmoor 85, 85 g R"]);
	expect((await row("4H")).textContent).toContain("sleeve 20° to 24°");
	expect((await row("4H")).textContent).toContain("A"); // 4H 22° is on the stand as A
	expect((await row("5H")).textContent).toContain("bonded, narrow sole");
});

test("a head goes to the stand with the shaft and length chosen", async () => {
	const sent = open();
	const line = await row("4H");
	fireEvent.change(within(line).getByLabelText("Shaft for 4H"), { target: { value: "20" } });
	fireEvent.change(within(line).getByLabelText("Length of 4H in inches"), { target: { value: "39,5" } });
	fireEvent.click(put(line));
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toEqual({
		again: false,
		candidates: [{ head: 1, shaft: 20, length_m: m(39.5) * 0.0254, set_loft_deg: null }],
	});
});

test("what is not there, or takes no shaft, cannot be put up; a length that is no number is not sent", async () => {
	const sent = open();
	const none = await row("9W");
	expect([put(none).disabled, put(none).textContent]).toEqual([true, "None there"]);
	const line = await row("4H");
	fireEvent.change(within(line).getByLabelText("Length of 4H in inches"), { target: { value: "long" } });
	fireEvent.click(put(line));
	expect(changes(sent)).toEqual([]);
});

test("for a left-hander only what is made left-handed is shown, and it says so", async () => {
	open({ ...session, customer: { ...session.customer, hand: "left" } });
	await row("4H");
	expect(screen.queryByLabelText("Shaft for 5H")).toBeNull();
	expect(screen.getByText(/Only left-handed heads are shown/)).toBeTruthy();
});
