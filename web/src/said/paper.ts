import { useEffect } from "react";
import { ownUnits, readIn, type Units } from "./units";
import { speakToGolfer } from "./words";

/** As long as it is shown, what is read is in the golfer's words, and in the units of whoever the paper is for; without
 * any, in one's own. */
export function usePaperWords(theirs: Omit<Units, "currency"> | null | undefined) {
	const wanted = { ...ownUnits(), ...theirs };
	readIn(wanted);
	speakToGolfer(true);
	useEffect(
		() => () => {
			readIn(ownUnits());
			speakToGolfer(false);
		},
		[],
	);
	return JSON.stringify(wanted);
}
