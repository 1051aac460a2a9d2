/** The shots the club is for, from a list of common ones, made exact by sliding. */
import type { KeyboardEvent } from "react";
import { type UseFormReturn, useFieldArray, useWatch } from "react-hook-form";
import type { Session } from "../../api/client";
import { termOf } from "../../api/words";
import { JobDrawing } from "../../instruments/job-drawing/JobDrawing";
import { t } from "../../said/words";
import { asFar, type Metres, toFar, toSpeed, unit, unitName, whole } from "../../ui/units";
import {
	type CourseFields,
	EVERYDAY_FT,
	type Fields,
	fieldsOfJob,
	LIES,
	WINDS,
	type WindFrom,
} from "./fields";

const USUAL_WIND_MPS = 5.364;
/** Yards in the reader’s unit, whole. */
const inYards = (yards: number) => whole(toFar((yards * 0.9144) as Metres));

interface Props {
	form: UseFormReturn<Fields>;
	common: Session["brief"]["common"];
	longest: Session["brief"]["longest"];
	/** The field the server found fault with, such as `jobs.1.carry_over`. */
	fault: string;
}

export function Jobs({ form, common, longest, fault }: Props) {
	const jobs = useFieldArray({ control: form.control, name: "jobs" });
	return (
		<section>
			<h2 className="mb-2 text-lg">{t("brief-what-must-club-do")}</h2>
			<div className="mb-3 flex flex-wrap gap-1.5">
				{common.map((each) => (
					<button
						key={each.name}
						type="button"
						className="btn btn-sm h-11 border-base-300 bg-base-100"
						// The cursor stays where it was: the next key is a key, not a letter of the name.
						onClick={() =>
							jobs.append(
								{ ...fieldsOfJob({ ...each, name: each.called }), ...groundOf(home(form)) },
								{ shouldFocus: false },
							)
						}
					>
						+ {each.called}
					</button>
				))}
			</div>
			{jobs.fields.length === 0 && <p className="quiet">{t("brief-add-shots-player-meets-then")}</p>}
			<ul className="space-y-2">
				{jobs.fields.map((field, index) => (
					<JobRow
						key={field.id}
						form={form}
						index={index}
						longest={longest}
						onRemove={() => jobs.remove(index)}
						wrong={fault.startsWith(`jobs.${index}.`)}
					/>
				))}
			</ul>
		</section>
	);
}

const home = (form: Props["form"]): CourseFields | undefined =>
	form.getValues("courses").find((course) => course.kind === "home");

/** The ground of a course, as a job takes it over; nothing without one. */
const groundOf = (course: CourseFields | undefined): Partial<Pick<CourseFields, "firmness" | "greenFt">> =>
	course ? { firmness: course.firmness, greenFt: Number(course.greenFt) || EVERYDAY_FT } : {};

/** Enter says that a name is written: then keys act again. */
const leftByEnter = (event: KeyboardEvent<HTMLInputElement>) => {
	if (event.key !== "Enter") return;
	event.preventDefault();
	event.currentTarget.blur();
};

type Slid = "distance" | "over" | "width" | "depth" | "uses" | "windSpeed" | "greenFt";

