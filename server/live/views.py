"""The shot feed for monitors, and the live stream for screens. Documented in docs/formats/shot-feed.md."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import asdict, dataclass, replace
from datetime import datetime
from typing import Any

from asgiref.sync import sync_to_async
from common.api import as_, given, serializer_of, shown
from common.policy import may
from common.problems import MEDIA_TYPE, Refused, body, sentence_of
from demo.golfers import golfer_of, made_otherwise
from django.conf import settings
from django.http import HttpRequest, HttpResponseBase, JsonResponse, StreamingHttpResponse
from django.utils import timezone
from drf_spectacular.utils import extend_schema
from fitting.actions.hand_out import hand_out_by
from fitting.actions.player import screen_by
from fitting.api.views.player import opened
from fitting.api.views.soles import handed_out
from fitting.models import FittingSession, PlayerScreen, Trial
from hemicycle_core.bag import HeadType
from hemicycle_core.errors import BadInput
from hemicycle_core.impact import Lie
from hemicycle_core.said import say
from hemicycle_core.shots import Intent, check_readings
from rest_framework.authentication import BaseAuthentication
from rest_framework.exceptions import ValidationError
from rest_framework.permissions import BasePermission
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of, shop_of
from shop.audit import record
from shop.models import Bay
from shop.sign_ins import signed_in

from . import stand_ins
from .actions import (
    FeedShot,
    Receipt,
    RefusedShot,
    bring_back,
    feed_key_of,
    file_tray,
    give_key,
    put_away,
    put_away_lately,
    receive,
    revoke_key,
    session_in,
    waiting,
)
from .models import FeedKey
from .stream import ByCode, Holder, StreamSignIn, events

MOST_SHOTS, MOST_ID = 50, 64


class MonitorKey(BaseAuthentication):
    """`Authorization: Bearer KEY`, the key of one bay's monitor."""

    def authenticate(self, request: Request) -> tuple[Any, FeedKey] | None:
        word, _, secret = request.headers.get("Authorization", "").partition(" ")
        key = feed_key_of(secret.strip()) if word.lower() == "bearer" and secret.strip() else None
        return None if key is None else (None, key)

    def authenticate_header(self, request: Request) -> str:
        return "Bearer"


class HasKey(BasePermission):
    def has_permission(self, request: Request, view: APIView) -> bool:
        return isinstance(request.auth, FeedKey)


@dataclass
class FeedBatch:
    shots: list[FeedShot]


@dataclass
class TeeClub:
    name: str
    head_type: HeadType
    loft_deg: float
    length_m: float
    own: bool
    closed_deg: float
    made_longer_m: float
    bounce_deg: float | None
    worn: float
    face_speed: float


@dataclass
class Tee:
    """What is on the tee. intent: the shot that is asked for; lie: what it is hit from, where that was said;
    length: how long the swing is, full, comfortable, three_quarter, half or a clock position; wind_from_deg: 0 against
    the shot, 90 from the right; asked_carry_m: the carry that is asked for, with the intent yardage. golfer and seed
    only for stand-in keys."""

    session: int
    build: str
    club: TeeClub | None
    protocol: str
    intent: Intent
    lie: Lie | None
    shots_so_far: int
    golfer: dict[str, Any] | None
    seed: int | None
    altitude_m: float
    temperature_c: float
    length: str
    wind_mps: float
    wind_from_deg: float
    asked_carry_m: float | None


class FeedShots(APIView):
    authentication_classes = [MonitorKey]
    permission_classes = [HasKey]

    @extend_schema(
        request=serializer_of(FeedBatch), responses=serializer_of(Receipt), operation_id="feed_shots", tags=["feed"]
    )
    def post(self, request: Request) -> Response:
        """Send one or more shots for the build in hand. Send again with the same ids until answered."""
        rows = request.data.get("shots") if isinstance(request.data, dict) else None
        if not isinstance(rows, list) or not 1 <= len(rows) <= MOST_SHOTS:
            raise BadInput(say("act-send-shots-time", most_shots=MOST_SHOTS), field="shots")
        shots, refused, errors = [], [], []
        for row in rows:
            try:
                shots.append(_shot(row))
            except (ValidationError, BadInput) as error:
                named = row.get("id") if isinstance(row, dict) else None
                refused.append(RefusedShot(str(named or "")[:MOST_ID], str(sentence_of(error))))
                errors.append(error)
        if not shots:
            raise errors[0]
        key = request.auth
        assert isinstance(key, FeedKey)
        receipt = replace(receive(key, shots), refused=refused)
        if refused:
            record(key.shop_id, None, "feed.refused", f"bay:{key.bay_id}", shots=[asdict(each) for each in refused])
        return Response(shown(receipt))


def _shot(row: Any) -> FeedShot:
    """One shot of a delivery. Raises ValidationError or BadInput where it cannot be one: the others are taken in."""
    shot = as_(FeedShot, row)
    if not 1 <= len(shot.id) <= MOST_ID:
        raise BadInput(say("act-every-shot-needs-id", most_id=MOST_ID), field="shots")
    check_readings(shot.readings)
    return shot


