"""What a bag is worth: strokes a round over every yardage and every named job, each by the club that leaves least."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..bag import Carried, HeadType
from ..brief import Feared, Job
from ..judge.play import DRAWS, middle_of
from ..judge.strokes import from_fairway, level_of
from ..judge.yardages import Yardages, strokes_at, usual_yardages
from ..kept import lazily
from ..units import metres, yards
from .options import Demand, Option, Plan

Floats = NDArray[np.float64]
Small = NDArray[np.float32]  # many are kept, and a ten-thousandth of a stroke is nothing

# A yardage that no club of a bag is played at: the ball is moved on and the hole begins from there, about.
NO_CLUB = 0.7
# What is known of a player's clubs says nothing of the yardages under the shortest and past the longest of them, and
# one club alone says nothing of the others. What lies under a driver that is known is his bag's.
UNDER, PAST_M, LEAST_CLUBS = 0.93, metres(20), 2
MOST_FOLDED = 400  # of bags that share clubs, kept while many are weighed: some tens of megabytes
WORTH_LINES = ("yardages", "jobs", "fear", "tests", "price")
LEAST_SHOWN = 0.005  # strokes a round


@dataclass(frozen=True)
class Worth:
    """Strokes a round that a bag saves beside that of today, for each possible player, (DRAWS,): over the yardages that
    nobody named and on the named jobs, and by what is feared of both. price: of what is bought, in strokes; tested: by
    what a test told of a club that leaves and the one that comes for it, strokes."""

    yardages: Floats
    jobs: Floats
    feared: Floats
    price: float = 0.0
    tested: float = 0.0

    @property
    def draws(self) -> Floats:
        """All of it but the price."""
        return self.yardages + self.jobs + self.feared + self.tested

    @property
    def saves(self) -> float:
        return float(self.draws.mean())

    @property
    def net(self) -> float:
        """What is left of it when it is paid."""
        return self.saves - self.price

    @property
    def interval(self) -> tuple[float, float]:
        return middle_of(self.draws)

    @property
    def lines(self) -> list[tuple[str, float]]:
        """Its parts by name, those that round to nothing left out; they sum to `net`."""
        each = (float(part.mean()) for part in (self.yardages, self.jobs, self.feared))
        parts = (*each, self.tested, -self.price)
        return [(name, saved) for name, saved in zip(WORTH_LINES, parts, strict=True) if abs(saved) >= LEAST_SHOWN]

    def better_than(self, other: Worth) -> float:
        """Chance that it saves more than another, price aside."""
        a, b = self.draws, other.draws
        return float((a > b).mean() + 0.5 * (a == b).mean())


@dataclass(frozen=True)
class Costs:
    """Of one bag, (DRAWS,): strokes a round over the yardages and the jobs, what is feared apart. by_job: the key of
    the club that does each job, on the course that is played most of those it comes up on."""

    yardages: Floats
    jobs: Floats
    feared: Floats
    by_job: tuple[str, ...] = ()

    def beside(self, today: Costs, price: float, tested: float = 0.0) -> Worth:
        yardages, jobs, feared = today.yardages - self.yardages, today.jobs - self.jobs, today.feared - self.feared
        return Worth(yardages, jobs, feared, price, tested)


@dataclass(frozen=True)
class _Best:
    """What is played at each yardage, (Y, DRAWS) each: strokes that the player reckons with, strokes, and what is
    feared on top."""

    reckoned: Small
    strokes: Small
    feared: Small

    def or_else(self, other: _Best) -> _Best:
        rather = other.reckoned < self.reckoned
        return _Best(
            np.where(rather, other.reckoned, self.reckoned),
            np.where(rather, other.strokes, self.strokes),
            np.where(rather, other.feared, self.feared),
        )


@dataclass(frozen=True)
class WorthTable:
    """Strokes of every option at every yardage, (C, Y, DRAWS), and on every job, (C, J, DRAWS); feared: the same, of
    what is feared of them on top; reckoned: what the player chooses by at a yardage. From it any bag is weighed."""

    options: tuple[Option, ...]
    demand: Demand
    yardages: Yardages
    at: Small
    at_feared: Small
    reckoned: Small
    jobs: Floats
    jobs_feared: Floats

    @property
    def says_anything(self) -> bool:
        """Whether there is a yardage or a job to weigh bags by."""
        return bool(self.yardages.at_m.size or self.demand.uses.size)

    @lazily
    def row(self) -> dict[str, int]:
        return {option.key: number for number, option in enumerate(self.options)}

    @lazily
    def _means(self) -> Floats:
        """Of the jobs, the average with what is feared, (C, J)."""
        means: Floats = (self.jobs + self.jobs_feared).mean(axis=2)
        return means

    @lazily
    def _folded(self) -> dict[tuple[int, ...], _Best]:
        return {}

    def _best_of(self, rows: tuple[int, ...]) -> _Best:
        """Of several clubs, at each yardage the one that a player chooses who knows how far each goes: what we do not
        know of that costs him nothing. Kept, as most bags share most of their clubs."""
        found = self._folded.get(rows)
        if found is None:
            last = rows[-1]
            found = _Best(self.reckoned[last], self.at[last], self.at_feared[last])
            if len(rows) > 1:
                found = self._best_of(rows[:-1]).or_else(found)
            if len(self._folded) >= MOST_FOLDED:
                self._folded.clear()
            self._folded[rows] = found
        return found

    def forget(self) -> None:
        """Let go of what was kept while many bags were weighed; it is made again when it is asked for."""
        self._folded.clear()

    def _at_yardages(self, rows: NDArray[np.intp]) -> tuple[Floats, Floats]:
        """Strokes a round over the yardages and what is feared on top, (DRAWS,) each."""
        found = self._best_of(tuple(int(row) for row in rows))
        return self.yardages.uses @ found.strokes, self.yardages.uses @ found.feared

    def costs(self, plan: Plan) -> Costs:
        """Of one bag. A yardage comes up on every course; a job on its own."""
        yardages, jobs, feared = (np.zeros(DRAWS) for _ in range(3))
        by_job = [""] * self.jobs.shape[1]
        for course, share in self.demand.rounds:
            rows = np.array(sorted(self.row[key] for key in plan.carried_on(course)), dtype=np.intp)
            if not rows.size:
                continue
            left, fear = self._at_yardages(rows)
            yardages += share * left
            feared += share * fear
            on = np.flatnonzero(self.demand.on(course))
            best, uses = rows[self._means[rows][:, on].argmin(axis=0)], self.demand.uses[on]
            jobs += share * (uses @ self.jobs[best, on])
            feared += share * (uses @ self.jobs_feared[best, on])
            for job, club in zip(on, best, strict=True):
                by_job[job] = self.options[club].key
        return Costs(yardages, jobs, feared, tuple(by_job))


def _reaches(club: Carried) -> float:
    """Up to where a club says something of the yardages that are played with others than the driver."""
    return club.carry_m if club.head_type is HeadType.DRIVER else club.total_m + PAST_M


def table_of(
    options: Sequence[Option],
    jobs: Sequence[Job],
    demand: Demand,
    feared: Feared,
    drive_m: float,
    yardages: Yardages | None = None,
) -> WorthTable:
    """yardages: those of a round, where the shop or a course says otherwise than is usual. Only those count that the
    player's own clubs, as far as they are known, say something of."""
    asked = usual_yardages(drive_m, jobs) if yardages is None else yardages
    own = [option.club for option in options if option.own]
    shortest = min(own, key=lambda club: club.carry_m, default=None)
    # With the most lofted wedge every shorter shot is played.
    low = np.inf if shortest is None else 0.0 if shortest.head_type is HeadType.WEDGE else UNDER * shortest.carry_m
    high = max((_reaches(club) for club in own), default=0.0)
    known = (asked.at_m >= low) & (asked.at_m <= high) & (len(own) >= LEAST_CLUBS)
    asked = Yardages(asked.at_m[known], asked.uses[known])
    return _table(options, demand, asked, feared, drive_m, len(jobs))


