/** What a club is, as it is stated or measured; what its name made us assume says so until it is. */
import { useState } from "react";
import { change } from "../../acts";
import type { Build, HeadType, Wear } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { AsLeft } from "../../ui/AsLeft";
import { dropDraft, useDrafted } from "../../ui/draft";
import { Said } from "../../ui/Said";
import { typedNumber } from "../../ui/typed";
import { figure, fromUnit, lengthText, unit } from "../../ui/units";

const HEADS: Record<string, string> = VOCABULARY.heads;
const SWINGS: Record<string, string> = { ...VOCABULARY.lengths, eased: t("bag-eased"), hard: t("bag-hard") };

/** A figure of a club: its label, what it is now as it is typed, and how what is typed travels. */
interface Figure {
	field:
		| "stated_loft_deg"
		| "set_loft_deg"
		| "measured_loft_deg"
		| "lie_deg"
		| "bounce_deg"
		| "length_m"
		| "age_rounds";
	label: string;
	unit: string;
	now: (build: Build) => number | null;
	sent?: (typed: number) => number;
}
const FIGURES: Figure[] = [
	{ field: "stated_loft_deg", label: t("bag-loft-stated"), unit: "°", now: (build) => build.stated_loft_deg },
	{ field: "set_loft_deg", label: t("bag-loft-as-set"), unit: "°", now: (build) => build.set_loft_deg },
	{
		field: "measured_loft_deg",
		label: t("bag-loft-gauge"),
		unit: "°",
		now: (build) => build.measured_loft_deg,
	},
	{ field: "lie_deg", label: t("label-lie"), unit: "°", now: (build) => build.lie_deg },
	{ field: "bounce_deg", label: t("label-bounce"), unit: "°", now: (build) => build.bounce_deg },
	{
		field: "length_m",
		label: t("label-length"),
		unit: unit("club_length"),
		now: (build) => (build.length_m === null ? null : Number(lengthText(build.length_m))),
		sent: (typed) => fromUnit("club_length", typed),
	},
	{
		field: "age_rounds",
		label: t("label-age"),
		unit: t("bag-rounds"),
		now: (build) => build.age_rounds,
		sent: Math.round,
	},
];
/** What is stated of it in words. */
const WORDS = [
	["sole", t("label-sole")],
	["grip", t("bag-grip")],
	["stamping", t("bag-stamping")],
] as const;
const shown = (value: number | null) => (value === null ? "" : figure(value, 2).replace(/\.?0+$/, ""));

const TICKS = [
	{ field: "of_set", name: t("bag-set-irons") },
	{ field: "kept_out", name: t("bag-kept-out-no-step") },
	{ field: "on_order", name: t("bag-order-not-here-yet") },
] as const;

