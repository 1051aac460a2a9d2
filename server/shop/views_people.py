"""The API of people, of one's own password and keys, and of the trail of acts."""

from __future__ import annotations

from dataclasses import asdict, dataclass, field
from datetime import datetime
from typing import Any

from common.api import given, serializer_of, shown
from common.pages import NewestFirst
from common.policy import Assisting, Role, SignedIn, may
from django.contrib.auth import update_session_auth_hash
from drf_spectacular.utils import OpenApiParameter, extend_schema
from hemicycle_core.errors import BadInput
from hemicycle_core.said import Said, say
from rest_framework.generics import GenericAPIView
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from . import people
from .asking import actor_of, shop_of
from .audit import record
from .models import AuditEntry, User
from .own_units import OwnUnits
from .sign_ins import end_others
from .trail import in_words, who


class OwnersOnly(SignedIn):
    def has_permission(self, request: Request, view: APIView) -> bool:
        return super().has_permission(request, view) and may(request.user, "own")


@dataclass
class PersonLine:
    id: int
    username: str
    name: str
    role: Role
    active: bool
    last_sign_in: datetime | None


@dataclass
class PeopleOut:
    """password: a new one, shown this once and to be handed over; None where none was made."""

    people: list[PersonLine]
    password: str | None = None


@dataclass
class NewPerson:
    username: str
    name: str
    role: Role = Role.FITTER


@dataclass
class PersonIn:
    name: str
    role: Role
    active: bool


def _people(request: Request, password: str | None = None, status: int = 200) -> Response:
    rows = User.objects.filter(shop=shop_of(request)).order_by("-is_active", "first_name", "pk")
    lines = [
        PersonLine(u.pk, u.username, u.get_full_name() or u.username, Role(u.role), u.is_active, u.last_login)
        for u in rows
    ]
    return Response(shown(PeopleOut(lines, password)), status=status)


class PeopleView(APIView):
    permission_classes = [OwnersOnly]

    @extend_schema(responses=serializer_of(PeopleOut), operation_id="people", tags=["people"])
    def get(self, request: Request) -> Response:
        """Owners only."""
        return _people(request)

    @extend_schema(
        request=serializer_of(NewPerson),
        responses={201: serializer_of(PeopleOut)},
        operation_id="add_person",
        tags=["people"],
    )
    def post(self, request: Request) -> Response:
        """Owners only. The answer holds the first password, this once."""
        new = given(request, NewPerson)
        _, password = people.add_person(actor_of(request), username=new.username, name=new.name, role=new.role)
        return _people(request, password, 201)


class PersonView(APIView):
    permission_classes = [OwnersOnly]

    @extend_schema(
        request=serializer_of(PersonIn),
        responses=serializer_of(PeopleOut),
        operation_id="change_person",
        tags=["people"],
    )
    def put(self, request: Request, user_id: int) -> Response:
        """Owners only. Someone who is disabled is signed out at once; what they did stays in the trail."""
        new = given(request, PersonIn)
        people.change_person(actor_of(request), user_id, name=new.name, role=new.role, active=new.active)
        return _people(request)

    @extend_schema(
        request=None,
        responses={201: serializer_of(PeopleOut)},
        operation_id="reset_password",
        tags=["people"],
    )
    def post(self, request: Request, user_id: int) -> Response:
        """Owners only. A new password, shown this once."""
        _, password = people.reset_password(actor_of(request), user_id)
        return _people(request, password, 201)


@dataclass
class PasswordIn:
    old: str
    new: str


@dataclass
class KeysIn:
    """changed: by command, the key that does it; empty for none."""

    off: bool
    changed: dict[str, str] = field(default_factory=dict)


class PasswordView(APIView):
    permission_classes = [Assisting]

    @extend_schema(request=serializer_of(PasswordIn), responses={204: None}, operation_id="set_password", tags=["me"])
    def put(self, request: Request) -> Response:
        """One's own password. Every other sign-in ends."""
        new = given(request, PasswordIn)
        user = people.change_password(actor_of(request), old=new.old, new=new.new)
        update_session_auth_hash(request._request, user)
        return Response(status=204)


class OtherSignInsView(APIView):
    permission_classes = [Assisting]

    @extend_schema(responses={204: None}, operation_id="end_other_sign_ins", tags=["me"])
    def delete(self, request: Request) -> Response:
        """End every other sign-in of one's own."""
        user = actor_of(request)
        end_others(request._request, user)
        record(user.shop_id or 0, user, "me.end_others", f"person:{user.pk}")
        return Response(status=204)


class MyKeysView(APIView):
    permission_classes = [Assisting]

    @extend_schema(request=serializer_of(KeysIn), responses=serializer_of(KeysIn), operation_id="my_keys", tags=["me"])
    def put(self, request: Request) -> Response:
        """One's own shortcuts."""
        new = given(request, KeysIn)
        people.set_keys(actor_of(request), off=new.off, changed=new.changed)
        return Response(shown(new))


class MyUnitsView(APIView):
    permission_classes = [Assisting]

    @extend_schema(
        request=serializer_of(OwnUnits), responses=serializer_of(OwnUnits), operation_id="my_units", tags=["me"]
    )
    def put(self, request: Request) -> Response:
        """What one reads quantities in."""
        new = given(request, OwnUnits)
        people.set_units(actor_of(request), **asdict(new))
        return Response(shown(new))


@dataclass
class TrailLine:
    """session, customer: whose it was, to filter by."""

    id: int
    at: datetime
    who: Said
    person: int | None
    sentence: Said
    subject: str
    session: int | None
    customer: int | None
    detail: dict[str, Any]


FILTERS = {"person": "actor", "customer": "of_customer", "session": "of_session"}


class TrailView(GenericAPIView[AuditEntry]):
    permission_classes = [OwnersOnly]
    pagination_class = NewestFirst
    serializer_class = serializer_of(TrailLine)

    @extend_schema(
        parameters=[OpenApiParameter(name, int) for name in FILTERS],
        responses=serializer_of(TrailLine)(many=True),
        operation_id="trail",
        tags=["shop"],
    )
    def get(self, request: Request) -> Response:
        """What was changed by whom, newest first. Owners only."""
        rows = AuditEntry.objects.of(shop_of(request)).select_related("actor")
        for name, column in FILTERS.items():
            wanted = request.query_params.get(name, "")
            if wanted and not (wanted.isascii() and wanted.isdecimal() and len(wanted) < 19):
                raise BadInput(say("act-number-needed-filter"), field=name)
            if wanted:
                rows = rows.filter(**{column: int(wanted)})
        lines = [
            TrailLine(
                row.pk, row.at, who(row), row.actor_id, in_words(row), row.subject, row.of_session, row.of_customer,
                row.detail,
            )
            for row in self.paginate_queryset(rows) or []
        ]  # fmt: skip
        return self.get_paginated_response(shown(lines))
