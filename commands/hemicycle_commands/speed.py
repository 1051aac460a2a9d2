"""`./hemicycle speed`: how fast the flight model is, against SciPy's solver on the same equations, and the judge, with
how it grows. With --server or --visits N the launcher times the answers of the application too."""

from __future__ import annotations

import argparse
import itertools
import math
import sys
import time
from collections.abc import Callable
from unittest.mock import patch

import numpy as np
from hemicycle_core.flight import Air, Launch, fly, integrate
from hemicycle_core.flight.reference import fly_slowly
from hemicycle_core.formats.bundle import read_bundle
from hemicycle_core.judge import yardages
from hemicycle_core.kept import forget
from hemicycle_core.simulation.practice.fittings import OWN
from hemicycle_core.simulation.practice.worlds import draw_world

from .bundled import bundled

SOLVER_TOLERANCE = 1e-3  # SciPy's own default for a relative error: the least work it would do
REPEATS = 5


def launches(count: int) -> Launch:
    """Launches from chips to drives, the same ones every time."""
    draw = np.random.default_rng(11).uniform
    return Launch(draw(25, 80, count), draw(6, 40, count), draw(1500, 10_000, count), 0.0, draw(-20, 20, count))


def _best_of(work: Callable[[], object]) -> float:
    times = []
    for _ in range(REPEATS):
        began = time.perf_counter()
        work()
        times.append(time.perf_counter() - began)
    return min(times)


def measure(count: int, calls: int) -> list[tuple[str, float, float]]:
    """Rows of what was done, seconds for `count` flights, and times faster than the solver. calls: how many
    of them the solver really flies; its time is scaled up from those."""
    batch = launches(count)
    speed, up, spin, _, axis = batch.arrays()
    began = time.perf_counter()
    for i in range(calls):
        fly_slowly(speed[i], up[i], spin[i], axis[i], Air(), tolerance=SOLVER_TOLERANCE)
    slow = (time.perf_counter() - began) * count / calls
    alone = max(min(count // REPEATS, 200), 1)
    ahead = itertools.cycle(range(count))  # other ones each time: a flight of a few shots is kept

    def one_by_one() -> None:
        for i in itertools.islice(ahead, alone):
            fly(Launch(speed[i], up[i], spin[i], 0.0, axis[i]))

    singly = _best_of(one_by_one) * count / alone
    at_once = _best_of(lambda: fly(batch))
    windy = _best_of(lambda: fly(batch, air=Air(wind_mps=6, wind_from_deg=40)))
    return [
        (f"solve_ivp, one call a flight, rtol {SOLVER_TOLERANCE:g}", slow, 1.0),
        ("one at a time", singly, slow / singly),
        ("one batch", at_once, slow / at_once),
        ("one batch in wind", windy, slow / windy),
    ]


def judged(builds: int, shots: int, jobs: int) -> float:
    """Processor time of a judgement of which nothing is kept, seconds. builds: 1 to 6, the player's own the first."""
    fitting = draw_world("plain", 9, 1, own=True, bag=True)
    letters = [OWN, *(tried.letter for tried in fitting.tried)][:builds]
    for letter in letters:
        fitting.hit(letter, shots)
    data = bundled(fitting)
    data["builds"] = [each for each in data["builds"] if each["letter"] in letters]
    given = data["jobs"]
    data["jobs"] = [
        {**each, "name": f"{each['name']} {number}"} for number, each in zip(range(jobs), itertools.cycle(given))
    ]
    bundle, took = read_bundle(data), []
    for _ in range(REPEATS):
        forget()
        integrate._few.cache_clear()
        began = time.process_time()
        bundle.decided()
        took.append(time.process_time() - began)
    return min(took[1:])


FINER = 4  # times as many yardages of a round
# What a judgement is measured at, and what each of the three grows to.
USUAL, GROWN = {"builds": 6, "shots": 12, "jobs": 4}, {"builds": (3, 6), "shots": (12, 48), "jobs": (2, 8)}


def growth() -> list[tuple[str, float]]:
    """By what a judgement grows, and the exponent: 1 for one that takes twice as long over twice as much."""
    found, usual = [], judged(**USUAL)
    for name, (few, many) in GROWN.items():
        took = [judged(**{**USUAL, name: each}) for each in (few, many)]
        found.append((name, math.log(took[1] / took[0]) / math.log(many / few)))
    with patch.object(yardages, "STEP_M", yardages.STEP_M / FINER):
        found.append(("yardages", math.log(judged(**USUAL) / usual) / math.log(FINER)))
    return found


def main(words: list[str]) -> int:
    parser = argparse.ArgumentParser(prog="hemicycle speed", description=__doc__)
    parser.add_argument("--flights", type=int, default=10_000)
    parser.add_argument("--calls", type=int, default=500, help="how many of them the solver flies; the rest is scaled")
    options = parser.parse_args(words)
    if not 1 <= options.calls <= options.flights <= 1_000_000:
        print("Give 1 to 1,000,000 flights and no more calls than flights.", file=sys.stderr)
        return 2
    print(f"| {options.flights:,} flights | seconds | times faster |\n|---|---|---|")
    for name, seconds, ratio in measure(options.flights, options.calls):
        print(f"| {name} | {seconds:.2f} | {ratio:,.0f} |")
    print(
        f"\nA judgement of {', '.join(f'{many} {name}' for name, many in USUAL.items())}: "
        f"{judged(**USUAL) * 1000:.0f} ms of processor"
    )
    print("It grows with " + ", ".join(f"{name} to the power of {power:.2f}" for name, power in growth()))
    return 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
