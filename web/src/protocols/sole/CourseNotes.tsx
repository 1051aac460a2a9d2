/** What the course said, days later, beside the test: by the player's code, or as the fitter writes it down. */

import { useState } from "react";
import { change } from "../../acts";
import type { Session, SoleTest } from "../../api/client";
import { Num, Worded } from "../../said/Worded";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { Act } from "../../session/place";
import { useDrafted } from "../../ui/draft";
import { nameOfCode, placeOf } from "./coming";

const shortDay = (day: string) =>
	new Date(day).toLocaleDateString("en-GB", { day: "numeric", month: "short" });
export const today = () => new Date().toLocaleDateString("sv-SE");

export function Notes({
	notes,
	name,
	place,
}: {
	notes: SoleTest["notes"];
	name: (code: number) => string;
	place: (key: string) => string;
}) {
	return (
		<ul className="space-y-0.5 text-[15px]" aria-label={t("sole-notes-course")}>
			{notes.map((note) => (
				<li key={`${note.played_on}${note.code}${note.place}${note.word}${note.first}`}>
					<span className="quiet">{shortDay(note.played_on)}</span>{" "}
					<span className="font-semibold">{name(note.code)}</span>
					{note.place ? `, ${place(note.place)}` : ""}
					{note.first ? t("sole-picked-up-first-2") : ""}
					{note.ruled_out ? t("sole-ruled-out-for", { course: note.ruled_out }) : ""}
					{note.word ? `: ${note.word}` : ""}
					{note.by_player ? "" : <span className="quiet"> {t("sole-told-fitter")}</span>}
				</li>
			))}
		</ul>
	);
}

/** By either of its codes. */
const stillIn = (test: SoleTest, code: SoleTest["codes"][number]) =>
	[code, ...test.codes.filter((each) => each.club?.same_as === code.code)].some(
		(each) => each.dropped === null,
	);

export function CourseNotes({ session, act, test }: { session: Session; act: Act; test: SoleTest }) {
	const [open, setOpen] = useState(false);
	const agreed = isClosed(session);
	const left = test.codes.filter((each) => (each.club?.same_as ?? null) === null && stillIn(test, each));
	if (agreed && test.notes.length === 0) return null;
	return (
		<div className="mt-3">
			<h4 className="quiet mb-1 text-sm">{t("sole-on-the-course")}</h4>
			<Notes
				notes={test.notes}
				name={(code) => nameOfCode(test, code)}
				place={(key) => placeOf(test, key)?.name.toLowerCase() ?? key}
			/>
			{!agreed && (
				<div className="mt-1 flex flex-wrap items-center gap-2 text-[15px]">
					{test.course ? (
						<p>
							<Worded
								id="sole-player-writes-at"
								drawn={{
									address: <Num>{window.location.host}/course</Num>,
									code: (
										<span className="num text-xl tracking-wider" data-testid="course-code">
											{test.course}
										</span>
									),
								}}
							/>
						</p>
					) : (
						<button type="button" className="btn h-11" onClick={() => act(() => change.openCourse(test.id))}>
							{t("sole-code-for-players-notes")}
						</button>
					)}
					<button type="button" className="btn h-11" aria-expanded={open} onClick={() => setOpen(!open)}>
						{t("sole-write-down-what-told")}
					</button>
				</div>
			)}
			{open && !agreed && (
				<NoteForm
					codes={left.map((each) => ({ code: each.code, name: nameOfCode(test, each.code) }))}
					places={test.places}
					since={null}
					grounds={groundsOf(session)}
					onNote={(note) => {
						act(() => change.noteOfCourse(test.id, note));
						setOpen(false);
					}}
				/>
			)}
		</div>
	);
}

/** The courses of the brief, else the ground by its word. */
const groundsOf = (session: Session) => {
	const courses = session.brief.courses.map((each) => each.name);
	return courses.length > 0 ? courses : [t("sole-firm-ground"), t("sole-soft-ground")];
};

export type Note = Parameters<typeof change.noteOfCourse>[1];

export function NoteForm({
	codes,
	places,
	since,
	grounds = [],
	large = false,
	onNote,
}: {
	codes: { code: number; name: string }[];
	places: { key: string; name: string }[];
	since: string | null;
	/** What a sole may be ruled out for; nothing where the player writes. */
	grounds?: string[];
	large?: boolean;
	onNote: (note: Note) => void;
}) {
	const [code, setCode] = useState<number | null>(codes.length === 1 ? (codes[0]?.code ?? null) : null);
	const [place, setPlace] = useState("");
	const [word, setWord] = useDrafted(`course:${codes.map((each) => each.name).join()}`, "word", "");
	const [first, setFirst] = useState(false);
	const [day, setDay] = useState(today());
	const [out, setOut] = useState("");
	const tall = large ? "h-16 text-xl" : "h-12";
	return (
		<form
			className="mt-2 space-y-3"
			onSubmit={(event) => {
				event.preventDefault();
				if (code === null) return;
				onNote({ played_on: day, code, place, word: word.trim(), first, ...(out && { ruled_out: out }) });
				setOut("");
				setWord("");
				setFirst(false);
			}}
		>
			<div role="group" aria-label={t("sole-which-one")} className="flex flex-wrap gap-2">
				{codes.map((each) => (
					<button
						key={each.code}
						type="button"
						aria-pressed={code === each.code}
						className={`btn ${tall} ${code === each.code ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={() => setCode(each.code)}
					>
						{each.name}
					</button>
				))}
				<button
					type="button"
					aria-pressed={first}
					className={`btn ${tall} ${first ? "btn-primary" : "border-base-300 bg-base-100"}`}
					onClick={() => setFirst(!first)}
				>
					{t("sole-picked-up-first-3")}
				</button>
			</div>
			<div className="flex flex-wrap gap-2">
				<select
					className={`select w-48 ${tall}`}
					aria-label={t("sole-from-which-lie")}
					value={place}
					onChange={(event) => setPlace(event.target.value)}
				>
					<option value="">{t("label-any-lie")}</option>
					{places.map((each) => (
						<option key={each.key} value={each.key}>
							{each.name}
						</option>
					))}
				</select>
				{grounds.length > 0 && (
					<select
						className={`select w-56 ${tall}`}
						aria-label={t("sole-rule-out-for")}
						value={out}
						onChange={(event) => setOut(event.target.value)}
					>
						<option value="">{t("sole-rule-out-for")}</option>
						{grounds.map((each) => (
							<option key={each}>{each}</option>
						))}
					</select>
				)}
				<input
					type="date"
					className={`input w-44 ${tall}`}
					aria-label={t("sole-played-on")}
					min={since ?? undefined}
					max={today()}
					value={day}
					onChange={(event) => setDay(event.target.value)}
				/>
				<input
					className={`input min-w-56 flex-1 ${tall}`}
					aria-label={t("sole-what-did")}
					placeholder={t("sole-what-did")}
					maxLength={200}
					value={word}
					onChange={(event) => setWord(event.target.value)}
				/>
				<button
					type="submit"
					className={`btn btn-primary ${tall}`}
					disabled={code === null || (!word.trim() && !first)}
				>
					{t("sole-write-down")}
				</button>
			</div>
		</form>
	);
}
