/**
 * How a change looks at once, before the server has answered: by its name, the number of what it changes and its body.
 * What is not here is seen when it is answered.
 */
import type { Session } from "../api/client";
import { handed } from "../session/handed";
import type { Change, Sent } from "./changes";

type Body<C extends Change> = NonNullable<Sent<C>[0]>;
type Shows = { [C in Change]?: (seen: Session, id: number, body: Body<C>) => Session };

/** A session in which some shots are otherwise. */
const shots = (seen: Session, ids: readonly number[], now: Partial<Session["shots"][number]>): Session => ({
	...seen,
	shots: seen.shots.map((shot) => (ids.includes(shot.id) ? { ...shot, ...now } : shot)),
});

/** What of a body is known of each shot already. */
type OfShots = Body<"PUT /api/sessions/{session_id}/shots">;
function ofAll({ shots: _, aside, reason, ...said }: OfShots): Partial<Session["shots"][number]> {
	const away = aside === undefined || aside === null ? {} : asideNow(aside, reason ?? "");
	return { ...(said as Partial<Session["shots"][number]>), ...away };
}
const asideNow = (aside: boolean, reason: string) => ({ aside, aside_reason: reason, counts: !aside });

/** A test that was given up. */
const over = (seen: Session, id: number): Session => ({
	...seen,
	soles: seen.soles.map((each) => (each.id === id ? { ...each, on: false } : each)),
	tests: seen.tests.map((each) => (each.blind?.id === id ? { ...each, blind: null } : each)),
});

const SHOWN: Shows = {
	"PUT /api/shots/{shot_id}/strike": (seen, id, { strike }) => shots(seen, [id], { strike }),
	"PUT /api/shots/{shot_id}/aside": (seen, id, { aside, reason }) =>
		shots(seen, [id], asideNow(aside, reason ?? "")),
	"PUT /api/shots/{shot_id}/counts": (seen, id, said) => shots(seen, [id], said),
	"PUT /api/shots/{shot_id}/build": (seen, id, { build }) => shots(seen, [id], { build }),
	"PUT /api/shots/{shot_id}/club": (seen, id) => shots(seen, [id], { check_club: "" }),
	"PUT /api/shots/{shot_id}/pinned": (seen, id, { pinned }) => ({ ...seen, pinned: pinned ? id : null }),
	"PUT /api/sessions/{session_id}/shots": (seen, _id, body) => shots(seen, body.shots, ofAll(body)),
	"PUT /api/sessions/{session_id}/in-hand": (seen, _id, { build }) => handed(seen, build),
	"PUT /api/sessions/{session_id}/lie": (seen, _id, { lie }) => ({ ...seen, lie: lie ?? null }),
	"PUT /api/sessions/{session_id}/ask": (seen, _id, { protocol, intent }) => ({ ...seen, protocol, intent }),
	"PUT /api/sessions/{session_id}/run": (seen, _id, { length, struck_ball, asked_carry_m }) => ({
		...seen,
		length: length ?? seen.length,
		struck_ball: struck_ball ?? seen.struck_ball,
		...(asked_carry_m === undefined
			? {}
			: { asked_carry_m: (asked_carry_m || null) as Session["asked_carry_m"] }),
	}),
	"PUT /api/sessions/{session_id}/task": (seen, _id, { build, length, lie, protocol }) => ({
		...seen,
		in_hand: build,
		length: length ?? seen.length,
		lie: lie ?? null,
		protocol,
		intent: "stock",
	}),
	"PUT /api/sessions/{session_id}/player": (seen, _id, { mode, away }) =>
		seen.player
			? {
					...seen,
					player: { ...seen.player, mode: mode ?? seen.player.mode, away: away ?? seen.player.away },
				}
			: seen,
	"PUT /api/builds/{build_id}/stated": (seen, id, said) => ({
		...seen,
		builds: seen.builds.map((each) =>
			each.id !== id
				? each
				: {
						...each,
						complaints: said.complaints ?? each.complaints,
						of_set: said.of_set ?? each.of_set,
						kept_out: said.kept_out ?? each.kept_out,
						on_order: said.on_order ?? each.on_order,
					},
		),
	}),
	"PUT /api/trials/{trial_id}/in-hand": (seen, id, { code }) => {
		const build = seen.soles.find((each) => each.id === id)?.codes[code]?.build;
		return build === undefined ? seen : { ...seen, in_hand: build, protocol: "sole", intent: "stock" };
	},
	"POST /api/trials/{trial_id}/give-up": over,
	"PUT /api/trials/{trial_id}/guess": (seen, id, { code, confidence }) => ({
		...seen,
		soles: seen.soles.map((each) => (each.id === id ? { ...each, guess: code, confidence } : each)),
		tests: seen.tests.map((each) =>
			each.blind?.id === id ? { ...each, blind: { ...each.blind, guess: code, confidence } } : each,
		),
	}),
};

/** The session as it looks once a change is done; as it is, where it is not known how. */
export function shownOf<C extends Change>(change: C, id: number, body: unknown): (seen: Session) => Session {
	const show = SHOWN[change];
	return (seen) => (show === undefined ? seen : show(seen, id, body as Body<C>));
}

const NAMES = Object.keys(SHOWN).map((change) => {
	const [method = "", path = ""] = change.split(" ");
	return { change: change as Change, method, path: new RegExp(`^${path.replace(/\{\w+\}/g, "(\\d+)")}$`) };
});

/** The same of a change as it was sent: by its method and path. */
export function shownAsSent(method: string, path: string, body: unknown): (seen: Session) => Session {
	for (const each of NAMES) {
		const [, id] = (each.method === method && each.path.exec(path)) || [];
		if (id) return shownOf(each.change, Number(id), body);
	}
	return (seen) => seen;
}
