/** What the next shots are hit from and with: what holds now, each changed by one key or touch. */
import { ChevronDown } from "lucide-react";
import { useState } from "react";
import { change } from "../../acts";
import type { Ball, Intent, Lie, Session } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { PROTOCOLS, protocolKeys, termOf } from "../../api/words";
import { t } from "../../said/words";
import { cameBack } from "../../session/handed";
import type { PlaceProps } from "../../session/place";
import { buildOf } from "../../session/select";
import { AsLeft } from "../../ui/AsLeft";
import { dropDraft, useDrafted } from "../../ui/draft";
import { Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { neededNumber } from "../../ui/typed";
import {
	asFar,
	figure,
	fromFar,
	fromSpeed,
	fromUnit,
	inUnit,
	lengthText,
	speedDigits,
	toSpeed,
	unit,
	unitName,
} from "../../ui/units";
import { FROM } from "../../ui/wind";

/** From these a shot speaks for the club. */
const CLEAN: readonly Lie[] = VOCABULARY.cleanLies;
export const LIES: (Lie | null)[] = [null, ...VOCABULARY.lies];
const WORDS: Record<string, string> = VOCABULARY.lengths;
const LENGTHS = Object.keys(WORDS);
export const BALLS: readonly Ball[] = VOCABULARY.balls;
/** Swings by the key: the comfortable maximum is chosen, never come across. */
const BY_KEY = LENGTHS.filter((each) => each !== "comfortable");
export const nextLength = (now: string) => after(BY_KEY, BY_KEY.includes(now) ? now : "full");
const BALL: Record<Ball, string> = {
	own: t("bay-own-ball"),
	hard: t("bay-hard-ball"),
	range: t("bay-range-ball"),
};

/** The one after another of a list, and round again. */
export const after = <T,>(all: readonly T[], now: T): T => all[(all.indexOf(now) + 1) % all.length] as T;

const INTENTS = VOCABULARY.intents as readonly Intent[];
/** What is meant next by the key: a yardage only once one was asked for. */
export const nextIntent = ({ intent, asked_carry_m }: Session): Intent =>
	after(
		INTENTS.filter((each) => each !== "yardage" || asked_carry_m !== null || intent === "yardage"),
		intent,
	);
export const meant = (session: Session, intent: Intent) => {
	const protocol = protocolKeys.find((each) => PROTOCOLS[each].intents.includes(intent)) ?? "full_swing";
	return change.ask(session.id, protocol, intent);
};

/** Where the wind comes from, in words. */
export function windWords(mps: number, fromDeg: number): string {
	if (mps < 0.05) return t("bay-calm");
	const sides = [
		t("label-wind-against"),
		t("bay-from-ahead-right"),
		t("label-from-right"),
		t("bay-from-behind-right"),
	];
	const more = [
		t("label-wind-helping"),
		t("bay-from-behind-left"),
		t("label-from-left"),
		t("bay-from-ahead-left"),
	];
	const words = [...sides, ...more][Math.round(fromDeg / 45) % 8] ?? "against";
	return `${figure(toSpeed(mps), speedDigits())} ${unit("speed")} ${words}`;
}

interface Props extends Pick<PlaceProps, "session" | "act"> {
	agreed: boolean;
	onMore: () => void;
}

/** What the club that was taken up last changed beside itself, as long as it stays in hand. */
function useCameBack(session: Session): string {
	const [last, setLast] = useState({ session, said: "" });
	if (last.session !== session) {
		const said = cameBack(last.session, session);
		const stays = last.session.id === session.id && last.session.in_hand === session.in_hand;
		setLast({ session, said: stays ? last.said : said });
	}
	return last.said;
}

export function RunBar({ session, act, agreed, onMore }: Props) {
	const back = useCameBack(session);
	const { length, struck_ball: ball, lie } = session;
	const unclean = lie !== null && !CLEAN.includes(lie);
	const windy = session.wind_mps > 0;
	const wedge = buildOf(session, session.in_hand)?.head_type === "wedge";
	// As far as one would hit it on the course is asked of wedges alone.
	const offered = (each: string) => each !== "comfortable" || wedge || length === each;
	const select = "select h-11 ps-2 pe-6";
	const [open, setOpen] = useState(false);
	const line = (
		<>
			<button
				type="button"
				className="flex min-h-11 w-full cursor-pointer flex-wrap items-center gap-x-1.5 text-left"
				aria-expanded={open}
				disabled={agreed}
				onClick={() => setOpen(!open)}
			>
				<span className="quiet">{t("bay-hit-next-from")}</span>{" "}
				{wordsOf(session).map((each, index) => (
					<span key={each.said} className={each.usual ? "" : "font-semibold"}>
						{index > 0 && <span className="quiet"> · </span>}
						{each.said}
					</span>
				))}
				<ChevronDown size={16} className={open ? "rotate-180" : ""} aria-hidden />
			</button>
			{back && (
				<span className="basis-full text-[15px] font-semibold" role="status">
					{back}
				</span>
			)}
			<span className="quiet basis-full text-[14px] empty:hidden">{said(unclean, length, ball, windy)}</span>
		</>
	);
	if (!open)
		return (
			<div className="-my-2 text-[15px]" data-testid="run-bar">
				{line}
			</div>
		);
	return (
		<div className="-my-2 flex flex-wrap items-center gap-x-2 gap-y-1 text-[15px]" data-testid="run-bar">
			{line}
			<label className="flex items-center gap-1">
				<span className="key">R</span>
				<select
					className={`${select} w-26`}
					aria-label={t("bay-what-hit-from-next")}
					value={lie ?? ""}
					disabled={agreed}
					onChange={(event) =>
						act(() => change.hitFrom(session.id, (event.target.value || null) as Lie | null))
					}
				>
					<option value="">{termOf("surface", session.surface)}</option>
					{VOCABULARY.lies.map((each) => (
						<option key={each} value={each}>
							{termOf("lie", each)}
						</option>
					))}
				</select>
			</label>
			<label className="flex items-center gap-1">
				<span className="key">−</span>
				<select
					className={`${select} w-30`}
					aria-label={t("bay-how-long-next-swings")}
					value={length}
					disabled={agreed}
					onChange={(event) => act(() => change.run(session.id, { length: event.target.value }))}
				>
					{[...new Set([...LENGTHS, length])].filter(offered).map((each) => (
						<option key={each} value={each}>
							{t("bay-swing", { words: WORDS[each] ?? t("label-to-2", { each }) })}
						</option>
					))}
				</select>
			</label>
			<label className="flex items-center gap-1">
				<span className="key">;</span>
				<select
					className={`${select} w-22`}
					aria-label={t("bay-what-meant-next")}
					value={session.intent}
					disabled={agreed}
					onChange={(event) => act(() => meant(session, event.target.value as Intent))}
				>
					{INTENTS.map((each) => (
						<option key={each} value={each}>
							{termOf("intent", each)}
						</option>
					))}
				</select>
			</label>
			{session.intent === "yardage" && (
				<label className="flex items-center gap-1">
					{t("label-carry-3")}
					<input
						key={session.asked_carry_m}
						className="input h-11 w-16 px-1.5 text-right"
						inputMode="decimal"
						aria-label={t("label-yardage-asked-for")}
						defaultValue={session.asked_carry_m === null ? "" : asFar(session.asked_carry_m)}
						disabled={agreed}
						onBlur={(event) => {
							if (event.target.value === event.target.defaultValue) return;
							const asked = Number(event.target.value.replace(",", "."));
							if (Number.isFinite(asked) && asked > 0)
								act(() => change.run(session.id, { asked_carry_m: fromFar(asked) }));
						}}
					/>
					{unit("far")}
				</label>
			)}
			<label className="flex items-center gap-1">
				<span className="key">=</span>
				<select
					className={`${select} w-24`}
					aria-label={t("bay-the-ball")}
					value={ball}
					disabled={agreed}
					onChange={(event) => act(() => change.run(session.id, { struck_ball: event.target.value as Ball }))}
				>
					{BALLS.map((each) => (
						<option key={each} value={each}>
							{BALL[each]}
						</option>
					))}
				</select>
			</label>
			<button type="button" className="min-h-11 cursor-pointer" disabled={agreed} onClick={onMore}>
				<span className="key">/</span> {t("bay-wind-tee-air")}
			</button>
		</div>
	);
}

/** What holds for the next shots, a few words each; usual: as nobody would say it. */
function wordsOf(session: Session): { said: string; usual: boolean }[] {
	const { length, struck_ball: ball, lie, intent, tee_mm: tee, gripped_in: grip } = session;
	const windy = session.wind_mps > 0;
	const air = `${windWords(session.wind_mps, session.wind_from_deg)}, ${figure(inUnit("warmth", session.temperature_c))} ${unit("warmth")}`;
	const found = [
		{ said: lie === null ? termOf("surface", session.surface) : termOf("lie", lie), usual: lie === null },
		{
			said: t("bay-swing", { words: WORDS[length] ?? t("label-to-2", { each: length }) }),
			usual: length === "full",
		},
		{ said: termOf("intent", intent), usual: intent === "stock" },
		...(intent === "yardage"
			? [{ said: `${asFar(session.asked_carry_m)} ${unit("far")}`, usual: false }]
			: []),
		{ said: BALL[ball], usual: ball === "own" },
		{ said: air, usual: !windy },
	];
	if (tee)
		found.push({
			said: t("bay-tee", { teeMm: lengthText(tee / 1000), unit: unit("club_length") }),
			usual: false,
		});
	if (grip > 0)
		found.push({
			said: t("bay-gripped-down", {
				grippedIn: lengthText(grip * 0.0254),
				unit: unit("club_length"),
			}),
			usual: false,
		});
	return found;
}

/** What the run says of the club, where it does not speak for its stock figures. */
function said(unclean: boolean, length: string, ball: Ball, windy: boolean): string {
	if (unclean) return t("bay-says-what-lie-does-not");
	if (length === "comfortable") return t("bay-as-far-as-player-would");
	if (length !== "full") return t("bay-another-swing-kept-apart-but");
	if (ball !== "own") return t("bay-another-ball-kept-apart-where");
	return windy ? t("bay-flight-model-takes-wind-out") : "";
}

/** Wind, the height of the tee and the air of the next run. */
export function RunSheet({
	session,
	act,
	onClose,
}: Pick<PlaceProps, "session" | "act"> & { onClose: () => void }) {
	const form = `run:${session.id}`;
	const windNow = figure(toSpeed(session.wind_mps), speedDigits());
	const warmNow = figure(inUnit("warmth", session.temperature_c));
	const teeNow = session.tee_mm ? lengthText(session.tee_mm / 1000) : "";
	const gripNow = session.gripped_in ? lengthText(session.gripped_in * 0.0254) : "";
	const [wind, setWind] = useDrafted(form, "wind", windNow);
	const [from, setFrom] = useDrafted(form, "from", Math.round(session.wind_from_deg / 45) * 45);
	const [tee, setTee] = useDrafted(form, "tee", teeNow);
	const [warm, setWarm] = useDrafted(form, "warm", warmNow);
	const [grip, setGrip] = useDrafted(form, "grip", gripNow);
	const [wrong, setWrong] = useState<unknown>(null);
	const field = "input h-11 w-24";
	return (
		<Sheet title={t("bay-wind-tee-air-grip-next")} onClose={onClose}>
			<form
				className="space-y-4"
				onSubmit={(event) => {
					event.preventDefault();
					try {
						// What still reads as it stood is what stood, to the last digit.
						const body = {
							wind_mps: wind === windNow ? session.wind_mps : fromSpeed(neededNumber(wind, "wind")),
							wind_from_deg: from % 360,
							tee_mm:
								tee === teeNow
									? session.tee_mm
									: tee.trim()
										? Math.round(fromUnit("club_length", neededNumber(tee, "tee")) * 1000)
										: 0,
							temperature_c:
								warm === warmNow
									? session.temperature_c
									: fromUnit("warmth", neededNumber(warm, "temperature")),
							gripped_in:
								grip === gripNow
									? session.gripped_in
									: grip.trim()
										? fromUnit("club_length", neededNumber(grip, "grip")) / 0.0254
										: 0,
						};
						act(() => change.run(session.id, body));
						dropDraft(form);
						onClose();
					} catch (error) {
						setWrong(error);
					}
				}}
			>
				<AsLeft form={form} />
				<div className="flex flex-wrap items-center gap-3">
					<label className="flex items-center gap-2">
						{t("label-wind")}
						<input
							className={field}
							aria-label={t("label-wind-in", { unit: unitName("speed") })}
							value={wind}
							inputMode="decimal"
							onChange={(e) => setWind(e.target.value)}
						/>
						{unit("speed")}
					</label>
					<select
						className="select h-11 w-48"
						aria-label={t("label-where-wind-comes-from")}
						value={from}
						onChange={(e) => setFrom(Number(e.target.value))}
					>
						{FROM.map(([deg, words]) => (
							<option key={deg} value={deg}>
								{words}
							</option>
						))}
					</select>
				</div>
				<div className="flex flex-wrap items-center gap-3">
					<label className="flex items-center gap-2">
						{t("bay-tee-2")}
						<input
							className={field}
							aria-label={t("bay-height-tee", { unit: unitName("club_length") })}
							value={tee}
							inputMode="numeric"
							onChange={(e) => setTee(e.target.value)}
						/>
						{unit("club_length")}
					</label>
					<label className="flex items-center gap-2">
						{t("bay-air")}
						<input
							className={field}
							aria-label={t("bay-temperature-in", { unit: unitName("warmth") })}
							value={warm}
							inputMode="decimal"
							onChange={(e) => setWarm(e.target.value)}
						/>
						{unit("warmth")}
					</label>
					<label className="flex items-center gap-2">
						{t("bay-gripped-down-2")}
						<input
							className={field}
							aria-label={t("bay-gripped-down-by", { unit: unitName("club_length") })}
							value={grip}
							inputMode="decimal"
							onChange={(e) => setGrip(e.target.value)}
						/>
						{unit("club_length")}
					</label>
				</div>
				<p className="quiet text-sm">{t("bay-wind-as-forecasts-give-10")}</p>
				<Said error={wrong} />
				<button type="submit" className="btn btn-primary h-12">
					{t("bay-from-next-shot")}
				</button>
			</form>
		</Sheet>
	);
}
