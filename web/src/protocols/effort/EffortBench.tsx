/** Eased, part, stock and hard swings of one club side by side. */
import { VOCABULARY } from "../../api/vocabulary";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import { asFar, figure, type Metres } from "../../ui/units";
import { ClubName } from "../ClubName";
import type { BenchPanelProps } from "../panels";

const LENGTHS: Record<string, string> = VOCABULARY.lengths;
type Found = BenchPanelProps["findings"][number];

const called = (each: Found) =>
	each.swing ? (LENGTHS[each.swing] ?? t("effort-to", { swing: each.swing })) : termOf("intent", each.intent);

export function EffortBench({ session, findings }: BenchPanelProps) {
	const builds = [...new Set(findings.map((each) => each.build))];
	return (
		<section className="mt-4" aria-label={t("effort-effort")}>
			<h3 className="mb-1">{t("effort-effort-side-by-side")}</h3>
			{builds.map((build) => {
				const mine = findings.filter((each) => each.build === build);
				return (
					<div key={build} className="mb-2 flex flex-wrap items-start gap-x-6 gap-y-1">
						<table className="text-[15px]">
							<thead>
								<tr className="quiet text-right text-sm">
									<th className="pr-5 text-left font-normal">
										<ClubName session={session} build={build} />
									</th>
									{[t("label-carry-2"), t("label-spread"), t("label-spin"), t("label-shots")].map((label) => (
										<th key={label} className="pr-5 font-normal">
											{label}
										</th>
									))}
								</tr>
							</thead>
							<tbody>
								{mine.map((each) => (
									<tr key={called(each)} className="border-t border-base-300 text-right">
										<td className="py-0.5 pr-5 text-left">{called(each)}</td>
										<td className="num pr-5 text-lg">{asFar((each.at.carry_m ?? null) as Metres | null)}</td>
										<td className="num pr-5">{asFar((each.at.spread_m ?? null) as Metres | null)}</td>
										<td className="num pr-5">{figure(each.at.spin_rpm)}</td>
										<td className="num pr-5">{each.n}</td>
									</tr>
								))}
							</tbody>
						</table>
						<p className="min-w-48 flex-1 text-[14.5px]">
							{mine
								.map((each) => each.sentence)
								.filter(Boolean)
								.join(" ")}
						</p>
					</div>
				);
			})}
		</section>
	);
}
