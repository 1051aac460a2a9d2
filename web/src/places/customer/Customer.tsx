/** One customer: their data and visits; merged with another that is the same person, exported, erased. */
import "../../said/rest";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useForm } from "react-hook-form";
import { useParams } from "react-router";
import { type Customer as CustomerAnswer, client, got, type Person } from "../../api/client";
import { ShopFrame } from "../../app/ShopFrame";
import { t } from "../../said/words";
import { AsLeft } from "../../ui/AsLeft";
import { useFormDraft } from "../../ui/draft";
import { Said, Waiting } from "../../ui/Said";
import { CustomerPicker } from "../desk/CustomerPicker";
import { Sessions } from "../desk/Sessions";

const path = (id: number) => ({ params: { path: { customer_id: id } } });

export default function Customer() {
	const id = Number(useParams().id);
	const queries = useQueryClient();
	const key = ["customer", id];
	const found = useQuery({
		queryKey: key,
		queryFn: () => got(client.GET("/api/customers/{customer_id}", path(id))),
	});
	const change = useMutation({
		mutationFn: (go: () => Promise<CustomerAnswer>) => go(),
		onSuccess: () => queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== "me" }),
	});
	const customer = found.data;
	return (
		<ShopFrame at="/customers" title={customer?.name ?? t("label-customer")}>
			<Said error={found.error ?? change.error} />
			{customer ? (
				<div className="grid gap-8 lg:grid-cols-[1fr_24rem]">
					<section className="min-w-0">
						<h2 className="mb-2 text-lg">{t("customer-visits")}</h2>
						{customer.visits.length ? (
							<Sessions lines={customer.visits} dated />
						) : (
							<p className="quiet">{t("customer-no-visit-yet")}</p>
						)}
					</section>
					<aside className="space-y-8">
						{customer.erased ? (
							<p>{t("customer-customer-erased-what-hit-agreed")}</p>
						) : (
							<>
								<Own
									key={JSON.stringify([customer.name, customer.email, customer.notes])}
									customer={customer}
									busy={change.isPending}
									saved={change.isSuccess}
									onSave={(body) =>
										change.mutate(() =>
											got(client.PUT("/api/customers/{customer_id}", { ...path(id), body })),
										)
									}
								/>
								<Merge
									customer={customer}
									onMerge={(other) =>
										change.mutate(() =>
											got(
												client.POST("/api/customers/{customer_id}/merge", { ...path(id), body: { other } }),
											),
										)
									}
									onPart={(other) =>
										change.mutate(() => got(client.DELETE("/api/customers/{customer_id}/merge", path(other))))
									}
								/>
								<Take
									customer={customer}
									onErase={() =>
										change.mutate(() => got(client.DELETE("/api/customers/{customer_id}", path(id))))
									}
								/>
							</>
						)}
					</aside>
				</div>
			) : (
				!found.error && <Waiting what={t("label-the-customer")} />
			)}
		</ShopFrame>
	);
}

type Theirs = CustomerAnswer["units"];
const METRIC: Theirs = { far: "m", high: "m", speed: "kmh", warmth: "c", club_length: "mm" };
const YARDS: Theirs = { far: "yd", high: "ft", speed: "mph", warmth: "c", club_length: "in" };
const PAPERS = { own: null, metric: METRIC, yards: YARDS };

interface Fields {
	name: string;
	hand: "right" | "left";
	birth_year: string;
	email: string;
	notes: string;
	papers: keyof typeof PAPERS;
}

