/** Two players who hit in turn in one bay: who is up, and one key that hands it over. */

import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { change } from "../../acts";
import { client, got, type Session } from "../../api/client";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { PlaceProps } from "../../session/place";
import { Said } from "../../ui/Said";

/** The one of two who is not up is up now: his session, by its id, and there the screen goes. */
export function useTurn(session: Session) {
	const navigate = useNavigate();
	const next = session.bay_is_here ? (session.partner?.session ?? session.id) : session.id;
	return useMutation({
		mutationFn: () =>
			got(client.POST("/api/sessions/{session_id}/turn", { params: { path: { session_id: next } } })),
		onSuccess: (up) => navigate(`/sessions/${up.id}/bay`),
	});
}

export function Turn({
	session,
	act,
	turn,
}: Pick<PlaceProps, "session" | "act"> & { turn: ReturnType<typeof useTurn> }) {
	const [choosing, setChoosing] = useState(false);
	const { partner } = session;
	if (!partner)
		return session.bay_is_here ? (
			<>
				<button
					type="button"
					className="min-h-11 cursor-pointer text-left text-[15px] underline"
					aria-expanded={choosing}
					onClick={() => setChoosing(!choosing)}
				>
					{t("bay-two-players-turn")}
				</button>
				{choosing && <Choose session={session} act={act} onDone={() => setChoosing(false)} />}
			</>
		) : null;
	const up = session.bay_is_here ? session.customer.name : partner.customer;
	const next = session.bay_is_here ? partner.customer : session.customer.name;
	return (
		<div className="flex w-full flex-wrap items-center gap-x-3 gap-y-1 text-[17px]" role="status">
			<span>
				{t("bay-up")} <strong>{up}</strong>
			</span>
			<button
				type="button"
				className="btn h-11 bg-base-100"
				disabled={turn.isPending}
				onClick={() => turn.mutate()}
			>
				<span className="key">’</span> {t("bay-is-up", { next })}
			</button>
			<button
				type="button"
				className="min-h-11 cursor-pointer text-[15px] underline"
				onClick={() => act(() => change.partner(session.id, null))}
			>
				{t("bay-no-longer-turn")}
			</button>
			<Said error={turn.error} />
		</div>
	);
}

/** Open sessions of this bay. */
function Choose({ session, act, onDone }: Pick<PlaceProps, "session" | "act"> & { onDone: () => void }) {
	const found = useQuery({
		queryKey: ["sessions", "first"],
		queryFn: () => got(client.GET("/api/sessions", { params: { query: { page: 1 } } })),
	});
	const open = (found.data?.results ?? []).filter(
		(line) => line.id !== session.id && line.bay_name === session.bay_name && !isClosed(line),
	);
	return (
		<div className="flex w-full flex-wrap gap-2">
			<Said error={found.error} />
			{found.data && open.length === 0 && (
				<p className="quiet">{t("bay-no-other-session-open-open", { bayName: session.bay_name })}</p>
			)}
			{open.map((line) => (
				<button
					key={line.id}
					type="button"
					className="btn h-11 bg-base-100"
					onClick={() => {
						act(() => change.partner(session.id, line.id));
						onDone();
					}}
				>
					{t("bay-with", { name: line.customer.name })}
				</button>
			))}
		</div>
	);
}
