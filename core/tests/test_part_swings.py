"""The distance card: part swings read over all the wedges, what nothing covers, what two share, what is wanted yet."""

import itertools

import numpy as np
import pytest
from hemicycle_core.bag import Carried, GapRule, HeadType, usual_rules
from hemicycle_core.judge.eased import PartSwing, part_swings
from hemicycle_core.protocols.part_swing.ask import Asked, next_words, standing
from hemicycle_core.protocols.part_swing.read import CardWedge, distance_card
from hemicycle_core.shots import Shot
from hemicycle_core.simulation.golfer import Player, Swinging, SwungClub
from hemicycle_core.units import METRES_PER_INCH, metres, yards

STEP = usual_rules(GapRule.EVEN_STEPS).wedge_step
SWINGS = ("10:30", "9:00", "7:30")


def wedge(name, carry, *part, swing="", spread=3.0, spin=9000):
    club = Carried(
        name, HeadType.WEDGE, metres(carry), metres(carry), 54, metres(spread), carry_sd_m=metres(1.2),
        ball_speed_mps=38.0, launch_deg=30.0, spin_rpm=spin, shots=6, swing=swing,
    )  # fmt: skip
    return CardWedge(club, part)


def part(swing, carry, n=3, spread=2.5, spin=None):
    return PartSwing(swing, metres(carry), n, spread / carry if n >= 3 else None, spin, 30.0)


def row_of(card, name):
    return next(row for row in card.rows if row.name == name)


def cells(card, name):
    return {cell.swing: cell for cell in row_of(card, name).cells}


def test_a_swing_of_the_other_wedges_says_what_one_that_was_not_hit_with_it_carries():
    card = distance_card([wedge("54", 90, part("half", 52)), wedge("PW", 120, part("half", 69)), wedge("58", 74)], STEP)
    assert [row.name for row in card.rows] == ["PW", "54", "58"] and card.swings == ("half",)
    told = cells(card, "58")["half"]
    assert told.n == 0 and not told.usable and told.why_not == "not hit"
    assert (
        yards(told.carry_m) == pytest.approx(74 * 52 / 90, abs=3) and told.doubt_m > cells(card, "54")["half"].doubt_m
    )
    assert distance_card([wedge("54", 90), wedge("PW", 120)], STEP) is None
    # An effort of a full swing is no hour of the clock.
    assert distance_card([wedge("54", 90, part("eased", 86))], STEP) is None


def test_cards_of_simulated_golfers_are_nearer_the_truth_than_each_swing_alone_and_as_sure_as_they_say():
    pooled, alone, inside = [], [], []
    for seed in range(24):
        chance = np.random.default_rng([9, seed])
        player = Player(
            speed_mps=chance.uniform(30, 40), attack_deg=-4, lean_deg=8, speed_spread=0.015, loft_spread_deg=1.2,
            misses={}, warm_up=0, tiring=0, eases_off=float(np.exp(chance.normal(0, 0.3))),
        )  # fmt: skip
        swinging, clubs, truth, own = Swinging(player, seed), [], {}, {}
        for name, loft in (("PW", 46), ("52", 52), ("58", 58)):
            made = SwungClub(HeadType.WEDGE, loft, 35.3 * METRES_PER_INCH)
            hit = [(row, "full") for row in swinging.shots(made, 6, known=True)]
            hit += [(row, s) for s in SWINGS for row in swinging.shots(made, 3, known=True, length=s)]
            shots = [
                Shot(
                    {k: v for k, v in row.items() if k != "strike"},
                    swing=s,
                    part=s != "full",
                    apart="" if s == "full" else s,
                )
                for row, s in hit
            ]
            full = np.array(
                [[shot.get(k) for k in ("carry_m", "ball_speed_mps", "launch_deg", "spin_rpm")] for shot in shots[:6]]
            )
            carry, ball, up, spin = full.mean(axis=0)
            sd = float(full[:, 0].std(ddof=1))
            club = Carried(
                name, HeadType.WEDGE, carry, carry, loft, sd, carry_sd_m=sd / 6**0.5, ball_speed_mps=ball,
                launch_deg=up, spin_rpm=spin, shots=6,
            )  # fmt: skip
            clubs.append(CardWedge(club, part_swings(shots)))
            for s in SWINGS:
                truth[name, s] = Swinging(player, 99).swing(made, 400, known=True, length=s).readings["carry_m"].mean()
            own |= {(name, each.swing): each.carry_m for each in clubs[-1].part}
        card = distance_card(clubs, STEP)
        for name, cell in [(each.name, cell) for each in card.rows for cell in each.cells[1:]]:
            is_ = truth[name, cell.swing]
            pooled.append(cell.carry_m - is_)
            alone.append(own[name, cell.swing] - is_)
            inside.append(abs(cell.carry_m - is_) <= cell.doubt_m)
    rms = [float(np.sqrt(np.mean(np.square(each)))) for each in (pooled, alone)]
    assert rms[0] < 0.9 * rms[1] and yards(rms[0]) < 3.5
    assert 0.85 <= np.mean(inside) <= 0.98


