import { type ReactNode, useEffect, useRef } from "react";
import { t } from "../said/words";

/** A dialog over the place; Escape closes it. */
export function Sheet({
	title,
	onClose,
	children,
	wide = false,
}: {
	title: string;
	onClose: () => void;
	children: ReactNode;
	wide?: boolean;
}) {
	const dialog = useRef<HTMLDialogElement>(null);
	useEffect(() => {
		const before = document.activeElement;
		dialog.current?.showModal();
		// Whoever opened it is where they were.
		return () => {
			if (before instanceof HTMLElement && before.isConnected) before.focus({ preventScroll: true });
		};
	}, []);
	return (
		<dialog ref={dialog} className="modal" aria-label={title} onClose={onClose}>
			<div className={`modal-box ${wide ? "max-w-5xl" : "max-w-2xl"}`}>
				<div className="mb-3 flex items-center justify-between">
					<h2 className="text-xl">{title}</h2>
					<button type="button" className="btn btn-ghost btn-sm h-11" onClick={onClose}>
						{t("label-close")}
					</button>
				</div>
				{children}
			</div>
		</dialog>
	);
}
