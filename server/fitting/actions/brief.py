"""Writing down what the interview found."""

from __future__ import annotations

import json
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import asdict, dataclass, field, fields, is_dataclass, replace
from decimal import Decimal
from typing import Any, Literal

from common.problems import Refused
from django.utils import timezone
from hemicycle_core.bag import BagEnd, HeadType
from hemicycle_core.brief import Fear, JobKind, Miss
from hemicycle_core.brief.jobs import WINDIEST_MPS
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.flight.landing import EVERYDAY_FT, FASTEST_FT, SLOWEST_FT
from hemicycle_core.judge import Liking
from hemicycle_core.thresholds import LEAST_STROKE, MOST_ROUND, MOST_STROKE, ROUND_BANDS
from hemicycle_core.wedges import School, WedgeWish
from shop.audit import action
from shop.models import User

from ..domain.rows import core_job
from ..models import FittingSession, Job
from .acts import Whole, changed_since, columns_of, is_whole, put_whole
from .changes import announce, for_change, note
from .windows import keep_windows

Sand = Literal["", "soft", "firm"]
DeliveryWord = Literal["", "steep", "middling", "shallow"]
MOST_COURSES = 6
MOST_SOLE = 60
MOST_NOTES = 20_000
MOST_JOBS = 24
MOST_MAKERS, MOST_MAKER = 12, 60


@dataclass
class JobFields:
    """A shot the player meets; see hemicycle_core.brief.Job. course: where, empty for everywhere. wind_from_deg: 0
    against the shot, 90 from the right, None from any side."""

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
    green_ft: float = EVERYDAY_FT
    wind_mps: float = 0.0
    wind_from_deg: float | None = 0.0


@dataclass
class Course:
    """Where they play. kind: home, trip or season; share: of their rounds, in 100; green_ft: how fast the greens are,
    the meter's reading in feet; sand: what their bunkers hold, empty for not said; wind_mps: that usually blows there,
    from any side."""

    name: str
    kind: Literal["home", "trip", "season"]
    firmness: Firmness
    share: float
    green_ft: float = EVERYDAY_FT
    sand: Sand = ""
    wind_mps: float = 0.0


@dataclass
class Brief:
    """What the interview found, as it is sent, kept and shown: every field but the jobs is a column of the session
    by its name. jobs: in the order of the form. likes: by head type. stroke_price: what a stroke a round is worth
    to this customer, None for what the shop says; round_shots: shots a round in each of `ROUND_BANDS`, empty for
    the shop's. fear_with: kinds of heads with which the miss is feared, empty for all; maker_likes: likes by maker."""

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
    fear: Fear = Fear.HALF
    end: BagEnd = BagEnd.WHOLE
    school: School = School.SHORTEST
    delivery: DeliveryWord = ""
    wedge_wishes: list[WedgeWish] = field(default_factory=list)
    sole: str = ""
    stroke_price: Decimal | None = None
    round_shots: list[float] = field(default_factory=list)
    fear_with: list[HeadType] = field(default_factory=list)
    maker_likes: dict[str, Liking] = field(default_factory=dict)


COLUMNS = [each.name for each in fields(Brief) if each.name != "jobs"]
LABELS = {
    "miss": "Miss to avoid",
    "fear": "What that miss costs",
    "firmness": "Usual ground",
    "jobs": "Jobs",
    "most_clubs": "Clubs carried",
    "budget": "Budget",
    "pain": "Pain or an injury",
    "notes": "Notes",
    "shape": "Shape wanted",
    "courses": "Where they play",
    "lies": "Lies",
    "likes": "Likes",
    "end": "End of the bag",
    "school": "Order of the wedges",
    "delivery": "Delivery",
    "wedge_wishes": "Wanted of the wedges",
    "sole": "Sole chosen",
    "stroke_price": "What a stroke is worth",
    "round_shots": "Shots a round",
    "fear_with": "With which clubs it is feared",
    "maker_likes": "Likes by maker",
}


