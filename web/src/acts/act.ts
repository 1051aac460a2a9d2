/** How a change of a session is sent: by its name in the list of all changes, the number of what it changes, and a body. */
import { client, got, type Seen, type Session } from "../api/client";
import type { Briefly, Change, Sent } from "./changes";
import { shownOf } from "./shown";

/** What a change answers with: the session, or what it did where that is told by itself. */
export type Answer<C extends Change> = Promise<Briefly<C> extends true ? Session | Seen : Session>;

export function act<C extends Change>(change: C, id: number, ...[body]: Sent<C>): Answer<C> {
	const [method = "", path = ""] = change.split(" ");
	const [, name = ""] = /\{(\w+)\}/.exec(path) ?? [];
	const init = { params: { path: { [name]: id } }, ...(body === undefined ? {} : { body }) };
	// Which body goes with which path is held by `Sent`.
	const sent = got(client.request(method.toLowerCase() as "put", path as never, init as never)) as Answer<C>;
	LOOKS.set(sent, shownOf(change, id, body));
	return sent;
}

const LOOKS = new WeakMap<Promise<unknown>, (seen: Session) => Session>();
/** How the session looks at once, by what was sent. */
export const looksOf = (sent: Promise<unknown>): ((seen: Session) => Session) =>
	LOOKS.get(sent) ?? ((seen) => seen);

/** A change by its name alone. */
export const to =
	<C extends Change>(change: C) =>
	(id: number, ...sent: Sent<C>): Answer<C> =>
		act(change, id, ...sent);
