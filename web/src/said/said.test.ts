/** What is read here is what the core reads: the same sentences, units and made-up language. */
import { readFileSync } from "node:fs";
import { afterEach, expect, test } from "vitest";
import { GLOSSARY } from "../ui/Term";
import { readIn, type Units, USUAL } from "./units";
import { inWords, speakPseudo, words } from "./words";

interface Line {
	said: unknown;
	usual: string;
	metric: string;
	mps: string;
	pseudo: string;
}
const LINES = JSON.parse(readFileSync("../core/tests/data/said.json", "utf8")) as Line[];
const METRIC: Units = { far: "m", high: "m", speed: "kmh", warmth: "f", club_length: "mm", currency: "EUR" };

afterEach(() => {
	readIn(USUAL);
	speakPseudo(false);
});

test.each([
	["usual", USUAL, false],
	["metric", METRIC, false],
	["mps", { ...USUAL, speed: "mps" }, false],
	["pseudo", METRIC, true],
] as const)("every sentence reads as in the core: %s", (name, units, pseudo) => {
	readIn(units);
	speakPseudo(pseudo);
	for (const line of LINES) expect(words(line.said)).toBe(line[name]);
});

test("an answer has its sentences in words wherever they stand, and all else as it came", () => {
	const answer = { id: 3, list: [{ why: { say: "verdict-too-close" } }], none: null, name: "A" };
	expect(inWords(answer)).toEqual({ id: 3, list: [{ why: "Too close to call" }], none: null, name: "A" });
});

test("the guide says what a term means in the words that its dotted line opens", () => {
	const guide = readFileSync("../docs/guide.md", "utf8");
	for (const [word, says] of Object.values(GLOSSARY)) {
		const line = `- **${word.slice(0, 1).toUpperCase()}${word.slice(1)}**: ${says.slice(0, 1).toLowerCase()}${says.slice(1)}`;
		expect(guide).toContain(line);
	}
});
