/** Who is signed in here, and what ends it. */
import { createContext } from "react";
import type { Me } from "../api/client";

export interface Here {
	me: Me;
	signOut: () => void;
	help: () => void;
}

export const Signed = createContext<Here | null>(null);
