"""How a customer is named to the browser."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from shop.own_units import OwnUnits

from .models import Customer, Hand


@dataclass
class Person:
    """try_out: nobody, made to try the product with. units: of their papers, as whoever prints them reads without."""

    id: int
    name: str
    hand: Hand
    try_out: bool = False
    units: OwnUnits | None = None


@dataclass
class NewCustomer:
    name: str
    hand: Literal["right", "left"] = "right"
    birth_year: int | None = None
    email: str = ""
    notes: str = ""
    units: OwnUnits | None = None


def units_of(customer: Customer) -> OwnUnits | None:
    return None if customer.units is None else OwnUnits(**customer.units)


def person(customer: Customer) -> Person:
    return Person(
        id=customer.pk,
        name=customer.name,
        hand=Hand(customer.hand),
        try_out=customer.try_out,
        units=units_of(customer),
    )
