/** The scale and the windows that the gates of the Bay share. */
import type { Build, Session } from "../api/client";
import { type Span, spanOf } from "../instruments/scale";
import { toYards } from "../ui/units";
import { candidatesOf, carriesOf, ownOf, targetOf, windowsOf } from "./model";

/** One scale for every gate of the session: the window and all kept candidate shots. */
export function gateSpan(session: Session): Span {
	const shots = candidatesOf(session).flatMap((build) => carriesOf(session, build.id));
	const windows = windowsOf(session).flatMap((window) => [window.low, window.high]);
	const own = candidatesOf(session).length
		? []
		: ownOf(session).flatMap((build) => carriesOf(session, build.id));
	return spanOf([...shots, ...windows, ...own], 10, 3);
}

/** What is wanted of a reading of this build, in canonical units: its slot's target, with the carry of its own kind. */
export function wantedOf(
	session: Session,
	build: Build,
	key: string,
): { low: number | null; high: number | null } {
	const verdict = session.verdicts.find((each) => each.build === build.id);
	const fact = key === "carry_m" ? verdict?.facts.find((each) => each.quantity === key) : undefined;
	const { low = null, high = null } = fact ?? targetOf(session, verdict?.slot ?? 0, key) ?? {};
	return { low, high };
}

/** The window a build is judged by: its kind's own, as what rolls further may carry less. */
export function windowFor(session: Session, build: Build) {
	if (!build.letter) return undefined;
	const { low, high } = wantedOf(session, build, "carry_m");
	return low !== null && high !== null ? { low: toYards(low), high: toYards(high) } : undefined;
}
