/** What came of the sole tests: what was liked, what was measured and how the turf was met, side by side. */

import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { change } from "../../acts";
import type { Session, SoleTest } from "../../api/client";
import { keep } from "../../api/session";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { Act } from "../../session/place";
import { Said } from "../../ui/Said";
import { asFar, figure, type Metres, reading, toFar, unit } from "../../ui/units";
import type { ResultProps } from "../panels";
import { CourseNotes } from "./CourseNotes";
import { nameOfCode, placeOf } from "./coming";

type Code = SoleTest["codes"][number];

export function SoleBench({ session, act }: Pick<ResultProps, "session" | "act">) {
	const shown = session.soles.filter((test) => test.handings.length > 0);
	if (shown.length === 0) return null;
	return (
		<section className="mt-5" aria-label={t("sole-sole-tests")}>
			{shown.map((test) => (
				<OneTest key={test.id} session={session} act={act} test={test} />
			))}
		</section>
	);
}

const title = (session: Session, test: SoleTest) => {
	const about = session.builds.find((build) => build.id === test.wedge);
	const of = about ? t("sole-for-own", { name: about.name }) : "";
	return test.blind === "open"
		? t("sole-sole-other-lofts-2", { name: placeOf(test, test.places[0]?.key ?? "")?.name.toLowerCase() })
		: t("sole-blind-sole-test-2", { loft: figure(test.loft_deg), of });
};

function OneTest({ session, act, test }: { session: Session; act: Act; test: SoleTest }) {
	const { result } = test;
	const [figures, setFigures] = useState(false);
	const ranked = result.order.map((code) => test.codes[code] as Code);
	const rest = test.codes.filter(
		(each) => !result.order.includes(each.code) && (each.club?.same_as ?? null) === null,
	);
	const agreed = isClosed(session);
	return (
		<article className="mb-6" aria-label={title(session, test)}>
			<h3 className="mb-1">{title(session, test)}</h3>
			<p className="text-lg font-semibold" data-testid="sole-result">
				{result.named !== null && <span aria-hidden="true">✓ </span>}
				{result.loft_needed || result.sentences.join(" ")}
			</p>
			{!test.revealed && (
				<p className="quiet">
					{test.on ? t("sole-still-blind-by-code-until") : t("sole-given-up-which-code-which")}
				</p>
			)}
			<table className="mt-2 w-full text-left text-[15px]">
				<thead className="quiet text-sm">
					<tr>
						<th className="w-12 py-1 font-normal">{t("sole-liked")}</th>
						<th className="font-normal">{test.revealed ? t("label-club") : t("sole-code")}</th>
						<th className="pl-4 font-normal">{t("sole-met-turf-badly")}</th>
						<th className="pl-4 font-normal">{t("sole-carries-scatter", { unit: unit("far") })}</th>
						<th className="pl-4 font-normal">{t("label-spin")}</th>
						{test.revealed && test.blind !== "open" && (
							<th className="pl-4 font-normal">{t("sole-chosen")}</th>
						)}
					</tr>
				</thead>
				<tbody>
					{[...ranked, ...rest].map((code, at) => (
						<tr key={code.code} className="border-t border-base-300">
							<td className="num py-2 text-xl">{at < ranked.length ? placeIn(result.placed, at) : ""}</td>
							<td>
								<ClubOf code={code} test={test} />
							</td>
							<td className={`pl-4 ${code.bad.length ? "hole-text font-semibold" : "quiet"}`}>
								{code.bad.map((key) => placeOf(test, key)?.name.toLowerCase()).join(", ") || "–"}
							</td>
							<td className="pl-4">
								<Scatter code={code} />
							</td>
							<td className={`pl-4 ${code.under.length ? "hole-text font-semibold" : "quiet"}`}>
								{code.under.length
									? t("sole-under-floor", {
											list: code.under.map((key) => placeOf(test, key)?.name.toLowerCase()).join(", "),
										})
									: code.cells.some((cell) => cell.spin_rpm !== null)
										? t("sole-over-floor")
										: t("label-not-read")}
							</td>
							{test.revealed && test.blind !== "open" && (
								<td className="py-0.5 pl-4">
									<button
										type="button"
										aria-pressed={test.chosen === code.code}
										className={`btn h-11 ${test.chosen === code.code ? "btn-primary" : "border-base-300 bg-base-100"}`}
										disabled={agreed}
										onClick={() => act(() => change.chooseSole(test.id, code.code))}
									>
										{test.chosen === code.code ? t("sole-chosen-2") : t("sole-choose")}
									</button>
								</td>
							)}
						</tr>
					))}
				</tbody>
			</table>
			<ul className="mt-2 space-y-0.5 text-[15px]">
				{[
					result.at_odds,
					...result.measured,
					test.blind === "open" ? "" : result.deciding,
					result.repeats,
					result.blindness,
					result.belief,
					...test.warnings,
				]
					.filter(Boolean)
					.map((sentence) => (
						<li key={sentence} className={sentence === result.at_odds ? "font-semibold" : ""}>
							{sentence}
						</li>
					))}
			</ul>
			<div className="mt-2 flex flex-wrap items-center gap-2">
				{test.codes.some((code) => code.cells.length > 0) && (
					<button
						type="button"
						className="btn h-11"
						aria-expanded={figures}
						onClick={() => setFigures(!figures)}
					>
						{t("sole-figures-lie-by-lie")}
					</button>
				)}
				{test.chosen !== null && !agreed && (
					<TryLofts session={session.id} test={test} busy={session.soles.some((each) => each.on)} />
				)}
			</div>
			{figures && <Figures test={test} />}
			{test.blind !== "open" && (test.revealed || test.on) && (
				<CourseNotes session={session} act={act} test={test} />
			)}
		</article>
	);
}

