/** Small parts that the rings of the carry map share. */
import { letterColour } from "../../ui/Letter";
import { type Arch, point } from "./arch";

export function HoleYards({
	at,
	yards,
	size,
}: {
	at: { x: number; y: number };
	yards: number;
	size: number;
}) {
	return (
		<text
			x={at.x}
			y={at.y}
			textAnchor="middle"
			dominantBaseline="central"
			fontWeight="700"
			fontSize={size}
			fill="var(--hole)"
			stroke="var(--hole-fill)"
			strokeWidth="7"
			paintOrder="stroke"
		>
			{yards}
		</text>
	);
}

export function Dot({ at, letter, size }: { at: { x: number; y: number }; letter: string; size: number }) {
	return (
		<>
			<circle cx={at.x} cy={at.y} r={size} fill={letterColour(letter)} />
			<text
				x={at.x}
				y={at.y}
				textAnchor="middle"
				dominantBaseline="central"
				fontWeight="700"
				fontSize={size * 1.3}
				fill="var(--on-letter)"
			>
				{letter}
			</text>
		</>
	);
}

/** The hard edge of a club: where it carries. */
export function Edge({
	arch,
	at,
	inner,
	outer,
	colour,
}: {
	arch: Arch;
	at: number;
	inner: number;
	outer: number;
	colour: string;
}) {
	const a = point(arch, at, inner);
	const b = point(arch, at, outer);
	return <line className="moves" x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={colour} strokeWidth="5" />;
}
