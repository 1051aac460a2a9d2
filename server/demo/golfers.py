"""Which simulated golfer hits for a customer."""

from __future__ import annotations

import math
from typing import Any

from customers.models import Customer
from fitting.models import Build
from hemicycle_core.heads import HeadType
from hemicycle_core.judge.changes import FACE_ARRIVES
from hemicycle_core.judge.whatif import USUAL_LIE_DEG
from hemicycle_core.simulation.golfer import Club, Player

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


def made_otherwise(build: Build) -> tuple[float, float]:
    """How a build meets the ball otherwise than its head as it is: how far closed, degrees, as a turned sleeve leaves
    it once the player has looked it square again; how much longer, metres."""
    head = build.head
    if head is None or build.set_loft_deg is None or build.length_m is None:
        return 0.0, 0.0
    turned = build.set_loft_deg - head.loft_deg if head.sleeve_deg else 0.0
    closed = FACE_ARRIVES.value * turned * math.tan(math.radians(head.lie_deg or USUAL_LIE_DEG))
    return closed, build.length_m - head.length_m


def club_of(build: Build) -> Club | None:
    """A build as a simulated golfer swings it; None where its loft or length is unknown."""
    if build.set_loft_deg is None or build.length_m is None:
        return None
    closed, longer = made_otherwise(build)
    kind = HeadType(build.head_type)
    specialist = kind is HeadType.WEDGE and not build.is_of_set
    return Club(
        kind,
        build.set_loft_deg,
        build.length_m,
        closed_deg=closed,
        made_longer_m=longer,
        bounce_deg=build.made_club.bounce_deg if kind is HeadType.WEDGE else None,
        worn=WORN.get(build.wear, 0.0),
        face_speed=SPECIALIST if specialist else 1.0,
    )
