/** What is said of a code after its shots: two touches, and what else was noticed. */
import { useState } from "react";
import type { SoleTest, Turf } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";

export const SAID = [
	{ said: 1, name: "Better", keys: "arrowup", shown: "↑" },
	{ said: 0, name: "Level", keys: "[", shown: "[" },
	{ said: -1, name: "Worse", keys: "arrowdown", shown: "↓" },
] as const;
export const saidWords = (said: number | null) =>
	SAID.find((each) => each.said === said)?.name.toLowerCase() ?? "";

const TURF_NAMES: Record<Turf, string> = {
	slid: "Slid",
	dug: "Dug",
	skipped: "Skipped",
	sat_up: "Sat up",
	grabbed: "Grabbed",
	even: "Even",
	deep: "Deep",
	shallow: "Shallow",
};
const TURF_KEYS: Record<Turf, string> = {
	slid: "s",
	dug: "d",
	skipped: "k",
	sat_up: "u",
	grabbed: "g",
	even: "e",
	deep: "d",
	shallow: "l",
};
export const turfName = (turf: Turf) => TURF_NAMES[turf];
export const turfKey = (turf: Turf) => TURF_KEYS[turf];
export const turfsOf = (sand: boolean): readonly Turf[] =>
	sand ? VOCABULARY.sole.turf.sand : VOCABULARY.sole.turf.grass;

export function Choice<T extends string | number>({
	label,
	all,
	chosen,
	disabled = false,
	big = false,
	onChoose,
}: {
	label: string;
	all: readonly { value: T; name: string; shown?: string }[];
	chosen: T | null;
	disabled?: boolean;
	big?: boolean;
	onChoose: (value: T) => void;
}) {
	return (
		<div role="group" aria-label={label} className="flex flex-wrap gap-1.5">
			{all.map((each) => (
				<button
					key={each.value}
					type="button"
					aria-pressed={chosen === each.value}
					disabled={disabled}
					className={`btn font-medium ${big ? "h-16 min-w-24 px-3 text-xl" : "h-12 min-w-20"} ${chosen === each.value ? "btn-primary" : "border-base-300 bg-base-100"}`}
					onClick={() => onChoose(each.value)}
				>
					{each.shown && <span className="key pointer-coarse:hidden">{each.shown}</span>} {each.name}
				</button>
			))}
		</div>
	);
}

const SURE: Record<string, string> = { guess: "Only a guess", fairly: "Fairly sure", certain: "Certain" };

/** Which code the player takes for one he knows, and how sure he is. */
export function Guess({
	codes,
	guess,
	confidence,
	onGuess,
}: {
	codes: { value: number; name: string }[];
	guess: number | null;
	confidence: string;
	onGuess: (code: number, confidence: string) => void;
}) {
	const [code, setCode] = useState(guess);
	return (
		<div className="flex flex-wrap gap-x-8 gap-y-2">
			<Choice label="The player’s guess" all={codes} chosen={code} onChoose={setCode} />
			<Choice
				label="How sure the player is"
				all={VOCABULARY.sole.confidence.map((each) => ({ value: each as string, name: SURE[each] ?? each }))}
				chosen={guess !== null && guess === code ? confidence : null}
				disabled={code === null}
				onChoose={(sure) => code !== null && onGuess(code, sure)}
			/>
		</div>
	);
}

/** Codes by their words, for what is asked of one of them. */
export const codesOf = (test: SoleTest) => test.codes.map((each) => ({ value: each.code, name: each.word }));
