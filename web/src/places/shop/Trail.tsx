/** What was changed by whom, newest first, of one person or customer or session where that is wanted. */
import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { client, got, type TrailLine } from "../../api/client";
import { t } from "../../said/words";
import { Said, Waiting } from "../../ui/Said";

const at = (time: string) =>
	new Date(time).toLocaleString("en-GB", {
		day: "numeric",
		month: "short",
		hour: "2-digit",
		minute: "2-digit",
	});

const KINDS = ["person", "customer", "session"] as const;

export function Trail() {
	const [search, setSearch] = useSearchParams();
	const wanted = Object.fromEntries(
		KINDS.flatMap((kind) => (search.get(kind) ? [[kind, Number(search.get(kind))]] : [])),
	);
	const people = useQuery({ queryKey: ["people"], queryFn: () => got(client.GET("/api/people")) });
	const trail = useInfiniteQuery({
		queryKey: ["trail", wanted],
		initialPageParam: "",
		queryFn: ({ pageParam: cursor }) =>
			got(client.GET("/api/trail", { params: { query: { ...(cursor ? { cursor } : {}), ...wanted } } })),
		getNextPageParam: (last) => (last.next && new URL(last.next).searchParams.get("cursor")) || undefined,
	});
	const filter = (kind: (typeof KINDS)[number], id: number | null) => {
		const next = new URLSearchParams(search);
		if (id === null) next.delete(kind);
		else next.set(kind, String(id));
		setSearch(next);
	};
	const lines = trail.data?.pages.flatMap((page) => page.results);
	return (
		<section className="space-y-3">
			<div className="flex flex-wrap items-center gap-3">
				<h2 className="flex-1 text-lg">{t("shop-trail-acts")}</h2>
				<select
					className="select h-11 w-52"
					aria-label={t("shop-whose-acts")}
					value={wanted.person ?? ""}
					onChange={(event) => filter("person", event.target.value ? Number(event.target.value) : null)}
				>
					<option value="">{t("shop-everybody")}</option>
					{people.data?.people.map((each) => (
						<option key={each.id} value={each.id}>
							{each.name}
						</option>
					))}
				</select>
				{(["customer", "session"] as const).map(
					(kind) =>
						wanted[kind] !== undefined && (
							<button key={kind} type="button" className="btn h-11" onClick={() => filter(kind, null)}>
								{t("shop-one-show-all", { kind })}
							</button>
						),
				)}
			</div>
			<Said error={trail.error} />
			{lines ? <Lines lines={lines} onFilter={filter} /> : <Waiting what={t("shop-the-trail")} />}
			{trail.hasNextPage && (
				<button
					type="button"
					className="btn h-11 w-full"
					disabled={trail.isFetchingNextPage}
					onClick={() => void trail.fetchNextPage()}
				>
					{t("shop-earlier")}
				</button>
			)}
		</section>
	);
}

function Lines({
	lines,
	onFilter,
}: {
	lines: TrailLine[];
	onFilter: (kind: "customer" | "session", id: number) => void;
}) {
	if (lines.length === 0) return <p className="quiet">{t("shop-nothing-changed")}</p>;
	return (
		<ul className="divide-y divide-base-300 border-y border-base-300 bg-base-100">
			{lines.map((line) => (
				<li key={line.id} className="flex flex-wrap items-center gap-x-4 px-3 py-1">
					<span className="num quiet w-32 text-sm">{at(line.at)}</span>
					<span className="flex-1">{line.sentence}</span>
					{line.session !== null && (
						<>
							<button
								type="button"
								className="min-h-11 cursor-pointer text-sm underline"
								onClick={() => onFilter("session", line.session ?? 0)}
							>
								{t("shop-this-session")}
							</button>
							<Link className="py-2 text-sm underline" to={`/sessions/${line.session}`}>
								{t("shop-open-it")}
							</Link>
						</>
					)}
					{line.customer !== null && (
						<Link className="py-2 text-sm underline" to={`/customers/${line.customer}`}>
							{t("shop-customer")}
						</Link>
					)}
				</li>
			))}
		</ul>
	);
}
