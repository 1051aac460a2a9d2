"""What is known of each club: its means, where it carries and stops, how the player's flights depart from the model,
and what clubs that nobody hit should do. Lengths in metres, angles in degrees."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any, Literal

from ..bag import Carried, HeadType
from ..bag.clubs import MOST_UNDER_M, TYPED_SD_M, usual_loft_and_inches
from ..facts import Club, Facts
from ..facts.session import air_of
from ..flight import FAIRWAY, Air, Anchor, Firmness, run_out
from ..judge.landings import landings, usual_roll_m
from ..judge.weigh import usable
from ..kept import kept, new_store
from ..rack import Expectation, Expected, HeadRecord, Owned, TypeLine, expect, owned, type_lines
from ..rack.expected import READ
from ..rack.lofts import LoftedHead
from ..runs import FULL
from ..samples import Average, average, certainty
from ..samples.averages import values_of
from ..samples.roll import ROLL_KNOWN_FROM, measured_roll, rolls_of
from ..shots import anchor_to
from ..units import METRES_PER_INCH, ninety

ANCHORS, LINES = new_store(), new_store()
FLIGHT = ("peak_m", "landing_deg", "spin_rpm")
LEAVES = ("ball_speed_mps", "launch_deg")
USUAL_DRIVER = (10.5, 45.5)

CarryFrom = Literal["hit", "old_swing", "typed", "assumed", "none"]


def mean_of(club: Club, quantity: str) -> Average | None:
    """Of what a club's shots say of it; None where nothing was read."""
    return average(values_of(club.shots, quantity))


def ninety_of(half_width: float) -> float:
    """One standard deviation from half of a 90% interval."""
    return half_width / ninety(1.0)


def typed_sd_m(club: Club) -> float:
    """One standard deviation of a carry that was typed: as it was given, or the usual one."""
    return TYPED_SD_M if club.typed_doubt_m is None else ninety_of(club.typed_doubt_m)


@dataclass(frozen=True, eq=False)
class KnownClubs:
    """anchored: the flight model tied to this session's flights, as far as they were measured. totals: where clubs that
    were hit stop, by number. carried: the clubs as the bag sees them, by number, without those of which nothing is
    known; carry_from: what each club's carry is known by. lines: how each kind of head should land and roll for this
    player, over its carries."""

    facts: Facts
    anchored: Anchor
    totals: Mapping[int, float]
    carried: Mapping[int, Carried]
    carry_from: Mapping[int, CarryFrom]
    lines: Mapping[HeadType, TypeLine]

    @property
    def in_bag(self) -> list[Carried]:
        """The bag as it is now: the player's own and what was taken in for the time being."""
        return [self.carried[club.key] for club in self.facts.in_bag if club.key in self.carried]

    @property
    def driver_speed_mps(self) -> float | None:
        driver = next((club for club in self.facts.own if club.head_type is HeadType.DRIVER), None)
        speed = mean_of(driver, "club_speed_mps") if driver else None
        return speed.mean if speed else None

    def expectation(self, records: Mapping[str, HeadRecord] | None = None) -> Expectation:
        """What this player should do with heads not hit, by every club that was."""
        facts = self.facts
        return _expectation(facts, [*facts.own, *facts.candidates], self.anchored, records)

    @property
    def by_own(self) -> Expectation:
        """The same from the player's own clubs alone."""
        return _expectation(self.facts, self.facts.own, self.anchored)

    def expected(self, clubs: Sequence[Club], expectation: Expectation) -> dict[int, Expected]:
        """What clubs that were not hit should do, by number, as far as that can be told; all flown at once."""
        heads = {club.key: head for club in clubs if (head := club.rack_head) is not None}
        heads = {key: head for key, head in heads.items() if head.head_type in READ}
        made = expectation.of(list(heads.values()))
        return dict(zip(heads, made, strict=True)) if made else {}

    def unhit(self, clubs: Sequence[Club]) -> list[Club]:
        """Those of which no shot says anything that a decision can use."""
        return [club for club in clubs if not usable(club.shots)]

    def measured_roll(self, club: Club) -> float | None:
        """How far its first five counted shots rolled, metres; None before, and where totals are not known. On the turf
        that was stated, where one was."""
        if self.facts.space.turf is None:
            return measured_roll(club.shots)
        total, carry = self.totals.get(club.key), mean_of(club, "carry_m")
        if total is None or carry is None or carry.n < ROLL_KNOWN_FROM:
            return None
        return total - carry.mean


