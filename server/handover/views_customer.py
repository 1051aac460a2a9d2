"""The API of one customer: their data and visits, merged, exported and erased."""

from __future__ import annotations

import re
from dataclasses import asdict, dataclass
from datetime import date

from common.api import given, serializer_of, shown
from common.policy import may
from customers.actions import edit_customer
from customers.models import Customer
from customers.schemas import NewCustomer, units_of
from django.http import HttpResponse
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from fitting.api.present.session import present_line
from fitting.api.schemas.session import SessionLine
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of, shop_of
from shop.own_units import OwnUnits

from . import customer_data, erasing


@dataclass
class MergedLine:
    id: int
    name: str


@dataclass
class CustomerOut:
    """erased: the person is gone; the visits are figures. may_erase: whether who asks may. merged: those found to be
    the same person. units: of their papers, None for those of whoever prints them."""

    id: int
    name: str
    hand: str
    birth_year: int | None
    email: str
    notes: str
    units: OwnUnits | None
    known_since: date
    erased: bool
    may_erase: bool
    merged: list[MergedLine]
    visits: list[SessionLine]


@dataclass
class MergeIn:
    """other: the customer who is the same person."""

    other: int


def _customer(request: Request, customer_id: int) -> Response:
    found = Customer.objects.one(shop_of(request), customer_id)
    answer = CustomerOut(
        id=found.pk,
        name=found.name,
        hand=found.hand,
        birth_year=found.birth_year,
        email=found.email,
        notes=found.notes,
        units=units_of(found),
        known_since=found.created_at.date(),
        erased=found.erased_at is not None,
        may_erase=may(request.user, "own"),
        merged=[MergedLine(each.pk, each.name) for each in found.merged.all()],
        visits=[present_line(each) for each in customer_data.sessions_of(found)],
    )
    return Response(shown(answer))


class CustomerView(APIView):
    @extend_schema(responses=serializer_of(CustomerOut), operation_id="customer", tags=["customers"])
    def get(self, request: Request, customer_id: int) -> Response:
        return _customer(request, customer_id)

    @extend_schema(
        request=serializer_of(NewCustomer),
        responses=serializer_of(CustomerOut),
        operation_id="edit_customer",
        tags=["customers"],
    )
    def put(self, request: Request, customer_id: int) -> Response:
        edit_customer(actor_of(request), customer_id, **asdict(given(request, NewCustomer)))
        return _customer(request, customer_id)

    @extend_schema(responses={200: serializer_of(CustomerOut)}, operation_id="erase_customer", tags=["customers"])
    def delete(self, request: Request, customer_id: int) -> Response:
        """Owners only, and for good: visits stay as figures without a person."""
        erasing.erase(actor_of(request), customer_id)
        return _customer(request, customer_id)


class MergeView(APIView):
    @extend_schema(
        request=serializer_of(MergeIn),
        responses=serializer_of(CustomerOut),
        operation_id="merge_customer",
        tags=["customers"],
    )
    def post(self, request: Request, customer_id: int) -> Response:
        """Another customer is this one too."""
        customer_data.merge(actor_of(request), customer_id, other_id=given(request, MergeIn).other)
        return _customer(request, customer_id)

    @extend_schema(responses={200: serializer_of(CustomerOut)}, operation_id="part_customer", tags=["customers"])
    def delete(self, request: Request, customer_id: int) -> Response:
        """Take it back: this customer, who was merged into another, stands alone again."""
        customer_data.part(actor_of(request), customer_id)
        return _customer(request, customer_id)


class ExportView(APIView):
    @extend_schema(
        responses={(200, "application/zip"): OpenApiTypes.BINARY}, operation_id="export_customer", tags=["customers"]
    )
    def get(self, request: Request, customer_id: int) -> HttpResponse:
        """Everything on record of a person: a page, their shots as CSV, each visit as a bundle."""
        packed = customer_data.export(actor_of(request), customer_id)
        name = Customer.objects.one(shop_of(request), customer_id).name
        plain = re.sub(r"[^a-z0-9]+", "-", name.lower()).strip("-") or "customer"
        return HttpResponse(
            packed,
            content_type="application/zip",
            headers={
                "Content-Disposition": f'attachment; filename="{plain}.zip"',
                "Cache-Control": "private, no-store",
            },
        )
