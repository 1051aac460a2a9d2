/** A place on its own: what it shows of a session, and what it asks of the API. */
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, configure, render } from "@testing-library/react";
import type { ComponentType, ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { vi } from "vitest";
import type { Session } from "../api/client";
import { reopen, signedInAs } from "../api/outbox";
import { CommandProvider } from "../commands/commands";
import type { PlaceProps } from "../session/place";
import { LIVE } from "./session";

// A slow machine is slow, not wrong.
configure({ asyncUtilTimeout: 15_000 });

// jsdom draws no dialogs: one that is asked for is open.
HTMLDialogElement.prototype.showModal = function showModal() {
	this.open = true;
};

export interface Sent {
	method: string;
	url: string;
	body: unknown;
}
/** Answers by `METHOD /path`: a Response as it is, a promise when it comes, of a function what it makes of the
 * address; anything else is not found. */
export type Answers = Record<string, unknown>;

/** Stand in for the server: every request is kept, every answer is the one given. */
export function serve(answers: Answers): Sent[] {
	signedInAs("fitter");
	const sent: Sent[] = [];
	vi.stubGlobal("fetch", async (request: Request) => {
		const address = new URL(request.url);
		const url = address.pathname;
		const text = await request.text();
		sent.push({ method: request.method, url, body: text ? JSON.parse(text) : null });
		const known = await answers[`${request.method} ${url}`];
		const answer = typeof known === "function" ? known(address) : known;
		if (answer instanceof Response) return answer.clone();
		return answer === undefined
			? Response.json({ title: `Nothing at ${url}.`, field: null }, { status: 404 })
			: Response.json(answer);
	});
	return sent;
}

export const changes = (sent: Sent[]): Sent[] => sent.filter((each) => each.method !== "GET");

/** Draw something inside what the application gives it, at an address. */
export function draw(what: ReactNode, at = "/") {
	const queries = new QueryClient({
		defaultOptions: { queries: { retry: false }, mutations: { retry: false } },
	});
	return render(what, {
		wrapper: ({ children }) => (
			<QueryClientProvider client={queries}>
				<MemoryRouter initialEntries={[at]}>
					<CommandProvider>{children}</CommandProvider>
				</MemoryRouter>
			</QueryClientProvider>
		),
	});
}

/** A place as the frame shows it; changes answer with the same session. */
export function Place({ place: View, session }: { place: ComponentType<PlaceProps>; session: Session }) {
	const act = (change: () => Promise<unknown>) => void change().catch(() => undefined);
	return <View session={session} act={act} busy={false} live={LIVE} />;
}

/** Draw a place, at an address that says what of it is open. */
export const show = (place: ComponentType<PlaceProps>, session: Session, at = "/") =>
	draw(<Place place={place} session={session} />, at);

export function clear(): void {
	cleanup();
	reopen(true);
	vi.unstubAllGlobals();
}
