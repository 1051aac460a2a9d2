import { useMutation, useQueryClient } from "@tanstack/react-query";
import type { Rack } from "../../api/client";

export type Head = Rack["heads"][number];
export type Shaft = Rack["shafts"][number];

/** What is changed of the rack answers with the rack. */
export function useRackChange() {
	const queries = useQueryClient();
	return useMutation({
		mutationFn: (change: () => Promise<Rack>) => change(),
		onSuccess: (rack) => {
			queries.setQueryData(["rack"], rack);
			void queries.invalidateQueries({ queryKey: ["sessions"] });
		},
	});
}
