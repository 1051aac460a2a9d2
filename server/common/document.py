"""What the API document says beyond what its serializers know."""

from __future__ import annotations

from typing import Any

REQUEST = "Request"


def answers_are_whole(result: dict[str, Any], generator: Any, request: Any, public: bool) -> dict[str, Any]:
    """An answer has every field of its dataclass, also those that have a usual value where they are sent."""
    schemas: dict[str, Any] = result["components"]["schemas"]
    for name, each in schemas.items():
        if not name.endswith(REQUEST) and each.get("properties"):
            each["required"] = sorted(each["properties"])
    return result


SENTENCE = {
    "oneOf": [
        {"type": "string"},
        {"type": "object", "properties": {"say": {}}, "required": ["say"], "additionalProperties": True},
    ],
    "description": "Text as somebody typed it, or what is said as data: `say` is a message of the catalogue, or "
    "several in a row with `glue` between them; the rest are its values: words, counts, sentences, and quantities such "
    'as `{"far": 152.4}` (metres) with their `digits` and `form`. Asked with `Prefer: words` it is the English text.',
}
