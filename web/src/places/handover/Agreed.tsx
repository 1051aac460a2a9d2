/** What was agreed, as it was. */
import { Link } from "react-router";
import type { Choice, Handover as HandoverAnswer, Session } from "../../api/client";
import { t } from "../../said/words";
import { Claims } from "../../session/Claims";
import { Letter } from "../../ui/Letter";
import { BeforeAfter, BuildSheets, Editions, EditionWords, LostList, longDay } from "./Paper";
import { SetTable } from "./Set";

export function Agreed({
	session,
	handover,
	onCorrect,
}: {
	session: Session;
	handover: HandoverAnswer;
	onCorrect: () => void;
}) {
	const agreed = handover.agreed;
	if (!agreed) return null;
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_25rem]">
			<section className="min-w-0 space-y-5 p-5">
				<BeforeAfter before={agreed.before} after={agreed.choice.after} rule={handover.rule_words} />
				{agreed.choice.set && <SetTable ordered={agreed.choice.set} />}
				<BuildSheets clubs={agreed.choice.clubs} />
				<Claims claims={handover.claims} />
			</section>
			<aside className="space-y-4 border-l border-base-300 bg-base-100 p-5">
				<p className="quiet text-sm">
					{t("handover-agreed-by", { agreedAt: longDay(agreed.agreed_at), agreedBy: agreed.agreed_by })}
				</p>
				<EditionWords edition={agreed} />
				<Named choice={agreed.choice} />
				<p>{agreed.reasons}</p>
				<LostList lost={agreed.choice.lost} />
				{agreed.next_check && (
					<p>
						<span className="quiet">{t("handover-next-check")}</span> {longDay(agreed.next_check)}
					</p>
				)}
				<Link className="btn btn-primary h-12 w-full" to={`/sessions/${session.id}/page`}>
					{t("handover-page-for-customer")}
				</Link>
				<Editions id={session.id} earlier={handover.earlier} />
				{session.status !== "erased" && (
					<button type="button" className="min-h-11 cursor-pointer text-sm underline" onClick={onCorrect}>
						{t("handover-correct-new-edition")}
					</button>
				)}
			</aside>
		</div>
	);
}

function Named({ choice }: { choice: Choice }) {
	if (choice.clubs.length === 0) return <h2 className="text-2xl">{choice.name}</h2>;
	return (
		<div>
			{choice.clubs.map((club) => (
				<h2 key={club.build} className="flex items-center gap-2 text-2xl">
					<Letter letter={club.letter} size={28} />
					{club.name}
				</h2>
			))}
			{choice.dropped.length > 0 && (
				<p className="quiet">{t("label-left-out", { list: choice.dropped.join(", ") })}</p>
			)}
		</div>
	);
}
