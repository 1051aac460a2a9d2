/** One club’s flight as the flight board draws it. */
import type { BoardLine, Session } from "../api/client";
import type { BoardClub } from "../instruments/flight-board/FlightBoard";
import { type Metres, toFeet, toYards, yardsOf } from "../ui/units";
import { windowFor } from "./gates";
import { buildOf, shotsOf } from "./select";

export function boardClub(session: Session, line: BoardLine): BoardClub {
	return {
		letter: line.letter,
		window: line.letter ? windowFor(buildOf(session, line.build)) : undefined,
		name: line.name,
		path: line.path.map(([far = 0, up = 0]) => [toYards(far as Metres), toFeet(up as Metres)]),
		carry: toYards(line.carry_m),
		total: toYards(line.total_m),
		offline: line.offline_m === null ? null : toYards(line.offline_m),
		shots: shotsOf(session, line.build).flatMap((shot) => {
			const carry = yardsOf(shot.readings, "carry_m");
			const offline = yardsOf(shot.readings, "offline_m");
			return carry === null || offline === null ? [] : [{ carry, offline, aside: shot.aside }];
		}),
		ellipse: line.pattern
			? {
					carry: toYards(line.pattern.carry_m),
					offline: toYards(line.pattern.offline_m),
					major: toYards(line.pattern.major_m),
					minor: toYards(line.pattern.minor_m),
					tilt: line.pattern.tilt_deg,
					depth: toYards(line.pattern.depth_m),
					width: toYards(line.pattern.width_m),
				}
			: null,
	};
}
