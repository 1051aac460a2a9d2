/**
 * The rest of the catalogue: imported before all else by whatever is gone to from the first page, so that its words are
 * there when its code is read.
 */
import { addWords } from "./words";

addWords(
	Object.values(
		import.meta.glob<string>(
			[
				"../../../core/hemicycle_core/said/en/**/*.ftl",
				"!../../../core/hemicycle_core/said/en/{server,lists,screen/desk,screen/frame,screen/labels}.ftl",
			],
			{ query: "?raw", import: "default", eager: true },
		),
	),
);
