"""A set told from one iron that was hit, against what the same player does with the rest of it."""

import numpy as np
import pytest
from hemicycle_core.answers import answers_of
from hemicycle_core.answers.sets import HeadOfSet, SetAsked, ordered, replaced
from hemicycle_core.bag import BagEnd, HeadType
from hemicycle_core.facts import Brief, Club, Facts, HeadKnown, HitShot, RunAsked, Space, Visit
from hemicycle_core.flight import Air
from hemicycle_core.rack.eligible import RackHead
from hemicycle_core.rack.sets import number_of
from hemicycle_core.rack.stock import Made
from hemicycle_core.shots import Shot
from hemicycle_core.simulation.golfer import Player, Swinging, SwungClub
from hemicycle_core.units import METRES_PER_INCH, metres, yards

OWN = {"5i": (26, 38), "6i": (29.5, 37.5), "7i": (33, 37), "8i": (37, 36.5), "9i": (41, 36), "PW": (46, 35.75)}
SET = {"5": (23.5, 38), "6": (27, 37.5), "7": (31, 37), "8": (35.5, 36.5), "9": (40, 36), "PW": (44.5, 35.75)}
TRUE_OF = 40


def flown(player, seed, loft, inches, n, face=1.0):
    club = SwungClub(HeadType.IRON, loft, inches * METRES_PER_INCH, face_speed=face)
    rows = Swinging(player, seed).shots(club, n, known=True)
    return tuple(Shot({key: value for key, value in row.items() if key != "strike"}) for row in rows)


def carries(shots):
    return [yards(shot.values["carry_m"]) for shot in shots]


def on_the_rack(key, label, loft, inches):
    kind = HeadType.WEDGE if label == "PW" else HeadType.IRON
    rack, called = RackHead(f"Thirl {label}", kind, loft, price=100.0), f"Thirl {label}"
    length = inches * METRES_PER_INCH
    return HeadKnown(key, rack, "Quill", called, called, "Thirl", label, length, None, None, "", Made.CAST)


HEADS = tuple(on_the_rack(100 + n, label, *of) for n, (label, of) in enumerate(SET.items()))


def told(player, face, seed, *, typed):
    """The set by six balls with its 7, beside own irons that were typed or of which the 7 was hit too."""
    chance, clubs = np.random.default_rng(seed), []
    for key, (name, (loft, inches)) in enumerate(OWN.items()):
        yd = np.mean(carries(flown(player, seed + 1, loft, inches, TRUE_OF))) + chance.normal(0, 4)
        shots = flown(player, seed + 2, loft, inches, 6) if name == "7i" and not typed else ()
        clubs.append(Club(
            key, name, HeadType.WEDGE if name == "PW" else HeadType.IRON, stated_loft_deg=loft, set_loft_deg=loft,
            length_m=inches * METRES_PER_INCH, typed_carry_m=metres(yd), shots=shots, airs=(Air(),) * len(shots),
        ))  # fmt: skip
    seven = HEADS[2]
    shots = flown(player, seed + 3, *SET["7"], 6, face)
    clubs.append(Club(50, "7 31°", HeadType.IRON, letter="A", head=seven, set_loft_deg=31, length_m=seven.length_m,
                      shots=shots, airs=(Air(),) * 6))  # fmt: skip
    hit = tuple(HitShot(club.key, shot, Air()) for club in clubs for shot in club.shots)
    facts = Facts(visit=Visit(), brief=Brief(end=BagEnd.WHOLE), space=Space(), asked=RunAsked(), clubs=tuple(clubs),
                  hit=hit, heads=HEADS)  # fmt: skip
    stand = answers_of(facts).stand
    asked = SetAsked(50, tuple(HeadOfSet(head.key) for head in HEADS))
    assert len(replaced(stand, asked)) == len(OWN)
    return ordered(stand, asked, [])


@pytest.mark.parametrize("typed", [True, False], ids=["own typed", "own 7 hit"])
def test_the_rest_of_a_set_carries_what_it_is_said_to(typed):
    chance, off, within = np.random.default_rng(5), [], []
    for number in range(16):
        player = Player(
            speed_mps=chance.uniform(34, 47), attack_deg=chance.uniform(-5, -1.5), lean_deg=chance.uniform(2, 8),
            misses={}, warm_up=0, tiring=0,
        )  # fmt: skip
        face, seed = chance.uniform(0.975, 1.02), 1000 + 10 * number
        for each in told(player, face, seed, typed=typed).clubs:
            if not each.hit:
                truth = np.mean(carries(flown(player, seed + 4, *SET[each.number], TRUE_OF, face)))
                off.append(yards(each.club.carry_m) - truth)
                within.append(abs(off[-1]) < yards(each.doubt_m))
    assert np.sqrt(np.mean(np.square(off))) < 4 and abs(np.mean(off)) < 2.5
    assert 0.85 <= np.mean(within) <= 0.99  # of nine in ten


@pytest.mark.parametrize(
    ("label", "number"), [("7", "7"), ("7i", "7"), ("U4", "4"), ("P", "PW"), ("aw", "GW"), ("50°", "50"), ("4H", "")]
)
def test_what_a_sole_says(label, number):
    assert number_of(label) == number
