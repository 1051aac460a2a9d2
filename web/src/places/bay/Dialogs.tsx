/** A new setting as a new build, and moving a shot to the build it was hit with. */

import { change } from "../../acts";
import type { Build, Session, Shot } from "../../api/client";
import { PROTOCOLS, protocolKeys } from "../../api/words";
import { PANELS } from "../../protocols";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { nameOf } from "../../session/select";
import { BendCaution } from "../../ui/BendCaution";
import { Letter } from "../../ui/Letter";
import { Caution } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { asFar, metresOf } from "../../ui/units";

export function NewSetting({
	build,
	act,
	onClose,
}: {
	build: Build;
	act: PlaceProps["act"];
	onClose: () => void;
}) {
	const lofts = build.settings_deg;
	if (build.head_type === "wedge") return <Bend build={build} act={act} onClose={onClose} />;
	return (
		<Sheet title={t("bay-new-setting", { letter: build.letter, name: build.name })} onClose={onClose}>
			<p className="mb-3">{t("bay-every-setting-its-own-build")}</p>
			<div className="mb-4 flex flex-wrap gap-2">
				{lofts.map((loft) => {
					const now = build.set_loft_deg !== null && Math.abs(loft - build.set_loft_deg) < 0.05;
					return (
						<button
							key={loft}
							type="button"
							className="btn h-14 px-5 text-lg"
							disabled={now}
							onClick={() => {
								act(() => change.setting(build.id, loft));
								onClose();
							}}
						>
							{loft}°{now ? ` ${t("bay-now")}` : ""}
						</button>
					);
				})}
			</div>
			<Caution>{t("bay-turn-also-moves-lie-face")}</Caution>
		</Sheet>
	);
}

/** A wedge is bent where another head is turned. */
function Bend({ build, act, onClose }: { build: Build; act: PlaceProps["act"]; onClose: () => void }) {
	return (
		<Sheet title={t("bay-bent", { name: nameOf(build) })} onClose={onClose}>
			<p className="mb-3">{t("bay-degree-weaker-degree-loft-about")}</p>
			<div className="mb-4 flex flex-wrap gap-2">
				{[2, 1, -1, -2].map((amount) => (
					<button
						key={amount}
						type="button"
						className="btn h-14 px-5 text-lg"
						onClick={() => {
							act(() => change.otherwise(build.id, [{ kind: "bend", amount }]));
							onClose();
						}}
					>
						{Math.abs(amount)}° {amount > 0 ? t("bay-weaker") : t("bay-stronger")}
					</button>
				))}
			</div>
			<BendCaution />
		</Sheet>
	);
}

/** What the player is asked to hit from now on, by what each test asks for. */
export function WantedShot({
	session,
	act,
	onClose,
}: Pick<PlaceProps, "session" | "act"> & { onClose: () => void }) {
	return (
		<Sheet title={t("bay-shot-wanted")} onClose={onClose}>
			<p className="mb-3">{protocolKeys.map((protocol) => PROTOCOLS[protocol].why).join(" ")}</p>
			<div className="flex flex-wrap gap-2">
				{protocolKeys.map((protocol) => {
					const { Bay } = PANELS[protocol];
					return <Bay key={protocol} protocol={protocol} session={session} act={act} onAsked={onClose} />;
				})}
			</div>
		</Sheet>
	);
}

interface PickProps {
	session: Session;
	shot: Shot;
	onPick: (build: number) => void;
	onClose: () => void;
}

export function PickBuild({ session, shot, onPick, onClose }: PickProps) {
	return (
		<Sheet
			title={t("bay-shot-hit-with", { carry: asFar(metresOf(shot.readings, "carry_m")) })}
			onClose={onClose}
		>
			<ul className="grid grid-cols-2 gap-2 sm:grid-cols-3">
				{session.builds
					.filter((build) => build.head_type !== "putter")
					.map((build) => (
						<li key={build.id}>
							<button
								type="button"
								className="btn h-14 w-full justify-start"
								disabled={build.id === shot.build}
								onClick={() => onPick(build.id)}
							>
								{build.letter && <Letter letter={build.letter} />} {build.name}
							</button>
						</li>
					))}
			</ul>
		</Sheet>
	);
}
