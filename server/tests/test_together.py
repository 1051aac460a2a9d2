"""Two people, two tabs, one session: nothing of what either did is lost, and an old picture is told."""

import pytest
from conftest import both, tab
from fitting.actions import builds, shots
from fitting.actions.brief import write_brief
from fitting.models import Build, FittingSession, Shot
from hemicycle_core.shots import Strike
from live.actions import make_key

JSON = "application/json"


@pytest.fixture
def url(session):
    return f"/api/sessions/{session.pk}"


@pytest.fixture
def one(fitter):
    return tab(fitter, "one")


@pytest.fixture
def two(owner):
    return tab(owner, "two")


@pytest.mark.django_db(transaction=True)
def test_two_acts_on_one_shot_and_on_one_club_at_once_both_stay(fitter, owner, session, client):
    key = make_key(session.bay, label="test")
    for number in range(12):
        body = {"shots": [{"id": f"n{number}", "readings": {"carry_m": 160.0}}]}
        client.post("/api/feed/shots", body, content_type=JSON, headers={"Authorization": f"Bearer {key}"})
        shot = Shot.objects.get(number=number + 1)
        both(
            lambda shot=shot: shots.call_strike(fitter, shot.pk, strike=Strike.TOE),
            lambda shot=shot: shots.set_aside(owner, shot.pk, aside=True, reason="called"),
        )
        shot.refresh_from_db()
        assert (shot.strike, shot.aside, shot.aside_reason) == ("toe", True, "called")
    club = Build.objects.get(name="5W")
    for carry in (181.0, 182.0, 183.0, 184.0):
        both(
            lambda carry=carry: builds.change_club(fitter, club.pk, typed_carry_m=carry),
            lambda carry=carry: builds.change_club(owner, club.pk, fixed=carry % 2 == 0),
        )
        club.refresh_from_db()
        assert (club.typed_carry_m, club.fixed) == (carry, carry % 2 == 0)


def test_only_the_fields_that_changed_are_written_and_a_clash_tells_both(one, two, url, session):
    assert one("PATCH", f"{url}/brief", {"now": {"notes": "Sore wrist"}, "was": {"notes": ""}}).status_code == 200
    body = {"now": {"budget": "300.00"}, "was": {"budget": None}}
    assert two("PATCH", f"{url}/brief", body).status_code == 200
    session.refresh_from_db()
    assert (session.notes, session.budget) == ("Sore wrist", 300)
    late = {"now": {"notes": "New shoes", "miss": "left"}, "was": {"notes": "", "miss": "none"}}
    answer = two("PATCH", f"{url}/brief", late)
    assert answer.status_code == 409
    assert answer.json()["type"] == "hemicycle:clash"
    assert answer.json()["theirs"] == {"notes": "Sore wrist"}
    session.refresh_from_db()
    assert (session.notes, session.miss) == ("Sore wrist", "none")
    # Keeping one's own is the same change from what stands there now; writing what stands there is no clash.
    kept = {**late, "was": {"notes": "Sore wrist", "miss": "none"}}
    assert two("PATCH", f"{url}/brief", kept).status_code == 200
    assert two("PATCH", f"{url}/brief", kept).status_code == 200


def test_a_brief_as_it_was_read_is_no_clash_with_itself(one, url, fitter, session):
    job = {
        "name": "Par 3", "kind": "green", "distance_m": 159.1056, "carry_over_m": None, "width_m": 20.0,
        "depth_m": 18.288, "firmness": "firm", "uses_per_round": 0.3, "course": "", "lie": "",
    }  # fmt: skip
    first = {
        "jobs": [job], "budget": "350", "likes": {"hybrid": "liked"}, "lies": ["rough"],
        "courses": [{"name": "Home", "kind": "home", "firmness": "soft", "share": 33.3}],
    }  # fmt: skip
    read = one("PATCH", f"{url}/brief", {"now": first}).json()["brief"]
    again = {"now": {name: [] if name in ("jobs", "lies", "courses") else None for name in first}}
    again["now"]["likes"] = {}
    again["was"] = {name: read[name] for name in first}
    assert one("PATCH", f"{url}/brief", again).status_code == 200
    assert write_brief(fitter, session.pk, {"notes": "by hand"}).notes == "by hand"


def test_a_change_that_rests_on_an_old_picture_is_told_what_changed(one, two, url, session):
    seen = one.get(url).json()["revision"]
    club = Build.objects.get(name="5W")
    assert two("PUT", f"/api/builds/{club.pk}", {"typed_carry_m": 185.0}, since=seen).status_code == 200
    # Another field of the club, and another club, are no matter.
    assert one("PUT", f"/api/builds/{club.pk}", {"fixed": True}, since=seen).status_code == 200
    stale = one("PUT", f"/api/builds/{club.pk}", {"typed_carry_m": 183.0}, since=seen)
    assert stale.status_code == 409
    assert stale.json()["type"] == "hemicycle:stale"
    assert "owner changed a club." in stale.json()["title"]
    now = one.get(url).json()["revision"]
    assert one("PUT", f"/api/builds/{club.pk}", {"typed_carry_m": 183.0}, since=now).status_code == 200
    # One's own changes before it are in the picture: they wait in one line.
    assert one("PUT", f"/api/builds/{club.pk}", {"typed_carry_m": 184.0}, since=now).status_code == 200
    for what, body in {
        "targets": {"slot": 0, "quantity": "carry_m", "low": 150, "high": 160},
        "gap": {"rule": "even_steps", "clubs_to_place": 1},
        "rules": {"short_rule": "carry_only"},
    }.items():
        seen = one.get(url).json()["revision"]
        assert two("PUT", f"{url}/{what}", body, since=seen).status_code == 200
        assert one("PUT", f"{url}/{what}", body, since=seen).status_code == 409, what


def test_nobody_agrees_on_what_they_have_not_seen(one, two, url, session):
    seen = one.get(url).json()["revision"]
    decision = {"builds": [], "reasons": "Nothing beats it.", "lost": []}
    assert two("PUT", f"{url}/in-hand", {"build": Build.objects.get(name="5i").pk}, since=seen).status_code == 200
    assert two("PATCH", f"{url}/brief", {"now": {"miss": "left"}}, since=seen).status_code == 200
    stale = one("POST", f"{url}/handover", decision, since=seen)
    assert (stale.status_code, stale.json()["type"]) == (409, "hemicycle:stale")
    assert FittingSession.objects.get().agreed_at is None
    now = one.get(url).json()["revision"]
    assert one("POST", f"{url}/handover", decision, since=now).status_code == 201


def test_a_change_that_is_sent_again_is_done_once(one, url, session):
    change = "tab-one-00000000.77"
    before = Build.objects.count()
    assert one("POST", f"{url}/clubs", {"name": "7i"}, change=change).status_code == 201
    again = one("POST", f"{url}/clubs", {"name": "7i"}, change=change)
    assert (again.status_code, again.json()["type"]) == (409, "hemicycle:done")
    assert Build.objects.count() == before + 1
    # One that was refused was not done: it may be tried again under its name.
    other = "tab-one-00000000.78"
    assert one("POST", f"{url}/clubs", {"name": "7i"}, change=other).status_code == 400
    assert one("POST", f"{url}/clubs", {"name": "8i"}, change=other).status_code == 201
