"""The API of the Brief."""

from __future__ import annotations

from common.api import given, named
from hemicycle_core.errors import BadInput
from hemicycle_core.said import say
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...actions.brief import write_brief
from ..answers import changed, documented_change
from ..schemas.brief import BriefChange


class BriefView(APIView):
    @documented_change(BriefChange, name="write_brief", tags=["sessions"])
    def patch(self, request: Request, session_id: int) -> Response:
        """Write some fields. 409 `clash` tells what someone else wrote in one of them meanwhile, and nothing is
        written."""
        new = given(request, BriefChange)
        now, was = (named(dict(request.data).get(part), getattr(new, part)) for part in ("now", "was"))
        if not now:
            raise BadInput(say("act-send-fields-changed"), field="now")
        write_brief(actor_of(request), session_id, now, was=was)
        return changed(request, session_id)
