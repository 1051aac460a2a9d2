"""The API of the stop test."""

from __future__ import annotations

from dataclasses import asdict

from common.api import given
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...actions import stops
from ..answers import changed, documented_change
from ..schemas.stops import StopAsideIn, StopGreenIn, StopSeenIn


class StopGreenView(APIView):
    @documented_change(StopGreenIn, name="set_stop_green", tags=["bay"])
    def put(self, request: Request, session_id: int) -> Response:
        """What the stop test is played to from now on."""
        stops.set_green(actor_of(request), session_id, **asdict(given(request, StopGreenIn)))
        return changed(request, session_id)


class StopSeenView(APIView):
    @documented_change(StopSeenIn, name="see_stop", tags=["bay"], status=201)
    def post(self, request: Request, session_id: int) -> Response:
        """A ball that was seen to land and to stop, or a group paced together."""
        seen = asdict(given(request, StopSeenIn))
        stops.see(actor_of(request), session_id, build_id=seen.pop("build"), **seen)
        return changed(request, session_id, 201)


class StopAsideView(APIView):
    @documented_change(StopAsideIn, name="set_stop_aside", tags=["bay"])
    def put(self, request: Request, seen_id: int) -> Response:
        """Whether a ball of the stop test counts."""
        session = stops.set_aside(actor_of(request), seen_id, aside=given(request, StopAsideIn).aside)
        return changed(request, session.pk)
