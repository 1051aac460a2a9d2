/** The wedges as they are laid out in the Brief: what is typed, what bothers, what they are for. */

import { fireEvent, screen, waitFor } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import { looksOf } from "../../acts/act";
import type { Session } from "../../api/client";
import type { Act } from "../../session/place";
import { build, LIVE, session } from "../../tests/session";
import { changes, clear, draw, serve, show } from "../../tests/stage";
import { Brief } from "./Brief";

afterEach(clear);

const long = "Stover and Daughters 54 of the old bag that nobody stamps";
const wedges: Session = {
	...session,
	builds: [
		...session.builds,
		build(61, "54", 96, { head_type: "wedge", set_loft_deg: 54, bounce_deg: 12, uses: { full: 2 } }),
		build(62, long, 82, {
			head_type: "wedge",
			uses: { sand: 1.5 },
			kept_for: "sand",
			complaints: ["runs_out"],
		}),
	],
	brief: {
		...session.brief,
		end: "short",
		wedge_wishes: ["even"],
		wish_leads: { even: "Cut into equal steps." },
	},
};
const put = "PUT /api/builds/61/stated";
const leave = (label: string, value: string, nth = 0) => {
	const cell = screen.getAllByLabelText(label)[nth] as HTMLInputElement;
	fireEvent.change(cell, { target: { value } });
	fireEvent.blur(cell);
	return cell;
};

test("a figure travels when its cell is left, alone, and a comma is a point", async () => {
	const sent = serve({ [put]: wedges });
	show(Brief, wedges);
	leave("part", "1,5");
	leave("Bounce °", "10");
	await waitFor(() => expect(changes(sent)).toHaveLength(2));
	expect(changes(sent).map((each) => each.body)).toEqual([{ uses: { part: 1.5 } }, { bounce_deg: 10 }]);
	// What is left as it was is not sent.
	leave("Loft °", "54");
	expect(changes(sent)).toHaveLength(2);
});

test("an emptied use is none, an emptied loft stays what it was, and no number is said and stays as typed", async () => {
	const sent = serve({ [put]: wedges });
	show(Brief, wedges);
	leave("full", "");
	await waitFor(() => expect(changes(sent)).toHaveLength(1));
	expect(changes(sent)[0]?.body).toEqual({ uses: { full: 0 } });
	expect(leave("Loft °", "").value).toBe("54");
	const typed = leave("Loft °", "fifty");
	expect(screen.getByText(/“fifty” is no number. Write the loft in figures/)).toBeTruthy();
	expect(typed.value).toBe("fifty");
	leave("Loft °", "54");
	expect(screen.queryByText(/is no number/)).toBeNull();
	expect(changes(sent)).toHaveLength(1);
});

test("two complaints in quick succession are both kept", async () => {
	const sent = serve({ "PUT /api/builds/62/stated": wedges });
	function Live() {
		const [seen, setSeen] = useState(wedges);
		const act: Act = (change) => setSeen(looksOf(change()));
		return <Brief session={seen} act={act} busy={false} live={LIVE} />;
	}
	draw(<Live />);
	const press = (name: string) => fireEvent.click(screen.getAllByRole("button", { name })[1] as HTMLElement);
	press("digs");
	press("flies too high");
	press("does not stop");
	await waitFor(() => expect(changes(sent)).toHaveLength(3));
	expect(changes(sent).at(-1)?.body).toEqual({ complaints: ["digs", "balloons"] });
});

test("what a wedge is kept for is said, whatever its name, and what a wish leads to", () => {
	serve({});
	show(Brief, wedges);
	expect(screen.getAllByText(long).length).toBeGreaterThan(0);
	expect(screen.getByText(/Kept for sand: near its neighbour on purpose/)).toBeTruthy();
	expect(screen.getByText("Cut into equal steps.")).toBeTruthy();
	expect(screen.getByRole("button", { name: "even steps" }).getAttribute("aria-pressed")).toBe("true");
});

test("without a wedge the wedges ask for one, and the long end does not ask", () => {
	serve({});
	show(Brief, { ...wedges, builds: session.builds });
	expect(screen.getByText(/No wedge is in the bag yet/)).toBeTruthy();
	fireEvent.click(screen.getByRole("button", { name: "The long end" }));
	expect(screen.queryByRole("region", { name: "Wedges" })).toBeNull();
});
