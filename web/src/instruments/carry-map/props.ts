/** What the carry map is drawn from, in yards. */
import type { Span } from "../scale";

export interface MapClub {
	id: number;
	name: string;
	carry: number;
	total: number;
	spread: number | null;
	/** Give or take of a figure that was typed. */
	doubt?: number | null;
	isNew?: boolean;
	letter?: string;
	/** Carried on one course only, in the place of another. */
	swapped?: string;
	/** Not hit: where it should carry. */
	expected?: boolean;
	/** Carries of its part swings. */
	parts?: number[];
}
export interface MapHole {
	/** The club below the hole; choosing the hole puts this space in work. */
	id: number;
	from: number;
	to: number;
	yards: number;
	label: string;
	inWork: boolean;
}
export interface MapRing {
	letter: string;
	name: string;
	carry: number | null;
	total: number | null;
	shots: number[];
}
export interface MapReadout {
	over: string;
	big: string;
	unit: string;
	lines: string[];
	warn: boolean;
}
/** The bag as it may become, drawn as one ring inside today's. */
export interface MapAfter {
	name: string;
	readout: MapReadout;
	clubs: MapClub[];
	holes: MapHole[];
}
export interface CarryMapProps {
	clubs: MapClub[];
	after?: MapAfter | undefined;
	holes: MapHole[];
	overlaps?: { from: number; to: number; label: string }[];
	windows: { low: number; high: number }[];
	rings: MapRing[];
	rule: string;
	readout: MapReadout;
	small?: boolean;
	title: string;
	span?: Span;
	/** Steps between neighbours, written inside the ring. */
	steps?: { from: number; to: number; yards: number; open: boolean }[];
	onChooseHole?: (id: number) => void;
	onChooseClub?: (id: number) => void;
}
