"""The blind groove test as it is sent and shown to whoever may know."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass
class BlindGroovesIn:
    old: int
    fresh: int
