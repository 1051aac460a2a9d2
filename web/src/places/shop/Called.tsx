/** What the shop is called, on the screen and on papers, and which bays it has. */
import { useState } from "react";
import { client, type Firmness, got, type ShopSettings } from "../../api/client";
import { t } from "../../said/words";
import { AsLeft } from "../../ui/AsLeft";
import { Currency } from "../../ui/Currency";
import { dropDraft, useDrafted } from "../../ui/draft";
import { SHOTS_BY } from "../opening/FirstBays";

type Put = (go: () => Promise<ShopSettings>) => void;
type Bay = ShopSettings["bays"][number];

export function ShopName({ shop, put }: { shop: ShopSettings; put: Put }) {
	const form = "shop:name";
	const [name, setName] = useDrafted(form, "name", shop.name);
	const [city, setCity] = useDrafted(form, "city", shop.city);
	const [currency, setCurrency] = useDrafted(form, "currency", shop.currency);
	const [ground, setGround] = useDrafted<Firmness>(form, "ground", shop.ground);
	if (!shop.may_change) return null;
	return (
		<form
			className="flex flex-wrap items-end gap-3"
			onSubmit={(event) => {
				event.preventDefault();
				put(async () => {
					const after = await got(client.PUT("/api/shop/name", { body: { name, city, currency, ground } }));
					dropDraft(form);
					return after;
				});
			}}
		>
			<AsLeft form={form} />
			<label className="min-w-64 flex-1">
				<span className="quiet block text-sm">{t("shop-what-shop-called-papers-too")}</span>
				<input
					className="input h-11 w-full"
					maxLength={80}
					required
					value={name}
					onChange={(event) => setName(event.target.value)}
				/>
			</label>
			<label className="w-56">
				<span className="quiet block text-sm">{t("label-where-it-is")}</span>
				<input
					className="input h-11 w-full"
					maxLength={80}
					value={city}
					onChange={(event) => setCity(event.target.value)}
				/>
			</label>
			<div className="w-44">
				<Currency label={t("shop-currency-its-prices")} value={currency} onChange={setCurrency} />
			</div>
			<label className="w-44">
				<span className="quiet block text-sm">{t("shop-new-customers-play")}</span>
				<select
					className="select h-11 w-full"
					value={ground}
					onChange={(event) => setGround(event.target.value as Firmness)}
				>
					<option value="soft">{t("shop-soft-ground")}</option>
					<option value="medium">{t("shop-medium-ground")}</option>
					<option value="firm">{t("shop-firm-ground")}</option>
				</select>
			</label>
			<button
				type="submit"
				className="btn btn-primary h-11"
				disabled={
					name === shop.name && city === shop.city && currency === shop.currency && ground === shop.ground
				}
			>
				{t("label-save")}
			</button>
		</form>
	);
}

/** A bay's name as it is changed where it stands, and whether anything is begun there. */
export function BayName({ bay, put }: { bay: Bay; put: Put }) {
	const [name, setName] = useState(bay.name);
	const path = { params: { path: { bay_id: bay.id } } };
	const change = (body: { name?: string; closed?: boolean; shots_by?: Bay["shots_by"] }) =>
		put(() => got(client.PATCH("/api/bays/{bay_id}", { ...path, body })));
	return (
		<span className="flex flex-wrap items-center gap-2">
			<input
				className="input h-11 w-40 font-semibold"
				aria-label={t("shop-name-of", { name: bay.name })}
				maxLength={40}
				value={name}
				onChange={(event) => setName(event.target.value)}
				onBlur={() => name.trim() && name !== bay.name && change({ name })}
			/>
			<select
				className="select h-11 w-48"
				aria-label={t("label-how-shots-come", { name: bay.name })}
				value={bay.shots_by}
				onChange={(event) => change({ shots_by: event.target.value as Bay["shots_by"] })}
			>
				{Object.entries(SHOTS_BY).map(([key, words]) => (
					<option key={key} value={key}>
						{words.name}
					</option>
				))}
			</select>
			<button type="button" className="btn btn-sm h-11" onClick={() => change({ closed: !bay.closed })}>
				{bay.closed ? t("shop-open-again") : t("shop-close-it")}
			</button>
		</span>
	);
}

export function AddBay({ put }: { put: Put }) {
	const form = "shop:bay";
	const [name, setName] = useDrafted(form, "name", "");
	const [indoor, setIndoor] = useDrafted(form, "indoor", true);
	return (
		<form
			className="mt-3 flex flex-wrap items-end gap-3"
			onSubmit={(event) => {
				event.preventDefault();
				put(async () => {
					const after = await got(client.POST("/api/bays", { body: { name, indoor } }));
					dropDraft(form);
					return after;
				});
			}}
		>
			<label className="w-56">
				<span className="quiet block text-sm">{t("label-one-more-bay")}</span>
				<input
					className="input h-11 w-full"
					placeholder={t("label-what-called")}
					maxLength={40}
					required
					value={name}
					onChange={(event) => setName(event.target.value)}
				/>
			</label>
			<select
				className="select h-11 w-48"
				aria-label={t("shop-indoor-or-outdoor")}
				value={indoor ? "in" : "out"}
				onChange={(event) => setIndoor(event.target.value === "in")}
			>
				<option value="in">{t("label-indoor-mat")}</option>
				<option value="out">{t("label-outdoor-grass-tee")}</option>
			</select>
			<button type="submit" className="btn h-11">
				{t("shop-add-it")}
			</button>
		</form>
	);
}
