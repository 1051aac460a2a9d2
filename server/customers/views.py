"""The API of customers."""

from __future__ import annotations

from dataclasses import asdict

from common.api import given, serializer_of, shown
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of, shop_of

from .actions import add_customer
from .models import Customer
from .schemas import NewCustomer, Person, person

MOST_FOUND = 20


class CustomersView(APIView):
    @extend_schema(
        parameters=[OpenApiParameter("search", str, description="Part of the name.")],
        responses=serializer_of(Person)(many=True),
        operation_id="customers",
        tags=["customers"],
    )
    def get(self, request: Request) -> Response:
        """Customers by name, the first twenty that are found."""
        wanted = " ".join(request.query_params.get("search", "").split())
        people = Customer.objects.of(shop_of(request)).filter(name__icontains=wanted, merged_into=None, erased_at=None)[
            :MOST_FOUND
        ]
        return Response(shown([person(each) for each in people]))

    @extend_schema(
        request=serializer_of(NewCustomer),
        responses={201: serializer_of(Person)},
        operation_id="add_customer",
        tags=["customers"],
    )
    def post(self, request: Request) -> Response:
        new = given(request, NewCustomer)
        return Response(shown(person(add_customer(actor_of(request), **asdict(new)))), status=201)
