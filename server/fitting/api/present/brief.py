"""The interview as it is shown."""

from __future__ import annotations

from hemicycle_core.bag import BagEnd
from hemicycle_core.brief import CommonJob, JobKind, common_jobs
from hemicycle_core.brief.common import longest, short_jobs
from hemicycle_core.wedges.words import WISH_LEADS

from ...actions.brief import brief_of
from ...domain.session import JudgedSession
from ..schemas.brief import BriefOut, CommonJobOut, LongestOut


def present_brief(judged: JudgedSession) -> BriefOut:
    session = judged.rows.session
    found = brief_of(session, judged.rows.jobs)
    return BriefOut(
        **vars(found),
        wish_leads={each: WISH_LEADS[each] for each in found.wedge_wishes},
        delivered=judged.ends.delivered,
        makers=sorted({head.maker for head in judged.rows.heads if head.maker} | set(found.maker_likes)),
        shop_stroke_price=judged.facts.shop_thresholds.stroke_price,
        shop_round_shots=list(judged.facts.shop_thresholds.round_shots),
        done=session.briefed_at is not None,
        common=[present_common(each) for each in _common(judged)],
        longest=[
            LongestOut(kind, club.name, club.total_m)
            for kind in JobKind
            if (club := longest(judged.bag.clubs, kind)) is not None
        ],
    )


def _common(judged: JudgedSession) -> list[CommonJob]:
    """Jobs to start from, of the end that is worked at, or of both."""
    end, bag = judged.facts.brief.end, judged.bag
    short = short_jobs(bag.clubs) if end != BagEnd.LONG else []
    return [*(common_jobs(bag.clubs, judged.work.layout) if end != BagEnd.SHORT else []), *short]


def present_common(common: CommonJob) -> CommonJobOut:
    job = common.job
    return CommonJobOut(
        called=common.said,
        name=job.name,
        kind=job.kind,
        distance_m=job.distance_m,
        carry_over_m=job.carry_over_m,
        width_m=job.width_m,
        depth_m=job.depth_m,
        firmness=job.firmness,
        green_ft=job.green_ft,
        uses_per_round=job.uses_per_round,
        lie=common.lie,
        wind_mps=job.wind_mps,
        wind_from_deg=job.wind_from_deg,
    )
