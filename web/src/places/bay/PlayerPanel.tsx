/** The player's own screen as the fitter sets it: what it shows, the code that opens it, and what was felt. */
import { useState } from "react";
import { change } from "../../acts";
import type { Build, PlayerMode, Session } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { Worded } from "../../said/Worded";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { buildOf, candidatesOf } from "../../session/select";
import { dropDraft } from "../../ui/draft";
import { Letter } from "../../ui/Letter";
import { Sheet } from "../../ui/Sheet";
import { AskFeel } from "../player/AskFeel";

export const MODES: Record<PlayerMode, string> = {
	blind: t("bay-blind-letter-count"),
	feel: t("bay-feel-first-asks-no-numbers"),
	simple: t("bay-simple-carry-flight"),
	full: t("bay-full-every-number"),
};
const ORDER = VOCABULARY.modes as readonly PlayerMode[];
export const nextMode = (session: Session): PlayerMode =>
	ORDER[(ORDER.indexOf(session.player?.mode ?? "full") + 1) % ORDER.length] ?? "blind";

type Doing = Pick<PlaceProps, "session" | "act">;

export function PlayerPanel({ session, act, onOpen }: Doing & { onOpen: () => void }) {
	const { player } = session;
	const asks = player?.asks ? buildOf(session, player.asks) : undefined;
	const numbers = player?.mode === "simple" || player?.mode === "full";
	return (
		<section aria-label={t("bay-players-screen")}>
			<h2 className="mb-1">
				{t("bay-players-screen")} <span className="key">9</span>
			</h2>
			{player?.code ? (
				<>
					<p className="text-[15px]">
						<Worded
							id="bay-shows-mode"
							drawn={{ mode: <span className="font-semibold">{MODES[player.mode]}</span> }}
						/>
						{asks && <>{t("bay-asks-about-now", { letter: asks.letter })}</>}
					</p>
					{!numbers && (
						<label
							className={`mt-1 flex min-h-11 items-center gap-2 text-[14.5px] ${player.away ? "" : "hole-text font-semibold"}`}
						>
							<input
								type="checkbox"
								className="checkbox"
								checked={player.away}
								onChange={(event) => act(() => change.screen(session.id, { away: event.target.checked }))}
							/>
							{player.away ? t("bay-monitors-screen-turned-away") : t("bay-turn-monitors-own-screen-away")}
						</label>
					)}
				</>
			) : (
				<p className="quiet text-sm">{t("bay-closed-open-tablet-ask-for")}</p>
			)}
			<button type="button" className="btn btn-sm mt-1 h-11 w-full" onClick={onOpen}>
				{player?.code ? t("bay-code", { code: player.code }) : t("bay-open-screen")}
			</button>
		</section>
	);
}

/** The code to type or to scan, the modes, and taking the code back. */
export function PlayerSheet({ session, act, onClose }: Doing & { onClose: () => void }) {
	const { player } = session;
	const address = `${window.location.origin}/player`;
	const here = ["localhost", "127.0.0.1", "[::1]"].includes(window.location.hostname);
	const ended = player?.expires_at && new Date(player.expires_at) < new Date();
	return (
		<Sheet title={t("bay-players-screen")} onClose={onClose}>
			{player?.code && !ended ? (
				<div className="flex flex-wrap items-start gap-5">
					<img
						src={`/api/sessions/${session.id}/player/qr?${player.code}`}
						alt={t("bay-code-scan-with-tablet")}
						className="h-52 w-52 bg-white"
					/>
					<div className="min-w-0 flex-1">
						<p className="quiet">{t("bay-scan-or-open")}</p>
						<p className="text-lg break-all">{address}</p>
						<p className="num my-2 text-5xl tracking-widest" data-testid="player-code">
							{player.code}
						</p>
						{here && <p className="hole-text text-sm">{t("bay-address-computer-only-open-second")}</p>}
						<p className="quiet text-sm">{t("bay-good-for-session-for-twelve")}</p>
					</div>
				</div>
			) : (
				<p className="mb-3">
					{t("bay-code-opens-second-display-or", { which: ended ? `${t("bay-code-has-run-out")} ` : "" })}
				</p>
			)}
			<div className="mt-4 flex flex-wrap gap-2">
				<button type="button" className="btn h-12" onClick={() => act(() => change.openScreen(session.id))}>
					{player?.code ? t("bay-new-code") : t("bay-open-screen")}
				</button>
				{player?.code && (
					<button
						type="button"
						className="btn h-12"
						onClick={() => act(() => change.closeScreen(session.id))}
					>
						{t("bay-take-code-back")}
					</button>
				)}
			</div>
			<h3 className="mt-5 mb-1 font-semibold">
				{t("bay-it-shows")} <span className="quiet font-normal">{t("bay-key-9-next")}</span>
			</h3>
			<div className="grid gap-2 sm:grid-cols-2">
				{ORDER.map((mode) => (
					<button
						key={mode}
						type="button"
						aria-pressed={player?.mode === mode}
						className={`btn h-12 justify-start ${player?.mode === mode ? "btn-primary" : ""}`}
						onClick={() => act(() => change.screen(session.id, { mode }))}
					>
						{MODES[mode]}
					</button>
				))}
			</div>
		</Sheet>
	);
}

/** What the player said aloud, written down by the fitter. */
export function FeltSheet({
	session,
	act,
	first,
	onClose,
}: Doing & { first: Build | undefined; onClose: () => void }) {
	const builds = candidatesOf(session);
	const [picked, setPicked] = useState(first?.letter ? first.id : builds[0]?.id);
	const build = builds.find((each) => each.id === picked);
	return (
		<Sheet title={t("bay-what-player-felt")} onClose={onClose} wide>
			<div className="mb-4 flex flex-wrap gap-2">
				{builds.map((each) => (
					<button
						key={each.id}
						type="button"
						aria-pressed={each.id === picked}
						className={`btn h-12 ${each.id === picked ? "btn-primary" : ""}`}
						onClick={() => setPicked(each.id)}
					>
						<Letter letter={each.letter} /> {each.name}
					</button>
				))}
			</div>
			{build ? (
				<AskFeel
					key={build.id}
					build={build.id}
					letter={build.letter}
					before={build.feel?.marks ?? {}}
					sending={false}
					onSay={(felt) => {
						act(() => change.felt(session.id, felt));
						dropDraft(`felt:${felt.build}`);
						onClose();
					}}
				/>
			) : (
				<p>{t("bay-put-build-stand-first")}</p>
			)}
		</Sheet>
	);
}
