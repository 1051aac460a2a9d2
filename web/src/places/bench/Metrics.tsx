/** Every club side by side, line by line: against its window, or against one of them. */
import { useRef, useState } from "react";
import type { Bench, Build, Session } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { termOf } from "../../api/words";
import { Gate } from "../../instruments/gate/Gate";
import { spanOf } from "../../instruments/scale";
import { t } from "../../said/words";
import { wantedOf } from "../../session/gates";
import { KNOWN } from "../../session/ladder";
import { besideOf, candidatesOf, carriesOf } from "../../session/select";
import { Letter, letterColour } from "../../ui/Letter";
import { Said } from "../../ui/Said";
import { SaveTable } from "../../ui/SaveTable";
import { Sheet } from "../../ui/Sheet";
import { asFar, figure, inShown, type Metres, reading, shownAs, toFar, unit, wish } from "../../ui/units";
import { useColumnsChange } from "./columns";

type Column = (typeof VOCABULARY.columns)[number];

/** What is made of several shots or readings. shown: a value in the unit it is shown in, with so many digits. */
interface Made {
	label: string;
	value: (build: Build) => number | null;
	shown: (value: number) => number;
	digits: number;
}
const MADE: Partial<Record<Column, Made>> = {
	smash: { label: t("label-smash"), value: (build) => build.smash, shown: (value) => value, digits: 2 },
	longest: lengths(t("bench-longest"), (build) => build.longest_m),
	shortest: lengths(t("bench-shortest"), (build) => build.shortest_m),
	depth: lengths(t("label-front-back"), (build) => build.depth_m),
	width: lengths(t("label-side-side"), (build) => build.width_m),
	miss_cost: lengths(t("bench-miss-costs"), (build) => build.miss_cost_m),
};

function lengths(label: string, value: (build: Build) => Metres | null): Made {
	return { label: `${label}, ${unit("far")}`, value, shown: (metres) => toFar(metres as Metres), digits: 0 };
}

export const labelOf = (column: Column): string => {
	if (column === "held") return t("bench-job-balls");
	if (column === "carries") return t("bench-every-carry", { unit: unit("far") });
	const made = MADE[column];
	if (made) return made.label;
	const shown = shownAs(column);
	return shown.unit === "°" ? shown.label : `${shown.label}, ${shown.unit}`;
};

const columnsOf = (session: Session): readonly Column[] =>
	session.columns.length ? (session.columns as Column[]) : VOCABULARY.usualColumns;

/** How two values differ as they are shown, so that whoever subtracts the figures on the screen finds the same. */
function apart(column: Column, value: number, from: number): string {
	const made = MADE[column];
	const { digits, unit } = made ? { digits: made.digits, unit: "" } : shownAs(column);
	const as = (each: number) => Number((made ? made.shown(each) : inShown(column, each)).toFixed(digits));
	const by = as(value) - as(from);
	const size = figure(Math.abs(by), digits) + (unit === "°" ? "°" : "");
	return /[1-9]/.test(size) ? `${by > 0 ? "+" : "−"}${size}` : size;
}

export function Metrics({ session, bench }: { session: Session; bench: Bench | undefined }) {
	const [all, setAll] = useState(false);
	const [choosing, setChoosing] = useState(false);
	const [beside, setBeside] = useState<number | null>(null);
	const table = useRef<HTMLElement>(null);
	const hit = candidatesOf(session).filter((build) => build.carry_m !== null);
	if (hit.length === 0) return null;
	const builds = [...hit, ...besideOf(session).filter((build) => !hit.includes(build))];
	const reference = builds.find((build) => build.id === beside);
	// Many columns leave the gates little room.
	const wide = builds.length > 4 ? "w-10 xl:w-16" : "w-16 xl:w-28";
	const held = hit.find((build) => build.held)?.held;
	return (
		<div className="mt-3">
			<div className="mb-1 flex flex-wrap items-center gap-2">
				<div className="join" role="group" aria-label={t("bench-which-shots")}>
					{[false, true].map((every) => (
						<button
							key={String(every)}
							type="button"
							aria-pressed={all === every}
							className={`btn join-item btn-sm h-11 ${all === every ? "btn-primary" : "border-base-300 bg-base-100"}`}
							onClick={() => setAll(every)}
						>
							{every ? t("bench-every-shot") : t("bench-kept-shots")}
						</button>
					))}
				</div>
				<select
					className="select h-11 w-56"
					aria-label={t("bench-what-columns-held-against")}
					value={reference?.id ?? ""}
					onChange={(event) => setBeside(event.target.value ? Number(event.target.value) : null)}
				>
					<option value="">{t("bench-against-window")}</option>
					{builds.map((build) => (
						<option key={build.id} value={build.id}>
							{t("bench-against", { value: `${build.letter} ${build.name}`.trim() })}
						</option>
					))}
				</select>
				<button
					type="button"
					className="btn btn-sm h-11 border-base-300 bg-base-100"
					onClick={() => setChoosing(true)}
				>
					{t("bench-lines")}
				</button>
				<SaveTable of={table} name={`${session.customer.name} bench`} />
				{held && (
					<span className="quiet text-sm">{t("bench-balls-counted-as-monitor-has", { job: held.job })}</span>
				)}
			</div>
			<section ref={table} className="table-scroll" aria-label={t("bench-clubs-side-by-side")} tabIndex={0}>
				<table className="table-plain w-full">
					<thead>
						<tr>
							<th scope="col">
								{reference
									? t("bench-beside", { value: `${reference.letter} ${reference.name}`.trim() })
									: t("label-club")}
							</th>
							{builds.map((build) => (
								<th key={build.id} scope="col">
									<span className="inline-flex items-center gap-1.5">
										{build.letter && <Letter letter={build.letter} size={20} />} {build.name}
									</span>
									{!build.letter && (
										<span className="quiet block text-[12.5px] font-normal">
											{build.out_of_favour ? t("bench-out-favour") : t("bench-in-the-bag")}
										</span>
									)}
								</th>
							))}
						</tr>
					</thead>
					<tbody>
						{columnsOf(session).map((column) => (
							<Line
								key={column}
								session={session}
								column={column}
								builds={builds}
								all={all}
								reference={reference}
								wide={wide}
							/>
						))}
						{reference && bench && <Neighbours builds={builds} reference={reference} bench={bench} />}
					</tbody>
				</table>
			</section>
			{choosing && <ChooseColumns session={session} onClose={() => setChoosing(false)} />}
		</div>
	);
}

