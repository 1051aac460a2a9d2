"""Sessions in a list."""

from __future__ import annotations

from django.db.models import Count, Q, QuerySet

from ..models import FittingSession


def for_lines(sessions: QuerySet[FittingSession]) -> QuerySet[FittingSession]:
    """Sessions with what their lines are made of: a handful of queries for all of them."""
    return (
        sessions.select_related("customer", "bay", "fitter", "shop")
        .prefetch_related("recommendations__builds", "recommendations__dropped")
        .annotate(shot_count=Count("shots", filter=Q(shots__run__imported__undone_at=None)))
    )
