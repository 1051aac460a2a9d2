"""Quantities of a sentence: a figure that knows of what kind it is. In which unit and how finely it is read is for the
reader's units to say."""

from __future__ import annotations

from dataclasses import dataclass, replace
from enum import StrEnum
from typing import Protocol

from ..units import METRES_PER_INCH


class Kind(StrEnum):
    """What a figure is a figure of, and the unit it is kept in."""

    FAR = "far"  # length of a shot, m
    HIGH = "high"  # height of a shot, or of the ground, m
    NEAR = "near"  # a short way on the ground, m
    CLUB_LENGTH = "club_length"  # m
    SPEED = "speed"  # m/s
    ANGLE = "angle"  # degrees
    SPIN = "spin"  # rpm
    WEIGHT = "weight"  # g
    WARMTH = "warmth"  # degrees C
    MONEY = "money"  # in the shop's currency
    SHARE = "share"  # of one
    CHANCE = "chance"  # of one; never quite sure, never quite none
    TIME = "time"  # s
    NUMBER = "number"


class Form(StrEnum):
    AS_IS = ""
    SIGNED = "signed"  # with its sign, also where it is positive
    LEAST_ONE = "least"  # at least one, as what is nought is not said
    SIZE = "size"  # without its sign
    SHORT = "short"  # with as many digits as it has


AS_IS = Form.AS_IS


@dataclass(frozen=True, slots=True)
class Quantity:
    """value: in the unit of its kind. digits: in the usual unit of its kind; negative for tens and hundreds.
    difference: of two such figures, where the kind's scale does not begin at nought (degrees of warmth)."""

    kind: Kind
    value: float
    digits: int = 0
    form: Form = AS_IS
    difference: bool = False

    def __format__(self, how: str) -> str:
        raise TypeError("a quantity is data: say it as a value of a message, do not put it in a text")


class Figure(Protocol):
    """Says a figure of one kind. value: in the unit of that kind."""

    def __call__(self, value: float, digits: int = ..., form: Form = ...) -> Quantity: ...


def _of(kind: Kind, digits: int = 0) -> Figure:
    def made(value: float, digits: int = digits, form: Form = AS_IS) -> Quantity:
        return Quantity(kind, float(value), digits, form)

    return made


far = _of(Kind.FAR)
high = _of(Kind.HIGH)
near = _of(Kind.NEAR)
club_length = _of(Kind.CLUB_LENGTH, digits=2)
speed = _of(Kind.SPEED)
angle = _of(Kind.ANGLE)
spin = _of(Kind.SPIN)
weight = _of(Kind.WEIGHT)
warmth = _of(Kind.WARMTH)
money = _of(Kind.MONEY)
share = _of(Kind.SHARE)
seconds = _of(Kind.TIME)
number = _of(Kind.NUMBER)


def some_way(metres: float) -> Quantity:
    """A distance that is said to be one: never nought."""
    return far(metres, form=Form.LEAST_ONE)


def above(metres: float) -> Quantity:
    """A height above or below, said without its sign, m."""
    return high(metres, form=Form.SIZE)


def inches(value: float, digits: int = 0, form: Form = Form.SHORT) -> Quantity:
    """A length of a club that is kept in inches."""
    return club_length(value * METRES_PER_INCH, digits, form)


def change(quantity: Quantity) -> Quantity:
    """A difference of two such figures."""
    return replace(quantity, difference=True)
