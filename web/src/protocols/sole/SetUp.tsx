/** Setting up a blind sole test, once: the soles, the control, the lies, and who knows which code is which club. */

import "../../said/rest";

import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { change } from "../../acts";
import type { Session, SoleChoices } from "../../api/client";
import { codeLink, keep, useSession, useSoleCheck, useSoleChoices } from "../../api/session";
import { VOCABULARY } from "../../api/vocabulary";
import { Num, Worded } from "../../said/Worded";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import { ownOf } from "../../session/select";
import { BendCaution } from "../../ui/BendCaution";
import { Said, Waiting } from "../../ui/Said";
import { keyOf, Lies, Soles, Ways } from "./Chosen";
import { HandOutSheet, TapeList } from "./Link";

type Body = Parameters<typeof change.setUpSoles>[1];
type Control = NonNullable<Body["control_is"]>;

export default function SetUpPage() {
	const { id = "" } = useParams();
	const session = useSession(Number(id));
	if (session.error)
		return (
			<main className="p-6">
				<Said error={session.error} />
			</main>
		);
	if (!session.data) return <Waiting what={t("label-the-session")} />;
	return <SetUp session={session.data} />;
}

function SetUp({ session }: { session: Session }) {
	const own = ownOf(session).filter((build) => build.head_type === "wedge" && build.set_loft_deg !== null);
	// The most lofted one is settled first.
	const lofted = [...own].sort((a, b) => (b.set_loft_deg ?? 0) - (a.set_loft_deg ?? 0))[0];
	const [wedge, setWedge] = useState<number | null>(lofted?.id ?? null);
	const [typed, setTyped] = useState<string | null>(null);
	const about = own.find((build) => build.id === wedge);
	const said = typed ?? (about ? String(about.measured_loft_deg ?? about.set_loft_deg) : "56");
	const loft = Number(said.replace(",", "."));
	const good = Number.isFinite(loft) && loft >= 40 && loft <= 68;
	const choices = useSoleChoices(session, good ? loft : null, wedge);
	const [made, setMade] = useState<number | null>(null);
	const test = session.soles.find((each) => each.id === made);
	return (
		<main className="min-h-dvh p-5">
			<header className="mb-4 flex flex-wrap items-center gap-3">
				<Link className="btn h-11" to={`/sessions/${session.id}/bay`}>
					{t("sole-back-bay")}
				</Link>
				<h1 className="text-2xl font-semibold">
					{t("sole-blind-sole-test-3", { name: session.customer.name })}
				</h1>
			</header>
			{test ? (
				<Taping session={session} test={test} />
			) : (
				<>
					<div className="mb-4 flex flex-wrap items-center gap-4 text-[16px]">
						<label className="flex items-center gap-2">
							{t("sole-for")}
							<select
								className="select h-12 w-44"
								aria-label={t("sole-wedge-whose-sole-about")}
								value={wedge ?? ""}
								onChange={(event) => {
									setWedge(Number(event.target.value) || null);
									setTyped(null);
								}}
							>
								{own.map((build) => (
									<option key={build.id} value={build.id}>
										{t("sole-the-own", { name: build.name })}
									</option>
								))}
								<option value="">{t("sole-wedge-not-owned-yet")}</option>
							</select>
						</label>
						<label className="flex items-center gap-2">
							{t("sole-soles-of")}
							<input
								className="input h-12 w-20 text-right"
								inputMode="decimal"
								aria-label={t("sole-loft-degrees")}
								value={said}
								onChange={(event) => setTyped(event.target.value)}
							/>
							°
						</label>
						<span className="quiet">{t("sole-within-degree-head-bent-there")}</span>
					</div>
					<Said error={choices.error} />
					{choices.data && good && (
						<Chosen
							key={`${wedge}/${loft}`}
							session={session}
							choices={choices.data}
							loft={loft}
							wedge={wedge}
							onMade={setMade}
						/>
					)}
				</>
			)}
		</main>
	);
}

interface ChosenProps {
	session: Session;
	choices: SoleChoices;
	loft: number;
	wedge: number | null;
	onMade: (test: number) => void;
}

