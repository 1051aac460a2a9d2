/** The customer's page: what was decided and why, without golf engineering. Prints on one side. */
import { Link, useParams, useSearchParams } from "react-router";
import type { Handover } from "../../api/client";
import { useHandover } from "../../api/session";
import { MadeUp } from "../../ui/MadeUp";
import { Mark } from "../../ui/Mark";
import { Said, Waiting } from "../../ui/Said";
import { asFar, unitName } from "../../ui/units";
import { BeforeAfter, BuildSheets, Editions, EditionWords, LostList } from "./Handover";

const longDate = (date: string) =>
	new Date(date).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });

export default function CustomerPage() {
	const { id = "" } = useParams();
	const [search] = useSearchParams();
	const handover = useHandover({ id: Number(id), revision: 0 });
	if (handover.error) {
		return (
			<main className="p-6">
				<Said error={handover.error} />
			</main>
		);
	}
	if (!handover.data) return <Waiting what="the page" />;
	const { agreed: latest, earlier } = handover.data;
	const wanted = Number(search.get("edition"));
	const agreed = [latest, ...earlier].find((each) => each?.edition === wanted) ?? latest;
	return (
		<main className="mx-auto min-h-dvh max-w-3xl bg-base-100 px-6 py-8 sm:px-10">
			<div className="no-print mb-6 flex gap-2">
				<Link className="btn h-11" to={`/sessions/${id}/handover`}>
					Back
				</Link>
				<button type="button" className="btn h-11" onClick={() => window.print()}>
					Print
				</button>
			</div>
			{agreed ? (
				<>
					{latest && agreed.edition < latest.edition && (
						<p className="hole-text mb-4 font-semibold">
							This edition was corrected.{" "}
							<Link className="underline" to={`/sessions/${id}/page`}>
								Read edition {latest.edition}
							</Link>
						</p>
					)}
					<Page handover={handover.data} agreed={agreed} />
					<div className="no-print mt-6">
						<Editions id={Number(id)} earlier={earlier.filter((each) => each.edition !== agreed.edition)} />
					</div>
				</>
			) : (
				<p>Nothing is agreed yet. The page is made when the recommendation is.</p>
			)}
		</main>
	);
}

function Page({ handover, agreed }: { handover: Handover; agreed: NonNullable<Handover["agreed"]> }) {
	const { choice } = agreed;
	const fresh = choice.after.clubs.filter((club) => club.new);
	return (
		<article className="relative space-y-7">
			<MadeUp tryOut={handover.try_out} />
			<header className="flex items-start justify-between gap-4 border-b border-base-300 pb-4">
				<div>
					<p className="quiet text-sm">
						{handover.shop}, {longDate(handover.held_on)}
					</p>
					<h1 className="text-3xl">{handover.customer}</h1>
				</div>
				<Mark />
			</header>
			<EditionWords edition={agreed} />
			<section>
				<h2 className="mb-1 text-xl">
					{agreed.decision === "buy"
						? `Your new ${fresh.length > 1 ? "clubs" : "club"}: ${choice.name}`
						: agreed.decision === "keep"
							? "Keep the bag you have"
							: choice.name}
				</h2>
				{fresh.map((club) => (
					<p key={club.id} className="text-lg">
						{fresh.length > 1 ? `The ${club.name}` : "It"} flies{" "}
						<span className="num">{asFar(club.carry_m)}</span> {unitName("far")} through the air and stops at
						about <span className="num">{asFar(club.total_m)}</span>.
					</p>
				))}
				{choice.swap && (
					<p>
						Carry one of two: the {choice.swap.away} on {choice.swap.course}, the {choice.swap.home}{" "}
						everywhere else. Together they take one place of your bag.
					</p>
				)}
				{agreed.decision === "buy" && choice.dropped.length > 0 && (
					<p>Leave these at home: {choice.dropped.join(", ")}.</p>
				)}
				<p className="mt-1">{agreed.reasons}</p>
			</section>
			<section>
				<h2 className="mb-2 text-xl">Your distances</h2>
				<p className="quiet mb-2 text-sm">
					Each block is a club, from where the ball lands to where it stops. Hatched: a distance no club
					covers.
				</p>
				<BeforeAfter before={agreed.before} after={choice.after} rule={handover.rule_words} />
			</section>
			<Distances choice={choice} />
			<BuildSheets clubs={choice.clubs} />
			<LostList lost={choice.lost} />
			<footer className="space-y-1 border-t border-base-300 pt-3 text-sm">
				{agreed.next_check && <p>Come back for a check around {longDate(agreed.next_check)}.</p>}
				{handover.cautions.map((line) => (
					<p key={line} className="quiet">
						{line}
					</p>
				))}
			</footer>
		</article>
	);
}

function Distances({ choice }: { choice: NonNullable<Handover["agreed"]>["choice"] }) {
	const clubs = [...choice.after.clubs].reverse();
	return (
		<ul className="grid grid-cols-3 gap-x-6 sm:grid-cols-5">
			{clubs.map((club) => (
				<li
					key={club.id}
					className={`flex justify-between border-b border-base-300 py-1 ${club.new ? "font-bold" : ""}`}
				>
					<span>{club.name}</span>
					<span className="num">{asFar(club.carry_m)}</span>
				</li>
			))}
		</ul>
	);
}
