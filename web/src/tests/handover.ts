/** A handover with two builds that were hit, as the server drafts it. */

import type { BagSide, Choice, Handover, Tested } from "../api/client";
import { fromFar } from "../ui/units";

export const club = (id: number, name: string, carry: number, letter = ""): BagSide["clubs"][number] => ({
	id,
	letter,
	name,
	head_type: "hybrid",
	loft_deg: null,
	carry_m: fromFar(carry),
	total_m: fromFar(carry + 6),
	new: letter !== "",
	expected: false,
});
export const side = (clubs: BagSide["clubs"], headline: string): BagSide => ({
	clubs,
	gaps: [],
	headline,
	club_count: 12,
});
const tested = (build: number, letter: string, name: string, more: Partial<Tested> = {}): Tested => ({
	build,
	letter,
	name,
	headline: "Fills the slot",
	why: "",
	sheet: [{ label: "Head", value: `Brackwater Skerry ${name}` }],
	price: "279.00",
	prediction: "",
	...more,
});
export const A = tested(4, "A", "4H 22°");
export const B = tested(5, "B", "U4 22°", { prediction: "Not settled: more shots would make this surer." });

const LOST = { [A.letter]: "It costs more.", [B.letter]: "It lands too flat to stay on the green." };
const CARRY = { [A.letter]: 178, [B.letter]: 187 };
const OWN = [club(1, "5i", 162), club(2, "5W", 196)];

/** What the server makes of a choice. */
export function choice(clubs: Tested[], dropped: string[] = [], over = 0): Choice {
	const come = clubs.map((each) => club(each.build, each.name, CARRY[each.letter] ?? 0, each.letter));
	const stay = OWN.filter((each) => !dropped.includes(each.name));
	const after = [...stay, ...come].sort((one, other) => one.carry_m - other.carry_m);
	return {
		name: clubs.map((each) => each.name).join(" and ") || "Keep what is there",
		clubs,
		dropped,
		reasons: `${clubs.map((each) => each.letter).join(" and ") || "Nothing"} in.`,
		lost: [A, B]
			.filter((each) => !clubs.includes(each))
			.map(({ letter, name }) => ({ letter, name, why: LOST[letter] ?? "" })),
		after: side(after, "The space is closed."),
		over,
		price: clubs.length ? (279 * clubs.length).toFixed(2) : null,
		swap: null,
		set: null,
	};
}

export const handover: Handover = {
	sets: [],
	session: 7,
	revision: 40,
	customer: "Ada Field",
	units: null,
	try_out: false,
	shop: "One",
	held_on: "2026-11-24",
	rule_words: "roll-out meets carry",
	before: side(OWN, "26 yd uncovered between 5i and 5W."),
	tested: [A, B],
	plans: [],
	suggested: [A.build],
	suggested_drop: [],
	suggestion: "Most successful shots a round.",
	draft: choice([A]),
	agreed: null,
	earlier: [],
	claims: [],
	cautions: ["Fourteen clubs at most in play."],
	next_check: "2027-11-24",
};

export const agreed = (what: Choice, more: Partial<NonNullable<Handover["agreed"]>> = {}): Handover => ({
	...handover,
	agreed: {
		edition: 1,
		correction: "",
		decision: "buy",
		agreed_at: "2026-11-24T10:00:00Z",
		agreed_by: "Rowan Ashby",
		reasons: "It holds the long par three.",
		next_check: "2027-11-24",
		runner_up: "B U4 22°",
		choice: what,
		before: handover.before,
		...more,
	},
});
