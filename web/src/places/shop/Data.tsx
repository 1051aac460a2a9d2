/** How long things last here, and the daily backup. */
import { useState } from "react";
import type { ShopSettings } from "../../api/client";
import { Worded } from "../../said/Worded";
import { t } from "../../said/words";

interface Rules {
	idle_minutes: number;
	keep_years: number;
}

const HOUR_MS = 3_600_000;

function age(madeAt: string): string {
	const hours = (Date.now() - new Date(madeAt).getTime()) / HOUR_MS;
	if (hours < 1) return t("shop-within-last-hour");
	return hours < 48
		? t("shop-h-ago", { hours: Math.round(hours) })
		: t("shop-days-ago", { hours: Math.round(hours / 24) });
}

export function Data({ shop, onSet }: { shop: ShopSettings; onSet: (rules: Rules) => void }) {
	const { backup } = shop;
	const late =
		backup.every_hours > 0 &&
		(backup.made_at === null ||
			Date.now() - new Date(backup.made_at).getTime() > 2 * backup.every_hours * HOUR_MS);
	return (
		<section className="space-y-4">
			<h2 className="text-lg">{t("shop-backups")}</h2>
			<p className={late ? "hole-text font-semibold" : ""}>
				{backup.made_at
					? t("shop-newest-from-1-newest-kept", {
							madeAt: age(backup.made_at),
							bytes: (backup.bytes / 1e6).toFixed(1),
							kept: backup.kept,
							keeps: backup.keeps,
						})
					: t("shop-there-none-yet")}{" "}
				{backup.every_hours > 0
					? t("shop-one-made-every-hours-while", { everyHours: backup.every_hours })
					: t("shop-server-makes-none-by-itself")}
			</p>
			<p className="quiet">
				<Worded
					id="shop-where-backups-lie"
					drawn={{
						backup: <code>./hemicycle backup FILE</code>,
						restore: <code>./hemicycle restore FILE</code>,
					}}
				/>
			</p>
			<h2 className="text-lg">{t("label-how-long")}</h2>
			<div className="flex flex-wrap gap-6">
				<Many
					label={t("shop-sign-ends-after-minutes-unused")}
					value={shop.idle_minutes}
					disabled={!shop.may_change}
					onSet={(idle_minutes) => onSet({ idle_minutes, keep_years: shop.keep_years })}
				/>
				<Many
					label={t("shop-customers-not-seen-erased-after")}
					value={shop.keep_years}
					disabled={!shop.may_change}
					onSet={(keep_years) => onSet({ idle_minutes: shop.idle_minutes, keep_years })}
				/>
			</div>
			<p className="quiet">{t("shop-erasing-takes-person-out-record", { keeps: backup.keeps })}</p>
		</section>
	);
}

function Many({
	label,
	value,
	disabled,
	onSet,
}: {
	label: string;
	value: number;
	disabled: boolean;
	onSet: (value: number) => void;
}) {
	const [text, setText] = useState(String(value));
	const set = () => /^\d{1,6}$/.test(text.trim()) && Number(text) !== value && onSet(Number(text));
	return (
		<form
			onSubmit={(event) => {
				event.preventDefault();
				set();
			}}
		>
			<label>
				<span className="quiet block text-sm">{label}</span>
				<input
					className={`input num h-11 w-28 ${disabled ? "border-transparent" : ""}`}
					inputMode="numeric"
					readOnly={disabled}
					value={text}
					onChange={(event) => setText(event.target.value)}
					onBlur={set}
				/>
			</label>
		</form>
	);
}