function Own({
	customer,
	busy,
	saved,
	onSave,
}: {
	customer: CustomerAnswer;
	busy: boolean;
	saved: boolean;
	onSave: (
		fields: Omit<Fields, "birth_year" | "papers"> & { birth_year: number | null; units: Theirs },
	) => void;
}) {
	const form = useForm<Fields>({
		defaultValues: {
			name: customer.name,
			hand: customer.hand === "left" ? "left" : "right",
			birth_year: customer.birth_year ? String(customer.birth_year) : "",
			email: customer.email,
			notes: customer.notes,
			papers: !customer.units ? "own" : customer.units.far === "m" ? "metric" : "yards",
		},
	});
	const draft = `customer:${customer.id}`;
	useFormDraft(form, draft);
	const field = "input h-11 w-full";
	return (
		<form
			className="space-y-3"
			onSubmit={form.handleSubmit(({ papers, ...fields }) =>
				onSave({
					...fields,
					birth_year: fields.birth_year ? Number(fields.birth_year) : null,
					units: PAPERS[papers],
				}),
			)}
		>
			<h2 className="text-lg">{t("customer-their-data")}</h2>
			<AsLeft form={draft} onAnew={() => form.reset()} />
			<label className="block">
				<span className="quiet text-sm">{t("label-name")}</span>
				<input className={field} required maxLength={80} {...form.register("name")} />
			</label>
			<div className="grid grid-cols-2 gap-3">
				<label className="block">
					<span className="quiet text-sm">{t("customer-plays")}</span>
					<select className="select h-11 w-full" {...form.register("hand")}>
						<option value="right">{t("customer-right-handed")}</option>
						<option value="left">{t("label-left-handed")}</option>
					</select>
				</label>
				<label className="block">
					<span className="quiet text-sm">{t("customer-born-in")}</span>
					<input
						className={`num ${field}`}
						inputMode="numeric"
						pattern="[0-9]{4}"
						{...form.register("birth_year")}
					/>
				</label>
			</div>
			<label className="block">
				<span className="quiet text-sm">{t("customer-e-mail")}</span>
				<input type="email" className={field} {...form.register("email")} />
			</label>
			<label className="block">
				<span className="quiet text-sm">{t("customer-papers-in")}</span>
				<select className="select h-11 w-full" {...form.register("papers")}>
					<option value="own">{t("customer-papers-own")}</option>
					<option value="yards">{t("customer-papers-yards")}</option>
					<option value="metric">{t("customer-papers-metric")}</option>
				</select>
			</label>
			<label className="block">
				<span className="quiet text-sm">{t("label-notes")}</span>
				<textarea className="textarea field-sizing-content min-h-16 w-full" {...form.register("notes")} />
			</label>
			<button type="submit" className="btn btn-primary h-11 w-full" disabled={busy}>
				{t("label-save")}
			</button>
			{saved && !form.formState.isDirty && (
				<p role="status" className="quiet text-sm">
					{t("customer-saved")}
				</p>
			)}
		</form>
	);
}

function Merge({
	customer,
	onMerge,
	onPart,
}: {
	customer: CustomerAnswer;
	onMerge: (other: number) => void;
	onPart: (other: number) => void;
}) {
	const [other, setOther] = useState<Person | null>(null);
	return (
		<section className="space-y-2">
			<h2 className="text-lg">{t("customer-twice-book")}</h2>
			{customer.merged.map((each) => (
				<p key={each.id} className="flex items-center gap-3">
					<span className="flex-1">{t("customer-customer-too", { name: each.name })}</span>
					<button type="button" className="btn h-11" onClick={() => onPart(each.id)}>
						{t("customer-part-them")}
					</button>
				</p>
			))}
			<CustomerPicker value={other} onChange={setOther} />
			{other && (
				<button
					type="button"
					className="btn h-11 w-full border-base-300 bg-base-100"
					disabled={other.id === customer.id}
					onClick={() => {
						onMerge(other.id);
						setOther(null);
					}}
				>
					{other.id === customer.id
						? t("customer-that-is-this-customer")
						: t("customer-and-are-one", { name: other.name, name2: customer.name })}
				</button>
			)}
		</section>
	);
}

function Take({ customer, onErase }: { customer: CustomerAnswer; onErase: () => void }) {
	const asked = useRef<HTMLDialogElement>(null);
	return (
		<section className="space-y-2">
			<h2 className="text-lg">{t("customer-everything-record")}</h2>
			<a
				className="btn h-11 w-full border-base-300 bg-base-100"
				href={`/api/customers/${customer.id}/export`}
				download
			>
				{t("customer-export-page-shots-visits")}
			</a>
			{customer.may_erase && (
				<>
					<button
						type="button"
						className="btn h-11 w-full border-base-300 bg-base-100"
						onClick={() => asked.current?.showModal()}
					>
						{t("customer-erase-customer")}
					</button>
					<dialog ref={asked} className="modal" aria-label={t("customer-erase-customer")}>
						<form method="dialog" className="modal-box space-y-4">
							<h3 className="text-xl">{t("customer-erase", { name: customer.name })}</h3>
							<p>{t("customer-name-e-mail-year-birth")}</p>
							<div className="flex justify-end gap-3">
								<button type="submit" className="btn h-11">
									{t("customer-keep-them")}
								</button>
								<button type="submit" className="btn btn-primary h-11" onClick={onErase}>
									{t("customer-erase-for-good")}
								</button>
							</div>
						</form>
					</dialog>
				</>
			)}
		</section>
	);
}
