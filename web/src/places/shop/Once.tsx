/** A word that is shown this once: a password, a key. */
import { Worded } from "../../said/Worded";
export function Once({ what, word }: { what: string; word: string }) {
	return (
		<p role="status" className="border-l-4 bg-base-100 p-3" style={{ borderColor: "var(--window-line)" }}>
			<Worded
				id="shop-shown-once"
				values={{ what }}
				drawn={{
					word: (
						<code data-testid="once" className="num text-lg font-semibold break-all select-all">
							{word}
						</code>
					),
				}}
			/>
		</p>
	);
}
