"""Tables of launches: units read from headers, rows that cannot be flown named, nothing of the file written over."""

import numpy as np
import pytest
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import FAIRWAY, GREEN, Air, Firmness, Launch, fly, run_out
from hemicycle_core.formats.flight_rows import BLOCK, FlightRow, FlightTable, anchor_rows, read_change, read_header
from hemicycle_core.units import METRES_PER_FOOT, METRES_PER_YARD, mps

HEADERS = ("ball_speed_mph", "launch_deg", "spin_rpm")


def rows(*cells, headers=HEADERS):
    return [FlightRow(2 + n, dict(zip(headers, each, strict=True))) for n, each in enumerate(cells)]


def flown(*cells, headers=HEADERS, **more):
    table = FlightTable(read_header(headers), **more)
    return list(table.fly(rows(*cells, headers=headers)))


@pytest.mark.parametrize(
    ("headers", "said"),
    [
        (("ball_speed", "launch_deg", "spin_rpm"), "names no unit. Write ball_speed_mps or ball_speed_kmh or"),
        (("ball_speed_deg", "launch_deg", "spin_rpm"), "is not in a unit of that kind"),
        (("ball_speed_mph", "ball_speed_mps", "launch_deg", "spin_rpm"), "say the same thing. Leave one out"),
        (("ball_speed_mph", "launch_deg"), "Missing column: spin_rpm."),
        (("wind_yd", *HEADERS), "Column wind_yd is not in a unit of that kind. Write wind_mps"),
    ],
)
def test_a_header_that_cannot_be_read_says_how_to_write_it(headers, said):
    with pytest.raises(BadInput, match=said.replace(".", r"\.")):
        read_header(headers)


def test_columns_of_somebody_else_are_left_alone():
    found = read_header(("player", "wind_note", *HEADERS, "turf"))
    assert set(found.of) == {"ball_speed", "launch", "spin"} and found.turf == "turf"


def test_a_row_is_the_flight_of_its_launch_in_its_air_on_its_turf():
    headers = (*HEADERS, "altitude_ft", "wind_mph", "wind_from_deg", "turf")
    (row,) = flown(("140", "13", "4200", "3000", "8", "0", "Firm green"), headers=headers)
    air = Air(altitude_m=3000 * METRES_PER_FOOT, wind_mps=mps(8), wind_from_deg=0.0)
    flight = fly(Launch(mps(140), 13.0, 4200.0), air=air)
    run = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, GREEN[Firmness.FIRM]).run_m
    assert row.added["carry_yd"] == pytest.approx(float(flight.carry_m[0]) / METRES_PER_YARD)
    assert row.added["total_yd"] == pytest.approx(float(flight.carry_m[0] + run[0]) / METRES_PER_YARD)
    assert row.added["peak_ft"] == pytest.approx(float(flight.peak_m[0]) / METRES_PER_FOOT)
    (plain,) = flown(("140", "13", "4200", "3000", "8", "0", ""), headers=headers)
    usual = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, FAIRWAY[Firmness.MEDIUM])
    assert plain.added["total_yd"] == pytest.approx(float(flight.carry_m[0] + usual.run_m[0]) / METRES_PER_YARD)


@pytest.mark.parametrize(
    ("cells", "said"),
    [
        (("", "12", "4000", ""), "ball_speed_mph is blank."),
        (("fast", "12", "4000", ""), "fast"),
        (("140", "12", "4000", "mud"), "“mud” is no turf: write soft, medium or firm"),
        (("400", "12", "4000", ""), "cannot be flown"),
        ((True, "12", "4000", ""), "“True” is not a number."),
    ],
)
def test_a_row_that_cannot_be_flown_comes_back_in_its_place_with_the_reason(cells, said):
    headers = (*HEADERS, "turf")
    before, bad, after = flown((140, 12, 4000, "soft"), cells, (120, 15, 5000, "firm green"), headers=headers)
    assert said in bad.problem and bad.added is None
    assert before.added["carry_yd"] > after.added["carry_yd"]
    assert [each.row.line for each in (before, bad, after)] == [2, 3, 4]


