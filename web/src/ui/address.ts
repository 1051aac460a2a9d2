/** What is open of a place, in its address: a link leads there, and Back closes it. */
import { useCallback, useEffect, useRef } from "react";
import { useLocation, useNavigate, useNavigationType } from "react-router";

const stateOf = (state: unknown): { opened?: string; left?: boolean } =>
	typeof state === "object" && state !== null ? state : {};

/**
 * The value of a name in the address, and how it is set. What was opened stands one step above the page, so that Back
 * closes it. What is closed here is closed at once, without going back: that would come later, over what was pressed
 * since. The entry it leaves is passed over (`useBackPastLeft`).
 */
export function useInAddress(name: string): [string | null, (value: string | null) => void] {
	const navigate = useNavigate();
	const { search, state, key } = useLocation();
	const value = new URLSearchParams(search).get(name);
	const set = (next: string | null) => {
		// Whoever went on to another page in the same breath is not called back.
		const now: unknown = window.history.state?.key;
		if (next === value || (now !== undefined && now !== key)) return;
		const params = new URLSearchParams(search);
		if (next === null) params.delete(name);
		else params.set(name, next);
		const { opened, left } = stateOf(state);
		// One that follows another takes its place: Back closes it.
		const above = opened === name || left === true;
		void navigate(
			{ search: params.toString() },
			next === null
				? { replace: true, state: above ? { left: true } : state }
				: { replace: above, state: { opened: name } },
		);
	};
	const latest = useRef(set);
	latest.current = set;
	return [value, useCallback((next: string | null) => latest.current(next), [])];
}

/** Back from a page of which something was closed does not stop at the same page below it. */
export function useBackPastLeft(): void {
	const navigate = useNavigate();
	const how = useNavigationType();
	const at = useLocation();
	const before = useRef(at);
	useEffect(() => {
		const from = before.current;
		before.current = at;
		const same = from.pathname === at.pathname && from.search === at.search;
		if (how === "POP" && same && from.key !== at.key && stateOf(from.state).left) void navigate(-1);
	}, [at, how, navigate]);
}

/** The same for one of several, of which the first stands where the address names none. Each is an entry of its own. */
export function usePartInAddress<Part extends string>(
	name: string,
	parts: readonly Part[],
	usual: Part,
): [Part, (part: Part) => void] {
	const navigate = useNavigate();
	const { search } = useLocation();
	const asked = new URLSearchParams(search).get(name);
	const part = parts.find((each) => each === asked) ?? usual;
	const set = (next: Part) => {
		if (next === part) return;
		const params = new URLSearchParams(search);
		params.set(name, next);
		void navigate({ search: params.toString() });
	};
	return [part, set];
}

/** Text that is written into the address while it is typed: a link has it, Back does not go through its letters. */
export function useWrittenInAddress(name: string): [string, (text: string) => void] {
	const navigate = useNavigate();
	const { search } = useLocation();
	const set = (text: string) => {
		const params = new URLSearchParams(search);
		if (text) params.set(name, text);
		else params.delete(name);
		void navigate({ search: params.toString() }, { replace: true });
	};
	return [new URLSearchParams(search).get(name) ?? "", set];
}
