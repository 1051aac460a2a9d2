"""Actions: every change of state is one function, in one transaction, with its permission and its entry."""

from __future__ import annotations

from collections.abc import Callable
from functools import wraps
from typing import Any, TypeVar, cast

from common.asked import asked
from common.policy import may
from common.problems import NotAllowed, Refused
from django.db import transaction
from hemicycle_core.said import say

from .models import AuditEntry, DoneChange, User

Action = TypeVar("Action", bound=Callable[..., Any])


def action(what: str) -> Callable[[Action], Action]:
    """Mark a function of (actor, ...) as an action: checked against the policy, all or nothing, and done once however
    often a screen that numbers its changes sends it."""

    def mark(function: Action) -> Action:
        @wraps(function)
        def run(actor: User, *args: Any, **kwargs: Any) -> Any:
            if not may(actor, what):
                raise NotAllowed("You may not do that in this shop.")
            with transaction.atomic():
                _once(actor)
                return function(actor, *args, **kwargs)

        return cast(Action, run)

    return mark


def _once(actor: User) -> None:
    change = asked().take_change()
    if change and not DoneChange.objects.get_or_create(actor=actor, change=change)[1]:
        raise Refused(say("act-done-already"), kind="done")


def record(
    shop_id: int,
    actor: User | None,
    name: str,
    subject: str,
    /,
    *,
    of_session: int | None = None,
    of_customer: int | None = None,
    revision: int | None = None,
    **detail: Any,
) -> None:
    """Write down a change. of_session, of_customer: whose it is; revision: of the session, that it made."""
    AuditEntry.objects.create(
        shop_id=shop_id,
        actor=actor,
        action=name,
        subject=subject,
        detail=detail,
        of_session=of_session,
        of_customer=of_customer,
        revision=revision,
        change=asked().change,
    )
