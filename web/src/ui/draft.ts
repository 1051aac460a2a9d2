/** What is typed in a form and not saved yet: it is there again after Escape, another place or a reload, until it is
 * saved or thrown away by name. Kept in this tab alone, as it may be about a person, and gone with the sign-in. */
import { useEffect, useState, useSyncExternalStore } from "react";
import type { FieldValues, Path, PathValue, UseFormReturn } from "react-hook-form";

type Fields = Record<string, unknown>;
const STORED = "hemicycle.draft.";
const drafts = new Map<string, Fields>();
const listeners = new Set<() => void>();

function of(form: string): Fields | undefined {
	if (!drafts.has(form)) {
		try {
			const found = sessionStorage.getItem(STORED + form);
			if (found !== null) drafts.set(form, JSON.parse(found) as Fields);
		} catch {
			// Nothing is kept here: a draft lives as long as the page.
		}
	}
	return drafts.get(form);
}

function put(form: string, fields: Fields): void {
	const none = Object.keys(fields).length === 0;
	if (none) drafts.delete(form);
	else drafts.set(form, fields);
	try {
		if (none) sessionStorage.removeItem(STORED + form);
		else sessionStorage.setItem(STORED + form, JSON.stringify(fields));
	} catch {
		// Full or forbidden: it lives as long as the page.
	}
	for (const each of listeners) each();
}

const subscribe = (listener: () => void) => {
	listeners.add(listener);
	return () => void listeners.delete(listener);
};

/** It was saved, or is thrown away. */
export const dropDraft = (form: string): void => put(form, {});

/** Whoever signs out leaves nothing half typed behind. */
export function forgetDrafts(): void {
	for (const form of drafts.keys()) dropDraft(form);
	try {
		for (const key of Object.keys(sessionStorage)) if (key.startsWith(STORED)) sessionStorage.removeItem(key);
	} catch {
		// Nothing was kept.
	}
}

/** As useState, of one field of a form. start: what stands there while nothing was typed, as it is now. */
export function useDrafted<T>(
	form: string,
	field: string,
	start: T,
): [T, (next: T | ((so: T) => T)) => void] {
	const typed = useSyncExternalStore(subscribe, () => of(form)?.[field]) as T | undefined;
	const value = typed === undefined ? start : typed;
	const set = (next: T | ((so: T) => T)) => {
		const { [field]: was, ...others } = of(form) ?? {};
		const now = typeof next === "function" ? (next as (so: T) => T)((was as T | undefined) ?? start) : next;
		put(form, JSON.stringify(now) === JSON.stringify(start) ? others : { ...others, [field]: now });
	};
	return [value, set];
}

/** Whether a form stands as it was left and not saved: so it is said, with a way to begin anew. */
export function useLeft(form: string): boolean {
	const [atFirst] = useState(() => of(form) !== undefined);
	const still = useSyncExternalStore(subscribe, () => of(form) !== undefined);
	return atFirst && still;
}

/** The same for a form that keeps its own fields. It is read once, when the form is opened. */
export function useFormDraft<T extends FieldValues>(form: UseFormReturn<T>, name: string): void {
	useEffect(() => {
		for (const [field, value] of Object.entries(of(name) ?? {}))
			form.setValue(field as Path<T>, value as PathValue<T, Path<T>>, { shouldDirty: true });
		const watching = form.watch((values) => {
			const start = form.formState.defaultValues as Fields | undefined;
			const typed = Object.entries(values).filter(
				([field, value]) => JSON.stringify(value) !== JSON.stringify(start?.[field]),
			);
			put(name, Object.fromEntries(typed));
		});
		return () => watching.unsubscribe();
	}, [form, name]);
}
