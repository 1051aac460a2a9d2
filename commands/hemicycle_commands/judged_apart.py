"""Judges bundles with whatever judge stands on the path and says what it made of them, one line of JSON each.

Also run in the tree of an earlier commit, so it asks little of it. Standard input: one path to a bundle a line.
Arguments: module.NAME=number sets a constant of the judge first.
"""

from __future__ import annotations

import importlib
import json
import sys
import time
from pathlib import Path
from typing import Any

import numpy as np
from hemicycle_core.formats.bundle import read_bundle
from hemicycle_core.formats.bundle_schema import SHOT
from hemicycle_core.judge import weigh

SHOWN = (0.05, 0.95)


def known_here(data: dict[str, Any]) -> dict[str, Any]:
    """The bundle without what this tree's shots cannot say yet."""
    for club in [*data.get("clubs", []), *data["builds"]]:
        club["shots"] = [{k: v for k, v in shot.items() if k in SHOT["properties"]} for shot in club["shots"]]
    return data


def judged_apart(data: dict[str, Any]) -> dict[str, Any]:
    """What the judge makes of one bundle. rounds: by letter the mean of the successful shots a round and the ends of
    their 90% interval; better: [letter, letter, chance that the first does more]; letter: that of the choice, None to
    keep what is there; saves: strokes a round with each build, where the judge says them; cpu_s: that it took."""
    bundle = read_bundle(known_here(data))
    began = time.process_time()
    # Earlier trees judge and choose in one.
    found: Any = getattr(bundle, "decided" if hasattr(bundle, "decided") else "judged")()
    took = time.process_time() - began
    letters = [case.candidate.letter for case in bundle.cases]
    weighed = found.weighed
    day = getattr(weigh, "DAY_SIDE_DEG", 0.0)
    drawn = {letter: weighed.rounds[letter] for letter in letters}
    return {
        "letter": found.choice.letter,
        "settled": found.choice.settled,
        "rounds": {
            letter: [float(each.mean()), *(float(end) for end in np.quantile(each, SHOWN))]
            for letter, each in drawn.items()
        },
        "better": [[a, b, weighed.better(a, b)] for i, a in enumerate(letters) for b in letters[i + 1 :]],
        "side": {
            letter: [
                weighed.centres[letter].side_deg,
                float(np.hypot(_side_error(weighed.centres[letter]), day)),
            ]
            for letter in letters
        },
        "saves": {letter: worth.saves for letter, worth in getattr(found, "worths", {}).items()},
        "cpu_s": took,
    }


def _side_error(centre: Any) -> float:
    return float(np.hypot(centre.side_se_deg, getattr(centre, "side_shared_deg", 0.0)))


def main() -> int:
    for words in sys.argv[1:]:  # an earlier tree has no such module, and is given none
        importlib.import_module("hemicycle_core.constants").put(words)
    for line in sys.stdin:
        data = json.loads(Path(line.strip()).read_text(encoding="utf-8"))
        print(json.dumps(judged_apart(data)), flush=True)
    return 0


if __name__ == "__main__":
    sys.exit(main())
