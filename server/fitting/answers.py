"""The whole session as it now is; every change answers with it, so that the screen never guesses."""

from __future__ import annotations

from config.api import serializer_of, shown
from feed import stand_ins
from rest_framework.request import Request
from rest_framework.response import Response
from shop.policy import shop_of

from . import pictures as p
from .models import FittingSession
from .read import load
from .show import session_picture

SessionOut = serializer_of(p.SessionPicture)


def session_of(request: Request, session_id: int) -> FittingSession:
    sessions_ = FittingSession.objects.select_related("customer", "bay", "fitter", "shop")
    return sessions_.one(shop_of(request), session_id)


def shown_whole(request: Request, session_id: int, status: int = 200) -> Response:
    """The whole session as it now is; every change answers with it, so the screen never guesses."""
    session = session_of(request, session_id)
    picture = session_picture(load(session), stand_in=stand_ins.running(session.bay_id))
    return Response(shown(SessionOut, picture), status=status)
