/** One's own sign-in, of whoever has no shop page: an assistant. */
import "../../said/rest";

import { Link } from "react-router";
import { t } from "../../said/words";
import { Mark } from "../../ui/Mark";
import { You } from "./You";

export default function YouPage() {
	return (
		<div className="mx-auto max-w-5xl px-6 pb-12">
			<header className="flex items-center gap-4 py-4">
				<Link to="/" aria-label={t("label-to-the-desk")} className="py-2">
					<Mark />
				</Link>
				<h1 className="flex-1 text-xl">{t("label-you")}</h1>
			</header>
			<main>
				<You />
			</main>
		</div>
	);
}
