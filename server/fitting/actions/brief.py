"""Writing down what the interview found."""

from __future__ import annotations

import json
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import asdict, dataclass, is_dataclass, replace
from decimal import Decimal
from typing import Any

from common.columns import in_columns, put
from common.problems import Refused
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.facts import Brief, BriefJob
from hemicycle_core.facts.brief import MOST_JOBS, tidied
from hemicycle_core.facts.values import fields_of, names_of, value
from hemicycle_core.plain import read_as
from hemicycle_core.said import listed, say
from shop.audit import action
from shop.models import User

from ..models import FittingSession, Job
from .acts import Whole, changed_since, columns_of, is_whole, put_whole
from .changes import announce, for_change, note
from .windows import keep_windows


@dataclass(frozen=True)
class BriefFields(Brief):
    """What the interview found, as it is sent and shown: the brief with the jobs, in the order of the form."""

    jobs: Sequence[BriefJob] = value((), say("field-jobs"))


COLUMNS = names_of(Brief)
LABELS = {name: said.label for name, said in fields_of(BriefFields)}


class Clash(Refused):
    """A field was written by someone else meanwhile. detail: by field what stands there now."""

    def __init__(self, theirs: dict[str, Any]) -> None:
        named = listed(LABELS[name] for name in theirs)
        super().__init__(say("clash-of-the-brief", fields=named), kind="clash")
        self.detail = {"theirs": theirs}


def brief_of(session: FittingSession, jobs: Iterable[Job]) -> BriefFields:
    """What the interview found so far."""
    return BriefFields(**vars(session.brief), jobs=tuple(job.known for job in jobs))


def _plain(value: Any) -> Any:
    """As it travels, so that what was read can be held against what is."""
    return json.loads(json.dumps(asdict(value) if is_dataclass(value) else value, default=_written))  # type: ignore[arg-type]


def _written(value: Any) -> Any:
    if isinstance(value, Decimal):
        return f"{value.normalize():f}"
    return asdict(value) if is_dataclass(value) and not isinstance(value, type) else str(value)


def _no_clash(before: BriefFields, now: Mapping[str, Any], was: Mapping[str, Any]) -> None:
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
    """Write some fields of the brief. now: by name, of the types that BriefFields has. was: the same fields as the
    screen had them; one that someone else changed since, to something else, is a clash: nothing is written and both are
    told."""
    session = for_change(actor, session_id)
    before = brief_of(session, Job.objects.of(session.shop_id).filter(session=session))
    _no_clash(before, now, was or {})
    brief = tidied(replace(before, **now))
    columns = [name for name in COLUMNS if name in now]
    stood, jobs = columns_of(session, columns), _jobs(session)
    if "jobs" in now:
        _write_jobs(session, brief.jobs)
    saved = put(session, Brief, {name: getattr(brief, name) for name in columns})
    session.briefed_at = timezone.now()
    session.save(update_fields=["briefed_at", *saved])
    keep_windows(session, actor)
    rows = [*changed_since(session, stood), *put_whole(session, "jobs", "", jobs)]
    note(session, actor, "brief.write", f"session:{session.pk}", fields=sorted(now), rows=rows)
    announce(session, "brief")
    return session


def _jobs(session: FittingSession, _which: str = "") -> list[Any]:
    """The jobs as plain data."""
    return [_plain(job.known) for job in Job.objects.of(session.shop_id).filter(session=session)]


def _put_jobs(session: FittingSession, _actor: User, _which: str, jobs: list[Any]) -> None:
    _write_jobs(session, [read_as(BriefJob, job) for job in jobs])


is_whole("jobs", Whole(_jobs, _put_jobs))


def _write_jobs(session: FittingSession, jobs: Sequence[BriefJob]) -> None:
    if len(jobs) > MOST_JOBS:
        raise BadInput(say("act-jobs-most-brief-holds", most_jobs=MOST_JOBS), field="jobs")
    for position, job in enumerate(jobs):
        _check(job, position)
    rows = [
        Job(shop_id=session.shop_id, session=session, position=position, **in_columns(BriefJob, vars(job)))
        for position, job in enumerate(jobs)
    ]
    Job.objects.of(session.shop_id).filter(session=session).delete()
    Job.objects.bulk_create(rows)


def _check(job: BriefJob, position: int) -> None:
    try:
        job.played()
    except BadInput as error:
        raise BadInput(str(error), field=f"jobs.{position}.{error.field}") from error
