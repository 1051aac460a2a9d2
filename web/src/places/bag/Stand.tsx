/** The candidates on the stand: what each does, and what it would do to its neighbours. */
import { Link } from "react-router";
import { change } from "../../acts";
import type { Session } from "../../api/client";
import { MOST_RINGS } from "../../instruments/carry-map/CarryMap";
import { t } from "../../said/words";
import { Accept } from "../../session/Accept";
import type { PlaceProps } from "../../session/place";
import { candidatesOf } from "../../session/select";
import { Letter } from "../../ui/Letter";
import { asFar, whole } from "../../ui/units";

export function Stand({
	session,
	onPick,
	onList,
	onOther,
	agreed,
	act,
	busy,
}: Pick<PlaceProps, "act" | "busy"> & {
	session: Session;
	onPick: () => void;
	onList: () => void;
	onOther: () => void;
	agreed: boolean;
}) {
	const candidates = candidatesOf(session);
	return (
		<div>
			<ul className="grid gap-2 sm:grid-cols-2 xl:grid-cols-4">
				{candidates.map((build) => {
					const verdict = session.verdicts.find((each) => each.build === build.id);
					return (
						<li
							key={build.id}
							className="border-t-3 bg-base-100 px-3 py-2"
							style={{ borderColor: `var(--${build.letter})` }}
						>
							<p className="flex items-center gap-2 font-semibold">
								<Letter letter={build.letter} /> <span className="truncate">{build.name}</span>
							</p>
							<p className="truncate">
								<span className="num text-xl">{asFar(build.carry_m)}</span>{" "}
								<span className="quiet text-sm">
									{t("bag-carry", {
										which: build.half_width_m === null ? "" : `±${asFar(build.half_width_m, 1)}`,
									})}
								</span>
								{build.averages.landing_deg !== undefined && (
									<>
										{" "}
										<span className="num text-xl">{whole(build.averages.landing_deg)}°</span>{" "}
										<span className="quiet text-sm">{t("label-land")}</span>
									</>
								)}
							</p>
							<p className={verdict?.kind === "one_turn" ? "hole-text font-semibold" : "font-semibold"}>
								{verdict?.headline ?? t("bag-not-hit-yet")}
							</p>
							{verdict?.at_first && (
								<p className="hole-text text-[13.5px]">
									{t("bag-by-first-targets", { atFirst: verdict.at_first })}
								</p>
							)}
							<div className="flex flex-wrap items-center gap-x-3">
								<Accept session={session} build={build} act={act} busy={busy} />
								{!agreed && (
									<button
										type="button"
										className="no-print min-h-11 cursor-pointer text-[14px] underline"
										disabled={busy}
										aria-label={t("bag-put-away", { letter: build.letter })}
										onClick={() => act(() => change.drop(build.id))}
									>
										{t("bag-put-away-2")}
									</button>
								)}
							</div>
							{session.bag.moved[build.letter] && (
								<p className="quiet text-[13.5px] leading-snug">{session.bag.moved[build.letter]}</p>
							)}
						</li>
					);
				})}
				{!agreed && candidates.length < 8 && (
					<li className="no-print flex flex-col gap-2">
						<button
							type="button"
							className="btn min-h-11 w-full flex-1 border-base-300 bg-base-100"
							onClick={onList}
						>
							<span className="key">L</span> {t("bag-short-list-for-player")}
						</button>
						<button
							type="button"
							className="btn min-h-11 w-full flex-1 border-dashed border-base-300 bg-transparent"
							onClick={onPick}
						>
							<span className="key">K</span> {t("bag-whole-rack")}
						</button>
						<button
							type="button"
							className="btn min-h-11 w-full flex-1 border-dashed border-base-300 bg-transparent"
							onClick={onOther}
						>
							<span className="key">O</span> {t("bag-borrowed-own-one-loft")}
						</button>
					</li>
				)}
			</ul>
			<p className="mt-2 flex items-center justify-between text-sm">
				<span className="quiet">
					{candidates.length > MOST_RINGS
						? t("bag-map-shows-first-candidates", { mostRings: MOST_RINGS })
						: t("bag-outer-ring-bag-carry-roll")}
				</span>
				{candidates.length > 0 && (
					<Link
						to={`/sessions/${session.id}/bay`}
						className="inline-flex min-h-11 items-center font-semibold underline"
					>
						{t("bag-to-the-bay")}
					</Link>
				)}
			</p>
		</div>
	);
}
