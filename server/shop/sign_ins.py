"""Sign-ins: how long one lasts unused, whether it still holds, and ending them."""

from __future__ import annotations

import time
from importlib import import_module
from typing import Any

from common.notices import tell_sign_ins
from common.policy import may
from django.conf import settings
from django.contrib.auth import get_user, logout, update_session_auth_hash
from django.http import HttpRequest
from rest_framework.authentication import SessionAuthentication
from rest_framework.request import Request

from .models import User

SEEN = "seen_at"
SEEN_AGAIN_S = 30.0  # written down no oftener


def _idle_too_long(user: Any, seen: Any) -> bool:
    shop = getattr(user, "shop", None)
    minutes = 0 if shop is None else shop.idle_minutes
    return bool(minutes and isinstance(seen, int | float) and time.time() - seen > minutes * 60)


def signed_in(request: HttpRequest) -> Any:
    """Who asks, if their sign-in still holds; one that was left alone too long is ended here."""
    user = request.user
    if user.is_authenticated and _idle_too_long(user, request.session.get(SEEN)):
        logout(request)
        return request.user
    return user


class ShopSession(SessionAuthentication):
    """By the sign-in's cookie, while it holds."""

    def authenticate(self, request: Request) -> Any:
        plain = request._request
        user = signed_in(plain)
        if not user.is_authenticated or not user.is_active:
            return None
        self.enforce_csrf(request)
        if time.time() - plain.session.get(SEEN, 0) > SEEN_AGAIN_S:
            plain.session[SEEN] = time.time()
        return (user, None)


def still_signed_in(key: str, user_id: int) -> bool:
    """Whether a sign-in may still read a stream: not ended, not run out, its owner still of the shop and more than an
    assistant in it."""
    request = HttpRequest()
    request.session = import_module(settings.SESSION_ENGINE).SessionStore(key)
    user = get_user(request)
    return user.pk == user_id and may(user, "read") and not _idle_too_long(user, request.session.get(SEEN))


def end_others(request: HttpRequest, user: User) -> None:
    """End every other sign-in of a person; the one that asks stays."""
    user.sign_ins_from += 1
    user.save(update_fields=["sign_ins_from"])
    update_session_auth_hash(request, user)
    tell_sign_ins(user.pk)
