/** The shots a protocol may ask for, a touch each: all that the Bay needs of one that only asks. */
import { change } from "../acts";
import { PROTOCOLS } from "../api/words";
import type { BayPanelProps } from "./panels";

export function Asks({ protocol, session, act, onAsked }: BayPanelProps) {
	return PROTOCOLS[protocol].intents.map((intent) => {
		const now = session.protocol === protocol && session.intent === intent;
		return (
			<button
				key={intent}
				type="button"
				aria-pressed={now}
				className={`btn h-14 px-6 text-lg capitalize ${now ? "btn-primary" : ""}`}
				onClick={() => {
					act(() => change.ask(session.id, protocol, intent));
					onAsked();
				}}
			>
				{intent}
			</button>
		);
	});
}
