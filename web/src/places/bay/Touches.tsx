/** What is touched after a shot: where it was struck on one pad, away with it, take it back; the rest behind one touch. */
import { CommandButton, useAllCommands } from "../../commands/commands";
import { t } from "../../said/words";
import { Sheet } from "../../ui/Sheet";
import { type InBay, SHEETS } from "./inBay";

/** As a right-hander looks at the face: toe and heel change sides for a left-hander. */
const PAD = [
	["toe", "high", "heel"],
	["thin", "low", "fat"],
];
const BESIDE = ["aside", "undo", "type", "more"];

/** testing: the going test has touches of its own for what it asks. */
export function Touches({ bay, testing }: { bay: InBay; testing: boolean }) {
	const left = bay.session.customer.hand === "left";
	const pad = left ? PAD.map((row) => [...row].reverse()) : PAD;
	return (
		<div className="flex flex-wrap items-end gap-x-6 gap-y-2">
			{!testing && (
				<div role="group" className="max-sm:w-full" aria-label={t("bay-where-struck")}>
					<div className="grid grid-cols-3 gap-2">
						{pad.flat().map((id) => (
							<CommandButton key={id} id={id} />
						))}
					</div>
				</div>
			)}
			<div className="grid flex-1 grid-cols-2 gap-2">
				{BESIDE.map((id) => (
					<CommandButton key={id} id={id} />
				))}
			</div>
		</div>
	);
}

/** Every other command of the Bay, with why it cannot be done now. */
export function MoreSheet({ onClose }: { onClose: () => void }) {
	const shown = new Set([...PAD.flat(), ...BESIDE]);
	const rest = useAllCommands().filter((each) => each.group === t("label-bay") && !shown.has(each.id));
	return (
		<Sheet title={t("bay-more")} onClose={onClose}>
			<div className="grid gap-2 sm:grid-cols-2">
				{rest.map((command) => (
					<button
						key={command.id}
						type="button"
						className="btn h-auto min-h-14 justify-start gap-3 border-base-300 bg-base-100 px-4 py-2 text-left font-medium"
						disabled={command.blocked !== undefined}
						onClick={() => {
							if (!SHEETS.some((each) => each === command.id)) onClose();
							command.run();
						}}
					>
						{command.shown && <span className="key pointer-coarse:hidden">{command.shown}</span>}{" "}
						<span>
							{command.name}
							{command.blocked && <span className="quiet block text-sm">{command.blocked}</span>}
						</span>
					</button>
				))}
			</div>
		</Sheet>
	);
}
