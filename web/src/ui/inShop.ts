/** What every screen and paper of a shop says alike: its money, whether all of it is made up, and its open bays. */
import { createContext } from "react";
import type { Me } from "../api/client";

export type Shop = Pick<Me, "currency" | "demo" | "bays">;
export const InShop = createContext<Shop>({ currency: "GBP", demo: false, bays: [] });
