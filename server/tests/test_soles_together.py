"""A sole test with several hands in it: two screens at once, a screen that sends twice, an undo over another's word, a
customer who changes in the bay, and names as long as they may be."""

import pytest
from conftest import both, sole_test, tab
from customers.actions import add_customer, edit_customer
from django.test import Client
from fitting.actions import acts, builds, sessions, sole_setup, soles
from fitting.models import Build, FittingSession, Trial, TrialEvent
from hemicycle_core.protocols.sole.ask import AfterShots
from hemicycle_core.protocols.sole.kept import TurfSaid
from rack.models import Head, Shaft


@pytest.fixture
def begun(fitter, session):
    heads = Head.objects.filter(shop=session.shop, label__startswith="58").order_by("pk")
    return sole_setup.set_up(fitter, session.pk, sole_test(heads, double=True))


def coming_of(test):
    return soles.sole_of(test).standing.next


def body_of(coming, **said):
    return {"code": coming.code, "place": coming.place, "visit": coming.visit, "duel": coming.duel, **said}


@pytest.mark.django_db(transaction=True)
def test_two_screens_that_say_of_one_code_at_once_have_it_said_once(fitter, owner, session, begun):
    answers = []
    body = body_of(coming_of(begun), turf="slid")
    screens = [tab(fitter, "one"), tab(owner, "two")]
    both(*(lambda say=say: answers.append(say("POST", f"/api/trials/{begun.pk}/said", body)) for say in screens))
    assert sorted(answer.status_code for answer in answers) == [201, 409]
    assert TrialEvent.objects.count() == 1
    refused = next(answer.json() for answer in answers if answer.status_code == 409)
    assert "was said already for this lie" in refused["title"]


@pytest.mark.django_db(transaction=True)
def test_two_devices_that_open_the_assistants_page_at_once_are_one_and_a_refusal(fitter, session, begun):
    desk = Client()
    desk.force_login(fitter)
    code = desk.post(f"/api/trials/{begun.pk}/hand-out").json()["code"]
    answers = []
    both(*(lambda: answers.append(Client().get(f"/api/hand-out/{code}")) for _ in range(4)))
    assert sorted(answer.status_code for answer in answers) == [200, 409, 409, 409]
    assert Trial.objects.get().hand_out_device != ""


def test_a_screen_that_sends_a_word_twice_is_told_that_it_is_done(fitter, session, begun):
    say = tab(fitter, "one")
    body, change = body_of(coming_of(begun), turf="dug"), "tab-one-00000000.777"
    first = say("POST", f"/api/trials/{begun.pk}/said", body, change=change)
    again = say("POST", f"/api/trials/{begun.pk}/said", body, change=change)
    assert (first.status_code, again.json()["type"]) == (201, "hemicycle:done")
    assert TrialEvent.objects.count() == 1


def test_a_word_is_not_taken_back_from_under_another_persons(fitter, owner, session, begun):
    for who, said in ((fitter, None), (owner, 1)):
        coming = coming_of(begun)
        soles.say_of(
            who, begun.pk, code=coming.code, place=coming.place, said=AfterShots(said=said, turf=TurfSaid.SLID)
        )
    screen = tab(fitter, "one")
    refused = screen("POST", f"/api/sessions/{session.pk}/undo", {})
    assert refused.status_code == 409 and "rests on it" in refused.json()["title"]
    assert TrialEvent.objects.filter(void=True).count() == 0
    # Whoever said it last takes it back, and it is said again by whoever likes.
    acts.undo(owner, session.pk)
    assert TrialEvent.objects.filter(void=True).count() == 1
    coming = coming_of(begun)
    soles.say_of(fitter, begun.pk, code=coming.code, place=coming.place, said=AfterShots(said=-1, turf=TurfSaid.DUG))
    assert [each.said for each in soles.sole_of(begun).handed] == [None, -1]


def test_what_was_said_before_the_reveal_is_not_taken_back_after_it(fitter, session, begun):
    coming = coming_of(begun)
    soles.say_of(fitter, begun.pk, code=coming.code, place=coming.place, said=AfterShots(turf=TurfSaid.SLID))
    soles.reveal(fitter, begun.pk, early=True)
    screen = tab(fitter, "one")
    refused = screen("POST", f"/api/sessions/{session.pk}/undo", {})
    assert refused.status_code == 409 and TrialEvent.objects.get().void is False
    late = screen("POST", f"/api/trials/{begun.pk}/said", body_of(coming))
    assert late.json()["type"] == "hemicycle:sole_test_over"


def test_another_customer_in_the_bay_takes_no_code_along_and_the_test_goes_on_where_it_was(fitter, session, begun):
    other = add_customer(fitter, name="Ben Marsh", hand="right")
    visit = sessions.open_session(fitter, customer_id=other.pk, bay_id=session.bay_id)
    head, shaft = Head.objects.get(label="4H", model="Skerry"), Shaft.objects.get(name="Fenlark 65 H")
    builds.add_candidates(fitter, visit.pk, [builds.CandidateChoice(head.pk, shaft.pk)])
    desk = Client()
    desk.force_login(fitter)
    mine = desk.get(f"/api/sessions/{session.pk}").json()
    assert not mine["bay_is_here"] and mine["bay_serves"] == "Ben Marsh"
    assert desk.get(f"/api/sessions/{visit.pk}").json()["soles"] == []
    coming = coming_of(begun)
    answer = desk.put(
        f"/api/trials/{begun.pk}/in-hand", {"code": coming.code, "place": coming.place}, content_type="application/json"
    )
    assert answer.json()["bay_is_here"]
    # A code of this session is no club of that one.
    code = Build.objects.filter(session=session, coded=True).first()
    assert (
        desk.put(f"/api/sessions/{visit.pk}/in-hand", {"build": code.pk}, content_type="application/json").status_code
        == 400
    )


def test_names_of_every_length_and_five_soles_with_a_repeat_go_through(fitter, session):
    edit_customer(
        fitter, session.customer_id, name="A" * 80, hand="right", birth_year=None, email="", notes=""
    )  # fmt: skip
    first = Head.objects.filter(label__startswith="58").first()
    long = []
    for number in range(5):
        first.pk, first._state.adding = None, True
        first.maker, first.model, first.label = "M" * 40, f"{number}" * 40, "58" + "X" * 8
        first.save()
        long.append(Head.objects.get(pk=first.pk))
    test = sole_setup.set_up(fitter, session.pk, sole_test(long, repeat=4))
    found = soles.sole_of(test)
    assert len(found.codes) == 6 and found.standing.more == 6 + 6 + 4 + 3 + 4
    for _ in range(6):
        coming = coming_of(test)
        before = soles.sole_of(test).handed
        soles.say_of(
            fitter,
            test.pk,
            code=coming.code,
            place=coming.place,
            said=AfterShots(said=0 if before else None, turf=TurfSaid.SLID),
        )
    soles.reveal(fitter, test.pk, early=True)
    session.refresh_from_db()
    assert isinstance(session, FittingSession) and session.protocol == "full_swing"
    soles_seen = soles.sole_of(test)
    assert "No difference" in " ".join(map(str, soles_seen.result.sentences)) and len(soles_seen.result.placed) == 5
    test = sole_setup.choose(fitter, test.pk, code=soles_seen.result.order[0])
    assert Build.objects.filter(session=session, letter="B").exists()
    # By name on one shot names are cut to what a club may be called.
    tried = sole_setup.try_lofts(fitter, Trial.objects.get().pk, place="sand")
    assert all(len(code.build.name) <= 40 for code in soles.sole_of(tried).codes)
