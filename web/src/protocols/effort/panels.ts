/** Eased and hard swings. */
import type { Panels } from "../panels";
import { EffortBench } from "./EffortBench";

export const panels: Panels = { Bench: EffortBench };
