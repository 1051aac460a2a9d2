"""`./hemicycle practice --world NAME`: fittings of worlds that the judge was not made for, judged as bundles on file.

What was seen is written to files and read back, so that nothing of the truth leaks; with `--against COMMIT` the same
files are judged by that commit's code too, in a tree of its own.
"""

from __future__ import annotations

import argparse
import json
import os
import subprocess
import sys
import tempfile
from collections.abc import Iterator, Sequence
from concurrent.futures import ProcessPoolExecutor, ThreadPoolExecutor
from contextlib import contextmanager
from dataclasses import dataclass
from functools import partial
from itertools import combinations, count
from pathlib import Path
from typing import Any

import numpy as np
from hemicycle_core.constants import registry, without
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.bundle import read_bundle
from hemicycle_core.simulation.practice.fittings import OWN
from hemicycle_core.simulation.practice.score import by_hand, by_share
from hemicycle_core.simulation.practice.worlds import WORLDS, Staged, draw_world

from .bundled import bundled

ROOT = Path(__file__).parents[2]
JUDGE = Path(__file__).with_name("judged_apart.py")
NAMES, ALL = tuple(WORLDS), "all"
SAID = (0.75, 0.85)
LEVEL = (0.05, 0.95)
NEXT = 1_000_003  # from a fitting that cannot be judged to the one drawn instead
NOTHING = 0.02  # strokes a round: what saves less was sold falsely


@dataclass(frozen=True)
class Truth:
    """What lies behind one bundle. worth: of each build in truth, successful shots a use; side_deg: of each build's
    good shots; saved: strokes a round beside the bag of today with it, empty without one; cost: strokes a round, of
    that bag or else of the build on the named jobs; uses: a round; chosen: by way of choosing that needs no judge."""

    worth: dict[str, float]
    side_deg: dict[str, float]
    cost: dict[str, float]
    saved: dict[str, float]
    uses: float
    chosen: dict[str, str]


def stage(name: str, options: argparse.Namespace, folder: Path, number: int) -> Truth:
    """Draw a fitting, have it hit and written, and keep its truth."""
    fitting, seen = next(filter(_can_be_judged, (_hit(name, options, number + NEXT * again) for again in count())))
    (folder / f"{number}.json").write_text(json.dumps(seen), encoding="utf-8")
    letters = [tried.letter for tried in fitting.tried]
    saved = {letter: fitting.saved(letter) for letter in letters} if options.own or options.bag else {}
    return Truth(
        worth={letter: fitting.truth(letter) for letter in letters},
        cost={letter: -saved[letter] if saved else fitting.cost(letter) for letter in letters},
        saved=saved,
        side_deg={letter: float(each.side_deg[~each.missed].mean()) for letter, each in fitting.flown.items()},
        uses=sum(job.uses_per_round for job in fitting.jobs),
        chosen={"hand": by_hand(fitting), "count": by_share(fitting), "oracle": fitting.oracle()},
    )


def _hit(name: str, options: argparse.Namespace, number: int) -> tuple[Staged, dict[str, Any]]:
    fitting = draw_world(name, options.seed, number, shop=options.shop, own=options.own, bag=options.bag)
    for letter in [*([OWN] if options.own else []), *(tried.letter for tried in fitting.tried)]:
        fitting.hit(letter, options.shots)
    return fitting, bundled(fitting)


def _can_be_judged(drawn: tuple[Staged, dict[str, Any]]) -> bool:
    """Whether there is a hole to be seen: a bag's clubs, hit so few times, may hide the one between them."""
    try:
        read_bundle(drawn[1])
    except BadInput:
        return False
    return True


def judged_in(tree: Path, files: Sequence[Path], *constants: str) -> list[dict[str, Any]]:
    """What the judge of a tree makes of some bundles, in their order; the processes share them out. constants: set
    before, as `judged_apart` takes them."""
    workers = os.cpu_count() or 1
    parts = [files[at::workers] for at in range(workers)]
    paths = os.pathsep.join(str(tree / each) for each in ("core", "commands"))
    given = {**os.environ, "PYTHONPATH": paths, "OPENBLAS_NUM_THREADS": "1"}
    asked = [sys.executable, str(JUDGE), *constants]

    def answers(part: Sequence[Path]) -> list[dict[str, Any]]:
        lines = "".join(f"{path}\n" for path in part)
        done = subprocess.run(asked, env=given, input=lines, stdout=subprocess.PIPE, text=True, check=False)
        if done.returncode:
            raise RuntimeError(f"The judge of {tree.name} ended with {done.returncode}.")
        return [json.loads(line) for line in done.stdout.splitlines()]

    found: list[dict[str, Any]] = [{}] * len(files)
    with ThreadPoolExecutor(workers) as together:
        for at, made in enumerate(together.map(answers, parts)):
            found[at::workers] = made
    return found


