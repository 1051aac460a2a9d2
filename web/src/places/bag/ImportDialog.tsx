/** A shots file: choose it, look at how it is read, then take it in. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, got, type ImportPreview, type ImportResult, type Session } from "../../api/client";
import { sessionKey } from "../../api/session";
import { t } from "../../said/words";
import { lettersOf } from "../../session/select";
import { useFirst } from "../../ui/first";
import { Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { asFar } from "../../ui/units";
import { Asked, Clubs, ColumnRow, type MappingProps } from "./ImportAsked";
import { contentsOf, FRESH, MOST_BYTES, type Request, TOO_LARGE } from "./importFile";

export function ImportDialog({
	session,
	onTaken,
	onClose,
}: {
	session: Session;
	/** What went in, in words: where nothing of the file is left to be read, they are all there is to say. */
	onTaken: (words: string) => void;
	onClose: () => void;
}) {
	const queries = useQueryClient();
	const [tooLarge, setTooLarge] = useState(false);
	const [request, setRequest] = useState<Request | null>(null);
	const [shown, setShown] = useState<ImportPreview | null>(null);
	const path = { params: { path: { session_id: session.id } } };
	const preview = useMutation({
		mutationFn: (body: Request) =>
			got(client.POST("/api/sessions/{session_id}/import/preview", { ...path, body })),
		onSuccess: (answer, sent) => {
			// What was taken off the list of the odd ones stays off it while other things are answered.
			const before = request?.sheet === sent.sheet ? (shown?.unlike ?? []) : [];
			const kept = before.map((row) => row.line).filter((line) => !sent.aside.includes(line));
			setShown(answer);
			setRequest({
				...sent,
				columns: answer.columns.map(({ header, key, unit, sure }) => ({ header, key, unit, sure })),
				clubs: Object.fromEntries(
					answer.clubs.map((club) => [club.written, sent.clubs[club.written] ?? club.name]),
				),
				whose: answer.whose,
				aside: answer.unlike.map((row) => row.line).filter((line) => !kept.includes(line)),
			});
		},
	});
	const take = useMutation({
		mutationFn: (body: Request) => got(client.POST("/api/sessions/{session_id}/import", { ...path, body })),
		onSuccess: async (answer) => {
			await queries.invalidateQueries({ queryKey: sessionKey(session.id) });
			onTaken(takenWords(answer));
			if (answer.problems.length === 0) onClose();
		},
	});
	const read = async (file: File | undefined) => {
		if (!file) return;
		take.reset();
		setShown(null);
		setTooLarge(file.size > MOST_BYTES);
		if (file.size > MOST_BYTES) return;
		preview.mutate({ ...FRESH, file_name: file.name, ...(await contentsOf(file)) });
	};
	const file = useFirst<HTMLInputElement>();
	const see = useFirst<HTMLButtonElement>(take.isSuccess);
	if (take.data) {
		return (
			<Sheet title={t("bag-taken-in")} onClose={onClose}>
				<p className="mb-3 text-lg">{takenWords(take.data)}</p>
				<Problems title={t("bag-not-read")} problems={take.data.problems} />
				<button ref={see} type="button" className="btn btn-primary mt-4 h-11 w-full" onClick={onClose}>
					{t("bag-see-carry-map")}
				</button>
			</Sheet>
		);
	}
	return (
		<Sheet title={t("bag-import-shots")} onClose={onClose} wide={shown !== null}>
			<input
				ref={file}
				type="file"
				accept=".csv,.txt,.tsv,.xlsx,text/csv"
				className="file-input mb-3 h-11 w-full"
				aria-label={t("bag-shots-file")}
				onChange={(event) => void read(event.target.files?.[0])}
			/>
			<Said error={tooLarge ? TOO_LARGE : (preview.error ?? take.error)} />
			{!shown && !preview.error && <p className="quiet">{t("bag-any-csv-or-workbook-with")}</p>}
			{shown && request && (
				<Mapping
					letters={lettersOf(session)}
					shown={shown}
					request={request}
					onChange={setRequest}
					onAgain={(next) => preview.mutate(next)}
					onTake={() => take.mutate(request)}
					busy={preview.isPending || take.isPending}
				/>
			)}
		</Sheet>
	);
}

const takenWords = ({ shots, clubs, set_aside, computed, here }: ImportResult) =>
	[
		t("bag-shots-clubs-set-aside-had", { shots, clubs, setAside: set_aside, computed }),
		here > 0 && t("bag-were-left-out", { here: hereWords(here) }),
	]
		.filter(Boolean)
		.join(" ");
const hereWords = (here: number) => (here === 1 ? t("bag-1-here-already") : t("bag-here-already", { here }));

