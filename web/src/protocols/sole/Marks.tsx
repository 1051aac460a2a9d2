/** What is said of a code after its shots: two touches, and what else was noticed. */
import { useState } from "react";
import type { SoleTest, Turf } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { t } from "../../said/words";

export const SAID = [
	{ said: 1, key: "better", name: t("sole-better"), keys: "arrowup", shown: "↑" },
	{ said: 0, key: "level", name: t("sole-level"), keys: "[", shown: "[" },
	{ said: -1, key: "worse", name: t("sole-worse"), keys: "arrowdown", shown: "↓" },
] as const;
export const saidWords = (said: number | null) =>
	SAID.find((each) => each.said === said)?.name.toLowerCase() ?? "";

const TURF_NAMES: Record<Turf, string> = {
	slid: t("sole-slid"),
	dug: t("sole-dug"),
	skipped: t("sole-skipped"),
	sat_up: t("sole-sat-up"),
	grabbed: t("sole-grabbed"),
	even: t("sole-even"),
	deep: t("sole-deep"),
	shallow: t("sole-shallow"),
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
		<div role="group" aria-label={label} className="flex flex-wrap gap-2">
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

const SURE: Record<string, string> = {
	guess: t("sole-only-guess"),
	fairly: t("sole-fairly-sure"),
	certain: t("sole-certain"),
};

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
			<Choice label={t("sole-players-guess")} all={codes} chosen={code} onChoose={setCode} />
			<Choice
				label={t("sole-how-sure-player")}
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
