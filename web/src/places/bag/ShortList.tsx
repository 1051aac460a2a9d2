/** Which heads of the rack should land in the window, before anyone pulls them; one act puts the chosen ones up. */

import { useId, useState } from "react";
import { Link } from "react-router";
import type { Ranked, Shortlist } from "../../api/client";
import { useShortlist } from "../../api/session";
import { useCommands } from "../../commands/commands";
import { inGroup } from "../../commands/rows";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { PlaceProps } from "../../session/place";
import { usePutUp } from "../../session/putUp";
import { lettersOf, targetOf } from "../../session/select";
import { listOf } from "../../session/words";
import { Letter } from "../../ui/Letter";
import { useMoney } from "../../ui/money";
import { Said, Waiting } from "../../ui/Said";
import { asFar, figure, reading, unit, whole } from "../../ui/units";

const FIRST = 3;
const WORTH = 0.15;
const ROOM = 8;

const keyOf = (row: Ranked) => `${row.head} ${row.set_loft_deg}`;

/** The first few that may well fill the window and are not up yet. */
function firstOnes(list: Shortlist | undefined): string[] {
	const rows = (list?.slots ?? []).flat();
	const open = rows.filter(
		(row) => row.supported && !row.letter && row.shaft !== null && (row.chance ?? 0) >= WORTH,
	);
	return [...new Set(open.map(keyOf))].slice(0, FIRST);
}

export function ShortList({ session, act, busy }: Pick<PlaceProps, "session" | "act" | "busy">) {
	const list = useShortlist(session);
	const { put: putUp, question } = usePutUp(session, act);
	const [chosen, setChosen] = useState<string[] | null>(null);
	const agreed = isClosed(session);
	const up = lettersOf(session).length;
	const marked = chosen ?? (up ? [] : firstOnes(list.data));
	const rows = (list.data?.slots ?? []).flat();
	const wanted = [...new Map(rows.map((row) => [keyOf(row), row])).values()].filter(
		(row) => marked.includes(keyOf(row)) && row.shaft !== null,
	);
	const put = () => {
		putUp(
			wanted.map((row) => ({
				head: row.head,
				shaft: row.shaft ?? 0,
				set_loft_deg: row.set_loft_deg,
				length_m: null,
			})),
		);
		setChosen([]);
	};
	useCommands(
		"short-list",
		inGroup(t("bag-short-list"), [
			[
				"put-up",
				t("bag-put-marked-up"),
				"u",
				agreed ? t("label-agreed") : busy || wanted.length === 0 ? t("bag-none-marked") : undefined,
				put,
			],
		]),
	);
	if (list.isPending) return <Waiting what={t("label-the-rack")} />;

	return (
		<section aria-label={t("bag-short-list-rack")}>
			<Said error={list.error} />
			{question}
			{list.data?.why && <p className="quiet mb-2">{list.data.why}</p>}
			{!agreed && rows.length > 0 && (
				<div className="mb-3 flex flex-wrap items-center gap-3">
					<button
						type="button"
						className="btn btn-primary h-11"
						disabled={busy || wanted.length === 0 || up + wanted.length > ROOM}
						onClick={put}
					>
						{t("bag-put-stand", { wanted: wanted.length || t("bag-the-marked") })}
					</button>
					{up > 0 && wanted.length === 0 && (
						<Link
							className="inline-flex min-h-11 items-center font-semibold underline"
							to={`/sessions/${session.id}/bay`}
						>
							{t("bag-stand-bay", { letters: listOf(lettersOf(session), "and") })}
						</Link>
					)}
					<p className="quiet text-sm">{t("bag-expected-from-players-own-clubs")}</p>
				</div>
			)}
			{list.data?.slots.map((slot, index) => (
				<div key={slot.map(keyOf).join() || "none"} className="mb-3 table-scroll">
					<table className="table-plain w-full">
						<caption className="mb-1 text-left text-sm">
							<SlotWords session={session} index={index} many={list.data.slots.length > 1} />
						</caption>
						<thead>
							<tr>
								<th scope="col">{t("bag-head-as-would-set")}</th>
								<th scope="col">{t("bag-should-carry")}</th>
								<th scope="col">{t("label-lands")}</th>
								<th scope="col">{t("bag-peak")}</th>
								<th scope="col">
									{session.bag.wanted.wish === "gap" ? t("label-in-the-window") : t("bag-as-asked")}
								</th>
								<th scope="col">{t("bag-should-save")}</th>
								<th scope="col">{t("label-price")}</th>
							</tr>
						</thead>
						<tbody>
							{slot.map((row) => (
								<Row
									key={keyOf(row)}
									row={row}
									marked={marked.includes(keyOf(row))}
									disabled={busy || agreed}
									onMark={(on) =>
										setChosen(on ? [...marked, keyOf(row)] : marked.filter((each) => each !== keyOf(row)))
									}
								/>
							))}
						</tbody>
					</table>
				</div>
			))}
			{(list.data?.left_out.length ?? 0) > 0 && (
				<p className="quiet mt-2 text-sm">{t("label-left-out", { list: list.data?.left_out.join(" ") })}</p>
			)}
		</section>
	);
}

