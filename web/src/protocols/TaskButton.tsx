/** One thing that a test asks for: how many of it are hit, a touch to hit it next. */
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
			aria-label={`${name}, ${done} of ${wanted}`}
			disabled={agreed}
			onClick={onHit}
		>
			<span className="num">{done >= wanted ? `${done} ✓` : `${done} of ${wanted}`}</span>
		</button>
	);
}
