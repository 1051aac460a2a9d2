/** The interview; it writes the first targets while it is filled in. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { type UseFormReturn, useFieldArray, useForm, useWatch } from "react-hook-form";
import { Link } from "react-router";
import { Problem, type Session } from "../api/client";
import { change, sessionKey } from "../api/session";
import type { PlaceProps } from "../app/SessionFrame";
import { Caution, Said } from "../ui/Said";
import { toMetres, toYards } from "../ui/units";
import { ownOf } from "./model";
import { Targets } from "./Targets";

type Kind = "green" | "tee" | "layup";
type Firmness = "soft" | "medium" | "firm";
type MissSide = "none" | "left" | "right" | "short" | "long";

interface JobFields {
	name: string;
	kind: Kind;
	distance: number;
	over: number | null;
	width: number;
	depth: number;
	firmness: Firmness;
	uses: number;
}
interface Fields {
	miss: MissSide;
	firmness: Firmness;
	mostClubs: number;
	budget: string;
	pain: boolean;
	notes: string;
	jobs: JobFields[];
}

const COMMON: { label: string; job: JobFields }[] = [
	{
		label: "Long par three",
		job: {
			name: "Long par three",
			kind: "green",
			distance: 180,
			over: null,
			width: 24,
			depth: 26,
			firmness: "medium",
			uses: 1,
		},
	},
	{
		label: "Second into a par five",
		job: {
			name: "Second into a par five",
			kind: "green",
			distance: 200,
			over: null,
			width: 26,
			depth: 30,
			firmness: "medium",
			uses: 1,
		},
	},
	{
		label: "Tight tee shot",
		job: {
			name: "Tight tee shot",
			kind: "tee",
			distance: 200,
			over: null,
			width: 28,
			depth: 30,
			firmness: "medium",
			uses: 2,
		},
	},
	{
		label: "Lay-up",
		job: {
			name: "Lay-up",
			kind: "layup",
			distance: 170,
			over: null,
			width: 35,
			depth: 30,
			firmness: "medium",
			uses: 1,
		},
	},
];
const SAVE_AFTER_MS = 500;

function fieldsOf(session: Session): Fields {
	const { brief } = session;
	return {
		miss: brief.miss as MissSide,
		firmness: brief.firmness as Firmness,
		mostClubs: brief.most_clubs,
		budget: brief.budget ?? "",
		pain: brief.pain,
		notes: brief.notes,
		jobs: brief.jobs.map((job) => ({
			name: job.name,
			kind: job.kind,
			distance: Math.round(toYards(job.distance_m)),
			over: job.carry_over_m === null ? null : Math.round(toYards(job.carry_over_m)),
			width: Math.round(toYards(job.width_m)),
			depth: Math.round(toYards(job.depth_m)),
			firmness: job.firmness,
			uses: job.uses_per_round,
		})),
	};
}

function bodyOf(fields: Fields) {
	return {
		miss: fields.miss,
		firmness: fields.firmness,
		most_clubs: Number(fields.mostClubs) || 14,
		budget: fields.budget === "" ? null : fields.budget,
		pain: fields.pain,
		notes: fields.notes,
		jobs: fields.jobs.map((job) => ({
			name: job.name,
			kind: job.kind,
			distance_m: toMetres(Number(job.distance)),
			carry_over_m:
				job.over === null || Number.isNaN(Number(job.over)) || String(job.over) === ""
					? null
					: toMetres(Number(job.over)),
			width_m: toMetres(Number(job.width)),
			depth_m: toMetres(Number(job.depth)),
			firmness: job.firmness,
			uses_per_round: Number(job.uses),
		})),
	};
}

/** Save the form a moment after the last change, and at once when the place is left. */
function useSaving(session: Session, form: UseFormReturn<Fields>) {
	const queries = useQueryClient();
	const save = useMutation({
		mutationFn: (fields: Fields) => change.brief(session.id, bodyOf(fields)),
		onSuccess: (answer) => {
			queries.setQueryData(sessionKey(session.id), answer);
			void queries.invalidateQueries({ queryKey: ["sessions"] });
		},
	});
	const watched = useWatch({ control: form.control });
	const last = useRef(JSON.stringify(bodyOf(form.getValues())));
	const mutate = save.mutate;
	// biome-ignore lint/correctness/useExhaustiveDependencies: every watched change starts the wait anew
	useEffect(() => {
		const send = () => {
			const fields = form.getValues();
			const now = JSON.stringify(bodyOf(fields));
			if (now === last.current) return;
			last.current = now;
			mutate(fields);
		};
		const timer = setTimeout(send, SAVE_AFTER_MS);
		return () => clearTimeout(timer);
	}, [watched]);
	useEffect(
		() => () => {
			const fields = form.getValues();
			if (JSON.stringify(bodyOf(fields)) !== last.current) mutate(fields);
		},
		[form, mutate],
	);
	return save;
}