def widened(table: WorthTable, options: Sequence[Option], feared: Feared, drive_m: float) -> WorthTable:
    """A table with more options, played at the same yardages and jobs."""
    more = _table(options, table.demand, table.yardages, feared, drive_m, table.jobs.shape[1])

    def joined(name: str) -> NDArray[Any]:
        return np.concatenate([getattr(table, name), getattr(more, name)])

    return WorthTable(
        (*table.options, *options), table.demand, table.yardages, joined("at"), joined("at_feared"),
        joined("reckoned"), joined("jobs"), joined("jobs_feared"),
    )  # fmt: skip


def _table(
    options: Sequence[Option], demand: Demand, asked: Yardages, feared: Feared, drive_m: float, jobs: int
) -> WorthTable:
    """jobs: how many."""
    played = [option for option in options if option.club.head_type is not HeadType.DRIVER]
    nothing = 1 + from_fairway(yards(1.0) * asked.at_m, level_of(drive_m)) + NO_CLUB
    at = np.repeat(nothing[None, :, None] * np.ones(DRAWS, dtype=np.float32), len(options), axis=0).astype(np.float32)
    at_feared, reckoned = np.zeros_like(at), at.copy()
    swings = {option.key: option.swing for option in played}
    found = strokes_at(swings, asked, drive_m, feared) if asked.at_m.size and swings else {}
    for number, option in enumerate(options):
        if option.key in found:
            seen = found[option.key]
            reckoned[number], at_feared[number] = np.minimum(seen.known, at[number]), seen.feared
            at[number] = np.minimum(seen.strokes, at[number])
    on_jobs = np.array([[each.strokes for each in option.played] for option in options])
    with_fear = np.array(
        [[each.costs(feared.of(option.club.head_type)) for each in option.played] for option in options]
    )
    shape = (len(options), jobs, DRAWS)
    on_jobs, with_fear = on_jobs.reshape(shape), with_fear.reshape(shape)
    return WorthTable(
        tuple(options), demand, asked, at, at_feared, reckoned, on_jobs, with_fear - on_jobs,
    )  # fmt: skip
