/** The sheet on `?`: every command that can be used here with its key, which may be another, or none. */
import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { client, got } from "../api/client";
import { type Command, type OwnKeys, useAllCommands, useOwnKeys } from "../commands/commands";
import { t } from "../said/words";
import { CallIntro } from "../ui/Intro";
import { Said } from "../ui/Said";

export function HelpSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
	const dialog = useRef<HTMLDialogElement>(null);
	const commands = useAllCommands();
	const [own, setOwn] = useOwnKeys();
	const [asked, setAsked] = useState<string | null>(null);
	const save = useMutation({
		mutationFn: (now: OwnKeys) => got(client.PUT("/api/me/keys", { body: now })),
		onMutate: (now) => {
			const before = own;
			setOwn(now);
			return before;
		},
		onError: (_error, _now, before) => before && setOwn(before),
	});
	useEffect(() => {
		if (open) dialog.current?.showModal();
		else if (dialog.current?.open) dialog.current.close();
	}, [open]);
	const groups = [...new Set(commands.map((each) => each.group))];
	const set = (command: Command, key: string | null) => {
		const { [command.id]: _before, ...others } = own.changed;
		save.mutate({ ...own, changed: key === null ? others : { ...others, [command.id]: key } });
		setAsked(null);
	};
	return (
		<dialog ref={dialog} className="modal" onClose={onClose} aria-label={t("label-keys")}>
			<div className="modal-box max-w-3xl">
				<div className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-2">
					<h2 className="flex-1 text-xl">{t("label-keys")}</h2>
					<CallIntro onCalled={onClose} />
					<label className="flex min-h-11 cursor-pointer items-center gap-2">
						<input
							type="checkbox"
							className="checkbox"
							checked={!own.off}
							onChange={(event) => save.mutate({ ...own, off: !event.target.checked })}
						/>
						{t("app-keys-act")}
					</label>
					{Object.keys(own.changed).length > 0 && (
						<button type="button" className="btn h-11" onClick={() => save.mutate({ ...own, changed: {} })}>
							{t("app-all-as-shipped")}
						</button>
					)}
				</div>
				<p className="quiet mb-3 text-sm">{t("app-press-key-here-give-its")}</p>
				<Said error={save.error} />
				<div className="columns-2 gap-8">
					{groups.map((group) => (
						<section key={group} className="mb-4 break-inside-avoid">
							<h3 className="quiet mb-1 text-sm">{group}</h3>
							<ul>
								{commands
									.filter((each) => each.group === group)
									.map((each) => (
										<li key={each.id} className="flex min-h-11 items-center gap-2">
											{asked === each.id ? (
												<NewKey
													taken={(key) =>
														commands.find((other) => other.keys === key && other.id !== each.id)?.name
													}
													onKey={(key) => set(each, key)}
													onLeave={() => setAsked(null)}
												/>
											) : (
												<button
													type="button"
													className="grid min-h-11 min-w-11 cursor-pointer place-items-center"
													aria-label={t("app-change", {
														name: each.name,
														shown: each.shown || t("app-no-key"),
													})}
													disabled={own.off}
													onClick={() => setAsked(each.id)}
												>
													<span className="key">{each.shown || "–"}</span>
												</button>
											)}
											<span className={each.blocked === undefined ? "" : "quiet"}>{each.name}</span>
										</li>
									))}
							</ul>
						</section>
					))}
				</div>
				<form method="dialog" className="mt-2 text-right">
					<button type="submit" className="btn">
						{t("label-close")}
					</button>
				</form>
			</div>
		</dialog>
	);
}

interface NewKeyProps {
	/** What a key does already. */
	taken: (key: string) => string | undefined;
	/** A key, empty for none. */
	onKey: (key: string) => void;
	onLeave: () => void;
}

/** Waits for the key that a command is to have. */
function NewKey({ taken, onKey, onLeave }: NewKeyProps) {
	const [said, setSaid] = useState("");
	const field = useRef<HTMLButtonElement>(null);
	useEffect(() => field.current?.focus(), []);
	return (
		<button
			ref={field}
			type="button"
			className="min-h-11 min-w-11 cursor-pointer"
			aria-label={t("app-press-new-key-backspace-for")}
			onBlur={onLeave}
			onKeyDown={(event) => {
				if (event.key === "Tab" || event.ctrlKey || event.metaKey || event.altKey) return;
				event.preventDefault();
				event.stopPropagation();
				const key = event.key.toLowerCase();
				if (key === "escape") return onLeave();
				if (key === "backspace" || key === "delete") return onKey("");
				if (key.length !== 1 || key === " ") return;
				const other = taken(key);
				if (other) setSaid(t("app-is", { key: event.key.toUpperCase(), other }));
				else onKey(key);
			}}
		>
			<span className="key">{said || t("app-press-key")}</span>
		</button>
	);
}
