"""The blind sole test: setting it up, what is said of each code, the guess, the reveal, and what is chosen."""

from __future__ import annotations

from collections.abc import Sequence
from contextlib import suppress
from dataclasses import dataclass
from random import Random, SystemRandom
from typing import Any

from common.problems import NotAllowed, Refused
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.heads import HeadType
from hemicycle_core.impact import Lie
from hemicycle_core.judge.soles import Control, SoleClub, check_clubs
from hemicycle_core.protocols.sole import IN_SAND, PLACES, WORDS, Next, Turf, is_asked
from hemicycle_core.protocols.sole import KEY as SOLE
from hemicycle_core.protocols.sole_result import CERTAIN, Role, blindness
from hemicycle_core.rack.eligible import check_can_be_had
from hemicycle_core.rack.made import Work, worked
from hemicycle_core.rack.shortlist import usual_length_m
from hemicycle_core.runs import FULL
from hemicycle_core.shots import FULL_SWING, Intent
from rack.models import Head, Shaft
from shop.audit import action, record
from shop.models import User

from ..domain.session import load
from ..domain.soles import SessionSole, club_of_build, club_of_head
from ..models import Blind, Build, FittingSession, SoleCode, SoleHanding, SoleTest
from .acts import Altered, alter
from .bays import leave_bay
from .builds import CandidateChoice, candidate_of, hold, shaft_for
from .changes import announce, for_change, note

MOST_LEFT_M = 60.0
MOST_GROOVE = 16
MOST_SOUND = 40
DRAWN = SystemRandom()


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
        raise BadInput("A club of the test is a head of the rack or a club of this session.", field="clubs")
    if wanted.build is not None:
        build = Build.objects.of(session.shop_id).select_related("head", "shaft").filter(pk=wanted.build).first()
        there = build is not None and build.session_id == session.pk and not build.archived and not build.coded
        if build is None or not there or build.head_type != HeadType.WEDGE or build.loft_deg is None:
            raise BadInput("Choose a wedge of this session whose loft is known.", field="clubs")
        return _Club(club_of_build(build), None, None, 0.0, build)
    head = Head.objects.one(session.shop_id, wanted.head or 0)
    if head.head_type != HeadType.WEDGE or head.retired_at is not None:
        raise BadInput("Soles are tried of wedges that stand on the rack.", field="clubs")
    check_can_be_had(head.for_core, left_handed=session.customer.hand == "left")
    shaft = None if shaft_id is None else shaft_for(session, shaft_id, head)
    if wanted.bend_deg:
        made = Build(head=head, name=head.label, head_type=head.head_type, set_loft_deg=head.loft_deg)
        worked(made.made_club, [Work("bend", wanted.bend_deg)])  # refuses a bend that it does not bear
    return _Club(club_of_head(head, shaft, wanted.bend_deg), head, shaft, wanted.bend_deg, None)


@action("fit")
def set_up(actor: User, session_id: int, wanted: SetUp, *, chance: Random = DRAWN) -> SoleTest:
    """A blind test, with the first code in hand. Codes are drawn: neither their order nor their numbers tell a club.
    chance: by which; the demo's comes again."""
    session = for_change(actor, session_id)
    clubs = clubs_of(session, wanted.clubs, wanted.shaft)
    check_clubs([each.known for each in clubs])
    for named in (wanted.control, wanted.repeat):
        if named is not None and not 0 <= named < len(clubs):
            raise BadInput("The control, or the club with two codes, is none of the clubs chosen.", field="clubs")
    if (wanted.control is None) != (wanted.control_is is None):
        raise BadInput("Say which club is the control, and what it stands for.", field="control")
    order = [*range(len(clubs)), *([] if wanted.repeat is None else [wanted.repeat])]
    chance.shuffle(order)
    twice = [at for at, club in enumerate(order) if club == wanted.repeat] if wanted.repeat is not None else None
    test = _made(
        session,
        actor,
        [(clubs[club], "") for club in order],
        blind=Blind.DOUBLE if wanted.double else Blind.SINGLE,
        loft_deg=wanted.loft_deg,
        wedge=None if wanted.wedge is None else _own_wedge(session, wanted.wedge),
        places=list(wanted.places),
        short=wanted.short,
        control=None if wanted.control is None else order.index(wanted.control),
        control_is=wanted.control_is.value if wanted.control_is else "",
        twice=twice,
        chance=chance,
    )
    note(session, actor, "sole.set_up", f"sole:{test.pk}")
    announce(session, "sole")
    return test


