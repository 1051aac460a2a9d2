"""A person who is erased is gone from every row, stays gone, and nothing can be added to them."""

import ast
import dataclasses
import re
import types
import typing
from pathlib import Path
from uuid import uuid4

import pytest
from conftest import sole_test
from customers.actions import edit_customer
from customers.models import Customer
from django.apps import apps
from django.db import DatabaseError, connection, models, transaction
from django.utils import timezone
from fitting.actions import builds, plans, sessions, shots, sole_setup, soles
from fitting.actions.hand_out import course_by, note_of_course, open_course
from fitting.actions.player import Closed, open_screen, screen_by, write_down
from fitting.api.schemas.answers import KEPT as ANSWERS
from fitting.models import AgreedAnswers, FittingSession, JudgedAnswer, PlayerScreen, Shot, Trial
from handover.erasing import PICTURE, erase_again
from handover.kept import ALSO, DOCUMENTS, ERASED, FRAMEWORK, TABLES, TRAIL, WORDS
from hemicycle_core.judge.feel import Feel, Felt
from hemicycle_core.protocols.sole.ask import AfterShots
from hemicycle_core.said import Said
from rack.models import Head

JSON = "application/json"
SERVER = Path(__file__).parents[1]


def plain_columns(model):
    return {
        each.name
        for each in model._meta.concrete_fields
        if not each.is_relation and not isinstance(each, models.AutoField)
    }


def test_every_column_has_one_class():
    ours = {each._meta.label: each for each in apps.get_models() if each._meta.app_label not in FRAMEWORK}
    assert set(TABLES) == set(ours)
    for label, kept in TABLES.items():
        listed = [*kept.personal, *kept.figures.split(), *kept.shops.split()]
        listed += [column for table, column in DOCUMENTS if table == label]
        assert sorted(listed) == sorted(plain_columns(ours[label])), label


def _words_of(hint, found):
    """Whether words stand in a type; those of the dataclasses it is made of are put down by name."""
    if hint is Said:
        return True
    if dataclasses.is_dataclass(hint):
        if hint.__name__ not in found:
            found[hint.__name__] = set()
            hints = typing.get_type_hints(hint)
            named = {each.name for each in dataclasses.fields(hint) if _words_of(hints[each.name], found)}
            found[hint.__name__] = named
        return False
    if typing.get_origin(hint) is typing.Literal:
        return False
    args = [each for each in typing.get_args(hint) if each is not types.NoneType]
    return True in {_words_of(each, found) for each in args} if args else hint in (str, typing.Any)


def test_every_word_of_what_was_agreed_has_one_class():
    found: dict[str, set[str]] = {}
    for hint in (*ANSWERS.values(), *PICTURE.values()):
        _words_of(hint, found)
    listed = {name: f"{each.personal} {each.figures} {each.shops}".split() for name, each in WORDS.items()}
    also = {name for name, _ in ALSO}
    assert {name: sorted(words) for name, words in found.items() if words} == {
        name: sorted(words) for name, words in listed.items() if words or name not in also
    }


def test_every_word_of_the_trail_has_one_class():
    """By what is written down in the code, a call of `note` or `record` at a time."""
    named = set()
    for path in SERVER.rglob("*.py"):
        if "tests" in path.parts or "migrations" in path.parts:
            continue
        for call in ast.walk(ast.parse(path.read_text())):
            if isinstance(call, ast.Call) and isinstance(call.func, ast.Name) and call.func.id in {"note", "record"}:
                named |= {each.arg for each in call.keywords if each.arg}
    listed = f"{TRAIL.personal} {TRAIL.figures} {TRAIL.shops}".split()
    assert len(listed) == len(set(listed))
    assert named - {"of_session", "of_customer", "revision"} <= set(listed)


@pytest.fixture
def known(desk, fitter, session):
    """A visit with Ada's name wherever words go, agreed, and an open one with codes that open a page."""
    edit_customer(
        fitter, session.customer_id, name="Ada Field", hand="right", birth_year=1970, email="ada@field.example",
        notes="Ada came with a friend",
    )  # fmt: skip
    for visit in (session, sessions.open_session(fitter, customer_id=session.customer_id, bay_id=session.bay_id)):
        _write(fitter, desk, visit)
    reasons = {"builds": [], "reasons": "Ada likes hers.", "lost": [{"letter": "A", "name": "4H", "why": "Ada: no."}]}
    assert desk.post(f"/api/sessions/{session.pk}/handover", reasons, content_type=JSON).status_code == 201
    return session


