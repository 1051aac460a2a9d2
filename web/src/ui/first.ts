/** What is done first where one comes to has the focus: one key does it. */
import { useEffect, useRef } from "react";

/** Whether somebody is at a field: what they type or choose stays theirs. */
const atField = (at: Element | null) =>
	(at instanceof HTMLInputElement && at.type !== "file") ||
	at instanceof HTMLSelectElement ||
	at instanceof HTMLTextAreaElement;

/** Focus it once, when it can be used and nobody is at a field; a field to be typed in only where a keyboard is at hand,
 * so that none covers the screen. */
export function useFirst<One extends HTMLElement>(ready = true, typed = false) {
	const one = useRef<One>(null);
	const done = useRef(false);
	useEffect(() => {
		if (!ready || done.current || atField(document.activeElement)) return;
		if (typed && window.matchMedia?.("(pointer: coarse)").matches) return;
		done.current = true;
		one.current?.focus();
	}, [ready, typed]);
	return one;
}
