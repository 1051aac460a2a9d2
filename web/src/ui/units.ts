/** Quantities as they travel (SI) and as they are shown. Branded, so that yards and metres never mix. */
import { VOCABULARY } from "../api/vocabulary";

declare const unit: unique symbol;
type In<Unit extends string> = number & { readonly [unit]: Unit };
export type Metres = In<"m">;
export type Yards = In<"yd">;

/** What the API sends, its numbers branded by the endings of their names. */
export type InUnits<T> = T extends (infer Each)[]
	? InUnits<Each>[]
	: T extends object
		? { [Key in keyof T]: Key extends `${string}_m` ? Branded<T[Key], Metres> : InUnits<T[Key]> }
		: T;
type Branded<T, Unit> = T extends number ? Unit : T extends object ? InUnits<T> : T;

const MINUS = "\u2212";
const THIN = "\u202f";

export const toYards = (metres: Metres): Yards => (metres / 0.9144) as Yards;
export const toMetres = (yards: number): Metres => (yards * 0.9144) as Metres;
const MPH = 0.44704;
/** Metres a second as miles an hour, and back. */
export const toMph = (mps: number): number => mps / MPH;
export const fromMph = (mph: number): number => mph * MPH;
export const toFeet = (metres: Metres): number => metres / 0.3048;

/** A half that a conversion of units missed by the last bits of a float is still a half. */
const HALF = 1e-9;
/** Rounded as everything that is shown is: halves go away from nought, as the sentences do. */
export function whole(value: number, digits = 0): number {
	const scale = 10 ** digits;
	const made = Math.floor(Math.abs(value) * scale + 0.5 + HALF) / scale;
	return value < 0 && made !== 0 ? -made : made;
}

/** A number with a true minus sign and thin spaces between thousands; an en dash for nothing. */
export function figure(value: number | null | undefined, digits = 0): string {
	if (value === null || value === undefined || !Number.isFinite(value)) return "–";
	const fixed = Math.abs(whole(value, digits)).toFixed(digits);
	const [ones = "", part] = fixed.split(".");
	const spaced = ones.replace(/\B(?=(\d{3})+(?!\d))/g, THIN);
	const sign = value < 0 && Number(fixed) !== 0 ? MINUS : "";
	return `${sign}${spaced}${part ? `.${part}` : ""}`;
}

/** A gain with its sign, to one digit; what rounds to nothing has none. */
export const signed = (value: number) => {
	const shown = figure(Math.abs(value), 1);
	return shown === "0.0" ? shown : `${value > 0 ? "+" : "−"}${shown}`;
};

export const yd = (metres: Metres | null | undefined, digits = 0): string =>
	figure(metres === null || metres === undefined ? null : toYards(metres), digits);

/** Side of the line in yards, `6 R` or `4 L`; 0 has no side. */
export function side(metres: Metres | null | undefined): string {
	return metres === null || metres === undefined ? "–" : sideWords(toYards(metres));
}

export function sideWords(yards: number): string {
	const far = whole(yards);
	return far === 0 ? "0" : `${Math.abs(far)} ${far > 0 ? "R" : "L"}`;
}

export type ReadingKey = keyof typeof VOCABULARY.readings;
/** Readings of a shot or an average, canonical, by key; what was not read is not there. */
export type Readings = Record<string, number>;

interface Shown {
	label: string;
	unit: string;
	digits: number;
	scale: number;
}
const READINGS: Record<string, Shown> = VOCABULARY.readings;
const UNKNOWN: Shown = { label: "", unit: "", digits: 0, scale: 1 };

/** How a reading is shown: its label, unit and digits. */
export const shownAs = (key: string): Shown => READINGS[key] ?? UNKNOWN;

/** A canonical value in the unit it is shown in. */
export const inShown = (key: string, value: number): number => value / shownAs(key).scale;

/** A length among readings, by its key. */
export function metresOf(readings: Readings, key: `${string}_m`): Metres | null {
	const value = readings[key];
	return value === undefined ? null : (value as Metres);
}

/** A length among readings, in yards. */
export function yardsOf(readings: Readings, key: `${string}_m`): Yards | null {
	const metres = metresOf(readings, key);
	return metres === null ? null : toYards(metres);
}

/** A reading in its shown unit, without the unit; degrees carry theirs. */
export function reading(key: string, value: number | null | undefined): string {
	if (!READINGS[key] || value === null || value === undefined) return "–";
	if (key === "offline_m") return side(value as Metres);
	const shown = shownAs(key);
	return figure(inShown(key, value), shown.digits) + (shown.unit === "°" ? "°" : "");
}

/** A wish in words: `174 to 181`, `44° or more`. */
export function wish(key: string, low: number | null, high: number | null): string {
	if (key === "offline_m" && high !== null) return `${reading("total_m", high)} either side`;
	if (low !== null && high !== null) return `${reading(key, low)} to ${reading(key, high)}`;
	if (low !== null) return `${reading(key, low)} or more`;
	if (high !== null) return `${reading(key, high)} or less`;
	return "";
}
