/** A currency by its three letters: the usual ones to choose from, any other typed. */
import { useState } from "react";
import { t } from "../said/words";

const COMMON = ["GBP", "EUR", "USD", "AUD", "CAD", "CHF", "DKK", "JPY", "NOK", "NZD", "SEK", "ZAR"];
const names = new Intl.DisplayNames("en-GB", { type: "currency" });

export function Currency({
	label,
	value,
	onChange,
	large = false,
}: {
	label: string;
	value: string;
	onChange: (currency: string) => void;
	large?: boolean;
}) {
	const [other, setOther] = useState(!COMMON.includes(value));
	const tall = large ? "h-12 text-lg" : "h-11";
	return (
		<div>
			<span className={`quiet block ${large ? "mb-1" : "text-sm"}`} aria-hidden>
				{label}
			</span>
			<span className="flex gap-2">
				<select
					className={`select w-full ${tall}`}
					aria-label={label}
					value={other ? "" : value}
					onChange={({ target }) => {
						setOther(target.value === "");
						onChange(target.value);
					}}
				>
					{COMMON.map((each) => (
						<option key={each} value={each}>
							{each} {names.of(each)}
						</option>
					))}
					<option value="">{t("ui-another")}</option>
				</select>
				{other && (
					<input
						className={`input w-24 ${tall}`}
						aria-label={t("ui-its-three-letters")}
						required
						maxLength={3}
						value={value}
						onChange={({ target }) => onChange(target.value.toUpperCase())}
					/>
				)}
			</span>
		</div>
	);
}
