/** Whether the player is still the same, what kind of day it is, and what is to be said of the monitor. */

import { change } from "../../acts";
import type { DayKind } from "../../api/client";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";

export function Steady({ session, act, agreed }: Pick<PlaceProps, "session" | "act"> & { agreed: boolean }) {
	return (
		<section>
			<h2 className="mb-1">{t("bay-steady")}</h2>
			<p className={session.tired ? "hole-text font-semibold" : "quiet"}>{session.steady}</p>
			{session.swing > 1 && <p className="text-[14.5px]">{t("bay-swing-changed-only-shots-since")}</p>}
			{[session.day_words, session.monitor].filter(Boolean).map((words) => (
				<p key={words} className="hole-text text-[14.5px] font-semibold">
					{words}
				</p>
			))}
			<select
				className="select mt-1 h-11 w-full"
				aria-label={t("bay-what-kind-day")}
				value={session.day}
				disabled={agreed}
				onChange={(event) => act(() => change.day(session.id, event.target.value as DayKind))}
			>
				<option value="usual">{t("bay-usual-day")}</option>
				<option value="fast">{t("bay-fast-day-everything-flies")}</option>
				<option value="slow">{t("bay-slow-day")}</option>
			</select>
		</section>
	);
}
