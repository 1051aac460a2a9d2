"""The made-up shop: people, makers and models that do not exist. Lengths in inches, as racks are labelled."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Any

SHOP = ("Fellside Fitting Room", "Aldergate")
# name, indoor (its monitor then models flight), surface
BAYS = [("Bay 1", True, "mat"), ("Bay 2", False, "grass tee")]

# maker, model, label, type, loft, lie, length, sleeve, left-handed, sole, tip, stock, price
HEADS: list[tuple[str, str, str, str, float, float, float, float, bool, str, float, int, int]] = [
    ("Tarnhollow", "Ostrel", "3W", "fairway", 15.0, 57.0, 43.0, 2.0, True, "shallow", 0.335, 1, 329),
    ("Tarnhollow", "Ostrel", "5W", "fairway", 18.0, 57.5, 42.5, 2.0, True, "shallow", 0.335, 1, 329),
    ("Tarnhollow", "Ostrel", "7W", "fairway", 21.0, 58.0, 42.0, 2.0, True, "shallow", 0.335, 1, 329),
    ("Tarnhollow", "Ostrel", "9W", "fairway", 24.0, 58.5, 41.5, 2.0, False, "shallow", 0.335, 1, 329),
    ("Brackwater", "Skerry", "3H", "hybrid", 19.0, 58.5, 40.5, 2.0, True, "wide", 0.37, 1, 279),
    ("Brackwater", "Skerry", "4H", "hybrid", 22.0, 59.0, 40.0, 2.0, True, "wide", 0.37, 1, 279),
    ("Brackwater", "Skerry", "5H", "hybrid", 25.0, 59.5, 39.5, 2.0, True, "wide", 0.37, 1, 279),
    ("Nordvane", "Corrie", "4H", "hybrid", 21.0, 59.0, 40.25, 0.0, True, "narrow", 0.37, 0, 239),
    ("Quillmere", "Drumlin", "U3", "utility", 19.5, 60.0, 39.5, 0.0, False, "narrow", 0.37, 1, 249),
    ("Quillmere", "Drumlin", "U4", "utility", 22.0, 60.5, 39.25, 0.0, True, "narrow", 0.37, 1, 249),
    ("Quillmere", "Drumlin", "U5", "utility", 25.0, 61.0, 38.75, 0.0, True, "narrow", 0.37, 1, 249),
]
# maker, model, label, loft, lie, length, sole, bounce, head g: bonded, tip 0.37, 179 each
WEDGES: list[tuple[str, str, str, float, float, float, str, float, int]] = [
    ("Vardholm", "Gannock", "50", 50.0, 64.0, 35.5, "medium", 10.0, 298),
    ("Vardholm", "Gannock", "54 W", 54.0, 64.0, 35.25, "wide", 14.0, 302),
    ("Vardholm", "Gannock", "54 M", 54.0, 64.0, 35.25, "medium", 10.0, 301),
    ("Vardholm", "Gannock", "58 W", 58.0, 64.0, 35.0, "wide", 12.0, 305),
    ("Vardholm", "Gannock", "58 M", 58.0, 64.0, 35.0, "medium", 8.0, 304),
    ("Vardholm", "Gannock", "58 N", 58.0, 64.0, 35.0, "narrow", 5.0, 303),
]
# label, loft, lie, length, bounce: a set of cast irons of one model, tip 0.37, 129 each
IRONS: tuple[str, str, list[tuple[str, float, float, float, float]]] = (
    "Quillmere",
    "Thirlbeck",
    [
        ("4", 20.5, 61.0, 38.5, 2.0),
        ("5", 23.5, 61.5, 38.0, 3.0),
        ("6", 27.0, 62.0, 37.5, 4.0),
        ("7", 31.0, 62.5, 37.0, 5.0),
        ("8", 35.5, 63.0, 36.5, 6.0),
        ("9", 40.0, 63.5, 36.0, 7.0),
        ("PW", 44.5, 64.0, 35.75, 8.0),
        ("GW", 49.0, 64.0, 35.5, 10.0),
    ],
)
# The sleeve of the Ostrel 7W by its own table: name, loft, lie and face beside the stated head, degrees.
SLEEVE = {"7W": [("LO", -1.5, -0.5, -1.0), ("L", -0.75, 0.0, -0.5), ("STD", 0.0, 0.0, 0.0), ("UP", 1.0, 0.75, 0.75)]}
# name, flex, weight g, material, tip, fits
SHAFTS: list[tuple[str, str, int, str, float, list[str]]] = [
    ("Fenlark 55", "A", 55, "graphite", 0.335, ["fairway"]),
    ("Fenlark 65", "R", 65, "graphite", 0.335, ["fairway"]),
    ("Fenlark 75", "S", 75, "graphite", 0.335, ["fairway"]),
    ("Fenlark 55 H", "A", 55, "graphite", 0.37, ["hybrid"]),
    ("Fenlark 65 H", "R", 65, "graphite", 0.37, ["hybrid"]),
    ("Fenlark 75 H", "S", 75, "graphite", 0.37, ["hybrid", "utility"]),
    ("Wexmoor 85", "R", 85, "graphite", 0.37, ["hybrid", "utility"]),
    ("Wexmoor 95", "S", 95, "steel", 0.37, ["utility"]),
    ("Wexmoor 110 W", "wedge", 110, "steel", 0.37, ["wedge"]),
    ("Wexmoor 100 I", "R", 100, "steel", 0.37, ["iron"]),
]


@dataclass
class DemoJob:
    name: str
    kind: str
    yards: float
    firmness: str = "medium"
    over: float | None = None
    width: float = 26
    depth: float = 26
    uses: float = 1.0
    lie: str = ""
    course: str = ""


@dataclass
class DemoWedge:
    """What is stated of an own wedge: sole, finish, rounds, grooves, lofts as set, bounce; uses a round; complaints."""

    name: str
    loft: float
    bounce: float = 10.0
    sole: str = "medium"
    finish: str = "plated"
    rounds: int = 60
    wear: str = "some"
    uses: dict[str, float] = field(default_factory=dict)
    bothers: tuple[str, ...] = ()


@dataclass
class DemoRun:
    """Shots of one club with another swing: a length, or eased; or asked to carry so many yards. letter: of the stand,
    where it is not a club of the player's own; lie, protocol: where another than usual."""

    club: str
    shots: int
    length: str = "full"
    eased: bool = False
    asked: float | None = None
    letter: str = ""
    lie: str = ""
    protocol: str = "full_swing"


