/** The stop test seen from the side: what each wedge carries and releases to one target. */
import type { Session } from "../../api/client";
import { t } from "../../said/words";
import { buildOf } from "../../session/select";
import { figure, fromFar, type Metres, toFar, unitName } from "../../ui/units";
import type { ResultProps } from "../panels";
import { Remarks, type Result, ResultTable, resultsOf } from "../Results";

const ROW = 34;
const WIDTH = 560;
const NAME = 44;

export function StopBench({ protocol, session, bench }: ResultProps) {
	const green = session.bag.short?.stops.green;
	const [result] = resultsOf(bench, protocol);
	if (!green || !result) return null;
	return (
		<section className="mt-4" aria-label={t("stop-stop-test")}>
			<h3 className="mb-1">{result.title}</h3>
			<p className="quiet mb-1 text-sm">
				{t("stop-green-meter", {
					firmness: green.firmness,
					greenFt: figure(green.green_ft, 1),
					which: green.slope_percent ? `, ${slopeWords(green.slope_percent)}` : "",
				})}
			</p>
			<div className="flex flex-wrap items-start gap-x-6 gap-y-2">
				<ResultTable
					session={session}
					result={result}
					first={t("stop-far-as-seen")}
					counted={t("label-balls")}
				/>
				<FromTheSide session={session} target={green.target_m as Metres} result={result} />
			</div>
			<Remarks result={result} />
		</section>
	);
}

const at = (row: Result["rows"][number], key: string): number => row.figures[key]?.at[0] ?? 0;

const slopeWords = (percent: number) =>
	`${figure(Math.abs(percent), 1)}% ${percent > 0 ? "uphill" : "downhill"}`;

function FromTheSide({ session, target, result }: { session: Session; target: Metres; result: Result }) {
	const lines = result.rows.map((row) => ({
		key: `${row.build}-${row.name}`,
		name: buildOf(session, row.build ?? 0),
		lands: at(row, "lands_m"),
		ends: at(row, "lands_m") + at(row, "releases_m"),
	}));
	const most = Math.max(target, ...lines.map((line) => line.ends));
	const far = toFar((most * 1.08) as Metres);
	const x = (metres: number) => NAME + (toFar(metres as Metres) / far) * (WIDTH - NAME);
	const height = lines.length * ROW + 20;
	return (
		<svg
			viewBox={`0 0 ${WIDTH} ${height}`}
			className="w-full max-w-xl"
			role="img"
			aria-label={t("stop-flight-release-each-wedge-from", { unit: unitName("far") })}
		>
			<line
				x1={x(target)}
				x2={x(target)}
				y1={2}
				y2={height - 18}
				stroke="currentColor"
				strokeDasharray="3 3"
			/>
			{lines.map((line, index) => {
				const ground = (index + 1) * ROW - 6;
				const lands = x(line.lands);
				const end = x(line.ends);
				return (
					<g key={line.key}>
						<line x1={NAME} x2={WIDTH} y1={ground} y2={ground} stroke="currentColor" strokeOpacity={0.25} />
						<path
							d={`M${NAME},${ground}Q${(NAME + lands) / 2},${ground - 44} ${lands},${ground}`}
							fill="none"
							stroke="currentColor"
							strokeWidth={1.5}
						/>
						<line x1={lands} x2={end} y1={ground} y2={ground} stroke="currentColor" strokeWidth={4} />
						<circle cx={end} cy={ground} r={4.5} fill="currentColor" />
						<text x={NAME - 6} y={ground + 3} fontSize={13} textAnchor="end" fill="currentColor">
							{line.name?.letter || line.name?.name}
						</text>
					</g>
				);
			})}
			{Array.from({ length: Math.floor(far / 5) }, (_, index) => (index + 1) * 5).map((yards) => (
				<text
					key={yards}
					x={x(fromFar(yards))}
					y={height - 4}
					fontSize={11}
					textAnchor="middle"
					fill="currentColor"
				>
					{yards}
				</text>
			))}
		</svg>
	);
}
