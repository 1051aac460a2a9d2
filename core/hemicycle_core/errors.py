"""What the core says when the data cannot be used."""

from __future__ import annotations

from .said import Said, Sayable, plain


class BadInput(ValueError):
    """Input that has no meaning. `said` is a sentence a fitter understands; `field` names the culprit."""

    def __init__(self, sentence: Sayable, *, field: str | None = None) -> None:
        super().__init__(sentence)
        self.said: Said = sentence if isinstance(sentence, Said) else plain(sentence)
        self.field = field

    def __str__(self) -> str:
        return str(self.said)
