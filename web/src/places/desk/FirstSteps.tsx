/** A desk with no session yet: what comes first, in order, with what is done ticked; and a try-out at any time. */
import "../../said/rest";

import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { client, got, type Me } from "../../api/client";
import { t } from "../../said/words";
import { SHOTS_BY } from "../opening/FirstBays";
import { TryOut } from "./TryOut";

export default function FirstSteps({ me }: { me: Me }) {
	const rack = useQuery({ queryKey: ["rack"], queryFn: () => got(client.GET("/api/rack")) });
	const heads = rack.data?.heads.length ?? 0;
	return (
		<ol
			className="divide-y divide-base-300 border-y border-base-300 bg-base-100"
			aria-label={t("desk-first-steps")}
		>
			<Step done={heads > 0} name={t("desk-fill-rack")}>
				{heads > 0 ? (
					t("desk-heads-stand", { heads })
				) : (
					<>
						{t("desk-nothing-can-tried-until-something")}{" "}
						<Link to="/rack" className="underline">
							{t("desk-usual-lofts-or-file")}
						</Link>
					</>
				)}
			</Step>
			<Step done={me.bays.length > 0} name={t("desk-get-shots")}>
				{me.bays.map((bay) => (
					<span key={bay.id} className="block">
						{bay.name}: {SHOTS_BY[bay.shots_by].name.toLowerCase()}.{" "}
						{bay.shots_by === "feed" && (
							<Link to="/shop?part=bays" className="underline">
								{t("desk-key-for-its-program")}
							</Link>
						)}
						{bay.shots_by === "typed" && t("desk-press-t-bay-or-open")}
						{bay.shots_by === "file" && t("desk-press-i-bag-choose-file")}
					</span>
				))}
			</Step>
			<Step done={false} name={t("desk-try-with-nobody-2")}>
				<TryOut me={me} bare />
			</Step>
			<Step done={false} name={t("desk-your-first-customer")}>
				{t("desk-type-name-right-start")}
			</Step>
		</ol>
	);
}

function Step({ done, name, children }: { done: boolean; name: string; children: React.ReactNode }) {
	return (
		<li className="grid min-h-16 grid-cols-[1.6rem_1fr] items-baseline px-4 py-3">
			<span aria-hidden className="font-semibold">
				{done ? "✓" : "○"}
			</span>
			<div>
				<h3 className="text-[17px] font-semibold">
					{name}
					{done && <span className="sr-only"> {t("desk-done")}</span>}
				</h3>
				<div className="quiet">{children}</div>
			</div>
		</li>
	);
}
