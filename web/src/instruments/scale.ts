/** Round ends and ticks for straight and curved scales. */
export interface Span {
	low: number;
	high: number;
}

/** The span of some values, widened to whole steps. */
export function spanOf(values: readonly number[], step: number, margin = 0): Span {
	const real = values.filter(Number.isFinite);
	if (real.length === 0) return { low: 0, high: step };
	const low = Math.floor((Math.min(...real) - margin) / step) * step;
	const high = Math.ceil((Math.max(...real) + margin) / step) * step;
	return high > low ? { low, high } : { low, high: low + step };
}

export function ticks({ low, high }: Span, step: number): number[] {
	const first = Math.ceil(low / step) * step;
	return Array.from(
		{ length: Math.max(0, Math.floor((high - first) / step) + 1) },
		(_, i) => first + i * step,
	);
}
