/** What the owner sets: bays and their monitors, where verdicts begin and end, people, how long data is kept; the
 * trail of acts; and everyone's own sign-in. */
import "../../said/rest";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { client, got, type ShopSettings } from "../../api/client";
import { termOf } from "../../api/words";
import { ShopFrame } from "../../app/ShopFrame";
import { t } from "../../said/words";
import { Said, Waiting } from "../../ui/Said";
import { fromHigh, fromUnit, inUnit, ofUsual, shownAs, unit, unitName, whole } from "../../ui/units";
import { AddBay, BayName, ShopName } from "./Called";
import { Data } from "./Data";
import { Keys } from "./Keys";
import { People } from "./People";
import { Trail } from "./Trail";
import { You } from "./You";

type Threshold = ShopSettings["thresholds"][number];
type BayRow = ShopSettings["bays"][number];

const OWNERS = [
	{ id: "bays", name: t("label-bays") },
	{ id: "thresholds", name: t("shop-thresholds") },
	{ id: "people", name: t("shop-people") },
	{ id: "data", name: t("shop-data") },
	{ id: "trail", name: t("shop-trail") },
	{ id: "you", name: t("label-you") },
] as const;
const EVERYBODYS = OWNERS.filter((each) => each.id !== "people" && each.id !== "trail");

function Parts({ parts, at }: { parts: readonly { id: string; name: string }[]; at: string }) {
	return (
		<nav className="flex flex-wrap gap-1" aria-label={t("shop-parts-shop")}>
			{parts.map((each) => (
				<Link
					key={each.id}
					to={`/shop?part=${each.id}`}
					aria-current={each.id === at ? "page" : undefined}
					className={`flex min-h-11 items-center rounded px-3 font-semibold ${each.id === at ? "bg-primary text-primary-content" : "hover:bg-base-300"}`}
				>
					{each.name}
				</Link>
			))}
		</nav>
	);
}

export default function Shop() {
	const queries = useQueryClient();
	const [search] = useSearchParams();
	const shop = useQuery({ queryKey: ["shop"], queryFn: () => got(client.GET("/api/shop")) });
	const put = useMutation({
		mutationFn: (go: () => Promise<ShopSettings>) => go(),
		onSuccess: (after) => {
			queries.setQueryData(["shop"], after);
			void queries.invalidateQueries({ queryKey: ["session"] });
			void queries.invalidateQueries({ queryKey: ["me"] });
		},
	});
	const parts = shop.data?.may_change ? OWNERS : EVERYBODYS;
	const part = parts.find((each) => each.id === search.get("part"))?.id ?? "bays";
	return (
		<ShopFrame at="/shop" title={t("label-shop")} intro={t("intro-shop")}>
			<Said error={shop.error ?? put.error} />
			{shop.data ? (
				<div className="space-y-8">
					<Parts parts={parts} at={part} />
					{!shop.data.may_change && part !== "you" && (
						<p className="quiet">{t("label-only-owner-changes-what-here")}</p>
					)}
					{part === "people" && <People />}
					{part === "trail" && <Trail />}
					{part === "you" && <You />}
					{part === "data" && (
						<Data
							key={`${shop.data.idle_minutes} ${shop.data.keep_years}`}
							shop={shop.data}
							onSet={(body) => put.mutate(() => got(client.PUT("/api/shop/rules", { body })))}
						/>
					)}
					{part === "bays" && (
						<Bays
							put={put.mutate}
							shop={shop.data}
							onSet={(bay) =>
								put.mutate(() =>
									got(client.PUT("/api/bays/{bay_id}", { params: { path: { bay_id: bay.id } }, body: bay })),
								)
							}
						/>
					)}
					{part === "thresholds" && (
						<section>
							<h2 className="text-lg">{t("shop-where-verdict-begins-ends")}</h2>
							<p className="quiet mb-2">{t("shop-sessions-agreed-keep-ones-they")}</p>
							<table className="table-plain w-full bg-base-100">
								<thead>
									<tr>
										<th scope="col" className="pl-3!">
											{t("shop-threshold")}
										</th>
										<th scope="col">{t("shop-value")}</th>
										<th scope="col">{t("shop-usual")}</th>
									</tr>
								</thead>
								<tbody>
									{shop.data.thresholds.map((each) => (
										<Row
											key={each.key + each.value}
											threshold={each}
											disabled={!shop.data.may_change || put.isPending}
											onSet={(value) =>
												put.mutate(() =>
													got(client.PUT("/api/shop", { body: { values: { [each.key]: value } } })),
												)
											}
										/>
									))}
								</tbody>
							</table>
						</section>
					)}
				</div>
			) : (
				<Waiting what={t("label-the-shop")} />
			)}
		</ShopFrame>
	);
}