def known_clubs(facts: Facts) -> KnownClubs:
    """Read every club."""
    shots, airs = [each.shot for each in facts.hit], [each.air for each in facts.hit]
    anchored = kept(ANCHORS, anchor_to, shots, airs)
    totals = _totals(facts, anchored)
    from_: dict[int, CarryFrom] = {}
    carried: dict[int, Carried] = {}
    for club in (*facts.own, *facts.candidates):
        from_[club.key], found = _carried(facts, club, totals.get(club.key), anchored)
        if found is not None:
            carried[club.key] = found
    expected = _expectation(facts, [*facts.own, *facts.candidates], anchored)
    return KnownClubs(facts, anchored, totals, carried, from_, kept(LINES, type_lines, expected))


def _expectation(
    facts: Facts, clubs: Sequence[Club], anchored: Anchor, records: Mapping[str, HeadRecord] | None = None
) -> Expectation:
    known: list[Owned] = []
    for each in clubs:
        head = each.rack_head
        club = head and owned(head, each.shots, each.typed_carry_m, typed_sd_m=typed_sd_m(each))
        if club:
            known.append(club)
    air = Air(altitude_m=facts.visit.altitude_m, temperature_c=facts.visit.temperature_c)
    turf = facts.space.turf or facts.brief.firmness
    return expect(known, records=records, air=air, anchored=anchored, turf=turf)


def _totals(facts: Facts, anchored: Anchor) -> dict[int, float]:
    """Where clubs that were hit stop: as the monitor has it, or on the turf that was stated."""
    if facts.space.turf is None:
        return {club.key: total for club in facts.clubs if (total := _total_read(club)) is not None}
    shots = [[shot for shot in club.shots if shot.kept and shot.get("carry_m")] for club in facts.clubs]
    there = [(club, mine) for club, mine in zip(facts.clubs, shots, strict=True) if mine]
    if not there:
        return {}
    landed = landings(
        [mine for _, mine in there],
        kinds=[club.head_type for club, _ in there],
        airs=[air_of(facts, club) for club, _ in there],
        anchored=anchored,
    )
    turf, found = FAIRWAY[facts.space.turf], {}
    for (club, _), each in zip(there, landed, strict=True):
        carry = mean_of(club, "carry_m")
        assert carry is not None
        run = run_out(each.speed_mps, each.angle_deg, each.spin_rpm, turf).run_m
        found[club.key] = carry.mean + float(run.mean())
    return found


def _total_read(club: Club) -> float | None:
    """Where a club stops by the shots whose total was read: its carry and how far those rolled, so that a shot of which
    only the carry was read moves both. None where none was, and where what was read lies too far under the carry to be
    a total: a session with such a slip is read, and the club rolls as its kind does."""
    carry, rolls = mean_of(club, "carry_m"), rolls_of(club.shots)
    if carry is None or not rolls:
        return None
    roll = math.fsum(rolls) / len(rolls)
    return None if roll < -MOST_UNDER_M else carry.mean + roll


def _carried(facts: Facts, club: Club, total_m: float | None, anchored: Anchor) -> tuple[CarryFrom, Carried | None]:
    """What a club's carry is known by: its kept shots, else of an own club those of the swing before, else what was
    typed, else of a driver what it should do; and the club as the bag sees it by that."""
    carry = mean_of(club, "carry_m")
    if carry is not None:
        return "hit", _by_shots(facts, club, carry, total_m)
    before = _with_the_old_swing(facts, club) if club.is_own else None
    if before is not None:
        return "old_swing", before
    if club.typed_carry_m is not None:
        return "typed", _as_typed(facts, club, club.typed_carry_m)
    assumed = _assumed(facts, club, anchored)
    return ("none" if assumed is None else "assumed"), assumed


