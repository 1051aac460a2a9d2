/** What is open of a place, in its address: a link leads there, and Back closes it. */
import { useCallback, useEffect, useRef } from "react";
import { useLocation, useNavigate } from "react-router";

/** The value of a name in the address, and how it is set. What was opened here is closed by going back. */
export function useInAddress(name: string): [string | null, (value: string | null) => void] {
	const navigate = useNavigate();
	const { search, state, key } = useLocation();
	const value = new URLSearchParams(search).get(name);
	const leaving = useRef(false);
	// biome-ignore lint/correctness/useExhaustiveDependencies: another address is what it waits for
	useEffect(() => {
		leaving.current = false;
	}, [search]);
	const set = (next: string | null) => {
		if (next === value || leaving.current) return;
		if (next === null && opened(state, name)) {
			leaving.current = true;
			// Whoever goes on to another page in the same breath is not called back.
			setTimeout(() => {
				const now: unknown = window.history.state?.key;
				if (now === undefined || now === key) void navigate(-1);
			});
			return;
		}
		const params = new URLSearchParams(search);
		if (next === null) params.delete(name);
		else params.set(name, next);
		void navigate(
			{ search: params.toString() },
			// One that follows another takes its place: Back closes it.
			next === null ? { replace: true } : { state: { opened: name }, replace: opened(state, name) },
		);
	};
	const latest = useRef(set);
	latest.current = set;
	return [value, useCallback((next: string | null) => latest.current(next), [])];
}

const opened = (state: unknown, name: string) =>
	typeof state === "object" && state !== null && "opened" in state && state.opened === name;

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
