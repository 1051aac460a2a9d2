"""The API of the handover."""

from __future__ import annotations

from typing import Any, Literal, cast

from config.api import actor_of, given, serializer_of, shown
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from fitting.models import FittingSession
from fitting.read import load
from hemicycle_core.bag.gaps import RULE_WORDS
from hemicycle_core.errors import BadInput
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.policy import shop_of

from . import pictures as p
from .actions import agree
from .draft import CAUTIONS, bag_side, draft, plan_lines, suggestion, tested
from .models import Recommendation

HandoverOut = serializer_of(p.HandoverPicture)
AgreeIn = serializer_of(p.AgreeInput)
ChoiceOut = serializer_of(p.Choice)
BagSideIn = serializer_of(p.BagSide)


def _read(serializer: Any, data: dict[str, Any]) -> Any:
    made = serializer(data=data)
    made.is_valid(raise_exception=True)
    return made.validated_data


def _agreed(row: Recommendation) -> p.AgreedPicture:
    return p.AgreedPicture(
        revision=row.revision,
        decision=cast(Literal["buy", "drop", "keep"], row.decision),
        agreed_at=row.agreed_at,
        agreed_by=row.agreed_by.get_full_name() or row.agreed_by.username,
        reasons=row.reasons,
        next_check=row.next_check,
        runner_up=f"{row.runner_up.letter} {row.runner_up.name}" if row.runner_up else "",
        choice=_read(ChoiceOut, row.picture["choice"]),
        before=_read(BagSideIn, row.picture["before"]),
    )


def _handover(session: FittingSession) -> p.HandoverPicture:
    loaded = load(session)
    rows = [_agreed(row) for row in session.recommendations.select_related("agreed_by", "runner_up")]
    builds, leave, why = ([], [], "") if rows else suggestion(loaded)
    return p.HandoverPicture(
        session=session.pk,
        customer=session.customer.name,
        shop=session.shop.name,
        held_on=session.held_on,
        rule_words=RULE_WORDS[loaded.rules.long],
        before=bag_side(loaded),
        tested=[] if rows else tested(loaded),
        plans=[] if rows else plan_lines(loaded, session.plans.prefetch_related("builds")),
        suggested=builds,
        suggested_drop=leave,
        suggestion=why,
        draft=rows[0].choice if rows else draft(loaded, builds, leave),
        agreed=rows[0] if rows else None,
        earlier=rows[1:],
        cautions=CAUTIONS,
    )


def _session(request: Request, session_id: int) -> FittingSession:
    return FittingSession.objects.select_related("customer", "shop").one(shop_of(request), session_id)


class HandoverView(APIView):
    @extend_schema(responses=HandoverOut, operation_id="handover", tags=["handover"])
    def get(self, request: Request, session_id: int) -> Response:
        return Response(shown(HandoverOut, _handover(_session(request, session_id))))

    @extend_schema(request=AgreeIn, responses={201: HandoverOut}, operation_id="agree", tags=["handover"])
    def post(self, request: Request, session_id: int) -> Response:
        """Agree. From then on the session does not change."""
        agree(actor_of(request), session_id, given(request, AgreeIn))
        return Response(shown(HandoverOut, _handover(_session(request, session_id))), status=201)


def _ids(request: Request, name: str) -> list[int]:
    """The numbers of a repeated parameter."""
    try:
        return [int(value) for value in request.query_params.getlist(name)]
    except ValueError as error:
        raise BadInput("Name each club by its number.", field=name) from error


class DraftView(APIView):
    @extend_schema(
        parameters=[
            OpenApiParameter("builds", OpenApiTypes.INT, many=True, description="Candidates that come in."),
            OpenApiParameter("dropped", OpenApiTypes.INT, many=True, description="Own clubs that leave."),
        ],
        responses=ChoiceOut,
        operation_id="handover_draft",
        tags=["handover"],
    )
    def get(self, request: Request, session_id: int) -> Response:
        """What a choice would make of the bag; without parameters, keeping what is there."""
        loaded = load(_session(request, session_id))
        return Response(shown(ChoiceOut, draft(loaded, _ids(request, "builds"), _ids(request, "dropped"))))
