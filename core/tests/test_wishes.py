"""What the player came for, beside a gap: an old club's like, its yardage with another flight, a yardage by name."""

from dataclasses import replace

import numpy as np
import pytest
from builds import GREEN
from hemicycle_core.bag import Carried, HeadType, lay_out_like
from hemicycle_core.brief import FlightWish, Job, JobKind, Wish, propose_flight, propose_like
from hemicycle_core.brief.wishes import (
    COMPARED,
    check_named,
    far_wanted,
    flight_wanted,
    lay_out_named,
    like_wanted,
    named_target,
    propose_far,
)
from hemicycle_core.decision import Because, decide_session
from hemicycle_core.errors import BadInput
from hemicycle_core.judge import Candidate, Case, Kind
from hemicycle_core.shots import Shot
from hemicycle_core.units import metres, yards

# An old hybrid that carries 181 and comes in at 40 degrees, among clubs 15 yd away.
OLD = Carried("4H", HeadType.HYBRID, metres(181), metres(190), spread_m=4, peak_m=metres(27), landing_deg=40.0,
              spin_rpm=4400.0, carry_sd_m=0.8)  # fmt: skip
LOWER, UPPER = (replace(OLD, name=name, carry_m=metres(carry), total_m=metres(carry + 8))
                for name, carry in (("5i", 166), ("5W", 197)))  # fmt: skip


def hit(carry, landing, peak=27.0, spin=4400.0, n=10, seed=2):
    chance = np.random.default_rng(seed)
    return [
        Shot({"carry_m": metres(carry + chance.normal(0, 1.5)), "landing_deg": landing + chance.normal(0, 0.8),
              "peak_m": metres(peak + chance.normal(0, 0.6)), "spin_rpm": spin + chance.normal(0, 120),
              "offline_m": float(chance.normal(0, 5))})
        for _ in range(n)
    ]  # fmt: skip


def judged(shots, asked=None, **more):
    slot = lay_out_like(OLD).slots[0]
    targets = propose_like(OLD, slot, [GREEN]) if asked is None else propose_flight(OLD, asked, slot, [GREEN])
    wanted = like_wanted(OLD) if asked is None else flight_wanted(OLD, asked)
    cases = [
        Case(Candidate(letter, letter, HeadType.HYBRID, mine, **more), targets, LOWER, UPPER, wanted)
        for letter, mine in zip("AB", shots, strict=False)
    ]
    old = Candidate("", "4H", HeadType.HYBRID, hit(181, 40, seed=9), own=True)
    return decide_session(cases, jobs=[GREEN], own=[old], replaced="4H")


def test_the_yardage_kept_and_the_flight_steeper_is_what_was_asked_and_a_longer_one_is_not():
    found = judged([hit(183, 44), hit(190, 45)], FlightWish.STEEPER)
    assert found.verdicts[0].kind is Kind.FILLS
    assert found.verdicts[0].headline == "Does what was asked"
    assert found.verdicts[1].kind is Kind.ONE_HEAD
    assert found.choice.letter == "A"
    assert found.choice.sentence == "A keeps the yardage of the 4H and lands steeper. The 4H goes for it."
    assert str(found.verdicts[0].why).startswith("Carries 184, inside 177 to 185. Lands at 44°; wanted: 41° or more.")


def test_the_yardage_kept_with_the_same_flight_is_not_what_was_asked_and_the_old_club_is_kept():
    low = judged([hit(181, 38.0)], FlightWish.STEEPER)
    assert low.verdicts[0].headline == "Keeps the yardage, not the flight asked for"
    assert (low.choice.letter, low.choice.because) == (None, Because.KEEP)
    assert low.choice.sentence == "Keep the 4H: none of these keeps the yardage of the 4H and lands steeper."


@pytest.mark.parametrize(
    ("asked", "does", "does_not"),
    [
        (FlightWish.HIGHER, {"peak": 31}, {"peak": 25}),
        (FlightWish.LOWER, {"peak": 23}, {"peak": 29}),
        (FlightWish.LESS_SPIN, {"spin": 3900}, {"spin": 4700}),
        (FlightWish.MORE_SPIN, {"spin": 4900}, {"spin": 4100}),
    ],
)
def test_each_wish_for_another_flight_has_its_reading(asked, does, does_not):
    assert judged([hit(181, 40, **does)], asked).verdicts[0].kind is Kind.FILLS
    assert judged([hit(181, 40, **does_not)], asked).verdicts[0].kind is Kind.ONE_HEAD


def test_like_for_like_asks_for_the_carry_and_the_whole_flight_and_for_no_gain():
    found = judged([hit(181, 40), hit(181, 40, spin=5100)])
    assert [each.kind for each in found.verdicts] == [Kind.FILLS, Kind.ONE_HEAD]
    assert found.choice.letter == "A"  # it gains no shot, and is what was asked for
    assert str(found.choice.sentence).startswith("A does what the 4H does")


def test_a_wish_needs_the_old_clubs_flight_to_be_known():
    with pytest.raises(BadInput, match="Hit the 4H first"):
        propose_flight(replace(OLD, peak_m=None), FlightWish.HIGHER, lay_out_like(OLD).slots[0], [])
    assert like_wanted(replace(OLD, peak_m=None, spin_rpm=None)).demands == ("landing_deg",)
    assert like_wanted(OLD).wish is Wish.LIKE


