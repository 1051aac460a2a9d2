/** Candidates from the rack: a head with a shaft that fits becomes a build with the next letter. */
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, got, type Rack } from "../../api/client";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { usePutUp } from "../../session/putUp";
import { candidatesOf } from "../../session/select";
import { useFirst } from "../../ui/first";
import { KindSelect } from "../../ui/KindSelect";
import { Letter } from "../../ui/Letter";
import { useMoney } from "../../ui/money";
import { Said, Waiting } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { typedNumber } from "../../ui/typed";
import { fromUnit, lengthText, unit, unitName } from "../../ui/units";

const KINDS: Record<string, string> = {
	driver: t("bag-drivers"),
	fairway: t("label-fairway-woods"),
	hybrid: t("label-hybrids"),
	utility: t("label-utility-irons"),
	iron: t("bag-irons"),
	wedge: t("label-wedges"),
};

const RACK = { queryKey: ["rack"], queryFn: () => got(client.GET("/api/rack")) };

export function RackPicker({
	session,
	act,
	busy,
	onClose,
}: Pick<PlaceProps, "session" | "act" | "busy"> & { onClose: () => void }) {
	const queries = useQueryClient();
	const rack = useQuery(RACK);
	const left = session.customer.hand === "left";
	const [search, setSearch] = useState("");
	const [kind, setKind] = useState("");
	const among = (all: Rack | undefined, text: string) => {
		const words = text.toLowerCase().split(/\s+/).filter(Boolean);
		return (all?.heads ?? []).filter(
			(head) =>
				!head.retired &&
				(left ? head.left_handed : head.right_handed) &&
				(kind === "" || head.head_type === kind) &&
				words.every((word) => said(head).includes(word)),
		);
	};
	const here = among(rack.data, search);
	// What is worked at comes first.
	const kinds = Object.entries(KINDS).sort(
		([one], [other]) =>
			Number(session.bag.end === "short") * (Number(other === "wedge") - Number(one === "wedge")),
	);
	const find = useFirst<HTMLInputElement>(true, true);
	const { put, question } = usePutUp(session, act);
	const firstOf = (heads: Rack["heads"]) =>
		kinds.flatMap(([each]) => heads.filter((head) => head.head_type === each && head.stock !== 0))[0];
	const first = search.trim() === "" ? undefined : firstOf(here);
	/** The first that is found goes up, as its row has it; the next one is searched. Whoever types before the rack is
	 * here, or is gone again by then, has it all the same. */
	const putFirst = async () => {
		// What is not found stays to be put right.
		if (search.trim() === "" || (rack.data && !first)) return;
		setSearch("");
		const all = await queries.ensureQueryData(RACK);
		const head = firstOf(among(all, search));
		const chosen = head && asShipped(head, all.shafts);
		if (chosen) put([chosen]);
		else throw new Error(search);
	};
	return (
		<Sheet title={t("bag-candidates-from-rack")} onClose={onClose} wide>
			<Said error={rack.error} />
			<p className="quiet mb-3">
				{t("bag-pull-different-kinds-about-same", {
					which: session.customer.hand === "left" ? ` ${t("bag-only-left-handed-heads-shown")}` : "",
				})}
			</p>
			{question}
			<form
				className="mb-3 flex flex-wrap items-center gap-2"
				onSubmit={(event) => {
					event.preventDefault();
					void putFirst().catch(() => setSearch((now) => now || search));
				}}
			>
				<input
					ref={find}
					// Not of the kind that Escape only empties: it closes the sheet.
					type="text"
					enterKeyHint="search"
					className="input h-11 w-64"
					aria-label={t("bag-find-head")}
					placeholder={t("bag-find-head")}
					value={search}
					onChange={(event) => setSearch(event.target.value)}
				/>
				<KindSelect kinds={kinds} kind={kind} onKind={setKind} />
				{first && (
					<span className="quiet text-sm pointer-coarse:hidden">
						{t("bag-enter-puts-up", { name: `${first.label} ${first.loft_deg}°` })}
					</span>
				)}
			</form>
			{rack.data ? (
				<div className="space-y-5">
					{here.length === 0 && <p className="quiet">{t("bag-no-such-head")}</p>}
					{kinds.map(([each, title]) => {
						const there = here.filter((head) => head.head_type === each);
						if (there.length === 0) return null;
						return (
							<section key={each}>
								<h3 className="mb-1">{title}</h3>
								<ul className="divide-y divide-base-300 border-y border-base-300">
									{there.map((head) => (
										<HeadRow
											key={head.id}
											head={head}
											rack={rack.data}
											session={session}
											act={act}
											busy={busy}
										/>
									))}
								</ul>
							</section>
						);
					})}
				</div>
			) : (
				<Waiting what={t("label-the-rack")} />
			)}
		</Sheet>
	);
}

