/** Light or dark, as the system has it until someone chooses; kept on this screen. */
import { useState } from "react";

export type Theme = "chalk" | "dusk";
const KEY = "hemicycle-theme";

export function startTheme(): Theme {
	const kept = localStorage.getItem(KEY);
	const dark = window.matchMedia?.("(prefers-color-scheme: dark)").matches;
	const theme: Theme = kept === "chalk" || kept === "dusk" ? kept : dark ? "dusk" : "chalk";
	document.documentElement.dataset.theme = theme;
	onPaperLight();
	return theme;
}

/** Paper is light, whatever the screen is. */
function onPaperLight(): void {
	let screen: string | undefined;
	window.addEventListener("beforeprint", () => {
		screen = document.documentElement.dataset.theme;
		document.documentElement.dataset.theme = "chalk";
	});
	window.addEventListener("afterprint", () => {
		if (screen) document.documentElement.dataset.theme = screen;
	});
}

export function useTheme(): [Theme, () => void] {
	const [theme, setTheme] = useState<Theme>(() =>
		document.documentElement.dataset.theme === "dusk" ? "dusk" : "chalk",
	);
	const turn = () => {
		const next: Theme = theme === "chalk" ? "dusk" : "chalk";
		document.documentElement.dataset.theme = next;
		localStorage.setItem(KEY, next);
		setTheme(next);
	};
	return [theme, turn];
}
