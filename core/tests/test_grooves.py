"""Old grooves against new: what can be seen on the green, dry and wet, and whether that is more than noise."""

from collections import Counter
from dataclasses import replace

import pytest
from hemicycle_core.brief import Job, JobKind
from hemicycle_core.heads import HeadType
from hemicycle_core.impact import Lie
from hemicycle_core.judge.claims import Claim
from hemicycle_core.protocols.found import Outcome
from hemicycle_core.protocols.grooves.ask import Asked, standing
from hemicycle_core.protocols.grooves.read import GrooveWedge, as_claim, as_tested, compared, pairs
from hemicycle_core.runs import Ball
from hemicycle_core.shots import LAUNCH, Shot
from hemicycle_core.simulation.golfer import Ground, Player, Swinging, SwungClub
from hemicycle_core.units import metres, mps, yards

PLAYER = Player(
    speed_mps=36, attack_deg=-4, lean_deg=8, misses={}, speed_spread=0.013, loft_spread_deg=1.0, warm_up=0, tiring=0
)
CHIP = Job("30 yd chip", JobKind.GREEN, metres(30), width_m=metres(12), depth_m=metres(20))


def wedge(key, worn, seed, n=5, lies=(None, Lie.WET), rounds=None):
    """A wedge of 56 degrees, hit short by one simulated player."""
    shots = []
    for lie in lies:
        swinging = Swinging(PLAYER, seed * 10 + key, ground=Ground(lie) if lie else Ground())
        for row in swinging.shots(SwungClub(HeadType.WEDGE, 56, 0.9, worn=worn), n, known=True, length="half"):
            values = {name: value for name, value in row.items() if name != "strike"}
            shots.append(Shot(values, protocol="grooves", lie=lie, swing="half", part=True, apart="half swing"))
    return GrooveWedge(key, "56 old" if key == 1 else "56 new", 56, shots, key == 2, rounds)


def test_what_is_worn_out_is_worth_replacing_and_what_is_as_good_is_kept_whatever_its_age():
    def outcomes(worn):
        return Counter(
            compared(wedge(1, worn, seed, rounds=400), wedge(2, 0.0, seed), [CHIP]).worth for seed in range(24)
        )

    assert outcomes(1.0)[Outcome.REPLACE] >= 16
    assert outcomes(0.0)[Outcome.KEEP] >= 23
    kept = compared(wedge(1, 0.0, 3, rounds=400), wedge(2, 0.0, 3), [CHIP])
    assert kept.sentence == "Keep 56 old, 400 rounds old or not: what it loses to 56 new cannot be seen on the green."
    assert any("400 rounds are why it is tested" in each for each in kept.remarks)
    assert as_claim("56 old", kept).claim is Claim.NOT_SO


def test_the_sentences_say_the_figures_and_the_green_of_the_shortest_job():
    found = compared(wedge(1, 1.0, 2), wedge(2, 0.0, 2), [CHIP])
    assert [each.lie for each in found.lies] == [None, Lie.WET]
    for each in found.lies:
        spin, run = each.figures["spin_rpm"], each.figures["run_m"]
        assert f"spins {abs(spin.by):.0f} rpm {'more' if spin.by > 0 else 'less'}" in each.sentence
        assert (", within noise" in each.sentence) is not spin.told
        by = f"{abs(yards(run.by)):.1f}"
        stops = "stops as soon" if by == "0.0" else f"{by} yd {'sooner' if run.by < 0 else 'later'}"
        assert f"{stops} on the green of “30 yd chip”" in each.sentence
    dry, wet = (each.figures["spin_rpm"].by for each in found.lies)
    assert wet > 500 > abs(dry)


def test_without_wet_shots_wear_is_not_told_and_few_shots_say_how_many_more():
    dry = compared(wedge(1, 0.0, 1, lies=(None,)), wedge(2, 0.0, 1, lies=(None,)))
    assert dry.worth is Outcome.OPEN and "from wet" in dry.sentence
    assert compared(wedge(1, 0.0, 1, lies=(None,)), wedge(2, 0.0, 1, lies=(Lie.WET,))) is None
    two = compared(wedge(1, 1.0, 1, n=2), wedge(2, 0.0, 1, n=2))
    assert two.worth is Outcome.OPEN and as_claim("56 old", two).claim is Claim.OPEN


def test_a_club_that_is_trusted_and_a_range_ball_are_said():
    def shots(key, mph):
        values = [{"spin_rpm": 5000 + i, "launch_deg": 30 + 0.1 * i, "ball_speed_mps": mps(50),
                   "club_speed_mps": mps(mph + 0.2 * i)} for i in range(5)]  # fmt: skip
        return GrooveWedge(key, "w", 56, [Shot(each, protocol="grooves") for each in values], key == 2)

    found = compared(shots(1, 52), shots(2, 55), balls=[Ball.RANGE])
    assert (
        "Dry, the fresh one was delivered otherwise (3.0 mph faster): part of the difference is the swing."
        in found.remarks
    )
    assert any("range balls" in each for each in found.remarks)
    assert not any("otherwise" in each for each in compared(shots(1, 52), shots(2, 52)).remarks)


