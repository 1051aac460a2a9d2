"""`./hemicycle practice`: simulated fittings with a hidden truth; how much is lost by hand and by the verdict."""

from __future__ import annotations

import argparse
import os
import subprocess
import sys
import time
from collections.abc import Callable, Iterator
from concurrent.futures import ProcessPoolExecutor
from functools import partial

import numpy as np
from hemicycle_core.constants import put, without
from hemicycle_core.simulation.practice import Score, draw_fitting, score, until_settled
from hemicycle_core.simulation.practice.sole_tests import AnswerScore, SoleScore, score_answerers, score_tests
from hemicycle_core.simulation.practice.wedges import LEVELS, WedgeScore, draw_bag, score_bag
from hemicycle_core.simulation.practice.wedges import SHOTS as WEDGE_SHOTS
from hemicycle_core.thresholds import DEFAULT
from hemicycle_core.units import metres, yards

from .practice_soles import answerers_report
from .practice_soles import report as sole_report
from .practice_worlds import ALL, NAMES
from .practice_worlds import run as run_worlds

MOST_FITTINGS, MOST_SHOTS = 20_000, 50
TRULY_BETTER = 0.2  # successful shots a round: what a player notices in a season
SETTLED = 0  # stands for "until settled" where a number of shots is wanted
WEDGE_WAYS = (
    ("nothing", "change nothing"),
    ("lofts", "equal loft by the number"),
    ("ours", "Hemicycle’s decision"),
    ("most", "the bag it puts highest, however unsure"),
)
WAYS = (
    ("hand", "(a) by hand: nearest the middle among those landing at 45° or steeper"),
    ("share", "(b) raw success share of the shots hit"),
    ("verdict", "(c) Hemicycle’s choice"),
)


def one(seed: int, shots: int, builds: int, indoors: float, shop: bool, own: bool, number: int) -> Score:
    """Fitting `number` of the series, hit and scored."""
    fitting = draw_fitting(seed, number, builds=builds, indoors=indoors, shop=shop, own=own)
    if shots == SETTLED:
        return until_settled(fitting)
    for tried in fitting.tried:
        fitting.hit(tried.letter, shots)
    if fitting.own is not None:
        fitting.hit(fitting.own.letter, shots)
    return score(fitting)


Total = Score | WedgeScore | SoleScore | AnswerScore


def _less(constants: list[str]) -> None:
    for words in constants:
        put(words)


def _scored(options: argparse.Namespace, constants: list[str]) -> Iterator[Total]:
    work: Callable[[int], Total] = partial(_wedge_bag, options.seed)
    if options.answerers:
        work = partial(score_answerers, options.seed, short=options.short)
    elif options.soles:
        work = partial(score_tests, options.seed, short=options.short)
    elif not options.wedges:
        work = partial(one, options.seed, options.shots, options.builds, options.indoors, options.shop, options.own)
    # One thread a process: the arrays are small, and two processes share the cores better than their libraries do.
    os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")
    with ProcessPoolExecutor(os.cpu_count(), initializer=_less, initargs=(constants,)) as workers:
        yield from workers.map(work, range(options.fittings), chunksize=8)


def _report(total: Score, options: argparse.Namespace, seconds: float) -> str:
    hit = "until settled" if options.shots == SETTLED else f"{options.shots} shots a build"
    lines = [
        f"{options.fittings:,} fittings of {options.builds} builds, {hit}, seed {options.seed}: {seconds:.0f} s",
        "",
        "| way of choosing | regret, successful shots in 100 | against (a) |",
        "|---|---|---|",
    ]
    by_hand = max(total.mean_regret("hand"), 1e-9)
    for way, words in WAYS:
        regret = total.mean_regret(way)
        lines.append(f"| {words} | {100 * regret:.2f} | {regret / by_hand:.2f} |")
    # Fittings vary; resampled, this is how far the ratio may be off.
    pairs = np.array([total.regret["hand"], total.regret["verdict"]])
    picks = np.random.default_rng(0).integers(0, pairs.shape[1], (400, pairs.shape[1]))
    sums = pairs[:, picks].sum(axis=2)
    low, high = np.quantile(sums[1] / np.maximum(sums[0], 1e-9), [0.05, 0.95])
    lines += [
        "",
        f"(c) over (a) lies between {low:.2f} and {high:.2f} nine times in ten, by resampling the fittings.",
        f"Shots a build: {np.mean(total.shots):.1f}.",
        f"90% intervals of success that hold the truth: {100 * total.coverage:.0f}%; "
        f"said less true, on average: {100 * np.mean(total.off):+.1f} shots in 100.",
        "",
        "| “A is better than B”, said | right | pairs |",
        "|---|---|---|",
    ]
    lines += [f"| {100 * said:.0f}% | {100 * right:.0f}% | {count} |" for said, right, count in total.calibration()]
    lines += _sold_and_kept(total) if options.own else []
    return "\n".join(lines)


