"""Answers about a session: worked out once a revision, told again only when they changed, and once agreed as they
were."""

from __future__ import annotations

import json
from collections.abc import Callable
from typing import Any, TypeVar

from common.api import serializer_of, shown
from common.completed import completed
from common.version import code_version
from django.core.serializers.json import DjangoJSONEncoder
from drf_spectacular.utils import OpenApiParameter, extend_schema
from hemicycle_core.brief import Wish
from hemicycle_core.errors import BadInput
from rest_framework.request import Request
from rest_framework.response import Response
from shop.asking import shop_of

from ..domain.cache import new_cache, remembered
from ..domain.planning import Planning
from ..domain.session import JudgedSession, load
from ..models import AgreedAnswers, BagPlan, FittingSession
from .present.bench import present_bench, present_what_if
from .present.plans import present_plans
from .present.session import present_session
from .present.shortlist import present_shortlist
from .schemas.bench import BenchOut, WhatIfOut
from .schemas.plans import PlansOut
from .schemas.session import SessionOut
from .schemas.shortlist import ShortlistOut

View = TypeVar("View", bound=Callable[..., Response])
SINCE = OpenApiParameter(
    "since", int, description="A revision that the reader has: shots that did not change after it are left out."
)
SINCE_OF_CHANGE = OpenApiParameter("Since-Revision", int, OpenApiParameter.HEADER, description=SINCE.description)
JUDGED, ANSWERS = new_cache(16), new_cache(64)


def session_of(request: Request, session_id: int) -> FittingSession:
    sessions = FittingSession.objects.select_related("customer", "bay", "fitter", "shop")
    return sessions.one(shop_of(request), session_id)


def _stamp(session: FittingSession) -> tuple[int, int, int]:
    """What an answer rests on: the session as it is, and what all of the shop's rest on."""
    return session.pk, session.revision, session.shop.revision


def judged(session: FittingSession) -> JudgedSession:
    """A session made ready to be asked, read once a revision."""
    return remembered(JUDGED, _stamp(session), lambda: load(session))


def _plans(session: JudgedSession) -> Any:
    row = session.rows.session
    kept = BagPlan.objects.of(row.shop_id).filter(session=row).prefetch_related("builds")
    return present_plans(Planning(session), list(kept))


PARTS: dict[str, Callable[[JudgedSession], Any]] = {
    "bench": present_bench,
    "shortlist": present_shortlist,
    "plans": _plans,
}


def _made(ready: JudgedSession, part: str, since: int = 0) -> Any:
    if part == "session":
        return shown(present_session(ready, since=since))
    name, _, build_id = part.partition("/")
    if name == "what_if":
        rows = ready.rows
        build = next((each for each in rows.builds if each.pk == int(build_id)), None)
        assert build is not None
        return shown(present_what_if(ready, build))
    return shown(PARTS[part](ready))


def _body(session: FittingSession, part: str, since: int) -> Any:
    if session.agreed_at is not None:
        kept = AgreedAnswers.objects.of(session.shop_id).filter(session=session).first()
        if kept is not None and part in kept.answers:
            gone = {"status": "erased"} if part == "session" and session.customer.erased_at is not None else {}
            return {**_as_read_now(part, kept.answers[part]), "revision": session.revision, **gone}
    return _made(judged(session), part, since)


KEPT = {"session": SessionOut, "bench": BenchOut, "shortlist": ShortlistOut, "plans": PlansOut, "what_if": WhatIfOut}


def _as_read_now(part: str, answer: dict[str, Any]) -> dict[str, Any]:
    """An answer as it was kept, with the fields that answers have had since: what it says stays as it was."""
    now: dict[str, Any] = completed(KEPT[part.partition("/")[0]], answer)
    held = (answer.get("bag") or {}).get("in_work") or {}
    if part == "session" and "wanted" not in answer["bag"] and held.get("like"):
        wish = Wish.FLIGHT if held.get("flight") else Wish.LIKE
        now["bag"]["wanted"] |= {"wish": wish.value, "like": held["like"], "flight": held.get("flight")}
    return now


def documented_change(
    body: type[Any] | None, *, name: str, tags: list[str], status: int = 200
) -> Callable[[View], View]:
    """How the API document names a change, which answers with the session. body: what it is sent, None for nothing."""
    mark: Callable[[View], View] = extend_schema(
        parameters=[SINCE_OF_CHANGE],
        request=None if body is None else serializer_of(body),
        responses={status: serializer_of(SessionOut)},
        operation_id=name,
        tags=tags,
    )
    return mark


def answer(request: Request, session: FittingSession, part: str, status: int = 200) -> Response:
    """One part of a session. A reader who has it already is told so, and nothing is worked out."""
    since = _since(request)
    tag = f'W/"{".".join(map(str, _stamp(session)))}.{since}.{code_version()}"'
    headers = {"ETag": tag, "Cache-Control": "private, no-cache"}
    if request.method == "GET" and tag in request.headers.get("If-None-Match", ""):
        return Response(status=304, headers=headers)
    return Response(_remembered(session, part, since), status=status, headers=headers)


def _remembered(session: FittingSession, part: str, since: int) -> Any:
    return remembered(ANSWERS, (part, since, *_stamp(session)), lambda: _body(session, part, since))


def session_answer(session: FittingSession) -> Any:
    """The whole session as it is answered, to take a part from. Not to be changed."""
    return _remembered(session, "session", 0)


def changed(request: Request, session_id: int, status: int = 200) -> Response:
    """The session as it now is; every change answers with it, so that the screen never guesses."""
    return answer(request, session_of(request, session_id), "session", status)


def _since(request: Request) -> int:
    text = request.query_params.get("since") or request.headers.get("Since-Revision") or "0"
    if not text.isdecimal() or len(text) > 9:
        raise BadInput("The revision to tell changes since is a whole number.", field="since")
    return int(text)


def keep_as_agreed(session: FittingSession) -> None:
    """Write down every answer of a session that was just agreed, so that it is shown as it was from now on.

    session: as it is after agreeing, with its shop, customer, bay and fitter.
    """
    # Read anew, not from what is kept by revision: this transaction may yet be rolled back.
    ready = load(session)
    hit = [f"what_if/{build.pk}" for build in ready.rows.candidates if ready.rows.shots_of(build)]
    made = {part: _made(ready, part) for part in ("session", *PARTS, *hit)}
    made["session"]["frozen"] = True
    AgreedAnswers.objects.create(
        shop_id=session.shop_id,
        session=session,
        code=code_version(),
        answers=json.loads(json.dumps(made, cls=DjangoJSONEncoder)),
    )
