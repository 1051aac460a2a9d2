/** What was said so far, lie by lie; a touch puts it right. */
import { useState } from "react";
import { change } from "../../acts";
import type { SoleTest, Turf } from "../../api/client";
import { t } from "../../said/words";
import type { Act } from "../../session/place";
import { Sheet } from "../../ui/Sheet";
import { type Handing, placeOf, sameStage, wordOf } from "./coming";
import { Choice, SAID, saidWords, turfName, turfsOf } from "./Marks";

type Row = SoleTest["handings"][number];

const asRow = (each: Handing, index: number): Row => ({
	id: -1 - index,
	code: each.code,
	place: each.place,
	visit: each.visit ?? 0,
	duel: each.duel ?? false,
	said: each.said ?? null,
	best: each.best ?? null,
	opened: each.opened ?? null,
	turf: each.turf ?? null,
	groove: each.groove ?? null,
	sound: each.sound ?? "",
	left_m: (each.left_m ?? null) as Row["left_m"],
});

export function HandingList({
	act,
	test,
	waiting,
	agreed,
}: {
	act: Act;
	test: SoleTest;
	waiting: Handing[];
	agreed: boolean;
}) {
	const [open, setOpen] = useState<Row | null>(null);
	const rows = [...test.handings, ...waiting.map(asRow)];
	const stages = rows.filter((row, at) => at === 0 || !sameStage(row, rows[at - 1] as Row));
	if (rows.length === 0) return null;
	return (
		<div className="text-[15px]">
			<p className="quiet mb-1 text-sm">{t("sole-said-so-far-touch-one")}</p>
			<dl className="grid grid-cols-[max-content_1fr] items-center gap-x-4 gap-y-1">
				{stages.map((stage) => (
					<div key={`${stage.place}${stage.visit}${stage.duel}`} className="contents">
						<dt className="quiet">{stage.duel ? t("sole-duel-2") : placeOf(test, stage.place)?.name}</dt>
						<dd className="flex flex-wrap gap-1">
							{rows
								.filter((row) => sameStage(row, stage))
								.map((row) => (
									<button
										key={row.id}
										type="button"
										className="btn h-11 border-base-300 bg-base-100 px-2 font-normal"
										disabled={agreed || !test.on || row.id < 0}
										onClick={() => setOpen(row)}
									>
										<span className="font-semibold">{wordOf(test, row.code)}</span>
										{[saidWords(row.said), row.turf ? turfName(row.turf).toLowerCase() : ""]
											.filter(Boolean)
											.join(", ")}
									</button>
								))}
						</dd>
					</div>
				))}
			</dl>
			{open && <Correct act={act} test={test} row={open} onClose={() => setOpen(null)} />}
		</div>
	);
}

function Correct({ act, test, row, onClose }: { act: Act; test: SoleTest; row: Row; onClose: () => void }) {
	const [said, setSaid] = useState(row.said);
	const [turf, setTurf] = useState<Turf | null>(row.turf);
	const place = placeOf(test, row.place);
	return (
		<Sheet title={`${wordOf(test, row.code)}, ${place?.name ?? ""}`} onClose={onClose}>
			<div className="space-y-3">
				{row.said !== null && (
					<Choice
						label={t("sole-better-level-or-worse")}
						all={SAID.map((each) => ({ value: each.said as number, name: each.name }))}
						chosen={said}
						onChoose={setSaid}
					/>
				)}
				<Choice
					label={t("sole-how-met-ground")}
					all={turfsOf(place?.sand ?? false).map((each) => ({ value: each, name: turfName(each) }))}
					chosen={turf}
					onChoose={setTurf}
				/>
				<button
					type="button"
					className="btn btn-primary h-12"
					onClick={() => {
						const { best, opened, groove, sound, left_m } = row;
						act(() => change.changeSaid(row.id, { said, turf, best, opened, groove, sound, left_m }));
						onClose();
					}}
				>
					{t("sole-put-right")}
				</button>
			</div>
		</Sheet>
	);
}
