"""Tests as they are kept: what stood in seven tables before is read from two, agreed ones too; what is kept of one is
checked by its test; PostgreSQL holds to what was agreed."""

import json
from importlib import import_module
from zipfile import ZipFile

import pytest
from conftest import sole_test
from demo.management.commands.demo import keep_before
from django.db import IntegrityError, connection, transaction
from django.db.migrations.recorder import MigrationRecorder
from fitting.actions import sole_setup, stops
from fitting.models import Build, FittingSession, Trial, TrialEvent
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.protocols.blind import BlindPair
from hemicycle_core.protocols.sole.kept import Blind, CodeKept, Control, CourseKept, HandingKept, SoleKept, TurfSaid
from hemicycle_core.protocols.stop.ask import BallSeen, StopGreen
from hemicycle_core.runs import Ball
from rack.models import Head

OVER = import_module("fitting.migrations.0041_trials").OVER
AS_IT_WAS = """
CREATE SCHEMA before;
CREATE TABLE before.fitting_soletest (
    id bigint, shop_id bigint, session_id bigint, at timestamptz, setter_id bigint, blind text, loft_deg float8,
    wedge_id bigint, places jsonb, returns jsonb, short boolean, seed int, control int, control_is text, twice jsonb,
    guess int, confidence text, revealed_at timestamptz, stopped_at timestamptz, chosen int, hand_out text,
    hand_out_device text, hand_out_opened_at timestamptz, course text, course_until timestamptz);
CREATE TABLE before.fitting_solecode (
    test_id bigint, number int, build_id bigint, head_id bigint, shaft_id bigint, bend_deg float8, club_id bigint,
    role text, taped boolean);
CREATE TABLE before.fitting_solehanding (
    id bigint, shop_id bigint, session_id bigint, test_id bigint, at timestamptz, code int, place text, visit int,
    duel boolean, said int, best int, turf text, groove int, sound text, left_m float8, void boolean);
CREATE TABLE before.fitting_coursenote (
    id bigint, shop_id bigint, session_id bigint, test_id bigint, at timestamptz, played_on date, code int, place text,
    word text, first boolean, by_player boolean);
CREATE TABLE before.fitting_blindgrooves (
    id bigint, shop_id bigint, session_id bigint, at timestamptz, setter_id bigint, old_id bigint, fresh_id bigint,
    one_id bigint, two_id bigint, one_is_old boolean, guess_id bigint, confidence text, revealed_at timestamptz,
    stopped_at timestamptz);
CREATE TABLE before.fitting_stoptest (
    id bigint, session_id bigint, shop_id bigint, target_m float8, firmness text, green_ft float8, slope_percent float8,
    wind_mps float8, wind_from_deg float8);
CREATE TABLE before.fitting_stopseen (
    id bigint, shop_id bigint, session_id bigint, build_id bigint, at timestamptz, ball text, target_m float8,
    landed_m float8, stopped_m float8, stopped_side_m float8, landed_side_m float8, balls int, aside boolean);
SET LOCAL search_path TO before, public;
"""
ROWS = """
INSERT INTO fitting_soletest VALUES (41, {shop}, {s}, now(), {user}, 'double', 58, {b}, '["pitch", "sand"]', '["sand"]',
    true, 7, 1, 'own', '[0, 2]', 1, 'fairly', now(), NULL, 1, 'HHHHHHHH', 'dev', now(), 'CCCCCCCC', now());
INSERT INTO fitting_solecode VALUES (41, 1, {b}, NULL, NULL, 0, {b}, 'less', true),
    (41, 0, {b}, {head}, NULL, -1.5, NULL, '', false), (41, 2, {b}, {head}, NULL, -1.5, NULL, '', false);
INSERT INTO fitting_solehanding VALUES
    (91, {shop}, {s}, 41, now(), 0, 'pitch', 0, false, NULL, NULL, '', NULL, '', NULL, false),
    (92, {shop}, {s}, 41, now(), 1, 'pitch', 1, true, -1, 0, 'dug', 3, 'click', 1.25, true);
INSERT INTO fitting_coursenote VALUES (3, {shop}, {s}, 41, now(), '2026-11-02', 1, 'sand', 'Dug in', true, true);
INSERT INTO fitting_blindgrooves VALUES (41, {shop}, {s}, now(), {user}, 1, 2, 3, 4, false, 4, 'guess', now(), NULL);
INSERT INTO fitting_stoptest VALUES (1, {s}, {shop}, 20, 'firm', 10.5, -1, 2, 90);
INSERT INTO fitting_stopseen VALUES (5, {shop}, {s}, {b}, now(), 'range', 20, 18, 21.5, -0.5, 0.25, 3, true);
"""


