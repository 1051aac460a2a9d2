/** A shots file: choose it, look at how it is read, then take it in. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, got, type ImportPreview, type ImportResult, type Session } from "../../api/client";
import { sessionKey } from "../../api/session";
import { t } from "../../said/words";
import { lettersOf } from "../../session/select";
import { listOf } from "../../session/words";
import { useFirst } from "../../ui/first";
import { Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { asFar } from "../../ui/units";
import {
	contentsOf,
	FRESH,
	KEYS,
	KINDS,
	type Kind,
	MOST_BYTES,
	type Request,
	TOO_LARGE,
	UNIT_WORDS,
	unitsFor,
} from "./importFile";

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

interface MappingProps {
	letters: string[];
	shown: ImportPreview;
	request: Request;
	onChange: (request: Request) => void;
	onAgain: (request: Request) => void;
	onTake: () => void;
	busy: boolean;
}

type Shown = Pick<MappingProps, "shown" | "request" | "onAgain" | "busy">;

/** One column: what it is and in which unit. What the file leaves open is asked in the row itself. */
function ColumnRow({ index, shown, request, onAgain, busy }: Shown & { index: number }) {
	const column = shown.columns[index];
	if (!column) return null;
	const { header, key, unit, sure, example, ask, maybe } = column;
	const say = (nextKey: string, nextUnit: string) =>
		onAgain({
			...request,
			columns: request.columns.map((each, at) => {
				if (at !== index) return each;
				const units = unitsFor(nextKey);
				const kept = units.includes(nextUnit) ? nextUnit : (units[0] ?? "");
				return { ...each, key: nextKey, unit: kept, sure: true };
			}),
		});
	const units = unitsFor(key);
	return (
		<>
			<tr className={key || !sure ? "" : "quiet"}>
				<td>{header || t("bag-no-header")}</td>
				<td>{example || t("bag-blank")}</td>
				<td>
					<select
						className="select select-sm h-11 w-36"
						aria-label={t("bag-is", { header })}
						value={key}
						disabled={busy}
						onChange={(event) => say(event.target.value, unit)}
					>
						{Object.entries(key in KEYS ? KEYS : { ...KEYS, [key]: key.replaceAll("_", " ") }).map(
							([each, words]) => (
								<option key={each} value={each}>
									{words}
								</option>
							),
						)}
					</select>
				</td>
				<td>
					{units.length > 0 && sure && (
						<select
							className="select select-sm h-11 w-24"
							aria-label={t("bag-unit-of", { header })}
							value={unit}
							disabled={busy}
							onChange={(event) => say(key, event.target.value)}
						>
							{units.map((each) => (
								<option key={each} value={each}>
									{UNIT_WORDS[each] ?? each}
								</option>
							))}
						</select>
					)}
				</td>
			</tr>
			{!sure && ask && (
				<tr className="border-t-0">
					<td colSpan={4} className="pb-2">
						<p className="hole-text font-semibold">{ask}</p>
						<div className="mt-1 flex flex-wrap gap-2">
							{maybe.length > 0
								? [...maybe, ""].map((each) => (
										<button
											key={each}
											type="button"
											className="btn btn-sm h-11"
											disabled={busy}
											aria-label={
												each ? t("bag-is-2", { header, keys: KEYS[each] }) : t("bag-leave-out", { header })
											}
											onClick={() => say(each, unit)}
										>
											{each ? KEYS[each] : t("label-leave-out")}
										</button>
									))
								: units.map((each) => (
										<button
											key={each}
											type="button"
											className="btn btn-sm h-11"
											disabled={busy}
											aria-label={t("bag-is-in", { header, unitWords: UNIT_WORDS[each] ?? each })}
											onClick={() => say(key, each)}
										>
											{UNIT_WORDS[each] ?? each}
										</button>
									))}
						</div>
					</td>
				</tr>
			)}
		</>
	);
}

