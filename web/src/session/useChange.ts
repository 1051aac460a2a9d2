/** Changes of a session, and how it looks until they are answered. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { looksOf } from "../acts/act";
import { shownAsSent } from "../acts/shown";
import type { Seen, Session } from "../api/client";
import { sessionKey } from "../api/held";
import { useLeft } from "../api/outbox";
import { keep } from "../api/session";

interface Doing {
	sent: Promise<Session | Seen>;
	looks: (session: Session) => Session;
}

/**
 * Run changes of a session one after another. What a change does at once is seen until the server has answered: then
 * its answer is seen, or, where it was refused, the session as it was, with the reason.
 */
export function useChange(id: number) {
	const queries = useQueryClient();
	const [early, setEarly] = useState<Doing[]>([]);
	const left = useLeft(id);
	const mutation = useMutation({
		mutationKey: sessionKey(id),
		networkMode: "always", // what is typed is kept by the outbox, also without a line
		mutationFn: (doing: Doing) => doing.sent,
		onMutate: (doing) => setEarly((before) => [...before, doing]),
		onSuccess: (came) => {
			keep(queries, came);
			void queries.invalidateQueries({ queryKey: ["sessions"] });
		},
		onSettled: (_came, _error, doing) => setEarly((before) => before.filter((each) => each !== doing)),
	});
	return {
		...mutation,
		act: (go: () => Promise<Session | Seen>) => {
			const sent = go();
			mutation.mutate({ sent, looks: looksOf(sent) });
		},
		/** The session with what was just done to it, and what an earlier page did that the server does not have yet. */
		seen: (session: Session) =>
			[
				...left.map((each) => shownAsSent(each.method, each.path, each.body)),
				...early.map((doing) => doing.looks),
			].reduce((so, looks) => looks(so), session),
	};
}
