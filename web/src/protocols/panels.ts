/** What the Bay and the Bench show of a protocol. */
import type { ComponentType } from "react";
import type { Bench, Finding, Session } from "../api/client";
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
	protocol: ProtocolKey;
	session: Session;
	act: Act;
	agreed: boolean;
}

/** Takes up what is hit next; nothing where all of it is hit. */
export type NextOf = (session: Session, act: Act) => (() => void) | null;

/** What came of a test over all clubs together, on the Bench. */
export interface ResultProps {
	protocol: ProtocolKey;
	session: Session;
	bench: Bench | undefined;
	act: Act;
}

export interface Panels {
	/** What is asked of the player. Where a test has none of its own: its tasks by a touch each, or just what it asks. */
	Bay?: ComponentType<BayPanelProps>;
	/** What came of it for each build; nothing where the whole Bench is what comes of it. */
	Bench?: ComponentType<BenchPanelProps>;
	Result?: ComponentType<ResultProps>;
	/** On the Bay while it is going on. */
	Strip?: ComponentType<StripProps>;
	/** What comes next of it, where it says so. */
	next?: NextOf | undefined;
}
