/** Wind as a fitter says it. */
import { t } from "../said/words";
export const FROM = [
	[0, t("label-wind-against")],
	[45, t("ui-from-ahead-right")],
	[90, t("label-from-right")],
	[135, t("ui-from-behind-right")],
	[180, t("label-wind-helping")],
	[225, t("ui-from-behind-left")],
	[270, t("label-from-left")],
	[315, t("ui-from-ahead-left")],
] as const;
