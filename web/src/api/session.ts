/** Reading and changing one session; every change answers with the session, and every answer with its revision. */
import {
	keepPreviousData,
	type QueryClient,
	useIsFetching,
	useIsMutating,
	useMutation,
	useQuery,
	useQueryClient,
} from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { inWords } from "../said/words";
import type { InUnits } from "../ui/units";
import { client, got, type Plans, type Seen, type Session } from "./client";
import { alsoSeen, held, isTold, newer, nowAt, sessionKey, useTold } from "./held";
import type { components } from "./schema";

type Schemas = components["schemas"];
export type PlanBody = Schemas["PlanInRequest"];
export type CandidateBody = Schemas["CandidateInRequest"];

export { sessionKey };

const path = (id: number) => ({ params: { path: { session_id: id } } });

/** Read a session anew, once for all that asks for it at a time: judging it for each of them would take the longer. */
const readAnew = (queries: QueryClient, id: number) =>
	queries.invalidateQueries({ queryKey: sessionKey(id), exact: true }, { cancelRefetch: false });

/** What is seen of a change at once, until the session is read anew. */
function seenNow(
	queries: QueryClient,
	id: number,
	revision: number,
	seen: Pick<Seen, "shot" | "build" | "now">,
) {
	const before = held(queries, id);
	if (before && revision > before.revision)
		queries.setQueryData(sessionKey(id), alsoSeen(before, revision, seen));
	isTold(id, revision);
}

/** Keep what came, unless something newer is held; read it whole where what came is not enough. */
export function keep(queries: QueryClient, came: Session | Seen): void {
	if (!("builds" in came)) {
		seenNow(queries, came.id, came.revision, came);
		return;
	}
	const kept = newer(held(queries, came.id), came);
	if (kept === null) {
		void readAnew(queries, came.id);
		return;
	}
	queries.setQueryData(sessionKey(came.id), kept);
	nowAt(kept);
}

export function useSession(id: number) {
	const queries = useQueryClient();
	const found = useQuery({
		queryKey: sessionKey(id),
		queryFn: async () => {
			const since = held(queries, id)?.revision;
			const asked = { params: { path: { session_id: id }, query: since ? { since } : {} } };
			const came = await got(client.GET("/api/sessions/{session_id}", asked));
			return newer(held(queries, id), came) ?? got(client.GET("/api/sessions/{session_id}", path(id)));
		},
	});
	const session = found.data;
	useEffect(() => {
		if (session) nowAt(session);
	}, [session]);
	return found;
}

type Part = "acts" | "bench" | "shortlist" | "plans" | "handover";

/** A part of a session is asked for once a revision; the one before it stays in view until it comes. */
/** A session by its number, as far as it is known here. */
export type Known = Pick<Session, "id" | "revision">;

function usePart<T>(session: Known, part: Part | readonly unknown[], read: () => Promise<T>, wanted = true) {
	return useQuery({
		queryKey: [...sessionKey(session.id), ...(typeof part === "string" ? [part] : part), session.revision],
		queryFn: read,
		enabled: wanted,
		placeholderData: keepPreviousData,
		staleTime: Number.POSITIVE_INFINITY,
		gcTime: 30_000,
	});
}

export const useBench = (session: Session, wanted = true) =>
	usePart(
		session,
		"bench",
		() => got(client.GET("/api/sessions/{session_id}/bench", path(session.id))),
		wanted,
	);

const acts = (id: number, trail: boolean) =>
	got(
		client.GET("/api/sessions/{session_id}/acts", {
			params: { path: { session_id: id }, query: trail ? {} : { trail } },
		}),
	);

/** What can be taken back here or done again. */
export const useActs = (session: Session) => usePart(session, "acts", () => acts(session.id, false));

/** What was done here. */
export const useTrail = (session: Session, wanted: boolean) =>
	usePart(session, ["acts", "trail"], () => acts(session.id, true), wanted);

/** What a change of one build would do. */
export const useWhatIf = (session: Session, build: number | null) =>
	usePart(
		session,
		["what-if", build],
		() => got(client.GET("/api/builds/{build_id}/what-if", { params: { path: { build_id: build ?? 0 } } })),
		build !== null,
	);

/** The head of the rack that gives a sole in a loft, bent where it is not made in it. */
export const useSole = (session: Session, sole: string, loft: number | null) =>
	usePart(
		session,
		["sole", sole, loft],
		() =>
			got(
				client.GET("/api/sessions/{session_id}/sole", {
					params: { path: { session_id: session.id }, query: { sole, loft_deg: loft ?? 0 } },
				}),
			),
		loft !== null,
	);

