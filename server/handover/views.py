"""The API of the handover."""

from __future__ import annotations

from datetime import timedelta

from common.api import given, serializer_of, shown
from django.db.models import Exists, F, OuterRef, Q
from django.db.models.functions import Coalesce
from django.utils import timezone
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from fitting.api.answers import judged, session_of
from hemicycle_core.answers.sets import HeadOfSet, SetAsked
from hemicycle_core.errors import BadInput
from hemicycle_core.followup import DUE_WITHIN_DAYS
from hemicycle_core.said import say
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of, shop_of

from .actions import agree, correct
from .chosen import choice_of
from .models import Recommendation
from .present import present_handover
from .schemas import AgreeIn, CheckDue, ChecksDue, ChosenOut, HandoverOut


class HandoverView(APIView):
    @extend_schema(responses=serializer_of(HandoverOut), operation_id="handover", tags=["handover"])
    def get(self, request: Request, session_id: int) -> Response:
        return Response(shown(present_handover(judged(session_of(request, session_id)))))

    @extend_schema(
        request=serializer_of(AgreeIn),
        responses={201: serializer_of(HandoverOut)},
        operation_id="agree",
        tags=["handover"],
    )
    def post(self, request: Request, session_id: int) -> Response:
        """Agree; from then on the session does not change. With a correction: a new edition of what was agreed."""
        wanted = given(request, AgreeIn)
        (correct if wanted.correction else agree)(actor_of(request), session_id, wanted)
        return Response(shown(present_handover(judged(session_of(request, session_id)))), status=201)


def _ids(request: Request, name: str) -> list[int]:
    """The numbers of a repeated parameter."""
    try:
        return [int(value) for value in request.query_params.getlist(name)]
    except ValueError as error:
        raise BadInput(say("act-name-each-club-number"), field=name) from error


def _set(request: Request) -> SetAsked | None:
    """The set that is asked for; None of none."""
    if not (build := _ids(request, "set_of")):
        return None
    heads, bends = _ids(request, "set_heads"), _degrees(request, "set_bends")
    if bends and len(bends) != len(heads):
        raise BadInput(say("act-name-each-club-number"), field="set_bends")
    there = tuple(HeadOfSet(*each) for each in zip(heads, bends or [0.0] * len(heads), strict=True))
    through = {name: (_degrees(request, f"set_{name}") or [0.0])[0] for name in ("loft", "lie")}
    return SetAsked(build[0], there, through["loft"], through["lie"])


def _degrees(request: Request, name: str) -> list[float]:
    try:
        return [float(value) for value in request.query_params.getlist(name)]
    except ValueError as error:
        raise BadInput(say("act-set-degrees"), field=name) from error


class DraftView(APIView):
    @extend_schema(
        parameters=[
            OpenApiParameter("builds", OpenApiTypes.INT, many=True, description="Candidates that come in."),
            OpenApiParameter("dropped", OpenApiTypes.INT, many=True, description="Own clubs that leave."),
            OpenApiParameter("set_of", OpenApiTypes.INT, description="Of a set, the iron that was hit."),
            OpenApiParameter("set_heads", OpenApiTypes.INT, many=True, description="Its heads, of the rack."),
            OpenApiParameter(
                "set_bends", OpenApiTypes.FLOAT, many=True, description="What each alone is bent, degrees."
            ),
            OpenApiParameter("set_loft", OpenApiTypes.FLOAT, description="Weaker through the set, degrees."),
            OpenApiParameter("set_lie", OpenApiTypes.FLOAT, description="More upright through the set, degrees."),
        ],
        responses=serializer_of(ChosenOut),
        operation_id="handover_draft",
        tags=["handover"],
    )
    def get(self, request: Request, session_id: int) -> Response:
        """What a choice would make of the bag; without parameters, keeping what is there."""
        session = judged(session_of(request, session_id))
        return Response(shown(choice_of(session, _ids(request, "builds"), _ids(request, "dropped"), _set(request))))


class ChecksDueView(APIView):
    @extend_schema(responses=serializer_of(ChecksDue), operation_id="checks_due", tags=["handover"])
    def get(self, request: Request) -> Response:
        """Customers whose next check falls due, by what was agreed with each last."""
        agreed = (
            Recommendation.objects.of(shop_of(request))
            .filter(session__customer__erased_at=None, session__customer__try_out=False)
            .annotate(person=Coalesce("session__customer__merged_into", "session__customer"), day=F("session__held_on"))
        )
        later = agreed.filter(person=OuterRef("person")).filter(
            Q(day__gt=OuterRef("day"))
            | Q(day=OuterRef("day"), session__gt=OuterRef("session"))
            | Q(day=OuterRef("day"), session=OuterRef("session"), edition__gt=OuterRef("edition"))
        )
        until = timezone.localdate() + timedelta(days=DUE_WITHIN_DAYS)
        due = (
            agreed.filter(next_check__lte=until)
            .exclude(Exists(later))
            .order_by("next_check", "person")
            .values_list("session", "session__customer__name", "next_check")
        )
        return Response(
            shown(ChecksDue(DUE_WITHIN_DAYS, [CheckDue(session, name, day) for session, name, day in due if day]))
        )
