/** What waits for the server keeps the order in which it was done. */
import { afterEach, expect, test } from "vitest";
import { changes, clear, serve } from "../tests/stage";
import { send } from "./outbox";

afterEach(clear);

test("an undo without a body never overtakes the change that it takes back", async () => {
	const sent = serve({ "PUT /api/shots/1/aside": {}, "POST /api/sessions/7/undo": {} });
	const at = (path: string) => new URL(path, window.location.origin);
	const aside = new Request(at("/api/shots/1/aside"), { method: "PUT", body: '{"aside":true}' });
	const read = aside.text.bind(aside);
	aside.text = async () => {
		await new Promise((done) => setTimeout(done, 30)); // a busy machine
		return read();
	};
	await Promise.all([send(aside), send(new Request(at("/api/sessions/7/undo"), { method: "POST" }))]);
	expect(changes(sent).map((each) => each.url)).toEqual(["/api/shots/1/aside", "/api/sessions/7/undo"]);
});
