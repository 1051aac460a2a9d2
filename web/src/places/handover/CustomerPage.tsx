/** The customer's page: what was decided and why, without golf engineering. Prints on one side. */
import "../../said/rest";

import { Link, useParams, useSearchParams } from "react-router";
import type { Handover } from "../../api/client";
import { useHandoverPaper } from "../../api/paper";
import { Num, Worded } from "../../said/Worded";
import { t } from "../../said/words";
import { MadeUp } from "../../ui/MadeUp";
import { Mark } from "../../ui/Mark";
import { Said, Waiting } from "../../ui/Said";
import { asFar, unitName } from "../../ui/units";
import { BeforeAfter, BuildSheets, Editions, EditionWords, LostList, longDay } from "./Paper";
import { SetTable } from "./Set";

export default function CustomerPage() {
	const { id = "" } = useParams();
	const [search] = useSearchParams();
	const handover = useHandoverPaper(Number(id));
	if (handover.error) {
		return (
			<main className="p-6">
				<Said error={handover.error} />
			</main>
		);
	}
	if (!handover.data) return <Waiting what={t("label-the-page")} />;
	const { agreed: latest, earlier } = handover.data;
	const wanted = Number(search.get("edition"));
	const agreed = [latest, ...earlier].find((each) => each?.edition === wanted) ?? latest;
	return (
		<main className="mx-auto min-h-dvh max-w-3xl bg-base-100 px-6 py-8 sm:px-10">
			<div className="no-print mb-6 flex gap-2">
				<Link className="btn h-11" to={`/sessions/${id}/handover`}>
					{t("label-back")}
				</Link>
				<button type="button" className="btn h-11" onClick={() => window.print()}>
					{t("label-print")}
				</button>
			</div>
			{agreed ? (
				<>
					{latest && agreed.edition < latest.edition && (
						<p className="hole-text mb-4 font-semibold">
							{t("handover-edition-corrected")}{" "}
							<Link className="underline" to={`/sessions/${id}/page`}>
								{t("handover-read-edition", { edition: latest.edition })}
							</Link>
						</p>
					)}
					<Page handover={handover.data} agreed={agreed} />
					<div className="no-print mt-6">
						<Editions id={Number(id)} earlier={earlier.filter((each) => each.edition !== agreed.edition)} />
					</div>
				</>
			) : (
				<h1 className="text-lg font-normal">{t("handover-nothing-agreed-yet-page-made")}</h1>
			)}
		</main>
	);
}

function Page({ handover, agreed }: { handover: Handover; agreed: NonNullable<Handover["agreed"]> }) {
	const { choice } = agreed;
	const fresh = choice.after.clubs.filter((club) => club.new && club.letter);
	return (
		<article className="relative space-y-7">
			<MadeUp tryOut={handover.try_out} />
			<header className="flex items-start justify-between gap-4 border-b border-base-300 pb-4">
				<div>
					<p className="quiet text-sm">
						{handover.shop}, {longDay(handover.held_on)}
					</p>
					<h1 className="text-3xl">{handover.customer}</h1>
				</div>
				<Mark />
			</header>
			<EditionWords edition={agreed} />
			<section>
				<h2 className="mb-1 text-xl">
					{agreed.decision === "buy"
						? t("handover-your-new", {
								which: fresh.length > 1 ? t("label-clubs") : t("label-club-2"),
								name: choice.name,
							})
						: agreed.decision === "keep"
							? t("handover-keep-bag-you-have")
							: choice.name}
				</h2>
				{fresh.map((club) => (
					<p key={club.id} className="text-lg">
						<Worded
							id="handover-flies-and-stops"
							values={{
								which: fresh.length > 1 ? t("handover-the", { name: club.name }) : t("label-it"),
								unit: unitName("far"),
							}}
							drawn={{ carry: <Num>{asFar(club.carry_m)}</Num>, total: <Num>{asFar(club.total_m)}</Num> }}
						/>
					</p>
				))}
				{choice.swap && (
					<p>
						{t("handover-carry-one-two-everywhere-else", {
							away: choice.swap.away,
							course: choice.swap.course,
							home: choice.swap.home,
						})}
					</p>
				)}
				{agreed.decision === "buy" && choice.dropped.length > 0 && (
					<p>{t("handover-leave-these-home", { list: choice.dropped.join(", ") })}</p>
				)}
				<p className="mt-1">{agreed.reasons}</p>
			</section>
			<section>
				<h2 className="mb-2 text-xl">{t("handover-your-distances")}</h2>
				<p className="quiet mb-2 text-sm">{t("handover-each-block-club-from-where")}</p>
				<BeforeAfter before={agreed.before} after={choice.after} rule={handover.rule_words} />
			</section>
			<Distances choice={choice} />
			{choice.set && <SetTable ordered={choice.set} />}
			<BuildSheets clubs={choice.clubs} />
			<LostList lost={choice.lost} />
			<footer className="space-y-1 border-t border-base-300 pt-3 text-sm">
				{agreed.next_check && (
					<p>{t("handover-come-back-for-check-around", { nextCheck: longDay(agreed.next_check) })}</p>
				)}
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
