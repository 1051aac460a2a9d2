"""Wedges judged: part swings in play, claims, verdicts in wedge words, and plans of both ends."""

from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import (
    Carried,
    GapRule,
    HeadType,
    usual_rules,
)
from hemicycle_core.brief import Target
from hemicycle_core.decision import Demand, decide_session
from hemicycle_core.decision.bags import Weigher
from hemicycle_core.decision.schools import school_plan
from hemicycle_core.flight import Launch, fly
from hemicycle_core.impact import Lie
from hemicycle_core.judge import Candidate, Case, ChangeKind, Kind, judge
from hemicycle_core.judge.claims import Claim, Wedge, answered
from hemicycle_core.judge.eased import eases, part_swings
from hemicycle_core.judge.unhit import play_expected
from hemicycle_core.judge.weigh import weigh
from hemicycle_core.protocols import findings
from hemicycle_core.rack.expected import expect, owned
from hemicycle_core.rack.lofts import LoftedHead
from hemicycle_core.rack.sole_search import WedgeHead, nearest_bent
from hemicycle_core.rack.stock import Made
from hemicycle_core.shots import Intent, Shot, Strike
from hemicycle_core.simulation.golfer import Swinging, SwungClub
from hemicycle_core.units import METRES_PER_INCH, metres, mps, yards
from hemicycle_core.wedges import (
    Complaint,
)
from madeup import option, weigher
from wedges import PITCH, PLAYER, STEP, club, swung


def build(letter, loft, hit, **more):
    return Candidate(letter, letter, HeadType.WEDGE, hit, loft_deg=loft, length_m=35.3 * METRES_PER_INCH, **more)


def test_a_wedge_does_a_pitch_with_a_part_swing_and_better_where_that_swing_repeats():
    hit = swung(56, 10)
    (full,) = weigh([build("A", 56, hit)], [PITCH]).played["A"]
    assert full.success > 0.5 and yards(full.eased_m) == pytest.approx(58, abs=3)
    good, bad = (swung(56, 6, "half", replace(PLAYER, eases_off=how), seed=5) for how in (0.4, 2.5))
    easy, hard = (weigh([build("A", 56, [*hit, *half])], [PITCH]).played["A"][0] for half in (good, bad))
    assert easy.success > hard.success
    assert weigh([build("A", 56, hit)], [replace(PITCH, lie=Lie.SAND, distance_m=metres(15))])  # and is not refused
    assert not replace(PITCH, lie=Lie.SAND, distance_m=metres(15)).played_out


def test_a_job_near_the_stock_carry_is_done_with_it_and_one_beyond_it_not_at_all():
    hit = swung(56, 10)
    carry = float(np.mean([shot.values["carry_m"] for shot in hit]))
    near, beyond = (replace(PITCH, distance_m=each) for each in (carry, carry * 1.6))
    played = weigh([build("A", 56, hit)], [near, beyond]).played["A"]
    assert played[0].eased_m is None and played[0].success > 0.3
    assert played[1].success == 0


STOCK_SPREAD = float(np.std([shot.values["carry_m"] for shot in swung(54, 200)]) / metres(95))


def test_how_well_a_player_eases_off_is_told_from_several_swings_and_never_from_one():
    def clubs(how, lengths):
        steady = replace(PLAYER, eases_off=how)
        swings = [swing for i, each in enumerate(lengths) for swing in part_swings(swung(54, 8, each, steady, seed=i))]
        return eases([(metres(95), STOCK_SPREAD, swings)])

    lengths = ("half", "three_quarter", "9:00", "7:30", "10:30")
    assert (clubs(0.3, lengths).rank, clubs(4.0, lengths).rank) == ("well", "not")
    assert clubs(4.0, lengths[:1]).rank == ""


