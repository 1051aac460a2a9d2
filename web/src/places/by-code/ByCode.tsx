/** Pages that open with a code and no sign-in: the assistant's of a sole test, and the player's notes of the course. */
import "../../said/rest";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useEffect, useState } from "react";
import { useLostLine } from "../../api/byCode";
import { client, got, Problem } from "../../api/client";
import { openOutbox, signedInAs, useLine, useWaiting } from "../../api/outbox";
import { RefusedLate } from "../../app/SavedLine";
import { type Note, NoteForm, Notes } from "../../protocols/sole/CourseNotes";
import { Num, Worded } from "../../said/Worded";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";
import { asFar, type Metres, unit } from "../../ui/units";
import { Enter, Frame } from "../player/Player";

const at = (code: string) => ({ params: { path: { code } } });

export default function ByCode() {
	const [, kind = ""] = window.location.pathname.split("/");
	const [code, setCode] = useState(() => window.location.pathname.split("/")[2]?.toUpperCase() ?? "");
	const open = (wanted: string) => {
		window.history.replaceState(null, "", `/${kind}/${wanted}`);
		setCode(wanted);
	};
	if (!code) return <Enter onCode={open} />;
	return kind === "course" ? (
		<Course code={code} onOther={open} />
	) : (
		<HandOutPage code={code} onOther={open} />
	);
}

interface PageProps {
	code: string;
	onOther: (code: string) => void;
}

/** What is written here waits on this device until the server has it, after a reload too, and is sent by this code
 * alone. */
function useKept(kind: "hand-out" | "course", code: string) {
	const queries = useQueryClient();
	useEffect(() => {
		void openOutbox({
			heard: (answer, entry) => {
				if (entry.path === `/api/${kind}/${code}`) queries.setQueryData([kind, code], answer);
			},
			signedOut: () => undefined,
		});
		signedInAs(`${kind}/${code}`);
	}, [kind, code, queries]);
}

function Opening({ lost }: { lost: boolean }): ReactNode {
	return (
		<Frame lost={lost}>
			<p className="quiet m-auto text-3xl">{t("label-opening")}</p>
		</Frame>
	);
}

type Taped = { code: number; taped: boolean };