@dataclass
class DemoStop:
    """Balls of one wedge seen to land and to stop, yards; letter: of the stand; paced: balls taken together."""

    club: str
    balls: list[tuple[float, float]]
    letter: str = ""
    paced: int = 1


@dataclass
class DemoSole:
    """A blind test for an own wedge: heads of the rack by label, the first the control, the player liking them so much;
    places; what the course said of the best: days after, lie, word."""

    wedge: str
    liked: dict[str, int]
    places: list[str]
    digs: list[tuple[str, str]]
    course: list[tuple[int, str, str]] = field(default_factory=list)


@dataclass
class DemoVisit:
    """days_ago: of the visit. check_after_days: from then to the next check. end: of the bag that is worked at;
    places: clubs to place; wedges, runs: what is stated of the wedges and hit with them beside stock swings; tests,
    stops, soles: hit once the stand was; comfortable: the wedge that is never hit full. wish: (what leads, old club,
    flight), empty for a gap. tried: (label, model, shaft, shots). turned: (label of the head, loft set, shots) after
    they were hit. agree: whether what is proposed was agreed. reasons: empty for the proposed ones."""

    days_ago: int
    bay: str = "Bay 2"
    jobs: list[DemoJob] = field(default_factory=list)
    miss: str = "none"
    firmness: str = "medium"
    baseline: bool = True
    wish: tuple[str, str, str] = ("gap", "", "")
    tried: list[tuple[str, str, str, int]] = field(default_factory=list)
    turned: list[tuple[str, float, int]] = field(default_factory=list)
    agree: bool = False
    reasons: str = ""
    notes: str = ""
    check_after_days: int = 365
    end: str = "whole"
    places: int = 1
    wedges: list[DemoWedge] = field(default_factory=list)
    runs: list[DemoRun] = field(default_factory=list)
    tests: list[DemoRun] = field(default_factory=list)
    stops: list[DemoStop] = field(default_factory=list)
    soles: list[DemoSole] = field(default_factory=list)
    comfortable: str = ""
    wishes: tuple[str, ...] = ()
    called: str = ""
    sole: str = ""
    most: int = 14
    trip: str = ""


@dataclass
class DemoCustomer:
    name: str
    hand: str
    birth_year: int
    golfer: dict[str, Any]
    clubs: list[str]
    seed: int
    visits: list[DemoVisit]
    fixed: tuple[str, ...] = ("Dr",)


INTO_PAR_FIVE = DemoJob("Second into the 14th", "green", 178, width=24, depth=28, uses=1.5)
LONG_PAR_THREE = DemoJob("Long par three over the burn", "green", 172, over=158, width=22, depth=24, uses=1.0)
TIGHT_TEE = DemoJob("Tight tee at the 7th", "tee", 190, width=28, uses=2.0)

