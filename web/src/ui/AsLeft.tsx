import { t } from "../said/words";
import { dropDraft, useLeft } from "./draft";

/** Over a form that stands as it was left: what was typed is not saved, and goes only when that is asked for. */
export function AsLeft({ form, onAnew }: { form: string; onAnew?: () => void }) {
	if (!useLeft(form)) return null;
	return (
		<p role="status" className="col-span-full mb-2 flex flex-wrap items-center gap-3 text-sm">
			<span className="hole-text font-semibold">{t("ui-as-you-left-not-saved")}</span>
			<button
				type="button"
				className="btn btn-sm h-11"
				onClick={() => {
					onAnew?.();
					dropDraft(form);
				}}
			>
				{t("ui-begin-anew")}
			</button>
		</p>
	);
}
