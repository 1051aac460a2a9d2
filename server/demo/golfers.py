"""Which simulated golfer hits for a customer."""

from __future__ import annotations

from typing import Any

from customers.models import Customer
from hemicycle_core.simulation.golfer import Player

from .models import SimulatedGolfer

# A steady amateur, for customers who have no golfer of their own.
HOUSE = Player(speed_mps=33.0, attack_deg=-2.8, lean_deg=5.5)


def golfer_of(customer: Customer) -> tuple[dict[str, Any], int]:
    """Parameters and seed of the golfer behind a customer; the house golfer, on the customer's side, for others."""
    row = SimulatedGolfer.objects.of(customer.shop_id).filter(customer=customer).first()
    if row is not None:
        return row.parameters, row.seed
    return {**HOUSE.to_dict(), "hand": customer.hand}, customer.pk
