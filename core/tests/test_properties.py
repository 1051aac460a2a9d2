"""What must hold for any player, club, landing and bag: tried on many, drawn with a fixed seed."""

from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import (
    Carried,
    GapRule,
    HeadType,
    clubs_for,
    coverage,
    lay_out_slots,
    usual_rules,
)
from hemicycle_core.brief import Job, JobKind, Target
from hemicycle_core.decision import Demand, Plan, decide_session
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import FAIRWAY, GREEN, Air, Firmness, Launch, fly, roll_out, run_out
from hemicycle_core.flight.landing import FLAT_HOP_MPS, green
from hemicycle_core.judge import Candidate, Case, elsewhere, predict, usual_changes
from hemicycle_core.judge.facts import in_ten
from hemicycle_core.rack import owned
from hemicycle_core.rack.expected import CURVE
from hemicycle_core.rack.lofts import CARRY_SCALES, LoftedHead, along, read_along, usual_log_carry
from hemicycle_core.samples import pattern
from hemicycle_core.samples.averages import values_of
from hemicycle_core.shots import Intent, Shot
from hemicycle_core.simulation.golfer import ClubDelivery, Player, Swinging, SwungClub, strike_ball
from hemicycle_core.simulation.golfer.club import PHYSICS
from hemicycle_core.thresholds import DEFAULT, changed, settings_of
from hemicycle_core.units import METRES_PER_INCH, metres, yards
from hypothesis import HealthCheck, assume, given, settings
from hypothesis import strategies as st
from madeup import option, weigher

MANY = settings(max_examples=60, deadline=None, derandomize=True, suppress_health_check=[HealthCheck.too_slow])
SPEED, ANGLE, SPIN = st.floats(15, 32), st.floats(25, 62), st.floats(1500, 9000)
TURFS = [*FAIRWAY.values(), *GREEN.values()]


def run(speed, angle, spin, turf):
    return float(run_out(np.array([speed]), np.array([angle]), np.array([spin]), turf).run_m[0])


# Landing and roll


@MANY
@given(SPEED, ANGLE, SPIN, st.sampled_from(TURFS))
def test_a_steeper_ball_and_one_with_more_spin_never_run_further(speed, angle, spin, turf):
    here = run(speed, angle, spin, turf)
    assert run(speed, angle + 4, spin, turf) <= here + 0.3
    assert run(speed, angle, spin + 1500, turf) <= here + 0.3


@MANY
@given(SPEED, ANGLE, SPIN)
def test_a_ball_ends_further_on_on_firmer_ground_and_comes_back_most_on_soft(speed, angle, spin):
    for ground in (FAIRWAY, GREEN):
        soft, medium, firm = (run(speed, angle, spin, ground[each]) for each in Firmness)
        assert soft - 0.5 <= medium <= firm + 0.5  # half a metre is nothing on the ground


@MANY
@given(st.floats(10, 32), st.floats(12, 70), st.floats(500, 9000), st.sampled_from(TURFS))
def test_a_tenth_of_a_degree_is_never_a_step_in_the_run(speed, angle, spin, turf):
    here = run(speed, angle, spin, turf)
    assert abs(run(speed, angle + 0.1, spin, turf) - here) < 0.3 + 0.01 * abs(here)


@MANY
@given(SPEED, ANGLE, SPIN, st.sampled_from(Firmness), st.floats(4, 15))
def test_a_faster_green_never_ends_a_shot_nearer_to_its_first_roll_and_nothing_jumps(speed, angle, spin, hard, feet):
    slow, fast, beside = (run(speed, angle, spin, green(hard, each)) for each in (feet, feet + 1, feet + 0.01))
    away = 1 if fast > slow else -1
    assert away * (fast - slow) >= 0
    assert run(speed, angle, spin, green(hard, 16)) * away >= slow * away - 1e-9
    assert abs(beside - slow) <= 0.02 + 0.02 * abs(fast - slow)


