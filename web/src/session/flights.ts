/** One club’s flight as the flight board draws it. */
import type { BoardLine, Session } from "../api/client";
import type { BoardClub } from "../instruments/flight-board/FlightBoard";
import { farOf, type Metres, toFar, toHigh } from "../ui/units";
import { windowFor } from "./gates";
import { buildOf, shotsOf } from "./select";

export function boardClub(session: Session, line: BoardLine): BoardClub {
	return {
		letter: line.letter,
		window: line.letter ? windowFor(buildOf(session, line.build)) : undefined,
		name: line.name,
		path: line.path.map(([far = 0, up = 0]) => [toFar(far as Metres), toHigh(up as Metres)]),
		carry: toFar(line.carry_m),
		total: toFar(line.total_m),
		offline: line.offline_m === null ? null : toFar(line.offline_m),
		shots: shotsOf(session, line.build).flatMap((shot) => {
			const carry = farOf(shot.readings, "carry_m");
			const offline = farOf(shot.readings, "offline_m");
			return carry === null || offline === null ? [] : [{ carry, offline, aside: shot.aside }];
		}),
		ellipse: line.pattern
			? {
					carry: toFar(line.pattern.carry_m),
					offline: toFar(line.pattern.offline_m),
					major: toFar(line.pattern.major_m),
					minor: toFar(line.pattern.minor_m),
					tilt: line.pattern.tilt_deg,
					depth: toFar(line.pattern.depth_m),
					width: toFar(line.pattern.width_m),
				}
			: null,
	};
}
