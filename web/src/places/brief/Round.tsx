/** What a stroke is worth to this customer, and what his rounds are made of. */
import { useState } from "react";
import { type UseFormReturn, useWatch } from "react-hook-form";
import type { Session } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { t } from "../../said/words";
import { Fold } from "../../ui/Fold";
import { asFar, figure, type Metres, unit } from "../../ui/units";
import type { Fields } from "./fields";

/** From the least to the most that the API takes, as far as anybody slides. */
const LEAST = 500;
const MOST = 50_000;
const STEPS = 40;
const EXAMPLE = 300;

/** A slider over tenfold steps: as far from 500 to 5,000 as from 5,000 to 50,000. */
const priceAt = (step: number) => {
	const price = LEAST * (MOST / LEAST) ** (step / STEPS);
	const grain = price < 2000 ? 100 : price < 10_000 ? 500 : 1000;
	return Math.round(price / grain) * grain;
};
const stepOf = (price: number) => Math.round((STEPS * Math.log(price / LEAST)) / Math.log(MOST / LEAST));

export function Round({ form, brief }: { form: UseFormReturn<Fields>; brief: Session["brief"] }) {
	const [typed, shots] = useWatch({ control: form.control, name: ["strokePrice", "roundShots"] });
	const [open, setOpen] = useState(shots.length > 0);
	const own = typed !== "";
	const price = own ? Number(typed) : brief.shop_stroke_price;
	const round = shots.length ? shots : brief.shop_round_shots;
	return (
		<Fold
			title={t("brief-what-stroke-worth")}
			stands={t("brief-stroke-stands", { price: figure(price), whose: own ? "own" : "shop" })}
		>
			<label className="flex min-h-11 flex-wrap items-center gap-3">
				<span className="quiet w-52 text-sm">{t("brief-what-stroke-round-worth")}</span>
				<input
					type="range"
					className="range range-xs max-w-72 min-w-40 flex-1"
					min={0}
					max={STEPS}
					value={stepOf(price)}
					aria-valuetext={figure(price)}
					onChange={({ target }) => form.setValue("strokePrice", String(priceAt(Number(target.value))))}
				/>
				<span className="num w-18 text-right text-[17px]">{figure(price)}</span>
				<span className="quiet text-sm">
					{t("brief-club-pays-from-strokes-round", {
						example: EXAMPLE,
						example2: figure(EXAMPLE / price, 2),
					})}
				</span>
			</label>
			<p className="flex flex-wrap items-center gap-2 text-sm">
				<span className="quiet">{own ? t("brief-customers-own") : t("brief-as-shop-has")}</span>
				{own && (
					<button
						type="button"
						className="btn btn-ghost btn-sm h-11"
						onClick={() => form.setValue("strokePrice", "")}
					>
						{t("brief-as-shop-has-2")}
					</button>
				)}
				<button
					type="button"
					className="btn btn-sm h-11 border-base-300 bg-base-100"
					aria-expanded={open}
					onClick={() => setOpen(!open)}
				>
					{t("brief-shots-round-2", { which: shots.length ? t("brief-own") : "" })}
				</button>
			</p>
			{open && (
				<div className="flex flex-wrap items-end gap-3">
					{VOCABULARY.round.map((band, index) => (
						<label key={band} className="block">
							<span className="quiet block text-sm">{band}</span>
							<input
								type="number"
								min={0}
								max={30}
								step={0.5}
								className="input h-11 w-22 px-2 text-right"
								value={round[index] ?? 0}
								onChange={({ target }) =>
									form.setValue(
										"roundShots",
										round.map((each, at) => (at === index ? Number(target.value) || 0 : each)),
									)
								}
							/>
						</label>
					))}
					{shots.length > 0 && (
						<button
							type="button"
							className="btn btn-ghost btn-sm h-11"
							onClick={() => form.setValue("roundShots", [])}
						>
							{t("brief-as-shop-has-2")}
						</button>
					)}
					<p className="quiet basis-full text-sm">
						{t("brief-neither-driver-nor-putt-one", { asFar: asFar(192.024 as Metres), unit: unit("far") })}
					</p>
				</div>
			)}
		</Fold>
	);
}
