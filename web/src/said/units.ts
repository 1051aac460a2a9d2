/** The reader's units: the one place in the browser that turns a quantity into figures, as `hemicycle_core.said.reader`. */
import { MINUS, whole } from "./figures";

export interface Units {
	far: "yd" | "m";
	high: "ft" | "m";
	speed: "mph" | "kmh" | "mps";
	warmth: "f" | "c";
	club_length: "in" | "mm";
	/** What an amount is said in; empty where none is written. */
	currency: string;
}

export const USUAL: Units = {
	far: "yd",
	high: "ft",
	speed: "mph",
	warmth: "c",
	club_length: "in",
	currency: "",
};

const KEPT = "units";
/** As the person who signed in here last reads: known before anything is drawn. */
function kept(): Units {
	try {
		return { ...USUAL, ...(JSON.parse(localStorage.getItem(KEPT) ?? "{}") as Partial<Units>) };
	} catch {
		return USUAL;
	}
}

let chosen: Units = kept();
export const units = (): Units => chosen;
/** Those of whoever signed in, whatever a paper of somebody else is read in meanwhile. */
export const ownUnits = kept;
/** Whoever reads this page reads it in these units. */
export function readIn(wanted: Units) {
	chosen = wanted;
}

/** From now on this device reads in these units; true where they are others than those that stand on the page. */
export function keepUnits(wanted: Units): boolean {
	const same = (Object.keys(USUAL) as (keyof Units)[]).every((name) => chosen[name] === wanted[name]);
	if (same) return false;
	try {
		localStorage.setItem(KEPT, JSON.stringify(wanted));
	} catch {
		return false; // Nothing is kept on this device: it goes on in the units that stand on the page.
	}
	return true;
}

/** Of each unit what one is of the canonical one, what is added, and how it is written behind a figure. */
const OF: Record<string, { scale: number; offset: number; written: string }> = {
	yd: { scale: 0.9144, offset: 0, written: "yd" },
	m: { scale: 1, offset: 0, written: "m" },
	ft: { scale: 0.3048, offset: 0, written: "ft" },
	mph: { scale: 0.44704, offset: 0, written: "mph" },
	kmh: { scale: 1 / 3.6, offset: 0, written: "km/h" },
	mps: { scale: 1, offset: 0, written: "m/s" },
	f: { scale: 5 / 9, offset: (-32 * 5) / 9, written: "°F" },
	c: { scale: 1, offset: 0, written: "°C" },
	in: { scale: 0.0254, offset: 0, written: "in" },
	mm: { scale: 0.001, offset: 0, written: "mm" },
};
const FIXED: Record<string, string> = { angle: "°", spin: " rpm", share: "%", time: " s", weight: " g" };
/** Digits more than in the usual unit, where a unit is so much larger or smaller. */
const FINER: Record<string, number> = { "speed mps": 1, "near m": 1, "club_length mm": -9 };

export type Kind =
	| "far" | "high" | "near" | "club_length" | "speed" | "warmth" | "angle" | "spin" | "share" | "chance" | "time"
	| "weight" | "money" | "number"; // biome-ignore format: a list
export const KINDS: ReadonlySet<string> = new Set([
	"far", "high", "near", "club_length", "speed", "warmth", "angle", "spin", "share", "chance", "time", "weight",
	"money", "number",
]); // biome-ignore format: a list

export interface Quantity {
	kind: Kind;
	value: number;
	digits: number;
	form: string;
	difference: boolean;
}

function unitOf(kind: Kind): (typeof OF)[string] | undefined {
	const name = kind === "near" ? chosen.high : chosen[kind as keyof Units];
	return kind === "money" ? undefined : OF[name];
}

/** A canonical value in the reader's unit. */
export function inUnit(kind: Kind, value: number, difference = false): number {
	const unit = unitOf(kind);
	if (!unit) return value;
	return (value - (difference ? 0 : unit.offset)) / unit.scale;
}

/** What was typed in the reader's unit, canonical. */
export function fromUnit(kind: Kind, typed: number): number {
	const unit = unitOf(kind);
	return unit ? typed * unit.scale + unit.offset : typed;
}

/** The same of a field where something stood: what still reads as that is that, to the last digit. */
export function typedIn(kind: Kind, typed: number, stood: number | null | undefined, digits = 0): number {
	const untouched = stood !== null && stood !== undefined && whole(inUnit(kind, stood), digits) === typed;
	return untouched ? stood : fromUnit(kind, typed);
}

/** What is written behind a figure, without its space. */
export function unit(kind: Kind): string {
	return unitOf(kind)?.written ?? (FIXED[kind] ?? "").trim();
}

const NAMES: Record<string, string> = {
	yd: "yards", m: "metres", ft: "feet", mph: "mph", "km/h": "km/h", "m/s": "metres a second", "°F": "degrees Fahrenheit", "°C": "degrees Celsius",
	in: "inches", mm: "millimetres",
}; // biome-ignore format: a list
/** The unit by its name, for what is read aloud. */
export const unitName = (kind: Kind): string => NAMES[unit(kind)] ?? unit(kind);

const fixed = (value: number, digits: number): string => {
	const rounded = whole(value, digits);
	return Math.abs(rounded)
		.toFixed(Math.max(digits, 0))
		.replace(/^/, rounded < 0 ? MINUS : "");
};

/** The figure alone, rounded as everything that is shown is. */
export function figureOf({ kind, value, digits, form, difference }: Quantity): string {
	if (kind === "chance") return chance(value);
	const scaled = kind === "share" ? value * 100 : inUnit(kind, value, difference);
	const name = kind === "near" ? chosen.high : chosen[kind as keyof Units];
	const finer = digits + (FINER[`${kind} ${name}`] ?? 0);
	const shown = digits >= 0 ? Math.max(finer, 0) : finer;
	if (kind === "money" && chosen.currency) return amount(scaled, Math.max(shown, 0), chosen.currency);
	if (form === "least") return fixed(Math.max(1, whole(scaled)), 0);
	// Nobody measures a club finer than to a millimetre.
	const short = name === "mm" ? whole(scaled) : scaled;
	if (form === "short") return String(Number(short.toPrecision(6))).replace("-", MINUS);
	if (form === "size") return fixed(Math.abs(scaled), shown);
	if (form === "signed") return (whole(scaled, shown) < 0 ? "" : "+") + fixed(scaled, shown);
	return fixed(scaled, shown);
}

/** An amount of money, as it is written in English. */
const amount = (value: number, digits: number, currency: string): string =>
	new Intl.NumberFormat("en-GB", {
		style: "currency",
		currency,
		minimumFractionDigits: digits,
		maximumFractionDigits: digits,
	})
		.format(value)
		.replace("-", MINUS);

function chance(value: number): string {
	const percent = whole(value * 100);
	return percent >= 99 ? "99%" : percent < 1 ? "under 1%" : `${percent}%`;
}

/** What stands behind a figure, with its space. */
export function written(kind: Kind): string {
	const unit = unitOf(kind);
	return unit ? ` ${unit.written}` : (FIXED[kind] ?? "");
}
