/** Reading and changing one session; every change answers with the whole session. */
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { client, got, type Plans, type Session, type Shot } from "./client";
import type { components } from "./schema";

type BriefBody = components["schemas"]["BriefInputRequest"];
type GapBody = components["schemas"]["GapInputRequest"];
type RulesBody = components["schemas"]["RulesInputRequest"];
type ClubBody = components["schemas"]["ClubInputRequest"];
export type PlanBody = components["schemas"]["PlanInputRequest"];
export type CandidateBody = components["schemas"]["CandidateInputRequest"];

export const sessionKey = (id: number) => ["session", id] as const;
const path = (id: number) => ({ params: { path: { session_id: id } } });

export function useSession(id: number) {
	return useQuery({
		queryKey: sessionKey(id),
		queryFn: () => got(client.GET("/api/sessions/{session_id}", path(id))),
		// The last shot is told a moment before the stand-in has ended, and nothing tells that it has.
		refetchInterval: (query) => (query.state.data?.stand_in ? 1500 : false),
	});
}

export function useBench(id: number) {
	return useQuery({
		queryKey: [...sessionKey(id), "bench"],
		queryFn: () => got(client.GET("/api/sessions/{session_id}/bench", path(id))),
	});
}

/** What a change of one build would do; anew whenever the session changes. */
export function useWhatIf(id: number, build: number | null) {
	return useQuery({
		queryKey: [...sessionKey(id), "what-if", build],
		enabled: build !== null,
		queryFn: () =>
			got(client.GET("/api/builds/{build_id}/what-if", { params: { path: { build_id: build ?? 0 } } })),
	});
}

/** Which heads of the rack should land in the window. */
export function useShortlist(id: number) {
	return useQuery({
		queryKey: [...sessionKey(id), "shortlist"],
		queryFn: () => got(client.GET("/api/sessions/{session_id}/shortlist", path(id))),
	});
}

/** The bag as it is, the best one found and the plans kept. */
export function usePlans(id: number, wanted: boolean) {
	return useQuery({
		queryKey: [...sessionKey(id), "plans"],
		enabled: wanted,
		queryFn: () => got(client.GET("/api/sessions/{session_id}/plans", path(id))),
	});
}

