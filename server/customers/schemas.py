"""How a customer is named to the browser."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date
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
class BookLine:
    """A customer in the book. last_visit: None of one who was not here yet."""

    id: int
    name: str
    left_handed: bool
    birth_year: int | None
    visits: int
    last_visit: date | None
    try_out: bool = False


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


def book_line(customer: Customer, visits: int, last_visit: date | None) -> BookLine:
    return BookLine(
        id=customer.pk,
        name=customer.name,
        left_handed=customer.hand == Hand.LEFT,
        birth_year=customer.birth_year,
        visits=visits,
        last_visit=last_visit,
        try_out=customer.try_out,
    )
