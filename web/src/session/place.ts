/** What every place of a session gets. */
import type { Seen, Session } from "../api/client";
import type { Live } from "../api/session";

/** A change of the session. How it looks at once stands with the change (`acts/shown`); taken back with a word when it
 * is refused. */
export type Act = (change: () => Promise<Session | Seen>) => void;

export interface PlaceProps {
	session: Session;
	/** Run a change; its problem shows under the header. */
	act: Act;
	busy: boolean;
	live: Live;
}
