/** What bothers the player, answered by what was measured. */
import type { Bench } from "../api/client";
import { t } from "../said/words";

const BECAME = { true: t("session-so"), not_so: t("session-not-so"), open: t("label-open") } as const;

export function Claims({ claims }: { claims: Bench["claims"] }) {
	if (claims.length === 0) return null;
	return (
		<section className="mt-4" aria-label={t("session-what-bothers-player")}>
			<h3 className="mb-1">{t("session-what-bothers-player-answered")}</h3>
			<ul className="space-y-1 text-[15px]">
				{claims.map((each) => (
					<li key={each.sentence} className="flex gap-2">
						<span className={`w-14 shrink-0 font-semibold ${each.claim === "open" ? "quiet" : ""}`}>
							{BECAME[each.claim]}
						</span>
						<span>{each.sentence}</span>
					</li>
				))}
			</ul>
		</section>
	);
}
