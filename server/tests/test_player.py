"""The player's screen: it carries what its mode allows and nothing else, and asks before the numbers."""

import json
from datetime import timedelta

import pytest
from conftest import strike
from django.test import Client
from django.utils import timezone
from fitting.models import Build, Feel, FittingSession, PlayerScreen
from shop.models import AuditEntry

JSON = "application/json"
MARKS = {"looks": 4, "sound": 3, "feel": 5, "trust": 4}


class Fitting:
    """A session at its desk and the screen beside it."""

    def __init__(self, desk, session):
        self.desk, self.url = desk, f"/api/sessions/{session.pk}"
        self.player = Client()
        self.code = desk.post(f"{self.url}/player").json()["player"]["code"]

    def show(self, mode, **more):
        answer = self.desk.put(f"{self.url}/player", {"mode": mode, **more}, content_type=JSON)
        assert answer.status_code == 200, answer.content

    def seen(self):
        answer = self.player.get(f"/api/player/{self.code}")
        assert answer.status_code == 200, answer.content
        return answer.json()

    def says(self, build, **said):
        return self.player.post(f"/api/player/{self.code}", {"build": build.pk, **said}, content_type=JSON)

    def build(self, letter="A"):
        return next(each for each in self.desk.get(self.url).json()["builds"] if each["letter"] == letter)


@pytest.fixture
def fitting(desk, session):
    return Fitting(desk, session)


def figures(answer):
    """Every fraction in an answer: what a monitor reads is one, a count or a number of a row is not."""
    if isinstance(answer, dict):
        return [each for value in answer.values() for each in figures(value)]
    if isinstance(answer, list):
        return [each for value in answer for each in figures(value)]
    return [answer] if isinstance(answer, float) else []


def test_no_figure_leaves_the_server_before_its_mode_allows_it(fitting, session):
    strike(session, "A", 181.3, 188.7)
    for mode in ("blind", "feel"):
        fitting.show(mode)
        seen = fitting.seen()
        assert (seen["club"], seen["shots"]) == ("A", 6)
        assert (figures(seen), seen["flight"], seen["readings"], seen["builds"]) == ([], None, {}, [])
        name = Build.objects.get(letter="A").name
        assert name not in json.dumps(seen)  # a name says a loft
    fitting.show("simple")
    simple = fitting.seen()
    assert simple["flight"]["carry_m"] == pytest.approx((181.3 + 1.5) * 0.9144)
    assert len(simple["flight"]["landed"]) == 6 and simple["flight"]["window"]["low"] > 100
    assert (simple["readings"], simple["builds"]) == ({}, [])
    fitting.show("full")
    full = fitting.seen()
    assert full["readings"]["landing_deg"] == 46 and full["builds"][0]["averages"]["carry_m"] > 160
    assert not {"attack_deg", "path_deg", "face_deg"} & full["readings"].keys()


def test_feel_is_asked_after_five_shots_or_when_a_build_is_put_down_and_never_twice_for_the_same(fitting, session):
    assert fitting.seen()["asks"] is None
    build = strike(session, "A", 181, 188, n=4)
    assert fitting.seen()["asks"] is None
    fitting.desk.put(
        f"{fitting.url}/in-hand", {"build": Build.objects.get(session=session, name="5i").pk}, content_type=JSON
    )
    assert fitting.seen()["asks"] == {"build": build.pk, "letter": "A"}
    for _ in range(2):  # sent twice by a screen that lost the answer
        assert fitting.says(build, **MARKS, word="soft").status_code == 201
    assert Feel.objects.count() == 1
    assert fitting.seen()["asks"] is None and fitting.build()["feel"] == {
        "marks": MARKS,
        "veto": False,
        "word": "soft",
        "words": "looks 4, sound 3, feel 5, trust 4; “soft”",
        "numbers": True,  # nobody turned the monitor's screen away
        "times": 1,
    }
    strike(session, "A", 181, 188, n=3)
    assert fitting.seen()["asks"]["letter"] == "A"  # hit again, it is asked again
    fitting.show("feel", away=True)
    fitting.says(build, trust=2)
    said = fitting.build()["feel"]
    assert (said["words"], said["numbers"], said["times"]) == ("trust 2", False, 2)
    trail = AuditEntry.objects.filter(action="player.felt").last()
    assert trail.actor is None and trail.detail == {"trust": 2}


