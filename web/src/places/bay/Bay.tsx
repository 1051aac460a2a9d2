/** Hitting: the build in hand, the last shot large, its place against the window, what to hit next. */

import type { ProtocolKey } from "../../api/words";
import { CarryMap } from "../../instruments/carry-map/CarryMap";
import { soleTitle } from "../../protocols/sole/coming";
import { t } from "../../said/words";
import { gateSpan } from "../../session/gates";
import { mapProps } from "../../session/maps";
import type { PlaceProps } from "../../session/place";
import { letterColour } from "../../ui/Letter";
import { Caution } from "../../ui/Said";
import { CheckClub, Selection } from "./Acts";
import { useBayCommands } from "./commands";
import { Flights } from "./Flights";
import { useInBay } from "./inBay";
import { Announced, Copy, InHand, LastShot, SoFar } from "./LastShot";
import { NoShot, useMayPretend } from "./NoShot";
import { PlayerPanel } from "./PlayerPanel";
import { RunBar } from "./RunBar";
import { Sheets } from "./Sheets";
import { ShotRow } from "./ShotRow";
import { BayStand } from "./Stand";
import { StandInPanel } from "./StandInPanel";
import { Steady } from "./Steady";
import { Touches } from "./Touches";
import { Tray } from "./Tray";
import { Turn } from "./Turn";

export function Bay({ session, act, live }: PlaceProps) {
	const bay = useInBay({ session, act });
	useBayCommands(bay);
	const { build, shots, shot, selected, agreed, open, Strip } = bay;
	const pretend = useMayPretend(session);
	const code = soleTitle(session);
	const span = gateSpan(session);

	return (
		<div className="grid min-h-full md:grid-cols-[15.5rem_1fr] xl:grid-cols-[17.5rem_1fr_17rem]">
			<BayStand session={session} span={span} onTake={(id) => !agreed && bay.take(id)} />
			<section className="flex min-w-0 flex-col gap-3 p-5 pt-4 max-md:order-first">
				<InHand session={session} build={build} code={code} live={live}>
					{!agreed && <Turn session={session} act={act} turn={bay.inTurn} />}
				</InHand>
				{/* From which lie and how long a swing comes with the code. */}
				<div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1">
					{!code && <RunBar session={session} agreed={agreed} act={act} onMore={() => open("run")} />}
					<p className="font-semibold xl:hidden">{session.next}</p>
				</div>
				{Strip && (
					<Strip protocol={session.protocol as ProtocolKey} session={session} act={act} agreed={agreed} />
				)}
				<Tray session={session} build={build} />
				<Announced build={build} shot={shot} />
				{build && shot && <LastShot session={session} build={build} shot={shot} />}
				{build && !shot && !code && !agreed && <NoShot session={session} onType={() => open("type")} />}
				{!build && !code && (
					<p className="quiet py-16 text-center text-xl">{t("bay-take-build-hand-left-then")}</p>
				)}
				{shot?.check_club && !agreed && (
					<CheckClub
						session={session}
						shot={shot}
						onOther={(id) => bay.fileUnder(shot, id)}
						onThis={() => bay.itWasThis(shot)}
					/>
				)}
				<div className="flex items-end gap-x-3">
					<ShotRow
						key={session.in_hand}
						session={session}
						shots={shots}
						shot={shot}
						selected={selected}
						colour={letterColour(build?.letter ?? "")}
						onTouch={bay.touch}
					/>
					{shot && !agreed && (
						<Selection
							selected={selected.length}
							onOne={() => bay.turn(shot.id)}
							onRun={() => bay.selectRun(shot)}
							onClear={() => bay.select([])}
						/>
					)}
				</div>
				{build && shot && <Copy session={session} shot={shot} />}
				{build && <SoFar build={build} />}
				{build && <Flights session={session} build={build} />}
				{/* What is touched after every shot stays in reach at the bottom, however many shots there are. */}
				<div className="bottom-0 z-10 md:sticky order-2 -mx-5 mt-auto -mb-5 bg-base-200 px-5 pt-2 pb-3">
					<Touches bay={bay} testing={Boolean(code)} />
				</div>
			</section>
			<aside
				aria-label={t("bay-beside-the-shots")}
				className="col-span-full grid content-start gap-5 border-l border-base-300 bg-base-100 p-4 md:grid-cols-3 xl:col-span-1 xl:grid-cols-1"
			>
				<section className="hidden xl:block">
					<h2 className="mb-1 text-lg">{t("label-next")}</h2>
					<p className="text-[17px] font-medium">{session.next}</p>
					{session.question && <p className="hole-text mt-1 text-[15px] font-semibold">{session.question}</p>}
				</section>
				<button
					type="button"
					className="min-h-11 cursor-pointer justify-self-start text-[14.5px] underline"
					onClick={() => open("trail")}
				>
					{t("bay-what-done-here")}
				</button>
				<Steady session={session} act={act} agreed={agreed} />
				{!agreed && <PlayerPanel session={session} act={act} onOpen={() => open("player")} />}
				{session.bag.in_work && <CarryMap {...mapProps(session, undefined, session.bag.end)} small />}
				{!agreed && pretend && <StandInPanel session={session} />}
				<Caution>{t("bay-one-person-swings-time-nobody")}</Caution>
			</aside>
			<Sheets bay={bay} />
		</div>
	);
}
