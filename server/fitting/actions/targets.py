"""The gap in work, the rules gaps are drawn by, and targets overruled."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import asdict, dataclass

from common.columns import put
from hemicycle_core.answers.space import proposed
from hemicycle_core.bag import GapOrder, GapRule
from hemicycle_core.bag.gaps import check_short_rule, check_step
from hemicycle_core.bag.slots import MOST_CLUBS
from hemicycle_core.brief import FlightWish, ReplaceWay, Wish
from hemicycle_core.brief.wishes import check_named, check_ways, far_wanted
from hemicycle_core.errors import BadInput
from hemicycle_core.facts import Space
from hemicycle_core.flight import Firmness
from hemicycle_core.said import say
from hemicycle_core.shots import READINGS
from shop.audit import action
from shop.models import User

from ..domain.session import load
from ..models import Build, FittingSession, TargetOverride
from .acts import Whole, changed_since, columns_of, is_whole, put_whole
from .changes import announce, for_change, not_meanwhile, note
from .windows import keep_windows

GAP_FIELDS = [
    "wish", "rule", "gap_order", "clubs_to_place", "gap_above", "like_for", "flight_wish", "named_low_m",
    "named_high_m", "named_total", "replace_ways",
]  # fmt: skip


@dataclass
class Named:
    """A yardage or band by name, metres; one yardage is both ends. total: where it stops."""

    low_m: float | None = None
    high_m: float | None = None
    total: bool = False


@action("fit")
def choose_gap(
    actor: User,
    session_id: int,
    *,
    rule: GapRule,
    clubs_to_place: int,
    gap_above_id: int | None,
    like_for_id: int | None = None,
    order: GapOrder = GapOrder.NEED,
    flight: FlightWish | None = None,
    named: Named | None = None,
    wish: Wish = Wish.GAP,
    ways: Sequence[ReplaceWay] = (),
) -> FittingSession:
    """What leads; which rule the holes are drawn by, which space is in work and how many clubs go into it. like_for_id:
    the old club that a new one is held against, with a wish that has one; ways: what takes its place is to do."""
    session = for_change(actor, session_id)
    if not 1 <= clubs_to_place <= MOST_CLUBS:
        raise BadInput(say("act-plan-clubs-one-hole", most_clubs=MOST_CLUBS), field="clubs_to_place")
    not_meanwhile(session, ["gap.choose"])
    named = named or Named()
    stood = columns_of(session, GAP_FIELDS)
    check_named(named.low_m, named.high_m)
    held = wish in (Wish.LIKE, Wish.FLIGHT, Wish.REPLACE, Wish.FAR)
    if held and like_for_id is None:
        raise BadInput(say("act-say-which-club-new"), field="like_for")
    if wish is Wish.FLIGHT and flight is None:
        raise BadInput(say("act-say-what-flight-higher"), field="flight")
    if wish is Wish.REPLACE:
        check_ways(ways)
    for own in (gap_above_id, like_for_id if held else None):
        if own is not None:
            own_club(session, own)
    wanted = {
        "rule": rule,
        "gap_order": order,
        "wish": wish,
        "replace_ways": tuple(ways) if wish is Wish.REPLACE else (),
        "flight_wish": flight if wish is Wish.FLIGHT else None,
        "named_low_m": named.low_m,
        "named_high_m": named.high_m,
        "named_total": named.total,
        "clubs_to_place": clubs_to_place,
        "gap_above": gap_above_id,
        "like_for": like_for_id if held else None,
    }
    session.save(update_fields=put(session, Space, wanted))
    work = load(session).work
    if held and work.like is None:
        raise BadInput(say("act-hit-type-club-first"), field="like_for")
    if wish in (Wish.FLIGHT, Wish.REPLACE) and work.layout is not None:
        proposed(work, work.layout.slots[0])  # refused here where the old club's flight is not known
    if wish is Wish.FAR and work.like is not None:
        far_wanted(work.like, [])  # and here where it was not hit
    keep_windows(session, actor)
    rows = changed_since(session, stood)
    note(session, actor, "gap.choose", f"session:{session.pk}", rule=rule, clubs=clubs_to_place, rows=rows)
    announce(session, "gap")
    return session


@dataclass
class RuleChoice:
    """The short end's rule, the steps wanted in metres (both ends of a step, or neither for the usual one), and the
    turf that roll-out is reckoned on, None for the monitor's own."""

    short_rule: GapRule
    turf: Firmness | None = None
    long_least_m: float | None = None
    long_most_m: float | None = None
    short_least_m: float | None = None
    short_most_m: float | None = None


@action("fit")
def choose_rules(actor: User, session_id: int, wanted: RuleChoice) -> FittingSession:
    """How the holes are drawn beyond the long end's rule."""
    session = for_change(actor, session_id)
    not_meanwhile(session, ["rules.choose"])
    check_short_rule(wanted.short_rule)
    for end in ("long", "short"):
        least, most = getattr(wanted, f"{end}_least_m"), getattr(wanted, f"{end}_most_m")
        check_step(least, most, field=f"{end}_least_m")
    stood = columns_of(session, asdict(wanted))
    session.save(update_fields=put(session, Space, asdict(wanted)))
    keep_windows(session, actor)
    note(session, actor, "rules.choose", f"session:{session.pk}", rows=changed_since(session, stood))
    announce(session, "gap")
    return session


def own_club(session: FittingSession, build_id: int) -> Build:
    build = Build.objects.one(session.shop_id, build_id)
    if build.session_id != session.pk or not build.is_own:
        raise BadInput(say("act-club-not-bag"), field="build")
    return build


@action("fit")
def set_target(
    actor: User, session_id: int, *, slot: int, quantity: str, low: float | None, high: float | None
) -> FittingSession:
    """Overrule a proposed target; with neither end given the proposal is in force again."""
    session = for_change(actor, session_id)
    if quantity not in READINGS:
        raise BadInput(say("act-not-something-target-can"), field="quantity")
    if low is not None and high is not None and low >= high:
        raise BadInput(say("act-window-wrong-way-round"), field="low")
    not_meanwhile(
        session,
        ["target.set"],
        touches=lambda entry: (entry.detail["slot"], entry.detail["quantity"]) == (slot, quantity),
    )
    which = f"{slot}:{quantity}"
    stood = _overruled(session, which)
    _overrule(session, actor, which, [low, high])
    keep_windows(session, actor)
    rows = put_whole(session, "target", which, stood)
    note(session, actor, "target.set", f"session:{session.pk}", slot=slot, quantity=quantity, rows=rows)
    announce(session, "target")
    return session


def _overruled(session: FittingSession, which: str) -> list[float | None]:
    """The ends that a target was given, by slot and quantity; neither where the proposal is in force."""
    slot, _, quantity = which.partition(":")
    rows = TargetOverride.objects.of(session.shop_id).filter(session=session, slot=int(slot), quantity=quantity)
    last = rows.order_by("-id").first()
    return [None, None] if last is None or last.cleared else [last.low, last.high]


def _overrule(session: FittingSession, actor: User, which: str, ends: Sequence[float | None]) -> None:
    slot, _, quantity = which.partition(":")
    low, high = ends
    TargetOverride.objects.create(
        shop_id=session.shop_id,
        session=session,
        slot=int(slot),
        quantity=quantity,
        low=low,
        high=high,
        cleared=low is None and high is None,
        by=actor,
    )


is_whole("target", Whole(_overruled, _overrule))
