"""The API of the short end."""

from __future__ import annotations

from common.api import serializer_of, shown
from drf_spectacular.utils import OpenApiParameter, extend_schema
from hemicycle_core.errors import BadInput
from hemicycle_core.said import say
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from ...domain.rows import read_rows
from ..answers import row_of
from ..present.wedges import present_sole
from ..schemas.wedges import SoleOut


class SoleView(APIView):
    @extend_schema(
        parameters=[
            OpenApiParameter("sole", str, required=True),
            OpenApiParameter("loft_deg", float, required=True),
        ],
        responses=serializer_of(SoleOut),
        operation_id="sole",
        tags=["bag"],
    )
    def get(self, request: Request, session_id: int) -> Response:
        """The head of the rack that gives a sole in a loft, bent where it is not made in it or not for this hand."""
        session = row_of(request, session_id)
        try:
            loft = float(request.query_params.get("loft_deg", ""))
        except ValueError as error:
            raise BadInput(say("act-give-loft-number"), field="loft_deg") from error
        return Response(shown(present_sole(read_rows(session), request.query_params.get("sole", ""), loft)))
