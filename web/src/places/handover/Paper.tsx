/** What both the Handover and the customer's page show of a choice. */
import { Link } from "react-router";
import type { Choice, Handover as HandoverAnswer, Tested } from "../../api/client";
import { CarryMap, type CarryMapProps, mapSpan } from "../../instruments/carry-map/CarryMap";
import { t } from "../../said/words";
import { sideProps } from "../../session/maps";
import { Letter } from "../../ui/Letter";

export type AgreedEdition = NonNullable<HandoverAnswer["agreed"]>;

/** Before and after on one scale, so that the change can be seen. */
export function BeforeAfter({
	before,
	after,
	rule,
}: {
	before: HandoverAnswer["before"];
	after: HandoverAnswer["before"];
	rule: string;
}) {
	const left = sideProps(before, t("handover-bag-before"), rule);
	const right = sideProps(after, t("handover-bag-after"), rule);
	const span = mapSpan({ clubs: [...left.clubs, ...right.clubs], rings: [], windows: [] });
	const pair: [string, CarryMapProps, string][] = [
		[t("handover-before"), left, before.headline],
		[t("handover-after"), right, after.headline],
	];
	return (
		<div className="grid gap-5 sm:grid-cols-2">
			{pair.map(([title, props, headline]) => (
				<section key={title}>
					<h3 className="text-lg">{title}</h3>
					<CarryMap {...props} span={span} small />
					<p className="text-[15px]">{headline}</p>
				</section>
			))}
		</div>
	);
}

/** Whether a sheet says anything: of a customer who is erased it does not. */
const isWritten = (club: Tested) => club.sheet.some((line) => line.value);

export function BuildSheets({ clubs }: { clubs: Tested[] }) {
	return (
		<div className="grid gap-5 sm:grid-cols-[repeat(auto-fit,minmax(20rem,1fr))]">
			{clubs.filter(isWritten).map((club) => (
				<section key={club.build}>
					<h3 className="mb-1 flex items-center gap-2 text-lg">
						{t("handover-build-sheet")} <Letter letter={club.letter} size={20} />
					</h3>
					<dl className="grid grid-cols-[10rem_1fr] gap-y-0.5">
						{club.sheet.map((line) => (
							<div key={line.label} className="contents">
								<dt className="quiet">{line.label}</dt>
								<dd className="font-medium">{line.value}</dd>
							</div>
						))}
					</dl>
				</section>
			))}
		</div>
	);
}

export const longDay = (date: string) =>
	new Date(date).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });

/** Which edition this is and why it was made; nothing for the first. */
export function EditionWords({ edition }: { edition: AgreedEdition }) {
	if (edition.edition === 1) return null;
	return (
		<p className="border-l-4 py-1 pl-3 text-sm" style={{ borderColor: "var(--window-line)" }}>
			{t("handover-edition-corrected-by", {
				edition: edition.edition,
				agreedAt: longDay(edition.agreed_at),
				agreedBy: edition.agreed_by,
				correction: edition.correction,
			})}
		</p>
	);
}

/** The editions before the one in force, each to be read as it was. */
export function Editions({ id, earlier }: { id: number; earlier: AgreedEdition[] }) {
	if (earlier.length === 0) return null;
	return (
		<nav aria-label={t("handover-earlier-editions")} className="text-sm">
			<h3 className="quiet font-normal">{t("handover-earlier-editions")}</h3>
			<ul>
				{earlier.map((each) => (
					<li key={each.edition}>
						<Link
							className="inline-block min-h-11 py-1.5 underline"
							to={`/sessions/${id}/page?edition=${each.edition}`}
						>
							{t("handover-edition", {
								edition: each.edition,
								agreedAt: longDay(each.agreed_at),
								agreedBy: each.agreed_by,
								name: each.choice.name,
							})}
						</Link>
					</li>
				))}
			</ul>
		</nav>
	);
}

export function LostList({ lost }: { lost: Choice["lost"] }) {
	if (lost.length === 0) return null;
	return (
		<section>
			<h3 className="mb-1">{t("handover-why-others-lost")}</h3>
			<ul className="space-y-2">
				{lost.map((each) => (
					<li key={each.letter} className="flex gap-2 text-[15px]">
						<Letter letter={each.letter} size={20} />
						<span>
							<span className="font-semibold">{each.name}.</span> {each.why}
						</span>
					</li>
				))}
			</ul>
		</section>
	);
}