interface LineProps {
	session: Session;
	column: Column;
	builds: Build[];
	all: boolean;
	reference: Build | undefined;
	wide: string;
}

/** Every carry that counts, in the order they were hit. */
function Carries({ session, builds }: { session: Session; builds: Build[] }) {
	return (
		<tr>
			<td>{labelOf("carries")}</td>
			{builds.map((build) => (
				<td key={build.id} className="quiet text-[12.5px] leading-tight whitespace-normal!">
					{carriesOf(session, build.id)
						.map((carry) => figure(carry))
						.join(" ")}
				</td>
			))}
		</tr>
	);
}

function Line({ session, column, builds, all, reference, wide }: LineProps) {
	const made = MADE[column];
	const averaged = (build: Build): number | null =>
		made ? made.value(build) : ((all ? build.averages_all : build.averages)[column] ?? null);
	// A club of the player's own that was not hit is still known: as in the ladder.
	const told = (build: Build): number | null =>
		build.letter || build.carry_from === "hit"
			? null
			: column === "carry_m"
				? build.carry_m
				: column === "total_m" && build.total_read
					? build.total_m
					: null;
	const of = (build: Build) => averaged(build) ?? told(build);
	const there = builds.map(of).filter((value): value is number => value !== null);
	if (column === "carries") return <Carries session={session} builds={builds} />;
	if (column === "held" ? builds.every((build) => !build.held) : there.length === 0) return null;
	const base = reference ? of(reference) : null;
	const show = (value: number) => (made ? figure(made.shown(value), made.digits) : reading(column, value));
	const gated = !made && column !== "held" && !reference;
	const wants = builds.map((build) => wantedOf(build, column));
	const said = [
		...new Set(builds.flatMap((build, index) => (build.letter ? [wishOf(column, wants[index])] : []))),
	];
	const ends = wants
		.flatMap(({ low, high }) => [low, high])
		.filter((value): value is number => value !== null);
	const span = spanOf(
		[...there, ...ends].map((value) => inShown(column, value)),
		column === "spin_rpm" ? 500 : column.endsWith("_deg") ? 2 : 5,
		column === "spin_rpm" ? 200 : 2,
	);
	return (
		<tr>
			<td>
				{labelOf(column)}
				{gated && (
					<span className="quiet ml-2 text-[13px]">
						{said.length > 1 ? t("bench-each-by-its-own") : said[0]}
					</span>
				)}
			</td>
			{builds.map((build, index) => {
				const value = of(build);
				const source =
					averaged(build) === null && told(build) !== null
						? KNOWN[build.carry_from]
						: build.sources[column] && termOf("source", build.sources[column]);
				const { low, high } = wants[index] ?? { low: null, high: null };
				return (
					<td key={build.id}>
						<span className="flex items-center justify-end gap-3">
							<span className="num">
								{column === "held" ? (
									build.held ? (
										t("bench-of", { hit: build.held.hit, of: build.held.of })
									) : (
										"–"
									)
								) : value === null ? (
									"–"
								) : base !== null && build !== reference ? (
									<>
										{apart(column, value, base)}
										<span className="quiet ml-1.5 text-[12px] font-normal">{show(value)}</span>
									</>
								) : (
									show(value)
								)}
								{source && source !== "measured" && !made && (
									<span className="quiet text-[12px] font-normal"> {source}</span>
								)}
							</span>
							{!reference && (
								<span className={wide}>
									{gated && (low !== null || high !== null) && (
										<Gate
											span={span}
											low={low === null ? null : inShown(column, low)}
											high={high === null ? null : inShown(column, high)}
											dots={[]}
											mark={value === null ? null : inShown(column, value)}
											colour={build.letter ? letterColour(build.letter) : "var(--color-base-content)"}
											height={18}
											label={t("bench-against-window-2", {
												column: labelOf(column),
												letter: build.letter || build.name,
											})}
										/>
									)}
								</span>
							)}
						</span>
					</td>
				);
			})}
		</tr>
	);
}

