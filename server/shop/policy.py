"""Who may do what. Anything not named here is refused."""

from __future__ import annotations

from typing import TYPE_CHECKING, Any

from rest_framework.permissions import BasePermission
from rest_framework.request import Request

if TYPE_CHECKING:
    from rest_framework.views import APIView

from .models import Role, Shop, User

ALLOWED: dict[str, frozenset[str]] = {
    "read": frozenset({Role.OWNER, Role.FITTER}),
    "fit": frozenset({Role.OWNER, Role.FITTER}),
    "own": frozenset({Role.OWNER}),
}


def may(user: Any, what: str) -> bool:
    """Whether a user may do something in their own shop."""
    return isinstance(user, User) and user.is_active and user.shop_id is not None and user.role in ALLOWED[what]


def shop_of(request: Request) -> Shop:
    """The shop of a request that has passed the policy."""
    assert isinstance(request.user, User)
    assert request.user.shop is not None
    return request.user.shop


class SignedIn(BasePermission):
    """Default of every view: reading needs `read`, everything else `fit`."""

    def has_permission(self, request: Request, view: APIView) -> bool:
        return may(request.user, "read" if request.method in ("GET", "HEAD", "OPTIONS") else "fit")


class Anyone(BasePermission):
    """Only for signing in and for asking who is signed in."""

    def has_permission(self, request: Request, view: APIView) -> bool:
        return True