def test_an_answer_after_numbers_were_shown_says_so(fitting, session):
    build = strike(session, "A", 181, 188)
    fitting.show("simple", away=True)
    fitting.show("feel")
    fitting.says(build, **MARKS)
    assert fitting.build()["feel"]["numbers"] is True


def test_a_veto_stands_beside_the_best_numbers_and_liking_alone_changes_no_figure(fitting, session):
    build = strike(session, "A", 179, 186)

    def verdict():
        return fitting.desk.get(fitting.url).json()["verdicts"][0]

    before = verdict()
    fitting.says(build, **MARKS)
    liked = verdict()
    assert liked == before
    fitting.desk.post(f"{fitting.url}/felt", {"build": build.pk, "trust": 1, "veto": True}, content_type=JSON)
    assert verdict()["kind"] == "vetoed"
    assert Feel.objects.get().by_player is False
    fitting.desk.put(f"/api/builds/{build.pk}", {"liking": "liked"}, content_type=JSON)
    assert verdict()["kind"] == "vetoed"


def test_a_code_opens_one_session_until_it_is_taken_back_run_out_or_replaced(fitting, session, stranger):
    def problem(code=fitting.code):
        answer = Client().get(f"/api/player/{code}")
        assert answer.status_code == 404
        return answer.json()["title"]

    assert Client().get(f"/api/player/{fitting.code.lower()}").status_code == 200
    assert "Look at it again" in problem("AAAAAA")
    others = Client()
    others.force_login(stranger)  # another shop cannot set it, and sees nothing more by being signed in
    assert others.put(f"{fitting.url}/player", {"mode": "full"}, content_type=JSON).status_code == 404
    assert others.get(f"/api/player/{fitting.code}").json() == fitting.seen()
    first = fitting.code
    fitting.code = fitting.desk.post(f"{fitting.url}/player").json()["player"]["code"]
    assert first != fitting.code and "Look at it again" in problem(first)
    assert b"<svg" in fitting.desk.get(f"{fitting.url}/player/qr").content
    PlayerScreen.objects.update(expires_at=timezone.now() - timedelta(minutes=1))
    assert "Ask the fitter for a new one" in problem(fitting.code)
    PlayerScreen.objects.update(expires_at=timezone.now() + timedelta(hours=1))
    assert fitting.desk.delete(f"{fitting.url}/player").json()["player"]["code"] == ""
    assert "Ask the fitter for a new one" in problem(fitting.code)
    assert fitting.says(Build.objects.get(letter="A"), trust=5).status_code == 404
    PlayerScreen.objects.update(revoked_at=None)
    FittingSession.objects.filter(pk=session.pk).update(agreed_at=timezone.now())
    assert "Ask the fitter for a new one" in problem(fitting.code)


def test_guessing_codes_is_refused_after_a_few_and_leaves_a_screen_that_is_open_alone(fitting, settings):
    settings.AXES_FAILURE_LIMIT = 3
    fitting.seen()
    guesser = Client()
    assert [guesser.get(f"/api/player/{guess}").status_code for guess in ("A", "B", "C", "D")][-1] == 429
    assert guesser.get(f"/api/player/{fitting.code}").status_code == 429
    assert "quarter of an hour" in guesser.get(f"/api/player/{fitting.code}").json()["title"]
    assert fitting.seen()["club"] == "A"


@pytest.mark.parametrize(
    ("body", "words"),
    [({"trust": 6}, "marked 1 to 5"), ({"word": "x" * 130}, "120 characters"), ({"build": 0}, "not part of this")],
)
def test_an_answer_that_makes_no_sense_is_refused_in_words(fitting, session, body, words):
    build = strike(session, "A", 181, 188)
    answer = fitting.player.post(f"/api/player/{fitting.code}", {"build": build.pk, **body}, content_type=JSON)
    assert answer.status_code == 400 and words in answer.json()["title"]
    assert not Feel.objects.exists()