/** Whose shots go in, what does not go together: asked before anything does. */
function Asked({ shown, request, onAgain, busy }: Shown) {
	const others = shown.questions.filter(({ id }) => !/^(column|kind|whose) ?/.test(id));
	const carry = request.columns.find(({ key }) => key === "carry_m");
	const unit = carry?.unit === "m" ? "yd" : "m";
	return (
		<>
			{shown.players.length > 0 && (
				<fieldset disabled={busy}>
					<legend className={shown.whose ? "font-semibold" : "hole-text font-semibold"}>
						{t("bag-whose-shots-go")}
					</legend>
					{shown.players.map(({ name, shots }) => (
						<label key={name} className="flex min-h-11 cursor-pointer items-center gap-2">
							<input
								type="radio"
								name="whose"
								className="radio"
								checked={shown.whose === name}
								onChange={() => onAgain({ ...request, whose: name })}
							/>
							{name || t("bag-no-name")} <span className="quiet text-sm">{t("bag-shots", { shots })}</span>
						</label>
					))}
				</fieldset>
			)}
			{others.map(({ id, sentence }) => (
				<div key={id} className="border-l-4 pl-3" style={{ borderColor: "var(--hole)" }}>
					<p>{sentence}</p>
					<div className="mt-1 flex flex-wrap gap-2">
						{id === "carry" && carry && (
							<button
								type="button"
								className="btn btn-sm h-11"
								disabled={busy}
								onClick={() =>
									onAgain({
										...request,
										columns: request.columns.map((each) => (each === carry ? { ...each, unit } : each)),
									})
								}
							>
								{t("bag-they-are", { unitWords: UNIT_WORDS[unit] })}
							</button>
						)}
						{id !== "club" && (
							<button
								type="button"
								className="btn btn-sm h-11"
								disabled={busy}
								onClick={() => onAgain({ ...request, answered: [...request.answered, id] })}
							>
								{t("bag-right-as")}
							</button>
						)}
					</div>
				</div>
			))}
		</>
	);
}

function Clubs({ letters, shown, request, onChange, onAgain, busy }: MappingProps) {
	return (
		<div>
			<h3>{t("bag-clubs")}</h3>
			<p className="quiet mb-1 text-sm">
				{t("bag-by-name-into-bag")}
				{letters.length > 0 && t("bag-by-letter-stand", { letters: listOf(letters, "or") })}.
			</p>
			<ul className="max-h-56 space-y-2 overflow-auto">
				{shown.clubs.map(({ written, shots, here, kind }) => (
					<li key={written} className="flex flex-wrap items-center gap-x-2">
						<span className="w-32 break-words">{written || t("bag-no-club-named")}</span>
						<input
							className="input h-11 w-20 px-2"
							aria-label={t("bag-goes-to", { written })}
							placeholder={t("bag-left-out")}
							value={request.clubs[written] ?? ""}
							onChange={(event) =>
								onChange({ ...request, clubs: { ...request.clubs, [written]: event.target.value } })
							}
							onBlur={() => onAgain(request)}
						/>
						<span className="quiet text-sm">
							{t("bag-shots", { shots })}
							{here > 0 && t("bag-here-already-2", { here })}
						</span>
						{kind === null && written && request.clubs[written] && (
							<label className="hole-text flex w-full items-center gap-2 font-semibold">
								{t("bag-what-kind-club")}
								<select
									className="select h-11 w-40"
									aria-label={t("bag-kind-of", { written })}
									value={request.kinds[written] ?? ""}
									disabled={busy}
									onChange={(event) =>
										onAgain({
											...request,
											kinds: { ...request.kinds, [written]: event.target.value as Kind },
										})
									}
								>
									<option value="" disabled>
										{t("bag-choose")}
									</option>
									{Object.entries(KINDS).map(([each, words]) => (
										<option key={each} value={each}>
											{words}
										</option>
									))}
								</select>
							</label>
						)}
					</li>
				))}
			</ul>
		</div>
	);
}

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
