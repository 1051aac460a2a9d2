/** What the distance card still wants: each wedge by each swing, a touch to hit it next. */

import { change } from "../../acts";
import type { Session } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { t } from "../../said/words";
import type { Act } from "../../session/place";
import { ClubName } from "../ClubName";
import { TaskButton } from "../TaskButton";

export type PartPlan = NonNullable<Session["bag"]["short"]>["part"];
export type Task = PartPlan["tasks"][number];

const LENGTHS: Record<string, string> = VOCABULARY.lengths;
/** As a column is headed. */
export const swingName = (swing: string) => (LENGTHS[swing] ?? swing).replace("to ", "");

/** Take a wedge in hand for one swing of the card. */
export function hit(session: Session, act: Act, task: Task) {
	const { build, swing } = task;
	act(
		() => change.task(session.id, { build, protocol: "part_swing", length: swing, lie: null }),
		(seen) => ({
			...seen,
			in_hand: build,
			length: swing,
			lie: null,
			protocol: "part_swing",
			intent: "stock",
		}),
	);
}

export function TaskGrid({
	session,
	onHit,
	agreed,
}: {
	session: Session;
	onHit: (task: Task) => void;
	agreed: boolean;
}) {
	const plan = session.bag.short?.part;
	if (!plan || plan.tasks.length === 0) return <p className="quiet">{t("label-no-wedge-bag-add-them")}</p>;
	const builds = [...new Set(plan.tasks.map((task) => task.build))];
	const stocks = new Set(builds.map((build) => plan.tasks.find((task) => task.build === build)?.swing));
	const swings = [...new Set(plan.tasks.map((task) => task.swing))].filter((swing) => !stocks.has(swing));
	const of = (build: number, swing: string | undefined) =>
		plan.tasks.find((task) => task.build === build && task.swing === swing);
	const now = (task: Task) =>
		session.protocol === "part_swing" && session.in_hand === task.build && session.length === task.swing;
	return (
		<table aria-label={t("part-swing-swings-distance-card")}>
			<thead>
				<tr className="quiet text-sm">
					<th className="font-normal" />
					<th className="px-1 font-normal">{t("part-swing-stock")}</th>
					{swings.map((swing) => (
						<th key={swing} className="px-1 font-normal">
							{swingName(swing)}
						</th>
					))}
				</tr>
			</thead>
			<tbody>
				{builds.map((build) => {
					const stock = plan.tasks.find((task) => task.build === build);
					return (
						<tr key={build}>
							<th className="max-w-40 truncate pr-3 text-left font-normal">
								<ClubName session={session} build={build} />
							</th>
							{[stock, ...swings.map((swing) => of(build, swing))].map((task, index) => (
								<td key={task?.swing ?? `none-${swings[index - 1]}`} className="p-0.5">
									{task && (
										<TaskButton
											name={`${session.builds.find((each) => each.id === build)?.name} ${swingName(task.swing)}`}
											done={task.done}
											wanted={task.wanted}
											now={now(task)}
											agreed={agreed}
											onHit={() => onHit(task)}
										/>
									)}
								</td>
							))}
						</tr>
					);
				})}
			</tbody>
		</table>
	);
}

/** How long the rest takes, and what fits into twenty minutes. */
export function MinutesLeft({ plan }: { plan: PartPlan }) {
	const shots = plan.tasks.reduce((sum, task) => sum + Math.max(task.wanted - task.done, 0), 0);
	if (shots === 0) return <p>{t("part-swing-every-swing-card-hit")}</p>;
	const short = plan.short.map(swingName).join(", ");
	return (
		<p>
			{t("part-swing-shot-left-about-minute", { shots, minutes: plan.minutes })}{" "}
			{plan.minutes > 20 && short && <span className="quiet">{t("part-swing-20-minutes", { short })}</span>}
		</p>
	);
}
