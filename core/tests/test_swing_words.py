"""What strike and swing explain: no head is blamed for what it was done to."""

from dataclasses import replace

import numpy as np
import pytest
from builds import case, session, shots
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import Fear, Feared, Miss
from hemicycle_core.decision.sentences import beside
from hemicycle_core.decision.worth import Worth
from hemicycle_core.judge import Candidate, Liking, Metric, compare
from hemicycle_core.judge.feel import Feel, Felt, liking
from hemicycle_core.judge.swing_words import by_the_swing, speed_needed, spin_words, strike_costs, struck_clean
from hemicycle_core.samples.drift import swing_changes
from hemicycle_core.shots import Shot, Strike
from hemicycle_core.units import metres


def shot(carry=179.0, **more):
    strike = more.pop("strike", None)
    return Shot({"carry_m": metres(carry), **more}, strike=strike)


def test_a_strike_off_the_middle_is_priced_by_head_where_it_was_hit():
    clean = [shot(yd) for yd in (178, 179, 180, 181)]
    heel = [shot(yd, strike=Strike.HEEL) for yd in (169, 171)]
    assert strike_costs([*clean, *heel]) == ["The heel costs 10 yd (2 hit so)."]
    assert strike_costs([*clean, heel[0], shot(178, strike=Strike.TOE), shot(180, strike=Strike.TOE)]) == []


def test_spin_that_runs_far_is_said_and_spin_that_gathers_is_not():
    wild = [shot(spin_rpm=rpm) for rpm in (3100.0, 4000.0, 5200.0, 4400.0, 3300.0)]
    assert spin_words(wild) == "Spin runs from 3100 to 5200 rpm: single shots land unlike the average."
    assert spin_words([shot(spin_rpm=4000.0 + 50 * step) for step in range(6)]) == ""


def test_a_side_that_the_face_makes_is_not_the_clubs():
    pushed = [shot(offline_m=metres(12), face_deg=4.0, path_deg=3.6) for _ in range(4)]
    assert by_the_swing(pushed) == "Ends 12 yd right, which is not the club but the face: 4° right, path 4° right."
    # A face that points the other way, or is square, makes nothing of it; nor is anything said where it was not read.
    for face in (-4.0, 0.5):
        assert by_the_swing([shot(offline_m=metres(12), face_deg=face, path_deg=0.0) for _ in range(4)]) == ""
    assert by_the_swing([shot(offline_m=metres(12)) for _ in range(4)]) == ""


def test_the_ball_speed_that_a_wanted_carry_needs_rises_with_it():
    build = Candidate("A", "A", HeadType.HYBRID, [
        shot(172, ball_speed_mps=56.0, launch_deg=14.0, spin_rpm=4300.0) for _ in range(4)
    ])  # fmt: skip
    said = speed_needed(build, metres(179))
    assert str(said).startswith("179 yd needs 12") and str(said).endswith("it has 125.")
    needs = [float(str(speed_needed(build, metres(yd))).split()[3]) for yd in (172, 179, 186)]
    assert needs == sorted(needs) and needs[0] == pytest.approx(125, abs=1)
    assert speed_needed(Candidate("A", "A", HeadType.HYBRID, [shot()] * 3), metres(179)) == ""


def test_one_missed_shot_is_read_as_what_a_clean_one_would_have_gone():
    stock = [shot(180, club_speed_mps=42.0) for _ in range(4)]
    missed = shot(150, club_speed_mps=42.0, strike=Strike.THIN)
    clean = struck_clean([*stock, missed])
    assert clean is not None and clean.at(missed) == pytest.approx(metres(180))
    assert clean.at(shot(150, club_speed_mps=44.1, strike=Strike.THIN)) > metres(189)
    assert clean.at(shot(150)) is None and struck_clean([missed]) is None


def test_swung_faster_struck_worse_shorter_is_said_of_the_one_it_is_true_of():
    def build(letter, carry, club, ball):
        hit = [shot(carry + step, club_speed_mps=club, ball_speed_mps=ball) for step in (-1, 0, 1, 0, 2, -2)]
        return Candidate(letter, letter, HeadType.HYBRID, hit)

    struck = compare(build("A", 184, 42.0, 60.0), build("B", 176, 43.0, 59.0))
    assert str(struck.sentence).endswith("B was swung faster, struck worse, and went shorter.")
    assert "swung faster" not in compare(build("A", 184, 42.0, 60.0), build("B", 176, 41.0, 58.5)).sentence


def test_a_strike_that_creeps_to_one_side_is_said_of_the_session():
    creeping = [shot(strike=Strike.HEEL if number > 8 else None) for number in range(16)]
    words = [*swing_changes([("A", each) for each in creeping])]
    assert words == ["Strike creeps towards the heel since the first shots. Rest, or look at how far they stand off."]
    assert not swing_changes([("A", shot(strike=Strike.HEEL if number % 3 == 0 else None)) for number in range(16)])


def test_what_is_said_of_two_agrees_with_the_decision_and_with_its_own_figures():
    found = session(case(shots(179, n=10)), case(shots(179.4, n=10, seed=4), "B"))
    two = (case(shots(yd, n=10, seed=seed)) for yd, seed in ((179, 1), (179.4, 4)))
    a, b = (replace(each.candidate, letter=letter) for each, letter in zip(two, "AB", strict=True))
    saves = compare(a, b, metric=Metric.SAVES, weighed=found.saved)
    assert saves is None or "0.0" not in saves.sentence
    feared = Feared(Miss.LEFT, Fear.WHOLE)
    nothing = np.zeros(8)
    worths = {"A": Worth(nothing + 0.3, nothing, nothing), "B": Worth(nothing + 0.4, nothing, nothing - 0.3)}
    assert (
        beside("B", "A", worths, "saves_most", feared) == "Lost for its left: it saves 0.2 strokes a round less than A."
    )
    assert beside("B", "A", worths, "saves_most") == "It saves 0.2 strokes a round less than A."


def test_trust_in_a_club_for_the_tee_is_the_trust_in_it_there():
    said = [Feel({Felt.LOOKS: 4, Felt.TRUST: 1, Felt.TEE: 5})]
    assert liking(said, off_tee=True) is Liking.LIKED
    assert liking(said) is Liking.NEUTRAL
    assert liking([Feel({Felt.TEE: 5})]) is Liking.NEUTRAL
