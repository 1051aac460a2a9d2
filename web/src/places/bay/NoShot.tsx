/** A club in hand and no shot of it yet: how the first one comes in here. */
import { useContext } from "react";
import { Link } from "react-router";
import type { Session } from "../../api/client";
import { t } from "../../said/words";
import { InShop } from "../../ui/inShop";

/** How the shots of a session's bay come in. */
export function useShotsBy(session: Session) {
	return useContext(InShop).bays.find((bay) => bay.id === session.bay)?.shots_by ?? "feed";
}

/** Whether the stand-in may hit here: never among a real player's shots. */
export function useMayPretend(session: Session): boolean {
	return useContext(InShop).demo || session.customer.try_out === true;
}

export function NoShot({ session, onType }: { session: Session; onType: () => void }) {
	const by = useShotsBy(session);
	const type = (
		<button
			type="button"
			className={`btn h-12 text-base ${by === "typed" ? "btn-primary" : "border-base-300 bg-base-100"}`}
			onClick={onType}
		>
			{t("bay-type-shots")} <kbd className="text-sm opacity-80">⇧T</kbd>
		</button>
	);
	return (
		<div className="space-y-4 py-12 text-center">
			<p className="text-xl">
				{by === "feed" && t("bay-hit-first-shot-appears-here")}
				{by === "file" && t("bay-shots-bay-come-files-hit")}
				{by === "typed" && t("bay-hit-read-ball-off-monitors")}
			</p>
			<p className="flex flex-wrap justify-center gap-2">
				{by === "file" && (
					<Link className="btn btn-primary h-12 text-base" to={`/sessions/${session.id}/bag`}>
						{t("bay-bag-import-file")}
					</Link>
				)}
				{type}
				<Link className="btn h-12 border-base-300 bg-base-100 text-base" to={`/sessions/${session.id}/pad`}>
					{t("bay-pad-for-phone-beside-bay")}
				</Link>
			</p>
		</div>
	);
}
