/** A table as a file: what is read on the screen, row by row. */
import type { RefObject } from "react";
import { t } from "../said/words";

/** A cell as a file has it: quoted where it must be, and no formula; by the rule that files of the server are written by. */
const cell = (text: string): string => {
	const plain = /^[=+\-@]/.test(text) && !/^[+-]?[\d.,]+$/.test(text) ? `'${text}` : text;
	return /[",\n]/.test(plain) ? `"${plain.replaceAll('"', '""')}"` : plain;
};

/** Header and rows, with the minus that programs read. */
export const csvOf = (table: HTMLTableElement): string =>
	[...table.rows]
		.map((row) =>
			[...row.cells]
				.map((each) =>
					cell(
						(each.innerText ?? each.textContent ?? "").replaceAll("\u2212", "-").replace(/\s+/g, " ").trim(),
					),
				)
				.join(","),
		)
		.join("\n");

export function SaveTable({ of, name }: { of: RefObject<HTMLElement | null>; name: string }) {
	const save = () => {
		const table = of.current?.querySelector("table");
		if (!table) return;
		const link = document.createElement("a");
		link.href = URL.createObjectURL(new Blob([`\uFEFF${csvOf(table)}\n`], { type: "text/csv" }));
		link.download = `${name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, "-")}.csv`;
		link.click();
		setTimeout(() => URL.revokeObjectURL(link.href), 1000);
	};
	return (
		<button type="button" className="no-print btn btn-sm h-11 border-base-300 bg-base-100" onClick={save}>
			{t("ui-save-table")}
		</button>
	);
}
