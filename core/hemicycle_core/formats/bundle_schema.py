"""The JSON Schema of a session bundle, version 1. docs/formats/session-bundle.schema.json is this, written out."""

from __future__ import annotations

from typing import Any

from ..bag import GapRule, HeadType
from ..brief import FlightWish, JobKind, ReplaceWay, Wish
from ..flight import Firmness
from ..impact import Lie
from ..judge import Liking
from ..protocols.found import Outcome
from ..protocols.sole.ask import PLACES
from ..protocols.sole.kept import TurfSaid
from ..runs import Ball
from ..shots import READINGS, Intent, Source, Strike
from ..thresholds import MOST_ROUND, ROUND_BANDS

EXPECTED_OF = (
    "carry_m", "carry_sd_m", "peak_m", "peak_sd_m", "landing_deg", "landing_sd_deg", "roll_m", "ball_speed_mps",
    "launch_deg", "spin_rpm", "landing_speed_mps", "landing_spin_rpm",
)  # fmt: skip
FORMAT, VERSION = "hemicycle-session", 1


def _words(kind: Any) -> dict[str, Any]:
    return {"enum": [each.value for each in kind]}


def _object(needed: list[str], properties: dict[str, Any], **more: Any) -> dict[str, Any]:
    return {
        "type": "object", "required": needed, "properties": properties, "additionalProperties": False, **more,
    }  # fmt: skip


NUMBER: dict[str, Any] = {"type": "number"}
OPTIONAL: dict[str, Any] = {"type": ["number", "null"]}
TEXT: dict[str, Any] = {"type": "string"}

STEP: dict[str, Any] = {"type": "array", "items": NUMBER, "minItems": 2, "maxItems": 2}

SHOT = _object(
    ["readings"],
    {
        "readings": _object(
            [],
            {
                key: {**NUMBER, "description": f"{each.label!s}, {each.low:g} to {each.high:g}."}
                for key, each in READINGS.items()
            },
        ),
        "sources": {
            "type": "object",
            "description": "Of single readings, where not as the bundle's `monitor_models_flight` says.",
            "propertyNames": {"enum": list(READINGS)},
            "additionalProperties": _words(Source),
        },
        "aside": {"type": "boolean", "description": "Set aside by the fitter; counts as a miss."},
        "aside_reason": TEXT,
        "strike": {"enum": [*(each.value for each in Strike), None]},
        "intent": {**_words(Intent), "description": "What was meant; only stock shots say what the club does."},
        "protocol": {**TEXT, "description": "Key of the test it was hit in; usually follows from the intent."},
        "lie": {
            "enum": [*(each.value for each in Lie), None],
            "description": "What it was hit from, where that was said.",
        },
        "apart": {**TEXT, "description": "Why it is no stock shot otherwise: another swing, another ball, wind."},
        "swing": {**TEXT, "description": "How it was swung: a length, eased or hard; full where it is not named."},
        "part": {"type": "boolean", "description": "Only its swing makes it no stock shot: a part swing of the club."},
        "asked_m": {"type": "number", "description": "The carry that was asked for, with the intent `yardage`."},
        "order": {
            "type": "integer",
            "minimum": 0,
            "description": "Its place among all shots of the session, whatever club they were hit with. Left out where "
            "that is not known, as of shots of another day.",
        },
        "hit_at": {"type": "string", "format": "date-time", "description": "When, where the monitor says it."},
        "old_swing": {"type": "boolean", "description": "Hit before the swing was changed: says nothing of now."},
        "misread": {"type": "boolean", "description": "The monitor's error: counts for nothing."},
        "void": {
            "type": "array",
            "items": {"enum": list(READINGS)},
            "description": "Readings that do not count.",
        },
    },
)
KNOWN = _object(
    ["carry_m", "total_m"],
    {
        "carry_m": NUMBER, "carry_sd_m": NUMBER, "total_m": NUMBER, "total_read": {"type": "boolean"},
        "spread_m": OPTIONAL, "peak_m": OPTIONAL, "landing_deg": OPTIONAL, "spin_rpm": OPTIONAL,
        "ball_speed_mps": OPTIONAL, "launch_deg": OPTIONAL, "shots": {"type": "integer", "minimum": 0},
        "of_set": {"type": "boolean"}, "kept_for": TEXT, "swing": TEXT, "on_order": {"type": "boolean"},
        "told_spread_m": OPTIONAL,
    },
    description="As the map knows the club, where that is not simply the mean of its shots: on other ground, in other "
    "air, or from an earlier visit.",
)  # fmt: skip
EXPECTED = _object(
    ["carry_m", "carry_sd_m"],
    {
        **dict.fromkeys(EXPECTED_OF, OPTIONAL),
        "kind": {**_words(HeadType), "description": "A wedge of a set is an iron."},
    },
    description="What a club that was not hit should do, by the player's other clubs.",
)
CLUB = {
    "name": TEXT,
    "head_type": _words(HeadType),
    "loft_deg": OPTIONAL,
    "length_m": OPTIONAL,
    "length_stated": {"type": "boolean", "description": "False where the length is as usual of its kind and loft."},
    "shots": {"type": "array", "items": SHOT},
    "known": KNOWN,
}
SEEN = _object(
    ["club", "landed_m", "stopped_m"],
    {
        "club": TEXT,
        "ball": _words(Ball),
        "target_m": NUMBER,
        "landed_m": NUMBER,
        "stopped_m": NUMBER,
        "landed_side_m": NUMBER,
        "stopped_side_m": NUMBER,
        "balls": {"type": "integer", "minimum": 1, "description": "Paced together."},
        "aside": {"type": "boolean"},
    },
)
HANDED = _object(
    ["code", "place"],
    {
        "code": TEXT,
        "place": {"enum": list(PLACES)},
        "visit": {"type": "integer", "minimum": 0},
        "duel": {"type": "boolean"},
        "said": {"enum": [1, 0, -1, None], "description": "Better, level or worse than the one before it."},
        "best": {"enum": [1, 0, -1, None], "description": "The same against the best so far."},
        "turf": {"enum": [*(each.value for each in TurfSaid), None]},
        "groove": {"type": ["integer", "null"], "description": "Where it struck, counted from the lowest."},
        "sound": TEXT,
        "left_m": OPTIONAL,
    },
)
SOLES = _object(
    ["loft_deg", "codes", "handed"],
    {
        "loft_deg": NUMBER,
        "blind": {"enum": ["single", "double", "open"]},
        "revealed": {"type": "boolean"},
        "codes": {
            "type": "array",
            "items": _object(
                ["code", "shots"],
                {
                    "code": TEXT,
                    "club": {**TEXT, "description": "Left out while the test is blind."},
                    "control": {"type": "boolean"},
                    "shots": {"type": "array", "items": SHOT},
                },
            ),
        },
        "handed": {"type": "array", "items": HANDED},
        "guess": TEXT,
        "confidence": TEXT,
        "chosen": TEXT,
        "course": {
            "type": "array",
            "items": _object(
                ["played_on", "code"],
                {"played_on": TEXT, "code": TEXT, "place": TEXT, "word": TEXT, "first": {"type": "boolean"}},
            ),
        },
    },
)
TOLD = _object(
    ["old", "letter", "outcome", "why"],
    {
        "old": {**TEXT, "description": "The name of a club of `clubs`."},
        "letter": {**TEXT, "description": "Of the build beside it; empty where that is borrowed and not to be had."},
        "outcome": _words(Outcome),
        "why": {**TEXT, "description": "As a part of a sentence."},
        "saves": {**NUMBER, "description": "Strokes a round that the new one saves by what was told."},
        "same_loft": {"type": "boolean", "description": "Both have one loft; so where left out."},
    },
)
TESTS = _object(
    [],
    {
        "told": {"type": "array", "items": TOLD},
        "stops": {"type": "array", "items": SEEN},
        "soles": {"type": "array", "items": SOLES},
    },
)

