/** Shots that came while the bay served no session: filed by one act, or said to be nobody's. */

import { useState } from "react";
import type { Build, Session } from "../../api/client";
import { useTray, useTrayChange } from "../../api/session";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import { Said } from "../../ui/Said";
import { asFar, metresOf, reading, unit } from "../../ui/units";

export function Tray({ session, build }: { session: Session; build: Build | undefined }) {
	const found = useTray(session.bay).data;
	const [left, setLeft] = useState<number[]>([]);
	const tray = found?.waiting ?? [];
	const change = useTrayChange(session);
	if (isClosed(session)) return null;
	const back = found !== undefined && found.put_away > 0 && (
		<button
			type="button"
			className="min-h-11 cursor-pointer text-sm underline"
			disabled={change.isPending}
			onClick={() => change.mutate("back")}
		>
			{t("bay-1-shot-put-away-as", { putAway: found.put_away })}
		</button>
	);
	if (tray.length === 0)
		return (
			<>
				{back}
				<Said error={change.error} />
			</>
		);
	const chosen = tray.map((shot) => shot.id).filter((id) => !left.includes(id));
	const turn = (id: number) =>
		setLeft(left.includes(id) ? left.filter((each) => each !== id) : [...left, id]);
	const some = chosen.length < tray.length;
	const between = tray.some((shot) => shot.why);
	const many = tray.length === 1 ? t("bay-1-shot") : t("bay-shots", { tray: tray.length });
	return (
		<section
			aria-label={t("bay-tray-bay")}
			className="border-l-4 bg-base-100 p-3"
			style={{ borderColor: "var(--hole)" }}
		>
			<h2 className="text-[17px]">
				{between
					? t("bay-waits-may-another-players", { many, tray: tray.length })
					: t("bay-came-while-served-nobody", { many, bayName: session.bay_name })}
			</h2>
			<ol className="num my-1 flex flex-wrap gap-x-4">
				{tray.map((shot) => (
					<li key={shot.id}>
						<label className="flex min-h-11 cursor-pointer items-center gap-1.5">
							<input
								type="checkbox"
								className="checkbox"
								checked={!left.includes(shot.id)}
								onChange={() => turn(shot.id)}
							/>
							{shot.readings.carry_m === undefined
								? `${reading("ball_speed_mps", shot.readings.ball_speed_mps)} ${unit("speed")}`
								: `${asFar(metresOf(shot.readings, "carry_m"))} ${unit("far")}`}
							{shot.why && <span className="quiet text-[15px]">{shot.why}</span>}
						</label>
					</li>
				))}
			</ol>
			<div className="flex flex-wrap gap-2">
				<button
					type="button"
					className="btn btn-primary h-11"
					disabled={!build || change.isPending || chosen.length === 0}
					onClick={() => build && change.mutate({ shots: chosen, build: build.id })}
				>
					{build
						? t("bay-were-hit-with", {
								which: some ? t("bay-these") : t("bay-they"),
								letter: build.letter || build.name,
							})
						: t("bay-take-build-they-were-hit")}
				</button>
				<button
					type="button"
					className="btn h-11"
					disabled={change.isPending || chosen.length === 0}
					onClick={() => change.mutate({ shots: chosen, build: null })}
				>
					{t("bay-are-nobodys", { which: some ? t("bay-these") : t("bay-they") })}
				</button>
			</div>
			{back}
			<Said error={change.error} />
		</section>
	);
}
