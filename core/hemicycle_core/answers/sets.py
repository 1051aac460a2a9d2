"""A set of irons ordered as one thing: one iron of it was hit, the rest goes by the maker's lofts and lengths. Lengths
in metres, angles in degrees, weaker and more upright positive."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

from ..bag import Carried, HeadType, coverage
from ..bag.gaps import gap_between
from ..bag.remarks import collapse_point, spread_of
from ..errors import BadInput
from ..facts import Club, Facts, HeadKnown
from ..facts.session import air_of
from ..impact import length_in_a_set, start_from_lie
from ..judge import Change, ChangeKind, HitClub, predict
from ..judge.changes import BENDING
from ..judge.landings import usual_roll_m
from ..rack.eligible import why_not
from ..rack.expected import Expected
from ..rack.lofts import LoftedHead
from ..rack.made import MadeClub, Work, worked
from ..rack.sets import OF_A_SET, InSet, number_of, where_models_meet
from ..said import NOTHING, Form, Said, angle, far, say, with_and
from ..units import ninety, whole_yards
from .stand import OnStand

MOST_THROUGH_DEG = 2.0
FIRST_AT_DELIVERY = 2
SAME_LOFT_DEG = 0.05


@dataclass(frozen=True)
class HeadOfSet:
    """A head of the rack by its number, and how far it alone is bent in loft."""

    head: int
    bend_deg: float = 0.0


@dataclass(frozen=True)
class SetAsked:
    """A set as it is asked for. build: the iron that was hit, by its number; heads: of the rack, its own among them;
    loft_deg, lie_deg: how far every one of them is bent."""

    build: int
    heads: tuple[HeadOfSet, ...]
    loft_deg: float = 0.0
    lie_deg: float = 0.0


@dataclass(frozen=True)
class SetClub:
    """A club of a set as it is ordered. made: after its bends; club: as the bag sees it; step_m: to the next shorter
    one of the set, None of the last; left_off: some of what goes through the set is left off it, as it does not bear
    that."""

    head: HeadKnown
    number: str
    made: MadeClub
    club: Carried
    step_m: float | None
    hit: bool
    left_off: bool = False

    @property
    def bent_deg(self) -> float:
        """How far it is bent in loft from how it is made."""
        return self.made.bent_deg

    @property
    def doubt_m(self) -> float:
        """Half of the 90% interval of its carry."""
        return ninety(self.club.carry_sd_m)


@dataclass(frozen=True)
class OrderedSet:
    """A set with what it should do. build: the iron that was hit; clubs: longest first; replaces: the player's own of
    the same numbers; sentence: what it is told from; first: what to hit first when it comes; price: of all but the one
    that was hit, None where nobody gave any."""

    build: Club
    clubs: list[SetClub]
    replaces: list[Club]
    sentence: Said
    first: Said
    remarks: list[Said]
    price: float | None

    @property
    def hit(self) -> SetClub:
        return next(each for each in self.clubs if each.hit)


@dataclass(frozen=True)
class SetOffer:
    """What can be ordered with an iron that was hit: heads by model, its own model first; usual: the heads of it whose
    numbers the player owns, by number of the rack, all down to the set wedge where none are."""

    build: Club
    models: list[list[HeadKnown]]
    usual: list[int]


def number_on(head: HeadKnown) -> str:
    return number_of(head.label)


def made_of(head: HeadKnown, longer_m: float = 0.0) -> MadeClub:
    """A head as its maker builds it, or so much longer."""
    return MadeClub(
        head.called, head.rack.head_type, head.loft_deg, head.lie_deg, head.bounce_deg, head.length_m + longer_m,
        made=head.made, head=head.rack,
    )  # fmt: skip


def offers(facts: Facts) -> list[SetOffer]:
    """The irons on the stand that are of a model of which the rack has more, with what blends with them."""
    found = []
    for build in facts.candidates:
        head = build.head
        if head is None or not head.set_of or build.head_type is not HeadType.IRON or not number_on(head):
            continue
        models: dict[str, list[HeadKnown]] = {head.set_of: []}
        for each in _can_be_had(facts, head):
            models.setdefault(each.set_of, []).append(each)
        irons = {name for name, heads in models.items() if _has_irons(heads)}
        if len(models[head.set_of]) > 1:
            usual = _usual(facts, head, models[head.set_of])
            found.append(SetOffer(build, [heads for name, heads in models.items() if name in irons], usual))
    return found


def _usual(facts: Facts, hit: HeadKnown, model: Sequence[HeadKnown]) -> list[int]:
    mine = {number_of(club.name) for club in facts.in_favour if club.head_type is HeadType.IRON or club.is_of_set}
    same = [head.key for head in model if number_on(head) in mine or head.key == hit.key]
    if len(same) > 1:
        return same
    return [head.key for head in model if len(number_on(head)) == 1 or number_on(head) == "PW"]


def _has_irons(heads: Sequence[HeadKnown]) -> bool:
    return any(each.rack.head_type in (HeadType.IRON, HeadType.UTILITY) for each in heads)


def _can_be_had(facts: Facts, hit: HeadKnown) -> list[HeadKnown]:
    return sorted(
        (
            each
            for each in facts.heads
            if each.set_of
            and each.rack.head_type in OF_A_SET
            and number_on(each)
            and (each.key == hit.key or not why_not(each.rack, left_handed=facts.left_handed))
        ),
        key=lambda each: each.loft_deg,
    )


def replaced(stand: OnStand, asked: SetAsked) -> list[Club]:
    """The player's own irons and wedges whose numbers the set has."""
    numbers = {number_on(head) for head in stand.facts.heads if head.key in {each.head for each in asked.heads}}
    return [
        club
        for club in stand.facts.in_favour
        if club.head_type in (HeadType.IRON, HeadType.WEDGE) and number_of(club.name) in numbers
    ]


