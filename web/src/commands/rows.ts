/** Commands written as rows. */
import type { Command } from "./commands";

/** Keys that are printed otherwise than they are pressed. */
const PRINTED: Record<string, string> = {
	arrowleft: "←", arrowright: "→", "-": "−", "'": "’", "shift+t": "⇧T", "shift+m": "⇧M",
}; // biome-ignore format: a list

/** id, name, key, why it cannot be done now, what it does. */
export type Row = [id: string, name: string, keys: string, blocked: string | undefined, run: () => void];
export const inGroup = (group: string, rows: Row[]): Command[] =>
	rows.map(([id, name, keys, blocked, run]) => ({
		id, name, keys, shown: PRINTED[keys] ?? keys.toUpperCase(), group, blocked, run,
	})); // biome-ignore format: a list
