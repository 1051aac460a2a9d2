import type { FallbackProps } from "react-error-boundary";

/** What stands where a place broke: the others go on working. */
export function Broken({ resetErrorBoundary }: FallbackProps) {
	return (
		<div role="alert" className="grid min-h-64 place-items-center p-10 text-center">
			<div className="max-w-md space-y-4">
				<p className="text-2xl font-semibold">This place could not be drawn</p>
				<p className="quiet">
					Nothing that was hit or saved is lost. Try again, or go on in another place; if it stays like this,
					load the page anew.
				</p>
				<button type="button" className="btn btn-primary h-12 px-8" onClick={() => resetErrorBoundary()}>
					Try again
				</button>
			</div>
		</div>
	);
}
