"""Every sentence of the judge, held to a file that a reader can go through, and every figure in it to its average."""

import re
from decimal import ROUND_HALF_UP, Decimal
from pathlib import Path

import numpy as np
import pytest
from builds import GREEN
from hemicycle_core.decision import decide_session
from hemicycle_core.samples.averages import average, values_of
from hemicycle_core.units import metres, outside, shown, signed, yards, yd_text
from hypothesis import given, settings
from hypothesis import strategies as st
from sentences import hit, printed, printed_for_golfers, slot_case

KEPT = Path(__file__).parent / "data" / "sentences.md"
GOLFERS = Path(__file__).parent / "data" / "sentences-golfer.md"


def test_what_is_said_is_what_was_read_through():
    assert printed() == KEPT.read_text(encoding="utf-8"), (
        "Sentences changed. Print them anew with `python core/tests/sentences.py > core/tests/data/sentences.md`, from "
        "core/tests, and read the difference."
    )


def test_what_a_golfer_reads_is_in_words_of_their_own():
    assert printed_for_golfers() == GOLFERS.read_text(encoding="utf-8"), (
        "Print them anew with `python core/tests/sentences.py golfer > core/tests/data/sentences-golfer.md`."
    )


def fitter_round(value):
    """Halves away from nought, worked out in decimals."""
    return int(Decimal(f"{value:.9f}").quantize(Decimal(1), ROUND_HALF_UP))


@given(st.integers(-40, 600), st.sampled_from([0, 1]), st.integers(300, 420), st.integers(0, 60))
@settings(max_examples=300, deadline=None, derandomize=True)
def test_what_is_compared_is_what_is_shown_on_every_half(halves, digits, least, wide):
    """No figure is called short of a window that it is shown inside of, on either side of nought."""
    value, low, high = halves / 2 / 10**digits, least / 2, (least + wide) / 2
    said = shown(value, digits).replace("\u2212", "-")
    assert Decimal(said) == Decimal(str(value)).quantize(Decimal(10) ** -digits, ROUND_HALF_UP)
    assert signed(-value, digits).lstrip("+\u2212") == said.lstrip("-")
    for carry in (low - 0.5, low, low + 0.5, high, high + 0.5):
        off = outside(metres(carry), metres(low), metres(high))
        shown_carry, shown_low, shown_high = (int(yd_text(metres(each))) for each in (carry, low, high))
        assert off == (min(shown_carry - shown_low, 0) or max(shown_carry - shown_high, 0))


def test_no_sentence_rounds_by_itself():
    """One rounding for all that is said: a format of Python's rounds halves to even."""
    for folder, left in (("core/hemicycle_core", {"xlsx.py", "club_names.py", "wedges.py"}), ("server", {"backup.py"})):
        for source in (Path(__file__).parents[2] / folder).rglob("*.py"):
            if "tests" not in source.parts and source.name not in left:
                found = re.search(r":[+,]?\.(\d|\{\w+\})f\}|round\(yards|yards\([^()]*\):\.", source.read_text("utf-8"))
                assert not found, f"{source.name}: {found[0]} (use units.shown)"


@pytest.mark.parametrize("seed", range(12))
def test_every_figure_of_a_verdict_is_the_average_it_speaks_of(seed):
    """Carry, window, what is missing of it, landing: as whole numbers they fit each other and the shots."""
    chance = np.random.default_rng(seed)
    builds = [
        slot_case(hit(int(chance.integers(300, 430)) / 2, float(chance.integers(68, 108)) / 2,
                      n=int(chance.integers(3, 14)), wide=float(chance.uniform(0.5, 3))), letter)
        for letter in "ABCDEF"
    ]  # fmt: skip
    judged = decide_session(builds, jobs=[GREEN])
    for case, verdict in zip(builds, judged.verdicts, strict=True):
        carry, landing = (average(values_of(case.candidate.shots, key)).mean for key in ("carry_m", "landing_deg"))
        low, high = next((target.low, target.high) for target in case.targets if target.quantity == "carry_m")
        said = re.match(
            r"Carries (\d+), (?:inside|(\d+) (short|long) of) (\d+) to (\d+)\..*Lands at (\d+)°", str(verdict.why)
        )
        carries, off, way, least, most, lands = said.groups()
        assert [int(carries), int(least), int(most)] == [fitter_round(yards(each)) for each in (carry, low, high)]
        assert int(lands) == fitter_round(landing)
        gap = {"short": int(least) - int(carries), "long": int(carries) - int(most)}.get(way)
        assert gap == (int(off) if off else None)
        assert off or int(least) <= int(carries) <= int(most)
        if off and (named := re.search(r"(\d+) yd too (short|long)", str(verdict.headline))):
            assert named.groups() == (off, way)
        if verdict.letter == judged.choice.letter and off:
            assert str(verdict.headline).startswith("Recommended, ")
