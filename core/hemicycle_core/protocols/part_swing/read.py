"""The distance card: what each wedge carries with each swing, all of one player's part swings read together.

A player who swings to nine o'clock leaves about the same share of the club speed whichever wedge he holds, so that
three shots with each of three wedges say what nine say of one. The share of speed that a swing leaves is taken from
every wedge's own curve of carries (`eased.curve_of`), drawn towards what is usual for it, and put back through the
curve: a wedge that was not hit with a swing is predicted from the others. Yardages that nothing on the card covers,
and those that two wedges share, follow from its numbers.
"""

from __future__ import annotations

import itertools
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from ...bag import Carried
from ...bag.gaps import StepWish
from ...flight import Air, Anchor, Firmness
from ...flight.landing import GREEN, Turf
from ...judge.eased import CURVE, LEAST_SHOTS, Curve, Eases, PartSwing, curve_of, eases, plays, wider_at
from ...runs import BY_EFFORT, how_long, swing_words
from ...said import NOTHING, Said, far, say, some_way, with_and
from ...said import share as part
from ...units import metres, ninety, whole_yards

# The share of the club speed a swing leaves, by hours of the clock, and how far one player's differs from it, by
# judgement; how far one wedge's differs from the player's other wedges', the same.
HOURS, SPEED_LEFT = (6.0, 7.5, 9.0, 10.5, 11.5, 12.0), (0.30, 0.54, 0.725, 0.875, 0.94, 1.0)
PLAYER_SD, WEDGE_SD = 0.05, 0.02
USUAL_SPREAD, SPREAD_SHOTS = 0.045, 6.0  # of a wedge hit too seldom to tell; what the expected spread weighs
APART_SDS = 1.5  # the next swing of one wedge is a number of its own from so far on
SHARED_M = metres(4)
STOPS_M = metres(1)  # of roll: less is not seen
LOST_SPIN, SPIN_SHOTS = 0.12, 6  # share of the spin that the speed would give; over fewer shots nothing is said


@dataclass(frozen=True)
class CardWedge:
    """A wedge as the card needs it: as it is carried, and the part swings that were hit with it."""

    club: Carried
    part: Sequence[PartSwing]
    air: Air | None = None


@dataclass(frozen=True)
class CardCell:
    """One wedge with one swing. carry_m; doubt_m: half of its 90% interval; spread_m: one standard deviation of its
    shots; run_m: what it runs on the green of the card; n: kept shots, 0 where it is predicted from the others; usable:
    whether it is a number to play by; why_not: where it is none."""

    swing: str
    carry_m: float
    doubt_m: float
    spread_m: float
    run_m: float
    n: int
    usable: bool
    why_not: Said = NOTHING


@dataclass(frozen=True)
class CardRow:
    """One wedge. stock: its stock swing; cells: by swing, longest first, the stock one first; sentence: how it is eased
    off, empty where that is not told."""

    name: str
    stock: str
    cells: tuple[CardCell, ...]
    sentence: Said = NOTHING


@dataclass(frozen=True)
class OpenYardage:
    """A space that no swing covers, metres, between two numbers."""

    low_m: float
    high_m: float
    sentence: Said


@dataclass(frozen=True)
class Shared:
    """A yardage that two wedges have. better: the one that stops sooner, empty where that is not told."""

    carry_m: float
    first: tuple[str, str]
    second: tuple[str, str]
    better: Said
    sentence: Said


@dataclass(frozen=True)
class Card:
    """rows: the least lofted wedge first; swings: every one of the card, longest first, without the stock ones."""

    rows: tuple[CardRow, ...]
    swings: tuple[str, ...]
    open: tuple[OpenYardage, ...]
    shared: tuple[Shared, ...]
    eases: Eases
    firmness: Firmness


@dataclass(frozen=True)
class _SwingSeen:
    """A swing of a wedge by the share of speed it left, with the standard error of its mean."""

    left: float
    error: float


def usual_left(swing: str) -> float:
    """The share of the club speed that a swing leaves for most."""
    return float(np.interp(how_long(swing), HOURS, SPEED_LEFT))


