/** The typed client of the API; every error becomes a Problem with a sentence to show. */
import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Session = components["schemas"]["SessionPicture"];
export type SessionLine = components["schemas"]["SessionLine"];
export type Build = components["schemas"]["BuildPicture"];
export type Shot = components["schemas"]["ShotPicture"];
export type Bag = components["schemas"]["BagPicture"];
export type Between = components["schemas"]["BetweenPicture"];
export type Plan = components["schemas"]["PlanPicture"];
export type Slot = components["schemas"]["SlotPicture"];
export type Target = components["schemas"]["TargetPicture"];
export type Verdict = components["schemas"]["VerdictPicture"];
export type WhatIf = components["schemas"]["WhatIfPicture"];
export type Bench = components["schemas"]["BenchPicture"];
export type BoardLine = components["schemas"]["BoardLine"];
export type Handover = components["schemas"]["HandoverPicture"];
export type Choice = components["schemas"]["Choice"];
export type Tested = components["schemas"]["Tested"];
export type BagSide = components["schemas"]["BagSide"];
export type ImportPreview = components["schemas"]["ImportPreview"];
export type ImportResult = components["schemas"]["ImportResult"];
export type Job = components["schemas"]["JobPicture"];
export type Course = components["schemas"]["CoursePicture"];
export type Plans = components["schemas"]["PlansPicture"];
export type BagPlan = components["schemas"]["BagPlanPicture"];
export type Shortlist = components["schemas"]["ShortlistPicture"];
export type Ranked = components["schemas"]["RankedPicture"];
export type Rack = components["schemas"]["RackPicture"];
export type ShopPicture = components["schemas"]["ShopPicture"];
export type Me = components["schemas"]["Me"];

export class Problem extends Error {
	constructor(
		readonly title: string,
		readonly status: number,
		readonly field: string | null,
	) {
		super(title);
	}
}

function cookie(name: string): string {
	const found = document.cookie.split("; ").find((part) => part.startsWith(`${name}=`));
	return found ? decodeURIComponent(found.slice(name.length + 1)) : "";
}

export const client = createClient<paths>({
	baseUrl: window.location.origin,
	credentials: "same-origin",
	fetch: (request) => globalThis.fetch(request),
});

client.use({
	onRequest({ request }) {
		request.headers.set("X-CSRFToken", cookie("csrftoken"));
		return request;
	},
	onError() {
		return new Problem("The server does not answer. Nothing you saved is lost; try again.", 0, null);
	},
});

interface Answer<T> {
	data?: T;
	error?: unknown;
	response: Response;
}

/** The answer's data, or its problem thrown. */
export async function got<T>(answer: Promise<Answer<T>>): Promise<T> {
	const { data, error, response } = await answer;
	if (response.ok) return data as T;
	const told = (typeof error === "object" && error !== null ? error : {}) as {
		title?: string;
		field?: string | null;
	};
	throw new Problem(
		told.title ?? `The server answered ${response.status}.`,
		response.status,
		told.field ?? null,
	);
}