def _sold_and_kept(total: Score) -> list[str]:
    """How often what was sold gains nothing worth having, and what was kept should have been replaced."""
    sold, kept = np.array(total.sold), np.array(total.kept)
    false = (sold < DEFAULT.least_gain).sum()
    surely = np.array(total.surely, dtype=bool)
    wrong, sure_wrong = (kept >= TRULY_BETTER).sum(), (kept[surely] >= TRULY_BETTER).sum()
    return [
        "",
        f"Sold {sold.size}, of which {false} gain under {DEFAULT.least_gain:g} of a shot a round in truth "
        f"({100 * false / max(sold.size, 1):.0f}%).",
        f"Kept {kept.size}, of which {wrong} had a build that truly gains {TRULY_BETTER:g} or more "
        f"({100 * wrong / max(kept.size, 1):.0f}%); settled were {surely.sum()}, {sure_wrong} of them so "
        f"({100 * sure_wrong / max(surely.sum(), 1):.0f}%).",
    ]


def _wedge_report(total: WedgeScore, options: argparse.Namespace, seconds: float) -> str:
    """Steps, intervals and the bag proposed, against the truth."""
    lines = [f"{options.fittings:,} wedge bags, {WEDGE_SHOTS} shots a wedge, seed {options.seed}: {seconds:.0f} s", ""]
    lines += ["| spread of the player | steps | within 3 yd, at one swing | by averages alone |", "|---|---|---|---|"]
    for level in LEVELS:
        said, raw = (np.abs(np.array(each[level])) <= metres(3) for each in (total.steps, total.raw))
        lines.append(f"| {level} | {said.size} | {100 * said.mean():.0f}% | {100 * raw.mean():.0f}% |")
    lines += [
        "",
        f"90% intervals of a step that hold the truth: {100 * np.mean(total.inside):.0f}%; of a job’s success: "
        f"{100 * np.mean(total.known):.0f}%, said less true {100 * np.mean(total.off):+.1f} in 100.",
        "",
        "| the bag | regret, successful shots a round |",
        "|---|---|",
    ]
    for way, words in WEDGE_WAYS:
        values = np.array(total.regret[way])
        lines.append(f"| {words} | {values.mean():.3f} ±{1.645 * values.std() / values.size**0.5:.3f} |")
    kept, changed = np.array(total.keep), np.array(total.changed)
    right = (kept < TRULY_BETTER).sum()
    lines += [
        "",
        f"Kept {kept.size}: right in {right} ({100 * right / max(kept.size, 1):.0f}%), as no bag truly gains "
        f"{TRULY_BETTER:g} or more. Changed {changed.size}, which gain {changed.mean() if changed.size else 0.0:.2f} "
        "in truth.",
    ]
    if total.cut:
        ours, best = (yards(float(np.mean(each))) for each in (total.cut, total.could))
        lines += [
            "",
            f"The widest step of {len(total.cut)} bags, cut in the middle: {ours:.1f} yd off by the head that was hit "
            f"and its predicted bend, {best:.1f} by the best head and bend there is.",
        ]
    return "\n".join(lines)


