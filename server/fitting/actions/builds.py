"""The player's own clubs, candidates from the rack, and the build in hand."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from decimal import Decimal
from enum import StrEnum
from typing import Any

from common.problems import Refused
from django.utils import timezone
from hemicycle_core.answers.decided import why_taken
from hemicycle_core.bag import Carried, HeadType
from hemicycle_core.bag.clubs import usual_length_m, usual_loft_and_inches
from hemicycle_core.bag.slots import MOST_CLUBS
from hemicycle_core.brief import Wish
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.club_names import kind_of, short_name
from hemicycle_core.judge import Change, ChangeKind, hit_enough
from hemicycle_core.rack.eligible import check_can_be_had, check_setting, check_shaft, same_length, same_setting
from hemicycle_core.rack.made import Levelled, Work, level, worked
from hemicycle_core.rack.specification import build_name
from hemicycle_core.rack.stock import check_label, check_loft, check_stated
from hemicycle_core.runs import stock_swing
from hemicycle_core.said import Form, as_data, far, joined, number, say
from hemicycle_core.units import METRES_PER_INCH
from hemicycle_core.wedges.words import check_complaints, check_uses
from rack.models import Head, Shaft
from shop.audit import action
from shop.models import User

from ..domain.session import JudgedSession, load
from ..models import LETTERS, Build, FittingSession
from .acts import alter, put_up
from .bays import leave_bay
from .changes import announce, for_change, not_meanwhile, note
from .hold import hold
from .windows import keep_windows


def check_typed(name: str, head_type: str, carry_m: float | None, total_m: float | None) -> None:
    if carry_m is not None:
        Carried(name, HeadType(head_type), carry_m, carry_m if total_m is None else total_m)
        if total_m is not None and total_m < carry_m:
            raise BadInput(say("act-total-cannot-under-carry", name=name), field="typed_total_m")
        if carry_m > MOST_CARRY_M:
            raise BadInput(say("act-carry-is-no-golf-shot", name=name, most=far(MOST_CARRY_M)), field="typed_carry_m")
    elif total_m is not None:
        raise BadInput(say("act-type-carry-too", name=name), field="typed_carry_m")


MOST_NAME = 40
MOST_CARRY_M = 340
# What the name of a club makes us assume, until it is stated.
ASSUMABLE = ("head_type", "set_loft_deg", "length_m")


def add_own(session: FittingSession, written: str, **fields: Any) -> Build:
    """A club of the player's own, by the name it goes by; usual loft and length until measured."""
    name = short_name(written)
    if not name:
        raise BadInput(say("act-give-club-name-such"), field="name")
    if len(name) > MOST_NAME:
        raise BadInput(say("act-clubs-name-has-characters", most_name=MOST_NAME), field="name")
    same = Build.objects.of(session.shop_id).filter(session=session, letter="", name=name)
    if same.filter(archived=False).exists():
        raise BadInput(say("act-bag-already-give-second", name=name), field="name")
    back = same.first()
    if back is not None:
        return _bring_back(back, fields)
    loft, inches = usual_loft_and_inches(name) or (None, None)
    kind = kind_of(name)
    if kind is None and not fields.get("head_type"):
        words = say("act-choose-use-name-says")
        raise BadInput(say("act-does-not-say-what", name=name, words=words), field="head_type")
    given = {
        "head_type": kind.value if kind else None,
        "stated_loft_deg": loft,
        "set_loft_deg": loft,
        "length_m": inches * METRES_PER_INCH if inches else None,
        **{key: value for key, value in fields.items() if value is not None},
    }
    check_typed(name, given["head_type"], given.get("typed_carry_m"), given.get("typed_total_m"))
    assumed = [key for key in ASSUMABLE if given.get(key) is not None and fields.get(key) is None]
    return Build.objects.create(shop_id=session.shop_id, session=session, name=name, assumed=assumed, **given)


def _bring_back(build: Build, fields: dict[str, Any]) -> Build:
    """A club that was taken out comes back as it was, with its shots, and with what was typed now."""
    build.archived = False
    for key, value in fields.items():
        if value is not None:
            setattr(build, key, value)
    check_typed(build.name, build.head_type, build.typed_carry_m, build.typed_total_m)
    build.save(update_fields=["archived", *(key for key, value in fields.items() if value is not None)])
    return build


