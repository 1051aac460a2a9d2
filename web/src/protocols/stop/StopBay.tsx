/** The stop test in the Bay: the green is said once, then each ball is tapped where it lands and where it stops. */
import { useState } from "react";
import type { Session } from "../../api/client";
import { useWaiting } from "../../api/outbox";
import { change } from "../../api/session";
import { VOCABULARY } from "../../api/vocabulary";
import { handed } from "../../session/handed";
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
				act(
					() => change.ask(session.id, "stop", "stock"),
					(seen) => ({ ...seen, protocol: "stop", intent: "stock" }),
				);
				onAsked();
			}}
		>
			Stop test
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
				Hole at
				<input
					key={green.target_m}
					className={field}
					inputMode="decimal"
					aria-label={`Distance to the hole in ${unitName("far")}`}
					defaultValue={asFar(green.target_m as Metres)}
					disabled={agreed}
					onBlur={typed("yardage", "target_m", fromFar(1))}
				/>
				{unit("far")}
			</label>
			<label className="flex items-center gap-1.5">
				Ground
				<select
					className="select h-11 w-28"
					aria-label="How firm the green is"
					value={green.firmness}
					disabled={agreed}
					onChange={(event) => write({ firmness: event.target.value as Firmness })}
				>
					{VOCABULARY.firmness.map((each) => (
						<option key={each} value={each}>
							{each}
						</option>
					))}
				</select>
			</label>
			<label className="flex items-center gap-1.5">
				Meter
				<input
					key={green.green_ft}
					className={field}
					inputMode="decimal"
					aria-label="Green speed in feet of the meter"
					defaultValue={figure(green.green_ft, green.green_ft % 1 ? 1 : 0)}
					disabled={agreed}
					onBlur={typed("green speed", "green_ft")}
				/>
				on the meter
			</label>
			<label className="flex items-center gap-1.5">
				Uphill
				<input
					key={green.slope_percent}
					className={field}
					inputMode="decimal"
					aria-label="Slope in percent, uphill positive"
					defaultValue={String(green.slope_percent)}
					disabled={agreed}
					onBlur={typed("slope", "slope_percent")}
				/>
				%
			</label>
			<label className="flex items-center gap-1.5">
				Wind
				<input
					key={green.wind_mps}
					className={field}
					inputMode="decimal"
					aria-label={`Wind in ${unit("speed")}`}
					defaultValue={figure(toSpeed(green.wind_mps ?? 0), speedDigits())}
					disabled={agreed}
					onBlur={typed("wind", "wind_mps", fromSpeed(1))}
				/>
				{unit("speed")}
			</label>
			{(green.wind_mps ?? 0) > 0 && (
				<select
					className="select h-11 w-44"
					aria-label="Where the wind comes from"
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

export function StopStrip({ session, act, agreed }: StripProps) {
	const stops = session.bag.short?.stops;
	// The wedge that was chosen, with what was in hand then: it leads until something else is taken up.
	const [chosen, setChosen] = useState<{ id: number; held: number | null } | null>(null);
	const [landed, setLanded] = useState<Spot | null>(null);
	const waiting = useWaiting<Sent>(`/api/sessions/${session.id}/stops`);
	if (!stops) return <p className="quiet">No wedge is in the bag: add them on the Bag first.</p>;
	const inHand = stops.wedges.find((id) => id === session.in_hand);
	const leads = chosen && (session.in_hand === chosen.id || session.in_hand === chosen.held);
	const club = (leads ? stops.wedges.find((id) => id === chosen.id) : undefined) ?? inHand ?? stops.wedges[0];
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
		<section aria-label="Stop test" className="space-y-2 text-[15px]">
			<PlayedTo session={session} act={act} agreed={agreed} stops={stops} />
			<div className="flex flex-wrap gap-1" role="group" aria-label="Wedge of the stop test">
				{stops.wedges.map((id) => (
					<button
						key={id}
						type="button"
						aria-pressed={id === club}
						className={`btn h-12 font-normal ${id === club ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={() => {
							setChosen({ id, held: session.in_hand });
							setLanded(null);
							// In hand, so that the monitor's shots are filed under it.
							if (!agreed && id !== session.in_hand)
								act(
									() => change.inHand(session.id, id),
									(seen) => handed(seen, id),
								);
						}}
					>
						<ClubName session={session} build={id} />
						<span className="num">
							{count(id) >= stops.wanted ? `${count(id)} ✓` : `${count(id)} of ${stops.wanted}`}
						</span>
					</button>
				))}
			</div>
			<div className="flex min-h-11 flex-wrap items-center gap-x-4">
				<p className="font-semibold" aria-live="polite">
					{landed ? "Now where it stopped." : "Touch where it landed."}
				</p>
				<p className="quiet">
					{stops.minutes ? `About ${stops.minutes} min for the rest.` : "All wedges have their balls."}
				</p>
				{landed && (
					<button type="button" className="btn btn-sm h-11" onClick={() => setLanded(null)}>
						Landing again
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
				<ul className="flex flex-wrap items-center gap-1" aria-label="Balls of this wedge">
					<li className="quiet mr-1">Touch one to set it aside:</li>
					{mine.map((each) => (
						<li key={each.id}>
							<button
								type="button"
								className={`btn h-11 border-base-300 bg-base-100 font-normal ${each.aside ? "line-through opacity-70" : ""}`}
								aria-label={`Landed ${asFar(each.landed_m as Metres)}, stopped ${asFar(each.stopped_m as Metres)}${each.aside ? ", set aside" : ""}`}
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
			className="flex flex-wrap items-center gap-1.5"
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
						Math.round(neededNumber(balls, "number of balls")),
					);
					setLands("");
					setStopsAt("");
					setWrong(null);
				} catch (error) {
					setWrong(error);
				}
			}}
		>
			<span className="quiet">Paced, {unit("far")}:</span>
			<input
				className={field}
				inputMode="decimal"
				aria-label={`Landed, ${unitName("far")}`}
				placeholder="land"
				value={lands}
				onChange={(e) => setLands(e.target.value)}
			/>
			<input
				className={field}
				inputMode="decimal"
				aria-label={`Stopped, ${unitName("far")}`}
				placeholder={asFar(target as Metres)}
				value={stopsAt}
				onChange={(e) => setStopsAt(e.target.value)}
			/>
			<input
				className="input h-11 w-12 px-2 text-right"
				inputMode="numeric"
				aria-label="Balls paced together"
				value={balls}
				onChange={(e) => setBalls(e.target.value)}
			/>
			balls
			<button type="submit" className="btn h-11 border-base-300 bg-base-100">
				Add
			</button>
			<Said error={wrong} />
		</form>
	);
}
