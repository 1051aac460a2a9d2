"""Sentences in an answer: data, and the English text for those who only read and ask for it."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from django.http import HttpRequest
from hemicycle_core.said import ENGLISH, Reader, as_said, in_words
from rest_framework.renderers import JSONRenderer
from rest_framework.request import Request

PREFER, WORDS = "Prefer", "words"


def wants_words(request: HttpRequest | Request) -> bool:
    """Whether the text of every sentence is asked for, by `Prefer: words` (RFC 7240)."""
    return WORDS in [each.strip() for each in request.headers.get(PREFER, "").split(",")]


def read_out(data: Any, reader: Reader = ENGLISH) -> Any:
    """Plain data with every sentence in it as text."""
    if isinstance(data, Mapping):
        if "say" in data:
            return in_words(as_said(data), reader)
        return {key: read_out(value, reader) for key, value in data.items()}
    return [read_out(each, reader) for each in data] if isinstance(data, list | tuple) else data


class JSONInWords(JSONRenderer):
    """JSON, with sentences as data unless their text is asked for."""

    def render(self, data: Any, accepted_media_type: Any = None, renderer_context: Any = None) -> bytes:
        request = (renderer_context or {}).get("request")
        if request is not None and wants_words(request):
            data = read_out(data)
            renderer_context["response"]["Preference-Applied"] = WORDS
        made: bytes = super().render(data, accepted_media_type, renderer_context)
        return made
