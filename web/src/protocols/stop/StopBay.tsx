/** The stop test in the Bay: the green is said once, then each ball is tapped where it lands and where it stops. */
import { useState } from "react";
import { change } from "../../acts";
import type { Session } from "../../api/client";
import { useWaiting } from "../../api/outbox";
import { VOCABULARY } from "../../api/vocabulary";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";
import { neededNumber, typedNumber } from "../../ui/typed";
import {
	asFar,
	figure,
	fromFar,
	fromSpeed,
	type Metres,
	speedDigits,
	toSpeed,
	unit,
	unitName,
} from "../../ui/units";
import { FROM } from "../../ui/wind";
import { ClubName } from "../ClubName";
import type { BayPanelProps, StripProps } from "../panels";
import { standingOf } from "../standing";
import { Green, type Spot } from "./Green";

type Sent = Parameters<typeof change.stopSeen>[1];
export type Stops = NonNullable<Session["bag"]["short"]>["stops"];
type Firmness = Stops["green"]["firmness"];

export function StopBay({ session, act, onAsked }: BayPanelProps) {
	if (!session.bag.short) return null;
	return (
		<button
			type="button"
			aria-pressed={session.protocol === "stop"}
			className={`btn h-14 px-6 text-lg ${session.protocol === "stop" ? "btn-primary" : ""}`}
			onClick={() => {
				act(() => change.ask(session.id, "stop", "stock"));
				onAsked();
			}}
		>
			{t("stop-stop-test")}
		</button>
	);
}

/** What is played to, entered once. */
function PlayedTo({ session, act, agreed, stops }: StripProps & { stops: Stops }) {
	const { green } = stops;
	const [wrong, setWrong] = useState<unknown>(null);
	const write = (over: Partial<Stops["green"]>) =>
		act(() => change.stopGreen(session.id, { ...green, ...over }));
	const typed =
		(what: string, key: "target_m" | "green_ft" | "slope_percent" | "wind_mps", scale = 1) =>
		(event: { target: HTMLInputElement }) => {
			// Looked at and left as it was: the exact figure is not that which is read.
			if (event.target.value === event.target.defaultValue) return;
			try {
				const value = (typedNumber(event.target.value, what) ?? 0) * scale;
				setWrong(null);
				if (Math.abs(value - (green[key] ?? 0)) > 1e-6) write({ [key]: value });
			} catch (error) {
				setWrong(error);
			}
		};
	const field = "input h-11 w-16 px-2 text-right";
	return (
		<div className="flex flex-wrap items-center gap-x-4 gap-y-1">
			<label className="flex items-center gap-1.5">
				{t("stop-hole-at")}
				<input
					key={green.target_m}
					className={field}
					inputMode="decimal"
					aria-label={t("stop-distance-hole", { unit: unitName("far") })}
					defaultValue={asFar(green.target_m as Metres)}
					disabled={agreed}
					onBlur={typed("yardage", "target_m", fromFar(1))}
				/>
				{unit("far")}
			</label>
			<label className="flex items-center gap-1.5">
				{t("label-ground")}
				<select
					className="select h-11 w-28"
					aria-label={t("stop-how-firm-green")}
					value={green.firmness}
					disabled={agreed}
					onChange={(event) => write({ firmness: event.target.value as Firmness })}
				>
					{VOCABULARY.firmness.map((each) => (
						<option key={each} value={each}>
							{termOf("firmness", each)}
						</option>
					))}
				</select>
			</label>
			<label className="flex items-center gap-1.5">
				{t("stop-meter")}
				<input
					key={green.green_ft}
					className={field}
					inputMode="decimal"
					aria-label={t("stop-green-speed-feet-meter")}
					defaultValue={figure(green.green_ft, green.green_ft % 1 ? 1 : 0)}
					disabled={agreed}
					onBlur={typed(t("label-green-speed"), "green_ft")}
				/>
				{t("stop-on-the-meter")}
			</label>
			<label className="flex items-center gap-1.5">
				{t("stop-uphill")}
				<input
					key={green.slope_percent}
					className={field}
					inputMode="decimal"
					aria-label={t("stop-slope-percent-uphill-positive")}
					defaultValue={String(green.slope_percent)}
					disabled={agreed}
					onBlur={typed("slope", "slope_percent")}
				/>
				%
			</label>
			<label className="flex items-center gap-1.5">
				{t("label-wind")}
				<input
					key={green.wind_mps}
					className={field}
					inputMode="decimal"
					aria-label={t("label-wind-in", { unit: unit("speed") })}
					defaultValue={figure(toSpeed(green.wind_mps ?? 0), speedDigits())}
					disabled={agreed}
					onBlur={typed("wind", "wind_mps", fromSpeed(1))}
				/>
				{unit("speed")}
			</label>
			{(green.wind_mps ?? 0) > 0 && (
				<select
					className="select h-11 w-44"
					aria-label={t("label-where-wind-comes-from")}
					value={green.wind_from_deg}
					disabled={agreed}
					onChange={(event) => write({ wind_from_deg: Number(event.target.value) })}
				>
					{FROM.map(([deg, words]) => (
						<option key={deg} value={deg}>
							{words}
						</option>
					))}
				</select>
			)}
			<Said error={wrong} />
		</div>
	);
}

