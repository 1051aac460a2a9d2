"""Every sentence stands once in the catalogue, is said with the values it names, and nothing stands there unsaid."""

import ast
import re
from collections.abc import Iterator
from pathlib import Path

from hemicycle_core.said import messages_in

ROOT = Path(__file__).resolve().parents[2]
SPEAKERS = {"say", "term", "said_of"}


def files() -> Iterator[Path]:
    for folder in ("core/hemicycle_core", "server", "launcher", "commands"):
        for path in sorted((ROOT / folder).rglob("*.py")):
            if not {"tests", "migrations", "said"} & set(path.parts) and "said import" in path.read_text():
                yield path


def calls(path: Path) -> Iterator[tuple[ast.Call, str]]:
    for node in ast.walk(ast.parse(path.read_text())):
        name = getattr(node.func, "id", "") if isinstance(node, ast.Call) else ""
        if name in SPEAKERS and isinstance(node, ast.Call) and node.args:
            yield node, name


def test_each_message_is_said_with_what_it_names_and_none_stands_unsaid():
    known, said, kinds, wrong = messages_in(), set(), {"list-"}, []
    for path in files():
        for call, name in calls(path):
            first, where = call.args[0], f"{path.relative_to(ROOT)}:{call.lineno}"
            if name in ("term", "said_of"):
                assert isinstance(first, ast.Constant), where
                kinds.add(f"{first.value}-")
                continue
            ids = [each.value for each in ast.walk(first) if isinstance(each, ast.Constant)]
            assert ids, f"{where}: a message is term where it is said"
            given = {each.arg for each in call.keywords}
            for each in ids:
                said.add(each)
                if each not in known:
                    wrong.append(f"{where}: {each} is not in the catalogue")
                elif None not in given and given != known[each]:
                    wrong.append(f"{where}: {each} is said with {sorted(given)}, names {sorted(known[each])}")
    unsaid = [each for each in known if each not in said and not each.startswith(tuple(kinds))]
    assert not wrong, "\n".join(wrong)
    assert not unsaid, "\n".join(unsaid)


WORDS = re.compile(r"(?:[^\W\d_’']{2,}[,.;:]? ){2}[^\W\d_]{2,}")
# Names of columns and fields, SQL, seeds; what a process or a page without the front end says to whoever runs it.
NO_SENTENCES = {
    "formats/bundle_schema.py", "formats/shots/words.py", "formats/shots/sheet.py", "common/document.py",
    "domain/versions.py", "shop/backups.py", "handover/kept.py", "judge/eased.py",
    "judge/play.py", "judge/weigh.py", "core/hemicycle_core/constants.py", "config/serve.py", "config/urls.py",
    "config/settings.py", "handover/customer_data.py", "server/conftest.py",
}  # fmt: skip
OF_THE_CODE = {"help", "help_text", "verbose_name", "description", "title", "detail", "summary"}
INWARD = re.compile(r"(debug|info|warning|exception|execute|RunSQL|compile|Error|extend_schema\w*|OpenApi\w+)$")
REFUSING = ("BadInput", "Refused", "Problem")


def _meets_a_user(node: ast.AST) -> bool:
    """Not where it is for whoever reads a log, a table, the code or the document of the API."""
    if isinstance(node, ast.Raise):
        return any(name in ast.unparse(node) for name in REFUSING)
    return not (isinstance(node, ast.Call) and INWARD.search(ast.unparse(node.func)))


def said_aside(node: ast.AST) -> Iterator[ast.AST]:
    """What stands in a node but is no sentence of the product: a docstring, a log, SQL, an error that no user meets."""
    for each in ast.walk(node):
        if isinstance(each, ast.Expr) and isinstance(each.value, ast.Constant):
            yield each.value
        elif isinstance(each, ast.keyword) and each.arg in OF_THE_CODE:
            yield from ast.walk(each.value)
        elif isinstance(each, ast.Assert) and each.msg:
            yield from ast.walk(each.msg)
        elif not _meets_a_user(each):
            yield from ast.walk(each)


def test_no_sentence_stands_in_the_code():
    plain = []
    for folder in ("core/hemicycle_core", "server"):
        for path in sorted((ROOT / folder).rglob("*.py")):
            name = str(path.relative_to(ROOT))
            aside = {"tests", "migrations", "demo", "simulation", "management", "said"} & set(path.parts)
            if aside or name.endswith(tuple(NO_SENTENCES)):
                continue
            tree = ast.parse(path.read_text())
            no_words = set(map(id, said_aside(tree)))
            plain += [
                f"{name}:{node.lineno}: {node.value[:60]}"
                for node in ast.walk(tree)
                if isinstance(node, ast.Constant) and isinstance(node.value, str)
                if WORDS.search(node.value) and id(node) not in no_words
            ]
    assert not plain, "\n".join(plain)