def distance_card(
    wedges: Sequence[CardWedge],
    step: StepWish,
    *,
    anchored: Anchor | None = None,
    firmness: Firmness = Firmness.MEDIUM,
) -> Card | None:
    """The card of a player's wedges; None before a part swing was hit. step: what may lie between two numbers."""
    # Eased and hard are efforts of a full swing, no hours of the clock.
    wedges = [replace(each, part=[s for s in each.part if s.swing not in BY_EFFORT]) for each in wedges]
    wedges.sort(key=lambda each: -each.club.carry_m)
    if not any(each.part for each in wedges):
        return None
    turf = GREEN[firmness]
    curves = {each.club.name: _curve(each, anchored) for each in wedges}
    ease = eases([(each.club.carry_m, _spread(each.club), each.part) for each in wedges])
    seen = {each.club.name: _seen(each, curves[each.club.name], ease) for each in wedges}
    swings = sorted({swing for mine in seen.values() for swing in mine}, key=how_long, reverse=True)
    rows = tuple(_row(each, curves[each.club.name], swings, seen, ease, turf) for each in wedges)
    return Card(rows, tuple(swings), _open(rows, step), _shared(rows), ease, firmness)


def _curve(wedge: CardWedge, anchored: Anchor | None) -> Curve:
    club, launch = wedge.club, None
    if club.ball_speed_mps is not None and club.launch_deg is not None and club.spin_rpm is not None:
        launch = (club.ball_speed_mps, club.launch_deg, club.spin_rpm)
    return curve_of(club.carry_m, launch, air=wedge.air, anchored=anchored)


def _spread(club: Carried) -> float:
    """Of the stock swing's carries, as a share."""
    spread = club.spread_m or club.told_spread_m
    return USUAL_SPREAD if spread is None else float(np.clip(spread / club.carry_m, 0.015, 0.12))


def _spread_at(club: Carried, share: float, ease: Eases) -> float:
    return _spread(club) * float(wider_at(min(share, 1.0))) * ease.wider


def _seen(wedge: CardWedge, curve: Curve, ease: Eases) -> dict[str, _SwingSeen]:
    found, stock = {}, usual_left(wedge.club.swing or "full")
    for each in wedge.part:
        share = each.carry_m / wedge.club.carry_m
        # A share of carry moves about 1.6 times as much as the share of speed behind it.
        error = _spread_at(wedge.club, share, ease) / 1.6 / np.sqrt(each.n)
        left = float(np.interp(share, curve.share, CURVE)) if share < 1 else share ** (1 / 1.6)
        # A stock swing may be a comfortable one: what wedges share is the part of the full swing.
        found[each.swing] = _SwingSeen(left * stock, left * stock * error)
    return found


def _left(swing: str, name: str, seen: dict[str, dict[str, _SwingSeen]]) -> tuple[float, float]:
    """The share of speed that a swing leaves with one wedge, and its standard deviation: its own shots beside what the
    player's other wedges and the usual say."""
    mean, precision = usual_left(swing), PLAYER_SD**-2
    for other, mine in seen.items():
        if other != name and swing in mine:
            weight = 1 / (mine[swing].error ** 2 + WEDGE_SD**2)
            mean = (mean * precision + mine[swing].left * weight) / (precision + weight)
            precision += weight
    variance = 1 / precision + WEDGE_SD**2
    own = seen[name].get(swing)
    if own is None:
        return mean, float(np.sqrt(variance))
    weight, prior = 1 / own.error**2, 1 / variance
    return (mean * prior + own.left * weight) / (prior + weight), float((prior + weight) ** -0.5)


def _row(
    wedge: CardWedge,
    curve: Curve,
    swings: Sequence[str],
    seen: dict[str, dict[str, _SwingSeen]],
    ease: Eases,
    turf: Turf,
) -> CardRow:
    club, stock = wedge.club, wedge.club.swing or "full"
    spread = _spread(club) * club.carry_m
    run = float(curve.run_m(np.array([1.0]), turf)[0])
    cells = [CardCell(stock, club.carry_m, ninety(club.carry_sd_m), spread, run, club.shots, True)]
    for swing in swings:
        if how_long(swing) < how_long(stock):
            cells.append(_cell(swing, wedge, curve, seen, ease, turf))
    return CardRow(club.name, stock, tuple(_apart(cells)), _eased(wedge, curve))


