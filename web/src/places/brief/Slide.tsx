import { t } from "../../said/words";
import { whole } from "../../ui/units";

/** A figure that is slid into place; arrow keys move it by one. */
export function Slide({
	label,
	words,
	value,
	now,
	onStep,
	...input
}: {
	label: string;
	words: string;
	value: string;
	now: number;
	onStep: (to: number) => void;
} & React.InputHTMLAttributes<HTMLInputElement> & { ref?: React.Ref<HTMLInputElement> }) {
	const [min, max, step] = [Number(input.min), Number(input.max), Number(input.step ?? 1)];
	const button = (sign: -1 | 1) => (
		<button
			type="button"
			className="btn h-11 w-11 shrink-0 border-base-300 bg-base-100 p-0 text-lg"
			aria-label={sign < 0 ? t("brief-less", { label }) : t("brief-more", { label })}
			disabled={sign < 0 ? now <= min : now >= max}
			onClick={() => onStep(whole(Math.min(max, Math.max(min, now + sign * step)), 1))}
		>
			{sign < 0 ? "−" : "+"}
		</button>
	);
	return (
		<div className="flex min-h-11 items-center gap-1.5">
			{button(-1)}
			<span className="num w-9 text-right text-[17px]">{value}</span>
			{button(1)}
			<span className="quiet w-20 shrink-0 text-sm leading-tight">{words}</span>
			<input type="range" className="range range-xs min-w-8 flex-1" aria-label={label} {...input} />
		</div>
	);
}