function SlotWords({
	session,
	index,
	many,
}: {
	session: PlaceProps["session"];
	index: number;
	many: boolean;
}) {
	const carry = targetOf(session, index, "carry_m");
	const landing = targetOf(session, index, "landing_deg");
	if (!carry) return session.bag.headline;
	return (
		<>
			<strong>{many ? `${t("bag-slot", { index: index + 1 })} ` : ""}</strong>
			{t("bag-carry-to", {
				low: reading("carry_m", carry?.low),
				high: reading("carry_m", carry?.high),
				unit: unit("far"),
				which: landing?.low ? t("bag-landing-or-more", { low: whole(landing.low) }) : "",
			})}
		</>
	);
}

function Row({
	row,
	marked,
	disabled,
	onMark,
}: {
	row: Ranked;
	marked: boolean;
	disabled: boolean;
	onMark: (on: boolean) => void;
}) {
	const money = useMoney();
	const id = useId();
	const turned = row.turn_deg
		? t("bag-set-to", { loft: row.loft_deg, setLoft: row.set_loft_deg })
		: `${row.loft_deg}°`;
	const history = row.won
		? t("bag-chosen-once-speed", { won: row.won })
		: row.players
			? t("bag-hit-by-here", { players: row.players })
			: "";
	return (
		<tr className={row.supported ? "" : "quiet"}>
			<td>
				<label htmlFor={id} className="flex min-h-11 cursor-pointer items-center gap-2.5">
					{row.letter ? (
						<Letter letter={row.letter} />
					) : (
						<input
							id={id}
							type="checkbox"
							className="checkbox"
							checked={marked}
							disabled={disabled || row.shaft === null}
							onChange={(event) => onMark(event.target.checked)}
						/>
					)}
					<span className="min-w-0">
						<span className="num text-[17px]">{row.label}</span> <span className="num">{turned}</span>{" "}
						<span className="quiet text-sm">{row.name}</span>
						<span className="quiet block text-[13.5px] whitespace-normal">
							{[row.sentence, row.rough, history && `${history[0]?.toUpperCase()}${history.slice(1)}.`]
								.filter(Boolean)
								.join(" ")}
						</span>
					</span>
				</label>
			</td>
			<td>
				<span className="num text-[17px]">{asFar(row.carry_m)}</span>{" "}
				<span className="quiet text-sm">±{asFar(row.carry_within_m)}</span>
			</td>
			<td>
				<span className="num text-[17px]">{reading("landing_deg", row.landing_deg)}</span>{" "}
				<span className="quiet text-sm">
					{row.landing_within_deg === null ? "" : `±${whole(row.landing_within_deg)}`}
				</span>
			</td>
			<td>
				{reading("peak_m", row.peak_m)}{" "}
				<span className="quiet text-sm">{row.peak_m === null ? "" : unit("high")}</span>
			</td>
			<td>
				{row.supported && row.chance === null ? "–" : <Chance share={row.supported ? row.chance : null} />}
			</td>
			<td>
				<span className="num text-[17px]">{figure(row.saves, 1)}</span>{" "}
				<span className="quiet text-sm">{row.saves === null ? "" : t("label-a-round")}</span>
			</td>
			<td>{money(row.price)}</td>
		</tr>
	);
}

/** A chance as shots in ten, which is how a fitter says it. */
function Chance({ share }: { share: number | null }) {
	if (share === null) return <span className="text-sm">{t("bag-not-supported")}</span>;
	return (
		<span className="inline-flex items-center gap-2">
			<span className="relative hidden h-2.5 w-16 bg-base-300 xl:block" aria-hidden="true">
				<span className="absolute inset-y-0 left-0 bg-base-content" style={{ width: `${share * 100}%` }} />
			</span>
			<span className="num w-16 text-right">
				{share < 0.05 ? t("bag-unlikely") : t("bag-in-10", { share: whole(share * 10) || 1 })}
			</span>
		</span>
	);
}
