import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { client, got, type Me } from "../../api/client";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";

/** bare: without a heading of its own. */
export function TryOut({ me, bare = false }: { me: Me; bare?: boolean }) {
	const navigate = useNavigate();
	const queries = useQueryClient();
	const bay = me.bays[0];
	const begin = useMutation({
		mutationFn: () => got(client.POST("/api/try-outs", { body: { bay: bay?.id ?? 0 } })),
		onSuccess: async (session) => {
			await queries.invalidateQueries({ queryKey: ["sessions"] });
			await navigate(`/sessions/${session.id}/bag`);
		},
	});
	return (
		<section className="space-y-2">
			{!bare && <h2 className="text-lg">{t("desk-try-with-nobody")}</h2>}
			<p className="quiet text-sm">{t("desk-made-up-player-with-hole")}</p>
			<button
				type="button"
				className="btn h-11 border-base-300 bg-base-100"
				disabled={begin.isPending || !bay}
				onClick={() => begin.mutate()}
			>
				{t("desk-begin-try-out")}
			</button>
			<Said error={begin.error} />
		</section>
	);
}
