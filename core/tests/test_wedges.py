"""The short end: ends, steps and the cut, flights by loft, and how the player comes down."""

from dataclasses import replace

import pytest
from hemicycle_core.bag import (
    BagEnd,
    GapRule,
    coverage,
    gap_in_work,
    lay_out_slots,
    usual_rules,
)
from hemicycle_core.impact import Lie
from hemicycle_core.judge import ChangeKind
from hemicycle_core.judge.changes import Change
from hemicycle_core.judge.claims import grooves_fresh
from hemicycle_core.judge.cut import Between, bends_left, cut_places, takes_place_of
from hemicycle_core.judge.whatif import Prediction
from hemicycle_core.rack.stock import Wear
from hemicycle_core.samples.alike import AlikeStep
from hemicycle_core.units import metres, mps, yards
from hemicycle_core.wedges import (
    Delivery,
    Looks,
    School,
    WedgeUse,
    delivered,
    flight_of,
    kept_for,
    schools,
    short_end,
    windows_at,
)
from hemicycle_core.wedges.flight import FullHit
from hemicycle_core.wedges.short_end import as_lofted, soles_differ
from wedges import ENDS, STEP, club


def test_the_space_between_the_ends_is_cut_into_equal_steps():
    layout = lay_out_slots(ENDS[0], ENDS[2], 2, rule=GapRule.EVEN_STEPS, step=STEP)
    assert [round(yards(slot.target_m)) for slot in layout.slots] == [98, 112] and layout.closes


def bend(by, gain_yd, before_yd):
    """A bend of the loft as it is predicted."""
    now, then = {"carry_m": metres(before_yd)}, {"carry_m": metres(before_yd + gain_yd)}
    return Prediction(Change(ChangeKind.BEND, by), now, then, {"carry_m": metres(1)}, False, 5)


LAYOUT = lay_out_slots(ENDS[0], ENDS[2], 2, rule=GapRule.EVEN_STEPS, step=STEP)
ALL = ((1.0, -3), (2.0, -6), (-1.0, 3), (-2.0, 6))


def between(name, carry_yd, bends=ALL, parts=()):
    """A wedge between the ends, with what each bend of it would do, yards."""
    known = [bend(by, gain, carry_yd) for by, gain in bends]
    return Between(club(name, carry_yd), lambda: known, [metres(each) for each in parts])


def cut(*wedges, wish=STEP):
    return cut_places(LAYOUT, (ENDS[0], ENDS[2]), wedges, wish)


def test_each_place_of_the_cut_has_one_wedge_and_the_bend_that_brings_it_there():
    def never():
        raise AssertionError("what stands in its place is not bent")

    low, high = cut(Between(club("52", 98), never), Between(club("48", 112), never))
    assert [low.sentence, high.sentence] == ["Carry 98: the 52 is there.", "Carry 112: the 48 is there."]
    off, empty = cut(between("54", 103))
    assert off.bend.change.amount == 1.0 and yards(off.off_m) == pytest.approx(5)
    assert off.sentence == "Carry 98: the 54 is 5 long; 1° weaker should carry 100, give or take 2."
    assert empty.sentence == "Carry 112: nothing of the bag is near it." and empty.club == ""
    # The last wedge is not asked for twice, and what is too far away for any place is at none.
    one, other = cut(between("50", 104), between("52", 99))
    assert (one.club, other.club) == ("52", "")
    short = cut(between("56", 93, [(1.0, -3)]))[0]
    assert (
        short.bend is None
        and short.sentence == "Carry 98: the 56 is 5 short; no bend that it bears brings a step inside the wish."
    )
    assert cut(between("56", 93, []))[0].sentence == "Carry 98: the 56 is 5 short."


def test_a_wedge_off_an_even_cut_is_in_its_place_where_its_steps_are_inside_the_wish():
    # Steps of 10, 16 and 16: the wish is 10 to 15 with its tenth.
    low, high = cut(between("54", 94), between("50", 110))
    assert low.bend is None and high.bend is None
    assert low.sentence == "Carry 98: the 54 is 4 short; its steps are inside the 10 to 15 wanted."
    assert high.sentence == "Carry 112: the 50 is there."


