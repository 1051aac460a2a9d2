/** What the club in each slot should do, with the reason; every target can be overruled. */

import { useState } from "react";
import { change } from "../../acts";
import type { Session, Slot, Target } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { Worded } from "../../said/Worded";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import { Term } from "../../ui/Term";
import { typedNumber } from "../../ui/typed";
import { asFar, inShown, type ReadingKey, shownAs, whole, wish } from "../../ui/units";

interface Props {
	session: Session;
	act: (change: () => Promise<Session>) => void;
	busy: boolean;
}

export function Targets({ session, act, busy }: Props) {
	const inWork = session.bag.in_work;
	if (!inWork) {
		return (
			<div>
				<h2 className="mb-2 text-lg">{t("brief-targets")}</h2>
				<p className="quiet">
					{session.bag.headline}
					{session.bag.wanted.wish === "gap" && ` ${t("brief-targets-follow-from-hole-jobs")}`}
				</p>
			</div>
		);
	}
	return (
		<div className="space-y-6">
			{inWork.slots.map((slot) => (
				<section key={slot.index}>
					<h2 className="mb-2 text-lg">
						{inWork.slots.length > 1 ? (
							t("brief-slot-targets", { index: slot.index + 1 })
						) : (
							<Worded id="brief-targets-for-slot" drawn={{ slot: <Term of="slot" /> }} />
						)}
					</h2>
					<ul className="space-y-3">
						{slot.targets.map((target) => (
							<TargetRow
								key={target.quantity}
								session={session}
								slot={slot}
								target={target}
								act={act}
								busy={busy}
							/>
						))}
					</ul>
				</section>
			))}
		</div>
	);
}

/** Shown to canonical, for what is typed. */
function canonical(quantity: string, text: string, stood: number | null): number | null {
	if (text === typed(quantity, stood)) return stood;
	const value = typedNumber(text, "target");
	return value === null ? null : value * shownAs(quantity).scale;
}

function typed(quantity: string, value: number | null): string {
	return value === null ? "" : String(whole(inShown(quantity, value)));
}

function TargetRow({ session, slot, target, act, busy }: Props & { slot: Slot; target: Target }) {
	const [editing, setEditing] = useState(false);
	const [low, setLow] = useState("");
	const [high, setHigh] = useState("");
	const { label } = shownAs(target.quantity);
	const edit = () => {
		setLow(typed(target.quantity, target.low));
		setHigh(typed(target.quantity, target.high));
		setEditing(true);
	};
	const put = (from: string, to: string) =>
		act(async () => {
			const made = await change.target(session.id, {
				slot: slot.index,
				quantity: target.quantity as ReadingKey,
				low: canonical(target.quantity, from, target.low),
				high: canonical(target.quantity, to, target.high),
			});
			setEditing(false);
			return made;
		});
	return (
		<li>
			<div className="flex items-baseline gap-2">
				<span className="quiet w-24 shrink-0 text-sm">{label}</span>
				<span className="num flex-1 text-[17px]">{wish(target.quantity, target.low, target.high, true)}</span>
				{!isClosed(session) && !editing && (
					<button
						type="button"
						className="min-h-11 cursor-pointer px-1 text-sm underline"
						onClick={edit}
						aria-label={t("brief-change", { label })}
					>
						{t("label-change")}
					</button>
				)}
			</div>
			<p className="quiet text-[13.5px] leading-snug">
				{target.overruled ? (
					<>
						<strong className="text-base-content">{t("brief-overruled")}</strong>{" "}
						{t("brief-proposed", {
							quantity: wish(target.quantity, target.proposed_low, target.proposed_high, true),
						})}{" "}
					</>
				) : null}
				{target.why}
				{!target.firm && !target.overruled && target.quantity !== "spin_rpm"
					? ` ${t("brief-guide-not-rule")}`
					: ""}
				{target.sure && !target.overruled && <span className="block">{target.sure}</span>}
			</p>
			{target.quantity === "carry_m" && slot.by_type.length > 0 && !target.overruled && (
				<p className="text-[13.5px] leading-snug first-letter:uppercase">
					{slot.by_type
						.map((each) =>
							t("brief-to", {
								vocabularyheads: VOCABULARY.heads[each.head_type],
								low: asFar(each.low_m),
								high: asFar(each.high_m),
							}),
						)
						.join(", ")}
					<span className="quiet">{t("brief-what-rolls-further-may-carry")}</span>
				</p>
			)}
			{target.out_of_reach && (
				<p className="hole-text text-[14px] leading-snug font-semibold">{target.out_of_reach}</p>
			)}
			{editing && (
				<form
					className="mt-1 flex items-center gap-2"
					onSubmit={(event) => {
						event.preventDefault();
						put(low, high);
					}}
				>
					<input
						className="input h-11 w-20 px-2"
						aria-label={t("brief-from", { label })}
						value={low}
						onChange={(e) => setLow(e.target.value)}
						inputMode="decimal"
					/>
					<span className="quiet text-sm">{t("label-to")}</span>
					<input
						className="input h-11 w-20 px-2"
						aria-label={t("brief-to-2", { label })}
						value={high}
						onChange={(e) => setHigh(e.target.value)}
						inputMode="decimal"
					/>
					<button type="submit" className="btn btn-sm btn-primary h-11" disabled={busy}>
						{t("label-set")}
					</button>
					<button
						type="button"
						className="btn btn-sm btn-ghost h-11"
						onClick={() => (target.overruled ? put("", "") : setEditing(false))}
					>
						{target.overruled ? t("brief-as-proposed") : t("brief-cancel")}
					</button>
				</form>
			)}
		</li>
	);
}
