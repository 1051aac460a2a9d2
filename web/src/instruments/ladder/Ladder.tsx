/** The bag as a table from the longest club to the shortest, with the step to the club above. In yards. */

import { t } from "../../said/words";
import { unit } from "../../ui/units";
export interface Rung {
	id: number;
	name: string;
	letter: string;
	loft: number | null;
	carry: number | null;
	total: number | null;
	/** How the carry is known, in a word; empty where it was hit. */
	known: string;
	/** Give or take of the carry in yards, nine times in ten. */
	doubt: number | null;
	/** Far to the next shorter club, and whether a hole lies there. */
	step: number | null;
	hole: boolean;
	crowded: boolean;
	fixed: boolean;
	/** The flight: peak in feet, landing in degrees, spin in rpm; and which of them are out of line. */
	peak: number | null;
	landing: number | null;
	spin: number | null;
	odd: string[];
}

interface LadderProps {
	rungs: Rung[];
	chosen: number | null;
	onChoose?: (id: number) => void;
	/** Show how each club flies in place of where it stops. */
	flight?: boolean;
}

/** One figure of the flight, marked in words when its neighbours fly otherwise. */
function Flown({ value, unit, odd }: { value: number | null; unit: string; odd: boolean }) {
	return (
		<td className={odd ? "num hole-text" : ""}>
			{value === null ? "–" : `${Math.round(value)}${unit}`}
			{odd && <span className="sr-only"> {t("ladder-out-line")}</span>}
			{odd && <span aria-hidden="true"> !</span>}
		</td>
	);
}

export function Ladder({ rungs, chosen, onChoose, flight = false }: LadderProps) {
	return (
		<table className="table-plain w-full text-[15px]">
			<thead>
				<tr>
					<th scope="col">{t("label-club")}</th>
					<th scope="col">{t("label-loft")}</th>
					<th scope="col">{t("label-carry-2")}</th>
					{flight ? (
						<>
							<th scope="col">{t("label-peak", { unit: unit("high") })}</th>
							<th scope="col">{t("label-lands")}</th>
							<th scope="col">{t("label-spin")}</th>
						</>
					) : (
						<>
							<th scope="col">{t("label-total")}</th>
							<th scope="col">{t("ladder-step")}</th>
						</>
					)}
				</tr>
			</thead>
			<tbody>
				{rungs.map((rung) => (
					<tr key={rung.id} className={rung.id === chosen ? "bg-base-200" : ""}>
						<td>
							<button
								type="button"
								className="num min-h-6 w-full min-w-11 pointer-coarse:min-h-11 cursor-pointer text-left hover:underline"
								disabled={!onChoose}
								onClick={() => onChoose?.(rung.id)}
							>
								{rung.letter ? `${rung.letter} ${rung.name}` : rung.name}
								{rung.fixed && <span className="quiet ml-1 text-[12px] font-normal">{t("label-fixed")}</span>}
							</button>
						</td>
						<td className="quiet">{rung.loft === null ? "" : `${rung.loft}°`}</td>
						<td className="num">
							{rung.carry === null ? "–" : Math.round(rung.carry)}
							{rung.doubt !== null && (
								<span className="quiet text-[12px] font-normal"> ±{Math.round(rung.doubt)}</span>
							)}
						</td>
						{flight ? (
							<>
								<Flown value={rung.peak} unit="" odd={rung.odd.includes("peak_m")} />
								<Flown value={rung.landing} unit="°" odd={rung.odd.includes("landing_deg")} />
								<Flown value={rung.spin} unit="" odd={rung.odd.includes("spin_rpm")} />
							</>
						) : (
							<>
								<td>
									{rung.total === null ? "–" : Math.round(rung.total)}
									{rung.known && <span className="quiet text-[12px]"> {rung.known}</span>}
								</td>
								<td className={rung.hole || rung.crowded ? "num hole-text" : "quiet"}>
									{rung.step === null ? "" : Math.round(rung.step)}
									{rung.crowded && <span className="text-[12px]"> {t("ladder-close")}</span>}
								</td>
							</>
						)}
					</tr>
				))}
			</tbody>
		</table>
	);
}
