/** What a low, high or curved shot cost or gained beside the stock shot, for the builds that were asked for one. */
import type { Finding } from "../../api/client";
import { PROTOCOLS, termOf } from "../../api/words";
import { t } from "../../said/words";
import { candidatesOf } from "../../session/select";
import { Letter } from "../../ui/Letter";
import { asFar, type Metres, metresOf, reading, unit } from "../../ui/units";
import type { BenchPanelProps } from "../panels";

export function ShapedBench({ session, findings: meant }: BenchPanelProps) {
	const builds = candidatesOf(session).filter((build) => meant.some((each) => each.letter === build.letter));
	return (
		<div className="mt-4 table-scroll">
			<table className="table-plain w-full">
				<thead>
					<tr>
						<th scope="col">{t("shaped-asked-for-beside-stock-shot")}</th>
						{builds.map((build) => (
							<th key={build.id} scope="col">
								<span className="inline-flex items-center gap-1.5">
									<Letter letter={build.letter} size={20} /> {build.name}
								</span>
							</th>
						))}
					</tr>
				</thead>
				<tbody>
					{PROTOCOLS.shaped.intents
						.filter((intent) => meant.some((each) => each.intent === intent))
						.map((intent) => (
							<tr key={intent}>
								<td className="capitalize">{termOf("intent", intent)}</td>
								{builds.map((build) => {
									const found = meant.find((each) => each.letter === build.letter && each.intent === intent);
									return (
										<td key={build.id} className="text-[14.5px]">
											{found ? (
												<>
													<Intended meant={found} />
													<span className="quiet block max-w-72 text-[13px] whitespace-normal">
														{found.sentence}
													</span>
												</>
											) : (
												<span className="quiet">{t("shaped-not-asked")}</span>
											)}
										</td>
									);
								})}
							</tr>
						))}
				</tbody>
			</table>
		</div>
	);
}

function Intended({ meant }: { meant: Finding }) {
	const peak = metresOf(meant.by, "peak_m");
	const carry = metresOf(meant.by, "carry_m");
	const curve = metresOf(meant.by, "curve_m");
	const shaped = meant.intent === "draw" || meant.intent === "fade";
	return (
		<>
			<span className="num">
				{shaped
					? curve !== null &&
						`${asFar(size(curve))} ${unit("far")} ${termOf("side", curve > 0 ? "right" : "left")}`
					: peak !== null &&
						`${reading("peak_m", size(peak))} ${unit("high")} ${peak > 0 ? "higher" : "lower"}`}
			</span>
			{carry !== null && `, ${asFar(size(carry))} ${unit("far")} ${carry > 0 ? "longer" : "shorter"}`}
			<span className={`block text-[13px] ${meant.as_asked === false ? "hole-text font-semibold" : "quiet"}`}>
				{t("shaped-hit", {
					which:
						meant.as_asked === false
							? t("shaped-not-what-meant")
							: meant.as_asked === null
								? t("shaped-may-chance")
								: t("shaped-as-meant"),
					n: meant.n,
				})}
			</span>
		</>
	);
}

const size = (metres: Metres) => Math.abs(metres) as Metres;
