/** What a page that a code opens shows by now: read anew whenever the server says that something changed. */
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";

/** A line that neither opens nor fails is no line. */
const PATIENCE_MS = 5000;

/** Follow a page by its code, once it is known that the code opens it. True while there is no line. */
export function useLostLine(kind: "player" | "hand-out", code: string, known: boolean): boolean {
	const queries = useQueryClient();
	const [lost, setLost] = useState(false);
	useEffect(() => {
		if (!known) return;
		const source = new EventSource(`/api/${kind}/${code}/stream`);
		let late = setTimeout(() => setLost(true), PATIENCE_MS);
		const beat = () => {
			clearTimeout(late);
			late = setTimeout(() => setLost(true), PATIENCE_MS);
			setLost(false);
		};
		source.addEventListener("beat", beat);
		source.addEventListener("changed", () => {
			beat();
			void queries.invalidateQueries({ queryKey: [kind, code] });
		});
		source.onerror = () => {
			setLost(true);
			if (source.readyState === EventSource.CLOSED)
				void queries.invalidateQueries({ queryKey: [kind, code] });
		};
		return () => {
			clearTimeout(late);
			source.close();
		};
	}, [kind, code, known, queries]);
	return lost;
}