class FeedTee(APIView):
    authentication_classes = [MonitorKey]
    permission_classes = [HasKey]

    @extend_schema(responses=serializer_of(Tee), operation_id="feed_tee", tags=["feed"])
    def get(self, request: Request) -> Response:
        """What is on the tee in this bay, for monitors that show it."""
        key = request.auth
        assert isinstance(key, FeedKey)
        session = session_in(key.bay)
        if session is None or session.in_hand is None:
            problem = body("no_build", say("act-no-build-hand-bay"), 409)
            return Response(problem, status=409, content_type=MEDIA_TYPE)
        build = session.in_hand
        club = None
        if build.set_loft_deg is not None and build.length_m is not None:
            # Any club a player owns, a putter too: what a golfer of ours can swing is the stand-in's affair.
            kind = HeadType(build.head_type)
            named = (build.name, kind, build.set_loft_deg, build.length_m, build.is_own)
            club = TeeClub(*named, **made_otherwise(build))
        golfer, seed = golfer_of(session.customer) if key.stand_in else (None, None)
        tee = Tee(
            session=session.pk,
            build=build.letter or build.name,
            club=club,
            protocol=session.asked.protocol,
            intent=session.asked.intent,
            lie=lie_of_run(session),
            shots_so_far=session.shots.count(),
            golfer=golfer,
            seed=seed,
            altitude_m=session.visit.altitude_m,
            temperature_c=session.visit.temperature_c,
            length=session.asked.length,
            wind_mps=session.asked.wind_mps,
            wind_from_deg=session.asked.wind_from_deg,
            asked_carry_m=session.asked.asked_carry_m if session.asked.intent is Intent.YARDAGE else None,
        )
        return Response(shown(tee))


def lie_of_run(session: FittingSession) -> Lie | None:
    """What the next shot is hit from, as it was said, else as the surface of the bay says."""
    surface = session.visit.surface
    return session.asked.lie or (Lie(surface) if surface in set(Lie) else None)


@dataclass
class StandInOrder:
    shots: int
    every_s: float = 2.0


@dataclass
class StandInState:
    hitting: bool


class StandInView(APIView):
    @extend_schema(responses=serializer_of(StandInState), operation_id="stand_in", tags=["bay"])
    def get(self, request: Request, bay_id: int) -> Response:
        """Whether the stand-in of a bay is hitting."""
        bay = Bay.objects.one(shop_of(request), bay_id)
        return Response(shown(StandInState(stand_ins.running(bay))))

    @extend_schema(
        request=serializer_of(StandInOrder), responses={202: None}, operation_id="stand_in_start", tags=["bay"]
    )
    def post(self, request: Request, bay_id: int) -> Response:
        """Start the stand-in monitor in a bay."""
        order = given(request, StandInOrder)
        address = settings.OWN_ADDRESS or f"http://127.0.0.1:{request.get_port()}"
        stand_ins.start(actor_of(request), bay_id=bay_id, shots=order.shots, every_s=order.every_s, address=address)
        return Response(status=202)

    @extend_schema(responses={204: None}, operation_id="stand_in_stop", tags=["bay"])
    def delete(self, request: Request, bay_id: int) -> Response:
        """Stop it."""
        stand_ins.stop(actor_of(request), bay_id=bay_id)
        return Response(status=204)


@dataclass
class TrayLine:
    """why: it waits, where the bay did serve somebody; empty where it served nobody. hit_at: where that is known."""

    id: int
    at: datetime
    readings: dict[str, float]
    hit_at: datetime | None
    why: str


@dataclass
class TrayIn:
    """shots: by number; the rest of the tray waits on."""

    session: int
    build: int
    shots: list[int]


@dataclass
class TrayOut:
    """waiting: to be filed. put_away: how many were said to be nobody's within a day, and can be brought back."""

    waiting: list[TrayLine]
    put_away: int


@dataclass
class PutAwayIn:
    shots: list[int]


def _tray(bay: Bay) -> Response:
    lines = [TrayLine(row.pk, row.at, row.readings, row.hit_at, row.why) for row in waiting(bay)]
    return Response(shown(TrayOut(lines, put_away_lately(bay).count())))


