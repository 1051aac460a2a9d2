/** Asked to carry so far with the club in hand: the yardage is typed, then hit. */
import { useState } from "react";
import { change } from "../../acts";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";
import { neededNumber } from "../../ui/typed";
import { asFar, type Metres, typedIn, unit } from "../../ui/units";
import type { BayPanelProps } from "../panels";

export function YardageBay({ protocol, session, act, onAsked }: BayPanelProps) {
	const [yards, setYards] = useState(session.asked_carry_m === null ? "" : asFar(session.asked_carry_m));
	const [wrong, setWrong] = useState<unknown>(null);
	const now = session.protocol === protocol;
	return (
		<form
			className="flex items-center gap-2"
			onSubmit={(event) => {
				event.preventDefault();
				try {
					const asked = typedIn("far", neededNumber(yards, "yardage"), session.asked_carry_m) as Metres;
					act(async () => {
						await change.run(session.id, { asked_carry_m: asked });
						return change.ask(session.id, protocol, "yardage");
					});
					setWrong(null);
					onAsked();
				} catch (error) {
					setWrong(error);
				}
			}}
		>
			<label className="flex items-center gap-2">
				{t("label-carry-2")}
				<input
					className="input h-14 w-24 text-right text-lg"
					inputMode="decimal"
					aria-label={t("label-yardage-asked-for")}
					placeholder="75"
					value={yards}
					onChange={(event) => setYards(event.target.value)}
				/>
				{unit("far")}
			</label>
			<button type="submit" className={`btn h-14 px-6 text-lg ${now ? "btn-primary" : ""}`}>
				{t("label-ask-for")}
			</button>
			<Said error={wrong} />
		</form>
	);
}