function Mapping(props: MappingProps) {
	const { shown, request, onChange, onAgain, onTake, busy } = props;
	const open = shown.questions.length;
	const rows = { shown, request, onAgain, busy };
	const read = shown.columns.filter(({ key }) => key).length;
	const ready = !busy && shown.shots > 0 && open === 0;
	const go = useFirst<HTMLButtonElement>(ready);
	return (
		<div className="grid gap-x-6 gap-y-4 lg:grid-cols-[1fr_20rem]">
			<div className="sticky top-0 z-10 flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-b border-base-300 bg-base-100 py-2 lg:col-span-2">
				<p>
					{t("bag-file-holds", {
						shots: shown.shots,
						clubs: shown.clubs.length,
						read,
						out: shown.columns.length - read,
					})}
				</p>
				<button
					ref={go}
					type="button"
					className="btn btn-primary h-12 min-w-60"
					disabled={!ready}
					onClick={onTake}
				>
					{open > 0
						? t("bag-answer-1-question-first", { open })
						: t("bag-take-shots", { shots: shown.shots })}
				</button>
			</div>
			<section>
				<h3 className="mb-1">
					{t("bag-columns")}{" "}
					{shown.remembered && <span className="quiet text-sm font-normal">{t("bag-as-last-time")}</span>}
				</h3>
				{shown.sheets.length > 1 && (
					<label className="mb-2 flex items-center gap-2">
						{t("bag-sheet")}
						<select
							className="select h-11 w-56"
							value={request.sheet || shown.sheets[0]}
							disabled={busy}
							onChange={(event) => onAgain({ ...request, ...FRESH, sheet: event.target.value })}
						>
							{shown.sheets.map((each) => (
								<option key={each}>{each}</option>
							))}
						</select>
					</label>
				)}
				<div className="max-h-[26rem] overflow-auto border-y border-base-300">
					<table className="table-plain w-full">
						<thead className="sticky top-0 bg-base-100">
							<tr>
								<th scope="col">{t("bag-in-the-file")}</th>
								<th scope="col">{t("bag-first-shot")}</th>
								<th scope="col">{t("bag-is-3")}</th>
								<th scope="col">{t("bag-unit")}</th>
							</tr>
						</thead>
						<tbody>
							{shown.columns.map((each, index) => (
								// biome-ignore lint/suspicious/noArrayIndexKey: two columns may have one header; they keep their order
								<ColumnRow key={`${index} ${each.header}`} index={index} {...rows} />
							))}
						</tbody>
					</table>
				</div>
			</section>
			<section className="space-y-4">
				<Asked {...rows} />
				{shown.clubs.length > 0 && <Clubs {...props} />}
				{shown.here > 0 && (
					<label className="flex min-h-11 cursor-pointer items-center gap-2">
						<input
							type="checkbox"
							className="checkbox"
							checked={request.again}
							disabled={busy}
							onChange={(event) => onAgain({ ...request, again: event.target.checked })}
						/>
						<span>
							{hereWords(shown.here)}
							{!request.again && t("bag-is-new", { shots: shown.shots })}
							{t("bag-take-them-again")}
						</span>
					</label>
				)}
				{shown.unlike.length > 0 && (
					<div>
						<h3 className="mb-1">{t("bag-unlike-others")}</h3>
						<ul className="space-y-1">
							{shown.unlike.map((row) => (
								<li key={row.line}>
									<label className="flex items-start gap-2 text-sm">
										<input
											type="checkbox"
											className="checkbox checkbox-sm"
											checked={request.aside.includes(row.line)}
											onChange={(event) =>
												onChange({
													...request,
													aside: event.target.checked
														? [...request.aside, row.line]
														: request.aside.filter((line) => line !== row.line),
												})
											}
										/>
										<span>
											{t("bag-set-aside-line", {
												club: row.club,
												carry: asFar(row.carry_m),
												line: row.line,
												why: row.why,
											})}
										</span>
									</label>
								</li>
							))}
						</ul>
					</div>
				)}
				<Problems title={t("bag-not-read")} problems={shown.problems} />
				<Problems title={t("bag-left-out-2")} problems={shown.left} quiet />
			</section>
		</div>
	);
}

function Problems({
	title,
	problems,
	quiet = false,
}: {
	title: string;
	problems: ImportPreview["problems"];
	quiet?: boolean;
}) {
	if (problems.length === 0) return null;
	return (
		<div>
			<h3 className={quiet ? "quiet mb-1" : "hole-text mb-1"}>{title}</h3>
			<ul className={`max-h-32 overflow-auto text-sm ${quiet ? "quiet" : ""}`}>
				{problems.map((problem) => (
					<li key={`${problem.line}-${problem.column}-${problem.sentence}`}>
						{t("bag-line", {
							line: problem.line,
							which: problem.column ? `, ${problem.column}` : "",
							sentence: problem.sentence,
						})}
					</li>
				))}
			</ul>
		</div>
	);
}
