"""Flight against published figures and against a slow reference of the same equations."""

import csv
from pathlib import Path

import numpy as np
import pytest
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import FAIRWAY, GREEN, Air, Firmness, Launch, fly, run_out
from hemicycle_core.flight.aero import BALL_AREA_M2, BALL_MASS_KG, BALL_RADIUS_M, GRAVITY, MODERN_BALL
from hemicycle_core.units import mps, yards
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.integrate import solve_ivp

# Season averages of male touring professionals, published by radar; see docs/decisions/0002.
TOUR = list(csv.DictReader((Path(__file__).parent / "data" / "tour_flight_averages.csv").read_text().splitlines()))


def column(name: str) -> np.ndarray:
    return np.array([float(row[name]) for row in TOUR])


def test_flight_agrees_with_published_tour_averages():
    flight = fly(Launch(mps(1) * column("ball_speed_mph"), column("launch_deg"), column("spin_rpm")))
    error = flight.carry_m / 0.9144 / column("carry_yd") - 1
    assert np.abs(error).mean() < 0.02
    assert np.abs(error[1:7]).mean() < 0.015  # 3-wood to 5-iron
    assert np.abs(flight.peak_m / 0.9144 / column("peak_yd") - 1).mean() < 0.10
    assert np.abs(flight.landing_deg - column("landing_deg")).mean() < 3.0


def slow_reference(speed: float, launch: float, spin: float, axis: float, air: Air) -> tuple[float, float]:
    """Carry and offline by an adaptive solver on the plain vector equations, one shot at a time."""
    up, tilt = np.radians(launch), np.radians(axis)
    # Right-handed frame here: x downrange, y LEFT, z up, unlike the code under test.
    forward, lift = np.array([np.cos(up), 0, np.sin(up)]), np.array([-np.sin(up), 0, np.cos(up)])
    spin_axis = np.array([0, -1.0, 0]) * np.cos(tilt) - lift * np.sin(tilt)
    wind = np.array([air.wind_along_mps, -air.wind_across_mps, 0])

    def rates(_t, y):
        through = y[3:6] - wind * ((max(y[2], 0.1) / 10) ** (1 / 7))
        v = np.linalg.norm(through)
        ratio = y[6] * BALL_RADIUS_M / v
        re = v * 2 * BALL_RADIUS_M / air.kinematic_viscosity
        k = 0.5 * air.density * BALL_AREA_M2 / BALL_MASS_KG
        a = -k * v * MODERN_BALL.drag(ratio, re) * through
        a += k * v * MODERN_BALL.lift_of(ratio) * np.cross(spin_axis, through)
        a[2] -= GRAVITY
        return [*y[3:6], *a, -2e-5 * y[6] * v / BALL_RADIUS_M]

    ground = lambda _t, y: y[2] if _t > 0.05 else 1.0  # noqa: E731
    ground.terminal, ground.direction = True, -1
    start = [0, 0, 0, *(speed * forward), spin * 2 * np.pi / 60]
    end = solve_ivp(rates, (0, 20), start, events=ground, rtol=1e-9, atol=1e-9).y[:, -1]
    return float(end[0]), -float(end[1])


@pytest.mark.parametrize(
    ("speed", "launch", "spin", "axis", "air"),
    [
        (74, 11, 2600, 0, Air()),
        (54, 15, 4300, 12, Air(altitude_m=1600, temperature_c=30)),
        (38, 28, 8500, -8, Air(wind_mps=6, wind_from_deg=60)),
        (30, 20, 3000, 5, Air(wind_mps=5, wind_from_deg=180)),
    ],
)
def test_integration_is_within_a_tenth_of_a_yard_of_a_tight_solver(speed, launch, spin, axis, air):
    flight = fly(Launch(speed, launch, spin, 0, axis), air=air)
    carry, offline = slow_reference(speed, launch, spin, axis, air)
    assert yards(abs(flight.carry_m[0] - carry)) < 0.1
    assert yards(abs(flight.offline_m[0] - offline)) < 0.1


LAUNCHES = st.tuples(st.floats(25, 80), st.floats(5, 40), st.floats(1500, 10_000), st.floats(-8, 8), st.floats(-30, 30))


@settings(max_examples=40, deadline=None, derandomize=True)
@given(LAUNCHES)
def test_left_is_the_mirror_of_right_and_a_batch_is_its_shots(shot):
    speed, launch, spin, direction, axis = shot
    both = fly(Launch([speed, speed], [launch, launch], [spin, spin], [direction, -direction], [axis, -axis]))
    assert both.offline_m[0] == pytest.approx(-both.offline_m[1], abs=1e-9)
    alone = fly(Launch(speed, launch, spin, direction, axis))
    assert alone.carry_m[0] == pytest.approx(both.carry_m[0], abs=1e-9)
    faster = fly(Launch(speed * 1.02, launch, spin, direction, axis))
    assert np.hypot(faster.carry_m, faster.offline_m) > np.hypot(alone.carry_m, alone.offline_m)


def test_signs_and_air_go_the_right_way():
    plain = fly(Launch(60, 13, 3500))
    assert fly(Launch(60, 13, 3500, 0, 10)).offline_m[0] > 5  # positive axis curves right
    assert fly(Launch(60, 13, 3500, 3, 0)).offline_m[0] > 5
    assert fly(Launch(60, 13, 3500), air=Air(wind_mps=5, wind_from_deg=0)).carry_m < plain.carry_m - 8
    assert fly(Launch(60, 13, 3500), air=Air(wind_mps=5, wind_from_deg=90)).offline_m[0] < -5
    thin = fly(Launch(60, 13, 3500), air=Air(altitude_m=1600))
    assert 1.02 < thin.carry_m[0] / plain.carry_m[0] < 1.10


def test_run_out_orders_by_turf_angle_and_spin():
    def run(speed, angle, spin, turf):
        return yards(float(run_out(np.array([speed]), np.array([angle]), np.array([spin]), turf).run_m[0]))

    soft, medium, firm = (run(22, 42, 4000, GREEN[turf]) for turf in Firmness)
    assert soft < medium < firm
    assert run(20, 30, 3000, FAIRWAY[Firmness.FIRM]) > 30  # a runner
    assert run(20, 52, 9500, GREEN[Firmness.SOFT]) < 0  # spins back
    assert run(24, 46, 5500, GREEN[Firmness.MEDIUM]) < run(24, 40, 5500, GREEN[Firmness.MEDIUM])


@pytest.mark.parametrize(
    ("launch", "field"),
    [((0, 10, 3000), "ball_speed"), ((179, 10, 3000), "ball_speed"), ((60, -20, 3000), "launch_angle"),
     ((60, 10, 30_000), "spin"), ((60, float("nan"), 3000), "launch_angle")],
)  # fmt: skip
def test_a_launch_that_cannot_fly_names_its_field(launch, field):
    with pytest.raises(BadInput) as error:
        fly(Launch(*launch))
    assert error.value.field == field
