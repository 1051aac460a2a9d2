"""What the desk asks: who is in which bay now, and what to do there next."""

from __future__ import annotations

from dataclasses import replace

from common.api import serializer_of, shown
from common.policy import SeenByAll
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import shop_of
from shop.models import Bay

from ...domain.lines import for_lines
from ...models import BayHold, FittingSession
from ..answers import versioned
from ..once import kept_answer
from ..present.session import place_of_answer, place_of_line
from ..schemas.session import BayNow


class BaysNowView(APIView):
    permission_classes = [SeenByAll]

    @extend_schema(responses=serializer_of(BayNow)(many=True), operation_id="bays_now", tags=["sessions"])
    def get(self, request: Request) -> Response:
        """Every open bay, with the session it serves and the next act there, as far as a screen of it had that worked
        out: nothing is judged for the desk."""
        shop = shop_of(request)
        holds = {hold.bay_id: hold for hold in BayHold.objects.of(shop).select_related("session__customer")}
        lines = for_lines(FittingSession.objects.of(shop)).in_bulk([hold.session_id for hold in holds.values()])
        made = []
        for bay in Bay.objects.of(shop).filter(closed_at=None).order_by("name", "pk"):
            hold = holds.get(bay.pk)
            if hold is None:
                made.append(shown(BayNow(bay.pk, bay.name)))
                continue
            line = BayNow(bay.pk, bay.name, hold.session_id, hold.session.customer.name)
            told = kept_answer(versioned(shop.pk, hold.session_id), "session")
            if told is None:
                made.append(shown(replace(line, next=place_of_line(lines[hold.session_id]))))
            else:
                made.append({**shown(replace(line, next=place_of_answer(told.data))), "act": told.data["next"]})
        return Response(made)
