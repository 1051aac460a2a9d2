/** The sole test among the tests of the Bay: taken up again, or set up. */
import { useNavigate } from "react-router";
import { change } from "../../acts";
import { t } from "../../said/words";
import type { BayPanelProps, NextOf } from "../panels";
import { soleTestOf } from "./coming";

/** Takes the next code in hand, where another club is. */
export const nextCode: NextOf = (session, act) => {
	const test = session.soles.find((each) => each.on);
	const next = test?.next;
	if (!test || !next) return null;
	const { code, place } = next;
	return () => act(() => change.takeCode(test.id, code, place));
};

export function SoleBay({ session, act, onAsked }: BayPanelProps) {
	const go = useNavigate();
	const test = soleTestOf(session);
	const goOn = nextCode(session, act);
	return (
		<button
			type="button"
			aria-pressed={session.protocol === "sole"}
			className={`btn h-14 px-6 text-lg ${session.protocol === "sole" ? "btn-primary" : ""}`}
			onClick={() => {
				if (goOn) goOn();
				else if (test?.on) act(() => change.ask(session.id, "sole", "stock"));
				else go(`/sessions/${session.id}/soles`);
				onAsked();
			}}
		>
			{t("sole-sole-test-blind")}
		</button>
	);
}
