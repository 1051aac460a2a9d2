"""What a series of simulated blind sole tests measured, in words and tables."""

from __future__ import annotations

import numpy as np
from hemicycle_core.simulation.practice.sole_tests import ANSWERED, CELLS, SIZES, AnswerScore, SoleScore

BANDS = 4  # as many tests in each


def report(total: SoleScore, tests: int, seed: int, seconds: float) -> str:
    """By cell and number of soles: what came first, what was named, what is said of how sure that is."""
    lines = [
        f"{tests:,} blind sole tests a cell, seed {seed}: {seconds:.0f} s. Differences in units of the noise of one "
        "judgement.",
        "",
        "| soles | number | handings | best is first | named | of these best | 80% set has it | its size | all one |",
        "|---|---|---|---|---|---|---|---|---|",
    ]
    for cell in CELLS:
        for count in SIZES:
            key = (cell, count)
            right = total.right.get(key)
            best = f"{_share(total.first[key])} | {_share(total.named[key])} | {_share(right) if right else '–'}"
            if cell == CELLS[0]:
                best = f"– | {_share(total.named[key])} | –"
            lines.append(
                f"| {cell} | {count} | {np.mean(total.handings[key]):.0f} | {best} | {_share(total.held[key])} | "
                f"{np.mean(total.sizes[key]):.2f} | {_share(total.same[key])} |"
            )
    lines += ["", "Of random soles, how sure the first was said to be, and how often it was the best:", ""]
    lines += ["| number | said | true | tests |", "|---|---|---|---|"]
    for count in SIZES:
        said, true = np.array(total.stated["random", count]), np.array(total.first["random", count])
        for mine in np.array_split(np.argsort(said, kind="stable"), BANDS):
            if mine.size:
                lines.append(f"| {count} | {_share(said[mine])} | {_share(true[mine])} | {mine.size} |")
    return "\n".join(lines)


def answerers_report(total: AnswerScore, tests: int, seed: int, seconds: float) -> str:
    """By answerer and number of soles: how often one is named of soles that are one, and how sure is said to be the
    first of random ones."""
    equal, random = ANSWERED[0]
    lines = [
        f"{tests:,} blind sole tests a cell and answerer, seed {seed}: {seconds:.0f} s.",
        "",
        "| answers | number | names one of equals | of random ones: said | true | named | of these best |",
        "|---|---|---|---|---|---|---|",
    ]
    for who, score in total.by.items():
        for count in ANSWERED[1]:
            right = score.right.get((random, count))
            said, true = score.stated[random, count], score.first[random, count]
            lines.append(
                f"| {who} | {count} | {_share(score.named[equal, count])} | {_share(said)} | {_share(true)} | "
                f"{_share(score.named[random, count])} | {_share(right) if right else '–'} |"
            )
    return "\n".join(lines)


def _share(values: object) -> str:
    return f"{100 * np.mean(np.asarray(values, dtype=float)):.0f}%"
