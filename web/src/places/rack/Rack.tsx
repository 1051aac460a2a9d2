/** The rack: every head and shaft the shop can hand to a player, with how each did here. The owner keeps it. */
import "../../said/rest";

import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { client, got } from "../../api/client";
import { VOCABULARY } from "../../api/vocabulary";
import { termOf } from "../../api/words";
import { ShopFrame } from "../../app/ShopFrame";
import { Worded } from "../../said/Worded";
import { t } from "../../said/words";
import { usePartInAddress } from "../../ui/address";
import { KindSelect } from "../../ui/KindSelect";
import { useMoney } from "../../ui/money";
import { Said, Waiting } from "../../ui/Said";
import { Term } from "../../ui/Term";
import { lengthText, unit } from "../../ui/units";
import type { Head, Shaft } from "./change";
import { HeadForm, ShaftForm } from "./Forms";
import { RackFile } from "./RackFile";
import { StartRack } from "./StartRack";

const PARTS = { heads: t("rack-heads"), shafts: t("rack-shafts") };
type Open = { head: Head | null } | { shaft: Shaft | null } | { file: "heads" | "shafts" } | null;

export default function Rack() {
	const rack = useQuery({ queryKey: ["rack"], queryFn: () => got(client.GET("/api/rack")) });
	const [part, setPart] = usePartInAddress("part", ["heads", "shafts"] as const, "heads");
	const [kind, setKind] = useState<string>("");
	const [off, setOff] = useState(false);
	const [open, setOpen] = useState<Open>(null);
	const close = () => setOpen(null);
	if (!rack.data) return rack.isError ? <Said error={rack.error} /> : <Waiting what={t("label-the-rack")} />;
	const { heads, shafts, may_change } = rack.data;
	const shown = heads.filter((head) => head.retired === off && (kind === "" || head.head_type === kind));
	const kinds = Object.entries(VOCABULARY.heads).filter(([each]) =>
		heads.some((head) => head.head_type === each),
	);
	return (
		<ShopFrame
			at="/rack"
			title={t("label-rack")}
			intro={<Worded id="intro-rack" drawn={{ build: <Term of="build" />, visit: <Term of="visit" /> }} />}
		>
			<div className="mb-3 flex flex-wrap items-center gap-2">
				<div className="join" role="tablist" aria-label={t("rack-what-rack")}>
					{(["heads", "shafts"] as const).map((each) => (
						<button
							key={each}
							type="button"
							role="tab"
							aria-selected={part === each}
							className={`btn join-item h-11 capitalize ${part === each ? "btn-primary" : "border-base-300 bg-base-100"}`}
							onClick={() => setPart(each)}
						>
							{PARTS[each]}
						</button>
					))}
				</div>
				{part === "heads" && <KindSelect kinds={kinds} kind={kind} onKind={setKind} />}
				<label className="flex min-h-11 items-center gap-2">
					<input
						type="checkbox"
						className="checkbox checkbox-sm"
						checked={off}
						onChange={(event) => setOff(event.target.checked)}
					/>
					{t("rack-taken-off")}
				</label>
				<span className="flex-1" />
				<a className="btn h-11" href={`/api/rack/${part}.csv`} download>
					{t("rack-write-out-csv")}
				</a>
				{may_change && (
					<>
						<button type="button" className="btn h-11" onClick={() => setOpen({ file: part })}>
							{t("rack-bring-csv")}
						</button>
						<button
							type="button"
							className="btn btn-primary h-11"
							onClick={() => setOpen(part === "heads" ? { head: null } : { shaft: null })}
						>
							{part === "heads" ? t("rack-add-head") : t("rack-add-shaft")}
						</button>
					</>
				)}
			</div>
			{!may_change && <p className="quiet mb-2">{t("label-only-owner-changes-what-here")}</p>}
			{heads.length === 0 && may_change ? (
				<StartRack />
			) : part === "heads" ? (
				<Heads heads={shown} mayChange={may_change} onOpen={(head) => setOpen({ head })} />
			) : (
				<Shafts
					shafts={shafts.filter((shaft) => shaft.retired === off)}
					mayChange={may_change}
					onOpen={(shaft) => setOpen({ shaft })}
				/>
			)}
			{open && "head" in open && <HeadForm head={open.head} onClose={close} />}
			{open && "shaft" in open && <ShaftForm shaft={open.shaft} onClose={close} />}
			{open && "file" in open && <RackFile what={open.file} onClose={close} />}
		</ShopFrame>
	);
}

const dash = (value: number | null, unit = "") => (value === null ? "–" : `${value}${unit}`);

/** How a head turns, in a few words. */
export const hosel = (head: Head): string =>
	head.positions.length
		? t("rack-positions-to", {
				positions: head.positions.length,
				min: Math.min(...head.lofts_deg),
				max: Math.max(...head.lofts_deg),
			})
		: head.sleeve_deg
			? t("rack-turns", { sleeve: head.sleeve_deg })
			: t("rack-bonded");

