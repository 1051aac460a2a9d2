/** A language no one speaks, made from English: the rule of `hemicycle_core.said.pseudo`. */
export const PSEUDO = "en-x-pseudo";
const ACCENTS: Record<string, string> = Object.fromEntries(
	[..."aceinouyACEINOUY"].map((letter, at) => [letter, [..."åçéîñöüýÅÇÉÎÑÖÜÝ"][at] ?? letter]),
);
const LONGER = 0.4;
const FILL = "~~~~~~~ ";

/** With accents, and longer by two fifths. */
export function accented(text: string): string {
	const letters = [...text].filter((each) => /\p{L}/u.test(each)).length;
	if (!letters) return text;
	const body = text.trimEnd();
	const spoken = [...body].map((each) => ACCENTS[each] ?? each).join("");
	const more = Math.max(1, Math.round(letters * LONGER));
	return spoken + FILL.repeat(more).slice(0, more).trimEnd() + text.slice(body.length);
}
