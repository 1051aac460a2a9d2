/** Prices, in the money of the shop. */
import { useContext } from "react";
import { InShop } from "./inShop";

type Amount = number | string | null | undefined;

/** Whole amounts without pence; a dash where no price was given. */
export function money(value: Amount, currency: string): string {
	const amount = Number(value ?? 0);
	if (!amount) return "–";
	const digits = Number.isInteger(amount) ? 0 : 2;
	return new Intl.NumberFormat("en-GB", {
		style: "currency",
		currency,
		minimumFractionDigits: digits,
		maximumFractionDigits: digits,
	}).format(amount);
}

/** As `money`, in the shop of whoever is signed in. */
export function useMoney(): (value: Amount) => string {
	const { currency } = useContext(InShop);
	return (value) => money(value, currency);
}
