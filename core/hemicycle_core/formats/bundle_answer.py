"""A decision as plain data: what `./hemicycle judge` prints of a session bundle."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from ..bag.remarks import Remark
from ..decision import Decision, Worth
from ..judge import Candidate, Case, Comparison, Verdict
from ..judge.weigh import called
from ..said import read_out


def _verdict(verdict: Verdict) -> dict[str, Any]:
    return {
        "letter": verdict.letter,
        "verdict": verdict.kind.value,
        "headline": verdict.headline,
        "why": verdict.why,
        "against": verdict.against,
        "would_change_it": verdict.change,
        "chance_to_fill": verdict.chance,
        "settled": verdict.settled,
        "more_shots": verdict.more,
        "carry_half_width_m": verdict.half_width_m,
        "turn_deg": verdict.turn.change.amount if verdict.turn else None,
        "successful_shots_a_round": verdict.rounds,
        "jobs": [
            {
                "name": each.job.name,
                "success": each.success,
                "interval_90": list(each.interval),
                "fails": dict(each.fails),
                "lie": each.lie.words if each.lie else "",
                "wind": each.wind,
            }
            for each in verdict.played
        ],
        "facts": [
            {
                "quantity": fact.quantity,
                "mean": fact.mean,
                "low": fact.low,
                "high": fact.high,
                "good": fact.good,
                "source": fact.source.value,
                "model_error": fact.error,
            }
            for fact in verdict.facts
        ],
    }


def _comparison(pair: Comparison) -> dict[str, Any]:
    return {
        "metric": pair.metric.value,
        "better": pair.better,
        "worse": pair.worse,
        "by": pair.by,
        "by_at_equal_speed": pair.by_equal,
        "chance": pair.chance,
        "settled": pair.settled,
        "more_shots_each": pair.more,
        "sentence": pair.sentence,
    }


def _worth(worth: Worth) -> dict[str, Any]:
    """Strokes a round beside the bag of today, line by line; the price is not in their sum."""
    return {"strokes_a_round": worth.saves, "interval_90": list(worth.interval), "lines": dict(worth.lines)}


# What decides, and which builds it was not read of is said.
READ_FOR = ("carry_m", "offline_m", "landing_deg", "total_m")


def _not_read(candidate: Candidate) -> list[str]:
    """Readings that decide and that no counted shot of a build has."""
    shots = [shot for shot in candidate.shots if shot.counts]
    return [key for key in READ_FOR if shots and all(shot.get(key) is None for shot in shots)]


def _slots(decision: Decision, cases: Sequence[Case]) -> list[dict[str, Any]]:
    """The decision by place: its window, the builds tried for it, and which of them comes in."""
    places: dict[int, dict[str, Any]] = {}
    for case in cases:
        carry = next((target for target in case.targets if target.quantity == "carry_m"), None)
        place = places.setdefault(
            case.slot,
            {
                "low_m": carry and carry.low,
                "high_m": carry and carry.high,
                "open": decision.asked.open.get(case.slot),
                "tried": [],
                "comes_in": None,
            },
        )
        place["tried"].append(case.candidate.letter)
        if case.candidate.letter in decision.choice.letters:
            place["comes_in"] = case.candidate.letter
    return [places[number] for number in sorted(places)]


def written(decision: Decision, cases: Sequence[Case] = (), bag_remarks: Sequence[Remark] = ()) -> dict[str, Any]:
    """A decision as plain data for JSON, its sentences in English; lengths in metres, chances and shares 0 to 1, gains
    in strokes a round. cases: that were decided on; bag_remarks: on the bag as it is."""
    choice = decision.choice
    made: dict[str, Any] = read_out(
        {
            "choice": {
                "letter": choice.letter,
                "runner_up": choice.runner_up,
                "because": choice.because.value,
                "sentence": choice.sentence,
                "settled": choice.settled,
                "chance_best": choice.chance_best,
                "gain_strokes_a_round": choice.gain_strokes,
                "more_shots": None
                if choice.more is None
                else {
                    "with": {called(letter): shots for letter, shots in choice.more.shots},
                    "settle_it": not choice.more.in_vain,
                },
            },
            "bag": {
                "come_in": list(choice.letters),
                "leave": list(decision.bag.dropped),
                "saves": _worth(decision.bag.worth),
                "with_each_build": {letter: _worth(worth) for letter, worth in sorted(decision.worths.items())},
            }
            if decision.known
            else None,
            "slots": _slots(decision, cases),
            "not_read": {
                each.letter: missing for each in (case.candidate for case in cases) if (missing := _not_read(each))
            },
            "remarks": [each.sentence for each in bag_remarks],
            "verdicts": [_verdict(verdict) for verdict in decision.verdicts],
            "comparisons": [_comparison(pair) for pair in decision.judgement.comparisons],
        }
    )
    return made
