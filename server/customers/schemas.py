"""How a customer is named to the browser."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from .models import Customer, Hand


@dataclass
class Person:
    """try_out: nobody, made to try the product with."""

    id: int
    name: str
    hand: Hand
    try_out: bool = False


@dataclass
class NewCustomer:
    name: str
    hand: Literal["right", "left"] = "right"
    birth_year: int | None = None
    email: str = ""
    notes: str = ""


def person(customer: Customer) -> Person:
    return Person(id=customer.pk, name=customer.name, hand=Hand(customer.hand), try_out=customer.try_out)
