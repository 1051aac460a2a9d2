"""Which simulated golfer hits for a customer."""

from __future__ import annotations

import math
from typing import Any

from customers.models import Customer
from fitting.models import Build
from hemicycle_core.heads import HeadType
from hemicycle_core.simulation.golfer import Club, Player

from .models import SimulatedGolfer

# A steady amateur, for customers who have no golfer of their own.
HOUSE = Player(speed_mps=33.0, attack_deg=-2.8, lean_deg=5.5)


def golfer_of(customer: Customer) -> tuple[dict[str, Any], int]:
    """Parameters and seed of the golfer behind a customer; the house golfer, on the customer's side, for others."""
    row = SimulatedGolfer.objects.of(customer.shop_id).filter(customer=customer).first()
    if row is not None:
        return row.parameters, row.seed
    return {**HOUSE.to_dict(), "hand": customer.hand}, customer.pk


FACE_REACHES = 0.3  # of the face that a turned sleeve closes: the player looks the rest square again
USUAL_LIE_DEG = 58.0


def club_of(build: Build) -> Club | None:
    """A build as a simulated golfer swings it; None where its loft or length is unknown."""
    if build.set_loft_deg is None or build.length_m is None:
        return None
    head = build.head
    turned = build.set_loft_deg - head.loft_deg if head and head.sleeve_deg else 0.0
    return Club(
        HeadType(build.head_type),
        build.set_loft_deg,
        build.length_m,
        closed_deg=FACE_REACHES * turned * math.tan(math.radians((head and head.lie_deg) or USUAL_LIE_DEG)),
        made_longer_m=build.length_m - head.length_m if head else 0.0,
    )