CUSTOMERS = [
    DemoCustomer(
        "Ines Duarte",
        "right",
        1981,
        {"speed_mps": 36.5, "attack_deg": -2.0, "lean_deg": 4.0, "face_deg": 0.4, "path_deg": 0.2},
        ["Dr", "5W", "5i", "6i", "7i", "8i", "9i", "PW", "GW", "SW", "LW", "Pt"],
        10,
        [
            DemoVisit(
                0,
                jobs=[INTO_PAR_FIVE, LONG_PAR_THREE, TIGHT_TEE],
                miss="left",
                notes="Wants to hold par threes from 170 to 185. Dislikes a long shaft.",
                tried=[
                    ("4H", "Skerry", "Fenlark 65 H", 8),
                    ("9W", "Ostrel", "Fenlark 65", 7),
                    ("U4", "Drumlin", "Wexmoor 85", 6),
                ],
            )
        ],
    ),
    DemoCustomer(
        "Mabel Thorne",
        "right",
        1968,
        {"speed_mps": 30.5, "attack_deg": -1.5, "lean_deg": 2.5, "speed_spread": 0.015},
        [],
        23,
        [DemoVisit(0, bay="Bay 1", baseline=False)],
    ),
    DemoCustomer(
        "Tunde Bakare",
        "right",
        1995,
        {"speed_mps": 41.5, "attack_deg": -3.6, "lean_deg": 7.5, "face_deg": -0.5},
        ["Dr", "3W", "4H", "5i", "6i", "7i", "8i", "9i", "PW", "GW", "SW", "LW", "Pt"],
        3,
        [
            DemoVisit(
                371,
                jobs=[DemoJob("Par three over the quarry", "green", 205, firmness="firm", over=190, uses=1)],
                firmness="firm",
                wish=("flight", "4H", "higher"),
                tried=[("4H", "Skerry", "Fenlark 75 H", 8), ("U4", "Drumlin", "Wexmoor 95", 8)],
                agree=True,
            ),
            DemoVisit(
                6,
                jobs=[
                    DemoJob("Par five in two", "green", 228, uses=1.5),
                    DemoJob("Tight tee into the wind", "tee", 235, width=28, uses=2),
                ],
                tried=[("5W", "Ostrel", "Fenlark 75", 9), ("7W", "Ostrel", "Fenlark 75", 8)],
                turned=[("5W", 19.0, 8)],
                agree=True,
            ),
        ],
    ),
    DemoCustomer(
        "Greta Vollmer",
        "left",
        1957,
        {"speed_mps": 26.5, "attack_deg": -1.0, "lean_deg": 1.5, "hand": "left", "speed_spread": 0.016},
        ["Dr", "5W", "6i", "7i", "8i", "9i", "PW", "SW", "Pt"],
        41,
        [
            DemoVisit(
                20,
                bay="Bay 1",
                jobs=[
                    DemoJob("Second along the 9th", "layup", 120, uses=3),
                    DemoJob("Carry the ditch at 4", "layup", 130, over=110, width=35, uses=1),
                ],
                firmness="soft",
                miss="right",
                tried=[("4H", "Skerry", "Fenlark 55 H", 8), ("5H", "Skerry", "Fenlark 55 H", 8)],
                agree=True,
                check_after_days=42,
            )
        ],
    ),
    DemoCustomer(
        "Yusuf Tarrant",
        "right",
        1979,
        {"speed_mps": 36.0, "attack_deg": -6.5, "lean_deg": 9.5, "speed_spread": 0.012, "eases_off": 0.7},
        ["Dr", "3W", "4H", "5i", "6i", "7i", "8i", "9i", "PW", "54", "58", "Pt"],
        67,
        [
            DemoVisit(
                0,
                jobs=[
                    DemoJob("Wedge into the 3rd", "green", 97, width=20, depth=16, uses=3),
                    DemoJob("Front pin over the bunker", "green", 92, over=85, width=20, depth=18, uses=1.5),
                    DemoJob("Pitch at the 11th", "green", 60, width=18, depth=18, uses=1.0),
                    DemoJob("Chip with green to work with", "green", 30, width=12, depth=20, uses=1.5),
                    DemoJob("Greenside bunker", "green", 15, width=10, depth=12, uses=1.0, lie="sand"),
                ],
                notes="Says the 54 does not stop any more. Digs with the 58.",
                end="short",
                places=2,
                called="steep",
                wishes=("even", "stop"),
                comfortable="58",
                wedges=[
                    DemoWedge("PW", 46, 6, "cavity", "plated", 60, "some", {"full": 2, "part": 0.5}),
                    DemoWedge(
                        "54",
                        54,
                        12,
                        "medium",
                        "raw",
                        190,
                        "worn",
                        {"full": 1, "pitch": 1.5, "sand": 1},
                        ("runs_out", "worn"),
                    ),
                    DemoWedge(
                        "58", 58, 8, "narrow", "plated", 110, "some", {"part": 1, "chip": 1.5, "lob": 0.5}, ("digs",)
                    ),
                ],
                runs=[
                    DemoRun("54", 4, "three_quarter"),
                    DemoRun("54", 4, "half"),
                    DemoRun("PW", 4, eased=True),
                    DemoRun("58", 3, "half"),
                    DemoRun("54", 3, asked=75),
                ],
                stops=[
                    DemoStop("PW", [(17.5, 26.0), (18.5, 27.5), (18.0, 26.0)]),
                    DemoStop("54", [(20.5, 25.5), (21.0, 25.0), (20.0, 24.0)]),
                    DemoStop("54 M", [(21.0, 25.0), (20.5, 24.0), (21.5, 25.5)], letter="B"),
                    DemoStop("58", [(22.0, 24.5)], paced=3),
                ],
                tests=[
                    DemoRun("54", 5, "half", protocol="grooves"),
                    DemoRun("54", 5, "half", lie="wet", protocol="grooves"),
                    DemoRun("54 M", 5, "half", letter="B", protocol="grooves"),
                    DemoRun("54 M", 5, "half", letter="B", lie="wet", protocol="grooves"),
                ],
                soles=[
                    DemoSole(
                        "54",
                        {"54 M": 0, "54 W": 1},
                        ["pitch", "fuller", "soft", "tight", "sand"],
                        [("54 M", "soft"), ("54 M", "sand")],
                        [(0, "sand", "Came out without thinking about it")],
                    )
                ],
                tried=[("50", "Gannock", "Wexmoor 110 W", 9), ("54 M", "Gannock", "Wexmoor 110 W", 6)],
            )
        ],
        ("Dr", "PW"),
    ),
    DemoCustomer(
        "Noor Haverkamp",
        "left",
        1951,
        {"speed_mps": 27.0, "attack_deg": -2.0, "lean_deg": 6.0, "hand": "left", "speed_spread": 0.016},
        ["Dr", "5W", "7W", "5H", "7i", "8i", "9i", "PW", "GW", "54", "58", "Pt"],
        71,
        [
            DemoVisit(
                33,
                jobs=[
                    DemoJob("Full wedge into the 5th", "green", 74, width=24, depth=24, uses=2.0),
                    DemoJob("Pitch and run", "green", 40, width=18, depth=22, uses=2.0),
                    DemoJob("Greenside bunker", "green", 12, width=10, depth=12, uses=1.0, lie="sand"),
                ],
                end="short",
                called="shallow",
                wishes=("fewer",),
                wedges=[
                    DemoWedge("PW", 45, 5, "cavity", uses={"full": 2, "chip": 1}),
                    DemoWedge("GW", 50, 8, uses={"full": 1}, bothers=("gap",)),
                    DemoWedge("54", 54, 10, uses={"full": 0.5, "pitch": 1}),
                    DemoWedge("58", 58, 8, uses={"sand": 1, "lob": 0.2}),
                ],
                runs=[DemoRun("PW", 4, "half"), DemoRun("54", 4, "half"), DemoRun("PW", 4, "three_quarter")],
                tried=[("54 M", "Gannock", "Wexmoor 110 W", 5)],
                agree=True,
            )
        ],
    ),
    DemoCustomer(
        "Bram Oseke",
        "right",
        1988,
        {
            "speed_mps": 38.5,
            "attack_deg": -4.5,
            "lean_deg": 9.0,
            "face_deg": 0.3,
            "speed_spread": 0.011,
            "eases_off": 1.5,
        },
        ["Dr", "3W", "5W", "3H", "4i", "5i", "6i", "7i", "8i", "9i", "PW", "54", "Pt"],
        83,
        [
            DemoVisit(
                2,
                jobs=[
                    DemoJob("Par five in two", "green", 216, width=26, depth=30, uses=1.0),
                    DemoJob("Long par three", "green", 198, width=24, depth=26, uses=1.0),
                    DemoJob("Wedge over the pond", "green", 112, over=104, width=22, depth=20, uses=1.5),
                    DemoJob("Half wedge to the shelf", "green", 80, over=72, width=20, depth=18, uses=1.0),
                    DemoJob(
                        "Lob at the short 6th", "green", 30, over=22, width=14, depth=12, uses=1.0, course="Links trip"
                    ),
                ],
                end="whole",
                places=2,
                trip="Links trip",
                notes="Fourteen places: more at the short end, or at the long one?",
                wedges=[
                    DemoWedge("PW", 46, 6, "cavity", uses={"full": 2}),
                    DemoWedge("54", 54, 10, uses={"full": 1, "part": 1, "sand": 1}),
                ],
                runs=[DemoRun("54", 4, "half"), DemoRun("54", 4, "three_quarter")],
                tried=[
                    ("4H", "Skerry", "Fenlark 75 H", 6),
                    ("50", "Gannock", "Wexmoor 110 W", 6),
                    ("58 M", "Gannock", "Wexmoor 110 W", 6),
                ],
            )
        ],
    ),
]
