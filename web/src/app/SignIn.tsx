import { useMutation } from "@tanstack/react-query";
import { useForm } from "react-hook-form";
import { client, got, type Me } from "../api/client";
import { Mark } from "../ui/Mark";
import { Said } from "../ui/Said";

interface Fields {
	username: string;
	password: string;
}

export function SignIn({ onSignedIn }: { onSignedIn: (me: Me) => void }) {
	const form = useForm<Fields>({ defaultValues: { username: "", password: "" } });
	const signIn = useMutation({
		mutationFn: (body: Fields) => got(client.POST("/api/sign-in", { body })),
		onSuccess: onSignedIn,
	});
	return (
		<main className="grid min-h-dvh place-items-center p-6">
			<form
				className="w-full max-w-sm space-y-5"
				onSubmit={form.handleSubmit((fields) => signIn.mutate(fields))}
			>
				<div className="flex items-center gap-3">
					<Mark />
					<h1 className="text-3xl">Hemicycle</h1>
				</div>
				<p className="quiet">
					Find the hole in the bag, fit the club that fills it, and know how sure you are.
				</p>
				<label className="block">
					<span className="quiet text-sm">Name</span>
					<input
						className="input h-12 w-full text-lg"
						autoComplete="username"
						{...form.register("username")}
						required
					/>
				</label>
				<label className="block">
					<span className="quiet text-sm">Password</span>
					<input
						className="input h-12 w-full text-lg"
						type="password"
						autoComplete="current-password"
						{...form.register("password")}
						required
					/>
				</label>
				<Said error={signIn.error} />
				<button type="submit" className="btn btn-primary h-12 w-full text-lg" disabled={signIn.isPending}>
					Sign in
				</button>
			</form>
		</main>
	);
}
