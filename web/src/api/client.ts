/** The typed client of the API; every error becomes a Problem with a sentence to show. */
import createClient from "openapi-fetch";
import { isKept } from "../acts/changes";
import { spoken, t } from "../said/words";
import type { InUnits } from "../ui/units";
import { currentSession, revisionHeld } from "./held";
import { nextChange, send, settled } from "./outbox";
import type { paths } from "./schema";

export type * from "./types";

export class Problem extends Error {
	constructor(
		readonly title: string,
		readonly status: number,
		readonly field: string | null,
		/** The kind of problem, without the name of the product. */
		readonly type = "",
	) {
		super(title);
	}
}

function cookie(name: string): string {
	const found = document.cookie.split("; ").find((part) => part.startsWith(`${name}=`));
	return found ? decodeURIComponent(found.slice(name.length + 1)) : "";
}

const LONGEST_MS = 10_000;
let before: Promise<unknown> = Promise.resolve();

/**
 * What is not kept is done in its turn, after what was done before it; without a line it is tried at once, and refused
 * in words.
 */
function inItsTurn(request: Request): Promise<Response> {
	if (request.method === "GET") return globalThis.fetch(request);
	const long = new Promise((done) => setTimeout(done, LONGEST_MS));
	const mine = Promise.race([before, long])
		.then(settled)
		.then(() => globalThis.fetch(request));
	before = mine.catch(() => undefined);
	return mine;
}

export const client = createClient<paths>({
	baseUrl: window.location.origin,
	credentials: "same-origin",
	fetch: (request) => (isKept(request) ? send(request) : inItsTurn(request)),
});

client.use({
	onRequest({ request }) {
		request.headers.set("X-CSRFToken", cookie("csrftoken"));
		if (request.method !== "GET") {
			request.headers.set("Change", nextChange());
			// What was changed is seen at once, and what is judged of it is asked for after.
			request.headers.set("Prefer", "return=minimal");
			// Told what this page has, a change answers with the shots that changed only.
			request.headers.set("Since-Revision", String(revisionHeld(currentSession())));
		}
		return request;
	},
	onResponse({ response }) {
		if (response.status === 401) signInEnded();
	},
	onError() {
		return new Problem(t("api-server-does-not-answer-nothing"), 0, null);
	},
});

let signInEnded: () => void = () => undefined;
/** What is done when an answer says that the sign-in has ended. */
export const whenSignInEnds = (then: () => void) => {
	signInEnded = then;
};

interface Answer<T> {
	data?: T;
	error?: unknown;
	response: Response;
}

/** The answer's data, its lengths branded and its sentences in words, or its problem thrown. */
export async function got<T>(answer: Promise<Answer<T>>): Promise<InUnits<T>> {
	return spoken(await gotSaid(answer));
}

/** The same with its sentences as they travel, for who reads them in other words than whoever is signed in. */
export async function gotSaid<T>(answer: Promise<Answer<T>>): Promise<InUnits<T>> {
	const { data, error, response } = await answer;
	if (response.ok) return data as InUnits<T>;
	const told = (typeof error === "object" && error !== null ? error : {}) as {
		title?: string;
		said?: unknown;
		field?: string | null;
		type?: string;
	};
	throw new Problem(
		(told.said ? String(await spoken(told.said)) : told.title) ??
			t("api-server-answered", { status: response.status }),
		response.status,
		told.field ?? null,
		told.type?.split(":").at(-1),
	);
}
