"""Actions: every change of state is one function, in one transaction, with its permission and its entry."""

from __future__ import annotations

from collections.abc import Callable
from functools import wraps
from typing import Any, Concatenate, ParamSpec, TypeVar

from config.problems import NotAllowed
from django.db import transaction

from .models import AuditEntry, User
from .policy import may

P = ParamSpec("P")
T = TypeVar("T")


def action(what: str) -> Callable[[Callable[Concatenate[User, P], T]], Callable[Concatenate[User, P], T]]:
    """Mark a function of (actor, ...) as an action: checked against the policy, all or nothing."""

    def mark(function: Callable[Concatenate[User, P], T]) -> Callable[Concatenate[User, P], T]:
        @wraps(function)
        def run(actor: User, *args: P.args, **kwargs: P.kwargs) -> T:
            if not may(actor, what):
                raise NotAllowed("You may not do that in this shop.")
            with transaction.atomic():
                return function(actor, *args, **kwargs)

        return run

    return mark


def record(shop_id: int, actor: User | None, name: str, subject: str, /, **detail: Any) -> None:
    """Write down a change."""
    AuditEntry.objects.create(shop_id=shop_id, actor=actor, action=name, subject=subject, detail=detail)
