/** One head or shaft of the rack, to be written down or changed. */
import type { ReactNode } from "react";
import { client, got } from "../../api/client";
import type { components } from "../../api/schema";
import { VOCABULARY } from "../../api/vocabulary";
import { t } from "../../said/words";
import { AsLeft } from "../../ui/AsLeft";
import { dropDraft, useDrafted } from "../../ui/draft";
import { Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { neededNumber, typedNumber } from "../../ui/typed";
import { fromUnit, lengthText, unit } from "../../ui/units";
import { type Head, type Shaft, useRackChange } from "./change";

type HeadBody = components["schemas"]["HeadInRequest"];
type ShaftBody = components["schemas"]["ShaftInRequest"];
type Position = Head["positions"][number];

const text = (value: number | string | null | undefined) =>
	value === null || value === undefined ? "" : String(value);

/** Fields as they are typed, by name; figures are read when they are sent. */
function useFields(form: string, start: Record<string, string>) {
	const [typed, setFields] = useDrafted<Record<string, string>>(form, "fields", {});
	const fields: Record<string, string> = { ...start, ...typed };
	const field = (
		name: string,
		label: string,
		unit = "",
		more: Partial<{ numeric: boolean; width: string }> = {},
	) => (
		<label key={name} className="flex flex-col gap-0.5">
			<span className="quiet text-sm">
				{label}
				{unit ? `, ${unit}` : ""}
			</span>
			<input
				className={`input h-11 px-2 ${more.width ?? "w-full"}`}
				inputMode={more.numeric === false ? "text" : "decimal"}
				value={fields[name] ?? ""}
				onChange={(event) => setFields((so) => ({ ...so, [name]: event.target.value }))}
			/>
		</label>
	);
	const choice = (name: string, label: string, options: readonly (readonly [string, string])[]) => (
		<label key={name} className="flex flex-col gap-0.5">
			<span className="quiet text-sm">{label}</span>
			<select
				className="select h-11 w-full"
				value={fields[name]}
				onChange={(event) => setFields((so) => ({ ...so, [name]: event.target.value }))}
			>
				{options.map(([value, words]) => (
					<option key={value} value={value}>
						{words}
					</option>
				))}
			</select>
		</label>
	);
	return { fields, field, choice };
}

const INCH_M = 0.0254;
/** A length as it travels, in inches, in the unit it is read and typed in; what still reads as it stood is as it stood. */
const shownLength = (inches: number | null | undefined) =>
	typeof inches === "number" ? lengthText(inches * INCH_M) : inches;
const inInches = (typed: number | null, stood: number | null | undefined) => {
	if (typed === null) return null;
	if (typeof stood === "number" && Number(lengthText(stood * INCH_M)) === typed) return stood;
	return Number((fromUnit("club_length", typed) / INCH_M).toFixed(3));
};

function Frame({
	form,
	title,
	error,
	busy,
	retired,
	onSave,
	onRetire,
	onClose,
	children,
}: {
	form: string;
	title: string;
	error: Error | null;
	busy: boolean;
	retired: boolean | null;
	onSave: () => void;
	onRetire: () => void;
	onClose: () => void;
	children: ReactNode;
}) {
	return (
		<Sheet title={title} onClose={onClose} wide>
			<form
				onSubmit={(event) => {
					event.preventDefault();
					onSave();
				}}
			>
				<AsLeft form={form} />
				<div className="grid grid-cols-2 gap-3 md:grid-cols-4">{children}</div>
				<Said error={error} />
				<div className="mt-4 flex gap-2">
					<button type="submit" className="btn btn-primary h-11" disabled={busy}>
						{retired === null ? t("rack-onto-rack") : t("label-save")}
					</button>
					{retired !== null && (
						<button type="button" className="btn h-11" disabled={busy} onClick={onRetire}>
							{retired ? t("rack-put-back-rack") : t("rack-take-off-rack")}
						</button>
					)}
				</div>
			</form>
		</Sheet>
	);
}

const LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWX";
const KINDS = Object.entries(VOCABULARY.heads).filter(([kind]) => kind !== "putter");

export function HeadForm({ head, onClose }: { head: Head | null; onClose: () => void }) {
	const save = useRackChange();
	const form = `rack:head:${head?.id ?? "new"}`;
	const [table, setTable] = useDrafted<Typed[]>(form, "table", (head?.positions ?? []).map(typedPosition));
	const { fields, field, choice } = useFields(form, {
		maker: head?.maker ?? "",
		model: head?.model ?? "",
		label: head?.label ?? "",
		head_type: head?.head_type ?? "hybrid",
		loft: text(head?.loft_deg),
		lie: text(head?.lie_deg),
		length: text(shownLength(head?.length_in)),
		sleeve: text(head?.sleeve_deg ?? 0),
		tip: text(head?.tip_in ?? 0.37),
		hand: head?.hand ?? "both",
		sole: head?.sole ?? "",
		bounce: text(head?.bounce_deg),
		weight: text(head?.head_g),
		made: head?.made ?? "unknown",
		stock: text(head?.stock ?? 1),
		price: text(head ? Number(head.price) : null),
	});
	const body = (): HeadBody => ({
		maker: fields.maker ?? "",
		model: fields.model ?? "",
		label: fields.label ?? "",
		head_type: fields.head_type as HeadBody["head_type"],
		loft_deg: neededNumber(fields.loft, "loft"),
		length_in: inInches(neededNumber(fields.length, "length"), head?.length_in) ?? 0,
		price: neededNumber(fields.price, "price"),
		lie_deg: typedNumber(fields.lie ?? "", "lie"),
		sleeve_deg: typedNumber(fields.sleeve ?? "", "sleeve") ?? 0,
		positions: table.map(positionOf),
		tip_in: neededNumber(fields.tip, "bore"),
		hand: fields.hand as HeadBody["hand"],
		sole: fields.sole ?? "",
		bounce_deg: typedNumber(fields.bounce ?? "", "bounce"),
		head_g: typedNumber(fields.weight ?? "", "weight"),
		made: fields.made as HeadBody["made"],
		stock: neededNumber(fields.stock, "stock"),
	});
	const done = {
		onSuccess: () => {
			dropDraft(form);
			onClose();
		},
	};
	const path = { params: { path: { head_id: head?.id ?? 0 } } };
	return (
		<Frame
			form={form}
			title={head ? `${head.label} ${head.maker} ${head.model}` : t("rack-head-for-rack")}
			error={save.error}
			busy={save.isPending}
			retired={head?.retired ?? null}
			onSave={() =>
				save.mutate(async () => {
					const sent = body();
					return head
						? got(client.PUT("/api/rack/heads/{head_id}", { ...path, body: sent }))
						: got(client.POST("/api/rack/heads", { body: sent }));
				}, done)
			}
			onRetire={() =>
				save.mutate(
					() =>
						got(client.PATCH("/api/rack/heads/{head_id}", { ...path, body: { retired: !head?.retired } })),
					done,
				)
			}
			onClose={onClose}
		>
			{field("maker", t("rack-maker"), "", { numeric: false })}
			{field("model", t("rack-model"), "", { numeric: false })}
			{field("label", t("rack-stands-sole"), "", { numeric: false })}
			{choice("head_type", t("label-kind"), KINDS)}
			{field("loft", t("label-loft"), "°")}
			{field("lie", t("label-lie"), "°")}
			{field("length", t("label-length"), unit("club_length"))}
			{field("price", t("label-price"))}
			{field("sleeve", t("rack-sleeve-turns-either-way"), "°")}
			{field("tip", t("rack-bore-hosel"), "in")}
			{choice("hand", t("rack-made-for"), [
				["both", t("rack-both-hands")],
				["right", t("rack-right-handers")],
				["left", t("rack-left-handers")],
			])}
			{field("stock", t("rack-in-stock"))}
			{field("sole", t("label-sole"), "", { numeric: false })}
			{field("bounce", t("label-bounce"), "°")}
			{field("weight", t("rack-head-weight"), "g")}
			{choice("made", t("rack-made"), [
				["unknown", t("rack-not-known")],
				["forged", "forged"],
				["cast", "cast"],
				["hollow", "hollow"],
			])}
			<Positions table={table} onChange={setTable} />
		</Frame>
	);
}

/** A position of a sleeve as it is typed. */
type Typed = Record<(typeof FIGURES)[number]["name"] | "name", string> & { id: number };
const FIGURES = [
	{ name: "loft_deg", label: t("label-loft-2") },
	{ name: "lie_deg", label: t("rack-lie") },
	{ name: "face_deg", label: t("rack-face") },
] as const;

const typedPosition = (position: Position, id: number): Typed => ({
	id,
	name: position.name,
	loft_deg: text(position.loft_deg),
	lie_deg: text(position.lie_deg),
	face_deg: text(position.face_deg),
});
const positionOf = ({ name, ...each }: Typed): Position => {
	const figure = (key: (typeof FIGURES)[number]["name"], label: string) =>
		neededNumber(each[key], t("rack-of-position", { label, name }));
	return {
		name,
		loft_deg: figure("loft_deg", "loft"),
		lie_deg: figure("lie_deg", "lie"),
		face_deg: figure("face_deg", "face"),
	};
};

/** The sleeve's own table of positions, where the shop has it. */
function Positions({ table, onChange }: { table: Typed[]; onChange: (table: Typed[]) => void }) {
	const put = (id: number, over: Partial<Typed>) =>
		onChange(table.map((each) => (each.id === id ? { ...each, ...over } : each)));
	const add = () => {
		const names = new Set(table.map((each) => each.name));
		const free = [...LETTERS].find((letter) => !names.has(letter)) ?? "";
		const id = Math.max(-1, ...table.map((each) => each.id)) + 1;
		onChange([...table, typedPosition({ name: free, loft_deg: 0, lie_deg: 0, face_deg: 0 }, id)]);
	};
	return (
		<fieldset className="col-span-full">
			<legend className="quiet text-sm">{t("rack-sleeves-own-table-if-you")}</legend>
			<ul className="space-y-2">
				{table.map((position, index) => (
					<li key={position.id} className="flex flex-wrap items-center gap-2">
						<input
							className="input h-11 w-20 px-2"
							aria-label={t("rack-name-position", { index: index + 1 })}
							value={position.name}
							onChange={(event) => put(position.id, { name: event.target.value })}
						/>
						{FIGURES.map(({ name, label }) => (
							<label key={name} className="flex items-center gap-2">
								<span className="quiet text-sm">{label}</span>
								<input
									className="input h-11 w-20 px-2 text-right"
									inputMode="decimal"
									aria-label={t("rack-of-position-2", { label, index: index + 1 })}
									value={position[name]}
									onChange={(event) => put(position.id, { [name]: event.target.value })}
								/>
							</label>
						))}
						<button
							type="button"
							className="btn btn-ghost btn-sm h-11"
							aria-label={t("rack-remove-position", { index: index + 1 })}
							onClick={() => onChange(table.filter((each) => each.id !== position.id))}
						>
							{t("label-remove")}
						</button>
					</li>
				))}
			</ul>
			<button type="button" className="btn btn-sm mt-1 h-11" onClick={add}>
				{t("rack-add-position")}
			</button>
		</fieldset>
	);
}

export function ShaftForm({ shaft, onClose }: { shaft: Shaft | null; onClose: () => void }) {
	const save = useRackChange();
	const form = `rack:shaft:${shaft?.id ?? "new"}`;
	const [fits, setFits] = useDrafted<string[]>(form, "fits", shaft?.fits ?? ["hybrid"]);
	const { fields, field, choice } = useFields(form, {
		name: shaft?.name ?? "",
		flex: shaft?.flex ?? "",
		weight: text(shaft?.weight_g),
		material: shaft?.material ?? "graphite",
		tip: text(shaft?.tip_in ?? 0.37),
		bend: shaft?.bend ?? "unknown",
		balance: text(shaft?.balance === null || shaft === null ? null : shaft.balance * 100),
		length: text(shownLength(shaft?.length_in)),
		stock: text(shaft?.stock ?? 1),
	});
	const body = (): ShaftBody => {
		const balance = typedNumber(fields.balance ?? "", "balance");
		return {
			name: fields.name ?? "",
			flex: fields.flex ?? "",
			weight_g: neededNumber(fields.weight, "weight"),
			material: fields.material ?? "",
			tip_in: neededNumber(fields.tip, "tip"),
			fits: fits as ShaftBody["fits"],
			bend: fields.bend as ShaftBody["bend"],
			balance: balance === null ? null : balance / 100,
			length_in: inInches(typedNumber(fields.length ?? "", "length"), shaft?.length_in),
			stock: neededNumber(fields.stock, "stock"),
		};
	};
	const done = {
		onSuccess: () => {
			dropDraft(form);
			onClose();
		},
	};
	const path = { params: { path: { shaft_id: shaft?.id ?? 0 } } };
	return (
		<Frame
			form={form}
			title={shaft ? shaft.name : t("rack-shaft-for-rack")}
			error={save.error}
			busy={save.isPending}
			retired={shaft?.retired ?? null}
			onSave={() =>
				save.mutate(async () => {
					const sent = body();
					return shaft
						? got(client.PUT("/api/rack/shafts/{shaft_id}", { ...path, body: sent }))
						: got(client.POST("/api/rack/shafts", { body: sent }));
				}, done)
			}
			onRetire={() =>
				save.mutate(
					() =>
						got(client.PATCH("/api/rack/shafts/{shaft_id}", { ...path, body: { retired: !shaft?.retired } })),
					done,
				)
			}
			onClose={onClose}
		>
			{field("name", t("label-name"), "", { numeric: false })}
			{field("weight", t("rack-weight"), "g")}
			{field("flex", t("rack-flex"), "", { numeric: false })}
			{field("material", t("rack-material"), "", { numeric: false })}
			{field("tip", t("rack-tip"), "in")}
			{choice("bend", t("rack-bend-class"), [
				["unknown", t("rack-not-known")],
				["low", t("rack-low-launching")],
				["mid", t("rack-mid-launching")],
				["high", t("rack-high-launching")],
			])}
			{field("balance", t("rack-balance"), t("rack-its-length"))}
			{field("length", t("label-length"), unit("club_length"))}
			{field("stock", t("rack-in-stock"))}
			<fieldset className="col-span-full flex flex-wrap gap-x-4">
				<legend className="quiet text-sm">{t("rack-goes-into")}</legend>
				{KINDS.map(([kind, words]) => (
					<label key={kind} className="flex min-h-11 items-center gap-2">
						<input
							type="checkbox"
							className="checkbox checkbox-sm"
							checked={fits.includes(kind)}
							onChange={(event) =>
								setFits((so) => (event.target.checked ? [...so, kind] : so.filter((each) => each !== kind)))
							}
						/>
						{words}
					</label>
				))}
			</fieldset>
		</Frame>
	);
}
