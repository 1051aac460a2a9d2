/** What stands on a customer's papers. It is read on its own, with its sentences as they travel: what the fitter's screens
 * keep is in the fitter's words and units, and stays so. */
import { type UseQueryResult, useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { ownUnits, readIn, type Units } from "../said/units";
import { inWords, speakToGolfer } from "../said/words";
import { client, gotSaid } from "./client";

const path = (id: number) => ({ params: { path: { session_id: id } } });
type Theirs = Omit<Units, "currency"> | null | undefined;

export const useHandoverPaper = (id: number) =>
	useInTheirWords(
		useQuery({
			queryKey: ["paper", "handover", id],
			queryFn: () => gotSaid(client.GET("/api/sessions/{session_id}/handover", path(id))),
		}),
		(handover) => handover.units,
	);

export const useCardPaper = (id: number) =>
	useInTheirWords(
		useQuery({
			queryKey: ["paper", "card", id],
			queryFn: () => gotSaid(client.GET("/api/sessions/{session_id}", path(id))),
		}),
		(session) => session.customer.units,
	);

/** As long as it is shown, all is read in the golfer's words and in their units; without any, in one's own. */
function useInTheirWords<T>({ data, error }: UseQueryResult<T>, theirs: (data: T) => Theirs) {
	useEffect(
		() => () => {
			readIn(ownUnits());
			speakToGolfer(false);
		},
		[],
	);
	if (data !== undefined) {
		readIn({ ...ownUnits(), ...theirs(data) });
		speakToGolfer(true);
	}
	return { error, data: data === undefined ? undefined : inWords(data) };
}
