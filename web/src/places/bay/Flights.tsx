import type { Build, Session } from "../../api/client";
import { useBench } from "../../api/session";
import { SideView } from "../../instruments/flight-board/FlightBoard";
import { boardClub } from "../../session/flights";
import { windowFor } from "../../session/gates";
import { useInView } from "../../ui/inView";

/** The build in hand in the air, between the clubs on both sides; asked for only while it is seen. */
export function Flights({ session, build }: { session: Session; build: Build }) {
	const [here, seen] = useInView<HTMLDivElement>();
	const bench = useBench(session, seen);
	const mine = [...(bench.data?.lines ?? []), ...(bench.data?.neighbours ?? [])].filter(
		(line) => line.build === build.id,
	);
	const window = windowFor(build);
	return (
		<div ref={here} className="order-1 min-h-px max-w-3xl">
			{mine.length > 0 && (
				<SideView
					clubs={mine.map((line) => boardClub(session, line))}
					neighbours={(bench.data?.neighbours ?? [])
						.filter((line) => line.build !== build.id)
						.map((line) => boardClub(session, line))}
					windows={window ? [window] : []}
					height={150}
				/>
			)}
		</div>
	);
}