const FOLLOWS = t("shop-follows-ball-flight-measured");
const IMPACT_ONLY = t("shop-sees-impact-only-flight-its");
const asShare = (unit: string) => unit === "chance" || unit === "share";
/** Of what is kept, how much one shown is: lengths travel in yards. */
const scaleOf = (given: string) => (asShare(given) ? 100 : given === "yd" ? ofUsual("carry_m") : 1);
const shownOf = (value: number, given: string) => String(Number((value * scaleOf(given)).toPrecision(3)));
const unitOf = (given: string) =>
	asShare(given) ? t("shop-in-100") : given === "yd" ? unit("far") : termOf("counted", given);

function Row({
	threshold,
	disabled,
	onSet,
}: {
	threshold: Threshold;
	disabled: boolean;
	onSet: (value: number) => void;
}) {
	const { unit: given } = threshold;
	const [text, setText] = useState(shownOf(threshold.value, given));
	const set = () => {
		const value = Number(text.replace(",", ".")) / scaleOf(given);
		if (Number.isFinite(value) && text !== shownOf(threshold.value, given)) onSet(value);
	};
	return (
		<tr className="border-b border-base-300">
			<td className="pl-3! whitespace-normal!">
				<span className="font-semibold">{threshold.label}</span>
				<span className="quiet block text-sm">{threshold.why}</span>
			</td>
			<td>
				<form
					className="flex items-center justify-end gap-2"
					onSubmit={(event) => {
						event.preventDefault();
						set();
					}}
				>
					<input
						className={`input h-11 w-20 px-2 text-right ${disabled ? "border-transparent" : ""}`}
						inputMode="decimal"
						aria-label={threshold.label}
						readOnly={disabled}
						value={text}
						onChange={(event) => setText(event.target.value)}
						onBlur={set}
					/>
					<span className="quiet w-24 text-left text-sm">{unitOf(given)}</span>
				</form>
			</td>
			<td className="quiet">
				{threshold.value === threshold.usual
					? t("shop-as-usual")
					: t("shop-usual-2", { usual: shownOf(threshold.usual, given) })}
			</td>
		</tr>
	);
}

/** A bay as it is asked for; its noise stays where it is not named. */
type BayChange = Pick<BayRow, "id" | "models_flight" | "altitude_m" | "temperature_c"> & {
	noise?: BayRow["noise"];
};
const asked = ({ id, models_flight, altitude_m, temperature_c }: BayRow): BayChange => ({
	id,
	models_flight,
	altitude_m,
	temperature_c,
});