@pytest.mark.django_db(transaction=True)
def test_older_tables_are_backed_up_before_they_are_brought_up_to_date(session, tmp_path):
    assert keep_before(tmp_path) is None and not list(tmp_path.iterdir())
    last = MigrationRecorder.Migration.objects.filter(app="fitting").latest("name")
    last.delete()
    try:
        made = keep_before(tmp_path)
    finally:
        last.save()
    with ZipFile(made) as packed:
        kept = json.loads(packed.read("manifest.json"))
    assert kept["tables"]["fitting_build"]["rows"] == Build.objects.count()


@pytest.mark.django_db
def test_what_stood_in_seven_tables_comes_over_as_it_was(session, fitter):
    build = Build.objects.get(letter="A")
    rows = {"shop": session.shop_id, "s": session.pk, "user": fitter.pk, "b": build.pk, "head": build.head_id}
    with connection.cursor() as cursor:
        cursor.execute(AS_IT_WAS)
        cursor.execute(ROWS.format(**rows))
        cursor.execute(OVER)
        cursor.execute("SET LOCAL search_path TO public")
    sole, grooves, stop = (Trial.objects.get(test=test) for test in ("sole", "grooves", "stop"))
    assert sole.known == SoleKept(
        58.0, ("pitch", "sand"),
        (CodeKept(build.pk, build.head_id, bend_deg=-1.5), CodeKept(build.pk, club=build.pk, role="less", taped=True),
         CodeKept(build.pk, build.head_id, bend_deg=-1.5)),
        7, Blind.DOUBLE, build.pk, ("sand",), True, 1, Control.OWN, (0, 2), 1, "fairly", 1,
    )  # fmt: skip
    assert (sole.pk, sole.hand_out, sole.course, sole.setter) == (41, "HHHHHHHH", "CCCCCCCC", fitter)
    first, second, noted = sole.events.all()
    assert first.known == HandingKept(0, "pitch") and not first.void
    assert second.known == HandingKept(1, "pitch", 1, True, -1, 0, TurfSaid.DUG, 3, "click", 1.25) and second.void
    assert (first.pk, second.words) == (91, {"sound": "click"})  # the trail takes them back by these numbers
    assert noted.known == CourseKept("2026-11-02", 1, "sand", "Dug in", True, True)
    assert grooves.known == BlindPair(1, 2, 3, 4, one_is_old=False, guess=4, confidence="guess") and not grooves.is_on
    assert stop.known == StopGreen(20.0, Firmness.FIRM, 10.5, -1.0, 2.0, 90.0)
    seen = stop.events.get()
    assert seen.known == BallSeen(build.pk, 20.0, 18.0, 21.5, -0.5, 0.25, 3, Ball.RANGE) and seen.void
    # What is kept from now on has numbers of its own.
    assert stop.add("seen", seen.known).pk > noted.pk


def test_what_no_test_of_ours_wrote_is_refused_and_not_guessed(session):
    test = Trial(shop_id=session.shop_id, session=session, test="stop", version=2, body={"target_m": 20})
    with pytest.raises(BadInput, match="newer version"):
        _ = test.known
    test.version, test.body = 1, {"target_m": 20, "hole": 3}
    with pytest.raises(BadInput, match="cannot be read"):
        _ = test.known
    test.body = {"target_m": 500}
    with pytest.raises(BadInput, match="10 to 60 yd"):
        _ = test.known


def test_of_an_agreed_visit_neither_a_test_nor_what_was_said_in_it_changes(session, fitter):
    heads = Head.objects.filter(shop=session.shop, label__startswith="58").order_by("pk")
    test = sole_setup.set_up(fitter, session.pk, sole_test(heads))
    stops.set_green(fitter, session.pk, target_m=20, firmness=Firmness.FIRM, green_ft=10, slope_percent=0)
    event = test.add("handing", HandingKept(0, "pitch"))
    FittingSession.objects.filter(pk=session.pk).update(agreed_at="2026-11-02T10:00Z")
    changes = (
        lambda: test.put(short=True),
        lambda: test.add("handing", HandingKept(1, "pitch", said=1)),
        lambda: TrialEvent.objects.filter(pk=event.pk).update(void=True),
        lambda: Trial.objects.filter(test="stop").delete(),
    )
    for change in changes:
        with pytest.raises(IntegrityError, match="agreed"), transaction.atomic():
            change()
