import type { Build, Session } from "../../api/client";
import { useBench } from "../../api/session";
import { SideView } from "../../instruments/flight-board/FlightBoard";
import { boardClub } from "../../session/flights";
import { windowFor } from "../../session/gates";

/** The build in hand in the air, between the clubs on both sides. */
export function Flights({ session, build }: { session: Session; build: Build }) {
	const bench = useBench(session);
	if (!bench.data) return null;
	const mine = [...bench.data.lines, ...bench.data.neighbours].filter((line) => line.build === build.id);
	if (mine.length === 0) return null;
	const window = windowFor(build);
	return (
		<div className="order-1 max-w-3xl">
			<SideView
				clubs={mine.map((line) => boardClub(session, line))}
				neighbours={bench.data.neighbours
					.filter((line) => line.build !== build.id)
					.map((line) => boardClub(session, line))}
				windows={window ? [window] : []}
				height={168}
			/>
		</div>
	);
}
