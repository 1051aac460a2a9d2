/** How the holes are drawn: a rule for each end of the bag, the step wanted, the turf, how many clubs to place. */

import { useState } from "react";
import { change } from "../../acts";
import type {
	Firmness,
	FlightWish,
	GapOrder,
	GapRule,
	Named,
	ReplaceWay,
	Session,
	Wish,
} from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { PlaceProps } from "../../session/place";
import { RULES } from "../../session/words";
import { typedFar } from "../../ui/typed";
import { type Metres, toFar, unit, whole } from "../../ui/units";

const ORDERS: Record<GapOrder, string> = {
	need: t("bag-what-missed-most"),
	width: t("bag-widest-hole"),
	top: t("bag-from-top"),
	bottom: t("bag-from-bottom"),
};
const TURFS = [null, ...VOCABULARY.firmness] as const;
const COUNTS = Array.from({ length: VOCABULARY.most.clubsToPlace }, (_, index) => index + 1);

export type Gap = Partial<{
	wish: Wish;
	rule: GapRule;
	clubs_to_place: number;
	gap_above: number | null;
	like_for: number | null;
	order: GapOrder;
	flight: FlightWish | null;
	ways: ReplaceWay[];
	named: Named;
}>;

/** Change the space in work; what is not named stays as it is. */
export const gapChange = (session: Session, over: Gap) => () =>
	change.gap(session.id, {
		rule: session.rule,
		order: session.bag.gap_order,
		clubs_to_place: session.clubs_to_place,
		gap_above:
			// The cut between the ends of the wedges is no space above one club.
			session.bag.wanted.wish !== "gap" || session.bag.wanted.named || session.bag.short?.places.length
				? null
				: (session.bag.in_work?.lower ?? null),
		wish: session.bag.wanted.wish,
		like_for: session.bag.wanted.like,
		flight: session.bag.wanted.flight,
		ways: session.bag.wanted.ways,
		named: session.bag.wanted.named ?? {},
		...over,
	});

type Props = Pick<PlaceProps, "session" | "act" | "busy">;

export function RuleBar({ session, act, busy }: Props) {
	const [more, setMore] = useState(false);
	const off = busy || isClosed(session);
	const proposed = session.bag.in_work?.proposed_count ?? null;
	return (
		<>
			<div className="flex flex-wrap items-center gap-2">
				<h2 className="mr-auto text-lg">{t("bag-carry-map")}</h2>
				<div
					className={`no-print join ${session.bag.end === "short" ? "hidden" : ""}`}
					role="group"
					aria-label={t("bag-rule-holes-drawn-by")}
				>
					{RULES.map((rule) => (
						<button
							key={rule.id}
							type="button"
							aria-pressed={session.rule === rule.id}
							disabled={off}
							className={`btn join-item btn-sm h-11 ${session.rule === rule.id ? "btn-primary" : "border-base-300 bg-base-100"}`}
							onClick={() => act(gapChange(session, { rule: rule.id }))}
						>
							{rule.name}
						</button>
					))}
				</div>
				<button
					type="button"
					className="no-print btn btn-sm h-11 border-base-300 bg-base-100"
					aria-expanded={more}
					onClick={() => setMore(!more)}
				>
					{t("bag-steps-turf")}
				</button>
				<div className="no-print join" role="group" aria-label={t("bag-clubs-place")}>
					{COUNTS.map((count) => (
						<button
							key={count}
							type="button"
							aria-pressed={session.clubs_to_place === count}
							disabled={off || session.bag.wanted.wish !== "gap"}
							title={count === proposed ? t("bag-as-many-as-belong-here") : undefined}
							className={`btn join-item btn-sm h-11 ${session.clubs_to_place === count ? "btn-primary" : "border-base-300 bg-base-100"}`}
							onClick={() => act(gapChange(session, { clubs_to_place: count }))}
						>
							{count} {count === 1 ? t("label-club-2") : t("label-clubs")}
						</button>
					))}
				</div>
				{proposed !== null && proposed > 0 && proposed !== session.clubs_to_place && (
					<button
						type="button"
						className="no-print min-h-11 cursor-pointer text-sm underline"
						disabled={off}
						onClick={() => act(gapChange(session, { clubs_to_place: Math.min(proposed, COUNTS.length) }))}
					>
						{t("bag-belongs-here", { proposed })}
					</button>
				)}
			</div>
			{more && <Steps key={JSON.stringify(session.bag.rule)} session={session} act={act} busy={off} />}
		</>
	);
}

