import type { FallbackProps } from "react-error-boundary";
import { t } from "../said/words";

/** What stands where a place broke: the others go on working. */
export function Broken({ resetErrorBoundary }: FallbackProps) {
	return (
		<div role="alert" className="grid min-h-64 place-items-center p-10 text-center">
			<div className="max-w-md space-y-4">
				<p className="text-2xl font-semibold">{t("ui-place-could-not-drawn")}</p>
				<p className="quiet">{t("ui-nothing-hit-or-saved-lost")}</p>
				<button type="button" className="btn btn-primary h-12 px-8" onClick={() => resetErrorBoundary()}>
					{t("ui-try-again")}
				</button>
			</div>
		</div>
	);
}