@contextmanager
def tree_of(commit: str) -> Iterator[Path]:
    """A tree of a commit of this repository, gone afterwards. Raises CalledProcessError for a commit that is none."""
    with tempfile.TemporaryDirectory() as folder:
        tree = Path(folder) / "then"
        git = ["git", "-C", str(ROOT), "worktree"]
        subprocess.run([*git, "add", "--detach", str(tree), commit], check=True, capture_output=True)
        try:
            yield tree
        finally:
            subprocess.run([*git, "remove", "--force", str(tree)], check=True, capture_output=True)


def ranked(answer: dict[str, Any]) -> str:
    """The build that an answer puts highest, whatever it proposes."""
    rounds = answer["rounds"]
    return max((str(letter) for letter in rounds), key=lambda letter: (rounds[letter][0], letter))


@dataclass(frozen=True)
class WorldMeasured:
    """One judge on the fittings of a world, a figure a fitting in the arrays. ranking: regret of the build that does
    most of the jobs, successful shots a use; by_rank: of the same build, put_first: of the one that is put first,
    strokes a round; choice: of the whole bag in strokes a round, where keeping is a choice, else as put_first;
    holds, side_holds: shares of 90% intervals with the truth in them; right: of what was said 80% sure; off: said less
    true; cpu_ms; sold: how many builds, and false: those of them that save nothing."""

    ranking: np.ndarray
    by_rank: np.ndarray
    put_first: np.ndarray
    choice: np.ndarray
    holds: float
    side_holds: float
    right: float
    off: float
    cpu_ms: float
    sold: int
    false: int


def measure(truths: Sequence[Truth], answers: Sequence[dict[str, Any]]) -> WorldMeasured:
    """Without a club of the player's own there is nothing to keep: then an answer that names no build counts as its
    ranking."""
    ranking, by_rank, put_first, choice, holds, sides, right, off = [], [], [], [], [], [], [], []
    sold = false = 0
    for truth, answer in zip(truths, answers, strict=True):
        top = max(truth.worth.values())
        first = ranked(answer)
        ranking.append(top - truth.worth[first])
        saves = answer.get("saves") or {}
        put = answer["letter"] or max(saves, key=lambda letter: (saves[letter], letter), default=first)
        by_rank.append(truth.cost[first] - min(truth.cost.values()))
        put_first.append(truth.cost[put] - min(truth.cost.values()))
        choice.append(_bag_regret(truth, answer["letter"]) if truth.saved else put_first[-1])
        for letter, worth in truth.worth.items():
            mean, low, high = (each / truth.uses for each in answer["rounds"][letter])
            holds.append(low <= worth <= high)
            off.append(mean - worth)
            side, error = answer["side"][letter]
            sides.append(abs(side - truth.side_deg[letter]) <= 1.645 * error)
        said = {(a, b): chance for a, b, chance in answer["better"]}
        for a, b in combinations(truth.worth, 2):
            chance = said[a, b]
            better = truth.worth[a] > truth.worth[b]
            if SAID[0] <= max(chance, 1 - chance) < SAID[1]:
                right.append(better == (chance > 0.5))
        if truth.saved and answer["letter"]:
            sold += 1
            false += truth.saved[answer["letter"]] < NOTHING
    return WorldMeasured(
        np.array(ranking), np.array(by_rank), np.array(put_first), np.array(choice), float(np.mean(holds)),
        float(np.mean(sides)),
        float(np.mean(right)) if right else float("nan"), float(np.mean(off)),
        1000 * float(np.mean([each["cpu_s"] for each in answers])), sold, false,
    )  # fmt: skip


def _bag_regret(truth: Truth, letter: str | None) -> float:
    """What the best of all bags, the one of today among them, saves more than the one with a build in it."""
    return max(0.0, *truth.saved.values()) - (truth.saved[letter] if letter else 0.0)


