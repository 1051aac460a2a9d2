"""The API of the Bench."""

from __future__ import annotations

from common.api import serializer_of
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import shop_of

from ...models import Build
from ..answers import answer, session_of
from ..schemas.bench import BenchOut, WhatIfOut


class BenchView(APIView):
    @extend_schema(responses=serializer_of(BenchOut), operation_id="bench", tags=["bench"])
    def get(self, request: Request, session_id: int) -> Response:
        return answer(request, session_of(request, session_id), "bench")


class WhatIfView(APIView):
    @extend_schema(responses=serializer_of(WhatIfOut), operation_id="what_if", tags=["bench"])
    def get(self, request: Request, build_id: int) -> Response:
        """What a turn, a bend, a length or a weight would do to this build, from its own shots."""
        build = Build.objects.select_related("head").one(shop_of(request), build_id)
        return answer(request, session_of(request, build.session_id), f"what_if/{build.pk}")
