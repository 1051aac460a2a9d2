"""What was not read stays unread: it is never taken for nought, for straight, or for as wanted; it widens what is said,
and is said."""

from dataclasses import replace

import numpy as np
import pytest
from builds import GREEN, case, session
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import FlightWish
from hemicycle_core.judge import Candidate, Kind, Metric, compare
from hemicycle_core.judge.weigh import weigh
from hemicycle_core.rack import expect, owned
from hemicycle_core.rack.lofts import LoftedHead
from hemicycle_core.rack.shortlist import Offer, shortlist
from hemicycle_core.samples import pattern
from hemicycle_core.samples.averages import average, values_of
from hemicycle_core.shots import Shot, fill_blanks
from hemicycle_core.units import METRES_PER_INCH, metres, mps, ninety, yards
from hypothesis import given, settings
from hypothesis import strategies as st
from test_wishes import hit as flown
from test_wishes import judged

LAUNCHED = {"ball_speed_mps": 58.0, "launch_deg": 14.0, "spin_rpm": 4300.0}


@pytest.mark.parametrize("line", [{}, {"direction_deg": 1.5}, {"axis_deg": 4.0}])
def test_a_line_that_was_not_read_is_not_straight(line):
    (filled,) = fill_blanks([{**LAUNCHED, **line}])
    assert "offline_m" not in filled
    assert filled.keys() == {"carry_m", "total_m", "peak_m", "landing_deg", "hang_s"}
    (whole,) = fill_blanks([{**LAUNCHED, "direction_deg": 0.0, "axis_deg": 0.0}])
    assert whole["offline_m"] == pytest.approx(0.0)


def sided(carry, sides, **more):
    return [
        Shot({"carry_m": metres(carry + 2 * (-1) ** i), "landing_deg": 46.5, "offline_m": metres(side)}, **more)
        for i, side in enumerate(sides)
    ]


def without(shots, *keys):
    return [replace(shot, values={k: v for k, v in shot.values.items() if k not in keys}) for shot in shots]


WIDE = (-13, 9, -6, 14, -10, 5, 12, -8)


def test_shots_without_a_direction_earn_nothing_by_it_and_that_is_said():
    read, unread = sided(179, WIDE), without(sided(179, WIDE), "offline_m")
    seen, blind = (session(case(each)).weighed.played["A"][0] for each in (read, unread))
    straight = session(case(sided(179, [0.0] * 8))).weighed.played["A"][0]
    assert blind.success < straight.success - 0.1
    assert blind.success == pytest.approx(seen.success, abs=0.1)  # who spreads as usual players do
    assert np.ptp(blind.interval) > np.ptp(straight.interval)
    assert pattern(unread) is None
    assert "Direction not read" in session(case(unread)).verdicts[0].why
    assert "Direction not read" not in session(case(read)).verdicts[0].why
    # Nor does a shot whose line was said not to count, and nothing is said of which flies straighter.
    void = [replace(shot, void=frozenset({"offline_m", "direction_deg"})) for shot in read]
    assert session(case(void)).weighed.played["A"][0].success == pytest.approx(blind.success, abs=1e-9)
    pair = [Candidate(letter, letter, HeadType.HYBRID, each) for letter, each in (("A", read), ("B", unread))]
    assert compare(*pair, metric=Metric.STRAIGHT) is None
    assert compare(*pair, metric=Metric.CARRY) is not None


def test_a_landing_that_was_not_read_does_not_hold_by_itself():
    read, unread = session(case(sided(179, WIDE))), session(case(without(sided(179, WIDE), "landing_deg")))
    assert read.verdicts[0].kind is Kind.FILLS and read.verdicts[0].settled
    found = unread.verdicts[0]
    assert found.chance == pytest.approx(read.verdicts[0].chance / 2, abs=0.03)
    assert (found.kind, found.headline) == (Kind.FILLS_NOT_SETTLED, "Landing angle not read: cannot be told")
    assert "Landing angle not read: whether it holds is not told." in found.why
    assert str(found.change).startswith("A monitor that reads it")
    # It may come down flatter or steeper than is usual: what it runs is known no better for many shots.
    few, many = (session(case(without(sided(179, WIDE * n), "landing_deg"))).weighed.played["A"][0] for n in (1, 5))
    steady = session(case(sided(179, WIDE * 5))).weighed.played["A"][0]
    assert np.ptp(many.interval) > 1.3 * np.ptp(steady.interval)
    assert np.ptp(few.interval) < 2 * np.ptp(many.interval)


def test_a_wedge_that_says_nothing_of_its_landing_comes_down_as_wedges_do():
    short = replace(GREEN, distance_m=100, depth_m=16)
    bare = without(sided(yards(98), WIDE), "landing_deg")
    by_kind = {
        kind: weigh([Candidate("A", "A", kind, bare)], [short]).played["A"][0].fails["long"]
        for kind in (HeadType.WEDGE, HeadType.HYBRID)
    }
    assert by_kind[HeadType.WEDGE] < by_kind[HeadType.HYBRID]


