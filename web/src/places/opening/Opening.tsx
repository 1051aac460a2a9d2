/** The first page of a shop of one's own: what it is called, who owns it, its ground, its bays and their monitors; then
 * the rack. One step each; everything is changed later on the Shop page. */
import "../../said/rest";

import { useMutation, useQuery } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { Link, Navigate, useNavigate } from "react-router";
import { client, type Firmness, got, type Me, Problem } from "../../api/client";
import { forgetOnDevice } from "../../api/onDevice";
import { t } from "../../said/words";
import { Currency } from "../../ui/Currency";
import { forgetDrafts, useDrafted } from "../../ui/draft";
import { Mark } from "../../ui/Mark";
import { Said } from "../../ui/Said";
import { StartRack } from "../rack/StartRack";
import { FirstBays, type NewBay } from "./FirstBays";

const FORM = "opening";
const GROUND: { id: Firmness; name: string; means: string }[] = [
	{ id: "soft", name: t("label-soft"), means: t("opening-balls-stop-near-where-they") },
	{ id: "medium", name: t("label-medium"), means: t("opening-balls-run-out-as-usual") },
	{ id: "firm", name: t("label-firm"), means: t("opening-balls-run-far-long-shot") },
];
const STEPS = [t("label-shop"), t("label-you"), t("label-ground"), t("label-bays"), t("label-rack")] as const;
/** Where a problem is put right. */
const STEP_OF: Record<string, number> = {
	name: 0,
	city: 0,
	currency: 0,
	owner: 1,
	first_name: 1,
	last_name: 1,
	username: 1,
	password: 1,
	ground: 2,
	bays: 3,
};

export default function Opening({ me }: { me: Me }) {
	const navigate = useNavigate();
	// It came with the address, where a reload finds it again; once the shop is open it opens nothing.
	const [code] = useState(() => decodeURIComponent(window.location.hash.slice(1)));
	const opening = useQuery({ queryKey: ["opening"], queryFn: () => got(client.GET("/api/opening")) });
	// Its owner is signed in: what is left is the rack.
	const opened = me.signed_in && !me.demo;
	const [step, setStep] = useState(opened ? 4 : 0);
	const [name, setName] = useDrafted(FORM, "name", "");
	const [city, setCity] = useDrafted(FORM, "city", "");
	const [currency, setCurrency] = useDrafted(FORM, "currency", "GBP");
	const [owner, setOwner] = useDrafted(FORM, "owner", "");
	const [username, setUsername] = useDrafted(FORM, "username", "");
	const [password, setPassword] = useState(""); // nowhere but here
	const [ground, setGround] = useDrafted<Firmness>(FORM, "ground", "medium");
	const [bays, setBays] = useDrafted<NewBay[]>(FORM, "bays", [
		{ name: t("opening-bay-1"), indoor: true, models_flight: true, shots_by: "feed" },
	]);
	const open = useMutation({
		mutationFn: () =>
			got(
				client.POST("/api/opening", {
					body: { code, name, city, currency, owner, username, password, ground, bays },
				}),
			),
		onSuccess: async () => {
			// The owner begins anew: nothing of the demo is theirs.
			forgetDrafts();
			await forgetOnDevice();
			window.location.assign("/open");
		},
		onError: (error) => {
			const at =
				error instanceof Problem && error.field ? STEP_OF[error.field.split(".")[0] ?? ""] : undefined;
			if (at !== undefined) setStep(at);
		},
	});
	if (opened && me.role !== "owner") return <Navigate to="/" replace />;
	if (!opening.data && step < 4) return <Around>{<Said error={opening.error} />}</Around>;
	if (opening.data && !opening.data.possible && step < 4)
		return (
			<Around>
				<p className="text-lg">{t("opening-shop-installation-open-already")}</p>
				<Link to="/" className="btn btn-primary h-12">
					{t("opening-to-the-sign-in")}
				</Link>
			</Around>
		);
	if (opening.data && !opening.data.allowed && !code && step < 4)
		return (
			<Around>
				<p className="text-lg">{t("opening-open-page-with-address-start")}</p>
				<p className="num quiet">{t("opening-hemicycle-start-own")}</p>
			</Around>
		);
	const onwards = () => (step === 3 ? open.mutate() : setStep(step + 1));
	return (
		<Around at={step}>
			{step < 4 ? (
				<form
					key={step}
					className="space-y-5"
					onSubmit={(event) => {
						event.preventDefault();
						onwards();
					}}
				>
					{step === 0 && (
						<>
							<Field label={t("opening-what-your-shop-called-stands")}>
								<Text value={name} onChange={setName} first required most={80} />
							</Field>
							<Field label={t("label-where-it-is")}>
								<Text value={city} onChange={setCity} most={80} />
							</Field>
							<Currency
								label={t("opening-currency-your-prices")}
								value={currency}
								onChange={setCurrency}
								large
							/>
						</>
					)}
					{step === 1 && (
						<>
							<Field label={t("opening-your-name-as-customers-read")}>
								<Text value={owner} onChange={setOwner} first required most={100} />
							</Field>
							<Field label={t("opening-sign-as-one-word")}>
								<Text value={username} onChange={setUsername} required most={100} complete="username" />
							</Field>
							<Field label={t("opening-password-ten-characters-least")}>
								<input
									type="password"
									className="input h-12 w-full text-lg"
									autoComplete="new-password"
									required
									minLength={10}
									value={password}
									onChange={(event) => setPassword(event.target.value)}
								/>
							</Field>
							<p className="quiet text-sm">
								{t("opening-nobody-can-read-back-if", { username: username || t("opening-name") })}
							</p>
						</>
					)}
					{step === 2 && (
						<fieldset className="space-y-2">
							<legend className="mb-2 text-lg">{t("opening-what-your-customers-mostly-play")}</legend>
							{GROUND.map((each) => (
								<label
									key={each.id}
									className={`flex min-h-14 cursor-pointer items-center gap-3 border p-3 ${ground === each.id ? "border-base-content bg-base-100" : "border-base-300"}`}
								>
									<input
										type="radio"
										className="radio"
										name="ground"
										checked={ground === each.id}
										onChange={() => setGround(each.id)}
									/>
									<span>
										<span className="font-semibold">{each.name}</span>
										<span className="quiet block text-sm">{each.means}</span>
									</span>
								</label>
							))}
							<p className="quiet text-sm">{t("opening-new-customers-brief-begins-here")}</p>
						</fieldset>
					)}
					{step === 3 && <FirstBays bays={bays} onChange={setBays} />}
					<Said error={open.error} />
					<div className="flex gap-2">
						{step > 0 && (
							<button
								type="button"
								className="btn h-12 border-base-300 bg-base-100"
								onClick={() => setStep(step - 1)}
							>
								{t("label-back")}
							</button>
						)}
						<button type="submit" className="btn btn-primary h-12 flex-1 text-lg" disabled={open.isPending}>
							{step === 3 ? t("opening-open-shop") : t("label-next")}
						</button>
					</div>
				</form>
			) : (
				<StartRack onDone={() => void navigate("/")} done={t("label-to-the-desk")} />
			)}
		</Around>
	);
}

