"""Answers about a session: worked out once while none of its rows changes, told again only when they changed, and once
agreed as they were."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, TypeVar

from common.api import serializer_of, shown
from common.asked import asked
from common.scoped import ScopedQuerySet
from common.words import wants_words
from drf_spectacular.utils import OpenApiParameter, extend_schema
from hemicycle_core.errors import BadInput
from hemicycle_core.kept import latest, new_store
from hemicycle_core.said import say
from rest_framework.request import Request
from rest_framework.response import Response
from shop.asking import shop_of

from ..domain.session import JudgedSession, load
from ..domain.versions import version_of
from ..models import AgreedAnswers, BagPlan, FittingSession
from .earlier import as_read_now
from .once import Make, Told, Versioned, once
from .present.bench import present_bench, present_what_if
from .present.plans import present_plans
from .present.session import present_session
from .present.shortlist import present_shortlist
from .schemas.answers import KEPT
from .schemas.bay import ChangeSeenOut
from .schemas.session import SessionOut

View = TypeVar("View", bound=Callable[..., Response])
SINCE = OpenApiParameter(
    "since", int, description="A revision that the reader has: shots that did not change after it are left out."
)
SINCE_OF_CHANGE = OpenApiParameter("Since-Revision", int, OpenApiParameter.HEADER, description=SINCE.description)
BRIEFLY = "return=minimal"
PREFER = OpenApiParameter(
    "Prefer",
    str,
    OpenApiParameter.HEADER,
    description=f"`{BRIEFLY}`: where it is enough, only what was changed is told (202), and nothing is judged for it.",
)
JUDGED, ANSWERS = new_store(16), new_store(64)


def _sessions() -> ScopedQuerySet[FittingSession]:
    return FittingSession.objects.select_related("customer", "bay", "fitter", "shop")


def row_of(request: Request, session_id: int) -> FittingSession:
    return _sessions().one(shop_of(request), session_id)


def session_of(request: Request, session_id: int) -> Versioned:
    return versioned(shop_of(request).pk, session_id)


def versioned(shop_id: int, session_id: int) -> Versioned:
    version = version_of(shop_id, session_id)
    return Versioned(_sessions().one(shop_id, session_id), version)


def judged(session: Versioned) -> JudgedSession:
    """A session made ready to be asked, read once while none of its rows changes."""
    return latest(JUDGED, session.row.pk, session.version, lambda: load(session.row, session.version))


def _plans(session: JudgedSession) -> Any:
    row = session.rows.session
    kept = BagPlan.objects.of(row.shop_id).filter(session=row).prefetch_related("builds")
    return present_plans(session, list(kept))


PARTS: dict[str, Callable[[JudgedSession], Any]] = {
    "bench": present_bench,
    "shortlist": present_shortlist,
    "plans": _plans,
}


def _made(ready: JudgedSession, part: str) -> Any:
    if part == "session":
        return shown(present_session(ready))
    name, _, build_id = part.partition("/")
    if name == "what_if":
        return shown(present_what_if(ready, ready.facts.by_key[int(build_id)]))
    return shown(PARTS[part](ready))


def _told(ready: JudgedSession, part: str) -> Told:
    if part != "session":
        return Told(_made(ready, part))
    told, at = _made(ready, part), {shot.pk: shot.revision for shot, _ in ready.rows.in_order}
    here = tuple(at.pop(shot["id"]) for shot in told["shots"])
    # Who was told of an earlier revision than one at which a shot changed that is not here is told all of them.
    return Told(told, here, max(ready.rows.session.whole_from, *at.values(), 0))


def _body(session: Versioned, part: str) -> Told:
    row = session.row
    if row.agreed_at is not None:
        kept = AgreedAnswers.objects.of(row.shop_id).filter(session=row).first()
        if kept is not None and part in kept.answers:
            gone = {"status": "erased"} if part == "session" and row.customer.erased_at is not None else {}
            return Told({**as_read_now(part, kept.answers, KEPT), "revision": row.revision, **gone})

    def anew() -> tuple[Versioned, Make]:
        version = version_of(row.shop_id, row.pk)
        now = session if version == session.version else versioned(row.shop_id, row.pk)
        return now, lambda parts: {each: _told(judged(now), each) for each in parts}

    return once(session, part, ("session", *PARTS), anew)


def documented_change(
    body: type[Any] | None, *, name: str, tags: list[str], status: int = 200, seen: bool = False
) -> Callable[[View], View]:
    """How the API document names a change, which answers with the session. body: what it is sent, None for nothing.
    seen: what it changes can be told by itself."""
    briefly = {202: serializer_of(ChangeSeenOut)} if seen else {}
    mark: Callable[[View], View] = extend_schema(
        parameters=[SINCE_OF_CHANGE, *([PREFER] if seen else [])],
        request=None if body is None else serializer_of(body),
        responses={status: serializer_of(SessionOut), **briefly},
        operation_id=name,
        tags=tags,
    )
    return mark


def answer(request: Request, session: Versioned, part: str, status: int = 200) -> Response:
    """One part of a session. A reader who has it already is told so, and nothing is worked out."""
    since = _since(request)
    # As data and as words it is two answers: whoever has the one is not told that it has the other.
    form = ".words" if wants_words(request) else ""
    tag = f'W/"{session.key}.{since}{form}"'
    headers = {"ETag": tag, "Cache-Control": "private, no-cache", "Vary": "Prefer, Cookie"}
    if request.method == "GET" and tag in request.headers.get("If-None-Match", ""):
        return Response(status=304, headers=headers)
    return Response(answered(session, part, since), status=status, headers=headers)


def answered(session: Versioned, part: str, since: int = 0) -> Any:
    """One part of a session, as plain data. Not to be changed."""
    return latest(ANSWERS, (part, session.row.pk), session.version, lambda: _body(session, part)).since(since)


def changed(request: Request, session_id: int, status: int = 200) -> Response:
    """The session as it now is; every change answers with it, so that the screen never guesses."""
    return answer(request, session_of(request, session_id), "session", status)


def seen(request: Request, session_id: int, status: int = 200) -> Response:
    """The same, of a change that can be told by itself: who asks for no more is told that, and nothing is judged."""
    told = asked().told
    if asked().briefly and told is not None and told["id"] == session_id:
        return Response(told, status=202, headers={"Preference-Applied": BRIEFLY, "Vary": "Prefer, Cookie"})
    return changed(request, session_id, status)


def _since(request: Request) -> int:
    text = request.query_params.get("since") or request.headers.get("Since-Revision") or "0"
    if not text.isdecimal() or len(text) > 9:
        raise BadInput(say("act-revision-tell-changes-since"), field="since")
    return int(text)


def all_answers(ready: JudgedSession) -> dict[str, Any]:
    """Every answer of a session, to be kept as it is."""
    hit = [f"what_if/{club.key}" for club in ready.facts.candidates if club.shots]
    made = {part: _made(ready, part) for part in (*PARTS, *hit)}
    made["session"] = shown(present_session(ready, most=None))
    made["session"]["frozen"] = True
    return made