SCHEMA: dict[str, Any] = {
    "$schema": "https://json-schema.org/draft/2020-12/schema",
    "title": "Hemicycle session bundle",
    "description": (
        "Canonical units: metres, metres a second, degrees, rpm, seconds, degrees C. Right of the target and curving "
        "right are positive, for left-handers too; attack down is negative."
    ),
    **_object(
        ["format", "version", "builds"],
        {
            "format": {"const": FORMAT},
            "version": {"const": VERSION},
            "customer": _object([], {"name": TEXT, "hand": {"enum": ["right", "left"]}}),
            "held_on": {"type": "string", "format": "date"},
            "air": _object([], {"altitude_m": NUMBER, "temperature_c": NUMBER}),
            "monitor_models_flight": {
                "type": "boolean",
                "description": "True where the monitor sees impact only: flight readings are then its own model.",
            },
            "budget": OPTIONAL,
            "miss": {"enum": ["none", "left", "right", "short", "long"]},
            "fear": {
                "enum": ["same", "half", "whole"],
                "description": "What a shot that misses that way costs on top of the one missed, in shots.",
            },
            "fear_with": {
                "type": "array",
                "items": _words(HeadType),
                "description": "Kinds of heads with which it is feared; all when empty or left out.",
            },
            "jobs": {
                "type": "array",
                "items": _object(
                    ["name", "kind", "distance_m"],
                    {
                        "name": TEXT,
                        "kind": _words(JobKind),
                        "distance_m": {
                            **NUMBER,
                            "description": "To the middle of the green or lay-up; the total wanted off the tee.",
                        },
                        "carry_over_m": OPTIONAL,
                        "width_m": NUMBER,
                        "depth_m": NUMBER,
                        "firmness": _words(Firmness),
                        "green_ft": {**NUMBER, "description": "Speed of the green: the meter's reading in feet."},
                        "uses_per_round": NUMBER,
                        "lie": {"enum": [*(each.value for each in Lie), None], "description": "What it is met from."},
                        "course": {**TEXT, "description": "Where it comes up; left out: everywhere."},
                        "wind_mps": {**NUMBER, "description": "That it is met in, at 10 m height."},
                        "wind_from_deg": {**OPTIONAL, "description": "0 against, 90 from the right; null: any side."},
                    },
                ),
            },
            "courses": {
                "type": "array",
                "description": "Where they play, with the share of their rounds in 100; clubs may be swapped by them.",
                "items": _object(["name", "share"], {"name": TEXT, "share": NUMBER}),
            },
            "stroke_price": {**OPTIONAL, "description": "What a stroke a round is worth, in the shop's money."},
            "round_shots": {
                "type": "array",
                "minItems": len(ROUND_BANDS),
                "maxItems": len(ROUND_BANDS),
                "items": {"type": "number", "minimum": 0, "maximum": MOST_ROUND},
                "description": "Shots a round of "
                + ", ".join(f"{low:g} to {high:g}" for low, high in ROUND_BANDS)
                + " yd for one who drives 210 yd; as usual when left out.",
            },
            "steps": _object(
                [],
                {"long": STEP, "short": STEP, "short_rule": _words(GapRule)},
                description="Wanted between neighbours at each end, metres; as usual when left out.",
            ),
            "slot": _object(
                ["low_m", "high_m"],
                {
                    "low_m": NUMBER,
                    "high_m": NUMBER,
                    "landing_deg": {
                        **OPTIONAL,
                        "description": "Least landing angle, null for none; from the jobs when left out.",
                    },
                    "named": {"type": "boolean", "description": "Asked for by its figure: no room is given beside it."},
                },
                description="The carry window. Left out: found from the clubs, by `rule` and `clubs_to_place`.",
            ),
            "wish": {
                "enum": [each.value for each in Wish],
                "description": "What leads; by `like` and `flight` where left out. far: further than `like` and in "
                "play; compare: no window.",
            },
            "noise": {
                "type": "object",
                "description": "What the monitor reads wrong where not usual: one standard deviation, canonical.",
                "propertyNames": {"enum": list(READINGS)},
                "additionalProperties": _object(["shot", "day"], {"shot": NUMBER, "day": NUMBER}),
            },
            "flight": {
                "enum": [each.value for each in FlightWish],
                "description": "With `like`: the yardage of that club is to stay and its flight to be other.",
            },
            "ways": {
                "type": "array",
                "items": _words(ReplaceWay),
                "description": "With `like` and the wish `replace`: what the club that takes its place is to do.",
            },
            "like": {
                "type": "string",
                "description": (
                    "The name of a club of `clubs`: the same but newer is wanted. Without a slot its carry and flight "
                    "are the window. Each build is weighed in its place."
                ),
            },
            "rule": _words(GapRule),
            "clubs_to_place": {"type": "integer", "minimum": 1, "maximum": 4},
            "most_clubs": {
                "type": "integer",
                "minimum": 1,
                "maximum": 20,
                "description": "Clubs carried at most, a putter among them that is not in `clubs`; 14 when left out.",
            },
            "others": {
                "type": "integer",
                "minimum": 0,
                "description": "Clubs carried whose carry nobody knows, a putter among them; as `clubs` says when left "
                "out, with a putter whether it is there or not.",
            },
            "tests": {
                **TESTS,
                "description": "Tests of the short game. told: what they found of "
                "a club that is played beside a build, which counts before what is computed; the rest is on record.",
            },
            "clubs": {
                "type": "array",
                "description": "The bag of today: hit (shots) or typed (carry_m, total_m).",
                "items": _object(
                    ["name", "head_type"],
                    {
                        **CLUB,
                        "carry_m": OPTIONAL,
                        "total_m": OPTIONAL,
                        "out_of_favour": {"type": "boolean"},
                        "fixed": {"type": "boolean", "description": "It stays in the bag."},
                        "expected": EXPECTED,
                    },
                ),
            },
            "builds": {
                "type": "array",
                "items": _object(
                    ["letter", "head_type", "shots"],
                    {
                        **CLUB,
                        "letter": {"type": "string", "minLength": 1, "maxLength": 8},
                        "sleeve_deg": NUMBER,
                        "window": {
                            **STEP,
                            "description": "Its own carry window, by how far it rolls; else the slot's.",
                        },
                        "turned_deg": {
                            **NUMBER,
                            "description": "How far the sleeve is turned from the stated loft, up positive.",
                        },
                        "price": OPTIONAL,
                        "liking": _words(Liking),
                        "answered": {
                            "type": "boolean",
                            "description": "The player was asked for his word of it; so where the liking says one.",
                        },
                        "next_heads": {
                            "type": "array",
                            "items": STEP,
                            "description": "Loft and length of the heads of its kind that can be had, where known.",
                        },
                        "head": {**TEXT, "description": "Of what head it is a setting: two are never carried."},
                        "bend_up_deg": {
                            "type": "number",
                            "minimum": 0,
                            "description": "How far it may be bent weaker.",
                        },
                        "bend_down_deg": {"type": "number", "minimum": 0},
                        "replaces": {**TEXT, "description": "The club of the bag whose place it takes."},
                    },
                ),
            },
        },
    ),
}
