/** The keys a bay's monitors send with: made, seen in use, revoked. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, type FeedKeys, got } from "../../api/client";
import { t } from "../../said/words";
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
			<summary className="quiet min-h-11 cursor-pointer py-1.5 text-sm">
				{t("shop-keys-its-monitors", { keys: keys.data?.keys.length ?? "–" })}
			</summary>
			<Said error={keys.error ?? change.error} />
			{change.data?.made && <Once what={t("shop-new-key")} word={change.data.made} />}
			<ul>
				{keys.data?.keys.map((key) => (
					<li key={key.id} className="flex flex-wrap items-center gap-x-4">
						<span className="w-40 truncate font-semibold">{key.label}</span>
						<span className="quiet flex-1 text-sm">
							{t("shop-made-until", {
								madeAt: day(key.made_at),
								expiresAt: day(key.expires_at),
								which: key.last_used_at
									? t("shop-last-used", { lastUsedAt: day(key.last_used_at) })
									: t("shop-not-used-yet"),
							})}
						</span>
						{mayChange && (
							<button
								type="button"
								className="btn h-11 border-base-300 bg-base-100"
								onClick={() =>
									change.mutate(() =>
										got(client.DELETE("/api/keys/{key_id}", { params: { path: { key_id: key.id } } })),
									)
								}
							>
								{t("shop-revoke")}
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
						className="input h-11 w-52"
						aria-label={t("shop-which-monitor-key-for", { name })}
						placeholder={t("shop-which-monitor")}
						value={label}
						onChange={(event) => setLabel(event.target.value)}
					/>
					<button type="submit" className="btn h-11 border-base-300 bg-base-100" disabled={change.isPending}>
						{t("shop-new-key-for-year")}
					</button>
				</form>
			)}
		</details>
	);
}
