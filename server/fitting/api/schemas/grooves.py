"""The blind groove test as it is sent and shown to whoever may know."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass
class BlindGroovesIn:
    old: int
    fresh: int


@dataclass
class GrooveGuessIn:
    """code: the build of the code that is taken for the new one; confidence: guess, fairly or certain."""

    code: int
    confidence: str