@MANY
@given(st.lists(st.tuples(SPEED, ANGLE, SPIN), min_size=2, max_size=12), st.sampled_from(TURFS))
def test_a_batch_of_landings_is_its_landings(shots, turf):
    speed, angle, spin = (np.array(column) for column in zip(*shots, strict=True))
    together = run_out(speed, angle, spin, turf)
    alone = [run(*shot, turf) for shot in shots]
    assert together.run_m == pytest.approx(alone)
    assert np.isfinite(together.run_m).all()
    assert (together.first_bounce_m <= np.maximum(together.run_m, 0) + np.abs(together.run_m) + 12).all()


@MANY
@given(SPEED, ANGLE, SPIN, st.sampled_from(TURFS))
def test_the_typical_roll_lies_between_its_low_and_its_high_end(speed, angle, spin, turf):
    found = roll_out(np.full(5, speed), np.full(5, angle), np.full(5, spin), turf)
    assert found.low_m <= found.typical_m <= found.high_m


def test_a_ball_that_hardly_falls_rolls_and_does_not_bounce():
    flat = run_out(
        np.array([8.0]), np.array([np.degrees(np.arcsin(FLAT_HOP_MPS / 9))]), np.array([0.0]), FAIRWAY["firm"]
    )
    assert flat.first_bounce_m[0] == 0
    assert flat.run_m[0] > 1


# Flight


@pytest.mark.slow
@MANY
@given(st.floats(54, 72), st.floats(13, 22), st.floats(3500, 6500))  # long clubs; a low slow ball needs its lift
def test_faster_carries_further_and_wind_and_thin_air_go_the_right_way(speed, launch, spin):
    def carry(ball, **air):
        return float(fly(Launch(ball, launch, spin), air=Air(**air)).carry_m[0])

    calm = carry(speed)
    assert carry(speed * 1.02) > calm
    assert carry(speed, wind_mps=5, wind_from_deg=180) > calm > carry(speed, wind_mps=5, wind_from_deg=0)
    assert carry(speed, temperature_c=35) > carry(speed, temperature_c=0)


# Impact and golfer

DELIVERY = ClubDelivery(42.0, -2.5, 0.0, 0.0, 19.0, toe_mm=0.0, high_mm=0.0)
KINDS = st.sampled_from([kind for kind in PHYSICS if kind is not HeadType.DRIVER])


@MANY
@given(KINDS, st.floats(-16, 16), st.floats(-12, 12))
def test_no_strike_off_the_middle_gains_ball_speed_and_toe_and_heel_curve_opposite_ways(kind, toe, high):
    club = SwungClub(kind, 24, 1.0)
    middle, off = strike_ball(DELIVERY, club), strike_ball(replace(DELIVERY, toe_mm=toe, high_mm=high), club)
    # A curved face has less loft low down, and a shade more speed with it.
    assert off.ball_speed_mps <= middle.ball_speed_mps * (1.002 if high < 0 else 1)
    other = strike_ball(replace(DELIVERY, toe_mm=-toe, high_mm=high), club)
    assert off.axis_deg == pytest.approx(-other.axis_deg)
    assert off.direction_deg == pytest.approx(-other.direction_deg)


@MANY
@given(st.floats(20, 42), st.floats(-8, 0), st.floats(24, 58), st.sampled_from([0.07, 0.12, 0.17, 0.25]))
def test_more_loft_launches_higher_at_any_friction_and_more_friction_never_spins_less(speed, attack, loft, mu):
    wedge = SwungClub(HeadType.WEDGE, 56, 0.9)
    there = replace(DELIVERY, club_speed_mps=speed, attack_deg=attack, dynamic_loft_deg=loft, friction=mu)
    here, higher, rougher, near = (
        strike_ball(each, wedge)
        for each in (there, replace(there, dynamic_loft_deg=loft + 2), replace(there, friction=mu + 0.03),
                     replace(there, dynamic_loft_deg=loft + 0.01))
    )  # fmt: skip
    assert higher.launch_deg > here.launch_deg
    assert higher.ball_speed_mps < here.ball_speed_mps
    assert rougher.spin_rpm >= here.spin_rpm
    assert rougher.launch_deg <= here.launch_deg
    assert near.spin_rpm == pytest.approx(here.spin_rpm, rel=0.002)


