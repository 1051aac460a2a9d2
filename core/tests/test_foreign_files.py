"""Shots files as shops have them: read right with the proposed mapping alone, or asked about; none read wrong.

`data/files` holds them, from a simulated golfer, with what stands in them (`expected.json`, canonical units).
"""

import json
from pathlib import Path

import pytest
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.club_names import kind_of, named, short_name
from hemicycle_core.formats.shots import (
    against_flight,
    guess_mapping,
    open_bytes,
    parse_shots,
    questions,
    speeds_together,
)
from hemicycle_core.formats.shots.check import ROUNDED
from hemicycle_core.heads import HeadType
from hemicycle_core.shots import READINGS

FILES = Path(__file__).parent / "data" / "files"
EXPECTED = json.loads((FILES / "expected.json").read_text(encoding="utf-8"))
READ = sorted(name for name, each in EXPECTED.items() if "asks" not in each)
ASKED = sorted(EXPECTED.keys() - READ)
KINDS = {
    "Dr": HeadType.DRIVER, "3W": HeadType.FAIRWAY, "5W": HeadType.FAIRWAY, "4H": HeadType.HYBRID,
    "H19": HeadType.HYBRID, "2U": HeadType.UTILITY, "56": HeadType.WEDGE,
}  # fmt: skip


def read(name):
    """What a file is taken for by itself, and all that is asked of it."""
    sheet = open_bytes((FILES / name).read_bytes()).sheet
    columns = guess_mapping(sheet)
    asked = list(questions(columns))
    parsed = parse_shots(sheet, [c if c.sure else c.__class__(c.header, "") for c in columns])
    clubs = {}
    for shot in parsed.shots:
        clubs.setdefault(short_name(shot.club), []).append(shot)
    asked += [each.sentence for each in (*against_flight(clubs), *speeds_together(parsed.shots))]
    asked += [f"whose: {', '.join(parsed.players)}"] if len(parsed.players) > 1 else []
    return parsed, asked


@pytest.mark.parametrize("name", READ)
def test_a_file_is_read_right_with_the_mapping_that_is_proposed(name):
    (parsed, asked), wanted = read(name), EXPECTED[name]
    assert asked == []
    assert [problem.line for problem in parsed.problems] == wanted.get("problems", [])
    assert len(parsed.shots) == len(wanted["values"])
    for shot, club, values in zip(parsed.shots, wanted["clubs"], wanted["values"], strict=True):
        assert shot.values.keys() == values.keys()
        for key, value in values.items():
            assert shot.values[key] == pytest.approx(value, abs=1.1 * ROUNDED[READINGS[key].quantity]), key
        assert kind_of(shot.club) is KINDS.get(club, HeadType.IRON)
        assert short_name(shot.club) == {"H19": "19° hybrid", "56": "56°"}.get(club, club)


@pytest.mark.parametrize("name", ASKED)
def test_what_a_file_does_not_say_is_asked_and_never_taken(name):
    words = EXPECTED[name]["asks"]
    try:
        parsed, asked = read(name)
    except BadInput as refused:
        assert words in str(refused) or "which column is the carry" in str(refused)
        if words not in str(refused):
            sheet = open_bytes((FILES / name).read_bytes()).sheet
            assert any(words in each for each in questions(guess_mapping(sheet)))
        return
    assert any(words in each for each in (*asked, *(problem.sentence for problem in parsed.problems)))


def test_there_are_forty_files_and_thirty_of_them_need_no_question():
    assert len(EXPECTED) >= 40 and len(READ) >= 30
    assert {path.name for path in FILES.iterdir()} == {*EXPECTED, "expected.json"}


@pytest.mark.parametrize(
    ("written", "short", "kind"),
    [("5 iron", "5i", HeadType.IRON), ("Iron-7", "7i", HeadType.IRON), ("fer 6", "6i", HeadType.IRON),
     ("Eisen 7", "7i", HeadType.IRON), ("Wood 5", "5W", HeadType.FAIRWAY), ("Holz 5", "5W", HeadType.FAIRWAY),
     ("3 Fairway Wood", "3W", HeadType.FAIRWAY), ("11 wood", "11W", HeadType.FAIRWAY),
     ("hybrid 4", "4H", HeadType.HYBRID), ("Hybrid 19°", "19° hybrid", HeadType.HYBRID),
     ("21 deg wood", "21° wood", HeadType.FAIRWAY), ("U4", "4U", HeadType.UTILITY), ("2 DI", "2U", HeadType.UTILITY),
     ("driving iron 3", "3U", HeadType.UTILITY), ("Pitching Wedge", "PW", HeadType.WEDGE),
     ("Driver", "Dr", HeadType.DRIVER), ("Driver 10.5°", "Dr", HeadType.DRIVER), ("putter", "Pt", HeadType.PUTTER),
     ("52°", "52°", HeadType.WEDGE), ("56 deg", "56°", HeadType.WEDGE), ("60 Wedge", "60°", HeadType.WEDGE),
     ("SW 56", "56°", HeadType.WEDGE), ("56.10", "56°", HeadType.WEDGE), ("54 old", "54 old", HeadType.WEDGE),
     ("7i (new)", "7i", HeadType.IRON),
     ("My old one", "My old one", None), ("Hybrid", "Hybrid", None), ("A", "A", None), ("12", "12", None)],
)  # fmt: skip
def test_a_club_is_of_the_kind_its_name_says_and_of_none_where_it_says_none(written, short, kind):
    assert short_name(written) == short
    assert named(short).short == short
    assert kind_of(written) is kind is kind_of(short)
