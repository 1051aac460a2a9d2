/** Every protocol of the core with its panels, found by its key: the folder of that name, if it has any. */
import { VOCABULARY } from "../api/vocabulary";
import type { ProtocolKey } from "../api/words";
import { Asks } from "./Asks";
import type { Panels } from "./panels";

const FOUND = import.meta.glob<{ panels: Panels }>("./*/panels.ts", { eager: true });
const KEYS = Object.keys(VOCABULARY.protocols) as ProtocolKey[];

export const PANELS = Object.fromEntries(
	KEYS.map((key) => [key, { Bay: Asks, ...FOUND[`./${key}/panels.ts`]?.panels }]),
) as Record<ProtocolKey, Panels & Required<Pick<Panels, "Bay">>>;
