/** The bag as a table from the longest club to the shortest, with the step to the club above. In yards. */
export interface Rung {
	id: number;
	name: string;
	letter: string;
	loft: number | null;
	carry: number | null;
	total: number | null;
	typed: boolean;
	/** Yards to the next shorter club, and whether a hole lies there. */
	step: number | null;
	hole: boolean;
	crowded: boolean;
	fixed: boolean;
}

interface LadderProps {
	rungs: Rung[];
	chosen: number | null;
	onChoose?: (id: number) => void;
}

export function Ladder({ rungs, chosen, onChoose }: LadderProps) {
	return (
		<table className="table-plain w-full text-[15px]">
			<thead>
				<tr>
					<th scope="col">Club</th>
					<th scope="col">Loft</th>
					<th scope="col">Carry</th>
					<th scope="col">Total</th>
					<th scope="col">Step</th>
				</tr>
			</thead>
			<tbody>
				{rungs.map((rung) => (
					<tr key={rung.id} className={rung.id === chosen ? "bg-base-200" : ""}>
						<td>
							<button
								type="button"
								className="num min-h-7 w-full cursor-pointer text-left hover:underline"
								disabled={!onChoose}
								onClick={() => onChoose?.(rung.id)}
							>
								{rung.letter ? `${rung.letter} ${rung.name}` : rung.name}
								{rung.fixed && <span className="quiet ml-1 text-[12px] font-normal">fixed</span>}
							</button>
						</td>
						<td className="quiet">{rung.loft === null ? "" : `${rung.loft}°`}</td>
						<td className="num">{rung.carry === null ? "–" : Math.round(rung.carry)}</td>
						<td>
							{rung.total === null ? "–" : Math.round(rung.total)}
							{rung.typed && <span className="quiet text-[12px]"> typed</span>}
						</td>
						<td className={rung.hole || rung.crowded ? "num hole-text" : "quiet"}>
							{rung.step === null ? "" : Math.round(rung.step)}
							{rung.crowded && <span className="text-[12px]"> close</span>}
						</td>
					</tr>
				))}
			</tbody>
		</table>
	);
}
