/** One shot the club is for: a sentence, which unfolds to be slid until it is true. */
import type { KeyboardEvent } from "react";
import { type UseFormReturn, useWatch } from "react-hook-form";
import type { Session } from "../../api/client";
import { termOf } from "../../api/words";
import { JobDrawing } from "../../instruments/job-drawing/JobDrawing";
import { t } from "../../said/words";
import { FoldArrow } from "../../ui/Fold";
import { asFar, figure, type Metres, toFar, toSpeed, unit, unitName, whole } from "../../ui/units";
import {
	type CourseFields,
	EVERYDAY_FT,
	FIRMNESS,
	type Fields,
	type JobFields,
	LIES,
	WINDS,
	type WindFrom,
} from "./fields";
import { Slide } from "./Slide";

const USUAL_WIND_MPS = 5.364;
/** Yards in the reader’s unit, whole. */
const inYards = (yards: number) => whole(toFar((yards * 0.9144) as Metres));

export const home = (form: Props["form"]): CourseFields | undefined =>
	form.getValues("courses").find((course) => course.kind === "home");

/** The ground of a course, as a job takes it over; nothing without one. */
export const groundOf = (
	course: CourseFields | undefined,
): Partial<Pick<CourseFields, "firmness" | "greenFt">> =>
	course ? { firmness: course.firmness, greenFt: Number(course.greenFt) || EVERYDAY_FT } : {};

/** Enter says that a name is written: then keys act again. */
const leftByEnter = (event: KeyboardEvent<HTMLInputElement>) => {
	if (event.key !== "Enter") return;
	event.preventDefault();
	event.currentTarget.blur();
};

interface Slid {
	name: "distance" | "over" | "width" | "depth" | "uses" | "windSpeed" | "greenFt";
	label: string;
	words: string;
	value?: string;
	min: number;
	max: number;
	step?: number;
}

interface Props {
	form: UseFormReturn<Fields>;
	index: number;
	longest: Session["brief"]["longest"];
	/** Unfolded: one at a time is. */
	open: boolean;
	onTurn: () => void;
	onRemove: () => void;
	/** The server found fault with it. */
	wrong: boolean;
}

export function JobRow({ form, index, longest, open, onTurn, onRemove, wrong }: Props) {
	const at = `jobs.${index}` as const;
	const job = useWatch({ control: form.control, name: at });
	const courses = useWatch({ control: form.control, name: "courses" });
	if (!job) return null;
	/** Where it is met tells the ground it comes down on. */
	const met = (course: string) => {
		const there = groundOf(courses.find((each) => each.name === course));
		if (there.firmness) form.setValue(`${at}.firmness`, there.firmness);
		if (there.greenFt) form.setValue(`${at}.greenFt`, there.greenFt);
	};
	const windy = courses.find((course) => course.name === job.course && course.windSpeed > 0);
	const reach = longest.find((each) => each.kind === job.kind);
	const beyond = reach && job.distance - job.depth / 2 > toFar(reach.total_m) ? reach : undefined;
	const shown = open || wrong;
	return (
		<li
			className={`bg-base-100 ${wrong ? "outline-2" : ""}`}
			style={wrong ? { outlineColor: "var(--hole)" } : undefined}
		>
			<div className="flex items-start gap-2 pr-2 pl-3">
				<button
					type="button"
					className="flex min-h-11 min-w-0 flex-1 cursor-pointer flex-wrap items-center gap-x-3 py-1.5 text-left"
					aria-expanded={shown}
					onClick={onTurn}
				>
					<FoldArrow turned={shown ? "rotate-90" : ""} />
					<strong className="min-w-0 break-words">{job.name}</strong>
					<span className="quiet">{sentenceOf(job, windy !== undefined)}</span>
				</button>
				<button
					type="button"
					className="btn btn-ghost h-11 px-2"
					onClick={onRemove}
					aria-label={t("brief-remove-job", { name: job.name })}
				>
					{t("label-remove")}
				</button>
			</div>
			{beyond && (
				<p className="hole-text px-3 pb-1.5 text-[14px] font-semibold">
					{t("brief-out-reach-longest-for-stops", { club: beyond.club, total: asFar(beyond.total_m) })}
				</p>
			)}
			{shown && (
				<div className="p-3 pt-1.5">
					<div className="flex flex-wrap items-center gap-2">
						<input
							className="input h-11 min-w-44 flex-1 font-semibold"
							aria-label={t("brief-name-job")}
							onKeyDown={leftByEnter}
							{...form.register(`${at}.name`)}
						/>
						<select
							className="select h-11 w-36"
							aria-label={t("brief-kind-shot")}
							{...form.register(`${at}.kind`)}
						>
							<option value="green">{t("brief-into-green")}</option>
							<option value="tee">{t("brief-off-tee")}</option>
							<option value="layup">{t("brief-lay-up")}</option>
						</select>
						<select
							className="select h-11 w-30"
							aria-label={t("brief-firmness")}
							{...form.register(`${at}.firmness`)}
						>
							{Object.entries(FIRMNESS).map(([each, words]) => (
								<option key={each} value={each}>
									{words}
								</option>
							))}
						</select>
						<select className="select h-11 w-34" aria-label={t("label-lie")} {...form.register(`${at}.lie`)}>
							<option value="">{t("label-any-lie")}</option>
							{LIES.map((lie) => (
								<option key={lie} value={lie}>
									{termOf("lie", lie)}
								</option>
							))}
						</select>
						<select
							className="select h-11 w-36"
							aria-label={t("label-wind")}
							value={job.windSpeed > 0 ? job.windFrom : ""}
							onChange={({ target }) => {
								form.setValue(
									`${at}.windSpeed`,
									target.value ? job.windSpeed || whole(toSpeed(USUAL_WIND_MPS)) : 0,
								);
								if (target.value) form.setValue(`${at}.windFrom`, target.value as WindFrom);
							}}
						>
							<option value="">
								{windy ? t("brief-wind-of", { name: windy.name }) : t("brief-no-wind")}
							</option>
							{Object.entries(WINDS).map(([from, words]) => (
								<option key={from} value={from}>
									{words}
								</option>
							))}
						</select>
						{courses.length > 0 && (
							<select
								className="select h-11 w-36"
								aria-label={t("brief-course")}
								{...form.register(`${at}.course`, {
									onChange: (event: { target: { value: string } }) => met(event.target.value),
								})}
							>
								<option value="">{t("label-everywhere")}</option>
								{courses.map((course) => (
									<option key={course.name} value={course.name}>
										{course.name}
									</option>
								))}
							</select>
						)}
					</div>
					<div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1 xl:gap-x-5">
						<JobDrawing {...job} over={job.over || null} />
						<div className="grid min-w-80 flex-1 gap-x-3 gap-y-2 sm:grid-cols-2 xl:gap-x-5">
							{slidesOf(job).map(({ name, value, ...slide }) => (
								<Slide
									key={name}
									{...slide}
									value={value ?? `${job[name]}`}
									now={job[name]}
									onStep={(to) => form.setValue(`${at}.${name}`, to, { shouldDirty: true })}
									{...form.register(`${at}.${name}`, { valueAsNumber: true })}
								/>
							))}
						</div>
					</div>
				</div>
			)}
		</li>
	);
}

