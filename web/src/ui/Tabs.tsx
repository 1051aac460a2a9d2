/** Parts of a place, one shown at a time: by key, by touch, by the arrows. */
interface Part<Id extends string> {
	id: Id;
	name: string;
	key: string;
}

export function Tabs<Id extends string>({
	tabs,
	tab,
	onTab,
	name,
}: {
	tabs: readonly Part<Id>[];
	tab: Id;
	onTab: (tab: Id) => void;
	name: string;
}) {
	const at = tabs.findIndex((each) => each.id === tab);
	const step = (by: number, list: HTMLElement) => {
		const next = (at + by + tabs.length) % tabs.length;
		const part = tabs[next];
		if (part) onTab(part.id);
		list.querySelectorAll("button")[next]?.focus();
	};
	return (
		<div
			className="no-print flex flex-wrap gap-1 border-b border-base-300"
			role="tablist"
			aria-label={name}
			onKeyDown={(event) => {
				const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
				if (!by) return;
				event.preventDefault();
				step(by, event.currentTarget);
			}}
		>
			{tabs.map((each) => (
				<button
					key={each.id}
					type="button"
					role="tab"
					aria-selected={tab === each.id}
					tabIndex={tab === each.id ? 0 : -1}
					className={`flex min-h-11 cursor-pointer items-center gap-1.5 px-4 font-semibold ${tab === each.id ? "bg-primary text-primary-content" : "hover:bg-base-100"}`}
					onClick={() => onTab(each.id)}
				>
					<span className={`text-[12px] font-medium ${tab === each.id ? "" : "quiet"}`}>
						{each.key.toUpperCase()}
					</span>
					{each.name}
				</button>
			))}
		</div>
	);
}
