/** A choice of the brief with its label. */
export function Pick({
	label,
	options,
	inline = false,
	...select
}: {
	label: string;
	options: Record<string, string>;
	inline?: boolean;
} & React.SelectHTMLAttributes<HTMLSelectElement> & { ref?: React.Ref<HTMLSelectElement> }) {
	return (
		<label className={inline ? "ml-auto flex items-center gap-2" : "block"}>
			<span className="quiet text-sm">{label}</span>
			<select className={inline ? "select h-11 w-auto" : "select h-11 w-full"} {...select}>
				{Object.entries(options).map(([value, words]) => (
					<option key={value} value={value}>
						{words}
					</option>
				))}
			</select>
		</label>
	);
}