/** Where two are not told apart they share a place. */
const placeIn = (placed: number[], at: number) =>
	`${placed[at]}${placed.filter((each) => each === placed[at]).length > 1 ? "=" : ""}`;

/** Whoever was dropped ranks as far as it was tried. */
const outAfter = ({ dropped }: Code, twin: Code | undefined) =>
	dropped === null || twin?.dropped === null
		? ""
		: t("sole-out-after-lies", { dropped: Math.max(dropped, twin?.dropped ?? 0) });

function ClubOf({ code, test }: { code: Code; test: SoleTest }) {
	const { club } = code;
	if (!club)
		return (
			<>
				<span className="text-lg font-semibold">{code.word}</span>{" "}
				<span className="quiet">{outAfter(code, undefined)}</span>
			</>
		);
	const twin = test.codes.find((each) => each.club?.same_as === code.code);
	return (
		<>
			<span className="text-lg font-semibold">{club.name}</span>{" "}
			<span className="quiet">
				{[
					club.sole && t("sole-sole", { sole: club.sole }),
					club.bounce_deg === null ? "" : t("sole-bounce", { bounce: figure(club.bounce_deg) }),
					test.blind === "open"
						? ""
						: t("sole-was", { list: [code.word, twin?.word].filter(Boolean).join(" and ") }),
					club.control ? t("sole-the-control") : "",
					outAfter(code, twin),
				]
					.filter(Boolean)
					.join(", ")}
			</span>
		</>
	);
}

function Scatter({ code }: { code: Code }) {
	if (code.spread_m === null) return <span className="quiet">{t("label-not-read")}</span>;
	const yards = (value: Metres | number | null) => figure(toFar(value as Metres), 1);
	return (
		<>
			<span className="num">{yards(code.spread_m)}</span>{" "}
			<span className="quiet">
				{t("sole-to", { spreadLow: yards(code.spread_low_m), spreadHigh: yards(code.spread_high_m) })}
			</span>
		</>
	);
}

/** What else was noticed of a code at a lie, in words. */
const noticed = (test: SoleTest, place: string, code: number, what: "groove" | "sound") =>
	test.handings
		.filter((each) => each.place === place && (test.codes[each.code]?.club?.same_as ?? each.code) === code)
		.map((each) => each[what])
		.filter((said) => said !== null && said !== "")
		.join(", ");

/** Means of each code at each lie; what was not read is left blank. */
function Figures({ test }: { test: SoleTest }) {
	const blank = <span className="quiet">–</span>;
	const length = (value: number | null) => (value === null ? blank : asFar(value as Metres));
	return (
		<table className="mt-2 text-left text-[14.5px]">
			<thead className="quiet text-sm">
				<tr>
					{[
						t("label-lie"),
						"",
						t("label-shots"),
						t("label-launch"),
						t("label-spin-rpm"),
						t("label-carry", { unit: unit("far") }),
						t("label-run", { unit: unit("far") }),
						t("sole-left", { unit: unit("far") }),
						t("sole-groove"),
						t("sole-sound"),
					].map((head) => (
						<th key={head} className="pr-6 font-normal">
							{head}
						</th>
					))}
				</tr>
			</thead>
			<tbody>
				{test.places.flatMap((place) =>
					test.codes.flatMap((code) =>
						code.cells
							.filter((cell) => cell.place === place.key)
							.map((cell) => (
								<tr key={`${place.key}${code.code}`} className="border-t border-base-300">
									<td className="py-1 pr-6">{place.name}</td>
									<td className="pr-6 font-semibold">{nameOfCode(test, code.code)}</td>
									<td className="num pr-6">{cell.n}</td>
									<td className="num pr-6">{reading("launch_deg", cell.launch_deg)}</td>
									<td className="num pr-6">{reading("spin_rpm", cell.spin_rpm)}</td>
									<td className="num pr-6">{length(cell.carry_m)}</td>
									<td className="num pr-6">{length(cell.run_m)}</td>
									<td className="num pr-6">{length(cell.left_m)}</td>
									<td className="num pr-6">{noticed(test, cell.place, code.code, "groove") || blank}</td>
									<td>{noticed(test, cell.place, code.code, "sound") || blank}</td>
								</tr>
							)),
					),
				)}
			</tbody>
		</table>
	);
}

/** Is the loft needed, or the open face? The chosen sole a degree weaker and in less loft, on one shot. */
function TryLofts({ session, test, busy }: { session: number; test: SoleTest; busy: boolean }) {
	const go = useNavigate();
	const queries = useQueryClient();
	const begin = useMutation({
		mutationFn: (place: string) => change.tryLofts(test.id, place),
		onSuccess: (came) => {
			keep(queries, came);
			go(`/sessions/${session}/bay`);
		},
	});
	return (
		<>
			<label className="flex items-center gap-2 text-[15px]">
				{t("sole-loft-needed-or-open-face")}
				<select
					className="select h-11 w-52"
					aria-label={t("sole-try-chosen-sole-other-lofts")}
					value=""
					disabled={busy || begin.isPending}
					onChange={(event) => event.target.value && begin.mutate(event.target.value)}
				>
					<option value="">{busy ? t("sole-test-going") : t("sole-try-one-shot")}</option>
					{test.places.map((place) => (
						<option key={place.key} value={place.key}>
							{place.name}
						</option>
					))}
				</select>
			</label>
			<Said error={begin.error} />
		</>
	);
}
