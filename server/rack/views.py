"""The rack: to pick candidates from, and for the owner to keep."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Any, Literal, TypeVar

from common.api import given, serializer_of, shown
from common.policy import may
from django.db.models import Count, Q
from django.http import HttpResponse
from drf_spectacular.utils import OpenApiResponse, extend_schema
from hemicycle_core.bag import HeadType
from hemicycle_core.formats.rack_csv import heads_csv, shafts_csv
from hemicycle_core.rack.eligible import Position
from hemicycle_core.rack.stock import Bend, HeadSpec, Made, MadeForHand, ShaftSpec
from hemicycle_core.said import Said
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of, shop_of

from . import actions
from .models import DEPARTURES, Head, Shaft, mean_departures

What = Literal["heads", "shafts"]


@dataclass
class HeadHistory:
    """players: of this shop, who hit the head in an agreed session; won: how often it was chosen. speed_share,
    launch_deg, spin_share: what it did beside what was expected of it, on average; None where nobody hit it."""

    players: int
    won: int
    speed_share: float | None
    launch_deg: float | None
    spin_share: float | None


@dataclass
class HeadOut:
    """shafts: by id, those that go into this head. lofts_deg: what its sleeve offers. retired: off the rack."""

    id: int
    maker: str
    model: str
    label: str
    head_type: HeadType
    loft_deg: float
    lie_deg: float | None
    length_m: float
    length_in: float
    sleeve_deg: float
    positions: list[Position]
    lofts_deg: list[float]
    tip_in: float
    hand: MadeForHand
    left_handed: bool
    right_handed: bool
    sole: str
    bounce_deg: float | None
    head_g: int | None
    made: Made
    stock: int
    price: str
    shafts: list[int]
    retired: bool
    history: HeadHistory


@dataclass
class ShaftOut:
    id: int
    name: str
    flex: str
    weight_g: int
    material: str
    tip_in: float
    fits: list[HeadType]
    bend: Bend
    balance: float | None
    length_in: float | None
    stock: int
    retired: bool


@dataclass
class RackOut:
    may_change: bool
    heads: list[HeadOut]
    shafts: list[ShaftOut]


@dataclass
class HeadIn:
    """Lengths in inches, as racks are labelled."""

    maker: str
    model: str
    label: str
    head_type: HeadType
    loft_deg: float
    length_in: float
    price: float
    lie_deg: float | None = None
    sleeve_deg: float = 0.0
    positions: list[Position] = field(default_factory=list)
    tip_in: float = 0.37
    hand: MadeForHand = MadeForHand.BOTH
    sole: str = ""
    bounce_deg: float | None = None
    head_g: int | None = None
    made: Made = Made.UNKNOWN
    stock: int = 1


@dataclass
class ShaftIn:
    name: str
    flex: str
    weight_g: int
    material: str
    tip_in: float
    fits: list[HeadType]
    bend: Bend = Bend.UNKNOWN
    balance: float | None = None
    length_in: float | None = None
    stock: int = 1


@dataclass
class RetiredIn:
    retired: bool


@dataclass
class RackFileIn:
    """what: heads or shafts. only_look: change nothing, tell what would go in."""

    what: What
    text: str
    only_look: bool = True


@dataclass
class RackProblem:
    line: int
    column: str
    sentence: Said


@dataclass
class UsualIn:
    """Kinds of head to start a rack from."""

    kinds: list[HeadType]


@dataclass
class RackFileOut:
    """rows: that can go in; added, changed: of those that went in, 0 when only looked at."""

    rows: int
    added: int
    changed: int
    problems: list[RackProblem]


def _head(head: Any, shafts: list[Shaft]) -> HeadOut:
    """head: with what was seen of it."""
    spec = head.spec
    return HeadOut(
        id=head.pk,
        maker=head.maker,
        model=head.model,
        label=head.label,
        head_type=HeadType(head.head_type),
        loft_deg=head.loft_deg,
        lie_deg=head.lie_deg,
        length_m=head.length_m,
        length_in=spec.length_in,
        sleeve_deg=head.sleeve_deg,
        positions=list(spec.positions),
        lofts_deg=head.for_core.lofts_deg,
        tip_in=head.tip_in,
        hand=spec.hand,
        left_handed=head.left_handed,
        right_handed=head.right_handed,
        sole=head.sole,
        bounce_deg=head.bounce_deg,
        head_g=head.head_g,
        made=Made(head.made),
        stock=head.stock,
        price=str(head.price),
        shafts=[shaft.pk for shaft in shafts if shaft.goes_into(head) and shaft.stock and shaft.retired_at is None],
        retired=head.retired_at is not None,
        history=HeadHistory(head.players, head.times_won, *(getattr(head, name) for name in DEPARTURES)),
    )


def _shaft(shaft: Shaft) -> ShaftOut:
    kept = {name: value for name, value in vars(shaft.spec).items() if name != "fits"}
    return ShaftOut(id=shaft.pk, fits=list(shaft.spec.fits), retired=shaft.retired_at is not None, **kept)


def _rack(request: Request) -> Response:
    shop = shop_of(request)
    shafts = list(Shaft.objects.of(shop))
    told = mean_departures("seen__") | {"players": Count("seen"), "times_won": Count("seen", filter=Q(seen__won=True))}
    # What is counted per head is in no order but the one that is asked for.
    heads = [
        _head(head, shafts)
        for head in Head.objects.of(shop).annotate(**told).order_by("loft_deg", "head_type", "maker", "id")
    ]
    answer = RackOut(may(request.user, "own"), heads, [_shaft(each) for each in shafts])
    return Response(shown(answer))


View = TypeVar("View", bound=Callable[..., Response])


def documented(body: type[Any], name: str) -> Callable[[View], View]:
    """How the API document names a change of the rack, which answers with the rack."""
    mark: Callable[[View], View] = extend_schema(
        request=serializer_of(body), responses=serializer_of(RackOut), operation_id=name, tags=["rack"]
    )
    return mark


class RackView(APIView):
    @extend_schema(responses=serializer_of(RackOut), operation_id="rack", tags=["rack"])
    def get(self, request: Request) -> Response:
        """The whole rack with what was taken off it."""
        return _rack(request)


class HeadsView(APIView):
    @documented(HeadIn, "add_head")
    def post(self, request: Request) -> Response:
        """Owners only."""
        actions.add_head(actor_of(request), _head_spec(given(request, HeadIn)))
        return _rack(request)


class HeadView(APIView):
    @documented(HeadIn, "change_head")
    def put(self, request: Request, head_id: int) -> Response:
        """Owners only. Builds made of it stay as they were hit."""
        actions.change_head(actor_of(request), head_id, _head_spec(given(request, HeadIn)))
        return _rack(request)

    @documented(RetiredIn, "retire_head")
    def patch(self, request: Request, head_id: int) -> Response:
        """Owners only: off the rack, or back on it."""
        actions.retire_head(actor_of(request), head_id, retired=given(request, RetiredIn).retired)
        return _rack(request)


class UsualView(APIView):
    @documented(UsualIn, "start_from_usual")
    def post(self, request: Request) -> Response:
        """Owners only: the usual lofts of some kinds, without names, and shafts that go into them."""
        actions.start_from_usual(actor_of(request), given(request, UsualIn).kinds)
        return _rack(request)


class ShaftsView(APIView):
    @documented(ShaftIn, "add_shaft")
    def post(self, request: Request) -> Response:
        """Owners only."""
        actions.add_shaft(actor_of(request), _shaft_spec(given(request, ShaftIn)))
        return _rack(request)


class ShaftView(APIView):
    @documented(ShaftIn, "change_shaft")
    def put(self, request: Request, shaft_id: int) -> Response:
        """Owners only."""
        actions.change_shaft(actor_of(request), shaft_id, _shaft_spec(given(request, ShaftIn)))
        return _rack(request)

    @documented(RetiredIn, "retire_shaft")
    def patch(self, request: Request, shaft_id: int) -> Response:
        """Owners only: off the rack, or back on it."""
        actions.retire_shaft(actor_of(request), shaft_id, retired=given(request, RetiredIn).retired)
        return _rack(request)


class RackFileView(APIView):
    @extend_schema(
        request=serializer_of(RackFileIn),
        responses=serializer_of(RackFileOut),
        operation_id="rack_file",
        tags=["rack"],
    )
    def post(self, request: Request) -> Response:
        """Look at a file of heads or shafts, or take in the rows of it that can go in. Owners only."""
        asked = given(request, RackFileIn)
        made = (actions.look_at if asked.only_look else actions.bring_in)(actor_of(request), asked.text, asked.what)
        problems = [RackProblem(each.line, each.column, each.sentence) for each in made.found.problems]
        return Response(shown(RackFileOut(len(made.found.rows), made.added, made.changed, problems)))


class RackCsvView(APIView):
    @extend_schema(
        responses={200: OpenApiResponse(description="CSV, as it is read again")}, operation_id="rack_csv", tags=["rack"]
    )
    def get(self, request: Request, what: What) -> HttpResponse:
        """Everything on the rack as CSV; what was taken off it is left out."""
        shop = shop_of(request)
        if what == "heads":
            text = heads_csv(head.spec for head in Head.objects.of(shop).filter(retired_at=None))
        else:
            text = shafts_csv(shaft.spec for shaft in Shaft.objects.of(shop).filter(retired_at=None))
        return HttpResponse(
            text,
            content_type="text/csv; charset=utf-8",
            headers={"Content-Disposition": f'attachment; filename="rack-{what}.csv"'},
        )


def _head_spec(sent: HeadIn) -> HeadSpec:
    return HeadSpec(**{**vars(sent), "positions": tuple(sent.positions)})


def _shaft_spec(sent: ShaftIn) -> ShaftSpec:
    return ShaftSpec(**{**vars(sent), "fits": tuple(sent.fits)})
