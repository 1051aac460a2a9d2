"""The blind sole test through the API: staged, kept from every other answer, revealed, and taken to the course."""

import json
from dataclasses import replace

import pytest
from axes.utils import reset as reset_tries
from conftest import sole_test
from django.core.serializers.json import DjangoJSONEncoder
from django.test import Client
from django.utils import timezone
from fitting.actions import acts, builds, sole_setup, soles
from fitting.actions.shots import run_for, take_in
from fitting.api import answers
from fitting.domain.bundle import present_bundle, written_shots
from fitting.domain.session import load
from fitting.models import Build, FittingSession, Trial, TrialEvent
from hemicycle_core.formats.bundle import VALIDATOR
from hemicycle_core.protocols.sole.ask import WORDS, AfterShots
from live.actions import make_key
from rack.models import Head, Shaft
from shop.models import AuditEntry

JSON = "application/json"
LIKED = {"58 W": 2, "58 M": 1, "58 N": 0}


@pytest.fixture
def ask(desk):
    def do(method, url, body=None, status=200, client=desk):
        answer = client.generic(method, f"/api/{url}", data=json.dumps(body or {}), content_type=JSON)
        assert answer.status_code == status, answer.content
        return answer.json()

    return do


@pytest.fixture
def heads(session):
    return list(Head.objects.filter(shop=session.shop, label__startswith="58").order_by("pk"))


@pytest.fixture
def begun(ask, session, heads):
    """A test of three soles, the narrow one the control and handed under two codes."""
    body = {
        "loft_deg": 58, "clubs": [{"head": head.pk} for head in heads], "places": ["pitch", "fuller", "tight", "sand"],
        "control": 2, "control_is": "fresh", "repeat": 0,
    }  # fmt: skip
    return ask("POST", f"sessions/{session.pk}/trials/sole", body, 201)["soles"][0]


def truth(test):
    codes = Trial.objects.get(pk=test["id"]).known.codes
    return {number: LIKED[Head.objects.get(pk=code.head).label] for number, code in enumerate(codes)}


def hit(session, build, spin=6000.0):
    run = run_for(session, build)
    # No total: how far it ran was not read.
    rows = [{"carry_m": 30.0 + off, "launch_deg": 30.0, "spin_rpm": spin + 40 * off} for off in (-1, 0, 1.5)]
    take_in(session, run, rows)


def answered(ask, test, liking, until=None):
    """The test as one plays it who likes by `liking`, up to `until` handings."""
    while test["next"] is not None and test["done"] != until:
        coming, before = test["next"], (test["handings"] or [None])[-1]
        stage = ("place", "visit", "duel")
        together = before is not None and all(before[key] == coming[key] for key in stage)
        apart = liking[coming["code"]] - liking[before["code"]] if together else None
        said = None if apart is None else (apart > 0) - (apart < 0)
        body = {**coming, "said": said, "turf": "even" if coming["place"] == "sand" else "slid"}
        seen = ask("POST", f"trials/{test['id']}/said", body, 201)
        test = next(each for each in seen["soles"] if each["id"] == test["id"])
    return test


