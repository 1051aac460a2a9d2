"""The API of the blind groove test."""

from __future__ import annotations

from dataclasses import asdict

from common.api import given, serializer_of, shown
from drf_spectacular.utils import extend_schema
from hemicycle_core.said import Said, plain, say
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...actions import grooves
from ...models import BlindGrooves, Build
from ..answers import changed, documented_change
from ..schemas.grooves import BlindGroovesIn, GrooveGuessIn
from ..schemas.soles import LinkLine, LinkOut


class BlindGroovesView(APIView):
    @documented_change(BlindGroovesIn, name="begin_blind_grooves", tags=["grooves"], status=201)
    def post(self, request: Request, session_id: int) -> Response:
        """An old wedge and a fresh one of its loft under two codes."""
        grooves.begin(actor_of(request), session_id, **asdict(given(request, BlindGroovesIn)))
        return changed(request, session_id, 201)


class GrooveGuessView(APIView):
    @documented_change(GrooveGuessIn, name="guess_new_grooves", tags=["grooves"])
    def put(self, request: Request, blind_id: int) -> Response:
        """Which code the player takes for the new one."""
        session = grooves.guess(actor_of(request), blind_id, **asdict(given(request, GrooveGuessIn)))
        return changed(request, session.pk)


class GrooveRevealView(APIView):
    @documented_change(None, name="reveal_grooves", tags=["grooves"])
    def post(self, request: Request, blind_id: int) -> Response:
        """Which is which is told; the shots are those of the wedges from then on."""
        return changed(request, grooves.reveal(actor_of(request), blind_id).pk)


class GrooveGiveUpView(APIView):
    @documented_change(None, name="give_up_grooves", tags=["grooves"])
    def post(self, request: Request, blind_id: int) -> Response:
        """The test ends, and its codes are never told."""
        return changed(request, grooves.give_up(actor_of(request), blind_id).pk)


class GrooveLinkView(APIView):
    @extend_schema(responses=serializer_of(LinkOut), operation_id="groove_link", tags=["grooves"])
    def get(self, request: Request, blind_id: int) -> Response:
        """Which code is which wedge: for whoever set the test up alone, and written down."""
        test = grooves.link(actor_of(request), blind_id)
        lines = [
            LinkLine(at, code.name, plain(test.club(code).known.called), _which(test, code), False)
            for at, code in enumerate(test.codes)
        ]
        answer = Response(shown(LinkOut(lines)))
        answer["Cache-Control"] = "private, no-store"
        return answer


def _which(test: BlindGrooves, code: Build) -> Said:
    return say("groove-code-is-old") if test.club(code) == test.old else say("groove-code-is-new")
