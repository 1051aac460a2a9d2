"""The stop test: what is carried and released to one target, how far short it must land, what firmer ground does."""

import pytest
from hemicycle_core.bag import Carried, HeadType
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.protocols.stop.ask import Seen, StopGreen
from hemicycle_core.protocols.stop.read import StopWedge, stops
from hemicycle_core.runs import Ball
from hemicycle_core.shots import Shot
from hemicycle_core.units import metres, yards

GREEN = StopGreen(metres(25))


def wedge(key, name, carry=90, shots=()):
    club = Carried(
        name, HeadType.WEDGE, metres(carry), metres(carry), 56, ball_speed_mps=36, launch_deg=32, spin_rpm=9000, shots=5
    )
    return StopWedge(key, name, club, shots)


def ball(club, landed, stopped, n=1, kind=Ball.OWN, target=25):
    left = abs(stopped - target)
    return Seen(club, kind, metres(landed), metres(stopped), metres(left), n, metres(target))


WEDGES = [wedge(1, "PW", 110), wedge(2, "58", 75)]


def test_each_wedge_lands_and_releases_as_it_was_seen_and_must_land_so_far_short():
    seen = [
        ball(1, 18, 27),
        ball(1, 19, 29),
        ball(1, 18.5, 27.5),
        ball(2, 22, 24.2),
        ball(2, 22.5, 25),
        ball(2, 23, 25.6),
    ]
    found = stops(WEDGES, seen, GREEN)
    lob, set_ = found.lines
    assert (lob.club, set_.club) == (2, 1) and [round(yards(each.releases_m)) for each in found.lines] == [2, 9]
    assert str(set_.sentence).startswith("PW lands 19, releases 9: land it 9 yd short, ")
    assert found.sentences == ("58 stops 6.9 yd sooner than PW, give or take 1.0.",)
    # Firmer ground is computed beside what was seen, and further.
    assert (
        set_.firmer_m > set_.releases_m + metres(1) and f"{round(yards(set_.firmer_m))} on firm ground" in set_.sentence
    )
    firm = stops(WEDGES, seen, StopGreen(metres(25), Firmness.FIRM))
    assert all(line.firmer_m is None for line in firm.lines)


def test_a_group_that_was_paced_once_counts_as_many_balls_and_has_no_doubt_of_its_own():
    found = stops(WEDGES, [ball(1, 18, 27, n=4), ball(1, 20, 24), ball(2, 22, 24, n=3)], GREEN)
    line = next(each for each in found.lines if each.club == 1)
    assert line.n == 5 and yards(line.releases_m) == pytest.approx((4 * 9 + 4) / 5) and line.half_m is None
    assert str(found.sentences[0]).endswith("paced once: by how much is open.")


def test_alike_is_said_and_few_balls_do_not_tell_apart():
    alike = stops(WEDGES, [ball(1, 20, 23), ball(1, 20, 23.4), ball(2, 21, 24.1), ball(2, 21, 24.5)], GREEN)
    assert alike.sentences == ("PW and 58 stop alike.",)
    wide = stops(WEDGES, [ball(1, 20, 22), ball(1, 20, 28), ball(2, 21, 22), ball(2, 21, 24)], GREEN)
    assert str(wide.sentences[0]).endswith("not told apart yet.")
    back = stops(WEDGES, [ball(2, 27, 25)], GREEN)
    assert "comes back 2" in back.lines[0].sentence and "short" not in back.lines[0].sentence


def test_what_was_seen_the_monitors_model_and_ours_stand_apart():
    values = {
        "carry_m": metres(22),
        "total_m": metres(25),
        "ball_speed_mps": 17.0,
        "launch_deg": 38.0,
        "spin_rpm": 4200.0,
    }
    shots = [Shot(values, protocol="stop")] * 3
    seen = [ball(2, 22, 30), ball(2, 22, 30)]
    line = stops([wedge(2, "58", shots=shots)], seen, GREEN).lines[0]
    assert yards(line.releases_m) == pytest.approx(8) and yards(line.modelled_m) == pytest.approx(3)
    assert line.computed_m is not None and line.computed_m not in (line.releases_m, line.modelled_m)
    # A stock shot is none of this test, and another ball or target has a line of its own.
    assert stops([wedge(2, "58", shots=[Shot(values)])], seen, GREEN).lines[0].modelled_m is None
    apart = stops(WEDGES, [*seen, ball(2, 22, 33, kind=Ball.RANGE), ball(2, 30, 40, target=40)], GREEN)
    assert [(each.ball, each.n) for each in apart.lines] == [(Ball.OWN, 2), (Ball.RANGE, 1)]
    assert str(apart.lines[1].sentence).startswith("58 with a range ball ")
    assert stops(WEDGES, [], GREEN) is None


@pytest.mark.parametrize(
    ("made", "field"),
    [
        (lambda: StopGreen(metres(90)), "target_m"),
        (lambda: StopGreen(green_ft=2), "green_ft"),
        (lambda: StopGreen(slope_percent=12), "slope_percent"),
        (lambda: ball(1, 20, 24, n=0), "n"),
        (lambda: ball(1, 0, 24), "landed_m"),
        (lambda: ball(1, 20, 200), "stopped_m"),
    ],
)
def test_what_cannot_be_is_refused_with_its_field(made, field):
    with pytest.raises(BadInput) as refused:
        made()
    assert refused.value.field == field
