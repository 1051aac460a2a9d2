/** Who works here: added, disabled, given a new password. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { client, got, type People as PeopleAnswer } from "../../api/client";
import { t } from "../../said/words";
import { Said, Waiting } from "../../ui/Said";
import { Once } from "./Once";

type Line = PeopleAnswer["people"][number];
const path = (id: number) => ({ params: { path: { user_id: id } } });
const when = (at: string | null) =>
	at
		? new Date(at).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" })
		: "never";

const Roles = () => (
	<>
		<option value="fitter">{t("shop-fitter")}</option>
		<option value="owner">{t("shop-owner")}</option>
		<option value="assistant">{t("shop-assistant")}</option>
	</>
);

export function People() {
	const queries = useQueryClient();
	const people = useQuery({ queryKey: ["people"], queryFn: () => got(client.GET("/api/people")) });
	const change = useMutation({
		mutationFn: (go: () => Promise<PeopleAnswer>) => go(),
		onSuccess: (after) => queries.setQueryData(["people"], after),
	});
	if (people.error) return <Said error={people.error} />;
	if (!people.data) return <Waiting what={t("shop-the-people")} />;
	const put = (line: Line, now: Partial<Line>) => {
		const { name, role, active } = { ...line, ...now };
		change.mutate(() =>
			got(client.PUT("/api/people/{user_id}", { ...path(line.id), body: { name, role, active } })),
		);
	};
	return (
		<section className="space-y-4">
			<h2 className="text-lg">{t("shop-people")}</h2>
			<p className="quiet">{t("shop-assistant-hands-clubs-types-shots")}</p>
			<Said error={change.error} />
			{change.data?.password && <Once what={t("shop-new-password")} word={change.data.password} />}
			<ul className="space-y-2">
				{people.data.people.map((line) => (
					<li key={line.id} className="flex flex-wrap items-center gap-x-5 gap-y-2 bg-base-100 p-3">
						<span className={`w-72 ${line.active ? "" : "quiet"}`}>
							<PersonName key={line.name} line={line} onName={(name) => put(line, { name })} />
							<span className="quiet block text-sm">
								{t("shop-signs-as-last", { username: line.username, lastSignIn: when(line.last_sign_in) })}
							</span>
						</span>
						<select
							className="select h-11 w-36"
							aria-label={t("shop-what-is", { name: line.name })}
							value={line.role}
							onChange={(event) => put(line, { role: event.target.value as Line["role"] })}
						>
							<Roles />
						</select>
						<label className="flex min-h-11 cursor-pointer items-center gap-2">
							<input
								type="checkbox"
								className="checkbox"
								checked={line.active}
								onChange={(event) => put(line, { active: event.target.checked })}
							/>
							{t("shop-may-sign")}
						</label>
						<button
							type="button"
							className="btn ml-auto h-11 border-base-300 bg-base-100"
							onClick={() => change.mutate(() => got(client.POST("/api/people/{user_id}", path(line.id))))}
						>
							{t("shop-new-password-2")}
						</button>
					</li>
				))}
			</ul>
			<Add
				onAdd={(body) => change.mutateAsync(() => got(client.POST("/api/people", { body })))}
				busy={change.isPending}
			/>
		</section>
	);
}

/** A name as it is changed where it stands. */
function PersonName({ line, onName }: { line: Line; onName: (name: string) => void }) {
	const [name, setName] = useState(line.name);
	return (
		<input
			className="input h-11 w-full font-semibold"
			aria-label={t("shop-name-of-2", { username: line.username })}
			maxLength={100}
			value={name}
			onChange={(event) => setName(event.target.value)}
			onBlur={() => (name.trim() ? name !== line.name && onName(name) : setName(line.name))}
		/>
	);
}

interface NewPerson {
	name: string;
	username: string;
	role: Line["role"];
}

function Add({ onAdd, busy }: { onAdd: (person: NewPerson) => Promise<unknown>; busy: boolean }) {
	const form = useForm<NewPerson>({ defaultValues: { name: "", username: "", role: "fitter" } });
	const add = (person: NewPerson) =>
		onAdd(person).then(
			() => form.reset(),
			() => undefined, // said above; what was typed stays
		);
	return (
		<form className="flex flex-wrap items-end gap-3" onSubmit={form.handleSubmit(add)}>
			<label>
				<span className="quiet block text-sm">{t("label-name")}</span>
				<input className="input h-11 w-52" required {...form.register("name")} />
			</label>
			<label>
				<span className="quiet block text-sm">{t("shop-signs-as")}</span>
				<input className="input h-11 w-40" required autoComplete="off" {...form.register("username")} />
			</label>
			<select className="select h-11 w-36" aria-label={t("shop-what-they")} {...form.register("role")}>
				<Roles />
			</select>
			<button type="submit" className="btn btn-primary h-11" disabled={busy}>
				{t("label-add")}
			</button>
		</form>
	);
}
