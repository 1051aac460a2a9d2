/** The sheets of the Bay, one open at a time. */
import { change } from "../../acts";
import { useTrail } from "../../api/session";
import { TrailSheet } from "./Acts";
import { NewSetting, PickBuild, WantedShot } from "./Dialogs";
import type { InBay } from "./inBay";
import { FeltSheet, PlayerSheet } from "./PlayerPanel";
import { RunSheet } from "./RunBar";
import { MoreSheet } from "./Touches";
import { TypePad } from "./TypePad";

export function Sheets({ bay }: { bay: InBay }) {
	const { session, act, build, shot, opened } = bay;
	const trail = useTrail(session, opened === "trail").data;
	const given = { session, act, onClose: () => bay.open(null) };
	return (
		<>
			{opened === "setting" && build && <NewSetting build={build} act={act} onClose={given.onClose} />}
			{opened === "more" && <MoreSheet onClose={given.onClose} />}
			{opened === "run" && <RunSheet {...given} />}
			{opened === "trail" && <TrailSheet acts={trail} onClose={given.onClose} />}
			{opened === "player" && <PlayerSheet {...given} />}
			{opened === "felt" && <FeltSheet {...given} first={build} />}
			{opened === "type" && build && <TypePad {...given} build={build} />}
			{opened === "wanted" && <WantedShot {...given} />}
			{opened === "move" && shot && (
				<PickBuild
					session={session}
					shot={shot}
					onPick={(id) => {
						bay.doing((each) => change.move(each.id, id), { build: id });
						bay.open(null);
					}}
					onClose={given.onClose}
				/>
			)}
		</>
	);
}
