/** The stand-in monitor: a separate program that hits for a simulated golfer through the shot feed. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { client, got, type Session } from "../../api/client";
import { useStandIn } from "../../api/session";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";

const EVERY_S = 1.5;

export function StandInPanel({ session }: { session: Session }) {
	const queries = useQueryClient();
	const hitting = useStandIn(session.bay).data?.hitting ?? false;
	const refresh = () => queries.invalidateQueries({ queryKey: ["stand-in", session.bay] });
	const path = { params: { path: { bay_id: session.bay } } };
	const start = useMutation({
		mutationFn: (shots: number) =>
			got(client.POST("/api/bays/{bay_id}/stand-in", { ...path, body: { shots, every_s: EVERY_S } })),
		onSettled: refresh,
	});
	const stop = useMutation({
		mutationFn: () => got(client.DELETE("/api/bays/{bay_id}/stand-in", path)),
		onSettled: refresh,
	});
	return (
		<section>
			<h2 className="mb-1">{t("bay-stand-monitor")}</h2>
			<p className="quiet mb-2 text-sm">{t("bay-no-monitor-hand-simulated-golfer")}</p>
			<div className="flex gap-2">
				{[1, 6].map((shots) => (
					<button
						key={shots}
						type="button"
						className="btn btn-sm h-11 flex-1"
						disabled={hitting || start.isPending}
						onClick={() => start.mutate(shots)}
					>
						{t("bay-hit", { shots })}
					</button>
				))}
				<button
					type="button"
					className="btn btn-sm h-11 flex-1"
					disabled={!hitting}
					onClick={() => stop.mutate()}
				>
					{t("bay-stop")}
				</button>
			</div>
			<Said error={start.error ?? stop.error} />
		</section>
	);
}
