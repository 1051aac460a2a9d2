/**
 * Whether what was changed here is on the server: saved, on its way, or waiting for the line; and whether what is shown
 * was judged before it.
 */
import { useIsMutating } from "@tanstack/react-query";
import { useThinking } from "../api/held";
import { forget, useLine } from "../api/outbox";
import { t } from "../said/words";

const clock = (at: number) =>
	new Date(at).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });

export function SavedLine({ session }: { session: number }) {
	const line = useLine();
	const many =
		line.waiting === 1 ? t("app-1-change-waits") : t("app-changes-wait", { waiting: line.waiting });
	// What goes straight to the server counts too: every act shows that it is on its way.
	const going = useIsMutating() > 0;
	const thinking = useThinking(session);
	const held = line.waiting > 0 && (line.lost || line.signedOut);
	return (
		<p
			role="status"
			className={`w-26 shrink-0 text-right text-[13px] leading-tight ${held ? "hole-text font-semibold" : "quiet"}`}
		>
			{held
				? t("app-for-line", { many })
				: line.waiting > 0 || going
					? t("app-saving")
					: thinking
						? t("app-working-it-out")
						: line.savedAt && t("app-saved", { savedAt: clock(line.savedAt) })}
		</p>
	);
}

/** What was changed on an earlier page, sent late, and refused. */
export function RefusedLate() {
	const { refused } = useLine();
	return refused.map((entry) => (
		<div
			key={entry.change}
			role="alert"
			className="flex items-center gap-3 border-b border-base-300 bg-base-100 px-4 py-1"
		>
			<p className="hole-text flex-1 font-semibold">
				{t("app-change-made-before-could-not", { title: entry.refused?.title })}
			</p>
			<button type="button" className="btn h-11" onClick={() => forget(entry)}>
				{t("label-leave-it")}
			</button>
		</div>
	));
}
