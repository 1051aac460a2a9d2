/** What the player likes, fears, owns and may spend, and where they play. */
import { type UseFormReturn, useWatch } from "react-hook-form";
import { change } from "../../acts";
import { t } from "../../said/words";
import type { PlaceProps } from "../../session/place";
import { ownOf } from "../../session/select";
import { Fold } from "../../ui/Fold";
import { Caution } from "../../ui/Said";
import { type Fields, HEADS, type HeadKind, type Liking } from "./fields";
import { Pick } from "./Pick";
import { Round } from "./Round";
import { Toggle } from "./Toggle";

type FormProps = { form: UseFormReturn<Fields> };

export function Player({ form }: FormProps) {
	const pain = useWatch({ control: form.control, name: "pain" });
	const miss = useWatch({ control: form.control, name: "miss" });
	return (
		<section className="grid max-w-4xl grid-cols-2 gap-x-6 gap-y-4 md:grid-cols-4">
			<Pick
				label={t("brief-miss-avoid")}
				{...form.register("miss")}
				options={{
					none: t("brief-no-side"),
					left: t("label-left-2"),
					right: t("brief-right"),
					short: t("brief-short"),
					long: t("brief-long"),
				}}
			/>
			{miss !== "none" && (
				<Pick
					label={t("brief-such-shot-costs")}
					{...form.register("fear")}
					options={{
						same: t("brief-no-more-than-any"),
						half: t("brief-half-shot-more"),
						whole: t("brief-whole-shot-more"),
					}}
				/>
			)}
			{miss !== "none" && <FearWith form={form} />}
			<Pick
				label={t("brief-shape-wanted")}
				{...form.register("shape")}
				options={{
					any: t("brief-any"),
					straight: t("brief-straight"),
					draw: t("brief-draw"),
					fade: t("brief-fade"),
				}}
			/>
			<Field label={t("brief-clubs-carried")}>
				<input
					type="number"
					min={1}
					max={20}
					className="input h-11 w-full"
					{...form.register("mostClubs", { valueAsNumber: true })}
				/>
			</Field>
			<Field label={t("brief-budget")}>
				<input
					inputMode="decimal"
					className="input h-11 w-full"
					placeholder={t("brief-none-named")}
					{...form.register("budget")}
				/>
			</Field>
			<label className="col-span-full flex min-h-11 items-center gap-2">
				<input type="checkbox" className="checkbox" {...form.register("pain")} />
				<span>{t("brief-pain-or-injury")}</span>
			</label>
			{pain && (
				<div className="col-span-full">
					<Caution>{t("brief-stop-pain-see-doctor-before")}</Caution>
				</div>
			)}
			<label className="col-span-full block">
				<span className="quiet text-sm">{t("label-notes")}</span>
				<textarea className="textarea field-sizing-content min-h-16 w-full" {...form.register("notes")} />
			</label>
		</section>
	);
}

/** What is asked seldom, folded to what stands in it. */
export function Seldom({ form, session, act }: FormProps & Pick<PlaceProps, "session" | "act">) {
	return (
		<div className="divide-y divide-base-300 border-y border-base-300">
			<Round form={form} brief={session.brief} />
			<Likes form={form} makers={session.brief.makers} />
			<FixedClubs session={session} act={act} />
		</div>
	);
}

const LIKINGS: { id: Liking; name: string }[] = [
	{ id: "liked", name: t("brief-likes-2") },
	{ id: "neutral", name: t("brief-no-wish") },
	{ id: "disliked", name: t("brief-dislikes") },
	{ id: "vetoed", name: t("brief-will-not-play") },
];

/** Some fear a side with one kind of head alone. */
function FearWith({ form }: FormProps) {
	const kinds = useWatch({ control: form.control, name: "fearWith" });
	const turn = (kind: HeadKind) =>
		form.setValue(
			"fearWith",
			kinds.includes(kind) ? kinds.filter((each) => each !== kind) : [...kinds, kind],
		);
	return (
		<div className="col-span-full">
			<p className="quiet mb-1 text-sm">
				{kinds.length ? t("brief-feared-with-these") : t("brief-feared-with-all-clubs")}
			</p>
			<div className="flex flex-wrap gap-2">
				{(Object.keys(HEADS) as HeadKind[]).map((kind) => (
					<Toggle key={kind} on={kinds.includes(kind)} onTurn={() => turn(kind)}>
						{HEADS[kind]}
					</Toggle>
				))}
			</div>
		</div>
	);
}

function Likes({ form, makers }: FormProps & { makers: readonly string[] }) {
	const likes = useWatch({ control: form.control, name: "makerLikes" });
	const shown = makers.filter((maker) => likes[maker]);
	const options = Object.fromEntries(LIKINGS.map((each) => [each.id, each.name]));
	const say = (maker: string, liking: Liking) => form.setValue("makerLikes", { ...likes, [maker]: liking });
	const heads = useWatch({ control: form.control, name: "likes" });
	const said = [
		...(Object.keys(HEADS) as HeadKind[]).map((head) => [HEADS[head], heads[head]] as const),
		...shown.map((maker) => [maker, likes[maker] ?? "neutral"] as const),
	]
		.filter(([, liking]) => liking !== "neutral")
		.map(([what, liking]) => `${options[liking]} ${what}`);
	return (
		<Fold title={t("brief-likes-and-dislikes")} stands={said.join(", ") || t("brief-no-wish")}>
			<fieldset className="grid gap-x-6 gap-y-2 sm:grid-cols-3">
				{(Object.keys(HEADS) as HeadKind[]).map((head) => (
					<Pick key={head} label={HEADS[head]} {...form.register(`likes.${head}`)} options={options} />
				))}
				{shown.map((maker) => (
					<Pick
						key={maker}
						label={maker}
						value={likes[maker]}
						onChange={({ target }) => say(maker, target.value as Liking)}
						options={options}
					/>
				))}
				{makers.length > shown.length && (
					<Pick
						label={t("brief-a-maker")}
						value=""
						onChange={({ target }) => say(target.value, "liked")}
						options={{
							"": t("brief-add-one"),
							...Object.fromEntries(makers.filter((each) => !likes[each]).map((each) => [each, each])),
						}}
					/>
				)}
			</fieldset>
		</Fold>
	);
}

/** The clubs that stay whatever is found. */
function FixedClubs({ session, act }: Pick<PlaceProps, "session" | "act">) {
	const clubs = ownOf(session);
	const fixed = clubs.filter((club) => club.fixed);
	return (
		<Fold
			title={t("brief-clubs-that-stay")}
			stands={fixed.map((club) => club.name).join(", ") || t("brief-none-fixed")}
		>
			<p className="quiet text-sm">{t("brief-fixed-clubs-these-stay-bag")}</p>
			{clubs.length === 0 && <p className="quiet">{t("brief-once-bag-known-its-clubs")}</p>}
			<div className="flex flex-wrap gap-2">
				{clubs.map((club) => (
					<Toggle
						key={club.id}
						on={club.fixed}
						onTurn={() => act(() => change.club(club.id, { fixed: !club.fixed }))}
					>
						{club.name}
					</Toggle>
				))}
			</div>
		</Fold>
	);
}

function Field({ label, children }: { label: string; children: React.ReactNode }) {
	return (
		// biome-ignore lint/a11y/noLabelWithoutControl: the control is the child
		<label className="block">
			<span className="quiet text-sm">{label}</span>
			{children}
		</label>
	);
}
