"""Who may do what. Anything not named here is refused."""

from __future__ import annotations

from enum import StrEnum
from typing import TYPE_CHECKING, Any

from rest_framework.permissions import BasePermission
from rest_framework.request import Request

if TYPE_CHECKING:
    from rest_framework.views import APIView


class Role(StrEnum):
    OWNER = "owner"
    FITTER = "fitter"
    ASSISTANT = "assistant"


# assist: hand clubs, type shots and see the stand; neither prices nor how a customer is reached.
ALLOWED: dict[str, frozenset[str]] = {
    "assist": frozenset(Role),
    "read": frozenset({Role.OWNER, Role.FITTER}),
    "fit": frozenset({Role.OWNER, Role.FITTER}),
    "own": frozenset({Role.OWNER}),
}


def may(user: Any, what: str) -> bool:
    """Whether someone may do something in their own shop; whoever has none may do nothing."""
    in_a_shop = getattr(user, "shop_id", None) is not None
    return in_a_shop and bool(user.is_active) and user.role in ALLOWED[what]


class SignedIn(BasePermission):
    """Default of every view: reading needs `read`, everything else `fit`."""

    def has_permission(self, request: Request, view: APIView) -> bool:
        return may(request.user, "read" if request.method in ("GET", "HEAD", "OPTIONS") else "fit")


class Assisting(BasePermission):
    """What everybody of a shop may do, an assistant too."""

    def has_permission(self, request: Request, view: APIView) -> bool:
        return may(request.user, "assist")


class SeenByAll(SignedIn):
    """Reading is everybody's of the shop; changing is not."""

    def has_permission(self, request: Request, view: APIView) -> bool:
        return may(request.user, "assist" if request.method in ("GET", "HEAD", "OPTIONS") else "fit")


class Anyone(BasePermission):
    """Only for signing in and for asking who is signed in."""

    def has_permission(self, request: Request, view: APIView) -> bool:
        return True
