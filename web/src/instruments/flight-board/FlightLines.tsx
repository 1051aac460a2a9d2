/** How height, landing angle and spin run through the bag, longest club first: a jump out of line is seen at once. */
import { scaleLinear, scalePoint } from "d3-scale";
import { t } from "../../said/words";
import { figure, unit, whole } from "../../ui/units";

export interface FlightLinesProps {
	clubs: {
		id: number;
		name: string;
		peak: number | null;
		landing: number | null;
		spin: number | null;
		/** Readings that are out of line, by key. */
		odd: string[];
	}[];
}

const WIDE = 310;
const LANE = 58;
const LEFT = 8;
const RIGHT = WIDE - 54;
const LANES = [
	{ key: "peak_m", name: t("label-peak", { unit: unit("high") }), of: "peak", unit: "" },
	{ key: "landing_deg", name: t("label-lands"), of: "landing", unit: "°" },
	{ key: "spin_rpm", name: t("label-spin-rpm"), of: "spin", unit: "" },
] as const;

export function FlightLines({ clubs }: FlightLinesProps) {
	const there = clubs.filter((club) => club.peak !== null || club.landing !== null || club.spin !== null);
	if (there.length < 2) return null;
	const x = scalePoint(
		there.map((club) => String(club.id)),
		[LEFT + 6, RIGHT],
	);
	const high = LANES.length * LANE + 18;
	return (
		<svg
			viewBox={`0 0 ${WIDE} ${high}`}
			className="block w-full"
			role="img"
			aria-label={t("flight-board-height-landing-angle-spin-through")}
		>
			{LANES.map((lane, index) => {
				const points = there.flatMap((club) => {
					const value = club[lane.of];
					return value === null ? [] : [{ club, value, odd: club.odd.includes(lane.key) }];
				});
				const values = points.map((point) => point.value);
				const top = index * LANE + 16;
				const y = scaleLinear([Math.min(...values), Math.max(...values)], [top + LANE - 22, top + 4]);
				const line = points.map((point) => `${x(String(point.club.id)) ?? 0} ${y(point.value)}`).join("L");
				const last = points.at(-1);
				return (
					<g key={lane.key}>
						<text x={LEFT} y={top - 4} fontSize="12" fill="var(--quiet)">
							{lane.name}
						</text>
						{points.length > 1 && <path d={`M${line}`} fill="none" stroke="var(--club)" strokeWidth="1.6" />}
						{points.map((point) => (
							<g key={point.club.id}>
								<title>{`${point.club.name}: ${whole(point.value)}${lane.unit}${point.odd ? t("flight-board-out-line") : ""}`}</title>
								<circle
									cx={x(String(point.club.id))}
									cy={y(point.value)}
									r={point.odd ? 4.5 : 2.6}
									fill={point.odd ? "var(--hole-fill)" : "currentColor"}
									stroke={point.odd ? "var(--hole)" : "none"}
									strokeWidth="2"
								/>
								{point.odd && (
									<text
										x={x(String(point.club.id))}
										y={y(point.value) - 8}
										fontSize="12"
										fontWeight="700"
										textAnchor="middle"
										fill="var(--hole)"
									>
										{point.club.name}
									</text>
								)}
							</g>
						))}
						{last && (
							<text x={RIGHT + 8} y={y(last.value) + 4} fontSize="12" fill="currentColor">
								{figure(last.value)}
								{lane.unit}
							</text>
						)}
					</g>
				);
			})}
			<text x={x(String(there[0]?.id))} y={high - 4} fontSize="12" fill="var(--quiet)" textAnchor="start">
				{there[0]?.name}
			</text>
			<text x={RIGHT} y={high - 4} fontSize="12" fill="var(--quiet)" textAnchor="end">
				{there.at(-1)?.name}
			</text>
		</svg>
	);
}
