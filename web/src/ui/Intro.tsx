/** What a place is for, in three sentences: once for everybody on this device, and again when it is called. */
import { type ReactNode, useContext, useSyncExternalStore } from "react";
import { useLocation } from "react-router";
import { t } from "../said/words";
import { Signed } from "./person";

const STORED = "hemicycle.met.";
const heard = new Set<() => void>();
const listen = (hear: () => void) => {
	heard.add(hear);
	return () => void heard.delete(hear);
};
const read = (name: string): string => {
	try {
		return localStorage.getItem(name) ?? "";
	} catch {
		return "";
	}
};

/** Whether a place was met by who is signed in; nobody meets one before it is known who is here. */
function useMet(place: string): [boolean, (met: boolean) => void] {
	const here = useContext(Signed);
	const name = STORED + (here?.me.username ?? "");
	const met = useSyncExternalStore(listen, () => read(name)).split(" ");
	const set = (now: boolean) => {
		const others = met.filter((each) => each && each !== place);
		try {
			localStorage.setItem(name, (now ? [...others, place] : others).join(" "));
		} catch {
			// A browser that keeps nothing says it again the next time.
		}
		for (const hear of heard) hear();
	};
	return [here === null || met.includes(place), set];
}

/** Which place an address is of: `bay` for `/sessions/12/bay`, `/customers` for all of the customers. */
const placeAt = (path: string) =>
	(path.startsWith("/sessions/") ? path.split("/")[3] : `/${path.split("/")[1]}`) ?? "/";

export function Intro({ children }: { children: ReactNode }) {
	const [met, setMet] = useMet(placeAt(useLocation().pathname));
	if (met) return null;
	return (
		<aside
			aria-label={t("app-what-place-for")}
			className="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-base-300 bg-base-100 px-4 py-1"
		>
			<p className="min-w-72 flex-1">{children}</p>
			<button type="button" className="btn btn-sm h-11" onClick={() => setMet(true)}>
				{t("app-understood")}
			</button>
		</aside>
	);
}

/** Calls them again, of the place one is at. */
export function CallIntro({ onCalled }: { onCalled: () => void }) {
	const [met, setMet] = useMet(placeAt(useLocation().pathname));
	if (!met) return null;
	return (
		<button
			type="button"
			className="btn h-11"
			onClick={() => {
				setMet(false);
				onCalled();
			}}
		>
			{t("app-what-place-for")}
		</button>
	);
}