function Bays({
	shop,
	put,
	onSet,
}: {
	shop: ShopSettings;
	put: (go: () => Promise<ShopSettings>) => void;
	onSet: (bay: BayChange) => void;
}) {
	return (
		<section>
			<ShopName key={`${shop.name} ${shop.city}`} shop={shop} put={put} />
			<h2 className="mt-6 mb-2 text-lg">{t("shop-bays-their-monitors")}</h2>
			<ul className="space-y-2">
				{shop.bays.map((bay) => (
					<li key={bay.id} className="flex flex-wrap items-center gap-x-6 gap-y-2 bg-base-100 p-3">
						<span className={shop.may_change ? "w-72" : "w-40"}>
							{shop.may_change ? (
								<BayName key={bay.name} bay={bay} put={put} />
							) : (
								<span className="font-semibold">{bay.name}</span>
							)}
							<span className="quiet block text-sm">
								{termOf("surface", bay.surface)}
								{bay.indoor ? t("label-indoor") : t("label-outdoor")}
								{bay.closed ? t("shop-closed-nothing-begun-here") : ""}
							</span>
						</span>
						<label className="flex items-center gap-2">
							{!shop.may_change && <span className="w-72">{bay.models_flight ? IMPACT_ONLY : FOLLOWS}</span>}
							<select
								hidden={!shop.may_change}
								className="select h-11 w-72"
								aria-label={t("shop-what-monitor-measures", { name: bay.name })}
								value={bay.models_flight ? "impact" : "flight"}
								onChange={(event) => onSet({ ...asked(bay), models_flight: event.target.value === "impact" })}
							>
								<option value="flight">{FOLLOWS}</option>
								<option value="impact">{IMPACT_ONLY}</option>
							</select>
						</label>
						<Air
							label={t("shop-altitude-of-in", { name: bay.name, unit: unitName("high") })}
							unit={t("shop-up", { unit: unit("high") })}
							value={whole(inUnit("high", bay.altitude_m))}
							disabled={!shop.may_change}
							onSet={(up) => onSet({ ...asked(bay), altitude_m: fromHigh(up) as BayRow["altitude_m"] })}
						/>
						<Air
							label={t("shop-temperature-in", { name: bay.name })}
							unit={unit("warmth")}
							value={whole(inUnit("warmth", bay.temperature_c), 1)}
							disabled={!shop.may_change}
							onSet={(typed) => onSet({ ...asked(bay), temperature_c: fromUnit("warmth", typed) })}
						/>
						<Keys bay={bay.id} name={bay.name} mayChange={shop.may_change} />
						<NoiseOf bay={bay} mayChange={shop.may_change} onSet={onSet} />
					</li>
				))}
			</ul>
			{shop.may_change && <AddBay put={put} />}
		</section>
	);
}

/** What a bay's monitor reads wrong, by reading: from shot to shot, and all day alike. */
function NoiseOf({
	bay,
	mayChange,
	onSet,
}: {
	bay: BayRow;
	mayChange: boolean;
	onSet: (bay: BayChange) => void;
}) {
	return (
		<details className="w-full">
			<summary className="min-h-11 cursor-pointer underline">{t("shop-what-monitor-reads-wrong")}</summary>
			<p className="quiet mb-2 max-w-3xl text-sm">{t("shop-give-or-take-two-shots")}</p>
			<table className="table-plain">
				<thead>
					<tr>
						<th scope="col">{t("shop-reading")}</th>
						<th scope="col">{t("shop-shot-shot")}</th>
						<th scope="col">{t("shop-all-day-alike")}</th>
					</tr>
				</thead>
				<tbody>
					{Object.entries(bay.noise).map(([key, noise]) => {
						const { label, unit } = shownAs(key);
						const set = (part: "shot" | "day") => (value: number) =>
							onSet({ ...asked(bay), noise: { [key]: { ...noise, [part]: value / ofUsual(key) } } });
						return (
							<tr key={key}>
								<td>{label}</td>
								{(["shot", "day"] as const).map((part) => (
									<td key={part}>
										<Air
											key={noise[part]}
											label={t("shop-of", {
												label,
												name: bay.name,
												which: part === "shot" ? t("shop-from-shot-shot") : t("shop-all-day-alike"),
											})}
											unit={unit}
											value={Number((noise[part] * ofUsual(key)).toPrecision(2))}
											disabled={!mayChange}
											onSet={set(part)}
										/>
									</td>
								))}
							</tr>
						);
					})}
				</tbody>
			</table>
		</details>
	);
}

function Air({
	label,
	unit,
	value,
	disabled,
	onSet,
}: {
	label: string;
	unit: string;
	value: number;
	disabled: boolean;
	onSet: (value: number) => void;
}) {
	const [text, setText] = useState(String(value));
	return (
		<label className="flex items-center gap-1.5">
			<input
				className={`input h-11 w-20 px-2 text-right ${disabled ? "border-transparent" : ""}`}
				inputMode="decimal"
				aria-label={label}
				readOnly={disabled}
				value={text}
				onChange={(event) => setText(event.target.value)}
				onBlur={() => Number(text) !== value && text.trim() !== "" && onSet(Number(text))}
			/>
			<span className="quiet text-sm">{unit}</span>
		</label>
	);
}
