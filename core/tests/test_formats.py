"""Shots from files of any maker's kind."""

import pytest
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.csv_out import WrittenShot, shots_csv
from hemicycle_core.formats.shots import (
    Column,
    RunSaid,
    check_mapping,
    guess_mapping,
    open_bytes,
    open_text,
    parse_shots,
)
from hemicycle_core.formats.table import number
from hemicycle_core.runs import Ball
from hemicycle_core.shots import Strike, check_readings, fill_blanks
from hemicycle_core.units import UNITS, metres, mps, yards


def parse(text):
    sheet = open_text(text).sheet
    return parse_shots(sheet, guess_mapping(sheet))


def test_a_monitors_file_is_mapped_by_its_words_and_units():
    parsed = parse(
        "Shot,Club,Ball Speed (mph),Launch Angle (deg),Total Spin (rpm),Carry (yd),Side (yd),"
        "Smash Factor,Peak Height (ft)\n"
        "1,5 iron,118.2,15.1,5210,162.4,L 4,1.38,84\n"
        "2,5 iron,117.0,14.8,,160.9,3.5 R,1.37,82\n"
    )
    first, second = parsed.shots
    assert first.club == "5 iron"
    assert first.values["ball_speed_mps"] == pytest.approx(mps(118.2))
    assert yards(first.values["carry_m"]) == pytest.approx(162.4)
    assert yards(first.values["offline_m"]) == pytest.approx(-4)
    assert "spin_rpm" not in second.values
    assert yards(second.values["offline_m"]) == pytest.approx(3.5)
    assert parsed.problems == ()


def test_metres_with_commas_and_semicolons():
    parsed = parse("Club;Carry [m];Ball Speed [km/h]\n7i;142,5;172,8\n")
    assert parsed.shots[0].values["carry_m"] == 142.5
    assert parsed.shots[0].values["ball_speed_mps"] == pytest.approx(48)


def test_our_own_header_needs_no_mapping():
    columns = guess_mapping(open_text("club,ball_speed_kmh,carry_m,peak_ft,strike\n5i,190,140,80,thin\n").sheet)
    assert all(column.sure for column in columns)
    assert [column.unit for column in columns] == ["", "kmh", "m", "ft", ""]
    assert parse("club,carry_yd,strike\n5i,160,thin\n").shots[0].strike is Strike.THIN


def test_bad_rows_are_listed_and_the_rest_goes_in():
    parsed = parse("club,carry_yd,spin_rpm\n5i,161,5200\n5i,9999,5100\n5i,159,lots\n5i,,5000\n")
    assert len(parsed.shots) == 2
    assert [problem.line for problem in parsed.problems] == [3, 4, 5]
    assert "no golf shot" in parsed.problems[0].sentence
    assert "left blank" in parsed.problems[1].sentence


@pytest.mark.parametrize(
    ("data", "words"),
    [(b"  \n", "empty"), (b"club,carry_yd\n", "at least one shot"), (b"PK\x00\x00\x01", "not a text file")],
)
def test_files_that_hold_no_shots_say_so(data, words):
    with pytest.raises(BadInput, match=words):
        open_bytes(data)


def test_a_mapping_that_cannot_make_shots_is_refused():
    with pytest.raises(BadInput, match="which column is the carry"):
        check_mapping([Column("Club", "club")])
    with pytest.raises(BadInput, match="both Carry"):
        check_mapping([Column("a", "carry_m", "yd"), Column("b", "carry_m", "m")])
    with pytest.raises(BadInput, match="unit of length"):
        check_mapping([Column("a", "carry_m", "mph")])


def test_blanks_are_filled_and_only_blanks():
    shot = {"ball_speed_mps": mps(120), "launch_deg": 15.0, "spin_rpm": 4500.0, "carry_m": metres(172)}
    filled = fill_blanks([shot, {"carry_m": 100.0}])
    assert "carry_m" not in filled[0]
    assert filled[0]["total_m"] > shot["carry_m"]
    assert 35 < filled[0]["landing_deg"] < 55
    assert filled[1] == {}
    with pytest.raises(BadInput, match="swapped"):
        check_readings({"carry_m": 180.0, "total_m": 150.0})


def test_every_unit_comes_back():
    for unit in UNITS.values():
        assert unit.from_canonical(unit.to_canonical(12.5)) == pytest.approx(12.5)


def test_how_a_shot_was_swung_and_with_which_ball_comes_back_from_our_own_file():
    runs = [("half", "own"), ("9:00", "range"), ("full", "hard")]
    written = [
        WrittenShot(1, n, "A", {"carry_m": 100.0}, run=RunSaid(swing_length=length, struck_ball=Ball(ball)))
        for n, (length, ball) in enumerate(runs)
    ]
    text = shots_csv(written)
    back = [(shot.run.swing_length, shot.run.struck_ball) for shot in parse(text).shots]
    assert back == [(a, Ball(b)) for a, b in runs]
    parsed = parse(text.replace("half", "wild"))
    assert parsed.shots[0].run.swing_length == "full" and "clock position" in parsed.problems[0].sentence


def test_a_figure_of_more_than_any_number_is_refused():
    for cell in ("1e999", "-1e999"):
        with pytest.raises(BadInput, match="more than any figure"):
            number(cell)
    assert number("1e3") == 1000.0