def test_a_yardage_by_name_is_the_window_and_a_total_is_brought_back_by_the_roll():
    one = named_target(lay_out_named(metres(210), metres(210), metres(9), total=False))
    assert [round(yards(each), 1) for each in (one.low, one.high)] == [206.5, 213.5]
    band = lay_out_named(metres(140), metres(150), metres(4), total=False).slots[0]
    assert [round(yards(each), 1) for each in (band.low_m, band.high_m)] == [140.0, 150.0]
    total = lay_out_named(metres(210), metres(210), metres(9), total=True)
    assert [round(yards(each), 1) for each in (total.slots[0].low_m, total.slots[0].high_m)] == [197.5, 204.5]
    assert total.sentence == "210 yd was asked for, roll and all."
    for low, high in ((150.0, 140.0), (None, 140.0), (10.0, 20.0), (100.0, 600.0)):
        with pytest.raises(BadInput):
            check_named(low, high)
    check_named(None, None)


def off_the_tee(total, wide, n=16, seed=2, **more):
    """Shots of one total whose sides are spread so wide, yards."""
    chance = np.random.default_rng(seed)
    sides = wide * (np.arange(n) - (n - 1) / 2) / (n / 4)
    return [
        Shot({"carry_m": metres(total - 14 + chance.normal(0, 1)), "total_m": metres(total), "offline_m": metres(side),
              "landing_deg": 38.0}, **more)
        for side in sides
    ]  # fmt: skip


def far(*builds, old=(214, 14)):
    club = replace(OLD, name="3W", head_type=HeadType.FAIRWAY, carry_m=metres(200), total_m=metres(old[0]))
    wanted = far_wanted(club, [Job("Tight tee", JobKind.TEE, metres(220), width_m=metres(30))])
    cases = [
        Case(Candidate(letter, letter, HeadType.FAIRWAY, off_the_tee(*each, seed=k)), propose_far(club), wanted=wanted)
        for k, (letter, each) in enumerate(zip("AB", builds, strict=False))
    ]
    mine = Candidate("", "3W", HeadType.FAIRWAY, off_the_tee(*old, seed=9), own=True)
    return decide_session(cases, own=[mine], jobs=[GREEN])


def test_as_far_as_possible_and_in_play_takes_the_longest_that_is_in_play_as_often_as_the_old_club():
    found = far((221, 14), (229, 21))
    assert found.choice.letter == "A"
    assert [verdict.headline for verdict in found.verdicts][1] == "Further, but in play less often than the 3W"
    share = {letter: played.success for letter, played in found.weighed.in_play.items()}
    assert share["own 3W"] - 0.05 <= share["A"] and share["B"] < share["own 3W"] - 0.05
    in_play = {letter: round(100 * each) for letter, each in share.items()}
    assert str(found.choice.sentence).startswith("A goes further than the 3W and is in play as often")
    assert f"A: 221 in all, in play {in_play['A']} in 100 (3W {in_play['own 3W']})" in found.choice.sentence
    assert f" B goes 229, in play {in_play['B']} in 100: too seldom." in found.choice.sentence
    # The longer one is taken as soon as it holds the fairway as often; nothing is kept that goes no further.
    assert far((221, 14), (229, 14)).choice.letter == "B"
    none = far((214, 14), (213, 12))
    assert none.choice.letter is None
    assert str(none.choice.sentence).startswith("Keep the 3W: none of these goes further than the 3W")
    assert none.verdicts[0].headline == "No further than the 3W"


def test_how_often_a_club_is_in_play_is_not_known_of_one_that_was_not_hit():
    with pytest.raises(BadInput, match="Hit the 4H first"):
        far_wanted(replace(OLD, spread_m=None), [])
    usual = far_wanted(OLD, [GREEN]).fairway
    assert (usual.name, round(yards(usual.width_m))) == ("a fairway of 32 yd", 32)


def test_builds_that_are_only_compared_have_no_window_and_the_jobs_decide_or_the_player():
    cases = [Case(Candidate(each, each, HeadType.HYBRID, hit(carry, 44)), (), wanted=COMPARED) for each, carry in
             (("A", 179), ("B", 150))]  # fmt: skip
    by_jobs = decide_session(cases, jobs=[GREEN])
    assert [verdict.kind for verdict in by_jobs.verdicts] == [Kind.COMPARED, Kind.COMPARED]
    assert str(by_jobs.verdicts[0].why).startswith("Carries 180. Lands at 44°.")
    assert by_jobs.choice.letter == "A"
    assert "window" not in by_jobs.choice.sentence
    alone = decide_session(cases).choice
    assert (alone.letter, alone.settled) == (None, False)
    assert str(alone.sentence).startswith("Compared only")


def test_a_club_out_of_favour_is_no_reason_to_keep_what_is_there():
    old = Candidate("", "4H", HeadType.HYBRID, hit(181, 46, n=12, seed=9), own=True)
    case = Case(
        Candidate("A", "A", HeadType.HYBRID, hit(180, 46, n=12)), propose_like(OLD, lay_out_like(OLD).slots[0], [])
    )
    kept = decide_session([case], jobs=[GREEN], own=[old])
    assert kept.choice.letter is None
    gone = decide_session([case], jobs=[GREEN], own=[replace(old, out_of_favour=True)])
    assert gone.choice.letter == "A"
    poor = Case(Candidate("A", "A", HeadType.HYBRID, hit(150, 46, n=12)), case.targets)
    other = Candidate("", "5W", HeadType.FAIRWAY, hit(180, 46, n=12, seed=5), own=True)
    empty = decide_session([poor], jobs=[GREEN], own=[replace(old, out_of_favour=True), other])
    assert str(empty.choice.sentence).endswith("The place of the 4H stays empty.")
