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

/** Someone's own keys. off: none at all; changed: by command, the key that does it, empty for none. */
export interface OwnKeys {
	off: boolean;
	changed: Record<string, string>;
}

interface Registry {
	all: Command[];
	set: (owner: string, commands: Command[]) => void;
	own: OwnKeys;
	setOwn: (own: OwnKeys) => void;
}

const AS_SHIPPED: OwnKeys = { off: false, changed: {} };
const Context = createContext<Registry>({
	all: [],
	set: () => undefined,
	own: AS_SHIPPED,
	setOwn: () => undefined,
});

/** A command under its owner's key. */
function owned(command: Command, own: OwnKeys): Command {
	if (own.off) return { ...command, keys: "", shown: "" };
	const key = own.changed[command.id];
	return key === undefined ? command : { ...command, keys: key, shown: key.toUpperCase() };
}

export function CommandProvider({ children }: { children: ReactNode }) {
	const [own, setOwn] = useState<OwnKeys>(AS_SHIPPED);
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
			own,
			setOwn,
		}),
		[owners, own],
	);
	return <Context.Provider value={value}>{children}</Context.Provider>;
}

/** Inputs that no key but the space bar means anything to. */
const PRESSED = new Set(["button", "submit", "reset", "checkbox", "file", "image"]);
const TAKES_KEYS =
	'[contenteditable=""], [contenteditable="true"], [role="combobox"], [role="listbox"], [role="menu"]';

/** Keys belong to what is being typed in or slid, to a list, and to an open dialog. */
export function isTyping(event: KeyboardEvent): boolean {
	if (document.querySelector("dialog[open]")) return true;
	const at = event.target;
	if (at instanceof HTMLInputElement) return !PRESSED.has(at.type);
	if (at instanceof HTMLSelectElement || at instanceof HTMLTextAreaElement) return true;
	return at instanceof HTMLElement && at.closest(TAKES_KEYS) !== null;
}

/** Offer commands while this component is on the screen. */
export function useCommands(owner: string, shipped: Command[]): void {
	const { set, own } = useContext(Context);
	const commands = shipped.map((each) => owned(each, own));
	// What is drawn changes with the signature alone; what is done is always the newest, also from a button that was
	// drawn before the shot that it now acts on.
	const newest = useRef(commands);
	useEffect(() => {
		newest.current = commands;
	});
	const signature = commands
		.map((each) => `${each.id}|${each.name}|${each.shown}|${each.blocked ?? ""}`)
		.join();
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
		commands.map((each) => each.keys).filter(Boolean),
		(event, hotkey) => {
			const pressed = event.key.toLowerCase();
			const chord = event.shiftKey && /^[a-z]$/.test(pressed) ? `shift+${pressed}` : pressed;
			const found =
				commands.find((each) => each.keys === chord) ??
				commands.find((each) => each.keys === pressed || each.keys === hotkey.keys?.join("+"));
			// A key held down is pressed once.
			if (!found || found.blocked !== undefined || event.repeat) return;
			event.preventDefault();
			found.run();
		},
		{ useKey: true, enableOnFormTags: true, ignoreEventWhen: isTyping, enabled: !own.off },
		[commands],
	);
}

/** Whose keys they are, and setting them. */
export function useOwnKeys(): [OwnKeys, (own: OwnKeys) => void] {
	const { own, setOwn } = useContext(Context);
	return [own, setOwn];
}

export const useAllCommands = (): Command[] => useContext(Context).all;

/** A command as a touch target, by its name, with its key. */
export function CommandButton({ id }: { id: string }) {
	const command = useAllCommands().find((each) => each.id === id);
	if (!command) return null;
	return (
		<button
			type="button"
			className="btn h-11 gap-1.5 border-base-300 bg-base-100 px-2 font-medium"
			disabled={command.blocked !== undefined}
			title={command.blocked}
			onClick={command.run}
		>
			{command.shown && <span className="key max-sm:hidden pointer-coarse:hidden">{command.shown}</span>}{" "}
			{command.name}
		</button>
	);
}
