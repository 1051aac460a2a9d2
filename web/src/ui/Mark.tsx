/** The product's mark: a half ring with a hole in it. */
export function Mark() {
	return (
		<svg viewBox="0 0 36 20" width="38" height="21" aria-hidden="true">
			<path d="M3 18a15 15 0 0 1 21-13.7" fill="none" stroke="currentColor" strokeWidth="4" />
			<path d="M26.5 5.5a15 15 0 0 1 3.5 4" fill="none" stroke="var(--hole)" strokeWidth="4" />
			<path d="M31.800 13a15 15 0 0 1 1.200 5" fill="none" stroke="currentColor" strokeWidth="4" />
			<path d="M10.500 18a7.500 7.500 0 0 1 15 0" fill="none" stroke="currentColor" strokeWidth="2.500" />
		</svg>
	);
}
