import type { Build, Session, Shot } from "../api/client";
import type { PlaceProps } from "../app/SessionFrame";
import { Gate } from "../instruments/Gate";
import type { Span } from "../instruments/scale";
import { Letter, letterColour } from "../ui/Letter";
import { figure, READINGS, reading, side, toYards, wish, yd } from "../ui/units";
import { windowFor } from "./gates";
import { carriesOf, countsFor, targetOf } from "./model";

export function InHand({
	session,
	build,
	live,
}: {
	session: Session;
	build: Build | undefined;
	live: PlaceProps["live"];
}) {
	return (
		<div className="flex items-center gap-3">
			{build && (build.letter ? <Letter letter={build.letter} size={30} /> : null)}
			<h2 className="min-w-0 flex-1 truncate text-[22px]">
				{build ? build.name : "No build in hand"}{" "}
				<span className="quiet text-[16px] font-normal">
					{build?.detail}
					{build?.shaft ? `, ${build.shaft}` : ""}
				</span>
			</h2>
			<span
				className={`flex shrink-0 items-center gap-2 ${live === "lost" ? "hole-text" : ""}`}
				role="status"
			>
				<span
					className={`inline-block h-3 w-3 rounded-full border-2 ${live === "live" ? "bg-current" : ""}`}
				/>
				{live === "live"
					? session.stand_in
						? "Stand-in hitting"
						: "Feed open"
					: live === "lost"
						? "Feed lost, trying again"
						: "Opening the feed"}
			</span>
		</div>
	);
}

export function LastShot({
	session,
	build,
	shot,
	span,
}: {
	session: Session;
	build: Build;
	shot: Shot;
	span: Span;
}) {
	const window = windowFor(session, build);
	const carry = shot.readings.carry_m === undefined ? null : toYards(shot.readings.carry_m);
	const slot = session.verdicts.find((each) => each.build === build.id)?.slot ?? 0;
	return (
		<div>
			<div className="flex items-end gap-6">
				<p
					className={`num text-[9.5rem] leading-[0.8] tracking-tight ${shot.aside || shot.misread ? "quiet line-through" : ""}`}
					data-testid="last-carry"
				>
					{figure(carry)}
				</p>
				<div className="pb-1 text-[21px] leading-snug">
					<p className="quiet">carry, yd</p>
					<p className="font-semibold">{place(carry, window)}</p>
					{(shot.strike || shot.aside || markOf(shot)) && (
						<p className="quiet text-[17px]">
							{shot.aside
								? `set aside${shot.aside_reason ? `, ${shot.aside_reason}` : ""}`
								: [shot.strike, markOf(shot)].filter(Boolean).join(", ")}
						</p>
					)}
					{shot.question && <p className="hole-text text-[17px]">Odd: {shot.question}</p>}
				</div>
			</div>
			<div className="mt-4">
				<Gate
					span={span}
					low={window?.low ?? null}
					high={window?.high ?? null}
					dots={carriesOf(session, build.id)}
					mark={null}
					last={carry}
					colour={letterColour(build.letter)}
					labels
					height={46}
					label="Carries of this build against the window, yards"
				/>
			</div>
			<dl className="mt-3 grid grid-cols-3 gap-x-6 gap-y-3 md:grid-cols-6">
				{(["landing_deg", "peak_m", "spin_rpm", "ball_speed_mps", "launch_deg", "offline_m"] as const).map(
					(key) => {
						const target = build.letter ? targetOf(session, slot, key) : undefined;
						const source = shot.sources[key];
						return (
							<div key={key}>
								<dt className="quiet text-sm">{READINGS[key]?.label}</dt>
								<dd className="num text-[27px] leading-tight">
									{key === "offline_m" ? side(shot.readings[key]) : reading(key, shot.readings[key])}
									<span className="quiet ml-1 text-[14px] font-normal">
										{READINGS[key]?.unit === "°" ? "" : READINGS[key]?.unit}
									</span>
								</dd>
								<dd className="quiet text-[13px]">
									{target ? wish(key, target.low, target.high) : ""}
									{source && source !== "measured" ? `${target ? ", " : ""}${source}` : ""}
								</dd>
							</div>
						);
					},
				)}
			</dl>
		</div>
	);
}

/** What is other about a shot, in a word or two. */
function markOf(shot: Shot): string {
	if (shot.misread) return "misread";
	if (shot.intent !== "stock") return shot.intent;
	if (!shot.line) return "no line";
	return shot.distance ? "" : "no carry";
}

function place(carry: number | null, window: { low: number; high: number } | undefined): string {
	if (carry === null || !window) return "";
	if (carry < window.low) return `${Math.max(1, Math.round(window.low - carry))} short of the window`;
	if (carry > window.high) return `${Math.max(1, Math.round(carry - window.high))} long of the window`;
	return "In the window";
}

interface RowProps {
	shots: Shot[];
	shot: Shot | undefined;
	colour: string;
	onTouch: (id: number) => void;
}

export function ShotRow({ shots, shot, colour, onTouch }: RowProps) {
	return (
		<ol className="flex flex-wrap gap-1.5" aria-label="Shots of this build">
			{shots.map((each, index) => (
				<li key={each.id}>
					<button
						type="button"
						className={`min-h-16 w-18 cursor-pointer border-b-3 bg-base-100 px-2 py-1 text-left ${each.id === shot?.id ? "outline-2" : ""}`}
						style={{ borderColor: countsFor(each) ? colour : "transparent" }}
						aria-pressed={each.id === shot?.id}
						aria-label={`Shot ${index + 1}, carry ${yd(each.readings.carry_m)}${each.aside ? ", set aside" : ""}`}
						onClick={() => onTouch(each.id)}
					>
						<span className="quiet block text-[12px]">{index + 1}</span>
						<span
							className={`num block text-[19px] leading-tight ${each.aside || each.misread ? "quiet line-through" : ""}`}
						>
							{yd(each.readings.carry_m)}
						</span>
						<span className={`block text-[12px] ${each.question ? "hole-text" : "quiet"}`}>
							{each.strike || (each.aside ? "aside" : markOf(each) || (each.question ? "odd?" : "\u00a0"))}
						</span>
					</button>
				</li>
			))}
		</ol>
	);
}
