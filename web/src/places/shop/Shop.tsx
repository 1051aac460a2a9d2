/** What the owner sets: bays and their monitors, where verdicts begin and end, people, how long data is kept; the
 * trail of acts; and everyone's own sign-in. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { client, got, type ShopSettings } from "../../api/client";
import { Mark } from "../../ui/Mark";
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
	{ id: "bays", name: "Bays" },
	{ id: "thresholds", name: "Thresholds" },
	{ id: "people", name: "People" },
	{ id: "data", name: "Data" },
	{ id: "trail", name: "Trail" },
	{ id: "you", name: "You" },
] as const;
const EVERYBODYS = OWNERS.filter((each) => each.id !== "people" && each.id !== "trail");

function Parts({ parts, at }: { parts: readonly { id: string; name: string }[]; at: string }) {
	return (
		<nav className="flex flex-wrap gap-1" aria-label="Parts of the shop">
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
		<div className="mx-auto max-w-5xl px-6 pb-12">
			<header className="flex items-center gap-4 py-4">
				<Link to="/" aria-label="To the desk" className="py-2">
					<Mark />
				</Link>
				<h1 className="flex-1 text-xl">{shop.data?.name ?? "Shop"}</h1>
			</header>
			<Said error={shop.error ?? put.error} />
			{shop.data ? (
				<main className="space-y-8">
					<Parts parts={parts} at={part} />
					{!shop.data.may_change && part !== "you" && (
						<p className="quiet">Only the owner changes what is here.</p>
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
							<h2 className="text-lg">Where a verdict begins and ends</h2>
							<p className="quiet mb-2">Sessions that are agreed keep the ones they were judged by.</p>
							<table className="table-plain w-full bg-base-100">
								<thead>
									<tr>
										<th scope="col" className="pl-3!">
											Threshold
										</th>
										<th scope="col">Value</th>
										<th scope="col">Usual</th>
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
				</main>
			) : (
				<Waiting what="the shop" />
			)}
		</div>
	);
}

const FOLLOWS = "Follows the ball: flight is measured";
const IMPACT_ONLY = "Sees impact only: flight is its own model";
const asShare = (unit: string) => unit === "chance" || unit === "share";
const shownOf = (value: number, unit: string) =>
	String(Number((asShare(unit) ? value * 100 : value).toPrecision(3)));
const unitOf = (unit: string) => (asShare(unit) ? "in 100" : unit);

function Row({
	threshold,
	disabled,
	onSet,
}: {
	threshold: Threshold;
	disabled: boolean;
	onSet: (value: number) => void;
}) {
	const { unit } = threshold;
	const [text, setText] = useState(shownOf(threshold.value, unit));
	const set = () => {
		const value = Number(text.replace(",", ".")) / (asShare(unit) ? 100 : 1);
		if (Number.isFinite(value) && text !== shownOf(threshold.value, unit)) onSet(value);
	};
	return (
		<tr className="border-b border-base-300">
			<td className="pl-3!">
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
						className={`input h-10 w-20 px-2 text-right ${disabled ? "border-transparent" : ""}`}
						inputMode="decimal"
						aria-label={threshold.label}
						readOnly={disabled}
						value={text}
						onChange={(event) => setText(event.target.value)}
						onBlur={set}
					/>
					<span className="quiet w-24 text-left text-sm">{unitOf(unit)}</span>
				</form>
			</td>
			<td className="quiet">
				{threshold.value === threshold.usual ? "as usual" : `usual ${shownOf(threshold.usual, unit)}`}
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
			<h2 className="mt-6 mb-2 text-lg">Bays and their monitors</h2>
			<ul className="space-y-1.5">
				{shop.bays.map((bay) => (
					<li key={bay.id} className="flex flex-wrap items-center gap-x-6 gap-y-2 bg-base-100 p-3">
						<span className={shop.may_change ? "w-72" : "w-40"}>
							{shop.may_change ? (
								<BayName key={bay.name} bay={bay} put={put} />
							) : (
								<span className="font-semibold">{bay.name}</span>
							)}
							<span className="quiet block text-sm">
								{bay.surface}
								{bay.indoor ? ", indoor" : ", outdoor"}
								{bay.closed ? ", closed: nothing is begun here" : ""}
							</span>
						</span>
						<label className="flex items-center gap-2">
							{!shop.may_change && <span className="w-72">{bay.models_flight ? IMPACT_ONLY : FOLLOWS}</span>}
							<select
								hidden={!shop.may_change}
								className="select h-10 w-72"
								aria-label={`What the monitor of ${bay.name} measures`}
								value={bay.models_flight ? "impact" : "flight"}
								onChange={(event) => onSet({ ...asked(bay), models_flight: event.target.value === "impact" })}
							>
								<option value="flight">{FOLLOWS}</option>
								<option value="impact">{IMPACT_ONLY}</option>
							</select>
						</label>
						<Air
							label={`Altitude of ${bay.name} in ${unitName("high")}`}
							unit={`${unit("high")} up`}
							value={whole(inUnit("high", bay.altitude_m))}
							disabled={!shop.may_change}
							onSet={(up) => onSet({ ...asked(bay), altitude_m: fromHigh(up) as BayRow["altitude_m"] })}
						/>
						<Air
							label={`Temperature in ${bay.name}`}
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
			<summary className="min-h-9 cursor-pointer underline">What this monitor reads wrong</summary>
			<p className="quiet mb-2 max-w-3xl text-sm">
				Give or take, two shots in three. What differs from shot to shot shrinks with more of them; what is
				wrong all day cancels between builds hit here today, and not against a typed carry, a line or another
				visit.
			</p>
			<table className="table-plain">
				<thead>
					<tr>
						<th scope="col">Reading</th>
						<th scope="col">shot to shot</th>
						<th scope="col">all day alike</th>
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
											label={`${label} of ${bay.name}, ${part === "shot" ? "from shot to shot" : "all day alike"}`}
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
				className={`input h-10 w-20 px-2 text-right ${disabled ? "border-transparent" : ""}`}
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