@MANY
@given(KINDS, st.floats(10, 40), st.floats(0, 1))
def test_more_loft_launches_higher_with_more_spin_and_a_heavy_strike_loses_both_speed_and_spin(kind, loft, turf):
    club = SwungClub(kind, 24, 1.0)
    weak, strong = (strike_ball(replace(DELIVERY, dynamic_loft_deg=each), club) for each in (loft + 2, loft))
    assert weak.launch_deg > strong.launch_deg
    assert weak.spin_rpm > strong.spin_rpm
    heavy, clean = strike_ball(replace(DELIVERY, turf=turf), club), strike_ball(DELIVERY, club)
    assert heavy.ball_speed_mps <= clean.ball_speed_mps
    assert heavy.spin_rpm <= clean.spin_rpm


@MANY
@given(KINDS, st.floats(-6, 6), st.floats(-5, 5))
def test_face_and_path_mirror(kind, face, path):
    club = SwungClub(kind, 24, 1.0)
    right = strike_ball(replace(DELIVERY, face_deg=face, path_deg=path), club)
    left = strike_ball(replace(DELIVERY, face_deg=-face, path_deg=-path), club)
    assert right.direction_deg == pytest.approx(-left.direction_deg)
    assert right.axis_deg == pytest.approx(-left.axis_deg)
    assert right.ball_speed_mps == left.ball_speed_mps


@settings(max_examples=15, deadline=None, derandomize=True)
@given(st.floats(27, 44), st.integers(1, 9), st.integers(1, 9), st.integers(0, 99))
def test_the_same_calls_hit_the_same_shots_and_a_longer_club_is_swung_faster(speed, first, then, seed):
    player = Player(speed_mps=speed)
    club = SwungClub(HeadType.HYBRID, 22, 40 * METRES_PER_INCH)
    swinging = Swinging(player, seed)
    parts = [swinging.shots(club, first), swinging.shots(club, then)]
    again = Swinging(player, seed)
    assert parts == [again.shots(club, first), again.shots(club, then)]
    assert again.hit == first + then
    longer = SwungClub(HeadType.HYBRID, 22, 41 * METRES_PER_INCH)
    mean = [np.mean([s["club_speed_mps"] for s in Swinging(player, seed).shots(c, 8)]) for c in (club, longer)]
    assert mean[1] == pytest.approx(mean[0] * (1 + 0.029 * 4) / (1 + 0.029 * 3), rel=1e-6)


@pytest.mark.parametrize(
    ("wrong", "field"),
    [
        ({"speed_mps": 80}, "speed_mps"),
        ({"speed_mps": 35, "misses": {"shank": 0.1}}, "misses"),
        ({"speed_mps": 35, "misses": {"thin": 0.9}}, "misses"),
        ({"speed_mps": 35, "ball_drag": 2.0}, "ball_drag"),
        ({"speed_mps": 35, "hand": "both"}, "hand"),
    ],
)
def test_a_golfer_that_nobody_is_names_its_field(wrong, field):
    with pytest.raises(BadInput) as said:
        Player(**wrong)
    assert said.value.field == field


@pytest.mark.parametrize("wrong", [("putter", 4, 0.85), ("hybrid", 80, 1.0), ("hybrid", 22, 1.6)])
def test_a_club_that_is_not_swung_is_refused(wrong):
    with pytest.raises(BadInput):
        SwungClub(HeadType(wrong[0]), *wrong[1:])


# Lofts


@MANY
@given(st.floats(8, 60), st.floats(0.1, 4))
def test_a_curve_is_continued_without_a_jump(loft, step):
    launches = CURVE[1]
    assert 0 <= along(loft + step, launches) - along(loft, launches) <= 1.2 * step


