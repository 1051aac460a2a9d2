"""`./hemicycle constants`: the numbers the judge rests on, with where each comes from and what it gains."""

from __future__ import annotations

import argparse
import sys
from collections import Counter

from hemicycle_core.constants import Constant, Gain, Ground, registry


def _lost(gain: Gain) -> str:
    parts = [(gain.ranking, "in ranking"), *([(gain.strokes, "strokes")] if gain.strokes else [])]
    return f"{gain.world} " + ", ".join(f"{lost:+.3f} ±{error:.3f} {what}" for (lost, error), what in parts)


def line(each: Constant) -> str:
    gain = "; ".join(_lost(gain) for gain in each.gain)
    value = str(each.value).replace("\n", " ")
    shown = value if len(value) <= 40 else f"{value[:39]}…"
    return f"| {each.name} | {shown} | {each.source} | {'' if each.out is None else f'{each.out:g}'} | {gain} |"


def main(words: list[str]) -> int:
    options = argparse.ArgumentParser(prog="hemicycle constants", description=__doc__)
    options.add_argument("--source", choices=[str(each) for each in Ground])
    options.add_argument("--measured", action="store_true", help="only those whose gain was measured")
    asked = options.parse_args(words)
    found = [
        each
        for each in registry().values()
        if (each.source == asked.source or not asked.source) and (each.gain or not asked.measured)
    ]
    counts = Counter(each.source for each in found)
    print(f"{len(found)} constants: " + ", ".join(f"{count} {source}" for source, count in counts.most_common()))
    print("\n| constant | value | source | left out by | worth |\n|---|---|---|---|---|")
    for each in found:
        print(line(each))
    return 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
