/** What every place of a session gets. */
import type { Seen, Session } from "../api/client";
import type { Live } from "../api/session";

/** A change of the session. now: how the session looks at once, before the server has said so; taken back with a word
 * when it is refused. */
export type Act = (change: () => Promise<Session | Seen>, now?: (session: Session) => Session) => void;

export interface PlaceProps {
	session: Session;
	/** Run a change; its problem shows under the header. */
	act: Act;
	busy: boolean;
	live: Live;
}
