/** What was done here, to be read, and doing it to several shots at once. */

import type { change } from "../../acts";
import type { Acts as ActsAnswer, Session, Shot } from "../../api/client";
import { t } from "../../said/words";
import { buildOf } from "../../session/select";
import { Sheet } from "../../ui/Sheet";

/** What is done to several shots in one act. */
export type AllOf = Omit<Parameters<typeof change.shots>[1], "shots">;

export function TrailSheet({ acts, onClose }: { acts: ActsAnswer | undefined; onClose: () => void }) {
	return (
		<Sheet title={t("bay-what-done-here")} onClose={onClose}>
			{acts?.trail.length === 0 && <p className="quiet">{t("bay-nothing-yet")}</p>}
			<ol className="max-h-[60vh] overflow-auto" tabIndex={0} aria-label={t("bay-acts-newest-first")}>
				{acts?.trail.map((each) => (
					<li key={`${each.at}${each.sentence}`} className="flex gap-3 border-b border-base-300 py-1.5">
						<span className="num quiet w-16 shrink-0">
							{new Date(each.at).toLocaleTimeString("en-GB", {
								hour: "2-digit",
								minute: "2-digit",
								second: "2-digit",
							})}
						</span>
						{each.sentence}
					</li>
				))}
			</ol>
		</Sheet>
	);
}

/** Several shots at once: what is selected, and how to select. */
export function Selection({
	selected,
	onOne,
	onRun,
	onClear,
}: {
	selected: number;
	onOne: () => void;
	onRun: () => void;
	onClear: () => void;
}) {
	const button = "btn btn-sm h-11 border-base-300 bg-base-100 px-2 font-medium";
	return (
		<p className="flex flex-wrap items-center gap-2 text-[14px]">
			{selected === 0 ? (
				<>
					<button type="button" className={button} onClick={onOne}>
						<span className="key">6</span> {t("bay-select")}
					</button>
					<button type="button" className={button} onClick={onRun}>
						<span className="key">7</span> {t("bay-whole-run")}
					</button>
				</>
			) : (
				<>
					<span className="font-semibold" role="status">
						{t("bay-selected-touch-others-then-call", { selected })}
					</span>
					<button type="button" className={button} onClick={onClear}>
						{t("bay-clear")}
					</button>
				</>
			)}
		</p>
	);
}

/** A club as it is called on the stand. */
export function called(session: Session, id: number): string {
	const build = buildOf(session, id);
	return build ? `${build.letter} ${build.name}`.trim() : t("label-another-club");
}

/** A shot that may have been hit with another club: why, and one touch for either. */
export function CheckClub({
	session,
	shot,
	onOther,
	onThis,
}: {
	session: Session;
	shot: Shot;
	onOther: (build: number) => void;
	onThis: () => void;
}) {
	const button = "btn btn-sm h-11 border-base-300 bg-base-100 px-2 font-medium";
	const other = shot.instead;
	return (
		<p
			className="flex flex-wrap items-center gap-2 border-l-4 pl-3"
			style={{ borderColor: "var(--hole)" }}
			role="status"
		>
			<span className="hole-text font-semibold">{t("bay-check-club")}</span> {shot.check_club}.
			{other !== null && (
				<button type="button" className={button} onClick={() => onOther(other)}>
					<span className="key">.</span> {t("bay-it-was", { other: called(session, other) })}
				</button>
			)}
			<button type="button" className={button} onClick={onThis}>
				<span className="key">,</span> {t("bay-it-was-2", { build: called(session, shot.build) })}
			</button>
		</p>
	);
}