def test_a_staged_test_with_control_repeat_and_duel_ends_in_a_reveal_that_names_the_clubs(ask, session, begun):
    liking = truth(begun)
    assert (begun["done"], begun["blind"], begun["revealed"], len(begun["codes"])) == (0, "single", False, 4)
    first = ask("GET", f"sessions/{session.pk}")
    assert first["in_hand"] == begun["codes"][begun["next"]["code"]]["build"]
    assert (first["protocol"], first["lie"], first["length"]) == ("sole", "fairway", "half")
    # No code is a club of the bag or of the stand.
    assert not {each["build"] for each in begun["codes"]} & {each["id"] for each in first["builds"]}
    done = answered(ask, begun, liking)
    assert done["complete"] and done["unplayed"] == [] and done["minutes"] == 0
    places = [each["place"] for each in done["handings"] if not each["duel"]]
    assert [places.count(key) for key in ("pitch", "fuller", "tight", "sand")] == [4, 4, 3, 3]
    duel = {liking[each["code"]] for each in done["handings"] if each["duel"]}
    assert 2 in duel and len(duel) == 2
    # Before the reveal each code stands for itself, and what would tell two of them apart is not said.
    assert len(done["result"]["order"]) == 4 and done["result"]["repeats"] == "" and done["warnings"] == []
    wide = next(code for code, liked in liking.items() if liked == 2)
    control = next(code for code, liked in liking.items() if liked == 0)
    ask("PUT", f"trials/{done['id']}/guess", {"code": control, "confidence": "certain"})
    (told,) = ask("POST", f"trials/{done['id']}/reveal")["soles"]
    assert told["revealed"] and not told["on"] and told["next"] is None
    clubs = {each["code"]: each["club"] for each in told["codes"]}
    assert {code: club["name"].removeprefix("Gannock ") for code, club in clubs.items()} == {
        code: next(label for label, liked in LIKED.items() if liked == mine) for code, mine in liking.items()
    }
    assert clubs[control]["control"] and sum(club["same_as"] is not None for club in clubs.values()) == 1
    result = told["result"]
    assert len(result["order"]) == 3 and liking[result["order"][0]] == 2
    assert "Gannock 58 W" in result["sentences"][0] and "two codes" in result["repeats"]
    assert "may not have been blind" in result["blindness"] and result["belief"].startswith("Belief")
    # What fitter and player choose comes onto the stand, and is the sole of the most lofted wedge from then on.
    seen = ask("PUT", f"trials/{done['id']}/chosen", {"code": wide})
    stand = [each for each in seen["builds"] if each["letter"]]
    assert stand[-1]["name"] == "58° W" and seen["brief"]["sole"] == "wide"
    again = ask("PUT", f"trials/{done['id']}/chosen", {"code": wide})
    assert len(again["builds"]) == len(seen["builds"])
    wide_build = Build.objects.get(pk=stand[-1]["id"])
    take_in(session, run_for(session, wide_build), [{"carry_m": 70.0 + off} for off in range(5)])
    tested = {each["build"]: each["sheet"] for each in ask("GET", f"sessions/{session.pk}/handover")["tested"]}
    assert {"label": "Its sole, tried blind", "value": result["sentences"][0]} in tested[wide_build.pk]
    ready = load(FittingSession.objects.get(pk=session.pk))
    bundle = json.loads(json.dumps(present_bundle(ready), cls=DjangoJSONEncoder))
    VALIDATOR.validate(bundle)
    (kept,) = bundle["tests"]["soles"]
    assert {each["club"] for each in kept["codes"]} == {f"Gannock {label}" for label in LIKED}
    assert len(kept["handed"]) == len(done["handings"]) and kept["chosen"] == done["codes"][wide]["word"]
    # The same sole a degree weaker and in less loft, by name on one shot.
    lofts = ask("POST", f"trials/{done['id']}/lofts", {"place": "sand"}, 201)["soles"][1]
    assert [each["club"]["loft_role"] for each in lofts["codes"]] == ["as_is", "weaker", "less"]
    assert [each["club"]["loft_deg"] for each in lofts["codes"]] == [58, 59, 54]
    tried = answered(ask, lofts, [0, 1, -1])
    assert len(tried["handings"]) == 6 and "the loft is needed" in tried["result"]["loft_needed"]
    # On another shot too: the clubs go by the same names once more.
    ask("POST", f"trials/{lofts['id']}/reveal")
    ask("POST", f"trials/{done['id']}/lofts", {"place": "tight"}, 201)


def everything(ask, session, client):
    """Every answer of the session to someone, and what leaves it as a file, the stream's words and the trail."""
    one = f"sessions/{session.pk}"
    read = [one, f"{one}/bench", f"{one}/shortlist", f"{one}/plans", f"{one}/acts", f"{one}/handover", "sessions"]
    texts = [json.dumps(ask("GET", each, client=client)) for each in read]
    bay = Client(headers={"authorization": f"Bearer {make_key(session.bay, label='test')}"})
    texts.append(bay.get("/api/feed/tee").content.decode())
    texts += [
        json.dumps(row, cls=DjangoJSONEncoder)
        for row in AuditEntry.objects.order_by("pk").values("action", "subject", "detail")
    ]
    return texts