function JobRow({
	form,
	index,
	longest,
	onRemove,
	wrong,
}: {
	form: UseFormReturn<Fields>;
	index: number;
	longest: Props["longest"];
	onRemove: () => void;
	wrong: boolean;
}) {
	const at = `jobs.${index}` as const;
	const job = useWatch({ control: form.control, name: at });
	const courses = useWatch({ control: form.control, name: "courses" });
	const number = { valueAsNumber: true };
	if (!job) return null;
	const step = (name: Slid) => (to: number) => form.setValue(`${at}.${name}`, to, { shouldDirty: true });
	/** Where it is met tells the ground it comes down on. */
	const met = (course: string) => {
		const there = groundOf(courses.find((each) => each.name === course));
		if (there.firmness) form.setValue(`${at}.firmness`, there.firmness);
		if (there.greenFt) form.setValue(`${at}.greenFt`, there.greenFt);
	};
	const windy = courses.find((course) => course.name === job.course && course.windSpeed > 0);
	const reach = longest.find((each) => each.kind === job.kind);
	const beyond = reach && job.distance - job.depth / 2 > toFar(reach.total_m) ? reach : undefined;
	return (
		<li
			className={`bg-base-100 p-3 ${wrong ? "outline-2" : ""}`}
			style={wrong ? { outlineColor: "var(--hole)" } : undefined}
		>
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
					<option value="soft">{t("label-soft")}</option>
					<option value="medium">{t("label-medium")}</option>
					<option value="firm">{t("label-firm")}</option>
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
					<option value="">{windy ? t("brief-wind-of", { name: windy.name }) : t("brief-no-wind")}</option>
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
			{beyond && (
				<p className="hole-text mt-1.5 text-[14px] font-semibold">
					{t("brief-out-reach-longest-for-stops", { club: beyond.club, total: asFar(beyond.total_m) })}
				</p>
			)}
			<div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1 xl:gap-x-5">
				<div className="flex flex-col">
					<JobDrawing {...job} over={job.over || null} />
					<button type="button" className="btn btn-ghost btn-sm h-11 self-start px-2" onClick={onRemove}>
						{t("label-remove")}
					</button>
				</div>
				<div className="grid min-w-80 flex-1 gap-x-3 sm:grid-cols-2 xl:gap-x-5">
					<Slide
						label={t("brief-distance-in", { unit: unitName("far") })}
						words={t("brief-to-the-middle")}
						value={`${job.distance}`}
						min={inYards(60)}
						max={inYards(290)}
						now={job.distance}
						onStep={step("distance")}
						{...form.register(`${at}.distance`, number)}
					/>
					<Slide
						label={t("brief-must-carry", { unit: unitName("far") })}
						words={t("brief-must-carry-2")}
						value={job.over > 0 ? `${job.over}` : "–"}
						min={0}
						max={job.distance}
						now={job.over}
						onStep={step("over")}
						{...form.register(`${at}.over`, number)}
					/>
					<Slide
						label={t("brief-width-in", { unit: unitName("far") })}
						words={t("brief-wide")}
						value={`${job.width}`}
						min={inYards(8)}
						max={inYards(60)}
						now={job.width}
						onStep={step("width")}
						{...form.register(`${at}.width`, number)}
					/>
					<Slide
						label={t("brief-depth-in", { unit: unitName("far") })}
						words={job.kind === "tee" ? t("brief-to-spare") : t("brief-deep")}
						value={`${job.depth}`}
						min={inYards(8)}
						max={inYards(60)}
						now={job.depth}
						onStep={step("depth")}
						{...form.register(`${at}.depth`, number)}
					/>
					<Slide
						label={t("brief-times-round")}
						words={t("brief-times-round-2")}
						value={`${job.uses}`}
						min={0.1}
						max={6}
						step={0.1}
						now={job.uses}
						onStep={step("uses")}
						{...form.register(`${at}.uses`, number)}
					/>
					{job.windSpeed > 0 && (
						<Slide
							label={t("label-wind-in", { unit: unit("speed") })}
							words={t("brief-of-wind", { unit: unit("speed") })}
							value={`${job.windSpeed}`}
							min={1}
							max={Math.floor(toSpeed(20.1))}
							now={job.windSpeed}
							onStep={step("windSpeed")}
							{...form.register(`${at}.windSpeed`, number)}
						/>
					)}
					{job.kind === "green" && (
						<Slide
							label={t("brief-speed-green-feet-meter")}
							words={t("label-green-speed")}
							value={`${job.greenFt}`}
							min={6}
							max={14}
							step={0.5}
							now={job.greenFt}
							onStep={step("greenFt")}
							{...form.register(`${at}.greenFt`, number)}
						/>
					)}
				</div>
			</div>
		</li>
	);
}

/** A figure that is slid into place; arrow keys move it by one. */
function Slide({
	label,
	words,
	value,
	now,
	onStep,
	...input
}: {
	label: string;
	words: string;
	value: string;
	now: number;
	onStep: (to: number) => void;
} & React.InputHTMLAttributes<HTMLInputElement> & { ref?: React.Ref<HTMLInputElement> }) {
	const [min, max, step] = [Number(input.min), Number(input.max), Number(input.step ?? 1)];
	const button = (sign: -1 | 1) => (
		<button
			type="button"
			className="btn h-11 w-11 shrink-0 border-base-300 bg-base-100 p-0 text-lg"
			aria-label={sign < 0 ? t("brief-less", { label }) : t("brief-more", { label })}
			disabled={sign < 0 ? now <= min : now >= max}
			onClick={() => onStep(whole(Math.min(max, Math.max(min, now + sign * step)), 1))}
		>
			{sign < 0 ? "−" : "+"}
		</button>
	);
	return (
		<div className="flex min-h-11 items-center gap-1.5">
			{button(-1)}
			<span className="num w-9 text-right text-[17px]">{value}</span>
			{button(1)}
			<span className="quiet w-20 shrink-0 text-sm leading-tight">{words}</span>
			<input type="range" className="range range-xs min-w-8 flex-1" aria-label={label} {...input} />
		</div>
	);
}
