import { t } from "../../said/words";
import { unit } from "../../ui/units";
import type { CarryMapProps } from "./props";

/** The same for a screen reader. */
export function MapTable({ clubs, holes, rings, rule, title, after }: CarryMapProps) {
	return (
		<div className="sr-only">
			<table>
				<caption>{t("carry-map-holes-by", { title, rule })}</caption>
				<thead>
					<tr>
						<th scope="col">{t("label-club")}</th>
						<th scope="col">{t("label-carry", { unit: unit("far") })}</th>
						<th scope="col">{t("carry-map-total", { unit: unit("far") })}</th>
					</tr>
				</thead>
				<tbody>
					{clubs.map((club) => (
						<tr key={club.id}>
							<th scope="row">{club.name}</th>
							<td>{Math.round(club.carry)}</td>
							<td>{Math.round(club.total)}</td>
						</tr>
					))}
					{rings.map((ring) => (
						<tr key={ring.letter}>
							<th scope="row">{t("carry-map-candidate", { letter: ring.letter, name: ring.name })}</th>
							<td>{ring.carry === null ? t("label-not-hit") : Math.round(ring.carry)}</td>
							<td>{ring.total === null ? t("label-not-hit") : Math.round(ring.total)}</td>
						</tr>
					))}
					{(after?.clubs ?? []).map((club) => (
						<tr key={`after ${club.id}`}>
							<th scope="row">
								{after?.name}: {club.letter} {club.name}
								{club.swapped ? t("carry-map-on-only-2", { swapped: club.swapped }) : ""}
							</th>
							<td>{Math.round(club.carry)}</td>
							<td>{Math.round(club.total)}</td>
						</tr>
					))}
					{[...holes, ...(after?.holes ?? [])].map((hole) => (
						<tr key={hole.label}>
							<th scope="row">{hole.label}</th>
							<td>{Math.round(hole.from)}</td>
							<td>{Math.round(hole.to)}</td>
						</tr>
					))}
				</tbody>
			</table>
		</div>
	);
}
