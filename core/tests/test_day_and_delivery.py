"""What the day, the monitor, the strike and the swing do to figures, and what is said of it."""

from dataclasses import replace

import numpy as np
import pytest
from builds import case, shots
from hemicycle_core.errors import BadInput
from hemicycle_core.heads import HeadType
from hemicycle_core.impact import Lie
from hemicycle_core.judge import Candidate, compare, judge
from hemicycle_core.judge.evidence import evidence_of
from hemicycle_core.judge.weigh import weigh
from hemicycle_core.monitor import Monitor, MonitorKind, Noise, noise_from_shown, noise_in_shown
from hemicycle_core.protocols import findings
from hemicycle_core.protocols.shaped import span_words
from hemicycle_core.samples.day import Day, DayKind, Then, day_of, day_words
from hemicycle_core.samples.lies import by_lie
from hemicycle_core.samples.outliers import questioned, smash_doubted
from hemicycle_core.shots import Intent, Shot, Strike
from hemicycle_core.units import metres


def swung(speed, n=6, spread=0.4, seed=1):
    chance = np.random.default_rng(seed)
    return [Shot({"carry_m": 150.0, "club_speed_mps": speed + float(chance.normal(0, spread))}) for _ in range(n)]


THEN = Then(36.0, 0.4, 8)


def test_a_day_is_fast_when_two_own_clubs_are_two_in_a_hundred_faster_and_that_is_known():
    fast, usual, slow = swung(37.6), swung(36.2), swung(34.4)
    found = day_of([("7i", fast, THEN), ("4H", fast, THEN), ("5i", usual, THEN)], Monitor())
    assert (found.kind, found.clubs) == (DayKind.FAST, ("7i", "4H"))
    assert day_words(found, ["A", "B"]) == (
        "A fast day: 7i and 4H are swung 5% faster than at the last visit. Hit A and B again on another day before "
        "buying."
    )
    assert day_of([("7i", fast, THEN), ("4H", usual, THEN)], Monitor()).kind is DayKind.USUAL  # one club is no day
    assert day_of([("7i", slow, THEN), ("4H", slow, THEN)], Monitor()).kind is DayKind.SLOW
    # A monitor that reads a metre a second otherwise from day to day cannot tell.
    wild = Monitor(changed={"club_speed_mps": Noise(0.4, 1.0)})
    assert day_of([("7i", fast, THEN), ("4H", fast, THEN)], wild).kind is DayKind.USUAL
    assert str(day_words(day_of([], Monitor(), DayKind.SLOW), [])).startswith("A slow day: the fitter says so.")
    assert day_words(Day(DayKind.USUAL), ["A"]) == ""


def test_what_a_monitor_reads_wrong_all_day_counts_against_typed_clubs_and_lines_and_cancels_between_builds():
    wrong = Monitor(changed={"carry_m": Noise(1.0, 6.0), "landing_deg": Noise(0.5, 3.0)})
    usual, noisy = (case(shots(179, 47), monitor=monitor) for monitor in (Monitor(), wrong))
    typed = replace(noisy, lower=replace(noisy.lower, spread_m=None))
    apart = [evidence_of(each, weigh([each.candidate], [])).doubt for each in (usual, noisy, typed)]
    assert [round(each.carry_m, 1) for each in apart] == [0.0, 0.0, 6.0]
    assert [each.landing_deg for each in apart] == [0.5, 3.0, 3.0]
    assert judge(typed).chance < judge(noisy).chance < judge(usual).chance
    pair = [Candidate(letter, letter, HeadType.HYBRID, shots(carry, seed=carry), monitor=wrong)
            for letter, carry in (("A", 188), ("B", 176))]  # fmt: skip
    assert compare(*pair).settled


def test_shots_that_gather_closer_than_the_monitor_reads_are_known_no_better_than_it_reads():
    tight = shots(176.5, 47, n=9, spread=0.3)
    sharp, blunt = (
        case(tight, monitor=Monitor(changed={"carry_m": Noise(each, 0.9), "landing_deg": Noise(each, 0.5)}))
        for each in (0.1, 8.0)
    )
    found = [evidence_of(each, weigh([each.candidate], [])) for each in (sharp, blunt)]
    assert found[1].landing_se > found[0].landing_se and found[1].read_m > found[0].centre.carry_se_m
    assert judge(blunt).chance < judge(sharp).chance


def test_a_bays_noise_is_typed_in_the_units_shown_and_only_what_is_unusual_is_kept():
    shown = noise_in_shown(Monitor())
    assert noise_from_shown(MonitorKind.FLIGHT, shown) == {}
    kept = noise_from_shown(MonitorKind.FLIGHT, {"carry_m": Noise(2.0, 3.0)})
    assert kept["carry_m"].day == pytest.approx(metres(3))
    for key, noise in (("carry_m", Noise(-1, 1)), ("carry_m", Noise(1, 99)), ("hang_s", Noise(1, 1))):
        with pytest.raises(BadInput) as refused:
            noise_from_shown(MonitorKind.FLIGHT, {key: noise})
        assert refused.value.field == key


def off_a_mat(spins, lie=Lie.MAT, last=160.0):
    carries = [160.0, 161.0, 159.5, 160.5, last]
    return [Shot({"carry_m": carry, "spin_rpm": spin}, lie=lie) for carry, spin in zip(carries, spins, strict=True)]