def _worlds(options: argparse.Namespace) -> int:
    if options.shots == SETTLED or options.indoors or options.wedges or options.soles or options.answerers:
        print("In a world give the shots a build, 1 or more; none is indoors, of wedges or of soles.", file=sys.stderr)
        return 2
    try:
        for line in run_worlds(options):
            print(line, flush=True)
    except subprocess.CalledProcessError:
        print(f"There is no commit “{options.against}” in this repository.", file=sys.stderr)
        return 2
    return 0


def _wedge_bag(seed: int, number: int) -> WedgeScore:
    return score_bag(draw_bag(seed, number))


def _asked(words: list[str]) -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="hemicycle practice", description=__doc__)
    parser.add_argument("--fittings", type=int, default=200)
    parser.add_argument("--shots", type=int, default=5, help="a build; 0 hits until the choice is settled")
    parser.add_argument("--builds", type=int, default=4, help="a fitting; in a world there are always five")
    parser.add_argument("--seed", type=int, default=1)
    parser.add_argument("--shop", action="store_true", help="with a price on each build and a side that is feared")
    parser.add_argument("--own", action="store_true", help="with a club of the player's own to keep")
    parser.add_argument("--bag", action="store_true", help="with --world: a hole between two clubs of the player's")
    parser.add_argument("--indoors", type=float, default=0.0, help="share of fittings whose monitor models flight")
    parser.add_argument("--wedges", action="store_true", help="wedge bags instead: steps, intervals, the bag proposed")
    parser.add_argument("--soles", action="store_true", help="blind sole tests instead: so many a cell and size")
    parser.add_argument("--answerers", action="store_true", help="blind sole tests by players who answer otherwise")
    parser.add_argument("--short", action="store_true", help="with --soles or --answerers: the 20-minute version")
    parser.add_argument(
        "--world",
        choices=[*NAMES, ALL],
        help="a world that the judge was not made for",
    )
    parser.add_argument("--without", metavar="NAME", action="append", default=[], help="leave a constant out")
    parser.add_argument("--ablate", action="store_true", help="with --world: what each constant is worth, one by one")
    parser.add_argument("--against", metavar="COMMIT", help="with --world: judge the same by that commit's code too")
    return parser.parse_args(words)


def main(words: list[str]) -> int:
    options = _asked(words)
    sized = 1 <= options.fittings <= MOST_FITTINGS and 0 <= options.shots <= MOST_SHOTS
    if not (sized and 2 <= options.builds <= 8 and 0 <= options.indoors <= 1):
        most = f"{MOST_FITTINGS:,} fittings, 0 to {MOST_SHOTS} shots, 2 to 8 builds and a share from 0 to 1"
        print(f"Give 1 to {most}.", file=sys.stderr)
        return 2
    try:
        constants = without(options.without)
    except (KeyError, ValueError) as unknown:
        print(
            f"Nothing stands for {unknown.args[0]} when it is left out; `./hemicycle constants` lists what may be.",
            file=sys.stderr,
        )
        return 2
    if options.world:
        return _worlds(options)
    if options.ablate or options.against:
        print("--ablate and --against go with --world.", file=sys.stderr)
        return 2
    total: Total = (
        AnswerScore()
        if options.answerers
        else SoleScore()
        if options.soles
        else WedgeScore()
        if options.wedges
        else Score()
    )
    began = time.monotonic()
    for done, part in enumerate(_scored(options, constants), start=1):
        total.add(part)  # type: ignore[arg-type]
        if sys.stderr.isatty():
            sys.stderr.write(f"\r{done:,} of {options.fittings:,} fittings")
            sys.stderr.flush()
    if sys.stderr.isatty():
        sys.stderr.write("\n")
    seconds = time.monotonic() - began
    if isinstance(total, AnswerScore):
        print(answerers_report(total, options.fittings, options.seed, seconds))
    elif isinstance(total, SoleScore):
        print(sole_report(total, options.fittings, options.seed, seconds))
    elif isinstance(total, WedgeScore):
        print(_wedge_report(total, options, seconds))
    else:
        print(_report(total, options, seconds))
    return 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