@action("fit")
def add_club(actor: User, session_id: int, *, name: str, **fields: Any) -> Build:
    session = for_change(actor, session_id)
    build = add_own(session, name, **fields)
    keep_windows(session, actor)
    note(session, actor, "club.add", f"build:{build.pk}", name=build.name, rows=put_up(build))
    announce(session, "bag")
    return build


@action("fit")
def state_club(actor: User, build_id: int, stated: Mapping[str, Any]) -> Build:
    """What the player or the gauge says of a club: only what is given changes, and is assumed no more; so it is with
    each of its uses. A loft that is set is not the stated one, nor the measured one: each is kept."""
    build, session = _build(actor, build_id)
    check_stated(HeadType(stated.get("head_type", build.head_type)), stated)
    if "stock_swing" in stated:
        stock_swing(stated["stock_swing"])
    if "uses" in stated:
        stated = {**stated, "uses": check_uses({**build.uses, **stated["uses"]})}
    if "complaints" in stated:
        stated = {**stated, "complaints": check_complaints(stated["complaints"])}
    for field, most in MOST_WORDS.items():
        if len(stated.get(field) or "") > most:
            raise BadInput(say("act-characters-most", capitalize=field.capitalize(), most=most), field=field)
    values = {key: value.value if isinstance(value, StrEnum) else value for key, value in stated.items()}
    if build.head is not None and values.keys() & {"head_type", "stated_loft_deg", "own_shaft"}:
        raise BadInput(say("act-head-rack-what-stated"), field="head_type")
    assumed = [key for key in build.assumed if key not in values]
    rows = alter(build, **values, assumed=assumed)
    session.whole_from = session.revision  # another stock swing makes other shots count
    session.save(update_fields=["whole_from"])
    keep_windows(session, actor)
    note(session, actor, "club.state", f"build:{build.pk}", name=build.name, rows=rows)
    announce(session, "bag")
    return build


MOST_WORDS = {"sole": 40, "grip": 60, "stamping": 40}


def _build(actor: User, build_id: int) -> tuple[Build, FittingSession]:
    """A build as it is now that its session is locked."""
    session = for_change(actor, Build.objects.one(actor.shop_id or 0, build_id).session_id)
    build = Build.objects.select_related("head", "shaft").one(session.shop_id, build_id)
    if build.coded:
        raise BadInput(say("act-code-sole-test-nothing", name=build.name), field="build")
    return build, session


@action("fit")
def change_club(actor: User, build_id: int, **changes: Any) -> Build:
    """Type carry and total, mark as fixed, correct loft or length, note what the player says of it. Only what is
    given changes."""
    build, session = _build(actor, build_id)
    not_meanwhile(
        session,
        ["club.change", "club.averages"],
        touches=lambda entry: (
            entry.subject == f"build:{build_id}" and bool(changes.keys() & entry.detail["after"])
            if entry.action == "club.change"
            else "typed_carry_m" in changes and build.name in entry.detail["name"].split(", ")
        ),
    )
    if changes.get("out_of_favour") and not build.is_own:
        raise BadInput(say("act-only-club-players-own"), field="out_of_favour")
    so = {key: changes.get(key, getattr(build, key)) for key in ("typed_carry_m", "typed_total_m")}
    check_typed(build.name, build.head_type, so["typed_carry_m"], so["typed_total_m"])
    before = {key: getattr(build, key) for key in changes}
    by_hand: dict[str, Any] = {}
    if any(so[key] != getattr(build, key) for key in so):
        # Typed now, not what was measured then.
        by_hand = {"known_from": "", "known_flight": None, "typed_spread_m": None}
    rows = alter(build, **changes, **by_hand)
    keep_windows(session, actor)
    note(session, actor, "club.change", f"build:{build.pk}", before=before, after=changes, rows=rows)
    announce(session, "bag")
    return build


@action("fit")
def drop_club(actor: User, build_id: int) -> Build:
    """Take a club out of the bag or a candidate off the stand; its shots stay on record."""
    build, session = _build(actor, build_id)
    rows = alter(build, archived=True, accepted_at=None)
    if session.in_hand_id == build.pk:
        rows += alter(session, in_hand=None)
        leave_bay(session)
    keep_windows(session, actor)
    note(session, actor, "club.drop", f"build:{build.pk}", name=build.name, rows=rows)
    announce(session, "bag")
    return build


def _next_letter(session: FittingSession) -> str:
    """The first letter never used in this session, so that a letter means one build for good."""
    used = set(Build.objects.of(session.shop_id).filter(session=session).values_list("letter", flat=True))
    letter = next((letter for letter in LETTERS if letter not in used), None)
    if letter is None:
        raise Refused(say("act-eight-builds-most-session"), kind="stand_full")
    return letter


