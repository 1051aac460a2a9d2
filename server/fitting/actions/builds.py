"""The player's own clubs, candidates from the rack, and the build in hand."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from common.problems import Refused
from django.utils import timezone
from hemicycle_core.bag import Carried, HeadType
from hemicycle_core.bag.clubs import usual_loft_and_inches
from hemicycle_core.brief import Wish
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.club_names import head_type_of, short_name
from hemicycle_core.judge import hit_enough
from hemicycle_core.rack.eligible import check_can_be_had, check_setting, check_shaft, same_setting
from hemicycle_core.rack.specification import build_name
from hemicycle_core.units import METRES_PER_INCH
from rack.models import Head, Shaft
from shop.audit import action
from shop.models import User

from ..domain.session import JudgedSession, load
from ..models import LETTERS, Build, FittingSession
from .bays import leave_bay, take_bay
from .changes import announce, for_change, not_meanwhile, note
from .windows import keep_windows


def _check_typed(name: str, head_type: str, carry_m: float | None, total_m: float | None) -> None:
    if carry_m is not None:
        Carried(name, HeadType(head_type), carry_m, carry_m if total_m is None else total_m)
        if total_m is not None and total_m < carry_m:
            raise BadInput(f"{name}: the total cannot be under the carry.", field="typed_total_m")
        if carry_m > 340:
            raise BadInput(
                f"{name}: a carry over 340 m is no golf shot. Is it in the right unit?", field="typed_carry_m"
            )
    elif total_m is not None:
        raise BadInput(f"{name}: type the carry too.", field="typed_carry_m")


def add_own(session: FittingSession, written: str, **fields: Any) -> Build:
    """A club of the player's own, by the name it goes by; usual loft and length until measured."""
    name = short_name(written)
    if not name:
        raise BadInput("Give the club a name, such as 5i or 4H.", field="name")
    same = Build.objects.of(session.shop_id).filter(session=session, letter="", name=name)
    if same.filter(archived=False).exists():
        raise BadInput(f"{name} is in the bag already. Give the second one another name.", field="name")
    back = same.first()
    if back is not None:
        return _bring_back(back, fields)
    loft, inches = usual_loft_and_inches(name) or (None, None)
    given = {
        "head_type": head_type_of(name).value,
        "stated_loft_deg": loft,
        "set_loft_deg": loft,
        "length_m": inches * METRES_PER_INCH if inches else None,
        **{key: value for key, value in fields.items() if value is not None},
    }
    _check_typed(name, given["head_type"], given.get("typed_carry_m"), given.get("typed_total_m"))
    return Build.objects.create(shop_id=session.shop_id, session=session, name=name, **given)


def _bring_back(build: Build, fields: dict[str, Any]) -> Build:
    """A club that was taken out comes back as it was, with its shots, and with what was typed now."""
    build.archived = False
    for key, value in fields.items():
        if value is not None:
            setattr(build, key, value)
    _check_typed(build.name, build.head_type, build.typed_carry_m, build.typed_total_m)
    build.save(update_fields=["archived", *(key for key, value in fields.items() if value is not None)])
    return build


@action("fit")
def add_club(actor: User, session_id: int, *, name: str, **fields: Any) -> Build:
    session = for_change(actor, session_id)
    build = add_own(session, name, **fields)
    keep_windows(session, actor)
    note(session, actor, "club.add", f"build:{build.pk}", name=build.name)
    announce(session, "bag")
    return build


def _build(actor: User, build_id: int) -> tuple[Build, FittingSession]:
    """A build as it is now that its session is locked."""
    session = for_change(actor, Build.objects.one(actor.shop_id or 0, build_id).session_id)
    return Build.objects.select_related("head", "shaft").one(session.shop_id, build_id), session


@action("fit")
def change_club(actor: User, build_id: int, **changes: Any) -> Build:
    """Type carry and total, mark as fixed, correct loft or length, note what the player says of it. Only what is
    given changes."""
    build, session = _build(actor, build_id)
    not_meanwhile(
        session,
        ["club.change"],
        touches=lambda entry: entry.subject == f"build:{build_id}" and bool(changes.keys() & entry.detail["after"]),
    )
    if changes.get("out_of_favour") and not build.is_own:
        raise BadInput("Only a club of the player’s own can be out of favour.", field="out_of_favour")
    before = {key: getattr(build, key) for key in changes}
    for key, value in changes.items():
        setattr(build, key, value)
    _check_typed(build.name, build.head_type, build.typed_carry_m, build.typed_total_m)
    if any(before.get(key) != changes.get(key) for key in ("typed_carry_m", "typed_total_m")):
        build.known_from, build.known_flight = "", None  # typed by hand now, not what was measured then
    build.save(update_fields=[*changes, "known_from", "known_flight"])
    keep_windows(session, actor)
    note(session, actor, "club.change", f"build:{build.pk}", before=before, after=changes)
    announce(session, "bag")
    return build


@action("fit")
def drop_club(actor: User, build_id: int) -> Build:
    """Take a club out of the bag or a candidate off the stand; its shots stay on record."""
    build, session = _build(actor, build_id)
    build.archived, build.accepted_at = True, None
    build.save(update_fields=["archived", "accepted_at"])
    if session.in_hand_id == build.pk:
        session.in_hand = None
        session.save(update_fields=["in_hand"])
        leave_bay(session)
    keep_windows(session, actor)
    note(session, actor, "club.drop", f"build:{build.pk}", name=build.name)
    announce(session, "bag")
    return build