def test_nothing_before_the_reveal_tells_or_orders_by_the_club_of_a_code(ask, owner, fitter, session, begun, heads):
    """Read as anyone but the setter, and as the setter but for the link: with the clubs behind the codes exchanged,
    every answer is the same to the letter."""
    for at, code in enumerate(begun["codes"]):
        build = Build.objects.get(pk=code["build"])
        FittingSession.objects.filter(pk=session.pk).update(in_hand=build, place="pitch", protocol="sole")
        session.refresh_from_db()
        hit(session, build, 6000 + 300 * at)
    begun = answered(ask, begun, truth(begun), until=6)
    others = [Client(), Client()]
    for client, who in zip(others, (owner, fitter), strict=True):
        client.force_login(who)
    player = Client()
    screen = ask("POST", f"sessions/{session.pk}/player", {}, 201)["player"]["code"]
    ask("PUT", f"sessions/{session.pk}/player", {"mode": "full"})
    acts.undo(fitter, session.pk)
    acts.redo(fitter, session.pk)

    def read():
        answers.ANSWERS.clear()
        answers.JUDGED.clear()
        found = [text for client in others for text in everything(ask, session, client)]
        found.append(json.dumps(ask("GET", f"player/{screen}", client=player)))
        ready = load(FittingSession.objects.get(pk=session.pk))
        bundle = json.dumps(present_bundle(ready), cls=DjangoJSONEncoder)
        VALIDATOR.validate(json.loads(bundle))
        found.append(bundle)
        found.append(repr(written_shots(ready)))
        return found

    before = read()
    trial = Trial.objects.get(pk=begun["id"])
    codes = trial.known.codes
    moved = [*codes[1:], codes[0]]
    trial.put(codes=tuple(replace(code, head=other.head) for code, other in zip(codes, moved, strict=True)))
    assert read() == before
    # Their names are nowhere but among all that the rack has.
    assert {text[:9] for text in before if "Gannock" in text} <= {'{"lines":'}
    (test,) = json.loads(before[0])["soles"]
    assert all(each["club"] is None for each in test["codes"])
    assert [each["build"] for each in test["codes"]] == sorted(each["build"] for each in test["codes"])
    # The setter is told the link by its own address, and that is written down; anybody else is not.
    lines = ask("GET", f"trials/{begun['id']}/link")["lines"]
    assert {each["club"] for each in lines} == {f"Gannock {head.label}" for head in heads}
    ask("GET", f"trials/{begun['id']}/link", status=403, client=others[0])
    assert AuditEntry.objects.filter(action="sole.link", actor=fitter).count() == 1


