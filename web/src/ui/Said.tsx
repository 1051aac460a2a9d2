import { TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";
import { Problem } from "../api/client";
import { t } from "../said/words";

/** A problem, where the user is looking. */
export function Said({ error }: { error: unknown }) {
	if (!error) return null;
	const sentence = error instanceof Problem ? error.title : t("ui-something-went-wrong-screen-load");
	return (
		<p role="alert" className="hole-text flex items-start gap-2 font-semibold">
			<TriangleAlert size={18} className="mt-0.5 shrink-0" aria-hidden /> {sentence}
		</p>
	);
}

/** A caution of the work: not an error, but to be read. */
export function Caution({ children }: { children: ReactNode }) {
	return (
		<p className="border-l-4 py-1 pl-3 text-sm" style={{ borderColor: "var(--hole)" }}>
			{children}
		</p>
	);
}

export function Waiting({ what }: { what: string }) {
	return (
		<p role="status" aria-busy="true" className="quiet p-6">
			{t("ui-reading", { what })}
		</p>
	);
}
