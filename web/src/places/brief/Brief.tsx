/** The interview; it writes the first targets while it is filled in. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { type UseFormReturn, useForm, useWatch } from "react-hook-form";
import { Link } from "react-router";
import { Problem, type Session } from "../../api/client";
import { change, sessionKey } from "../../api/session";
import type { PlaceProps } from "../../session/place";
import { Said } from "../../ui/Said";
import { bodyOf, type Fields, fieldsOf } from "./fields";
import { Jobs } from "./Jobs";
import { Courses, Player } from "./Player";
import { Targets } from "./Targets";

const SAVE_AFTER_MS = 500;

/** Save the form a moment after the last change, and at once when the place is left. */
function useSaving(session: Session, form: UseFormReturn<Fields>) {
	const queries = useQueryClient();
	const save = useMutation({
		mutationFn: (fields: Fields) => change.brief(session.id, bodyOf(fields)),
		onSuccess: (answer) => {
			queries.setQueryData(sessionKey(session.id), answer);
			void queries.invalidateQueries({ queryKey: ["sessions"] });
		},
	});
	const watched = useWatch({ control: form.control });
	const last = useRef(JSON.stringify(bodyOf(form.getValues())));
	const mutate = save.mutate;
	// biome-ignore lint/correctness/useExhaustiveDependencies: every watched change starts the wait anew
	useEffect(() => {
		const send = () => {
			const fields = form.getValues();
			const now = JSON.stringify(bodyOf(fields));
			if (now === last.current) return;
			last.current = now;
			mutate(fields);
		};
		const timer = setTimeout(send, SAVE_AFTER_MS);
		return () => clearTimeout(timer);
	}, [watched]);
	useEffect(
		() => () => {
			const fields = form.getValues();
			if (JSON.stringify(bodyOf(fields)) !== last.current) mutate(fields);
		},
		[form, mutate],
	);
	return save;
}

export function Brief({ session, act, busy }: PlaceProps) {
	const form = useForm<Fields>({ defaultValues: fieldsOf(session) });
	const save = useSaving(session, form);
	const agreed = session.status === "agreed";
	const fault = save.error instanceof Problem ? (save.error.field ?? "") : "";
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_22rem]">
			<fieldset disabled={agreed} className="min-w-0 space-y-7 p-6">
				<Jobs form={form} common={session.brief.common} fault={fault} />
				<Courses form={form} />
				<Player form={form} session={session} act={act} />
				<div className="flex min-h-6 items-center gap-3">
					<Said error={save.error} />
					{!save.error && (
						<span className="quiet text-sm">
							{agreed
								? "Agreed."
								: save.isPending
									? "Saving."
									: session.brief.done
										? "Saved."
										: "Saved as you go."}
						</span>
					)}
				</div>
			</fieldset>
			<aside className="border-l border-base-300 bg-base-100 p-5">
				<Targets session={session} act={act} busy={busy} />
				{!session.bag.in_work && (
					<p className="mt-3">
						<Link className="btn h-11 w-full" to={`/sessions/${session.id}/bag`}>
							Bag: bring in the baseline
						</Link>
					</p>
				)}
			</aside>
		</div>
	);
}