class Clash(Refused):
    """A field was written by someone else meanwhile. detail: by field what stands there now."""

    def __init__(self, theirs: dict[str, Any]) -> None:
        named = ", ".join(LABELS[name] for name in theirs)
        super().__init__(f"Someone else wrote here meanwhile: {named}. Choose which is to stay.", kind="clash")
        self.detail = {"theirs": theirs}


def brief_of(session: FittingSession, jobs: Iterable[Job]) -> Brief:
    """What the interview found so far."""
    columns = {name: getattr(session, name) for name in COLUMNS}
    typed = {
        "miss": Miss(session.miss),
        "fear": Fear(session.fear),
        "firmness": Firmness(session.firmness),
        "end": BagEnd(session.end),
        "school": School(session.school),
        "wedge_wishes": [WedgeWish(each) for each in session.wedge_wishes],
        "courses": [Course(**course) for course in session.courses],
        "likes": {kind: Liking(liking) for kind, liking in session.likes.items()},
        "maker_likes": {maker: Liking(liking) for maker, liking in session.maker_likes.items()},
        "fear_with": [HeadType(kind) for kind in session.fear_with],
    }
    return Brief(**{**columns, **typed}, jobs=[job_fields(job) for job in jobs])


def job_fields(job: Job) -> JobFields:
    return JobFields(
        name=job.name,
        kind=JobKind(job.kind),
        distance_m=job.distance_m,
        carry_over_m=job.carry_over_m,
        width_m=job.width_m,
        depth_m=job.depth_m,
        firmness=Firmness(job.firmness),
        uses_per_round=job.uses_per_round,
        course=job.course,
        lie=job.lie,
        green_ft=job.green_ft,
        wind_mps=job.wind_mps,
        wind_from_deg=job.wind_from_deg,
    )


def _plain(value: Any) -> Any:
    """As it travels, so that what was read can be held against what is."""
    return json.loads(json.dumps(asdict(value) if is_dataclass(value) else value, default=_written))  # type: ignore[arg-type]


def _written(value: Any) -> Any:
    if isinstance(value, Decimal):
        return f"{value.normalize():f}"
    return asdict(value) if is_dataclass(value) and not isinstance(value, type) else str(value)


def _no_clash(before: Brief, now: Mapping[str, Any], was: Mapping[str, Any]) -> None:
    """Every field is as the screen had it, or already as it is wanted."""
    theirs = {}
    for name in now:
        stands = _plain(getattr(before, name))
        if name in was and stands not in (_plain(was[name]), _plain(now[name])):
            theirs[name] = stands
    if theirs:
        raise Clash(theirs)


@action("fit")
def write_brief(
    actor: User, session_id: int, now: Mapping[str, Any], *, was: Mapping[str, Any] | None = None
) -> FittingSession:
    """Write some fields of the brief. now: by name, of the types that Brief has. was: the same fields as the screen had
    them; one that someone else changed since, to something else, is a clash: nothing is written and both are told."""
    session = for_change(actor, session_id)
    before = brief_of(session, Job.objects.of(session.shop_id).filter(session=session))
    _no_clash(before, now, was or {})
    brief = replace(before, **now)
    if not 1 <= brief.most_clubs <= 20:
        raise BadInput("Clubs carried must be 1 to 20.", field="most_clubs")
    if brief.budget is not None and brief.budget < 0:
        raise BadInput("A budget is nought or more.", field="budget")
    if brief.stroke_price is not None and not LEAST_STROKE <= brief.stroke_price <= MOST_STROKE:
        raise BadInput(f"A stroke a round is worth {LEAST_STROKE:g} to {MOST_STROKE:g}.", field="stroke_price")
    _check_round(brief.round_shots)
    if len(brief.notes) > MOST_NOTES:
        raise BadInput(f"Notes: {MOST_NOTES:,} characters at most.", field="notes")
    if len(brief.sole) > MOST_SOLE:
        raise BadInput(f"The sole chosen: {MOST_SOLE} characters at most.", field="sole")
    columns = [name for name in COLUMNS if name in now]
    stood, jobs = columns_of(session, columns), _jobs(session)
    if "jobs" in now:
        _write_jobs(session, brief.jobs)
    wishes = list(dict.fromkeys(each.value for each in map(WedgeWish, brief.wedge_wishes)))
    checked = {
        "courses": _courses(brief),
        "likes": _likes(brief),
        "maker_likes": _maker_likes(brief),
        "wedge_wishes": wishes,
        "fear_with": [HeadType(kind).value for kind in brief.fear_with],
    }
    for name in columns:
        setattr(session, name, checked.get(name, getattr(brief, name)))
    session.briefed_at = timezone.now()
    session.save(update_fields=["briefed_at", *columns])
    keep_windows(session, actor)
    rows = [*changed_since(session, stood), *put_whole(session, "jobs", "", jobs)]
    note(session, actor, "brief.write", f"session:{session.pk}", fields=sorted(now), rows=rows)
    announce(session, "brief")
    return session


