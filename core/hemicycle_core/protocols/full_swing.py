"""The stock shot with a full swing: the only one that says what a club does by itself.

What comes of it is the whole of the verdict (`judge`), so that it has no finding of its own.
"""

from __future__ import annotations

from ..said import say
from ..shots import FULL_SWING, Intent
from .protocol import Protocol

PROTOCOL = Protocol(
    key=FULL_SWING,
    name=say("protocol-full-swing"),
    why=say("protocol-only-stock-shots-count"),
    intents=(Intent.STOCK,),
    readings=("carry_m",),
    shots=6,
    read=lambda _shots, _left_handed: [],
)
