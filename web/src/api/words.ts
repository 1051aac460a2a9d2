/** The closed lists of the core with the types they make. */
import type { Intent } from "./client";
import { VOCABULARY } from "./vocabulary";

export type ProtocolKey = keyof typeof VOCABULARY.protocols;
interface Protocol {
	name: string;
	why: string;
	intents: readonly Intent[];
	shots: number;
}
export const PROTOCOLS: Record<ProtocolKey, Protocol> = VOCABULARY.protocols;
export const protocolKeys = Object.keys(PROTOCOLS) as ProtocolKey[];
