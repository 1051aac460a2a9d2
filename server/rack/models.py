"""The shop's demo heads and shafts. A row is never deleted: what builds were made of stays on record."""

from __future__ import annotations

from enum import StrEnum
from typing import Any

from common.scoped import ScopedModel
from django.db import models
from django.db.models.fields.json import KeyTextTransform
from django.db.models.functions import Cast
from hemicycle_core.bag import HeadType
from hemicycle_core.facts import HeadKnown, ShaftKnown
from hemicycle_core.rack.eligible import Position, RackHead, goes_into
from hemicycle_core.rack.stock import Bend, HeadSpec, Made, MadeForHand, ShaftSpec
from hemicycle_core.units import METRES_PER_INCH


def words(of: type[StrEnum]) -> list[tuple[str, str]]:
    return [(each.value, each.value) for each in of]


HEAD_TYPES = words(HeadType)


class Head(ScopedModel):
    """One demo head. Lengths in metres; loft and lie in degrees."""

    maker = models.CharField(max_length=40)
    model = models.CharField(max_length=40)
    label = models.CharField(max_length=10, help_text="What is written on the sole, such as 4H.")
    head_type = models.CharField(max_length=10, choices=HEAD_TYPES)
    loft_deg = models.FloatField()
    lie_deg = models.FloatField(null=True)
    length_m = models.FloatField(help_text="Standard length when built.")
    sleeve_deg = models.FloatField(default=0, help_text="How far the sleeve turns up or down; 0 is bonded.")
    positions = models.JSONField(
        default=list, help_text="The sleeve's own table: name, loft, lie and face of each, degrees; empty: as it turns."
    )
    left_handed = models.BooleanField(default=True, help_text="Also made for left-handers.")
    right_handed = models.BooleanField(default=True, help_text="Also made for right-handers.")
    sole = models.CharField(max_length=20, blank=True, help_text="Sole of the head, such as narrow or wide.")
    tip_in = models.FloatField(default=0.37, help_text="Bore of the hosel or sleeve, inches.")
    stock = models.PositiveSmallIntegerField(default=1, help_text="0: cannot be had.")
    price = models.DecimalField(max_digits=8, decimal_places=2)
    bounce_deg = models.FloatField(null=True)
    head_g = models.PositiveSmallIntegerField(null=True, help_text="Weight of the head, grams.")
    made = models.CharField(max_length=8, choices=words(Made), default=Made.UNKNOWN.value, help_text="How it is made.")
    retired_at = models.DateTimeField(null=True, help_text="Taken off the rack: kept for the builds made of it.")

    class Meta:
        ordering = ["loft_deg", "head_type", "maker"]

    @property
    def called(self) -> str:
        """Model and label, or the label alone of a head without a name."""
        return f"{self.model} {self.label}".strip()

    @property
    def in_full(self) -> str:
        return f"{self.maker} {self.called}".strip()

    @property
    def spec(self) -> HeadSpec:
        """The head as the shop describes it."""
        both = MadeForHand.BOTH if self.right_handed else MadeForHand.LEFT
        return HeadSpec(
            maker=self.maker,
            model=self.model,
            label=self.label,
            head_type=HeadType(self.head_type),
            loft_deg=self.loft_deg,
            length_in=round(self.length_m / METRES_PER_INCH, 4),
            price=float(self.price),
            lie_deg=self.lie_deg,
            sleeve_deg=self.sleeve_deg,
            positions=self.table,
            tip_in=self.tip_in,
            hand=both if self.left_handed else MadeForHand.RIGHT,
            sole=self.sole,
            bounce_deg=self.bounce_deg,
            head_g=self.head_g,
            made=Made(self.made),
            stock=self.stock,
        )

    @property
    def table(self) -> tuple[Position, ...]:
        return tuple(Position(**each) for each in self.positions)

    @property
    def for_core(self) -> RackHead:
        """The head as the core's rules of the rack see it."""
        return RackHead(
            name=self.called,
            head_type=HeadType(self.head_type),
            loft_deg=self.loft_deg,
            sleeve_deg=self.sleeve_deg,
            left_handed=self.left_handed,
            stock=self.stock,
            tip_in=self.tip_in,
            price=float(self.price) or None,
            positions=self.table,
            right_handed=self.right_handed,
        )

    @property
    def known(self) -> HeadKnown:
        """The head as a club that is made of it knows it."""
        return HeadKnown(
            key=self.pk,
            rack=self.for_core,
            maker=self.maker,
            called=self.called,
            in_full=self.in_full,
            model=self.model,
            label=self.label,
            length_m=self.length_m,
            lie_deg=self.lie_deg,
            bounce_deg=self.bounce_deg,
            sole=self.sole,
            made=Made(self.made),
        )


class Shaft(ScopedModel):
    name = models.CharField(max_length=40)
    flex = models.CharField(max_length=10)
    weight_g = models.PositiveSmallIntegerField()
    material = models.CharField(max_length=10)
    tip_in = models.FloatField(default=0.37, help_text="Tip diameter, inches.")
    fits = models.JSONField(default=list, help_text="Head types it is made for.")
    bend = models.CharField(max_length=8, choices=words(Bend), default=Bend.UNKNOWN.value)
    balance = models.FloatField(null=True, help_text="Where its middle of weight lies, as a share of its length.")
    length_m = models.FloatField(null=True)
    stock = models.PositiveSmallIntegerField(default=1, help_text="0: cannot be had.")
    retired_at = models.DateTimeField(null=True)

    class Meta:
        ordering = ["weight_g", "name"]

    @property
    def spec(self) -> ShaftSpec:
        """The shaft as the shop describes it."""
        return ShaftSpec(
            name=self.name,
            flex=self.flex,
            weight_g=self.weight_g,
            material=self.material,
            tip_in=self.tip_in,
            fits=tuple(HeadType(each) for each in self.fits),
            bend=Bend(self.bend),
            balance=self.balance,
            length_in=None if self.length_m is None else round(self.length_m / METRES_PER_INCH, 4),
            stock=self.stock,
        )

    @property
    def known(self) -> ShaftKnown:
        """The shaft as a club that is made with it knows it."""
        return ShaftKnown(self.pk, self.name, self.flex, self.weight_g, self.material)

    def goes_into(self, head: Head) -> bool:
        return goes_into(self.fits, self.tip_in, head.for_core)


# What a head did beside what was expected of it: log of ball speed, launch in degrees, log of spin.
DEPARTURES = ("speed_share", "launch_deg", "spin_share")


def mean_departures(path: str = "") -> dict[str, Any]:
    """The mean of each over rows in which a head was seen, worked out in the database. path: to those rows."""
    return {
        name: models.Avg(Cast(KeyTextTransform(at, f"{path}departure"), models.FloatField()))
        for at, name in enumerate(DEPARTURES)
    }