def _own_wedge(session: FittingSession, build_id: int) -> Build:
    build = Build.objects.of(session.shop_id).filter(session=session, pk=build_id, archived=False).first()
    if build is None or not build.is_own or build.head_type != HeadType.WEDGE:
        raise BadInput("Choose a wedge of the player’s own.", field="wedge")
    return build


def _made(
    session: FittingSession, actor: User, clubs: Sequence[tuple[_Club, str]], *, chance: Random = DRAWN, **fields: Any
) -> SoleTest:
    """A test with its codes, and what comes first taken up. clubs: with their role where lofts are tried."""
    if SoleTest.objects.of(session.shop_id).filter(session=session, revealed_at=None, stopped_at=None).exists():
        raise Refused("A sole test is going on. Reveal it or give it up first.", kind="sole_test_on")
    blind, loft_deg = fields["blind"], fields["loft_deg"]
    seed = chance.getrandbits(31)
    test = SoleTest(
        shop_id=session.shop_id, session=session, setter=actor, seed=seed, **{**fields, "blind": blind.value}
    )
    _ = test.for_core(len(clubs))  # refuses what no sole test is
    test.save()
    words = free_words(session, len(clubs), chance)
    for number, (each, role) in enumerate(clubs):
        build = coded(session, each.known.name[:40] if blind is Blind.OPEN else words[number], loft_deg)
        SoleCode.objects.create(
            shop_id=session.shop_id,
            session=session,
            test=test,
            number=number,
            build=build,
            head=each.head,
            shaft=each.shaft,
            bend_deg=each.bend_deg,
            club=each.club,
            role=role,
        )
    _take_up(session, test)
    return test


def coded(session: FittingSession, word: str, loft_deg: float) -> Build:
    """What the shots of a code are filed under: it says nothing of its club but the loft that all have."""
    return Build.objects.create(
        shop_id=session.shop_id,
        session=session,
        name=word,
        head_type=HeadType.WEDGE.value,
        stated_loft_deg=loft_deg,
        set_loft_deg=loft_deg,
        length_m=usual_length_m(HeadType.WEDGE, loft_deg),
        coded=True,
    )


def free_words(session: FittingSession, count: int, chance: Random = DRAWN) -> list[str]:
    """Words that no code of this session had, in no order."""
    used = set(Build.objects.of(session.shop_id).filter(session=session, coded=True).values_list("name", flat=True))
    free = [word for word in WORDS if word not in used] or list(WORDS)
    if len(free) < count:
        raise Refused("All words for codes are used in this session. Open a new visit for more.", kind="no_words")
    return chance.sample(free, count)


def sole_of(test: SoleTest) -> SessionSole:
    """A test as it stands now."""
    session = FittingSession.objects.select_related("customer", "bay", "fitter", "shop").get(pk=test.session_id)
    return next(each for each in load(session).soles if each.test.pk == test.pk)


def _take_up(session: FittingSession, test: SoleTest) -> list[Altered]:
    """What comes next is in hand, from its lie; nothing is where all is played, while the player guesses."""
    found = sole_of(test)
    coming = found.standing.next
    return put_down(session) if coming is None else _hand(session, found, coming)


def _hand(session: FittingSession, found: SessionSole, coming: Next) -> list[Altered]:
    place = PLACES[coming.place]
    rows = hold(session, found.builds[found.codes[coming.code].build_id])
    return rows + alter(
        session,
        lie=place.lie.value,
        length=place.length,
        protocol=SOLE,
        intent=Intent.STOCK.value,
        place=place.key,
    )


def put_down(session: FittingSession) -> list[Altered]:
    """No code is in hand any more."""
    held = session.in_hand is not None and session.in_hand.coded
    rows = alter(session, place="", lie="", length=FULL, **({"in_hand": None} if held else {}))
    if held:
        leave_bay(session)
    return rows


def test_over(session: FittingSession, protocol: str) -> None:
    """A test is not asked for any more."""
    if session.protocol == protocol:
        put_down(session)
        alter(session, protocol=FULL_SWING)


def test_for_change(actor: User, test_id: int) -> tuple[SoleTest, FittingSession]:
    """A test as it is now that its session is locked."""
    session = for_change(actor, SoleTest.objects.one(actor.shop_id or 0, test_id).session_id)
    return SoleTest.objects.one(session.shop_id, test_id), session