def test_one_bend_is_proposed_where_one_will_do_and_two_where_it_takes_two():
    # 84, 95, 107, 126: the last step is 19, and the 50 a degree stronger closes it.
    low, high = cut(between("54", 95), between("50", 107))
    assert low.bend is None and high.bend.change.amount == -1.0
    # 84, 103, 117, 126: the first is 19, the last 9; either wedge alone leaves one of them.
    low, high = cut(between("54", 103), between("50", 117))
    assert low.bend.change.amount > 0 and high.bend.change.amount > 0


def test_what_stands_at_no_place_is_not_bent_and_many_wedges_are_soon_looked_at():
    def never():
        raise AssertionError("nobody would be told of this bend")

    spare = [Between(club(f"6{number}", 101 + number / 4), never) for number in range(8)]
    here, empty = cut(between("54", 98), *spare)
    assert here.club == "54" and empty.club == ""


def test_a_part_swing_that_the_player_has_shown_fills_what_is_left_of_a_step():
    wide = cut(between("54", 95, []), between("50", 107, []))[1]
    assert wide.sentence == "Carry 112: the 50 is 5 short."
    # The set wedge is an end; the longer of the two that a step lies between is what is eased.
    low, _ = cut(between("54", 103, (), [94]), between("50", 114, ()))
    assert low.bend is None and str(low.sentence).endswith("wanted, with a part swing.")


def test_a_ball_speed_step_that_is_no_usual_one_is_said_where_the_carries_rest_on_few_shots():
    def said(balls_mph, shots, upper_yd=112):
        lower, upper = (replace(each, shots=shots) for each in (club("54", 100, 54, 80), club("50", upper_yd, 50, 80)))
        upper = replace(upper, ball_speed_mps=lower.ball_speed_mps + mps(balls_mph))
        return short_end([lower, upper], STEP).steps[0].sentence

    assert said(3, 3) == "As wanted. Ball speed steps by 3 mph: 4 to 7 mph is usual."
    assert "steps by 8 mph" in said(8, 3)
    assert said(5, 3) == said(3, 8) == "As wanted."
    # Where the two agree nothing is to be said: a wide step by both, a narrow one by both.
    assert "Ball speed" not in said(9, 3, 122) and "Ball speed" not in said(3, 3, 106)


def test_whose_place_a_new_one_takes_and_which_bends_are_left():
    assert [each.amount for each in bends_left(0.0, 2.0)] == [1.0, 2.0]
    assert [each.amount for each in bends_left(1.0, 1.0)] == [1.0, -1.0]
    # Whose place a new one takes: that of its like, else the one in its place of the cut; the set wedge's never.
    bag = [*ENDS, club("52", 99), club("60", 70, kept_for="the lob")]
    assert takes_place_of(metres(97), bag, []) == "52"
    assert takes_place_of(metres(95), bag, cut(between("52", 99))) == "52"
    assert takes_place_of(metres(112), bag, cut(between("52", 99))) == ""
    assert takes_place_of(metres(126), bag, []) == "" == takes_place_of(metres(70), bag, [])


def test_a_step_at_one_swing_is_said_where_it_is_another_and_a_sole_is_open_where_soles_differ():
    step = AlikeStep(metres(12.2), metres(2.4))
    assert step.beside(metres(12.9)) == ""
    assert step.beside(metres(16)) == "Had the two been swung alike: 12, give or take 2."
    assert str(AlikeStep(metres(12), 0.01).beside(metres(16))).endswith("give or take 1.")
    assert as_lofted(57, ENDS[0]) and not as_lofted(56, ENDS[0]) and not as_lofted(None, ENDS[0])
    assert soles_differ(["wide", "narrow", ""]) and not soles_differ(["wide", "", "wide"])
    assert grooves_fresh(Wear.FRESH, 90) and grooves_fresh(None, 10)
    assert not grooves_fresh(None, 11) and not grooves_fresh(None, None)


