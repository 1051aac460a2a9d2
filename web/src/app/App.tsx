import { useQuery, useQueryClient } from "@tanstack/react-query";
import { lazy, type ReactNode, Suspense, useEffect, useLayoutEffect, useRef, useState } from "react";
import { ErrorBoundary } from "react-error-boundary";
import { Navigate, Route, Routes, useLocation } from "react-router";
import { client, got, type Me, type Seen, type Session, whenSignInEnds } from "../api/client";
import { forgetOnDevice } from "../api/onDevice";
import { openOutbox, rebase, signedInAs } from "../api/outbox";
import { keep } from "../api/session";
import { useCommands, useOwnKeys } from "../commands/commands";
import { Desk } from "../places/desk/Desk";
import { keepUnits } from "../said/units";
import { t } from "../said/words";
import { useBackPastLeft } from "../ui/address";
import { Broken } from "../ui/Broken";
import { forgetDrafts } from "../ui/draft";
import { InShop } from "../ui/inShop";
import { Signed } from "../ui/person";
import { Said, Waiting } from "../ui/Said";
import { useTheme } from "../ui/theme";
import { HelpSheet } from "./HelpSheet";

const SignIn = lazy(() => import("./SignIn").then(({ SignIn: view }) => ({ default: view })));
const SignInOver = lazy(() => import("./SignIn").then(({ SignInOver: view }) => ({ default: view })));
const sessionFrame = () => import("./SessionFrame");
const SessionFrame = lazy(() => sessionFrame().then(({ SessionFrame: view }) => ({ default: view })));
const Shop = lazy(() => import("../places/shop/Shop"));
const Rack = lazy(() => import("../places/rack/Rack"));
const Customers = lazy(() => import("../places/customers/Customers"));
const Customer = lazy(() => import("../places/customer/Customer"));
const CardPage = lazy(() => import("../protocols/part_swing/CardPage"));
const SoleSetUp = lazy(() => import("../protocols/sole/SetUp"));
const Opening = lazy(() => import("../places/opening/Opening"));
const Pad = lazy(() => import("../places/pad/Pad"));
const YouPage = lazy(() => import("../places/shop/YouPage"));
const CustomerPage = lazy(() => import("../places/handover/CustomerPage"));

const isSession = (answer: unknown): answer is Session | Seen =>
	typeof answer === "object" &&
	answer !== null &&
	"revision" in answer &&
	("brief" in answer || "what" in answer);

/** A place whose code comes when it is gone to. */
const later = (what: string, place: ReactNode) => (
	<Suspense fallback={<Waiting what={what} />}>{place}</Suspense>
);

