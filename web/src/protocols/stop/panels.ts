/** The stop test. */
import type { Panels } from "../panels";
import { StopBay, StopStrip } from "./StopBay";
import { StopBench } from "./StopBench";

export const panels: Panels = { Bay: StopBay, Result: StopBench, Strip: StopStrip, next: undefined };
