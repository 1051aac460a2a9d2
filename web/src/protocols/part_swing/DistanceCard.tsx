/** The distance card: wedges by swings, with what nothing covers and what two wedges share. */
import type { Session } from "../../api/client";
import { t } from "../../said/words";
import { asFar, type Metres, unit } from "../../ui/units";
import { ClubName } from "../ClubName";
import { swingName } from "./swing";

export type Card = NonNullable<NonNullable<Session["bag"]["short"]>["card"]>;
type Cell = Card["rows"][number]["cells"][number];

export const cellOf = (row: Card["rows"][number], swing: string) =>
	row.cells.find((cell) => cell.swing === swing);
const stockOf = (row: Card["rows"][number]) => row.cells[0];
/** As a number of the card is read: in brackets where it is none to play by. */
export const read = (cell: Cell) =>
	cell.usable ? asFar(cell.carry_m as Metres) : `(${asFar(cell.carry_m as Metres)})`;

function Carry({ cell }: { cell: Cell | undefined }) {
	if (!cell) return <td className="quiet px-3 text-right">–</td>;
	return (
		<td className={`px-3 py-1 text-right align-baseline ${cell.usable ? "" : "quiet"}`}>
			<span className="num text-lg">{read(cell)}</span>
			<span className="num quiet block whitespace-nowrap text-[13px]">
				±{asFar(cell.doubt_m as Metres)} · {asFar(cell.spread_m as Metres)}
			</span>
			{cell.why_not && <span className="quiet block text-[13px]">{cell.why_not}</span>}
		</td>
	);
}

export function DistanceCard({ session, card }: { session: Session; card: Card }) {
	return (
		<>
			<table className="text-[15px]" aria-label={t("label-distance-card")}>
				<thead>
					<tr className="quiet text-right text-sm">
						<th className="pr-3 text-left font-normal">{t("label-carry", { unit: unit("far") })}</th>
						<th className="px-3 font-normal">{t("part-swing-stock")}</th>
						{card.swings.map((swing) => (
							<th key={swing} className="px-3 font-normal">
								{swingName(swing)}
							</th>
						))}
					</tr>
				</thead>
				<tbody>
					{card.rows.map((row) => (
						<tr key={row.build} className="border-t border-base-300">
							<th className="max-w-44 truncate pr-3 text-left font-normal">
								<ClubName session={session} build={row.build} />
								{row.stock !== "full" && <span className="quiet text-sm"> {swingName(row.stock)}</span>}
							</th>
							<Carry cell={stockOf(row)} />
							{card.swings.map((swing) => (
								<Carry key={swing} cell={cellOf(row, swing)} />
							))}
						</tr>
					))}
				</tbody>
			</table>
			<p className="quiet mt-1 text-[13px]">{t("part-swing-how-well-carry-known-nine", { run: card.run })}</p>
			<ul className="mt-2 space-y-0.5 text-[15px]">
				{card.open.map((sentence) => (
					<li key={sentence} className="hole-text font-semibold">
						{sentence}
					</li>
				))}
				{card.shared.map((sentence) => (
					<li key={sentence}>{sentence}</li>
				))}
				{[card.eases, ...card.rows.map((row) => row.sentence)].filter(Boolean).map((sentence) => (
					<li key={sentence}>{sentence}</li>
				))}
			</ul>
		</>
	);
}
