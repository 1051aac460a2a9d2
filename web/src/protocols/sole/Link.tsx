/** Which code is which club: for whoever set the test up, and never left standing on the screen. */
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import type { SoleTest } from "../../api/client";
import type { components } from "../../api/schema";
import { openHandOut } from "../../api/session";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import type { InUnits } from "../../ui/units";

interface Line {
	code: number;
	word: string;
	club: string;
	detail: string;
}

/** The other word of a club that has two. */
const sharing = (line: Line, lines: Line[]) =>
	lines.find((each) => each.code !== line.code && each.club === line.club && each.detail === line.detail)
		?.word;

export function TapeList({ lines }: { lines: Line[] }) {
	return (
		<table className="w-full text-left text-[17px]">
			<thead className="quiet text-sm">
				<tr>
					<th className="py-1 pr-6 font-normal">{t("sole-on-the-tape")}</th>
					<th className="font-normal">{t("label-club")}</th>
				</tr>
			</thead>
			<tbody>
				{lines.map((line) => (
					<tr key={line.code} className="border-t border-base-300">
						<th className="py-2 pr-6 text-xl font-semibold">{line.word}</th>
						<td>
							{line.club} <span className="quiet text-[15px]">{line.detail}</span>
							{sharing(line, lines) && (
								<span className="block text-[15px] font-semibold">
									{t("sole-same-club-as-change-its", { line: sharing(line, lines) })}
								</span>
							)}
						</td>
					</tr>
				))}
			</tbody>
		</table>
	);
}

type Links = InUnits<components["schemas"]["LinkOut"]>;

/** known: once it may be told. */
export function LinkSheet({
	read,
	known,
	onClose,
}: {
	read: () => Promise<Links>;
	known?: Links | undefined;
	onClose: () => void;
}) {
	const link = useMutation({ mutationFn: read });
	const lines = (known ?? link.data)?.lines;
	return (
		<Sheet title={t("label-which-code-which-club")} onClose={onClose}>
			<div className="space-y-3 text-[16px]">
				<p>{t("sole-word-tape-each-shaft-marks")}</p>
				{lines ? (
					<TapeList lines={lines} />
				) : (
					<button type="button" className="btn btn-primary h-14" onClick={() => link.mutate()}>
						{t("sole-show-player-does-not-see")}
					</button>
				)}
				<p className="quiet text-sm">{t("sole-looked-written-into-trail")}</p>
				<Said error={link.error} />
			</div>
		</Sheet>
	);
}

/** The assistant's page by its code: shown this once, as only one device may have it open. */
export function HandOutSheet({ test, onClose }: { test: SoleTest; onClose: () => void }) {
	const [asked, setAsked] = useState(false);
	const made = useMutation({ mutationFn: () => openHandOut(test.id) });
	const opened = test.hand_out_opened !== null;
	return (
		<Sheet title={t("sole-assistants-page")} onClose={onClose}>
			<div className="space-y-3 text-[16px]">
				<p>{t("sole-alone-tells-which-code-which")}</p>
				{opened && (
					<p className="font-semibold">
						{t("sole-open-since", {
							value: new Date(test.hand_out_opened as string).toLocaleTimeString("en-GB", {
								hour: "2-digit",
								minute: "2-digit",
							}),
						})}
					</p>
				)}
				{made.data && !opened ? (
					<div className="flex flex-wrap items-center gap-6">
						<img
							className="w-44 bg-white"
							alt={t("sole-address-assistants-page-scan")}
							src={`data:image/svg+xml;utf8,${encodeURIComponent(made.data.drawn)}`}
						/>
						<p>
							<span className="quiet block">{t("sole-hand-out", { host: window.location.host })}</span>
							<span className="num text-4xl tracking-widest" data-testid="hand-out-code">
								{made.data.code}
							</span>
						</p>
					</div>
				) : opened && !asked ? (
					<button type="button" className="btn h-12" onClick={() => setAsked(true)}>
						{t("sole-went-wrong-device")}
					</button>
				) : (
					<button
						type="button"
						className="btn btn-primary h-14"
						onClick={() => {
							setAsked(false);
							made.mutate();
						}}
					>
						{opened ? t("sole-new-code-page-closes") : t("sole-give-code")}
					</button>
				)}
				<Said error={made.error} />
			</div>
		</Sheet>
	);
}