@dataclass
class CandidateChoice:
    """A head and shaft from the rack, at their stated loft and length unless given. bend_deg: weaker positive, done to
    it before it is hit."""

    head: int
    shaft: int
    set_loft_deg: float | None = None
    length_m: float | None = None
    bend_deg: float = 0.0


@action("fit")
def add_candidates(
    actor: User, session_id: int, wanted: Sequence[CandidateChoice], *, again: bool = False
) -> list[Build]:
    """Heads and shafts from the rack, each as a build with the next letter; the first is in hand if nothing is. again:
    also one that stands there as it is already."""
    session = for_change(actor, session_id)
    if not wanted:
        raise BadInput(say("act-choose-least-one-head"), field="candidates")
    if not again:
        _not_there_already(session, wanted)
    made = [candidate_of(session, each) for each in wanted]
    held = hold(session, made[0]) if session.in_hand_id is None else []
    keep_windows(session, actor, first=True)
    for build in made:
        rows = [*put_up(build), *(held if build is made[0] else [])]
        note(session, actor, "build.add", f"build:{build.pk}", letter=build.letter, rows=rows)
    announce(session, "stand")
    return made


def _not_there_already(session: FittingSession, wanted: Sequence[CandidateChoice]) -> None:
    """Raise Refused where a head stands there already with the same shaft, loft, length and bend."""
    there = Build.objects.of(session.shop_id).filter(session=session, archived=False, head__isnull=False)
    stand = list(there.exclude(letter="").select_related("head"))
    said = []
    for each in wanted:
        head = Head.objects.one(session.shop_id, each.head)
        loft = (head.loft_deg if each.set_loft_deg is None else each.set_loft_deg) + each.bend_deg
        length = head.length_m if each.length_m is None else each.length_m
        same = (
            build.letter
            for build in stand
            if (build.head_id, build.shaft_id) == (each.head, each.shaft)
            and same_setting(build.set_loft_deg, loft)
            and same_length(build.length_m, length)
        )
        letter = next(same, None)
        if letter is not None:
            said.append(say("act-stands-there-already", called=head.called, letter=letter))
    if said:
        raise Refused(say("act-take-hand-put-up", there=joined(said)), kind="stands_already")


def candidate_of(session: FittingSession, wanted: CandidateChoice) -> Build:
    """A head of the rack as a build of a session that is locked."""
    head = Head.objects.one(session.shop_id, wanted.head)
    if head.retired_at is not None:
        raise BadInput(say("act-was-taken-off-rack", called=head.called), field="head")
    check_can_be_had(head.for_core, left_handed=session.customer.hand == "left")
    shaft = shaft_for(session, wanted.shaft, head)
    loft = head.loft_deg if wanted.set_loft_deg is None else wanted.set_loft_deg
    check_setting(head.for_core, loft)
    build = Build(
        shop_id=session.shop_id,
        session=session,
        letter=_next_letter(session),
        name=build_name(head.label, head.loft_deg),
        head_type=head.head_type,
        head=head,
        shaft=shaft,
        stated_loft_deg=head.loft_deg,
        set_loft_deg=loft,
        length_m=head.length_m if wanted.length_m is None else wanted.length_m,
        price=head.price or None,
    )
    if wanted.bend_deg:
        bend = Change(ChangeKind.BEND, wanted.bend_deg)
        club = worked(build.known.made, [Work(bend.kind.value, bend.amount)])
        build.set_loft_deg, build.bounce_deg = club.loft_deg, club.bounce_deg
        build.work = [{"kind": bend.kind.value, "amount": bend.amount, "words": as_data(bend.words)}]
        build.name = build_name(head.label, club.loft_deg or head.loft_deg)
    build.save()
    return build


@action("fit")
def new_setting(actor: User, build_id: int, *, set_loft_deg: float) -> Build:
    """The same head, shaft and length at another sleeve setting: a new build, taken in hand at once."""
    build, session = _build(actor, build_id)
    if build.head is None:
        raise BadInput(say("act-only-build-from-rack"), field="build")
    check_setting(build.head.for_core, set_loft_deg)
    same = Build.objects.of(session.shop_id).filter(
        session=session, head=build.head, shaft=build.shaft, length_m=build.length_m, archived=False
    )
    if any(same_setting(other.set_loft_deg, set_loft_deg) for other in same):
        raise BadInput(say("act-setting-stand-already-take"), field="set_loft_deg")
    club = worked(build.known.made, [Work("loft", set_loft_deg - (build.set_loft_deg or 0.0))])
    turned = _made_from(build, session, set_loft_deg=set_loft_deg, lie_deg=club.lie_deg)
    rows = [*put_up(turned), *hold(session, turned)]
    note(
        session,
        actor,
        "build.turn",
        f"build:{turned.pk}",
        turned_from=build.letter,
        letter=turned.letter,
        rows=rows,
    )
    announce(session, "stand")
    return turned


