/** What an old wedge loses to a fresh one of its loft, and whether it can be seen on the green. */
import type { Bench } from "../../api/client";
import { t } from "../../said/words";
import { figure, fromFar, inShown, shownAs, unit } from "../../ui/units";
import { ClubName } from "../ClubName";
import type { ResultProps } from "../panels";
import { lieWords } from "./GroovesBay";

type Grooves = Bench["grooves"][number];
type Figures = Grooves["lies"][number]["figures"];
const SHOWN = ["spin_rpm", "launch_deg", "ball_speed_mps"] as const;

export function GroovesBench({ session, bench }: Pick<ResultProps, "session" | "bench">) {
	const grooves = bench?.grooves ?? [];
	if (grooves.length === 0) return null;
	return (
		<section className="mt-4" aria-label={t("grooves-grooves-old-against-new")}>
			<h3 className="mb-1">{t("grooves-grooves-old-against-new")}</h3>
			{grooves.map((each) => (
				<div key={each.old} className="mb-3">
					<p className={`text-lg font-semibold ${each.worth === "replace" ? "hole-text" : ""}`}>
						{each.worth === "keep" && <span aria-hidden="true">✓ </span>}
						{each.sentence}
					</p>
					<table className="mt-1 text-[15px]">
						<thead>
							<tr className="quiet text-right text-sm">
								<th className="pr-5 text-left font-normal">
									<ClubName session={session} build={each.old} /> |{" "}
									<ClubName session={session} build={each.fresh} />
								</th>
								{SHOWN.map((key) => (
									<th key={key} className="pr-6 font-normal">
										{shownAs(key).label}, {shownAs(key).unit}
									</th>
								))}
								<th className="pr-6 font-normal">{t("label-run", { unit: unit("far") })}</th>
								<th className="font-normal">{t("label-shots")}</th>
							</tr>
						</thead>
						<tbody>
							{each.lies.map((from) => (
								<tr key={from.lie ?? "dry"} className="border-t border-base-300 text-right">
									<td className="py-1 pr-5 text-left">{lieWords(from.lie)}</td>
									{SHOWN.map((key) => (
										<Pair key={key} of={from.figures[key]} shown={(value) => figure(inShown(key, value))} />
									))}
									<Pair of={from.figures.run_m} shown={(value) => figure(value / fromFar(1), 1)} />
									<td className="num">
										{from.n_old} | {from.n_fresh}
									</td>
								</tr>
							))}
						</tbody>
					</table>
					<ul className="mt-1 space-y-0.5 text-[14.5px]">
						{[...each.lies.map((from) => from.sentence), ...each.remarks, each.blind]
							.filter(Boolean)
							.map((sentence) => (
								<li key={sentence}>{sentence}</li>
							))}
					</ul>
				</div>
			))}
		</section>
	);
}

function Pair({ of, shown }: { of: Figures[string] | undefined; shown: (value: number) => string }) {
	if (!of) return <td className="quiet pr-6">–</td>;
	return (
		<td className={`num pr-6 ${of.told ? "font-semibold" : ""}`}>
			{shown(of.old)} | {shown(of.fresh)}
		</td>
	);
}