@MANY
@given(st.floats(0.002, 0.06), st.floats(16, 40))
def test_reading_along_lofts_never_makes_what_was_seen_less_sure_and_keeps_what_is_well_known(noise, loft):
    heads = [LoftedHead(f"{each}", HeadType.IRON, each, 0.97) for each in (24.0, 28.0, 32.0)] + [
        LoftedHead("new", HeadType.HYBRID, loft, 1.0)
    ]
    usual = np.array([usual_log_carry(head) for head in heads])
    seen = usual[:3] - 0.2 + np.array([0.01, -0.01, 0.0])
    mean, variance = read_along(heads, usual, CARRY_SCALES, seen, np.full(3, noise**2))
    assert (variance[:3] <= noise**2 + 1e-12).all()
    assert variance[3] > variance[:3].max()
    exact, _ = read_along(heads, usual, CARRY_SCALES, seen, np.full(3, 1e-10))
    assert exact[:3] == pytest.approx(seen, abs=1e-4)
    assert mean[3] == pytest.approx(usual[3] - 0.2, abs=0.06)


# Bag and plans

CARRIES = st.lists(st.integers(60, 260), min_size=2, max_size=14, unique=True)


def bag_of(carries, roll=6):
    return [Carried(f"C{c}", HeadType.HYBRID, metres(c), metres(c + roll)) for c in carries]


@MANY
@given(CARRIES, st.sampled_from(list(GapRule)), st.randoms(use_true_random=False))
def test_the_order_clubs_are_named_in_changes_no_hole_and_none_is_negative(carries, rule, chance):
    mixed = list(carries)
    chance.shuffle(mixed)
    rules = usual_rules(rule)
    assert coverage(bag_of(mixed), rules) == coverage(bag_of(carries), rules)
    covered = coverage(bag_of(carries), rules)
    assert all(gap.open_m >= 0 and gap.overlap_m >= 0 for gap in covered.gaps)
    assert all(not (gap.open_m and gap.crowded) for gap in covered.gaps)


@MANY
@given(CARRIES, st.integers(60, 260), st.sampled_from(list(GapRule)))
def test_one_more_club_never_opens_more_than_there_was(carries, extra, rule):
    assume(extra not in carries)
    assume(min(carries) < extra < max(carries))
    rules = usual_rules(rule)
    before, after = coverage(bag_of(carries), rules), coverage(bag_of([*carries, extra]), rules)
    assert after.open_m <= before.open_m + 1e-6


@MANY
@given(st.integers(100, 200), st.integers(6, 80), st.sampled_from(list(GapRule)), st.floats(2, 9), st.floats(0, 3))
def test_no_more_clubs_belong_than_the_jobs_call_for_and_a_wider_pattern_never_asks_for_more(
    low, space, rule, spread, uses
):
    def count(sd, often=None):
        lower = Carried("L", HeadType.IRON, metres(low), metres(low + 5), spread_m=sd)
        upper = Carried("U", HeadType.FAIRWAY, metres(low + space), metres(low + space + 5), spread_m=sd)
        rules = usual_rules(rule)
        return clubs_for(lower, upper, rule=rule, step=rules.long_step, uses=often)[0]

    assert count(spread + 2) <= count(spread)
    assert count(spread, uses) <= min(count(spread), max(1, np.ceil(uses / 0.5)))
    assert count(spread, 0.0) == min(count(spread), 1)


@MANY
@given(st.integers(1, 4), st.floats(8, 90), st.floats(0, 12), st.floats(0.5, 8), st.floats(0.5, 8))
def test_the_place_between_two_clubs_is_no_surer_than_they_are(count, space, roll, low_sd, high_sd):
    lower = Carried("L", HeadType.IRON, 140.0, 140.0 + roll, carry_sd_m=low_sd)
    upper = Carried("U", HeadType.FAIRWAY, 140.0 + space, 140.0 + space + roll, carry_sd_m=high_sd)
    plan = lay_out_slots(lower, upper, count, rule=GapRule.EVEN_STEPS, step=usual_rules(GapRule.EVEN_STEPS).long_step)
    assert all(0 < slot.doubt_m <= max(low_sd, high_sd) for slot in plan.slots)
    assert [slot.target_m for slot in plan.slots] == sorted(slot.target_m for slot in plan.slots)


ROWS = st.lists(st.tuples(st.integers(100, 230), st.floats(0.05, 0.95), st.booleans()), min_size=2, max_size=7)