export function Brief({ session, act, busy }: PlaceProps) {
	const form = useForm<Fields>({ defaultValues: fieldsOf(session) });
	const jobs = useFieldArray({ control: form.control, name: "jobs" });
	const save = useSaving(session, form);
	const agreed = session.status === "agreed";
	const fault = save.error instanceof Problem ? (save.error.field ?? "") : "";
	const pain = useWatch({ control: form.control, name: "pain" });
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_22rem]">
			<fieldset disabled={agreed} className="min-w-0 space-y-7 p-6">
				<section>
					<div className="mb-2 flex flex-wrap items-center gap-2">
						<h2 className="mr-2 text-lg">What must the club do?</h2>
						{COMMON.map((common) => (
							<button
								key={common.label}
								type="button"
								className="btn btn-sm h-10 border-base-300 bg-base-100"
								onClick={() => jobs.append(common.job)}
							>
								+ {common.label}
							</button>
						))}
					</div>
					{jobs.fields.length === 0 && (
						<p className="quiet">
							Add the shots this player meets: distance, what must be carried, how big and firm the target is.
						</p>
					)}
					<ul className="space-y-2">
						{jobs.fields.map((field, index) => (
							<JobRow
								key={field.id}
								form={form}
								index={index}
								onRemove={() => jobs.remove(index)}
								wrong={fault.startsWith(`jobs.${index}.`)}
							/>
						))}
					</ul>
				</section>
				<section className="grid max-w-3xl grid-cols-2 gap-x-6 gap-y-4 sm:grid-cols-3">
					<Pick
						label="Miss to avoid"
						{...form.register("miss")}
						options={{ none: "No side", left: "Left", right: "Right", short: "Short", long: "Long" }}
					/>
					<Pick
						label="Courses"
						{...form.register("firmness")}
						options={{ soft: "Soft", medium: "Medium", firm: "Firm" }}
					/>
					<label className="block">
						<span className="quiet text-sm">Clubs carried</span>
						<input
							type="number"
							min={1}
							max={20}
							className="input h-11 w-full"
							{...form.register("mostClubs", { valueAsNumber: true })}
						/>
					</label>
					<label className="block">
						<span className="quiet text-sm">Budget</span>
						<input
							inputMode="decimal"
							className="input h-11 w-full"
							placeholder="none named"
							{...form.register("budget")}
						/>
					</label>
					<FixedClubs session={session} act={act} />
					<label className="col-span-2 flex items-end gap-2 pb-2">
						<input type="checkbox" className="checkbox" {...form.register("pain")} />
						<span>Pain or an injury</span>
					</label>
					{pain && (
						<div className="col-span-full">
							<Caution>Stop on pain. See a doctor before swinging hard: a fitting is not treatment.</Caution>
						</div>
					)}
					<label className="col-span-full block">
						<span className="quiet text-sm">Likes, dislikes, notes</span>
						<textarea className="textarea min-h-20 w-full" {...form.register("notes")} />
					</label>
				</section>
				<p className="flex h-6 items-center gap-3">
					<Said error={save.error} />
					{!save.error && (
						<span className="quiet text-sm">
							{agreed
								? "Agreed."
								: save.isPending
									? "Saving."
									: session.brief.done
										? "Saved."
										: "Saved as you go."}
						</span>
					)}
				</p>
			</fieldset>
			<aside className="border-l border-base-300 bg-base-100 p-5">
				<Targets session={session} act={act} busy={busy} />
				{!session.bag.plan && (
					<p className="mt-3">
						<Link className="btn h-11 w-full" to={`/sessions/${session.id}/bag`}>
							Bag: bring in the baseline
						</Link>
					</p>
				)}
			</aside>
		</div>
	);
}