/** Keep, change or take away a plan; every change answers with all of them. */
export function usePlanChange(id: number) {
	const queries = useQueryClient();
	return useMutation({
		mutationFn: (change: () => Promise<Plans>) => change(),
		onSuccess: (plans) => queries.setQueryData([...sessionKey(id), "plans"], plans),
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

export function useHandover(id: number) {
	return useQuery({
		queryKey: [...sessionKey(id), "handover"],
		queryFn: () => got(client.GET("/api/sessions/{session_id}/handover", path(id))),
	});
}

export interface Picks {
	builds: number[];
	dropped: number[];
}

/** What a choice would make of the bag; the one before it stays in view until it is known. */
export function useDraft(id: number, picks: Picks, enabled: boolean) {
	return useQuery({
		queryKey: [...sessionKey(id), "handover", "draft", picks],
		queryFn: () =>
			got(
				client.GET("/api/sessions/{session_id}/handover/draft", {
					params: { path: { session_id: id }, query: picks },
				}),
			),
		enabled,
		placeholderData: keepPreviousData,
	});
}

/** Run a change that answers with the session, and show what came back at once. */
export function useChange(id: number) {
	const queries = useQueryClient();
	return useMutation({
		mutationFn: (change: () => Promise<Session>) => change(),
		onSuccess: (session) => {
			queries.setQueryData(sessionKey(id), session);
			for (const part of ["bench", "what-if", "handover", "shortlist", "plans"])
				void queries.invalidateQueries({ queryKey: [...sessionKey(id), part] });
			void queries.invalidateQueries({ queryKey: ["sessions"] });
		},
	});
}

export type Live = "live" | "connecting" | "lost";

/** A session with a new shot in it, at once; its averages follow when it is read anew. */
function withShot(session: Session, shot: Shot): Session {
	return session.shots.some((each) => each.id === shot.id)
		? session
		: { ...session, shots: [...session.shots, shot] };
}

/** Follow a session: read it anew whenever the server says it changed, and after every break. */
export function useLive(id: number): Live {
	const queries = useQueryClient();
	const [state, setState] = useState<Live>("connecting");
	useEffect(() => {
		const source = new EventSource(`/api/sessions/${id}/stream`);
		const heard = async (event: MessageEvent<string>) => {
			setState("live");
			const { shot } = JSON.parse(event.data) as { shot: Shot | null };
			if (shot) queries.setQueryData<Session>(sessionKey(id), (seen) => seen && withShot(seen, shot));
			// The session first: what hangs on it can wait until the figures are on the screen.
			await queries.invalidateQueries({ queryKey: sessionKey(id), exact: true });
			await queries.invalidateQueries({
				queryKey: sessionKey(id),
				predicate: (query) => query.queryKey.length > 2,
			});
		};
		source.addEventListener("changed", (event) => void heard(event));
		source.onerror = () => setState("lost");
		return () => source.close();
	}, [id, queries]);
	return state;
}

export const change = {
	brief: (id: number, body: BriefBody) =>
		got(client.PUT("/api/sessions/{session_id}/brief", { ...path(id), body })),
	gap: (id: number, body: GapBody) =>
		got(client.PUT("/api/sessions/{session_id}/gap", { ...path(id), body })),
	rules: (id: number, body: RulesBody) =>
		got(client.PUT("/api/sessions/{session_id}/rules", { ...path(id), body })),
	target: (id: number, body: { slot: number; quantity: string; low: number | null; high: number | null }) =>
		got(client.PUT("/api/sessions/{session_id}/targets", { ...path(id), body })),
	addClub: (id: number, body: ClubBody) =>
		got(client.POST("/api/sessions/{session_id}/clubs", { ...path(id), body })),
	club: (
		build: number,
		body: {
			typed_carry_m?: number | null;
			typed_total_m?: number | null;
			typed_doubt_m?: number | null;
			fixed?: boolean;
			liking?: "liked" | "neutral" | "disliked" | "vetoed";
		},
	) => got(client.PUT("/api/builds/{build_id}", { params: { path: { build_id: build } }, body })),
	drop: (build: number) =>
		got(client.DELETE("/api/builds/{build_id}", { params: { path: { build_id: build } } })),
	candidates: (id: number, candidates: CandidateBody[]) =>
		got(client.POST("/api/sessions/{session_id}/candidates", { ...path(id), body: { candidates } })),
	undoImport: (imported: number, undone: boolean) =>
		got(
			client.PUT("/api/imports/{import_id}", { params: { path: { import_id: imported } }, body: { undone } }),
		),
	setting: (build: number, loft: number) =>
		got(
			client.POST("/api/builds/{build_id}/settings", {
				params: { path: { build_id: build } },
				body: { set_loft_deg: loft },
			}),
		),
	inHand: (id: number, build: number) =>
		got(client.PUT("/api/sessions/{session_id}/in-hand", { ...path(id), body: { build } })),
	aside: (shot: number, aside: boolean, reason = "") =>
		got(
			client.PUT("/api/shots/{shot_id}/aside", {
				params: { path: { shot_id: shot } },
				body: { aside, reason },
			}),
		),
	strike: (shot: number, strike: "" | "toe" | "heel" | "thin" | "fat") =>
		got(client.PUT("/api/shots/{shot_id}/strike", { params: { path: { shot_id: shot } }, body: { strike } })),
	counts: (shot: number, body: { misread: boolean; distance: boolean; line: boolean }) =>
		got(client.PUT("/api/shots/{shot_id}/counts", { params: { path: { shot_id: shot } }, body })),
	intent: (id: number, intent: Session["intent"]) =>
		got(client.PUT("/api/sessions/{session_id}/intent", { ...path(id), body: { intent } })),
	move: (shot: number, build: number) =>
		got(client.PUT("/api/shots/{shot_id}/build", { params: { path: { shot_id: shot } }, body: { build } })),
};
