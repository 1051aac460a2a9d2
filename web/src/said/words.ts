/** What was said as data, read in the words of the catalogue and in the reader's units. */
import {
	FluentBundle,
	FluentNumber,
	FluentResource,
	FluentType,
	type FluentValue,
	type FluentVariable,
} from "@fluent/bundle";
import { MINUS } from "./figures";
import { accented, PSEUDO } from "./pseudo";
import { figureOf, KINDS, type Kind, type Quantity, unit, written } from "./units";

/** What is read before any place is gone to. The rest comes with the first place; `rest`. */
let files: string[] = Object.values(
	import.meta.glob<string>(
		"../../../core/hemicycle_core/said/en/{server,lists,screen/desk,screen/frame,screen/labels}.ftl",
		{
			query: "?raw",
			import: "default",
			eager: true,
		},
	),
);
let whole = false;

/** A quantity as it is read: `152 yd`. */
class Spoken extends FluentType<Quantity> {
	toString(): string {
		return figureOf(this.value) + written(this.value.kind);
	}
}

/** How many: without a separator of thousands, and there to choose a plural by. */
class Count extends FluentNumber {
	override toString(): string {
		return String(this.value).replace("-", MINUS);
	}
}

const first = (values: FluentValue[]): FluentValue => values[0] ?? "";
const textOf = (value: FluentValue): string =>
	value instanceof FluentType ? value.toString(undefined as never) : value;
const bare = (value: FluentValue): string =>
	value instanceof Spoken ? figureOf(value.value) : textOf(value);
const unitOf = (value: FluentValue): string => (value instanceof Spoken ? unit(value.value.kind) : "");
const FUNCTIONS = {
	BARE: (values: FluentValue[]) => bare(first(values)),
	UNIT: (values: FluentValue[]) => unitOf(first(values)),
	HYPHENED: (values: FluentValue[]) => `${bare(first(values))}-${unitOf(first(values))}`,
	CAPITAL: (values: FluentValue[]) => textOf(first(values)).replace(/^./u, (letter) => letter.toUpperCase()),
	SMALL: (values: FluentValue[]) => textOf(first(values)).replace(/^./u, (letter) => letter.toLowerCase()),
	SENTENCE: (values: FluentValue[]) => {
		const text = textOf(first(values));
		return text.slice(0, 1).toUpperCase() + text.slice(1).toLowerCase();
	},
};

function made(pseudo: boolean): FluentBundle {
	const bundle = new FluentBundle("en", {
		functions: FUNCTIONS,
		useIsolating: false,
		...(pseudo ? { transform: accented } : {}),
	});
	for (const text of files) bundle.addResource(new FluentResource(text));
	return bundle;
}

const SWITCH = "language";
/** The made-up language is a switch of this device, for those who try the product. */
function wished(): boolean {
	try {
		return localStorage.getItem(SWITCH) === PSEUDO;
	} catch {
		return false;
	}
}

let bundle = made(wished());
/** The rest of the catalogue is there too. */
export function addWords(more: string[]) {
	if (whole) return;
	whole = true;
	files = [...files, ...more];
	bundle = made(wished());
}
/** Read in the machine-made language that shows what is not in the catalogue. */
export function speakPseudo(wanted: boolean) {
	bundle = made(wanted);
}

let toGolfer = false;
/** Read in the words for whoever plays, where the catalogue has such. */
export function speakToGolfer(wanted: boolean) {
	toGolfer = wanted;
}

/** What is said, as it travels. */
export interface Said {
	say: unknown;
}

export const isSaid = (data: unknown): data is Said =>
	typeof data === "object" && data !== null && "say" in data;

function given(data: unknown): FluentVariable {
	if (typeof data === "number") return new Count(data);
	if (isSaid(data)) return words(data);
	if (typeof data === "boolean") return "";
	if (typeof data !== "object" || data === null) return String(data ?? "");
	const kind = Object.keys(data).find((key) => KINDS.has(key)) as Kind | undefined;
	if (!kind) return "";
	const { digits = 0, form = "", difference = false, ...rest } = data as Record<string, unknown>;
	return new Spoken({ kind, value: Number(rest[kind]), digits, form, difference } as Quantity);
}

let rest: () => Promise<unknown> = async () => undefined;
/** Where the rest of the catalogue comes from. */
export function restComesBy(load: () => Promise<unknown>) {
	rest = load;
}

/** Whether something was said that is not in the words that are here. */
let unknown = false;

/** A message of the catalogue with its values. */
export function t(id: string, values: Record<string, unknown> = {}): string {
	const message = bundle.getMessage(id);
	if (!message?.value) {
		unknown = true;
		return id;
	}
	const pattern = (toGolfer && message.attributes.golfer) || message.value;
	const read = Object.fromEntries(Object.entries(values).map(([name, each]) => [name, given(each)]));
	return bundle.formatPattern(pattern, read, []);
}

/** What was said, in words. */
export function words(said: unknown): string {
	if (!isSaid(said)) return String(said ?? "");
	const { say, glue = " ", ...values } = said as Said & { glue?: string };
	if (Array.isArray(say)) return say.map(words).join(glue);
	return t(String(say), values);
}

/** What data that holds sentences is once they are in words. */
type InWords<T> = T extends { say: unknown }
	? string
	: T extends object
		? { [K in keyof T]: InWords<T[K]> }
		: T;
/** Data of this code, with every sentence of it in words. */
export const read = <T>(data: T): InWords<T> => inWords(data) as InWords<T>;

/** An answer with every sentence of it in words. */
export function inWords<T>(data: T): T {
	if (isSaid(data)) return words(data) as T;
	if (Array.isArray(data)) return data.map(inWords) as T;
	if (typeof data !== "object" || data === null) return data;
	const read: Record<string, unknown> = {};
	for (const [key, each] of Object.entries(data)) read[key] = typeof each === "object" ? inWords(each) : each;
	return read as T;
}

/** The same of an answer that may say what only the rest of the catalogue has. */
export async function spoken<T>(data: T): Promise<T> {
	unknown = false;
	const read = inWords(data);
	if (!unknown || whole) return read;
	await rest();
	return inWords(data);
}
