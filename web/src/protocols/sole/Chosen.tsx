/** What is chosen when a sole test is set up: the soles, the lies, and the ways to go about it. */
import type { ReactNode } from "react";
import type { SoleChoices } from "../../api/client";
import { t } from "../../said/words";
import { asFar, figure, type Metres, unit } from "../../ui/units";

export type Club = SoleChoices["clubs"][number];
export const keyOf = (club: Club) => `${club.head ?? ""}/${club.build ?? ""}`;

export function Ways({
	label,
	ways,
	children,
}: {
	label: string;
	ways: [boolean, string, () => void][];
	children: ReactNode;
}) {
	return (
		<div>
			<div className="flex gap-2" role="group" aria-label={label}>
				{ways.map(([on, name, choose]) => (
					<button
						key={name}
						type="button"
						aria-pressed={on}
						className={`btn h-12 flex-1 ${on ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={choose}
					>
						{name}
					</button>
				))}
			</div>
			<p className="quiet mt-1 text-sm">{children}</p>
		</div>
	);
}

interface SolesProps {
	choices: SoleChoices;
	chosen: string[];
	control: string;
	repeat: string;
	onTurn: (key: string) => void;
	onControl: (club: Club) => void;
	onRepeat: (key: string) => void;
}

export function Soles({ choices, chosen, control, repeat, onTurn, onControl, onRepeat }: SolesProps) {
	const on = "btn-primary";
	const off = "border-base-300 bg-base-100";
	if (choices.clubs.length === 0)
		return <p className="hole-text font-semibold">{t("sole-no-wedge-loft-rack-or")}</p>;
	return (
		<table className="w-full text-left text-[16px]" aria-label={t("sole-soles-test")}>
			<thead className="quiet text-sm">
				<tr>
					<th className="py-1 font-normal">{t("label-sole")}</th>
					<th className="font-normal">{t("label-bounce")}</th>
					<th className="font-normal">{t("label-loft")}</th>
					<th className="font-normal">{t("sole-control")}</th>
					<th className="font-normal">{t("sole-under-two-codes")}</th>
				</tr>
			</thead>
			<tbody>
				{choices.clubs.map((club) => {
					const key = keyOf(club);
					const is = chosen.includes(key);
					return (
						<tr key={key} className="border-t border-base-300">
							<td>
								<label className="flex min-h-12 cursor-pointer items-center gap-3">
									<input type="checkbox" className="checkbox" checked={is} onChange={() => onTurn(key)} />
									<span>
										<span className="font-semibold">{club.name}</span>{" "}
										<span className="quiet">{club.sole && t("sole-sole", { sole: club.sole })}</span>
									</span>
								</label>
							</td>
							<td className="num">{club.bounce_deg === null ? "–" : `${figure(club.bounce_deg)}°`}</td>
							<td className="num">{figure(club.loft_deg, club.loft_deg % 1 ? 1 : 0)}°</td>
							<td>
								<button
									type="button"
									className={`btn h-11 min-w-20 ${is && control === key ? on : off}`}
									aria-pressed={is && control === key}
									aria-label={t("sole-is-the-control", { name: club.name })}
									disabled={!is}
									onClick={() => onControl(club)}
								>
									{is && control === key ? t("sole-control") : "–"}
								</button>
							</td>
							<td>
								<button
									type="button"
									className={`btn h-11 min-w-20 ${is && repeat === key ? on : off}`}
									aria-pressed={is && repeat === key}
									aria-label={t("sole-under-two-codes-2", { name: club.name })}
									disabled={!is}
									onClick={() => onRepeat(key)}
								>
									{is && repeat === key ? t("sole-twice") : "–"}
								</button>
							</td>
						</tr>
					);
				})}
			</tbody>
		</table>
	);
}

export function Lies({
	choices,
	places,
	onTurn,
}: {
	choices: SoleChoices;
	places: string[];
	onTurn: (key: string) => void;
}) {
	return (
		<section aria-label={t("sole-lies-test")}>
			<h2 className="mb-1 text-lg">{t("sole-from-which-lies")}</h2>
			<p className="quiet mb-2 text-sm">{t("sole-all-soles-first-two-then")}</p>
			<div className="grid gap-1 sm:grid-cols-2 xl:grid-cols-3">
				{choices.lies.map((lie, at) => (
					<label key={lie.key} className="flex min-h-12 cursor-pointer items-start gap-3 py-1">
						<input
							type="checkbox"
							className="checkbox mt-0.5"
							checked={places.includes(lie.key)}
							disabled={at === 0}
							onChange={() => onTurn(lie.key)}
						/>
						<span>
							<span className="font-semibold">{lie.name}</span>{" "}
							<span className="num quiet">
								{asFar(lie.target_m as Metres)} {unit("far")}
							</span>
							<span className="quiet block text-sm leading-tight">{lie.told}</span>
						</span>
					</label>
				))}
			</div>
		</section>
	);
}
