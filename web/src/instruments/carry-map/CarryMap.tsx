/**
 * The carry map: a half ring whose angle is distance. The outer ring is the bag, each club an arc from
 * its carry (hard edge) to its total; inner rings are candidates. A pure drawing of its props, in yards.
 */

import { t } from "../../said/words";
import { letterColour } from "../../ui/Letter";
import { unit } from "../../ui/units";
import { type Span, spanOf, ticks } from "../scale";
import { AfterRing } from "./AfterRing";
import { type Arch, arcLine, centre, point, sector } from "./arch";
import { MapTable } from "./MapTable";
import { Dot, Edge, HoleYards } from "./parts";
import type { CarryMapProps, MapClub, MapHole, MapRing } from "./props";

export type * from "./props";

const WIDTH = 960;
const OUTER = 408;
const BAND = { small: 62, large: 38 };
const RING = 13;
const RING_STEP = 19;
const AFTER_BELOW = 36;
const AFTER_BAND = 34;
export const MOST_RINGS = 4;

function choose(act: (() => void) | undefined) {
	if (!act) return {};
	return {
		role: "button",
		tabIndex: 0,
		className: "cursor-pointer",
		onClick: act,
		onKeyDown: (event: React.KeyboardEvent) => {
			if (event.key === "Enter" || event.key === " ") {
				event.preventDefault();
				act();
			}
		},
	};
}

export function mapSpan(props: Pick<CarryMapProps, "clubs" | "rings" | "windows" | "after">): Span {
	const values = [
		...(props.after?.clubs ?? []).flatMap((club) => [club.carry, club.total]),
		...props.clubs.flatMap((club) => [club.carry, club.total]),
		...props.rings.flatMap((ring) => [ring.carry ?? Number.NaN, ring.total ?? Number.NaN, ...ring.shots]),
		...props.windows.flatMap((window) => [window.low, window.high]),
	];
	return spanOf(values, 10, 4);
}

export function CarryMap(props: CarryMapProps) {
	const span = props.span ?? mapSpan(props);
	const arch: Arch = { cx: WIDTH / 2, cy: 470, span };
	const inner = OUTER - (props.small ? BAND.small : BAND.large);
	const { after } = props;
	const rings = after ? [] : props.rings.slice(0, MOST_RINGS);
	const ringRadius = (index: number) => inner - 40 - index * RING_STEP;
	const innermost = rings.length ? ringRadius(rings.length - 1) - RING - 4 : inner - 8;
	const deepest = after ? inner - AFTER_BELOW - AFTER_BAND - 4 : innermost;
	return (
		<figure className="m-0">
			<svg
				viewBox={props.small ? `-30 -10 ${WIDTH + 60} 500` : `0 0 ${WIDTH} 490`}
				className="block w-full"
				role="group"
				aria-label={props.title}
			>
				<defs>
					<pattern
						id="hole-hatch"
						width="7"
						height="7"
						patternUnits="userSpaceOnUse"
						patternTransform="rotate(45)"
					>
						<rect width="7" height="7" fill="var(--hole-fill)" />
						<line x1="0" y1="0" x2="0" y2="7" stroke="var(--hole)" strokeWidth="2.4" />
					</pattern>
					<pattern id="overlap-hatch" width="6" height="6" patternUnits="userSpaceOnUse">
						<path d="M0 0L6 6M6 0L0 6" stroke="var(--color-base-content)" strokeWidth="0.9" />
					</pattern>
				</defs>
				<path
					transform={centre(arch)}
					d={sector(arch, span.low, span.high, inner, OUTER)}
					fill="var(--track)"
				/>
				<Ticks arch={arch} small={props.small ?? false} />
				{props.windows.map((window) => (
					<path
						key={`${window.low}`}
						transform={centre(arch)}
						d={sector(arch, window.low, window.high, deepest, OUTER + 14)}
						pointerEvents="none"
						fill="var(--window)"
						fillOpacity="0.55"
						stroke="var(--window-line)"
						strokeWidth="1.6"
					/>
				))}
				{props.clubs.map((club) => (
					<Club
						key={club.id}
						arch={arch}
						club={club}
						inner={inner}
						small={props.small ?? false}
						choose={props.onChooseClub}
					/>
				))}
				{(props.overlaps ?? []).map((overlap) => (
					<path
						key={overlap.label}
						transform={centre(arch)}
						d={sector(arch, overlap.from, overlap.to, inner, OUTER)}
						fill="url(#overlap-hatch)"
					>
						<title>{overlap.label}</title>
					</path>
				))}
				{props.holes.map((hole) => (
					<Hole
						key={hole.id}
						arch={arch}
						hole={hole}
						inner={inner}
						small={props.small ?? false}
						choose={props.onChooseHole}
					/>
				))}
				{!after && <Steps arch={arch} steps={props.steps ?? []} inner={inner} />}
				{after && <AfterRing arch={arch} after={after} outer={inner - AFTER_BELOW} />}
				{rings.map((ring, index) => (
					<Ring key={ring.letter} arch={arch} ring={ring} radius={ringRadius(index)} />
				))}
				<line
					x1={arch.cx - OUTER - 24}
					x2={arch.cx + OUTER + 24}
					y1={arch.cy}
					y2={arch.cy}
					stroke="currentColor"
				/>
				<Readout {...props} arch={arch} room={deepest} />
			</svg>
			<MapTable {...props} />
		</figure>
	);
}

