"""The practice series: the truth behind a fitting, the way it is done by hand, and the score of a choice."""

from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import NOTHING_FEARED, Job, JobKind
from hemicycle_core.flight import Firmness
from hemicycle_core.shots import Shot
from hemicycle_core.simulation.golfer import Swinging, SwungClub
from hemicycle_core.simulation.practice.fittings import Fitting, TriedOut, _player, draw_fitting
from hemicycle_core.simulation.practice.score import MOST_SHOTS, Score, by_hand, by_share, judged, score, until_settled
from hemicycle_core.units import metres, yards

GREEN = Job("Green", JobKind.GREEN, metres(180), Firmness.MEDIUM, width_m=metres(24), depth_m=metres(24))
CLUB = SwungClub(HeadType.HYBRID, 22, 1.0)


def landed(carry, landing=46.0, n=6, aside=(), offline=0.0):
    return [
        Shot({"carry_m": metres(carry + step), "landing_deg": landing, "offline_m": metres(offline)}, aside=i in aside)
        for i, step in enumerate(np.linspace(-3, 3, n))
    ]


def fitting(truth, shots):
    """A fitting with known truth by letter and the shots given."""
    tried = tuple(TriedOut(letter, CLUB, (value,), metres(180), 46.0) for letter, value in truth.items())
    window = (metres(176), metres(184))
    chance = np.random.default_rng(0)
    return Fitting((GREEN,), window, tried, never, False, chance, shots=dict(shots))


def never(build, count):
    raise AssertionError("What was hit is given.")


def test_by_hand_is_the_average_nearest_the_middle_among_those_that_hold_else_the_steepest():
    shots = {"A": landed(186), "B": landed(179), "C": landed(180, landing=43)}
    assert by_hand(fitting(dict.fromkeys("ABC", 0.5), shots)) == "B"
    flat = {letter: landed(180, landing=angle) for letter, angle in (("A", 41), ("B", 44), ("C", 43))}
    assert by_hand(fitting(dict.fromkeys("ABC", 0.5), flat)) == "B"


def test_by_hand_poor_shots_are_dropped_called_or_not():
    called = [*landed(180, n=4), Shot({"carry_m": metres(172), "landing_deg": 46.0}, aside=True)]
    missed = [*landed(181.5, n=4), Shot({"carry_m": metres(120), "landing_deg": 30.0})]
    assert by_hand(fitting({"A": 0.5, "B": 0.5}, {"A": called, "B": missed})) == "A"
    assert by_hand(fitting({"A": 0.5, "B": 0.5}, {"A": missed, "B": landed(184)})) == "A"


def test_the_raw_share_is_that_of_the_shots_hit():
    there, wide = landed(178, landing=47), landed(178, landing=47, offline=20)
    assert by_share(fitting({"A": 0.5, "B": 0.5}, {"A": wide, "B": there})) == "B"


def test_regret_is_the_truth_of_the_best_less_that_of_the_chosen():
    truth = {"A": 0.4, "B": 0.7, "C": 0.6}
    shots = {"A": landed(180, n=8), "B": landed(150, n=8), "C": landed(150, n=8)}
    made = score(fitting(truth, shots))
    assert made.regret["hand"] == [pytest.approx(0.3)]
    assert made.regret["verdict"] == [pytest.approx(0.3)]  # the shots say A, the truth says B
    assert len(made.pairs) == 3
    assert all(0.5 <= said <= 1 for said, _ in made.pairs)


def test_parts_of_a_score_add_up_and_their_calibration_counts_each_pair_once():
    whole = Score()
    for said, right in ((0.55, True), (0.55, False), (0.8, True), (0.97, True)):
        part = Score(pairs=[(said, right)], inside=[right], off=[0.1])
        part.regret["hand"].append(0.2)
        part.regret["verdict"].append(0.1)
        whole.add(part)
    assert whole.ratio == pytest.approx(0.5)
    assert whole.coverage == 0.75
    rows = [(said, right, count) for said, right, count in whole.calibration()]
    assert rows == [(pytest.approx(0.55), 0.5, 2), (pytest.approx(0.8), 1.0, 1), (pytest.approx(0.97), 1.0, 1)]


def test_a_fitting_is_the_same_by_seed_and_number_and_another_by_either():
    one, again, other = draw_fitting(4, 2), draw_fitting(4, 2), draw_fitting(4, 3)
    assert (one.jobs, one.tried) == (again.jobs, again.tried)
    assert one.tried != other.tried
    assert draw_fitting(5, 2).tried != one.tried
    one.hit("A", 3)
    again.hit("A", 3)
    assert one.shots == again.shots


@pytest.mark.slow
def test_the_truth_is_what_very_many_shots_of_the_player_do():
    """Hit anew under other luck by the player warm and used to the clubs: the carries come back."""
    off = []
    for number in range(12):
        drawn = draw_fitting(9, number)
        for tried in drawn.tried[:2]:
            steady = replace(_player(np.random.default_rng([9, number])), warm_up=0.0, tiring=0.0)
            swung = Swinging(steady, 1000 + number).swing(tried.club, 1500, known=True)
            good = swung.miss < 0
            off.append(yards(float(swung.readings["carry_m"][good].mean()) - tried.carry_m))
            assert 0 <= min(tried.success) <= max(tried.success) <= 1
    assert np.abs(off).max() < 1.0


def test_indoors_the_flight_is_the_monitors_own_and_says_so():
    drawn = draw_fitting(3, 1, indoors=1.0)
    drawn.hit("A", 6)
    assert drawn.indoors
    shot = drawn.shots["A"][0]
    assert {shot.sources[key].value for key in ("carry_m", "total_m", "landing_deg")} == {"modelled"}
    assert "ball_speed_mps" not in shot.sources  # what is not said to be modelled was measured


@pytest.mark.slow
def test_until_settled_goes_on_where_it_wants_to_know_more_and_ends():
    for number in range(3):
        drawn = draw_fitting(6, number, builds=3)
        made = until_settled(drawn)
        counts = [len(shots) for shots in drawn.shots.values()]
        assert min(counts) >= 3
        assert max(counts) <= MOST_SHOTS
        assert made.shots == [pytest.approx(np.mean(counts))]
        settled = judged(drawn).choice
        assert settled.settled or settled.more is None or max(counts) == MOST_SHOTS


def test_a_club_of_the_players_own_is_kept_or_replaced_and_the_truth_says_which_was_right():
    made = Score()
    for number in range(3):
        drawn = draw_fitting(11, number, builds=2, shop=True, own=True)
        plain = draw_fitting(11, number, builds=2)
        assert [each.success for each in drawn.tried] == [each.success for each in plain.tried]
        for letter in ("A", "B", "own"):
            drawn.hit(letter, 6)
        assert drawn.gain("own") == 0
        assert min(drawn.gain(letter) for letter in "AB") >= 0  # a club that is added takes nothing away
        uses = sum(job.uses_per_round for job in drawn.jobs)
        lost = uses * (drawn.truth("A") - replace(drawn, feared=NOTHING_FEARED).truth("A"))
        feared = sum(j.uses_per_round * f for j, f in zip(drawn.jobs, drawn.tried[0].feared, strict=True))
        assert lost == pytest.approx(-drawn.feared.shots * feared)
        made.add(score(drawn))
    assert len(made.sold) + len(made.kept) == 3
