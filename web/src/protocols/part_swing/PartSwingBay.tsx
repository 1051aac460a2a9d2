/** Part swings in the Bay: offered among the tests, and a strip while they are being hit. */

import { t } from "../../said/words";
import type { BayPanelProps, NextOf, StripProps } from "../panels";
import { hit, MinutesLeft, TaskGrid } from "./tasks";

export const nextSwing: NextOf = (session, act) => {
	const task = session.bag.short?.part.next;
	return task ? () => hit(session, act, task) : null;
};

export function PartSwingBay({ session, act, onAsked }: BayPanelProps) {
	const plan = session.bag.short?.part;
	const next = plan?.next ?? null;
	if (!plan || plan.tasks.length === 0) return null;
	return (
		<button
			type="button"
			aria-pressed={session.protocol === "part_swing"}
			className={`btn h-14 px-6 text-lg ${session.protocol === "part_swing" ? "btn-primary" : ""}`}
			onClick={() => {
				const first = next ?? plan.tasks[0];
				if (first) hit(session, act, first);
				onAsked();
			}}
		>
			{t("label-part-swings")}
		</button>
	);
}

export function PartSwingStrip({ session, act, agreed }: StripProps) {
	const plan = session.bag.short?.part;
	if (!plan) return null;
	return (
		<section aria-label={t("label-part-swings")} className="space-y-1 text-[15px]">
			<TaskGrid session={session} agreed={agreed} onHit={(task) => hit(session, act, task)} />
			<MinutesLeft plan={plan} />
		</section>
	);
}
