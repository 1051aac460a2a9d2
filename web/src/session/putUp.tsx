/** Heads onto the stand. One that stands there as it is already is asked about, not put up a second time in silence. */
import { useEffect, useRef, useState } from "react";
import { change } from "../acts";
import { Problem, type Session } from "../api/client";
import { t } from "../said/words";
import type { PlaceProps } from "./place";

type Candidates = Parameters<typeof change.candidates>[1];

export function usePutUp(session: Session, act: PlaceProps["act"]) {
	const [asked, setAsked] = useState<{ words: string; wanted: Candidates } | null>(null);
	const here = useRef(false);
	useEffect(() => {
		here.current = true;
		return () => {
			here.current = false;
		};
	}, []);
	const put = (wanted: Candidates, again = false) => {
		setAsked(null);
		act(async () => {
			try {
				return await change.candidates(session.id, wanted, again);
			} catch (error) {
				// Who is gone by now is told where changes are.
				if (!here.current || !(error instanceof Problem && error.type === "stands_already")) throw error;
				setAsked({ words: error.title, wanted });
				return session;
			}
		});
	};
	const question = asked && (
		<div className="flex w-full flex-wrap items-center gap-2 py-1" role="alert">
			<p className="hole-text font-semibold">{asked.words}</p>
			<button type="button" className="btn btn-sm h-11" onClick={() => put(asked.wanted, true)}>
				{t("session-put-up-again")}
			</button>
			<button type="button" className="btn btn-sm btn-ghost h-11" onClick={() => setAsked(null)}>
				{t("label-leave-it")}
			</button>
		</div>
	);
	return { put, question };
}
