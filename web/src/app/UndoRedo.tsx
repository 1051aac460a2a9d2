/** What was done last, in whichever place: taken back and done again, by name, by key or touch. */
import { Redo2, Undo2 } from "lucide-react";
import { change } from "../acts";
import type { Session } from "../api/client";
import { useActs } from "../api/session";
import { useCommands } from "../commands/commands";
import { t } from "../said/words";
import { isClosed } from "../session/closed";
import type { PlaceProps } from "../session/place";

export function UndoRedo({ session, act, busy }: { session: Session } & Pick<PlaceProps, "act" | "busy">) {
	const told = useActs(session);
	const acts = told.data;
	const closed = isClosed(session);
	// What was just done is not in it yet: then the server is asked, and says so where there is nothing.
	const known = acts !== undefined && !told.isPlaceholderData && !told.isFetching && !busy;
	const why = (what: string | undefined, none: string) =>
		closed ? t("label-session-agreed") : known && !what ? none : undefined;
	const undo = () => act(() => change.undo(session.id));
	const redo = () => act(() => change.redo(session.id));
	useCommands("acts", [
		{
			id: "undo",
			name: t("label-undo"),
			keys: "z",
			shown: "Z",
			group: t("label-now-then"),
			blocked: why(acts?.undo, t("app-nothing-yours-undo")),
			run: undo,
		},
		{
			id: "redo",
			name: t("app-redo"),
			keys: "shift+z",
			shown: "⇧Z",
			group: t("label-now-then"),
			blocked: why(acts?.redo, t("app-nothing-yours-do-again")),
			run: redo,
		},
	]);
	if (closed) return null;
	const button = "flex min-h-11 min-w-11 items-center justify-center gap-1.5 px-1.5 disabled:opacity-35";
	return (
		<div className="flex shrink-0 items-center" role="group" aria-label={t("app-take-back-do-again")}>
			<button
				type="button"
				className={button}
				disabled={!acts?.undo}
				aria-label={acts?.undo ? t("app-z-takes-back", { undo: acts.undo }) : t("app-nothing-take-back")}
				title={acts?.undo ? t("app-z-takes-back", { undo: acts.undo }) : undefined}
				onClick={undo}
			>
				<Undo2 size={19} aria-hidden />
				<span className="quiet hidden max-w-32 truncate text-[13px] xl:inline">{acts?.undo}</span>
			</button>
			<button
				type="button"
				className={button}
				disabled={!acts?.redo}
				aria-label={acts?.redo ? t("app-z-does-again", { redo: acts.redo }) : t("app-nothing-do-again")}
				title={acts?.redo ? t("app-z-does-again", { redo: acts.redo }) : undefined}
				onClick={redo}
			>
				<Redo2 size={19} aria-hidden />
			</button>
		</div>
	);
}