def test_ends_steps_and_the_order_of_work_are_told():
    found = short_end(ENDS, STEP)
    assert (found.low.club.name, found.high.club.name) == ("LW", "PW")
    assert [round(yards(step.step_m)) for step in found.steps] == [20, 22, 12]
    # A tenth over the wish is still closed; more is not excused.
    assert [step.over_m > 0 for step in found.steps] == [True, True, False]
    assert short_end([club("LW", 84), club("PW", 100.4)], STEP).steps[0].over_m == 0
    assert short_end([club("LW", 84), club("PW", 100.6)], STEP).steps[0].over_m > 0
    assert round(found.steps[0].ball_step_mps / mps(1)) == 11
    assert [stage.key for stage in found.stages] == ["sole", "loft", "ends", "cut"]
    assert found.stages[2].done and not found.stages[0].done
    down = short_end(ENDS, STEP, school=School.SET_WEDGE, sole="wide")
    assert [stage.key for stage in down.stages] == ["ends", "cut", "sole", "loft"] and down.why != found.why
    thin = short_end([replace(ENDS[0], shots=1), *ENDS[1:]], STEP, unknown=[("GW", 50)])
    assert "hit LW 2 more times at the most you would hit it on the course" in thin.sentence
    assert thin.unhit == ("GW",)
    ordered = short_end([*ENDS[:2], replace(ENDS[2], shots=0, on_order=True)], STEP)
    assert ordered.high.missing == "hit PW when it is here: until then its carry is a prediction"
    lob = short_end(ENDS, STEP, unknown=[("60", 60)])
    assert lob.low.missing == "hit 60 3 times at the most you would hit it on the course"


def test_a_wedge_kept_for_one_shot_is_no_crowding_and_no_step():
    uses = {WedgeUse.SAND: 1.5, WedgeUse.LOB: 0.5}
    assert kept_for(uses) == "sand" and kept_for({WedgeUse.LOB: 1}) == "the lob" and kept_for({}) == "one shot"
    sand = club("60", 82, 60, kept_for="sand")
    found = short_end([sand, *ENDS], STEP)
    assert found.low.club.name == "LW" and "kept for sand" in found.steps[0].sentence
    far_off = short_end([club("60", 60, 60, kept_for="sand"), *ENDS], STEP).steps[0]
    assert far_off.over_m == 0 and far_off.sentence == "No step: 60 is kept for sand."
    assert str(found.open_under).endswith("60 is kept out of the steps: under LW, 84 yd, nothing is counted.")
    rules = usual_rules(GapRule.EVEN_STEPS)
    assert not coverage([sand, *ENDS], rules).gaps[0].crowded
    assert coverage([replace(sand, kept_for=""), *ENDS], rules).gaps[0].crowded


def test_one_end_of_the_bag_is_worked_at_a_time():
    covered = coverage([*ENDS, club("7i", 190)], usual_rules(GapRule.EVEN_STEPS))
    assert gap_in_work(covered).lower.name == "9i"
    assert gap_in_work(covered, end=BagEnd.SHORT).lower.name == "SW"
    assert gap_in_work(covered, end=BagEnd.LONG).lower.name == "9i"


def test_how_many_wedges_belong_depends_on_how_the_player_eases_off():
    each, well, fewer = (schools(ENDS[0], ENDS[2], STEP, **more) for more in (
        {"eases": "not", "part_swings": 4}, {"eases": "well", "part_swings": 4}, {"fewer": True},
    ))  # fmt: skip
    assert (each.each, each.part) == (2, 1)
    assert (each.proposed, well.proposed, fewer.proposed) == (2, 1, 1)
    assert schools(ENDS[0], ENDS[2], STEP).proposed is None
    wide = [replace(ENDS[i], spread_m=metres(12)) for i in (0, 2)]
    assert schools(*wide, STEP, eases="not").each == 1  # closer than this spread can use
    seldom = schools(ENDS[0], ENDS[2], STEP, eases="not", uses=0.3)
    assert (seldom.each, seldom.part) == (1, 1) and "less than once in two rounds" in seldom.sentence


