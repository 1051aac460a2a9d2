/** Every protocol of the core with its panels, found by its key: the folder of that name, if it has any. */
import { VOCABULARY } from "../api/vocabulary";
import { PROTOCOLS, type ProtocolKey } from "../api/words";
import { Asks } from "./Asks";
import type { Panels } from "./panels";
import { Results } from "./Results";
import { nextOf } from "./standing";
import { TasksBay, TasksStrip } from "./Tasks";

const FOUND = import.meta.glob<{ panels: Panels }>("./*/panels.ts", { eager: true });
const KEYS = Object.keys(VOCABULARY.protocols) as ProtocolKey[];

/** What a test has that has no panels of its own. */
const usual = (key: ProtocolKey): Panels =>
	PROTOCOLS[key].tasks
		? { Bay: TasksBay, Strip: TasksStrip, next: nextOf(key), Result: Results }
		: { Bay: Asks };

export const PANELS = Object.fromEntries(
	KEYS.map((key) => [key, { ...usual(key), ...FOUND[`./${key}/panels.ts`]?.panels }]),
) as Record<ProtocolKey, Panels & Required<Pick<Panels, "Bay">>>;