export function Stated({ build, act }: { build: Build } & Pick<PlaceProps, "act">) {
	const form = `stated:${build.id}`;
	const [typed, setTyped] = useDrafted<Record<string, string>>(form, "typed", {});
	const [wrong, setWrong] = useState<unknown>(null);
	const set = (field: string, value: string) => setTyped((so) => ({ ...so, [field]: value }));
	const rack = build.settings_deg.length > 0;
	const save = () => {
		try {
			const figures = FIGURES.flatMap(({ field, label, sent }) => {
				const value = field in typed ? typedNumber(typed[field] ?? "", label.toLowerCase()) : null;
				return value === null ? [] : [[field, sent ? sent(value) : value] as const];
			});
			const words = (
				["own_shaft", "head_type", "wear", "stock_swing", ...WORDS.map(([field]) => field)] as const
			)
				.filter((field) => typed[field])
				.map((field) => [field, typed[field]] as const);
			act(() => change.state(build.id, Object.fromEntries([...figures, ...words])));
			dropDraft(form);
			setWrong(null);
		} catch (error) {
			setWrong(error);
		}
	};
	const said = (field: string, value: unknown) => act(() => change.state(build.id, { [field]: value }));
	const mark = (field: string) =>
		build.assumed.includes(field) &&
		!(field in typed) && <span className="hole-text"> {t("label-assumed")}</span>;
	return (
		<details className="border-t border-base-300 pt-2">
			<summary className="min-h-11 cursor-pointer text-sm underline">
				{t("bag-what-it-is")}
				{build.assumed.length > 0 && <span className="hole-text"> {t("bag-some-assumed")}</span>}
			</summary>
			<form
				className="mt-1 space-y-2"
				onSubmit={(event) => {
					event.preventDefault();
					save();
				}}
			>
				<AsLeft form={form} />
				<div className="grid grid-cols-2 gap-x-3 gap-y-1.5">
					{!rack && (
						<label className="text-sm">
							<span className="quiet block">
								{t("label-kind")}
								{mark("head_type")}
							</span>
							<select
								className="select h-11 w-full"
								value={typed.head_type ?? build.head_type}
								onChange={(event) => set("head_type", event.target.value as HeadType)}
							>
								{Object.entries(HEADS).map(([kind, words]) => (
									<option key={kind} value={kind}>
										{words}
									</option>
								))}
							</select>
						</label>
					)}
					{FIGURES.map(({ field, label, unit, now }) => (
						<label key={field} className="text-sm">
							<span className="quiet block">
								{label}, {unit}
								{mark(field)}
							</span>
							<input
								className="input h-11 w-full px-2"
								inputMode="decimal"
								value={typed[field] ?? shown(now(build))}
								onChange={(event) => set(field, event.target.value)}
							/>
						</label>
					))}
					<label className="text-sm">
						<span className="quiet block">{t("label-shaft")}</span>
						<input
							className="input h-11 w-full px-2"
							maxLength={60}
							value={typed.own_shaft ?? (build.own_shaft || build.shaft)}
							onChange={(event) => set("own_shaft", event.target.value)}
						/>
					</label>
					<label className="text-sm">
						<span className="quiet block">{t("label-grooves")}</span>
						<select
							className="select h-11 w-full"
							value={typed.wear ?? build.wear ?? ""}
							onChange={(event) => set("wear", event.target.value as Wear)}
						>
							<option value="">{t("bag-not-said")}</option>
							{VOCABULARY.wear.map((each) => (
								<option key={each} value={each}>
									{termOf("wear", each)}
								</option>
							))}
						</select>
					</label>
					<label className="text-sm">
						<span className="quiet block">{t("bag-stock-swing")}</span>
						<select
							className="select h-11 w-full"
							value={typed.stock_swing ?? build.stock_swing}
							onChange={(event) => set("stock_swing", event.target.value)}
						>
							{[...new Set([...Object.keys(SWINGS), build.stock_swing])].map((each) => (
								<option key={each} value={each}>
									{SWINGS[each] ?? t("label-to-2", { each })}
								</option>
							))}
						</select>
					</label>
					{WORDS.map(([field, label]) => (
						<label key={field} className="text-sm">
							<span className="quiet block">{label}</span>
							<input
								className="input h-11 w-full px-2"
								maxLength={field === "grip" ? 60 : 40}
								value={typed[field] ?? build[field]}
								onChange={(event) => set(field, event.target.value)}
							/>
						</label>
					))}
					{build.head_type === "wedge" && (
						<>
							<label className="text-sm">
								<span className="quiet block">{t("label-finish")}</span>
								<select
									className="select h-11 w-full"
									value={build.finish ?? ""}
									onChange={(event) => event.target.value && said("finish", event.target.value)}
								>
									<option value="">{t("bag-not-said")}</option>
									{VOCABULARY.finishes.map((each) => (
										<option key={each} value={each}>
											{termOf("finish", each)}
										</option>
									))}
								</select>
							</label>
							{TICKS.map(({ field, name }) => (
								<label key={field} className="flex min-h-11 items-center gap-2 text-sm">
									<input
										type="checkbox"
										className="checkbox"
										checked={build[field]}
										onChange={(event) => said(field, event.target.checked)}
									/>
									{name}
								</label>
							))}
						</>
					)}
				</div>
				<Said error={wrong} />
				<button type="submit" className="btn btn-sm h-11" disabled={Object.keys(typed).length === 0}>
					{t("bag-state-it")}
				</button>
			</form>
		</details>
	);
}
