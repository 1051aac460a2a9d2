"""Opening a session, writing its brief, choosing the gap in work, setting targets."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, field
from datetime import date
from decimal import Decimal
from typing import Any

from config.problems import Refused
from customers.models import Customer, Hand
from django.utils import timezone
from feed.live import announce
from hemicycle_core.bag import GapRule
from hemicycle_core.bag.slots import MOST_CLUBS
from hemicycle_core.errors import BadInput
from hemicycle_core.shots import READINGS, Intent
from hemicycle_core.units import metres
from shop.audit import action, record
from shop.models import Bay, User

from ..known import core_job
from ..models import Build, FittingSession, Job, TargetOverride
from ..pictures import CoursePicture, JobPicture
from .windows import keep_windows

LEAST_STEP_M, MOST_STEP_M = metres(3), metres(40)
MOST_COURSES = 6
# Of the brief, what is true of the player and not of one visit.
LASTING = ("miss", "shape", "firmness", "courses", "lies", "likes", "most_clubs")
OWN_FIELDS = (
    "name", "head_type", "stated_loft_deg", "set_loft_deg", "length_m", "fixed", "typed_carry_m", "typed_total_m",
    "typed_doubt_m",
)  # fmt: skip


def for_change(actor: User, session_id: int) -> FittingSession:
    """A session of the actor's shop, locked for this transaction; refused once it is agreed."""
    session = FittingSession.objects.select_for_update(of=("self",)).one(actor.shop_id or 0, session_id)
    if session.agreed_at is not None:
        raise Refused("This session is agreed and stays as it was. Start a new visit to go on.", kind="agreed")
    return session


@action("fit")
def add_customer(
    actor: User, *, name: str, hand: str, birth_year: int | None = None, email: str = "", notes: str = ""
) -> Customer:
    name = " ".join(name.split())
    if not name:
        raise BadInput("Give the customer a name.", field="name")
    assert actor.shop_id is not None
    customer = Customer.objects.create(
        shop_id=actor.shop_id, name=name, hand=Hand(hand), birth_year=birth_year, email=email, notes=notes
    )
    record(actor.shop_id, actor, "customer.add", f"customer:{customer.pk}", name=name)
    return customer


@action("fit")
def open_session(actor: User, *, customer_id: int, bay_id: int, held_on: date | None = None) -> FittingSession:
    """A new visit. The bag is carried over from the customer's last session, typed figures and all, and of the brief
    where they play, what they like and what they fear."""
    assert actor.shop_id is not None
    customer = Customer.objects.one(actor.shop_id, customer_id)
    bay = Bay.objects.one(actor.shop_id, bay_id)
    session = FittingSession.objects.create(
        shop_id=actor.shop_id,
        customer=customer,
        fitter=actor,
        bay=bay,
        held_on=held_on or timezone.localdate(),
        surface=bay.surface,
        indoor=bay.indoor,
        altitude_m=bay.altitude_m,
        temperature_c=bay.temperature_c,
    )
    last = FittingSession.objects.of(actor.shop_id).filter(customer=customer).exclude(pk=session.pk).first()
    if last is not None:
        for name in LASTING:
            setattr(session, name, getattr(last, name))
        session.save()
        for build in Build.objects.of(actor.shop_id).filter(session=last, letter="", archived=False):
            Build.objects.create(
                shop_id=actor.shop_id, session=session, **{name: getattr(build, name) for name in OWN_FIELDS}
            )
    record(actor.shop_id, actor, "session.open", f"session:{session.pk}", customer=customer.pk)
    return session


@dataclass
class Brief:
    """What the interview found; jobs in the order of the form."""

    miss: str
    firmness: str
    most_clubs: int
    budget: Decimal | None
    pain: bool
    notes: str
    jobs: Sequence[JobPicture]
    shape: str = "any"
    courses: Sequence[CoursePicture] = ()
    lies: Sequence[str] = ()
    likes: Mapping[str, str] = field(default_factory=dict)


@action("fit")
def write_brief(actor: User, session_id: int, brief: Brief) -> FittingSession:
    session = for_change(actor, session_id)
    if not 1 <= brief.most_clubs <= 20:
        raise BadInput("Clubs carried must be 1 to 20.", field="most_clubs")
    rows = [
        Job(shop_id=session.shop_id, session=session, position=position, **asdict(job))
        for position, job in enumerate(brief.jobs)
    ]
    for position, row in enumerate(rows):
        _checked(row, position)
    Job.objects.of(session.shop_id).filter(session=session).delete()
    Job.objects.bulk_create(rows)
    for name in ("miss", "firmness", "most_clubs", "budget", "pain", "notes", "shape"):
        setattr(session, name, getattr(brief, name))
    session.courses, session.lies, session.likes = _courses(brief), list(brief.lies), dict(brief.likes)
    session.briefed_at = timezone.now()
    session.save()
    keep_windows(session, actor)
    record(session.shop_id, actor, "brief.write", f"session:{session.pk}", jobs=[job.name for job in rows])
    announce(session, "brief")
    return session


