/** What the bag becomes: today, the one proposed and up to three plans side by side, in strokes, holes and price. */

import { useRef, useState } from "react";
import type { BagPlan, Plans as PlansPicture, Session } from "../../api/client";
import { type PlanBody, plan as planChange, usePlanChange } from "../../api/session";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import { buildOf, candidatesOf, ownOf } from "../../session/select";
import { worthWords } from "../../session/words";
import { Letter } from "../../ui/Letter";
import { useMoney } from "../../ui/money";
import { Said } from "../../ui/Said";
import { SaveTable } from "../../ui/SaveTable";
import { asFar, figure, signed, unit, whole } from "../../ui/units";

const MOST = 3;

interface Props {
	session: Session;
	plans: PlansPicture;
	shown: string;
	onShow: (key: string) => void;
}

export const keyOf = (plan: BagPlan, index: number) =>
	plan.id !== null
		? t("bag-kept", { id: plan.id })
		: index === 0
			? "today"
			: index === 1
				? "best"
				: plan.name;
export const columnsOf = (plans: PlansPicture): BagPlan[] => [
	plans.today,
	plans.found,
	...(plans.expected ? [plans.expected] : []),
	...plans.schools,
	...plans.plans,
];

const bodyOf = (plan: BagPlan): PlanBody => ({
	name: plan.name,
	builds: plan.builds,
	swap_home: plan.swap_home,
	swap_away: plan.swap_away,
	swap_course: plan.swap_course,
});

