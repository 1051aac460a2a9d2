/** Picking out of a session what the places ask for. */
import type { Build, Session, Shot, Target } from "../api/client";
import { type Far, farOf, toFar } from "../ui/units";

export const buildOf = (session: Session, id: number | null): Build | undefined =>
	session.builds.find((build) => build.id === id);
export const candidatesOf = (session: Session): Build[] =>
	session.builds.filter((build) => build.letter !== "");
export const ownOf = (session: Session): Build[] => session.builds.filter((build) => build.letter === "");
/** The bag as it is now: the player's own and what was taken in for the time being. */
export const inBag = (session: Session): Build[] =>
	session.builds.filter((build) => (build.letter === "" ? build.out_of_favour === "" : build.accepted));
/** By its name, a build of the stand by its letter first. */
export const nameOf = (build: Build | undefined): string =>
	build ? `${build.letter} ${build.name}`.trim() : "";
/** The own clubs a build is held against, as far as their carries are known. */
export const besideOf = (session: Session): Build[] =>
	session.bag.beside
		.map((id) => buildOf(session, id))
		.filter((build): build is Build => build !== undefined && build.carry_m !== null);
/** How many clubs may come in: what was taken into the bag for now, and the places that are left. */
export const placesOf = (session: Session): number =>
	candidatesOf(session).filter((build) => build.accepted).length + session.clubs_to_place;
export const lettersOf = (session: Session): string[] => candidatesOf(session).map((build) => build.letter);
export const shotsOf = (session: Session, build: number): Shot[] =>
	session.shots.filter((shot) => shot.build === build);

/** The carries that a club's own is made from, in yards. */
export const carriesOf = (session: Session, build: number): Far[] =>
	shotsOf(session, build)
		.filter((shot) => shot.counts)
		.map((shot) => farOf(shot.readings, "carry_m"))
		.filter((carry) => carry !== null);

/** What unlike the others a shot has about it; nothing when it is like them. */
export const questionOf = (session: Session, shot: Shot): string => session.questions[shot.id] ?? "";

/** Where a reading of a shot comes from. */
export const sourceOf = (session: Session, shot: Shot, key: string) =>
	shot.sources[key] ?? session.usual_sources[key] ?? "measured";

export function targetOf(session: Session, slot: number, quantity: string): Target | undefined {
	return session.bag.in_work?.slots[slot]?.targets.find((target) => target.quantity === quantity);
}

export interface Window {
	low: Far;
	high: Far;
}

/** The carry windows in force. */
export function windowsOf(session: Session): Window[] {
	return (session.bag.in_work?.slots ?? []).map((slot) => {
		const carry = slot.targets.find((target) => target.quantity === "carry_m");
		return {
			low: toFar((carry?.low ?? slot.low_m) as typeof slot.low_m),
			high: toFar((carry?.high ?? slot.high_m) as typeof slot.high_m),
		};
	});
}
