/** What is sent of a shots file, and what its columns, units and clubs are called. */
import { type ImportPreview, Problem } from "../../api/client";

export const KEYS: Record<string, string> = {
	"": "Leave out",
	club: "Club",
	player: "Player",
	strike: "Strike",
	intent: "Intent",
	swing_length: "Length of swing",
	struck_ball: "Ball",
	lie: "Lie",
	carry_m: "Carry",
	total_m: "Total",
	offline_m: "Offline",
	peak_m: "Peak height",
	landing_deg: "Landing angle",
	hang_s: "Hang time",
	ball_speed_mps: "Ball speed",
	club_speed_mps: "Club speed",
	launch_deg: "Launch angle",
	direction_deg: "Launch direction",
	spin_rpm: "Spin",
	axis_deg: "Spin axis",
	attack_deg: "Attack angle",
	path_deg: "Club path",
	face_deg: "Face angle",
	dynamic_loft_deg: "Dynamic loft",
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
	yd: "yards",
	m: "metres",
	ft: "feet",
	kmh: "km/h",
	mps: "m/s",
	deg: "degrees",
};

export const MOST_BYTES = 4_000_000;
export const TOO_LARGE = new Problem(
	"The file is over 4 MB, more than a session of shots. Export one session.",
	400,
	"file",
);

export type Kind = NonNullable<ImportPreview["clubs"][number]["kind"]>;
export const KINDS: Record<Kind, string> = {
	driver: "driver",
	fairway: "fairway wood",
	hybrid: "hybrid",
	utility: "utility iron",
	iron: "iron",
	wedge: "wedge",
	putter: "putter",
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