def _cell(
    swing: str, wedge: CardWedge, curve: Curve, seen: dict[str, dict[str, _SwingSeen]], ease: Eases, turf: Turf
) -> CardCell:
    club = wedge.club
    stock = usual_left(club.swing or "full")
    left, sd = (each / stock for each in _left(swing, club.name, seen))
    low, share, high = (float(np.interp(at, CURVE, curve.share)) for at in (left - sd, left, left + sd))
    doubt = ninety(float(np.hypot((high - low) / 2 * club.carry_m, share * club.carry_sd_m)))
    hit = next((each for each in wedge.part if each.swing == swing), None)
    spread = _spread_at(club, share, ease)
    if hit is not None and hit.sd_share is not None:
        df = hit.n - 1
        spread = float(np.sqrt((SPREAD_SHOTS * spread**2 + df * hit.sd_share**2) / (SPREAD_SHOTS + df)))
    n, carry = hit.n if hit is not None else 0, club.carry_m * share
    why_not = NOTHING
    if n < LEAST_SHOTS:
        why_not = say("card-too-few", n=n, least=LEAST_SHOTS)
    elif not plays(carry, spread * carry):
        why_not = say("card-spreads-too-widely")
    run = float(curve.run_m(np.array([share]), turf)[0])
    return CardCell(swing, carry, doubt, spread * carry, run, n, not why_not, why_not)


def _apart(cells: Sequence[CardCell]) -> list[CardCell]:
    """Without the numbers of one wedge that lie too near the longer one to be another."""
    kept: list[CardCell] = []
    last: CardCell | None = None
    for cell in cells:
        near = last is not None and last.carry_m - cell.carry_m < APART_SDS * cell.spread_m
        if cell.usable and near and last is not None:
            kept.append(replace(cell, usable=False, why_not=say("card-no-step-from", swing=swing_words(last.swing))))
            continue
        last = cell if cell.usable else last
        kept.append(cell)
    return kept


def _eased(wedge: CardWedge, curve: Curve) -> Said:
    """How this wedge is eased off beside what is usual, and what it loses of its spin; empty where nothing is told."""
    club = wedge.club
    mine = eases([(club.carry_m, _spread(club), wedge.part)])
    parts = {"well": [say("card-repeats-well")], "not": [say("card-does-not-repeat")]}.get(mine.rank, [])
    lost = []
    for each in wedge.part:
        if each.spin_rpm and club.spin_rpm and each.n >= LEAST_SHOTS:
            left = float(np.interp(each.carry_m / club.carry_m, curve.share, CURVE))
            lost.append((1 - each.spin_rpm / (club.spin_rpm * left), each.n))
    if sum(n for _, n in lost) >= SPIN_SHOTS:
        share = float(np.average([each for each, _ in lost], weights=[n for _, n in lost]))
        if share > LOST_SPIN:
            parts.append(say("card-loses-spin", share=part(share)))
    return say("card-eased", name=club.name, does=with_and(parts)) if parts else NOTHING


def _numbers(rows: Sequence[CardRow]) -> list[tuple[CardRow, CardCell]]:
    return sorted(((row, cell) for row in rows for cell in row.cells if cell.usable), key=lambda each: each[1].carry_m)


def called(name: str, swing: str) -> Said:
    """A wedge with a swing, as a sentence has it."""
    return say("club-with-swing", name=name, swing=swing_words(swing))


def _open(rows: Sequence[CardRow], step: StepWish) -> tuple[OpenYardage, ...]:
    found = []
    for (low_row, low), (high_row, high) in itertools.pairwise(_numbers(rows)):
        if step.closes(high.carry_m - low.carry_m):
            continue
        # As it can be subtracted from the two that are read.
        apart = whole_yards(high.carry_m) - whole_yards(low.carry_m)
        words = say(
            "card-nothing-between",
            low=far(low.carry_m),
            lower=called(low_row.name, low.swing),
            high=far(high.carry_m),
            higher=called(high_row.name, high.swing),
            apart=far(metres(apart)),
        )
        found.append(OpenYardage(low.carry_m, high.carry_m, words))
    return tuple(found)


def _shared(rows: Sequence[CardRow]) -> tuple[Shared, ...]:
    found = []
    for (a, one), (b, two) in itertools.combinations(_numbers(rows), 2):
        if a.name == b.name or abs(one.carry_m - two.carry_m) > SHARED_M:
            continue
        at = (one.carry_m + two.carry_m) / 2
        first, second = called(a.name, one.swing), called(b.name, two.swing)
        words, better = {"carry": far(at), "first": first, "second": second}, NOTHING
        sooner = abs(one.run_m - two.run_m)
        if sooner >= STOPS_M:
            better = first if one.run_m < two.run_m else second
        said = say("card-two-ways", told=bool(better), better=better, by=some_way(sooner), **words)
        found.append(Shared(at, (a.name, one.swing), (b.name, two.swing), better, said))
    return tuple(found)
