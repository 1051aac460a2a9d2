"""Server processes share what was worked out: each of these calls stands for a process that kept nothing yet."""

from concurrent.futures import ThreadPoolExecutor
from datetime import timedelta
from threading import Event
from time import sleep

import pytest
from conftest import strike
from django.core.management import call_command
from django.db import connection, connections, transaction
from django.utils import timezone
from fitting.api import answers, once
from fitting.models import FittingSession, JudgedAnswer, Shot


@pytest.fixture
def made(monkeypatch):
    """The parts that were worked out, as they are; and what is done before each."""
    parts, tell, before = [], answers._told, []

    def told(ready, part):
        for each in before:
            each()
        parts.append(part)
        return tell(ready, part)

    monkeypatch.setattr(answers, "_told", told)
    return parts, before


def ask(session, part="session"):
    """As a process does that was started just now."""
    answers.JUDGED.clear()
    return answers._body(answers.versioned(session.shop_id, session.pk), part)


def elsewhere(work, *given):
    def alone():
        try:
            return work(*given)
        finally:
            connections.close_all()

    with ThreadPoolExecutor(1) as other:
        return other.submit(alone).result(20)


def who_waits():
    with connection.cursor() as cursor:
        cursor.execute("SELECT count(*) FROM pg_stat_activity WHERE wait_event = 'advisory'")
        return cursor.fetchone()[0]


@pytest.mark.django_db(transaction=True)
def test_two_processes_that_are_asked_at_once_work_it_out_once(session, made):
    strike(session, "A", 180, 190)
    parts, before = made
    begun, waiting = Event(), []
    before += [begun.set, lambda: sleep(0.5), lambda: waiting.append(who_waits())]
    with ThreadPoolExecutor(3) as processes:
        first = processes.submit(elsewhere, ask, session)
        begun.wait(10)
        others = [processes.submit(elsewhere, ask, session) for _ in range(2)]
        told = [each.result(20) for each in (first, *others)]
    assert parts == ["session"]
    # Those of one process wait without a connection: one session at work leaves some for all others.
    assert waiting == [0]
    assert len({len(each.data["shots"]) for each in told}) == 1 and told[1] == told[2]
    # A change is another version: nothing of before is met again.
    Shot.objects.filter(session=session).first().delete()
    assert len(ask(session).data["shots"]) == len(told[0].data["shots"]) - 1 and parts == ["session"] * 2


@pytest.mark.django_db(transaction=True)
def test_what_screens_show_is_made_along_until_nobody_asks_for_it(session, made):
    parts, _ = made
    ask(session), ask(session, "bench"), ask(session, "plans")
    assert parts == ["session", "bench", "plans"]  # what is there already is not made again
    JudgedAnswer.objects.filter(part="plans").delete()
    for number in range(once.ALONG + 2):
        strike(session, "A", 180 + number, 190, n=1)
        del parts[:]
        ask(session)
        assert sorted(parts) == (["bench", "session"] if number < once.ALONG else ["session"]), number
    strike(session, "A", 170, 180, n=1)
    assert ask(session, "bench").data and parts == ["session", "session", "bench"]
    del parts[:]
    assert ask(session).data["shots"] and not parts


@pytest.mark.django_db(transaction=True)
def test_who_stopped_with_the_turn_holds_nobody_up_for_long(session, made, monkeypatch):
    monkeypatch.setattr(once, "LONGEST_S", 0.1)
    with transaction.atomic(), connection.cursor() as cursor:
        cursor.execute("SELECT pg_advisory_xact_lock(%s, %s)", [once.TURN, session.pk])
        assert elsewhere(ask, session).data["id"] == session.pk
    assert made[0] == ["session"] and not JudgedAnswer.objects.exists()


@pytest.mark.django_db(transaction=True)
def test_what_was_changed_while_it_was_worked_out_is_kept_for_nobody(session, made):
    def erase_meanwhile():
        elsewhere(lambda: FittingSession.objects.filter(pk=session.pk).update(revision=session.revision + 7))
        made[1].clear()

    made[1].append(erase_meanwhile)
    assert ask(session).data["revision"] == session.revision
    assert not JudgedAnswer.objects.exists()
    # Whoever is changing it just now is not waited for.
    with transaction.atomic():
        FittingSession.objects.select_for_update().get(pk=session.pk)
        assert elsewhere(ask, session).data["revision"] == session.revision + 7
        assert not elsewhere(JudgedAnswer.objects.exists)
    assert ask(session).data["revision"] == session.revision + 7 and JudgedAnswer.objects.count() == 1


def test_what_was_judged_days_ago_goes_with_the_housekeeping(session, made):
    ask(session)
    call_command("housekeep")
    assert JudgedAnswer.objects.count() == 1
    JudgedAnswer.objects.update(at=timezone.now() - timedelta(days=2))
    call_command("housekeep")
    assert not JudgedAnswer.objects.exists()
