/** Old grooves against new. */
import type { Panels } from "../panels";
import { GroovesBay, GroovesStrip, nextGroove } from "./GroovesBay";
import { GroovesBench } from "./GroovesBench";

export const panels: Panels = {
	Bay: GroovesBay,
	Result: GroovesBench,
	Strip: GroovesStrip,
	next: nextGroove,
};
