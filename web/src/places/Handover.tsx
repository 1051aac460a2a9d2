/** The decision, one club or several, with reasons; the bag before and after; agreed once. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import {
	type Choice,
	client,
	got,
	type Handover as HandoverPicture,
	type Session,
	type Tested,
} from "../api/client";
import { type Picks, sessionKey, useDraft, useHandover } from "../api/session";
import type { PlaceProps } from "../app/SessionFrame";
import { CarryMap, type CarryMapProps, mapSpan } from "../instruments/CarryMap";
import { Letter } from "../ui/Letter";
import { Caution, Said, Waiting } from "../ui/Said";
import { BuildPicker, PlanChoices, samePicks } from "./HandoverPicks";
import { sideProps } from "./model";

export function Handover({ session }: PlaceProps) {
	const handover = useHandover(session.id);
	if (handover.error) {
		return (
			<div className="p-6">
				<Said error={handover.error} />
			</div>
		);
	}
	if (!handover.data) return <Waiting what="the handover" />;
	return handover.data.agreed ? (
		<Agreed session={session} handover={handover.data} />
	) : (
		<Deciding session={session} handover={handover.data} />
	);
}

/** Before and after on one scale, so that the change can be seen. */
export function BeforeAfter({
	before,
	after,
	rule,
}: {
	before: HandoverPicture["before"];
	after: HandoverPicture["before"];
	rule: string;
}) {
	const left = sideProps(before, "Bag before", rule);
	const right = sideProps(after, "Bag after", rule);
	const span = mapSpan({ clubs: [...left.clubs, ...right.clubs], rings: [], windows: [] });
	const pair: [string, CarryMapProps, string][] = [
		["Before", left, before.headline],
		["After", right, after.headline],
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

function yearFrom(date: string): string {
	const next = new Date(date);
	next.setFullYear(next.getFullYear() + 1);
	return next.toISOString().slice(0, 10);
}

/** What the fitter wrote for one choice: reasons, and by letter why the others lost; unset as drafted. */
interface Words {
	of: string;
	reasons?: string;
	why: Record<string, string>;
}

function Deciding({ session, handover }: { session: Session; handover: HandoverPicture }) {
	const queries = useQueryClient();
	const suggested: Picks = { builds: handover.suggested, dropped: handover.suggested_drop };
	const [picked, setPicked] = useState<Picks | null>(null);
	const picks = picked ?? suggested;
	const asSuggested = samePicks(picks, suggested);
	const found = useDraft(session.id, picks, !asSuggested);
	const choice = (!asSuggested && found.data) || handover.draft;
	// Kept by what is picked, not by the draft: what is written while the draft is on its way stays.
	const key = JSON.stringify(picks);
	const [written, setWritten] = useState<Words>({ of: "", why: {} });
	const words: Words = written.of === key ? written : { of: key, why: {} };
	const reasons = words.reasons ?? choice.reasons;
	const lost = choice.lost.map((each) => ({ ...each, why: words.why[each.letter] ?? each.why }));
	const [check, setCheck] = useState(yearFrom(handover.held_on));
	const agree = useMutation({
		mutationFn: () =>
			got(
				client.POST("/api/sessions/{session_id}/handover", {
					params: { path: { session_id: session.id } },
					body: { ...picks, reasons, lost, next_check: check || null },
				}),
			),
		onSuccess: () => queries.invalidateQueries(),
	});
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_25rem]">
			<section className="min-w-0 space-y-5 p-5">
				<BeforeAfter before={handover.before} after={choice.after} rule={handover.rule_words} />
				<BuildSheets clubs={choice.clubs} />
				<div className="space-y-1">
					{handover.cautions.map((line) => (
						<Caution key={line}>{line}</Caution>
					))}
				</div>
			</section>
			<aside className="space-y-4 border-l border-base-300 bg-base-100 p-5">
				<h2 className="text-lg">
					{session.clubs_to_place > 1
						? `Recommend, up to ${session.clubs_to_place} clubs`
						: "Recommend for this slot"}
				</h2>
				<p className="quiet text-sm">{handover.suggestion}</p>
				<PlanChoices handover={handover} picks={picks} suggested={suggested} onPick={setPicked} />
				<BuildPicker session={session} tested={handover.tested} picks={picks} onPick={setPicked} />
				{choice.over > 0 && (
					<p className="hole-text text-sm font-semibold">
						{choice.after.club_count} clubs: {choice.over} too many. Leave{" "}
						{choice.over === 1 ? "one" : choice.over} out.
					</p>
				)}
				{choice.clubs.map(
					(each) =>
						each.prediction && (
							<p key={each.build} className="hole-text text-sm font-semibold">
								{choice.clubs.length > 1 && `${each.letter}: `}
								{each.prediction}
							</p>
						),
				)}
				{choice.clubs.length > 1 && choice.price && (
					<p className="flex justify-between font-semibold">
						Together <span className="num">{Number(choice.price).toFixed(0)}</span>
					</p>
				)}
				<label className="block">
					<span className="quiet text-sm">Reasons</span>
					<textarea
						className="textarea field-sizing-content min-h-24 w-full"
						value={reasons}
						onChange={(event) => setWritten({ ...words, reasons: event.target.value })}
					/>
				</label>
				{lost.map((each) => (
					<label key={each.letter} className="block">
						<span className="quiet text-sm">
							Why {each.letter} {each.name} lost
						</span>
						<textarea
							className="textarea field-sizing-content min-h-14 w-full"
							value={each.why}
							onChange={(event) =>
								setWritten({ ...words, why: { ...words.why, [each.letter]: event.target.value } })
							}
						/>
					</label>
				))}
				<label className="block">
					<span className="quiet text-sm">Next check</span>
					<input
						type="date"
						className="input h-11 w-full"
						value={check}
						onChange={(event) => setCheck(event.target.value)}
					/>
				</label>
				<Said error={found.error ?? agree.error} />
				<button
					type="button"
					className="btn btn-primary h-12 w-full text-lg"
					disabled={agree.isPending || (!asSuggested && !found.isSuccess) || found.isPlaceholderData}
					onClick={() => agree.mutate()}
				>
					Agree
				</button>
				<p className="quiet text-sm">Once agreed, the session does not change any more.</p>
			</aside>
		</div>
	);
}

