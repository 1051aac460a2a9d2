"""The interview as it is shown."""

from __future__ import annotations

from typing import cast

from hemicycle_core.brief import CommonJob, common_jobs

from ...actions.brief import Course, JobFields
from ...domain.session import JudgedSession
from ...models import Job
from ..schemas.brief import BriefOut
from ..schemas.words import Firmness, JobKind, Liking, Miss, ShapeWord


def present_brief(judged: JudgedSession) -> BriefOut:
    session = judged.rows.session
    return BriefOut(
        miss=Miss(session.miss),
        shape=cast(ShapeWord, session.shape),
        courses=[Course(**course) for course in session.courses],
        lies=list(session.lies),
        likes={kind: Liking(liking) for kind, liking in session.likes.items()},
        firmness=Firmness(session.firmness),
        most_clubs=session.most_clubs,
        budget=None if session.budget is None else str(session.budget),
        pain=session.pain,
        notes=session.notes,
        done=session.briefed_at is not None,
        common=[present_common(each) for each in common_jobs(judged.bag.clubs, judged.bag.layout)],
        jobs=[present_job(job) for job in judged.rows.jobs],
    )


def present_job(job: Job) -> JobFields:
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
    )


def present_common(common: CommonJob) -> JobFields:
    job = common.job
    return JobFields(
        name=job.name,
        kind=job.kind,
        distance_m=job.distance_m,
        carry_over_m=job.carry_over_m,
        width_m=job.width_m,
        depth_m=job.depth_m,
        firmness=job.firmness,
        uses_per_round=job.uses_per_round,
        lie=common.lie,
    )
