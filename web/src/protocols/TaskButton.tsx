/** One thing that a test asks for: how many of it are hit, a touch to hit it next. */
import { t } from "../said/words";
export function TaskButton({
	name,
	done,
	wanted,
	now,
	agreed,
	onHit,
}: {
	name: string;
	done: number;
	wanted: number;
	now: boolean;
	agreed: boolean;
	onHit: () => void;
}) {
	return (
		<button
			type="button"
			className={`btn h-11 w-20 font-normal ${now ? "btn-primary" : "border-base-300 bg-base-100"}`}
			aria-pressed={now}
			aria-label={t("taskbutton-of", { name, done, wanted })}
			disabled={agreed}
			onClick={onHit}
		>
			<span className="num">{done >= wanted ? `${done} ✓` : t("taskbutton-of-2", { done, wanted })}</span>
		</button>
	);
}
