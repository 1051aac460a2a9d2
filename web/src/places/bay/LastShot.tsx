import type { ReactNode } from "react";
import type { Build, Lie, Session, Shot } from "../../api/client";
import { useStandIn } from "../../api/session";
import { VOCABULARY } from "../../api/vocabulary";
import { termOf } from "../../api/words";
import { Gate } from "../../instruments/gate/Gate";
import { Num, Worded } from "../../said/Worded";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import { closeSpan, wantedOf, windowFor } from "../../session/gates";
import type { PlaceProps } from "../../session/place";
import { carriesOf, questionOf, sourceOf } from "../../session/select";
import { Letter, letterColour } from "../../ui/Letter";
import {
	asFar,
	farOf,
	figure,
	inShown,
	type Metres,
	metresOf,
	reading,
	shownAs,
	side,
	unit,
	unitName,
	whole,
	wish,
} from "../../ui/units";
import { useShotsBy } from "./NoShot";

export function InHand({
	session,
	build,
	code,
	live,
	children,
}: {
	session: Session;
	build: Build | undefined;
	/** What is going on while a code of a sole test is in hand, which has a strip of its own; else empty. */
	code: string;
	live: PlaceProps["live"];
	children?: ReactNode;
}) {
	const standIn = useStandIn(session.bay);
	const by = useShotsBy(session);
	const broken = live.is === "lost" || live.is === "silent";
	const elsewhere = !session.bay_is_here && session.in_hand !== null && !isClosed(session);
	return (
		<div className="flex flex-wrap items-center gap-3">
			{build && (build.letter ? <Letter letter={build.letter} size={30} /> : null)}
			<h2 className="min-w-0 flex-1 truncate text-[22px] max-sm:basis-2/3">
				{build ? build.name : code || t("bay-no-build-hand")}{" "}
				<span className="quiet text-[16px] font-normal">
					{build?.detail}
					{build?.shaft ? `, ${build.shaft}` : ""}
				</span>
			</h2>
			<span className={`flex shrink-0 items-center gap-2 ${broken ? "hole-text" : ""}`} role="status">
				<span
					className={`inline-block h-3 w-3 rounded-full border-2 ${live.is === "live" ? "bg-current" : ""}`}
				/>
				{live.is === "live" &&
					(standIn.data?.hitting
						? t("bay-stand-hitting")
						: by === "feed"
							? t("bay-feed-open")
							: t("bay-line-open"))}
				{live.is === "connecting" && t("bay-opening-feed")}
				{broken && t("bay-nothing-heard-since-trying-again", { since: clock(live.since) })}
			</span>
			{children}
			{elsewhere && (
				<p className="hole-text w-full font-semibold" role="status">
					{t("bay-take-build-hand-have-them", {
						which: session.bay_serves
							? `${t("bay-serves-now-shots-go-there", { bayName: session.bay_name, bayServes: session.bay_serves })} `
							: `${t("bay-serves-nobody-shots-wait-its", { bayName: session.bay_name })} `,
					})}
				</p>
			)}
		</div>
	);
}

/** To the second, as a fitter counts how long a screen has stood still. */
const clock = (at: number) => new Date(at).toLocaleTimeString("en-GB");

/** The last shot, where it came to lie and what became of it, for whoever hears the screen. */
export function Announced({ build, shot }: { build: Build | undefined; shot: Shot | undefined }) {
	const carry = shot ? farOf(shot.readings, "carry_m") : null;
	const { number } = shot ?? {};
	return (
		<p className="sr-only" role="status" aria-atomic="true">
			{build &&
				shot &&
				[
					t("bay-shot-heard", {
						name: `${build.letter} ${build.name}`.trim(),
						number,
						carry: carry === null ? t("label-not-read") : `${figure(carry)} ${unitName("far")}`,
					}),
					isStock(shot) && place(carry, windowFor(build)),
					shot.strike && termOf("strike", shot.strike),
					markOf(shot),
					shot.aside && t("bay-set-aside", { which: shot.aside_reason ? `, ${shot.aside_reason}` : "" }),
				]
					.filter(Boolean)
					.join(", ")}
		</p>
	);
}

