/** The shots of the build in hand, the newest at the end. */

import { memo, useEffect, useRef, useState } from "react";
import type { Session, Shot } from "../../api/client";
import { useEarlier } from "../../api/earlier";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import { questionOf } from "../../session/select";
import { Said } from "../../ui/Said";
import { asFar, metresOf } from "../../ui/units";
import { markOf } from "./LastShot";

/** So many stand there; those before them when they are asked for, as drawing hundreds takes longer than a key may. */
const MOST = 48;

interface RowProps {
	session: Session;
	shots: Shot[];
	shot: Shot | undefined;
	selected: Shot[];
	colour: string;
	onTouch: (id: number) => void;
}

export function ShotRow({ session, shots, shot, selected, colour, onTouch }: RowProps) {
	const [most, setMost] = useState(MOST);
	const earlier = useEarlier(session);
	const latest = useRef(onTouch);
	latest.current = onTouch;
	const touch = useRef((id: number) => latest.current(id)).current;
	// Whoever goes back by keys sees where they are.
	const at = shots.findIndex((each) => each === shot);
	const first = Math.max(Math.min(shots.length - most, at), 0);
	const before = first + session.earlier;
	// One line: the shot in work is in sight, at first and after each ball the last one.
	const row = useRef<HTMLOListElement>(null);
	const here = shot?.id;
	// biome-ignore lint/correctness/useExhaustiveDependencies: another ball moves the line too
	useEffect(() => {
		const list = row.current;
		const cell = here === undefined ? null : list?.querySelector<HTMLElement>('[aria-pressed="true"]');
		if (!list || !cell) return;
		const [box, all] = [cell.getBoundingClientRect(), list.getBoundingClientRect()];
		if (box.left < all.left) list.scrollLeft -= all.left - box.left + 8;
		else if (box.right > all.right) list.scrollLeft += box.right - all.right + 8;
	}, [here, shots.length]);
	return (
		<>
			<Said error={earlier.error} />
			<ol
				ref={row}
				className="flex min-w-0 flex-1 gap-1.5 overflow-x-auto px-0.5 py-1"
				aria-label={t("bay-shots-build")}
			>
				{before > 0 && (
					<li>
						<button
							type="button"
							className="min-h-16 w-18 shrink-0 cursor-pointer px-2 py-1 text-left text-[13px] underline"
							disabled={earlier.isPending}
							onClick={() => (first ? setMost(shots.length - first + MOST) : earlier.mutate())}
						>
							{first ? t("bay-before-these", { n: first }) : t("bay-before-these-of-all", { n: before })}
						</button>
					</li>
				)}
				{shots.slice(first).map((each, index) => (
					<Cell
						key={each.id}
						shot={each}
						// Where not all are here, its place among all of the session.
						number={session.earlier ? each.number : first + index + 1}
						colour={colour}
						odd={questionOf(session, each) !== ""}
						here={each.id === shot?.id}
						chosen={selected.includes(each)}
						onTouch={touch}
					/>
				))}
			</ol>
		</>
	);
}

interface CellProps {
	shot: Shot;
	number: number;
	colour: string;
	odd: boolean;
	here: boolean;
	chosen: boolean;
	onTouch: (id: number) => void;
}

const Cell = memo(function Cell({ shot, number, colour, odd, here, chosen, onTouch }: CellProps) {
	const carry = asFar(metresOf(shot.readings, "carry_m"));
	return (
		<li className="shrink-0">
			<button
				type="button"
				className={`min-h-16 w-18 cursor-pointer border-b-3 px-2 py-1 text-left ${here ? "outline-2" : ""} ${chosen ? "bg-base-300" : "bg-base-100"}`}
				style={{ borderColor: shot.counts ? colour : "transparent" }}
				aria-pressed={here}
				aria-label={t("bay-shot-carry", {
					index: number,
					carry,
					which: shot.aside ? t("label-set-aside") : "",
					which2: chosen ? t("bay-selected") : "",
				})}
				onClick={() => onTouch(shot.id)}
			>
				<span className="quiet block text-[12px]">
					{number}
					{chosen ? " ✓" : ""}
				</span>
				<span
					className={`num block text-[19px] leading-tight ${shot.aside || shot.misread ? "quiet line-through" : ""}`}
				>
					{carry}
				</span>
				<span className={`block text-[12px] ${odd || shot.check_club ? "hole-text" : "quiet"}`}>
					{(shot.check_club && t("bay-club")) ||
						(shot.strike && termOf("strike", shot.strike)) ||
						(shot.aside ? t("label-aside") : markOf(shot) || (odd ? t("label-odd") : "\u00a0"))}
				</span>
			</button>
		</li>
	);
});
