/** What every screen and paper of a shop says alike: its money, whether all of it is made up, its open bays, and what one reads in. */
import { createContext } from "react";
import type { Me } from "../api/client";

export type Shop = Pick<Me, "currency" | "demo" | "bays" | "units">;
export const InShop = createContext<Shop>({
	currency: "GBP",
	demo: false,
	bays: [],
	units: { far: "yd", high: "ft", speed: "mph", warmth: "c", club_length: "in" },
});