export function App() {
	const queries = useQueryClient();
	const at = useLocation();
	useBackPastLeft();
	const [help, setHelp] = useState(false);
	const [theme, turnTheme] = useTheme();
	const me = useQuery({
		queryKey: ["me"],
		queryFn: () => got(client.GET("/api/me")),
		staleTime: Number.POSITIVE_INFINITY,
	});
	useCommands("app", [
		{
			id: "help",
			name: t("label-keys"),
			keys: "?",
			shown: "?",
			group: t("label-everywhere"),
			run: () => setHelp(true),
		},
		{
			id: "theme",
			name: theme === "chalk" ? t("app-dark-screen") : t("app-light-screen"),
			keys: "\\",
			shown: "\\",
			group: t("label-everywhere"),
			run: turnTheme,
		},
	]);
	const last = useRef<Me | null>(null);
	// What an earlier page left is taken up before any form reads what it begins with.
	const [opened, setOpened] = useState(false);
	if (me.data?.signed_in) last.current = me.data;
	useEffect(() => {
		const ended = () => void queries.invalidateQueries({ queryKey: ["me"] });
		whenSignInEnds(ended);
		void openOutbox({
			heard: (answer, entry) => {
				if (!isSession(answer)) return;
				if (entry.draft && "brief" in answer) rebase(entry.draft, answer.brief);
				keep(queries, answer);
				void queries.invalidateQueries({ queryKey: ["sessions"] });
			},
			signedOut: ended,
		}).finally(() => setOpened(true));
	}, [queries]);
	const username = me.data?.signed_in ? me.data.username : "";
	useEffect(() => signedInAs(username), [username]);
	// Whoever is here goes to a session next: its code comes meanwhile.
	useEffect(() => {
		if (username) void sessionFrame().catch(() => undefined);
	}, [username]);
	const own = me.data?.signed_in ? me.data.units : undefined;
	const currency = me.data?.currency ?? "";
	const [others, setOthers] = useState(false);
	useLayoutEffect(() => {
		if (!own || !keepUnits({ ...own, currency })) return;
		// What stands on this page was read in the units of before, half-typed figures too: nothing of it is shown.
		setOthers(true);
		forgetDrafts();
		window.location.reload();
	}, [own, currency]);
	const [, setOwn] = useOwnKeys();
	const keys = me.data?.keys;
	useEffect(() => {
		if (keys) setOwn({ off: keys.off ?? false, changed: keys.changed ?? {} });
	}, [keys, setOwn]);
	if (me.isError && !last.current)
		return (
			<main className="p-8">
				<Said error={me.error} />
			</main>
		);
	const known = last.current;
	if (!opened || others || (!me.data && !known)) return <Waiting what={t("label-the-shop")} />;
	const signedIn = (data: Me) => {
		// Somebody else begins anew: nothing of what is on this screen is theirs.
		if (known && data.username !== known.username) {
			forgetDrafts();
			void forgetOnDevice().then(() => window.location.assign("/"));
		}
		queries.setQueryData(["me"], data);
		void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== "me" });
	};
	if (at.pathname === "/open" && me.data) return later(t("app-first-page"), <Opening me={me.data} />);
	if (!known)
		return later(t("label-the-shop"), <SignIn empty={me.data?.can_open ?? false} onSignedIn={signedIn} />);
	const signOut = async () => {
		await got(client.POST("/api/sign-out"));
		await forgetOnDevice();
		forgetDrafts();
		queries.clear();
		window.location.assign("/");
	};
	return (
		<InShop value={known}>
			<Signed value={{ me: known, signOut, help: () => setHelp(true) }}>
				<ErrorBoundary FallbackComponent={Broken} resetKeys={[at.pathname]}>
					{known.role === "assistant" ? (
						// Whoever assists hands clubs and types shots.
						<Routes>
							<Route path="/" element={<Desk me={known} />} />
							<Route path="/sessions/:id/pad" element={later(t("label-the-pad"), <Pad me={known} />)} />
							<Route path="/you" element={later("you", <YouPage />)} />
							<Route path="*" element={<Navigate to="/" replace />} />
						</Routes>
					) : (
						<Routes>
							<Route path="/" element={<Desk me={known} />} />
							<Route path="/shop" element={later(t("label-the-shop"), <Shop />)} />
							<Route path="/rack" element={later(t("label-the-rack"), <Rack />)} />
							<Route path="/customers" element={later(t("app-customers"), <Customers />)} />
							<Route path="/customers/:id" element={later(t("label-the-customer"), <Customer />)} />
							<Route path="/sessions/:id/page" element={later(t("label-the-page"), <CustomerPage />)} />
							<Route path="/sessions/:id/card" element={later(t("label-the-card"), <CardPage />)} />
							<Route path="/sessions/:id/soles" element={later(t("app-the-soles"), <SoleSetUp />)} />
							<Route path="/sessions/:id/pad" element={later(t("label-the-pad"), <Pad me={known} />)} />
							<Route
								path="/sessions/:id/:place"
								element={later(t("label-the-session"), <SessionFrame onHelp={() => setHelp(true)} />)}
							/>
							<Route path="/sessions/:id" element={<Navigate to="brief" replace />} />
							<Route path="*" element={<Navigate to="/" replace />} />
						</Routes>
					)}
				</ErrorBoundary>
				<HelpSheet open={help} onClose={() => setHelp(false)} />
				{me.data?.signed_in === false && (
					<Suspense>
						<SignInOver name={known.username} onSignedIn={signedIn} />
					</Suspense>
				)}
			</Signed>
		</InShop>
	);
}
