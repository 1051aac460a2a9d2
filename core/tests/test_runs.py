"""What a shot says of its club, by how it was swung, with which ball and in which wind."""

import pytest
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Air, Launch, fly
from hemicycle_core.runs import check_wind, in_calm, speaks, stock_swing, swing_length
from hemicycle_core.shots import Intent, Shot, fill_blanks
from hemicycle_core.simulation.golfer.part import speed_left


def said(length="full", intent=Intent.STOCK, stock="full", other_ball="", in_wind=False):
    found = speaks(length=length, intent=intent, stock=stock, other_ball=other_ball, in_wind=in_wind)
    return found.intent, found.apart


@pytest.mark.parametrize(
    ("run", "intent", "apart"),
    [
        ({}, Intent.STOCK, ""),
        ({"length": "half"}, Intent.STOCK, "half swing"),
        ({"length": "9:00"}, Intent.STOCK, "to 9:00 swing"),
        ({"length": "half", "stock": "half"}, Intent.STOCK, ""),
        ({"stock": "half"}, Intent.STOCK, "full swing"),
        ({"intent": Intent.EASED}, Intent.EASED, ""),
        ({"intent": Intent.EASED, "stock": "eased"}, Intent.STOCK, ""),
        ({"stock": "eased"}, Intent.STOCK, "full swing"),
        ({"intent": Intent.LOW, "length": "half"}, Intent.LOW, "half swing"),
        ({"intent": Intent.DRAW}, Intent.DRAW, ""),
        ({"other_ball": "range"}, Intent.STOCK, "range ball"),
        ({"in_wind": True}, Intent.STOCK, "in the wind"),
    ],
)
def test_only_the_stock_swing_with_the_usual_ball_in_calm_air_speaks_for_the_club(run, intent, apart):
    assert said(**run) == (intent, apart)
    shot = Shot({"carry_m": 100.0}, intent=intent, apart=apart)
    assert shot.kept == (intent is Intent.STOCK and not apart)


@pytest.mark.parametrize("words", ["5:30", "12:00", "9:15", "quarter", ""])
def test_a_swing_that_there_is_not_is_refused(words):
    for check in (swing_length, stock_swing):
        with pytest.raises(BadInput, match="clock position"):
            check(words)
    with pytest.raises(BadInput):
        check_wind(20.0, 0.0)


def test_a_shot_in_wind_is_brought_to_calm_air_as_the_same_launch_flies_there():
    read = {"ball_speed_mps": 55.0, "launch_deg": 15.0, "spin_rpm": 4500.0}
    against = Air(wind_mps=5.0, wind_from_deg=30.0)
    blown = fly(Launch([55.0], [15.0], [4500.0]), air=against)
    calm = fill_blanks([read])[0]
    hit = {**read, "carry_m": float(blown.carry_m[0]), "offline_m": float(blown.offline_m[0]), "total_m": 150.0}
    moved = in_calm(hit, against)
    assert moved["carry_m"] == pytest.approx(calm["carry_m"], rel=1e-3) and moved["carry_m"] > hit["carry_m"] + 5
    assert abs(moved["offline_m"]) < 0.05 < abs(hit["offline_m"])
    assert moved["total_m"] - moved["carry_m"] == pytest.approx(hit["total_m"] - hit["carry_m"])
    assert in_calm({"carry_m": 150.0}, against) == {}


def test_the_stand_ins_shorter_swings_keep_less_speed_in_the_order_of_the_clock():
    left = [speed_left(each) for each in ("6:00", "7:30", "9:00", "half", "10:30", "three_quarter", "11:30", "full")]
    assert left == sorted(left) and left[-1] == 1.0
