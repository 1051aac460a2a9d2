"""Long lists, a page at a time."""

from __future__ import annotations

from collections.abc import Sequence
from functools import cached_property
from typing import Any, overload

from django.db.models import QuerySet
from rest_framework.pagination import CursorPagination, PageNumberPagination


class Pages(PageNumberPagination):
    page_size = 50
    page_size_query_param = "size"
    max_page_size = 200


class NewestFirst(CursorPagination):
    """From the newest row on, by its key: nothing is counted, and the thousandth page costs what the first does."""

    page_size = 50
    page_size_query_param = "size"
    max_page_size = 200
    ordering = "-id"


class OneAfterAnother(Sequence[Any]):
    """Rows of some queries, each after the one before: a page asks for what is on it, each from its own index, where
    one query for all would sort them all."""

    def __init__(self, *queries: QuerySet[Any]) -> None:
        self.queries = queries

    @cached_property
    def counts(self) -> list[int]:
        return [each.count() for each in self.queries]

    def __len__(self) -> int:
        return sum(self.counts)

    @overload
    def __getitem__(self, at: int) -> Any: ...
    @overload
    def __getitem__(self, at: slice) -> list[Any]: ...
    def __getitem__(self, at: int | slice) -> Any:
        if isinstance(at, int):
            return self[at : at + 1][0]
        first, last, _ = at.indices(len(self))
        found: list[Any] = []
        for query, many in zip(self.queries, self.counts, strict=True):
            if first < min(last, many):
                found += query[first : min(last, many)]
            first, last = max(first - many, 0), max(last - many, 0)
        return found
