/** The wedges laid out: what each is used for and how often, what it is, what bothers the player with it. */
import { useState } from "react";
import { type UseFormReturn, useWatch } from "react-hook-form";
import { change } from "../../acts";
import type { Build, Session } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { termOf } from "../../api/words";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { ownOf } from "../../session/select";
import { Said } from "../../ui/Said";
import { typedNumber } from "../../ui/typed";
import { figure } from "../../ui/units";
import type { BagEnd, Fields } from "./fields";
import { Pick } from "./Pick";

type Props = { form: UseFormReturn<Fields>; session: Session; act: PlaceProps["act"] };

const ENDS: Record<BagEnd, string> = {
	long: t("brief-long-end"),
	short: t("brief-the-wedges"),
	whole: t("brief-both-ends"),
};
const USES: readonly string[] = VOCABULARY.wedgeUses;
const COMPLAINTS: Record<string, string> = VOCABULARY.complaints;
const WISHES: Record<string, string> = VOCABULARY.wedgeWishes;
const DELIVERIES: Record<string, string> = VOCABULARY.deliveries;

export function EndPick({ form }: { form: UseFormReturn<Fields> }) {
	const end = useWatch({ control: form.control, name: "end" });
	return (
		<section aria-label={t("brief-which-end")} className="flex flex-wrap items-center gap-2">
			<h2 className="mr-2 text-lg">{t("brief-which-end-2")}</h2>
			{(Object.keys(ENDS) as BagEnd[]).map((each) => (
				<button
					key={each}
					type="button"
					aria-pressed={end === each}
					className={`btn btn-sm h-11 ${end === each ? "btn-primary" : "border-base-300 bg-base-100"}`}
					onClick={() => form.setValue("end", each)}
				>
					{ENDS[each]}
				</button>
			))}
		</section>
	);
}

export function Wedges({ form, session, act }: Props) {
	const [end, wishes] = useWatch({ control: form.control, name: ["end", "wedgeWishes"] });
	const wedges = ownOf(session).filter((build) => build.head_type === "wedge");
	if (end === "long" || (wedges.length === 0 && end !== "short")) return null;
	const flip = (wish: string) =>
		form.setValue(
			"wedgeWishes",
			wishes.includes(wish) ? wishes.filter((each) => each !== wish) : [...wishes, wish],
		);
	return (
		<section aria-label={t("label-wedges")} className="max-w-4xl">
			<h2 className="mb-2 text-lg">{t("brief-the-wedges")}</h2>
			<div className="mb-2 flex flex-wrap items-center gap-2">
				<span className="quiet mr-1 text-sm">{t("brief-wanted")}</span>
				{Object.entries(WISHES).map(([wish, words]) => (
					<button
						key={wish}
						type="button"
						aria-pressed={wishes.includes(wish)}
						className={`btn btn-sm h-11 ${wishes.includes(wish) ? "btn-primary" : "border-base-300 bg-base-100"}`}
						onClick={() => flip(wish)}
					>
						{words}
					</button>
				))}
			</div>
			{Object.entries(session.brief.wish_leads).map(([wish, leads]) => (
				<p key={wish} className="quiet text-sm">
					{leads}
				</p>
			))}
			<div className="my-3 flex flex-wrap items-center gap-x-4 gap-y-1">
				<span className="text-sm">
					<span className="quiet">{t("brief-delivery")}</span> {session.brief.delivered.sentence}
				</span>
				<Pick
					inline
					label={t("brief-divots")}
					{...form.register("delivery")}
					options={{ "": t("brief-not-called"), ...DELIVERIES }}
				/>
			</div>
			{wedges.length === 0 ? (
				<p className="quiet">{t("brief-no-wedge-bag-yet-add")}</p>
			) : (
				<ul className="divide-y divide-base-300 border-y border-base-300">
					{wedges.map((build) => (
						<Wedge key={build.id} build={build} act={act} />
					))}
				</ul>
			)}
		</section>
	);
}

/** A figure of a wedge that is typed and sent when it is left. emptied: what an emptied one says; without it the figure
 * that was there stays. What is no number is said and stays as it was typed. */
