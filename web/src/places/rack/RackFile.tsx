/** A file of heads or shafts: looked at first, every row checked; what can go in goes in. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, got } from "../../api/client";
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
		<Sheet title={`Bring in ${what} from a file`} onClose={onClose} wide>
			<p className="quiet mb-3">
				A CSV as it is written out here: the header names the columns, one row for each. What is on the rack
				by name is brought up to date; nothing is taken off it.
			</p>
			<input
				type="file"
				accept=".csv,text/csv"
				className="file-input mb-3 h-11 w-full"
				aria-label={`File of ${what}`}
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
							? `${found.added} added, ${found.changed} brought up to date.`
							: `${found.rows} can go in${found.problems.length ? `, ${found.problems.length} cannot` : ""}.`}
					</p>
					{found.problems.length > 0 && (
						<ul className="mb-3 space-y-1 text-[14.5px]" aria-label="Rows that cannot go in">
							{found.problems.map((each) => (
								<li key={`${each.line} ${each.column}`}>
									<span className="num">Line {each.line}</span>
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
							Take in {found.rows}
						</button>
					)}
				</>
			)}
		</Sheet>
	);
}
