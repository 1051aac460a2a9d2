"""The API of the Brief."""

from __future__ import annotations

from common.api import actor_of, given
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from ...actions.brief import Brief, write_brief
from ..answers import changed, documented_change


class BriefView(APIView):
    @documented_change(Brief, name="write_brief", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        write_brief(actor_of(request), session_id, given(request, Brief))
        return changed(request, session_id)
