/** The decision for the slot, with reasons; the bag before and after; agreed once. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { type Choice, client, got, type Handover as HandoverPicture, type Session } from "../api/client";
import { sessionKey, useHandover } from "../api/session";
import type { PlaceProps } from "../app/SessionFrame";
import { CarryMap, type CarryMapProps, mapSpan } from "../instruments/CarryMap";
import { Letter } from "../ui/Letter";
import { Caution, Said, Waiting } from "../ui/Said";
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

function Deciding({ session, handover }: { session: Session; handover: HandoverPicture }) {
	const queries = useQueryClient();
	const [picked, setPicked] = useState<number | null>(handover.suggested);
	const choice = handover.choices.find((each) => each.build === picked) ?? handover.choices.at(-1);
	const [reasons, setReasons] = useState("");
	const [lost, setLost] = useState<Choice["lost"]>([]);
	const [check, setCheck] = useState(yearFrom(handover.held_on));
	const key = `${choice?.build}-${choice?.reasons}`;
	// biome-ignore lint/correctness/useExhaustiveDependencies: another choice brings its own reasons
	useEffect(() => {
		setReasons(choice?.reasons ?? "");
		setLost(choice?.lost ?? []);
	}, [key]);
	const agree = useMutation({
		mutationFn: () =>
			got(
				client.POST("/api/sessions/{session_id}/handover", {
					params: { path: { session_id: session.id } },
					body: { build: picked, reasons, lost, next_check: check || null },
				}),
			),
		onSuccess: () => queries.invalidateQueries(),
	});
	if (!choice) return <Waiting what="the choices" />;
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_25rem]">
			<section className="min-w-0 space-y-5 p-5">
				<BeforeAfter before={handover.before} after={choice.after} rule={handover.rule_words} />
				{choice.sheet.length > 0 && <BuildSheet choice={choice} />}
				<div className="space-y-1">
					{handover.cautions.map((line) => (
						<Caution key={line}>{line}</Caution>
					))}
				</div>
			</section>
			<aside className="space-y-4 border-l border-base-300 bg-base-100 p-5">
				<h2 className="text-lg">Recommend for this slot</h2>
				<p className="quiet text-sm">{handover.suggestion}</p>
				<ul className="space-y-1">
					{handover.choices.map((each) => (
						<li key={each.build ?? "keep"}>
							<label
								className={`flex min-h-14 cursor-pointer items-center gap-3 border px-3 py-2 ${each.build === picked ? "border-base-content bg-base-200" : "border-base-300"}`}
							>
								<input
									type="radio"
									className="radio"
									name="choice"
									checked={each.build === picked}
									onChange={() => setPicked(each.build)}
								/>
								{each.letter && <Letter letter={each.letter} />}
								<span className="min-w-0 flex-1">
									<span className="block font-semibold">{each.name}</span>
									<span className="quiet block truncate text-sm">{each.headline}</span>
								</span>
								<span className="num">{each.price ? Number(each.price).toFixed(0) : ""}</span>
							</label>
						</li>
					))}
				</ul>
				{choice.prediction && <p className="hole-text text-sm font-semibold">{choice.prediction}</p>}
				<label className="block">
					<span className="quiet text-sm">Reasons</span>
					<textarea
						className="textarea field-sizing-content min-h-24 w-full"
						value={reasons}
						onChange={(event) => setReasons(event.target.value)}
					/>
				</label>
				{lost.map((each, index) => (
					<label key={each.letter} className="block">
						<span className="quiet text-sm">
							Why {each.letter} {each.name} lost
						</span>
						<textarea
							className="textarea field-sizing-content min-h-14 w-full"
							value={each.why}
							onChange={(event) =>
								setLost(lost.map((one, at) => (at === index ? { ...one, why: event.target.value } : one)))
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
				<Said error={agree.error} />
				<button
					type="button"
					className="btn btn-primary h-12 w-full text-lg"
					disabled={agree.isPending}
					onClick={() => agree.mutate()}
				>
					Agree
				</button>
				<p className="quiet text-sm">Once agreed, the session does not change any more.</p>
			</aside>
		</div>
	);
}

export function BuildSheet({ choice }: { choice: Choice }) {
	return (
		<section>
			<h3 className="mb-1 flex items-center gap-2 text-lg">
				Build sheet {choice.letter && <Letter letter={choice.letter} size={20} />}
			</h3>
			<dl className="grid grid-cols-[10rem_1fr] gap-y-0.5">
				{choice.sheet.map((line) => (
					<div key={line.label} className="contents">
						<dt className="quiet">{line.label}</dt>
						<dd className="font-medium">{line.value}</dd>
					</div>
				))}
			</dl>
		</section>
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
				{agreed.choice.sheet.length > 0 && <BuildSheet choice={agreed.choice} />}
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
				<h2 className="flex items-center gap-2 text-2xl">
					{agreed.choice.letter && <Letter letter={agreed.choice.letter} size={28} />}
					{agreed.choice.name}
				</h2>
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