def test_what_no_swing_covers_and_what_two_wedges_share_follow_from_the_numbers():
    card = distance_card(
        [wedge("PW", 120, part("half", 70, spread=2)), wedge("54", 90, part("half", 50, spread=2)), wedge("58", 72)],
        STEP,
    )
    numbers = sorted((cell.carry_m, row.name) for row in card.rows for cell in row.cells if cell.usable)
    wide = [(a, b) for (a, _), (b, _) in itertools.pairwise(numbers) if not STEP.closes(b - a)]
    assert [(each.low_m, each.high_m) for each in card.open] == wide and wide
    for each in card.open:
        low, high = round(yards(each.low_m)), round(yards(each.high_m))
        assert str(each.sentence).startswith(f"Nothing between {low} ") and str(each.sentence).endswith(
            f": {high - low} yd."
        )
    (shared,) = card.shared
    assert {shared.first[0], shared.second[0]} == {"PW", "58"} and shared.better == "58 full"
    assert "58 full stops" in shared.sentence and str(shared.sentence).endswith("yd sooner.")


@pytest.mark.parametrize(
    ("swing", "why"),
    [
        (part("half", 52, spread=9), "spreads too widely to play by"),
        (part("half", 52, n=2), "2 of 3 shots"),
        (part("10:30", 88, spread=2), "no step from full"),
    ],
)
def test_what_does_not_repeat_or_is_no_step_is_no_number_to_play_by(swing, why):
    cell = cells(distance_card([wedge("54", 90, swing)], STEP), "54")[swing.swing]
    assert not cell.usable and cell.why_not == why


def test_a_wedge_that_loses_spin_eased_off_says_how_much():
    def said(spin):
        swings = [part("three_quarter", 72, spin=spin), part("half", 52, spin=spin)]
        return row_of(distance_card([wedge("54", 90, *swings)], STEP), "54").sentence

    assert "of the spin its speed would give" in said(4500) and said(7000) == ""


def test_what_the_card_still_wants_comes_in_order_and_counts_its_minutes():
    wedges = [Asked(1, "54", "full", {"full": 5, "half": 2}), Asked(2, "58", "comfortable", {"comfortable": 4})]

    def coming(club, swing):
        task = standing(wedges, club, swing).next
        return task.club, task.length, task.left

    plan = standing(wedges, 1, "half")
    columns = {str(each.name): [(task.club, task.left) for task in each.tasks] for each in plan.columns}
    assert columns == {
        "stock": [(1, 0), (2, 0)], "three-quarter": [(1, 3), (2, 3)], "half": [(1, 1), (2, 3)],
        "to 7:30": [(1, 3), (2, 3)],
    }  # fmt: skip
    assert plan.minutes == round((16 * 25 + 2 * 20) / 60 + 0.49) and plan.words == "54, half: 1 more shot."
    assert coming(1, "half") == (1, "half", 1) and coming(2, "full") == (2, "three_quarter", 3)
    assert coming(7, "full") == (1, "three_quarter", 3) and plan.remarks == ()
    five = standing([Asked(key, str(key), "full", {}) for key in range(5)], None, "full")
    assert five.remarks == ("In 20 minutes: full and three-quarter.",)
    done = standing([Asked(1, "54", "half", {"half": 3, "7:30": 3})], 1, "half")
    assert done.next is None and done.minutes == 0 and str(done.words).startswith("Every swing")
    assert next_words(None, {}) == done.words and standing([], None, "full").none


def test_short_tests_are_no_swing_of_the_card_and_a_stock_swing_hit_for_it_counts():
    shots = [Shot({"carry_m": metres(25)}, swing="half", part=True, apart="half swing", protocol="grooves")] * 3
    assert part_swings(shots) == []
    assert Shot({"carry_m": metres(100)}, protocol="part_swing").kept
    assert not Shot({"carry_m": metres(25)}, protocol="stop").counts


def test_a_comfortable_stock_swing_is_a_part_of_the_full_one_that_the_others_share():
    """58 hit as far as is comfortable, and the same wedge by a full swing: half is the longer part of the first."""
    others = [wedge("54", 90, part("half", 52)), wedge("PW", 120, part("half", 69))]
    full = cells(distance_card([*others, wedge("58", 74)], STEP), "58")["half"]
    eased = cells(distance_card([*others, wedge("58", 74, swing="comfortable")], STEP), "58")["half"]
    assert full.carry_m * 1.05 < eased.carry_m < full.carry_m * 1.2
