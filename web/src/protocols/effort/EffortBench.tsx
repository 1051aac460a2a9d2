/** What an eased or a hard swing gained or cost beside the stock one, for the builds that were hit so. */
import { candidatesOf } from "../../session/select";
import { Letter } from "../../ui/Letter";
import type { BenchPanelProps } from "../panels";

export function EffortBench({ session, findings }: BenchPanelProps) {
	const builds = candidatesOf(session).filter((build) =>
		findings.some((each) => each.letter === build.letter),
	);
	return (
		<section className="mt-4" aria-label="Effort">
			<h3 className="mb-1">Effort, beside the stock swing</h3>
			<ul className="space-y-1">
				{builds.map((build) => (
					<li key={build.id} className="flex items-baseline gap-2">
						<Letter letter={build.letter} size={20} />
						<span>
							{findings
								.filter((each) => each.letter === build.letter)
								.map((each) => each.sentence)
								.join(" ")}
						</span>
					</li>
				))}
			</ul>
		</section>
	);
}
