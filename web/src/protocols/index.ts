/** Every protocol of the core with its panels. A new one: its folder, and its line here. */
import type { ComponentType } from "react";
import type { ProtocolKey } from "../api/words";
import { Asks } from "./Asks";
import { EffortBench } from "./effort/EffortBench";
import { GroovesBay, GroovesStrip, nextGroove } from "./grooves/GroovesBay";
import type { BayPanelProps, BenchPanelProps, NextOf, StripProps } from "./panels";
import { nextSwing, PartSwingBay, PartSwingStrip } from "./part_swing/PartSwingBay";
import { ShapedBench } from "./shaped/ShapedBench";
import { nextCode, SoleBay } from "./sole/SoleBay";
import { SoleStrip } from "./sole/SoleStrip";
import { StopBay, StopStrip } from "./stop/StopBay";
import { YardageBay } from "./yardage/YardageBay";
import { YardageBench } from "./yardage/YardageBench";

interface Panels {
	Bay: ComponentType<BayPanelProps>;
	/** Nothing where the whole Bench is what comes of it. */
	Bench?: ComponentType<BenchPanelProps>;
	/** On the Bay while it is going on. */
	Strip?: ComponentType<StripProps>;
	/** What comes next of it, where it says so. */
	next?: NextOf;
}

export const PANELS: Record<ProtocolKey, Panels> = {
	full_swing: { Bay: Asks },
	shaped: { Bay: Asks, Bench: ShapedBench },
	effort: { Bay: Asks, Bench: EffortBench },
	yardage: { Bay: YardageBay, Bench: YardageBench },
	part_swing: { Bay: PartSwingBay, Strip: PartSwingStrip, next: nextSwing },
	sole: { Bay: SoleBay, Strip: SoleStrip, next: nextCode },
	stop: { Bay: StopBay, Strip: StopStrip },
	grooves: { Bay: GroovesBay, Strip: GroovesStrip, next: nextGroove },
};
