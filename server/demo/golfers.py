"""Which simulated golfer hits for a customer."""

from __future__ import annotations

import math
from typing import Any

from customers.models import Customer
from fitting.models import Build
from hemicycle_core.heads import HeadType
from hemicycle_core.judge.changes import FACE_ARRIVES
from hemicycle_core.judge.whatif import USUAL_LIE_DEG
from hemicycle_core.simulation.golfer import Player, SwungClub

from .models import SimulatedGolfer

# A steady amateur, for customers who have no golfer of their own.
HOUSE = Player(speed_mps=33.0, attack_deg=-2.8, lean_deg=5.5)


WORN = {"some": 0.4, "worn": 1.0}
SPECIALIST = 0.985  # ball speed of a specialist wedge beside a set wedge of its loft


def golfer_of(customer: Customer) -> tuple[dict[str, Any], int]:
    """Parameters and seed of the golfer behind a customer; the house golfer, on the customer's side, for others."""
    row = SimulatedGolfer.objects.of(customer.shop_id).filter(customer=customer).first()
    if row is not None:
        return row.parameters, row.seed
    return {**HOUSE.to_dict(), "hand": customer.hand}, customer.pk


def made_otherwise(build: Build) -> dict[str, Any]:
    """How a build meets the ball otherwise than a head of its kind: how far closed, degrees, as a turned sleeve leaves
    it once the player has looked it square again; how much longer, metres; of a wedge its bounce and grooves,
    and that a specialist one is slower than one of the set."""
    kind, head = HeadType(build.head_type), build.head
    wedge = kind is HeadType.WEDGE
    said: dict[str, Any] = {
        "closed_deg": 0.0,
        "made_longer_m": 0.0,
        "bounce_deg": build.known.bounce_deg if wedge else None,
        "worn": WORN.get(build.wear, 0.0),
        "face_speed": SPECIALIST if wedge and not build.known.is_of_set else 1.0,
    }
    if head is None or build.set_loft_deg is None or build.length_m is None:
        return said
    turned = build.set_loft_deg - head.loft_deg if head.sleeve_deg else 0.0
    closed = FACE_ARRIVES.value * turned * math.tan(math.radians(head.lie_deg or USUAL_LIE_DEG))
    return {**said, "closed_deg": closed, "made_longer_m": build.length_m - head.length_m}


def club_of(build: Build) -> SwungClub | None:
    """A build as a simulated golfer swings it; None where its loft or length is unknown."""
    if build.set_loft_deg is None or build.length_m is None:
        return None
    return SwungClub(HeadType(build.head_type), build.set_loft_deg, build.length_m, **made_otherwise(build))
