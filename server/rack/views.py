"""The rack, as a list to pick candidates from."""

from __future__ import annotations

from dataclasses import dataclass

from common.api import serializer_of, shown
from common.policy import shop_of
from drf_spectacular.utils import extend_schema
from hemicycle_core.bag import HeadType
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from .models import Head, Shaft


@dataclass
class HeadOut:
    """shafts: by id, those that go into this head."""

    id: int
    maker: str
    model: str
    label: str
    head_type: HeadType
    loft_deg: float
    length_m: float
    sleeve_deg: float
    left_handed: bool
    sole: str
    stock: int
    price: str
    shafts: list[int]


@dataclass
class ShaftOut:
    id: int
    name: str
    flex: str
    weight_g: int
    material: str


@dataclass
class RackOut:
    heads: list[HeadOut]
    shafts: list[ShaftOut]


class RackView(APIView):
    @extend_schema(responses=serializer_of(RackOut), operation_id="rack", tags=["rack"])
    def get(self, request: Request) -> Response:
        shop = shop_of(request)
        shafts = list(Shaft.objects.of(shop))
        heads = [
            HeadOut(
                id=head.pk,
                maker=head.maker,
                model=head.model,
                label=head.label,
                head_type=HeadType(head.head_type),
                loft_deg=head.loft_deg,
                length_m=head.length_m,
                sleeve_deg=head.sleeve_deg,
                left_handed=head.left_handed,
                sole=head.sole,
                stock=head.stock,
                price=str(head.price),
                shafts=[shaft.pk for shaft in shafts if shaft.goes_into(head)],
            )
            for head in Head.objects.of(shop)
        ]
        lines = [ShaftOut(shaft.pk, shaft.name, shaft.flex, shaft.weight_g, shaft.material) for shaft in shafts]
        return Response(shown(RackOut(heads, lines)))