export function Plans({ session, plans, shown, onShow }: Props) {
	const money = useMoney();
	const change = usePlanChange(session.id);
	const [editing, setEditing] = useState<number | null>(null);
	const columns = columnsOf(plans);
	const table = useRef<HTMLDivElement>(null);
	const agreed = isClosed(session);
	const room = plans.plans.length < MOST && !agreed;
	const keep = (plan: BagPlan, name: string) =>
		change.mutate(() => planChange.keep(session.id, { ...bodyOf(plan), name }), {
			onSuccess: (after) => {
				const made = after.plans.at(-1);
				if (made) onShow(keyOf(made, columnsOf(after).length - 1));
				setEditing(made?.id ?? null);
			},
		});
	const edited = plans.plans.find((plan) => plan.id === editing);
	return (
		<section aria-label={t("bag-plans-for-bag")}>
			<Said error={change.error} />
			<p className="mb-2 font-semibold">
				{plans.found.sentence}{" "}
				<span className="quiet text-sm font-normal">
					{t("bag-among-with-up-club", {
						searched: figure(plans.searched),
						searched2: plans.searched,
						clubsToPlace: session.clubs_to_place,
					})}
				</span>
			</p>
			<SaveTable of={table} name={`${session.customer.name} plans`} />
			<div ref={table} className="table-scroll">
				<table className="table-plain w-full">
					<thead>
						<tr>
							<th scope="col">{t("label-bag")}</th>
							{columns.map((plan, index) => (
								<th key={keyOf(plan, index)} scope="col">
									<button
										type="button"
										aria-pressed={shown === keyOf(plan, index)}
										className={`btn btn-sm h-11 ${shown === keyOf(plan, index) ? "btn-primary" : "border-base-300 bg-base-100"}`}
										onClick={() => onShow(keyOf(plan, index))}
									>
										{plan.name}
									</button>
								</th>
							))}
						</tr>
					</thead>
					<tbody className="text-[15px]">
						<Line
							name={t("bag-new-clubs")}
							plans={columns}
							cell={(plan) => <Added session={session} plan={plan} />}
						/>
						<Line
							name={t("bag-strokes-saved-round")}
							beside={fearWords(session)}
							plans={columns}
							cell={(plan, index) => (index === 0 ? "–" : <Saved plan={plan} />)}
						/>
						{plans.today.rounds !== null && (
							<Line
								name={t("bag-successful-shots-round")}
								beside={t("bag-named-jobs")}
								plans={columns}
								cell={(plan) => <span className="num">{figure(plan.rounds, 1)}</span>}
							/>
						)}
						<Line
							name={t("bag-uncovered-2")}
							plans={columns}
							cell={(plan) => (
								<span className={plan.open_m > 0 ? "num hole-text" : "num"}>
									{asFar(plan.open_m)}{" "}
									<Unit>{t("bag-widest", { unit: unit("far"), widest: asFar(plan.widest_m) })}</Unit>
								</span>
							)}
						/>
						<Line
							name={t("bag-crowded")}
							plans={columns}
							cell={(plan) =>
								plan.crowded.length ? (
									<span className="hole-text">{plan.crowded.join("; ")}</span>
								) : (
									t("label-none")
								)
							}
						/>
						<Line
							name={t("bag-clubs")}
							plans={columns}
							cell={(plan) => (
								<span className={plan.over ? "hole-text num" : "num"}>
									{plan.club_count} <Unit>{t("bag-of-4", { mostClubs: session.brief.most_clubs })}</Unit>
									{plan.over > 0 && ` ${t("bag-too-many", { over: plan.over })}`}
								</span>
							)}
						/>
						<Line
							name={t("label-price")}
							plans={columns}
							cell={(plan, index) => (index ? money(plan.price) : "–")}
						/>
						<Line
							name={t("bag-carries-relearn")}
							plans={columns}
							cell={(plan, index) =>
								index ? (plan.relearn.length ? plan.relearn.join(", ") : t("label-none")) : "–"
							}
						/>
						<Line
							name={t("bag-leaves-bag")}
							plans={columns}
							cell={(plan) => plan.dropped.join(", ") || "–"}
						/>
						{plans.today.jobs.map((job, index) => (
							<Line
								key={job.job}
								name={job.job}
								plans={columns}
								cell={(plan) => {
									const mine = plan.jobs[index];
									return mine ? (
										<>
											<span className="num">{whole(mine.success * 100)}%</span> <Unit>{mine.club}</Unit>
										</>
									) : (
										"–"
									);
								}}
							/>
						))}
						{!agreed && (
							<tr className="no-print">
								<td />
								{columns.map((plan, index) => (
									<td key={keyOf(plan, index)}>
										{plan.id === null ? (
											<button
												type="button"
												className="btn btn-sm h-11 border-base-300 bg-base-100"
												disabled={!room || change.isPending}
												onClick={() => keep(plan, t("bag-plan", { plans: plans.plans.length + 1 }))}
											>
												{index ? t("label-keep") : t("bag-start-from")}
											</button>
										) : (
											<span className="inline-flex gap-1">
												<button
													type="button"
													className="btn btn-sm h-11 border-base-300 bg-base-100"
													aria-pressed={editing === plan.id}
													onClick={() => {
														setEditing(editing === plan.id ? null : plan.id);
														onShow(keyOf(plan, index));
													}}
												>
													{t("label-change")}
												</button>
												<button
													type="button"
													className="btn btn-ghost btn-sm h-11"
													aria-label={t("bag-take-away", { name: plan.name })}
													onClick={() => change.mutate(() => planChange.drop(plan.id ?? 0))}
												>
													{t("bag-away")}
												</button>
											</span>
										)}
									</td>
								))}
							</tr>
						)}
					</tbody>
				</table>
			</div>
			{edited && (
				<Editor
					key={edited.id}
					session={session}
					plan={edited}
					courses={plans.courses}
					busy={change.isPending}
					onChange={(body) => change.mutate(() => planChange.change(edited.id ?? 0, body))}
				/>
			)}
			<p className="quiet mt-2 text-sm">
				{columns.find((plan, index) => keyOf(plan, index) === shown)?.next}
				{columns.some((plan) => plan.expected.length > 0) && ` ${t("bag-clubs-not-hit-yet-count")}`}
			</p>
		</section>
	);
}

const Unit = ({ children }: { children: React.ReactNode }) => (
	<span className="quiet text-sm font-normal">{children}</span>
);

/** What a miss to the feared side costs on top, where it does. */
const fearWords = ({ brief }: Session): string =>
	brief.miss === "none" || brief.fear === "same"
		? ""
		: t("bag-miss-costs-more", {
				miss: brief.miss,
				which: brief.fear === "whole" ? t("bag-one") : t("bag-half-shot"),
			});

function Line({
	name,
	beside = "",
	plans,
	cell,
}: {
	name: string;
	beside?: string;
	plans: BagPlan[];
	cell: (plan: BagPlan, index: number) => React.ReactNode;
}) {
	return (
		<tr>
			<th scope="row" className="max-w-44 border-b-0! text-left! whitespace-normal!">
				{name}
				{beside && <span className="quiet block text-[12.5px] font-normal">{beside}</span>}
			</th>
			{plans.map((plan, index) => (
				<td key={keyOf(plan, index)}>{cell(plan, index)}</td>
			))}
		</tr>
	);
}

