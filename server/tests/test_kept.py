"""What is kept from before hangs on all that goes in: every column that may change is changed, and what is kept is held
against what is worked out afresh."""

import json
import sys
from collections.abc import Iterator
from datetime import date, datetime, timedelta
from decimal import Decimal

import pytest
from conftest import strike
from django.core.serializers.json import DjangoJSONEncoder
from django.db import models, transaction
from fitting.actions import builds
from fitting.api import answers
from fitting.domain.session import load
from fitting.models import Build, Feel, FittingSession, Job, JudgedAnswer, Run, Shot, TargetOverride
from hemicycle_core import kept
from hemicycle_core.answers.session import ANSWERS

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


def answered(session) -> dict[str, str]:
    """All that is answered of a session, from what is kept of it where it is."""
    asked = {
        part: answers.answered(answers.versioned(session.shop_id, session.pk), part) for part in ("session", "bench")
    }
    return {part: json.dumps(said, cls=DjangoJSONEncoder, sort_keys=True) for part, said in asked.items()}


def afresh(session) -> dict[str, str]:
    kept.forget()
    JudgedAnswer.objects.all().delete()
    return answered(session)


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
    before, tried, moved = answered(hit), 0, set()
    for row, column, value in changes(rows):
        with transaction.atomic():
            type(row)._default_manager.filter(pk=row.pk).update(**{column: value})
            try:
                now = answered(hit)
                # What changed was made anew; what did not may have been forgotten.
                fresh = afresh(hit) if now == before else now
            except (ValueError, KeyError, AssertionError, TypeError):
                now = fresh = {}  # no value that this column has by any action
            assert now == fresh, f"{type(row).__name__}.{column}"
            tried += 1
            if now and now != before:
                moved.add(column)
            transaction.set_rollback(True)
    assert tried > 150
    # The three that once were forgotten, and some that never were.
    assert {"stock_swing", "liking", "intent", "distance_m", "wish", "aside"} <= moved


def test_what_is_equal_is_kept(hit, monkeypatch):
    """The same rows read anew are decided on once, also where the answers that stand on it are gone."""
    made = []
    module = sys.modules["hemicycle_core.answers.decided"]  # the package has a function of this name
    decide = module.decide_session
    monkeypatch.setattr(module, "decide_session", lambda **given: made.append(1) or decide(**given))
    for _ in range(3):
        assert load(FittingSession.objects.get(pk=hit.pk)).decision
        ANSWERS.clear()
    assert len(made) == 1
