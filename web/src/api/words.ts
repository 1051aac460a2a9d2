/** The closed lists of the core with the types they make. */
import type { Intent } from "./client";
import { VOCABULARY } from "./vocabulary";

export type ProtocolKey = keyof typeof VOCABULARY.protocols;
interface Protocol {
	name: string;
	why: string;
	intents: readonly Intent[];
	shots: number;
	/** Goes on with another of its clubs. */
	short: boolean;
	/** Asks for its shots one by one. */
	tasks: boolean;
}
export const PROTOCOLS: Record<ProtocolKey, Protocol> = VOCABULARY.protocols;
export const protocolKeys = Object.keys(PROTOCOLS) as ProtocolKey[];

/** What a code of a closed list is called: a lie, a ball, a finish. */
export const termOf = (kind: keyof typeof VOCABULARY.terms, code: string): string =>
	(VOCABULARY.terms[kind] as Record<string, string>)[code.replace("-", "_")] ?? code;
