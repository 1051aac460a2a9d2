"""Opening a session, and what the player is asked to hit."""

from __future__ import annotations

from collections.abc import Callable, Collection, Mapping, Sequence
from dataclasses import asdict, dataclass
from datetime import date
from typing import Any

from common.columns import in_columns, put
from common.problems import Refused
from customers.models import Customer
from django.utils import timezone
from hemicycle_core.answers.clubs import FLIGHT, mean_of
from hemicycle_core.errors import BadInput
from hemicycle_core.facts import Brief, Club, RunAsked, Visit
from hemicycle_core.facts.run import SAID_OF_A_RUN, said_of_run
from hemicycle_core.facts.session import air_of
from hemicycle_core.facts.values import names_of
from hemicycle_core.flight import Air
from hemicycle_core.heads import HeadType
from hemicycle_core.impact import Lie
from hemicycle_core.protocols import asked
from hemicycle_core.rack.stock import check_label
from hemicycle_core.runs import COMFORTABLE
from hemicycle_core.said import say
from hemicycle_core.samples.day import DayKind, speed_of
from hemicycle_core.shots import Intent
from hemicycle_core.units import ninety, shown
from rack.models import Head
from shop.audit import action
from shop.models import Bay, User

from ..domain.session import JudgedSession, load
from ..models import Build, FittingSession
from .acts import Altered, alter, swing_turned
from .changes import announce, for_change, note
from .windows import keep_windows

# Of the brief, what is true of the player and not of one visit.
LASTING = names_of(Brief, lambda said: said.lasting)
OF_A_BAY = ("surface", "indoor", "altitude_m", "temperature_c")
OWN_FIELDS = (
    "name", "head_type", "stated_loft_deg", "set_loft_deg", "length_m", "fixed", "typed_carry_m", "typed_total_m",
    "typed_doubt_m", "typed_spread_m", "known_from", "known_flight", "out_of_favour",
    "measured_loft_deg", "own_shaft", "age_rounds",
    "wear", "stock_swing", "lie_deg", "bounce_deg", "assumed", "sole", "finish", "grip", "stamping", "of_set",
    "kept_out", "uses",
)  # fmt: skip


@action("fit")
def open_session(actor: User, *, customer_id: int, bay_id: int, held_on: date | None = None) -> FittingSession:
    """A new visit. The bag is carried over from the customer's last session as it was agreed, with what was measured
    there, and of the brief where they play, what they like and what they fear."""
    assert actor.shop_id is not None
    customer = Customer.objects.one(actor.shop_id, customer_id)
    if customer.erased_at is not None:
        raise Refused(say("act-customer-erased-add-them"), kind="erased")
    bay = Bay.objects.one(actor.shop_id, bay_id)
    if bay.closed_at is not None:
        raise Refused(say("act-closed-choose-another-bay", name=bay.name), kind="bay_closed")
    session = FittingSession.objects.create(
        shop_id=actor.shop_id,
        customer=customer,
        fitter=actor,
        bay=bay,
        held_on=held_on or timezone.localdate(),
        **in_columns(Visit, {name: getattr(bay, name) for name in OF_A_BAY}),
        **in_columns(Brief, {"firmness": bay.shop.ground}),
    )
    last = (
        FittingSession.objects.of(actor.shop_id).filter(customer__in=customer.family()).exclude(pk=session.pk).first()
    )
    if last is not None:
        brief = last.brief
        session.save(update_fields=put(session, Brief, {name: getattr(brief, name) for name in LASTING}))
        _carry_over(last, session)
    note(session, actor, "session.open", f"session:{session.pk}")
    return session


@dataclass(frozen=True)
class OnOrder:
    """A club that was ordered and not hit, as its row is: head by its number, figures as they were predicted."""

    head: int
    name: str
    head_type: str
    of_set: bool | None
    set_loft_deg: float
    lie_deg: float | None
    bounce_deg: float | None
    length_m: float
    typed_carry_m: float
    typed_total_m: float
    typed_doubt_m: float


@dataclass(frozen=True)
class AgreedBag:
    """What was agreed of a session: the ids of the builds that came in and of the own clubs that left, and what was
    ordered beside."""

    come: Collection[int] = ()
    leave: Collection[int] = ()
    ordered: Sequence[OnOrder] = ()


# The handover knows, which stands on this app and says so when it starts; None of a session that was not agreed.
_agreed: list[Callable[[FittingSession], AgreedBag | None]] = []


def what_was_agreed(ask: Callable[[FittingSession], AgreedBag | None]) -> None:
    _agreed[:] = [ask]


def _carry_over(last: FittingSession, session: FittingSession) -> None:
    """The bag after the last visit becomes the bag of this one: own clubs but those that left, and what came in, each
    with its measured carry, roll and flight, and when and in which air that was."""
    judged = load(last)
    agreed = (_agreed[0](last) if _agreed else None) or AgreedBag()
    rows = {build.pk: build for build in judged.rows.builds}
    stay = [rows[club.key] for club in judged.facts.own if club.key not in agreed.leave]
    new = [rows[club.key] for club in judged.facts.candidates if club.key in agreed.come]
    names: set[str] = set()
    for build in (*stay, *new):
        fields = {name: getattr(build, name) for name in OWN_FIELDS} | _measured(judged, build)
        fields["name"] = build.name if build.name not in names else f"{build.name} new"
        names.add(str(fields["name"]))
        Build.objects.create(
            shop_id=session.shop_id, session=session, head=build.head, shaft=build.shaft, **{**fields, "letter": ""}
        )
    on = last.held_on
    for each in agreed.ordered:
        told = asdict(each)
        head = Head.objects.of(session.shop_id).get(pk=told.pop("head"))
        told["name"] = each.name if each.name not in names else f"{each.name} new"
        names.add(str(told["name"]))
        Build.objects.create(
            shop_id=session.shop_id,
            session=session,
            head=head,
            on_order=True,
            stated_loft_deg=head.loft_deg,
            known_from=f"predicted {on.day} {on:%b %Y}, not hit",
            **told,
        )


