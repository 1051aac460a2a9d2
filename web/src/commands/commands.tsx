/**
 * Every user command is one object in one list: its name, its key, when it is allowed and what it does.
 * The keys, the key bar and the help sheet are drawn from it.
 */
import { createContext, type ReactNode, useContext, useEffect, useMemo, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";

export interface Command {
	id: string;
	name: string;
	/** As react-hotkeys-hook writes it; `shown` is what is printed. */
	keys: string;
	shown: string;
	group: string;
	/** Why it cannot be done now, or nothing when it can. */
	blocked?: string | undefined;
	run: () => void;
}

interface Registry {
	all: Command[];
	set: (owner: string, commands: Command[]) => void;
}

const Context = createContext<Registry>({ all: [], set: () => undefined });

export function CommandProvider({ children }: { children: ReactNode }) {
	const [owners, setOwners] = useState<Record<string, Command[]>>({});
	useEffect(() => {
		// Escape leaves a field, so that the keys of the place work again.
		const leave = (event: KeyboardEvent) => {
			if (event.key === "Escape" && isTyping(event) && event.target instanceof HTMLElement)
				event.target.blur();
		};
		window.addEventListener("keydown", leave);
		return () => window.removeEventListener("keydown", leave);
	}, []);
	const value = useMemo<Registry>(
		() => ({
			all: Object.values(owners).flat(),
			set: (owner, commands) => setOwners((before) => ({ ...before, [owner]: commands })),
		}),
		[owners],
	);
	return <Context.Provider value={value}>{children}</Context.Provider>;
}

const WRITTEN_IN = new Set(["text", "number", "date", "password", "email", "search"]);

/** Keys belong to what is being typed in, to an open list, and to an open dialog. */
export function isTyping(event: KeyboardEvent): boolean {
	if (document.querySelector("dialog[open]")) return true;
	const at = event.target;
	if (at instanceof HTMLInputElement) return WRITTEN_IN.has(at.type);
	if (at instanceof HTMLSelectElement) return !/^[0-9]$/.test(event.key);
	return at instanceof HTMLTextAreaElement;
}

/** Offer commands while this component is on the screen. */
export function useCommands(owner: string, commands: Command[]): void {
	const { set } = useContext(Context);
	// What is drawn changes with the signature alone; what is done is always the newest, also from a button that was
	// drawn before the shot that it now acts on.
	const newest = useRef(commands);
	useEffect(() => {
		newest.current = commands;
	});
	const signature = commands.map((each) => `${each.id}|${each.name}|${each.blocked ?? ""}`).join();
	// biome-ignore lint/correctness/useExhaustiveDependencies: the signature stands for the commands shown
	useEffect(() => {
		const lasting = newest.current.map((each) => ({
			...each,
			run: () => newest.current.find((now) => now.id === each.id)?.run(),
		}));
		set(owner, lasting);
		return () => set(owner, []);
	}, [owner, signature]);
	useHotkeys(
		commands.map((each) => each.keys),
		(event, hotkey) => {
			const pressed = event.key.toLowerCase();
			const found = commands.find((each) => each.keys === pressed || each.keys === hotkey.keys?.join("+"));
			if (!found || found.blocked !== undefined) return;
			event.preventDefault();
			found.run();
		},
		{ useKey: true, enableOnFormTags: true, ignoreEventWhen: isTyping },
		[commands],
	);
}

export const useAllCommands = (): Command[] => useContext(Context).all;

/** The commands of one group as touch targets with their keys. */
export function CommandBar({ group }: { group: string }) {
	const commands = useAllCommands().filter((each) => each.group === group);
	return (
		<div className="flex flex-wrap gap-1.5">
			{commands.map((command) => (
				<button
					key={command.id}
					type="button"
					className="btn btn-sm h-11 gap-1.5 border-base-300 bg-base-100 px-2.5 font-medium"
					disabled={command.blocked !== undefined}
					title={command.blocked}
					onClick={command.run}
				>
					<span className="key">{command.shown}</span> {command.name}
				</button>
			))}
		</div>
	);
}