def _write(fitter, desk, visit):
    job = {
        "name": "Ada's par three", "kind": "green", "distance_m": 150, "carry_over_m": None, "width_m": 20,
        "depth_m": 20, "firmness": "medium", "green_ft": 9, "uses_per_round": 1, "course": "Ada's Links", "lie": "",
    }  # fmt: skip
    brief = {
        "notes": "Ada has a sore wrist",
        "pain": True,
        "courses": [{"name": "Ada's Links", "firmness": "firm", "kind": "home", "sand": "", "share": 1.0}],
        "lies": ["Ada's bare tee"],
        "jobs": [job],
    }
    answer = desk.patch(f"/api/sessions/{visit.pk}/brief", {"now": brief}, content_type=JSON)
    assert answer.status_code == 200, answer.content
    own = builds.add_club(fitter, visit.pk, name="Ada's 7i", head_type="iron", typed_carry_m=140)
    builds.change_club(
        fitter, own.pk, own_shaft="Ada's shaft", grip="Ada's grip", stamping="ADA", known_from="Ada said"
    )
    plans.keep_plan(fitter, visit.pk, plans.PlanChoice("Ada's plan", [own.pk]))
    sessions.wait_for(fitter, visit.pk, name="Ada's driver")
    text = "player,club,carry_m\nAda Field,Ada's 7i,131\nAda Field,Ada's 7i,133\n"
    file = {"file_name": "ada-field.csv", "text": text}
    answer = desk.post(f"/api/sessions/{visit.pk}/import", file, content_type=JSON)
    assert answer.status_code == 201, answer.content
    shots.set_aside(fitter, Shot.objects.filter(session=visit).first().pk, aside=True, reason="Ada sneezed")
    write_down(fitter, visit.pk, own.pk, Feel({Felt.FEEL: 4}, word="Ada: soft"))
    test = sole_setup.set_up(fitter, visit.pk, sole_test(Head.objects.filter(label__startswith="58")))
    soles.say_of(fitter, test.pk, code=0, place="pitch", said=AfterShots(sound="Ada: dull"))
    soles.reveal(fitter, test.pk, early=True)
    note_of_course(
        fitter, test.pk, played_on=timezone.localdate(), code=0, place="", word="Ada liked it", first=True
    )  # fmt: skip
    open_course(fitter, test.pk)
    open_screen(fitter, visit.pk)


