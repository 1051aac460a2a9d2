import { useQuery, useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import { ErrorBoundary } from "react-error-boundary";
import { Navigate, Route, Routes, useLocation } from "react-router";
import { client, got } from "../api/client";
import { useCommands } from "../commands/commands";
import { Desk } from "../places/desk/Desk";
import { Broken } from "../ui/Broken";
import { Said, Waiting } from "../ui/Said";
import { useTheme } from "../ui/theme";
import { HelpSheet } from "./HelpSheet";
import { SessionFrame } from "./SessionFrame";
import { SignIn } from "./SignIn";

const Shop = lazy(() => import("../places/shop/Shop"));
const CustomerPage = lazy(() => import("../places/handover/CustomerPage"));

export function App() {
	const queries = useQueryClient();
	const at = useLocation();
	const [help, setHelp] = useState(false);
	const [theme, turnTheme] = useTheme();
	const me = useQuery({
		queryKey: ["me"],
		queryFn: () => got(client.GET("/api/me")),
		staleTime: Number.POSITIVE_INFINITY,
	});
	useCommands("app", [
		{ id: "help", name: "Keys", keys: "?", shown: "?", group: "Everywhere", run: () => setHelp(true) },
		{
			id: "theme",
			name: theme === "chalk" ? "Dark screen" : "Light screen",
			keys: "\\",
			shown: "\\",
			group: "Everywhere",
			run: turnTheme,
		},
	]);
	if (me.isError)
		return (
			<main className="p-8">
				<Said error={me.error} />
			</main>
		);
	if (!me.data) return <Waiting what="the shop" />;
	if (!me.data.signed_in) return <SignIn onSignedIn={(data) => queries.setQueryData(["me"], data)} />;
	const signOut = async () => {
		await got(client.POST("/api/sign-out"));
		queries.clear();
		window.location.assign("/");
	};
	return (
		<>
			<ErrorBoundary FallbackComponent={Broken} resetKeys={[at.pathname]}>
				<Routes>
					<Route path="/" element={<Desk me={me.data} onSignOut={signOut} onHelp={() => setHelp(true)} />} />
					<Route
						path="/shop"
						element={
							<Suspense fallback={<Waiting what="the shop" />}>
								<Shop />
							</Suspense>
						}
					/>
					<Route
						path="/sessions/:id/page"
						element={
							<Suspense fallback={<Waiting what="the page" />}>
								<CustomerPage />
							</Suspense>
						}
					/>
					<Route path="/sessions/:id/:place" element={<SessionFrame onHelp={() => setHelp(true)} />} />
					<Route path="/sessions/:id" element={<Navigate to="brief" replace />} />
					<Route path="*" element={<Navigate to="/" replace />} />
				</Routes>
			</ErrorBoundary>
			<HelpSheet open={help} onClose={() => setHelp(false)} />
		</>
	);
}
