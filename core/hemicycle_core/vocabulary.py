"""Words, units and ranges as every screen uses them, said once: the front end's own file is printed from here."""

from __future__ import annotations

from typing import Any

from .answers.short_tests import TESTS
from .bag.clubs import USUAL_SETS
from .bag.gaps import LEAST_STEP_M, MOST_STEP_M, RULE_WORDS, GapRule
from .bag.slots import MOST_OFFERED
from .brief.jobs import JobKind, Miss
from .decision.options import MOST_KEPT_PLANS
from .decision.worth import WORTH_LINES
from .flight import Firmness
from .heads import HEAD_WORDS
from .impact import Lie
from .judge.candidate import Liking
from .judge.changes import BENDING, SHAFT_WORK
from .judge.feel import ASKED, PlayerMode
from .protocols import PROTOCOLS
from .protocols.sole.ask import IN_SAND, LEAST_SOLES, MOST_SOLES, ON_GRASS
from .protocols.sole.clubs import CONTROL_WORDS
from .protocols.sole.result import CERTAIN
from .rack.eligible import SWUNG_FULL
from .rack.stock import Made, Wear
from .readout import USUAL, BenchColumn
from .runs import OFFERED, Ball, swing_words
from .said import Said, as_data, far, say, term, within
from .shots import CLEAN_LIES, READINGS, SHORT_TESTS, Intent, Source, Strike
from .thresholds import ROUND_BANDS
from .units import UNITS, metres
from .wedges.delivery import DIVOT_WORDS
from .wedges.short_end import SCHOOL_WHY
from .wedges.words import COMPLAINT_WORDS, WEDGE_WISH_WORDS, Finish, WedgeUse

SHORT_RULES = (GapRule.EVEN_STEPS, GapRule.CARRY_ONLY)  # roll-out covers nothing into a green

SURFACES = ("mat", "grass tee")  # of a bay
COUNTED = ("shots", "shots a round", "strokes", "strokes a round", "money")  # what a threshold counts


def vocabulary() -> dict[str, Any]:
    """Plain data, sentences as they travel. Readings by key: label, unit and digits as shown, and the canonical value
    of one shown unit. Terms: of each kind of word the words of its codes."""
    made: dict[str, Any] = within(
        {
            "cautions": {"bend": BENDING, "shaft": SHAFT_WORK},
            "readings": {
                key: {
                    "label": reading.label,
                    "unit": "°" if reading.shown == "deg" else reading.shown,
                    "digits": reading.digits,
                    "scale": UNITS[reading.shown].scale,
                }
                for key, reading in READINGS.items()
            },
            "rules": {rule.value: say("as-a-sentence", said=words) for rule, words in RULE_WORDS.items()},
            "shortRules": [rule.value for rule in SHORT_RULES],
            "heads": {kind.value: words for kind, words in HEAD_WORDS.items()},
            "fitted": [kind.value for kind in SWUNG_FULL],
            "firmness": [each.value for each in Firmness],
            "jobs": [each.value for each in JobKind],
            "misses": [each.value for each in Miss],
            "likings": [each.value for each in Liking],
            "felt": {felt.value: words for felt, words in ASKED.items()},
            "round": [say("round-band", low=far(metres(low)), high=far(metres(high))) for low, high in ROUND_BANDS],
            "modes": [each.value for each in PlayerMode],
            "strikes": [each.value for each in Strike],
            "intents": [each.value for each in Intent],
            "protocols": {
                key: {
                    "name": each.name,
                    "why": each.why,
                    "intents": [intent.value for intent in each.intents],
                    "shots": each.shots,
                    "short": key in SHORT_TESTS,
                    "tasks": key in TESTS,
                }
                for key, each in PROTOCOLS.items()
            },
            "sole": {
                "turf": {"grass": [each.value for each in ON_GRASS], "sand": [each.value for each in IN_SAND]},
                "confidence": list(CERTAIN),
                "controls": {each.value: words for each, words in CONTROL_WORDS.items()},
                "soles": [LEAST_SOLES, MOST_SOLES],
            },
            "columns": [each.value for each in BenchColumn],
            "usualSets": {end: list(names) for end, names in USUAL_SETS.items()},
            "usualColumns": [each.value for each in USUAL],
            "lengths": {each: swing_words(each) for each in OFFERED},
            "balls": [each.value for each in Ball],
            "wear": [each.value for each in Wear],
            **_of_wedges(),
            "lies": [each.value for each in Lie],
            "cleanLies": [each.value for each in Lie if each in CLEAN_LIES],
            "most": {"clubsToPlace": MOST_OFFERED, "plans": MOST_KEPT_PLANS},
            "step": {"leastM": LEAST_STEP_M, "mostM": MOST_STEP_M},
            "terms": _terms(),
        },
        as_data,
    )
    return made


def _of_wedges() -> dict[str, Any]:
    return {
        "wedgeUses": [each.value for each in WedgeUse],
        "wedgeWishes": {each.value: words for each, words in WEDGE_WISH_WORDS.items()},
        "complaints": {each.value: words for each, words in COMPLAINT_WORDS.items()},
        "finishes": [each.value for each in Finish],
        "deliveries": {each.value: words for each, words in DIVOT_WORDS.items()},
        "schools": {each.value: words for each, words in SCHOOL_WHY.items()},
    }


def _terms() -> dict[str, dict[str, Said]]:
    """Of each kind of word the words of its codes."""
    return {
        "lie": {each.value: term("lie", each) for each in Lie},
        "firmness": {each.value: term("firmness", each) for each in Firmness},
        "intent": {each.value: term("intent", each) for each in Intent},
        "strike": {each.value: term("strike", each) for each in Strike},
        "ball": {each.value: term("ball", each) for each in Ball},
        "finish": {each.value: term("finish", each) for each in Finish},
        "wear": {each.value: term("wear", each) for each in Wear},
        "use": {each.value: term("wedge-use", each) for each in WedgeUse},
        "liking": {each.value: term("liking", each) for each in Liking},
        "made": {each.value: term("made", each) for each in Made},
        "source": {each.value: term("source", each) for each in Source},
        "surface": {each: term("surface", each.replace(" ", "-")) for each in SURFACES},
        "side": {each: term("side", each) for each in ("right", "left", "both")},
        "sole-width": {each: term("sole-width", each) for each in ("wide", "medium", "narrow")},
        "worth": {each: term("worth", each) for each in WORTH_LINES},
        "counted": {each: term("counted", each.replace(" ", "-")) for each in COUNTED},
    }