/** Which heads of the rack should land in the window. */
export const useShortlist = (session: Session) =>
	usePart(session, "shortlist", () =>
		got(client.GET("/api/sessions/{session_id}/shortlist", path(session.id))),
	);

/** The bag as it is, the best one found and the plans kept. */
export const usePlans = (session: Session, wanted: boolean) =>
	usePart(
		session,
		"plans",
		() => got(client.GET("/api/sessions/{session_id}/plans", path(session.id))),
		wanted,
	);

export const useHandover = (session: Known) =>
	usePart(session, "handover", () =>
		got(client.GET("/api/sessions/{session_id}/handover", path(session.id))),
	);

export interface Picks {
	builds: number[];
	dropped: number[];
	set?: SetAsked | null;
}

/** A set that is ordered with the iron that was hit: heads of the rack, degrees weaker and more upright. */
export interface SetAsked {
	build: number;
	heads: { head: number; bend_deg: number }[];
	loft_deg: number;
	lie_deg: number;
}

const inQuery = ({ builds, dropped, set }: Picks) => ({
	builds,
	dropped,
	...(set && {
		set_of: set.build,
		set_heads: set.heads.map((each) => each.head),
		set_bends: set.heads.map((each) => each.bend_deg),
		set_loft: set.loft_deg,
		set_lie: set.lie_deg,
	}),
});

/** What a choice would make of the bag. */
export const useDraft = (session: Session, picks: Picks, wanted: boolean) =>
	usePart(
		session,
		["draft", picks],
		() =>
			got(
				client.GET("/api/sessions/{session_id}/handover/draft", {
					params: { path: { session_id: session.id }, query: inQuery(picks) },
				}),
			),
		wanted,
	);

/** Keep, change or take away a plan; every change answers with all of them. */
export function usePlanChange(id: number) {
	const queries = useQueryClient();
	return useMutation({
		mutationFn: (change: () => Promise<Plans>) => change(),
		onSuccess: (plans) => {
			queries.setQueryData([...sessionKey(id), "plans", plans.revision], plans);
			void queries.invalidateQueries({ queryKey: sessionKey(id), exact: true });
		},
	});
}

const planPath = (plan: number) => ({ params: { path: { plan_id: plan } } });
export const plan = {
	keep: (id: number, body: PlanBody) =>
		got(client.POST("/api/sessions/{session_id}/plans", { ...path(id), body })),
	change: (kept: number, body: PlanBody) =>
		got(client.PUT("/api/plans/{plan_id}", { ...planPath(kept), body })),
	drop: (kept: number) => got(client.DELETE("/api/plans/{plan_id}", planPath(kept))),
};

/** Whether changes are heard of, and since when nothing is: a server that stands still breaks no line. */
export interface Live {
	is: "live" | "connecting" | "lost" | "silent";
	since: number;
}
/** The server beats every other second: after this long it is not there. */
const SILENT_MS = 5000;
interface Notice extends Pick<Seen, "what" | "shot" | "build" | "now"> {
	revision: number | null;
}

/** Follow a session: read it anew whenever the server says that it changed and it is not known yet. */
export function useLive(id: number): Live {
	const queries = useQueryClient();
	const [live, setLive] = useState<Live>(() => ({ is: "connecting", since: Date.now() }));
	const told = useTold(id);
	const reading = useIsFetching({ queryKey: sessionKey(id), exact: true });
	const changing = useIsMutating({ mutationKey: sessionKey(id) });
	const busy = useRef(false);
	busy.current = changing > 0;
	const readFor = useRef(0);

	useEffect(() => {
		const source = new EventSource(`/api/sessions/${id}/stream`);
		let heardAt = Date.now();
		const turn = (is: Live["is"]) =>
			setLive((now) => (now.is === is && is !== "live" ? now : { is, since: heardAt }));
		const beat = () => {
			heardAt = Date.now();
			setLive((now) => (now.is === "live" ? now : { is: "live", since: heardAt }));
		};
		const looking = setInterval(() => {
			if (Date.now() - heardAt > SILENT_MS) turn("silent");
		}, 1000);
		const heard = (event: MessageEvent<string>) => {
			beat();
			const { what, revision, ...seen } = inWords(JSON.parse(event.data)) as Notice;
			if (what === "signed_out") {
				source.close();
				void queries.invalidateQueries({ queryKey: ["me"] });
				return;
			}
			if (what === "tray" || revision === null) void queries.invalidateQueries({ queryKey: ["tray"] });
			const before = held(queries, id);
			if (revision !== null) seenNow(queries, id, revision, seen);
			// A change of this screen is answered with the session; its own notice, which often comes first, is no news.
			const news = revision === null ? before !== undefined : revision > (before?.revision ?? 0);
			if (news && !busy.current) void readAnew(queries, id);
		};
		source.addEventListener("changed", heard);
		source.addEventListener("beat", beat);
		source.onerror = () => {
			turn("lost");
			// Refused for good, as by an ended sign-in, and not only lost.
			if (source.readyState === EventSource.CLOSED) void queries.invalidateQueries({ queryKey: ["me"] });
		};
		return () => {
			clearInterval(looking);
			source.close();
		};
	}, [id, queries]);

	useEffect(() => {
		const known = held(queries, id)?.revision ?? told;
		if (changing > 0 || reading > 0 || told <= known || readFor.current === told) return;
		readFor.current = told; // once: what failed is tried again when something is heard
		void readAnew(queries, id);
	}, [changing, reading, told, id, queries]);
	return live;
}

