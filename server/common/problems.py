"""One error shape: problem+json (RFC 9457), with a sentence a fitter understands and the field at fault."""

from __future__ import annotations

from typing import Any

import structlog
from django.core.exceptions import PermissionDenied, RequestDataTooBig
from django.db import InterfaceError, OperationalError
from django.http import Http404, HttpRequest, JsonResponse
from hemicycle_core.errors import BadInput
from rest_framework import exceptions, status
from rest_framework.response import Response

log = structlog.get_logger(__name__)
MEDIA_TYPE = "application/problem+json"
TOO_LARGE = "The file is over 4 MB, more than a session of shots. Export one session."


class Refused(Exception):
    """An action that is understood and not done. `kind` is a stable word for programs."""

    status: int = status.HTTP_409_CONFLICT

    def __init__(self, sentence: str, *, kind: str = "conflict", field: str | None = None) -> None:
        super().__init__(sentence)
        self.kind = kind
        self.field = field
        self.detail: dict[str, Any] = {}  # more members of the problem, for programs


class NotAllowed(Refused):
    status: int = status.HTTP_403_FORBIDDEN

    def __init__(self, sentence: str) -> None:
        super().__init__(sentence, kind="not_allowed")


def body(kind: str, title: str, code: int, field: str | None = None) -> dict[str, Any]:
    return {"type": f"hemicycle:{kind}", "title": title, "status": code, "field": field}


def _first(detail: Any, path: str = "") -> tuple[str, str | None]:
    """The first message of a DRF error and the dotted path to it."""
    if isinstance(detail, dict):
        key, inner = next(iter(detail.items()))
        here = "" if key == "non_field_errors" else str(key)
        return _first(inner, f"{path}.{here}".strip("."))
    if isinstance(detail, list):
        for index, item in enumerate(detail):
            if item:
                inside = isinstance(item, dict | list)
                return _first(item, f"{path}.{index}".strip(".") if inside else path)
    return str(detail), path or None


AWAY = body(
    "away", "The database does not answer just now. It is being started again; nothing that was saved is lost.", 503
)
BUSY = body("busy", "Two changes met at the same moment and this one was not made. Try again.", 503)
FULL = body(
    "full",
    "The disk of the shop’s machine is full: nothing is saved until there is room on it again. What waits is kept.",
    507,
)
# By PostgreSQL's own code of what went wrong (appendix A of its manual).
BY_STATE = {"40P01": BUSY, "40001": BUSY, "55P03": BUSY, "53100": FULL}
PLAIN: dict[type[Exception], dict[str, Any]] = {
    RequestDataTooBig: body("too_large", TOO_LARGE, 413, "file"),
    Http404: body("not_found", "That is not here, or not in your shop.", 404),
    PermissionDenied: body("not_allowed", "You may not do that.", 403),
    exceptions.NotAuthenticated: body("sign_in", "Sign in first.", 401),
    exceptions.AuthenticationFailed: body("sign_in", "Sign in first.", 401),
}


def sentence_of(error: BadInput | exceptions.ValidationError) -> str:
    """What is wrong, as it is answered."""
    if isinstance(error, BadInput):
        return str(error)
    sentence, field = _first(error.detail)
    return f"{_label(field)}{sentence}"


def handle(error: Exception, _context: dict[str, Any]) -> Response | None:
    """DRF's exception handler; None lets an unforeseen error become a 500."""
    if isinstance(error, BadInput):
        return _response(body("bad_input", str(error), 400, error.field))
    if isinstance(error, Refused):
        return _response({**error.detail, **body(error.kind, str(error), error.status, error.field)})
    if isinstance(error, OperationalError | InterfaceError):
        problem = BY_STATE.get(getattr(error.__cause__, "sqlstate", None) or "", AWAY)
        log.warning(f"database.{problem['type'].partition(':')[2]}", error=str(error))
        return _response(problem, headers={"Retry-After": "2"})
    for kind, problem in PLAIN.items():
        if isinstance(error, kind):
            return _response(problem)
    if isinstance(error, exceptions.ValidationError):
        return _response(body("bad_input", sentence_of(error), 400, _first(error.detail)[1]))
    if isinstance(error, exceptions.APIException):
        return _response(body(error.default_code, str(error.detail), error.status_code))
    return None


def _label(field: str | None) -> str:
    return f"{field.rsplit('.', 1)[-1].replace('_', ' ').capitalize()}: " if field else ""


def _response(problem: dict[str, Any], headers: dict[str, str] | None = None) -> Response:
    return Response(problem, status=problem["status"], content_type=MEDIA_TYPE, headers=headers)


def page_not_found(_request: HttpRequest, exception: Exception | None = None) -> JsonResponse:
    return JsonResponse(
        body("not_found", "There is nothing at this address.", 404), status=404, content_type=MEDIA_TYPE
    )


def bad_request(_request: HttpRequest, exception: Exception | None = None) -> JsonResponse:
    """What Django refuses before a view sees it."""
    large = isinstance(exception, RequestDataTooBig)
    title = TOO_LARGE if large else "This request cannot be read. Load the page again."
    code = 413 if large else 400
    return JsonResponse(body("bad_request", title, code), status=code, content_type=MEDIA_TYPE)


def csrf_failure(_request: HttpRequest, reason: str = "") -> JsonResponse:
    title = "This page is out of date. Load it again and repeat what you did."
    return JsonResponse(body("csrf", title, 403), status=403, content_type=MEDIA_TYPE)


def server_error(_request: HttpRequest) -> JsonResponse:
    title = "Hemicycle made a mistake. What you did is not lost if it was saved; try again."
    return JsonResponse(body("server_error", title, 500), status=500, content_type=MEDIA_TYPE)
