"""The pad, from the session as everybody else reads it: the same figures, and only these."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from ..schemas.pad import PadClub, PadOut, PadShot


def present_pad(session: Mapping[str, Any]) -> PadOut:
    """session: as it is answered, plain data."""
    clubs = [PadClub(**{key: club[key] for key in PadClub.__annotations__}) for club in session["builds"]]
    hit = [shot for shot in session["shots"] if shot["build"] == session["in_hand"]]
    return PadOut(
        id=session["id"],
        revision=session["revision"],
        customer=session["customer"]["name"],
        bay_name=session["bay_name"],
        status=session["status"],
        in_hand=session["in_hand"],
        clubs=clubs,
        shots=[PadShot(**{key: shot[key] for key in PadShot.__annotations__}) for shot in hit],
    )