const bayPath = (bay: number) => ({ params: { path: { bay_id: bay } } });
const trayKey = (bay: number) => ["tray", bay] as const;

/** Shots that came while a bay served no session. */
export const useTray = (bay: number) =>
	useQuery({
		queryKey: trayKey(bay),
		queryFn: () => got(client.GET("/api/bays/{bay_id}/tray", bayPath(bay))),
	});

/** File shots of a tray, put them away, or bring back what was; the answer is what still waits. */
export function useTrayChange(session: Session) {
	const queries = useQueryClient();
	const { bay, id } = session;
	return useMutation({
		mutationFn: (wanted: { shots: number[]; build: number | null } | "back") => {
			if (wanted === "back") return got(client.DELETE("/api/bays/{bay_id}/tray", bayPath(bay)));
			const { shots, build } = wanted;
			return build === null
				? got(client.PUT("/api/bays/{bay_id}/tray", { ...bayPath(bay), body: { shots } }))
				: got(
						client.POST("/api/bays/{bay_id}/tray", { ...bayPath(bay), body: { shots, build, session: id } }),
					);
		},
		onSuccess: (left) => queries.setQueryData(trayKey(bay), left),
		onError: () => queries.invalidateQueries({ queryKey: trayKey(bay) }),
	});
}

/** Whether the stand-in of a bay is hitting; asked while it does, as nothing tells that it has ended. */
export function useStandIn(bay: number) {
	return useQuery({
		queryKey: ["stand-in", bay],
		queryFn: () => got(client.GET("/api/bays/{bay_id}/stand-in", { params: { path: { bay_id: bay } } })),
		refetchInterval: (query) => (query.state.data?.hitting ? 1500 : false),
	});
}

const trialPath = (trial: number) => ({ params: { path: { trial_id: trial } } });

/** What could be in a sole test of one loft. */
export const useSoleChoices = (session: Session, loft: number | null, wedge: number | null) =>
	usePart(
		session,
		["sole-choices", loft, wedge],
		() =>
			got(
				client.GET("/api/sessions/{session_id}/trials/sole/choices", {
					params: {
						path: { session_id: session.id },
						query: { loft_deg: loft ?? 0, ...(wedge ? { wedge } : {}) },
					},
				}),
			),
		loft !== null,
	);

/** How long a sole test would take, and what else differs than the sole. */
export const useSoleCheck = (session: Session, body: Schemas["SoleTestInRequest"], wanted: boolean) =>
	useQuery({
		queryKey: [...sessionKey(session.id), "sole-check", body],
		queryFn: () =>
			got(client.POST("/api/sessions/{session_id}/trials/sole/check", { ...path(session.id), body })),
		enabled: wanted,
		placeholderData: keepPreviousData,
		retry: false,
	});

type Link = InUnits<components["schemas"]["LinkOut"]>;
const looked = new Map<number, Link>();
/** Which code is which club, for whoever may know: kept by this page alone, for where there is no line later. */
export async function codeLink(trial: number): Promise<Link> {
	const read = await got(client.GET("/api/trials/{trial_id}/link", trialPath(trial)));
	looked.set(trial, read);
	return read;
}
/** The same, where it was looked up on this page. */
export const lookedUp = (trial: number): Link | undefined => looked.get(trial);
export const openHandOut = (trial: number) =>
	got(client.POST("/api/trials/{trial_id}/hand-out", trialPath(trial)));