function Chosen({ session, choices, loft, wedge, onMade }: ChosenProps) {
	const first = choices.control === null ? undefined : choices.clubs[choices.control];
	const [chosen, setChosen] = useState(() =>
		choices.clubs.filter((_, at) => choices.chosen.includes(at)).map(keyOf),
	);
	const [control, setControl] = useState(first ? keyOf(first) : "");
	const [as, setAs] = useState<Control | null>(first?.control ?? null);
	const [repeat, setRepeat] = useState("");
	const [places, setPlaces] = useState(choices.places);
	const [short, setShort] = useState(false);
	const [double, setDouble] = useState(false);
	const queries = useQueryClient();
	const clubs = choices.clubs.filter((club) => chosen.includes(keyOf(club)));
	const indexOf = (key: string) => {
		const at = clubs.findIndex((club) => keyOf(club) === key);
		return at < 0 ? null : at;
	};
	const controlAt = indexOf(control);
	const body: Body = {
		loft_deg: loft,
		wedge,
		clubs: clubs.map(({ head, build, bend_deg }) => ({ head, build, bend_deg })),
		shaft: choices.shaft,
		control: controlAt,
		control_is: controlAt === null ? null : (as ?? "nearest"),
		repeat: indexOf(repeat),
		places: choices.lies.map((lie) => lie.key).filter((key) => places.includes(key)),
		short,
		double,
	};
	const [least, most] = VOCABULARY.sole.soles;
	const enough = clubs.length >= least && clubs.length <= most && places.length >= 2;
	const check = useSoleCheck(session, body, enough);
	const begin = useMutation({
		mutationFn: () => change.setUpSoles(session.id, body),
		onSuccess: (came) => {
			keep(queries, came);
			const made = came.soles.at(-1);
			if (made) onMade(made.id);
		},
	});
	return (
		<div className="grid gap-x-8 gap-y-5 lg:grid-cols-[1fr_20rem]">
			<div className="space-y-5">
				<Soles
					choices={choices}
					chosen={chosen}
					control={control}
					repeat={repeat}
					onTurn={(key) =>
						setChosen(chosen.includes(key) ? chosen.filter((each) => each !== key) : [...chosen, key])
					}
					onControl={(club) => {
						setControl(control === keyOf(club) ? "" : keyOf(club));
						setAs(club.control ?? "nearest");
					}}
					onRepeat={(key) => setRepeat(repeat === key ? "" : key)}
				/>
				{controlAt !== null && (
					<label className="flex flex-wrap items-center gap-2">
						{t("sole-the-control-is")}
						<select
							className="select h-11 w-80"
							aria-label={t("sole-what-control-stands-for")}
							value={as ?? "nearest"}
							onChange={(event) => setAs(event.target.value as Control)}
						>
							{Object.entries(VOCABULARY.sole.controls).map(([key, words]) => (
								<option key={key} value={key}>
									{words}
								</option>
							))}
						</select>
					</label>
				)}
				<Lies
					choices={choices}
					places={places}
					onTurn={(key) =>
						setPlaces(places.includes(key) ? places.filter((each) => each !== key) : [...places, key])
					}
				/>
			</div>
			<aside className="space-y-4">
				<Ways
					label={t("label-how-long")}
					ways={[
						[!short, t("sole-whole-test"), () => setShort(false)],
						[short, t("sole-20-minutes"), () => setShort(true)],
					]}
				>
					{short
						? t("sole-short-duel", {
								list: choices.lies
									.filter((lie) => places.includes(lie.key))
									.slice(0, 3)
									.map((lie) => lie.name)
									.join(", "),
							})
						: t("sole-all-ticked-lies-duel-four")}
				</Ways>
				<Ways
					label={t("sole-who-blind")}
					ways={[
						[!double, t("label-the-player"), () => setDouble(false)],
						[double, t("sole-fitter-too"), () => setDouble(true)],
					]}
				>
					{double ? t("sole-only-assistants-page-tells-which") : t("sole-only-sign-can-see-which")}
				</Ways>
				{check.data && enough && !check.error && (
					<div aria-live="polite">
						<p className="text-xl font-semibold">
							<Worded
								id="sole-about-minutes-handings"
								drawn={{
									minutes: <Num>{check.data.minutes}</Num>,
									handings: <Num>{check.data.handings}</Num>,
								}}
							/>
						</p>
						<ul className="mt-1 space-y-1 text-[15px]">
							{check.data.warnings.map((words) => (
								<li key={words} className="border-l-4 py-0.5 pl-3" style={{ borderColor: "var(--hole)" }}>
									{words}
								</li>
							))}
						</ul>
					</div>
				)}
				{clubs.some((club) => club.bend_deg) && <BendCaution />}
				{!enough && (
					<p className="hole-text font-semibold">
						{clubs.length < least
							? t("sole-two-soles-least-borrow-one")
							: clubs.length > most
								? t("sole-five-soles-most-player-tires")
								: t("sole-two-lies-least-wedge-tried")}
					</p>
				)}
				<Said error={begin.error ?? (enough ? check.error : null)} />
				<button
					type="button"
					className="btn btn-primary h-14 w-full text-lg"
					disabled={!enough || begin.isPending || isClosed(session)}
					onClick={() => begin.mutate()}
				>
					{t("sole-draw-codes")}
				</button>
			</aside>
		</div>
	);
}

/** The codes are drawn: now they go onto the shafts. */
function Taping({ session, test }: { session: Session; test: Session["soles"][number] }) {
	const go = useNavigate();
	const [page, setPage] = useState(false);
	const link = useMutation({ mutationFn: () => codeLink(test.id) });
	return (
		<section className="max-w-3xl space-y-4 text-[17px]" aria-label={t("sole-taping")}>
			<h2 className="text-2xl font-semibold">{t("sole-tape-shafts")}</h2>
			<p>{t("sole-word-tape-each-shaft-marks-2")}</p>
			{test.blind === "double" ? (
				<button type="button" className="btn btn-primary h-14 text-lg" onClick={() => setPage(true)}>
					{t("sole-code-for-assistants-page")}
				</button>
			) : link.data ? (
				<TapeList lines={link.data.lines} />
			) : (
				<button type="button" className="btn btn-primary h-14 text-lg" onClick={() => link.mutate()}>
					{t("sole-show-which-which-player-does")}
				</button>
			)}
			<Said error={link.error} />
			<button
				type="button"
				className={`btn h-14 text-lg ${link.data ? "btn-primary" : "border-base-300 bg-base-100"}`}
				onClick={() => go(`/sessions/${session.id}/bay`)}
			>
				{t("sole-taped-bay")}
			</button>
			{page && <HandOutSheet test={test} onClose={() => setPage(false)} />}
		</section>
	);
}