def test_a_short_shot_never_enters_the_full_carry():
    hit = swung(54, 5)
    both = [*hit, *swung(54, 4, "half")]
    assert (
        decide_session([wedge_case("A", both)]).verdicts[0].why
        == decide_session([wedge_case("A", hit)]).verdicts[0].why
    )
    assert [each.swing for each in part_swings(both)] == ["half"] and part_swings(hit) == []


def test_a_wedge_that_was_not_hit_is_expected_from_the_others_and_a_specialist_one_shorter_than_a_set_one():
    heads = [(HeadType.IRON, 41, 36.0), (HeadType.IRON, 46, 35.75), (HeadType.WEDGE, 56, 35.3)]
    known = []
    for i, (kind, loft, inches) in enumerate(heads):
        made = Swinging(PLAYER, i).shots(SwungClub(kind, loft, inches * METRES_PER_INCH), 8, known=True)
        hit = [Shot({key: value for key, value in row.items() if key != "strike"}) for row in made]
        known.append(owned(LoftedHead(f"{loft}", kind, loft, inches * METRES_PER_INCH), hit, typed_sd_m=4))
    of_set, special = expect([each for each in known if each]).of(
        [LoftedHead("set", HeadType.IRON, 50, 0.9), LoftedHead("special", HeadType.WEDGE, 50, 0.9)]
    )
    assert 2 < yards(of_set.carry_m - special.carry_m) < 12
    true = Swinging(PLAYER, 9).swing(SwungClub(HeadType.WEDGE, 50, 0.9, face_speed=0.985), 200, known=True)
    assert special.carry_m == pytest.approx(true.readings["carry_m"].mean(), abs=metres(6))
    pooled = weigh([build("A", 56, swung(56, 8))], [PITCH]).pooled
    assert play_expected([("special", special)], pooled, [PITCH])[0][1][0].success > 0.4


# What bothers the player


def wedge(name, hit, **more):
    return Wedge(name, 54.0, hit, **more)


def test_a_complaint_is_answered_by_a_measurement_beside_a_fresh_one():
    fresh = wedge("B", swung(54, 8), fresh=True)
    worn = [replace(shot, values={**shot.values, "spin_rpm": shot.values["spin_rpm"] * 0.55}) for shot in swung(54, 8)]
    said = answered(wedge("54", worn), Complaint.RUNS_OUT, [fresh], STEP)
    assert (
        said.claim is Claim.TRUE and said.by > 1 and f"it stops {yards(said.by):.0f} yd later than B" in said.sentence
    )
    same = answered(wedge("54", swung(54, 8, seed=4)), Complaint.RUNS_OUT, [fresh], STEP)
    assert same.claim is Claim.NOT_SO
    alone = answered(wedge("54", worn), Complaint.WORN, [], STEP)
    assert alone.claim is Claim.OPEN and "hit a fresh one of 54° beside it" in alone.sentence
    gone = answered(wedge("54", worn), Complaint.WORN, [fresh], STEP)
    assert gone.claim is Claim.TRUE and gone.by < -1000
    fat = [replace(shot, strike=Strike.FAT) if i < 4 else shot for i, shot in enumerate(swung(54, 8))]
    assert answered(wedge("54", fat), Complaint.DIGS, [fresh], STEP).claim is Claim.TRUE
    sand = answered(wedge("54", worn, bounce_deg=12.0, sands=("firm", "soft")), Complaint.SAND, [fresh], STEP)
    assert sand.claim is Claim.OPEN and "soft sand with about 9°, enough" in sand.sentence
    assert "firm sand with about 3°, little enough by judgement. Let them play it" in sand.sentence
    gap = wedge("54", worn, club=club("54", 100)), [wedge("PW", worn, club=club("PW", 126))]
    assert answered(gap[0], Complaint.GAP, gap[1], STEP).claim is Claim.TRUE
    # A wedge of the stand that carries the same is no step of the bag, and neither is one that is kept out.
    tried = [wedge("A", worn, club=club("A", 100), own=False), wedge("60", worn, club=club("60", 99, kept_for="sand"))]
    step = answered(gap[0], Complaint.GAP, [*gap[1], *tried], STEP).sentence
    assert "26 yd to PW" in step and "A" not in str(step).split() and "60" not in step


