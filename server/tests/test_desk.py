"""The desk: who is in which bay with the next act, sessions found, customers by parts of their names."""

from datetime import timedelta

import pytest
from conftest import strike
from customers.actions import add_customer
from fitting.actions import sessions
from fitting.models import Build
from shop.models import Bay

JSON = "application/json"


def lines(desk, **asked):
    return [each["customer"]["name"] for each in desk.get("/api/sessions", asked).json()["results"]]


def test_each_bay_says_whom_it_serves_and_what_is_next_there(desk, session):
    def now():
        return {each["name"]: each for each in desk.get("/api/bays-now").json()}

    Bay.objects.create(shop=session.shop, name="Bay 2", closed_at=None)
    desk.put(
        f"/api/sessions/{session.pk}/in-hand",
        {"build": Build.objects.get(session=session, letter="A").pk},
        content_type=JSON,
    )
    assert now()["Bay 2"] == {"id": Bay.objects.get(name="Bay 2").pk, "name": "Bay 2", "session": None, "customer": "",
                              "next": None, "act": ""}  # fmt: skip
    here = now()["Bay 1"]
    assert (here["session"], here["customer"], here["next"]) == (session.pk, "Ada Field", "bay")
    assert here["act"] == desk.get(f"/api/sessions/{session.pk}").json()["next"] and "A" in here["act"]
    for _ in range(2):
        strike(session, "A", 180, 187)
    # Nobody looked at it since: where it goes on is told, and nothing is judged for that.
    assert (now()["Bay 1"]["next"], now()["Bay 1"]["act"]) == ("bay", "")
    desk.get(f"/api/sessions/{session.pk}")
    act = "Every carry is settled; which is best is not. About"
    assert now()["Bay 1"]["next"] == "bay" and now()["Bay 1"]["act"].startswith(act)
    (line,) = desk.get("/api/sessions").json()["results"]
    assert line["next"] == "bay"


def test_sessions_are_found_by_who_they_are_of_and_whether_they_go_on(desk, fitter, session):
    other = Bay.objects.create(shop=session.shop, name="Bay 2")
    zoe = add_customer(fitter, name="Zoë Łukasik-Brandt", hand="left")
    later = sessions.open_session(fitter, customer_id=zoe.pk, bay_id=other.pk)
    assert lines(desk) == ["Zoë Łukasik-Brandt", "Ada Field"]
    assert lines(desk, search="bran zoe") == lines(desk, search="LUKAS") == ["Zoë Łukasik-Brandt"]
    assert lines(desk, search="zoe field") == []
    assert lines(desk, bay=other.pk) == ["Zoë Łukasik-Brandt"] and lines(desk, fitter=fitter.pk + 1) == []
    body = {"builds": [], "reasons": "Kept.", "lost": []}
    assert desk.post(f"/api/sessions/{session.pk}/handover", body, content_type=JSON).status_code == 201
    assert lines(desk, state="open") == ["Zoë Łukasik-Brandt"] and lines(desk, state="done") == ["Ada Field"]
    by_id = {each["id"]: each["next"] for each in desk.get("/api/sessions").json()["results"]}
    assert by_id == {later.pk: "brief", session.pk: None}
    assert desk.get("/api/sessions", {"bay": "x"}).status_code == 400


def test_the_book_of_customers_has_everybody_with_the_last_visit(desk, fitter, session):
    for number in range(60):
        add_customer(fitter, name=f"Guest {number:02}", hand="right")
    page = desk.get("/api/customers/book").json()
    assert page["count"] == 61 and len(page["results"]) == 50
    first = page["results"][0]
    assert (first["name"], first["visits"], first["last_visit"]) == ("Ada Field", 1, str(session.held_on))
    assert page["results"][1]["last_visit"] is None
    assert len(desk.get("/api/customers/book", {"page": 2}).json()["results"]) == 11
    again = add_customer(fitter, name="Ada F.", hand="right")
    sessions.open_session(fitter, customer_id=again.pk, bay_id=session.bay_id, held_on=session.held_on + timedelta(3))
    desk.post(f"/api/customers/{session.customer_id}/merge", {"other": again.pk}, content_type=JSON)
    first = desk.get("/api/customers/book", {"search": "ada"}).json()["results"][0]
    assert (first["visits"], first["last_visit"]) == (2, str(session.held_on + timedelta(3)))
    assert [each["name"] for each in desk.get("/api/customers/book", {"search": "adà"}).json()["results"]] == [
        "Ada Field"
    ]


@pytest.mark.parametrize("typed", ["Ørst", "orsta"])
def test_a_name_is_found_with_and_without_its_accents(desk, fitter, typed):
    add_customer(fitter, name="Ingrid Ørsta", hand="right")
    found = desk.get("/api/customers", {"search": typed}).json()
    assert [each["name"] for each in found] == ["Ingrid Ørsta"]