def ordered(stand: OnStand, asked: SetAsked, beside: Sequence[Carried]) -> OrderedSet:
    """A set as it is asked for. beside: the rest of the bag it comes into, without what it replaces. Raises BadInput
    for what is not to be had, for two of one number, and for a bend of one head that it does not bear."""
    build, heads = _checked(stand, asked)
    hit = stand.known.carried.get(build.key)
    if hit is None:
        raise BadInput(say("set-hit-one-first"), field="set")
    assert build.head is not None
    longer_m = 0.0 if build.length_m is None else build.length_m - build.head.length_m
    made = {head.key: _made(asked, head, bend, longer_m) for head, bend in heads}
    clubs = _carried(stand, build, hit, heads, made)
    there: list[SetClub] = []
    for head, _ in sorted(heads, key=lambda each: made[each[0].key][0].loft_deg or 0.0, reverse=True):
        step = clubs[head.key].carry_m - there[-1].club.carry_m if there else None
        is_hit = head.key == build.head.key
        there.append(
            SetClub(head, number_on(head), made[head.key][0], clubs[head.key], step, is_hit, made[head.key][1])
        )
    there.reverse()
    prices = [each.head.rack.price for each in there if not each.hit and each.head.rack.price is not None]
    return OrderedSet(
        build,
        there,
        replaced(stand, asked),
        _sentence(stand, asked, there),
        _first(stand, there),
        _remarks(stand, asked, there, beside),
        sum(prices) if prices else None,
    )


def _checked(stand: OnStand, asked: SetAsked) -> tuple[Club, list[tuple[HeadKnown, float]]]:
    """The iron that was hit and the heads with their own bends."""
    offer = next((each for each in offers(stand.facts) if each.build.key == asked.build), None)
    if offer is None:
        raise BadInput(say("set-nothing-to-order"), field="set")
    there = {head.key: head for heads in offer.models for head in heads}
    wanted = {each.head: each.bend_deg for each in asked.heads}
    if len(wanted) < len(asked.heads) or not wanted.keys() <= there.keys():
        raise BadInput(say("set-head-not-to-be-had"), field="set")
    assert offer.build.head is not None
    if offer.build.head.key not in wanted or len(wanted) < 2:
        raise BadInput(say("set-holds-the-one-hit", name=offer.build.head.called), field="set")
    for by in (asked.loft_deg, asked.lie_deg, *(each.bend_deg for each in asked.heads)):
        if not abs(by) <= MOST_THROUGH_DEG:
            raise BadInput(say("set-bent-too-far", most=angle(MOST_THROUGH_DEG)), field="set")
    heads = [(there[key], bend) for key, bend in wanted.items()]
    numbers = [number_on(head) for head, _ in heads]
    if two := next((each for each in numbers if numbers.count(each) > 1), None):
        raise BadInput(say("set-two-of-one-number", number=two), field="set")
    if fixed := next((club for club in replaced(stand, asked) if club.fixed), None):
        raise BadInput(say("set-own-is-fixed", name=fixed.name), field="set")
    return offer.build, heads


