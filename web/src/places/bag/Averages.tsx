/** Averages of several clubs at once, as a monitor's screen sums their balls up: 5 balls, 168, within 6. */
import { useState } from "react";
import { change } from "../../acts";
import { type Build, Problem, type Session } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { AsLeft } from "../../ui/AsLeft";
import { dropDraft, useDrafted } from "../../ui/draft";
import { useFirst } from "../../ui/first";
import { Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { neededNumber } from "../../ui/typed";
import { fromFar, unit } from "../../ui/units";

type BagEnd = Session["brief"]["end"];

interface Row {
	name: string;
	balls: string;
	carry: string;
	within: string;
	total: string;
}
const EMPTY = { balls: "", carry: "", within: "", total: "" };
/** Rows for clubs that are not in the bag yet: many where it is empty. */
const SPARE = 3;
const WHOLE_BAG = 13;
const sparesFor = (own: Build[]) => Math.max(SPARE, WHOLE_BAG - own.length);
const FIELDS = [
	{ key: "balls", label: t("label-balls"), wide: "w-16" },
	{ key: "carry", label: t("label-carry-2"), wide: "w-20" },
	{ key: "within", label: t("bag-all-within"), wide: "w-20" },
	{ key: "total", label: t("label-total"), wide: "w-20" },
] as const;

/** Half a ball was not hit: it is said, not rounded away. */
function wholeBalls(balls: number, name: string): number {
	if (!Number.isInteger(balls)) throw new Problem(t("bag-balls-counted-whole", { name }), 0, null);
	return balls;
}

/** Where nothing is known of a bag, the usual clubs of the end that is worked at, then the others: a row without figures
 * says nothing. */
const rowsOf = (own: Build[], end: BagEnd): Row[] => {
	const clubs = own.filter((club) => club.head_type !== "putter").map(({ name }) => ({ name, ...EMPTY }));
	const usual = [...new Set([...VOCABULARY.usualSets[end], ...VOCABULARY.usualSets.whole])];
	const spares = Array.from({ length: sparesFor(own) }, (_, at) => ({
		name: (clubs.length === 0 && usual[at]) || "",
		...EMPTY,
	}));
	return [...clubs, ...spares];
};

export function Averages({
	session,
	own,
	act,
	onClose,
}: Pick<PlaceProps, "session" | "act"> & { own: Build[]; onClose: () => void }) {
	const form = `averages:${session.id}`;
	const [rows, setRows] = useDrafted<Row[]>(form, "rows", rowsOf(own, session.brief.end));
	const known = rows.length - sparesFor(own);
	const [wrong, setWrong] = useState<unknown>(null);
	/** A carry that is typed without its balls has as many as the row before: they stand there to be changed. */
	const ballsFor = (row: Row, at: number, over: Partial<Row>): Partial<Row> =>
		over.carry && !row.balls.trim()
			? { balls: rows.slice(0, at).findLast((each) => each.balls.trim())?.balls ?? "" }
			: {};
	const set = (at: number, over: Partial<Row>) =>
		setRows(rows.map((row, index) => (index === at ? { ...row, ...ballsFor(row, at, over), ...over } : row)));
	const send = () => {
		try {
			const clubs = rows
				.filter((row) => row.carry.trim() || row.balls.trim() || row.within.trim() || row.total.trim())
				.map((row) => {
					const number = (text: string, what: string) =>
						neededNumber(text, t("bag-of", { what, name: row.name || t("bag-new-club") }));
					const yards = (text: string, what: string) =>
						text.trim() ? (fromFar(number(text, what)) as number) : null;
					return {
						name: row.name,
						balls: wholeBalls(number(row.balls, "balls"), row.name),
						carry_m: fromFar(number(row.carry, "carry")) as number,
						within_m: yards(row.within, "spread"),
						total_m: yards(row.total, "total"),
					};
				});
			setWrong(null);
			act(async () => {
				try {
					const after = await change.averages(session.id, clubs);
					dropDraft(form);
					onClose();
					return after;
				} catch (refused) {
					setWrong(refused);
					throw refused;
				}
			});
		} catch (error) {
			setWrong(error);
		}
	};
	const first = useFirst<HTMLInputElement>(true, true);
	return (
		<Sheet title={t("bag-averages-read-off-screen")} onClose={onClose} wide>
			<p className="quiet mb-3">{t("bag-so-many-balls-their-average")}</p>
			<AsLeft form={form} />
			<form
				onSubmit={(event) => {
					event.preventDefault();
					send();
				}}
			>
				<table className="table-plain w-full">
					<thead>
						<tr>
							<th scope="col">{t("label-club")}</th>
							{FIELDS.map((each) => (
								<th key={each.key} scope="col">
									{each.label}
									{each.key !== "balls" && <span className="quiet font-normal"> {unit("far")}</span>}
								</th>
							))}
						</tr>
					</thead>
					<tbody>
						{rows.map((row, at) => (
							// biome-ignore lint/suspicious/noArrayIndexKey: a row is its place until it has a name
							<tr key={at}>
								<td>
									{at < known ? (
										<span className="font-semibold">{row.name}</span>
									) : (
										<input
											className="input h-11 w-28 px-2"
											placeholder={t("bag-another-5i")}
											aria-label={t("bag-another-club", { at: at - known + 1 })}
											value={row.name}
											onChange={({ target }) => set(at, { name: target.value })}
										/>
									)}
								</td>
								{FIELDS.map((each, place) => (
									<td key={each.key}>
										<input
											ref={at === 0 && place === 0 ? first : undefined}
											className={`input h-11 px-2 text-right ${each.wide}`}
											inputMode="decimal"
											aria-label={t("bag-of-2", {
												label: each.label,
												name: row.name || t("label-another-club"),
											})}
											value={row[each.key]}
											onChange={({ target }) => set(at, { [each.key]: target.value })}
										/>
									</td>
								))}
							</tr>
						))}
					</tbody>
				</table>
				<Said error={wrong} />
				<button type="submit" className="btn btn-primary mt-3 h-12 w-full text-lg">
					{t("bag-take-them")}
				</button>
			</form>
		</Sheet>
	);
}