type Ends = [string, string];
const inWhole = (end: number | null) => (end === null ? "" : String(whole(toFar(end as Metres))));
const ends = ({ low, high }: Session["bag"]["long_step"]): Ends => [inWhole(low), inWhole(high)];

function Steps({ session, act, busy }: Props) {
	const { bag } = session;
	const [long, setLong] = useState(ends(bag.long_step));
	const [short, setShort] = useState(ends(bag.short_step));
	const stood = [bag.long_step.low, bag.long_step.high, bag.short_step.low, bag.short_step.high];
	const asItIs = bag.step_is_own ? [...ends(bag.long_step), ...ends(bag.short_step)] : null;
	const put = (
		steps: string[] | null,
		over: Partial<{ short_rule: GapRule; turf: Firmness | null }> = {},
	) => {
		act(async () => {
			const [a, b, c, d] = steps ? steps.map((text, at) => typedFar(text, "step", stood[at])) : [];
			return change.rules(session.id, {
				short_rule: over.short_rule ?? bag.short_rule,
				turf: over.turf === undefined ? bag.turf : over.turf,
				long_least_m: a ?? null,
				long_most_m: b ?? null,
				short_least_m: c ?? null,
				short_most_m: d ?? null,
			});
		});
	};
	return (
		<form
			className="no-print mt-2 flex flex-wrap items-end gap-x-5 gap-y-2 bg-base-100 p-3 text-sm"
			onSubmit={(event) => {
				event.preventDefault();
				put([...long, ...short]);
			}}
		>
			<StepEnds label={t("bag-step-long-end")} value={long} onChange={setLong} />
			<StepEnds label={t("bag-step-irons-wedges")} value={short} onChange={setShort} />
			<button type="submit" className="btn btn-sm h-11" disabled={busy}>
				{t("bag-set-steps")}
			</button>
			{bag.step_is_own && (
				<button type="button" className="btn btn-ghost btn-sm h-11" disabled={busy} onClick={() => put(null)}>
					{t("bag-usual-steps")}
				</button>
			)}
			<label>
				<span className="quiet block">{t("bag-first-work")}</span>
				<select
					className="select h-11"
					value={bag.gap_order}
					disabled={busy}
					onChange={(event) =>
						act(gapChange(session, { order: event.target.value as GapOrder, gap_above: null }))
					}
				>
					{Object.entries(ORDERS).map(([order, words]) => (
						<option key={order} value={order}>
							{words}
						</option>
					))}
				</select>
			</label>
			<label>
				<span className="quiet block">{t("bag-irons-wedges-by")}</span>
				<select
					className="select h-11"
					value={bag.short_rule}
					disabled={busy}
					onChange={(event) => put(asItIs, { short_rule: event.target.value as GapRule })}
				>
					{VOCABULARY.shortRules.map((rule) => (
						<option key={rule} value={rule}>
							{VOCABULARY.rules[rule]}
						</option>
					))}
				</select>
			</label>
			<label>
				<span className="quiet block">{t("bag-roll-out")}</span>
				<select
					className="select h-11"
					value={bag.turf ?? ""}
					disabled={busy}
					onChange={(event) => put(asItIs, { turf: (event.target.value || null) as Firmness | null })}
				>
					{TURFS.map((turf) => (
						<option key={turf} value={turf ?? ""}>
							{turf ? t("bag-turf", { turf: termOf("firmness", turf) }) : t("bag-monitors-turf")}
						</option>
					))}
				</select>
			</label>
		</form>
	);
}

function StepEnds({
	label,
	value,
	onChange,
}: {
	label: string;
	value: Ends;
	onChange: (value: Ends) => void;
}) {
	return (
		<fieldset>
			<legend className="quiet">
				{label}, {unit("far")}
			</legend>
			<span className="flex items-center gap-1.5">
				<input
					className="input h-11 w-14 px-2 text-right"
					inputMode="decimal"
					aria-label={t("bag-least", { label })}
					value={value[0]}
					onChange={(event) => onChange([event.target.value, value[1]])}
				/>
				{t("label-to")}
				<input
					className="input h-11 w-14 px-2 text-right"
					inputMode="decimal"
					aria-label={t("bag-most", { label })}
					value={value[1]}
					onChange={(event) => onChange([value[0], event.target.value])}
				/>
			</span>
		</fieldset>
	);
}
