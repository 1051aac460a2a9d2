/** Pages that open with a code and no sign-in: the assistant's of a sole test, and the player's notes of the course. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useEffect, useState } from "react";
import { type CourseView, client, got, type HandOut, Problem } from "../../api/client";
import { type Note, NoteForm, Notes } from "../../protocols/sole/CourseNotes";
import { Said } from "../../ui/Said";
import { type Metres, yd } from "../../ui/units";
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

function useLivePage(kind: "hand-out" | "course", code: string, known: boolean) {
	const queries = useQueryClient();
	const [lost, setLost] = useState(false);
	useEffect(() => {
		if (!known || kind === "course") return;
		const source = new EventSource(`/api/hand-out/${code}/stream`);
		source.addEventListener("changed", () => {
			setLost(false);
			void queries.invalidateQueries({ queryKey: [kind, code] });
		});
		source.onerror = () => {
			setLost(true);
			if (source.readyState === EventSource.CLOSED)
				void queries.invalidateQueries({ queryKey: [kind, code] });
		};
		return () => source.close();
	}, [kind, code, known, queries]);
	return lost;
}

function Opening({ lost }: { lost: boolean }): ReactNode {
	return (
		<Frame lost={lost}>
			<p className="quiet m-auto text-3xl">Opening</p>
		</Frame>
	);
}

function HandOutPage({ code, onOther }: PageProps) {
	const queries = useQueryClient();
	const page = useQuery({
		queryKey: ["hand-out", code],
		queryFn: () => got(client.GET("/api/hand-out/{code}", at(code))),
	});
	const lost = useLivePage("hand-out", code, page.isSuccess);
	const tape = useMutation({
		mutationFn: (line: HandOut["lines"][number]) =>
			got(client.PUT("/api/hand-out/{code}", { ...at(code), body: { code: line.code, taped: !line.taped } })),
		onSuccess: (came) => queries.setQueryData(["hand-out", code], came),
	});
	if (page.error instanceof Problem && page.error.status >= 400)
		return <Enter onCode={onOther} why={page.error.title} />;
	if (!page.data) return <Opening lost={lost || page.isError} />;
	const { next, place, following, lines } = page.data;
	const word = (at: number) => lines.find((line) => line.code === at)?.word ?? "";
	return (
		<Frame lost={lost}>
			<div className="grid flex-1 content-start gap-x-12 gap-y-6 p-5 md:grid-cols-[1fr_26rem]">
				<section aria-label="Hand out next">
					{next && place ? (
						<>
							<p className="quiet text-2xl">{next.duel ? "Duel: hand" : "Hand"}</p>
							<h1 className="text-[5.5rem] leading-none font-semibold tracking-tight" data-testid="hand">
								{word(next.code)}
							</h1>
							<p className="mt-4 text-2xl">
								{place.name}, <span className="num">{yd(place.target_m as Metres)}</span> yd. {place.told}
							</p>
							<p className="mt-2 text-xl">
								<span className="num">{page.data.shots}</span> shots. Wiped, sole down, unseen.
							</p>
							{following && <p className="quiet mt-6 text-xl">Then {word(following.code)}.</p>}
						</>
					) : (
						<p className="text-4xl font-semibold">All is handed. The player guesses, then it is revealed.</p>
					)}
				</section>
				<section aria-label="Which code is which club">
					<h2 className="mb-2 text-xl">Tape on the shafts, {page.data.customer}</h2>
					<p className="quiet mb-2">
						Marks on the back covered, nothing on sole or face. Show nobody this page.
					</p>
					<ul>
						{lines.map((line) => (
							<li key={line.code}>
								<button
									type="button"
									aria-pressed={line.taped}
									className="flex min-h-16 w-full cursor-pointer items-center gap-4 border-t border-base-300 py-2 text-left"
									onClick={() => tape.mutate(line)}
								>
									<span className="w-28 text-2xl font-semibold sm:w-36">{line.word}</span>
									<span className="flex-1">
										<span className="block text-lg leading-tight">{line.club}</span>
										<span className="quiet text-sm">{line.detail}</span>
									</span>
									<span className="w-16 text-right">
										{line.taped ? "✓ on" : <span className="quiet">tape</span>}
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
	const queries = useQueryClient();
	const page = useQuery({
		queryKey: ["course", code],
		queryFn: () => got(client.GET("/api/course/{code}", at(code))),
	});
	const say = useMutation({
		networkMode: "always",
		retry: (_tries, why) => !(why instanceof Problem && why.status >= 400),
		retryDelay: 2000,
		mutationFn: (note: Note) => got(client.POST("/api/course/{code}", { ...at(code), body: note })),
		onSuccess: (came: CourseView) => queries.setQueryData(["course", code], came),
	});
	if (page.error instanceof Problem && page.error.status >= 400)
		return <Enter onCode={onOther} why={page.error.title} />;
	if (!page.data) return <Opening lost={page.isError} />;
	const { codes, places, notes, since } = page.data;
	return (
		<Frame lost={say.isPending && say.failureCount > 0}>
			<div className="mx-auto w-full max-w-3xl space-y-5 p-5">
				<h1 className="text-3xl font-semibold">How did they play?</h1>
				<NoteForm large codes={codes} places={places} since={since} onNote={say.mutate} />
				<Said error={say.error} />
				<Notes
					notes={notes}
					name={(at) => codes.find((each) => each.code === at)?.name ?? ""}
					place={(key) => places.find((each) => each.key === key)?.name.toLowerCase() ?? key}
				/>
			</div>
		</Frame>
	);
}
