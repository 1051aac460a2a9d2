/** The bag as it may become, as one ring inside today's. */

import { t } from "../../said/words";
import { letterColour } from "../../ui/Letter";
import { unit } from "../../ui/units";
import { type Arch, centre, point, sector } from "./arch";
import { Dot, Edge, HoleYards } from "./parts";
import type { MapAfter, MapClub, MapHole } from "./props";

const AFTER_BAND = 34;

/** The bag after: today's clubs in ink, new ones by letter, what is left open hatched. */
export function AfterRing({ arch, after, outer }: { arch: Arch; after: MapAfter; outer: number }) {
	const inner = outer - AFTER_BAND;
	return (
		<g>
			<title>{t("carry-map-bag-after", { name: after.name })}</title>
			<path
				transform={centre(arch)}
				d={sector(arch, arch.span.low, arch.span.high, inner, outer)}
				fill="var(--track)"
				fillOpacity="0.75"
			/>
			{after.clubs.map((club) => (
				<AfterClub key={club.id} arch={arch} club={club} inner={inner} outer={outer} />
			))}
			{after.holes.map((hole) => (
				<AfterHole key={hole.id} arch={arch} hole={hole} inner={inner} outer={outer} />
			))}
		</g>
	);
}

interface AfterPart {
	arch: Arch;
	inner: number;
	outer: number;
}

function AfterClub({ arch, club, inner, outer }: AfterPart & { club: MapClub }) {
	const colour = club.letter ? letterColour(club.letter) : "var(--color-base-content)";
	const at = point(arch, club.carry, inner - 13);
	const dashed = club.swapped || club.expected ? { stroke: colour, strokeDasharray: "4 3" } : {};
	const said = `${club.name}: ${club.expected ? t("carry-map-should-carry") : "carries"} ${Math.round(club.carry)} ${unit("far")}`;
	return (
		<g>
			<title>{club.swapped ? t("carry-map-on-only", { said, swapped: club.swapped }) : said}</title>
			<path
				className="moves"
				transform={centre(arch)}
				d={sector(arch, club.carry, Math.max(club.total, club.carry), inner, outer)}
				fill={club.letter ? colour : "var(--club)"}
				fillOpacity={club.letter ? 0.4 : 0.8}
				{...dashed}
			/>
			<Edge arch={arch} at={club.carry} inner={inner} outer={outer} colour={colour} />
			{club.letter && <Dot at={at} letter={club.letter} size={11} />}
		</g>
	);
}

function AfterHole({ arch, hole, inner, outer }: AfterPart & { hole: MapHole }) {
	const middle = point(arch, (hole.from + hole.to) / 2, (inner + outer) / 2);
	return (
		<g>
			<title>{hole.label}</title>
			<path
				transform={centre(arch)}
				d={sector(arch, hole.from, hole.to, inner, outer)}
				fill="url(#hole-hatch)"
				stroke="var(--hole)"
				strokeWidth="1.2"
			/>
			{hole.yards >= 8 && <HoleYards at={middle} yards={hole.yards} size={17} />}
		</g>
	);
}
