/** Where they play, and from which lies: what the ground of a job is taken from. */
import { type UseFormReturn, useFieldArray, useWatch } from "react-hook-form";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import { Fold } from "../../ui/Fold";
import { toSpeed, unit } from "../../ui/units";
import { EVERYDAY_FT, FIRMNESS, type Fields, LIES } from "./fields";
import { Pick } from "./Pick";
import { Toggle } from "./Toggle";

type FormProps = { form: UseFormReturn<Fields> };

export function Courses({ form }: FormProps) {
	const courses = useFieldArray({ control: form.control, name: "courses" });
	const jobs = useWatch({ control: form.control, name: "jobs" });
	/** A course that is named anew takes its jobs with it. */
	const rename = (before: string, after: string) =>
		jobs.forEach((job, index) => {
			if (before && job.course === before) form.setValue(`jobs.${index}.course`, after);
		});
	const [firmness, lies, named] = useWatch({ control: form.control, name: ["firmness", "lies", "courses"] });
	const stands = [
		...named.map((each) => t("brief-course-stands", { name: each.name, share: each.share })),
		...(named.length ? [] : [t("brief-ground-stands", { firmness: FIRMNESS[firmness] })]),
		...(lies.length ? [t("brief-job-from", { lie: lies.map((lie) => termOf("lie", lie)).join(", ") })] : []),
	].join(", ");
	return (
		<Fold title={t("brief-where-do-they-play")} stands={stands}>
			<div className="flex flex-wrap items-center gap-3">
				<button
					type="button"
					className="btn btn-sm h-11 border-base-300 bg-base-100"
					onClick={() =>
						courses.append(
							courses.fields.length
								? {
										name: t("brief-links-trip"),
										kind: "trip",
										firmness: "firm",
										greenFt: EVERYDAY_FT,
										sand: "",
										share: 20,
										windSpeed: 0,
									}
								: {
										name: "Home",
										kind: "home",
										firmness: "medium",
										greenFt: EVERYDAY_FT,
										sand: "",
										share: 80,
										windSpeed: 0,
									},
							{ shouldFocus: false },
						)
					}
				>
					{t("brief-course-trip-or-season")}
				</button>
				<Pick inline label={t("brief-usual-ground")} {...form.register("firmness")} options={FIRMNESS} />
			</div>
			<ul className="space-y-2">
				{courses.fields.map((field, index) => (
					<li key={field.id} className="flex flex-wrap items-center gap-2">
						<input
							className="input h-11 w-56"
							aria-label={t("brief-name-course")}
							{...form.register(`courses.${index}.name`, {
								onChange: (event: { target: { value: string } }) => rename(field.name, event.target.value),
							})}
						/>
						<select
							className="select h-11 w-32"
							aria-label={t("brief-kind-course")}
							{...form.register(`courses.${index}.kind`)}
						>
							<option value="home">{t("brief-home")}</option>
							<option value="trip">{t("brief-trip")}</option>
							<option value="season">{t("brief-season")}</option>
						</select>
						<select
							className="select h-11 w-32"
							aria-label={t("brief-ground-there")}
							{...form.register(`courses.${index}.firmness`)}
						>
							{Object.entries(FIRMNESS).map(([each, words]) => (
								<option key={each} value={each}>
									{words}
								</option>
							))}
						</select>
						<select
							className="select h-11 w-32"
							aria-label={t("brief-sand-there")}
							{...form.register(`courses.${index}.sand`)}
						>
							<option value="">{t("brief-sand")}</option>
							<option value="soft">{t("brief-soft-sand")}</option>
							<option value="firm">{t("brief-firm-sand")}</option>
						</select>
						<label className="flex items-center gap-1.5">
							<span className="quiet text-sm">{t("brief-greens-read")}</span>
							<input
								type="number"
								min={4}
								max={16}
								step={0.5}
								className="input h-11 w-18 px-2 text-right"
								aria-label={t("brief-speed-greens-meter")}
								{...form.register(`courses.${index}.greenFt`, { valueAsNumber: true })}
							/>
						</label>
						<label className="flex items-center gap-1.5">
							<span className="quiet text-sm">{t("brief-wind")}</span>
							<input
								type="number"
								min={0}
								max={Math.floor(toSpeed(20.1))}
								className="input h-11 w-16 px-2 text-right"
								aria-label={t("brief-usual-wind-there", { unit: unit("speed") })}
								{...form.register(`courses.${index}.windSpeed`, { valueAsNumber: true })}
							/>
							<span className="quiet text-sm">{unit("speed")}</span>
						</label>
						<label className="flex items-center gap-1.5">
							<input
								type="number"
								min={0}
								max={100}
								className="input h-11 w-18 px-2 text-right"
								aria-label={t("brief-share-rounds")}
								{...form.register(`courses.${index}.share`, { valueAsNumber: true })}
							/>
							<span className="quiet text-sm">{t("brief-100-rounds")}</span>
						</label>
						<button type="button" className="btn btn-ghost h-11" onClick={() => courses.remove(index)}>
							{t("label-remove")}
						</button>
					</li>
				))}
			</ul>
			<Lies form={form} />
		</Fold>
	);
}

function Lies({ form }: FormProps) {
	const lies = useWatch({ control: form.control, name: "lies" });
	const turn = (lie: string) =>
		form.setValue("lies", lies.includes(lie) ? lies.filter((each) => each !== lie) : [...lies, lie]);
	return (
		<div>
			<p className="quiet mb-1 text-sm">{t("brief-lies-played-from")}</p>
			<div className="flex flex-wrap gap-2">
				{LIES.map((lie) => (
					<Toggle key={lie} on={lies.includes(lie)} onTurn={() => turn(lie)}>
						{termOf("lie", lie)}
					</Toggle>
				))}
			</div>
		</div>
	);
}
