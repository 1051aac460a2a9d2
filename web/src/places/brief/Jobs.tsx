/** The shots the club is for, from a list of common ones: a sentence each, of which one is unfolded. */
import { useRef, useState } from "react";
import { type UseFormReturn, useFieldArray } from "react-hook-form";
import type { Session } from "../../api/client";
import { useCommands } from "../../commands/commands";
import { inGroup } from "../../commands/rows";
import { t } from "../../said/words";
import { type Fields, fieldsOfJob } from "./fields";
import { groundOf, home, JobRow } from "./Job";

interface Props {
	form: UseFormReturn<Fields>;
	common: Session["brief"]["common"];
	longest: Session["brief"]["longest"];
	/** The field the server found fault with, such as `jobs.1.carry_over`. */
	fault: string;
	closed: boolean;
}

export function Jobs({ form, common, longest, fault, closed }: Props) {
	const jobs = useFieldArray({ control: form.control, name: "jobs" });
	const [open, setOpen] = useState<number | null>(null);
	const add = (each: Props["common"][number]) => {
		setOpen(jobs.fields.length);
		// The cursor stays where it was: the next key is a key, not a letter of the name.
		jobs.append(
			{ ...fieldsOfJob({ ...each, name: each.called }), ...groundOf(home(form)) },
			{ shouldFocus: false },
		);
	};
	const firstOne = useRef<HTMLButtonElement>(null);
	useCommands(
		"brief",
		inGroup(t("app-brief"), [
			[
				"job",
				t("brief-add-a-shot"),
				"j",
				closed ? t("label-agreed") : undefined,
				() => firstOne.current?.focus(),
			],
		]),
	);
	const remove = (index: number) => {
		jobs.remove(index);
		setOpen(null);
	};
	return (
		<section>
			<h2 className="mb-2 text-lg">{t("brief-what-must-club-do")}</h2>
			<div className="mb-3 flex flex-wrap gap-2">
				{common.map((each, index) => (
					<button
						key={each.name}
						ref={index === 0 ? firstOne : undefined}
						type="button"
						className="btn btn-sm h-11 border-base-300 bg-base-100"
						onClick={() => add(each)}
					>
						+ {each.called}
					</button>
				))}
			</div>
			{jobs.fields.length === 0 && <p className="quiet">{t("brief-add-shots-player-meets-then")}</p>}
			<ul className="space-y-2">
				{jobs.fields.map((field, index) => (
					<JobRow
						key={field.id}
						form={form}
						index={index}
						longest={longest}
						open={closed || open === index}
						onTurn={() => setOpen(open === index ? null : index)}
						onRemove={() => remove(index)}
						wrong={fault.startsWith(`jobs.${index}.`)}
					/>
				))}
			</ul>
		</section>
	);
}
