/** The scale and the windows that the gates of a session share. */
import type { Build, Session } from "../api/client";
import { type Span, spanOf } from "../instruments/scale";
import { type Metres, toFar } from "../ui/units";
import { candidatesOf, carriesOf, ownOf, type Window, windowsOf } from "./select";

/** One scale for every gate of the session: the windows and the kept shots that are held against them. */
export function gateSpan(session: Session): Span {
	const shots = candidatesOf(session).flatMap((build) => carriesOf(session, build.id));
	const judgedBy = candidatesOf(session).flatMap((build) => windowFor(build) ?? []);
	const windows = [...windowsOf(session), ...judgedBy].flatMap((window) => [window.low, window.high]);
	// At the short end the own wedges are hit on the same scale.
	const beside = ownOf(session).filter(
		(build) =>
			candidatesOf(session).length === 0 || (session.bag.end === "short" && build.head_type === "wedge"),
	);
	const own = beside.flatMap((build) => carriesOf(session, build.id));
	return spanOf([...shots, ...windows, ...own], 10, 3);
}

const NEAR = 20; // beside the window, in what is read: what lies further is off the scale

/** The scale of one build: close about its window, else about its shots. */
export function closeSpan(session: Session, build: Build, last: number | null): Span {
	const shots = carriesOf(session, build.id);
	const window = windowFor(build);
	const middle = [...shots].sort((one, other) => one - other)[Math.floor(shots.length / 2)] ?? last ?? 0;
	const { low, high } = window ?? { low: middle - 5, high: middle + 5 };
	const near = [...shots, last ?? middle].filter((carry) => carry > low - NEAR && carry < high + NEAR);
	return spanOf([low, high, ...near], 5, 3);
}

const OPEN = { low: null, high: null };

/** What is wanted of a reading of this build, in canonical units. */
export const wantedOf = (build: Build, key: string): { low: number | null; high: number | null } =>
	build.wanted[key] ?? OPEN;

/** The carry window a build is judged by: its own, as what rolls further may carry less. */
export function windowFor(build: Build | undefined): Window | undefined {
	if (!build) return undefined;
	const { low, high } = wantedOf(build, "carry_m");
	return low !== null && high !== null
		? { low: toFar(low as Metres), high: toFar(high as Metres) }
		: undefined;
}
