/** The sheet on `?`: every command that can be used here, drawn from the list behind the keys. */
import { useEffect, useRef } from "react";
import { useAllCommands } from "../commands/commands";

export function HelpSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
	const dialog = useRef<HTMLDialogElement>(null);
	const commands = useAllCommands();
	useEffect(() => {
		if (open) dialog.current?.showModal();
		else if (dialog.current?.open) dialog.current.close();
	}, [open]);
	const groups = [...new Set(commands.map((each) => each.group))];
	return (
		<dialog ref={dialog} className="modal" onClose={onClose} aria-label="Keys">
			<div className="modal-box max-w-2xl">
				<h2 className="mb-3 text-xl">Keys</h2>
				<div className="columns-2 gap-8">
					{groups.map((group) => (
						<section key={group} className="mb-4 break-inside-avoid">
							<h3 className="quiet mb-1 text-sm">{group}</h3>
							<ul>
								{commands
									.filter((each) => each.group === group)
									.map((each) => (
										<li key={each.id} className="flex gap-2 py-0.5">
											<span className="key">{each.shown}</span>
											<span className={each.blocked === undefined ? "" : "quiet"}>{each.name}</span>
										</li>
									))}
							</ul>
						</section>
					))}
				</div>
				<form method="dialog" className="mt-2 text-right">
					<button type="submit" className="btn">
						Close
					</button>
				</form>
			</div>
		</dialog>
	);
}
