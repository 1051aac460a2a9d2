"""Choosing between verdicts: the likeliest to fill the slot; within noise the cheaper; and why the rest lost."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

from .verdict import Kind, Verdict

NOISE = 0.10  # chances this close are one chance
FILLING = (Kind.FILLS, Kind.FILLS_NOT_SETTLED)


def best(verdicts: Sequence[Verdict], prices: Mapping[str, float]) -> Verdict | None:
    """The build to propose, None when none fills the slot."""
    filling = [verdict for verdict in verdicts if verdict.kind in FILLING and verdict.chance is not None]
    if not filling:
        return None
    top = max(verdict.chance or 0.0 for verdict in filling)
    close = [verdict for verdict in filling if (verdict.chance or 0.0) >= top - NOISE]
    return min(close, key=lambda verdict: (prices.get(verdict.letter, float("inf")), verdict.letter))


def why_it_lost(verdict: Verdict, chosen: Verdict | None) -> str:
    """One sentence for the record."""
    if verdict.kind in FILLING and chosen is not None:
        return f"{verdict.headline} too. {verdict.against or verdict.why}"
    return f"{verdict.headline}. {verdict.why}"
