"""Writing down what the interview found."""

from __future__ import annotations

from dataclasses import asdict, dataclass, field, fields
from decimal import Decimal
from typing import Any, Literal

from django.utils import timezone
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import JobKind, Miss
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.judge import Liking
from shop.audit import action, record
from shop.models import User

from ..domain.rows import core_job
from ..models import FittingSession, Job
from .changes import announce, for_change
from .windows import keep_windows

MOST_COURSES = 6


@dataclass
class JobFields:
    """A shot the player meets; see hemicycle_core.brief.Job. course: where, empty for everywhere."""

    name: str
    kind: JobKind
    distance_m: float
    carry_over_m: float | None
    width_m: float
    depth_m: float
    firmness: Firmness
    uses_per_round: float
    course: str = ""
    lie: str = ""


@dataclass
class Course:
    """Where they play. kind: home, trip or season; share: of their rounds, in 100."""

    name: str
    kind: Literal["home", "trip", "season"]
    firmness: Firmness
    share: float


@dataclass
class Brief:
    """What the interview found, as it is sent, kept and shown: every field but the jobs is a column of the session by
    its name. jobs: in the order of the form. likes: by head type."""

    miss: Miss
    firmness: Firmness
    jobs: list[JobFields]
    most_clubs: int = 14
    budget: Decimal | None = None
    pain: bool = False
    notes: str = ""
    shape: Literal["any", "straight", "draw", "fade"] = "any"
    courses: list[Course] = field(default_factory=list)
    lies: list[str] = field(default_factory=list)
    likes: dict[str, Liking] = field(default_factory=dict)


COLUMNS = [each.name for each in fields(Brief) if each.name != "jobs"]


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
    checked = {"courses": _courses(brief), "likes": _likes(brief)}
    for name in COLUMNS:
        setattr(session, name, checked.get(name, getattr(brief, name)))
    session.briefed_at = timezone.now()
    session.save()
    keep_windows(session, actor)
    record(session.shop_id, actor, "brief.write", f"session:{session.pk}", jobs=[job.name for job in rows])
    announce(session, "brief")
    return session


def _likes(brief: Brief) -> dict[str, str]:
    unknown = next((kind for kind in brief.likes if kind not in set(HeadType)), None)
    if unknown is not None:
        raise BadInput(f"“{unknown}” is no kind of head.", field="likes")
    return {kind: Liking(liking).value for kind, liking in brief.likes.items()}


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
