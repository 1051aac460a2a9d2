/** One club of the bag: type its carry and total, mark it fixed, see and set aside its shots. */

import { useState } from "react";
import { change } from "../../acts";
import type { Build } from "../../api/client";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { PlaceProps } from "../../session/place";
import { questionOf, shotsOf } from "../../session/select";
import { AsLeft } from "../../ui/AsLeft";
import { dropDraft, useDrafted } from "../../ui/draft";
import { typedFar } from "../../ui/typed";
import { asFar, type Metres, metresOf, toFar, unit, unitName, whole } from "../../ui/units";
import { gapChange } from "./Rules";
import { Stated } from "./Stated";

const text = (metres: Metres | null) => (metres === null ? "" : String(whole(toFar(metres))));

export function ClubCard({
	session,
	build,
	act,
	busy,
	onClose,
}: Pick<PlaceProps, "session" | "act" | "busy"> & { build: Build; onClose: () => void }) {
	const was = {
		carry: text(build.carry_m),
		// What nobody read is no figure to start from.
		total: build.total_read ? text(build.total_m) : "",
		doubt: text(build.carry_doubt_m),
	};
	const form = `club:${build.id}`;
	const [carry, setCarry] = useDrafted(form, "carry", was.carry);
	const [total, setTotal] = useDrafted(form, "total", was.total);
	const [doubt, setDoubt] = useDrafted(form, "doubt", was.doubt);
	const shots = shotsOf(session, build.id);
	const agreed = isClosed(session);
	const { wanted } = session.bag;
	const like = wanted.wish === "like" && wanted.like === build.id;
	const [why, setWhy] = useState(build.out_of_favour);
	const favour = (reason: string) => act(() => change.club(build.id, { out_of_favour: reason }));
	/** A field sends what was typed in it and nothing else; a club that was assumed is typed as a whole. */
	const save = () =>
		act(async () => {
			const assumed = build.carry_from === "assumed" && carry !== was.carry;
			const made = await change.club(build.id, {
				...(carry !== was.carry ? { typed_carry_m: typedFar(carry, "carry") } : {}),
				...(assumed || total !== was.total ? { typed_total_m: typedFar(total, "total") } : {}),
				...(assumed || doubt !== was.doubt ? { typed_doubt_m: typedFar(doubt, t("bag-give-or-take")) } : {}),
			});
			dropDraft(form);
			return made;
		});
	return (
		<section className="border border-base-300 p-3" aria-label={build.name}>
			<div className="flex items-center justify-between">
				<h3 className="text-lg">
					{build.name} <span className="quiet text-sm font-normal">{build.detail}</span>
				</h3>
				<button type="button" className="btn btn-ghost btn-sm" onClick={onClose}>
					{t("label-close")}
				</button>
			</div>
			{build.known_from && (
				<p className="quiet text-sm">{t("bag-as-measured", { knownFrom: build.known_from })}</p>
			)}
			{build.carry_from === "assumed" && (
				<p className="hole-text text-sm">
					{t("bag-not-hit-assumed-from-other", { carryDoubt: asFar(build.carry_doubt_m), unit: unit("far") })}
				</p>
			)}
			{build.carry_from === "old_swing" && (
				<p className="hole-text text-sm">{t("bag-by-swing-before-hit-again")}</p>
			)}
			<fieldset disabled={agreed || busy} className="space-y-2">
				<AsLeft form={form} />
				{shots.length === 0 ? (
					<form
						className="flex flex-wrap items-center gap-2"
						onSubmit={(event) => {
							event.preventDefault();
							save();
						}}
					>
						<label className="flex items-center gap-1">
							<span className="quiet text-sm">{t("label-carry-3")}</span>
							<input
								className="input h-11 w-18 px-2"
								aria-label={t("bag-carry-of-in", { name: build.name, unit: unitName("far") })}
								value={carry}
								onChange={(e) => setCarry(e.target.value)}
								inputMode="decimal"
							/>
						</label>
						<label className="flex items-center gap-1">
							<span className="quiet text-sm">{t("label-total-2")}</span>
							<input
								className="input h-11 w-18 px-2"
								aria-label={t("bag-total-of-in", { name: build.name, unit: unitName("far") })}
								value={total}
								onChange={(e) => setTotal(e.target.value)}
								inputMode="decimal"
							/>
						</label>
						<label className="flex items-center gap-1">
							<span className="quiet text-sm">±</span>
							<input
								className="input h-11 w-14 px-2"
								aria-label={t("bag-give-or-take-2", { name: build.name, unit: unitName("far") })}
								value={doubt}
								onChange={(e) => setDoubt(e.target.value)}
								inputMode="decimal"
							/>
						</label>
						<button type="submit" className="btn btn-sm h-11">
							{t("label-set")}
						</button>
					</form>
				) : (
					<ul className="grid grid-cols-3 gap-2">
						{shots.map((shot) => {
							const question = questionOf(session, shot);
							const carry = asFar(metresOf(shot.readings, "carry_m"));
							return (
								<li key={shot.id}>
									<button
										type="button"
										className="min-h-11 w-full cursor-pointer bg-base-200 px-2 py-1 text-left"
										aria-label={t("bag-shot-carry", {
											number: shot.number,
											carry,
											which: shot.aside ? t("bag-bring-back") : t("bag-set-aside"),
										})}
										onClick={() => act(() => change.aside(shot.id, !shot.aside, t("bag-by-fitter")))}
									>
										<span className={`num ${shot.aside ? "quiet line-through" : ""}`}>{carry}</span>{" "}
										<span className={`text-[12px] ${question ? "hole-text" : "quiet"}`}>
											{shot.aside ? shot.aside_reason || t("label-aside") : question}
										</span>
									</button>
								</li>
							);
						})}
					</ul>
				)}
				{build.carry_m !== null && (
					<button
						type="button"
						className="btn btn-sm h-11 w-full border-base-300 bg-base-100"
						aria-pressed={like}
						onClick={() =>
							act(
								gapChange(session, {
									wish: like ? "gap" : "like",
									like_for: like ? null : build.id,
									flight: null,
									clubs_to_place: 1,
								}),
							)
						}
					>
						{like ? t("bag-back-hole") : t("bag-replace-like-for-like")}
					</button>
				)}
				<form
					className="flex items-center gap-2"
					onSubmit={(event) => {
						event.preventDefault();
						favour(
							build.out_of_favour && why === build.out_of_favour
								? ""
								: why.trim() || t("bag-no-reason-given"),
						);
					}}
				>
					<input
						className="input h-11 min-w-0 flex-1 px-2"
						aria-label={t("bag-why-out-favour", { name: build.name })}
						placeholder={t("bag-out-favour-why")}
						maxLength={80}
						value={why}
						onChange={(event) => setWhy(event.target.value)}
					/>
					<button type="submit" className="btn btn-sm h-11 border-base-300 bg-base-100">
						{build.out_of_favour && why === build.out_of_favour ? t("bag-back-favour") : t("bag-out-favour")}
					</button>
				</form>
				<Stated build={build} act={act} />
				<div className="flex items-center justify-between">
					<label className="flex min-h-11 items-center gap-2 text-sm">
						<input
							type="checkbox"
							className="checkbox checkbox-sm"
							checked={build.fixed}
							onChange={(e) => {
								const fixed = e.target.checked;
								act(() => change.club(build.id, { fixed }));
							}}
						/>
						{t("bag-fixed-stays-bag")}
					</label>
					<button
						type="button"
						className="min-h-11 cursor-pointer text-sm underline"
						onClick={() => act(() => change.drop(build.id))}
					>
						{t("bag-take-out-bag")}
					</button>
				</div>
			</fieldset>
		</section>
	);
}
