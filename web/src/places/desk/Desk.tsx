/** The desk: sessions to go on with, checks that fall due, customers, and a new visit. */
import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { CircleHelp, LogOut, SunMoon } from "lucide-react";
import { Controller, useForm, useWatch } from "react-hook-form";
import { Link, useNavigate } from "react-router";
import { client, got, type Me, type Person, Problem, type SessionLine } from "../../api/client";
import { t } from "../../said/words";
import { AsLeft } from "../../ui/AsLeft";
import { dropDraft, useDrafted, useFormDraft } from "../../ui/draft";
import { Mark } from "../../ui/Mark";
import { Said, Waiting } from "../../ui/Said";
import { useTheme } from "../../ui/theme";
import { CustomerPicker } from "./CustomerPicker";
import { FirstSteps, TryOut } from "./FirstSteps";
import { day, Sessions } from "./Sessions";

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
					{none && (assists ? <p className="quiet">{t("desk-no-session-yet")}</p> : <FirstSteps me={me} />)}
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
						<NewVisit me={me} first={none} />
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

interface VisitFields {
	customer: Person | null;
	name: string;
	hand: "right" | "left";
	bay: string;
}

const VISIT = "visit";

/** first: nobody is known here yet. */
function NewVisit({ me, first }: { me: Me; first: boolean }) {
	const navigate = useNavigate();
	const queries = useQueryClient();
	const [isNew, setNew] = useDrafted(VISIT, "isNew", first);
	const form = useForm<VisitFields>({
		defaultValues: { customer: null, name: "", hand: "right", bay: String(me.bays[0]?.id ?? "") },
	});
	useFormDraft(form, `${VISIT}:fields`);
	const chosen = useWatch({ control: form.control, name: "customer" });
	const open = useMutation({
		mutationFn: async (fields: VisitFields) => {
			let { customer } = fields;
			if (isNew) {
				customer = await got(
					client.POST("/api/customers", { body: { name: fields.name, hand: fields.hand } }),
				);
				// Known from here on: a visit that cannot be opened just now does not add them twice.
				form.setValue("customer", customer);
				setNew(false);
			}
			if (!customer) throw new Problem(t("desk-choose-customer-or-add-new"), 0, "customer");
			return got(client.POST("/api/sessions", { body: { customer: customer.id, bay: Number(fields.bay) } }));
		},
		onSuccess: async (session) => {
			dropDraft(VISIT);
			dropDraft(`${VISIT}:fields`);
			await queries.invalidateQueries();
			await navigate(`/sessions/${session.id}/brief`);
		},
	});
	return (
		<form className="space-y-3" onSubmit={form.handleSubmit((fields) => open.mutate(fields))}>
			<h2 className="text-lg">{t("desk-new-visit")}</h2>
			<AsLeft
				form={`${VISIT}:fields`}
				onAnew={() => {
					form.reset();
					dropDraft(VISIT);
				}}
			/>
			{isNew ? (
				<>
					<input
						className="input h-11 w-full"
						placeholder={t("desk-customers-name")}
						aria-label={t("desk-customers-name")}
						{...form.register("name")}
						required
					/>
					<select className="select h-11 w-full" aria-label={t("label-hand")} {...form.register("hand")}>
						<option value="right">{t("desk-right-handed")}</option>
						<option value="left">{t("desk-left-handed")}</option>
					</select>
				</>
			) : (
				<Controller
					control={form.control}
					name="customer"
					render={({ field }) => <CustomerPicker value={field.value} onChange={field.onChange} />}
				/>
			)}
			{!isNew && chosen && (
				<Link className="inline-block min-h-9 py-1.5 underline" to={`/customers/${chosen.id}`}>
					{t("desk-data-visits", { name: chosen.name })}
				</Link>
			)}
			<select className="select h-11 w-full" aria-label={t("label-bay")} {...form.register("bay")}>
				{me.bays.map((bay) => (
					<option key={bay.id} value={bay.id}>
						{bay.name}
						{bay.indoor ? t("label-indoor") : t("label-outdoor")}
					</option>
				))}
			</select>
			<Said error={open.error} />
			<div className="flex gap-2">
				<button type="submit" className="btn btn-primary h-11 flex-1" disabled={open.isPending}>
					{t("desk-start")}
				</button>
				<button type="button" className="btn h-11" onClick={() => setNew(!isNew)}>
					{isNew ? t("desk-known-customer") : t("desk-new-customer")}
				</button>
			</div>
		</form>
	);
}
