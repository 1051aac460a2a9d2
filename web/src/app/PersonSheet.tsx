/** What is one's own here: light or dark, units, keys, the password, signing out. */
import "../said/rest";

import { CircleHelp, LogOut, SunMoon } from "lucide-react";
import { useContext } from "react";
import { You } from "../places/shop/You";
import { t } from "../said/words";
import { Signed } from "../ui/person";
import { Sheet } from "../ui/Sheet";
import { useTheme } from "../ui/theme";

export default function PersonSheet({ onClose }: { onClose: () => void }) {
	const here = useContext(Signed);
	const [theme, turnTheme] = useTheme();
	if (!here) return null;
	const act = "btn h-11 border-base-300 bg-base-100";
	return (
		<Sheet title={here.me.name} onClose={onClose}>
			<div className="mb-5 flex flex-wrap gap-2">
				<button type="button" className={act} onClick={turnTheme}>
					<SunMoon size={18} aria-hidden /> {theme === "chalk" ? t("app-dark-screen") : t("app-light-screen")}
				</button>
				<button
					type="button"
					className={act}
					onClick={() => {
						onClose();
						here.help();
					}}
				>
					<CircleHelp size={18} aria-hidden /> {t("label-keys")}
				</button>
				<button type="button" className={act} onClick={here.signOut}>
					<LogOut size={18} aria-hidden /> {t("desk-sign-out")}
				</button>
			</div>
			<You />
		</Sheet>
	);
}
