"""The API of opening a shop of one's own."""

from __future__ import annotations

from dataclasses import dataclass

from common.api import given, serializer_of, shown
from common.policy import Anyone
from django.contrib.auth import login
from django.utils.decorators import method_decorator
from django.views.decorators.csrf import csrf_protect
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from .opening import Opening, is_own_open, may_open, open_shop
from .views import Me, me


@dataclass
class OpeningOut:
    """possible: whether no shop but the demo is open yet; allowed: whether who asks needs no code to open it."""

    possible: bool
    allowed: bool


@dataclass(frozen=True, kw_only=True)
class OpeningIn(Opening):
    """code: as the start command shows it; empty for whoever is signed in to the demo."""

    code: str = ""


@method_decorator(csrf_protect, name="dispatch")
class OpeningView(APIView):
    permission_classes = [Anyone]

    @extend_schema(responses=serializer_of(OpeningOut), operation_id="opening", tags=["shop"])
    def get(self, request: Request) -> Response:
        return Response(shown(OpeningOut(not is_own_open(), may_open(request.user, ""))))

    @extend_schema(
        request=serializer_of(OpeningIn), responses={201: serializer_of(Me)}, operation_id="open_shop", tags=["shop"]
    )
    def post(self, request: Request) -> Response:
        """Open the shop and sign its owner in."""
        new = given(request, OpeningIn)
        owner = open_shop(request.user, new.code, new)
        login(request._request, owner, backend="django.contrib.auth.backends.ModelBackend")
        request.user = owner
        return Response(shown(me(request)), status=201)
