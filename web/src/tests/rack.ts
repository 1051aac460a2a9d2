/** Heads and shafts as the API shows them. */
import type { Rack } from "../api/client";
import { m } from "./session";

export const head = (
	id: number,
	label: string,
	more: Partial<Rack["heads"][number]> = {},
): Rack["heads"][number] => ({
	id,
	maker: "Brackwater",
	model: "Skerry",
	label,
	head_type: "hybrid",
	loft_deg: 22,
	lie_deg: 59,
	length_m: m(1.016),
	length_in: 40,
	sleeve_deg: 2,
	positions: [],
	lofts_deg: [20, 21, 22, 23, 24],
	tip_in: 0.37,
	hand: "both",
	left_handed: true,
	right_handed: true,
	sole: "wide",
	bounce_deg: null,
	head_g: null,
	made: "unknown",
	stock: 1,
	price: "279.00",
	shafts: [21, 22],
	retired: false,
	history: { players: 0, won: 0, speed_share: null, launch_deg: null, spin_share: null },
	...more,
});

export const shaft = (
	id: number,
	name: string,
	more: Partial<Rack["shafts"][number]> = {},
): Rack["shafts"][number] => ({
	id,
	name,
	flex: "R",
	weight_g: 65,
	material: "graphite",
	tip_in: 0.37,
	fits: ["hybrid"],
	bend: "unknown",
	balance: null,
	length_in: null,
	stock: 1,
	retired: false,
	...more,
});
