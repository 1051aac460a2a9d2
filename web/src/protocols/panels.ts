/** What the Bay and the Bench show of a protocol. */
import type { Finding, Session } from "../api/client";
import type { ProtocolKey } from "../api/words";
import type { Act } from "../session/place";

export interface BayPanelProps {
	protocol: ProtocolKey;
	session: Session;
	act: Act;
	/** Called when something was asked for. */
	onAsked: () => void;
}

export interface BenchPanelProps {
	session: Session;
	/** What came of this protocol, for every build that was hit in it. */
	findings: Finding[];
}

/** A line on the Bay while its test is going on. */
export interface StripProps {
	session: Session;
	act: Act;
	agreed: boolean;
}

/** Takes up what is hit next; nothing where all of it is hit. */
export type NextOf = (session: Session, act: Act) => (() => void) | null;
