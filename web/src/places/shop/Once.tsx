/** A word that is shown this once: a password, a key. */
export function Once({ what, word }: { what: string; word: string }) {
	return (
		<p role="status" className="border-l-4 bg-base-100 p-3" style={{ borderColor: "var(--window-line)" }}>
			{what}, shown this once:{" "}
			<code data-testid="once" className="num text-lg font-semibold break-all select-all">
				{word}
			</code>
		</p>
	);
}
