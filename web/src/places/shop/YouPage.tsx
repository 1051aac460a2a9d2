/** One's own sign-in, of whoever has no shop page: an assistant. */
import "../../said/rest";

import { ShopFrame } from "../../app/ShopFrame";
import { t } from "../../said/words";
import { You } from "./You";

export default function YouPage() {
	return (
		<ShopFrame at="/you" title={t("label-you")}>
			<You />
		</ShopFrame>
	);
}