@pytest.mark.parametrize("least", [3, 10, 40])
@pytest.mark.parametrize("space", [0, 1, 42, 120, 300])
def test_any_space_and_any_step_that_may_be_wished_is_cut_by_no_more_wedges_than_a_bag_holds(least, space):
    wish = replace(STEP, least_m=metres(least), most_m=metres(least))
    low, high = club("LW", 20, 60), club("PW", 20 + space, 46, of_set=True)
    for more in ({}, {"eases": "well"}, {"eases": "not"}, {"fewer": True}, {"uses": 0.0}):
        found = schools(low, high, wish, **more)
        assert 0 <= found.part <= found.each <= 4
        assert found.proposed in (None, found.part, found.each) and found.sentence


def test_a_published_set_wedge_lies_in_its_window_and_a_player_moves_it():
    windows = windows_at(46, mps(102))
    assert windows["launch_deg"].low < 24.2 < windows["launch_deg"].high
    assert windows["spin_rpm"].low < 9304 < windows["spin_rpm"].high
    lofted = windows_at(58, mps(82))
    assert lofted["launch_deg"].middle > windows["launch_deg"].middle + 5
    assert all(30 <= windows_at(loft, mps(74))["launch_deg"].middle <= 33.1 for loft in (58, 60))
    flips = [FullHit(50, mps(80), 34.0, 8400), FullHit(54, mps(74), 37.5, 8300)]
    moved = windows_at(58, mps(68), others=flips)["launch_deg"]
    alone = windows_at(58, mps(68))["launch_deg"]
    assert moved.middle > alone.middle + 2 and moved.high - moved.low < alone.high - alone.low


def test_a_high_launch_with_little_spin_is_named_for_what_speaks_for_it():
    windows = windows_at(54, mps(85))
    means = {"launch_deg": windows["launch_deg"].high + 2, "spin_rpm": windows["spin_rpm"].low - 800}
    found = flight_of(means, windows, Looks(high=4, called=6, age_rounds=120), 6)
    assert found.high_little and str(found.causes[0].what).startswith("the contact is high")
    assert [bool(cause.why) for cause in found.causes] == [True, True, False, False, False]
    dug = Looks(soft=True, bounce_deg=5, delivery=Delivery.STEEP)
    assert "digs" in flight_of(means, windows, dug, 6).causes[0].what
    sits = Looks(firm=True, bounce_deg=14, delivery=Delivery.SHALLOW)
    assert "sits up" in flight_of(means, windows, sits, 6).causes[0].what
    on_mat = flight_of(means, windows, Looks(lies=frozenset({Lie.MAT})), 6).causes
    assert all(cause.test for cause in on_mat) and "mat" in on_mat[-1].test
    assert flight_of(means, windows, Looks(), 2).causes == ()
    low = {"launch_deg": windows["launch_deg"].low - 1, "spin_rpm": windows["spin_rpm"].high + 100}
    assert "easier to control" in flight_of(low, windows, Looks(), 6).sentence


def test_delivery_is_measured_else_called_and_says_which():
    assert delivered([]).kind is None
    called = delivered([-7.0] * 3, Delivery.STEEP)
    assert (called.kind, called.measured) == (Delivery.STEEP, False) and "called from the divots" in called.sentence
    measured = delivered([-2.0] * 6, Delivery.STEEP)
    assert (measured.kind, measured.measured) == (Delivery.SHALLOW, True)
    assert "2° down over 6 wedge shots, measured. The divots said steep." in measured.sentence


# Part swings


def test_while_no_wedge_was_hit_the_ends_that_come_first_are_named():
    found = short_end([], STEP, unknown=[("PW", 46.0), ("54", 54.0), ("58", 58.0)])
    assert (found.low, found.high, found.steps, found.unhit) == (None, None, (), ("PW", "54", "58"))
    assert found.sentence == (
        "First both ends: hit 58 3 times at the most you would hit it on the course and hit PW 3 more times."
    )
    assert [each.key for each in found.stages] == ["sole", "ends"] and short_end([], STEP) is None
