"""The API of sessions. Views parse, call one action, and show the session as it then is."""

from __future__ import annotations

from dataclasses import asdict, dataclass, field
from datetime import date
from decimal import Decimal
from typing import Literal

from config.api import actor_of, given, serializer_of, shown
from customers.models import Customer
from django.db.models import Count
from drf_spectacular.utils import extend_schema
from feed import stand_ins
from hemicycle_core.formats.shots_csv import Column
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.policy import shop_of

from . import pictures as p
from .actions import builds, imports, sessions, shots
from .actions.imports import ImportRequest
from .bench import bench_picture, what_if_picture
from .lines import session_line
from .models import Build, FittingSession, Shot
from .pictures import JobPicture
from .read import load
from .show import session_picture


@dataclass
class NewCustomer:
    name: str
    hand: Literal["right", "left"] = "right"
    birth_year: int | None = None
    email: str = ""
    notes: str = ""


@dataclass
class NewSession:
    customer: int
    bay: int
    held_on: date | None = None


@dataclass
class BriefInput:
    miss: Literal["none", "left", "right", "short", "long"]
    firmness: Literal["soft", "medium", "firm"]
    jobs: list[JobPicture]
    most_clubs: int = 14
    budget: Decimal | None = None
    pain: bool = False
    notes: str = ""


@dataclass
class GapInput:
    rule: Literal["roll_out", "carry_only", "even_steps"]
    clubs_to_place: int
    hole_above: int | None = None


@dataclass
class TargetInput:
    """Both ends empty: the proposal is in force again."""

    slot: int
    quantity: str
    low: float | None = None
    high: float | None = None


@dataclass
class ClubInput:
    name: str
    head_type: str | None = None
    set_loft_deg: float | None = None
    typed_carry_m: float | None = None
    typed_total_m: float | None = None
    fixed: bool | None = None


@dataclass
class ClubChange:
    """Only what is sent changes."""

    typed_carry_m: float | None = None
    typed_total_m: float | None = None
    fixed: bool = False
    liking: p.LikingWord = "neutral"


@dataclass
class CandidateInput:
    head: int
    shaft: int
    set_loft_deg: float | None = None
    length_m: float | None = None


@dataclass
class SettingInput:
    set_loft_deg: float


@dataclass
class InHandInput:
    build: int


@dataclass
class AsideInput:
    aside: bool
    reason: str = ""


@dataclass
class StrikeInput:
    strike: Literal["", "toe", "heel", "thin", "fat"]


@dataclass
class MoveInput:
    build: int


@dataclass
class MappedColumn:
    header: str
    key: str
    unit: str


@dataclass
class ImportInput:
    """columns: the mapping as looked at, empty to have one proposed. clubs: name in the file to name in
    the bag, empty to leave out. aside: lines to set aside."""

    file_name: str
    text: str
    columns: list[MappedColumn] = field(default_factory=list)
    clubs: dict[str, str] = field(default_factory=dict)
    aside: list[int] = field(default_factory=list)

    def request(self) -> ImportRequest:
        columns = [Column(column.header, column.key, column.unit) for column in self.columns]
        return ImportRequest(self.file_name, self.text, columns or None, self.clubs, self.aside)


PersonOut = serializer_of(p.PersonPicture)
LineOut = serializer_of(p.SessionLine)
SessionOut = serializer_of(p.SessionPicture)
BenchOut = serializer_of(p.BenchPicture)
WhatIfOut = serializer_of(p.WhatIfPicture)
PreviewOut = serializer_of(p.ImportPreview)
ImportOut = serializer_of(p.ImportResult)
NewCustomerIn = serializer_of(NewCustomer)
NewSessionIn = serializer_of(NewSession)
BriefIn = serializer_of(BriefInput)
GapIn = serializer_of(GapInput)
TargetIn = serializer_of(TargetInput)
ClubIn = serializer_of(ClubInput)
ClubChangeIn = serializer_of(ClubChange)
CandidateIn = serializer_of(CandidateInput)
SettingIn = serializer_of(SettingInput)
InHandIn = serializer_of(InHandInput)
AsideIn = serializer_of(AsideInput)
StrikeIn = serializer_of(StrikeInput)
MoveIn = serializer_of(MoveInput)
ImportIn = serializer_of(ImportInput)


