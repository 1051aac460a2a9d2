"""What is kept from before hangs on all that goes in: every column that may change is changed, and what is kept is held
against what is worked out afresh."""

from collections.abc import Iterator
from datetime import date, datetime, timedelta
from decimal import Decimal

import numpy as np
import pytest
from conftest import strike
from django.db import models, transaction
from fitting.actions import builds
from fitting.api.present import bay as present_bay
from fitting.domain import bag as bag_domain
from fitting.domain import cache
from fitting.domain import session as session_domain
from fitting.domain.session import load
from fitting.models import Build, Feel, FittingSession, Job, Run, Shot, TargetOverride

# What a column of words may be set to, where not any word is one.
WORDS = {
    "head_type": "iron", "stock_swing": "half", "liking": "vetoed", "wear": "worn", "finish": "raw", "made": "cast",
    "intent": "low", "protocol": "shaped", "lie": "rough", "length": "half", "struck_ball": "hard",
    "surface": "fairway", "strike": "thin", "check_club": "?",
    "miss": "left", "fear": "whole", "firmness": "firm", "shape": "draw",
    "end": "short", "school": "from_set", "delivery": "digger", "rule": "carry_only", "short_rule": "carry_only",
    "turf": "firm", "wish": "compare", "flight_wish": "steeper", "gap_order": "top", "day": "fast", "kind": "tee",
    "quantity": "landing_deg", "hand": "left", "role": "owner", "word": "odd", "mode": "full",
}  # fmt: skip
JSON = {
    "likes": {"hybrid": "disliked"}, "courses": [{"name": "Links", "share": 1.0, "kind": "links"}], "lies": ["rough"],
    "void": ["carry_m"], "sources": {"carry_m": "modelled"}, "calm": {"carry_m": 150.0}, "assumed": [], "work": [],
    "uses": {"full": 2.0}, "complaints": ["too_high"], "known_flight": {"peak_m": 22.0}, "thresholds": {"sure": 0.9},
    "noise": {"carry_m": {"shot": 3.0, "day": 3.0}}, "columns": ["carry_m"], "positions": [], "marks": {"trust": 5},
    "wedge_wishes": ["fewer"], "felt": {},
}  # fmt: skip
NEVER = ("id", "shop", "session", "customer", "run", "build", "imported", "feed_id", "number")


# Another value of a column by its kind.
OTHER = (
    (models.BooleanField, lambda now: not now),
    (models.DecimalField, lambda now: (now or Decimal(0)) + 7),
    (models.FloatField, lambda now: (now or 0.0) + 1),
    (models.IntegerField, lambda now: (now or 0) + 1),
    (models.DateTimeField, lambda now: (now or datetime(2026, 1, 1).astimezone()) + timedelta(days=1)),
    (models.DateField, lambda now: (now or date(2026, 1, 1)) + timedelta(days=400)),
)


def other(field: models.Field, value: object) -> object:
    """Another value that a column may have."""
    known = WORDS.get(field.name, JSON.get(field.name))
    if known is not None:
        return known
    if isinstance(field, models.CharField | models.TextField):
        return f"{value}x"[-(field.max_length or 9) :][-9:]
    return next((make(value) for kind, make in OTHER if isinstance(field, kind)), value)


def changes(rows: list[models.Model]) -> Iterator[tuple[models.Model, str, object]]:
    for row in rows:
        for field in row._meta.concrete_fields:
            now = getattr(row, field.attname)
            if field.name in NEVER or field.is_relation:
                continue
            then = other(field, now)
            if then != now:
                yield row, field.attname, then


CACHES = ((session_domain, "remembered"), (bag_domain, "remembered"), (present_bay, "remembered"))


def said(judged, *, judgement: bool = True) -> dict[str, str]:
    """All that is kept of a session, in words and figures. judgement: it too, which takes longest."""
    with np.printoptions(threshold=1_000_000):
        found = {
            "lines": repr(judged.lines),
            "anchor": repr(judged.bag.anchored),
            "questions": repr(present_bay.questions(judged)),
        }
        if judgement:
            made = judged.decision
            found["judgement"] = repr((made.verdicts, made.judgement.comparisons, made.choice, made.bag.worth.lines))
        return found


def afresh(monkeypatch, session: FittingSession, *, judgement: bool) -> dict[str, str]:
    with monkeypatch.context() as patch:
        for module, name in CACHES:
            patch.setattr(module, name, lambda _cache, _key, make: make())
        return said(load(FittingSession.objects.get(pk=session.pk)), judgement=judgement)


@pytest.fixture
def hit(session, fitter):
    """A session with own clubs and two builds hit, jobs, a target overruled and something felt."""
    builds.add_club(fitter, session.pk, name="54", typed_carry_m=85)
    for name, carry in (("5i", 162), ("5W", 196)):
        build = Build.objects.get(session=session, name=name)
        Build.objects.filter(pk=build.pk).update(letter="Z" if name == "5i" else "Y")
        strike(session, "Z" if name == "5i" else "Y", carry, carry + 9, n=4)
        Build.objects.filter(pk=build.pk).update(letter="")
    strike(session, "A", 179, 188)
    strike(session, "A", 131, 140, n=1)  # to be asked about
    Job.objects.create(
        shop=session.shop, session=session, position=0, name="Par three", kind="green", distance_m=165, depth_m=24
    )
    about = {"shop": session.shop, "session": session}
    TargetOverride.objects.create(**about, slot=0, quantity="peak_m", low=20, high=40, by=fitter)
    Feel.objects.create(shop=session.shop, build=Build.objects.get(letter="A"), shots=3, trust=4)
    session.refresh_from_db()
    return session


@pytest.mark.slow
def test_every_column_that_may_change_changes_what_is_kept_or_nothing(monkeypatch, hit):
    a = Build.objects.select_related("head", "shaft").get(letter="A")
    shot = Shot.objects.filter(run__build=a)[0]
    rows: list[models.Model] = [
        hit, a, Build.objects.get(session=hit, name="5i"), Build.objects.get(session=hit, name="54°"), a.head, a.shaft,
        shot, Run.objects.get(pk=shot.run_id), *Job.objects.filter(session=hit),
        *TargetOverride.objects.filter(session=hit), *Feel.objects.filter(build=a), hit.customer, hit.bay, hit.shop,
    ]  # fmt: skip
    before, tried, moved = said(load(hit)), 0, set()
    for row, column, value in changes(rows):
        with transaction.atomic():
            type(row)._default_manager.filter(pk=row.pk).update(**{column: value})
            try:
                kept = said(load(FittingSession.objects.get(pk=hit.pk)))
                # A judgement that changed was made anew; one that did not may have been forgotten.
                fresh = afresh(monkeypatch, hit, judgement=kept["judgement"] == before["judgement"])
            except (ValueError, KeyError, AssertionError):
                kept = fresh = {}  # no value that this column has by any action
            assert {part: kept[part] for part in fresh} == fresh, f"{type(row).__name__}.{column}"
            tried += 1
            if kept and kept != before:
                moved.add(column)
            transaction.set_rollback(True)
    assert tried > 150
    # The three that once were forgotten, and some that never were.
    assert {"stock_swing", "liking", "intent", "distance_m", "wish", "aside"} <= moved


def test_what_is_equal_is_kept(hit):
    """The same rows read twice make one key: a screen that opens works nothing out again."""
    made = []
    store = cache.new_cache()

    def once():
        made.append(1)
        return "made"

    for _ in range(3):
        judged = load(FittingSession.objects.get(pk=hit.pk))
        cache.remembered(store, cache.key_of(judged._given()), once)
    assert len(made) == 1
