"""Actions: every change of state is one function, in one transaction, with its permission and its entry."""

from __future__ import annotations

from collections.abc import Callable
from functools import wraps
from typing import Any, TypeVar, cast

from common.policy import may
from common.problems import NotAllowed
from django.db import transaction

from .models import AuditEntry, User

Action = TypeVar("Action", bound=Callable[..., Any])


def action(what: str) -> Callable[[Action], Action]:
    """Mark a function of (actor, ...) as an action: checked against the policy, all or nothing."""

    def mark(function: Action) -> Action:
        @wraps(function)
        def run(actor: User, *args: Any, **kwargs: Any) -> Any:
            if not may(actor, what):
                raise NotAllowed("You may not do that in this shop.")
            with transaction.atomic():
                return function(actor, *args, **kwargs)

        return cast(Action, run)

    return mark


def record(shop_id: int, actor: User | None, name: str, subject: str, /, **detail: Any) -> None:
    """Write down a change."""
    AuditEntry.objects.create(shop_id=shop_id, actor=actor, action=name, subject=subject, detail=detail)