def test_a_pair_is_of_one_loft_else_of_the_next_and_one_of_it_is_fresh():
    def named(key, loft, fresh):
        return GrooveWedge(key, str(key), loft, [], fresh)

    lofts = [(1, 54, False), (2, 58, False), (6, 62, False), (3, 55, True), (4, 54, True), (5, None, True)]
    found = pairs([named(*each) for each in lofts])
    assert [(old.key, fresh.key) for old, fresh in found] == [(1, 4), (2, 3)]


def test_the_test_goes_by_turns_dry_then_wet_and_says_what_comes_next():
    two = [Asked(1, "54 old", {None: 5, Lie.WET: 2}), Asked(2, "54 new", {None: 3})]
    wet = standing([two], 1, Lie.WET, [Ball.OWN])
    assert [(str(each.name), [(task.club, task.left) for task in each.tasks]) for each in wet.columns] == [
        ("dry", [(1, 0), (2, 1)]), ("wet", [(1, 2), (2, 4)]),
    ]  # fmt: skip
    assert wet.words == "54 old, wet, half swing: 2 more shots." and wet.minutes == 4 and not wet.warning
    dry = standing([two], 9, None, [Ball.RANGE])
    assert (dry.next.club, dry.next.lie) == (2, None) and "Range balls" in dry.warning
    hit = standing([[Asked(key, "", {None: 5, Lie.WET: 5}) for key in (1, 2)]], 1, None, [])
    assert hit.next is None and hit.minutes == 0 and str(hit.words).startswith("Both wedges are hit")
    # One fresh wedge beside two old ones is asked for once.
    shared = standing([[Asked(key, "", {}), Asked(9, "", {})] for key in (1, 2)], 1, None, [])
    assert [[task.club for task in each.tasks] for each in shared.columns] == [[1, 9, 2], [1, 9, 2]]
    nobody = standing([], 1, None, [])
    assert "No fresh wedge" in nobody.none and nobody.next is None and not nobody.words


@pytest.mark.parametrize("aside", [True, False])
def test_what_was_set_aside_is_no_part_of_it(aside):
    old, fresh = wedge(1, 0.0, 5), wedge(2, 0.0, 5)
    wild = Shot({**old.shots[0].values, "spin_rpm": 500.0}, protocol="grooves", aside=aside, swing="half", part=True)
    moved = compared(GrooveWedge(1, "old", 56, [*old.shots, wild], False), fresh).lies[0].figures["spin_rpm"].old
    assert (moved == compared(old, fresh).lies[0].figures["spin_rpm"].old) is aside


def test_a_club_that_is_leaned_into_is_said_from_launch_where_no_more_is_read():
    def shots(key, up):
        values = [{"spin_rpm": 5000 + 20 * i, "launch_deg": up + 0.1 * i, "ball_speed_mps": mps(50)} for i in range(5)]
        return GrooveWedge(key, "w", 56, [Shot(each, protocol="grooves") for each in values], key == 2)

    leaned = compared(shots(1, 32), shots(2, 29))
    (said,) = [str(each) for each in leaned.remarks if "delivered otherwise" in each]
    assert said.endswith("(3.0° less loft at impact, by launch and spin): part of the difference is the swing.")
    assert not any("delivered otherwise" in each for each in compared(shots(1, 32), shots(2, 32)).remarks)
    # A ball that slides off worn grooves leaves higher with less spin, and was met with the same loft.
    worn, fresh = wedge(1, 1.0, 5, lies=(Lie.WET,)), wedge(2, 0.0, 5, lies=(Lie.WET,))
    bare = [
        replace(each, shots=[Shot({k: v for k, v in s.values.items() if k in LAUNCH}, protocol="grooves", lie=s.lie)
                             for s in each.shots])
        for each in (worn, fresh)
    ]  # fmt: skip
    assert not any("loft at impact" in each for each in compared(*bare).remarks)


def test_without_a_monitor_runs_are_typed_as_they_were_seen():
    def paced(key, dry, wet):
        shots = [
            Shot({"carry_m": metres(25), "total_m": metres(25 + run)}, protocol="grooves", lie=lie)
            for lie, runs in ((None, dry), (Lie.WET, wet))
            for run in runs
        ]
        return GrooveWedge(key, "56 old" if key == 1 else "56 new", 56, shots, key == 2)

    found = compared(paced(1, (3, 3.2, 2.9), (7, 7.3, 6.8)), paced(2, (3, 3.1, 2.9), (4, 4.2, 3.9)))
    assert (
        found.worth is Outcome.REPLACE
        and found.sentence == "Worth replacing: wet, 56 old runs 3.0 yd further than 56 new."
    )
    assert "on the green, as it was seen" in found.lies[1].sentence
    told = as_tested(found)
    assert told.seen and told.saves > 0.05
    # A monitor that reads no launch and sends a total sends its own model of the ground: nobody saw it.
    fed = [
        replace(each, shots=[replace(shot, order=at) for at, shot in enumerate(each.shots)])
        for each in (paced(1, (3, 3.2, 2.9), (7, 7.3, 6.8)), paced(2, (3, 3.1, 2.9), (4, 4.2, 3.9)))
    ]
    assert compared(*fed).worth is Outcome.OPEN and "run_m" not in compared(*fed).lies[0].figures
