/** What is sent of a shots file, and what its columns, units and clubs are called. */
import { type ImportPreview, Problem } from "../../api/client";
import { t } from "../../said/words";

export const KEYS: Record<string, string> = {
	"": t("label-leave-out-2"),
	club: t("label-club"),
	player: t("bag-player"),
	strike: t("bag-strike"),
	intent: t("bag-intent"),
	swing_length: t("bag-length-swing"),
	struck_ball: t("bag-ball"),
	lie: t("label-lie"),
	carry_m: t("label-carry-2"),
	total_m: t("label-total"),
	offline_m: t("bag-offline"),
	peak_m: t("bag-peak-height"),
	landing_deg: t("bag-landing-angle"),
	hang_s: t("bag-hang-time"),
	ball_speed_mps: t("label-ball-speed"),
	club_speed_mps: t("bag-club-speed"),
	launch_deg: t("bag-launch-angle"),
	direction_deg: t("bag-launch-direction"),
	spin_rpm: t("label-spin"),
	axis_deg: t("bag-spin-axis"),
	attack_deg: t("bag-attack-angle"),
	path_deg: t("bag-club-path"),
	face_deg: t("bag-face-angle"),
	dynamic_loft_deg: t("bag-dynamic-loft"),
};
export const unitsFor = (key: string): string[] => {
	if (key.endsWith("_mps")) return ["mph", "kmh", "mps"];
	if (key.endsWith("_m")) return ["yd", "m", "ft"];
	if (key.endsWith("_deg")) return ["deg"];
	if (key.endsWith("_rpm")) return ["rpm"];
	if (key.endsWith("_s")) return ["s"];
	return [];
};
export const UNIT_WORDS: Record<string, string> = {
	yd: t("bag-yards"),
	m: t("bag-metres"),
	ft: t("bag-feet"),
	kmh: "km/h",
	mps: "m/s",
	deg: t("bag-degrees"),
};

export const MOST_BYTES = 4_000_000;
export const TOO_LARGE = new Problem(t("bag-file-over-4-mb-more"), 400, "file");

export type Kind = NonNullable<ImportPreview["clubs"][number]["kind"]>;
export const KINDS: Record<Kind, string> = {
	driver: t("bag-driver"),
	fairway: t("bag-fairway-wood"),
	hybrid: t("bag-hybrid"),
	utility: t("bag-utility-iron"),
	iron: t("bag-iron"),
	wedge: t("bag-wedge"),
	putter: t("bag-putter"),
};

export interface Request {
	file_name: string;
	text: string;
	data: string;
	sheet: string;
	columns: { header: string; key: string; unit: string; sure: boolean }[];
	clubs: Record<string, string>;
	kinds: Record<string, Kind>;
	aside: number[];
	whose: string;
	again: boolean;
	answered: string[];
}

export const FRESH = {
	sheet: "",
	columns: [],
	clubs: {},
	kinds: {},
	aside: [],
	whose: "",
	again: false,
	answered: [],
};

/** A workbook as it is, in base64; a text as its letters. */
export async function contentsOf(file: File): Promise<{ text: string; data: string }> {
	const bytes = new Uint8Array(await file.arrayBuffer());
	if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return { text: textOf(bytes), data: "" };
	let letters = "";
	for (let at = 0; at < bytes.length; at += 8192) {
		letters += String.fromCharCode(...bytes.subarray(at, at + 8192));
	}
	return { text: "", data: btoa(letters) };
}

/** UTF-8 with or without a mark, UTF-16 by its mark, else Windows-1252. */
function textOf(bytes: Uint8Array): string {
	if ((bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff)) {
		return new TextDecoder(bytes[0] === 0xff ? "utf-16le" : "utf-16be").decode(bytes);
	}
	try {
		return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
	} catch {
		return new TextDecoder("windows-1252").decode(bytes);
	}
}