def _courses(brief: Brief) -> list[dict[str, Any]]:
    """The courses by name, each once; shares as they were given."""
    names = [course.name.strip() for course in brief.courses]
    if len(names) > MOST_COURSES:
        raise BadInput(f"{MOST_COURSES} courses are the most a brief holds.", field="courses")
    for index, name in enumerate(names):
        if not name or name in names[:index]:
            raise BadInput("Give each course a name of its own.", field=f"courses.{index}.name")
    for index, course in enumerate(brief.courses):
        if not 0 <= course.share <= 100:
            raise BadInput("The share of the rounds runs from 0 to 100.", field=f"courses.{index}.share")
    return [{**asdict(course), "name": name} for course, name in zip(brief.courses, names, strict=True)]


def _checked(row: Job, position: int) -> None:
    try:
        core_job(row)
    except BadInput as error:
        raise BadInput(str(error), field=f"jobs.{position}.{error.field}") from error


@action("fit")
def choose_gap(
    actor: User,
    session_id: int,
    *,
    rule: str,
    clubs_to_place: int,
    hole_above_id: int | None,
    like_for_id: int | None = None,
) -> FittingSession:
    """Which rule the holes are drawn by, which space is in work and how many clubs go into it."""
    session = for_change(actor, session_id)
    if not 1 <= clubs_to_place <= MOST_CLUBS:
        raise BadInput(f"Plan 1 to {MOST_CLUBS} clubs for one hole.", field="clubs_to_place")
    session.rule = GapRule(rule).value
    session.clubs_to_place = clubs_to_place
    session.hole_above = None if hole_above_id is None else own_club(session, hole_above_id)
    session.like_for = None if like_for_id is None else own_club(session, like_for_id)
    session.save()
    keep_windows(session, actor)
    record(session.shop_id, actor, "gap.choose", f"session:{session.pk}", rule=rule, clubs=clubs_to_place)
    announce(session, "gap")
    return session


@action("fit")
def want_shot(actor: User, session_id: int, *, intent: str) -> FittingSession:
    """What the player means to hit from now on: stock shots say what a club does, others what it can be made to."""
    session = for_change(actor, session_id)
    session.intent = Intent(intent).value
    session.save()
    record(session.shop_id, actor, "session.intent", f"session:{session.pk}", intent=session.intent)
    announce(session, "intent")
    return session


@dataclass
class RuleChoice:
    """The short end's rule, the steps wanted in metres (both ends of a step, or neither for the usual one), and the
    turf that roll-out is reckoned on, empty for the monitor's own."""

    short_rule: str
    turf: str = ""
    long_least_m: float | None = None
    long_most_m: float | None = None
    short_least_m: float | None = None
    short_most_m: float | None = None


@action("fit")
def choose_rules(actor: User, session_id: int, wanted: RuleChoice) -> FittingSession:
    """How the holes are drawn beyond the long end's rule."""
    session = for_change(actor, session_id)
    if GapRule(wanted.short_rule) is GapRule.ROLL_OUT:
        raise BadInput("Irons and wedges are played into greens: roll-out covers nothing there.", field="short_rule")
    for end in ("long", "short"):
        least, most = getattr(wanted, f"{end}_least_m"), getattr(wanted, f"{end}_most_m")
        if (least is None) != (most is None):
            raise BadInput("Give both ends of the step, or neither for the usual one.", field=f"{end}_least_m")
        if least is not None and not LEAST_STEP_M <= least <= most <= MOST_STEP_M:
            raise BadInput("A step runs from its smaller to its larger end, 3 to 40 yd.", field=f"{end}_least_m")
    for name, value in asdict(wanted).items():
        setattr(session, name, value)
    session.save()
    keep_windows(session, actor)
    record(session.shop_id, actor, "rules.choose", f"session:{session.pk}", **asdict(wanted))
    announce(session, "gap")
    return session


def own_club(session: FittingSession, build_id: int) -> Build:
    build = Build.objects.one(session.shop_id, build_id)
    if build.session_id != session.pk or not build.is_own:
        raise BadInput("That club is not in this bag.", field="build")
    return build


@action("fit")
def set_target(
    actor: User, session_id: int, *, slot: int, quantity: str, low: float | None, high: float | None
) -> FittingSession:
    """Overrule a proposed target; with neither end given the proposal is in force again."""
    session = for_change(actor, session_id)
    if quantity not in READINGS:
        raise BadInput("That is not something a target can be set for.", field="quantity")
    if low is not None and high is not None and low >= high:
        raise BadInput("The window is the wrong way round: its lower end must be the smaller.", field="low")
    TargetOverride.objects.create(
        shop_id=session.shop_id,
        session=session,
        slot=slot,
        quantity=quantity,
        low=low,
        high=high,
        cleared=low is None and high is None,
        by=actor,
    )
    keep_windows(session, actor)
    record(
        session.shop_id, actor, "target.set", f"session:{session.pk}", slot=slot, quantity=quantity, low=low, high=high
    )
    announce(session, "target")
    return session
