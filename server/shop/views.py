"""Signing in and out, who is signed in, and the shop's bays."""

from __future__ import annotations

from dataclasses import asdict, dataclass, field
from datetime import UTC, datetime

from common.api import given, serializer_of, shown
from common.notices import tell_sign_ins
from common.policy import Anyone, Assisting, may
from common.problems import MEDIA_TYPE, body
from django.conf import settings
from django.contrib.auth import authenticate, login, logout
from django.middleware.csrf import get_token
from django.utils.decorators import method_decorator
from django.views.decorators.csrf import csrf_protect
from drf_spectacular.utils import extend_schema
from hemicycle_core.flight import Firmness
from hemicycle_core.monitor import Noise, noise_in_shown
from hemicycle_core.said import say
from hemicycle_core.thresholds import Setting, changed, settings_of
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from .asking import actor_of, shop_of
from .models import Bay, Shop, ShotsBy, User
from .own_units import OwnUnits
from .people import set_rules
from .settings_of_shop import add_bay, change_bay, name_shop, set_bay, set_columns, set_thresholds

LONGEST_NAME, LONGEST_PASSWORD = 150, 256


@dataclass
class BayOut:
    id: int
    name: str
    indoor: bool
    shots_by: ShotsBy


@dataclass
class BayRow:
    """models_flight: the monitor sees impact only, and its carry, peak, landing and total are its own model. noise:
    what it reads wrong, by reading, one standard deviation in the unit shown."""

    id: int
    name: str
    indoor: bool
    surface: str
    models_flight: bool
    shots_by: ShotsBy
    altitude_m: float
    temperature_c: float
    noise: dict[str, Noise]
    closed: bool


@dataclass
class ShopOut:
    """may_change: whether who asks may change it. idle_minutes, keep_years: 0 for ever."""

    name: str
    city: str
    currency: str
    ground: Firmness
    may_change: bool
    idle_minutes: int
    keep_years: int
    backup: BackupOut
    thresholds: list[Setting]
    bays: list[BayRow]


@dataclass
class ThresholdsIn:
    """By key, in the units shown; only what is sent changes."""

    values: dict[str, float]


@dataclass
class ShopRulesIn:
    """0: for ever."""

    idle_minutes: int
    keep_years: int


@dataclass
class BackupOut:
    """The newest backup. kept: how many there are; keeps: how many at the most. every_hours: how often one is made; 0
    where this server makes none."""

    made_at: datetime | None
    bytes: int
    kept: int
    keeps: int
    every_hours: int


@dataclass
class BayIn:
    """noise: in the units shown; without it, it stays."""

    models_flight: bool
    altitude_m: float
    temperature_c: float
    noise: dict[str, Noise] | None = None


@dataclass
class ShopName:
    """currency, ground: without them they stay."""

    name: str
    city: str = ""
    currency: str | None = None
    ground: Firmness | None = None


@dataclass
class NewBay:
    name: str
    indoor: bool


@dataclass
class BayChange:
    """Only what is sent changes."""

    name: str | None = None
    closed: bool | None = None
    shots_by: ShotsBy | None = None


@dataclass
class ColumnsIn:
    """What the Bench reads out, in order."""

    columns: list[str]


@dataclass
class Keys:
    """One's own shortcuts. off: none at all. changed: by command, the key that does it; empty for none."""

    off: bool = False
    changed: dict[str, str] = field(default_factory=dict)


@dataclass
class Me:
    """demo: the shop is made up. currency: of its prices. can_open: no shop
    but the demo is open yet, and who asks may open it; of nobody signed in: no shop is here at all."""

    signed_in: bool
    username: str
    name: str
    role: str
    shop: str
    demo: bool
    currency: str
    can_open: bool
    bays: list[BayOut]
    keys: Keys
    units: OwnUnits


@dataclass
class SignIn:
    username: str
    password: str


def me(request: Request) -> Me:
    """Who is signed in, and the shop as every screen needs it."""
    user = request.user
    if not isinstance(user, User) or not may(user, "assist"):
        nobody = not Shop.objects.exists()
        return Me(
            False, "", "", "", "", demo=False, currency="", can_open=nobody, bays=[], keys=Keys(), units=OwnUnits()
        )
    shop = shop_of(request)
    open_ = Bay.objects.of(shop).filter(closed_at=None).order_by("name")
    return Me(
        signed_in=True,
        username=user.username,
        name=user.get_full_name() or user.username,
        role=user.role,
        shop=shop.name,
        demo=shop.demo,
        currency=shop.currency,
        can_open=shop.demo and may(user, "fit") and not Shop.objects.filter(demo=False).exists(),
        bays=[BayOut(bay.pk, bay.name, bay.indoor, ShotsBy(bay.shots_by)) for bay in open_],
        keys=Keys(**user.keys),
        units=OwnUnits(**user.units),
    )


def _backup() -> BackupOut:
    """What the launcher's folder of backups holds."""
    folder = settings.BACKUPS
    files = sorted(folder.glob("*.hemicycle"), key=lambda path: path.stat().st_mtime) if folder else []
    if not files:
        return BackupOut(None, 0, 0, settings.BACKUPS_KEPT, settings.BACKUP_HOURS)
    newest = files[-1].stat()
    made_at = datetime.fromtimestamp(newest.st_mtime, tz=UTC)
    return BackupOut(made_at, newest.st_size, len(files), settings.BACKUPS_KEPT, settings.BACKUP_HOURS)


