"""What lists of sessions are made of."""

from __future__ import annotations

from django.db.models import Count, OuterRef, QuerySet, Subquery
from django.db.models.functions import Coalesce

from ..models import Build, FittingSession, Shot


def for_lines(sessions: QuerySet[FittingSession]) -> QuerySet[FittingSession]:
    """Sessions with what their lines are made of: a handful of queries for all of them. Shots are counted of those
    alone that are on the page."""
    mine = Shot.objects.filter(session=OuterRef("pk"), run__imported__undone_at=None).order_by()
    counted = mine.values("session").annotate(many=Count("pk")).values("many")
    there = Build.objects.filter(session=OuterRef("pk"), archived=False, coded=False).order_by()

    def many(builds: QuerySet[Build]) -> Coalesce:
        return Coalesce(Subquery(builds.values("session").annotate(many=Count("pk")).values("many")), 0)

    return (
        sessions.select_related("customer", "bay", "fitter", "shop")
        .prefetch_related("recommendations__builds", "recommendations__dropped")
        .annotate(
            shot_count=Coalesce(Subquery(counted), 0),
            own_count=many(there.filter(letter="")),
            stand_count=many(there.exclude(letter="")),
        )
    )
