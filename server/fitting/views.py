"""The API of sessions. Views parse, call one action, and show the session as it then is."""

from __future__ import annotations

from dataclasses import asdict, fields

from config.api import actor_of, given, serializer_of, shown
from customers.models import Customer
from django.db.models import Count, Q
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.policy import shop_of

from . import bench_pictures as bp
from . import inputs
from . import pictures as p
from .actions import builds, sessions, shots
from .answers import SessionOut, session_of, shown_whole
from .bench import bench_picture, what_if_picture
from .lines import session_line
from .models import Build, FittingSession, Shot
from .read import load

BRIEF_FIELDS = [each.name for each in fields(sessions.Brief)]
PersonOut = serializer_of(p.PersonPicture)
LineOut = serializer_of(p.SessionLine)
BenchOut = serializer_of(bp.BenchPicture)
WhatIfOut = serializer_of(bp.WhatIfPicture)


class CustomersView(APIView):
    @extend_schema(responses=PersonOut(many=True), operation_id="customers", tags=["customers"])
    def get(self, request: Request) -> Response:
        people = Customer.objects.of(shop_of(request))
        return Response(shown(PersonOut, [p.PersonPicture(c.pk, c.name, c.hand) for c in people], many=True))

    @extend_schema(
        request=inputs.NewCustomerIn, responses={201: PersonOut}, operation_id="add_customer", tags=["customers"]
    )
    def post(self, request: Request) -> Response:
        new = given(request, inputs.NewCustomerIn)
        c = sessions.add_customer(
            actor_of(request),
            name=new.name,
            hand=new.hand,
            birth_year=new.birth_year,
            email=new.email,
            notes=new.notes,
        )
        return Response(shown(PersonOut, p.PersonPicture(c.pk, c.name, c.hand)), status=201)


class SessionsView(APIView):
    @extend_schema(responses=LineOut(many=True), operation_id="sessions", tags=["sessions"])
    def get(self, request: Request) -> Response:
        """Every session of the shop, newest first."""
        rows = (
            FittingSession.objects.of(shop_of(request))
            .select_related("customer", "bay")
            .prefetch_related("recommendations__builds", "recommendations__dropped")
            .annotate(shot_count=Count("shots", filter=Q(shots__run__imported__undone_at=None)))
            .order_by("-held_on", "-id")
        )
        return Response(shown(LineOut, [session_line(row) for row in rows], many=True))

    @extend_schema(
        request=inputs.NewSessionIn, responses={201: SessionOut}, operation_id="open_session", tags=["sessions"]
    )
    def post(self, request: Request) -> Response:
        new = given(request, inputs.NewSessionIn)
        session = sessions.open_session(
            actor_of(request), customer_id=new.customer, bay_id=new.bay, held_on=new.held_on
        )
        return shown_whole(request, session.pk, 201)


class SessionView(APIView):
    @extend_schema(responses=SessionOut, operation_id="session", tags=["sessions"])
    def get(self, request: Request, session_id: int) -> Response:
        return shown_whole(request, session_id)


class BriefView(APIView):
    @extend_schema(request=inputs.BriefIn, responses=SessionOut, operation_id="write_brief", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        new = given(request, inputs.BriefIn)
        brief = sessions.Brief(**{name: getattr(new, name) for name in BRIEF_FIELDS})
        sessions.write_brief(actor_of(request), session_id, brief)
        return shown_whole(request, session_id)


class SettingsView(APIView):
    @extend_schema(request=inputs.SettingIn, responses={201: SessionOut}, operation_id="new_setting", tags=["bay"])
    def post(self, request: Request, build_id: int) -> Response:
        """The same build at another sleeve setting, as a build of its own."""
        setting = given(request, inputs.SettingIn)
        build = builds.new_setting(actor_of(request), build_id, set_loft_deg=setting.set_loft_deg)
        return shown_whole(request, build.session_id, 201)


class InHandView(APIView):
    @extend_schema(request=inputs.InHandIn, responses=SessionOut, operation_id="take_in_hand", tags=["bay"])
    def put(self, request: Request, session_id: int) -> Response:
        builds.take_in_hand(actor_of(request), session_id, build_id=given(request, inputs.InHandIn).build)
        return shown_whole(request, session_id)


class ShotAsideView(APIView):
    @extend_schema(request=inputs.AsideIn, responses=SessionOut, operation_id="set_aside", tags=["bay"])
    def put(self, request: Request, shot_id: int) -> Response:
        new = given(request, inputs.AsideIn)
        shot = shots.set_aside(actor_of(request), shot_id, aside=new.aside, reason=new.reason)
        return shown_whole(request, shot.session_id)


class ShotStrikeView(APIView):
    @extend_schema(request=inputs.StrikeIn, responses=SessionOut, operation_id="call_strike", tags=["bay"])
    def put(self, request: Request, shot_id: int) -> Response:
        shot = shots.call_strike(actor_of(request), shot_id, strike=given(request, inputs.StrikeIn).strike)
        return shown_whole(request, shot.session_id)


class ShotCountsView(APIView):
    @extend_schema(request=inputs.CountsIn, responses=SessionOut, operation_id="say_what_counts", tags=["bay"])
    def put(self, request: Request, shot_id: int) -> Response:
        new = given(request, inputs.CountsIn)
        shot = shots.say_what_counts(actor_of(request), shot_id, **asdict(new))
        return shown_whole(request, shot.session_id)


class IntentView(APIView):
    @extend_schema(request=inputs.IntentIn, responses=SessionOut, operation_id="want_shot", tags=["bay"])
    def put(self, request: Request, session_id: int) -> Response:
        """What the player means to hit from now on."""
        sessions.want_shot(actor_of(request), session_id, intent=given(request, inputs.IntentIn).intent)
        return shown_whole(request, session_id)


class ShotMoveView(APIView):
    @extend_schema(request=inputs.MoveIn, responses=SessionOut, operation_id="move_shot", tags=["bay"])
    def put(self, request: Request, shot_id: int) -> Response:
        shot: Shot = shots.move_shot(actor_of(request), shot_id, build_id=given(request, inputs.MoveIn).build)
        return shown_whole(request, shot.session_id)


class BenchView(APIView):
    @extend_schema(responses=BenchOut, operation_id="bench", tags=["bench"])
    def get(self, request: Request, session_id: int) -> Response:
        return Response(shown(BenchOut, bench_picture(load(session_of(request, session_id)))))


class WhatIfView(APIView):
    @extend_schema(responses=WhatIfOut, operation_id="what_if", tags=["bench"])
    def get(self, request: Request, build_id: int) -> Response:
        """What a turn, a bend, a length or a weight would do to this build, from its own shots."""
        build = Build.objects.select_related("head").one(shop_of(request), build_id)
        return Response(shown(WhatIfOut, what_if_picture(load(session_of(request, build.session_id)), build)))