def _going_on(actor: User, test_id: int) -> tuple[SoleTest, FittingSession]:
    test, session = test_for_change(actor, test_id)
    if not test.is_on:
        raise Refused("This sole test is over: it was revealed or given up.", kind="sole_test_over")
    return test, session


@dataclass(frozen=True)
class Said:
    """What is said of a code after its shots. said: better 1, level 0, worse -1 than the one before it; best: the same
    against the best so far; groove: where it struck, from the lowest; left_m: from the hole."""

    said: int | None = None
    turf: Turf | None = None
    best: int | None = None
    groove: int | None = None
    sound: str = ""
    left_m: float | None = None

    def check(self, lie: Lie) -> None:
        if {self.said, self.best} - {None, -1, 0, 1}:
            raise BadInput("Say better, level or worse.", field="said")
        if self.turf is not None and (self.turf in IN_SAND) != (lie is Lie.SAND):
            where = "in sand it is even, deep or shallow" if lie is Lie.SAND else "that is said in sand"
            raise BadInput(f"How it met the ground: {where}.", field="turf")
        if self.groove is not None and not 0 <= self.groove <= MOST_GROOVE:
            raise BadInput(f"Grooves are counted from the lowest, 1 to {MOST_GROOVE}; 0 is under them.", field="groove")
        if self.left_m is not None and not 0 <= self.left_m <= MOST_LEFT_M:
            raise BadInput("What is left to the hole is 0 to 65 yd.", field="left_m")
        if len(self.sound) > MOST_SOUND:
            raise BadInput(f"The sound in a word: {MOST_SOUND} characters at most.", field="sound")

    @property
    def values(self) -> dict[str, Any]:
        return {**vars(self), "turf": self.turf.value if self.turf else "", "sound": self.sound.strip()}


@action("fit")
def say(
    actor: User, test_id: int, *, code: int, place: str, said: Said, visit: int = 0, duel: bool = False
) -> FittingSession:
    """What the player says of the code that was handed. The next one is in hand from now on."""
    test, session = _going_on(actor, test_id)
    found = sole_of(test)
    if place not in PLACES or place not in found.core.places:
        raise BadInput("This lie is not part of the test.", field="place")
    if not 0 <= code < len(found.codes):
        raise BadInput("This code is not part of the test.", field="code")
    said.check(PLACES[place].lie)
    _check_turn(found, code, place, visit, duel)
    before = found.handings[-1] if found.handings else None
    first = before is None or before.for_core.stage != (place, visit, duel) or before.code == code
    if not first and said.said is None:
        raise BadInput("Say whether it was better than the one before, level or worse.", field="said")
    values = said.values | ({"said": None} if first else {})
    handing = SoleHanding.objects.create(
        shop_id=session.shop_id, session=session, test=test, code=code, place=place, visit=visit, duel=duel, **values
    )
    rows: list[Altered] = [["handing", handing.pk, "void", True, False], *_take_up(session, test)]
    note(session, actor, "sole.said", f"sole:{test.pk}", code=found.word(code), rows=rows)
    announce_run(session)
    return session


def announce_run(session: FittingSession, what: str = "sole") -> None:
    """With what is in hand and asked for by now."""
    announce(
        session,
        what,
        in_hand=session.in_hand_id,
        length=session.length,
        lie=session.lie or None,
        protocol=session.protocol,
        intent=session.intent,
    )


def _check_turn(found: SessionSole, code: int, place: str, visit: int, duel: bool) -> None:
    """What was said twice is refused; without a line codes come that nobody could say were dropped."""
    coming = found.standing.next
    if duel:
        if coming is None or not coming.duel or coming.code != code:
            raise Refused("In the duel the two take turns: this one was said already.", kind="said_already")
        return
    if not is_asked(found.core, place, visit):
        raise BadInput("Nobody said to go back to this lie.", field="visit")
    if any((each.code, each.place, each.visit, each.duel) == (code, place, visit, False) for each in found.handings):
        raise Refused(
            f"{found.word(code)} was said already for this lie. Change what was said instead.", kind="said_already"
        )


