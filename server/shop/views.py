"""Signing in and out, who is signed in, and the shop's bays."""

from __future__ import annotations

from dataclasses import asdict, dataclass

from common.api import actor_of, given, serializer_of, shown
from common.policy import Anyone, may, shop_of
from common.problems import MEDIA_TYPE, body
from django.contrib.auth import authenticate, login, logout
from django.middleware.csrf import get_token
from django.utils.decorators import method_decorator
from django.views.decorators.csrf import csrf_protect
from drf_spectacular.utils import extend_schema
from hemicycle_core.thresholds import Setting, changed, settings_of
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from .models import Bay, Shop, User
from .settings_of_shop import set_bay, set_thresholds


@dataclass
class BayOut:
    id: int
    name: str
    indoor: bool


@dataclass
class BayRow:
    """models_flight: the monitor sees impact only, and its carry, peak, landing and total are its own model."""

    id: int
    name: str
    indoor: bool
    surface: str
    models_flight: bool
    altitude_m: float
    temperature_c: float


@dataclass
class ShopOut:
    """may_change: whether who asks may change it."""

    name: str
    may_change: bool
    thresholds: list[Setting]
    bays: list[BayRow]


@dataclass
class ThresholdsIn:
    """By key, in the units shown; only what is sent changes."""

    values: dict[str, float]


@dataclass
class BayIn:
    models_flight: bool
    altitude_m: float
    temperature_c: float


@dataclass
class Me:
    signed_in: bool
    name: str
    role: str
    shop: str
    bays: list[BayOut]


@dataclass
class SignIn:
    username: str
    password: str


def _me(request: Request) -> Me:
    user = request.user
    if not isinstance(user, User) or not may(user, "read"):
        return Me(signed_in=False, name="", role="", shop="", bays=[])
    shop = shop_of(request)
    bays = [BayOut(bay.pk, bay.name, bay.indoor) for bay in Bay.objects.of(shop).order_by("name")]
    return Me(True, user.get_full_name() or user.username, user.role, shop.name, bays)


def _shop(request: Request) -> Response:
    shop = Shop.objects.get(pk=shop_of(request).pk)
    bays = Bay.objects.of(shop).order_by("name")
    answer = ShopOut(
        name=shop.name,
        may_change=may(request.user, "own"),
        thresholds=settings_of(changed(shop.thresholds)),
        bays=[BayRow(b.pk, b.name, b.indoor, b.surface, b.models_flight, b.altitude_m, b.temperature_c) for b in bays],
    )
    return Response(shown(answer))


class ShopView(APIView):
    @extend_schema(responses=serializer_of(ShopOut), operation_id="shop", tags=["shop"])
    def get(self, request: Request) -> Response:
        return _shop(request)

    @extend_schema(
        request=serializer_of(ThresholdsIn),
        responses=serializer_of(ShopOut),
        operation_id="set_thresholds",
        tags=["shop"],
    )
    def put(self, request: Request) -> Response:
        """Owners only."""
        set_thresholds(actor_of(request), given(request, ThresholdsIn).values)
        return _shop(request)


class BayView(APIView):
    @extend_schema(
        request=serializer_of(BayIn), responses=serializer_of(ShopOut), operation_id="set_bay", tags=["shop"]
    )
    def put(self, request: Request, bay_id: int) -> Response:
        """Owners only."""
        set_bay(actor_of(request), bay_id, **asdict(given(request, BayIn)))
        return _shop(request)


class MeView(APIView):
    permission_classes = [Anyone]

    @extend_schema(responses=serializer_of(Me), operation_id="me", tags=["shop"])
    def get(self, request: Request) -> Response:
        """Who is signed in; also sets the CSRF cookie."""
        get_token(request._request)
        return Response(shown(_me(request)))


@method_decorator(csrf_protect, name="dispatch")
class SignInView(APIView):
    permission_classes = [Anyone]
    authentication_classes = []

    @extend_schema(request=serializer_of(SignIn), responses=serializer_of(Me), operation_id="sign_in", tags=["shop"])
    def post(self, request: Request) -> Response:
        """Sign in. Too many wrong tries in a row are refused for a quarter of an hour."""
        wanted = given(request, SignIn)
        user = authenticate(request._request, username=wanted.username, password=wanted.password)
        if user is None:
            locked = getattr(request._request, "axes_locked_out", False)
            title = "Too many tries. Wait a quarter of an hour." if locked else "That name and password do not match."
            code = 429 if locked else 400
            problem = body("locked_out" if locked else "sign_in_failed", title, code, "password")
            return Response(problem, status=code, content_type=MEDIA_TYPE)
        login(request._request, user)
        request.user = user
        return Response(shown(_me(request)))


class SignOutView(APIView):
    @extend_schema(request=None, responses={204: None}, operation_id="sign_out", tags=["shop"])
    def post(self, request: Request) -> Response:
        logout(request._request)
        return Response(status=204)