function Added({ session, plan }: { session: Session; plan: BagPlan }) {
	const fresh = plan.builds.map((id) => buildOf(session, id)).filter((build) => build?.letter);
	if (fresh.length === 0) return <span className="quiet">{t("label-none")}</span>;
	return (
		<span className="inline-flex flex-wrap items-center justify-end gap-2">
			{fresh.map((build) => (
				<span key={build?.id} className="inline-flex items-center gap-1">
					<Letter letter={build?.letter ?? ""} size={20} />
					{plan.swap_away === build?.id && <Unit>{t("bag-on", { swapCourse: plan.swap_course })}</Unit>}
				</span>
			))}
		</span>
	);
}

function Saved({ plan }: { plan: BagPlan }) {
	if (plan.saves === null || plan.added.length + plan.dropped.length === 0) return "–";
	return (
		<>
			<span className="num text-[17px]">{signed(plan.saves)}</span>{" "}
			<Unit>
				{t("bag-to-2", { savesLow: figure(plan.saves_low, 1), savesHigh: figure(plan.saves_high, 1) })}
			</Unit>
			<span className="quiet block text-[12.5px] font-normal">{worthWords(plan.worth)}</span>
		</>
	);
}

/** Clubs in and out of a plan, and the pair that is swapped by course. */
function Editor({
	session,
	plan,
	courses,
	busy,
	onChange,
}: {
	session: Session;
	plan: BagPlan;
	courses: string[];
	busy: boolean;
	onChange: (body: PlanBody) => void;
}) {
	const body = bodyOf(plan);
	const inside = new Set(plan.builds);
	const turn = (id: number) => {
		const builds = inside.has(id) ? plan.builds.filter((each) => each !== id) : [...plan.builds, id];
		const broken = [plan.swap_home, plan.swap_away].some((each) => each !== null && !builds.includes(each));
		onChange({ ...body, builds, ...(broken ? { swap_home: null, swap_away: null, swap_course: "" } : {}) });
	};
	const fresh = candidatesOf(session).filter((build) => inside.has(build.id));
	return (
		<fieldset disabled={busy} className="mt-3 border border-base-300 bg-base-100 p-3">
			<legend className="px-1 font-semibold">{t("bag-in-and-out", { name: plan.name })}</legend>
			<div className="flex flex-wrap gap-2">
				{[...candidatesOf(session), ...ownOf(session).filter((each) => each.carry_m !== null)].map(
					(build) => (
						<button
							key={build.id}
							type="button"
							aria-pressed={inside.has(build.id)}
							disabled={build.fixed}
							className={`btn btn-sm h-11 ${inside.has(build.id) ? "btn-primary" : "border-base-300 bg-base-100"}`}
							onClick={() => turn(build.id)}
						>
							{build.letter && <Letter letter={build.letter} size={18} />} {build.name}
							{build.fixed && <span className="text-[12px] font-normal">{t("label-fixed")}</span>}
						</button>
					),
				)}
			</div>
			{courses.length > 1 && fresh.length > 1 && (
				<div className="mt-3 flex flex-wrap items-center gap-2 text-sm">
					<label className="flex items-center gap-2 whitespace-nowrap">
						{t("bag-swap-pair")}
						<select
							className="select h-11"
							value={plan.swap_course}
							onChange={(event) => {
								const course = event.target.value;
								const [home, away] = fresh;
								onChange({
									...body,
									swap_course: course,
									swap_home: course ? (plan.swap_home ?? home?.id ?? null) : null,
									swap_away: course ? (plan.swap_away ?? away?.id ?? null) : null,
								});
							}}
						>
							<option value="">{t("bag-no-course")}</option>
							{courses.map((course) => (
								<option key={course} value={course}>
									{course}
								</option>
							))}
						</select>
					</label>
					{plan.swap_course && (
						<button
							type="button"
							className="btn btn-sm h-11"
							onClick={() => onChange({ ...body, swap_home: plan.swap_away, swap_away: plan.swap_home })}
						>
							{t("bag-place-turn-round", {
								letter: buildOf(session, plan.swap_away ?? 0)?.letter,
								letter2: buildOf(session, plan.swap_home ?? 0)?.letter,
							})}
						</button>
					)}
				</div>
			)}
		</fieldset>
	);
}
