"""The API of the pad beside the bay: clubs are handed and shots typed, by a fitter or by whoever assists."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, TypeVar

from common.api import given, serializer_of, shown
from common.policy import Assisting
from drf_spectacular.utils import extend_schema
from hemicycle_core.errors import BadInput
from hemicycle_core.said import say
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...actions import acts, builds, shots
from ..answers import answered, session_of
from ..present.pad import present_pad
from ..schemas.bay import InHandIn, TypedIn
from ..schemas.pad import PadOut, ShotOnPad

View = TypeVar("View", bound=Callable[..., Response])


def documented(body: type[Any] | None, name: str, status: int = 200) -> Callable[[View], View]:
    mark: Callable[[View], View] = extend_schema(
        request=None if body is None else serializer_of(body),
        responses={status: serializer_of(PadOut)},
        operation_id=name,
        tags=["pad"],
    )
    return mark


def _pad(request: Request, session_id: int, status: int = 200) -> Response:
    return Response(shown(present_pad(answered(session_of(request, session_id), "session"))), status=status)


class PadView(APIView):
    permission_classes = [Assisting]

    @documented(None, "pad")
    def get(self, request: Request, session_id: int) -> Response:
        """Any of the shop's people."""
        return _pad(request, session_id)

    @documented(TypedIn, "type_on_pad", 201)
    def post(self, request: Request, session_id: int) -> Response:
        """A shot as it is read off a screen."""
        new = given(request, TypedIn)
        shots.type_in(actor_of(request), session_id, build_id=new.build, readings=shots.read_off(new))
        return _pad(request, session_id, 201)

    @documented(None, "undo_on_pad")
    def delete(self, request: Request, session_id: int) -> Response:
        """Take the last thing back that whoever asks did in this session."""
        acts.undo(actor_of(request), session_id)
        return _pad(request, session_id)


class PadHandView(APIView):
    permission_classes = [Assisting]

    @documented(InHandIn, "hand_club")
    def put(self, request: Request, session_id: int) -> Response:
        """Hand a club: shots go to it from now on."""
        builds.take_in_hand(actor_of(request), session_id, build_id=given(request, InHandIn).build)
        return _pad(request, session_id)


class PadShotView(APIView):
    permission_classes = [Assisting]

    @documented(ShotOnPad, "say_on_pad")
    def patch(self, request: Request, shot_id: int) -> Response:
        """Set a shot aside, bring it back, or say how it was struck."""
        said, actor = given(request, ShotOnPad), actor_of(request)
        if said.aside is None and "strike" not in request.data:
            raise BadInput(say("act-say-whether-set-aside"), field="strike")
        if said.aside is not None:
            shot = shots.set_aside(actor, shot_id, aside=said.aside, reason=str(say("aside-on-the-pad")))
        else:
            shot = shots.call_strike(actor, shot_id, strike=said.strike)
        return _pad(request, shot.session_id)