def test_what_was_asked_of_a_flight_that_was_not_read_is_neither_met_nor_missed():
    higher = judged([flown(181, 40, peak=31)], FlightWish.HIGHER).verdicts[0]
    unread = judged([without(flown(181, 40, peak=31), "peak_m")], FlightWish.HIGHER).verdicts[0]
    assert higher.kind is Kind.FILLS
    assert unread.kind is Kind.FILLS_NOT_SETTLED and not unread.settled
    assert unread.headline == "Peak height not read: cannot be told"
    assert "Peak height not read: whether it is as asked is not told." in unread.why
    assert unread.chance == pytest.approx(higher.chance / 2, abs=0.05)


def test_a_head_whose_flight_is_not_known_is_not_as_sure_to_land_as_asked():
    clubs = [
        owned(LoftedHead(name, HeadType.IRON, loft, 0.96), [], metres(carry), typed_sd_m=4.0)
        for name, loft, carry in (("5i", 26, 165), ("6i", 29.5, 154), ("7i", 33, 143))
    ]
    offer = [Offer(LoftedHead("h", HeadType.HYBRID, 22, 1.01), "Head")]
    window = {HeadType.HYBRID: (metres(160), metres(200))}
    free, held = (shortlist(offer, expect(clubs), windows=window, holds_deg=holds)[0] for holds in (None, 45.0))
    assert held.chance == pytest.approx(free.chance / 2)
    assert str(held.sentence).endswith("how it lands is not known.")


# Lengths


def swung(carry, speed, n=5, seed=1, spread=3.0):
    chance = np.random.default_rng(seed)
    return [
        Shot({"carry_m": metres(carry + spread * off), "club_speed_mps": mps(speed) * (1 + 0.006 * off),
              "offline_m": metres(5 * side), "landing_deg": 45.0})
        for off, side in chance.normal(size=(n, 2))
    ]  # fmt: skip


BAG = (
    ("5W", HeadType.FAIRWAY, 190, 92, 18, 42.5),
    ("5i", HeadType.IRON, 158, 83, 26, 38),
    ("6i", HeadType.IRON, 148, 81.5, 29.5, 37.5),
)


def weighed_with(own_lengths, build_length, own_lofts=True):
    own = [
        Candidate(name, name, kind, swung(carry, speed, seed=k), loft_deg=loft if own_lofts else None,
                  length_m=inches * METRES_PER_INCH if own_lengths else None, own=True)
        for k, (name, kind, carry, speed, loft, inches) in enumerate(BAG)
    ]  # fmt: skip
    length = build_length and build_length * METRES_PER_INCH
    build = Candidate("A", "4H", HeadType.HYBRID, swung(174, 88, n=8, seed=9), loft_deg=22, length_m=length)
    return {each.letter: each for each in (*own, build)}, weigh([build, *own], [])


@pytest.mark.parametrize("build_length", [None, 40.0, 41.5])
@pytest.mark.parametrize("own_lengths", [True, False])
@pytest.mark.parametrize("own_lofts", [True, False])
def test_a_length_that_nobody_stated_moves_no_carry_that_was_measured(own_lengths, build_length, own_lofts):
    builds, found = weighed_with(own_lengths, build_length, own_lofts)
    for letter, centre in found.centres.items():
        mean = average(values_of(builds[letter].shots, "carry_m"))
        # The bound is of the judge's own spread; three yards in the hundred over five shots, and the day.
        assert abs(centre.carry_m - mean.mean) < ninety(mean.mean * np.hypot(0.042 / mean.n**0.5, 0.005)), letter
    unknown = weighed_with(False, None)[1].centres["A"]
    assert unknown.carry_m == pytest.approx(average(values_of(builds["A"].shots, "carry_m")).mean, abs=metres(1.5))


@settings(max_examples=40, deadline=None, derandomize=True)
@given(
    speeds=st.lists(st.floats(76, 104), min_size=2, max_size=6),
    lengths=st.lists(st.one_of(st.none(), st.floats(35, 45)), min_size=6, max_size=6),
    lofts=st.lists(st.one_of(st.none(), st.floats(15, 45)), min_size=6, max_size=6),
    kinds=st.lists(st.sampled_from([HeadType.HYBRID, HeadType.IRON, HeadType.FAIRWAY]), min_size=6, max_size=6),
)
def test_no_speed_or_length_moves_a_measured_carry_further_than_its_doubt(speeds, lengths, lofts, kinds):
    builds = [
        Candidate(str(k), str(k), kinds[k], swung(150 + k, speed, n=6, seed=k), loft_deg=lofts[k],
                  length_m=None if lengths[k] is None else lengths[k] * METRES_PER_INCH)
        for k, speed in enumerate(speeds)
    ]  # fmt: skip
    for centre in weigh(builds, []).centres.values():
        plain = centre.carry_m / centre.speed_factor
        most = ninety(np.hypot(centre.spread_share * 1.25 / centre.n**0.5, 0.005))
        assert abs(centre.speed_factor - 1) <= most + 1e-9
        assert abs(centre.carry_m - plain) <= centre.carry.half * 1.3


def test_two_lengths_do_not_settle_a_difference_that_nobody_measured():
    short = Candidate(
        "A", "A", HeadType.HYBRID, swung(174, 88, n=8, seed=2), loft_deg=22, length_m=39.5 * METRES_PER_INCH
    )
    long = replace(short, letter="B", shots=swung(175, 88, n=8, seed=2), length_m=41.5 * METRES_PER_INCH)
    found = compare(short, long)
    assert yards(abs(found.by)) == pytest.approx(1, abs=0.1)
    assert not found.settled
