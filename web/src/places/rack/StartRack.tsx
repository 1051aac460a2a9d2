/** A rack that is empty: usual lofts without names to begin with, or a file of one's own. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, got, type HeadType } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";
import { RackFile } from "./RackFile";

const KINDS = ["fairway", "hybrid", "utility", "wedge"] as const satisfies HeadType[];

/** onDone, done: where it goes on from here, and how that is called. */
export function StartRack({ onDone, done }: { onDone?: () => void; done?: string }) {
	const queries = useQueryClient();
	const rack = useQuery({ queryKey: ["rack"], queryFn: () => got(client.GET("/api/rack")) });
	const [kinds, setKinds] = useState<HeadType[]>([...KINDS]);
	const [file, setFile] = useState<"heads" | "shafts" | null>(null);
	const put = useMutation({
		mutationFn: () => got(client.POST("/api/rack/usual", { body: { kinds } })),
		onSuccess: (after) => queries.setQueryData(["rack"], after),
	});
	const heads = rack.data?.heads.length ?? 0;
	return (
		<section className="space-y-4">
			<h2 className="text-xl">{t("rack-rack-what-you-can-hand")}</h2>
			<p className="quiet">{t("rack-begin-with-usual-lofts-each")}</p>
			<fieldset className="flex flex-wrap gap-2">
				<legend className="sr-only">{t("rack-kinds-head")}</legend>
				{KINDS.map((each) => (
					<label key={each} className="flex min-h-11 items-center gap-2 bg-base-100 px-3">
						<input
							type="checkbox"
							className="checkbox checkbox-sm"
							checked={kinds.includes(each)}
							onChange={({ target }) =>
								setKinds(target.checked ? [...kinds, each] : kinds.filter((other) => other !== each))
							}
						/>
						{VOCABULARY.heads[each]}
					</label>
				))}
			</fieldset>
			<div className="flex flex-wrap gap-2">
				<button
					type="button"
					className={`btn h-12 ${heads ? "" : "btn-primary"}`}
					disabled={put.isPending || kinds.length === 0}
					onClick={() => put.mutate()}
				>
					{t("rack-put-usual-lofts")}
				</button>
				<button type="button" className="btn h-12" onClick={() => setFile("heads")}>
					{t("rack-heads-from-file")}
				</button>
				<button type="button" className="btn h-12" onClick={() => setFile("shafts")}>
					{t("rack-shafts-from-file")}
				</button>
			</div>
			<Said error={put.error ?? rack.error} />
			{heads > 0 && (
				<p role="status" className="font-semibold">
					{t("rack-heads-shafts-stand-rack", { heads, shafts: rack.data?.shafts.length })}
				</p>
			)}
			{onDone && (
				<button
					type="button"
					className={`btn h-12 w-full text-lg ${heads ? "btn-primary" : ""}`}
					onClick={onDone}
				>
					{heads ? done : t("rack-later", { done: done?.toLowerCase() })}
				</button>
			)}
			{file && <RackFile what={file} onClose={() => setFile(null)} />}
		</section>
	);
}
