/** Words that this product means something by: a dotted line, which opens what. The guide has the same ones. */
import "../said/rest";
import { useId } from "react";
import { t } from "../said/words";

export const GLOSSARY = {
	gap: [t("glossary-gap"), t("glossary-gap-says")],
	slot: [t("glossary-slot"), t("glossary-slot-says")],
	step: [t("glossary-step"), t("glossary-step-says")],
	window: [t("glossary-window"), t("glossary-window-says")],
	build: [t("glossary-build"), t("glossary-build-says")],
	stand: [t("glossary-stand"), t("glossary-stand-says")],
	visit: [t("glossary-visit"), t("glossary-visit-says")],
	settled: [t("glossary-settled"), t("glossary-settled-says")],
} as const;
export type TermKey = keyof typeof GLOSSARY;

/** A term in running text, or as what is written where it stands. */
export function Term({ of, children }: { of: TermKey; children?: string }) {
	const id = useId();
	const [word, says] = GLOSSARY[of];
	return (
		<>
			<button type="button" className="term" popoverTarget={id}>
				{children ?? word}
			</button>
			<span id={id} popover="auto" role="note" className="term-says">
				<strong className="first-letter:uppercase">{word}</strong>
				{": "}
				{says}
			</span>
		</>
	);
}
