"""What the desk asks: who is in which bay now, and what to do there next."""

from __future__ import annotations

from common.api import serializer_of, shown
from common.policy import SeenByAll
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import shop_of
from shop.models import Bay

from ...models import BayHold
from ..answers import answered, versioned
from ..present.session import next_place
from ..schemas.session import BayNow


class BaysNowView(APIView):
    permission_classes = [SeenByAll]

    @extend_schema(responses=serializer_of(BayNow)(many=True), operation_id="bays_now", tags=["sessions"])
    def get(self, request: Request) -> Response:
        """Every open bay, with the session it serves and the next act there."""
        shop = shop_of(request)
        holds = {hold.bay_id: hold for hold in BayHold.objects.of(shop).select_related("session__customer")}
        made = []
        for bay in Bay.objects.of(shop).filter(closed_at=None).order_by("name", "pk"):
            hold = holds.get(bay.pk)
            if hold is None:
                made.append(shown(BayNow(bay.pk, bay.name)))
                continue
            now = answered(versioned(shop.pk, hold.session_id), "session")
            line = BayNow(bay.pk, bay.name, hold.session_id, hold.session.customer.name, next_place(now))
            made.append({**shown(line), "act": now["next"]})
        return Response(made)
