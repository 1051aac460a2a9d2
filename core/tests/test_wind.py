"""A job met in the wind: what it does to a build, and which club it is that then does the job."""

from dataclasses import replace

import numpy as np
import pytest
from builds import GREEN
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import Job, JobKind
from hemicycle_core.decision import BagClub
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Air, Launch, fly
from hemicycle_core.judge import Candidate
from hemicycle_core.judge.from_wind import ANY_SIDE, Wind, in_wind, usual_launch
from hemicycle_core.judge.weigh import weigh
from hemicycle_core.shots import Shot
from hemicycle_core.units import metres, mps
from test_decision import bag, case, decided

LOW, HIGH = (64.4, 10.0, 3600.0), (64.4, 17.5, 6200.0)  # ball speed, launch, spin: both carry about 195 yd


def hit(launch, n=10, seed=1):
    chance = np.random.default_rng(seed)
    rows = [
        tuple(each * (1 + spread * chance.normal()) for each, spread in zip(launch, (0.008, 0.03, 0.04), strict=True))
        for _ in range(n)
    ]
    flown = fly(Launch(*map(np.array, zip(*rows, strict=True))))
    return [
        Shot({"ball_speed_mps": speed, "launch_deg": up, "spin_rpm": spin, "carry_m": carry, "landing_deg": landing,
              "offline_m": 2.5 * chance.normal()})
        for (speed, up, spin), carry, landing in zip(rows, flown.carry_m, flown.landing_deg, strict=True)
    ]  # fmt: skip


@pytest.mark.parametrize(("side", "low", "high"), [(0.0, 0.84, 0.92), (180.0, 1.03, 1.09), (90.0, 0.98, 1.01)])
@pytest.mark.parametrize(("kind", "yd"), [(HeadType.FAIRWAY, 205), (HeadType.HYBRID, 180), (HeadType.IRON, 150)])
def test_fifteen_miles_an_hour_take_about_a_club_and_give_half_a_club(kind, yd, side, low, high):
    """A hundredth for each mile an hour against, half of that with it, nothing from the side."""
    (found,) = in_wind([usual_launch(kind, metres(yd))], Wind(mps(15), side), airs=[Air()])
    assert low <= found.carry <= high
    assert (found.steeper_deg > 3) == (side == 0.0)
    assert (found.drift > 0.01) == (side == 90.0)


def test_into_the_wind_the_low_one_does_the_job_that_the_high_one_does_in_still_air():
    """“In still air take the one that stops. Into this, only the low one gets there.”"""
    builds = [Candidate(letter, letter, HeadType.HYBRID, hit(launch)) for letter, launch in (("A", HIGH), ("B", LOW))]
    high, low = (np.mean([shot.values["carry_m"] for shot in each.shots]) for each in builds)
    still = Job("Home", JobKind.GREEN, float(high) + 1.0, width_m=25, depth_m=16)
    against = replace(still, distance_m=float(low) * 0.90, wind_mps=mps(15), wind_from_deg=0.0)
    played = weigh(builds, [still, against]).played
    assert played["A"][0].success > played["B"][0].success
    assert played["B"][1].success > played["A"][1].success
    assert played["A"][0].wind == "" and str(played["A"][1].wind).startswith("15 mph against: ")


def test_wind_from_any_side_is_that_from_each_and_still_air_is_no_wind():
    build = Candidate("A", "A", HeadType.HYBRID, hit(HIGH))
    blown = replace(GREEN, wind_mps=mps(12), wind_from_deg=None)
    sides = [replace(blown, wind_from_deg=side) for side in ANY_SIDE]
    every, *each = weigh([build], [blown, *sides]).played["A"]
    assert np.allclose(every.draws, np.mean([one.draws for one in each], axis=0))
    assert np.allclose(every.strokes, np.mean([one.strokes for one in each], axis=0))
    calm = weigh([build], [GREEN]).played["A"][0]
    assert np.array_equal(weigh([build], [replace(GREEN, wind_from_deg=90.0)]).played["A"][0].draws, calm.draws)
    # Aimed off for, a wind from the side costs still: gusts are not.
    assert each[1].success < calm.success
    bare = Candidate("A", "A", HeadType.HYBRID, [Shot({"carry_m": shot.values["carry_m"]}) for shot in build.shots])
    (unread,) = weigh([bare], [sides[0]]).played["A"]
    assert str(unread.wind).endswith("by a usual flight of its kind, its launch was not read")
    with pytest.raises(BadInput, match="45 mph"):
        replace(GREEN, wind_mps=mps(50))


def test_clubs_that_nobody_hit_meet_the_same_wind():
    against = replace(GREEN, distance_m=metres(160), wind_mps=mps(15), wind_from_deg=0.0)
    own: list[BagClub] = bag()
    calm, blown = (decided(case(hit(HIGH)), own=None, jobs=[job]) for job in (replace(against, wind_mps=0.0), against))
    assert calm.today.by_job == ("6i",)  # which rolls out to 163
    assert blown.today.by_job == ("5W",)
    assert len(own) == blown.today.count - 1
