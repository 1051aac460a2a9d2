/** The shots of a session before those that came with it. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { client, got, type Session } from "./client";
import { sessionKey, withEarlier } from "./held";

/** Ask for the page before those that are held. */
export function useEarlier({ id, pinned, shots }: Session) {
	const queries = useQueryClient();
	// The one to be copied comes along from wherever it is.
	const before = shots.find((each) => each.id !== pinned)?.number ?? 0;
	return useMutation({
		mutationFn: () =>
			got(
				client.GET("/api/sessions/{session_id}/shots", {
					params: { path: { session_id: id }, query: { before } },
				}),
			),
		onSuccess: (page) =>
			queries.setQueryData<Session>(sessionKey(id), (session) => session && withEarlier(session, page)),
	});
}