function Ticks({ arch, small }: { arch: Arch; small: boolean }) {
	const every = small ? 20 : 10;
	return (
		<g>
			{ticks(arch.span, every / 2).map((yards) => {
				const labelled = yards % (small ? 40 : 20) === 0;
				const a = point(arch, yards, OUTER + 17);
				const b = point(arch, yards, OUTER + (labelled ? 27 : 21));
				const text = point(arch, yards, OUTER + (small ? 50 : 42));
				return (
					<g key={yards}>
						<line
							x1={a.x}
							y1={a.y}
							x2={b.x}
							y2={b.y}
							stroke="var(--quiet)"
							strokeWidth={labelled ? 1.6 : 1}
						/>
						{labelled && yards > arch.span.low && yards < arch.span.high && (
							<text
								x={text.x}
								y={text.y}
								textAnchor="middle"
								dominantBaseline="middle"
								fill="var(--quiet)"
								fontSize={small ? 36 : 15}
							>
								{yards}
							</text>
						)}
					</g>
				);
			})}
		</g>
	);
}

interface ClubProps {
	arch: Arch;
	club: MapClub;
	inner: number;
	small: boolean;
	choose: ((id: number) => void) | undefined;
}

function Club({ arch, club, inner, small, choose: chosen }: ClubProps) {
	const colour = club.letter ? letterColour(club.letter) : "var(--color-base-content)";
	const body = club.letter ? letterColour(club.letter) : "var(--club)";
	const a = point(arch, club.carry, inner - 1);
	const b = point(arch, club.carry, OUTER + 1);
	const name = point(arch, club.carry + 0.6, inner - (small ? 28 : 15));
	const said = t("carry-map-carries-stops", {
		name: club.name,
		carry: Math.round(club.carry),
		total: Math.round(club.total),
		unit: unit("far"),
	});
	return (
		<g {...choose(chosen && (() => chosen(club.id)))} aria-label={said}>
			<title>{said}</title>
			{club.total > club.carry && (
				<path
					className="moves"
					transform={centre(arch)}
					d={sector(arch, club.carry, club.total, inner, OUTER)}
					fill={body}
					fillOpacity={club.letter ? 0.5 : 1}
				/>
			)}
			{club.spread !== null && (
				<path
					d={arcLine(arch, club.carry - club.spread, club.carry + club.spread, OUTER + 6)}
					stroke={colour}
					strokeWidth="1.6"
					fill="none"
				/>
			)}
			{club.doubt && (
				<path
					d={arcLine(arch, club.carry - club.doubt, club.carry + club.doubt, OUTER + 6)}
					stroke={colour}
					strokeWidth="1.6"
					strokeDasharray="3 4"
					fill="none"
				/>
			)}
			<line x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={colour} strokeWidth="6" />
			{(club.parts ?? []).map((carry) => (
				<Part key={carry} arch={arch} at={carry} inner={inner} colour={colour} />
			))}
			{(!small || club.isNew) && (
				<text
					x={name.x}
					y={name.y}
					textAnchor="middle"
					dominantBaseline="middle"
					fontWeight="650"
					fontSize={small ? 40 : 16}
					fill={colour}
				>
					{club.letter ? club.letter : club.name}
				</text>
			)}
			{chosen && (
				<FocusLine
					arch={arch}
					from={club.carry - 1}
					to={Math.max(club.total, club.carry + 1)}
					inner={inner}
				/>
			)}
		</g>
	);
}

/** A part swing of a club: a short open mark inside the ring. */
function Part({ arch, at, inner, colour }: { arch: Arch; at: number; inner: number; colour: string }) {
	const a = point(arch, at, inner + 3);
	const b = point(arch, at, inner + 15);
	return <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={colour} strokeWidth="2.5" />;
}

