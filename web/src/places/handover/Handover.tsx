/** The decision, one club or several, with reasons; the bag before and after; agreed once. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { change } from "../../acts";
import { type Choice, client, got, type Handover as HandoverAnswer, Problem } from "../../api/client";
import { settled } from "../../api/outbox";
import { type Picks, useDraft, useHandover } from "../../api/session";
import { useCommands } from "../../commands/commands";
import { inGroup, type Row } from "../../commands/rows";
import { t } from "../../said/words";
import { Claims } from "../../session/Claims";
import type { PlaceProps } from "../../session/place";
import { ownOf, placesOf } from "../../session/select";
import { useKept } from "../../ui/kept";
import { useMoney } from "../../ui/money";
import { Caution, Said, Waiting } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { Agreed } from "./Agreed";
import { type AgreedEdition, BeforeAfter, BuildSheets, longDay } from "./Paper";
import { BuildPicker, PlanChoices, samePicks, turned } from "./Picks";
import { askedOf, offerOf, SetOrder } from "./Set";

export function Handover({ session, act }: PlaceProps) {
	const handover = useHandover(session);
	if (handover.error) {
		return (
			<div className="p-6">
				<Said error={handover.error} />
			</div>
		);
	}
	if (!handover.data) return <Waiting what={t("handover-the-handover")} />;
	return <Decision session={session} handover={handover.data} act={act} />;
}

function Decision({
	session,
	handover,
	act,
}: Pick<PlaceProps, "session" | "act"> & { handover: HandoverAnswer }) {
	const [correcting, setCorrecting] = useState(false);
	const { agreed } = handover;
	if (!agreed && session.status === "erased")
		return <p className="p-5">{t("handover-nothing-agreed-before-customer-erased")}</p>;
	if (!agreed) return <Deciding session={session} handover={handover} act={act} />;
	if (correcting)
		return (
			<Deciding
				session={session}
				handover={handover}
				act={act}
				corrects={agreed}
				onDone={() => setCorrecting(false)}
			/>
		);
	return <Agreed session={session} handover={handover} onCorrect={() => setCorrecting(true)} />;
}

/** What the fitter wrote for one choice: reasons, and by letter why the others lost; unset as drafted. */
interface Words {
	reasons?: string;
	why: Record<string, string>;
}

