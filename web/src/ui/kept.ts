/** State that outlives the place it is typed in and a reload: kept in this browser, by whose it is and what it is for. */
import { useState } from "react";

const STORED = "hemicycle.kept.";

function read<T>(name: string, otherwise: T): T {
	try {
		const found = localStorage.getItem(name);
		return found === null ? otherwise : (JSON.parse(found) as T);
	} catch {
		return otherwise;
	}
}

/** As useState; `drop` forgets what is kept, once the server has it. */
export function useKept<T>(what: string, otherwise: T): [T, (value: T) => void, () => void] {
	const name = STORED + what;
	const [value, setValue] = useState<T>(() => read(name, otherwise));
	const set = (next: T) => {
		setValue(next);
		try {
			localStorage.setItem(name, JSON.stringify(next));
		} catch {
			// Full or forbidden: it lives as long as the place is open.
		}
	};
	return [value, set, () => localStorage.removeItem(name)];
}
