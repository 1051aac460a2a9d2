/** A session's five places on keys 1 to 5, and what all of them share. They come together: a key waits for no code. */

import "../said/rest";

import { useMutation, useQueryClient } from "@tanstack/react-query";
import { CircleHelp, SunMoon } from "lucide-react";
import { useEffect } from "react";
import { ErrorBoundary } from "react-error-boundary";
import { Link, Navigate, useNavigate, useParams } from "react-router";
import { client, got, type Session } from "../api/client";
import { useLive, useSession } from "../api/session";
import { termOf } from "../api/words";
import { useCommands } from "../commands/commands";
import { Bag } from "../places/bag/Bag";
import { Bay } from "../places/bay/Bay";
import { Bench } from "../places/bench/Bench";
import { Brief } from "../places/brief/Brief";
import { Handover } from "../places/handover/Handover";
import { t } from "../said/words";
import { isClosed } from "../session/closed";
import { useChange } from "../session/useChange";
import { useArrival, useTitle } from "../ui/arrival";
import { Broken } from "../ui/Broken";
import { Intro } from "../ui/Intro";
import { Mark } from "../ui/Mark";
import { Said, Waiting } from "../ui/Said";
import { SkipLink } from "../ui/SkipLink";
import { useTheme } from "../ui/theme";
import { INTROS } from "./intros";
import { RefusedLate, SavedLine } from "./SavedLine";
import { UndoRedo } from "./UndoRedo";

/** Nobody's session: it says so, and goes with one touch. */
function TryOutLine({ session }: { session: Session }) {
	const navigate = useNavigate();
	const queries = useQueryClient();
	const away = useMutation({
		mutationFn: () =>
			got(
				client.DELETE("/api/try-outs/{customer_id}", {
					params: { path: { customer_id: session.customer.id } },
				}),
			),
		onSuccess: async () => {
			await navigate("/");
			await queries.invalidateQueries();
		},
	});
	return (
		<p className="no-print flex flex-wrap items-center gap-3 bg-base-300 px-4 py-1 text-sm">
			<span>{t("app-try-out-nobody-hit-by")}</span>
			<button
				type="button"
				className="btn btn-sm h-11"
				disabled={away.isPending}
				onClick={() => away.mutate()}
			>
				{t("app-throw-away")}
			</button>
			<Said error={away.error} />
		</p>
	);
}

const PLACES = [
	{ id: "brief", name: t("app-brief"), view: Brief },
	{ id: "bag", name: t("label-bag"), view: Bag },
	{ id: "bay", name: t("label-bay"), view: Bay },
	{ id: "bench", name: t("app-bench"), view: Bench },
	{ id: "handover", name: t("app-handover"), view: Handover },
] as const;

export function SessionFrame({ onHelp }: { onHelp: () => void }) {
	const { id = "", place = "" } = useParams();
	const session = useSession(Number(id));
	// What is held stays on the screen, whatever could not be read anew.
	if (!session.data && session.isError) {
		return (
			<main className="space-y-4 p-8">
				<Said error={session.error} />
				<Link to="/" className="btn">
					{t("label-to-the-desk")}
				</Link>
			</main>
		);
	}
	if (!session.data) return <Waiting what={t("label-the-session")} />;
	if (!PLACES.some((each) => each.id === place)) return <Navigate to={`/sessions/${id}/brief`} replace />;
	return <Frame key={id} session={session.data} place={place} onHelp={onHelp} />;
}

