/** What the player came for: it leads, all else limits it. */
import { useState } from "react";
import type { FlightWish, ReplaceWay, Session, Wish } from "../../api/client";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { ownOf } from "../../session/select";
import { typedFar } from "../../ui/typed";
import { type Metres, toFar, whole } from "../../ui/units";
import { gapChange } from "../bag/Rules";

type Kind = Wish | "named";
const KINDS: Record<Kind, string> = {
	gap: t("brief-fill-gap"),
	flight: t("brief-keep-yardage-change-flight"),
	like: t("brief-same-but-newer"),
	replace: t("brief-another-its-place"),
	far: t("brief-as-far-as-possible-play"),
	named: t("brief-yardage-by-name"),
	compare: t("brief-compare-only"),
};
/** Those that hold a new club against an old one. */
const HELD: readonly Kind[] = ["flight", "like", "replace", "far"];
const FLIGHTS: Record<FlightWish, string> = {
	higher: t("brief-higher"),
	lower: t("brief-lower"),
	steeper: t("brief-steeper-landing"),
	less_spin: t("brief-less-spin"),
	more_spin: t("brief-more-spin"),
};

const WAYS: Record<ReplaceWay, string> = {
	longer: t("brief-longer"),
	shorter: t("brief-shorter"),
	softer: t("brief-lands-softer"),
};
/** A way turned on or off; longer and shorter are never both asked, and one always is. */
const turned = (ways: readonly ReplaceWay[], way: ReplaceWay): ReplaceWay[] => {
	if (ways.includes(way)) return ways.length > 1 ? ways.filter((each) => each !== way) : [...ways];
	const against = way === "longer" ? "shorter" : way === "shorter" ? "longer" : null;
	return [...ways.filter((each) => each !== against), way];
};

const kindOf = ({ bag: { wanted } }: Session): Kind => (wanted.named ? "named" : wanted.wish);

