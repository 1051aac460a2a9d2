/** The keys a bay's monitors send with: made, seen in use, revoked. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, type FeedKeys, got } from "../../api/client";
import { Said } from "../../ui/Said";
import { Once } from "./Once";

const day = (at: string) =>
	new Date(at).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" });

export function Keys({ bay, name, mayChange }: { bay: number; name: string; mayChange: boolean }) {
	const queries = useQueryClient();
	const path = { params: { path: { bay_id: bay } } };
	const keys = useQuery({
		queryKey: ["keys", bay],
		queryFn: () => got(client.GET("/api/bays/{bay_id}/keys", path)),
	});
	const change = useMutation({
		mutationFn: (go: () => Promise<FeedKeys>) => go(),
		onSuccess: (after) => queries.setQueryData(["keys", bay], after),
	});
	const [label, setLabel] = useState("");
	return (
		<details className="w-full">
			<summary className="quiet min-h-9 cursor-pointer py-1.5 text-sm">
				Keys of its monitors: {keys.data?.keys.length ?? "–"}
			</summary>
			<Said error={keys.error ?? change.error} />
			{change.data?.made && <Once what="The new key" word={change.data.made} />}
			<ul>
				{keys.data?.keys.map((key) => (
					<li key={key.id} className="flex flex-wrap items-center gap-x-4">
						<span className="w-40 truncate font-semibold">{key.label}</span>
						<span className="quiet flex-1 text-sm">
							made {day(key.made_at)}, until {day(key.expires_at)},{" "}
							{key.last_used_at ? `last used ${day(key.last_used_at)}` : "not used yet"}
						</span>
						{mayChange && (
							<button
								type="button"
								className="btn h-10 border-base-300 bg-base-100"
								onClick={() =>
									change.mutate(() =>
										got(client.DELETE("/api/keys/{key_id}", { params: { path: { key_id: key.id } } })),
									)
								}
							>
								Revoke
							</button>
						)}
					</li>
				))}
			</ul>
			{mayChange && (
				<form
					className="mt-2 flex flex-wrap gap-2"
					onSubmit={(event) => {
						event.preventDefault();
						change.mutate(() =>
							got(client.POST("/api/bays/{bay_id}/keys", { ...path, body: { label, days: 365 } })).then(
								(made) => {
									setLabel("");
									return made;
								},
							),
						);
					}}
				>
					<input
						className="input h-10 w-52"
						aria-label={`Which monitor of ${name} the key is for`}
						placeholder="Which monitor"
						value={label}
						onChange={(event) => setLabel(event.target.value)}
					/>
					<button type="submit" className="btn h-10 border-base-300 bg-base-100" disabled={change.isPending}>
						New key for a year
					</button>
				</form>
			)}
		</details>
	);
}
