/** Two people wrote in one field: both texts, and which of them is to stay. */

import { termOf } from "../../api/words";
import { t } from "../../said/words";
import { HEADS, type HeadKind, type Name } from "./fields";

const LABELS: Record<Name, string> = {
	miss: t("brief-miss-avoid"),
	shape: t("brief-shape-wanted"),
	fear: t("brief-what-miss-costs"),
	firmness: t("brief-usual-ground"),
	most_clubs: t("brief-clubs-carried"),
	budget: t("brief-budget"),
	pain: t("brief-pain-or-injury"),
	notes: t("label-notes"),
	courses: t("brief-where-they-play"),
	lies: t("brief-lies"),
	likes: t("brief-likes"),
	jobs: t("label-jobs"),
	end: t("brief-which-end"),
	delivery: t("brief-divots"),
	wedge_wishes: t("brief-wanted-wedges"),
	stroke_price: t("brief-what-stroke-worth"),
	round_shots: t("brief-shots-round"),
	fear_with: t("brief-with-which-clubs-feared"),
	maker_likes: t("brief-likes-by-maker"),
};

/** A field in a line. */
function inWords(value: unknown): string {
	if (value === null || value === "" || value === undefined) return "nothing";
	if (typeof value === "boolean") return value ? "yes" : "no";
	if (Array.isArray(value)) {
		const words = value.map((each) => (typeof each === "string" ? each : String(each.name)));
		return words.join(", ") || "none";
	}
	if (typeof value === "object") {
		const words = Object.entries(value).map(
			([head, liking]) => `${HEADS[head as HeadKind] ?? head} ${termOf("liking", liking)}`,
		);
		return words.join(", ") || t("brief-no-wish");
	}
	return String(value);
}

interface Props {
	theirs: Record<string, unknown>;
	mine: Record<string, unknown>;
	onSettle: (name: Name, mine: boolean) => void;
}

export function Clash({ theirs, mine, onSettle }: Props) {
	return (
		<section
			role="alert"
			aria-label={t("brief-two-people-wrote-here")}
			className="sticky top-2 z-10 space-y-3 border-2 border-l-8 bg-base-100 p-3"
			style={{ borderColor: "var(--hole)" }}
		>
			<h2 className="text-[17px]">{t("brief-someone-else-wrote-here-meanwhile")}</h2>
			{(Object.keys(theirs) as Name[]).map((name) => (
				<div key={name} className="grid gap-2 sm:grid-cols-2">
					{[true, false].map((own) => (
						<div key={String(own)} className="space-y-1">
							<p className="quiet text-sm">
								{LABELS[name]}, {own ? t("brief-yours") : t("brief-theirs")}
							</p>
							<p className="whitespace-pre-wrap">{inWords((own ? mine : theirs)[name])}</p>
							<button type="button" className="btn h-11" onClick={() => onSettle(name, own)}>
								{own ? t("brief-keep-mine") : t("brief-take-theirs")}
							</button>
						</div>
					))}
				</div>
			))}
		</section>
	);
}
