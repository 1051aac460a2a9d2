import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { lazy, StrictMode, Suspense } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { Problem } from "./api/client";
import { begin, beginByCode } from "./api/onDevice";
import { App } from "./app/App";
import { CommandProvider } from "./commands/commands";
import { restComesBy } from "./said/words";
import { startTheme } from "./ui/theme";
import "./index.css";

// What is opened with a code knows nothing of sign-ins, keys or the shop.
const Player = lazy(() => import("./places/player/Player"));
const ByCode = lazy(() => import("./places/by-code/ByCode"));
const [, opened] = /^\/(player|hand-out|course)(?:\/|$)/.exec(window.location.pathname) ?? [];

startTheme();
restComesBy(() => import("./said/rest"));
const queries = new QueryClient({
	defaultOptions: {
		queries: {
			staleTime: 10_000,
			retry: (tries, error) => tries < 2 && !(error instanceof Problem && error.status > 0),
		},
	},
});
const root = document.getElementById("root");
// The player's screen shows what is live or nothing.
if (import.meta.env.PROD && opened !== "player") void navigator.serviceWorker?.register("/sw.js");
if (opened !== "player") await (opened ? beginByCode : begin)(queries);
if (root) {
	createRoot(root).render(
		<StrictMode>
			<QueryClientProvider client={queries}>
				{opened ? (
					<Suspense>{opened === "player" ? <Player /> : <ByCode />}</Suspense>
				) : (
					// Another address is drawn in the breath it was asked in: the next key belongs to what is seen.
					<BrowserRouter useTransitions={false}>
						<CommandProvider>
							<App />
						</CommandProvider>
					</BrowserRouter>
				)}
			</QueryClientProvider>
		</StrictMode>,
	);
}
