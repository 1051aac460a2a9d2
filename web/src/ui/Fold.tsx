import type { ReactNode } from "react";

/** A part that is asked seldom: its heading and what stands in it, unfolded by one touch. */
export function Fold({ title, stands, children }: { title: string; stands: string; children: ReactNode }) {
	return (
		<details className="group/fold max-w-4xl">
			<summary className="flex min-h-11 cursor-pointer list-none flex-wrap items-center gap-x-3 [&::-webkit-details-marker]:hidden">
				<FoldArrow turned="group-open/fold:rotate-90" />
				<h2 className="text-lg">{title}</h2>
				<span className="quiet text-[15px]">{stands}</span>
			</summary>
			<div className="space-y-3 pt-1 pb-2">{children}</div>
		</details>
	);
}

/** Points to what is folded, and down when it is open. */
export const FoldArrow = ({ turned }: { turned: string }) => (
	<svg viewBox="0 0 10 10" className={`h-3 w-3 shrink-0 ${turned}`} aria-hidden="true">
		<path d="M3 1 7 5 3 9" fill="none" stroke="currentColor" strokeWidth="1.6" />
	</svg>
);
