/** Quantities as they travel (SI) and as they are shown. Branded, so that yards and metres never mix. */
export type Metres = number & { readonly unit?: "m" };
export type Yards = number & { readonly unit: "yd" };

const MINUS = "\u2212";
const THIN = "\u202f";

export const toYards = (metres: number): Yards => (metres / 0.9144) as Yards;
export const toMetres = (yards: number): Metres => (yards * 0.9144) as Metres;
export const toFeet = (metres: number): number => metres / 0.3048;
export const toMph = (mps: number): number => mps / 0.44704;

/** A number with a true minus sign and thin spaces between thousands; an en dash for nothing. */
export function figure(value: number | null | undefined, digits = 0): string {
	if (value === null || value === undefined || !Number.isFinite(value)) return "–";
	const fixed = Math.abs(value).toFixed(digits);
	const [whole = "", part] = fixed.split(".");
	const spaced = whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN);
	const sign = value < 0 && Number(fixed) !== 0 ? MINUS : "";
	return `${sign}${spaced}${part ? `.${part}` : ""}`;
}

export const yd = (metres: number | null | undefined, digits = 0): string =>
	figure(metres === null || metres === undefined ? null : toYards(metres), digits);

/** Side of the line in yards, `6 R` or `4 L`; 0 has no side. */
export function side(metres: number | null | undefined): string {
	return metres === null || metres === undefined ? "–" : sideWords(toYards(metres));
}

export function sideWords(yards: number): string {
	const whole = Math.round(yards);
	return whole === 0 ? "0" : `${Math.abs(whole)} ${whole > 0 ? "R" : "L"}`;
}

export interface Shown {
	label: string;
	unit: string;
	digits: number;
	convert: (value: number) => number;
}

const same = (value: number) => value;

/** How each reading is shown; the keys are those of the API. */
export const READINGS: Record<string, Shown> = {
	carry_m: { label: "Carry", unit: "yd", digits: 0, convert: toYards },
	total_m: { label: "Total", unit: "yd", digits: 0, convert: toYards },
	offline_m: { label: "Offline", unit: "yd", digits: 0, convert: toYards },
	peak_m: { label: "Peak height", unit: "ft", digits: 0, convert: toFeet },
	landing_deg: { label: "Landing angle", unit: "°", digits: 0, convert: same },
	spin_rpm: { label: "Spin", unit: "rpm", digits: 0, convert: same },
	ball_speed_mps: { label: "Ball speed", unit: "mph", digits: 1, convert: toMph },
	club_speed_mps: { label: "Club speed", unit: "mph", digits: 1, convert: toMph },
	launch_deg: { label: "Launch", unit: "°", digits: 1, convert: same },
};

/** A reading in its shown unit, without the unit; degrees carry theirs. */
export function reading(key: string, value: number | null | undefined): string {
	const shown = READINGS[key];
	if (!shown || value === null || value === undefined) return "–";
	if (key === "offline_m") return side(value);
	return figure(shown.convert(value), shown.digits) + (shown.unit === "°" ? "°" : "");
}

/** A wish in words: `174 to 181`, `44° or more`. */
export function wish(key: string, low: number | null, high: number | null): string {
	if (key === "offline_m" && high !== null) return `${reading("total_m", high)} either side`;
	if (low !== null && high !== null) return `${reading(key, low)} to ${reading(key, high)}`;
	if (low !== null) return `${reading(key, low)} or more`;
	if (high !== null) return `${reading(key, high)} or less`;
	return "";
}
