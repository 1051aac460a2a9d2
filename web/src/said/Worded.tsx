import { createElement, Fragment, type ReactNode } from "react";
import { t } from "./words";

// No character of any text.
const [OPEN, CLOSE] = ["\uFDD0", "\uFDD1"];

/** A message in which some values are drawn: where each stands is the catalogue's to say. */
export function Worded({
	id,
	values = {},
	drawn,
}: {
	id: string;
	values?: Record<string, unknown>;
	drawn: Record<string, ReactNode>;
}) {
	const places = Object.keys(drawn).map((name) => [name, OPEN + name + CLOSE]);
	const parts = t(id, { ...values, ...Object.fromEntries(places) }).split(/\uFDD0(.*?)\uFDD1/u);
	return createElement(Fragment, null, ...parts.map((part, at) => (at % 2 ? drawn[part] : part)));
}

/** A figure within a sentence. */
export const Num = ({ children }: { children: ReactNode }) => <span className="num">{children}</span>;