export function LastShot({ session, build, shot }: { session: Session; build: Build; shot: Shot }) {
	const window = windowFor(build);
	const carry = farOf(shot.readings, "carry_m");
	const question = questionOf(session, shot);
	const clean = session.struck_clean[shot.id] as Metres | undefined;
	// The window is for stock shots: how far a half swing is short of it says nothing.
	const stock = isStock(shot);
	return (
		<div>
			<div className="flex flex-wrap items-end gap-x-6 gap-y-2">
				<p
					className={`num text-[5rem] leading-[0.8] tracking-tight sm:text-[6.75rem] ${shot.aside || shot.misread ? "quiet line-through" : ""}`}
					data-testid="last-carry"
				>
					{figure(carry)}
				</p>
				<div className="pb-1 text-[21px] leading-snug">
					<p className="quiet">{t("label-carry-4", { unit: unit("far") })}</p>
					<p className="font-semibold">{stock ? place(carry, window) : ""}</p>
					{(shot.strike || shot.aside || markOf(shot)) && (
						<p className="quiet text-[17px]">
							{shot.aside
								? t("bay-set-aside", { which: shot.aside_reason ? `, ${shot.aside_reason}` : "" })
								: [shot.strike && termOf("strike", shot.strike), markOf(shot)].filter(Boolean).join(", ")}
						</p>
					)}
					{shot.as_hit_m !== null && (
						<p className="quiet text-[17px]">
							{t("bay-as-hit-without-wind", {
								asHit: asFar(shot.as_hit_m),
								carry: asFar(metresOf(shot.readings, "carry_m")),
							})}
						</p>
					)}
					{clean !== undefined && (
						<p className="quiet text-[17px]">{t("bay-struck-clean-about", { clean: asFar(clean) })}</p>
					)}
					{question && <p className="hole-text text-[17px]">{t("bay-odd", { question })}</p>}
				</div>
				{/* What is out of its window is large. */}
				<dl className="flex flex-1 flex-wrap justify-end gap-x-6">
					{SHOWN.filter((key) => isOut(build, shot, key)).map((key) => (
						<div key={key} className="pb-1">
							<dt className="quiet text-[15px]">{shownAs(key).label}</dt>
							<dd className="text-[27px] leading-tight">
								<Value shot={shot} name={key} />
							</dd>
							<dd>
								<Aside session={session} build={build} shot={shot} name={key} />
							</dd>
						</div>
					))}
				</dl>
			</div>
			<div className="mt-3">
				<Gate
					span={closeSpan(session, build, carry)}
					low={window?.low ?? null}
					high={window?.high ?? null}
					dots={carriesOf(session, build.id)}
					mark={null}
					last={carry}
					colour={letterColour(build.letter)}
					labels
					height={40}
					label={t("bay-carries-build-against-window", { unit: unitName("far") })}
				/>
			</div>
			<dl className="mt-1 flex flex-wrap gap-x-5 gap-y-0.5 text-[15px]">
				{SHOWN.filter((key) => !isOut(build, shot, key)).map((key) => (
					<div key={key} className="flex items-baseline gap-1.5">
						<dt className="quiet text-[14px]">{shownAs(key).label}</dt>
						<dd>
							<Value shot={shot} name={key} />{" "}
							<Aside session={session} build={build} shot={shot} name={key} />
						</dd>
					</div>
				))}
				<div className="flex items-baseline gap-1.5">
					<dt className="quiet text-[14px]">{t("label-smash")}</dt>
					<dd className="num">{figure(smashOf(shot), 2)}</dd>
				</div>
			</dl>
		</div>
	);
}

type Shown = (typeof SHOWN)[number];
interface OfShot {
	session: Session;
	build: Build;
	shot: Shot;
	name: Shown;
}

const isStock = (shot: Shot) =>
	shot.intent === "stock" && !shot.apart && (shot.lie === null || CLEAN.includes(shot.lie));

/** Whether a reading lies outside what is wanted of it, as both are read. */
function isOut(build: Build, shot: Shot, key: Shown): boolean {
	const value = shot.readings[key];
	if (value === undefined || shot.aside || shot.misread || !isStock(shot)) return false;
	const { low, high } = wantedOf(build, key);
	const digits = shownAs(key).digits;
	const read = (each: number) => whole(inShown(key, each), digits);
	if (key === "offline_m") return high !== null && read(Math.abs(value)) > read(high);
	return (low !== null && read(value) < read(low)) || (high !== null && read(value) > read(high));
}

function Value({ shot, name }: Pick<OfShot, "shot" | "name">) {
	const { unit } = shownAs(name);
	return (
		<span className="num">
			{name === "offline_m" ? side(metresOf(shot.readings, name)) : reading(name, shot.readings[name])}
			{unit === "°" ? "" : <span className="quiet ml-0.5 font-normal"> {unit}</span>}
		</span>
	);
}