class TrayView(APIView):
    @extend_schema(responses=serializer_of(TrayOut), operation_id="tray", tags=["bay"])
    def get(self, request: Request, bay_id: int) -> Response:
        """Shots that came while the bay served no session."""
        return _tray(Bay.objects.one(shop_of(request), bay_id))

    @extend_schema(
        request=serializer_of(TrayIn),
        responses=serializer_of(TrayOut),
        operation_id="file_tray",
        tags=["bay"],
    )
    def post(self, request: Request, bay_id: int) -> Response:
        """File some of them under a build; answers with those that still wait."""
        new = given(request, TrayIn)
        file_tray(actor_of(request), bay_id, session_id=new.session, build_id=new.build, shots=new.shots)
        return _tray(Bay.objects.one(shop_of(request), bay_id))

    @extend_schema(
        request=serializer_of(PutAwayIn),
        responses=serializer_of(TrayOut),
        operation_id="put_away",
        tags=["bay"],
    )
    def put(self, request: Request, bay_id: int) -> Response:
        """Say that some of them are nobody's; they stay on record."""
        return _tray(put_away(actor_of(request), bay_id, shots=given(request, PutAwayIn).shots))

    @extend_schema(responses={200: serializer_of(TrayOut)}, operation_id="bring_back", tags=["bay"])
    def delete(self, request: Request, bay_id: int) -> Response:
        """Take the putting away back: what was put away within a day waits again."""
        return _tray(bring_back(actor_of(request), bay_id))


@dataclass
class KeyLine:
    id: int
    label: str
    stand_in: bool
    made_at: datetime
    expires_at: datetime
    last_used_at: datetime | None


@dataclass
class KeyIn:
    label: str
    days: int = 365


@dataclass
class KeysOut:
    """made: a new key, shown this once; None where none was made."""

    keys: list[KeyLine]
    made: str | None = None


def _keys(bay: Bay, made: str | None = None, status: int = 200) -> Response:
    rows = FeedKey.objects.of(bay.shop_id).filter(bay=bay, revoked_at=None, expires_at__gt=timezone.now())
    lines = [
        KeyLine(row.pk, row.label, row.stand_in, row.made_at, row.expires_at, row.last_used_at)
        for row in rows.order_by("-pk")
    ]
    return Response(shown(KeysOut(lines, made)), status=status)


class KeysView(APIView):
    @extend_schema(responses=serializer_of(KeysOut), operation_id="feed_keys", tags=["shop"])
    def get(self, request: Request, bay_id: int) -> Response:
        """The keys that monitors of this bay may send with."""
        return _keys(Bay.objects.one(shop_of(request), bay_id))

    @extend_schema(
        request=serializer_of(KeyIn),
        responses={201: serializer_of(KeysOut)},
        operation_id="give_key",
        tags=["shop"],
    )
    def post(self, request: Request, bay_id: int) -> Response:
        """A new key. Owners only; it is shown this once."""
        new = given(request, KeyIn)
        made = give_key(actor_of(request), bay_id, label=new.label, days=new.days)
        return _keys(Bay.objects.one(shop_of(request), bay_id), made, 201)


class KeyView(APIView):
    @extend_schema(responses={200: serializer_of(KeysOut)}, operation_id="revoke_key", tags=["shop"])
    def delete(self, request: Request, key_id: int) -> Response:
        """Owners only. The key opens nothing from now on."""
        return _keys(revoke_key(actor_of(request), key_id))


async def stream(request: HttpRequest, session_id: int) -> HttpResponseBase:
    """Server-Sent Events of one session: `changed` whenever something in it did."""
    user = await sync_to_async(signed_in)(request)
    if not may(user, "read"):
        return JsonResponse(body("sign_in", say("problem-sign-in-first"), 401), status=401, content_type=MEDIA_TYPE)
    if not await FittingSession.objects.of(user.shop_id).filter(pk=session_id).aexists():
        title = say("problem-not-here")
        return JsonResponse(body("not_found", title, 404), status=404, content_type=MEDIA_TYPE)
    return _streamed(session_id, StreamSignIn(user.pk or 0, request.session.session_key or ""))


async def player_stream(request: HttpRequest, code: str) -> HttpResponseBase:
    """Server-Sent Events of a player's screen: `changed` when it is to be read anew, with no word of what did."""
    return await _by_code(lambda: opened(request, code), lambda: screen_by(code), "player")


async def hand_out_stream(request: HttpRequest, code: str) -> HttpResponseBase:
    """The same for the assistant's page of a sole test."""
    return await _by_code(lambda: handed_out(request, code)[0], lambda: hand_out_by(code), "sole")


async def _by_code(
    first: Callable[[], PlayerScreen | Trial], find: Callable[[], object], ends: str
) -> HttpResponseBase:
    try:
        opens = await sync_to_async(first)()
    except Refused as closed:
        problem = body(closed.kind, closed.said, closed.status, closed.field)
        return JsonResponse(problem, status=closed.status, content_type=MEDIA_TYPE)
    until = opens.expires_at if isinstance(opens, PlayerScreen) else None
    return _streamed(opens.session_id, ByCode(find, ends, until))


def _streamed(session_id: int, holder: Holder) -> HttpResponseBase:
    response = StreamingHttpResponse(events(session_id, holder), content_type="text/event-stream")
    response.headers["Cache-Control"] = "no-cache"
    response.headers["Content-Encoding"] = "identity"  # compressing would hold every event back
    response.headers["X-Accel-Buffering"] = "no"
    return response
