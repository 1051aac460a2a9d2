/** The interview; it writes the first targets while it is filled in. */

import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { type UseFormReturn, useForm, useWatch } from "react-hook-form";
import { Link } from "react-router";
import { Problem, type Session } from "../../api/client";
import { held } from "../../api/held";
import { keepTyping, typedOf, useLine } from "../../api/outbox";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { PlaceProps } from "../../session/place";
import { Said } from "../../ui/Said";
import { Clash } from "./Clash";
import { Courses } from "./Courses";
import { bodyOf, type Fields, fieldsOf, NAMES, type Name } from "./fields";
import { Jobs } from "./Jobs";
import { Player, Seldom } from "./Player";
import { Targets } from "./Targets";
import { EndPick, Wedges } from "./Wedges";
import { WishBar } from "./WishBar";

const SAVE_AFTER_MS = 500;
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
const withBrief = (session: Session, brief: Record<string, unknown>): Session => ({
	...session,
	brief: { ...session.brief, ...brief },
});

/** One field, or several, put into the form as the server has them. */
function put(form: UseFormReturn<Fields>, session: Session, names: readonly Name[]) {
	const fields = fieldsOf(session);
	for (const name of names) form.setValue(NAMES[name], fields[NAMES[name]]);
}

/**
 * Only the fields that changed are sent, with what stood there when they were changed. Every key is kept in this
 * browser at once; what someone else writes meanwhile in a field that is not being changed appears in it.
 */
function useTyping(session: Session, form: UseFormReturn<Fields>, draft: string) {
	// What the form was filled from, field by field.
	const base = useRef<Session | null>(null);
	base.current ??= withBrief(session, typedOf(draft).was);
	const queries = useQueryClient();
	const watched = useWatch({ control: form.control });
	const path = `/api/sessions/${session.id}/brief`;

	/** What the server has now is what the form is held against; what is news in it is shown. */
	const follow = (newest: Session) => {
		const from = base.current;
		if (!from || newest.revision <= from.revision) return;
		const typed = typedOf(draft).now;
		const [mine, theirs] = [bodyOf(form.getValues()), bodyOf(fieldsOf(from))];
		const free = (Object.keys(NAMES) as Name[]).filter((name) => !(name in typed));
		const news = free.filter((name) => !same(from.brief[name], newest.brief[name]));
		const told = Object.fromEntries(news.map((name) => [name, newest.brief[name]]));
		base.current = { ...withBrief(from, told), revision: newest.revision };
		// A field that reads as it was sent is left alone: someone may be in the middle of it.
		const shown = bodyOf(fieldsOf(newest));
		put(
			form,
			newest,
			news.filter((name) => same(mine[name], theirs[name]) && !same(mine[name], shown[name])),
		);
	};

	// biome-ignore lint/correctness/useExhaustiveDependencies: every watched change is looked at
	useEffect(() => {
		follow(held(queries, session.id) ?? session);
		const from = base.current;
		if (!from || isClosed(session)) return;
		const [mine, theirs] = [bodyOf(form.getValues()), bodyOf(fieldsOf(from))];
		const changed = (Object.keys(NAMES) as Name[]).filter((name) => !same(mine[name], theirs[name]));
		const now = Object.fromEntries(changed.map((name) => [name, mine[name]]));
		const before = typedOf(draft);
		if (same(before.now, now)) return;
		const was = Object.fromEntries(changed.map((name) => [name, before.was[name] ?? from.brief[name]]));
		keepTyping(draft, path, { now, was }, SAVE_AFTER_MS);
	}, [watched]);

	// biome-ignore lint/correctness/useExhaustiveDependencies: what the server has is news by its revision
	useEffect(() => follow(session), [session.revision]);
	return base;
}

export function Brief({ session, act, busy }: PlaceProps) {
	const draft = `brief:${session.id}`;
	const line = useLine();
	const found = typedOf(draft);
	const form = useForm<Fields>({ defaultValues: fieldsOf(withBrief(session, found.now)) });
	const base = useTyping(session, form, draft);
	const agreed = isClosed(session);
	const wedgesFirst = useWatch({ control: form.control, name: "end" }) === "short";
	const { refused } = found;
	const fault = refused?.field ?? "";
	/** Settle a field that two wrote in: by mine from what stands there now, or by theirs. */
	const settle = (name: Name, mine: boolean) => {
		const stands = refused?.theirs?.[name];
		base.current = withBrief(base.current ?? session, { [name]: stands });
		const typed = typedOf(draft);
		const { [name]: _mine, ...others } = typed.now;
		const { [name]: _old, ...before } = typed.was;
		const path = `/api/sessions/${session.id}/brief`;
		if (mine) keepTyping(draft, path, { now: typed.now, was: { ...typed.was, [name]: stands } }, 0);
		else {
			keepTyping(draft, path, { now: others, was: before }, 0);
			put(form, base.current, [name]);
		}
	};
	return (
		<div className="grid min-h-full lg:grid-cols-[1fr_22rem]">
			<fieldset disabled={agreed} className="min-w-0 space-y-7 p-6">
				{refused?.theirs && <Clash theirs={refused.theirs} mine={found.now} onSettle={settle} />}
				<EndPick form={form} />
				<WishBar session={session} act={act} busy={busy} />
				<Courses form={form} />
				{wedgesFirst && <Wedges form={form} session={session} act={act} />}
				<Jobs
					form={form}
					common={session.brief.common}
					longest={session.brief.longest}
					fault={fault}
					closed={agreed}
				/>
				{!wedgesFirst && <Wedges form={form} session={session} act={act} />}
				<Player form={form} />
				<Seldom form={form} session={session} act={act} />
				<div className="flex min-h-6 items-center gap-3">
					{refused && !refused.theirs && <Said error={new Problem(refused.title, 400, refused.field)} />}
					{!refused && (
						<span className="quiet text-sm">
							{agreed
								? t("brief-agreed")
								: line.lost || !found.sent
									? t("brief-kept-here-its-way")
									: t("brief-saved-as-you-go")}
						</span>
					)}
				</div>
			</fieldset>
			<aside className="border-l border-base-300 bg-base-100 p-5">
				<Targets session={session} act={act} busy={busy} />
				{!session.bag.in_work && session.bag.wanted.wish === "gap" && (
					<p className="mt-3">
						<Link className="btn h-11 w-full" to={`/sessions/${session.id}/bag`}>
							{t("brief-bag-bring-baseline")}
						</Link>
					</p>
				)}
			</aside>
		</div>
	);
}
