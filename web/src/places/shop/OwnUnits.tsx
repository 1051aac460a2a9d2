/** What one reads quantities in: chosen once, on any device one signs in to. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useContext } from "react";
import { client, got, type Me } from "../../api/client";
import { InShop } from "../../ui/inShop";
import { Said } from "../../ui/Said";

type Units = Me["units"];

const CHOICES: { kind: keyof Units; label: string; units: Record<string, string> }[] = [
	{ kind: "far", label: "Shots", units: { yd: "Yards", m: "Metres" } },
	{ kind: "high", label: "Heights and greens", units: { ft: "Feet", m: "Metres" } },
	{
		kind: "speed",
		label: "Speeds",
		units: { mph: "Miles an hour", kmh: "Kilometres an hour", mps: "Metres a second" },
	},
	{ kind: "warmth", label: "Warmth", units: { c: "Celsius", f: "Fahrenheit" } },
	{ kind: "club_length", label: "Club lengths", units: { in: "Inches", mm: "Millimetres" } },
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
		<section className="space-y-3" aria-label="Units you read in">
			<h3 className="font-semibold">Units you read in</h3>
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
			<p className="quiet text-sm">
				Only what you read and type changes. Shots, files and the meter’s reading of a green stay as they are.
			</p>
			<Said error={set.error} />
		</section>
	);
}
