"""Every row belongs to a shop, and every query goes through a manager that says which."""

from __future__ import annotations

import json
from collections.abc import Collection, Iterable
from typing import Any, Self, TypeVar

from django.core.exceptions import ValidationError
from django.db import connections, models
from django.http import Http404
from hemicycle_core.errors import BadInput
from hemicycle_core.said import Said, plain, say

Row = TypeVar("Row", bound=models.Model)


class ScopedQuerySet(models.QuerySet[Row]):
    def of(self, shop: models.Model | int) -> Self:
        """The rows of one shop."""
        return self.filter(shop=shop)

    def one(self, shop: models.Model | int, pk: int) -> Row:
        """One row of a shop, or 404: a row of another shop looks exactly like none."""
        row = self.of(shop).filter(pk=pk).first()
        if row is None:
            raise Http404
        return row

    def bulk_create(self, objs: Iterable[Row], *args: Any, **kwargs: Any) -> list[Row]:
        rows = list(objs)
        for row in rows:
            check_fits(row)
        return super().bulk_create(rows, *args, **kwargs)


def _fault(field: models.Field[Any, Any], value: Any) -> Said | None:
    """Why a column cannot hold a value, or None when it can."""
    kind = field.get_internal_type()
    if isinstance(value, str) and "\x00" in value:
        return say("column-broken-character")
    if isinstance(value, str) and field.max_length is not None and len(value) > field.max_length:
        return say("column-too-long", most=field.max_length, has=len(value))
    if isinstance(value, int) and kind.endswith("IntegerField"):
        low, high = connections["default"].ops.integer_field_range(kind)
        if not low <= value <= high:
            return say("column-out-of-range", value=value, low=low, high=high)
    if isinstance(field, models.JSONField) and "\\u0000" in json.dumps(value, default=str):
        return say("column-broken-character")
    if isinstance(field, models.DecimalField | models.EmailField) and value not in (None, ""):
        try:
            field.run_validators(field.to_python(value))
        except ValidationError as error:
            return plain(" ".join(error.messages))
    return None


def check_fits(row: models.Model, names: Collection[str] | None = None) -> None:
    """Raise BadInput, with the field at fault, where a row holds what its columns cannot. names: of the fields that
    will be written, None for all."""
    for field in row._meta.concrete_fields:
        if field.generated or (names is not None and field.name not in names and field.attname not in names):
            continue
        fault = _fault(field, getattr(row, field.attname))
        if fault is not None:
            name = str(field.verbose_name).capitalize()
            raise BadInput(say("column-cannot-hold", name=name, fault=fault), field=field.name)


class ScopedModel(models.Model):
    """Base of everything a shop owns."""

    shop = models.ForeignKey("shop.Shop", on_delete=models.PROTECT, related_name="+")
    objects = ScopedQuerySet.as_manager()

    class Meta:
        abstract = True

    def save(self, *args: Any, **kwargs: Any) -> None:
        check_fits(self, kwargs.get("update_fields"))
        super().save(*args, **kwargs)
