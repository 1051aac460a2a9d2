"""One error shape: problem+json (RFC 9457), with a sentence a fitter understands and the field at fault."""

from __future__ import annotations

import re
from typing import Any

import structlog
from django.core.exceptions import PermissionDenied, RequestDataTooBig
from django.db import InterfaceError, OperationalError
from django.http import Http404, HttpRequest, JsonResponse
from hemicycle_core.errors import BadInput
from hemicycle_core.said import Said, Sayable, as_data, as_said, plain, say
from rest_framework import exceptions, serializers, status
from rest_framework.response import Response

log = structlog.get_logger(__name__)
MEDIA_TYPE = "application/problem+json"
TOO_LARGE = say("file-file-over-mb-more")


class Refused(Exception):
    """An action that is understood and not done. `kind` is a stable word for programs."""

    status: int = status.HTTP_409_CONFLICT

    def __init__(self, sentence: Sayable, *, kind: str = "conflict", field: str | None = None) -> None:
        super().__init__(sentence)
        self.said = as_said(sentence)
        self.kind = kind
        self.field = field
        self.detail: dict[str, Any] = {}  # more members of the problem, for programs

    def __str__(self) -> str:
        return str(self.said)


class NotAllowed(Refused):
    status: int = status.HTTP_403_FORBIDDEN

    def __init__(self, sentence: Sayable) -> None:
        super().__init__(sentence, kind="not_allowed")


def body(kind: str, title: Said, code: int, field: str | None = None) -> dict[str, Any]:
    """title: in English, as the RFC has it; said: the same as data, for who reads it in words of his own."""
    return {
        "type": f"hemicycle:{kind}", "title": str(title), "said": as_data(title), "status": code, "field": field,
    }  # fmt: skip


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


AWAY = body("away", say("problem-database-away"), 503)
BUSY = body("busy", say("problem-two-changes-met"), 503)
FULL = body(
    "full",
    say("problem-disk-full"),
    507,
)
# By PostgreSQL's own code of what went wrong (appendix A of its manual).
BY_STATE = {"40P01": BUSY, "40001": BUSY, "55P03": BUSY, "53100": FULL}
PLAIN: dict[type[Exception], dict[str, Any]] = {
    RequestDataTooBig: body("too_large", TOO_LARGE, 413, "file"),
    Http404: body("not_found", say("problem-not-here"), 404),
    PermissionDenied: body("not_allowed", say("problem-not-allowed"), 403),
    exceptions.NotAuthenticated: body("sign_in", say("problem-sign-in-first"), 401),
    exceptions.AuthenticationFailed: body("sign_in", say("problem-sign-in-first"), 401),
}


# What the framework says of a field, as we say it.
WORDS_OF_FIELDS: dict[str, Said] = {
    str(field.default_error_messages[what]): words
    for field, what, words in (
        (serializers.FloatField, "invalid", say("problem-type-a-number")),
        (serializers.IntegerField, "invalid", say("problem-type-a-whole-number")),
        (serializers.Field, "required", say("problem-is-missing")),
        (serializers.Field, "null", say("problem-is-missing")),
        (serializers.CharField, "blank", say("problem-is-missing")),
        (serializers.CharField, "invalid", say("problem-type-words")),
        (serializers.BooleanField, "invalid", say("problem-say-yes-or-no")),
        (serializers.EmailField, "invalid", say("problem-type-an-address")),
    )
}
# What a name of ours ends with is a unit.
UNITS = re.compile(r"_(m|deg|mps|rpm|in|mm|c|s)$")


def sentence_of(error: BadInput | exceptions.ValidationError) -> Said:
    """What is wrong, as it is answered."""
    if isinstance(error, BadInput):
        return error.said
    sentence, field = _first(error.detail)
    words = WORDS_OF_FIELDS.get(sentence, sentence)
    return say("problem-of-a-field", field=_label(field), words=words) if field else plain(sentence)


def handle(error: Exception, _context: dict[str, Any]) -> Response | None:
    """DRF's exception handler; None lets an unforeseen error become a 500."""
    if isinstance(error, BadInput):
        return _response(body("bad_input", error.said, 400, error.field))
    if isinstance(error, Refused):
        return _response({**error.detail, **body(error.kind, error.said, error.status, error.field)})
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
        return _response(body(error.default_code, plain(str(error.detail)), error.status_code))
    return None


def _label(field: str | None) -> str:
    return UNITS.sub("", (field or "").rsplit(".", 1)[-1]).replace("_", " ").capitalize()


def _response(problem: dict[str, Any], headers: dict[str, str] | None = None) -> Response:
    return Response(problem, status=problem["status"], content_type=MEDIA_TYPE, headers=headers)


def page_not_found(_request: HttpRequest, exception: Exception | None = None) -> JsonResponse:
    return JsonResponse(body("not_found", say("problem-no-such-address"), 404), status=404, content_type=MEDIA_TYPE)


def bad_request(_request: HttpRequest, exception: Exception | None = None) -> JsonResponse:
    """What Django refuses before a view sees it."""
    large = isinstance(exception, RequestDataTooBig)
    title = TOO_LARGE if large else say("problem-request-not-read")
    code = 413 if large else 400
    return JsonResponse(body("bad_request", title, code), status=code, content_type=MEDIA_TYPE)


def csrf_failure(_request: HttpRequest, reason: str = "") -> JsonResponse:
    title = say("problem-page-out-of-date")
    return JsonResponse(body("csrf", title, 403), status=403, content_type=MEDIA_TYPE)


def server_error(_request: HttpRequest) -> JsonResponse:
    title = say("problem-server-mistake")
    return JsonResponse(body("server_error", title, 500), status=500, content_type=MEDIA_TYPE)
