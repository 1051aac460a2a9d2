/** The desk: sessions to go on with, checks that fall due, customers, and a new visit. */
import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { CircleHelp, LogOut, SunMoon } from "lucide-react";
import { lazy, Suspense } from "react";
import { Link } from "react-router";
import { client, got, type Me, type SessionLine } from "../../api/client";
import { t } from "../../said/words";
import { Mark } from "../../ui/Mark";
import { Said, Waiting } from "../../ui/Said";
import { useTheme } from "../../ui/theme";
import { day, Sessions } from "./Sessions";
import { TryOut } from "./TryOut";

const FirstSteps = lazy(() => import("./FirstSteps"));
const NewVisit = lazy(() => import("./NewVisit"));

/** Those to go on with first, also across pages. */
function inOrder(lines: SessionLine[]): SessionLine[] {
	const order = { open: 0, not_begun: 1, agreed: 2, erased: 3 };
	return [...lines].sort((a, b) => order[a.status] - order[b.status]);
}

export function Desk({ me, onSignOut, onHelp }: { me: Me; onSignOut: () => void; onHelp: () => void }) {
	const sessions = useInfiniteQuery({
		queryKey: ["sessions"],
		initialPageParam: 1,
		queryFn: ({ pageParam: page }) => got(client.GET("/api/sessions", { params: { query: { page } } })),
		getNextPageParam: (last, pages) => (last.next ? pages.length + 1 : undefined),
	});
	const lines = sessions.data?.pages.flatMap((page) => page.results);
	const none = lines?.length === 0;
	const assists = me.role === "assistant";
	const [, turnTheme] = useTheme();
	return (
		<div className="mx-auto max-w-6xl px-6 pb-12">
			<header className="flex items-center gap-4 py-4">
				<Mark />
				<h1 className="min-w-0 flex-1 truncate text-xl">{me.shop}</h1>
				{me.demo && <DemoWord me={me} />}
				{assists ? (
					<Link to="/you" className="px-2 py-2 font-semibold underline">
						{t("label-you")}
					</Link>
				) : (
					<>
						<Link to="/rack" className="px-2 py-2 font-semibold underline">
							{t("label-rack")}
						</Link>
						<Link to="/shop" className="px-2 py-2 font-semibold underline">
							{t("label-shop")}
						</Link>
					</>
				)}
				<span className="quiet text-sm">{me.name}</span>
				<button
					type="button"
					className="p-2"
					aria-label={t("label-light-or-dark-screen")}
					onClick={turnTheme}
				>
					<SunMoon size={19} />
				</button>
				<button type="button" className="p-2" aria-label={t("label-keys")} onClick={onHelp}>
					<CircleHelp size={19} />
				</button>
				<button type="button" className="p-2" aria-label={t("desk-sign-out")} onClick={onSignOut}>
					<LogOut size={19} />
				</button>
			</header>
			<main className="grid gap-8 lg:grid-cols-[1fr_21rem]">
				<section>
					<h2 className="mb-2 text-lg">{none && !assists ? t("desk-first-steps") : t("desk-sessions")}</h2>
					<Said error={sessions.error} />
					{none &&
						(assists ? (
							<p className="quiet">{t("desk-no-session-yet")}</p>
						) : (
							<Suspense fallback={<Waiting what={t("desk-first-steps")} />}>
								<FirstSteps me={me} />
							</Suspense>
						))}
					{lines ? (
						<Sessions lines={inOrder(lines)} pad={assists} />
					) : (
						<Waiting what={t("desk-the-sessions")} />
					)}
					{sessions.hasNextPage && (
						<button
							type="button"
							className="btn mt-3 h-11 w-full"
							disabled={sessions.isFetchingNextPage}
							onClick={() => void sessions.fetchNextPage()}
						>
							{t("desk-earlier-sessions")}
						</button>
					)}
				</section>
				{!assists && (
					<aside className="space-y-8">
						{/* As high as the form: nothing moves when it comes. */}
						<Suspense fallback={<div className="h-56" />}>
							<NewVisit me={me} first={none} />
						</Suspense>
						{lines && !none && <TryOut me={me} />}
						<Due />
					</aside>
				)}
			</main>
		</div>
	);
}

/** The made-up shop says so, and how one's own is opened. */
function DemoWord({ me }: { me: Me }) {
	return (
		<p className="flex flex-wrap items-center gap-3 text-sm">
			<span className="bg-base-300 px-2 py-1 font-semibold">{t("desk-demo-all-made-up")}</span>
			{me.can_open && (
				<Link to="/open" className="btn btn-primary btn-sm h-10">
					{t("label-open-your-own-shop")}
				</Link>
			)}
		</p>
	);
}

const WEEK_DAYS = 7;

function Due() {
	const due = useQuery({
		queryKey: ["sessions", "due"],
		queryFn: () => got(client.GET("/api/checks-due")),
	});
	return (
		<section>
			<h2 className="mb-2 text-lg">{t("desk-checks-fall-due")}</h2>
			<Said error={due.error} />
			{due.data?.checks.length === 0 && (
				<p className="quiet text-sm">
					{t("desk-none-next-weeks", { withinDays: Math.round(due.data.within_days / WEEK_DAYS) })}
				</p>
			)}
			<ul>
				{due.data?.checks.map((check) => (
					<li key={check.session}>
						<Link className="inline-block min-h-9 py-1" to={`/sessions/${check.session}/handover`}>
							{check.customer} <span className="quiet">{day(check.next_check)}</span>
						</Link>
					</li>
				))}
			</ul>
		</section>
	);
}
