"""Who asks, and of which shop, once a request has passed the policy."""

from __future__ import annotations

from rest_framework.request import Request

from .models import Shop, User


def actor_of(request: Request) -> User:
    user: User = request.user  # type: ignore[assignment]
    return user


def shop_of(request: Request) -> Shop:
    shop: Shop | None = getattr(request.user, "shop", None)
    assert shop is not None
    return shop
