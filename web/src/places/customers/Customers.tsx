/** Everybody who was here, by name; found by parts of it. */
import "../../said/rest";

import { keepPreviousData, useInfiniteQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { client, got } from "../../api/client";
import { ShopFrame } from "../../app/ShopFrame";
import { Worded } from "../../said/Worded";
import { t } from "../../said/words";
import { useWrittenInAddress } from "../../ui/address";
import { Said, Waiting } from "../../ui/Said";
import { Term } from "../../ui/Term";
import { day } from "../desk/Sessions";

export default function Customers() {
	const [search, setSearch] = useWrittenInAddress("search");
	const book = useInfiniteQuery({
		queryKey: ["customers", "book", search],
		initialPageParam: 1,
		queryFn: ({ pageParam: page }) =>
			got(client.GET("/api/customers/book", { params: { query: { page, ...(search && { search }) } } })),
		getNextPageParam: (last, pages) => (last.next ? pages.length + 1 : undefined),
		placeholderData: keepPreviousData,
	});
	const people = book.data?.pages.flatMap((page) => page.results);
	return (
		<ShopFrame
			at="/customers"
			title={t("app-customers")}
			intro={<Worded id="intro-customers" drawn={{ visit: <Term of="visit" /> }} />}
		>
			<input
				type="search"
				className="input mb-3 h-11 w-full max-w-96"
				aria-label={t("customer-find")}
				placeholder={t("customer-find")}
				value={search}
				onChange={(event) => setSearch(event.target.value)}
			/>
			<Said error={book.error} />
			{!people && !book.error && <Waiting what={t("app-customers")} />}
			{people?.length === 0 && <p className="quiet">{t("customer-none-of-that-name")}</p>}
			<ul className="max-w-4xl divide-y divide-base-300 bg-base-100 empty:hidden">
				{people?.map((each) => (
					<li key={each.id}>
						<Link
							to={`/customers/${each.id}`}
							className="flex min-h-14 flex-wrap items-center gap-x-4 px-4 py-2 hover:bg-base-200"
						>
							<span className="min-w-0 flex-1 truncate text-[17px] font-semibold">{each.name}</span>
							<span className="quiet text-sm">
								{[
									each.left_handed && t("label-left-handed"),
									each.birth_year && t("customer-born", { year: String(each.birth_year) }),
									each.last_visit
										? t("customer-last-here", { day: day(each.last_visit) })
										: t("customer-not-here-yet"),
								]
									.filter(Boolean)
									.join(", ")}
							</span>
						</Link>
					</li>
				))}
			</ul>
			{book.hasNextPage && (
				<button
					type="button"
					className="btn mt-3 h-11"
					disabled={book.isFetchingNextPage}
					onClick={() => void book.fetchNextPage()}
				>
					{t("customer-more")}
				</button>
			)}
		</ShopFrame>
	);
}
