/** Sessions as lines to open. */

import { Link } from "react-router";
import type { SessionLine } from "../../api/client";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";

const STATUS = {
	not_begun: t("desk-not-begun"),
	open: t("desk-in-the-middle"),
	agreed: t("label-agreed"),
	erased: t("desk-erased"),
} as const;
const DONE = { agreed: "handover", erased: "bench" } as const;
export const PLACES = {
	brief: t("app-brief"),
	bag: t("label-bag"),
	bay: t("label-bay"),
	bench: t("app-bench"),
	handover: t("app-handover"),
} as const;

const placeOf = (line: SessionLine) => line.next ?? DONE[line.status === "erased" ? "erased" : "agreed"];

export const day = (date: string) =>
	new Date(date).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" });

/** dated: of one customer, told apart by their day. pad: each opens its pad. */
export function Sessions({
	lines,
	dated = false,
	pad = false,
}: {
	lines: SessionLine[];
	dated?: boolean;
	pad?: boolean;
}) {
	return (
		<ul
			aria-label={t("desk-sessions")}
			className="divide-y divide-base-300 border-y border-base-300 bg-base-100"
		>
			{lines.map((line) => (
				<li key={line.id}>
					<Link
						to={`/sessions/${line.id}/${pad ? "pad" : placeOf(line)}`}
						className="grid min-h-16 grid-cols-[1fr_auto] items-center sm:grid-cols-[1fr_8.5rem_9rem] gap-4 px-4 py-2 hover:bg-base-200"
					>
						<span className="min-w-0">
							<span className="block truncate text-[17px] font-semibold">
								{dated ? day(line.held_on) : line.customer.name}
							</span>
							<span className="quiet block truncate text-sm">
								{line.outcome ||
									(line.next
										? t("desk-go-on-in", { place: PLACES[line.next] })
										: t("desk-shots-so-far", { shots: line.shots }))}
							</span>
						</span>
						<span className="quiet text-sm">
							{!dated && (
								<>
									{day(line.held_on)}
									<br />
								</>
							)}
							{line.bay_name}
						</span>
						<span className={`max-sm:hidden ${isClosed(line) ? "quiet" : "font-semibold"}`}>
							{line.status === "agreed" ? "✓ " : ""}
							{STATUS[line.status]}
						</span>
					</Link>
				</li>
			))}
		</ul>
	);
}
