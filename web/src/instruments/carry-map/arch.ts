/** Geometry of the half ring: equal angle is equal yards, short on the left, long on the right. */
import { arc } from "d3-shape";
import type { Span } from "../scale";

export interface Arch {
	cx: number;
	cy: number;
	span: Span;
}

/** Angle of a yardage in radians, 0 at the left foot and pi at the right one; held inside the arch. */
export function angleOf(yards: number, { low, high }: Span): number {
	const share = (yards - low) / (high - low);
	return Math.PI * Math.min(1, Math.max(0, share));
}

export function point(arch: Arch, yards: number, radius: number): { x: number; y: number } {
	const angle = angleOf(yards, arch.span);
	return { x: arch.cx - radius * Math.cos(angle), y: arch.cy - radius * Math.sin(angle) };
}

/** Where the paths of `sector` have their origin. */
export const centre = (arch: Arch): string => `translate(${arch.cx} ${arch.cy})`;

/** SVG path of a sector between two yardages and two radii, around the arch's own centre. */
export function sector(arch: Arch, from: number, to: number, inner: number, outer: number): string {
	// d3's angles start at twelve o'clock; ours at the left foot.
	const start = angleOf(Math.min(from, to), arch.span) - Math.PI / 2;
	const end = angleOf(Math.max(from, to), arch.span) - Math.PI / 2;
	return arc()({ innerRadius: inner, outerRadius: outer, startAngle: start, endAngle: end }) ?? "";
}

/** SVG path of an arc line at one radius. */
export function arcLine(arch: Arch, from: number, to: number, radius: number): string {
	const a = point(arch, from, radius);
	const b = point(arch, to, radius);
	return `M${a.x} ${a.y}A${radius} ${radius} 0 0 1 ${b.x} ${b.y}`;
}