def test_rows_past_a_block_are_flown_as_those_before_it():
    made = flown(*([("130", "14", "4500")] * (BLOCK + 2)))
    assert len(made) == BLOCK + 2
    assert made[0].added == pytest.approx(made[-1].added)


def test_a_decimal_comma_is_read_where_the_file_is_written_so():
    (comma,) = flown(("130,5", "14,2", "4500"), decimal_comma=True)
    (point,) = flown(("130.5", "14.2", "4500"))
    assert comma.added == pytest.approx(point.added)


def test_metric_figures_are_the_same_in_other_units_and_a_column_of_the_file_is_never_written_over():
    (yards,) = flown((130, 14, 4500))
    (metric,) = flown((130, 14, 4500), metric=True, taken=frozenset({"carry_m"}))
    assert "carry_m" not in metric.added and "total_m" in metric.added
    assert metric.added["computed_carry_m"] == pytest.approx(yards.added["carry_yd"] * METRES_PER_YARD)
    assert metric.added["landing_deg"] == yards.added["landing_deg"]
    named = FlightTable(read_header(HEADERS), metric=True, taken=frozenset({"carry_m"})).added()
    assert set(named) == set(metric.added)


def test_changes_tried_together_are_flown_together_and_their_doubt_grows():
    loft, length = read_change("loft=+1"), read_change("length=0.5")
    (one,) = flown((120, 14, 4600), changes=[loft])
    (both,) = flown((120, 14, 4600), changes=[loft, length])
    assert one.added["after_launch_deg"] > 14 and one.added["after_ball_speed_mph"] < 120
    assert both.added["after_ball_speed_mph"] > one.added["after_ball_speed_mph"]
    assert both.added["after_carry_change_error_yd"] > one.added["after_carry_change_error_yd"] > 0
    assert one.added["carry_yd"] == both.added["carry_yd"]


@pytest.mark.parametrize(
    ("words", "said"),
    [
        ("face=1", "is no change. Write one of"),
        ("loft=much", "is not a number. Write loft=1"),
        ("weight_back=8", "only directions are known"),
    ],
)
def test_a_change_that_cannot_be_tried_says_what_can(words, said):
    with pytest.raises(BadInput, match=said):
        read_change(words)


def test_a_true_minus_is_read_as_one():
    assert read_change("loft=−1") == read_change("loft=-1")


def test_an_anchor_is_made_of_the_rows_that_have_a_launch_and_a_carry():
    headers = (*HEADERS, "carry_yd")
    speeds = (118.0, 121.0, 124.0, 127.0)
    carries = fly(Launch(np.array(speeds) * mps(1), np.full(4, 14.0), np.full(4, 4600.0))).carry_m / METRES_PER_YARD
    good = [(speed, 14, 4600, 0.95 * carry) for speed, carry in zip(speeds, carries, strict=True)]
    made, left = anchor_rows(
        rows(*good, (120, 14, 4600, None), (120, None, 4600, 170), headers=headers), headers, measured=True
    )
    assert made.trusted
    assert {row.row.line: row.problem for row in left} == {6: "no carry.", 7: "launch_deg is blank."}
    trimmed = fly(Launch(mps(122), 14.0, 4600.0), scales=made.scales).carry_m[0]
    assert trimmed == pytest.approx(0.95 * fly(Launch(mps(122), 14.0, 4600.0)).carry_m[0], rel=0.006)
    with pytest.raises(BadInput, match="has no carry column"):
        anchor_rows(rows((120, 14, 4600)), HEADERS, measured=True)
    with pytest.raises(BadInput, match="No row of the file"):
        anchor_rows(rows((120, 14, 4600, None), headers=headers), headers, measured=True)
