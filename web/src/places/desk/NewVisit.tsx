/** A visit begins: with a customer who is known, or a new one. */

import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { Controller, useForm, useWatch } from "react-hook-form";
import { Link, useNavigate } from "react-router";
import { client, got, type Me, type Person, Problem } from "../../api/client";
import { useCommands } from "../../commands/commands";
import { inGroup } from "../../commands/rows";
import { t } from "../../said/words";
import { AsLeft } from "../../ui/AsLeft";
import { dropDraft, useDrafted, useFormDraft } from "../../ui/draft";
import { Said } from "../../ui/Said";
import { CustomerPicker } from "./CustomerPicker";

interface VisitFields {
	customer: Person | null;
	name: string;
	hand: "right" | "left";
	bay: string;
}

const VISIT = "visit";

/** first: nobody is known here yet. */
export default function NewVisit({ me, first }: { me: Me; first: boolean }) {
	const navigate = useNavigate();
	const queries = useQueryClient();
	const [isNew, setNew] = useDrafted(VISIT, "isNew", first);
	const form = useForm<VisitFields>({
		defaultValues: { customer: null, name: "", hand: "right", bay: String(me.bays[0]?.id ?? "") },
	});
	useFormDraft(form, `${VISIT}:fields`);
	const chosen = useWatch({ control: form.control, name: "customer" });
	const open = useMutation({
		mutationFn: async (fields: VisitFields) => {
			let { customer } = fields;
			if (isNew) {
				customer = await got(
					client.POST("/api/customers", { body: { name: fields.name, hand: fields.hand } }),
				);
				// Known from here on: a visit that cannot be opened just now does not add them twice.
				form.setValue("customer", customer);
				setNew(false);
			}
			if (!customer) throw new Problem(t("desk-choose-customer-or-add-new"), 0, "customer");
			return got(client.POST("/api/sessions", { body: { customer: customer.id, bay: Number(fields.bay) } }));
		},
		onSuccess: async (session) => {
			dropDraft(VISIT);
			dropDraft(`${VISIT}:fields`);
			await queries.invalidateQueries();
			await navigate(`/sessions/${session.id}/brief`);
		},
	});
	// Who is new has a name to be typed at once.
	const began = useRef(false);
	const begin = () => {
		began.current = true;
		setNew(true);
		if (isNew) form.setFocus("name");
	};
	useEffect(() => {
		if (!isNew || !began.current) return;
		began.current = false;
		form.setFocus("name");
	}, [isNew, form]);
	useCommands("desk", inGroup(t("label-desk"), [["new", t("desk-new-customer"), "n", undefined, begin]]));
	return (
		<form className="space-y-3" onSubmit={form.handleSubmit((fields) => open.mutate(fields))}>
			<h2 className="text-lg">{t("desk-new-visit")}</h2>
			<AsLeft
				form={`${VISIT}:fields`}
				onAnew={() => {
					form.reset();
					dropDraft(VISIT);
				}}
			/>
			{isNew ? (
				<>
					<input
						className="input h-11 w-full"
						placeholder={t("desk-customers-name")}
						aria-label={t("desk-customers-name")}
						{...form.register("name")}
						required
					/>
					<select className="select h-11 w-full" aria-label={t("label-hand")} {...form.register("hand")}>
						<option value="right">{t("desk-right-handed")}</option>
						<option value="left">{t("desk-left-handed")}</option>
					</select>
				</>
			) : (
				<Controller
					control={form.control}
					name="customer"
					render={({ field }) => <CustomerPicker value={field.value} onChange={field.onChange} />}
				/>
			)}
			{!isNew && chosen && (
				<Link className="inline-block min-h-11 py-1.5 underline" to={`/customers/${chosen.id}`}>
					{t("desk-data-visits", { name: chosen.name })}
				</Link>
			)}
			<select className="select h-11 w-full" aria-label={t("label-bay")} {...form.register("bay")}>
				{me.bays.map((bay) => (
					<option key={bay.id} value={bay.id}>
						{bay.name}
						{bay.indoor ? t("label-indoor") : t("label-outdoor")}
					</option>
				))}
			</select>
			<Said error={open.error} />
			<div className="flex gap-2">
				<button type="submit" className="btn btn-primary h-11 flex-1" disabled={open.isPending}>
					{t("desk-start")}
				</button>
				<button type="button" className="btn h-11" onClick={() => (isNew ? setNew(false) : begin())}>
					{isNew ? t("desk-known-customer") : t("desk-new-customer")}
				</button>
			</div>
		</form>
	);
}