def test_a_test_that_is_blind_to_both_sides_is_told_on_the_assistants_page_alone(ask, fitter, session, heads):
    test = sole_setup.set_up(fitter, session.pk, sole_test(heads, double=True, short=True))
    assert test.known.places == ("pitch", "fuller", "tight")  # twenty minutes hold three of those ticked
    ask("GET", f"trials/{test.pk}/link", status=403)
    first = ask("POST", f"trials/{test.pk}/hand-out", status=201)
    assert first["drawn"].startswith("<svg") and len(first["code"]) == 8
    assistant, fitters = Client(headers={"Prefer": "words"}), Client()
    page = ask("GET", f"hand-out/{first['code']}", client=assistant)
    assert {each["club"] for each in page["lines"]} == {f"Gannock {head.label}" for head in heads}
    assert page["next"] and page["place"]["name"] == "Stock pitch"
    # Whoever is signed in must not see it, nor does a try from there keep the assistant out.
    assert "Somebody is signed in" in ask("GET", f"hand-out/{first['code']}", status=409)["title"]
    # The device that opened it first keeps it, also while wrong codes are tried from the same address.
    assert "Another device" in ask("GET", f"hand-out/{first['code']}", status=409, client=fitters)["title"]
    for _ in range(9):
        fitters.get("/api/hand-out/AAAAAAAA")
    ask("GET", "hand-out/AAAAAAAA", status=429, client=fitters)
    taped = ask("PUT", f"hand-out/{first['code']}", {"code": 1, "taped": True}, client=assistant)
    assert [each["taped"] for each in taped["lines"]] == [False, True, False]
    reset_tries()
    (seen,) = ask("GET", f"sessions/{session.pk}")["soles"]
    assert seen["hand_out_opened"] is not None and first["code"] not in json.dumps(seen)
    # A new code ends the old one; the reveal ends them all.
    second = ask("POST", f"trials/{test.pk}/hand-out", status=201)
    ask("GET", f"hand-out/{first['code']}", status=404, client=assistant)
    assert ask("GET", f"hand-out/{second['code']}", client=fitters)["more"] == page["more"]
    soles.say_of(fitter, test.pk, code=seen["next"]["code"], place="pitch", said=AfterShots())
    ask("POST", f"trials/{test.pk}/reveal", {"early": True})
    ask("GET", f"hand-out/{second['code']}", status=404, client=fitters)
    assert ask("GET", f"trials/{test.pk}/link")["lines"]


def test_two_at_once_retries_and_slips_change_no_judgement(ask, session, begun, heads):
    url, coming = f"trials/{begun['id']}", begun["next"]
    early = ask("POST", f"{url}/reveal", status=409)
    assert "Give the test up" in early["title"]
    ask("POST", f"{url}/said", {**coming, "turf": "slid"}, 201)
    again = ask("POST", f"{url}/said", {**coming, "turf": "dug"}, 409)
    assert "said already" in again["title"]
    (test,) = ask("GET", f"sessions/{session.pk}")["soles"]
    silent = ask("POST", f"{url}/said", test["next"], 400)
    assert silent["field"] == "said"
    ask("POST", f"{url}/said", {**test["next"], "said": 1, "turf": "deep"}, 400)
    seen = ask("POST", f"{url}/said", {**test["next"], "said": 1, "turf": "slid", "left_m": 1.2}, 201)
    (test,) = seen["soles"]
    slip = test["handings"][-1]
    assert (
        ask("PUT", f"trial-events/{slip['id']}/said", {"said": -1, "turf": "dug"})["soles"][0]["handings"][-1]["said"]
        == -1
    )
    # Taken back, the code is in hand again.
    (undone,) = ask("POST", f"sessions/{session.pk}/undo")["soles"]
    assert undone["done"] == 1 and undone["next"]["code"] == slip["code"] and TrialEvent.objects.count() == 2
    # Without a line nobody can say who is out: what was hit meanwhile counts, in the order that was foreseen.
    late = [each for each in undone["ahead"] if each["place"] in ("pitch", "fuller", "tight")]
    assert len([each for each in late if each["place"] == "tight"]) == 4
    for at, each in enumerate(late):
        first = at == 0 or late[at - 1]["place"] != each["place"]
        ask("POST", f"{url}/said", {**each, "said": None if first and at else 1, "turf": "slid"}, 201)
    (back,) = ask("GET", f"sessions/{session.pk}")["soles"]
    assert back["next"]["place"] == "sand" and back["done"] == 12
    ask("POST", f"{url}/returns", {"place": "tight"}, 409)
    apart = ask("POST", f"sessions/{session.pk}/trials/sole/check", {
        "loft_deg": 58, "clubs": [{"head": heads[0].pk}, {"head": Head.objects.get(label="54 W").pk}],
        "places": ["pitch", "sand"],
    }, 400)  # fmt: skip
    assert apart["field"] == "clubs" and "58°" in apart["title"]
    assert "going on" in ask("POST", f"sessions/{session.pk}/trials/sole", {
        "loft_deg": 58, "clubs": [{"head": head.pk} for head in heads], "places": ["pitch", "sand"],
    }, 409)["title"]  # fmt: skip
    # With a club by name in hand it is no sole test, and the next code takes it up again.
    letter = next(each for each in ask("GET", f"sessions/{session.pk}")["builds"] if each["letter"])
    away = ask("PUT", f"sessions/{session.pk}/in-hand", {"build": letter["id"]})
    assert (away["protocol"], away["lie"], away["length"]) == ("full_swing", None, "full")
    again = ask("PUT", f"{url}/in-hand", {key: back["next"][key] for key in ("code", "place")})
    assert (again["protocol"], again["lie"]) == ("sole", "sand")
    # A code is no club: nothing is done to it, and it is not agreed while it is blind.
    code = begun["codes"][0]["build"]
    ask("PUT", f"builds/{code}/stated", {"bounce_deg": 10}, 400)
    agree = {"builds": [], "reasons": "So be it.", "lost": []}
    assert "reveal" in ask("POST", f"sessions/{session.pk}/handover", agree, 409)["title"].lower()
    (over,) = ask("POST", f"{url}/give-up")["soles"]
    assert not over["on"] and not over["revealed"] and over["codes"][0]["club"] is None