function Steps({
	arch,
	steps,
	inner,
}: {
	arch: Arch;
	steps: NonNullable<CarryMapProps["steps"]>;
	inner: number;
}) {
	return (
		<g>
			{steps.map((step) => {
				const at = point(arch, (step.from + step.to) / 2, inner - 16);
				return (
					<text
						key={`${step.from}`}
						x={at.x}
						y={at.y}
						textAnchor="middle"
						dominantBaseline="middle"
						fontSize="17"
						fontWeight={step.open ? 700 : 450}
						fill={step.open ? "var(--hole)" : "var(--quiet)"}
					>
						{step.yards}
					</text>
				);
			})}
		</g>
	);
}

/** Drawn around what has the focus, over everything else of it. */
function FocusLine({ arch, from, to, inner }: { arch: Arch; from: number; to: number; inner: number }) {
	return (
		<path
			className="focus-line"
			transform={centre(arch)}
			d={sector(arch, from, to, inner - 4, OUTER + 4)}
			pointerEvents="none"
		/>
	);
}

interface HoleProps {
	small: boolean;
	arch: Arch;
	hole: MapHole;
	inner: number;
	choose: ((id: number) => void) | undefined;
}

function Hole({ arch, hole, inner, small, choose: chosen }: HoleProps) {
	const middle = point(arch, (hole.from + hole.to) / 2, (inner + OUTER) / 2);
	const wide = hole.yards >= (small ? 15 : 9);
	return (
		<g {...choose(chosen && (() => chosen(hole.id)))} aria-label={hole.label}>
			<title>{hole.label}</title>
			<path
				transform={centre(arch)}
				d={sector(arch, hole.from, hole.to, inner, OUTER)}
				fill="url(#hole-hatch)"
				stroke="var(--hole)"
				strokeWidth={hole.inWork ? 2.6 : 1.2}
				strokeDasharray={hole.inWork ? undefined : "5 3"}
			/>
			{wide && <HoleYards at={middle} yards={hole.yards} size={small ? 38 : 19} />}
			{chosen && <FocusLine arch={arch} from={hole.from} to={hole.to} inner={inner} />}
		</g>
	);
}

function Ring({ arch, ring, radius }: { arch: Arch; ring: MapRing; radius: number }) {
	const colour = letterColour(ring.letter);
	const shown = [...ring.shots, ring.carry ?? Number.NaN].filter(Number.isFinite);
	const from = shown.length ? Math.min(...shown) : arch.span.low + (arch.span.high - arch.span.low) * 0.5;
	const label = point(arch, Math.max(arch.span.low, from - 4), radius - RING / 2);
	return (
		<g>
			<path
				transform={centre(arch)}
				d={sector(arch, arch.span.low, arch.span.high, radius - RING, radius)}
				fill="var(--track)"
				fillOpacity="0.75"
			/>
			{ring.carry !== null && ring.total !== null && ring.total > ring.carry && (
				<path
					className="moves"
					transform={centre(arch)}
					d={sector(arch, ring.carry, ring.total, radius - RING, radius)}
					fill={colour}
					fillOpacity="0.35"
				/>
			)}
			{ring.shots.map((shot, index) => {
				const at = point(arch, shot, radius - RING / 2);
				// biome-ignore lint/suspicious/noArrayIndexKey: shots have no identity here and never reorder
				return <circle key={index} cx={at.x} cy={at.y} r="3.4" fill={colour} fillOpacity="0.75" />;
			})}
			{ring.carry !== null && (
				<Edge arch={arch} at={ring.carry} inner={radius - RING - 2} outer={radius + 2} colour={colour} />
			)}
			<Dot at={label} letter={ring.letter} size={10} />
		</g>
	);
}

function Readout({ readout, rule, small, arch }: CarryMapProps & { arch: Arch; room: number }) {
	const x = arch.cx;
	const size = small ? 118 : 84;
	const base = arch.cy - (small ? 112 : 46 + 26 * readout.lines.length);
	return (
		<g textAnchor="middle">
			{!small && (
				<text x={x} y={base - size * 0.84} fontSize="17" fill="var(--quiet)">
					{readout.over}
				</text>
			)}
			<text x={x} y={base} fontWeight="700" fill={readout.warn ? "var(--hole)" : "currentColor"}>
				<tspan fontSize={size} letterSpacing="-2">
					{readout.big}
				</tspan>
				<tspan fontSize={size * 0.36} dx="10" fontWeight="500">
					{readout.unit}
				</tspan>
			</text>
			{!small &&
				readout.lines.map((line, index) => (
					<text
						key={line}
						x={x}
						y={base + 32 + index * 26}
						fontSize="17.5"
						fontWeight={index ? 600 : 450}
						fill="currentColor"
					>
						{line}
					</text>
				))}
			<text x={x} y={arch.cy - (small ? 34 : 14)} fontSize={small ? 38 : 13.5} fill="var(--quiet)">
				{small ? readout.over : t("carry-map-holes-by-2", { rule })}
			</text>
		</g>
	);
}
