/** What one reads quantities in: chosen once, on any device one signs in to. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useContext } from "react";
import { client, got, type Me } from "../../api/client";
import { t } from "../../said/words";
import { InShop } from "../../ui/inShop";
import { Said } from "../../ui/Said";

type Units = Me["units"];

const CHOICES: { kind: keyof Units; label: string; units: Record<string, string> }[] = [
	{ kind: "far", label: t("label-shots"), units: { yd: t("shop-yards"), m: t("shop-metres") } },
	{ kind: "high", label: t("shop-heights-greens"), units: { ft: t("shop-feet"), m: t("shop-metres") } },
	{
		kind: "speed",
		label: t("shop-speeds"),
		units: { mph: t("shop-miles-hour"), kmh: t("shop-kilometres-hour"), mps: t("shop-metres-second") },
	},
	{ kind: "warmth", label: t("shop-warmth"), units: { c: t("shop-celsius"), f: t("shop-fahrenheit") } },
	{
		kind: "club_length",
		label: t("shop-club-lengths"),
		units: { in: t("shop-inches"), mm: t("shop-millimetres") },
	},
];

export function OwnUnits() {
	const mine = useContext(InShop).units;
	const queries = useQueryClient();
	const set = useMutation({
		mutationFn: (body: Units) => got(client.PUT("/api/me/units", { body })),
		// The page is read anew once this is known: what stands on it is in the units of before.
		onSuccess: () => queries.invalidateQueries({ queryKey: ["me"] }),
	});
	return (
		<section className="space-y-3" aria-label={t("shop-units-you-read")}>
			<h3 className="font-semibold">{t("shop-units-you-read")}</h3>
			<div className="flex flex-wrap gap-4">
				{CHOICES.map(({ kind, label, units }) => (
					<label key={kind}>
						<span className="quiet block text-sm">{label}</span>
						<select
							className="select h-11 w-44"
							value={mine[kind]}
							disabled={set.isPending}
							onChange={({ target }) => set.mutate({ ...mine, [kind]: target.value } as Units)}
						>
							{Object.entries(units).map(([unit, name]) => (
								<option key={unit} value={unit}>
									{name}
								</option>
							))}
						</select>
					</label>
				))}
			</div>
			<p className="quiet text-sm">{t("shop-only-what-you-read-type")}</p>
			<Said error={set.error} />
		</section>
	);
}
