/** The bag, the stand and what is wanted of them. */

import type { ChangeKind } from "../api/client";
import type { components } from "../api/schema";
import type { CandidateBody } from "../api/session";
import { act, to } from "./act";

type Schemas = components["schemas"];

export const bag = {
	gap: to("PUT /api/sessions/{session_id}/gap"),
	rules: to("PUT /api/sessions/{session_id}/rules"),
	target: to("PUT /api/sessions/{session_id}/targets"),
	addClub: to("POST /api/sessions/{session_id}/clubs"),
	club: to("PUT /api/builds/{build_id}"),
	state: to("PUT /api/builds/{build_id}/stated"),
	/** Fields of the brief written beside its form; was: as they stood. */
	brief: (id: number, now: Schemas["BriefFieldsRequest"], was: Schemas["BriefFieldsRequest"]) =>
		act("PATCH /api/sessions/{session_id}/brief", id, { now, was }),
	drop: to("DELETE /api/builds/{build_id}"),
	/** again: also what stands there as it is already. */
	candidates: (id: number, candidates: CandidateBody[], again = false) =>
		act("POST /api/sessions/{session_id}/candidates", id, { candidates, again }),
	undoImport: (imported: number, undone: boolean) =>
		act("PUT /api/imports/{import_id}", imported, { undone }),
	accepted: (build: number, accepted: boolean) =>
		act("PUT /api/builds/{build_id}/accepted", build, { accepted }),
	setting: (build: number, loft: number) =>
		act("POST /api/builds/{build_id}/settings", build, { set_loft_deg: loft }),
	otherwise: (build: number, changes: { kind: ChangeKind; amount: number }[], shaft: number | null = null) =>
		act("POST /api/builds/{build_id}/otherwise", build, { changes, shaft }),
	borrow: to("POST /api/sessions/{session_id}/borrowed"),
	level: (id: number, loft_deg: number) => act("POST /api/sessions/{session_id}/level", id, { loft_deg }),
	averages: (id: number, clubs: Schemas["AverageInRequest"][]) =>
		act("POST /api/sessions/{session_id}/averages", id, { clubs }),
	waitFor: (id: number, name: string) => act("PUT /api/sessions/{session_id}/awaited", id, { name }),
};