/** Deciding for the first time, or, with what it corrects, a new edition of what was agreed. */
function Deciding({
	session,
	handover,
	act,
	corrects,
	onDone,
}: Pick<PlaceProps, "session" | "act"> & {
	handover: HandoverAnswer;
	corrects?: AgreedEdition;
	onDone?: () => void;
}) {
	const money = useMoney();
	const queries = useQueryClient();
	const suggested: Picks = corrects
		? {
				builds: corrects.choice.clubs.map((club) => club.build),
				dropped: ownOf(session)
					.filter((build) => corrects.choice.dropped.includes(build.name))
					.filter((build) => !corrects.choice.set?.replaces.includes(build.id))
					.map((build) => build.id),
				set: corrects.choice.set && askedOf(corrects.choice.set),
			}
		: { builds: handover.suggested, dropped: handover.suggested_drop };
	// What is written and picked stays through other places and a reload, until it is agreed.
	const of = `handover:${session.id}:${corrects?.edition ?? 0}`;
	const [correction, setCorrection, dropCorrection] = useKept(`${of}:correction`, "");
	const [picked, setPicked, dropPicked] = useKept<Picks | null>(`${of}:picked`, null);
	const chosen = picked ?? suggested;
	const offer = offerOf(handover, chosen.builds);
	// A set goes with the iron that it is told from: where that is not chosen, or not to be had any more, there is none.
	const picks = { ...chosen, set: offer && chosen.set?.build === offer.build ? chosen.set : null };
	const asSuggested = samePicks(picks, suggested);
	const found = useDraft(session, picks, !asSuggested);
	const choice = (!asSuggested && found.data) || handover.draft;
	// Kept by what is picked, not by the draft: what is written while the draft is on its way stays.
	const key = JSON.stringify(picks.set ? picks : { builds: picks.builds, dropped: picks.dropped });
	const [written, setWritten, dropWritten] = useKept<Record<string, Words>>(`${of}:words`, {});
	const words: Words = written[key] ?? { why: {} };
	const write = (now: Words) => setWritten({ ...written, [key]: now });
	const reasons = words.reasons ?? choice.reasons;
	const lost = choice.lost.map((each) => ({ ...each, why: words.why[each.letter] ?? each.why }));
	const [check, setCheck, dropCheck] = useKept(
		`${of}:check`,
		handover.agreed?.next_check ?? handover.next_check,
	);
	const agree = useMutation({
		mutationFn: async () => {
			if (!(await settled())) throw new Problem(t("handover-changes-session-wait-for-line"), 0, null);
			return got(
				client.POST("/api/sessions/{session_id}/handover", {
					params: { path: { session_id: session.id } },
					body: { ...picks, reasons, lost, next_check: check || null, correction },
				}),
			);
		},
		onSuccess: async () => {
			for (const drop of [dropCorrection, dropPicked, dropWritten, dropCheck]) drop();
			await queries.invalidateQueries();
			onDone?.();
		},
	});
	const [asking, setAsking] = useState(false);
	// A pair that is one place is two clubs.
	const most = Math.max(placesOf(session), suggested.builds.length);
	const open = corrects !== undefined && correction.trim() === "";
	const notYet = agree.isPending || open || (!asSuggested && !found.isSuccess) || found.isPlaceholderData;
	const many = most > 1;
	useCommands(
		"handover",
		inGroup(t("app-handover"), [
			...handover.tested.map(
				(each): Row => [
					`pick-${each.letter}`,
					t("handover-pick", { name: `${each.letter} ${each.name}` }),
					each.letter.toLowerCase(),
					undefined,
					() => setPicked(turned(picks, each.build, many)),
				],
			),
			["keep", t("handover-keep-what-there"), "k", undefined, () => setPicked({ ...picks, builds: [] })],
			["agree", t("handover-agree"), "y", notYet ? t("handover-not-yet") : undefined, () => setAsking(true)],
		]),
	);
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_25rem]">
			<section className="min-w-0 space-y-5 p-5">
				<BeforeAfter before={handover.before} after={choice.after} rule={handover.rule_words} />
				{offer && (
					<SetOrder
						offer={offer}
						asked={picks.set ?? null}
						ordered={choice.set}
						onChange={(set) => setPicked({ ...picks, set })}
					/>
				)}
				<BuildSheets clubs={choice.clubs} />
				<Claims claims={handover.claims} />
				<div className="space-y-1">
					{handover.cautions.map((line) => (
						<Caution key={line}>{line}</Caution>
					))}
				</div>
			</section>
			<aside className="space-y-4 border-l border-base-300 bg-base-100 p-5">
				<h2 className="text-lg">
					{corrects
						? t("handover-correct-what-agreed")
						: most > 1
							? t("handover-recommend-up-clubs", { most })
							: t("handover-recommend-for-slot")}
				</h2>
				<p className="quiet text-sm">
					{corrects
						? t("handover-edition-stays-readable-beside-one", { edition: corrects.edition })
						: handover.suggestion}
				</p>
				<PlanChoices handover={handover} picks={picks} suggested={suggested} onPick={setPicked} />
				<BuildPicker
					session={session}
					tested={handover.tested}
					picks={picks}
					many={many}
					onPick={setPicked}
				/>
				{choice.swap && (
					<p className="text-[15px]">
						{t("handover-one-place-bag")} <strong>{choice.swap.away}</strong>{" "}
						{t("handover-on", { course: choice.swap.course })} <strong>{choice.swap.home}</strong>{" "}
						{t("handover-elsewhere")}
					</p>
				)}
				{choice.over > 0 && (
					<p className="hole-text text-sm font-semibold">
						{t("handover-one-out", { clubCount: choice.after.club_count, over: choice.over })}
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
				{(choice.clubs.length > 1 || choice.set) && choice.price && (
					<p className="flex justify-between font-semibold">
						{t("handover-together")} <span className="num">{money(choice.price)}</span>
					</p>
				)}
				<label className="block">
					<span className="quiet text-sm">{t("handover-reasons")}</span>
					<textarea
						className="textarea field-sizing-content min-h-24 w-full"
						value={reasons}
						onChange={(event) => write({ ...words, reasons: event.target.value })}
					/>
				</label>
				{lost.map((each) => (
					<label key={each.letter} className="block">
						<span className="quiet text-sm">
							{t("handover-why-lost", { letter: each.letter, name: each.name })}
						</span>
						<textarea
							className="textarea field-sizing-content min-h-14 w-full"
							value={each.why}
							onChange={(event) =>
								write({ ...words, why: { ...words.why, [each.letter]: event.target.value } })
							}
						/>
					</label>
				))}
				<label className="block">
					<span className="quiet text-sm">{t("handover-next-check")}</span>
					<input
						type="date"
						className="input h-11 w-full"
						value={check}
						onChange={(event) => setCheck(event.target.value)}
					/>
				</label>
				{corrects && (
					<label className="block">
						<span className="quiet text-sm">{t("handover-why-corrected")}</span>
						<textarea
							className="textarea field-sizing-content min-h-14 w-full"
							value={correction}
							onChange={(event) => setCorrection(event.target.value)}
						/>
					</label>
				)}
				<Said error={found.error ?? agree.error} />
				{asking && (
					<AgreeSheet
						choice={choice}
						check={check}
						onAgree={() => agree.mutate()}
						onClose={() => setAsking(false)}
					/>
				)}
				<button
					type="button"
					className="btn btn-primary h-12 w-full text-lg"
					disabled={notYet}
					onClick={() => setAsking(true)}
				>
					{agree.isPending
						? t("handover-agreeing")
						: corrects
							? t("handover-agree-edition", { edition: corrects.edition + 1 })
							: t("handover-agree")}
				</button>
				{corrects ? (
					<button type="button" className="btn h-11 w-full" onClick={onDone}>
						{t("handover-leave-as-agreed")}
					</button>
				) : (
					<p className="quiet text-sm">{t("handover-once-agreed-session-does-not")}</p>
				)}
				{!corrects && <NotHere session={session} act={act} />}
			</aside>
		</div>
	);
}

