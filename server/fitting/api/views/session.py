"""The API of sessions."""

from __future__ import annotations

from common.api import given, serializer_of, shown
from common.named import named
from common.pages import OneAfterAnother, Pages
from common.policy import SeenByAll
from django.db.models import Q, QuerySet
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from hemicycle_core.errors import BadInput
from hemicycle_core.said import say
from rest_framework.generics import GenericAPIView
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of, shop_of

from ...actions import bays, sessions
from ...domain.lines import for_lines
from ...models import FittingSession
from ..answers import SINCE, answer, changed, documented_change, seen, session_of
from ..present.session import present_line
from ..schemas.session import AwaitedIn, NewSession, PartnerIn, SessionLine, SessionOut

# Those to go on with are what the desk is opened for.
DONE = Q(agreed_at__isnull=False) | Q(customer__erased_at__isnull=False)
THROWN_AWAY = Q(customer__try_out=True, customer__erased_at__isnull=False)


def _asked_for(request: Request, rows: QuerySet[FittingSession]) -> QuerySet[FittingSession]:
    """Of some sessions those that a list was asked to hold."""
    asked = request.query_params
    rows = named(rows, asked.get("search", ""), "customer__plain_name")
    if state := asked.get("state"):
        rows = rows.filter(DONE) if state == "done" else rows.exclude(DONE)
    for name in ("bay", "fitter"):
        if number := asked.get(name):
            if not number.isdecimal():
                raise BadInput(say("act-name-each-club-number"), field=name)
            rows = rows.filter(**{name: int(number)})
    return rows


class SessionsView(GenericAPIView[FittingSession]):
    permission_classes = [SeenByAll]
    pagination_class = Pages
    serializer_class = serializer_of(SessionLine)

    @extend_schema(
        parameters=[
            OpenApiParameter("search", str, description="Parts of the customer's name."),
            OpenApiParameter(
                "state", str, enum=["open", "done"], description="Those to go on with, or those that are done."
            ),
            OpenApiParameter("bay", OpenApiTypes.INT, description="Of one bay."),
            OpenApiParameter("fitter", OpenApiTypes.INT, description="Of one fitter."),
        ],
        responses=serializer_of(SessionLine)(many=True),
        operation_id="sessions",
        tags=["sessions"],
    )
    def get(self, request: Request) -> Response:
        """Sessions of the shop, those to go on with first, then newest first, a page at a time."""
        rows = _asked_for(request, FittingSession.objects.of(shop_of(request)).exclude(THROWN_AWAY))
        rows = rows.order_by("-held_on", "-id")
        numbers = [query.values_list("pk", flat=True) for query in (rows.exclude(DONE), rows.filter(DONE))]
        page = self.paginate_queryset(OneAfterAnother(*numbers)) or []
        # One that was thrown away meanwhile is on no page.
        lines = for_lines(rows.filter(pk__in=page)).in_bulk()
        return self.get_paginated_response([shown(present_line(lines[each])) for each in page if each in lines])

    @documented_change(NewSession, name="open_session", tags=["sessions"], status=201)
    def post(self, request: Request) -> Response:
        new = given(request, NewSession)
        made = sessions.open_session(actor_of(request), customer_id=new.customer, bay_id=new.bay, held_on=new.held_on)
        return changed(request, made.pk, 201)


class SessionView(APIView):
    @extend_schema(parameters=[SINCE], responses=serializer_of(SessionOut), operation_id="session", tags=["sessions"])
    def get(self, request: Request, session_id: int) -> Response:
        """A session whole, or what changed since a revision that the reader has."""
        return answer(request, session_of(request, session_id), "session")


class AwaitedView(APIView):
    @documented_change(AwaitedIn, name="wait_for", tags=["sessions"], seen=True)
    def put(self, request: Request, session_id: int) -> Response:
        """A contender that is not here yet; empty where none is waited for any longer."""
        sessions.wait_for(actor_of(request), session_id, name=given(request, AwaitedIn).name)
        return seen(request, session_id)


class PartnerView(APIView):
    @documented_change(PartnerIn, name="share_bay", tags=["bay"])
    def put(self, request: Request, session_id: int) -> Response:
        """Whose player hits in turn with this one's in the bay; null for nobody any more."""
        bays.share_bay(actor_of(request), session_id, partner_id=given(request, PartnerIn).session)
        return changed(request, session_id)


class TurnView(APIView):
    @documented_change(None, name="next_up", tags=["bay"])
    def post(self, request: Request, session_id: int) -> Response:
        """This session's player is up, of two who hit in turn. Said again it changes nothing."""
        return changed(request, bays.next_up(actor_of(request), session_id).pk)
