"""Every number that the judge rests on says where it comes from, and what leaves one out leaves it out everywhere."""

import ast
import os
import re
import subprocess
import sys
from collections.abc import Iterator
from pathlib import Path

import pytest
from hemicycle_core.constants import Ground, registry, without

CORE = Path(__file__).parents[1] / "hemicycle_core"
JUDGE = ("judge", "samples", "decision", "bag", "wedges", "brief", "protocols")
ALONE = ("estimate", "thresholds", "impact", "readout", "shots", "runs", "followup", "monitor")
NAME = re.compile(r"[A-Z][A-Z0-9_]*")


def a_number(node: ast.AST) -> bool:
    return any(isinstance(each, ast.Constant) and type(each.value) in (int, float) for each in ast.walk(node))


def assigned(statement: ast.stmt) -> list[tuple[ast.expr, ast.expr]]:
    if isinstance(statement, ast.AnnAssign):
        return [(statement.target, statement.value)] if statement.value else []
    if not isinstance(statement, ast.Assign):
        return []
    target, value = statement.targets[0], statement.value
    if isinstance(target, ast.Tuple) and isinstance(value, ast.Tuple):
        return list(zip(target.elts, value.elts, strict=True))
    return [(target, value)]


def in_the_code() -> Iterator[str]:
    files = [path for folder in JUDGE for path in (CORE / folder).rglob("*.py")]
    for path in [*files, *(CORE / f"{name}.py" for name in ALONE)]:
        module = ".".join(path.relative_to(CORE).with_suffix("").parts)
        for statement in ast.parse(path.read_text()).body:
            for target, value in assigned(statement):
                if isinstance(target, ast.Name) and NAME.fullmatch(target.id) and a_number(value):
                    yield f"{module}.{target.id}"


def test_each_number_of_the_judge_is_on_the_register_and_nothing_else():
    there = set(in_the_code())
    assert len(there) > 400
    assert there - set(registry()) == set(), "Write down in constants.toml where these come from."
    assert set(registry()) - there == set(), "These are no more."


def test_what_is_left_out_is_another_number_of_one_kind():
    out = [each for each in registry().values() if each.out is not None]
    assert len(out) > 20
    for each in out:
        assert isinstance(each.value, int | float) and each.value != each.out, each.name
        assert each.source is not Ground.DERIVED, each.name
    with pytest.raises(KeyError):
        without(["judge.play.NO_SUCH"])
    with pytest.raises(ValueError, match=r"judge\.play\.GOOD"):
        without(["judge.play.GOOD"])


def test_a_constant_is_put_where_it_was_imported_and_no_other_of_its_name():
    asked = """
from hemicycle_core import constants
import hemicycle_core.decision.decide
from hemicycle_core.judge import claims, play
from hemicycle_core.protocols.grooves import read as grooves
from hemicycle_core.samples import mixture, sides
was = play.GROUND_SD, claims.LEAST_SHOTS
constants.put("judge.play.GROUND_SD=0.01")
constants.put("protocols.grooves.read.LEAST_SHOTS=9")
print(was, play.GROUND_SD, claims.LEAST_SHOTS, grooves.LEAST_SHOTS)
"""
    env = {**os.environ, "PYTHONPATH": str(CORE.parent)}
    told = subprocess.run([sys.executable, "-c", asked], env=env, capture_output=True, text=True, check=True).stdout
    assert told == "(0.4, 3) 0.01 3 9\n"