export function StopStrip({ protocol, session, act, agreed }: StripProps) {
	const stops = session.bag.short?.stops;
	const standing = standingOf(session, protocol);
	// The wedge that was chosen, with what was in hand then: it leads until something else is taken up.
	const [chosen, setChosen] = useState<{ id: number; held: number | null } | null>(null);
	const [landed, setLanded] = useState<Spot | null>(null);
	const waiting = useWaiting<Sent>(`/api/sessions/${session.id}/trials/stop/seen`);
	if (!stops || !standing) return null;
	const wedges = standing.tasks;
	const inHand = wedges.find((task) => task.build === session.in_hand);
	const leads = chosen && (session.in_hand === chosen.id || session.in_hand === chosen.held);
	const club = ((leads ? wedges.find((task) => task.build === chosen.id) : undefined) ?? inHand ?? wedges[0])
		?.build;
	// What has no line yet is on the picture all the same.
	const seen: Stops["seen"] = [
		...stops.seen,
		...waiting.map((each, index) => ({
			...each,
			id: -1 - index,
			landed_m: each.landed_m as Metres,
			stopped_m: each.stopped_m as Metres,
			landed_side_m: (each.landed_side_m ?? 0) as Metres,
			stopped_side_m: (each.stopped_side_m ?? 0) as Metres,
			ball: each.ball ?? "own",
			balls: each.balls ?? 1,
			left_m: 0 as unknown as Metres,
			aside: false,
		})),
	];
	const count = (id: number) =>
		seen.filter((each) => each.build === id && !each.aside).reduce((sum, each) => sum + each.balls, 0);
	const mine = seen.filter((each) => each.build === club);
	const add = (from: Spot, to: Spot, balls = 1) => {
		if (club === undefined) return;
		act(() =>
			change.stopSeen(session.id, {
				build: club,
				ball: session.struck_ball,
				landed_m: from.far,
				landed_side_m: from.side,
				stopped_m: to.far,
				stopped_side_m: to.side,
				balls,
				target_m: stops.green.target_m,
			}),
		);
		setLanded(null);
	};
	return (
		<section aria-label={t("stop-stop-test")} className="space-y-2 text-[15px]">
			<PlayedTo protocol={protocol} session={session} act={act} agreed={agreed} stops={stops} />
			<div className="flex flex-wrap gap-1" role="group" aria-label={t("stop-wedge-stop-test")}>
				{wedges.map(({ build: id, wanted }) => (
					<button
						key={id}
						type="button"
						aria-pressed={id === club}
						className={`btn h-12 font-normal ${id === club ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={() => {
							setChosen({ id, held: session.in_hand });
							setLanded(null);
							// In hand, so that the monitor's shots are filed under it.
							if (!agreed && id !== session.in_hand) act(() => change.inHand(session.id, id));
						}}
					>
						<ClubName session={session} build={id} />
						<span className="num">
							{count(id) >= wanted ? `${count(id)} ✓` : t("stop-of", { id: count(id), wanted })}
						</span>
					</button>
				))}
			</div>
			<div className="flex min-h-11 flex-wrap items-center gap-x-4">
				<p className="font-semibold" aria-live="polite">
					{landed ? t("stop-now-where-stopped") : t("stop-touch-where-landed")}
				</p>
				<p className="quiet">
					{standing.minutes
						? t("stop-about-min-for-rest", { minutes: standing.minutes })
						: t("stop-all-wedges-have-their-balls")}
				</p>
				{landed && (
					<button type="button" className="btn btn-sm h-11" onClick={() => setLanded(null)}>
						{t("stop-landing-again")}
					</button>
				)}
			</div>
			<Green
				target={stops.green.target_m as Metres}
				balls={seen
					.filter((each) => !each.aside)
					.map((each) => ({
						id: each.id,
						landed: { far: each.landed_m, side: each.landed_side_m },
						stopped: { far: each.stopped_m, side: each.stopped_side_m },
						mine: each.build === club,
					}))}
				landed={landed}
				onTap={agreed ? undefined : (spot) => (landed ? add(landed, spot) : setLanded(spot))}
			/>
			<div className="flex flex-wrap items-center gap-x-4 gap-y-1">
				{!agreed && <Paced target={stops.green.target_m} onSeen={add} />}
			</div>
			{mine.length > 0 && (
				<ul className="flex flex-wrap items-center gap-1" aria-label={t("stop-balls-wedge")}>
					<li className="quiet mr-1">{t("stop-touch-one-set-aside")}</li>
					{mine.map((each) => (
						<li key={each.id}>
							<button
								type="button"
								className={`btn h-11 border-base-300 bg-base-100 font-normal ${each.aside ? "line-through opacity-70" : ""}`}
								aria-label={t("stop-landed-stopped", {
									landed: asFar(each.landed_m as Metres),
									stopped: asFar(each.stopped_m as Metres),
									which: each.aside ? t("label-set-aside") : "",
								})}
								disabled={agreed || each.id < 0}
								onClick={() => act(() => change.stopAside(each.id, !each.aside))}
							>
								<span className="num">
									{asFar(each.landed_m as Metres)} → {asFar(each.stopped_m as Metres)}
									{each.balls > 1 ? ` ×${each.balls}` : ""}
								</span>
							</button>
						</li>
					))}
				</ul>
			)}
		</section>
	);
}

/** The same in figures: a group that was paced once, or a ball by the keyboard. */
function Paced({
	target,
	onSeen,
}: {
	target: number;
	onSeen: (from: Spot, to: Spot, balls: number) => void;
}) {
	const [lands, setLands] = useState("");
	const [stopsAt, setStopsAt] = useState("");
	const [balls, setBalls] = useState("3");
	const [wrong, setWrong] = useState<unknown>(null);
	const field = "input h-11 w-16 px-2 text-right";
	return (
		<form
			className="flex flex-wrap items-center gap-2"
			onSubmit={(event) => {
				event.preventDefault();
				try {
					const at = (text: string, what: string) => ({
						far: fromFar(neededNumber(text, what)),
						side: 0,
					});
					onSeen(
						at(lands, "landing"),
						at(stopsAt, "stop"),
						Math.round(neededNumber(balls, t("stop-number-balls"))),
					);
					setLands("");
					setStopsAt("");
					setWrong(null);
				} catch (error) {
					setWrong(error);
				}
			}}
		>
			<span className="quiet">{t("stop-paced", { unit: unit("far") })}</span>
			<input
				className={field}
				inputMode="decimal"
				aria-label={t("stop-landed", { unit: unitName("far") })}
				placeholder={t("label-land")}
				value={lands}
				onChange={(e) => setLands(e.target.value)}
			/>
			<input
				className={field}
				inputMode="decimal"
				aria-label={t("stop-stopped", { unit: unitName("far") })}
				placeholder={asFar(target as Metres)}
				value={stopsAt}
				onChange={(e) => setStopsAt(e.target.value)}
			/>
			<input
				className="input h-11 w-12 px-2 text-right"
				inputMode="numeric"
				aria-label={t("stop-balls-paced-together")}
				value={balls}
				onChange={(e) => setBalls(e.target.value)}
			/>
			{t("stop-balls")}
			<button type="submit" className="btn h-11 border-base-300 bg-base-100">
				{t("label-add")}
			</button>
			<Said error={wrong} />
		</form>
	);
}