def _measured(judged: JudgedSession, build: Build) -> dict[str, Any]:
    """What was measured of a club, as the next visit may start from it; nothing where it was not hit."""
    known, club = judged.facts.by_key[build.pk], judged.known.carried.get(build.pk)
    if club is None or mean_of(known, "carry_m") is None:
        return {}
    air, day = air_of(judged.facts, known), judged.rows.session.held_on
    return {
        "typed_carry_m": club.carry_m,
        "typed_total_m": club.total_m,
        "typed_doubt_m": ninety(club.carry_sd_m),
        "typed_spread_m": None,
        "known_from": f"{day.day} {day:%b %Y}, {shown(air.temperature_c)} °C at {shown(air.altitude_m)} m",
        "known_flight": {key: value for key in FLIGHT if (value := getattr(club, key)) is not None} | _swung(known),
    }


def _swung(club: Club) -> dict[str, Any]:
    """Its club speed, by which the next visit tells a fast day from a usual one."""
    then = speed_of(club.shots)
    return {} if then is None else {"swung": asdict(then)}


@action("fit")
def ask_for(actor: User, session_id: int, *, intent: Intent, protocol: str) -> FittingSession:
    """What the player is asked to hit from now on: stock shots say what a club does, others what it can be made to."""
    session = for_change(actor, session_id)
    rows = alter(session, protocol=asked(protocol, intent).key, intent=intent.value)
    note(session, actor, "session.ask", f"session:{session.pk}", intent=intent.value, rows=rows)
    announce(session, "ask", protocol=session.asked.protocol, intent=session.asked.intent)
    return session


@action("fit")
def change_swing(actor: User, session_id: int, *, changed: bool) -> FittingSession:
    """The player was told to swing otherwise: only shots from now on say what a club does. changed: False takes the
    word back, and what was hit before counts again."""
    session = for_change(actor, session_id)
    if not changed and session.asked.swing == 1:
        raise BadInput(say("act-no-word-swing-was"), field="changed")
    was = session.asked.swing
    rows = alter(session, swing=was + (1 if changed else -1))
    swing_turned(session, was, session.asked.swing)
    keep_windows(session, actor)
    note(
        session,
        actor,
        "session.swing" if changed else "session.swing_back",
        f"session:{session.pk}",
        rows=rows,
    )
    announce(session, "swing", swing=session.asked.swing)
    return session


@action("fit")
def hit_from(actor: User, session_id: int, *, lie: Lie | None) -> FittingSession:
    """What the next shots are hit from; None for what the surface of the bay says. From another lie than mat, tee or
    fairway a shot says what the lie does, not what the club does."""
    session = for_change(actor, session_id)
    rows = alter(session, lie="" if lie is None else lie.value)
    note(session, actor, "session.lie", f"session:{session.pk}", lie=session.asked.lie or "", rows=rows)
    announce(session, "lie", lie=session.asked.lie)
    return session


@action("fit")
def set_run(
    actor: User, session_id: int, said: Mapping[str, Any], *, temperature_c: float | None = None
) -> FittingSession:
    """How long the next swings are, with which ball, off which tee, in which wind and air: of `RunAsked`, the fields
    that are said. temperature_c: None leaves it as it is. A wedge's comfortable maximum is its stock swing from then
    on, as it is the swing the player has with it."""
    session = for_change(actor, session_id)
    rows: list[Altered] = []
    asked = said_of_run(session.asked, said, indoor=session.visit.indoor)
    if said.get("length") == COMFORTABLE:
        rows += _comfortable(session)
    values = in_columns(RunAsked, {name: getattr(asked, name) for name in SAID_OF_A_RUN if name in said})
    if temperature_c is not None:
        Air(temperature_c=temperature_c)
        values |= in_columns(Visit, {"temperature_c": temperature_c})
    rows += alter(session, **values)
    if any(row[0] == "build" for row in rows):
        keep_windows(session, actor)
    note(session, actor, "session.run", f"session:{session.pk}", rows=rows)
    announce(session, "run", **{name: each for name, each in values.items() if name != "struck_ball"})
    return session


def _comfortable(session: FittingSession) -> list[Altered]:
    """The wedge in hand is played no further than is comfortable: that is its stock swing from now on."""
    club = session.in_hand
    if club is None or club.head_type != HeadType.WEDGE:
        raise BadInput(say("act-comfortable-maximum-asked-wedge"), field="length")
    if club.stock_swing == COMFORTABLE:
        return []
    session.whole_from = session.revision
    session.save(update_fields=["whole_from"])
    return alter(club, stock_swing=COMFORTABLE)


@action("fit")
def wait_for(actor: User, session_id: int, *, name: str) -> FittingSession:
    """A contender that is not here yet: the session stays open for it. Empty: it is waited for no longer."""
    session = for_change(actor, session_id)
    if name.strip():
        check_label(name, "club", "name")
    rows = alter(session, awaited=name.strip())
    note(session, actor, "session.wait", f"session:{session.pk}", name=session.visit.awaited, rows=rows)
    announce(session, "wait", awaited=session.visit.awaited)
    return session


@action("fit")
def say_day(actor: User, session_id: int, *, kind: DayKind) -> FittingSession:
    """That everything flies today, or nothing does; the usual day takes the word back."""
    session = for_change(actor, session_id)
    rows = alter(session, day=kind.value)
    note(session, actor, "session.day", f"session:{session.pk}", kind=kind.value, rows=rows)
    announce(session, "day", day=session.visit.day)
    return session
