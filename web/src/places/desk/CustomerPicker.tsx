/** Finding a customer by part of the name. */
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useCombobox } from "downshift";
import { useState } from "react";
import { client, got, type Person } from "../../api/client";
import { t } from "../../said/words";
import { Said } from "../../ui/Said";

interface Props {
	value: Person | null;
	onChange: (value: Person | null) => void;
}

export function CustomerPicker({ value, onChange }: Props) {
	const [typed, setTyped] = useState("");
	const search = value?.name === typed ? "" : typed;
	const found = useQuery({
		queryKey: ["customers", search],
		queryFn: () => got(client.GET("/api/customers", { params: { query: { search } } })),
		placeholderData: keepPreviousData,
	});
	const people = found.data ?? [];
	const box = useCombobox({
		items: people,
		itemToString: (person) => person?.name ?? "",
		selectedItem: value,
		inputValue: typed,
		onInputValueChange: ({ inputValue }) => setTyped(inputValue),
		onSelectedItemChange: ({ selectedItem }) => onChange(selectedItem),
	});
	return (
		<div className="relative">
			<input
				{...box.getInputProps({ "aria-label": t("label-customer"), "aria-labelledby": undefined })}
				type="search"
				className="input h-11 w-full"
				placeholder={t("desk-customer-part-name")}
				autoComplete="off"
			/>
			<ul
				{...box.getMenuProps({ "aria-label": t("desk-customers-found"), "aria-labelledby": undefined })}
				className={`absolute z-20 max-h-72 w-full overflow-auto border border-base-300 bg-base-100 ${box.isOpen ? "" : "hidden"}`}
			>
				{box.isOpen &&
					people.map((person, index) => (
						<li
							key={person.id}
							{...box.getItemProps({ item: person, index })}
							className={`min-h-11 cursor-pointer px-3 py-2.5 ${index === box.highlightedIndex ? "bg-base-200" : ""} ${person.id === value?.id ? "font-semibold" : ""}`}
						>
							{person.name}
							{person.hand === "left" && <span className="quiet"> {t("label-left-handed")}</span>}
						</li>
					))}
				{box.isOpen && found.isSuccess && people.length === 0 && (
					<li className="quiet px-3 py-2.5">{t("desk-nobody-name-add-new-customer")}</li>
				)}
			</ul>
			<Said error={found.error} />
		</div>
	);
}
