/** Shots that came while the bay served no session: filed by one act, or said to be nobody's. */
import type { Build, Session } from "../../api/client";
import { useTray, useTrayChange } from "../../api/session";
import { Said } from "../../ui/Said";
import { metresOf, reading, yd } from "../../ui/units";

export function Tray({ session, build }: { session: Session; build: Build | undefined }) {
	const tray = useTray(session.bay).data ?? [];
	const change = useTrayChange(session);
	if (session.status === "agreed") return null;
	if (tray.length === 0) return <Said error={change.error} />;
	const all = tray.map((shot) => shot.id);
	const many = tray.length === 1 ? "1 shot" : `${tray.length} shots`;
	return (
		<section
			aria-label="Tray of the bay"
			className="border-l-4 bg-base-100 p-3"
			style={{ borderColor: "var(--hole)" }}
		>
			<h2 className="text-[17px]">
				{many} came while {session.bay_name} served nobody
			</h2>
			<ol className="num my-1 flex flex-wrap gap-x-4">
				{tray.map((shot) => (
					<li key={shot.id}>
						{shot.readings.carry_m === undefined
							? `${reading("ball_speed_mps", shot.readings.ball_speed_mps)} mph`
							: `${yd(metresOf(shot.readings, "carry_m"))} yd`}
					</li>
				))}
			</ol>
			<div className="flex flex-wrap gap-2">
				<button
					type="button"
					className="btn btn-primary h-11"
					disabled={!build || change.isPending}
					onClick={() => build && change.mutate({ shots: all, build: build.id })}
				>
					{build
						? `They were hit with ${build.letter || build.name}`
						: "Take the build they were hit with in hand"}
				</button>
				<button
					type="button"
					className="btn h-11"
					disabled={change.isPending}
					onClick={() => change.mutate({ shots: all, build: null })}
				>
					They are nobody’s
				</button>
			</div>
			<Said error={change.error} />
		</section>
	);
}