def spread(share, n, middle=95.0, **more):
    """Shots whose carries spread by a share, evenly about their mean."""
    at = np.linspace(-1, 1, n)
    return [Shot({"carry_m": middle * (1 + share * each / at.std(ddof=1)), "offline_m": 0.0}, **more) for each in at]


def test_a_complaint_is_true_only_where_chance_does_not_make_it():
    def said(complaint, mine, theirs, **more):
        fresh = wedge("54-B", theirs, fresh=True)
        return answered(wedge("54", mine, **more), complaint, [fresh] if theirs else [], STEP)

    steady = spread(0.03, 9)
    assert said(Complaint.DISTANCE, spread(0.09, 9), steady).claim is Claim.TRUE
    few = said(Complaint.DISTANCE, spread(0.06, 3), spread(0.03, 3))
    assert few.claim is Claim.OPEN and "6% of its carry; the other wedges 3%, which may be chance" in few.sentence
    assert said(Complaint.DISTANCE, spread(0.035, 9), steady).claim is Claim.NOT_SO
    assert said(Complaint.DISTANCE, spread(0.09, 9), []).claim is Claim.OPEN  # of one club it may be the swing

    def spinning(rpm, sd, n):
        values = rpm + sd * np.linspace(-1, 1, n)
        return [Shot({"carry_m": 95.0, "spin_rpm": float(each)}) for each in values]

    for mine, theirs, claim, words in (
        ((8000, 300, 6), (9200, 300, 6), Claim.TRUE, "1200 rpm less than 54-B."),
        ((8700, 900, 3), (9200, 900, 3), Claim.OPEN, "500 rpm less than 54-B, which may be chance"),
        ((9150, 300, 6), (9200, 300, 6), Claim.NOT_SO, "as much spin as 54-B."),
        ((9900, 300, 6), (9200, 300, 6), Claim.NOT_SO, "700 rpm more than 54-B."),
    ):
        found = said(Complaint.WORN, spinning(*mine), spinning(*theirs))
        assert found.claim is claim and words in found.sentence, found

    def starting(deg, sd, n):
        sides = np.radians(deg + sd * np.linspace(-1, 1, n))
        return [Shot({"carry_m": 95.0, "offline_m": float(95 * np.tan(each))}) for each in sides]

    off = said(Complaint.LINE, starting(-2.0, 0.8, 6), starting(0.2, 0.8, 6))
    assert off.claim is Claim.TRUE and "2.2° left of the other wedges" in off.sentence
    assert said(Complaint.LINE, starting(-2.0, 4.0, 3), starting(0.0, 0.8, 6)).claim is Claim.OPEN
    assert said(Complaint.LINE, starting(0.3, 0.8, 6), starting(0.0, 0.8, 6)).claim is Claim.NOT_SO
    # Nothing is answered by two shots, nor by what a monitor did not read.
    assert "hit it 3 times first" in said(Complaint.LINE, steady[:2], steady).sentence
    assert said(Complaint.RUNS_OUT, steady, steady).claim is Claim.OPEN
    assert said(Complaint.BALLOONS, steady, steady).claim is Claim.OPEN
    thin = [replace(shot, strike=Strike.THIN) if i == 0 else shot for i, shot in enumerate(steady)]
    assert said(Complaint.THIN, thin, steady).claim is Claim.OPEN
    assert said(Complaint.THIN, steady, thin).claim is Claim.NOT_SO


# Verdicts


def wedge_case(letter, hit, low=None, **more):
    carry = float(np.mean([shot.values["carry_m"] for shot in hit if shot.kept]))
    low = carry - metres(3.5) if low is None else low
    targets = [Target("carry_m", low, low + metres(7), "The step.")]
    candidate = {key: more.pop(key) for key in ("bend_up_deg", "bend_down_deg", "flies_high") if key in more}
    return Case(build(letter, 54, hit, **candidate), targets, **more)