def everything_kept():
    """Every row of every table but the sign-ins, as text."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tablename <> 'django_session'")
        rows = []
        for (table,) in cursor.fetchall():
            cursor.execute(f"SELECT to_jsonb(t)::text FROM {table} t")
            rows += [f"{table}: {row}" for (row,) in cursor.fetchall()]
    return rows


def of_ada():
    return [row for row in everything_kept() if re.search(r"\bada\b|sore", row, re.IGNORECASE)]


def numbers(value):
    """Figures, but for those inside a sentence."""
    if isinstance(value, dict) and "say" in value:
        return None
    if isinstance(value, dict):
        return {key: numbers(each) for key, each in value.items()}
    if isinstance(value, list):
        return [numbers(each) for each in value if not isinstance(each, str | dict) or "say" not in each]
    return value if isinstance(value, int | float) else None


def test_erasing_takes_every_word_of_the_person_and_leaves_the_figures(known, desk, boss):
    url = f"/api/customers/{known.customer_id}"
    before = AgreedAnswers.objects.get().answers
    tables = {row.partition(":")[0] for row in of_ada()}
    assert JudgedAnswer.objects.count() == 2  # packed, so that no search finds her in them
    assert len(tables) >= 12 and {"shop_auditentry", "fitting_agreedanswers", "handover_recommendation"} <= tables
    assert desk.delete(url).status_code == 403
    erased = boss.delete(url).json()
    assert (erased["name"], erased["erased"], len(erased["visits"])) == (ERASED, True, 2)
    assert of_ada() == [] and set(JudgedAnswer.objects.values_list("answer", flat=True)) == {b""}
    after = AgreedAnswers.objects.get().answers
    assert numbers(after["session"]["bag"]) == numbers(before["session"]["bag"])
    assert numbers(after["bench"]) == numbers(before["bench"])
    page = desk.get(f"/api/sessions/{known.pk}/handover").json()
    assert (page["customer"], page["agreed"]["reasons"]) == (ERASED, "Erased with the customer.")
    assert desk.get(f"/api/sessions/{known.pk}").json()["status"] == "erased"
    for place in ("", "/bench", "/plans", "/shortlist", "/handover"):
        for visit in FittingSession.objects.all():
            assert desk.get(f"/api/sessions/{visit.pk}{place}").status_code == 200, place
    trail = boss.get("/api/trail", {"customer": known.customer_id}).json()["results"]
    assert trail[0]["sentence"] == "owner erased a customer."
    # What was worked out is worked out again.
    kept = [row for row in everything_kept() if not row.startswith("fitting_judgedanswer")]
    once = sorted(row for row in kept if "revision" not in row)
    assert boss.delete(url).status_code == 200  # again, and nothing more goes
    assert set(once) <= set(everything_kept())


def test_what_is_erased_is_closed(known, desk, boss, fitter):
    code = PlayerScreen.objects.get(session=known.customer.sessions.get(agreed_at=None)).code
    course = Trial.objects.get(session__agreed_at=None).course
    boss.delete(f"/api/customers/{known.customer_id}")
    for opens, old in ((screen_by, code), (course_by, course)):
        with pytest.raises(Closed):
            opens(old)
    open_ = FittingSession.objects.get(agreed_at=None)
    assert desk.get(f"/api/sessions/{open_.pk}").json()["status"] == "erased"
    words = {"now": {"notes": "Ada again"}}
    assert desk.patch(f"/api/sessions/{open_.pk}/brief", words, content_type=JSON).json()["type"] == "hemicycle:erased"
    reasons = {"builds": [], "reasons": "Ada likes hers.", "lost": []}
    late = desk.post(f"/api/sessions/{open_.pk}/handover", reasons, content_type=JSON)
    correction = {**reasons, "correction": "Ada called"}
    corrected = desk.post(f"/api/sessions/{known.pk}/handover", correction, content_type=JSON)
    assert [answer.json()["type"] for answer in (late, corrected)] == ["hemicycle:erased"] * 2
    assert of_ada() == []


def test_a_backup_from_before_does_not_bring_anybody_back(
    known, tmp_path, monkeypatch, django_capture_on_commit_callbacks
):
    monkeypatch.setenv("HEMICYCLE_ERASED", str(tmp_path / "erased"))
    uid = str(Customer.objects.get().uid)
    assert erase_again({str(uuid4())}) == 0
    with django_capture_on_commit_callbacks(execute=True):
        assert erase_again({uid}) == 1
    assert (tmp_path / "erased").read_text() == f"{uid}\n"
    assert (of_ada(), erase_again({uid})) == ([], 0)


AGREED = (
    "UPDATE fitting_fittingsession SET notes = '', pain = false, miss = 'left'",
    "UPDATE fitting_agreedanswers SET answers = '{}'",
    "UPDATE fitting_shotimport SET text = ''",
    "UPDATE fitting_coursenote SET word = ''",
    "UPDATE fitting_build SET name = 'x'",
    "UPDATE handover_recommendation SET reasons = 'other'",
    "DELETE FROM handover_recommendation",
    "UPDATE shop_auditentry SET detail = '{}'",
)


@pytest.mark.parametrize("how", ["not erased", "erased", "somebody else is"])
def test_nothing_but_erasing_changes_what_was_agreed(known, how):
    if how == "erased":
        Customer.objects.update(erased_at=timezone.now())
    for statement in AGREED:
        with pytest.raises(DatabaseError), transaction.atomic(), connection.cursor() as cursor:
            if how == "somebody else is":
                cursor.execute("SELECT set_config('hemicycle.erasing', 'on', true)")
            cursor.execute(statement)
