"""Long lists, a page at a time."""

from __future__ import annotations

from rest_framework.pagination import PageNumberPagination


class Pages(PageNumberPagination):
    page_size = 50
    page_size_query_param = "size"
    max_page_size = 200