export function WishBar({ session, act, busy }: Pick<PlaceProps, "session" | "act" | "busy">) {
	const now = kindOf(session);
	const [chosen, setChosen] = useState<Kind | null>(null);
	const kind = chosen ?? now;
	const clubs = ownOf(session).filter((build) => build.carry_m !== null);
	const old = session.bag.wanted.like;
	const flight = session.bag.wanted.flight;
	const ways = session.bag.wanted.ways.length ? session.bag.wanted.ways : (["longer"] as ReplaceWay[]);
	const ask = (over: Parameters<typeof gapChange>[1]) => {
		setChosen(null);
		act(
			gapChange(session, {
				wish: "gap",
				gap_above: null,
				like_for: null,
				flight: null,
				ways: [],
				named: {},
				...over,
			}),
		);
	};
	/** A wish that holds a new club against an old one, with what it is to do. */
	const hold = (wish: Kind, club: number | null, more: Parameters<typeof gapChange>[1] = {}) =>
		ask({
			wish: wish as Wish,
			like_for: club,
			flight: wish === "flight" ? (flight ?? "higher") : null,
			ways: wish === "replace" ? ways : [],
			...more,
		});
	const pick = (next: Kind) => {
		setChosen(next);
		if (next === "gap" && now !== "gap") ask({});
		if (next === "compare" && now !== "compare") ask({ wish: "compare" });
		// The old club stays, where the next wish holds a new one against it too.
		if (old !== null && HELD.includes(next) && next !== now) hold(next, old);
	};
	return (
		<section aria-label={t("brief-what-wanted")}>
			<h2 className="mb-2 text-lg">{t("brief-what-wanted-2")}</h2>
			<div className="flex flex-wrap items-center gap-2">
				{(Object.keys(KINDS) as Kind[]).map((each) => (
					<button
						key={each}
						type="button"
						aria-pressed={kind === each}
						disabled={busy}
						className={`btn btn-sm h-11 ${kind === each ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={() => pick(each)}
					>
						{KINDS[each]}
					</button>
				))}
			</div>
			{HELD.includes(kind) && (
				<div className="mt-2 flex flex-wrap items-center gap-2">
					<span className="quiet text-sm">{kind === "far" ? t("brief-beside") : t("label-of")}</span>
					<select
						className="select h-11 w-32"
						aria-label={t("brief-club-held-against")}
						value={old ?? ""}
						disabled={busy}
						onChange={(event) => hold(kind, Number(event.target.value))}
					>
						<option value="" disabled>
							{t("brief-which-club")}
						</option>
						{clubs.map((club) => (
							<option key={club.id} value={club.id}>
								{club.name}
							</option>
						))}
					</select>
					{kind === "flight" && (
						<select
							className="select h-11 w-44"
							aria-label={t("brief-what-flight")}
							value={flight ?? "higher"}
							disabled={busy || old === null}
							onChange={(event) => hold("flight", old, { flight: event.target.value as FlightWish })}
						>
							{Object.entries(FLIGHTS).map(([value, words]) => (
								<option key={value} value={value}>
									{words}
								</option>
							))}
						</select>
					)}
					{kind === "replace" && (
						<div className="flex gap-2" role="group" aria-label={t("brief-what-new-one-do")}>
							{(Object.keys(WAYS) as ReplaceWay[]).map((way) => (
								<button
									key={way}
									type="button"
									aria-pressed={ways.includes(way)}
									disabled={busy || old === null}
									className={`btn btn-sm h-11 ${ways.includes(way) ? "btn-primary" : "border-base-300 bg-base-100"}`}
									onClick={() => hold("replace", old, { ways: turned(ways, way) })}
								>
									{WAYS[way]}
								</button>
							))}
						</div>
					)}
					{old !== null && <span className="quiet text-sm">{session.bag.headline}</span>}
				</div>
			)}
			{kind === "compare" && <p className="quiet mt-2 text-sm">{session.bag.headline}</p>}
			{kind === "named" && <Yardage session={session} busy={busy} act={act} ask={ask} />}
		</section>
	);
}

const inFar = (metres: number | null | undefined) =>
	metres === null || metres === undefined ? "" : String(whole(toFar(metres as Metres)));

function Yardage({
	session,
	busy,
	act,
	ask,
}: Pick<PlaceProps, "session" | "busy" | "act"> & { ask: (over: Parameters<typeof gapChange>[1]) => void }) {
	const { named } = session.bag.wanted;
	const [low, setLow] = useState(inFar(named?.low_m));
	const [high, setHigh] = useState(named?.high_m === named?.low_m ? "" : inFar(named?.high_m));
	const [total, setTotal] = useState(named?.total ?? false);
	return (
		<form
			className="mt-2 flex flex-wrap items-center gap-2"
			onSubmit={(event) => {
				event.preventDefault();
				// What is no number is said by `act`, as everywhere.
				act(async () => {
					const from = typedFar(low, "yardage", named?.low_m);
					const to = high.trim() ? typedFar(high, "yardage", named?.high_m) : from;
					return gapChange(session, {
						wish: "gap",
						gap_above: null,
						like_for: null,
						flight: null,
						ways: [],
						named: { low_m: from, high_m: to, total },
					})();
				});
			}}
		>
			<input
				className="input h-11 w-18 px-2 text-right"
				inputMode="decimal"
				aria-label={t("brief-yardage-or-its-lower-end")}
				placeholder="210"
				value={low}
				onChange={(event) => setLow(event.target.value)}
			/>
			<span className="quiet text-sm">{t("label-to")}</span>
			<input
				className="input h-11 w-18 px-2 text-right"
				inputMode="decimal"
				aria-label={t("brief-upper-end-band")}
				placeholder="–"
				value={high}
				onChange={(event) => setHigh(event.target.value)}
			/>
			<select
				className="select h-11 w-28"
				aria-label={t("brief-carry-or-total")}
				value={total ? "total" : "carry"}
				onChange={(event) => setTotal(event.target.value === "total")}
			>
				<option value="carry">{t("label-carry-3")}</option>
				<option value="total">{t("label-total-2")}</option>
			</select>
			<button type="submit" className="btn btn-sm h-11" disabled={busy}>
				{t("label-ask-for")}
			</button>
			{named && (
				<button type="button" className="btn btn-ghost btn-sm h-11" disabled={busy} onClick={() => ask({})}>
					{t("brief-no-longer")}
				</button>
			)}
		</form>
	);
}
