"""A doubt becomes a chance, an interval and a number of shots in one place; what is said against what is needed."""

import numpy as np
import pytest
from hemicycle_core.estimate import MOST_MORE, Estimate, more_to_tell, more_until
from hemicycle_core.judge.evidence import evidence_of
from hemicycle_core.judge.weigh import weigh
from hemicycle_core.simulation.practice import draw_fitting
from hemicycle_core.simulation.practice.score import cases_of
from scipy import stats


def test_a_chance_an_interval_and_a_difference_agree_with_the_library():
    known = Estimate(100.0, 3.0, 7.0)
    assert known.chance(low=98.0) == pytest.approx(stats.t.sf(98, 7, 100, 3))
    assert known.chance(95.0, 104.0) == pytest.approx(stats.t.cdf(104, 7, 100, 3) - stats.t.cdf(95, 7, 100, 3))
    assert known.half == pytest.approx(stats.t.ppf(0.95, 7) * 3)
    assert Estimate(1.0, 2.0).half == pytest.approx(stats.norm.ppf(0.95) * 2)
    assert Estimate(1.0, 0.0).chance(low=1.0) == 1.0 and Estimate(1.0, 0.0).chance(low=1.1) == 0.0
    chance = np.random.default_rng(4)
    one, two = chance.normal(10, 2, 6), chance.normal(8, 5, 9)
    apart = Estimate(one.mean(), stats.sem(one), 5, shots=6).less(Estimate(two.mean(), stats.sem(two), 8, shots=9))
    welch = stats.ttest_ind(one, two, equal_var=False)
    assert apart.chance(low=0.0) == pytest.approx(1 - welch.pvalue / 2)
    assert apart.freedom == pytest.approx(welch.df)
    # Errors that come from one spread have its freedom once.
    assert known.less(known, pooled=True).freedom == 7.0


def test_more_shots_lower_what_chance_did_and_nothing_else():
    known = Estimate(100.0, 3.0, 6.0, floor=2.0, shots=5)
    assert known.after(15).error == pytest.approx(1.5) and known.after(15).freedom == 21
    assert known.after(10**6).sd == pytest.approx(2.0, rel=1e-3)
    assert more_until(lambda extra: known.after(extra).half <= 3.0) is None  # the day alone is as wide as that
    assert more_until(lambda extra: known.after(extra).half <= 4.5) == next(
        n for n in range(MOST_MORE) if known.after(n).half <= 4.5
    )
    assert Estimate(100.0, 3.0, 6.0, shots=5, counted=0.5).after(10).error == known.after(5).error


def test_what_is_clear_needs_nothing_and_what_shots_cannot_tell_is_not_promised():
    assert more_to_tell(Estimate(5.0, 1.0).after, 0.0, sure=0.9) == 0
    assert more_to_tell(Estimate(1.0, 0.2, floor=2.0).after, 0.0, sure=0.9) is None
    near = more_to_tell(Estimate(1.0, 1.0, 8.0, shots=5).after, 0.0, sure=0.9)
    assert 0 < near < more_to_tell(Estimate(0.4, 1.0, 8.0, shots=5).after, 0.0, sure=0.9)
    # One side or the other: which line it is clear of does not matter, nor which way it is written.
    assert more_to_tell(Estimate(-1.0, 1.0, 8.0, shots=5).after, 0.0, sure=0.9) == near


def told_after(chance, first, sure=0.9, most=60):
    """Two builds of one spread hit shot by shot: what is said after the first few, and how many more it took."""
    truth, spread = chance.normal(0, 4), chance.uniform(3, 6)
    hit = [truth + spread * chance.normal(size=first + most), spread * chance.normal(size=first + most)]

    def known(n):
        left = sum(((each[:n] - each[:n].mean()) ** 2).sum() for each in hit)
        error = (left / (2 * n - 2) / n) ** 0.5
        one, two = (Estimate(each[:n].mean(), error, 2 * n - 2, shots=n) for each in hit)
        return one, two

    def apart(n, extra=0):
        one, two = known(n)
        return one.after(extra).less(two.after(extra), pooled=True)

    said = more_to_tell(lambda extra: apart(first, extra), 0.0, sure=sure)
    told = (n for n in range(1, most) if not 1 - sure < apart(first + n).chance(low=0.0) < sure)
    return said, next(told, most)


def test_a_difference_is_told_as_likely_as_not_by_as_many_shots_as_were_said():
    chance = np.random.default_rng(12)
    found = [told_after(chance, first) for first in (4, 6, 9) for _ in range(200)]
    said, needed = np.array([each for each in found if each[0]], dtype=float).T
    assert said.size > 150
    assert np.median(needed) == pytest.approx(np.median(said), rel=0.2)
    for low, high in ((1, 3), (4, 8), (9, 30)):
        mine = (said >= low) & (said <= high)
        assert 0.4 <= (needed[mine] <= said[mine]).mean() <= 0.62, (low, high)


def narrow(fitting):
    cases = cases_of(fitting)
    return evidence_of(cases[0], weigh([case.candidate for case in cases], []))


def said_and_needed(number, first, most=50):
    """Of one build of a simulated player: what is said after the first shots, and how many more it took; None where
    nothing was left to say."""
    fitting = draw_fitting(31, number, builds=2)
    for tried in fitting.tried:
        fitting.hit(tried.letter, first)
    found = narrow(fitting)
    if found is None or not found.more:
        return None
    for needed in range(1, most + 1):
        fitting.hit(fitting.tried[0].letter, 1)
        if narrow(fitting).narrow:
            return found.more, needed
    return found.more, most


@pytest.mark.slow
def test_a_carry_is_as_well_known_as_is_wanted_after_as_many_shots_as_were_said():
    found = [said_and_needed(number, first) for first in (4, 7) for number in range(24)]
    said, needed = np.array([each for each in found if each], dtype=float).T
    assert said.size >= 30
    assert needed.mean() == pytest.approx(said.mean(), rel=0.2)
