import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { useForm } from "react-hook-form";
import { client, got, type Me } from "../api/client";
import { t } from "../said/words";
import { Mark } from "../ui/Mark";
import { Said } from "../ui/Said";

interface Fields {
	username: string;
	password: string;
}

/** Name and password; `name` where it is known who comes back. */
function Entry({ name = "", onSignedIn }: { name?: string; onSignedIn: (me: Me) => void }) {
	const form = useForm<Fields>({ defaultValues: { username: name, password: "" } });
	const signIn = useMutation({
		mutationFn: (body: Fields) => got(client.POST("/api/sign-in", { body })),
		onSuccess: onSignedIn,
	});
	return (
		<form className="space-y-5" onSubmit={form.handleSubmit((fields) => signIn.mutate(fields))}>
			<label className="block">
				<span className="quiet text-sm">{t("label-name")}</span>
				<input
					className="input h-12 w-full text-lg"
					autoComplete="username"
					{...form.register("username")}
					required
				/>
			</label>
			<label className="block">
				<span className="quiet text-sm">{t("app-password")}</span>
				<input
					className="input h-12 w-full text-lg"
					type="password"
					autoComplete="current-password"
					// biome-ignore lint/a11y/noAutofocus: who comes back is known, only the password is wanted
					autoFocus={name !== ""}
					{...form.register("password")}
					required
				/>
			</label>
			<Said error={signIn.error} />
			<button type="submit" className="btn btn-primary h-12 w-full text-lg" disabled={signIn.isPending}>
				{t("app-sign-in")}
			</button>
		</form>
	);
}

/** empty: no shop is here yet. */
export function SignIn({ empty, onSignedIn }: { empty: boolean; onSignedIn: (me: Me) => void }) {
	return (
		<main className="grid min-h-dvh place-items-center p-6">
			<div className="w-full max-w-sm space-y-5">
				<div className="flex items-center gap-3">
					<Mark />
					<h1 className="text-3xl">{t("app-hemicycle")}</h1>
				</div>
				<p className="quiet">{t("app-find-hole-bag-fit-club")}</p>
				{empty && (
					<p className="border-l-4 border-base-content py-1 pl-3">{t("app-no-shop-here-yet-start")}</p>
				)}
				<Entry onSignedIn={onSignedIn} />
			</div>
		</main>
	);
}

/** The sign-in ended in the middle of something: over the screen, which stays as it is. */
export function SignInOver({ name, onSignedIn }: { name: string; onSignedIn: (me: Me) => void }) {
	const dialog = useRef<HTMLDialogElement>(null);
	useEffect(() => {
		dialog.current?.showModal();
		// A dialog takes its first field; who comes back is known, and a password typed there would be seen.
		dialog.current?.querySelector<HTMLInputElement>("input[type=password]")?.focus();
	}, []);
	return (
		<dialog
			ref={dialog}
			className="modal"
			aria-label={t("app-sign-again")}
			onCancel={(event) => event.preventDefault()}
		>
			<div className="modal-box max-w-sm space-y-4">
				<h2 className="text-xl">{t("app-sign-again")}</h2>
				<p className="quiet">{t("app-your-sign-has-ended-what")}</p>
				<Entry name={name} onSignedIn={onSignedIn} />
			</div>
		</dialog>
	);
}
