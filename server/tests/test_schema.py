"""What must not drift apart: models and migrations, the API and its document, the demo and the rules."""

import re
from importlib import import_module
from io import StringIO
from pathlib import Path

import pytest
from django.apps import apps
from django.core.management import call_command
from django.db import connection
from django.test.utils import CaptureQueriesContext
from fitting.api import answers
from fitting.domain import versions
from fitting.domain.session import load
from fitting.models import FittingSession
from hemicycle_core.judge import Kind
from hemicycle_core.thresholds import Thresholds
from shop.models import Shop

TABLE = re.compile(r'(?:FROM|JOIN) "(\w+)"')
OPENAPI = Path(__file__).resolve().parents[2] / "docs" / "formats" / "openapi.yaml"


@pytest.mark.django_db
def test_no_migration_is_missing():
    call_command("makemigrations", "--check", "--dry-run", verbosity=0)


def test_the_api_document_is_not_stale():
    out = StringIO()
    call_command("spectacular", "--fail-on-warn", stdout=out)
    assert out.getvalue() == OPENAPI.read_text(), "Run: manage.py spectacular --file docs/formats/openapi.yaml"


@pytest.mark.django_db
def test_a_threshold_that_is_no_more_is_forgotten_where_it_was_set(session):
    Shop.objects.update(thresholds={"stop_loss": 0.02, "sure": 0.85})
    FittingSession.objects.update(thresholds={"stop_loss": 0.02})
    import_module("fitting.migrations.0009_stop_gain").forget(apps, None)
    assert Shop.objects.get(pk=session.shop_id).thresholds == {"sure": 0.85}
    assert load(FittingSession.objects.get(pk=session.pk)).thresholds == Thresholds()


@pytest.mark.django_db
def test_the_demo_shop_loads_once_and_shows_every_state(monkeypatch):
    monkeypatch.setenv("HEMICYCLE_DEMO_PASSWORD", "only for this test")
    call_command("demo")
    call_command("demo")
    assert Shop.objects.count() == 1
    states = sorted((s.agreed_at is not None, s.shots.exists()) for s in FittingSession.objects.all())
    assert states == [(False, False), *[(False, True)] * 3, *[(True, True)] * 4]
    ends = {s.customer.name: s.end for s in FittingSession.objects.exclude(end="whole")}
    assert ends == {"Yusuf Tarrant": "short", "Noor Haverkamp": "short"}
    both = load(FittingSession.objects.get(customer__name="Bram Oseke"))
    assert {each.head_type for each in both.facts.candidates} == {"hybrid", "wedge"}
    middle = load(FittingSession.objects.get(customer__name="Ines Duarte"))
    assert {verdict.kind for verdict in middle.decision.verdicts} >= {Kind.FILLS_NOT_SETTLED, Kind.ONE_HEAD}
    for each in FittingSession.objects.select_related("customer", "bay", "fitter", "shop"):
        _read_what_the_version_counts(each)


def _read_what_the_version_counts(session: FittingSession) -> None:
    """Whatever an answer is made from is in the question of which versions it rests on."""
    with CaptureQueriesContext(connection) as asked:
        ready = load(session)
        for part in ("session", *answers.PARTS):
            answers._made(ready, part)
    tables = {table for query in asked.captured_queries for table in TABLE.findall(query["sql"])}
    assert tables <= set(TABLE.findall(versions._question())), session.customer.name