def test_no_wedge_is_too_much_for_a_slow_player():
    slow = replace(PLAYER, speed_mps=24, lean_deg=12)
    hit = swung(46, 9, player=slow)
    carry, lands = (float(np.mean([shot.values[key] for shot in hit])) for key in ("carry_m", "landing_deg"))
    step = [
        Target("carry_m", carry + 15, carry + 21, "The step."),
        Target("landing_deg", lands + 8, None, "The green."),
    ]
    said = judge(Case(build("A", 46, hit), step))
    assert said.kind is not Kind.NOT_SUPPORTED and "speed" not in said.headline


def test_verdicts_of_wedges_are_in_words_of_their_own():
    hit = swung(54, 9)
    carry = float(np.mean([shot.values["carry_m"] for shot in hit]))

    def said(**more):
        return judge(wedge_case("A", hit, **more))

    assert (said().kind, said().headline) == (Kind.FILLS, "Fills its step")
    away = said(low=carry - metres(9), bend_up_deg=2.0, bend_down_deg=2.0)
    assert away.kind is Kind.ONE_TURN and away.turn.change.kind is ChangeKind.BEND
    assert away.headline in ("A degree weaker away", "Two degrees weaker away")
    assert "more bounce. Bend it and test it as a new build." in away.change
    assert said(low=carry - metres(9)).kind is not Kind.ONE_TURN  # what may not be bent is not told to be
    near = said(low=carry + metres(6), upper=Carried("PW", HeadType.WEDGE, carry + metres(3), carry + metres(3)))
    assert near.headline == "Too near its neighbour: PW"
    assert said(flies_high="Powder the face.").kind is Kind.TOO_HIGH
    assert said(sole_open=True).kind is Kind.SOLE_FIRST


def test_a_wedge_that_takes_the_place_of_an_own_one_is_held_against_it_and_kept_within_noise():
    job = replace(PITCH, name="Full", distance_m=metres(87), depth_m=metres(20), width_m=metres(20))
    own = build("", 54, swung(54, 8, seed=8), own=True)
    own = replace(own, name="54 old")
    found = decide_session([wedge_case("A", swung(54, 8), replaces="54 old")], jobs=[job], own=[own])
    assert found.verdicts[0].headline == "Keep the 54 old: within noise"


# Tests of the player


def test_a_yardage_by_name_says_what_was_asked_and_what_came():
    asked = [
        Shot({"carry_m": metres(75 + off), "launch_deg": 33.0, "spin_rpm": 7000.0}, intent=Intent.YARDAGE,
             protocol="yardage", asked_m=metres(75), swing="half")
        for off in (2, 4, 6)
    ]  # fmt: skip
    (found,) = [each for each in findings([*swung(54, 5), *asked]) if each.protocol == "yardage"]
    assert round(yards(found.by["off_m"])) == 4 and found.as_asked is False
    assert str(found.sentence).startswith("Asked 75: carries 79, 4 long, spreads 2 yd;")


def test_a_three_quarter_swing_that_goes_as_far_is_found():
    stock = [Shot({"carry_m": metres(100 + off), "ball_speed_mps": 37.0}) for off in (-5, 0, 5)]
    part = [
        Shot({"carry_m": metres(99 + off), "ball_speed_mps": 36.5}, swing="three_quarter", part=True, apart="x")
        for off in (-1, 0, 1)
    ]
    found = [each for each in findings([*stock, *part]) if each.swing]
    assert str(found[0].sentence).endswith(
        "It goes as far at three-quarter. And it repeats better: it could be the stock swing."
    )


