/** Rounding as everything that is shown is rounded. */
export const MINUS = "\u2212";
/** A half that a conversion of units missed by the last bits of a float is still a half. */
const HALF = 1e-9;

/** Halves go away from nought, as the sentences do. */
export function whole(value: number, digits = 0): number {
	const scale = 10 ** digits;
	const made = Math.floor(Math.abs(value) * scale + 0.5 + HALF) / scale;
	return value < 0 && made !== 0 ? -made : made;
}
