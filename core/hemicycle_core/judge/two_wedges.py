"""Two wedges beside each other in one sentence: how each leaves, with what spin and speed, and which repeats better."""

from __future__ import annotations

from scipy.special import fdtr

from ..estimate import Estimate
from ..heads import HeadType
from ..said import NOTHING, Said, angle, far, joined, say, with_and
from ..said import speed as swung
from ..said import spin as rpm
from ..samples.averages import Average, average, values_of
from ..units import mps
from .candidate import Candidate

LEAST = 3  # shots of each
LEAST_DEG, LEAST_RPM, LEAST_MPS = 0.5, 200.0, mps(1.0)  # less is alike
SURELY = 0.8  # that one spreads less than the other


def two_wedges(first: Candidate, second: Candidate) -> Said:
    """Empty where either is no wedge, or its launch and spin were not read of enough shots."""
    if first.head_type is not HeadType.WEDGE or second.head_type is not HeadType.WEDGE:
        return NOTHING
    means = {key: [average(values_of(each.shots, key)) for each in (first, second)] for key in READ}
    if any(mean is None or mean.n < LEAST for key in ("launch_deg", "spin_rpm") for mean in means[key]):
        return NOTHING
    launch, spin, speed = (_told(means[key], least) for key, least in READ.items())
    leaves = say(
        "wedges-leave",
        first=first.letter,
        second=second.letter,
        up=_way(launch),
        by=angle(abs(launch or 0.0)),
        spins=_way(spin),
        spin=rpm(abs(spin or 0.0), -2),
        speed="unknown" if speed is None else _way(speed),
        faster=swung(abs(speed or 0.0)),
    )
    return joined([leaves, say("wedges-repeat", how=_evenness(first, second))])


READ = {"launch_deg": LEAST_DEG, "spin_rpm": LEAST_RPM, "club_speed_mps": LEAST_MPS}


def _told(means: list[Average | None], least: float) -> float | None:
    """By how much the first is over the second, 0 where chance may have made it; None where it was not read of both."""
    one, two = means
    if one is None or two is None or one.se is None or two.se is None:
        return None
    known = [Estimate(each.mean, each.se or 0.0, each.n - 1, shots=each.n) for each in (one, two)]
    by = known[0].less(known[1])
    return by.mean if abs(by.mean) >= max(least, by.half) else 0.0


def _way(by: float | None) -> str:
    return "same" if not by else "more" if by > 0 else "less"


def _evenness(first: Candidate, second: Candidate) -> Said:
    """Which of the two carries and spins more evenly, as a part of a sentence."""
    said = []
    for key, message in (("carry_m", "carry"), ("spin_rpm", "spin")):
        values = [values_of(each.shots, key) for each in (first, second)]
        one, two = (average(each) for each in values)
        if one is None or two is None or not one.sd or not two.sd or min(one.n, two.n) < LEAST:
            continue
        # Spin goes with its mean, so that its spread is one of shares.
        scale = (two.sd / two.mean) / (one.sd / one.mean) if key == "spin_rpm" else two.sd / one.sd
        surely = float(fdtr(two.n - 1, one.n - 1, scale**2))
        if 1 - SURELY < surely < SURELY:
            continue
        better, worse = (0, 1) if surely >= SURELY else (1, 0)
        spans = [max(each) - min(each) for each in (values[better], values[worse])]
        mine, theirs = (far(each) if key == "carry_m" else rpm(each, -2) for each in spans)
        letters = [first.letter, second.letter]
        said.append(
            say(
                "wedges-more-even", what=message, letter=letters[better], mine=mine, other=letters[worse], theirs=theirs
            )
        )
    return with_and(said) or say("wedges-alike-even")
