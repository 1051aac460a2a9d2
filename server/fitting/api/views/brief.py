"""The API of the Brief."""

from __future__ import annotations

from dataclasses import fields

from common.api import actor_of, given
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from ...actions.brief import Brief, write_brief
from ..answers import changed, documented_change
from ..schemas.brief import BriefIn

BRIEF_FIELDS = [each.name for each in fields(Brief)]


class BriefView(APIView):
    @documented_change(BriefIn, name="write_brief", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        new = given(request, BriefIn)
        brief = Brief(**{name: getattr(new, name) for name in BRIEF_FIELDS})
        write_brief(actor_of(request), session_id, brief)
        return changed(request, session_id)
