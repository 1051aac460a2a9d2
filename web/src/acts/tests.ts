/** Tests of the short game. */
import { act, to } from "./act";

export const tests = {
	stopGreen: to("PUT /api/sessions/{session_id}/stop-green"),
	stopSeen: to("POST /api/sessions/{session_id}/stops"),
	stopAside: (seen: number, aside: boolean) => act("PUT /api/stops/{seen_id}/aside", seen, { aside }),
	blindGrooves: (id: number, old: number, fresh: number) =>
		act("POST /api/sessions/{session_id}/grooves", id, { old, fresh }),
	guessGrooves: (test: number, code: number, confidence: string) =>
		act("PUT /api/grooves/{blind_id}/guess", test, { code, confidence }),
	revealGrooves: to("POST /api/grooves/{blind_id}/reveal"),
	giveUpGrooves: to("POST /api/grooves/{blind_id}/give-up"),
	setUpSoles: to("POST /api/sessions/{session_id}/soles"),
	sayOfCode: to("POST /api/soles/{test_id}/handings"),
	changeSaid: to("PUT /api/handings/{handing_id}"),
	takeCode: (test: number, code: number, place: string) =>
		act("PUT /api/soles/{test_id}/in-hand", test, { code, place }),
	goBack: (test: number, place: string) => act("POST /api/soles/{test_id}/returns", test, { place }),
	guessSole: (test: number, code: number, confidence: string) =>
		act("PUT /api/soles/{test_id}/guess", test, { code, confidence }),
	revealSoles: (test: number, early: boolean) => act("POST /api/soles/{test_id}/reveal", test, { early }),
	giveUpSoles: to("POST /api/soles/{test_id}/give-up"),
	chooseSole: (test: number, code: number) => act("PUT /api/soles/{test_id}/chosen", test, { code }),
	tryLofts: (test: number, place: string) => act("POST /api/soles/{test_id}/lofts", test, { place }),
	openCourse: to("POST /api/soles/{test_id}/course"),
	noteOfCourse: to("POST /api/soles/{test_id}/notes"),
};
