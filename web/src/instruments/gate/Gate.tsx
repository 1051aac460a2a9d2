/** A straight scale with the window as an outlined band, a dot for each shot and a tick for the average. */
import { scaleLinear } from "d3-scale";
import { type Span, ticks } from "../scale";

export interface GateProps {
	span: Span;
	low: number | null;
	high: number | null;
	dots: number[];
	mark: number | null;
	last?: number | null;
	colour: string;
	labels?: boolean;
	height?: number;
	label: string;
}

export function Gate({
	span,
	low,
	high,
	dots,
	mark,
	last = null,
	colour,
	labels = false,
	height = 34,
	label,
}: GateProps) {
	const width = 600;
	const x = scaleLinear([span.low, span.high], [0, width]).clamp(true);
	const middle = height / 2;
	const from = low === null ? 0 : x(low);
	const to = high === null ? width : x(high);
	return (
		<div>
			<svg
				viewBox={`0 0 ${width} ${height}`}
				preserveAspectRatio="none"
				className="block w-full"
				style={{ height }}
				role="img"
				aria-label={label}
			>
				{(low !== null || high !== null) && (
					<rect
						x={from}
						y="1"
						width={Math.max(2, to - from)}
						height={height - 2}
						fill="var(--window)"
						fillOpacity="0.7"
						stroke="var(--window-line)"
						vectorEffect="non-scaling-stroke"
					/>
				)}
				<line
					x1="0"
					x2={width}
					y1={middle}
					y2={middle}
					stroke="var(--quiet)"
					strokeWidth="1"
					vectorEffect="non-scaling-stroke"
				/>
				{dots.map((dot, index) => (
					<line
						// biome-ignore lint/suspicious/noArrayIndexKey: shots have no identity here and never reorder
						key={index}
						x1={x(dot)}
						x2={x(dot)}
						y1={middle}
						y2={middle + 0.01}
						stroke={colour}
						strokeOpacity="0.7"
						strokeWidth={height > 30 ? 13 : 8}
						strokeLinecap="round"
						vectorEffect="non-scaling-stroke"
					/>
				))}
				{mark !== null && (
					<line
						x1={x(mark)}
						x2={x(mark)}
						y1="3"
						y2={height - 3}
						stroke={colour}
						strokeWidth="4"
						vectorEffect="non-scaling-stroke"
					/>
				)}
				{last !== null && (last < span.low || last > span.high) && (
					// Off this scale: it points to where it would be.
					<polygon
						points={
							last < span.low
								? `0,${middle} 10,6 10,${height - 6}`
								: `${width},${middle} ${width - 10},6 ${width - 10},${height - 6}`
						}
						fill="currentColor"
					/>
				)}
				{last !== null && last >= span.low && last <= span.high && (
					<line
						x1={x(last)}
						x2={x(last)}
						y1="0"
						y2={height}
						stroke="currentColor"
						strokeWidth="4"
						vectorEffect="non-scaling-stroke"
					/>
				)}
			</svg>
			{labels && (
				<div className="quiet relative mt-1 h-5 overflow-hidden text-[13px]">
					{ticks(span, 10)
						.filter((tick) => tick > span.low && tick < span.high)
						.map((tick) => (
							<span
								key={tick}
								className="absolute -translate-x-1/2"
								style={{ left: `${(x(tick) / width) * 100}%` }}
							>
								{tick}
							</span>
						))}
				</div>
			)}
		</div>
	);
}
