/** The distance card on paper: for the bag, as large as a bank card or as A6. */
import "../../said/rest";

import { Link, useParams, useSearchParams } from "react-router";
import { useCardPaper } from "../../api/paper";
import { t } from "../../said/words";
import { buildOf, nameOf } from "../../session/select";
import { MadeUp } from "../../ui/MadeUp";
import { Said, Waiting } from "../../ui/Said";
import { asFar, type Metres, unit, unitName } from "../../ui/units";
import { type Card, cellOf, read } from "./DistanceCard";
import { swingName } from "./swing";

const SIZES = {
	card: { name: t("part-swing-bank-card"), width: "85.6mm", height: "54mm", text: "9pt" },
	a6: { name: "A6", width: "105mm", height: "148mm", text: "10.5pt" },
} as const;

const shortDate = (date: string) =>
	new Date(date).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" });

export default function CardPage() {
	const { id = "" } = useParams();
	const [search, setSearch] = useSearchParams();
	const session = useCardPaper(Number(id));
	if (session.error)
		return (
			<main className="p-6">
				<Said error={session.error} />
			</main>
		);
	const { data } = session;
	if (!data) return <Waiting what={t("label-the-card")} />;
	const size = SIZES[search.get("size") === "a6" ? "a6" : "card"];
	const card = data.bag.short?.card;
	return (
		<main className="min-h-dvh">
			<h1 className="sr-only">{t("label-distance-card")}</h1>
			<style>{`@page { size: ${size.width} ${size.height}; margin: 0 }`}</style>
			<div className="no-print flex flex-wrap items-center gap-2 p-5">
				<Link className="btn h-11" to={`/sessions/${id}/bag`}>
					{t("label-back")}
				</Link>
				{Object.entries(SIZES).map(([key, each]) => (
					<button
						key={key}
						type="button"
						aria-pressed={each === size}
						className={`btn h-11 ${each === size ? "btn-primary" : ""}`}
						onClick={() => setSearch({ size: key }, { replace: true })}
					>
						{each.name}
					</button>
				))}
				<button type="button" className="btn h-11" onClick={() => window.print()}>
					{t("label-print")}
				</button>
				<p className="quiet basis-full text-sm">
					{t("part-swing-100-without-margins-carry-calm", { unit: unitName("far") })}
				</p>
			</div>
			{card ? (
				<section
					aria-label={t("label-distance-card")}
					className="paper relative mx-5 overflow-hidden border border-base-300 bg-white p-[4mm] text-black print:m-0 print:border-0"
					style={{ width: size.width, height: size.height, fontSize: size.text, lineHeight: 1.25 }}
				>
					<MadeUp small tryOut={data.customer.try_out} />
					<p className="flex justify-between gap-3 text-[0.85em]">
						<span className="truncate font-semibold">{data.customer.name}</span>
						<span className="whitespace-nowrap">{shortDate(data.held_on)}</span>
					</p>
					<Figures card={card} name={(build) => nameOf(buildOf(data, build))} whole={size === SIZES.a6} />
				</section>
			) : (
				<p className="px-5">{t("part-swing-no-part-swing-hit-yet")}</p>
			)}
		</main>
	);
}

function Figures({ card, name, whole }: { card: Card; name: (build: number) => string; whole: boolean }) {
	return (
		<>
			<table className="mt-[1mm] w-full table-fixed border-collapse" aria-label={t("label-distance-card")}>
				<thead>
					<tr className="text-right text-[0.75em]">
						<th className="w-[22mm] text-left font-normal">{t("label-carry", { unit: unit("far") })}</th>
						<th className="font-normal">{t("part-swing-stock")}</th>
						{card.swings.map((swing) => (
							<th key={swing} className="font-normal">
								{swingName(swing)}
							</th>
						))}
					</tr>
				</thead>
				<tbody>
					{card.rows.map((row) => (
						<tr key={row.build} className="border-t border-black/40 text-right align-baseline">
							<th className="truncate text-left font-semibold">
								{name(row.build)}
								{row.stock !== "full" && (
									<span className="block text-[0.7em] font-normal">{swingName(row.stock)}</span>
								)}
							</th>
							{[row.cells[0], ...card.swings.map((swing) => cellOf(row, swing))].map((cell, index) => (
								<td key={cell?.swing ?? `none-${card.swings[index - 1]}`} className="py-[0.6mm]">
									<span className={`num ${cell?.usable ? "text-[1.35em] font-semibold" : "font-normal"}`}>
										{cell ? read(cell) : "–"}
									</span>
									{whole && cell && (
										<span className="num block text-[0.75em] font-normal">
											± {asFar(cell.spread_m as Metres)}
										</span>
									)}
								</td>
							))}
						</tr>
					))}
				</tbody>
			</table>
			<p className="mt-[1.5mm] text-[0.7em]">
				{t("part-swing-own-ball-calm-air-brackets")}
				{whole && ` ${t("part-swing-one-shot-against-next")}`}
			</p>
			{whole && (
				<ul className="mt-[2mm] space-y-[0.8mm] text-[0.85em]">
					{[...card.open, ...card.shared].map((sentence) => (
						<li key={sentence}>{sentence}</li>
					))}
				</ul>
			)}
		</>
	);
}
