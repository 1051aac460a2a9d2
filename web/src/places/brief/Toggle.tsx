/** One of several that are so or not. */
export function Toggle({
	on,
	onTurn,
	children,
}: {
	on: boolean;
	onTurn: () => void;
	children: React.ReactNode;
}) {
	return (
		<button
			type="button"
			aria-pressed={on}
			className={`btn btn-sm h-11 min-w-12 ${on ? "btn-primary" : "border-base-300 bg-base-100"}`}
			onClick={onTurn}
		>
			{children}
		</button>
	);
}
