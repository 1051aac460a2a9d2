import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { lazy, StrictMode, Suspense } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { Problem } from "./api/client";
import { begin } from "./api/onDevice";
import { App } from "./app/App";
import { CommandProvider } from "./commands/commands";
import { startTheme } from "./ui/theme";
import "./index.css";

// The player's screen is opened with a code and knows nothing of sign-ins, keys or the shop.
const Player = lazy(() => import("./places/player/Player"));
const forThePlayer = /^\/player(\/|$)/.test(window.location.pathname);

startTheme();
const queries = new QueryClient({
	defaultOptions: {
		queries: {
			staleTime: 10_000,
			retry: (tries, error) => tries < 2 && !(error instanceof Problem && error.status > 0),
		},
	},
});
const root = document.getElementById("root");
if (import.meta.env.PROD && !forThePlayer) void navigator.serviceWorker?.register("/sw.js");
if (!forThePlayer) await begin(queries);
if (root) {
	createRoot(root).render(
		<StrictMode>
			<QueryClientProvider client={queries}>
				{forThePlayer ? (
					<Suspense>
						<Player />
					</Suspense>
				) : (
					<BrowserRouter>
						<CommandProvider>
							<App />
						</CommandProvider>
					</BrowserRouter>
				)}
			</QueryClientProvider>
		</StrictMode>,
	);
}
