/** Across a paper that is nobody's: made up in the demo, or a try-out. It prints. */
import { useContext } from "react";
import { InShop } from "./inShop";

const ROWS = ["a", "b", "c", "d", "e", "f", "g", "h"];

/** small: a card, which has room for the word alone. */
export function MadeUp({ tryOut = false, small = false }: { tryOut?: boolean; small?: boolean }) {
	const { demo } = useContext(InShop);
	if (!demo && !tryOut) return null;
	const [word, said] = demo
		? ["Demo", "Demo: the shop, the player and every figure are made up."]
		: ["Try-out", "Try-out: nobody hit these shots. A stand-in did."];
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
