/** The pad beside the bay, on a phone or a tablet: hand a club, type its shots, take one back. A fitter's second screen,
 * and all that whoever assists sees of a session. */
import "../../said/rest";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link, useParams } from "react-router";
import { client, got, type Me } from "../../api/client";
import type { components } from "../../api/schema";
import { termOf } from "../../api/words";
import { SavedLine } from "../../app/SavedLine";
import { t } from "../../said/words";
import { letterColour } from "../../ui/Letter";
import { Mark } from "../../ui/Mark";
import { Said, Waiting } from "../../ui/Said";
import { asFar, type Metres } from "../../ui/units";
import { PadForm, type ReadOff } from "../bay/TypePad";

type PadOut = components["schemas"]["PadOut"];
type Club = PadOut["clubs"][number];
type PadShot = PadOut["shots"][number];
const STRIKES = ["thin", "fat", "toe", "heel"] as const;
/** What is handed and hit elsewhere is here soon enough to hand the next club. */
const LOOK_AGAIN_MS = 2000;
const carryOf = (shot: PadShot) => asFar((shot.readings.carry_m ?? null) as Metres | null);

export default function Pad({ me }: { me: Me }) {
	const { id = "" } = useParams();
	const queries = useQueryClient();
	const path = { params: { path: { session_id: Number(id) } } };
	const key = ["pad", id];
	const pad = useQuery({
		queryKey: key,
		queryFn: () => got(client.GET("/api/sessions/{session_id}/pad", path)),
		refetchInterval: LOOK_AGAIN_MS,
	});
	const change = useMutation({
		mutationFn: (go: () => Promise<PadOut>) => go(),
		onSuccess: (after) => queries.setQueryData(key, after),
	});
	const { reset } = change;
	const inHand = pad.data?.in_hand ?? null;
	// biome-ignore lint/correctness/useExhaustiveDependencies: a problem belongs to the club it happened with
	useEffect(() => reset(), [inHand, reset]);
	if (!pad.data)
		return pad.isError ? (
			<main className="space-y-4 p-6">
				<Said error={pad.error} />
				<Link to="/" className="btn">
					{t("label-to-the-desk")}
				</Link>
			</main>
		) : (
			<Waiting what={t("label-the-pad")} />
		);
	const { clubs, shots, status, customer, bay_name } = pad.data;
	const club = clubs.find((each) => each.id === inHand);
	// What is being tried first, then the player's own.
	const inOrder = [...clubs.filter((each) => each.letter), ...clubs.filter((each) => !each.letter)];
	const closed = status === "agreed" || status === "erased";
	const say = (shot: PadShot, body: components["schemas"]["PatchedShotOnPadRequest"]) =>
		change.mutate(() =>
			got(client.PATCH("/api/shots/{shot_id}/pad", { params: { path: { shot_id: shot.id } }, body })),
		);
	const type = (shot: ReadOff, onRefused: (why: unknown) => void) =>
		change.mutate(() => got(client.POST("/api/sessions/{session_id}/pad", { ...path, body: shot })), {
			onError: onRefused,
		});
	return (
		<div className="mx-auto min-h-dvh max-w-4xl bg-base-100 px-4 pb-8">
			<header className="flex items-center gap-3 py-3">
				<Link
					to={me.role === "assistant" ? "/" : `/sessions/${id}/bay`}
					aria-label={t("label-back")}
					className="grid min-h-11 min-w-11 place-items-center"
				>
					<Mark />
				</Link>
				<h1 className="min-w-0 flex-1 truncate text-lg">
					{customer} <span className="quiet font-normal">{bay_name}</span>
				</h1>
				<SavedLine session={Number(id)} />
				<button
					type="button"
					className="btn h-11"
					disabled={closed}
					onClick={() => change.mutate(() => got(client.DELETE("/api/sessions/{session_id}/pad", path)))}
				>
					{t("label-undo")}
				</button>
			</header>
			<main className="grid grid-cols-[minmax(0,1fr)] gap-4 md:grid-cols-[14rem_1fr] md:gap-6">
				<section aria-label={t("pad-clubs-hand")}>
					<ul className="flex gap-2 overflow-x-auto pb-1 md:grid md:grid-cols-1">
						{inOrder.map((each) => (
							<li key={each.id} className="w-32 shrink-0 md:w-auto">
								<Hand
									club={each}
									held={each.id === inHand}
									disabled={closed || change.isPending}
									onHand={() =>
										change.mutate(() =>
											got(
												client.PUT("/api/sessions/{session_id}/pad/in-hand", {
													...path,
													body: { build: each.id },
												}),
											),
										)
									}
								/>
							</li>
						))}
					</ul>
				</section>
				<section className="space-y-4">
					{closed && <p className="text-lg">{t("pad-session-closed-takes-nothing")}</p>}
					{!closed && !club && (
						<p className="quiet py-8 text-center text-xl">{t("pad-hand-club-then-type-its")}</p>
					)}
					{!closed && club && (
						<>
							<h2 className="text-2xl">
								{club.letter && `${club.letter} `}
								{club.name}
							</h2>
							<PadForm
								key={club.id}
								build={{ ...club, carry_m: club.carry_m as Metres | null }}
								onShot={type}
							/>
						</>
					)}
					<Said error={change.error} />
					<ul aria-label={t("pad-shots-club")} className="divide-y divide-base-300 border-y border-base-300">
						{[...shots].reverse().map((shot) => (
							<li key={shot.id} className="flex flex-wrap items-center gap-2 py-1.5">
								<span className={`num w-16 text-xl ${shot.aside ? "quiet line-through" : "font-semibold"}`}>
									{carryOf(shot)}
								</span>
								<span className="quiet w-14 text-sm">{shot.typed ? t("label-typed") : t("pad-feed")}</span>
								{STRIKES.map((strike) => (
									<button
										key={strike}
										type="button"
										aria-pressed={shot.strike === strike}
										disabled={closed}
										className={`btn btn-sm h-11 ${shot.strike === strike ? "btn-primary" : "border-base-300 bg-base-100"}`}
										onClick={() => say(shot, { strike: shot.strike === strike ? null : strike })}
									>
										{termOf("strike", strike)}
									</button>
								))}
								<button
									type="button"
									aria-pressed={shot.aside}
									disabled={closed}
									className="btn btn-sm ml-auto h-11"
									onClick={() => say(shot, { aside: !shot.aside })}
								>
									{shot.aside ? t("label-bring-back") : t("label-set-aside-2")}
								</button>
							</li>
						))}
					</ul>
				</section>
			</main>
		</div>
	);
}

function Hand({
	club,
	held,
	disabled,
	onHand,
}: {
	club: Club;
	held: boolean;
	disabled: boolean;
	onHand: () => void;
}) {
	return (
		<button
			type="button"
			aria-pressed={held}
			disabled={disabled && !held}
			className={`min-h-14 w-full border px-3 py-1.5 text-left ${held ? "border-base-content bg-base-200" : "border-base-300"}`}
			style={club.letter ? { borderLeft: `6px solid ${letterColour(club.letter)}` } : undefined}
			onClick={onHand}
		>
			<span className="block truncate font-semibold">
				{club.letter && `${club.letter} `}
				{club.name}
			</span>
			<span className="quiet block text-sm">
				{club.kept ? t("pad-kept", { kept: club.kept }) : t("pad-no-shot")}
				{club.carry_m === null ? "" : `, ${asFar(club.carry_m as Metres)}`}
			</span>
		</button>
	);
}
