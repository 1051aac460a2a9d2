/** What a person reads stands in the catalogue, once: nothing of it in the code, and nothing there that nobody says. */
import { existsSync, readdirSync, readFileSync } from "node:fs";
import { dirname, normalize } from "node:path";
import { FluentBundle, FluentResource } from "@fluent/bundle";
import ts from "typescript";
import { expect, test } from "vitest";

const FOLDER = "../core/hemicycle_core/said/en";
const filesIn = (folder: string, end: string) =>
	readdirSync(folder, { recursive: true, encoding: "utf8" })
		.filter((name) => name.endsWith(end))
		.map((name) => `${folder}/${name}`);

/** Each message with the names of its values, and the ones that only this code says. */
function messages() {
	const bundle = new FluentBundle("en", { useIsolating: false });
	const known = new Map<string, Set<string>>();
	for (const file of filesIn(FOLDER, ".ftl")) {
		const text = readFileSync(file, "utf8");
		expect(bundle.addResource(new FluentResource(text))).toEqual([]);
		for (const block of text.split(/\n(?=[a-z])/))
			known.set(
				block.slice(0, block.indexOf(" =")),
				new Set(Array.from(block.matchAll(/\$(\w+)/g), ([, name]) => `${name}`)),
			);
	}
	return known;
}

const own = () =>
	filesIn(`${FOLDER}/screen`, ".ftl").flatMap((file) =>
		Array.from(readFileSync(file, "utf8").matchAll(/^([a-z][\w-]*) =/gm), ([, id]) => `${id}`),
	);

const parsed = () =>
	filesIn("src", ".ts")
		.concat(filesIn("src", ".tsx"))
		.filter((name) => !/\.test\.|\/tests\/|schema\.d|vocabulary\.ts/.test(name))
		.map((name) =>
			ts.createSourceFile(
				name,
				readFileSync(name, "utf8"),
				ts.ScriptTarget.Latest,
				true,
				name.endsWith("x") ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
			),
		);

function each(node: ts.Node, see: (node: ts.Node) => void) {
	see(node);
	ts.forEachChild(node, (child) => each(child, see));
}
const where = (node: ts.Node) => {
	const file = node.getSourceFile();
	return `${file.fileName}:${file.getLineAndCharacterOfPosition(node.getStart()).line + 1}: ${node.getText().trim()}`;
};

const namesOf = (given: ts.Node | undefined) =>
	given && ts.isObjectLiteralExpression(given)
		? given.properties.map((each) => (each.name ? each.name.getText() : "?"))
		: [];

/** The attribute of an element, read as an object. */
function attribute(element: ts.JsxAttributes, name: string): ts.Expression | undefined {
	const found = element.properties.find((each) => ts.isJsxAttribute(each) && each.name.getText() === name);
	const value = found && ts.isJsxAttribute(found) ? found.initializer : undefined;
	return value && ts.isJsxExpression(value) ? value.expression : (value as ts.Expression | undefined);
}

test("what is said is in the catalogue, with the values it is said with, and all there is said", () => {
	const known = messages();
	const said = new Set<string>();
	const wrong: string[] = [];
	const check = (node: ts.Node, id: ts.Node | undefined, names: string[]) => {
		if (!id || !ts.isStringLiteral(id)) return wrong.push(where(node));
		said.add(id.text);
		const wanted = known.get(id.text);
		if (!wanted || [...wanted].sort().join() !== names.sort().join()) wrong.push(where(node));
	};
	for (const file of parsed()) {
		if (file.fileName.includes("/said/")) continue;
		each(file, (node) => {
			if (ts.isCallExpression(node) && node.expression.getText() === "t")
				check(node, node.arguments[0], namesOf(node.arguments[1]));
			if (ts.isJsxSelfClosingElement(node) && node.tagName.getText() === "Worded")
				check(node, attribute(node.attributes, "id"), [
					...namesOf(attribute(node.attributes, "values")),
					...namesOf(attribute(node.attributes, "drawn")),
				]);
		});
	}
	expect(wrong).toEqual([]);
	expect(own().filter((id) => !said.has(id))).toEqual([]);
});