function Around({ at, children }: { at?: number; children: ReactNode }) {
	return (
		<main className="mx-auto max-w-2xl space-y-6 px-6 py-8">
			<header className="flex items-center gap-3">
				<Mark />
				<h1 className="text-2xl">{t("label-open-your-own-shop")}</h1>
			</header>
			{at !== undefined && (
				<ol className="flex flex-wrap gap-1.5" aria-label={t("label-steps")}>
					{STEPS.map((each, index) => (
						<li
							key={each}
							aria-current={index === at ? "step" : undefined}
							className={`flex min-h-11 items-center px-3 text-[15px] ${index === at ? "bg-primary font-semibold text-primary-content" : "quiet border border-base-300"}`}
						>
							{index < at ? "✓ " : ""}
							{each}
						</li>
					))}
				</ol>
			)}
			{children}
		</main>
	);
}

function Field({ label, children }: { label: string; children: ReactNode }) {
	return (
		// biome-ignore lint/a11y/noLabelWithoutControl: the control is its child
		<label className="block">
			<span className="quiet mb-1 block">{label}</span>
			{children}
		</label>
	);
}

function Text({
	value,
	onChange,
	first = false,
	required = false,
	most,
	complete = "off",
}: {
	value: string;
	onChange: (value: string) => void;
	first?: boolean;
	required?: boolean;
	most: number;
	complete?: string;
}) {
	return (
		<input
			className="input h-12 w-full text-lg"
			// biome-ignore lint/a11y/noAutofocus: one step, one thing to begin with
			autoFocus={first}
			required={required}
			maxLength={most}
			autoComplete={complete}
			value={value}
			onChange={(event) => onChange(event.target.value)}
		/>
	);
}
