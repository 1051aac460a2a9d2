/** What came of a test over its clubs together: the outcome first, then the figures, clubs side by side in each. */
import type { ReactNode } from "react";
import type { Bench, Session } from "../api/client";
import { t } from "../said/words";
import { figure, inShown, shownAs } from "../ui/units";
import { ClubName } from "./ClubName";
import type { ResultProps } from "./panels";

export type Result = Bench["results"][number];
type Column = Result["columns"][number];
type Row = Result["rows"][number];

export const resultsOf = (bench: Bench | undefined, test: string): Result[] =>
	(bench?.results ?? []).filter((each) => each.test === test);

export function Results({ protocol, session, bench }: Omit<ResultProps, "act">) {
	return resultsOf(bench, protocol).map((result) => (
		<section
			key={result.builds.join() || result.title}
			className="mt-4 text-[15px]"
			aria-label={result.title}
		>
			<h3 className="mb-1">{result.title}</h3>
			<Outcome result={result} />
			<ResultTable session={session} result={result} />
			<Remarks result={result} />
		</section>
	));
}

function Outcome({ result }: { result: Result }) {
	if (!result.sentence) return null;
	return (
		<p className={`text-lg font-semibold ${result.outcome === "replace" ? "hole-text" : ""}`}>
			{result.outcome === "keep" && <span aria-hidden="true">✓ </span>}
			{result.sentence}
		</p>
	);
}

export function Remarks({ result }: { result: Result }) {
	return (
		<ul className="mt-1 space-y-0.5 text-[14.5px]">
			{result.remarks.map((sentence) => (
				<li key={sentence}>{sentence}</li>
			))}
		</ul>
	);
}

const unitOf = (column: Column) => shownAs(column.reading).unit;

/** first: how the column of names is headed, where the clubs are not held side by side. */
export function ResultTable({
	session,
	result,
	first,
	counted = t("label-shots"),
}: {
	session: Session;
	result: Result;
	first?: ReactNode;
	counted?: string;
}) {
	const beside = result.builds.map((build, index) => (
		<span key={build}>
			{index > 0 && " | "}
			<ClubName session={session} build={build} />
		</span>
	));
	return (
		<table className="mt-1 text-[15px]">
			<thead>
				<tr className="quiet text-right text-sm">
					<th className="pr-5 text-left font-normal">{beside.length > 0 ? beside : first}</th>
					{result.columns.map((column) => (
						<th key={column.key} className="pr-6 font-normal">
							{column.name}, {unitOf(column)}
						</th>
					))}
					<th className="font-normal">{counted}</th>
				</tr>
			</thead>
			<tbody>
				{result.rows.map((row) => (
					<tr key={`${row.build}-${row.name}`} className="border-t border-base-300 text-right">
						<td className="py-1 pr-5 text-left">
							{row.build !== null && <ClubName session={session} build={row.build} />} {row.name}
						</td>
						{result.columns.map((column) => (
							<Figures key={column.key} column={column} of={row.figures[column.key]} />
						))}
						<td className="num">{row.shots.join(" | ")}</td>
					</tr>
				))}
			</tbody>
		</table>
	);
}

function Figures({ column, of }: { column: Column; of: Row["figures"][string] | undefined }) {
	if (!of) return <td className="quiet pr-6">–</td>;
	const digits = column.digits ?? shownAs(column.reading).digits;
	const shown = (value: number | null) =>
		figure(value === null ? null : inShown(column.reading, value), digits);
	return (
		<td className={`num pr-6 ${of.told ? "font-semibold" : ""}`}>
			{of.at.map(shown).join(" | ")}
			{of.at.length === 1 && of.half !== null && (
				<span className="quiet ml-1 text-[13px]">
					±{figure(inShown(column.reading, of.half), digits + 1)}
				</span>
			)}
		</td>
	);
}