def test_a_sole_in_a_loft_it_is_not_made_in_is_the_nearest_one_bent():
    def head(key, loft, sole="wide", had=True, made=Made.FORGED):
        return WedgeHead(key, f"H{loft}", sole, loft, 12.0, made, had)

    found = nearest_bent([head(1, 54), head(2, 58), head(3, 56, had=False), head(4, 56, "narrow")], "wide", 56)
    assert (found.head.key, found.bend_deg, found.bounce_deg) == (1, 2.0, 14.0)
    assert "bent 2° weaker, 14° of bounce, about 6 yd shorter" in found.sentence
    assert nearest_bent([head(1, 54, made=Made.CAST)], "wide", 56) is None  # a cast head bears one degree
    assert nearest_bent([head(1, 56)], "wide", 56).bend_deg == 0


def test_published_short_irons_and_wedges_still_carry_as_published():
    rows = [(115, 18.1, 7998, 160), (109, 20.4, 8647, 148), (102, 24.2, 9304, 136)]
    speed, launch, spin, carry = np.array(rows, dtype=float).T
    flown = yards(fly(Launch(speed * mps(1), launch, spin)).carry_m)
    assert np.abs(flown / carry - 1).mean() < 0.015


# Plans of both ends


def bag_of_both_ends(fixed=(), **limits):
    """By the jobs: a long par three, a wedge of 98 yd at home, a lob on a trip."""
    wedge = {"kind": HeadType.WEDGE, "total": None}

    def club(key, carry, saved, **more):
        return option(key, carry, saved, **{**wedge, **more})

    clubs = (
        club("4H", 140, [0.6, 0, 0], kind=HeadType.HYBRID, own=True),
        club("PW", 126, [0, 0.2, 0], own=True, fixed=True),
        club("52", 108, [0, 0.7, 0], own=True), club("58", 84, [0, 0.6, 0.4], own=True),
        club("A 50", 112, [0, 0.4, 0], price=150), club("B 56", 98, [0, 0.8, 0.1], price=150),
        club("C 62", 62, [0, 0, 0.9], price=150),
    )  # fmt: skip
    clubs = tuple(replace(each, fixed=each.fixed or each.key in fixed) for each in clubs)
    demand = Demand(np.array([0.1, 1.0, 3.0]), ("", "", "Links"), {"Home": 0.8, "Links": 0.2})
    found = weigher(clubs, demand, without_carry=0, **limits)
    return Weigher(found.table, usual_rules(GapRule.EVEN_STEPS), found.limits), clubs


def test_a_wedge_takes_the_place_of_a_long_club_on_a_trip_where_that_saves_most():
    found, clubs = bag_of_both_ends(("52", "58"), most=4)
    plans = list(found.plans([each for each in clubs if each.key in ("A 50", "C 62")], swaps=True))
    best = max(plans, key=lambda plan: found.worth(plan).net)
    assert (best.swap.home, best.swap.away, best.swap.course) == ("4H", "C 62", "Links")
    assert found.weigh(best).over == 0


def test_both_schools_are_bags_of_their_own_and_an_unchanged_wedge_is_not_relearned():
    found, clubs = bag_of_both_ends(most=9)
    ends = clubs[3].club, clubs[1].club
    each, part = (school_plan(found, ends, n, closed_first=closed) for n, closed in ((2, True), (1, False)))
    assert set(each.plan.keys) & {"52", "A 50", "B 56"} == {"A 50", "B 56"}  # 84, 98, 112, 126
    assert each.covered.open_m < part.covered.open_m and each.price > part.price
    assert set(part.plan.keys) & {"52", "A 50", "B 56"} == {"B 56"}
    assert part.relearn == ("B 56",) and "4H" in part.plan.keys


def test_a_wedge_that_was_only_topped_is_still_played_and_does_nothing():
    topped = [replace(shot, values={**shot.values, "ball_speed_mps": 8.0, "carry_m": 6.0}) for shot in swung(56, 4)]
    (played,) = weigh([build("A", 56, topped)], [PITCH]).played["A"]
    assert played.success == 0
