/** What is done first where one comes to has the focus: one key does it. */
import { useEffect, useRef } from "react";

/** Focus it when it is drawn; fields to be typed in only where a keyboard is at hand, so that none covers the screen. */
export function useFirst<One extends HTMLElement>(ready = true, typed = false) {
	const one = useRef<One>(null);
	useEffect(() => {
		if (ready && !(typed && window.matchMedia?.("(pointer: coarse)").matches)) one.current?.focus();
	}, [ready, typed]);
	return one;
}