/** A head with the shaft and the length that its row begins with; nothing where no shaft fits. */
function asShipped(head: Rack["heads"][number], shafts: Rack["shafts"]) {
	const fitting = shafts.filter((each) => head.shafts.includes(each.id));
	const shaft = fitting[Math.min(1, fitting.length - 1)];
	return shaft && { head: head.id, shaft: shaft.id, set_loft_deg: null, length_m: head.length_m };
}

/** What of a head can be searched for. */
const said = (head: Rack["heads"][number]) =>
	`${head.label} ${head.loft_deg}° ${head.maker} ${head.model} ${head.sole}`.toLowerCase();

type RowProps = Pick<PlaceProps, "session" | "act" | "busy"> & { head: Rack["heads"][number]; rack: Rack };

function HeadRow({ head, rack, session, act, busy }: RowProps) {
	const money = useMoney();
	const fitting = rack.shafts.filter((each) => head.shafts.includes(each.id));
	const [shaft, setShaft] = useState(String(asShipped(head, rack.shafts)?.shaft ?? ""));
	const [inches, setInches] = useState(lengthText(head.length_m));
	const { put, question } = usePutUp(session, act);
	const [wrong, setWrong] = useState<unknown>(null);
	const standing = candidatesOf(session).filter((build) => build.head === head.id);
	return (
		<li className="grid grid-cols-[1fr_15rem_7rem_5rem_6rem] items-center gap-2 py-1.5">
			<span className="flex items-center gap-2">
				<span className="num text-lg">{head.label}</span> <span className="num">{head.loft_deg}°</span>
				<span className="quiet truncate text-sm">
					{head.maker} {head.model},{" "}
					{head.lofts_deg.length
						? t("bag-sleeve-to", { min: Math.min(...head.lofts_deg), max: Math.max(...head.lofts_deg) })
						: t("bag-bonded")}
					{head.sole ? t("label-sole-2", { sole: head.sole }) : ""}
					{head.bounce_deg !== null ? t("bag-bounce", { bounce: head.bounce_deg }) : ""}
				</span>
				{standing.map((build) => (
					<Letter key={build.id} letter={build.letter} size={20} />
				))}
			</span>
			<select
				className="select h-11"
				aria-label={t("bag-shaft-for", { label: head.label })}
				value={shaft}
				onChange={(e) => setShaft(e.target.value)}
			>
				{fitting.map((each) => (
					<option key={each.id} value={each.id}>
						{t("bag-g", { name: each.name, weightG: each.weight_g, flex: each.flex })}
					</option>
				))}
			</select>
			<label className="flex items-center gap-1">
				<input
					className="input h-11 w-20 px-2 text-right"
					inputMode="decimal"
					aria-label={t("bag-length-of-in", { label: head.label, unit: unitName("club_length") })}
					value={inches}
					onChange={(e) => setInches(e.target.value)}
				/>
				<span className="quiet text-sm">{unit("club_length")}</span>
			</label>
			<span className="quiet text-right text-sm">{money(head.price)}</span>
			<button
				type="button"
				className="btn btn-sm h-11"
				aria-label={
					head.stock === 0
						? undefined
						: t("bag-head-on-stand", { label: head.label, maker: head.maker, model: head.model })
				}
				disabled={busy || !shaft || head.stock === 0}
				onClick={() => {
					try {
						const length = typedNumber(inches, "length");
						const length_m = length === null ? null : fromUnit("club_length", length);
						setWrong(null);
						put([{ head: head.id, shaft: Number(shaft), length_m, set_loft_deg: null }]);
					} catch (error) {
						setWrong(error);
					}
				}}
			>
				{head.stock === 0 ? t("bag-none-there") : t("label-on-the-stand")}
			</button>
			<div className="col-span-full empty:hidden">
				{question}
				{wrong !== null && <Said error={wrong} />}
			</div>
		</li>
	);
}
