"""The API of customers."""

from __future__ import annotations

from dataclasses import asdict

from common.api import given, serializer_of, shown
from common.named import named
from common.pages import Pages
from django.db.models import Count, Max, QuerySet
from django.db.models.functions import Greatest
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.generics import GenericAPIView
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of, shop_of

from .actions import add_customer
from .models import Customer
from .schemas import BookLine, NewCustomer, Person, book_line, person

MOST_FOUND = 20


class BookView(GenericAPIView[Customer]):
    pagination_class = Pages
    serializer_class = serializer_of(BookLine)

    @extend_schema(
        parameters=[OpenApiParameter("search", str, description="Parts of the name, with or without accents.")],
        responses=serializer_of(BookLine)(many=True),
        operation_id="customer_book",
        tags=["customers"],
    )
    def get(self, request: Request) -> Response:
        """Every customer by name, a page at a time, with when each was here last."""
        people = named(_people(request).filter(try_out=False), request.query_params.get("search", ""))
        page = self.paginate_queryset(people.order_by("name", "pk")) or []
        # Who was merged into another was here as that one.
        seen = Customer.objects.of(shop_of(request)).filter(pk__in=[each.pk for each in page])
        visits = seen.annotate(
            many=Count("sessions", distinct=True) + Count("merged__sessions", distinct=True),
            last=Greatest(Max("sessions__held_on"), Max("merged__sessions__held_on")),
        ).in_bulk()
        lines = [book_line(each, visits[each.pk].many, visits[each.pk].last) for each in page if each.pk in visits]
        return self.get_paginated_response([shown(each) for each in lines])


def _people(request: Request) -> QuerySet[Customer]:
    return Customer.objects.of(shop_of(request)).filter(merged_into=None, erased_at=None)


class CustomersView(APIView):
    @extend_schema(
        parameters=[OpenApiParameter("search", str, description="Part of the name.")],
        responses=serializer_of(Person)(many=True),
        operation_id="customers",
        tags=["customers"],
    )
    def get(self, request: Request) -> Response:
        """Customers by name, the first twenty that are found."""
        people = named(_people(request), request.query_params.get("search", ""))[:MOST_FOUND]
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
