/** How long things last here, and the daily backup. */
import { useState } from "react";
import type { ShopSettings } from "../../api/client";

interface Rules {
	idle_minutes: number;
	keep_years: number;
}

const HOUR_MS = 3_600_000;

function age(madeAt: string): string {
	const hours = (Date.now() - new Date(madeAt).getTime()) / HOUR_MS;
	if (hours < 1) return "within the last hour";
	return hours < 48 ? `${Math.round(hours)} h ago` : `${Math.round(hours / 24)} days ago`;
}

export function Data({ shop, onSet }: { shop: ShopSettings; onSet: (rules: Rules) => void }) {
	const { backup } = shop;
	const late =
		backup.every_hours > 0 &&
		(backup.made_at === null ||
			Date.now() - new Date(backup.made_at).getTime() > 2 * backup.every_hours * HOUR_MS);
	return (
		<section className="space-y-4">
			<h2 className="text-lg">Backups</h2>
			<p className={late ? "hole-text font-semibold" : ""}>
				{backup.made_at
					? `The newest is from ${age(backup.made_at)}, ${(backup.bytes / 1e6).toFixed(1)} MB. There ${backup.kept === 1 ? "is 1" : `are ${backup.kept}`}; the newest ${backup.keeps} are kept.`
					: "There is none yet."}{" "}
				{backup.every_hours > 0
					? `One is made every ${backup.every_hours} hours while Hemicycle runs.`
					: "This server makes none by itself."}
			</p>
			<p className="quiet">
				They lie in the folder “backups” beside the data. <code>./hemicycle backup FILE</code> writes one
				anywhere, <code>./hemicycle restore FILE</code> puts one back. Copy them to another machine: a disk
				that dies takes both.
			</p>
			<h2 className="text-lg">How long</h2>
			<div className="flex flex-wrap gap-6">
				<Many
					label="A sign-in ends after minutes unused, 0 never"
					value={shop.idle_minutes}
					disabled={!shop.may_change}
					onSet={(idle_minutes) => onSet({ idle_minutes, keep_years: shop.keep_years })}
				/>
				<Many
					label="Customers not seen are erased after years, 0 never"
					value={shop.keep_years}
					disabled={!shop.may_change}
					onSet={(keep_years) => onSet({ idle_minutes: shop.idle_minutes, keep_years })}
				/>
			</div>
			<p className="quiet">
				Erasing takes the person out of the record and leaves figures without a name. Backups made before
				still hold them until {backup.keeps} newer ones are there.
			</p>
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
