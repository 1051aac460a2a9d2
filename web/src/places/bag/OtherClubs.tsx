/** Clubs that are not of the rack: one that was borrowed, one of the player's own, and the stand at one loft. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { change } from "../../acts";
import { client, got, type HeadType, type Session } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { ownOf } from "../../session/select";
import { AsLeft } from "../../ui/AsLeft";
import { BendCaution } from "../../ui/BendCaution";
import { dropDraft, useDrafted } from "../../ui/draft";
import { Letter } from "../../ui/Letter";
import { Caution, Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { neededNumber } from "../../ui/typed";

type Props = Pick<PlaceProps, "session" | "act" | "busy"> & { onClose: () => void };
type PartProps = Omit<Props, "onClose" | "act"> & { put: (make: () => Promise<Session>) => void };
const formOf = (session: Session) => `other:${session.id}`;
const KINDS = Object.entries(VOCABULARY.heads).filter(([kind]) => kind !== "putter");

export function OtherClubs({ session, act, busy, onClose }: Props) {
	const [error, setError] = useState<Error | null>(null);
	/** Do it and close; what is refused is said here, and what was typed stays. */
	const put = (make: () => Promise<Session>) =>
		act(async () => {
			setError(null);
			try {
				const made = await make();
				dropDraft(formOf(session));
				onClose();
				return made;
			} catch (refused) {
				setError(refused as Error);
				throw refused;
			}
		});
	return (
		<Sheet title={t("bag-another-club-stand")} onClose={onClose}>
			<AsLeft form={formOf(session)} />
			<Said error={error} />
			<div className="space-y-6">
				<Borrowed session={session} put={put} busy={busy} />
				<Own session={session} put={put} busy={busy} />
				<OneLoft session={session} put={put} busy={busy} />
			</div>
		</Sheet>
	);
}

function Borrowed({ session, put, busy }: PartProps) {
	const form = formOf(session);
	const [name, setName] = useDrafted(form, "name", "");
	const [kind, setKind] = useDrafted<HeadType>(form, "kind", "hybrid");
	const [loft, setLoft] = useDrafted(form, "loft", "");
	return (
		<form
			onSubmit={(event) => {
				event.preventDefault();
				put(async () => {
					const loft_deg = neededNumber(loft, t("bag-loft-borrowed-club"));
					return change.borrow(session.id, { name, head_type: kind, loft_deg });
				});
			}}
		>
			<h3 className="mb-1">{t("bag-borrowed-club")}</h3>
			<div className="flex flex-wrap items-center gap-2">
				<input
					className="input h-11 min-w-0 flex-1"
					aria-label={t("bag-what-borrowed-club-called")}
					placeholder={t("label-what-called")}
					maxLength={40}
					value={name}
					onChange={(event) => setName(event.target.value)}
					required
				/>
				<select
					className="select h-11 w-40"
					aria-label={t("bag-kind-borrowed-club")}
					value={kind}
					onChange={(event) => setKind(event.target.value as HeadType)}
				>
					{KINDS.map(([each, words]) => (
						<option key={each} value={each}>
							{words}
						</option>
					))}
				</select>
				<input
					className="input h-11 w-20 text-right"
					inputMode="decimal"
					aria-label={t("bag-loft-borrowed-club-degrees")}
					placeholder={t("label-loft-2")}
					value={loft}
					onChange={(event) => setLoft(event.target.value)}
				/>
				<button type="submit" className="btn h-11" disabled={busy}>
					{t("label-on-the-stand")}
				</button>
			</div>
			<p className="quiet mt-1 text-sm">{t("bag-its-length-assumed-from-kind")}</p>
		</form>
	);
}

const WORK = [
	{ kind: "", words: t("bag-as-it-is") },
	{ kind: "bend", words: t("bag-bent-weaker") },
	{ kind: "lie", words: t("bag-bent-more-upright") },
	{ kind: "length", words: t("bag-made-longer") },
	{ kind: "grip_down", words: t("bag-gripped-down") },
	{ kind: "head_weight", words: t("bag-heavier-head-g") },
	{ kind: "weight_back", words: t("bag-weight-back-g") },
	{ kind: "weight_heel", words: t("bag-weight-heel-g") },
	{ kind: "grip", words: t("bag-thicker-grip-mm") },
] as const;

