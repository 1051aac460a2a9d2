import { t } from "../said/words";

/** The first thing that Tab comes to: past the bar. */
export const SkipLink = () => (
	<a
		href="#content"
		className="absolute top-1 left-1 z-50 -translate-y-20 bg-primary px-4 py-3 font-semibold text-primary-content focus:translate-y-0"
	>
		{t("app-skip")}
	</a>
);
