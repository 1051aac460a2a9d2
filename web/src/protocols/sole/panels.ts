/** The blind sole test. */
import type { Panels } from "../panels";
import { nextCode, SoleBay } from "./SoleBay";
import { SoleBench } from "./SoleBench";
import { SoleStrip } from "./SoleStrip";

export const panels: Panels = { Bay: SoleBay, Result: SoleBench, Strip: SoleStrip, next: nextCode };
