/** A set of irons ordered with the one that was hit: which heads, how they are bent, what they should do. */
import type { Choice, Handover } from "../../api/client";
import type { SetAsked } from "../../api/session";
import { t } from "../../said/words";
import { Letter } from "../../ui/Letter";
import { asFar, figure, lengthText, signed, unit } from "../../ui/units";

type Offer = Handover["sets"][number];
type Ordered = NonNullable<Choice["set"]>;
type Head = Offer["heads"][number];

const MOST_DEG = 2;

/** The set that is offered with one of the builds that come in. */
export const offerOf = (handover: Handover, builds: number[]): Offer | undefined =>
	handover.sets.find((each) => builds.includes(each.build));

const usualOf = (offer: Offer): SetAsked => ({
	build: offer.build,
	heads: offer.usual.map((head) => ({ head, bend_deg: 0 })),
	loft_deg: offer.loft_deg,
	lie_deg: offer.lie_deg,
});

/** As it was asked for when it was agreed. */
export const askedOf = (ordered: Ordered): SetAsked => ({
	build: ordered.build,
	heads: ordered.clubs.map((each) => ({ head: each.head, bend_deg: each.own_bend_deg })),
	loft_deg: ordered.loft_deg,
	lie_deg: ordered.lie_deg,
});

export function SetOrder({
	offer,
	asked,
	ordered,
	onChange,
}: {
	offer: Offer;
	asked: SetAsked | null;
	ordered: Ordered | null;
	onChange: (asked: SetAsked | null) => void;
}) {
	return (
		<section className="space-y-3" aria-label={t("handover-set")}>
			<label className="flex min-h-11 cursor-pointer items-center gap-3">
				<input
					type="checkbox"
					className="checkbox"
					checked={asked !== null}
					onChange={() => onChange(asked ? null : usualOf(offer))}
				/>
				<span className="text-lg font-semibold">{t("handover-order-with-its-set")}</span>
			</label>
			{asked && (
				<>
					<div className="flex flex-wrap gap-x-8 gap-y-2">
						<Through
							name={t("handover-loft-through")}
							value={asked.loft_deg}
							onChange={(loft_deg) => onChange({ ...asked, loft_deg })}
							says={(by, weaker) => (weaker ? t("handover-weaker", { by }) : t("handover-stronger", { by }))}
						/>
						<Through
							name={t("handover-lie-through")}
							value={asked.lie_deg}
							onChange={(lie_deg) => onChange({ ...asked, lie_deg })}
							says={(by, upright) =>
								upright ? t("handover-upright", { by }) : t("handover-flatter", { by })
							}
						/>
					</div>
					{ordered && <SetWords ordered={ordered} />}
					<Choosing offer={offer} asked={asked} ordered={ordered} onChange={onChange} />
				</>
			)}
		</section>
	);
}

/** What to hit first, and what to look at before it is ordered. */
function SetWords({ ordered }: { ordered: Ordered }) {
	return (
		<div className="space-y-1 text-[15px]">
			<p className="font-semibold">{ordered.first}</p>
			<ul className="space-y-1">
				{ordered.remarks.map((each) => (
					<li key={each}>{each}</li>
				))}
			</ul>
		</div>
	);
}

function Through({
	name,
	value,
	onChange,
	says,
}: {
	name: string;
	value: number;
	onChange: (value: number) => void;
	/** How far it is bent, in words: which way by its sign. */
	says: (by: number, up: boolean) => string;
}) {
	const said = value === 0 ? t("handover-as-made") : says(Math.abs(value), value > 0);
	return (
		<div className="flex items-center gap-2">
			<span className="quiet">{name}</span>
			<Steps name={name} value={value} by={1} onChange={onChange}>
				<span className="num min-w-28 text-center font-semibold">{said}</span>
			</Steps>
		</div>
	);
}

function Steps({
	name,
	value,
	by,
	most = MOST_DEG,
	onChange,
	children,
}: {
	name: string;
	value: number;
	by: number;
	most?: number;
	onChange: (value: number) => void;
	children: React.ReactNode;
}) {
	const button = (sign: -1 | 1) => (
		<button
			type="button"
			className="btn h-11 w-11 border-base-300 bg-base-100 p-0 text-lg"
			aria-label={sign < 0 ? t("handover-less", { name }) : t("handover-more", { name })}
			disabled={Math.abs(value + sign * by) > most}
			onClick={() => onChange(value + sign * by)}
		>
			{sign < 0 ? "−" : "+"}
		</button>
	);
	return (
		<span className="flex items-center gap-1">
			{button(-1)}
			{children}
			{button(1)}
		</span>
	);
}

