"""The API of try-outs."""

from __future__ import annotations

from dataclasses import dataclass

from common.api import given
from drf_spectacular.utils import extend_schema
from fitting.api.answers import changed, documented_change
from handover.erasing import throw_away
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from .try_out import begin


@dataclass
class TryOutIn:
    bay: int


class TryOutsView(APIView):
    @documented_change(TryOutIn, name="try_out", tags=["sessions"], status=201)
    def post(self, request: Request) -> Response:
        """A visit of somebody who is nobody, whom the stand-in hits for."""
        return changed(request, begin(actor_of(request), bay_id=given(request, TryOutIn).bay).pk, 201)


class TryOutView(APIView):
    @extend_schema(responses={204: None}, operation_id="throw_away", tags=["sessions"])
    def delete(self, request: Request, customer_id: int) -> Response:
        """Throw a try-out away, with its visits."""
        throw_away(actor_of(request), customer_id)
        return Response(status=204)
