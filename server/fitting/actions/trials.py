"""What every test has in common: that it goes on, what is written down in it, how it ends, and who may see its link."""

from __future__ import annotations

from common.problems import Refused
from django.utils import timezone
from shop.audit import record
from shop.models import User

from ..models import FittingSession, Trial, TrialEvent
from .changes import for_change


def trial(actor: User, test: str, trial_id: int) -> tuple[Trial, FittingSession]:
    """A trial of a test as it is now that its session is locked."""
    rows = Trial.objects.filter(test=test)
    session = for_change(actor, rows.one(actor.shop_id or 0, trial_id).session_id)
    return rows.prefetch_related("events").one(session.shop_id, trial_id), session


def going_on(actor: User, test: str, trial_id: int, over: Refused) -> tuple[Trial, FittingSession]:
    """The same; over: raised where it is."""
    found, session = trial(actor, test, trial_id)
    if not found.is_on:
        raise over
    return found, session


def event(actor: User, test: str, kind: str, event_id: int) -> tuple[TrialEvent, Trial, FittingSession]:
    """One thing that was seen or said in a trial of a test, as it is now that its session is locked."""
    rows = TrialEvent.objects.filter(trial__test=test, kind=kind).select_related("trial")
    session = for_change(actor, rows.one(actor.shop_id or 0, event_id).session_id)
    found = rows.one(session.shop_id, event_id)
    return found, found.trial, session


def is_going_on(session: FittingSession, test: str) -> bool:
    """Whether a trial of a test goes on in a session."""
    trials = Trial.objects.of(session.shop_id).filter(session=session, test=test)
    return trials.filter(revealed_at=None, stopped_at=None).exists()


def told(found: Trial) -> None:
    """Everybody may know from now on."""
    found.revealed_at = timezone.now()
    found.save(update_fields=["revealed_at"])


def given_up(found: Trial) -> None:
    """It ends without a result, and is never told."""
    found.stopped_at = timezone.now()
    found.save(update_fields=["stopped_at"])


def link_seen(actor: User, found: Trial, subject: str) -> None:
    """Write down that somebody looked at which code is which."""
    about = {"of_session": found.session_id, "of_customer": found.session.customer_id}
    record(found.shop_id, actor, "sole.link", subject, **about)
