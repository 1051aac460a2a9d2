"""The interview as it is shown."""

from __future__ import annotations

from hemicycle_core.brief import CommonJob, common_jobs

from ...actions.brief import COLUMNS, Course, JobFields
from ...domain.session import JudgedSession
from ...models import Job
from ..schemas.brief import BriefOut
from ..schemas.words import Firmness, JobKind, Liking, Miss


def present_brief(judged: JudgedSession) -> BriefOut:
    session = judged.rows.session
    columns = {name: getattr(session, name) for name in COLUMNS}
    typed = {
        "miss": Miss(session.miss),
        "firmness": Firmness(session.firmness),
        "courses": [Course(**course) for course in session.courses],
        "likes": {kind: Liking(liking) for kind, liking in session.likes.items()},
    }
    return BriefOut(
        **{**columns, **typed},
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
