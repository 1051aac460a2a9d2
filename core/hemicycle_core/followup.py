"""When a customer is looked at again: defaults of practice, not measurements."""

from __future__ import annotations

CHECK_AFTER_MONTHS = 12  # a club bought now: speed and wear change over a season
DUE_WITHIN_DAYS = 42  # how far ahead the desk looks: six weeks, time enough to ring and find a day
