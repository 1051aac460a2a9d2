"""The API of the player's screen: set up by the fitter, opened with a code and no sign-in."""

from __future__ import annotations

import io
from collections.abc import Callable
from typing import TypeVar

import segno
from axes.handlers.proxy import AxesProxyHandler
from common.api import given, serializer_of, shown
from common.policy import Anyone
from common.problems import Refused
from django.http import Http404, HttpRequest, HttpResponse
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from hemicycle_core.judge.feel import Feel, Felt
from hemicycle_core.said import say
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...actions import player
from ...models import PlayerScreen
from ..answers import changed, documented_change, judged, row_of, versioned
from ..present.player import present_player
from ..schemas.player import FeltIn, PlayerIn, PlayerView


class ScreenView(APIView):
    @documented_change(PlayerIn, name="set_up_screen", tags=["player"])
    def put(self, request: Request, session_id: int) -> Response:
        """What the player's screen shows from now on."""
        wanted = given(request, PlayerIn)
        player.set_up(actor_of(request), session_id, mode=wanted.mode, away=wanted.away)
        return changed(request, session_id)

    @documented_change(None, name="open_screen", tags=["player"], status=201)
    def post(self, request: Request, session_id: int) -> Response:
        """A new code for the player's screen; the one before opens nothing any more."""
        player.open_screen(actor_of(request), session_id)
        return changed(request, session_id, 201)

    @documented_change(None, name="close_screen", tags=["player"])
    def delete(self, request: Request, session_id: int) -> Response:
        """The code opens nothing from now on."""
        player.close_screen(actor_of(request), session_id)
        return changed(request, session_id)


class CodeView(APIView):
    @extend_schema(responses={(200, "image/svg+xml"): OpenApiTypes.STR}, operation_id="code_to_scan", tags=["player"])
    def get(self, request: Request, session_id: int) -> HttpResponse:
        """The address of the player's screen to scan, as this server is reached by whoever asks."""
        screen = PlayerScreen.objects.of(row_of(request, session_id).shop_id).filter(session=session_id).first()
        if screen is None or not screen.code or screen.revoked_at is not None:
            raise Http404
        drawn = io.BytesIO()
        address = request.build_absolute_uri(f"/player/{screen.code}")
        segno.make(address, error="m", micro=False).save(
            drawn, kind="svg", scale=8, border=2, dark="#000", light="#fff"
        )
        return HttpResponse(drawn.getvalue(), content_type="image/svg+xml")


class FeltView(APIView):
    @documented_change(FeltIn, name="write_down_feel", tags=["player"])
    def post(self, request: Request, session_id: int) -> Response:
        """What the player said aloud of a build."""
        felt = given(request, FeltIn)
        player.write_down(actor_of(request), session_id, felt.build, _said(felt))
        return changed(request, session_id)


def _said(felt: FeltIn) -> Feel:
    marks = {each: mark for each in Felt if (mark := getattr(felt, each.value)) is not None}
    return Feel(marks, veto=felt.veto, word=felt.word.strip())


class TooMany(Refused):
    status = 429


COOKIE = "player"
GUESSING = {"username": "a player's code"}  # counted by the address it comes from, like a name


Opened = TypeVar("Opened")


def guarded(request: HttpRequest, find: Callable[[], Opened], *, before: bool = False) -> Opened:
    """What a code opens. Guessing is refused after some tries for a quarter of an hour, but to a page that has opened
    before. Raises Closed and TooMany, with what to do."""
    if not before and not AxesProxyHandler.is_allowed(request, GUESSING):
        raise TooMany(say("act-too-many-wrong-codes"), kind="locked_out")
    try:
        return find()
    except player.Closed as closed:
        if closed.kind == "no_such_code":
            AxesProxyHandler.user_login_failed(guarded, GUESSING, request)
        raise


def opened(request: HttpRequest, code: str) -> PlayerScreen:
    """The screen that a code opens."""
    before = request.get_signed_cookie(COOKIE, default="", salt=COOKIE) == code.strip().upper()
    return guarded(request, lambda: player.screen_by(code), before=before)


class PlayerScreenView(APIView):
    permission_classes = [Anyone]
    authentication_classes = []

    @extend_schema(responses=serializer_of(PlayerView), operation_id="player_screen", tags=["player"])
    def get(self, request: Request, code: str) -> Response:
        """What the player may see by now. No sign-in: the code opens it."""
        return _view(opened(request._request, code))

    @extend_schema(
        request=serializer_of(FeltIn),
        responses={201: serializer_of(PlayerView)},
        operation_id="say_feel",
        tags=["player"],
    )
    def post(self, request: Request, code: str) -> Response:
        """What the player says of a build. Sent twice it is said once."""
        screen = opened(request._request, code)
        felt = given(request, FeltIn)
        player.answer(screen.code, felt.build, _said(felt))
        return _view(screen, 201)


def _view(screen: PlayerScreen, status: int = 200) -> Response:
    ready = judged(versioned(screen.shop_id, screen.session_id))
    assert ready.rows.screen is not None
    answer = Response(shown(present_player(ready, ready.rows.screen)), status=status)
    answer.set_signed_cookie(COOKIE, screen.code, salt=COOKIE, httponly=True, samesite="Lax", max_age=24 * 3600)
    return answer