const wishOf = (column: string, wanted: { low: number | null; high: number | null } | undefined) =>
	wish(column, wanted?.low ?? null, wanted?.high ?? null);

/** Any two columns read as neighbours: the step, what is left open, how often one does the other's work. */
function Neighbours({ builds, reference, bench }: { builds: Build[]; reference: Build; bench: Bench }) {
	const of = (build: Build) =>
		bench.side_by_side.find(
			(two) =>
				(two.lower === build.id && two.upper === reference.id) ||
				(two.upper === build.id && two.lower === reference.id),
		);
	const lines = [
		{
			label: t("label-step", { unit: unit("far") }),
			show: (two: Bench["side_by_side"][number]) => asFar(two.step_m),
		},
		{
			label: t("bench-open-after-roll", { unit: unit("far") }),
			show: (two: Bench["side_by_side"][number]) => asFar(two.coverage_m),
		},
		{
			label: t("bench-others-yardage"),
			show: (two: Bench["side_by_side"][number]) => t("bench-in-10", { often: two.often }),
		},
	];
	return lines.map((line) => (
		<tr key={line.label}>
			<td>{line.label}</td>
			{builds.map((build) => {
				const two = of(build);
				return (
					<td key={build.id}>
						<span className="num">{two ? line.show(two) : "–"}</span>
					</td>
				);
			})}
		</tr>
	));
}

/** Which lines are read out and in which order, for the whole shop. */
function ChooseColumns({ session, onClose }: { session: Session; onClose: () => void }) {
	const [chosen, setChosen] = useState<Column[]>([...columnsOf(session)]);
	const keep = useColumnsChange(session.id);
	const rest = VOCABULARY.columns.filter((column) => !chosen.includes(column));
	const move = (index: number, by: number) =>
		setChosen((so) => {
			const made = [...so];
			const [column] = made.splice(index, 1);
			if (column) made.splice(index + by, 0, column);
			return made;
		});
	return (
		<Sheet title={t("bench-lines-read-out")} onClose={onClose}>
			<p className="quiet mb-2">{t("bench-order-bench-for-everyone-shop")}</p>
			<Said error={keep.error} />
			<ul className="space-y-1" aria-label={t("bench-lines-read-out-2")}>
				{chosen.map((column, index) => (
					<li key={column} className="flex items-center gap-2 bg-base-200 px-3">
						<span className="flex-1">{labelOf(column)}</span>
						<button
							type="button"
							className="btn btn-ghost btn-sm h-11"
							aria-label={t("bench-further-up", { column: labelOf(column) })}
							disabled={index === 0}
							onClick={() => move(index, -1)}
						>
							{t("bench-up")}
						</button>
						<button
							type="button"
							className="btn btn-ghost btn-sm h-11"
							aria-label={t("bench-further-down", { column: labelOf(column) })}
							disabled={index === chosen.length - 1}
							onClick={() => move(index, 1)}
						>
							{t("bench-down")}
						</button>
						<button
							type="button"
							className="btn btn-ghost btn-sm h-11"
							aria-label={t("bench-leave-out", { column: labelOf(column) })}
							disabled={chosen.length === 1}
							onClick={() => setChosen((so) => so.filter((each) => each !== column))}
						>
							{t("label-leave-out-2")}
						</button>
					</li>
				))}
			</ul>
			{rest.length > 0 && (
				<>
					<h3 className="mt-4 mb-1">{t("bench-not-read-out")}</h3>
					<div className="flex flex-wrap gap-2">
						{rest.map((column) => (
							<button
								key={column}
								type="button"
								className="btn btn-sm h-11 border-base-300 bg-base-100"
								onClick={() => setChosen((so) => [...so, column])}
							>
								{labelOf(column)}
							</button>
						))}
					</div>
				</>
			)}
			<div className="mt-4 flex gap-2">
				<button
					type="button"
					className="btn btn-primary h-11"
					disabled={keep.isPending}
					onClick={() => keep.mutate(chosen, { onSuccess: onClose })}
				>
					{t("bench-keep-for-shop")}
				</button>
				<button type="button" className="btn h-11" onClick={() => setChosen([...VOCABULARY.usualColumns])}>
					{t("bench-usual-ones")}
				</button>
			</div>
		</Sheet>
	);
}
