"""Every row belongs to a shop, and every query goes through a manager that says which."""

from __future__ import annotations

from typing import TYPE_CHECKING, Self, TypeVar

from django.db import models
from django.http import Http404

if TYPE_CHECKING:
    from shop.models import Shop

Row = TypeVar("Row", bound=models.Model)


class ScopedQuerySet(models.QuerySet[Row]):
    def of(self, shop: Shop | int) -> Self:
        """The rows of one shop."""
        return self.filter(shop=shop)

    def one(self, shop: Shop | int, pk: int) -> Row:
        """One row of a shop, or 404: a row of another shop looks exactly like none."""
        row = self.of(shop).filter(pk=pk).first()
        if row is None:
            raise Http404
        return row


class ScopedModel(models.Model):
    """Base of everything a shop owns."""

    shop = models.ForeignKey("shop.Shop", on_delete=models.PROTECT, related_name="+")
    objects = ScopedQuerySet.as_manager()

    class Meta:
        abstract = True
