/** Quantities as they travel (SI) and as they are shown. Branded, so that yards and metres never mix. */
import { VOCABULARY } from "../api/vocabulary";
import { whole } from "../said/figures";
import { fromUnit, inUnit, type Kind, typedIn, unit, unitName, units } from "../said/units";
import type { Said } from "../said/words";
import { t } from "../said/words";

export { fromUnit, inUnit, typedIn, unit, unitName, whole };

declare const brand: unique symbol;
type In<Unit extends string> = number & { readonly [brand]: Unit };
export type Metres = In<"m">;
/** In the reader’s unit of how far a shot goes. */
export type Far = In<"far">;

/** What the API sends, its numbers branded by the endings of their names. */
export type InUnits<T> = T extends (infer Each)[]
	? InUnits<Each>[]
	: T extends Said
		? string
		: T extends object
			? { [Key in keyof T]: Key extends `${string}_m` ? Branded<T[Key], Metres> : InUnits<T[Key]> }
			: T;
type Branded<T, Unit> = T extends number ? Unit : T extends object ? InUnits<T> : T;

const MINUS = "\u2212";
const THIN = "\u202f";

/** Into the reader’s units, and back from what was typed in them. */
export const toFar = (metres: Metres): Far => inUnit("far", metres) as Far;
export const fromFar = (typed: number): Metres => fromUnit("far", typed) as Metres;
export const toSpeed = (mps: number): number => inUnit("speed", mps);
export const fromSpeed = (typed: number): number => fromUnit("speed", typed);
export const toHigh = (metres: Metres): number => inUnit("high", metres);
export const fromHigh = (typed: number): number => fromUnit("high", typed);
/** Figures of a speed, with as many digits as its unit wants. */
export const speedDigits = () => (units().speed === "mps" ? 1 : 0);

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

export const asFar = (metres: Metres | null | undefined, digits = 0): string =>
	figure(metres === null || metres === undefined ? null : toFar(metres), digits);

/** Side of the line, `6 R` or `4 L`; 0 has no side. */
export function side(metres: Metres | null | undefined): string {
	return metres === null || metres === undefined ? "–" : sideWords(toFar(metres));
}

export function sideWords(beside: number): string {
	const far = whole(beside);
	return far === 0 ? "0" : `${Math.abs(far)} ${far > 0 ? "R" : "L"}`;
}

export type ReadingKey = keyof typeof VOCABULARY.readings;
/** Readings of a shot or an average, canonical, by key; what was not read is not there. */
export type Readings = Record<string, number>;

interface Shown {
	label: string;
	unit: string;
	digits: number;
	/** What one of the shown unit is in the canonical one. */
	scale: number;
}
const READINGS: Record<string, Shown> = VOCABULARY.readings;
const UNKNOWN: Shown = { label: "", unit: "", digits: 0, scale: 1 };
/** What a reading is a figure of, by the unit it is usually shown in. */
const KIND: Record<string, Kind> = { yd: "far", ft: "high", mph: "speed" };

/** How a reading is shown: its label, and unit and digits as the reader has them. */
export function shownAs(key: string): Shown {
	const usual = READINGS[key] ?? UNKNOWN;
	const kind = KIND[usual.unit];
	if (!kind) return usual;
	return {
		...usual,
		unit: unit(kind),
		scale: fromUnit(kind, 1),
		digits: kind === "speed" ? Math.max(usual.digits, speedDigits()) : usual.digits,
	};
}

/** What one of a reading’s usual unit, in which the shop’s settings travel, is in the unit it is shown in. */
export const ofUsual = (key: string): number => (READINGS[key] ?? UNKNOWN).scale / shownAs(key).scale;

/** A canonical value in the unit it is shown in. */
export const inShown = (key: string, value: number): number => value / shownAs(key).scale;

/** A length among readings, by its key. */
export function metresOf(readings: Readings, key: `${string}_m`): Metres | null {
	const value = readings[key];
	return value === undefined ? null : (value as Metres);
}

/** A length among readings, in the reader’s unit. */
export function farOf(readings: Readings, key: `${string}_m`): Far | null {
	const metres = metresOf(readings, key);
	return metres === null ? null : toFar(metres);
}

/** A reading in its shown unit, without the unit; degrees carry theirs. */
export function reading(key: string, value: number | null | undefined): string {
	if (!READINGS[key] || value === null || value === undefined) return "–";
	if (key === "offline_m") return side(value as Metres);
	const shown = shownAs(key);
	return figure(inShown(key, value), shown.digits) + (shown.unit === "°" ? "°" : "");
}

/** A wish in words: `174 to 181`, `44° or more`; with its unit, where none stands beside it: `11 yd either side`. */
export function wish(key: string, low: number | null, high: number | null, withUnit = false): string {
	const { unit: name } = shownAs(key);
	const last = (value: number, as = key) => reading(as, value) + (withUnit && name !== "°" ? ` ${name}` : "");
	if (key === "offline_m" && high !== null) return t("ui-either-side", { high: last(high, "total_m") });
	if (low !== null && high !== null) return t("ui-to", { key: reading(key, low), key2: last(high) });
	if (low !== null) return t("ui-or-more", { key: last(low) });
	if (high !== null) return t("ui-or-less", { key: last(high) });
	return "";
}

/** A length of a club as it is typed and shown, without its unit. */
export const lengthText = (metres: number): string =>
	String(Number(inUnit("club_length", metres).toFixed(units().club_length === "mm" ? 0 : 2)));
