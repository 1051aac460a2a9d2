/** Two clubs under codes: which one is the new one? The player is asked, and the answer is not his belief. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { change } from "../acts";
import { client, got, type Session } from "../api/client";
import { codeLink } from "../api/session";
import { t } from "../said/words";
import type { Act } from "../session/place";
import { LinkSheet } from "./sole/Link";
import { Guess } from "./sole/Marks";
import type { Standing } from "./standing";

interface Props {
	session: Session;
	act: Act;
	standing: Standing;
}

export function RunBlind({ session, act, standing }: Props) {
	const { pairs, test } = standing;
	const pair =
		pairs.find((each) => each.old === session.in_hand || each.fresh === session.in_hand) ?? pairs[0];
	if (!pair) return null;
	return (
		<button
			type="button"
			className="btn h-11 border-base-300 bg-base-100"
			onClick={() => act(() => change.blindPair(session.id, test, pair.old, pair.fresh))}
		>
			{t("blind-hit-blind-new-or-old")}
		</button>
	);
}

export function BlindPair({
	session,
	act,
	standing,
	blind,
}: Props & { blind: NonNullable<Standing["blind"]> }) {
	const me = useQuery({ queryKey: ["me"], queryFn: () => got(client.GET("/api/me")) });
	const [link, setLink] = useState(false);
	const go = useNavigate();
	return (
		<div className="space-y-2">
			<p className="font-semibold">{t("blind-which-one-new-one")}</p>
			<Guess
				codes={blind.codes.map((each) => ({ value: each.build, name: each.word }))}
				guess={blind.guess}
				confidence={blind.confidence}
				onGuess={(code, sure) => act(() => change.guessCode(blind.id, code, sure))}
			/>
			<div className="flex flex-wrap items-center gap-2">
				<button
					type="button"
					className="btn btn-primary h-12"
					disabled={!standing.tasks.some((task) => task.done > 0)}
					onClick={() => {
						act(() => change.reveal(blind.id));
						go(`/sessions/${session.id}/bench?tab=tests`);
					}}
				>
					{t("label-reveal")}
				</button>
				{me.data?.username === blind.setter ? (
					<button type="button" className="btn h-11" onClick={() => setLink(true)}>
						{t("label-which-code-which")}
					</button>
				) : (
					<span className="quiet">
						{t("blind-only-may-see-which-code", { setterName: blind.setter_name || blind.setter })}
					</span>
				)}
				<button type="button" className="btn h-11" onClick={() => act(() => change.giveUp(blind.id))}>
					{t("label-give-up")}
				</button>
			</div>
			{link && <LinkSheet read={() => codeLink(blind.id)} onClose={() => setLink(false)} />}
		</div>
	);
}