def _shop(request: Request) -> Response:
    shop = Shop.objects.get(pk=shop_of(request).pk)
    bays = Bay.objects.of(shop).order_by("name")
    answer = ShopOut(
        name=shop.name,
        city=shop.city,
        currency=shop.currency,
        ground=Firmness(shop.ground),
        may_change=may(request.user, "own"),
        idle_minutes=shop.idle_minutes,
        keep_years=shop.keep_years,
        backup=_backup(),
        thresholds=settings_of(changed(shop.thresholds)),
        bays=[
            BayRow(
                bay.pk,
                bay.name,
                bay.indoor,
                bay.surface,
                bay.models_flight,
                ShotsBy(bay.shots_by),
                bay.altitude_m,
                bay.temperature_c,
                noise_in_shown(bay.monitor),
                bay.closed_at is not None,
            )
            for bay in bays
        ],
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


class ShopRulesView(APIView):
    @extend_schema(
        request=serializer_of(ShopRulesIn),
        responses=serializer_of(ShopOut),
        operation_id="set_shop_rules",
        tags=["shop"],
    )
    def put(self, request: Request) -> Response:
        """Owners only."""
        set_rules(actor_of(request), **asdict(given(request, ShopRulesIn)))
        return _shop(request)


class BayView(APIView):
    @extend_schema(
        request=serializer_of(BayIn), responses=serializer_of(ShopOut), operation_id="set_bay", tags=["shop"]
    )
    def put(self, request: Request, bay_id: int) -> Response:
        """Owners only."""
        bay = given(request, BayIn)
        sent = {**asdict(bay), "noise": bay.noise}
        set_bay(actor_of(request), bay_id, **sent)
        return _shop(request)

    @extend_schema(
        request=serializer_of(BayChange), responses=serializer_of(ShopOut), operation_id="change_bay", tags=["shop"]
    )
    def patch(self, request: Request, bay_id: int) -> Response:
        """Owners only."""
        change_bay(actor_of(request), bay_id, **asdict(given(request, BayChange)))
        return _shop(request)


class BaysView(APIView):
    @extend_schema(
        request=serializer_of(NewBay), responses={201: serializer_of(ShopOut)}, operation_id="add_bay", tags=["shop"]
    )
    def post(self, request: Request) -> Response:
        """Owners only."""
        add_bay(actor_of(request), **asdict(given(request, NewBay)))
        answer = _shop(request)
        answer.status_code = 201
        return answer


class ShopNameView(APIView):
    @extend_schema(
        request=serializer_of(ShopName), responses=serializer_of(ShopOut), operation_id="name_shop", tags=["shop"]
    )
    def put(self, request: Request) -> Response:
        """Owners only."""
        name_shop(actor_of(request), **asdict(given(request, ShopName)))
        return _shop(request)


class ColumnsView(APIView):
    @extend_schema(
        request=serializer_of(ColumnsIn), responses=serializer_of(ShopOut), operation_id="set_columns", tags=["shop"]
    )
    def put(self, request: Request) -> Response:
        """Any fitter; it holds for the whole shop."""
        set_columns(actor_of(request), given(request, ColumnsIn).columns)
        return _shop(request)


class MeView(APIView):
    permission_classes = [Anyone]

    @extend_schema(responses=serializer_of(Me), operation_id="me", tags=["shop"])
    def get(self, request: Request) -> Response:
        """Who is signed in; also sets the CSRF cookie."""
        get_token(request._request)
        return Response(shown(me(request)))


@method_decorator(csrf_protect, name="dispatch")
class SignInView(APIView):
    permission_classes = [Anyone]
    authentication_classes = []

    @extend_schema(request=serializer_of(SignIn), responses=serializer_of(Me), operation_id="sign_in", tags=["shop"])
    def post(self, request: Request) -> Response:
        """Sign in. Too many wrong tries in a row are refused for a quarter of an hour."""
        wanted = given(request, SignIn)
        # No name or password is so long; looking it up, hashing it and counting it as a try would cost us, not them.
        known = len(wanted.username) <= LONGEST_NAME and len(wanted.password) <= LONGEST_PASSWORD
        user = known and authenticate(request._request, username=wanted.username, password=wanted.password)
        if not user:
            locked = getattr(request._request, "axes_locked_out", False)
            title = say("act-too-many-tries-wait") if locked else say("act-name-password-do-not")
            code = 429 if locked else 400
            problem = body("locked_out" if locked else "sign_in_failed", title, code, "password")
            return Response(problem, status=code, content_type=MEDIA_TYPE)
        login(request._request, user)
        request.user = user
        return Response(shown(me(request)))


class SignOutView(APIView):
    permission_classes = [Assisting]

    @extend_schema(request=None, responses={204: None}, operation_id="sign_out", tags=["shop"])
    def post(self, request: Request) -> Response:
        user = actor_of(request)
        logout(request._request)
        tell_sign_ins(user.pk)
        return Response(status=204)