def shaft_for(session: FittingSession, shaft_id: int, head: Head | None) -> Shaft:
    """A shaft of the rack, that can be had and goes into a head of the rack."""
    shaft = Shaft.objects.one(session.shop_id, shaft_id)
    if shaft.retired_at is not None:
        raise BadInput(say("act-was-taken-off-rack-2", name=shaft.name), field="shaft")
    if shaft.stock == 0:
        raise BadInput(say("act-cannot-had-now-there", name=shaft.name), field="shaft")
    if head is not None:
        check_shaft(shaft.name, shaft.fits, shaft.tip_in, head.for_core)
    return shaft


def _made_from(parent: Build, session: FittingSession, **fields: Any) -> Build:
    """A build made from another club, with the next letter, that has it for its parent."""
    kept = (
        "name", "head_type", "head", "shaft", "stated_loft_deg", "set_loft_deg", "length_m", "lie_deg", "bounce_deg",
        "made", "borrowed", "assumed", "price", "work", "own_shaft", "age_rounds", "wear", "stock_swing", "sole",
        "finish", "grip", "of_set", "kept_out", "uses",
    )  # fmt: skip
    given = {name: getattr(parent, name) for name in kept}
    if parent.is_own:
        given["price"] = Decimal(0)  # the player has it
    return Build.objects.create(
        shop_id=session.shop_id,
        session=session,
        letter=_next_letter(session),
        turned_from=parent,
        **{**given, **fields},
    )


@action("fit")
def make_otherwise(actor: User, build_id: int, changes: Sequence[Change], *, shaft_id: int | None = None) -> Build:
    """A club of the stand or of the player's own, made otherwise: a build of its own with that club for its parent,
    taken in hand at once. An own club without any change is put up as it is."""
    parent, session = _build(actor, build_id)
    if not changes and shaft_id is None and not parent.is_own:
        raise BadInput(say("act-say-what-changed"), field="changes")
    club = worked(parent.known.made, [Work(each.kind.value, each.amount) for each in changes])
    fields: dict[str, Any] = {
        "set_loft_deg": club.loft_deg,
        "lie_deg": club.lie_deg,
        "bounce_deg": club.bounce_deg,
        "length_m": club.length_m,
        "work": [
            *parent.work,
            *({"kind": e.kind.value, "amount": e.amount, "words": as_data(e.words)} for e in changes),
        ],
    }
    if shaft_id is not None:
        shaft = fields["shaft"] = shaft_for(session, shaft_id, parent.head)
        fields["work"].append({"kind": "shaft", "amount": 0, "words": as_data(say("work-shaft", shaft=shaft.name))})
    build = _made_from(parent, session, **fields)
    rows = [*put_up(build), *hold(session, build)]
    keep_windows(session, actor, first=True)
    note(session, actor, "build.make", f"build:{build.pk}", made_from=parent.pk, letter=build.letter, rows=rows)
    announce(session, "stand")
    return build


@action("fit")
def borrow(actor: User, session_id: int, *, name: str, head_type: HeadType, loft_deg: float) -> Build:
    """A club that is neither of the rack nor the player's own, on the stand by three fields; what is not stated of it
    is assumed from its kind and loft."""
    session = for_change(actor, session_id)
    check_label(name, "club", "name")
    check_loft(head_type, loft_deg)
    build = Build.objects.create(
        shop_id=session.shop_id,
        session=session,
        letter=_next_letter(session),
        name=name.strip(),
        head_type=head_type.value,
        stated_loft_deg=loft_deg,
        set_loft_deg=loft_deg,
        length_m=usual_length_m(head_type, loft_deg),
        borrowed=True,
        assumed=["length_m"],
    )
    rows = [*put_up(build), *hold(session, build)]
    keep_windows(session, actor, first=True)
    note(session, actor, "build.borrow", f"build:{build.pk}", letter=build.letter, name=build.name, rows=rows)
    announce(session, "stand")
    return build


