/** A test that asks for shots one by one, in the Bay: a touch each, what is left, and the pair that is hit blind. */
import { PROTOCOLS } from "../api/words";
import { t } from "../said/words";
import { buildOf } from "../session/select";
import { BlindPair, RunBlind } from "./BlindPair";
import { ClubName } from "./ClubName";
import type { BayPanelProps, StripProps } from "./panels";
import { hit, isNow, type Standing, standingOf } from "./standing";
import { TaskButton } from "./TaskButton";

export function TasksBay({ protocol, session, act, onAsked }: BayPanelProps) {
	const standing = standingOf(session, protocol);
	if (!standing) return null;
	const first = standing.next ?? standing.tasks[0];
	return (
		<button
			type="button"
			aria-pressed={session.protocol === protocol}
			className={`btn h-14 px-6 text-lg ${session.protocol === protocol ? "btn-primary" : ""}`}
			disabled={!first}
			title={standing.none || undefined}
			onClick={() => {
				if (first) hit(session, act, protocol, first);
				onAsked();
			}}
		>
			{PROTOCOLS[protocol].name}
		</button>
	);
}

export function TasksStrip({ protocol, session, act, agreed }: StripProps) {
	const standing = standingOf(session, protocol);
	if (!standing) return null;
	const name = PROTOCOLS[protocol].name;
	if (standing.tasks.length === 0) return <p className="hole-text text-[15px]">{standing.none}</p>;
	const builds = [...new Set(standing.tasks.map((task) => task.build))];
	return (
		<section aria-label={name} className="space-y-1 text-[15px]">
			<table aria-label={t("test-shots-of", { test: name })}>
				<thead>
					<tr className="quiet text-sm">
						<th className="font-normal" />
						{standing.columns.map((column) => (
							<th key={column} className="px-1 font-normal">
								{column}
							</th>
						))}
					</tr>
				</thead>
				<tbody>
					{builds.map((build) => (
						<tr key={build}>
							<th className="max-w-44 truncate pr-3 text-left font-normal">
								{wordOf(standing, build) ? (
									<span className="text-lg font-semibold">{wordOf(standing, build)}</span>
								) : (
									<ClubName session={session} build={build} />
								)}
							</th>
							{standing.columns.map((column, index) => {
								const task = standing.tasks.find((each) => each.build === build && each.column === index);
								return (
									<td key={column} className="p-0.5">
										{task && (
											<TaskButton
												name={`${wordOf(standing, build) || buildOf(session, build)?.name} ${column}`}
												done={task.done}
												wanted={task.wanted}
												now={isNow(session, protocol, task)}
												agreed={agreed}
												onHit={() => hit(session, act, protocol, task)}
											/>
										)}
									</td>
								);
							})}
						</tr>
					))}
				</tbody>
			</table>
			<Left standing={standing} />
			{standing.blind ? (
				<BlindPair session={session} act={act} standing={standing} blind={standing.blind} />
			) : (
				!agreed && <RunBlind session={session} act={act} standing={standing} />
			)}
			{standing.warning && <p className="hole-text font-semibold">{standing.warning}</p>}
		</section>
	);
}

const wordOf = (standing: Standing, build: number) =>
	standing.blind?.codes.find((each) => each.build === build)?.word ?? "";

/** How long the rest takes, and what is to be known while it is hit. */
function Left({ standing }: { standing: Standing }) {
	const shots = standing.tasks.reduce((sum, task) => sum + Math.max(task.wanted - task.done, 0), 0);
	return (
		<p>
			{shots === 0
				? t("label-all-hit")
				: t("test-shots-left-about-minutes", { shots, minutes: standing.minutes })}{" "}
			{standing.remarks.map((remark) => (
				<span key={remark} className="quiet">
					{remark}{" "}
				</span>
			))}
		</p>
	);
}