/** What is wanted of a reading, and where it comes from if it was not measured. */
function Aside({ session, build, shot, name }: OfShot) {
	const { low, high } = wantedOf(build, name);
	const source = name in shot.readings && sourceOf(session, shot, name);
	const words = [wish(name, low, high), source && source !== "measured" ? termOf("source", source) : ""]
		.filter(Boolean)
		.join(", ");
	return words && <span className="quiet text-[13px]">{words}</span>;
}

const SHOWN = [
	"landing_deg",
	"peak_m",
	"spin_rpm",
	"launch_deg",
	"total_m",
	"ball_speed_mps",
	"club_speed_mps",
	"offline_m",
] as const;
const CLEAN: readonly Lie[] = VOCABULARY.cleanLies;
const DELIVERY = ["path_deg", "face_deg", "attack_deg"] as const;

function smashOf({ readings }: Shot): number | null {
	const { ball_speed_mps: ball, club_speed_mps: club } = readings;
	return ball && club ? ball / club : null;
}

/** The shot that is to be copied, with what this one has other. */
export function Copy({ session, shot }: { session: Session; shot: Shot }) {
	const model = session.shots.find((each) => each.id === session.pinned);
	if (!model) return null;
	const said = (["carry_m", "landing_deg", "peak_m", "spin_rpm", "offline_m", ...DELIVERY] as const)
		.filter((key) => model.readings[key] !== undefined)
		.map((key) => {
			const { label, unit } = shownAs(key);
			const of = (value: number | undefined) =>
				value === undefined
					? "–"
					: `${reading(key, value)}${unit === "°" || key === "offline_m" ? "" : ` ${unit}`}`;
			return { key, label, model: of(model.readings[key]), now: of(shot.readings[key]) };
		});
	return (
		<section className="border-l-4 border-base-300 pl-3" aria-label={t("bay-shot-copy")}>
			<p className="quiet text-sm">
				{t("bay-copy-shot", { number: model.number, which: model.id === shot.id ? t("bay-this-one") : "" })}
			</p>
			<p className="flex flex-wrap gap-x-5 text-[15px]">
				{said.map((each) => (
					<span key={each.key}>
						<span className="quiet">{each.label}</span> <span className="num">{each.model}</span>
						{model.id !== shot.id && <span className="quiet"> {t("bay-now-2", { now: each.now })}</span>}
					</span>
				))}
			</p>
		</section>
	);
}

/** What the kept shots of this build come to so far. */
export function SoFar({ build }: { build: Build }) {
	if (build.kept === 0) return null;
	const delivery = DELIVERY.filter((key) => build.averages[key] !== undefined);
	return (
		<p className="text-[14.5px] leading-snug" data-testid="so-far">
			<span className="quiet">{t("bay-so-far")}</span>{" "}
			<Worded
				id="bay-longest-shortest"
				drawn={{
					longest: <Num>{asFar(build.longest_m)}</Num>,
					shortest: <Num>{asFar(build.shortest_m)}</Num>,
				}}
			/>
			{build.depth_m !== null && (
				<Worded
					id="bay-front-to-back"
					drawn={{ depth: <Num>{asFar(build.depth_m)}</Num>, width: <Num>{asFar(build.width_m)}</Num> }}
				/>
			)}
			{build.held && (
				<Worded
					id="bay-held-on"
					values={{ of: build.held.of, job: build.held.job }}
					drawn={{ hit: <Num>{build.held.hit}</Num> }}
				/>
			)}
			{delivery.length > 0 && (
				<>
					;{" "}
					{delivery
						.map((key) => `${shownAs(key).label.toLowerCase()} ${reading(key, build.averages[key])}`)
						.join(", ")}
				</>
			)}
			.
		</p>
	);
}

/** What is other about a shot, in a word or two. */
export function markOf(shot: Shot): string {
	if (shot.misread) return "misread";
	if (shot.old_swing) return t("label-old-swing");
	if (shot.lie && !CLEAN.includes(shot.lie)) return termOf("lie", shot.lie);
	if (shot.apart) return shot.apart;
	if (shot.intent !== "stock") return shot.intent;
	if (!shot.line) return t("bay-no-line");
	if (!shot.distance) return t("bay-no-carry");
	return shot.typed ? "typed" : "";
}

function place(carry: number | null, window: { low: number; high: number } | undefined): string {
	if (carry === null || !window) return "";
	const [far, low, high] = [whole(carry), whole(window.low), whole(window.high)];
	if (far < low) return t("bay-short-window", { low: low - far });
	if (far > high) return t("bay-long-window", { far: far - high });
	return t("label-in-the-window");
}
