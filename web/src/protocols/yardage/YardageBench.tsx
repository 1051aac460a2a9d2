/** What was asked against what came, for every yardage that was asked of a club. */

import { t } from "../../said/words";
import { asFar, figure, type Metres } from "../../ui/units";
import { ClubName } from "../ClubName";
import type { BenchPanelProps } from "../panels";

const of = (finding: BenchPanelProps["findings"][number], key: string) => finding.by[key] ?? null;

export function YardageBench({ session, findings }: BenchPanelProps) {
	return (
		<section className="mt-4" aria-label={t("yardage-yardages-by-name")}>
			<h3 className="mb-1">{t("yardage-yardages-by-name")}</h3>
			<table className="text-[15px]">
				<thead>
					<tr className="quiet text-right text-sm">
						{[
							t("label-club"),
							t("yardage-asked"),
							t("yardage-got"),
							t("yardage-off-2"),
							t("label-spread"),
							t("label-launch"),
							t("label-spin"),
							t("label-shots"),
						].map((label) => (
							<th key={label} className="pr-5 font-normal first:text-left">
								{label}
							</th>
						))}
					</tr>
				</thead>
				<tbody>
					{findings.map((each) => (
						<tr key={`${each.build}-${of(each, "asked_m")}`} className="border-t border-base-300 text-right">
							<td className="py-1 pr-5 text-left">
								<ClubName session={session} build={each.build} />
							</td>
							<td className="num pr-5">{asFar(of(each, "asked_m") as Metres | null)}</td>
							<td className="num pr-5 text-lg">{asFar(of(each, "carry_m") as Metres | null)}</td>
							<td className="num pr-5">{asFar(of(each, "off_m") as Metres | null)}</td>
							<td className="num pr-5">{asFar(of(each, "spread_m") as Metres | null)}</td>
							<td className="num pr-5">
								{of(each, "launch_deg") === null ? "–" : `${figure(of(each, "launch_deg"))}°`}
							</td>
							<td className="num pr-5">{figure(of(each, "spin_rpm"))}</td>
							<td className="num pr-5">{each.n}</td>
						</tr>
					))}
				</tbody>
			</table>
			<ul className="mt-1 space-y-0.5 text-[14.5px]">
				{findings.map((each) => (
					<li key={`${each.build}-${of(each, "asked_m")}`}>{each.sentence}</li>
				))}
			</ul>
		</section>
	);
}
