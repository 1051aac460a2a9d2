"""Reading a request's body: JSON, bounded and strict (hemicycle_core.formats.json_text)."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from django.core.exceptions import RequestDataTooBig
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.json_text import MOST_BYTES, read_json
from hemicycle_core.said import say
from rest_framework.parsers import BaseParser


class StrictJSONParser(BaseParser):
    media_type = "application/json"

    def parse(
        self, stream: Any, media_type: str | None = None, parser_context: Mapping[str, Any] | None = None
    ) -> dict[str, Any]:
        raw: bytes = stream.read(MOST_BYTES + 1)
        if len(raw) > MOST_BYTES:
            raise RequestDataTooBig
        try:
            data = read_json(raw.decode())
        except UnicodeDecodeError as error:
            raise BadInput(say("act-request-not-utf-text")) from error
        if not isinstance(data, dict):
            raise BadInput(say("act-request-one-json-object"))
        return data
