/** Shots read off a screen, typed ball by ball: the carry, and what else is wanted, on a number pad or by keys. */
import { useEffect, useRef, useState } from "react";
import { change } from "../../acts";
import type { Build } from "../../api/client";
import type { components } from "../../api/schema";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { buildOf, nameOf } from "../../session/select";
import { useDrafted } from "../../ui/draft";
import { useKept } from "../../ui/kept";
import { Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { neededNumber } from "../../ui/typed";
import { asFar, fromFar, fromHigh, fromSpeed, unit } from "../../ui/units";

type Schemas = components["schemas"];
/** What a monitor's screen shows: how it is called, its unit, and how it travels. */
const FIELDS = [
	{
		key: "carry_m",
		label: t("label-carry-2"),
		unit: unit("far"),
		sent: (typed: number) => fromFar(typed) as number,
	},
	{
		key: "total_m",
		label: t("label-total"),
		unit: unit("far"),
		sent: (typed: number) => fromFar(typed) as number,
	},
	{
		key: "offline_m",
		label: t("bay-side"),
		unit: unit("far"),
		sent: (typed: number) => fromFar(typed) as number,
	},
	{ key: "peak_m", label: t("bay-height"), unit: unit("high"), sent: fromHigh },
	{ key: "ball_speed_mps", label: t("label-ball-speed"), unit: unit("speed"), sent: fromSpeed },
	{ key: "launch_deg", label: t("label-launch"), unit: "°", sent: (typed: number) => typed },
	{ key: "spin_rpm", label: t("label-spin"), unit: t("label-rpm"), sent: (typed: number) => typed },
] as const;
type Key = (typeof FIELDS)[number]["key"];
const PAD = ["7", "8", "9", "4", "5", "6", "1", "2", "3", ".", "0", "⌫"];
const WHOLE_CARRY = /^[1-3][0-9]{2}$/;

export type ReadOff = Schemas["TypedInRequest"];

/** The pad in a sheet over the Bay. */
export function TypePad({
	session,
	build: inHand,
	act,
	onClose,
}: Pick<PlaceProps, "session" | "act"> & { build: Build; onClose: () => void }) {
	// Whatever is taken in hand elsewhere meanwhile: what is typed belongs to the club it was opened for.
	const [of] = useState(inHand);
	const build = buildOf(session, of.id) ?? of;
	return (
		<Sheet title={t("bay-type-shots-2", { name: nameOf(build) })} onClose={onClose}>
			<PadForm
				build={build}
				onShot={(shot, onRefused) =>
					act(async () => {
						try {
							return await change.typeShot(session.id, shot);
						} catch (refused) {
							onRefused(refused);
							throw refused;
						}
					})
				}
			/>
		</Sheet>
	);
}

/** onShot: take a ball in; told why where it is refused. */
export function PadForm({
	build,
	onShot,
}: {
	build: Pick<Build, "id" | "kept" | "carry_m">;
	onShot: (shot: ReadOff, onRefused: (why: unknown) => void) => void;
}) {
	const form = `typed:${build.id}`;
	const [wanted, setWanted] = useKept<Key[]>("typed:fields", []);
	const [typed, setTyped] = useDrafted<Partial<Record<Key, string>>>(form, "figures", {});
	const [left, setLeft] = useDrafted(form, "left", false);
	const [at, setAt] = useState<Key>("carry_m");
	const [wrong, setWrong] = useState<unknown>(null);
	const [last, setLast] = useState<{ of: number; carry: string; refused: boolean }[]>([]);
	const made = useRef(0);
	const entry = useRef<HTMLInputElement>(null);
	// After the sheet is up, which takes the focus to its first button; and from figure to figure.
	// biome-ignore lint/correctness/useExhaustiveDependencies: the figure is what it follows
	useEffect(() => entry.current?.focus(), [at]);
	const asked = FIELDS.filter((each) => each.key === "carry_m" || wanted.includes(each.key));
	const field = asked.find((each) => each.key === at) ?? FIELDS[0];

	const enter = (figures: Partial<Record<Key, string>>) => {
		const here = asked.findIndex((each) => each.key === field.key);
		const following = asked[here + 1];
		if (following) return setAt(following.key);
		try {
			const body: Partial<Record<Key, number>> = {};
			for (const each of asked) {
				const text = figures[each.key] ?? "";
				if (each.key !== "carry_m" && !text.trim()) continue; // not read
				const value = each.sent(neededNumber(text, each.label.toLowerCase()));
				body[each.key] = each.key === "offline_m" && left ? -value : value;
			}
			const sent = { build: build.id, carry_m: body.carry_m ?? 0, ...body };
			const carry = figures.carry_m ?? "";
			made.current += 1;
			const of = made.current;
			onShot(sent, (why) => {
				// It stays to be put right; where the next one is being typed already, it is said which was not taken in.
				setWrong(why);
				setTyped((so) => (Object.keys(so).length > 0 ? so : figures));
				setLast((so) => so.map((each) => (each.of === of ? { ...each, refused: true } : each)));
			});
			setLast((so) => [{ of, carry, refused: false }, ...so].slice(0, 8));
			setTyped({});
			setLeft(false);
			setWrong(null);
		} catch (error) {
			setWrong(error);
		}
		setAt("carry_m");
	};
	const write = (text: string) => {
		const figures = { ...typed, [field.key]: text };
		setTyped(figures);
		// With the carry alone three digits are all of it: no touch more.
		if (asked.length === 1 && WHOLE_CARRY.test(text)) enter(figures);
	};
	const touch = (key: string) => {
		const now = typed[field.key] ?? "";
		write(key === "⌫" ? now.slice(0, -1) : now + key);
		entry.current?.focus();
	};
	const listed = (refused: boolean) =>
		last.filter((each) => each.refused === refused).map((each) => each.carry);
	const taken = listed(false);
	const refused = listed(true);
	return (
		<>
			<form
				className="grid gap-4 sm:grid-cols-[1fr_15rem]"
				onSubmit={(event) => {
					event.preventDefault();
					enter(typed);
				}}
			>
				<div className="space-y-2">
					{asked.map((each) => {
						const large = each.key === "carry_m" ? "text-5xl" : "text-2xl";
						return (
							<div
								key={each.key}
								className={`flex min-h-11 items-baseline gap-3 px-3 ${each.key === field.key ? "bg-base-200" : ""}`}
							>
								<span className="quiet w-20">{each.label}</span>
								{each.key === field.key ? (
									<input
										ref={entry}
										className={`num w-32 bg-transparent font-semibold focus-visible:outline-2 ${large}`}
										inputMode="none"
										aria-label={t("bay-in-2", { label: each.label, unit: each.unit })}
										placeholder="–"
										autoComplete="off"
										value={typed[each.key] ?? ""}
										onChange={(event) => write(event.target.value)}
									/>
								) : (
									<button
										type="button"
										aria-label={t("bay-type-the", { label: each.label.toLowerCase() })}
										className={`num w-32 min-h-11 text-left font-semibold ${large}`}
										onClick={() => setAt(each.key)}
									>
										{typed[each.key] || "–"}
									</button>
								)}
								<span className="quiet">
									{each.unit}
									{each.key === "offline_m" ? (left ? ` ${t("label-left")}` : ` ${t("label-right")}`) : ""}
								</span>
							</div>
						);
					})}
					<Said error={wrong as Error | null} />
					<p role="status" className="quiet text-sm">
						{taken.length > 0 && `${t("bay-typed", { list: taken.join(", ") })} `}
						{refused.length > 0 && `${t("bay-not-taken-in", { list: refused.join(", ") })} `}
						{build.kept > 0 && t("bay-kept-carry", { kept: build.kept, carry: asFar(build.carry_m) })}
					</p>
				</div>
				<div className="grid grid-cols-3 gap-2">
					{PAD.map((key) => (
						<button
							key={key}
							type="button"
							className="btn num h-14 border-base-300 bg-base-100 text-2xl"
							aria-label={key === "⌫" ? t("bay-take-digit-back") : key === "." ? t("bay-point") : key}
							onClick={() => touch(key)}
						>
							{key}
						</button>
					))}
					{wanted.includes("offline_m") && (
						<button
							type="button"
							className="btn col-span-3 h-12 border-base-300 bg-base-100"
							aria-pressed={left}
							onClick={() => setLeft(!left)}
						>
							{left ? t("bay-left-line") : t("bay-right-line")}
						</button>
					)}
					<button type="submit" className="btn btn-primary col-span-3 h-14 text-lg">
						{asked.at(-1)?.key === field.key ? t("bay-take-it-in") : t("label-next")}
					</button>
				</div>
			</form>
			<fieldset className="mt-4 flex flex-wrap gap-2">
				<legend className="quiet mb-1 text-sm">{t("bay-what-screen-shows")}</legend>
				{FIELDS.slice(1).map((each) => (
					<button
						key={each.key}
						type="button"
						aria-pressed={wanted.includes(each.key)}
						className={`btn btn-sm h-11 ${wanted.includes(each.key) ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={() => {
							setWanted(
								wanted.includes(each.key) ? wanted.filter((key) => key !== each.key) : [...wanted, each.key],
							);
							setAt("carry_m");
						}}
					>
						{each.label}
					</button>
				))}
			</fieldset>
		</>
	);
}