@action("fit")
def change_said(actor: User, handing_id: int, said: Said) -> FittingSession:
    """What was said of a code, put right."""
    test, session = _going_on(actor, SoleHanding.objects.one(actor.shop_id or 0, handing_id).test_id)
    handing = SoleHanding.objects.one(session.shop_id, handing_id)
    said.check(PLACES[handing.place].lie)
    if (handing.said is None) != (said.said is None):
        raise BadInput(
            "The first at a lie is held against nothing; all others are better, level or worse.", field="said"
        )
    for name, value in said.values.items():
        setattr(handing, name, value)
    handing.save(update_fields=list(said.values))
    note(session, actor, "sole.changed", f"sole:{test.pk}", code=sole_of(test).word(handing.code))
    announce(session, "sole")
    return session


@action("fit")
def take_code(actor: User, test_id: int, *, code: int, place: str) -> FittingSession:
    """Another code of the test in hand than the one that comes next, or another lie."""
    test, session = _going_on(actor, test_id)
    found = sole_of(test)
    if not 0 <= code < len(found.codes) or place not in found.core.places:
        raise BadInput("This code, or this lie, is not part of the test.", field="code")
    rows = _hand(session, found, Next(code, place))
    note(session, actor, "session.task", f"sole:{test.pk}", rows=rows)
    announce_run(session)
    return session


@action("fit")
def go_back(actor: User, test_id: int, *, place: str) -> FittingSession:
    """The finalists once more at a lie where they were."""
    test, session = _going_on(actor, test_id)
    if not sole_of(test).standing.complete:
        raise Refused("The finalists go back to a lie once they were on every one.", kind="not_complete")
    test.returns = [*test.returns, place]
    _ = test.for_core(test.codes.count())  # refuses a lie that is none of it
    test.save(update_fields=["returns"])
    _take_up(session, test)
    note(session, actor, "sole.return", f"sole:{test.pk}")
    announce_run(session)
    return session


@action("fit")
def guess(actor: User, test_id: int, *, code: int, confidence: str) -> FittingSession:
    """Which code the player takes for the sole he plays now, and how sure he is."""
    test, session = _going_on(actor, test_id)
    count = test.codes.count()
    if not 0 <= code < count:
        raise BadInput("This code is not part of the test.", field="code")
    if confidence not in CERTAIN:
        _ = blindness(count, right=False, confidence=confidence)  # says what may be said
    test.guess, test.confidence = code, confidence
    test.save(update_fields=["guess", "confidence"])
    note(session, actor, "sole.guess", f"sole:{test.pk}")
    announce(session, "sole")
    return session


@action("fit")
def reveal(actor: User, test_id: int, *, early: bool) -> FittingSession:
    """Everybody is told which code is which club. early: though the finalists were not on every lie."""
    test, session = _going_on(actor, test_id)
    found = sole_of(test)
    if not found.handings:
        raise Refused("Nothing was handed yet. Give the test up instead.", kind="nothing_handed")
    open_ = ", ".join(PLACES[place].name.lower() for place in found.standing.unplayed)
    if open_ and not early:
        raise Refused(f"The finalists were not on: {open_}. What follows says nothing of it.", kind="not_complete")
    test.revealed_at = timezone.now()
    test.save(update_fields=["revealed_at"])
    test_over(session, SOLE)
    note(session, actor, "sole.reveal", f"sole:{test.pk}")
    announce_run(session)
    return session


@action("fit")
def give_up(actor: User, test_id: int) -> FittingSession:
    """The test ends without a result; what was hit and said stays on record, and is never told by club."""
    test, session = _going_on(actor, test_id)
    test.stopped_at = timezone.now()
    test.save(update_fields=["stopped_at"])
    test_over(session, SOLE)
    note(session, actor, "sole.stop", f"sole:{test.pk}")
    announce_run(session)
    return session


@action("fit")
def choose(actor: User, test_id: int, *, code: int) -> FittingSession:
    """The sole that fitter and player chose, whatever the ranking says: it comes onto the stand."""
    test, session = test_for_change(actor, test_id)
    if test.revealed_at is None:
        raise Refused("Reveal the test first: then a sole is chosen.", kind="not_revealed")
    codes = list(test.codes.all())
    if not 0 <= code < len(codes):
        raise BadInput("This code is not part of the test.", field="code")
    test.chosen = code
    test.save(update_fields=["chosen"])
    found = sole_of(test)
    chosen = codes[code]
    if chosen.head is not None and not _stands(session, chosen):
        shaft = chosen.shaft or _any_shaft(session, chosen.head)
        candidate_of(session, CandidateChoice(chosen.head.pk, shaft.pk, bend_deg=chosen.bend_deg))
    low = found.judged.wedges.short_end
    lofted = low.low.club.loft_deg if low is not None and low.low is not None else None
    if found.club(chosen).sole and (lofted is None or abs(lofted - test.loft_deg) <= 2.0):
        session.sole = found.club(chosen).sole
        session.save(update_fields=["sole"])
    note(session, actor, "sole.choose", f"sole:{test.pk}", name=found.clubs[code].name)
    announce(session, "sole")
    return session