def _session(request: Request, session_id: int) -> FittingSession:
    sessions_ = FittingSession.objects.select_related("customer", "bay", "fitter")
    return sessions_.one(shop_of(request), session_id)


def _shown(request: Request, session_id: int, status: int = 200) -> Response:
    """The whole session as it now is; every change answers with it, so the screen never guesses."""
    session = _session(request, session_id)
    picture = session_picture(load(session), stand_in=stand_ins.running(session.bay_id))
    return Response(shown(SessionOut, picture), status=status)


class CustomersView(APIView):
    @extend_schema(responses=PersonOut(many=True), operation_id="customers", tags=["customers"])
    def get(self, request: Request) -> Response:
        people = Customer.objects.of(shop_of(request))
        return Response(shown(PersonOut, [p.PersonPicture(c.pk, c.name, c.hand) for c in people], many=True))

    @extend_schema(request=NewCustomerIn, responses={201: PersonOut}, operation_id="add_customer", tags=["customers"])
    def post(self, request: Request) -> Response:
        new = given(request, NewCustomerIn)
        c = sessions.add_customer(
            actor_of(request),
            name=new.name,
            hand=new.hand,
            birth_year=new.birth_year,
            email=new.email,
            notes=new.notes,
        )
        return Response(shown(PersonOut, p.PersonPicture(c.pk, c.name, c.hand)), status=201)


class SessionsView(APIView):
    @extend_schema(responses=LineOut(many=True), operation_id="sessions", tags=["sessions"])
    def get(self, request: Request) -> Response:
        """Every session of the shop, newest first."""
        rows = (
            FittingSession.objects.of(shop_of(request))
            .select_related("customer", "bay")
            .prefetch_related("recommendations__build")
            .annotate(shot_count=Count("shots"))
            .order_by("-held_on", "-id")
        )
        return Response(shown(LineOut, [session_line(row) for row in rows], many=True))

    @extend_schema(request=NewSessionIn, responses={201: SessionOut}, operation_id="open_session", tags=["sessions"])
    def post(self, request: Request) -> Response:
        new = given(request, NewSessionIn)
        session = sessions.open_session(
            actor_of(request), customer_id=new.customer, bay_id=new.bay, held_on=new.held_on
        )
        return _shown(request, session.pk, 201)


class SessionView(APIView):
    @extend_schema(responses=SessionOut, operation_id="session", tags=["sessions"])
    def get(self, request: Request, session_id: int) -> Response:
        return _shown(request, session_id)