/** The modules that come with one, by what each imports before it runs. */
function withIt(name: string, files: Map<string, ts.SourceFile>, found = new Set<string>()): Set<string> {
	if (found.has(name)) return found;
	found.add(name);
	for (const line of files.get(name)?.statements ?? []) {
		if (!ts.isImportDeclaration(line) || line.importClause?.isTypeOnly) continue;
		const named = line.importClause?.namedBindings;
		const ofTypes =
			named &&
			ts.isNamedImports(named) &&
			named.elements.every((each) => each.isTypeOnly) &&
			!line.importClause?.name;
		const path = normalize(`${dirname(name)}/${(line.moduleSpecifier as ts.StringLiteral).text}`);
		const file = [".ts", ".tsx"].map((end) => path + end).find((each) => existsSync(each));
		if (file && !ofTypes) withIt(file, files, found);
	}
	return found;
}

test("what is read first has all its words, and what comes later brings the rest before it runs", () => {
	const files = new Map(parsed().map((file) => [normalize(file.fileName), file]));
	const first = withIt("src/main.tsx", files);
	const [, names = ""] = /en\/\{([^}]*)\}/.exec(readFileSync("src/said/words.ts", "utf8")) ?? [];
	const there = names
		.split(",")
		.flatMap((name) =>
			Array.from(
				readFileSync(`${FOLDER}/${name}.ftl`, "utf8").matchAll(/^([a-z][\w-]*) =/gm),
				([, id]) => id,
			),
		);
	const missing: string[] = [];
	const later = new Set<string>();
	for (const name of first)
		each(files.get(name) as ts.SourceFile, (node) => {
			if (!ts.isCallExpression(node)) return;
			const [asked] = node.arguments;
			if (!asked || !ts.isStringLiteral(asked)) return;
			if (node.expression.getText() === "t" && !there.includes(asked.text)) missing.push(where(node));
			if (node.expression.kind === ts.SyntaxKind.ImportKeyword)
				later.add(normalize(`${dirname(name)}/${asked.text}.tsx`));
		});
	expect(missing).toEqual([]);
	const own = new Set(["src/app/SignIn.tsx", "src/places/desk/NewVisit.tsx", "src/said/rest.tsx"]);
	const without = [...later].filter((name) => !own.has(name) && !withIt(name, files).has("src/said/rest.ts"));
	expect(without).toEqual([]);
	// Those of the first page that come by themselves.
	for (const name of ["src/app/SignIn.tsx", "src/places/desk/NewVisit.tsx"])
		for (const part of withIt(name, files))
			each(files.get(part) as ts.SourceFile, (node) => {
				const [asked] = ts.isCallExpression(node) && node.expression.getText() === "t" ? node.arguments : [];
				if (asked && ts.isStringLiteral(asked) && !there.includes(asked.text)) missing.push(where(node));
			});
	expect(missing).toEqual([]);
});

const READ = /^(aria-label|aria-description|title|label|placeholder|alt)$/;
const WORDS = /(?:[\p{L}’]{2,}[,.;:]? ){2}[\p{L}’]{2,}/u;
/** Of a style, a drawing, a path or a command, not of a person. */
function drawn(node: ts.Node): boolean {
	for (let up: ts.Node | undefined = node.parent; up; up = up.parent) {
		if (ts.isJsxElement(up) && up.openingElement.tagName.getText() === "code") return true;
		if (ts.isJsxAttribute(up)) return /^(className|d|style|path)$/.test(up.name.getText());
		if (ts.isCallExpression(up) && up.expression.getText().startsWith("client.")) return true;
		if (ts.isImportDeclaration(up) || ts.isLiteralTypeNode(up)) return true;
	}
	return false;
}

test("no text that a person reads stands in the code", () => {
	const plain: string[] = [];
	for (const file of parsed())
		each(file, (node) => {
			if (ts.isJsxText(node) && /(?<!\/)\b\p{L}{2}/u.test(node.text) && !drawn(node)) plain.push(where(node));
			else if (ts.isJsxAttribute(node) && READ.test(node.name.getText())) {
				if (
					node.initializer &&
					ts.isStringLiteral(node.initializer) &&
					/\p{L}{2}/u.test(node.initializer.text)
				)
					plain.push(where(node));
			} else if (
				ts.isStringLiteralLike(node) ||
				ts.isTemplateHead(node) ||
				ts.isTemplateMiddleOrTemplateTail(node)
			) {
				if (WORDS.test(node.text) && !drawn(node)) plain.push(where(node));
			}
		});
	expect(plain).toEqual([]);
});