/** The clubs that stay whatever is found. */
function FixedClubs({ session, act }: Pick<PlaceProps, "session" | "act">) {
	const clubs = ownOf(session);
	return (
		<div className="col-span-full">
			<p className="quiet mb-1 text-sm">Fixed clubs: these stay in the bag</p>
			{clubs.length === 0 && <p className="quiet">Once the bag is known, its clubs can be fixed here.</p>}
			<div className="flex flex-wrap gap-1.5">
				{clubs.map((club) => (
					<button
						key={club.id}
						type="button"
						aria-pressed={club.fixed}
						className={`btn btn-sm h-10 min-w-12 ${club.fixed ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={() => act(() => change.club(club.id, { fixed: !club.fixed }))}
					>
						{club.name}
					</button>
				))}
			</div>
		</div>
	);
}

interface RowProps {
	form: UseFormReturn<Fields>;
	index: number;
	onRemove: () => void;
	wrong: boolean;
}

function JobRow({ form, index, onRemove, wrong }: RowProps) {
	const at = `jobs.${index}` as const;
	const job = useWatch({ control: form.control, name: at });
	const number = { valueAsNumber: true };
	return (
		<li
			className={`bg-base-100 p-3 ${wrong ? "outline-2" : ""}`}
			style={wrong ? { outlineColor: "var(--hole)" } : undefined}
		>
			<div className="flex flex-wrap items-center gap-2">
				<input
					className="input h-10 w-64 flex-1 font-semibold"
					aria-label="Name of the job"
					{...form.register(`${at}.name`)}
				/>
				<select className="select h-10 w-40" aria-label="Kind of shot" {...form.register(`${at}.kind`)}>
					<option value="green">Into a green</option>
					<option value="tee">Off the tee</option>
					<option value="layup">Lay-up</option>
				</select>
				<select className="select h-10 w-32" aria-label="Firmness" {...form.register(`${at}.firmness`)}>
					<option value="soft">Soft</option>
					<option value="medium">Medium</option>
					<option value="firm">Firm</option>
				</select>
				<button type="button" className="btn btn-ghost h-10" onClick={onRemove}>
					Remove
				</button>
			</div>
			<div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
				<label className="flex min-w-64 flex-1 items-center gap-3">
					<span className="num w-20 text-xl">{job?.distance} yd</span>
					<input
						type="range"
						min={60}
						max={290}
						step={1}
						className="range range-sm flex-1"
						aria-label="Distance in yards"
						{...form.register(`${at}.distance`, number)}
					/>
				</label>
				<Small label="must carry" {...form.register(`${at}.over`)} />
				<Small label="wide" {...form.register(`${at}.width`, number)} />
				<Small label="deep" {...form.register(`${at}.depth`, number)} />
				<Small label="a round" step="0.5" {...form.register(`${at}.uses`, number)} />
			</div>
		</li>
	);
}

function Small({
	label,
	...input
}: { label: string; step?: string } & React.InputHTMLAttributes<HTMLInputElement> & {
		ref?: React.Ref<HTMLInputElement>;
	}) {
	return (
		<label className="flex items-center gap-1.5">
			<input type="number" className="input h-10 w-18 px-2 text-right" {...input} />
			<span className="quiet text-sm">{label}</span>
		</label>
	);
}

function Pick({
	label,
	options,
	...select
}: { label: string; options: Record<string, string> } & React.SelectHTMLAttributes<HTMLSelectElement> & {
		ref?: React.Ref<HTMLSelectElement>;
	}) {
	return (
		<label className="block">
			<span className="quiet text-sm">{label}</span>
			<select className="select h-11 w-full" {...select}>
				{Object.entries(options).map(([value, words]) => (
					<option key={value} value={value}>
						{words}
					</option>
				))}
			</select>
		</label>
	);
}
