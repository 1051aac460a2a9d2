"""Every sentence stands once in the catalogue, is said with the values it names, and nothing stands there unsaid."""

import ast
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
