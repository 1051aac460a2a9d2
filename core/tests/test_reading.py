"""Files and figures as people write them, and a session's evidence whatever order or club it came in."""

import numpy as np
import pytest
from hemicycle_core.bag import HeadType
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.shots import guess_mapping, open_bytes, parse_shots
from hemicycle_core.formats.table import number
from hemicycle_core.samples.averages import average, best_five, cost_of_a_miss, values_of
from hemicycle_core.samples.drift import learning, speed_drift, swing_changes
from hemicycle_core.samples.outliers import Unlikely, questioned
from hemicycle_core.shots import Intent, Shot
from hemicycle_core.units import metres
from hypothesis import given, settings
from hypothesis import strategies as st

MANY = settings(max_examples=80, deadline=None, derandomize=True)


@MANY
@given(st.floats(-9999, 9999).map(lambda value: round(value, 2)))
def test_a_figure_is_read_the_same_with_point_comma_thousands_and_a_true_minus(value):
    plain = f"{value:.2f}"
    assert number(plain) == pytest.approx(value)
    assert number(plain.replace(".", ","), decimal_comma=True) == pytest.approx(value)
    assert number(plain.replace("-", "\u2212")) == pytest.approx(value)
    assert number(f"{value:,.2f}") == pytest.approx(value)
    assert number(f" {plain}° ") == pytest.approx(value)


@MANY
@given(st.floats(0, 60).map(lambda value: round(value, 1)))
def test_a_side_is_signed_by_its_letter_wherever_it_stands(yards):
    for right in (f"{yards} R", f"R {yards}", f"{yards}R"):
        assert number(right) == pytest.approx(yards)
    for left in (f"{yards} L", f"L {yards}", f"{yards}L"):
        assert number(left) == pytest.approx(-yards)


@pytest.mark.parametrize("cell", ["", "-", "--", "n/a", "NaN"])
def test_a_blank_is_no_number_and_words_are_refused(cell):
    assert number(cell) is None
    with pytest.raises(BadInput, match="is not a number"):
        number("twelve")


@pytest.mark.parametrize("encoding", ["utf-8", "utf-8-sig", "utf-16", "cp1252"])
@pytest.mark.parametrize("separator", [",", ";", "\t", "|"])
def test_any_encoding_and_any_separator_give_the_same_shots(encoding, separator):
    rows = [["Schläger", "Carry (m)"], ["7i", "131.5"], ["7i", "129.0"]]
    text = "\r\n".join(separator.join(row) for row in rows) + "\r\n"
    table = open_bytes(text.encode(encoding)).sheet
    assert table.headers == ("Schläger", "Carry (m)")
    parsed = parse_shots(table, guess_mapping(table))
    assert [shot.values["carry_m"] for shot in parsed.shots] == [131.5, 129.0]


def struck(carry, **more):
    return Shot({"carry_m": carry, "offline_m": 2.0}, **more)


KEPT = [struck(160.0 + each) for each in (-3, -2, -1, 0, 1, 2, 12)]


def test_best_five_are_the_five_nearest_the_middle_and_what_does_not_count_is_in_no_average():
    assert sorted(best_five(KEPT, "carry_m")) == [158, 159, 160, 161, 162]
    others = [
        struck(250, misread=True),
        struck(120, intent=Intent.LOW),
        struck(110, aside=True),
        struck(140, void=frozenset({"carry_m"})),
    ]
    assert values_of([*KEPT, *others], "carry_m") == values_of(KEPT, "carry_m")
    assert len(values_of([*KEPT, *others], "offline_m")) == len(KEPT) + 1  # the last one still counts for line
    assert cost_of_a_miss([*KEPT, *others]) == pytest.approx(average(values_of(KEPT, "carry_m")).mean - 110)


@MANY
@given(st.lists(st.floats(30, 45), min_size=12, max_size=30), st.floats(0.9, 1.1), st.floats(0.95, 1.1))
def test_drift_does_not_ask_how_fast_the_player_is(speeds, scale, length):
    same = speed_drift([(length, speed) for speed in speeds])
    faster = speed_drift([(length, speed * scale) for speed in speeds])
    assert faster.share == pytest.approx(same.share, abs=1e-9)
    assert (faster.tired, faster.faster) == (same.tired, same.faster)
    back = speed_drift([(length, speed) for speed in reversed(speeds)])
    assert back.share == pytest.approx(-same.share, abs=1e-9)


def test_a_swing_that_moves_is_told_from_clubs_that_differ():
    chance = np.random.default_rng(2)

    def shots(move):
        for place in range(24):
            build = place % 3
            attack = -2 - build + move * place / 23 + chance.normal(0, 0.3)
            yield build, Shot({"carry_m": 160, "attack_deg": attack, "ball_speed_mps": 54, "club_speed_mps": 38})

    assert swing_changes(list(shots(0.0))) == []
    (said,) = swing_changes(list(shots(3.0)))
    assert str(said).startswith("Attack angle has moved")


def test_learning_needs_eight_shots_and_more_than_chance():
    assert learning([150.0] * 7) is None
    steady = learning([160, 158, 161, 160, 159, 161, 160, 159])
    assert not steady.real
    strange = learning([148, 150, 147, 160, 161, 159, 160, 161])
    assert strange.real
    assert strange.shift_m > 0


def test_what_is_questioned_is_never_what_was_set_aside_and_the_reason_names_the_side():
    far = metres(25)
    shots = [*KEPT, struck(160 + far), struck(160 - far), struck(100, aside=True)]
    (found,) = questioned([(shots, HeadType.HYBRID)])
    sides = {each.index: each.kind for each in found}
    assert sides[7] is Unlikely.LONG
    assert sides[8] is Unlikely.SHORT
    assert 9 not in sides