function Cell({
	label,
	now,
	unit,
	wide = "w-14",
	emptied = null,
	onSet,
	onWrong,
}: {
	label: string;
	now: number | null;
	unit?: string;
	wide?: string;
	emptied?: number | null;
	onSet: (value: number) => void;
	onWrong: (error: unknown) => void;
}) {
	const shown = now === null ? "" : figure(now, 1).replace(/\.0$/, "");
	return (
		<label className="text-sm">
			<span className="quiet block text-[12.5px]">
				{label}
				{unit && ` ${unit}`}
			</span>
			<input
				key={shown}
				className={`input h-11 px-1.5 text-right ${wide}`}
				inputMode="decimal"
				defaultValue={shown}
				onBlur={(event) => {
					if (event.target.value.trim() === shown) return onWrong(null);
					try {
						const value = typedNumber(event.target.value, label.toLowerCase()) ?? emptied;
						onWrong(null);
						if (value === null) event.target.value = shown;
						else onSet(value);
					} catch (error) {
						onWrong(error);
					}
				}}
			/>
		</label>
	);
}

function Wedge({ build, act }: { build: Build; act: PlaceProps["act"] }) {
	const [wrong, setWrong] = useState<unknown>(null);
	const state = (body: Parameters<typeof change.state>[1]) => act(() => change.state(build.id, body));
	// Shown at once, so that the next one adds to it before the server has answered.
	const complain = (what: Build["complaints"][number]) => {
		const now = build.complaints;
		const complaints = now.includes(what) ? now.filter((each) => each !== what) : [...now, what];
		act(() => change.state(build.id, { complaints }));
	};
	return (
		<li className="py-2">
			<div className="flex flex-wrap items-end gap-x-2 gap-y-2">
				<span className="min-w-16 pb-1.5 text-lg font-semibold break-words">{build.name}</span>
				<Cell
					label={t("label-loft")}
					unit="°"
					now={build.set_loft_deg}
					onSet={(value) => state({ set_loft_deg: value })}
					onWrong={setWrong}
				/>
				<Cell
					label={t("label-bounce")}
					unit="°"
					now={build.bounce_deg}
					onSet={(value) => state({ bounce_deg: value })}
					onWrong={setWrong}
				/>
				<label className="text-sm">
					<span className="quiet block text-[12.5px]">{t("label-sole")}</span>
					<input
						key={build.sole}
						className="input h-11 w-20 px-1.5"
						maxLength={40}
						defaultValue={build.sole}
						onBlur={(event) => event.target.value !== build.sole && state({ sole: event.target.value })}
					/>
				</label>
				<label className="text-sm">
					<span className="quiet block text-[12.5px]">{t("label-finish")}</span>
					<select
						className="select h-11 w-24 ps-1.5 pe-5"
						value={build.finish ?? ""}
						onChange={(event) =>
							event.target.value && state({ finish: event.target.value as NonNullable<Build["finish"]> })
						}
					>
						<option value="">–</option>
						{VOCABULARY.finishes.map((each) => (
							<option key={each} value={each}>
								{termOf("finish", each)}
							</option>
						))}
					</select>
				</label>
				<Cell
					label={t("label-age")}
					unit={t("bag-rounds")}
					now={build.age_rounds}
					wide="w-18"
					onSet={(value) => state({ age_rounds: Math.round(value) })}
					onWrong={setWrong}
				/>
				<fieldset className="flex items-end gap-1.5 border-l border-base-300 pl-2">
					<legend className="sr-only">{t("brief-times-round-3", { name: build.name })}</legend>
					{USES.map((use) => (
						<Cell
							key={use}
							label={termOf("use", use)}
							now={build.uses[use] ?? null}
							wide="w-11"
							emptied={0}
							onSet={(value) => state({ uses: { [use]: value } })}
							onWrong={setWrong}
						/>
					))}
					<span className="quiet pb-2 text-[12.5px]">{t("label-a-round")}</span>
				</fieldset>
			</div>
			<Said error={wrong} />
			<div className="mt-1.5 flex flex-wrap items-center gap-2">
				<span className="quiet w-16 text-sm">{t("brief-bothers")}</span>
				{(Object.entries(COMPLAINTS) as [Build["complaints"][number], string][]).map(([what, words]) => {
					const said = build.complaints.includes(what);
					return (
						<button
							key={what}
							type="button"
							aria-pressed={said}
							className={`btn btn-sm h-11 px-3 ${said ? "btn-primary" : "border-base-300 bg-base-100 font-normal"}`}
							onClick={() => complain(what)}
						>
							{words.replace(/^its? /, "")}
						</button>
					);
				})}
			</div>
			{build.kept_for && (
				<p className="quiet mt-1 text-sm">
					{t("brief-kept-for-near-its-neighbour", { keptFor: build.kept_for })}
				</p>
			)}
		</li>
	);
}