/** A contender that is not here yet: the session stays open for it. */
function NotHere({ session, act }: Pick<PlaceProps, "session" | "act">) {
	const [name, setName] = useState(session.awaited);
	return (
		<form
			className="border-t border-base-300 pt-3"
			onSubmit={(event) => {
				event.preventDefault();
				act(() => change.waitFor(session.id, name.trim()));
			}}
		>
			<label className="block">
				<span className="quiet text-sm">{t("handover-contender-not-here-yet")}</span>
				<span className="flex gap-2">
					<input
						className="input h-11 min-w-0 flex-1"
						maxLength={40}
						value={name}
						onChange={(event) => setName(event.target.value)}
					/>
					<button type="submit" className="btn h-11" disabled={name.trim() === session.awaited}>
						{session.awaited && !name.trim() ? t("handover-do-not-wait") : t("handover-stay-open")}
					</button>
				</span>
			</label>
			{session.question && <p className="hole-text mt-1 text-sm font-semibold">{session.question}</p>}
		</form>
	);
}

/** What is agreed on, asked once: it cannot be taken back. */
function AgreeSheet({
	choice,
	check,
	onAgree,
	onClose,
}: {
	choice: Choice;
	check: string;
	onAgree: () => void;
	onClose: () => void;
}) {
	const money = useMoney();
	const yes = useRef<HTMLButtonElement>(null);
	// The sheet is asked for: its answer is one key away.
	useEffect(() => yes.current?.focus(), []);
	return (
		<Sheet title={t("handover-agree-on", { name: choice.name })} onClose={onClose}>
			<ul className="mb-3 space-y-1 text-[17px]">
				{choice.dropped.length > 0 && <li>{t("label-left-out", { list: choice.dropped.join(", ") })}</li>}
				{choice.price && (
					<li>
						{t("label-price")}: {money(choice.price)}
					</li>
				)}
				{check && (
					<li>
						{t("handover-next-check")}: {longDay(check)}
					</li>
				)}
			</ul>
			<p className="quiet mb-4">{t("handover-once-agreed-session-does-not")}</p>
			<div className="flex flex-wrap gap-3">
				<button
					ref={yes}
					type="button"
					className="btn btn-primary h-12 px-6"
					onClick={() => {
						onClose();
						onAgree();
					}}
				>
					{t("handover-yes-agree")}
				</button>
				<button type="button" className="btn h-12 px-6" onClick={onClose}>
					{t("handover-not-yet")}
				</button>
			</div>
		</Sheet>
	);
}
