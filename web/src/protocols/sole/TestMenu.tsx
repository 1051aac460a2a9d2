/** What is done now and then in a sole test: the link for its setter, the assistant's page, an early end. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { change } from "../../acts";
import { client, got, type SoleTest } from "../../api/client";
import { codeLink } from "../../api/session";
import { t } from "../../said/words";
import type { Act } from "../../session/place";
import { Sheet } from "../../ui/Sheet";
import { placeOf } from "./coming";
import { HandOutSheet, LinkSheet } from "./Link";

type Dialog = "link" | "hand_out" | "end" | null;

export function TestMenu({ act, test }: { act: Act; test: SoleTest }) {
	const me = useQuery({ queryKey: ["me"], queryFn: () => got(client.GET("/api/me")) });
	const [dialog, setDialog] = useState<Dialog>(null);
	const setter = me.data?.username === test.setter;
	const close = () => setDialog(null);
	return (
		<div className="flex flex-wrap items-center gap-2 text-[15px]">
			{test.blind === "single" && setter && (
				<button type="button" className="btn h-11" onClick={() => setDialog("link")}>
					{t("label-which-code-which")}
				</button>
			)}
			{test.blind === "double" && (
				<button type="button" className="btn h-11" onClick={() => setDialog("hand_out")}>
					{t("sole-assistants-page")}
				</button>
			)}
			<button type="button" className="btn h-11" onClick={() => setDialog("end")}>
				{t("sole-end-early")}
			</button>
			<span className="quiet">
				{test.blind === "single" &&
					!setter &&
					t("sole-only-may-see-which-code", { setterName: test.setter_name || test.setter })}
				{test.blind === "double" && test.hand_out_opened === null && t("sole-assistant-has-not-opened-page")}
			</span>
			{dialog === "link" && <LinkSheet read={() => codeLink(test.id)} onClose={close} />}
			{dialog === "hand_out" && <HandOutSheet test={test} onClose={close} />}
			{dialog === "end" && <EndEarly act={act} test={test} onClose={close} />}
		</div>
	);
}

function EndEarly({ act, test, onClose }: { act: Act; test: SoleTest; onClose: () => void }) {
	const left = test.unplayed.map((key) => placeOf(test, key)?.name.toLowerCase()).join(", ");
	const end = (go: () => void) => {
		go();
		onClose();
	};
	return (
		<Sheet title={t("sole-end-sole-test-early")} onClose={onClose}>
			<div className="space-y-4 text-[16px]">
				{test.handings.length > 0 && (
					<div>
						<button
							type="button"
							className="btn btn-primary h-12"
							onClick={() => end(() => act(() => change.reveal(test.id, true)))}
						>
							{t("sole-reveal-now-2")}
						</button>
						<p className="mt-1">
							{left ? t("sole-not-played-by-those-left-2", { left }) : t("sole-duel-not-over-ranking-stands")}
						</p>
					</div>
				)}
				<div>
					<button
						type="button"
						className="btn h-12"
						onClick={() => end(() => act(() => change.giveUp(test.id)))}
					>
						{t("label-give-up")}
					</button>
					<p className="mt-1">{t("sole-what-hit-said-stays-record")}</p>
				</div>
			</div>
		</Sheet>
	);
}
