/** What the player likes, fears, owns and may spend, and where they play. */
import { type UseFormReturn, useFieldArray, useWatch } from "react-hook-form";
import { change } from "../../acts";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { ownOf } from "../../session/select";
import { Caution } from "../../ui/Said";
import { toSpeed, unit } from "../../ui/units";
import { EVERYDAY_FT, type Fields, HEADS, type HeadKind, LIES, type Liking } from "./fields";
import { Pick } from "./Pick";
import { Round } from "./Round";

type FormProps = { form: UseFormReturn<Fields> };

export function Player({ form, session, act }: FormProps & Pick<PlaceProps, "session" | "act">) {
	const pain = useWatch({ control: form.control, name: "pain" });
	const miss = useWatch({ control: form.control, name: "miss" });
	return (
		<section className="grid max-w-4xl grid-cols-2 gap-x-6 gap-y-4 md:grid-cols-4">
			<Pick
				label={t("brief-miss-avoid")}
				{...form.register("miss")}
				options={{
					none: t("brief-no-side"),
					left: t("label-left-2"),
					right: t("brief-right"),
					short: t("brief-short"),
					long: t("brief-long"),
				}}
			/>
			{miss !== "none" && (
				<Pick
					label={t("brief-such-shot-costs")}
					{...form.register("fear")}
					options={{
						same: t("brief-no-more-than-any"),
						half: t("brief-half-shot-more"),
						whole: t("brief-whole-shot-more"),
					}}
				/>
			)}
			{miss !== "none" && <FearWith form={form} />}
			<Pick
				label={t("brief-shape-wanted")}
				{...form.register("shape")}
				options={{
					any: t("brief-any"),
					straight: t("brief-straight"),
					draw: t("brief-draw"),
					fade: t("brief-fade"),
				}}
			/>
			<Field label={t("brief-clubs-carried")}>
				<input
					type="number"
					min={1}
					max={20}
					className="input h-11 w-full"
					{...form.register("mostClubs", { valueAsNumber: true })}
				/>
			</Field>
			<Field label={t("brief-budget")}>
				<input
					inputMode="decimal"
					className="input h-11 w-full"
					placeholder={t("brief-none-named")}
					{...form.register("budget")}
				/>
			</Field>
			<Round form={form} brief={session.brief} />
			<Lies form={form} />
			<Likes form={form} makers={session.brief.makers} />
			<FixedClubs session={session} act={act} />
			<label className="col-span-full flex items-center gap-2">
				<input type="checkbox" className="checkbox" {...form.register("pain")} />
				<span>{t("brief-pain-or-injury")}</span>
			</label>
			{pain && (
				<div className="col-span-full">
					<Caution>{t("brief-stop-pain-see-doctor-before")}</Caution>
				</div>
			)}
			<label className="col-span-full block">
				<span className="quiet text-sm">{t("label-notes")}</span>
				<textarea className="textarea field-sizing-content min-h-16 w-full" {...form.register("notes")} />
			</label>
		</section>
	);
}

export function Courses({ form }: FormProps) {
	const courses = useFieldArray({ control: form.control, name: "courses" });
	const jobs = useWatch({ control: form.control, name: "jobs" });
	/** A course that is named anew takes its jobs with it. */
	const rename = (before: string, after: string) =>
		jobs.forEach((job, index) => {
			if (before && job.course === before) form.setValue(`jobs.${index}.course`, after);
		});
	return (
		<section className="max-w-4xl">
			<div className="mb-2 flex flex-wrap items-center gap-3">
				<h2 className="text-lg">{t("brief-where-do-they-play")}</h2>
				<button
					type="button"
					className="btn btn-sm h-10 border-base-300 bg-base-100"
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
				<Pick
					inline
					label={t("brief-usual-ground")}
					{...form.register("firmness")}
					options={{ soft: t("label-soft"), medium: t("label-medium"), firm: t("label-firm") }}
				/>
			</div>
			<ul className="space-y-1.5">
				{courses.fields.map((field, index) => (
					<li key={field.id} className="flex flex-wrap items-center gap-2">
						<input
							className="input h-10 w-56"
							aria-label={t("brief-name-course")}
							{...form.register(`courses.${index}.name`, {
								onChange: (event: { target: { value: string } }) => rename(field.name, event.target.value),
							})}
						/>
						<select
							className="select h-10 w-32"
							aria-label={t("brief-kind-course")}
							{...form.register(`courses.${index}.kind`)}
						>
							<option value="home">{t("brief-home")}</option>
							<option value="trip">{t("brief-trip")}</option>
							<option value="season">{t("brief-season")}</option>
						</select>
						<select
							className="select h-10 w-32"
							aria-label={t("brief-ground-there")}
							{...form.register(`courses.${index}.firmness`)}
						>
							<option value="soft">{t("label-soft")}</option>
							<option value="medium">{t("label-medium")}</option>
							<option value="firm">{t("label-firm")}</option>
						</select>
						<select
							className="select h-10 w-32"
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
								className="input h-10 w-18 px-2 text-right"
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
								className="input h-10 w-16 px-2 text-right"
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
								className="input h-10 w-18 px-2 text-right"
								aria-label={t("brief-share-rounds")}
								{...form.register(`courses.${index}.share`, { valueAsNumber: true })}
							/>
							<span className="quiet text-sm">{t("brief-100-rounds")}</span>
						</label>
						<button type="button" className="btn btn-ghost h-10" onClick={() => courses.remove(index)}>
							{t("label-remove")}
						</button>
					</li>
				))}
			</ul>
		</section>
	);
}

