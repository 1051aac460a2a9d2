"""The shop's demo heads and shafts."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from hemicycle_core.bag import HeadType
from hemicycle_core.rack.eligible import RackHead, goes_into

HEAD_TYPES = [(kind.value, kind.value) for kind in HeadType]


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
    left_handed = models.BooleanField(default=True, help_text="Also made for left-handers.")
    sole = models.CharField(max_length=20, blank=True, help_text="Sole of the head, such as narrow or wide.")
    tip_in = models.FloatField(default=0.37, help_text="Bore of the hosel or sleeve, inches.")
    stock = models.PositiveSmallIntegerField(default=1, help_text="0: cannot be had.")
    price = models.DecimalField(max_digits=8, decimal_places=2)

    class Meta:
        ordering = ["loft_deg", "head_type", "maker"]

    @property
    def for_core(self) -> RackHead:
        """The head as the core's rules of the rack see it."""
        return RackHead(
            name=f"{self.model} {self.label}",
            head_type=HeadType(self.head_type),
            loft_deg=self.loft_deg,
            sleeve_deg=self.sleeve_deg,
            left_handed=self.left_handed,
            stock=self.stock,
            tip_in=self.tip_in,
            price=float(self.price),
        )


class Shaft(ScopedModel):
    name = models.CharField(max_length=40)
    flex = models.CharField(max_length=10)
    weight_g = models.PositiveSmallIntegerField()
    material = models.CharField(max_length=10)
    tip_in = models.FloatField(default=0.37, help_text="Tip diameter, inches.")
    fits = models.JSONField(default=list, help_text="Head types it is made for.")

    class Meta:
        ordering = ["weight_g", "name"]

    def goes_into(self, head: Head) -> bool:
        return goes_into(self.fits, self.tip_in, head.for_core)
