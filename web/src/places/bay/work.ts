/** The shots that an act in the Bay is about. */
import { useMemo, useState } from "react";
import type { Session } from "../../api/client";
import { shotsOf } from "../../session/select";

/** The shot that keys act on: the one that was touched, else the last one; or several that were selected. */
export function useShotsInWork(session: Session, build: number | null) {
	const [touched, setTouched] = useState<number | null>(null);
	const [chosen, setChosen] = useState<number[]>([]);
	const shots = useMemo(() => (build === null ? [] : shotsOf(session, build)), [session, build]);
	const shot = shots.find((each) => each.id === touched) ?? shots.at(-1);
	const selected = shots.filter((each) => chosen.includes(each.id));
	const turn = (id: number) =>
		setChosen((so) => (so.includes(id) ? so.filter((each) => each !== id) : [...so, id]));
	const touch = (id: number) => {
		setTouched(id);
		if (selected.length) turn(id);
	};
	const step = (by: number) => {
		const at = shots.findIndex((each) => each.id === shot?.id) + by;
		if (shots[at]) setTouched(shots[at].id);
	};
	return { shots, shot, selected, touch, turn, step, select: setChosen };
}