export function BuildSheets({ clubs }: { clubs: Tested[] }) {
	return (
		<div className="grid gap-5 sm:grid-cols-[repeat(auto-fit,minmax(20rem,1fr))]">
			{clubs.map((club) => (
				<section key={club.build}>
					<h3 className="mb-1 flex items-center gap-2 text-lg">
						Build sheet <Letter letter={club.letter} size={20} />
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

function Agreed({ session, handover }: { session: Session; handover: HandoverPicture }) {
	const agreed = handover.agreed;
	const queries = useQueryClient();
	useEffect(() => {
		if (session.status !== "agreed") void queries.invalidateQueries({ queryKey: sessionKey(session.id) });
	}, [session, queries]);
	if (!agreed) return null;
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_25rem]">
			<section className="min-w-0 space-y-5 p-5">
				<BeforeAfter before={agreed.before} after={agreed.choice.after} rule={handover.rule_words} />
				<BuildSheets clubs={agreed.choice.clubs} />
			</section>
			<aside className="space-y-4 border-l border-base-300 bg-base-100 p-5">
				<p className="quiet text-sm">
					✓ Agreed{" "}
					{new Date(agreed.agreed_at).toLocaleDateString("en-GB", {
						day: "numeric",
						month: "long",
						year: "numeric",
					})}{" "}
					by {agreed.agreed_by}
				</p>
				<Named choice={agreed.choice} />
				<p>{agreed.reasons}</p>
				<LostList lost={agreed.choice.lost} />
				{agreed.next_check && (
					<p>
						<span className="quiet">Next check</span>{" "}
						{new Date(agreed.next_check).toLocaleDateString("en-GB", {
							day: "numeric",
							month: "long",
							year: "numeric",
						})}
					</p>
				)}
				<Link className="btn btn-primary h-12 w-full" to={`/sessions/${session.id}/page`}>
					Page for the customer
				</Link>
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
			{choice.dropped.length > 0 && <p className="quiet">Left out: {choice.dropped.join(", ")}</p>}
		</div>
	);
}

export function LostList({ lost }: { lost: Choice["lost"] }) {
	if (lost.length === 0) return null;
	return (
		<section>
			<h3 className="mb-1">Why the others lost</h3>
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
