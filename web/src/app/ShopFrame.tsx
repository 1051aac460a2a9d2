/** What every page outside a session has around it: where one can go, and who is here. */
import { CircleHelp, UserRound } from "lucide-react";
import { lazy, type ReactNode, Suspense, useContext, useState } from "react";
import { Link } from "react-router";
import type { Me } from "../api/client";
import { t } from "../said/words";
import { useArrival, useTitle } from "../ui/arrival";
import { Intro } from "../ui/Intro";
import { Mark } from "../ui/Mark";
import { Signed } from "../ui/person";
import { SkipLink } from "../ui/SkipLink";

const PersonSheet = lazy(() => import("./PersonSheet"));

const PLACES = [
	{ to: "/", name: t("label-desk") },
	{ to: "/customers", name: t("app-customers") },
	{ to: "/rack", name: t("label-rack") },
	{ to: "/shop", name: t("label-shop") },
];

/** at: the place it belongs to, by its address; title: its heading, which nobody sees where it is hidden. */
export function ShopFrame({
	at,
	title,
	hidden = false,
	intro,
	children,
}: {
	at: string;
	title: string;
	hidden?: boolean;
	/** What the place is for, to whoever meets it. */
	intro?: ReactNode;
	children: ReactNode;
}) {
	const here = useContext(Signed);
	const heading = useArrival<HTMLHeadingElement>(title);
	useTitle(title);
	const assists = here?.me.role === "assistant";
	const places = assists ? PLACES.slice(0, 1) : PLACES;
	return (
		<>
			<SkipLink />
			<header className="no-print border-b border-base-300 bg-base-100">
				<div className="mx-auto flex min-h-13 max-w-7xl flex-wrap items-center gap-x-3 px-4">
					<Link to="/" aria-label={t("label-to-the-desk")} className="flex min-h-11 min-w-11 items-center">
						<Mark />
					</Link>
					<span className="quiet hidden max-w-48 truncate md:block">{here?.me.shop}</span>
					<nav className="flex flex-wrap gap-1" aria-label={t("app-places-of-shop")}>
						{places.map((each) => (
							<Link
								key={each.to}
								to={each.to}
								aria-current={each.to === at ? "page" : undefined}
								className={`flex min-h-11 items-center rounded px-3 font-semibold ${each.to === at ? "bg-primary text-primary-content" : "hover:bg-base-200"}`}
							>
								{each.name}
							</Link>
						))}
					</nav>
					<span className="flex-1" />
					{here?.me.demo && <DemoWord me={here.me} />}
					{here && <PersonAtTheEnd name={here.me.name} onHelp={here.help} />}
				</div>
			</header>
			{intro && <Intro>{intro}</Intro>}
			<main id="content" tabIndex={-1} className="mx-auto max-w-7xl px-4 pt-5 pb-12 sm:px-6">
				<h1 ref={heading} tabIndex={-1} className={hidden ? "sr-only" : "mb-4 text-2xl"}>
					{title}
				</h1>
				{children}
			</main>
		</>
	);
}

function PersonAtTheEnd({ name, onHelp }: { name: string; onHelp: () => void }) {
	const [open, setOpen] = useState(false);
	return (
		<>
			<button type="button" className="min-h-11 min-w-11 p-2.5" aria-label={t("label-keys")} onClick={onHelp}>
				<CircleHelp size={19} aria-hidden />
			</button>
			<button
				type="button"
				className="flex min-h-11 items-center gap-2 rounded px-2 font-semibold hover:bg-base-200"
				aria-haspopup="dialog"
				onClick={() => setOpen(true)}
			>
				<UserRound size={19} aria-hidden /> <span className="max-w-40 truncate">{name}</span>
			</button>
			{open && (
				<Suspense>
					<PersonSheet onClose={() => setOpen(false)} />
				</Suspense>
			)}
		</>
	);
}

/** The made-up shop says so, and how one's own is opened. */
function DemoWord({ me }: { me: Me }) {
	return (
		<p className="flex flex-wrap items-center gap-3 text-sm">
			<span className="bg-base-300 px-2 py-1 font-semibold">{t("desk-demo-all-made-up")}</span>
			{me.can_open && (
				<Link to="/open" className="btn btn-primary btn-sm h-11">
					{t("label-open-your-own-shop")}
				</Link>
			)}
		</p>
	);
}