def test_grooves_blind_are_the_wedges_own_once_revealed_and_told_nowhere_before(ask, fitter, owner, session):
    typed = {"typed_carry_m": 75.0, "typed_total_m": 77.0}
    old = builds.add_club(fitter, session.pk, name="54", set_loft_deg=54, wear="worn", **typed)
    (fresh,) = builds.add_candidates(fitter, session.pk, [builds.CandidateChoice(*pair_of("54 M"))])
    FittingSession.objects.filter(pk=session.pk).update(end="short")
    first = standing_of(ask("GET", f"sessions/{session.pk}"), "grooves")
    assert first["pairs"] == [{"old": old.pk, "fresh": fresh.pk}] and first["blind"] is None
    seen = ask("POST", f"sessions/{session.pk}/trials/pair", {"test": "grooves", "old": old.pk, "fresh": fresh.pk}, 201)
    blind = standing_of(seen, "grooves")["blind"]
    begun = {"test": "grooves", "old": old.pk, "fresh": fresh.pk}
    assert ask("POST", f"sessions/{session.pk}/trials/pair", begun, 409)["type"] == "hemicycle:trial_on"
    assert ask("POST", f"sessions/{session.pk}/trials/pair", {**begun, "test": "stop"}, 400)["field"] == "test"
    codes = [each["build"] for each in blind["codes"]]
    assert seen["in_hand"] == codes[0] and seen["protocol"] == "grooves" and blind["codes"][0]["word"] in seen["next"]
    for code in codes:
        for lie in (None, "wet"):
            ask(
                "PUT",
                f"sessions/{session.pk}/task",
                {"build": code, "protocol": "grooves", "length": "half", "lie": lie},
            )
            session.refresh_from_db()
            hit(session, Build.objects.get(pk=code), 4000 + 400 * codes.index(code))
    ask("PUT", f"trials/{blind['id']}/guess", {"code": codes[1], "confidence": "certain"})
    other = Client()
    other.force_login(owner)

    def read():
        answers.ANSWERS.clear()
        answers.JUDGED.clear()
        return everything(ask, session, other)

    before = read()
    test = Trial.objects.get()
    test.put(one_is_old=not test.known.one_is_old)
    assert read() == before
    assert json.loads(before[1])["results"] == []
    ask("GET", f"trials/{blind['id']}/link", status=403, client=other)
    assert {each["detail"] for each in ask("GET", f"trials/{blind['id']}/link")["lines"]} == {"old", "new"}
    ask("PUT", f"trials/{blind['id']}/chosen", {"code": 0}, 404)  # nothing that a groove test has
    told = ask("POST", f"trials/{blind['id']}/reveal")
    assert told["protocol"] == "full_swing" and told["in_hand"] is None
    assert {each["build"] for each in told["shots"]} == {old.pk, fresh.pk}
    (found,) = ask("GET", f"sessions/{session.pk}/bench")["results"]
    right = Trial.objects.get().known.club(codes[1]) == fresh.pk
    assert ("told the new one" in found["remarks"][-1]) == right
    assert [each["shots"] for each in found["rows"]] == [[3, 3], [3, 3]]
    assert ask("POST", f"trials/{blind['id']}/reveal", status=409)["type"] == "hemicycle:trial_over"