def _by_shots(facts: Facts, club: Club, carry: Average, total_m: float | None) -> Carried | None:
    flown = {key: found.mean if (found := mean_of(club, key)) else None for key in FLIGHT}
    known = certainty(carry)
    told = {"spread_m": known.spread, "carry_sd_m": ninety_of(known.half_width), "shots": carry.n}
    return _as_carried(facts, club, carry.mean, total_m, {**flown, **told})


def _as_typed(facts: Facts, club: Club, carry_m: float) -> Carried | None:
    known = club.known_flight or {}
    flown = {key: found.mean if (found := mean_of(club, key)) else known.get(key) for key in FLIGHT}
    told = {"told_spread_m": club.typed_spread_m, "carry_sd_m": typed_sd_m(club), "shots": 0}
    return _as_carried(facts, club, carry_m, club.typed_total_m, {**flown, **told})


def _as_carried(
    facts: Facts, club: Club, carry_m: float, total_m: float | None, told: Mapping[str, Any]
) -> Carried | None:
    """None of the putter."""
    if club.head_type is HeadType.PUTTER:
        return None
    return Carried(
        name=club.called,
        head_type=club.head_type,
        carry_m=carry_m,
        total_m=carry_m + _usual_roll(facts, club) if total_m is None else total_m,
        total_read=total_m is not None,
        loft_deg=club.loft_deg,
        **_said_of(club),
        **told,
    )


def _usual_roll(facts: Facts, club: Club) -> float:
    """Of a club whose total nobody read, metres."""
    return usual_roll_m(club.head_type, facts.space.turf or Firmness.MEDIUM)


def _said_of(club: Club) -> dict[str, Any]:
    """What of a club is no figure of its flight, and how it leaves."""
    leaves = {key: mean_of(club, key) for key in LEAVES}
    return {
        "of_set": club.is_of_set,
        "kept_for": club.kept_for,
        "on_order": club.on_order,
        "swing": "" if club.stock_swing == FULL else club.stock_swing,
        **{key: found.mean for key, found in leaves.items() if found is not None},
    }


def _with_the_old_swing(facts: Facts, club: Club) -> Carried | None:
    """An own club by its shots from before the swing was changed: known no better than if it were typed."""
    before = [replace(shot, old_swing=False) for shot in club.shots if shot.old_swing]
    means = {key: average(values_of(before, key)) for key in ("carry_m", "total_m", *FLIGHT)}
    carry, total = means["carry_m"], means["total_m"]
    if carry is None:
        return None
    flown: dict[str, Any] = {key: mean.mean for key in FLIGHT if (mean := means[key]) is not None}
    return _as_carried(
        facts, club, carry.mean, None if total is None else total.mean, {"carry_sd_m": TYPED_SD_M, **flown}
    )


def _assumed(facts: Facts, club: Club, anchored: Anchor) -> Carried | None:
    """What the player's driver should carry by the other clubs, or a wedge that is on order, where it was neither hit
    nor typed; None of any other club, and where too little of them is known."""
    if not club.is_own or not (club.head_type is HeadType.DRIVER or club.on_order):
        return None
    if any(shot.get("carry_m") for shot in club.shots):
        return None
    named = "Dr" if club.head_type is HeadType.DRIVER else club.name
    loft, length = usual_loft_and_inches(named) or USUAL_DRIVER
    head = LoftedHead(
        club.head_key,
        HeadType.IRON if club.is_of_set else club.head_type,
        club.loft_deg or loft,
        club.length_in_a_set_m or length * METRES_PER_INCH,
    )
    made = _expectation(facts, facts.own, anchored).of([head])
    if not made:
        return None
    return replace(as_expected(club, made[0]), of_set=club.is_of_set, on_order=club.on_order, loft_deg=head.loft_deg)


def as_expected(club: Club, expected: Expected) -> Carried:
    """A club that nobody hit, as the bag sees it by what it should do."""
    roll = expected.roll_m
    return Carried(
        name=club.called,
        head_type=club.head_type,
        carry_m=expected.carry_m,
        total_m=expected.carry_m + (usual_roll_m(club.head_type) if roll is None else roll),
        total_read=roll is not None,
        loft_deg=club.loft_deg,
        peak_m=expected.peak_m,
        landing_deg=expected.landing_deg,
        spin_rpm=expected.spin_rpm,
        carry_sd_m=expected.carry_sd_m,
    )
