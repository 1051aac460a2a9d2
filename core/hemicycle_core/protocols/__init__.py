"""What is asked of the player, and what comes of it: one module or folder a protocol, and the registry of them.

A new protocol is a module with one `Protocol`, and its line in `PROTOCOLS`. Runs carry its key; the Bay offers what
it asks, the Bench shows what it found. Where more is read of it than the shots of one build say, it is a folder: `ask`
stands under the judge and the facts, `read` over the judge.
"""

from __future__ import annotations

from collections.abc import Sequence

from ..errors import BadInput
from ..said import say, term, with_or
from ..shots import Intent, Shot
from . import effort, full_swing, shaped, yardage
from .grooves import ask as grooves
from .part_swing import ask as part_swing
from .protocol import Finding, Protocol
from .sole import ask as sole
from .stop import ask as stop

PROTOCOLS: dict[str, Protocol] = {
    each.key: each
    for each in (
        full_swing.PROTOCOL,
        shaped.PROTOCOL,
        effort.PROTOCOL,
        yardage.PROTOCOL,
        part_swing.PROTOCOL,
        grooves.PROTOCOL,
        stop.PROTOCOL,
        sole.PROTOCOL,
    )
}


def protocol_named(key: str) -> Protocol:
    """The protocol of a key. Raises BadInput for one that there is not."""
    found = PROTOCOLS.get(key)
    if found is None:
        raise BadInput(say("protocol-there-no-test-called", key=key), field="protocol")
    return found


def protocol_of(intent: Intent) -> Protocol:
    """The protocol in which a shot is asked for, where a file names the shot alone."""
    return next(each for each in PROTOCOLS.values() if intent in each.intents)


def asked(protocol: str, intent: Intent) -> Protocol:
    """The protocol, when it asks for this shot. Raises BadInput when it does not."""
    found = protocol_named(protocol)
    if intent not in found.intents:
        words = with_or(term("intent", each) for each in found.intents)
        raise BadInput(
            say("protocol-asks-not", name=found.name, words=words, intent=term("intent", intent)), field="intent"
        )
    return found


def findings(shots: Sequence[Shot], *, left_handed: bool = False) -> list[Finding]:
    """What came of every protocol that one build was hit in, in the order of the registry."""
    return [found for each in PROTOCOLS.values() for found in each.read(shots, left_handed)]


__all__ = ["PROTOCOLS", "Finding", "Protocol", "asked", "findings", "protocol_named", "protocol_of"]
