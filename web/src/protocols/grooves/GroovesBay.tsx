/** Old grooves against new in the Bay: which wedge from which lie, a touch each. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { change } from "../../acts";
import { client, got, type Lie, type Session } from "../../api/client";
import { codeLink } from "../../api/session";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import type { Act } from "../../session/place";
import { ClubName } from "../ClubName";
import type { BayPanelProps, StripProps } from "../panels";
import { LinkSheet } from "../sole/Link";
import { Guess } from "../sole/Marks";
import { TaskButton } from "../TaskButton";

type Plan = NonNullable<Session["bag"]["short"]>["grooves"];
type Task = Plan["tasks"][number];

export const lieWords = (lie: Lie | null) => (lie ? termOf("lie", lie) : t("lie-dry"));

/** Take a wedge in hand for one lie of the test. */
function hit(session: Session, act: Act, task: Task, length: string) {
	const { build, lie } = task;
	act(
		() => change.task(session.id, { build, protocol: "grooves", length, lie }),
		(seen) => ({ ...seen, in_hand: build, lie, length, protocol: "grooves", intent: "stock" }),
	);
}

/** What the key for the next one does; nothing where all is hit. */
export function nextGroove(session: Session, act: Act): (() => void) | null {
	const plan = session.bag.short?.grooves;
	const task = plan?.next;
	return plan && task ? () => hit(session, act, task, plan.length) : null;
}

export function GroovesBay({ session, act, onAsked }: BayPanelProps) {
	const plan = session.bag.short?.grooves;
	const first = plan?.next ?? plan?.tasks[0];
	if (!plan) return null;
	return (
		<button
			type="button"
			aria-pressed={session.protocol === "grooves"}
			className={`btn h-14 px-6 text-lg ${session.protocol === "grooves" ? "btn-primary" : ""}`}
			disabled={!first}
			title={first ? undefined : t("grooves-needs-fresh-wedge-old-ones")}
			onClick={() => {
				if (first) hit(session, act, first, plan.length);
				onAsked();
			}}
		>
			{t("label-grooves")}
		</button>
	);
}

export function GroovesStrip({ session, act, agreed }: StripProps) {
	const plan = session.bag.short?.grooves;
	const blind = plan?.blind ?? null;
	if (!plan || plan.tasks.length === 0)
		return <p className="hole-text text-[15px]">{t("grooves-no-fresh-wedge-old-ones")}</p>;
	const builds = [...new Set(plan.tasks.map((task) => task.build))];
	const lies = [...new Set(plan.tasks.map((task) => task.lie))];
	const now = (task: Task) =>
		session.in_hand === task.build && (session.lie ?? null) === task.lie && session.length === plan.length;
	const left = plan.tasks.reduce((sum, task) => sum + Math.max(task.wanted - task.done, 0), 0);
	return (
		<section aria-label={t("label-grooves")} className="space-y-1 text-[15px]">
			<table aria-label={t("grooves-shots-groove-test")}>
				<thead>
					<tr className="quiet text-sm">
						<th className="font-normal" />
						{lies.map((lie) => (
							<th key={lie ?? "dry"} className="px-1 font-normal">
								{lieWords(lie)}
							</th>
						))}
					</tr>
				</thead>
				<tbody>
					{builds.map((build) => (
						<tr key={build}>
							<th className="max-w-44 truncate pr-3 text-left font-normal">
								{wordOf(plan, build) ? (
									<span className="text-lg font-semibold">{wordOf(plan, build)}</span>
								) : (
									<ClubName session={session} build={build} />
								)}
							</th>
							{lies.map((lie) => {
								const task = plan.tasks.find((each) => each.build === build && each.lie === lie);
								return (
									<td key={lie ?? "dry"} className="p-0.5">
										{task && (
											<TaskButton
												name={`${wordOf(plan, build) || session.builds.find((each) => each.id === build)?.name} ${lieWords(lie)}`}
												done={task.done}
												wanted={task.wanted}
												now={now(task)}
												agreed={agreed}
												onHit={() => hit(session, act, task, plan.length)}
											/>
										)}
									</td>
								);
							})}
						</tr>
					))}
				</tbody>
			</table>
			<p>
				{left === 0
					? blind
						? t("label-all-hit")
						: t("grooves-all-hit-bench-says-what")
					: t("grooves-shots-left-about-min", { left, minutes: plan.minutes })}{" "}
				<span className="quiet">{t("grooves-half-swings-one-spot-players")}</span>
			</p>
			{blind ? (
				<Blind session={session} act={act} blind={blind} />
			) : (
				!agreed && <RunBlind session={session} act={act} plan={plan} />
			)}
			{session.struck_ball === "range" && (
				<p className="hole-text font-semibold">{t("grooves-range-balls-say-little-grooves")}</p>
			)}
		</section>
	);
}

const wordOf = (plan: Plan, build: number) =>
	plan.blind?.codes.find((each) => each.build === build)?.word ?? "";

/** New or old? Under codes the player is asked, and the answer is not his belief. */
function RunBlind({ session, act, plan }: { session: Session; act: Act; plan: Plan }) {
	const pair =
		plan.pairs.find((each) => each.old === session.in_hand || each.fresh === session.in_hand) ??
		plan.pairs[0];
	if (!pair) return null;
	return (
		<button
			type="button"
			className="btn h-11 border-base-300 bg-base-100"
			onClick={() => act(() => change.blindGrooves(session.id, pair.old, pair.fresh))}
		>
			{t("grooves-hit-blind-new-or-old")}
		</button>
	);
}

function Blind({ session, act, blind }: { session: Session; act: Act; blind: NonNullable<Plan["blind"]> }) {
	const me = useQuery({ queryKey: ["me"], queryFn: () => got(client.GET("/api/me")) });
	const [link, setLink] = useState(false);
	const go = useNavigate();
	return (
		<div className="space-y-2">
			<p className="font-semibold">{t("grooves-which-one-new-one")}</p>
			<Guess
				codes={blind.codes.map((each) => ({ value: each.build, name: each.word }))}
				guess={blind.guess}
				confidence={blind.confidence}
				onGuess={(code, sure) => act(() => change.guessCode(blind.id, code, sure))}
			/>
			<div className="flex flex-wrap items-center gap-2">
				<button
					type="button"
					className="btn btn-primary h-12"
					disabled={!session.bag.short?.grooves.tasks.some((task) => task.done > 0)}
					onClick={() => {
						act(() => change.reveal(blind.id));
						go(`/sessions/${session.id}/bench`);
					}}
				>
					{t("label-reveal")}
				</button>
				{me.data?.username === blind.setter ? (
					<button type="button" className="btn h-11" onClick={() => setLink(true)}>
						{t("label-which-code-which")}
					</button>
				) : (
					<span className="quiet">
						{t("grooves-only-may-see-which-code", { setterName: blind.setter_name || blind.setter })}
					</span>
				)}
				<button type="button" className="btn h-11" onClick={() => act(() => change.giveUp(blind.id))}>
					{t("label-give-up")}
				</button>
			</div>
			{link && <LinkSheet read={() => codeLink(blind.id)} onClose={() => setLink(false)} />}
		</div>
	);
}
