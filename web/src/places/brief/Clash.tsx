/** Two people wrote in one field: both texts, and which of them is to stay. */
import { HEADS, type HeadKind, type Name } from "./fields";

const LABELS: Record<Name, string> = {
	miss: "Miss to avoid",
	shape: "Shape wanted",
	fear: "What that miss costs",
	firmness: "Usual ground",
	most_clubs: "Clubs carried",
	budget: "Budget",
	pain: "Pain or an injury",
	notes: "Notes",
	courses: "Where they play",
	lies: "Lies",
	likes: "Likes",
	jobs: "Jobs",
	end: "Which end",
	delivery: "Divots",
	wedge_wishes: "Wanted of the wedges",
	stroke_price: "What a stroke is worth",
	round_shots: "Shots of a round",
	fear_with: "With which clubs it is feared",
	maker_likes: "Likes by maker",
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
			([head, liking]) => `${HEADS[head as HeadKind] ?? head} ${liking}`,
		);
		return words.join(", ") || "no wish";
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
			aria-label="Two people wrote here"
			className="sticky top-2 z-10 space-y-3 border-2 border-l-8 bg-base-100 p-3"
			style={{ borderColor: "var(--hole)" }}
		>
			<h2 className="text-[17px]">Someone else wrote here meanwhile. Which is to stay?</h2>
			{(Object.keys(theirs) as Name[]).map((name) => (
				<div key={name} className="grid gap-2 sm:grid-cols-2">
					{[true, false].map((own) => (
						<div key={String(own)} className="space-y-1">
							<p className="quiet text-sm">
								{LABELS[name]}, {own ? "yours" : "theirs"}
							</p>
							<p className="whitespace-pre-wrap">{inWords((own ? mine : theirs)[name])}</p>
							<button type="button" className="btn h-11" onClick={() => onSettle(name, own)}>
								{own ? "Keep mine" : "Take theirs"}
							</button>
						</div>
					))}
				</div>
			))}
		</section>
	);
}
