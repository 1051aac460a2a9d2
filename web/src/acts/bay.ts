/** Shots, what is said of them, and how the next are hit. */

import type { DayKind, Intent, Lie, Strike } from "../api/client";
import type { ProtocolKey } from "../api/words";
import { act, to } from "./act";

export const bay = {
	run: to("PUT /api/sessions/{session_id}/run"),
	/** Whose player hits in turn with this one's; null for nobody any more. */
	partner: (id: number, session: number | null) =>
		act("PUT /api/sessions/{session_id}/partner", id, { session }),
	inHand: (id: number, build: number) => act("PUT /api/sessions/{session_id}/in-hand", id, { build }),
	aside: (shot: number, aside: boolean, reason = "") =>
		act("PUT /api/shots/{shot_id}/aside", shot, { aside, reason }),
	strike: (shot: number, strike: Strike | null) => act("PUT /api/shots/{shot_id}/strike", shot, { strike }),
	counts: to("PUT /api/shots/{shot_id}/counts"),
	ask: (id: number, protocol: ProtocolKey, intent: Intent) =>
		act("PUT /api/sessions/{session_id}/ask", id, { protocol, intent }),
	task: to("PUT /api/sessions/{session_id}/task"),
	pin: (shot: number, pinned: boolean) => act("PUT /api/shots/{shot_id}/pinned", shot, { pinned }),
	swing: (id: number, changed: boolean) => act("PUT /api/sessions/{session_id}/swing", id, { changed }),
	hitFrom: (id: number, lie: Lie | null) => act("PUT /api/sessions/{session_id}/lie", id, { lie }),
	screen: to("PUT /api/sessions/{session_id}/player"),
	openScreen: to("POST /api/sessions/{session_id}/player"),
	closeScreen: to("DELETE /api/sessions/{session_id}/player"),
	felt: to("POST /api/sessions/{session_id}/felt"),
	day: (id: number, kind: DayKind) => act("PUT /api/sessions/{session_id}/day", id, { kind }),
	keepClub: to("PUT /api/shots/{shot_id}/club"),
	undo: to("POST /api/sessions/{session_id}/undo"),
	redo: to("POST /api/sessions/{session_id}/redo"),
	typeShot: to("POST /api/sessions/{session_id}/shots"),
	shots: to("PUT /api/sessions/{session_id}/shots"),
	move: (shot: number, build: number) => act("PUT /api/shots/{shot_id}/build", shot, { build }),
};