function HandOutPage({ code, onOther }: PageProps) {
	const page = useQuery({
		queryKey: ["hand-out", code],
		queryFn: () => got(client.GET("/api/hand-out/{code}", at(code))),
	});
	useKept("hand-out", code);
	const lost = useLostLine("hand-out", code, page.data !== undefined);
	const waiting = useWaiting<Taped>(`/api/hand-out/${code}`);
	const tape = useMutation({
		networkMode: "always",
		mutationFn: (body: Taped) => got(client.PUT("/api/hand-out/{code}", { ...at(code), body })),
	});
	if (page.error instanceof Problem && page.error.status >= 400)
		return <Enter onCode={onOther} why={page.error.title} />;
	if (!page.data) return <Opening lost={lost || page.isError} />;
	const { next, place, following } = page.data;
	const lines = page.data.lines.map((line) => ({
		...line,
		taped: waiting.findLast((each) => each.code === line.code)?.taped ?? line.taped,
	}));
	const word = (at: number) => lines.find((line) => line.code === at)?.word ?? "";
	return (
		<Frame lost={lost}>
			<div className="grid flex-1 content-start gap-x-12 gap-y-6 p-5 md:grid-cols-[1fr_26rem]">
				<section aria-label={t("by-code-hand-out-next")}>
					{lost ? (
						<>
							<h1 className="text-4xl font-semibold">{t("by-code-hand-word-fitter-calls")}</h1>
							<p className="mt-4 text-2xl">{t("by-code-what-comes-next-fitters-screen")}</p>
							<p className="mt-2 text-xl">{t("by-code-wiped-sole-down-unseen")}</p>
						</>
					) : next && place ? (
						<>
							<p className="quiet text-2xl">{next.duel ? t("by-code-duel-hand") : t("label-hand")}</p>
							<h1 className="text-[5.5rem] leading-none font-semibold tracking-tight" data-testid="hand">
								{word(next.code)}
							</h1>
							<p className="mt-4 text-2xl">
								{place.name}, <span className="num">{asFar(place.target_m as Metres)}</span> {unit("far")}.{" "}
								{place.told}
							</p>
							<p className="mt-2 text-xl">
								<Worded
									id="by-code-shots-wiped-sole-down-unseen"
									drawn={{ shots: <Num>{page.data.shots}</Num> }}
								/>
							</p>
							{following && (
								<p className="quiet mt-6 text-xl">{t("by-code-then", { code: word(following.code) })}</p>
							)}
						</>
					) : (
						<p className="text-4xl font-semibold">{t("by-code-all-handed-player-guesses-then")}</p>
					)}
				</section>
				<section aria-label={t("label-which-code-which-club")}>
					<h2 className="mb-2 text-xl">{t("by-code-tape-shafts", { customer: page.data.customer })}</h2>
					<p className="quiet mb-2">{t("by-code-marks-back-covered-nothing-sole")}</p>
					<ul>
						{lines.map((line) => (
							<li key={line.code}>
								<button
									type="button"
									aria-pressed={line.taped}
									className="flex min-h-16 w-full cursor-pointer items-center gap-4 border-t border-base-300 py-2 text-left"
									onClick={() => tape.mutate({ code: line.code, taped: !line.taped })}
								>
									<span className="w-28 text-2xl font-semibold sm:w-36">{line.word}</span>
									<span className="flex-1">
										<span className="block text-lg leading-tight">{line.club}</span>
										<span className="quiet text-sm">{line.detail}</span>
									</span>
									<span className="w-16 text-right">
										{line.taped ? t("by-code-on") : <span className="quiet">{t("by-code-tape")}</span>}
									</span>
								</button>
							</li>
						))}
					</ul>
					<Said error={tape.error} />
				</section>
			</div>
		</Frame>
	);
}

function Course({ code, onOther }: PageProps) {
	const page = useQuery({
		queryKey: ["course", code],
		queryFn: () => got(client.GET("/api/course/{code}", at(code))),
	});
	useKept("course", code);
	const line = useLine();
	const waiting = useWaiting<Required<Note>>(`/api/course/${code}`);
	const say = useMutation({
		networkMode: "always",
		mutationFn: (note: Note) => got(client.POST("/api/course/{code}", { ...at(code), body: note })),
		onError: () => page.refetch(), // it may be decided by now
	});
	if (page.error instanceof Problem && page.error.status >= 400) {
		const late = line.refused.map((each) => (each.body as Note).word);
		const untold = [...late, say.error && say.variables.word].filter(Boolean);
		const words =
			untold.length > 0 ? ` ${t("by-code-tell-fitter-yourself", { list: untold.join("; ") })}` : "";
		return <Enter onCode={onOther} why={`${page.error.title}${words}`} />;
	}
	if (!page.data) return <Opening lost={page.isError} />;
	const { codes, places, notes, since } = page.data;
	return (
		<Frame lost={page.isError || line.lost}>
			<RefusedLate />
			<div className="mx-auto w-full max-w-3xl space-y-5 p-5">
				<h1 className="text-3xl font-semibold">{t("by-code-how-did-they-play")}</h1>
				<NoteForm large codes={codes} places={places} since={since} onNote={say.mutate} />
				<Said error={say.error} />
				{say.error && (
					<p className="text-lg">
						{t("by-code-not-written-down", { word: say.variables.word || t("by-code-picked-up-first") })}
					</p>
				)}
				{waiting.length > 0 && (
					<p role="status" className="text-lg font-semibold">
						{t("by-code-1-note-waits-device-for", { waiting: waiting.length })}
					</p>
				)}
				<Notes
					notes={[...notes, ...waiting.map((each) => ({ ...each, by_player: true }))]}
					name={(at) => codes.find((each) => each.code === at)?.name ?? ""}
					place={(key) => places.find((each) => each.key === key)?.name.toLowerCase() ?? key}
				/>
			</div>
		</Frame>
	);
}
