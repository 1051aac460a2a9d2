/** Part swings for the distance card. */
import type { Panels } from "../panels";
import { nextSwing, PartSwingBay, PartSwingStrip } from "./PartSwingBay";

export const panels: Panels = { Bay: PartSwingBay, Strip: PartSwingStrip, next: nextSwing };
