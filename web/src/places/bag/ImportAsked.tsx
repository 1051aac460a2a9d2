/** How a file is read, column by column and club by club, and what it leaves open. */
import type { ImportPreview } from "../../api/client";
import { t } from "../../said/words";
import { listOf } from "../../session/words";
import { KEYS, KINDS, type Kind, type Request, UNIT_WORDS, unitsFor } from "./importFile";

export interface MappingProps {
	letters: string[];
	shown: ImportPreview;
	request: Request;
	onChange: (request: Request) => void;
	onAgain: (request: Request) => void;
	onTake: () => void;
	busy: boolean;
}

export type Shown = Pick<MappingProps, "shown" | "request" | "onAgain" | "busy">;

/** One column: what it is and in which unit. What the file leaves open is asked in the row itself. */
export function ColumnRow({ index, shown, request, onAgain, busy }: Shown & { index: number }) {
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
export function Asked({ shown, request, onAgain, busy }: Shown) {
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

export function Clubs({ letters, shown, request, onChange, onAgain, busy }: MappingProps) {
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