def _jobs(session: FittingSession, _which: str = "") -> list[Any]:
    """The jobs as plain data."""
    return [_plain(job_fields(job)) for job in Job.objects.of(session.shop_id).filter(session=session)]


def _put_jobs(session: FittingSession, _actor: User, _which: str, jobs: list[Any]) -> None:
    _write_jobs(session, [JobFields(**job) for job in jobs])


is_whole("jobs", Whole(_jobs, _put_jobs))


def _write_jobs(session: FittingSession, jobs: Sequence[JobFields]) -> None:
    if len(jobs) > MOST_JOBS:
        raise BadInput(f"{MOST_JOBS} jobs are the most a brief holds.", field="jobs")
    rows = [
        Job(shop_id=session.shop_id, session=session, position=position, **asdict(job))
        for position, job in enumerate(jobs)
    ]
    for position, row in enumerate(rows):
        _checked(row, position)
    Job.objects.of(session.shop_id).filter(session=session).delete()
    Job.objects.bulk_create(rows)


def _check_round(shots: Sequence[float]) -> None:
    if shots and len(shots) != len(ROUND_BANDS):
        raise BadInput(f"Give {len(ROUND_BANDS)} figures, from the shortest shots on, or none.", field="round_shots")
    if any(not 0 <= each <= MOST_ROUND for each in shots) or (shots and not any(shots)):
        raise BadInput(f"Shots a round: 0 to {MOST_ROUND} of each length.", field="round_shots")


def _likes(brief: Brief) -> dict[str, str]:
    unknown = next((kind for kind in brief.likes if kind not in set(HeadType)), None)
    if unknown is not None:
        raise BadInput(f"“{unknown}” is no kind of head.", field="likes")
    return {kind: Liking(liking).value for kind, liking in brief.likes.items()}


def _maker_likes(brief: Brief) -> dict[str, str]:
    """By maker, those of which something is said."""
    said = {maker.strip(): Liking(liking) for maker, liking in brief.maker_likes.items() if maker.strip()}
    if len(said) > MOST_MAKERS or any(len(maker) > MOST_MAKER for maker in said):
        raise BadInput(f"{MOST_MAKERS} makers are the most a brief holds.", field="maker_likes")
    return {maker: liking.value for maker, liking in said.items() if liking is not Liking.NEUTRAL}


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
        if not 0 <= course.wind_mps <= WINDIEST_MPS:
            raise BadInput("A wind of up to 45 mph can be played in.", field=f"courses.{index}.wind_mps")
        if not SLOWEST_FT <= course.green_ft <= FASTEST_FT:
            words = f"Greens read {SLOWEST_FT:g} to {FASTEST_FT:g} feet on the meter."
            raise BadInput(words, field=f"courses.{index}.green_ft")
    return [{**asdict(course), "name": name} for course, name in zip(brief.courses, names, strict=True)]


def _checked(row: Job, position: int) -> None:
    try:
        core_job(row)
    except BadInput as error:
        raise BadInput(str(error), field=f"jobs.{position}.{error.field}") from error