/** What of a job is slid, from where to where; value: how it is written where that is not the figure itself. */
function slidesOf(job: JobFields): Slid[] {
	const far = unitName("far");
	const size = { min: inYards(8), max: inYards(60) };
	const all: (Slid | false)[] = [
		{
			name: "distance",
			label: t("brief-distance-in", { unit: far }),
			words: t("brief-to-the-middle"),
			min: inYards(60),
			max: inYards(290),
		},
		{
			name: "over",
			label: t("brief-must-carry", { unit: far }),
			words: t("brief-must-carry-2"),
			value: job.over > 0 ? `${job.over}` : "–",
			min: 0,
			max: job.distance,
		},
		{ name: "width", label: t("brief-width-in", { unit: far }), words: t("brief-wide"), ...size },
		{
			name: "depth",
			label: t("brief-depth-in", { unit: far }),
			words: job.kind === "tee" ? t("brief-to-spare") : t("brief-deep"),
			...size,
		},
		{
			name: "uses",
			label: t("brief-times-round"),
			words: t("brief-times-round-2", { uses: job.uses }),
			min: 0.1,
			max: 6,
			step: 0.1,
		},
		job.windSpeed > 0 && {
			name: "windSpeed",
			label: t("label-wind-in", { unit: unit("speed") }),
			words: t("brief-of-wind", { unit: unit("speed") }),
			min: 1,
			max: Math.floor(toSpeed(20.1)),
		},
		job.kind === "green" && {
			name: "greenFt",
			label: t("brief-speed-green-feet-meter"),
			words: t("label-green-speed"),
			min: 6,
			max: 14,
			step: 0.5,
		},
	];
	return all.filter((each) => each !== false);
}

/** As it is said across a desk: `195 yd into a medium green, 24 wide, 26 deep, once a round`. */
function sentenceOf(job: JobFields, windy: boolean): string {
	const { distance, width, depth } = job;
	const far = unit("far");
	const firmness = FIRMNESS[job.firmness];
	const kinds = {
		green: t("brief-job-green", { distance, unit: far, firmness, width, depth }),
		tee: t("brief-job-tee", { distance, unit: far, width, depth }),
		layup: t("brief-job-layup", { distance, unit: far, width, depth }),
	};
	return [
		kinds[job.kind],
		job.over > 0 && t("brief-job-carry", { over: job.over }),
		job.lie && t("brief-job-from", { lie: termOf("lie", job.lie) }),
		job.course && t("brief-job-at", { name: job.course }),
		job.windSpeed > 0
			? t("brief-job-wind", { from: WINDS[job.windFrom], speed: job.windSpeed, unit: unit("speed") })
			: windy && t("brief-job-its-wind"),
		t("brief-job-uses", {
			uses: figure(job.uses, 1).replace(/\.0$/, ""),
			once: job.uses === 1 ? "once" : "often",
		}),
	]
		.filter(Boolean)
		.join(", ");
}
