/** Words that several places share. */
import type { Bag, BagPlan } from "../api/client";
import { VOCABULARY } from "../api/vocabulary";
import { termOf } from "../api/words";
import { t } from "../said/words";
import { figure } from "../ui/units";

const LISTS = {
	and: new Intl.ListFormat("en-GB", { type: "conjunction" }),
	or: new Intl.ListFormat("en-GB", { type: "disjunction" }),
};
export const listOf = (words: string[], last: keyof typeof LISTS) => LISTS[last].format(words);

/** What a bag saves, part by part: `0.62 yardages, 0.31 jobs, −0.03 price`. */
export const worthWords = (parts: BagPlan["worth"]) =>
	parts.map(({ line, strokes }) => `${figure(strokes, 2)} ${termOf("worth", line)}`).join(", ");

export const RULES = Object.entries(VOCABULARY.rules).map(([id, name]) => ({ id: id as Bag["rule"], name }));

/** The rule as the map names it, one for each end of the bag, and the turf when it was stated. */
export function ruleWords(bag: Bag): string {
	if (bag.end === "short") return bag.short_rule_words;
	const short = bag.gaps.some((gap) => gap.rule !== bag.rule);
	const turf = bag.turf ? ` ${t("session-on-turf", { turf: bag.turf })}` : "";
	return (
		bag.rule_words +
		turf +
		(short ? t("session-irons-wedges-by", { shortRuleWords: bag.short_rule_words }) : "")
	);
}
