"""Setting up a sole test: which clubs, drawn into codes; the sole that is chosen of it, and that one in other lofts."""

from __future__ import annotations

from collections.abc import Sequence
from contextlib import suppress
from dataclasses import dataclass
from random import Random
from typing import Any

from common.columns import put
from common.problems import Refused
from customers.models import Hand
from hemicycle_core.errors import BadInput
from hemicycle_core.facts import Brief
from hemicycle_core.heads import HeadType
from hemicycle_core.protocols.sole.ask import KEY as SOLE
from hemicycle_core.protocols.sole.ask import SHORT_PLACES, SoleTest
from hemicycle_core.protocols.sole.clubs import SoleClub, check_clubs
from hemicycle_core.protocols.sole.kept import Blind, CodeKept, Control, LoftRole, SoleKept
from hemicycle_core.rack.eligible import check_can_be_had
from hemicycle_core.rack.made import Work, worked
from hemicycle_core.rack.sole_search import in_less_loft
from hemicycle_core.said import english, say
from hemicycle_core.wedges.short_end import as_lofted
from rack.models import Head, Shaft
from shop.audit import action
from shop.models import User

from ..domain.session import load
from ..domain.soles import Code, club_in_test, club_of_head, wedge_head
from ..models import Build, FittingSession, Trial
from .builds import CandidateChoice, candidate_of, shaft_for
from .changes import announce, for_change, note
from .codes import DRAWN, coded, free_words
from .soles import sole_of, take_up
from .trials import is_going_on, trial
from .windows import keep_windows


@dataclass(frozen=True)
class ClubOfTest:
    """A head of the rack, bent before it is hit, or a club of the session."""

    head: int | None = None
    build: int | None = None
    bend_deg: float = 0.0


@dataclass(frozen=True)
class SetUp:
    """How a sole test is set up. control, repeat: clubs by their place in the list; repeat is handed under two codes.
    wedge: the own one whose sole it is about."""

    loft_deg: float
    clubs: Sequence[ClubOfTest]
    shaft: int | None
    places: Sequence[str]
    control: int | None
    control_is: Control | None
    repeat: int | None
    short: bool
    double: bool
    wedge: int | None


@dataclass(frozen=True)
class _Club:
    """A club of the test as rows and as the core knows it."""

    known: SoleClub
    head: Head | None
    shaft: Shaft | None
    bend_deg: float
    club: Build | None


def clubs_of(session: FittingSession, wanted: Sequence[ClubOfTest], shaft_id: int | None) -> list[_Club]:
    """The clubs of a test, each checked to be there for this player."""
    return [_club(session, each, shaft_id) for each in wanted]


def _club(session: FittingSession, wanted: ClubOfTest, shaft_id: int | None) -> _Club:
    if (wanted.head is None) == (wanted.build is None):
        raise BadInput(say("act-club-test-head-rack"), field="clubs")
    if wanted.build is not None:
        build = Build.objects.of(session.shop_id).select_related("head", "shaft").filter(pk=wanted.build).first()
        there = build is not None and build.session_id == session.pk and not build.archived and not build.coded
        if build is None or not there or build.head_type != HeadType.WEDGE or build.known.loft_deg is None:
            raise BadInput(say("act-choose-wedge-session-whose"), field="clubs")
        return _Club(club_in_test(build.known), None, None, 0.0, build)
    head = Head.objects.one(session.shop_id, wanted.head or 0)
    if head.head_type != HeadType.WEDGE or head.retired_at is not None:
        raise BadInput(say("act-soles-tried-wedges-stand"), field="clubs")
    check_can_be_had(head.for_core, left_handed=session.customer.hand == Hand.LEFT)
    shaft = None if shaft_id is None else shaft_for(session, shaft_id, head)
    if wanted.bend_deg:
        made = Build(head=head, name=head.label, head_type=head.head_type, set_loft_deg=head.loft_deg)
        worked(made.known.made, [Work("bend", wanted.bend_deg)])  # refuses a bend that it does not bear
    return _Club(club_of_head(head, shaft, wanted.bend_deg), head, shaft, wanted.bend_deg, None)


@action("fit")
def set_up(actor: User, session_id: int, wanted: SetUp, *, chance: Random = DRAWN) -> Trial:
    """A blind test, with the first code in hand. Codes are drawn: neither their order nor their numbers tell a club.
    chance: by which; the demo's comes again."""
    session = for_change(actor, session_id)
    clubs = clubs_of(session, wanted.clubs, wanted.shaft)
    check_clubs([each.known for each in clubs])
    for named in (wanted.control, wanted.repeat):
        if named is not None and not 0 <= named < len(clubs):
            raise BadInput(say("act-control-club-two-codes"), field="clubs")
    if (wanted.control is None) != (wanted.control_is is None):
        raise BadInput(say("act-say-which-club-control"), field="control")
    order = [*range(len(clubs)), *([] if wanted.repeat is None else [wanted.repeat])]
    chance.shuffle(order)
    same = tuple(at for at, club in enumerate(order) if club == wanted.repeat)
    twice = same if wanted.repeat is not None else None
    test = _made(
        session,
        actor,
        [(clubs[club], None) for club in order],
        blind=Blind.DOUBLE if wanted.double else Blind.SINGLE,
        loft_deg=wanted.loft_deg,
        wedge=None if wanted.wedge is None else _own_wedge(session, wanted.wedge).pk,
        places=tuple(wanted.places)[: SHORT_PLACES if wanted.short else None],
        short=wanted.short,
        control=None if wanted.control is None else order.index(wanted.control),
        control_is=wanted.control_is,
        twice=twice,
        chance=chance,
    )
    note(session, actor, "sole.set_up", f"sole:{test.pk}")
    announce(session, "sole")
    return test