def test_a_shot_off_a_mat_that_kept_its_carry_and_lost_its_spin_is_asked_about():
    spins = (4800.0, 4700.0, 4900.0, 4850.0, 3750.0)
    ((found,),) = questioned([(off_a_mat(spins), HeadType.HYBRID)])
    assert (found.index, found.sentence) == (4, "Carried like the others with 1080 rpm less spin: heavy off the mat?")
    assert questioned([(off_a_mat(spins, Lie.FAIRWAY), HeadType.HYBRID)]) == [[]]
    assert questioned([(off_a_mat((*spins[:4], 4300.0)), HeadType.HYBRID)]) == [[]]
    assert questioned([(off_a_mat(spins), HeadType.DRIVER)]) == [[]]


def test_a_bay_whose_smash_is_above_what_clubs_can_do_is_doubted_once_and_not_shot_by_shot():
    def read(smashes):
        return [Shot({"carry_m": 160.0, "club_speed_mps": 40.0, "ball_speed_mps": 40.0 * each}) for each in smashes]

    many, few = read([1.56] * 7 + [1.45] * 3), read([1.56] + [1.45] * 6)
    assert str(smash_doubted([(many, HeadType.HYBRID)])).startswith(
        "7 of 10 smash figures are above what a club can do"
    )
    assert questioned([(many, HeadType.HYBRID)]) == [[]]
    assert smash_doubted([(few, HeadType.HYBRID)]) == ""
    ((one,),) = questioned([(few, HeadType.HYBRID)])
    assert str(one.sentence).startswith("Smash 1.56")


def test_equal_strike_needs_three_shots_struck_in_the_middle_with_each():
    a, b = (
        Candidate(letter, letter, HeadType.HYBRID, shots(carry, seed=carry))
        for letter, carry in (("A", 185), ("B", 176))
    )
    off = [replace(shot, strike=Strike.TOE) for shot in a.shots[:6]]
    few = replace(a, shots=[*off, *a.shots[6:]])
    found = compare(few, b)
    assert not found.settled and found.more == 1
    assert str(found.sentence).startswith(
        "A and B are not comparable at equal strike: 1 more struck in the middle with A"
    )
    assert "give or take" in compare(a, b).sentence


def test_only_shots_since_the_swing_was_changed_count_and_a_build_hit_before_is_to_be_hit_again():
    before, now = [replace(shot, old_swing=True) for shot in shots(170)], shots(180, seed=4)
    both, only = judge(case([*before, *now])), judge(case(before))
    assert both.why == judge(case(now)).why
    assert (only.headline, only.why) == (
        "Old swing, hit again",
        "Hit before the swing was changed: hit 3 with the swing of now.",
    )
    assert not Shot({"carry_m": 160.0}, lie=Lie.ROUGH).counts
    assert Shot({"carry_m": 160.0}, lie=Lie.MAT).counts


def test_an_eased_swing_is_told_beside_the_stock_one_and_low_and_high_lie_so_far_apart():
    def hit(carry, ball, intent=Intent.STOCK, protocol="full_swing", spread=4.0, peak=27.0):
        return [
            Shot({"carry_m": carry + spread * n, "ball_speed_mps": ball + 0.1 * n, "spin_rpm": 4500.0, "peak_m": peak},
                 intent=intent, protocol=protocol)
            for n in (-1, 0, 1)
        ]  # fmt: skip

    stock = hit(160.0, 60.0)
    mine, eased = findings([*stock, *hit(158.5, 57.0, Intent.EASED, "effort", 1.0)])
    assert eased.as_asked is True
    assert mine.at["spread_m"] == pytest.approx(4.0) and eased.at["carry_m"] == pytest.approx(158.5)
    said = "Eased: 2 yd shorter, spreads 3 yd less. It goes as far at less than full."
    assert eased.sentence == f"{said} And it repeats better: it could be the stock swing."
    _, hard = findings([*stock, *hit(163.0, 58.0, Intent.HARD, "effort")])
    assert str(hard.sentence).endswith("Not what was meant.")
    low, high = (
        hit(150.0, 60.0, each, "shaped", peak=peak) for each, peak in ((Intent.LOW, 18.0), (Intent.HIGH, 33.0))
    )
    assert span_words(findings([*stock, *low, *high])) == "From low to high: 49 ft of height and 0 yd of carry."
    assert span_words(findings([*stock, *low])) == ""


def test_shots_from_another_lie_say_what_the_lie_does_and_nothing_of_the_club():
    stock = shots(180, n=8, spread=1.5)
    rough = [replace(shot, lie=Lie.ROUGH) for shot in shots(166, n=5, spread=1.5, seed=7)]
    (found,) = by_lie([*stock, *rough])
    assert (found.lie, found.n, found.sure) == (Lie.ROUGH, 5, True)
    assert str(found.sentence).startswith("From rough: 1") and "yd shorter" in found.sentence
    assert judge(case([*stock, *rough])).why == judge(case(stock)).why
    assert str(by_lie([*stock, *rough[:1]])[0].sentence).endswith("With 1 shot that may be chance.")
    assert by_lie(rough) == []