def standing_of(seen, test):
    return next(each for each in seen["tests"] if each["test"] == test)


def pair_of(label):
    return Head.objects.get(label=label).pk, Shaft.objects.get(name="Wexmoor 110 W").pk


def test_what_a_code_was_hit_is_measured_apart_and_touches_no_club(ask, session, begun):
    carries = {each["id"]: each["carry_m"] for each in ask("GET", f"sessions/{session.pk}")["builds"]}
    liking = truth(begun)
    session.refresh_from_db()
    low = begun["next"]["code"]
    for _ in range(8):
        code = begun["next"]["code"]
        session.refresh_from_db()
        hit(session, session.in_hand, 4000 if code == low else 6000)
        begun = answered(ask, begun, liking, until=begun["done"] + 1)
    # What was hit before the last word is no shot of the code that is handed next.
    assert begun["since"] == 24
    seen = ask("GET", f"sessions/{session.pk}")
    line = next(each for each in seen["soles"][0]["codes"] if each["code"] == low)
    assert line["under"] == ["pitch", "fuller"] and line["cells"][0]["n"] == 3
    assert line["cells"][0]["run_m"] is None and line["cells"][0]["left_m"] is None
    assert line["spread_m"] == pytest.approx(1.258, abs=0.01) and line["spread_low_m"] < line["spread_m"]
    assert any("spins under the floor" in each for each in seen["soles"][0]["result"]["measured"])
    assert carries == {each["id"]: each["carry_m"] for each in seen["builds"]} and seen["verdicts"][0]["letter"] == "A"


def test_the_set_up_proposes_what_there_is_for_this_hand_and_says_what_it_confounds(ask, fitter, session):
    own = builds.add_club(fitter, session.pk, name="58", set_loft_deg=58)
    ask("PUT", f"builds/{own.pk}/stated", {"sole": "narrow", "grip": "cord", "uses": {"sand": 2, "chip": 1}})
    found = ask("GET", f"sessions/{session.pk}/trials/sole/choices?loft_deg=58&wedge={own.pk}")
    assert found["places"] == ["pitch", "fuller", "sand", "tight", "semi_rough"]
    control = {each["name"]: each["control"] for each in found["clubs"]}
    assert control == {
        "Gannock 58 W": None, "Gannock 58 M": None, "Gannock 58 N": "nearest", "the own 58°": "own",
    }  # fmt: skip
    chosen = [{"head": each["head"], "build": each["build"]} for each in found["clubs"] if each["control"] != "nearest"]
    body = {"loft_deg": 58, "clubs": chosen, "places": found["places"], "shaft": found["shaft"]}
    check = ask("POST", f"sessions/{session.pk}/trials/sole/check", {**body, "control": 2, "control_is": "own"})
    assert check["handings"] == 16 and check["minutes"] == 28
    assert "fresh grooves" in check["warnings"][-1]
    session.customer.hand = "left"
    session.customer.save()
    Head.objects.filter(label="58 N").update(left_handed=False)
    answers.JUDGED.clear()
    thin = ask("GET", f"sessions/{session.pk}/trials/sole/choices?loft_deg=58")["clubs"]
    assert "Gannock 58 N" not in {each["name"] for each in thin}