def _made(asked: SetAsked, head: HeadKnown, bend_deg: float, longer_m: float) -> tuple[MadeClub, bool]:
    """A head after its bends, as much longer as the one that was hit, and whether some of what goes through the set was
    left off, as it does not bear it."""
    club = worked(made_of(head, longer_m), [Work("bend", bend_deg)] if bend_deg else [])
    left_off = False
    for kind, by in (("bend", asked.loft_deg), ("lie", asked.lie_deg)):
        try:
            club = worked(club, [Work(kind, by)] if by else [])
        except BadInput:
            left_off = True
    return club, left_off


def _lofted(head: HeadKnown, made: MadeClub) -> LoftedHead:
    kind = HeadType.IRON if head.rack.head_type is HeadType.WEDGE else head.rack.head_type
    length_m = length_in_a_set(made.length_m or head.length_m, head.length_m)
    return LoftedHead(f"head {head.key}", kind, made.loft_deg or head.loft_deg, length_m, head.set_of)


def _carried(
    stand: OnStand,
    build: Club,
    hit: Carried,
    heads: Sequence[tuple[HeadKnown, float]],
    made: dict[int, tuple[MadeClub, bool]],
) -> dict[int, Carried]:
    """Each head as the bag sees it: the one that was hit as it was, unless it is to be bent otherwise."""
    assert build.head is not None
    rest = [head for head, _ in heads if head.key != build.head.key]
    read, own = stand.known.expectation(stand.facts.records), build.rack_head
    expected = [] if own is None else read.of_set(own, [_lofted(head, made[head.key][0]) for head in rest])
    if len(expected) != len(rest):
        raise BadInput(say("set-hit-one-first"), field="set")
    share = spread_of(hit) / hit.carry_m
    clubs = {head.key: _as_expected(head, each, share) for head, each in zip(rest, expected, strict=True)}
    clubs[build.head.key] = _as_hit(stand, build, made[build.head.key][0], hit)
    return clubs


def _as_expected(head: HeadKnown, expected: Expected, spread_share: float) -> Carried:
    number, roll = number_on(head), expected.roll_m
    wedge = head.rack.head_type is HeadType.WEDGE
    return Carried(
        name=f"{number}i" if number.isdigit() and len(number) == 1 else number,
        head_type=head.rack.head_type,
        carry_m=expected.carry_m,
        total_m=expected.carry_m + (usual_roll_m(head.rack.head_type) if roll is None else roll),
        total_read=roll is not None,
        loft_deg=expected.head.loft_deg,
        peak_m=expected.peak_m,
        landing_deg=expected.landing_deg,
        spin_rpm=expected.spin_rpm,
        carry_sd_m=expected.carry_sd_m,
        told_spread_m=spread_share * expected.carry_m,
        of_set=wedge,
        on_order=True,
    )


def _as_hit(stand: OnStand, build: Club, made: MadeClub, hit: Carried) -> Carried:
    """The iron that was hit, in the loft it is ordered in."""
    by = (made.loft_deg or 0.0) - (build.loft_deg or 0.0)
    if abs(by) < SAME_LOFT_DEG:
        return hit
    facts = stand.facts
    club = HitClub(loft_deg=build.loft_deg, head_type=build.head_type, left_handed=facts.left_handed)
    change = Change(ChangeKind.BEND, by)
    made_so = predict(build.shots, [change], air=air_of(facts, build), anchored=stand.known.anchored, club=club)
    if not made_so or not made_so[0].after:
        raise BadInput(say("set-launch-not-read", name=hit.name), field="set")
    told = made_so[0]
    carry = hit.carry_m + told.gain("carry_m")
    doubt = (hit.carry_sd_m**2 + told.error.get("carry_m", 0.0) ** 2) ** 0.5
    return replace(
        hit, carry_m=carry, total_m=carry + hit.total_m - hit.carry_m, loft_deg=made.loft_deg, carry_sd_m=doubt
    )


def _sentence(stand: OnStand, asked: SetAsked, clubs: Sequence[SetClub]) -> Said:
    """What the set is told from, beside the player's own iron of that number."""
    hit, carried = next(each for each in clubs if each.hit), stand.known.carried
    own = next((club for club in replaced(stand, asked) if number_of(club.name) == hit.number), None)
    was = None if own is None else carried.get(own.key)
    by = 0.0 if was is None else hit.club.carry_m - was.carry_m
    return say(
        "set-told-from",
        model=hit.head.set_of,
        longest=clubs[0].club.name,
        shortest=clubs[-1].club.name,
        name=hit.club.name,
        carry=far(hit.club.carry_m),
        beside="none" if was is None else "same" if not whole_yards(abs(by)) else "more" if by > 0 else "less",
        by=far(abs(by)),
        own="" if was is None else was.name,
    )


