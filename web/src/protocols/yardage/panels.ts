/** A yardage by name. */
import type { Panels } from "../panels";
import { YardageBay } from "./YardageBay";
import { YardageBench } from "./YardageBench";

export const panels: Panels = { Bay: YardageBay, Bench: YardageBench };
