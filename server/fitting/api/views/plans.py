"""The API of plans."""

from __future__ import annotations

from dataclasses import asdict

from common.api import given, serializer_of
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of, shop_of

from ...actions import plans
from ...models import BagPlan
from ..answers import answer, session_of
from ..schemas.plans import PlanIn, PlansOut


class PlansView(APIView):
    @extend_schema(responses=serializer_of(PlansOut), operation_id="plans", tags=["bag"])
    def get(self, request: Request, session_id: int) -> Response:
        """The bag of today, the best one found, and the plans kept beside them."""
        return answer(request, session_of(request, session_id), "plans")

    @extend_schema(
        request=serializer_of(PlanIn), responses={201: serializer_of(PlansOut)}, operation_id="keep_plan", tags=["bag"]
    )
    def post(self, request: Request, session_id: int) -> Response:
        new = given(request, PlanIn)
        plans.keep_plan(actor_of(request), session_id, plans.PlanChoice(**asdict(new)))
        return answer(request, session_of(request, session_id), "plans", 201)


class PlanView(APIView):
    @extend_schema(
        request=serializer_of(PlanIn), responses=serializer_of(PlansOut), operation_id="change_plan", tags=["bag"]
    )
    def put(self, request: Request, plan_id: int) -> Response:
        new = given(request, PlanIn)
        row = BagPlan.objects.one(shop_of(request), plan_id)
        plans.keep_plan(actor_of(request), row.session_id, plans.PlanChoice(**asdict(new)), plan_id=plan_id)
        return answer(request, session_of(request, row.session_id), "plans")

    @extend_schema(request=None, responses={200: serializer_of(PlansOut)}, operation_id="drop_plan", tags=["bag"])
    def delete(self, request: Request, plan_id: int) -> Response:
        session = plans.drop_plan(actor_of(request), plan_id)
        return answer(request, session_of(request, session.pk), "plans")