def _own_wedge(session: FittingSession, build_id: int) -> Build:
    build = Build.objects.of(session.shop_id).filter(session=session, pk=build_id, archived=False).first()
    if build is None or not build.is_own or build.head_type != HeadType.WEDGE:
        raise BadInput(say("act-choose-wedge-players-own"), field="wedge")
    return build


def _made(
    session: FittingSession,
    actor: User,
    clubs: Sequence[tuple[_Club, LoftRole | None]],
    *,
    chance: Random = DRAWN,
    **more: Any,
) -> Trial:
    """A test with its codes, and what comes first taken up. clubs: with their role where lofts are tried; more: as
    `SoleKept` has it."""
    if is_going_on(session, SOLE):
        raise Refused(say("act-sole-test-going-reveal"), kind="sole_test_on")
    blind, loft_deg = more["blind"], more["loft_deg"]
    seed = chance.getrandbits(31)
    # Before any code is made: refuses what no sole test is.
    _ = SoleTest.of(SoleKept(codes=tuple(CodeKept(0) for _ in clubs), seed=seed, **more))
    words = free_words(session, len(clubs), chance)
    codes = []
    for number, (each, role) in enumerate(clubs):
        build = coded(session, english(each.known.called)[:40] if blind is Blind.OPEN else words[number], loft_deg)
        head, shaft, club = (None if row is None else row.pk for row in (each.head, each.shaft, each.club))
        codes.append(CodeKept(build.pk, head, shaft, each.bend_deg, club, role))
    test = Trial(shop_id=session.shop_id, session=session, test=SOLE, setter=actor)
    test.set_as(SoleKept(codes=tuple(codes), seed=seed, **more))
    test.save()
    take_up(session, test)
    return test


@action("fit")
def choose(actor: User, test_id: int, *, code: int) -> FittingSession:
    """The sole that fitter and player chose, whatever the ranking says: it comes onto the stand."""
    test, session = trial(actor, SOLE, test_id)
    if test.revealed_at is None:
        raise Refused(say("act-reveal-test-first-then"), kind="not_revealed")
    if not 0 <= code < len(test.known.codes):
        raise BadInput(say("act-code-not-part-test"), field="code")
    test.put(chosen=code)
    found = sole_of(test)
    chosen = found.codes[code]
    if chosen.head is not None and not _stands(session, chosen):
        shaft = chosen.shaft or _any_shaft(session, chosen.head)
        candidate_of(session, CandidateChoice(chosen.head.pk, shaft.pk, bend_deg=chosen.bend_deg))
        keep_windows(session, actor, first=True)
    short, sole = load(session).ends.short_end, chosen.what.sole
    low = short.low.club if short is not None and short.low is not None else None
    if sole and (low is None or as_lofted(found.kept.loft_deg, low)):
        session.save(update_fields=put(session, Brief, {"sole": sole}))
    note(session, actor, "sole.choose", f"sole:{test.pk}", name=english(found.clubs[code].called))
    announce(session, "sole")
    return session


def _stands(session: FittingSession, chosen: Code) -> bool:
    assert chosen.head is not None
    there = Build.objects.of(session.shop_id).filter(session=session, head=chosen.head, archived=False)
    loft = chosen.head.loft_deg + chosen.bend_deg
    return any(build.letter and abs((build.set_loft_deg or 0.0) - loft) < 0.05 for build in there)


def _any_shaft(session: FittingSession, head: Head) -> Shaft:
    shafts = Shaft.objects.of(session.shop_id).filter(retired_at=None).exclude(stock=0)
    found = next((each for each in shafts if each.goes_into(head)), None)
    if found is None:
        raise BadInput(say("act-no-shaft-rack-goes", called=head.called), field="shaft")
    return found


WEAKER_DEG = 1.0


@action("fit")
def try_lofts(actor: User, test_id: int, *, place: str) -> Trial:
    """The sole that was chosen as it is, a degree weaker and in less loft, by name on one shot: whether the shot needs
    the loft, or only the face is to be opened."""
    row, session = trial(actor, SOLE, test_id)
    before = sole_of(row)
    if before.kept.chosen is None:
        raise Refused(say("act-choose-sole-first-one"), kind="nothing_chosen")
    chosen = before.codes[before.kept.chosen]
    if chosen.head is None:
        raise Refused(say("act-sole-was-chosen-no"), kind="no_head")
    shaft = chosen.shaft.pk if chosen.shaft else None
    wanted = [(ClubOfTest(head=chosen.head.pk, bend_deg=chosen.bend_deg), LoftRole.AS_IS)]
    weaker = ClubOfTest(head=chosen.head.pk, bend_deg=chosen.bend_deg + WEAKER_DEG)
    with suppress(BadInput):  # where it does not bear the bend, the other is tried alone
        _club(session, weaker, shaft)
        wanted.append((weaker, LoftRole.WEAKER))
    left = session.customer.hand == Hand.LEFT
    rack = Head.objects.of(session.shop_id).filter(head_type=HeadType.WEDGE, retired_at=None)
    less = in_less_loft(
        [wedge_head(each, left_handed=left) for each in rack], wedge_head(chosen.head, left_handed=left)
    )
    if less is not None:
        wanted.append((ClubOfTest(head=less.key), LoftRole.LESS))
    if len(wanted) < 2:
        raise Refused(
            say("act-does-not-bear-bend", called=chosen.head.called),
            kind="no_lofts",
        )
    clubs = [(_club(session, each, shaft), role) for each, role in wanted]
    test = _made(
        session, actor, clubs, blind=Blind.OPEN, loft_deg=before.kept.loft_deg, wedge=before.kept.wedge, places=(place,)
    )
    note(session, actor, "sole.lofts", f"sole:{test.pk}")
    announce(session, "sole")
    return test