function Own({ session, put, busy }: PartProps) {
	const clubs = ownOf(session).filter((build) => build.head_type !== "putter");
	const form = formOf(session);
	const [club, setClub] = useDrafted<number | null>(form, "own", clubs[0]?.id ?? null);
	const [kind, setKind] = useDrafted<(typeof WORK)[number]["kind"]>(form, "work", "");
	const [amount, setAmount] = useDrafted(form, "amount", "1");
	const [shaft, setShaft] = useDrafted<number | null>(form, "shaft", null);
	const rack = useQuery({ queryKey: ["rack"], queryFn: () => got(client.GET("/api/rack")) });
	if (clubs.length === 0) return null;
	return (
		<form
			onSubmit={(event) => {
				event.preventDefault();
				put(async () => {
					return change.otherwise(
						club ?? 0,
						kind ? [{ kind, amount: neededNumber(amount, t("bag-amount-work")) }] : [],
						shaft,
					);
				});
			}}
		>
			<h3 className="mb-1">{t("bag-one-players-own")}</h3>
			<div className="flex flex-wrap items-center gap-2">
				<select
					className="select h-11 w-32"
					aria-label={t("bag-which-players-own-clubs")}
					value={club ?? ""}
					onChange={(event) => setClub(Number(event.target.value))}
				>
					{clubs.map((build) => (
						<option key={build.id} value={build.id}>
							{build.name}
						</option>
					))}
				</select>
				<select
					className="select h-11 w-52"
					aria-label={t("bag-what-done")}
					value={kind}
					onChange={(event) => setKind(event.target.value as typeof kind)}
				>
					{WORK.map((each) => (
						<option key={each.kind} value={each.kind}>
							{each.words}
						</option>
					))}
				</select>
				{kind && (
					<input
						className="input h-11 w-20 text-right"
						inputMode="decimal"
						aria-label={t("bag-by-how-much-less-than")}
						value={amount}
						onChange={(event) => setAmount(event.target.value)}
					/>
				)}
				<select
					className="select h-11 w-44"
					aria-label={t("bag-which-shaft-gets")}
					value={shaft ?? ""}
					onChange={(event) => setShaft(event.target.value ? Number(event.target.value) : null)}
				>
					<option value="">{t("bag-its-own-shaft")}</option>
					{rack.data?.shafts.map((each) => (
						<option key={each.id} value={each.id}>
							{each.name}
						</option>
					))}
				</select>
				<button type="submit" className="btn h-11" disabled={busy}>
					{t("label-on-the-stand")}
				</button>
			</div>
			{(shaft !== null || kind === "grip") && <Caution>{VOCABULARY.cautions.shaft}</Caution>}
			{(kind === "bend" || kind === "lie") && <BendCaution />}
		</form>
	);
}

function OneLoft({ session, put, busy }: PartProps) {
	const [text, setText] = useDrafted(formOf(session), "level", "");
	const loft = Number(text.replace(",", "."));
	const known = text.trim() !== "" && Number.isFinite(loft);
	const found = useQuery({
		queryKey: ["level", session.id, session.revision, loft],
		queryFn: () =>
			got(
				client.GET("/api/sessions/{session_id}/level", {
					params: { path: { session_id: session.id }, query: { loft_deg: loft } },
				}),
			),
		enabled: known,
	});
	const turning = found.data?.filter((row) => row.loft_deg !== null) ?? [];
	return (
		<section>
			<h3 className="mb-1">{t("bag-heads-stand-one-loft")}</h3>
			<div className="flex flex-wrap items-center gap-2">
				<input
					className="input h-11 w-24 text-right"
					inputMode="decimal"
					aria-label={t("bag-loft-turn-degrees")}
					placeholder={t("bag-loft")}
					value={text}
					onChange={(event) => setText(event.target.value)}
				/>
				<button
					type="button"
					className="btn h-11"
					disabled={busy || turning.length === 0}
					onClick={() =>
						put(async () => {
							return change.level(session.id, loft);
						})
					}
				>
					{t("bag-turn", { turning: turning.length || t("bag-them") })}
				</button>
			</div>
			<Said error={found.error} />
			<ul className="mt-1 space-y-0.5 text-[14.5px]">
				{found.data?.map((row) => (
					<li key={row.letter} className={row.loft_deg === null ? "quiet" : ""}>
						<Letter letter={row.letter} size={20} /> {row.name}:{" "}
						{row.loft_deg === null
							? t("bag-left-out-3", { why: row.why })
							: t("bag-to", { loft: row.loft_deg, which: row.why ? `, ${row.why}` : "" })}
					</li>
				))}
			</ul>
		</section>
	);
}
