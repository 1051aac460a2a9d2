/**
 * Every change that the API takes, once: whether it is kept in this browser until the server has it, or done now or
 * never. One that is missing here, or is there no more, does not compile.
 */
import type { paths } from "../api/schema";

type Method = "post" | "put" | "patch" | "delete";
type At<Path extends keyof paths & string> = {
	[M in Method]: [paths[Path][M]] extends [undefined] ? never : `${Uppercase<M>} ${Path}`;
}[Method];
export type Change = { [Path in keyof paths & string]: At<Path> }[keyof paths & string];

const CHANGES: Record<Change, "kept" | "now"> = {
	// What is done at a visit, with a line or at a green without one: shots and what is said of them, what is typed, what
	// is taken in hand and how it is hit.
	"PUT /api/builds/{build_id}": "kept",
	"DELETE /api/builds/{build_id}": "kept",
	"POST /api/course/{code}": "kept",
	"PUT /api/hand-out/{code}": "kept",
	"PUT /api/imports/{import_id}": "kept",
	"PUT /api/plans/{plan_id}": "kept",
	"DELETE /api/plans/{plan_id}": "kept",
	"POST /api/sessions/{session_id}/averages": "kept",
	"PATCH /api/sessions/{session_id}/brief": "kept",
	"POST /api/sessions/{session_id}/clubs": "kept",
	"POST /api/sessions/{session_id}/felt": "kept",
	"PUT /api/sessions/{session_id}/gap": "kept",
	"POST /api/sessions/{session_id}/pad": "kept",
	"DELETE /api/sessions/{session_id}/pad": "kept",
	"POST /api/sessions/{session_id}/plans": "kept",
	"POST /api/sessions/{session_id}/redo": "kept",
	"PUT /api/sessions/{session_id}/rules": "kept",
	"POST /api/sessions/{session_id}/shots": "kept",
	"PUT /api/sessions/{session_id}/shots": "kept",
	"PUT /api/sessions/{session_id}/targets": "kept",
	"PUT /api/sessions/{session_id}/trials/stop/green": "kept",
	"POST /api/sessions/{session_id}/trials/stop/seen": "kept",
	"PUT /api/trial-events/{event_id}/aside": "kept",
	"PUT /api/trial-events/{event_id}/said": "kept",
	"PUT /api/trials/{trial_id}/guess": "kept",
	"POST /api/trials/{trial_id}/notes": "kept",
	"POST /api/trials/{trial_id}/said": "kept",
	"POST /api/sessions/{session_id}/undo": "kept",
	"PUT /api/shots/{shot_id}/aside": "kept",
	"PUT /api/shots/{shot_id}/build": "kept",
	"PUT /api/shots/{shot_id}/club": "kept",
	"PUT /api/shots/{shot_id}/counts": "kept",
	"PATCH /api/shots/{shot_id}/pad": "kept",
	"PUT /api/shots/{shot_id}/pinned": "kept",
	"PUT /api/shots/{shot_id}/strike": "kept",
	"PUT /api/builds/{build_id}/stated": "kept",
	"PUT /api/sessions/{session_id}/ask": "kept",
	"PUT /api/sessions/{session_id}/day": "kept",
	"PUT /api/sessions/{session_id}/in-hand": "kept",
	"PUT /api/sessions/{session_id}/lie": "kept",
	"PUT /api/sessions/{session_id}/run": "kept",
	"PUT /api/sessions/{session_id}/swing": "kept",
	"PUT /api/sessions/{session_id}/task": "kept",
	"PUT /api/trials/{trial_id}/chosen": "kept",
	"POST /api/trials/{trial_id}/give-up": "kept",
	"PUT /api/trials/{trial_id}/in-hand": "kept",
	"POST /api/trials/{trial_id}/returns": "kept",
	"POST /api/trials/{trial_id}/reveal": "kept",
	// What is wanted by somebody who waits for it: what comes onto the stand, agreeing, people, the rack.
	"POST /api/bays": "now",
	"PUT /api/bays/{bay_id}": "now",
	"PATCH /api/bays/{bay_id}": "now",
	"POST /api/bays/{bay_id}/keys": "now",
	"POST /api/bays/{bay_id}/stand-in": "now",
	"DELETE /api/bays/{bay_id}/stand-in": "now",
	"POST /api/bays/{bay_id}/tray": "now",
	"PUT /api/bays/{bay_id}/tray": "now",
	"DELETE /api/bays/{bay_id}/tray": "now",
	"PUT /api/builds/{build_id}/accepted": "now",
	"POST /api/builds/{build_id}/otherwise": "now",
	"POST /api/builds/{build_id}/settings": "now",
	"POST /api/customers": "now",
	"PUT /api/customers/{customer_id}": "now",
	"DELETE /api/customers/{customer_id}": "now",
	"POST /api/customers/{customer_id}/merge": "now",
	"DELETE /api/customers/{customer_id}/merge": "now",
	"POST /api/feed/shots": "now",
	"DELETE /api/keys/{key_id}": "now",
	"PUT /api/me/keys": "now",
	"DELETE /api/me/other-sign-ins": "now",
	"PUT /api/me/password": "now",
	"PUT /api/me/units": "now",
	"POST /api/opening": "now",
	"POST /api/people": "now",
	"POST /api/people/{user_id}": "now",
	"PUT /api/people/{user_id}": "now",
	"POST /api/player/{code}": "now",
	"POST /api/rack/file": "now",
	"POST /api/rack/heads": "now",
	"PUT /api/rack/heads/{head_id}": "now",
	"PATCH /api/rack/heads/{head_id}": "now",
	"POST /api/rack/shafts": "now",
	"PUT /api/rack/shafts/{shaft_id}": "now",
	"PATCH /api/rack/shafts/{shaft_id}": "now",
	"POST /api/rack/usual": "now",
	"POST /api/sessions": "now",
	"PUT /api/sessions/{session_id}/awaited": "now",
	"POST /api/sessions/{session_id}/borrowed": "now",
	"POST /api/sessions/{session_id}/candidates": "now",
	"POST /api/sessions/{session_id}/handover": "now",
	"POST /api/sessions/{session_id}/import": "now",
	"POST /api/sessions/{session_id}/import/preview": "now",
	"POST /api/sessions/{session_id}/level": "now",
	"PUT /api/sessions/{session_id}/pad/in-hand": "now",
	"PUT /api/sessions/{session_id}/partner": "now",
	"POST /api/sessions/{session_id}/player": "now",
	"PUT /api/sessions/{session_id}/player": "now",
	"DELETE /api/sessions/{session_id}/player": "now",
	"POST /api/sessions/{session_id}/turn": "now",
	"PUT /api/shop": "now",
	"PUT /api/shop/columns": "now",
	"PUT /api/shop/name": "now",
	"PUT /api/shop/rules": "now",
	"POST /api/sign-in": "now",
	"POST /api/sign-out": "now",
	"POST /api/sessions/{session_id}/trials/pair": "now",
	"POST /api/sessions/{session_id}/trials/sole": "now",
	"POST /api/sessions/{session_id}/trials/sole/check": "now",
	"POST /api/trials/{trial_id}/course": "now",
	"POST /api/trials/{trial_id}/hand-out": "now",
	"POST /api/trials/{trial_id}/lofts": "now",
	"POST /api/try-outs": "now",
	"DELETE /api/try-outs/{customer_id}": "now",
};

const KEPT = Object.entries(CHANGES)
	.filter(([, how]) => how === "kept")
	.map(([change]) => new RegExp(`^${change.replace(/\{\w+\}/g, "\\w+")}$`));

/** Whether a change is kept until the server has it. */
export function isKept(request: Request): boolean {
	const change = `${request.method} ${new URL(request.url).pathname}`;
	return KEPT.some((each) => each.test(change));
}

type JsonOf<Operation> = Operation extends { requestBody?: { content: { "application/json": infer Body } } }
	? unknown extends Body
		? undefined
		: Body
	: undefined;
type OperationOf<C extends Change> = C extends `${infer M} ${infer Path}`
	? Path extends keyof paths
		? Lowercase<M> extends Method
			? paths[Path][Lowercase<M>]
			: never
		: never
	: never;
/** What a change is sent with, after the number of what it changes. */
export type Sent<C extends Change> =
	JsonOf<OperationOf<C>> extends undefined ? [] : [body: JsonOf<OperationOf<C>>];
/** Whether it may be answered with what it did alone. */
export type Briefly<C extends Change> = OperationOf<C> extends { responses: { 202: unknown } } ? true : false;
