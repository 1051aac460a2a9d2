/** The letter of a build in its colour; never the colour alone. Own clubs have none and are ink. */
export function Letter({ letter, size = 22 }: { letter: string; size?: number }) {
	return (
		<span
			className="inline-flex shrink-0 items-center justify-center rounded-full font-bold"
			style={{
				width: size,
				height: size,
				fontSize: size * 0.6,
				background: letterColour(letter),
				color: letter ? "var(--on-letter)" : "var(--color-base-100)",
			}}
		>
			{letter}
		</span>
	);
}

export const letterColour = (letter: string): string =>
	letter ? `var(--${letter})` : "var(--color-base-content)";
