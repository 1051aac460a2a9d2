/** A new setting as a new build, and moving a shot to the build it was hit with. */
import type { Build, Session, Shot } from "../api/client";
import { change } from "../api/session";
import type { PlaceProps } from "../app/SessionFrame";
import { Letter } from "../ui/Letter";
import { Caution } from "../ui/Said";
import { Sheet } from "../ui/Sheet";
import { yd } from "../ui/units";

export function NewSetting({
	build,
	act,
	onClose,
}: {
	build: Build;
	act: PlaceProps["act"];
	onClose: () => void;
}) {
	const stated = build.stated_loft_deg ?? 0;
	const step = build.sleeve_deg % 1 === 0 ? 1 : 0.5; // so that the stated loft is among them
	const lofts = Array.from(
		{ length: Math.round((2 * build.sleeve_deg) / step) + 1 },
		(_, index) => stated - build.sleeve_deg + index * step,
	);
	return (
		<Sheet title={`${build.letter} ${build.name}: new setting`} onClose={onClose}>
			<p className="mb-3">
				Every setting is its own build with its own letter, so that shots of two settings are never averaged
				together.
			</p>
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
							{loft}°{now ? " now" : ""}
						</button>
					);
				})}
			</div>
			<Caution>
				A turn also moves lie and face angle. Check that the head is tight and the screw is at the maker’s
				torque before anyone swings.
			</Caution>
		</Sheet>
	);
}

const WANTED: { id: Session["intent"]; name: string }[] = [
	{ id: "stock", name: "Stock" },
	{ id: "low", name: "Low" },
	{ id: "high", name: "High" },
	{ id: "draw", name: "Draw" },
	{ id: "fade", name: "Fade" },
];

/** What the player means to hit from now on. */
export function WantedShot({
	session,
	act,
	onClose,
}: {
	session: Session;
	act: PlaceProps["act"];
	onClose: () => void;
}) {
	return (
		<Sheet title="Shot wanted" onClose={onClose}>
			<p className="mb-3">
				Only stock shots count for what the club does by itself. Others are kept beside them, as what it can
				be made to do.
			</p>
			<div className="flex flex-wrap gap-2">
				{WANTED.map((each) => (
					<button
						key={each.id}
						type="button"
						aria-pressed={session.intent === each.id}
						className={`btn h-14 px-6 text-lg ${session.intent === each.id ? "btn-primary" : ""}`}
						onClick={() => {
							act(() => change.intent(session.id, each.id));
							onClose();
						}}
					>
						{each.name}
					</button>
				))}
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
		<Sheet title={`Shot ${yd(shot.readings.carry_m)} was hit with`} onClose={onClose}>
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
