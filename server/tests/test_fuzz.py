"""Whatever is sent, the server answers with a sentence and never with a fault: requests made from the API document,
signed in and out, and the cases that once broke it."""

import json
import os

import pytest
import schemathesis
from django.conf import settings
from django.db import transaction
from django.test import Client
from fitting.models import Build
from hypothesis import HealthCheck, Phase, given
from hypothesis import settings as of_hypothesis
from live.actions import make_key

JSON = "application/json"
EXAMPLES = int(os.environ.get("HEMICYCLE_FUZZ", "12"))  # an address and method; 50,000 in all for the long trial
pytestmark = pytest.mark.django_db
QUIET = {
    "deadline": None,
    "suppress_health_check": list(HealthCheck),
    "phases": [Phase.explicit, Phase.generate],
    "derandomize": True,
    "database": None,
}


SCHEMA = schemathesis.openapi.from_path(settings.ROOT / "docs" / "formats" / "openapi.yaml")
OPERATIONS = [result.ok() for result in SCHEMA.get_all_operations()]
BY_TAG: dict[str, list] = {}
LEFT_OUT = {"stand_in_start", "sign_out"}  # starts a process; ends the sign-in that the rest is asked with
for each in OPERATIONS:
    if each.definition.raw.get("operationId") not in LEFT_OUT:
        BY_TAG.setdefault(each.tags[0], []).append(each)


@pytest.fixture(scope="session")
def asked():
    """How many requests were sent; told at the end of a long trial."""
    counted = {"n": 0}
    yield counted
    if EXAMPLES > 100:
        print(f"\n{counted['n']:,} requests")


def names_of(session):
    """Ids that exist, so that a request gets past the address."""
    build = Build.objects.get(session=session, letter="A")
    return {
        "session_id": session.pk, "build_id": build.pk, "bay_id": session.bay_id, "customer_id": session.customer_id,
        "shot_id": 1, "plan_id": 1, "import_id": 1, "key_id": 1, "user_id": session.fitter_id,
    }  # fmt: skip


def send(client, operation, case, ids, key):
    path = operation.path
    for name, value in {**(case.path_parameters or {}), **ids}.items():
        path = path.replace("{" + name + "}", str(value))
    query = {name: value for name, value in (case.query or {}).items() if value is not None}
    body = b"" if not isinstance(case.body, dict | list | str | int | float) else json.dumps(case.body).encode()
    headers = {"authorization": f"Bearer {key}"} if "/feed/" in path else {}
    method = operation.method.upper()
    return client.generic(method, path, data=body, content_type=JSON, headers=headers, query_params=query)


