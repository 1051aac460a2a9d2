/** After the duel: the player's guess, a lie gone back to, and the reveal. */

import { useState } from "react";
import { useNavigate } from "react-router";
import { change } from "../../acts";
import type { Session, SoleTest } from "../../api/client";
import { codeLink, lookedUp } from "../../api/session";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { Act } from "../../session/place";
import { Sheet } from "../../ui/Sheet";
import { placeOf, wordOf } from "./coming";
import { LinkSheet } from "./Link";
import { codesOf, Guess } from "./Marks";

interface Props {
	session: Session;
	act: Act;
	test: SoleTest;
}

/** lost: what was said has no line yet, so that nobody can tell what came of it. */
export function Ending({ session, act, test, lost }: Props & { lost: boolean }) {
	const guess = (code: number, confidence: string) => act(() => change.guessCode(test.id, code, confidence));
	const open = test.blind === "open";
	return (
		<div className="space-y-3">
			<h2 className="text-[2rem] leading-tight font-semibold">
				{open ? t("label-all-hit") : t("sole-all-hit-which-one-sole")}
			</h2>
			{!open && (
				<Guess codes={codesOf(test)} guess={test.guess} confidence={test.confidence} onGuess={guess} />
			)}
			<p>{lost ? t("sole-told-with-the-line") : test.result.sentences.join(" ")}</p>
			<div className="flex flex-wrap items-center gap-2">
				<Reveal session={session} act={act} test={test} lost={lost} />
				{!open && !lost && <GoBack act={act} test={test} />}
			</div>
		</div>
	);
}

/** Ends the blindness; where lies are left, or nobody guessed, that is said first. */
export function Reveal({ session, act, test, lost = false }: Props & { lost?: boolean }) {
	const go = useNavigate();
	const [asked, setAsked] = useState(false);
	const [told, setTold] = useState(false);
	const [sent, setSent] = useState(false); // without a line the button stays on the screen
	const unplayed = lost ? [] : test.unplayed;
	const left = unplayed.map((key) => placeOf(test, key)?.name.toLowerCase()).join(", ");
	const open = test.blind === "open";
	const reveal = () => {
		act(() => change.reveal(test.id, left !== ""));
		setAsked(false);
		setSent(lost);
		if (lost && lookedUp(test.id)) setTold(true);
		else go(`/sessions/${session.id}/bench?tab=tests`);
	};
	return (
		<>
			<button
				type="button"
				className="btn btn-primary h-14 px-6 text-lg"
				disabled={isClosed(session) || sent}
				onClick={() => (left || (!open && test.guess === null) ? setAsked(true) : reveal())}
			>
				{open ? t("label-done") : t("label-reveal")}
			</button>
			{told && (
				<LinkSheet read={() => codeLink(test.id)} known={lookedUp(test.id)} onClose={() => setTold(false)} />
			)}
			{asked && (
				<Sheet title={open ? t("sole-end-now") : t("sole-reveal-now")} onClose={() => setAsked(false)}>
					<div className="space-y-3 text-[17px]">
						{left && <p>{t("sole-not-played-by-those-left", { left })}</p>}
						{!open && test.guess === null && <p>{t("sole-player-has-not-guessed-yet")}</p>}
						<div className="flex gap-2">
							<button type="button" className="btn btn-primary h-12" onClick={reveal}>
								{open ? t("sole-end-it") : t("sole-reveal-all-same")}
							</button>
							<button type="button" className="btn h-12" onClick={() => setAsked(false)}>
								{t("sole-not-yet")}
							</button>
						</div>
					</div>
				</Sheet>
			)}
		</>
	);
}

/** The finalists once more at one lie: which lie decides takes three returns to it. */
function GoBack({ act, test }: { act: Act; test: SoleTest }) {
	return (
		<label className="flex items-center gap-2 text-[15px]">
			<select
				className="select h-14 w-80"
				aria-label={t("sole-go-back-lie")}
				value=""
				onChange={(event) => {
					const place = event.target.value; // the list is back at its first line when this is sent
					if (place) act(() => change.goBack(test.id, place));
				}}
			>
				<option value="">{t("sole-go-back-lie-with", { wordsLeft: wordsLeft(test) })}</option>
				{test.places
					.filter((place) => !test.unplayed.includes(place.key))
					.map((place) => (
						<option key={place.key} value={place.key}>
							{place.name}
						</option>
					))}
			</select>
		</label>
	);
}

const wordsLeft = (test: SoleTest) =>
	test.codes
		.filter((each) => each.dropped === null)
		.map((each) => wordOf(test, each.code))
		.join(" and ");
