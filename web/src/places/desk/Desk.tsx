/** The desk: who is in which bay and what is next there, sessions to go on with, checks that fall due, a new visit. */
import { keepPreviousData, useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useRef, useState } from "react";
import { Link } from "react-router";
import { client, got, type Me, type SessionLine } from "../../api/client";
import { ShopFrame } from "../../app/ShopFrame";
import { useCommands } from "../../commands/commands";
import { inGroup } from "../../commands/rows";
import { t } from "../../said/words";
import { Said, Waiting } from "../../ui/Said";
import { day, PLACES, Sessions } from "./Sessions";
import { TryOut } from "./TryOut";

const FirstSteps = lazy(() => import("./FirstSteps"));
const NewVisit = lazy(() => import("./NewVisit"));

/** Those to go on with first, also across pages. */
function inOrder(lines: SessionLine[]): SessionLine[] {
	const order = { open: 0, not_begun: 1, agreed: 2, erased: 3 };
	return [...lines].sort((a, b) => order[a.status] - order[b.status]);
}

interface Asked {
	search: string;
	state: "" | "open" | "done";
	bay: string;
}
const ALL: Asked = { search: "", state: "", bay: "" };

export function Desk({ me }: { me: Me }) {
	const [asked, setAsked] = useState(ALL);
	const { search, state, bay } = asked;
	const sessions = useInfiniteQuery({
		queryKey: ["sessions", asked],
		initialPageParam: 1,
		queryFn: ({ pageParam: page }) =>
			got(
				client.GET("/api/sessions", {
					params: {
						query: {
							page,
							...(search && { search }),
							...(state && { state }),
							...(bay && { bay: Number(bay) }),
						},
					},
				}),
			),
		getNextPageParam: (last, pages) => (last.next ? pages.length + 1 : undefined),
		placeholderData: keepPreviousData,
	});
	const lines = sessions.data?.pages.flatMap((page) => page.results);
	const narrowed = search !== "" || state !== "" || bay !== "";
	const none = lines?.length === 0 && !narrowed;
	const assists = me.role === "assistant";
	return (
		<ShopFrame at="/" title={t("label-desk")} hidden intro={t("desk-intro")}>
			<div className="grid gap-8 lg:grid-cols-[1fr_21rem]">
				<section className="min-w-0">
					{!none && <Bays me={me} pad={assists} />}
					<h2 className="mb-2 text-lg">{none && !assists ? t("desk-first-steps") : t("desk-sessions")}</h2>
					{!none && <Narrow me={me} asked={asked} onAsk={setAsked} />}
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
					{lines?.length === 0 && narrowed && <p className="quiet mt-2">{t("desk-none-found")}</p>}
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
						<Due />
						{lines && !none && <TryOut me={me} />}
					</aside>
				)}
			</div>
		</ShopFrame>
	);
}

/** Every bay with who is in it and what is next there. */
function Bays({ me, pad }: { me: Me; pad: boolean }) {
	const bays = useQuery({
		queryKey: ["sessions", "bays"],
		queryFn: () => got(client.GET("/api/bays-now")),
		refetchInterval: 20_000,
	});
	return (
		<section className="mb-6">
			<h2 className="mb-2 text-lg">{t("desk-in-the-bays")}</h2>
			<Said error={bays.error} />
			<ul className="grid gap-3 sm:grid-cols-2">
				{/* What is next there is worked out; until then its frame stands there. */}
				{!bays.data &&
					me.bays.map((bay) => (
						<li
							key={bay.id}
							className="min-h-20 border border-base-300 bg-base-100 px-4 py-2"
							aria-busy="true"
						>
							<span className="quiet block text-sm">{bay.name}</span>
						</li>
					))}
				{bays.data?.map((bay) => (
					<li key={bay.id} className="border border-base-300 bg-base-100">
						{bay.session ? (
							<Link
								to={`/sessions/${bay.session}/${pad ? "pad" : bay.next}`}
								className="block min-h-20 px-4 py-2 hover:bg-base-200"
							>
								<span className="quiet block text-sm">{bay.name}</span>
								<span className="block truncate text-[17px] font-semibold">{bay.customer}</span>
								<span className="block text-[15px]">
									{bay.next &&
										(bay.act
											? t("desk-next-act", { place: PLACES[bay.next], act: bay.act })
											: PLACES[bay.next])}
								</span>
							</Link>
						) : (
							<p className="min-h-20 px-4 py-2">
								<span className="quiet block text-sm">{bay.name}</span>
								<span className="quiet">{t("desk-bay-free")}</span>
							</p>
						)}
					</li>
				))}
			</ul>
		</section>
	);
}

/** Of many sessions some: by name, by whether they go on, by bay. */
function Narrow({ me, asked, onAsk }: { me: Me; asked: Asked; onAsk: (asked: Asked) => void }) {
	const states = {
		"": t("desk-all-sessions"),
		open: t("desk-go-on-with"),
		done: t("desk-done-with"),
	} as const;
	const search = useRef<HTMLInputElement>(null);
	useCommands(
		"desk-search",
		inGroup(t("label-desk"), [
			["find", t("desk-find-session"), "/", undefined, () => search.current?.focus()],
		]),
	);
	return (
		<div className="mb-2 flex flex-wrap gap-2">
			<input
				ref={search}
				type="search"
				className="input h-11 w-56 min-w-0"
				aria-label={t("desk-find-session")}
				placeholder={t("desk-customer-part-name")}
				value={asked.search}
				onChange={(event) => onAsk({ ...asked, search: event.target.value })}
			/>
			<div className="join" role="group" aria-label={t("desk-sessions")}>
				{(["", "open", "done"] as const).map((state) => (
					<button
						key={state}
						type="button"
						aria-pressed={asked.state === state}
						className={`btn join-item h-11 ${asked.state === state ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={() => onAsk({ ...asked, state })}
					>
						{states[state]}
					</button>
				))}
			</div>
			{me.bays.length > 1 && (
				<select
					className="select h-11 w-36"
					aria-label={t("label-bay")}
					value={asked.bay}
					onChange={(event) => onAsk({ ...asked, bay: event.target.value })}
				>
					<option value="">{t("desk-every-bay")}</option>
					{me.bays.map((bay) => (
						<option key={bay.id} value={bay.id}>
							{bay.name}
						</option>
					))}
				</select>
			)}
		</div>
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
						<Link
							className="flex min-h-11 items-center gap-2 underline"
							to={`/sessions/${check.session}/handover`}
						>
							{t("desk-check-of", { customer: check.customer })}
							<span className="quiet">{day(check.next_check)}</span>
						</Link>
					</li>
				))}
			</ul>
		</section>
	);
}
