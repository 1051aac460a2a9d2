/** Taking a build into the bag for the time being, so that the next gap is cut around it; or out of it again. */

import { change } from "../acts";
import type { Build, Session } from "../api/client";
import { t } from "../said/words";
import { isClosed } from "./closed";
import type { PlaceProps } from "./place";

export function Accept({
	session,
	build,
	act,
	busy,
}: { session: Session; build: Build } & Pick<PlaceProps, "act" | "busy">) {
	if (isClosed(session) || (!build.accepted && build.kept < session.least_shots)) return null;
	return (
		<button
			type="button"
			className="no-print btn btn-sm h-11 border-base-300 bg-base-100"
			disabled={busy}
			onClick={() => act(() => change.accepted(build.id, !build.accepted))}
		>
			{build.accepted ? t("session-take-out-bag-again") : t("session-into-bag-for-now")}
		</button>
	);
}