def _stands(session: FittingSession, chosen: SoleCode) -> bool:
    assert chosen.head is not None
    there = Build.objects.of(session.shop_id).filter(session=session, head=chosen.head, archived=False)
    loft = chosen.head.loft_deg + chosen.bend_deg
    return any(build.letter and abs((build.set_loft_deg or 0.0) - loft) < 0.05 for build in there)


def _any_shaft(session: FittingSession, head: Head) -> Shaft:
    shafts = Shaft.objects.of(session.shop_id).filter(retired_at=None).exclude(stock=0)
    found = next((each for each in shafts if each.goes_into(head)), None)
    if found is None:
        raise BadInput(f"No shaft of the rack goes into the {head.model} {head.label}.", field="shaft")
    return found


WEAKER_DEG, LESS_LOFT_DEG = 1.0, 3.0


@action("fit")
def try_lofts(actor: User, test_id: int, *, place: str) -> SoleTest:
    """The sole that was chosen as it is, a degree weaker and in less loft, by name on one shot: whether the shot needs
    the loft, or only the face is to be opened."""
    before, session = test_for_change(actor, test_id)
    if before.chosen is None:
        raise Refused("Choose a sole first: that one is tried in other lofts.", kind="nothing_chosen")
    chosen = before.codes.all()[before.chosen]
    if chosen.head is None:
        raise Refused(
            "The sole that was chosen is no head of the rack: it is not there in other lofts.", kind="no_head"
        )
    shaft = chosen.shaft.pk if chosen.shaft else None
    wanted = [(ClubOfTest(head=chosen.head.pk, bend_deg=chosen.bend_deg), Role.AS_IS)]
    weaker = ClubOfTest(head=chosen.head.pk, bend_deg=chosen.bend_deg + WEAKER_DEG)
    with suppress(BadInput):  # where it does not bear the bend, the other is tried alone
        _club(session, weaker, shaft)
        wanted.append((weaker, Role.WEAKER))
    less = _less_loft(session, chosen.head)
    if less is not None:
        wanted.append((ClubOfTest(head=less.pk), Role.LESS))
    if len(wanted) < 2:
        raise Refused(
            f"The {chosen.head.model} {chosen.head.label} does not bear a bend, and the rack has its sole in no less "
            "loft: there is nothing to try it against.",
            kind="no_lofts",
        )
    clubs = [(_club(session, each, shaft), role.value) for each, role in wanted]
    test = _made(session, actor, clubs, blind=Blind.OPEN, loft_deg=before.loft_deg, wedge=before.wedge, places=[place])
    note(session, actor, "sole.lofts", f"sole:{test.pk}")
    announce(session, "sole")
    return test


def _less_loft(session: FittingSession, head: Head) -> Head | None:
    """The head of the same sole, of its own model if it can be, with the next less loft that makes a difference."""
    left = session.customer.hand == "left"
    same = Head.objects.of(session.shop_id).filter(
        head_type=HeadType.WEDGE, sole=head.sole, retired_at=None, loft_deg__lte=head.loft_deg - LESS_LOFT_DEG
    )
    had = [each for each in same.exclude(stock=0) if (each.left_handed if left else each.right_handed)]
    return max(had, key=lambda each: (each.model == head.model, each.loft_deg), default=None)


def link(actor: User, test_id: int) -> SessionSole:
    """Which code is which club, for whoever set the test up, and written down. Raises NotAllowed for anyone else, and
    where the assistant's page alone tells it."""
    test = SoleTest.objects.one(actor.shop_id or 0, test_id)
    if test.blind == Blind.DOUBLE and test.revealed_at is None:
        raise NotAllowed("This test is blind to both sides: only the assistant’s page tells which code is which club.")
    if test.setter_id != actor.pk and test.revealed_at is None:
        raise NotAllowed("Only whoever set the test up may see which code is which club.")
    record(
        test.shop_id, actor, "sole.link", f"sole:{test.pk}", of_session=test.session_id,
        of_customer=test.session.customer_id,
    )  # fmt: skip
    return sole_of(test)