@MANY
@given(ROWS, st.integers(0, 3))
def test_a_bag_with_one_more_club_leaves_no_more_strokes_and_no_bag_has_more_new_clubs_than_places(rows, places):
    made = tuple(
        option(f"C{number}", carry, [saved], own=own, price=None if own else 100.0)
        for number, (carry, saved, own) in enumerate(rows)
    )
    assume(any(each.own for each in made))
    found = weigher(made, Demand(np.array([1.5]), ("",)), places=places)
    for each in made:
        assert found.worth(Plan(found.today.keys | {each.key})).saves >= found.worth(found.today).saves - 1e-9
    for plan in found.plans([each for each in made if not each.own]):
        bag = found.weigh(plan)
        assert len(bag.added) <= places and bag.price == 100 * len(bag.added)
        assert bag.worth.net == pytest.approx(bag.worth.saves - bag.price / found.stroke_price)


# Words and thresholds


@MANY
@given(st.floats(0, 1))
def test_a_share_is_said_in_tens_and_its_ends_in_words(share):
    said = in_ten(share)
    if said in ("hardly ever", "nearly always"):
        assert min(share, 1 - share) <= 0.05
    else:
        word = str(said).split()[0]
        tenths = {"once": 1, "twice": 2}.get(word) or int(word)
        assert 1 <= tenths <= 9
        assert abs(tenths / 10 - share) <= 0.0501


def test_thresholds_read_as_they_are_shown_come_back_the_same():
    assert changed({setting.key: setting.value for setting in settings_of()}) == DEFAULT
    for setting in settings_of():
        for wrong in (setting.low - 0.01, setting.high + 0.01):
            with pytest.raises(BadInput) as said:
                changed({setting.key: wrong})
            assert said.value.field == setting.key
    assert yards(changed({"one_head_m": 10}).one_head_m) == pytest.approx(10)


# What speaks for a club


def _hit(meant=Intent.STOCK, seed=5, **said):
    golfer = Swinging(Player(speed_mps=39, attack_deg=-2, lean_deg=4, misses={}), seed)
    rows = golfer.shots(SwungClub(HeadType.HYBRID, 22, 1.01), 6, known=True, meant=meant)
    return [Shot({key: row[key] for key in row if key != "strike"}, intent=meant, **said) for row in rows]


HYBRID = LoftedHead("h", HeadType.HYBRID, 22.0, 1.01)
LOW, HIGH = (
    Carried("5i", HeadType.IRON, metres(160), metres(168)),
    Carried("5W", HeadType.FAIRWAY, metres(196), metres(204)),
)


def _judged(shots):
    slot = lay_out_slots(LOW, HIGH, 1, rule=GapRule.ROLL_OUT, step=metres(13)).slots[0]
    targets = [Target("carry_m", slot.low_m, slot.high_m, "The slot."), Target("landing_deg", 44, None, "The green.")]
    case = Case(Candidate("A", "4H", HeadType.HYBRID, shots, up_deg=2.0, down_deg=2.0), targets, LOW, HIGH)
    return decide_session([case], jobs=[Job("Second", JobKind.GREEN, metres(180))])


@pytest.mark.parametrize(
    "read",
    [
        pattern,
        lambda shots: predict(shots, usual_changes(sleeve_deg=2.0)),
        lambda shots: elsewhere(shots, [Air(altitude_m=1500)]),
        lambda shots: repr(owned(HYBRID, shots, typed_sd_m=3.0)),
        lambda shots: values_of(shots, "spin_rpm"),
        lambda shots: repr(_judged(shots).verdicts),
    ],
    ids=["pattern", "what-if", "other air", "short list", "averages", "verdict"],
)
@pytest.mark.parametrize(
    "beside", [_hit(Intent.LOW, 6), _hit(Intent.DRAW, 7), _hit(misread=True, seed=8)], ids=["low", "draw", "misread"]
)
def test_what_was_meant_otherwise_or_misread_says_nothing_of_the_stock_shot(read, beside):
    stock = _hit()
    assert read([*stock, *beside]) == read(stock)