@action("fit")
def turn_to_one_loft(actor: User, session_id: int, *, loft_deg: float) -> list[Build]:
    """Every head of the stand that turns, at the position nearest to one loft, as builds of their own. What cannot
    come within half a degree is left as it is."""
    session = for_change(actor, session_id)
    there = _levelled(session, loft_deg)
    wanted = [(build, found.loft_deg) for build, found in there if found.loft_deg is not None]
    if not wanted:
        raise BadInput(say("act-no-head-stand-turns", loft=number(loft_deg, form=Form.SHORT)), field="loft_deg")
    made = []
    for build, loft in wanted:
        club = worked(build.known.made, [Work("loft", loft - (build.set_loft_deg or 0.0))])
        made.append(_made_from(build, session, set_loft_deg=club.loft_deg, lie_deg=club.lie_deg))
    keep_windows(session, actor, first=True)
    rows = [row for build in made for row in put_up(build)]
    letters = [build.letter for build in made]
    note(session, actor, "build.level", f"session:{session.pk}", loft=loft_deg, letters=letters, rows=rows)
    announce(session, "stand")
    return made


def levels(actor: User, session_id: int, *, loft_deg: float) -> list[tuple[Build, Levelled]]:
    """What turning to one loft would do to each build of the stand."""
    session = FittingSession.objects.one(actor.shop_id or 0, session_id)
    return _levelled(session, loft_deg)


def _levelled(session: FittingSession, loft_deg: float) -> list[tuple[Build, Levelled]]:
    """What turning to one loft would do to each head of the stand; one that stands there already is left as it is."""
    rows = Build.objects.of(session.shop_id).filter(session=session, archived=False).exclude(letter="")
    stand = list(rows.select_related("head", "shaft").order_by("pk"))
    # Of the builds of one head, the one that was made last.
    last = {build.head_id or -build.pk: build for build in stand}
    made = []
    for build in last.values():
        found = level(build.known.made, loft_deg)
        same = (
            each for each in stand if build.head_id and (each.head_id, each.shaft_id) == (build.head_id, build.shaft_id)
        )
        there = next((each.letter for each in same if same_setting(each.set_loft_deg, found.loft_deg)), None)
        made.append((build, Levelled(None, say("build-stands-there-already", letter=there)) if there else found))
    return made


@action("fit")
def accept(actor: User, build_id: int, *, accepted: bool) -> Build:
    """Take a candidate into the bag for the time being, with what was measured, or out of it again. The rest of the
    space is cut anew and the next gap is in work."""
    build, session = _build(actor, build_id)
    not_meanwhile(session, ["build.accept", "build.release", "gap.choose"])
    if build.is_own or build.archived:
        raise BadInput(say("act-only-build-stand-taken"), field="build")
    judged = load(session)
    if accepted and not may_be_accepted(judged, build):
        raise BadInput(say("act-needs-more-kept-shots", letter=build.letter), field="build")
    places = session.space.clubs_to_place
    if accepted and build.accepted_at is None:
        rows = alter(build, accepted_at=timezone.now(), taken=why_taken(judged.decided, judged.facts.by_key[build.pk]))
        places = max(places - 1, 1)
    else:
        places = min(places + bool(build.taken and build.taken["counted"]), MOST_CLUBS)
        rows = alter(build, accepted_at=None, taken=None)
    rows += alter(session, gap_above=None, like_for=None, wish=Wish.GAP.value, clubs_to_place=places)
    keep_windows(session, actor)
    what = "build.accept" if accepted else "build.release"
    note(session, actor, what, f"build:{build.pk}", letter=build.letter, rows=rows)
    announce(session, "bag")
    return build


def may_be_accepted(judged: JudgedSession, build: Build) -> bool:
    return hit_enough(judged.facts.by_key[build.pk].shots, own=False, thresholds=judged.thresholds)


@action("assist")
def take_in_hand(actor: User, session_id: int, *, build_id: int) -> FittingSession:
    """Shots from the monitor go to this build from now on."""
    session = for_change(actor, session_id)
    build = Build.objects.one(session.shop_id, build_id)
    if build.session_id != session.pk or build.archived:
        raise BadInput(say("act-club-not-stand"), field="build")
    rows = hold(session, build)
    told = {"build": build.pk, "letter": build.letter, "name": build.name if build.is_own else ""}
    note(session, actor, "build.in_hand", f"session:{session.pk}", rows=rows, **told)
    announce(session, "in_hand", in_hand=session.in_hand_id, **vars(session.asked))
    return session
