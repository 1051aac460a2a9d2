"""What the player came for, beside a gap: an old club's like, its yardage with another flight, a yardage by name."""

from dataclasses import replace

import numpy as np
import pytest
from builds import GREEN
from hemicycle_core.bag import Carried, HeadType, lay_out_like
from hemicycle_core.brief import FlightWish, Wish, propose_flight, propose_like
from hemicycle_core.brief.wishes import check_named, flight_wanted, lay_out_named, like_wanted, named_target
from hemicycle_core.errors import BadInput
from hemicycle_core.judge import Candidate, Case, Kind, judge_session
from hemicycle_core.judge.choice import Because
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
        Case(Candidate(letter, letter, HeadType.HYBRID, mine, **more), slot, targets, LOWER, UPPER, wanted)
        for letter, mine in zip("AB", shots, strict=False)
    ]
    old = Candidate("", "4H", HeadType.HYBRID, hit(181, 40, seed=9), own=True)
    return judge_session(cases, jobs=[GREEN], own=[old], replaced="4H")


def test_the_yardage_kept_and_the_flight_steeper_is_what_was_asked_and_a_longer_one_is_not():
    found = judged([hit(183, 44), hit(190, 45)], FlightWish.STEEPER)
    assert found.verdicts[0].kind is Kind.FILLS
    assert found.verdicts[0].headline == "Does what was asked"
    assert found.verdicts[1].kind is Kind.ONE_HEAD
    assert found.choice.letter == "A"
    assert found.choice.sentence == "A keeps the yardage of the 4H and lands steeper."
    assert found.verdicts[0].why.startswith("Carries 184, inside 177 to 185. Lands at 44°; wanted: 40° or more.")


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
    assert found.choice.sentence == "A does what the 4H does."


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
