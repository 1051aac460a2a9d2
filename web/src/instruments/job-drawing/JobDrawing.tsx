/** A job as a shot seen from above: what must be flown, and how large and how firm the place is where it may stop. */

import { t } from "../../said/words";
import { unit } from "../../ui/units";
export interface JobDrawingProps {
	kind: "green" | "tee" | "layup";
	distance: number;
	over: number | null;
	width: number;
	depth: number;
	firmness: "soft" | "medium" | "firm";
}

const WIDE = 236;
const HIGH = 96;
const LEFT = 12;
const RIGHT = 196;
/** Far across the picture: the target is drawn larger than its distance, or it would not be seen. */
const ACROSS = 1.5;

export function JobDrawing({ kind, distance, over, width, depth, firmness }: JobDrawingProps) {
	const middle = HIGH / 2;
	const x = (yards: number) => LEFT + (yards / distance) * (RIGHT - LEFT);
	const half = Math.min(middle - 4, (width * ACROSS) / 2);
	const long = Math.min(70, depth * ACROSS) / 2;
	const trouble = over ? Math.min(over, distance) : null;
	const said = t("job-drawing-wide-deep", {
		distance: Math.round(distance),
		unit: unit("far"),
		which: over ? t("job-drawing-to-carry", { over: Math.round(over) }) : "",
		width,
		depth,
		firmness,
	});
	return (
		<svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="block w-36 shrink-0 xl:w-59" role="img" aria-label={said}>
			<defs>
				<pattern
					id="job-trouble"
					width="5"
					height="5"
					patternUnits="userSpaceOnUse"
					patternTransform="rotate(45)"
				>
					<line x1="0" y1="0" x2="0" y2="5" stroke="var(--quiet)" strokeWidth="1.6" />
				</pattern>
			</defs>
			{kind !== "green" && (
				<rect
					x={x(distance * 0.3)}
					y={middle - half}
					width={WIDE - x(distance * 0.3)}
					height={2 * half}
					fill="var(--track)"
				/>
			)}
			{trouble !== null && (
				<rect
					x={x(trouble) - 26}
					y={middle - 36}
					width="26"
					height="72"
					fill="url(#job-trouble)"
					stroke="var(--quiet)"
					strokeWidth="1"
				/>
			)}
			{kind === "tee" ? (
				<path
					d={`M${x(distance) - long} ${middle - half}V${middle + half}M${x(distance) - long} ${middle}H${WIDE}`}
					stroke="var(--window-line)"
					strokeWidth="2"
					strokeDasharray="5 3"
					fill="none"
				/>
			) : (
				<ellipse
					cx={x(distance)}
					cy={middle}
					rx={Math.max(long, 4)}
					ry={Math.max(half, 4)}
					fill={kind === "green" ? "var(--window)" : "none"}
					stroke="var(--window-line)"
					strokeWidth={firmness === "firm" ? 4 : firmness === "medium" ? 2.2 : 1.2}
				/>
			)}
			<path
				d={`M${LEFT} ${middle}Q${(LEFT + x(distance)) / 2} ${middle - 34} ${x(distance)} ${middle}`}
				fill="none"
				stroke="currentColor"
				strokeWidth="1.4"
			/>
			<circle cx={LEFT} cy={middle} r="4" fill="currentColor" />
			<circle cx={x(distance)} cy={middle} r="2.6" fill="currentColor" />
		</svg>
	);
}
