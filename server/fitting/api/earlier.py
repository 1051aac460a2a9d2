"""Answers that an earlier program kept, read as answers are now: what they say stays as it was."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Any

from common.api import shown
from common.completed import completed
from hemicycle_core.brief import Wish
from hemicycle_core.flight import Firmness
from hemicycle_core.impact import Lie
from hemicycle_core.protocols.found import Column, Figure, Outcome, Result, Row
from hemicycle_core.protocols.grooves.ask import KEY as GROOVES
from hemicycle_core.protocols.grooves.ask import lie_words
from hemicycle_core.protocols.grooves.read import COLUMNS as OF_GROOVES
from hemicycle_core.protocols.grooves.read import TITLE
from hemicycle_core.protocols.stop.ask import KEY as STOP
from hemicycle_core.protocols.stop.read import ball_words, columns_of, title_of
from hemicycle_core.runs import Ball

from .present.tests import present_result

Plain = dict[str, Any]


def as_read_now(part: str, kept: Plain, kinds: dict[str, Any]) -> Plain:
    """One part of what was kept, with the fields that answers have had since. kinds: what each part is an answer
    of."""
    answer = kept[part]
    now: Plain = completed(kinds[part.partition("/")[0]], answer)
    held = (answer.get("bag") or {}).get("in_work") or {}
    if part == "session" and "wanted" not in answer["bag"] and held.get("like"):
        wish = Wish.FLIGHT if held.get("flight") else Wish.LIKE
        now["bag"]["wanted"] |= {"wish": wish.value, "like": held["like"], "flight": held.get("flight")}
    if part == "bench" and "results" not in answer:
        told = [each for each in answer.get("grooves", []) if each["worth"]]  # words went with whoever is erased
        now["results"] = [*map(_grooves, told), *_stops(kept.get("session", {}))]
    return now


def _result(test: str, title: Any, columns: Iterable[Column], rows: Iterable[Row], more: Plain) -> Plain:
    """more: of what was kept, as it was kept."""
    found = Result(test, title, (), tuple(columns), tuple(rows))
    return {**shown(present_result(found)), **more}


def _grooves(kept: Plain) -> Plain:
    rows = [
        Row(
            lie_words(Lie(each["lie"]) if each["lie"] else None),
            None,
            (each["n_old"], each["n_fresh"]),
            {
                key: Figure((both["old"], both["fresh"]), both["half"], both["told"])
                for key, both in each["figures"].items()
            },
        )
        for each in kept["lies"]
    ]
    said = [*(each["sentence"] for each in kept["lies"]), *kept["remarks"], kept.get("blind", "")]
    more = {
        "builds": [kept["old"], kept["fresh"]],
        "outcome": Outcome(kept["worth"]).value,
        "sentence": kept["sentence"],
        "remarks": [each for each in said if each],
    }
    return _result(GROOVES, TITLE, OF_GROOVES, rows, more)


def _stops(session: Plain) -> list[Plain]:
    kept = ((session.get("bag") or {}).get("short") or {}).get("stops") or {}
    lines = [line for line in kept.get("lines", []) if line["ball"]]
    if not lines:
        return []
    columns = columns_of(Firmness(kept["green"]["firmness"]), lines)
    rows = [
        Row(
            ball_words(Ball(line["ball"])),
            line["build"],
            (line["n"],),
            {
                each.key: Figure((line[each.key],), line["half_m"] if each.key == "releases_m" else None)
                for each in columns
            },
        )
        for line in lines
    ]
    said = [*(line["sentence"] for line in lines), *kept["sentences"]]
    return [_result(STOP, title_of(kept["green"]["target_m"]), columns, rows, {"remarks": said})]
