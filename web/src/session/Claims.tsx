/** What bothers the player, answered by what was measured. */
import type { Bench } from "../api/client";

const BECAME = { true: "so", not_so: "not so", open: "open" } as const;

export function Claims({ claims }: { claims: Bench["claims"] }) {
	if (claims.length === 0) return null;
	return (
		<section className="mt-4" aria-label="What bothers the player">
			<h3 className="mb-1">What bothers the player, answered</h3>
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
