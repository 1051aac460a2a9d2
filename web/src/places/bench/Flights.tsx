/** Wedges beside the flight their loft and speed should give. */
import type { Bench, Session } from "../../api/client";
import { ClubName } from "../../protocols/ClubName";
import { t } from "../../said/words";
import { figure, inShown, shownAs } from "../../ui/units";

type Flight = Bench["flights"][number];
const SHOWN = ["launch_deg", "spin_rpm", "peak_m", "landing_deg"] as const;

export function Flights({ session, flights }: { session: Session; flights: Flight[] }) {
	if (flights.length === 0) return null;
	return (
		<section className="mt-4" aria-label={t("bench-flight-by-loft")}>
			<h3 className="mb-1">{t("bench-flight-beside-what-loft-speed")}</h3>
			<ul className="divide-y divide-base-300">
				{flights.map((each) => (
					<li key={each.build} className="py-2">
						<div className="flex flex-wrap items-center gap-x-5 gap-y-1">
							<span className="w-28">
								<ClubName session={session} build={each.build} />
							</span>
							{SHOWN.map((key) => (
								<Reading key={key} quantity={key} flight={each} />
							))}
							<span
								className={`min-w-40 flex-1 text-[14.5px] ${each.high_little ? "hole-text font-semibold" : ""}`}
							>
								{each.sentence}
							</span>
						</div>
						{each.causes.length > 0 && (
							<ul className="mt-1 space-y-0.5 text-[14.5px]" aria-label={t("bench-what-may")}>
								{each.causes.map((cause) => (
									<li key={cause.what}>
										{t("bench-perhaps", { what: cause.what })}
										{cause.why && <span className="font-semibold"> ({cause.why})</span>}. {cause.test}
									</li>
								))}
							</ul>
						)}
					</li>
				))}
			</ul>
			<p className="quiet mt-1 text-sm">{flights[0]?.source}</p>
		</section>
	);
}

function Reading({ quantity, flight }: { quantity: (typeof SHOWN)[number]; flight: Flight }) {
	const window = flight.windows.find((each) => each.quantity === quantity);
	const mean = flight.means[quantity];
	if (!window || mean === undefined) return null;
	const { label, unit } = shownAs(quantity);
	const shown = (value: number) => figure(inShown(quantity, value));
	const where = flight.where[quantity] ?? 0;
	return (
		<span className="w-30">
			<span className="quiet block text-[12.5px]">
				{label}, {unit}
			</span>
			<span className={`num text-lg ${where === 0 ? "" : "hole-text font-semibold"}`}>{shown(mean)}</span>{" "}
			<span className="quiet num block text-sm leading-tight">
				{t("bench-to", { low: shown(window.low), high: shown(window.high) })}
			</span>
		</span>
	);
}
