/** The green from above, yard for yard: tapped once where a ball lands and once where it stops. */

import { t } from "../../said/words";
import { fromFar, type Metres, toFar, unit } from "../../ui/units";

export interface Spot {
	/** From the player, along the line to the hole. */
	far: number;
	/** Right positive. */
	side: number;
}
export interface SeenBall {
	id: number;
	landed: Spot;
	stopped: Spot;
	mine: boolean;
}
const HALF_YD = 6;
const PAST_YD = 12;
/** The player stands this far outside: nothing lands at his feet. */
const FROM_YD = 4;

/** What the picture shows of the way to the hole, in yards. */
export const reach = (target: Metres) => ({ from: FROM_YD, to: toFar(target) + PAST_YD });

/** Where on the ground a touch of the picture is. */
export function spotAt(box: DOMRect, x: number, y: number, target: Metres): Spot {
	const { from, to } = reach(target);
	const across = ((y - box.top) / box.height - 0.5) * 2 * HALF_YD;
	return {
		far: fromFar(from + ((x - box.left) / box.width) * (to - from)),
		side: fromFar(across),
	};
}

export function Green({
	target,
	balls,
	landed,
	onTap,
}: {
	target: Metres;
	balls: SeenBall[];
	/** Of the ball in work, once it has landed. */
	landed: Spot | null;
	onTap?: (spot: Spot) => void;
}) {
	const { from, to } = reach(target);
	const width = to - from;
	const x = (metres: number) => toFar(metres as Metres) - from;
	const y = (metres: number) => toFar(metres as Metres) + HALF_YD;
	const marks = Array.from({ length: Math.floor(to / 5) }, (_, index) => (index + 1) * 5).filter(
		(yards) => yards > from,
	);
	return (
		<svg
			viewBox={`0 -1.4 ${width} ${2 * HALF_YD + 1.6}`}
			className="block w-full touch-manipulation select-none bg-base-100"
			role="img"
			aria-label={t("stop-green-from-above-hole", { target: Math.round(toFar(target)), unit: unit("far") })}
		>
			{marks.map((yards) => (
				<g key={yards}>
					<line
						x1={yards - from}
						x2={yards - from}
						y1={0}
						y2={2 * HALF_YD}
						stroke="currentColor"
						strokeOpacity={0.18}
						strokeWidth={0.06}
					/>
					<text x={yards - from} y={-0.4} fontSize={0.9} textAnchor="middle" fill="currentColor">
						{yards}
					</text>
				</g>
			))}
			<line
				x1={0}
				x2={width}
				y1={HALF_YD}
				y2={HALF_YD}
				stroke="currentColor"
				strokeOpacity={0.35}
				strokeWidth={0.05}
			/>
			<circle cx={x(target)} cy={HALF_YD} r={0.34} fill="currentColor" />
			<line
				x1={x(target)}
				x2={x(target)}
				y1={HALF_YD}
				y2={HALF_YD - 2.2}
				stroke="currentColor"
				strokeWidth={0.12}
			/>
			{balls.map((ball) => (
				<g key={ball.id} opacity={ball.mine ? 1 : 0.35}>
					<line
						x1={x(ball.landed.far)}
						y1={y(ball.landed.side)}
						x2={x(ball.stopped.far)}
						y2={y(ball.stopped.side)}
						stroke="currentColor"
						strokeWidth={0.12}
						strokeDasharray="0.3 0.2"
					/>
					<path
						d={`M${x(ball.landed.far) - 0.28},${y(ball.landed.side)}h0.56M${x(ball.landed.far)},${y(ball.landed.side) - 0.28}v0.56`}
						stroke="currentColor"
						strokeWidth={0.12}
					/>
					<circle
						cx={x(ball.stopped.far)}
						cy={y(ball.stopped.side)}
						r={0.26}
						fill="none"
						stroke="currentColor"
						strokeWidth={0.12}
					/>
				</g>
			))}
			{landed && (
				<path
					d={`M${x(landed.far) - 0.5},${y(landed.side)}h1M${x(landed.far)},${y(landed.side) - 0.5}v1`}
					className="stroke-primary"
					strokeWidth={0.22}
				/>
			)}
			{onTap && (
				// biome-ignore lint/a11y/noStaticElementInteractions: the same is typed in the form beside it
				<rect
					data-testid="green"
					x={0}
					y={0}
					width={width}
					height={2 * HALF_YD}
					fill="transparent"
					className="cursor-crosshair"
					onClick={(event) =>
						onTap(spotAt(event.currentTarget.getBoundingClientRect(), event.clientX, event.clientY, target))
					}
				/>
			)}
		</svg>
	);
}