def _hold(session: FittingSession, build: Build) -> None:
    """Shots of this bay go to this build of this session from now on."""
    session.in_hand, session.in_hand_at = build, timezone.now()
    session.save(update_fields=["in_hand", "in_hand_at"])
    take_bay(session)


def _next_letter(session: FittingSession) -> str:
    """The first letter never used in this session, so that a letter means one build for good."""
    used = set(Build.objects.of(session.shop_id).filter(session=session).values_list("letter", flat=True))
    letter = next((letter for letter in LETTERS if letter not in used), None)
    if letter is None:
        raise Refused("Eight builds are the most a session holds. Open a new visit for more.", kind="stand_full")
    return letter


@dataclass
class CandidateChoice:
    """A head and shaft from the rack, at their stated loft and length unless given."""

    head: int
    shaft: int
    set_loft_deg: float | None = None
    length_m: float | None = None


@action("fit")
def add_candidates(actor: User, session_id: int, wanted: Sequence[CandidateChoice]) -> list[Build]:
    """Heads and shafts from the rack, each as a build with the next letter; the first is in hand if nothing is."""
    session = for_change(actor, session_id)
    if not wanted:
        raise BadInput("Choose at least one head.", field="candidates")
    made = [_candidate(session, each) for each in wanted]
    if session.in_hand_id is None:
        _hold(session, made[0])
    keep_windows(session, actor, first=True)
    for build in made:
        note(session, actor, "build.add", f"build:{build.pk}", letter=build.letter)
    announce(session, "stand")
    return made


def _candidate(session: FittingSession, wanted: CandidateChoice) -> Build:
    head = Head.objects.one(session.shop_id, wanted.head)
    shaft = Shaft.objects.one(session.shop_id, wanted.shaft)
    for part, what in ((head, f"{head.model} {head.label}"), (shaft, shaft.name)):
        if part.retired_at is not None:
            raise BadInput(f"The {what} was taken off the rack.", field="head" if part is head else "shaft")
    check_can_be_had(head.for_core, left_handed=session.customer.hand == "left")
    check_shaft(shaft.name, shaft.fits, shaft.tip_in, head.for_core)
    loft = head.loft_deg if wanted.set_loft_deg is None else wanted.set_loft_deg
    check_setting(head.for_core, loft)
    return Build.objects.create(
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
        price=head.price,
    )


@action("fit")
def new_setting(actor: User, build_id: int, *, set_loft_deg: float) -> Build:
    """The same head, shaft and length at another sleeve setting: a new build, taken in hand at once."""
    build, session = _build(actor, build_id)
    if build.head is None:
        raise BadInput("Only a build from the rack has settings.", field="build")
    check_setting(build.head.for_core, set_loft_deg)
    same = Build.objects.of(session.shop_id).filter(
        session=session, head=build.head, shaft=build.shaft, length_m=build.length_m, archived=False
    )
    if any(same_setting(other.set_loft_deg, set_loft_deg) for other in same):
        raise BadInput("This setting is on the stand already. Take that build in hand.", field="set_loft_deg")
    turned = Build.objects.create(
        shop_id=session.shop_id,
        session=session,
        letter=_next_letter(session),
        name=build_name(build.head.label, build.head.loft_deg),
        head_type=build.head_type,
        head=build.head,
        shaft=build.shaft,
        stated_loft_deg=build.stated_loft_deg,
        set_loft_deg=set_loft_deg,
        length_m=build.length_m,
        price=build.price,
        turned_from=build,
    )
    _hold(session, turned)
    note(session, actor, "build.turn", f"build:{turned.pk}", turned_from=build.letter, letter=turned.letter)
    announce(session, "stand")
    return turned


@action("fit")
def accept(actor: User, build_id: int, *, accepted: bool) -> Build:
    """Take a candidate into the bag for the time being, with what was measured, or out of it again. The rest of the
    space is cut anew and the next gap is in work."""
    build, session = _build(actor, build_id)
    not_meanwhile(session, ["build.accept", "build.release", "gap.choose"])
    if build.is_own or build.archived:
        raise BadInput("Only a build on the stand is taken into the bag for now.", field="build")
    if accepted and not may_be_accepted(load(session), build):
        raise BadInput(f"{build.letter} needs more kept shots before the bag can be cut around it.", field="build")
    build.accepted_at = timezone.now() if accepted else None
    build.save(update_fields=["accepted_at"])
    session.gap_above = session.like_for = None
    session.wish = Wish.GAP.value
    session.save(update_fields=["gap_above", "like_for", "wish"])
    keep_windows(session, actor)
    note(session, actor, "build.accept" if accepted else "build.release", f"build:{build.pk}", letter=build.letter)
    announce(session, "bag")
    return build


def may_be_accepted(judged: JudgedSession, build: Build) -> bool:
    return hit_enough(judged.rows.shots_of(build), own=False, thresholds=judged.thresholds)


@action("fit")
def take_in_hand(actor: User, session_id: int, *, build_id: int) -> FittingSession:
    """Shots from the monitor go to this build from now on."""
    session = for_change(actor, session_id)
    build = Build.objects.one(session.shop_id, build_id)
    if build.session_id != session.pk or build.archived:
        raise BadInput("That club is not on the stand.", field="build")
    _hold(session, build)
    note(session, actor, "build.in_hand", f"session:{session.pk}", build=build.pk)
    announce(session, "in_hand")
    return session
