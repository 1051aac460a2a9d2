"""What the core says when the data cannot be used."""

from __future__ import annotations


class BadInput(ValueError):
    """Input that has no meaning. `str()` is a sentence a fitter understands; `field` names the culprit."""

    def __init__(self, sentence: str, *, field: str | None = None) -> None:
        super().__init__(sentence)
        self.field = field
