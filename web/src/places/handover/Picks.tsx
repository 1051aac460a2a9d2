/** What may be recommended: the plans kept on the Bag, the builds that were hit, the own clubs that leave. */
import type { Handover, Session, Tested } from "../../api/client";
import type { Picks } from "../../api/session";
import { t } from "../../said/words";
import { ownOf } from "../../session/select";
import { Letter } from "../../ui/Letter";
import { useMoney } from "../../ui/money";

const same = (a: number[], b: number[]) => a.length === b.length && a.every((each) => b.includes(each));
export const samePicks = (a: Picks, b: Picks) =>
	same(a.builds, b.builds) &&
	same(a.dropped, b.dropped) &&
	JSON.stringify(a.set ?? null) === JSON.stringify(b.set ?? null);

/** With a build taken in or out; where one club is to be placed, in the place of another. */
export function turned(picks: Picks, build: number, many: boolean): Picks {
	const inside = picks.builds.includes(build);
	const others = many ? picks.builds.filter((each) => each !== build) : [];
	return { ...picks, builds: inside && many ? others : [...others, build] };
}

/** The plans kept on the Bag as choices, beside what is suggested. */
export function PlanChoices({
	handover,
	picks,
	suggested,
	onPick,
}: {
	handover: Handover;
	picks: Picks;
	suggested: Picks;
	onPick: (picks: Picks) => void;
}) {
	if (handover.plans.length === 0) return null;
	// Two plans may have one name; their place tells them apart.
	const all = [{ name: t("handover-suggested"), ...suggested, unhit: [] as string[] }, ...handover.plans].map(
		(plan, place) => ({ ...plan, place }),
	);
	return (
		<div>
			<div className="flex flex-wrap gap-2">
				{all.map((plan) => {
					const on = samePicks(plan, picks);
					return (
						<button
							key={plan.place}
							type="button"
							aria-pressed={on}
							className={`btn btn-sm h-11 ${on ? "btn-primary" : "border-base-300 bg-base-100"}`}
							onClick={() => onPick({ builds: plan.builds, dropped: plan.dropped })}
						>
							{plan.name}
						</button>
					);
				})}
			</div>
			{all
				.filter((plan) => plan.unhit.length > 0)
				.map((plan) => (
					<p key={plan.place} className="quiet mt-1 text-sm">
						{t("handover-also-wants-not-hit-enough", { name: plan.name, list: plan.unhit.join(" and ") })}
					</p>
				))}
		</div>
	);
}

/** The builds that come in: one where one club is to be placed, else any; and the own clubs that leave. */
export function BuildPicker({
	session,
	tested,
	picks,
	many,
	onPick,
}: {
	session: Session;
	tested: Tested[];
	picks: Picks;
	/** Whether more than one may come in: for several places, or as a pair that is one place. */
	many: boolean;
	onPick: (picks: Picks) => void;
}) {
	const money = useMoney();
	const turn = (build: number) => onPick(turned(picks, build, many));
	const own = ownOf(session).filter((build) => !build.fixed);
	return (
		<>
			<ul className="space-y-2">
				{tested.map((each) => (
					<li key={each.build}>
						<Row
							type={many ? "checkbox" : "radio"}
							checked={picks.builds.includes(each.build)}
							onChange={() => turn(each.build)}
							letter={each.letter}
							name={each.name}
							headline={each.headline}
							price={each.price ? money(each.price) : ""}
						/>
					</li>
				))}
				<li>
					<Row
						type="radio"
						checked={picks.builds.length === 0}
						onChange={() => onPick({ ...picks, builds: [] })}
						name={picks.dropped.length ? t("handover-nothing-new") : t("handover-keep-what-there")}
						headline={picks.dropped.length ? t("handover-only-leave-out") : t("label-keep")}
					/>
				</li>
			</ul>
			<div className="flex flex-wrap items-center gap-2">
				<label className="flex items-center gap-2 text-sm">
					<span className="quiet">{t("label-leave-out-2")}</span>
					<select
						className="select h-11 w-36"
						value=""
						onChange={(event) =>
							onPick({ ...picks, dropped: [...picks.dropped, Number(event.target.value)] })
						}
					>
						<option value="">{picks.dropped.length ? t("label-another-club") : t("handover-no-club")}</option>
						{own
							.filter((build) => !picks.dropped.includes(build.id))
							.map((build) => (
								<option key={build.id} value={build.id}>
									{build.name}
								</option>
							))}
					</select>
				</label>
				{own
					.filter((build) => picks.dropped.includes(build.id))
					.map((build) => (
						<button
							key={build.id}
							type="button"
							className="btn btn-sm h-11 border-base-300 bg-base-100"
							aria-label={t("handover-keep-after-all", { name: build.name })}
							onClick={() => onPick({ ...picks, dropped: picks.dropped.filter((each) => each !== build.id) })}
						>
							<s>{build.name}</s> ×
						</button>
					))}
			</div>
		</>
	);
}

function Row({
	type,
	checked,
	onChange,
	letter,
	name,
	headline,
	price,
}: {
	type: "radio" | "checkbox";
	checked: boolean;
	onChange: () => void;
	letter?: string;
	name: string;
	headline: string;
	price?: string;
}) {
	return (
		<label
			className={`flex min-h-14 cursor-pointer items-center gap-3 border px-3 py-2 ${checked ? "border-base-content bg-base-200" : "border-base-300"}`}
		>
			<input
				type={type}
				className={type}
				name={type === "radio" ? "choice" : undefined}
				checked={checked}
				onChange={onChange}
			/>
			{letter && <Letter letter={letter} />}
			<span className="min-w-0 flex-1">
				<span className="block font-semibold">{name}</span>
				<span className="quiet block truncate text-sm">{headline}</span>
			</span>
			<span className="num">{price}</span>
		</label>
	);
}