class BriefView(APIView):
    @extend_schema(request=BriefIn, responses=SessionOut, operation_id="write_brief", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        new = given(request, BriefIn)
        brief = sessions.Brief(new.miss, new.firmness, new.most_clubs, new.budget, new.pain, new.notes, new.jobs)
        sessions.write_brief(actor_of(request), session_id, brief)
        return _shown(request, session_id)


class GapView(APIView):
    @extend_schema(request=GapIn, responses=SessionOut, operation_id="choose_gap", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        gap = given(request, GapIn)
        sessions.choose_gap(
            actor_of(request),
            session_id,
            rule=gap.rule,
            clubs_to_place=gap.clubs_to_place,
            hole_above_id=gap.hole_above,
        )
        return _shown(request, session_id)


class TargetView(APIView):
    @extend_schema(request=TargetIn, responses=SessionOut, operation_id="set_target", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        new = given(request, TargetIn)
        sessions.set_target(
            actor_of(request), session_id, slot=new.slot, quantity=new.quantity, low=new.low, high=new.high
        )
        return _shown(request, session_id)


class ClubsView(APIView):
    @extend_schema(request=ClubIn, responses={201: SessionOut}, operation_id="add_club", tags=["bag"])
    def post(self, request: Request, session_id: int) -> Response:
        new = given(request, ClubIn)
        builds.add_club(
            actor_of(request),
            session_id,
            name=new.name,
            head_type=new.head_type,
            set_loft_deg=new.set_loft_deg,
            typed_carry_m=new.typed_carry_m,
            typed_total_m=new.typed_total_m,
            fixed=new.fixed,
        )
        return _shown(request, session_id, 201)


class BuildView(APIView):
    @extend_schema(request=ClubChangeIn, responses=SessionOut, operation_id="change_club", tags=["bag"])
    def put(self, request: Request, build_id: int) -> Response:
        new = given(request, ClubChangeIn)
        sent = {key: value for key, value in asdict(new).items() if key in request.data}
        build = builds.change_club(actor_of(request), build_id, **sent)
        return _shown(request, build.session_id)

    @extend_schema(request=None, responses={200: SessionOut}, operation_id="drop_club", tags=["bag"])
    def delete(self, request: Request, build_id: int) -> Response:
        """Out of the bag or off the stand; its shots stay on record."""
        return _shown(request, builds.drop_club(actor_of(request), build_id).session_id)


class CandidatesView(APIView):
    @extend_schema(request=CandidateIn, responses={201: SessionOut}, operation_id="add_candidate", tags=["bay"])
    def post(self, request: Request, session_id: int) -> Response:
        new = given(request, CandidateIn)
        builds.add_candidate(
            actor_of(request),
            session_id,
            head_id=new.head,
            shaft_id=new.shaft,
            set_loft_deg=new.set_loft_deg,
            length_m=new.length_m,
        )
        return _shown(request, session_id, 201)


class SettingsView(APIView):
    @extend_schema(request=SettingIn, responses={201: SessionOut}, operation_id="new_setting", tags=["bay"])
    def post(self, request: Request, build_id: int) -> Response:
        """The same build at another sleeve setting, as a build of its own."""
        setting = given(request, SettingIn)
        build = builds.new_setting(actor_of(request), build_id, set_loft_deg=setting.set_loft_deg)
        return _shown(request, build.session_id, 201)


class InHandView(APIView):
    @extend_schema(request=InHandIn, responses=SessionOut, operation_id="take_in_hand", tags=["bay"])
    def put(self, request: Request, session_id: int) -> Response:
        builds.take_in_hand(actor_of(request), session_id, build_id=given(request, InHandIn).build)
        return _shown(request, session_id)


class ShotAsideView(APIView):
    @extend_schema(request=AsideIn, responses=SessionOut, operation_id="set_aside", tags=["bay"])
    def put(self, request: Request, shot_id: int) -> Response:
        new = given(request, AsideIn)
        shot = shots.set_aside(actor_of(request), shot_id, aside=new.aside, reason=new.reason)
        return _shown(request, shot.session_id)


class ShotStrikeView(APIView):
    @extend_schema(request=StrikeIn, responses=SessionOut, operation_id="call_strike", tags=["bay"])
    def put(self, request: Request, shot_id: int) -> Response:
        shot = shots.call_strike(actor_of(request), shot_id, strike=given(request, StrikeIn).strike)
        return _shown(request, shot.session_id)


class ShotMoveView(APIView):
    @extend_schema(request=MoveIn, responses=SessionOut, operation_id="move_shot", tags=["bay"])
    def put(self, request: Request, shot_id: int) -> Response:
        shot: Shot = shots.move_shot(actor_of(request), shot_id, build_id=given(request, MoveIn).build)
        return _shown(request, shot.session_id)


class ImportPreviewView(APIView):
    @extend_schema(request=ImportIn, responses=PreviewOut, operation_id="preview_import", tags=["bag"])
    def post(self, request: Request, session_id: int) -> Response:
        """How a file would be read; changes nothing."""
        wanted = given(request, ImportIn).request()
        return Response(shown(PreviewOut, imports.preview(_session(request, session_id), wanted)))


class ImportView(APIView):
    @extend_schema(request=ImportIn, responses={201: ImportOut}, operation_id="import_shots", tags=["bag"])
    def post(self, request: Request, session_id: int) -> Response:
        result = imports.import_shots(actor_of(request), session_id, given(request, ImportIn).request())
        return Response(shown(ImportOut, result), status=201)


class BenchView(APIView):
    @extend_schema(responses=BenchOut, operation_id="bench", tags=["bench"])
    def get(self, request: Request, session_id: int) -> Response:
        return Response(shown(BenchOut, bench_picture(load(_session(request, session_id)))))


class WhatIfView(APIView):
    @extend_schema(responses=WhatIfOut, operation_id="what_if", tags=["bench"])
    def get(self, request: Request, build_id: int) -> Response:
        """What a turn, a bend, a length or a weight would do to this build, from its own shots."""
        build = Build.objects.select_related("head").one(shop_of(request), build_id)
        return Response(shown(WhatIfOut, what_if_picture(load(_session(request, build.session_id)), build)))
