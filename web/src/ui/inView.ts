import { type RefObject, useEffect, useRef, useState } from "react";

/** Whether an element is on the screen; where a browser cannot tell, it is. */
export function useInView<Kind extends Element>(): [RefObject<Kind | null>, boolean] {
	const element = useRef<Kind>(null);
	const [seen, setSeen] = useState(typeof IntersectionObserver === "undefined");
	useEffect(() => {
		if (!element.current || typeof IntersectionObserver === "undefined") return;
		const watch = new IntersectionObserver(([entry]) => setSeen(entry?.isIntersecting ?? true));
		watch.observe(element.current);
		return () => watch.disconnect();
	}, []);
	return [element, seen];
}
