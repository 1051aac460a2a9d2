import { useMutation, useQueryClient } from "@tanstack/react-query";
import { client, got } from "../../api/client";
import { sessionKey } from "../../api/session";

/** Keep which lines the Bench reads out; the session is read anew, as it carries them. */
export function useColumnsChange(session: number) {
	const queries = useQueryClient();
	return useMutation({
		mutationFn: (columns: string[]) => got(client.PUT("/api/shop/columns", { body: { columns } })),
		onSuccess: () => queries.invalidateQueries({ queryKey: sessionKey(session), exact: true }),
	});
}