def _worth(now: WorldMeasured, less: WorldMeasured, truths: Sequence[Truth]) -> str:
    """What a constant is worth, each with one standard error, the same fittings beside each other: in regret of the
    ranking over that of choosing by hand, and in strokes a round of what is chosen; over nought where the judge does
    worse without it."""
    apart = (less.ranking - now.ranking) / max(regrets(truths, "hand").mean(), 1e-9)
    strokes = less.choice - now.choice
    return " | ".join(f"{each.mean():+.3f} ±{each.std() / each.size**0.5:.3f}" for each in (apart, strokes))


def regrets(truths: Sequence[Truth], way: str) -> np.ndarray:
    return np.array([max(each.worth.values()) - each.worth[each.chosen[way]] for each in truths])


def _beside(regret: np.ndarray, hand: np.ndarray) -> str:
    """Regret over that of choosing by hand, with nine times in ten by resampling the fittings."""
    picks = np.random.default_rng(0).integers(0, hand.size, (400, hand.size))
    ratios = regret[picks].mean(axis=1) / np.maximum(hand[picks].mean(axis=1), 1e-9)
    low, high = np.quantile(ratios, LEVEL)
    return f"{regret.mean() / max(hand.mean(), 1e-9):.2f} ({low:.2f} to {high:.2f})"


HEAD = (
    "| world | judge | counting | ranking | oracle | put first, strokes | ranking, strokes | bag, strokes | 90% hold | "
    "of side | 80% right | said less true | sold | falsely | cpu |"
)


def row(name: str, judge: str, truths: Sequence[Truth], found: WorldMeasured) -> str:
    hand = regrets(truths, "hand")
    count, oracle = (f"{regrets(truths, way).mean() / max(hand.mean(), 1e-9):.2f}" for way in ("count", "oracle"))
    if WORLDS[name].alike:
        count = oracle = ranking = put_first = by_rank = bag = "–"
    else:
        costs = np.array([each.cost[each.chosen["hand"]] - min(each.cost.values()) for each in truths])
        bags = np.array([_bag_regret(each, each.chosen["hand"]) for each in truths]) if truths[0].saved else costs
        ranking, put_first, by_rank, bag = (
            _beside(*both)
            for both in (
                (found.ranking, hand), (found.put_first, costs), (found.by_rank, costs), (found.choice, bags)
            )
        )  # fmt: skip
    sold, share = (
        f"{100 * count_ / len(truths):.0f}%" if truths[0].saved else "–" for count_ in (found.sold, found.false)
    )
    right = "–" if np.isnan(found.right) else f"{100 * found.right:.0f}%"
    return (
        f"| {name} | {judge} | {count} | {ranking} | {oracle} | {put_first} | {by_rank} | {bag} | "
        f"{100 * found.holds:.0f}% | {100 * found.side_holds:.0f}% | {right} | {100 * found.off:+.1f} | {sold} | "
        f"{share} | {found.cpu_ms:.0f} ms |"
    )


def run(options: argparse.Namespace) -> Iterator[str]:
    """The lines of the report, a world at a time."""
    names = list(NAMES) if options.world == ALL else [options.world]
    yield (
        f"{options.fittings:,} fittings a world, {options.shots} shots a build, seed {options.seed}"
        f"{', prices and fear' if options.shop else ''}{', a club of the player’s own' if options.own else ''}"
        f"{', a hole in a bag' if options.bag else ''}. "
        "Regret over that of choosing by hand."
    )
    left_out = options.without or [each.name for each in registry().values() if options.ablate and each.out is not None]
    head = f"{HEAD} worth of it in ranking | in strokes |" if left_out else HEAD
    yield from ("", head, "|" + "---|" * (head.count("|") - 1))
    for name in names:
        with tempfile.TemporaryDirectory() as folder:
            with ProcessPoolExecutor(os.cpu_count()) as workers:
                work = partial(stage, name, options, Path(folder))
                truths = list(workers.map(work, range(options.fittings), chunksize=4))
            files = [Path(folder) / f"{number}.json" for number in range(options.fittings)]
            now = measure(truths, judged_in(ROOT, files))
            yield row(name, "now", truths, now)
            for constant in left_out:
                less = measure(truths, judged_in(ROOT, files, *without([constant])))
                yield f"{row(name, f'without {constant}', truths, less)} {_worth(now, less, truths)} |"
            if options.against:
                with tree_of(options.against) as tree:
                    yield row(name, options.against, truths, measure(truths, judged_in(tree, files)))
