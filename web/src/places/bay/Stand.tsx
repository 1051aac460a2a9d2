/** The builds on the stand and the player's own clubs, to take in hand. */
import { useState } from "react";
import type { Build, Session } from "../../api/client";
import { Gate } from "../../instruments/gate/Gate";
import type { Span } from "../../instruments/scale";
import { t } from "../../said/words";
import { windowFor } from "../../session/gates";
import { candidatesOf, carriesOf, ownOf } from "../../session/select";
import { Letter, letterColour } from "../../ui/Letter";
import { asFar, toFar } from "../../ui/units";

export function BayStand({
	session,
	span,
	onTake,
}: {
	session: Session;
	span: Span;
	onTake: (id: number) => void;
}) {
	const own = ownOf(session).filter((build) => build.head_type !== "putter");
	const [showOwn, setShowOwn] = useState(candidatesOf(session).length === 0);
	return (
		<aside aria-label={t("label-on-the-stand")} className="border-r border-base-300 bg-base-100">
			<h2 className="px-4 pt-4 pb-1 text-lg">{t("label-on-the-stand")}</h2>
			{candidatesOf(session).length === 0 && (
				<p className="quiet px-4 text-sm">{t("bay-nothing-yet-pick-candidates-bag")}</p>
			)}
			{groupsOf(session).map(({ title, builds }) => (
				<ul key={title} aria-label={title || t("label-on-the-stand")}>
					{title && <li className="quiet px-4 pt-2 text-sm">{title}</li>}
					{builds.map((build) => (
						<li key={build.id}>
							<button
								type="button"
								className={`block w-full cursor-pointer border-l-4 px-3 py-2.5 text-left ${build.id === session.in_hand ? "bg-base-200" : "border-transparent"}`}
								style={build.id === session.in_hand ? { borderColor: letterColour(build.letter) } : undefined}
								aria-pressed={build.id === session.in_hand}
								onClick={() => onTake(build.id)}
							>
								<span className="flex items-center gap-2">
									<Letter letter={build.letter} />
									<span className="num text-[17px]">{build.name}</span>
									<span className="quiet ml-auto text-sm">
										{t("bay-kept", {
											kept: build.kept,
											which: build.set_aside ? t("bay-aside", { setAside: build.set_aside }) : "",
										})}
									</span>
								</span>
								{build.turned_from && (
									<span className="quiet block text-[13px]">
										{build.work.length
											? t("bay-from", { turnedFrom: build.turned_from, list: build.work.join(", ") })
											: t("bay-turned-from", { turnedFrom: build.turned_from })}{" "}
										{build.detail}
									</span>
								)}
								<Gate
									span={span}
									low={windowFor(build)?.low ?? null}
									high={windowFor(build)?.high ?? null}
									dots={carriesOf(session, build.id)}
									mark={build.carry_m === null ? null : toFar(build.carry_m)}
									colour={letterColour(build.letter)}
									height={24}
									label={t("bay-carries-against-window", { letter: build.letter })}
								/>
								<span className="flex justify-between text-sm">
									<span>
										<span className="quiet">{t("label-carry-3")}</span>{" "}
										<span className="num">{asFar(build.carry_m)}</span>
									</span>
									<span className="quiet">{settledWords(session, build)}</span>
								</span>
							</button>
						</li>
					))}
				</ul>
			))}
			<button
				type="button"
				className="min-h-11 w-full cursor-pointer px-4 text-left text-sm underline"
				onClick={() => setShowOwn(!showOwn)}
			>
				{showOwn ? t("bay-hide-players-own-clubs") : t("bay-players-own-clubs")}
			</button>
			{showOwn && (
				<ul className="grid grid-cols-3 gap-2 px-3 pb-3">
					{own.map((build) => (
						<li key={build.id}>
							<button
								type="button"
								aria-pressed={build.id === session.in_hand}
								className={`min-h-12 w-full cursor-pointer text-center ${build.id === session.in_hand ? "bg-primary text-primary-content" : "bg-base-200"}`}
								onClick={() => onTake(build.id)}
							>
								<span className="num block">{build.name}</span>
								<span className="block text-[12px]">
									{build.kept ? asFar(build.carry_m) : t("label-not-hit")}
								</span>
							</button>
						</li>
					))}
				</ul>
			)}
		</aside>
	);
}

/** The builds of the stand by the end of the bag they are for, where both ends stand there. */
function groupsOf(session: Session): { title: string; builds: Build[] }[] {
	const all = candidatesOf(session);
	const [wedges, long] = [true, false].map((is) =>
		all.filter((build) => (build.head_type === "wedge") === is),
	);
	if (!wedges?.length || !long?.length) return [{ title: "", builds: all }];
	return [
		{ title: t("bag-long-end"), builds: long },
		{ title: t("label-wedges"), builds: wedges },
	];
}

function settledWords(session: Session, build: Build): string {
	const verdict = session.verdicts.find((each) => each.build === build.id);
	if (build.half_width_m === null) return t("label-not-hit");
	const within = `±${asFar(build.half_width_m, 1)}`;
	if (build.settled) return t("bay-settled", { within });
	if (verdict?.settled) return (verdict.chance ?? 0) < 0.5 ? t("bay-clear-window") : "settled";
	const more = verdict?.more ?? build.more;
	return more ? t("bay-more-settles", { within, more }) : within;
}
