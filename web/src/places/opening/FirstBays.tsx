/** The bays of a new shop and what reads their shots. */
import type { ShopSettings } from "../../api/client";
import { t } from "../../said/words";

type BayRow = ShopSettings["bays"][number];
export type NewBay = Pick<BayRow, "name" | "indoor" | "models_flight" | "shots_by">;

export const SHOTS_BY: Record<BayRow["shots_by"], { name: string; means: string }> = {
	feed: { name: t("opening-sends-them"), means: t("opening-its-program-delivers-each-shot") },
	file: { name: t("opening-writes-file"), means: t("opening-exported-after-club-or-session") },
	typed: { name: t("opening-read-off-its-screen"), means: t("opening-typed-number-pad-two-or") },
};

export function FirstBays({ bays, onChange }: { bays: NewBay[]; onChange: (bays: NewBay[]) => void }) {
	const change = (at: number, over: Partial<NewBay>) =>
		onChange(bays.map((bay, index) => (index === at ? { ...bay, ...over } : bay)));
	return (
		<div className="space-y-3">
			{bays.map((bay, at) => (
				// biome-ignore lint/suspicious/noArrayIndexKey: a bay is its place in the list until it has a name
				<fieldset key={at} className="space-y-3 bg-base-100 p-4">
					<legend className="sr-only">{t("opening-bay", { at: at + 1 })}</legend>
					<div className="flex flex-wrap items-end gap-3">
						<label className="min-w-40 flex-1">
							<span className="quiet block text-sm">{t("opening-called")}</span>
							<input
								className="input h-11 w-full font-semibold"
								required
								maxLength={40}
								value={bay.name}
								onChange={(event) => change(at, { name: event.target.value })}
							/>
						</label>
						<select
							className="select h-11 w-44"
							aria-label={t("opening-where-is", { name: bay.name })}
							value={bay.indoor ? "in" : "out"}
							// What is usual there, until it is said otherwise.
							onChange={({ target }) =>
								change(at, { indoor: target.value === "in", models_flight: target.value === "in" })
							}
						>
							<option value="in">{t("label-indoor-mat")}</option>
							<option value="out">{t("label-outdoor-grass-tee")}</option>
						</select>
						{bays.length > 1 && (
							<button
								type="button"
								className="btn h-11"
								onClick={() => onChange(bays.filter((_, index) => index !== at))}
							>
								{t("label-leave-out")}
							</button>
						)}
					</div>
					<p className="quiet text-sm">{t("opening-how-its-shots-come")}</p>
					<div
						className="grid gap-2 sm:grid-cols-3"
						role="radiogroup"
						aria-label={t("label-how-shots-come", { name: bay.name })}
					>
						{Object.entries(SHOTS_BY).map(([key, words]) => (
							<label
								key={key}
								className={`cursor-pointer border p-3 ${bay.shots_by === key ? "border-base-content" : "border-base-300"}`}
							>
								<span className="flex items-center gap-2 font-semibold">
									<input
										type="radio"
										className="radio radio-sm"
										name={`by-${at}`}
										checked={bay.shots_by === key}
										onChange={() => change(at, { shots_by: key as NewBay["shots_by"] })}
									/>
									{words.name}
								</span>
								<span className="quiet mt-1 block text-sm">{words.means}</span>
							</label>
						))}
					</div>
					<label className="flex min-h-11 items-center gap-3">
						<input
							type="checkbox"
							className="checkbox"
							checked={bay.models_flight}
							onChange={(event) => change(at, { models_flight: event.target.checked })}
						/>
						<span>
							{t("opening-its-monitor-sees-impact-only")}
							<span className="quiet block text-sm">{t("opening-then-carry-height-roll-its")}</span>
						</span>
					</label>
				</fieldset>
			))}
			<button
				type="button"
				className="btn h-11 border-base-300 bg-base-100"
				onClick={() =>
					onChange([
						...bays,
						{
							name: t("opening-bay-2", { bays: bays.length + 1 }),
							indoor: true,
							models_flight: true,
							shots_by: "feed",
						},
					])
				}
			>
				{t("label-one-more-bay")}
			</button>
		</div>
	);
}
