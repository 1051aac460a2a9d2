/** What a fitter types, read as a number: nothing is nothing, and what is no number is said, never taken for nothing. */
import { Problem } from "../api/client";
import { t } from "../said/words";
import { type Metres, typedIn } from "./units";

export function typedNumber(text: string, what: string): number | null {
	const clean = text.trim().replace(",", ".").replace("\u2212", "-");
	if (clean === "") return null;
	const value = Number(clean);
	if (!Number.isFinite(value)) {
		throw new Problem(t("ui-no-number-write-figures-as", { text: text.trim(), what }), 0, null);
	}
	return value;
}

/** A number that must be there. */
export function neededNumber(text: string | undefined, what: string): number {
	const found = typedNumber(text ?? "", what);
	if (found === null) throw new Problem(t("ui-give-the", { what }), 0, null);
	return found;
}

/** A length typed in the reader’s unit, in metres. */
export function typedFar(text: string, what: string, stood: number | null = null): Metres | null {
	const value = typedNumber(text, what);
	return value === null ? null : (typedIn("far", value, stood) as Metres);
}