/** Every number the rack has, each with the model it is ordered of or none. */
function Choosing({
	offer,
	asked,
	ordered,
	onChange,
}: {
	offer: Offer;
	asked: SetAsked;
	ordered: Ordered | null;
	onChange: (asked: SetAsked) => void;
}) {
	const numbers = [
		...new Set([...offer.heads].sort((a, b) => a.loft_deg - b.loft_deg).map((each) => each.number)),
	];
	const choose = (there: Head[], now: number | null) =>
		onChange({
			...asked,
			heads: [
				...asked.heads.filter((each) => !there.some((head) => head.id === each.head)),
				...(now === null ? [] : [{ head: now, bend_deg: 0 }]),
			],
		});
	return (
		<table className="table w-full">
			<HeadRow />
			<tbody>
				{numbers.map((number) => {
					const there = offer.heads.filter((each) => each.number === number);
					const wanted = asked.heads.find((each) => there.some((head) => head.id === each.head));
					const line = ordered?.clubs.find((each) => each.head === wanted?.head);
					const head = there.find((each) => each.id === wanted?.head);
					return (
						<tr key={number} className={wanted ? "" : "quiet"}>
							<th scope="row" className="font-semibold">
								{line?.hit ? <Letter letter={ordered?.letter ?? ""} size={22} /> : number}
							</th>
							<td>
								<select
									className="select h-11 w-full min-w-32 max-w-52"
									aria-label={t("handover-model-of", { number })}
									value={wanted?.head ?? ""}
									disabled={wanted?.head === offer.head}
									onChange={(event) => choose(there, event.target.value ? Number(event.target.value) : null)}
								>
									<option value="">{t("handover-not-ordered")}</option>
									{there.map((head) => (
										<option key={head.id} value={head.id}>
											{head.model} {head.label}
										</option>
									))}
								</select>
							</td>
							<td className="py-0">
								{wanted && head && (
									<Steps
										name={t("handover-loft-of", { number })}
										value={wanted.bend_deg}
										by={0.5}
										most={head.most_bend_deg}
										onChange={(bend_deg) =>
											onChange({
												...asked,
												heads: asked.heads.map((each) => (each === wanted ? { ...each, bend_deg } : each)),
											})
										}
									>
										<span className="num w-14 text-center">
											{figure(line?.loft_deg ?? head.loft_deg + wanted.bend_deg, 1)}°
										</span>
									</Steps>
								)}
							</td>
							{line ? <Figures line={line} /> : <td colSpan={4} />}
						</tr>
					);
				})}
			</tbody>
		</table>
	);
}

function HeadRow() {
	return (
		<thead>
			<tr>
				<th>{t("label-club")}</th>
				<th>{t("handover-model")}</th>
				<th className="text-center">{t("label-loft")}</th>
				<th className="text-right">{t("label-lie")}</th>
				<th className="text-right">{t("label-length")}</th>
				<th className="text-right">{t("label-carry", { unit: unit("far") })}</th>
				<th className="text-right">{t("handover-step", { unit: unit("far") })}</th>
			</tr>
		</thead>
	);
}

function Figures({ line }: { line: Ordered["clubs"][number] }) {
	return (
		<>
			<td className="num pl-2 text-right">{line.lie_deg === null ? "" : `${figure(line.lie_deg, 1)}°`}</td>
			<td className="num text-right">{lengthText(line.length_m)}</td>
			<td className="num text-right">
				<span className="text-lg font-semibold">{asFar(line.carry_m)}</span>{" "}
				<span className="quiet text-sm">± {asFar(line.doubt_m)}</span>
			</td>
			<td className="num text-right">{line.step_m === null ? "" : asFar(line.step_m)}</td>
		</>
	);
}

/** A set as it was agreed. */
export function SetTable({ ordered }: { ordered: Ordered }) {
	return (
		<section className="overflow-x-auto">
			<h3 className="mb-1 text-lg">{t("handover-set-ordered")}</h3>
			<table className="table w-full">
				<HeadRow />
				<tbody>
					{ordered.clubs.map((line) => (
						<tr key={line.head}>
							<th scope="row" className="font-semibold">
								{line.name}
							</th>
							<td>{line.model}</td>
							<td className="num text-center">
								{figure(line.loft_deg, 1)}°{line.bent_deg ? ` (${signed(line.bent_deg)}°)` : ""}
							</td>
							<Figures line={line} />
						</tr>
					))}
				</tbody>
			</table>
			<p className="mt-2 text-[15px] font-semibold">{ordered.first}</p>
		</section>
	);
}
