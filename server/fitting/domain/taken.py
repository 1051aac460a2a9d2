"""What is kept of a club that is taken into the bag for now: the space is cut anew then, and nobody remembers why."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from hemicycle_core.decision.said import beside
from hemicycle_core.judge.recommended import may_be_recommended, overruled, passed_over, why_it_lost
from hemicycle_core.units import yd_text

from ..models import Build
from .bag import name_of
from .session import JudgedSession


def why_taken(judged: JudgedSession, build: Build) -> dict[str, Any]:
    """Of a build that is taken in now: its slot, what was said of it and what it saves, and why those that were tried
    for the same slot lost to it, other settings of its head among them."""
    decision = judged.decision
    names = {each.letter: name_of(each) for each in judged.rows.candidates}
    cases = {case.candidate.letter: case for case in judged.cases}
    said = {verdict.letter: verdict for verdict in decision.verdicts}
    mine, chosen = cases.get(build.letter), said.get(build.letter)
    choice, worth = decision.choice, decision.worths.get(build.letter)
    proposed = build.letter in choice.letters
    carry = next((target for target in (mine.targets if mine else ()) if target.quantity == "carry_m"), None)
    lost = []
    for letter, case in cases.items():
        if mine is None or case.slot != mine.slot or letter == build.letter or not may_be_recommended(said[letter]):
            continue
        verdict = passed_over(said[letter]) if letter in choice.letters else said[letter]
        told = beside(letter, build.letter, decision.worths, choice.because, judged.rows.feared) if proposed else ""
        lost.append({"letter": letter, "name": names[letter], "why": why_it_lost(verdict, chosen) + told})
    return {
        "counted": judged.rows.session.clubs_to_place > 1,
        "low_m": carry and carry.low,
        "high_m": carry and carry.high,
        "sentence": choice.sentence if proposed else overruled([build.letter], choice.sentence),
        "why": chosen.why if chosen else "",
        "saves": worth.saves if worth is not None and decision.known else None,
        "lost": lost,
    }


def place_words(taken: dict[str, Any]) -> str:
    """The slot that a build was taken in for."""
    if taken["low_m"] is None or taken["high_m"] is None:
        return "its place"
    return f"{yd_text(taken['low_m'])} to {yd_text(taken['high_m'])} yd"


def reasons_of(build: Build) -> str:
    """Why a build was taken in; empty where it was not, or nothing was kept of it."""
    taken = build.taken
    return f"For {place_words(taken)}: {taken['sentence']} {taken['why']}".strip() if taken else ""


def lost_for(letter: str, accepted: Sequence[Build]) -> list[str]:
    """Why a build lost the places that others were taken in for."""
    return [
        f"For {place_words(build.taken)}, to {build.letter}: {row['why']}"
        for build in accepted
        if build.taken
        for row in build.taken["lost"]
        if row["letter"] == letter
    ]