def _first(stand: OnStand, clubs: Sequence[SetClub]) -> Said:
    """What to hit first when the set comes: what is least sure, and what is then."""
    rest = [each for each in clubs if not each.hit]
    read = stand.known.expectation(stand.facts.records)
    found = [rest[n] for n in read.to_hit_first([_lofted(each.head, each.made) for each in rest], FIRST_AT_DELIVERY)]
    told = (say("set-so-sure", name=each.club.name, give=far(each.doubt_m)) for each in found)
    return say("set-hit-first", clubs=with_and(told))


# What is said of a set


def _remarks(stand: OnStand, asked: SetAsked, clubs: Sequence[SetClub], beside: Sequence[Carried]) -> list[Said]:
    """What a fitter looks at before it is ordered: where it stops stepping, where it meets the rest of the bag, where
    its two models meet, what the bends do."""
    said = [] if (stops := collapse_point([each.club for each in clubs])) is None else [stops.sentence]
    said += _meets(stand, clubs, beside)
    said += where_models_meet([InSet(each.club.name, each.head.set_of, each.made) for each in clubs])
    if asked.lie_deg:
        said.append(_starts(stand, clubs, asked.lie_deg))
    bent = [each for each in clubs if each.made.bent_deg or each.made.lie_bent_deg]
    if left := [each.club.name for each in clubs if each.left_off]:
        said.append(say("set-stay-as-made", clubs=with_and(left), n=len(left)))
    hit = {club.head.set_of for club in stand.facts.candidates if club.head is not None and club.shots}
    for model in dict.fromkeys(each.head.set_of for each in clubs):
        if model not in hit:
            said.append(say("set-model-not-hit", model=model))
    return [*said, BENDING] if bent else said


def _meets(stand: OnStand, clubs: Sequence[SetClub], beside: Sequence[Carried]) -> list[Said]:
    """The steps inside the set and to what it lies between. Its clubs are played into greens, whatever their heads."""
    new, rules = {each.club.name for each in clubs}, stand.bag.rules
    said = []
    for between in coverage([*(each.club for each in clubs), *beside], rules).gaps:
        lower, upper = between.lower, between.upper
        if lower.name not in new and upper.name not in new:
            continue
        gap = gap_between(lower, upper, rules.short, rules.wedge_step) if upper.name in new else between
        told = {"upper": upper.name, "lower": lower.name}
        if gap.crowded:
            said.append(say("set-two-do-one-job", **told, step=far(gap.step_m)))
        elif gap.open_m > 0 and upper.name in new:
            closes = NOTHING if lower.name in new else _closes(stand, clubs, lower)
            asked = {"step": far(gap.step_m), "asked": gap.step.text}
            said.append(say("set-step-too-wide", **told, **asked, closes=closes, told=bool(closes)))
        elif gap.open_m > 0:
            said.append(say("set-hole-above", **told, open=far(gap.open_m)))
    return said


def _closes(stand: OnStand, clubs: Sequence[SetClub], below: Carried) -> Said:
    """What would close a step under the set: the next wedge of it, where the rack has one between."""
    last = clubs[-1]
    loft, under = last.made.loft_deg or 0.0, below.loft_deg or math.inf
    there = [head for head in _can_be_had(stand.facts, last.head) if head.set_of == last.head.set_of]
    head = next((each for each in there if loft < each.loft_deg < under), None)
    if head is None:
        return NOTHING
    return say("set-next-of-it", name=head.called, loft=angle(head.loft_deg, form=Form.SHORT))


def _starts(stand: OnStand, clubs: Sequence[SetClub], lie_deg: float) -> Said:
    """What a change of lie through the set does to where it starts, of its longest and shortest club."""
    bent = [each for each in clubs if each.made.lie_bent_deg]
    if not bent:
        return NOTHING
    left = (lie_deg > 0) is not stand.facts.left_handed
    told = []
    for each in dict.fromkeys((bent[0], bent[-1])):
        off = abs(start_from_lie(lie_deg, each.made.loft_deg or 0.0)) * math.pi / 180 * each.club.carry_m
        told.append(say("set-starts-by", name=each.club.name, by=far(off, 1)))
    return say(
        "set-lie-through", by=angle(abs(lie_deg), 1, Form.SHORT), upright=lie_deg > 0, left=left, clubs=with_and(told)
    )
