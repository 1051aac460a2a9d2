/** Tests of the short game. */
import { act, to } from "./act";

export const tests = {
	stopGreen: to("PUT /api/sessions/{session_id}/trials/stop/green"),
	stopSeen: to("POST /api/sessions/{session_id}/trials/stop/seen"),
	stopAside: (seen: number, aside: boolean) => act("PUT /api/trial-events/{event_id}/aside", seen, { aside }),
	blindPair: (id: number, test: string, old: number, fresh: number) =>
		act("POST /api/sessions/{session_id}/trials/pair", id, { test, old, fresh }),
	setUpSoles: to("POST /api/sessions/{session_id}/trials/sole"),
	sayOfCode: to("POST /api/trials/{trial_id}/said"),
	changeSaid: to("PUT /api/trial-events/{event_id}/said"),
	takeCode: (trial: number, code: number, place: string) =>
		act("PUT /api/trials/{trial_id}/in-hand", trial, { code, place }),
	goBack: (trial: number, place: string) => act("POST /api/trials/{trial_id}/returns", trial, { place }),
	guessCode: (trial: number, code: number, confidence: string) =>
		act("PUT /api/trials/{trial_id}/guess", trial, { code, confidence }),
	reveal: (trial: number, early = false) => act("POST /api/trials/{trial_id}/reveal", trial, { early }),
	giveUp: to("POST /api/trials/{trial_id}/give-up"),
	chooseSole: (trial: number, code: number) => act("PUT /api/trials/{trial_id}/chosen", trial, { code }),
	tryLofts: (trial: number, place: string) => act("POST /api/trials/{trial_id}/lofts", trial, { place }),
	openCourse: to("POST /api/trials/{trial_id}/course"),
	noteOfCourse: to("POST /api/trials/{trial_id}/notes"),
};
