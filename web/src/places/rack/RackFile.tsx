/** A file of heads or shafts: looked at first, every row checked; what can go in goes in. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, got } from "../../api/client";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";

export function RackFile({ what, onClose }: { what: "heads" | "shafts"; onClose: () => void }) {
	const queries = useQueryClient();
	const [text, setText] = useState("");
	const send = useMutation({
		mutationFn: (body: { text: string; only_look: boolean }) =>
			got(client.POST("/api/rack/file", { body: { what, ...body } })),
		onSuccess: (_answer, { only_look }) => {
			if (!only_look) void queries.invalidateQueries({ queryKey: ["rack"] });
		},
	});
	const found = send.data;
	const went = found && send.variables?.only_look === false;
	return (
		<Sheet title={t("rack-bring-from-file", { what })} onClose={onClose} wide>
			<p className="quiet mb-3">{t("rack-csv-as-written-out-here")}</p>
			<input
				type="file"
				accept=".csv,text/csv"
				className="file-input mb-3 h-11 w-full"
				aria-label={t("rack-file-of", { what })}
				// A file that was mended is picked again under the same name.
				onClick={(event) => {
					event.currentTarget.value = "";
				}}
				onChange={async (event) => {
					const file = event.target.files?.[0];
					if (!file) return;
					const read = await file.text();
					setText(read);
					send.mutate({ text: read, only_look: true });
				}}
			/>
			<Said error={send.error} />
			{found && (
				<>
					<p className="mb-2 text-lg font-semibold" role="status">
						{went
							? t("rack-added-brought-up-date", { added: found.added, changed: found.changed })
							: t("rack-can-go", {
									rows: found.rows,
									which: found.problems.length ? t("rack-cannot", { problems: found.problems.length }) : "",
								})}
					</p>
					{found.problems.length > 0 && (
						<ul className="mb-3 space-y-1 text-[14.5px]" aria-label={t("rack-rows-cannot-go")}>
							{found.problems.map((each) => (
								<li key={`${each.line} ${each.column}`}>
									<span className="num">{t("rack-line", { line: each.line })}</span>
									{each.column ? `, ${each.column}` : ""}: {each.sentence}
								</li>
							))}
						</ul>
					)}
					{!went && found.rows > 0 && (
						<button
							type="button"
							className="btn btn-primary h-11"
							disabled={send.isPending}
							onClick={() => send.mutate({ text, only_look: false })}
						>
							{t("rack-take-in", { rows: found.rows })}
						</button>
					)}
				</>
			)}
		</Sheet>
	);
}