@pytest.mark.parametrize("tag", sorted(BY_TAG))
@pytest.mark.parametrize("signed_in", [True, False], ids=["in", "out"])
def test_no_request_of_the_document_is_a_fault(tag, signed_in, session, shop, owner, asked):
    ids, key = names_of(session), make_key(session.bay, label="trial")

    def run(operation):
        client = Client(raise_request_exception=True)
        if signed_in:
            client.force_login(owner)

        @given(case=operation.as_strategy())
        @of_hypothesis(max_examples=EXAMPLES if signed_in else max(2, EXAMPLES // 6), **QUIET)
        def sent(case):
            asked["n"] += 1
            answer = send(client, operation, case, ids, key)
            assert answer.status_code < 500, (operation.label, answer.content[:300])
            if answer.status_code >= 400:
                assert answer["Content-Type"] == "application/problem+json", operation.label

        with transaction.atomic():  # each finds everything there
            sent()
            transaction.set_rollback(True)

    for operation in BY_TAG[tag]:
        run(operation)


@pytest.mark.parametrize("query", ["customers?search=a%00b", "sessions?page=%00", "trail?person=%00"])
def test_a_broken_character_in_the_address_is_refused_in_words(owner, query):
    client = Client()
    client.force_login(owner)
    answer = client.get(f"/api/{query}")
    assert (answer.status_code, answer["Content-Type"]) == (400, "application/problem+json")


WRONG = [
    ("post", "customers", {"name": "x" * 81}, "name"),
    ("post", "customers", {"name": "A", "email": f"{'x' * 250}@a.example"}, "email"),
    ("post", "customers", {"name": "A", "email": "nothing"}, "email"),
    ("post", "customers", {"name": "A", "birth_year": -1}, "birth_year"),
    ("post", "customers", {"name": "A\x00"}, "name"),
    ("post", "sessions/{session}/clubs", {"name": "x" * 41}, "name"),
    ("post", "sessions/{session}/clubs", {"name": "7i", "head_type": "spoon"}, "head_type"),
    ("post", "sessions/{session}/clubs", {"name": "7i", "head_type": "\ud800"}, None),
    ("put", "shots/{shot}/aside", {"aside": True, "reason": "x" * 81}, "aside_reason"),
    ("put", "sessions/{session}/targets", {"slot": -1, "quantity": "carry_m"}, "slot"),
    ("put", "sessions/{session}/targets", {"slot": 32768, "quantity": "carry_m"}, "slot"),
    ("patch", "sessions/{session}/brief", {"now": {"budget": 1e308}}, "now.budget"),
    ("patch", "sessions/{session}/brief", {"now": {"budget": "12345678901.00"}}, "now.budget"),
    ("patch", "sessions/{session}/brief", {"now": {"lies": ["\ud83d"]}}, None),
    ("patch", "sessions/{session}/brief", {"now": {"likes": {"hybrid": "adored"}}}, "now.likes.hybrid"),
    ("put", "sessions/{session}/gap", {"rule": "even_steps", "clubs_to_place": 10**30}, "clubs_to_place"),
    ("put", "me/units", {"far": "furlong"}, "far"),
    ("put", "me/keys", {"off": False, "changed": {"x\x00": "y"}}, "keys"),
]


@pytest.mark.parametrize(("method", "url", "body", "field"), WRONG)
def test_what_once_broke_it_is_refused_with_the_field_at_fault(desk, session, client, method, url, body, field):
    key = make_key(session.bay, label="test")
    shots = {"shots": [{"id": "one", "readings": {"carry_m": 150.0}}]}
    client.post("/api/feed/shots", shots, content_type=JSON, headers={"Authorization": f"Bearer {key}"})
    shot = session.shots.get().pk
    answer = getattr(desk, method)(
        f"/api/{url.format(session=session.pk, shot=shot)}", json.dumps(body), content_type=JSON
    )
    assert (answer.status_code, answer.json()["field"]) == (400, field), answer.content
    assert len(answer.json()["title"]) > 10


@pytest.mark.parametrize(
    ("body", "kind"),
    [
        (b"[" * 3000 + b"]" * 3000, JSON),
        (b'{"name":' * 500 + b"1" + b"}" * 500, JSON),
        (b'{"name": "A", "birth_year": ' + b"9" * 5000 + b"}", JSON),
        (b'{"name": "A", "birth_year": 1e999}', JSON),
        (b'{"name": NaN}', JSON),
        (b"[" + b"[]," * 500_000 + b"[]]", JSON),
        (b'{"name": "\xff\xfe"}', JSON),
        (b'"text"', JSON),
        (b"--x\r\nContent-Disposition: form-data; name=", "multipart/form-data; boundary=x"),
        (b"--", "multipart/form-data"),
        (b"name=A", "application/x-www-form-urlencoded"),
    ],
    ids=["brackets", "braces", "digits", "infinite", "nan", "many", "bytes", "text", "multipart", "boundary", "form"],
)
def test_bodies_that_are_none_are_refused_in_words(fitter, body, kind):
    for enforced in (False, True):
        client = Client(enforce_csrf_checks=enforced)
        client.force_login(fitter)
        for url in ("/api/customers", "/api/sign-in"):
            answer = client.post(url, body, content_type=kind)
            assert answer.status_code in (400, 403, 413, 415), (url, answer.status_code)
            assert answer["Content-Type"] == "application/problem+json"
