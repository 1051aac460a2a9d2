/** What a test still asks for, and how it is taken up: the same for every test. */
import { change } from "../acts";
import type { Session } from "../api/client";
import type { ProtocolKey } from "../api/words";
import type { Act } from "../session/place";

export type Standing = Session["tests"][number];
export type Task = Standing["tasks"][number];

/** Nothing where wedges are not worked at, and of a test that asks for no shots by itself. */
export const standingOf = (session: Session, test: string): Standing | undefined =>
	session.tests.find((each) => each.test === test);

/** The pair that is under codes just now, whatever it tests. */
export const blindOf = (session: Session) => session.tests.find((each) => each.blind !== null)?.blind ?? null;

/** Take a club in hand for one task of a test. */
export function hit(session: Session, act: Act, test: ProtocolKey, task: Task) {
	const { build, length, lie } = task;
	act(() => change.task(session.id, { build, protocol: test, length, lie }));
}

/** What the key for the next one does; nothing where all is hit. */
export const nextOf =
	(test: ProtocolKey) =>
	(session: Session, act: Act): (() => void) | null => {
		const task = standingOf(session, test)?.next;
		return task ? () => hit(session, act, test, task) : null;
	};

/** Whether this is what is being hit. */
export const isNow = (session: Session, test: string, task: Task): boolean =>
	session.protocol === test &&
	session.in_hand === task.build &&
	(session.lie ?? null) === task.lie &&
	session.length === task.length;