function Frame({ session, place, onHelp }: { session: Session; place: string; onHelp: () => void }) {
	const navigate = useNavigate();
	const live = useLive(session.id);
	const change = useChange(session.id);
	const [, turnTheme] = useTheme();
	const { reset } = change;
	// A problem belongs to the place it happened in. In an effect: a reset while rendering would start the
	// navigation's own rendering anew, and again, for as long as it takes.
	// biome-ignore lint/correctness/useExhaustiveDependencies: the place is what it waits for
	useEffect(() => reset(), [place, reset]);
	useCommands("places", [
		...PLACES.map((each, index) => ({
			id: each.id,
			name: each.name,
			keys: String(index + 1),
			shown: String(index + 1),
			group: t("app-places"),
			run: () => void navigate(`/sessions/${session.id}/${each.id}`),
		})),
		{
			id: "desk",
			name: t("label-desk"),
			keys: "0",
			shown: "0",
			group: t("app-places"),
			run: () => void navigate("/"),
		},
	]);
	const seen = change.seen(session);
	const here = PLACES.find((each) => each.id === place)?.name ?? "";
	useTitle(here, session.customer.name);
	const heading = useArrival<HTMLHeadingElement>(here);
	const View = PLACES.find((each) => each.id === place)?.view ?? Brief;
	const held = new Date(session.held_on).toLocaleDateString("en-GB", {
		day: "numeric",
		month: "short",
		year: "numeric",
	});
	const where = `${session.bay_name}, ${termOf("surface", session.surface)}${session.indoor ? t("label-indoor") : ""}`;
	return (
		<div className="flex h-dvh flex-col">
			<SkipLink />
			<header className="no-print flex min-h-13 flex-wrap items-center gap-x-4 border-b border-base-300 bg-base-100 px-4 max-sm:px-2">
				<Link to="/" aria-label={t("label-to-the-desk")} className="flex min-h-11 min-w-11 items-center">
					<Mark />
				</Link>
				<div className="min-w-32 flex-1">
					<h1 className="truncate text-[17px] leading-tight">
						<Link to={`/customers/${session.customer.id}`} className="hover:underline">
							{session.customer.name}
						</Link>
					</h1>
					<p className="quiet truncate text-[13px] leading-tight">
						{held} · {where}
						{session.customer.hand === "left" ? ` ${t("app-left-handed")}` : ""}
					</p>
				</div>
				<nav
					className="flex gap-1 max-lg:order-last max-lg:w-full max-lg:overflow-x-auto"
					aria-label={t("app-places-session")}
				>
					{PLACES.map((each, index) => (
						<Link
							key={each.id}
							to={`/sessions/${session.id}/${each.id}`}
							aria-current={each.id === place ? "page" : undefined}
							className={`flex min-h-11 shrink-0 items-center gap-1.5 rounded px-3 font-semibold max-sm:px-2 ${each.id === place ? "bg-primary text-primary-content" : "hover:bg-base-200"}`}
						>
							<span className={`text-[12px] font-medium ${each.id === place ? "" : "quiet"}`}>
								{index + 1}
							</span>{" "}
							{each.name}
						</Link>
					))}
				</nav>
				<UndoRedo session={seen} act={change.act} busy={change.isPending} />
				<SavedLine session={session.id} />
				<button
					type="button"
					className="min-h-11 min-w-11 p-2.5 max-sm:hidden"
					aria-label={t("label-light-or-dark-screen")}
					onClick={turnTheme}
				>
					<SunMoon size={19} />
				</button>
				<button
					type="button"
					className="min-h-11 min-w-11 p-2.5 max-sm:hidden"
					aria-label={t("label-keys")}
					onClick={onHelp}
				>
					<CircleHelp size={19} />
				</button>
			</header>
			{isClosed(session) && (session.status === "erased" || place !== "handover") && (
				<p className="bg-base-300 px-4 py-1.5 text-sm">
					{session.status === "erased"
						? t("app-customer-erased-visit-stays-as")
						: session.frozen
							? t("app-session-agreed-shown-as-does")
							: t("app-session-agreed-before-its-figures")}
				</p>
			)}
			{session.customer.try_out && session.status !== "erased" && <TryOutLine session={session} />}
			<RefusedLate />
			{change.isError && (
				<div className="border-b border-base-300 bg-base-100 px-4 py-2">
					<Said error={change.error} />
				</div>
			)}
			<Intro key={`intro ${place}`}>{INTROS[place]}</Intro>
			{/* Another place begins at its top. */}
			<main key={place} id="content" tabIndex={-1} className="relative min-h-0 flex-1 overflow-auto">
				<h2 ref={heading} tabIndex={-1} className="sr-only">
					{here}
				</h2>
				<p className="print-only px-4 pt-2 text-lg font-semibold">
					{here}, {session.customer.name}, {held}
				</p>
				<ErrorBoundary FallbackComponent={Broken} resetKeys={[place, session.revision]}>
					<View session={seen} act={change.act} busy={change.isPending} live={live} />
				</ErrorBoundary>
			</main>
		</div>
	);
}
