/** Shaped shots. */
import type { Panels } from "../panels";
import { ShapedBench } from "./ShapedBench";

export const panels: Panels = { Bench: ShapedBench };
