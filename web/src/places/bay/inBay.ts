/** What the Bay is about just now: the build and the shot in work, the sheet that is open, and what is done to them. */
import { change } from "../../acts";
import type { Seen, Session, Shot } from "../../api/client";
import type { ProtocolKey } from "../../api/words";
import { PANELS } from "../../protocols";
import { t } from "../../said/words";
import { isClosed } from "../../session/closed";
import type { PlaceProps } from "../../session/place";
import { buildOf } from "../../session/select";
import { useInAddress } from "../../ui/address";
import type { AllOf } from "./Acts";
import { useTurn } from "./Turn";
import { useShotsInWork } from "./work";

/** Some are opened by a command of their name. */
export const SHEETS = [
	"setting",
	"move",
	"wanted",
	"player",
	"felt",
	"trail",
	"run",
	"type",
	"more",
] as const;
export type Opened = (typeof SHEETS)[number] | null;

export function useInBay({ session, act }: Pick<PlaceProps, "session" | "act">) {
	const work = useShotsInWork(session, session.in_hand);
	const [sheet, openSheet] = useInAddress("sheet");
	const opened: Opened = SHEETS.find((each) => each === sheet) ?? null;
	const open: (sheet: Opened) => void = openSheet;
	const inTurn = useTurn(session);
	const panel = PANELS[session.protocol as ProtocolKey] ?? {};
	const { shot, shots, selected, select } = work;

	/** Do something to the shots in work. */
	const doing = (toOne: (each: Shot) => Promise<Session | Seen>, toAll: AllOf) => {
		if (!shot) return;
		const ids = selected.map((each) => each.id);
		if (ids.length === 0) act(() => toOne(shot));
		else {
			act(() => change.shots(session.id, { shots: ids, ...toAll }));
			select([]);
		}
	};
	return {
		...work,
		session,
		act,
		build: buildOf(session, session.in_hand),
		agreed: isClosed(session),
		Strip: panel.Strip,
		goOn: panel.next?.(session, act) ?? null,
		inTurn,
		opened,
		open,
		doing,
		setAside: (each: Shot) => {
			const away = selected.length ? selected.some((other) => !other.aside) : !each.aside;
			const reason = away ? (each.strike ?? t("bag-by-fitter")) : "";
			doing((mine) => change.aside(mine.id, away, reason), { aside: away, reason });
		},
		letCount: (each: Shot, over: Partial<Pick<Shot, "misread" | "distance" | "line">>) => {
			const { misread, distance, line } = each;
			act(() => change.counts(each.id, { misread, distance, line, ...over }));
		},
		fileUnder: (each: Shot, build: number) => act(() => change.move(each.id, build)),
		itWasThis: (each: Shot) => act(() => change.keepClub(each.id)),
		selectRun: (each: Shot) =>
			select(shots.filter((other) => other.run === each.run).map((other) => other.id)),
		take: (id: number) => act(() => change.inHand(session.id, id)),
	};
}

export type InBay = ReturnType<typeof useInBay>;
