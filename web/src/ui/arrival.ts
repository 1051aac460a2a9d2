/** Where one is: in the title of the window, and by the focus, which goes to the heading of a place that is come to. */
import { useEffect, useRef } from "react";

const PRODUCT = "Hemicycle";

/** As `Bay - Ines Duarte - Hemicycle`. */
export function useTitle(...parts: (string | undefined)[]): void {
	const title = [...parts.filter(Boolean), PRODUCT].join(" - ");
	useEffect(() => {
		document.title = title;
	}, [title]);
}

let last = "";

/** The heading of a place. Whoever comes from another one is at it; what was pressed to get here has no focus left. */
export function useArrival<Heading extends HTMLElement>(place: string) {
	const heading = useRef<Heading>(null);
	useEffect(() => {
		const came = last !== "" && last !== place;
		last = place;
		const at = document.activeElement;
		const inside = at instanceof HTMLElement && at.closest("main, dialog") !== null;
		if (came && !inside) heading.current?.focus({ preventScroll: true });
	}, [place]);
	return heading;
}