function Lies({ form }: FormProps) {
	const lies = useWatch({ control: form.control, name: "lies" });
	const turn = (lie: string) =>
		form.setValue("lies", lies.includes(lie) ? lies.filter((each) => each !== lie) : [...lies, lie]);
	return (
		<div className="col-span-full">
			<p className="quiet mb-1 text-sm">{t("brief-lies-played-from")}</p>
			<div className="flex flex-wrap gap-1.5">
				{LIES.map((lie) => (
					<Toggle key={lie} on={lies.includes(lie)} onTurn={() => turn(lie)}>
						{termOf("lie", lie)}
					</Toggle>
				))}
			</div>
		</div>
	);
}

const LIKINGS: { id: Liking; name: string }[] = [
	{ id: "liked", name: t("brief-likes-2") },
	{ id: "neutral", name: t("brief-no-wish") },
	{ id: "disliked", name: t("brief-dislikes") },
	{ id: "vetoed", name: t("brief-will-not-play") },
];

/** Some fear a side with one kind of head alone. */
function FearWith({ form }: FormProps) {
	const kinds = useWatch({ control: form.control, name: "fearWith" });
	const turn = (kind: HeadKind) =>
		form.setValue(
			"fearWith",
			kinds.includes(kind) ? kinds.filter((each) => each !== kind) : [...kinds, kind],
		);
	return (
		<div className="col-span-full">
			<p className="quiet mb-1 text-sm">
				{kinds.length ? t("brief-feared-with-these") : t("brief-feared-with-all-clubs")}
			</p>
			<div className="flex flex-wrap gap-1.5">
				{(Object.keys(HEADS) as HeadKind[]).map((kind) => (
					<Toggle key={kind} on={kinds.includes(kind)} onTurn={() => turn(kind)}>
						{HEADS[kind]}
					</Toggle>
				))}
			</div>
		</div>
	);
}

function Likes({ form, makers }: FormProps & { makers: readonly string[] }) {
	const likes = useWatch({ control: form.control, name: "makerLikes" });
	const shown = makers.filter((maker) => likes[maker]);
	const options = Object.fromEntries(LIKINGS.map((each) => [each.id, each.name]));
	const say = (maker: string, liking: Liking) => form.setValue("makerLikes", { ...likes, [maker]: liking });
	return (
		<fieldset className="col-span-full grid gap-x-6 gap-y-2 sm:grid-cols-3">
			{(Object.keys(HEADS) as HeadKind[]).map((head) => (
				<Pick key={head} label={HEADS[head]} {...form.register(`likes.${head}`)} options={options} />
			))}
			{shown.map((maker) => (
				<Pick
					key={maker}
					label={maker}
					value={likes[maker]}
					onChange={({ target }) => say(maker, target.value as Liking)}
					options={options}
				/>
			))}
			{makers.length > shown.length && (
				<Pick
					label={t("brief-a-maker")}
					value=""
					onChange={({ target }) => say(target.value, "liked")}
					options={{
						"": t("brief-add-one"),
						...Object.fromEntries(makers.filter((each) => !likes[each]).map((each) => [each, each])),
					}}
				/>
			)}
		</fieldset>
	);
}

/** The clubs that stay whatever is found. */
function FixedClubs({ session, act }: Pick<PlaceProps, "session" | "act">) {
	const clubs = ownOf(session);
	return (
		<div className="col-span-full">
			<p className="quiet mb-1 text-sm">{t("brief-fixed-clubs-these-stay-bag")}</p>
			{clubs.length === 0 && <p className="quiet">{t("brief-once-bag-known-its-clubs")}</p>}
			<div className="flex flex-wrap gap-1.5">
				{clubs.map((club) => (
					<Toggle
						key={club.id}
						on={club.fixed}
						onTurn={() => act(() => change.club(club.id, { fixed: !club.fixed }))}
					>
						{club.name}
					</Toggle>
				))}
			</div>
		</div>
	);
}

function Toggle({ on, onTurn, children }: { on: boolean; onTurn: () => void; children: React.ReactNode }) {
	return (
		<button
			type="button"
			aria-pressed={on}
			className={`btn btn-sm h-10 min-w-12 ${on ? "btn-primary" : "border-base-300 bg-base-100"}`}
			onClick={onTurn}
		>
			{children}
		</button>
	);
}

function Field({ label, children }: { label: string; children: React.ReactNode }) {
	return (
		// biome-ignore lint/a11y/noLabelWithoutControl: the control is the child
		<label className="block">
			<span className="quiet text-sm">{label}</span>
			{children}
		</label>
	);
}
