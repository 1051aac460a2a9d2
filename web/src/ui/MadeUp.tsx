/** Across a paper that is nobody's: made up in the demo, or a try-out. It prints. */
import { useContext } from "react";
import { t } from "../said/words";
import { InShop } from "./inShop";

const ROWS = ["a", "b", "c", "d", "e", "f", "g", "h"];

/** small: a card, which has room for the word alone. */
export function MadeUp({ tryOut = false, small = false }: { tryOut?: boolean; small?: boolean }) {
	const { demo } = useContext(InShop);
	if (!demo && !tryOut) return null;
	const [word, said] = demo
		? [t("ui-demo"), t("ui-demo-shop-player-every-figure")]
		: ["Try-out", t("ui-try-out-nobody-hit-these")];
	return (
		<>
			<p className={small ? "sr-only" : "hole-text mb-3 font-semibold"}>{said}</p>
			<div className={`made-up ${small ? "made-up-small" : ""}`} aria-hidden>
				{(small ? ROWS.slice(0, 2) : ROWS).map((row) => (
					<span key={row} data-word={`${word}   ${word}   ${word}`} />
				))}
			</div>
		</>
	);
}
