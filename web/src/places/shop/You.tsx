/** One's own sign-in: the password, and the others that are open. */
import { useMutation } from "@tanstack/react-query";
import { useForm } from "react-hook-form";
import { client, got } from "../../api/client";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";
import { OwnUnits } from "./OwnUnits";

interface Fields {
	old: string;
	new: string;
}

export function You() {
	const form = useForm<Fields>({ defaultValues: { old: "", new: "" } });
	const set = useMutation({
		mutationFn: (body: Fields) => got(client.PUT("/api/me/password", { body })),
		onSuccess: () => form.reset(),
	});
	const end = useMutation({ mutationFn: () => got(client.DELETE("/api/me/other-sign-ins")) });
	return (
		<section className="space-y-4">
			<h2 className="text-lg">{t("label-you")}</h2>
			<OwnUnits />
			<form
				className="flex flex-wrap items-end gap-3"
				onSubmit={form.handleSubmit((fields) => set.mutate(fields))}
			>
				<label>
					<span className="quiet block text-sm">{t("shop-password-now")}</span>
					<input
						type="password"
						className="input h-11 w-56"
						autoComplete="current-password"
						required
						{...form.register("old")}
					/>
				</label>
				<label>
					<span className="quiet block text-sm">{t("shop-new-password-ten-characters-or")}</span>
					<input
						type="password"
						className="input h-11 w-72"
						autoComplete="new-password"
						required
						{...form.register("new")}
					/>
				</label>
				<button type="submit" className="btn btn-primary h-11" disabled={set.isPending}>
					{t("shop-change-it")}
				</button>
			</form>
			<Said error={set.error} />
			{set.isSuccess && <p role="status">{t("shop-password-changed-your-other-sign")}</p>}
			<p>
				<button
					type="button"
					className="btn h-11 border-base-300 bg-base-100"
					disabled={end.isPending}
					onClick={() => end.mutate()}
				>
					{t("shop-end-my-other-sign-ins")}
				</button>
			</p>
			<Said error={end.error} />
			{end.isSuccess && <p role="status">{t("shop-only-sign-open-now")}</p>}
		</section>
	);
}