def test_notes_of_the_course_are_kept_beside_the_test_by_the_players_code_and_by_the_fitter(ask, session, begun):
    test = answered(ask, begun, truth(begun))
    url, today = f"trials/{test['id']}", timezone.localdate().isoformat()
    (seen,) = ask("POST", f"{url}/course", status=201)["soles"]
    player = Client()
    page = ask("GET", f"course/{seen['course']}", client=player)
    # Two were left, and they go by the words on their shafts.
    assert len(page["codes"]) == 3 and "Gannock" not in json.dumps(page)
    code = page["codes"][0]["code"]
    mine = {"played_on": today, "code": code, "place": "sand", "word": "Came out softly", "first": True}
    for _ in range(2):  # sent twice, kept once
        noted = ask("POST", f"course/{seen['course']}", mine, 201, client=player)
    assert [(each["word"], each["by_player"]) for each in noted["notes"]] == [("Came out softly", True)]
    assert ask("POST", f"course/{seen['course']}", {**mine, "word": "", "first": False}, 400)["field"] == "word"
    assert ask("POST", f"{url}/notes", {**mine, "played_on": "2020-01-01"}, 400)["field"] == "played_on"
    (both,) = ask("POST", f"{url}/notes", {**mine, "place": "", "word": "", "first": True}, 201)["soles"]
    assert len(both["notes"]) == 2
    out = {"played_on": today, "code": code, "ruled_out": "Links"}
    assert ask("POST", f"{url}/notes", out, 400)["field"] == "word"
    (ruled,) = ask("POST", f"{url}/notes", {**out, "word": "bounces off firm turf"}, 201)["soles"]
    assert ruled["result"]["sentences"][-1].endswith("is ruled out for Links: bounces off firm turf.")
    ask("GET", "course/AAAAAAAA", status=404, client=player)
    # Told, the winner is on the page by its club, whichever of its two codes went on.
    ask("POST", f"{url}/reveal", {"early": True})
    told = ask("GET", f"course/{seen['course']}", client=player)["codes"]
    assert len(told) == 2 and any("Gannock 58 W" in json.dumps(each["name"]) for each in told)


def test_a_session_has_words_for_so_many_codes_and_says_so_when_they_are_used(ask, fitter, session, heads):
    for _ in range(8):
        test = sole_setup.set_up(fitter, session.pk, sole_test(heads))
        soles.give_up(fitter, test.pk)
    words = list(Build.objects.filter(session=session, coded=True).values_list("name", flat=True))
    assert len(words) == len(set(words)) == len(WORDS)
    body = {"loft_deg": 58, "clubs": [{"head": head.pk} for head in heads], "places": ["pitch", "sand"]}
    assert "All words" in ask("POST", f"sessions/{session.pk}/trials/sole", body, 409)["title"]


def test_a_shot_with_a_club_by_name_is_never_of_a_sole_test(ask, fitter, session, begun):
    """Whatever a screen that is behind asks for: the run says what the shot is."""
    letter = Build.objects.get(session=session, letter="A")
    FittingSession.objects.filter(pk=session.pk).update(in_hand=letter, protocol="sole", place="pitch", lie="")
    session.refresh_from_db()
    hit(session, letter)
    seen = ask("GET", f"sessions/{session.pk}")
    assert {(each["protocol"], each["place"]) for each in seen["shots"]} == {("full_swing", "")}


def test_a_left_hander_is_told_the_slope_the_other_way_on_every_page(ask, fitter, session, heads):
    session.customer.hand = "left"
    session.customer.save()
    Head.objects.filter(label__startswith="58").update(left_handed=True)
    test = sole_setup.set_up(fitter, session.pk, sole_test(heads, double=True, places=["pitch", "slope"]))
    (seen,) = ask("GET", f"sessions/{session.pk}")["soles"]
    assert "falls to the right" in seen["places"][1]["told"]
    code = ask("POST", f"trials/{test.pk}/hand-out", status=201)["code"]
    page = Client(headers={"Prefer": "words"})
    for _ in heads:
        coming = ask("GET", f"hand-out/{code}", client=page)["next"]
        said = None if coming == seen["next"] else 1
        ask("POST", f"trials/{test.pk}/said", {**coming, "said": said, "turf": "slid"}, 201)
    assert "falls to the right" in ask("GET", f"hand-out/{code}", client=page)["place"]["told"]
