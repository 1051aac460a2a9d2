"""What the core says when the data cannot be used, or only with doubt."""

from __future__ import annotations

from dataclasses import dataclass


class BadInput(ValueError):
    """Input that has no meaning. `str()` is a sentence a fitter understands; `field` names the culprit."""

    def __init__(self, sentence: str, *, field: str | None = None) -> None:
        super().__init__(sentence)
        self.field = field


@dataclass(frozen=True)
class Question:
    """Data that can be used, but that a fitter should look at. code: for programs; field: what it is about."""

    code: str
    sentence: str
    field: str | None = None
