"""The API of the short list."""

from __future__ import annotations

from common.api import serializer_of
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from ..answers import answer, session_of
from ..schemas.shortlist import ShortlistOut


class ShortlistView(APIView):
    @extend_schema(responses=serializer_of(ShortlistOut), operation_id="shortlist", tags=["bag"])
    def get(self, request: Request, session_id: int) -> Response:
        """Which heads of the rack should land in the window, ranked."""
        return answer(request, session_of(request, session_id), "shortlist")
