"""The API of the sole test."""

from __future__ import annotations

import io

import segno
from common.api import given, serializer_of, shown
from common.policy import Anyone
from common.problems import Refused
from django.contrib.auth import SESSION_KEY
from django.http import HttpRequest
from drf_spectacular.utils import OpenApiParameter, extend_schema
from hemicycle_core.errors import BadInput
from hemicycle_core.protocols.sole.ask import SoleTest as CoreSoleTest
from hemicycle_core.protocols.sole.clubs import check_clubs
from hemicycle_core.said import say
from rack.models import Shaft
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...actions import hand_out, sole_setup, soles
from ...models import Trial
from ..answers import judged, row_of, session_of
from ..present.soles import present_check, present_choices, present_course, present_hand_out
from ..schemas.soles import (
    CourseNoteIn,
    CourseView,
    HandOutCode,
    HandOutView,
    SoleCheckOut,
    SoleChoicesOut,
    SoleTestIn,
    TapedIn,
)
from ..trials.sole import clubs_of
from .player import guarded


class SoleChoicesView(APIView):
    @extend_schema(
        parameters=[OpenApiParameter("loft_deg", float, required=True), OpenApiParameter("wedge", int)],
        responses=serializer_of(SoleChoicesOut),
        operation_id="sole_choices",
        tags=["soles"],
    )
    def get(self, request: Request, session_id: int) -> Response:
        """What could be in a sole test of one loft."""
        session = session_of(request, session_id)
        try:
            loft = float(request.query_params.get("loft_deg", ""))
            wedge = int(request.query_params.get("wedge") or 0)
        except ValueError as error:
            raise BadInput(say("act-give-loft-number-wedge"), field="loft_deg") from error
        ready = judged(session)
        about = next((build for build in ready.facts.own if build.key == wedge), None)
        shafts = Shaft.objects.of(session.row.shop_id).filter(retired_at=None, fits__contains=["wedge"])
        return Response(shown(present_choices(ready, loft, about, list(shafts))))


class SoleCheckView(APIView):
    @extend_schema(
        request=serializer_of(SoleTestIn),
        responses=serializer_of(SoleCheckOut),
        operation_id="check_sole_test",
        tags=["soles"],
    )
    def post(self, request: Request, session_id: int) -> Response:
        """How long a test would take, and what else differs than the sole; nothing is kept."""
        new, session = given(request, SoleTestIn), row_of(request, session_id)
        clubs = [each.known for each in sole_setup.clubs_of(session, clubs_of(new), new.shaft)]
        check_clubs(clubs)
        count = len(clubs) + (new.repeat is not None)
        twice = (0, 1) if new.repeat is not None else None
        return Response(
            shown(
                present_check(
                    CoreSoleTest(count, tuple(new.places), twice=twice, short=new.short), clubs, new.control_is
                )
            )
        )


class HandOutCodeView(APIView):
    @extend_schema(
        request=None, responses={201: serializer_of(HandOutCode)}, operation_id="open_hand_out", tags=["soles"]
    )
    def post(self, request: Request, trial_id: int) -> Response:
        """A new code for the assistant's page; the one before opens nothing any more."""
        code = hand_out.open_hand_out(actor_of(request), trial_id)
        drawn = io.BytesIO()
        made = segno.make(request.build_absolute_uri(f"/hand-out/{code}"), error="m", micro=False)
        made.save(drawn, kind="svg", scale=6, border=2, dark="#000", light="#fff", xmldecl=False, svgns=True)
        answer = Response(shown(HandOutCode(code, drawn.getvalue().decode())), status=201)
        answer["Cache-Control"] = "private, no-store"
        return answer


DEVICE = "hand-out"


def handed_out(request: HttpRequest, code: str) -> tuple[Trial, str]:
    """The test of an assistant's page, for the one device that has it open, with the name of that device. Refused where
    somebody is signed in, who must not know what the page tells."""
    if SESSION_KEY in request.session:
        raise Refused(
            say("act-somebody-signed-here-page"),
            kind="signed_in",
        )
    device = request.get_signed_cookie(DEVICE, default="", salt=DEVICE) or ""
    return guarded(request, lambda: hand_out.claim(code, device), before=hand_out.has_open(code, device))


def _hand_out_page(test: Trial, device: str) -> Response:
    answer = Response(shown(present_hand_out(soles.sole_of(test))))
    answer["Cache-Control"] = "private, no-store"
    answer.set_signed_cookie(DEVICE, device, salt=DEVICE, httponly=True, samesite="Lax", max_age=24 * 3600)
    return answer


class HandOutPageView(APIView):
    permission_classes = [Anyone]
    authentication_classes = []

    @extend_schema(responses=serializer_of(HandOutView), operation_id="hand_out", tags=["soles"])
    def get(self, request: Request, code: str) -> Response:
        """The assistant's page: which code is which club, and which one is handed next. One device alone has it."""
        return _hand_out_page(*handed_out(request._request, code))

    @extend_schema(
        request=serializer_of(TapedIn), responses=serializer_of(HandOutView), operation_id="tape_code", tags=["soles"]
    )
    def put(self, request: Request, code: str) -> Response:
        """That a code is on its shaft."""
        _, device = handed_out(request._request, code)
        new = given(request, TapedIn)
        return _hand_out_page(hand_out.tape(code, device, number=new.code, taped=new.taped), device)


COURSE = "course"


def _course(request: Request, code: str) -> Trial:
    """The test of a page of the course."""
    before = request.get_signed_cookie(COURSE, default="", salt=COURSE) == code.strip().upper()
    return guarded(request._request, lambda: hand_out.course_by(code), before=before)


def _course_page(test: Trial, status: int = 200) -> Response:
    answer = Response(shown(present_course(soles.sole_of(test))), status=status)
    answer.set_signed_cookie(COURSE, test.course, salt=COURSE, httponly=True, samesite="Lax", max_age=30 * 24 * 3600)
    return answer


class CoursePageView(APIView):
    permission_classes = [Anyone]
    authentication_classes = []

    @extend_schema(responses=serializer_of(CourseView), operation_id="course", tags=["soles"])
    def get(self, request: Request, code: str) -> Response:
        """The player's page of the course. No sign-in: the code opens it."""
        return _course_page(_course(request, code))

    @extend_schema(
        request=serializer_of(CourseNoteIn),
        responses={201: serializer_of(CourseView)},
        operation_id="say_of_course",
        tags=["soles"],
    )
    def post(self, request: Request, code: str) -> Response:
        """What the player writes of a code. Sent twice it is kept once."""
        test = _course(request, code)
        new = given(request, CourseNoteIn)
        hand_out.note_by_code(test.course, new.played_on, new.code, new.place, new.word, first=new.first)
        return _course_page(test, 201)