/** How a head did in this shop beside what was expected of it. */
export function did({ history }: Head): string {
	if (history.players === 0) return "";
	const said = [
		t("rack-hit-by", { players: history.players }),
		history.won ? t("rack-chosen-once", { won: history.won }) : t("rack-never-chosen"),
	];
	const faster = Math.round((history.speed_share ?? 0) * 1000) / 10;
	if (Math.abs(faster) >= 0.5)
		said.push(
			t("rack-than-expected", {
				faster: Math.abs(faster),
				which: faster > 0 ? t("rack-faster") : t("rack-slower"),
			}),
		);
	const higher = Math.round((history.launch_deg ?? 0) * 10) / 10;
	if (Math.abs(higher) >= 0.5) said.push(`${Math.abs(higher)}° ${higher > 0 ? "higher" : "lower"}`);
	return said.join(", ");
}

function Heads({
	heads,
	mayChange,
	onOpen,
}: {
	heads: Head[];
	mayChange: boolean;
	onOpen: (head: Head) => void;
}) {
	const money = useMoney();
	if (heads.length === 0) return <p className="quiet">{t("rack-nothing-here")}</p>;
	return (
		<section className="table-scroll bg-base-100" aria-label={t("rack-heads")} tabIndex={0}>
			<table className="table-plain w-full">
				<thead>
					<tr>
						<th scope="col" className="pl-3!">
							{t("rack-head")}
						</th>
						<th scope="col">{t("label-loft")}</th>
						<th scope="col">{t("label-lie")}</th>
						<th scope="col">{t("label-length")}</th>
						<th scope="col">{t("rack-hosel")}</th>
						<th scope="col">{t("label-bounce")}</th>
						<th scope="col">{t("label-hand")}</th>
						<th scope="col">{t("rack-in-stock")}</th>
						<th scope="col">{t("label-price")}</th>
						<th scope="col">{t("rack-here")}</th>
					</tr>
				</thead>
				<tbody>
					{heads.map((head) => (
						<tr key={head.id} className="border-t border-base-300">
							<td className="pl-3!">
								<button
									type="button"
									className={`min-h-11 text-left ${mayChange ? "cursor-pointer underline" : ""}`}
									disabled={!mayChange}
									onClick={() => onOpen(head)}
								>
									<span className="num">{head.label}</span> {head.maker} {head.model}
								</button>
								<span className="quiet block text-[13px]">
									{VOCABULARY.heads[head.head_type]}
									{head.sole ? t("label-sole-2", { sole: head.sole }) : ""}
									{head.made === "unknown" ? "" : `, ${termOf("made", head.made)}`}
								</span>
							</td>
							<td className="num">{head.loft_deg}°</td>
							<td>{dash(head.lie_deg, "°")}</td>
							<td>
								{lengthText(head.length_in * 0.0254)} {unit("club_length")}
							</td>
							<td>{hosel(head)}</td>
							<td>{dash(head.bounce_deg, "°")}</td>
							<td>{termOf("side", head.hand)}</td>
							<td className={head.stock ? "" : "hole-text font-semibold"}>{head.stock || t("label-none")}</td>
							<td className="num">{money(head.price)}</td>
							<td className="quiet text-[13.5px] whitespace-normal!">{did(head)}</td>
						</tr>
					))}
				</tbody>
			</table>
		</section>
	);
}

function Shafts({
	shafts,
	mayChange,
	onOpen,
}: {
	shafts: Shaft[];
	mayChange: boolean;
	onOpen: (shaft: Shaft) => void;
}) {
	if (shafts.length === 0) return <p className="quiet">{t("rack-nothing-here")}</p>;
	return (
		<section className="table-scroll bg-base-100" aria-label={t("rack-shafts")} tabIndex={0}>
			<table className="table-plain w-full">
				<thead>
					<tr>
						<th scope="col" className="pl-3!">
							{t("label-shaft")}
						</th>
						<th scope="col">{t("rack-weight")}</th>
						<th scope="col">{t("rack-flex")}</th>
						<th scope="col">{t("rack-bend")}</th>
						<th scope="col">{t("rack-material")}</th>
						<th scope="col">{t("rack-tip")}</th>
						<th scope="col">{t("rack-balance")}</th>
						<th scope="col">{t("rack-goes-into")}</th>
						<th scope="col">{t("rack-in-stock")}</th>
					</tr>
				</thead>
				<tbody>
					{shafts.map((shaft) => (
						<tr key={shaft.id} className="border-t border-base-300">
							<td className="pl-3!">
								<button
									type="button"
									className={`min-h-11 text-left ${mayChange ? "cursor-pointer underline" : ""}`}
									disabled={!mayChange}
									onClick={() => onOpen(shaft)}
								>
									{shaft.name}
								</button>
							</td>
							<td className="num">{t("rack-g", { weightG: shaft.weight_g })}</td>
							<td>{shaft.flex}</td>
							<td>{shaft.bend === "unknown" ? "–" : shaft.bend}</td>
							<td>{shaft.material}</td>
							<td>{t("rack-in", { tipIn: shaft.tip_in.toFixed(3) })}</td>
							<td>{shaft.balance === null ? "–" : `${Math.round(shaft.balance * 100)}%`}</td>
							<td>{shaft.fits.map((each) => VOCABULARY.heads[each]).join(", ")}</td>
							<td className={shaft.stock ? "" : "hole-text font-semibold"}>
								{shaft.stock || t("label-none")}
							</td>
						</tr>
					))}
				</tbody>
			</table>
		</section>
	);
}
