/** The stop test seen from the side: what each wedge carries and releases to one target. */
import type { Session } from "../../api/client";
import { t } from "../../said/words";
import { asFar, figure, fromFar, type Metres, toFar, unit, unitName } from "../../ui/units";
import { ClubName } from "../ClubName";
import type { ResultProps } from "../panels";
import type { Stops } from "./StopBay";

const ROW = 34;
const WIDTH = 560;
const NAME = 44;

export function StopBench({ session }: Pick<ResultProps, "session">) {
	const stops = session.bag.short?.stops;
	if (!stops || stops.lines.length === 0) return null;
	const modelled = stops.lines.some((line) => line.modelled_m !== null);
	const computed = stops.lines.some((line) => line.computed_m !== null);
	return (
		<section className="mt-4" aria-label={t("stop-stop-test")}>
			<h3 className="mb-1">
				{t("stop-stop-test-2", { target: asFar(stops.green.target_m as Metres), unit: unit("far") })}
			</h3>
			<p className="quiet mb-1 text-sm">
				{t("stop-green-meter", {
					firmness: stops.green.firmness,
					greenFt: figure(stops.green.green_ft, 1),
					which: stops.green.slope_percent ? `, ${slopeWords(stops.green.slope_percent)}` : "",
				})}
			</p>
			<div className="flex flex-wrap items-start gap-x-6 gap-y-2">
				<table className="text-[15px]">
					<thead>
						<tr className="quiet text-right text-sm">
							<th className="pr-5 text-left font-normal">{t("stop-far-as-seen")}</th>
							<th className="pr-5 font-normal">{t("label-lands")}</th>
							<th className="pr-5 font-normal">{t("stop-releases")}</th>
							<th className="pr-5 font-normal">{t("label-left-2")}</th>
							{stops.firmer && (
								<th className="pr-5 font-normal">{t("stop-on-computed", { firmer: stops.firmer })}</th>
							)}
							{modelled && <th className="pr-5 font-normal">{t("stop-monitors-model")}</th>}
							{computed && <th className="pr-5 font-normal">{t("stop-computed")}</th>}
							<th className="font-normal">{t("label-balls")}</th>
						</tr>
					</thead>
					<tbody>
						{stops.lines.map((line) => (
							<tr key={`${line.build}-${line.ball}`} className="border-t border-base-300 text-right">
								<td className="py-1 pr-5 text-left">
									<ClubName session={session} build={line.build} />
									{line.ball !== "own" && (
										<span className="quiet"> {t("stop-ball", { ball: line.ball })}</span>
									)}
								</td>
								<td className="num pr-5">{asFar(line.lands_m as Metres)}</td>
								<td className="num pr-5 text-lg">
									{asFar(line.releases_m as Metres)}
									{line.half_m !== null && (
										<span className="quiet ml-1 text-[13px]">±{asFar(line.half_m as Metres, 1)}</span>
									)}
								</td>
								<td className="num pr-5">{asFar(line.left_m as Metres)}</td>
								{stops.firmer && <td className="num quiet pr-5">{asFar(line.firmer_m as Metres | null)}</td>}
								{modelled && <td className="num quiet pr-5">{asFar(line.modelled_m as Metres | null)}</td>}
								{computed && <td className="num quiet pr-5">{asFar(line.computed_m as Metres | null)}</td>}
								<td className="num">{line.n}</td>
							</tr>
						))}
					</tbody>
				</table>
				<FromTheSide session={session} stops={stops} />
			</div>
			<ul className="mt-1 space-y-0.5 text-[14.5px]">
				{[...stops.lines.map((line) => line.sentence), ...stops.sentences].map((sentence) => (
					<li key={sentence}>{sentence}</li>
				))}
			</ul>
		</section>
	);
}

const slopeWords = (percent: number) =>
	`${figure(Math.abs(percent), 1)}% ${percent > 0 ? "uphill" : "downhill"}`;

function FromTheSide({ session, stops }: { session: Session; stops: Stops }) {
	const most = Math.max(stops.green.target_m, ...stops.lines.map((line) => line.lands_m + line.releases_m));
	const far = toFar((most * 1.08) as Metres);
	const x = (metres: number) => NAME + (toFar(metres as Metres) / far) * (WIDTH - NAME);
	const height = stops.lines.length * ROW + 20;
	return (
		<svg
			viewBox={`0 0 ${WIDTH} ${height}`}
			className="w-full max-w-xl"
			role="img"
			aria-label={t("stop-flight-release-each-wedge-from", { unit: unitName("far") })}
		>
			<line
				x1={x(stops.green.target_m)}
				x2={x(stops.green.target_m)}
				y1={2}
				y2={height - 18}
				stroke="currentColor"
				strokeDasharray="3 3"
			/>
			{stops.lines.map((line, index) => {
				const ground = (index + 1) * ROW - 6;
				const lands = x(line.lands_m);
				const end = x(line.lands_m + line.releases_m);
				const name = session.builds.find((build) => build.id === line.build);
				return (
					<g key={`${line.build}-${line.ball}`}>
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
							{name?.letter || name?.name}
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
