"""Every sentence of the judge, held to a file that a reader can go through, and every figure in it to its average."""

import re
from pathlib import Path

import numpy as np
import pytest
from builds import GREEN
from hemicycle_core.judge import judge_session
from hemicycle_core.samples.averages import average, values_of
from hemicycle_core.units import yards
from sentences import hit, printed, slot_case

KEPT = Path(__file__).parent / "data" / "sentences.md"


def test_what_is_said_is_what_was_read_through():
    assert printed() == KEPT.read_text(encoding="utf-8"), (
        "Sentences changed. Print them anew with `python core/tests/sentences.py > core/tests/data/sentences.md`, from "
        "core/tests, and read the difference."
    )


@pytest.mark.parametrize("seed", range(12))
def test_every_figure_of_a_verdict_is_the_average_it_speaks_of(seed):
    """Carry, window, what is missing of it, landing: as whole numbers they fit each other and the shots."""
    chance = np.random.default_rng(seed)
    builds = [
        slot_case(hit(float(chance.uniform(150, 215)), float(chance.uniform(34, 54)), n=int(chance.integers(3, 14)),
                      wide=float(chance.uniform(0.5, 3))), letter)
        for letter in "ABCDEF"
    ]  # fmt: skip
    judged = judge_session(builds, jobs=[GREEN])
    for case, verdict in zip(builds, judged.verdicts, strict=True):
        carry, landing = (average(values_of(case.candidate.shots, key)).mean for key in ("carry_m", "landing_deg"))
        low, high = next((target.low, target.high) for target in case.targets if target.quantity == "carry_m")
        said = re.match(
            r"Carries (\d+), (?:inside|(\d+) (short|long) of) (\d+) to (\d+)\..*Lands at (\d+)°", verdict.why
        )
        carries, off, way, least, most, lands = said.groups()
        assert [int(carries), int(least), int(most)] == [round(yards(each)) for each in (carry, low, high)]
        assert int(lands) == round(landing)
        gap = {"short": int(least) - int(carries), "long": int(carries) - int(most)}.get(way)
        assert gap == (int(off) if off else None)
        assert off or int(least) <= int(carries) <= int(most)
        if off and (named := re.search(r"(\d+) yd too (short|long)", verdict.headline)):
            assert named.groups() == (off, way)
        if verdict.letter == judged.choice.letter and off:
            past = "short of" if way == "short" else "past"
            assert f"It carries {off} yd {past} its window" in judged.choice.sentence
