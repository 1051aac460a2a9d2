"""The model tied to a player's own measured shots: anchoring, other air, and what a change of the club would do."""

import math
from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import HeadType
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import (
    Air,
    Anchor,
    FlightScales,
    Launch,
    anchor,
    anchored_error,
    flight_error,
    fly,
    in_other_air,
)
from hemicycle_core.flight.aero import ALIKE
from hemicycle_core.judge import EFFECTS, Change, ChangeKind, HitClub, predict
from hemicycle_core.shots import Shot, anchor_to
from hemicycle_core.simulation.golfer import Player, Swinging, SwungClub
from hemicycle_core.units import METRES_PER_INCH, mps, yards

LAUNCH_KEYS = ("ball_speed_mps", "launch_deg", "spin_rpm")
N = 12
LAUNCH = Launch(np.linspace(52, 60, N), np.linspace(12, 17, N), np.linspace(3600, 5200, N))
TRUTH = FlightScales(1.06, 0.95)


def measured(noise=0.0, seed=0):
    """Carries and peaks of a ball that flies unlike the model."""
    flight, chance = fly(LAUNCH, scales=TRUTH), np.random.default_rng(seed)
    return flight.carry_m * (1 + noise * chance.normal(0, 1, N)), flight.peak_m * (1 + noise * chance.normal(0, 1, N))


def test_an_anchored_model_flies_the_measured_carries_and_peaks():
    carry, peak = measured()
    found = anchor(LAUNCH, carry, peak)
    flight = fly(LAUNCH, scales=found.scales)
    assert np.abs(flight.carry_m / carry - 1).max() < 0.006
    assert np.abs(flight.peak_m / peak - 1).max() < 0.02
    assert np.abs(fly(LAUNCH).carry_m / carry - 1).min() > 0.03
    assert "measured flights" in found.sentence
    carry[3] *= 0.6  # a misread moves nothing much
    again = anchor(LAUNCH, carry, peak)
    assert again.scales.drag == pytest.approx(found.scales.drag, rel=0.02)


@pytest.mark.slow
def test_measured_landing_angles_are_followed_the_more_of_them_there_are():
    carry, peak = measured()
    angles = fly(LAUNCH, scales=TRUTH).landing_deg + 2.5
    few = np.where(np.arange(N) < 1, angles, np.nan)
    offsets = [anchor(LAUNCH, carry, peak, seen).landing_deg for seen in (np.full(N, np.nan), few, angles)]
    assert offsets[0] == 0
    assert 1.0 < offsets[1] < offsets[2]
    assert offsets[2] == pytest.approx(2.5, abs=0.5)
    found = anchor(LAUNCH, carry, peak, angles)
    assert np.abs(found.fly(LAUNCH).landing_deg - angles).max() < 1.0
    assert anchor(LAUNCH, carry, peak, angles, measured=False).landing_deg == 0
    plain = anchor(LAUNCH, carry, peak)
    errors = [anchored_error(LAUNCH, each, each.fly(LAUNCH)).landing_deg for each in (plain, found)]
    assert errors[0] == pytest.approx(errors[1])


def test_the_anchors_uncertainty_covers_the_truth_and_shrinks_with_shots():
    inside = 0
    for seed in range(40):
        found = anchor(LAUNCH, *measured(noise=0.012, seed=seed))
        # Carry at another launch than any that was seen, where it is used.
        other = Launch(56, 20, 6000)
        there = fly(other, scales=found.scales)
        error = anchored_error(other, found, there).carry_share[0]
        inside += abs(there.carry_m[0] / fly(other, scales=TRUTH).carry_m[0] - 1) < 1.645 * error
    assert inside >= 34  # nine in ten, less what chance takes in 40
    few = anchor(Launch(*(column[:3] for column in LAUNCH.arrays())), *(each[:3] for each in measured()))
    assert found.drag_sd < few.drag_sd < Anchor().drag_sd


def test_where_the_monitor_models_flight_anchoring_says_so_and_trusts_nothing():
    copied = anchor(LAUNCH, *measured(), measured=False)
    assert not copied.trusted
    assert "agreement, not truth" in copied.sentence
    there = fly(LAUNCH, scales=copied.scales)
    whole = flight_error(LAUNCH.ball_speed_mps, LAUNCH.spin_rpm)
    assert anchored_error(LAUNCH, copied, there).carry_share == pytest.approx(whole.carry_share)
    assert not anchor(Launch([55, 56], 14, 4500), np.array([160.0, 162.0])).trusted  # two are too few
    with pytest.raises(BadInput, match="measured carry"):
        anchor(LAUNCH, np.zeros(N))


def test_the_same_shot_in_other_air_goes_there_and_back():
    cold, high = Air(temperature_c=5), Air(altitude_m=1500, temperature_c=28, wind_mps=4, wind_from_deg=200)
    carry = np.array([150.0, np.nan, *np.full(N - 2, 155.0)])
    there = in_other_air(LAUNCH, was=cold, now=high, carry_m=carry)
    back = in_other_air(LAUNCH, was=high, now=cold, carry_m=there.carry_m, peak_m=there.peak_m)
    assert back.carry_m[0] == pytest.approx(150.0)
    assert np.all(there.carry_m[2:] > 1.03 * back.carry_m[2:])
    assert np.all(there.carry_error_m > 0)
    assert in_other_air(LAUNCH, was=cold, now=cold, carry_m=carry).carry_error_m == pytest.approx(0)


def shots(speed_mph, launch, spin, n=6):
    speed = mps(speed_mph) * (1 + 0.01 * np.random.default_rng(3).normal(0, 1, n))
    return [Shot({"ball_speed_mps": s, "launch_deg": launch, "spin_rpm": spin}) for s in speed]


def gain(change, hit, **more):
    (said,) = predict(hit, [change], **more)
    return said


def test_loft_costs_a_high_launcher_carry_and_gains_a_low_one_some():
    up = Change(ChangeKind.LOFT, 1.0)
    high, low = gain(up, shots(126, 16, 5200)), gain(up, shots(100, 6, 2200))
    assert -5 < yards(high.gain("carry_m")) < -1
    assert yards(low.gain("carry_m")) > 0.5
    for said in (high, low):
        assert 0.6 < said.gain("launch_deg") < 1.0
        assert said.gain("spin_rpm") > 100
        assert said.gain("peak_m") > 0
        assert said.gain("landing_deg") > 0
        assert said.gain("ball_speed_mps") < 0
        assert said.error["carry_m"] > 0
    assert high.face_closed_deg == pytest.approx(1.6, abs=0.05)  # tan 58 degrees
    assert high.lie_deg == 0
    assert gain(Change(ChangeKind.BEND, -2.0), shots(100, 25, 8500)).bounce_deg == -2


def wedge(speed_mph, launch, spin, n=6):
    return [replace(shot, values={**shot.values, "attack_deg": -5.0}) for shot in shots(speed_mph, launch, spin, n)]


def test_loft_on_a_wedge_launches_as_much_higher_as_its_spin_lets_it():
    up = Change(ChangeKind.BEND, 1.0)
    set_wedge, sand_wedge = gain(up, wedge(102, 24.2, 9304)), gain(up, wedge(84, 30, 9900))
    arrives = up.effect.dynamic_loft_deg.value
    assert set_wedge.gain("launch_deg") / arrives == pytest.approx(0.62, abs=0.06)
    assert set_wedge.gain("spin_rpm") > 50
    # A sand wedge is at the top of what friction gives: more loft, no more spin.
    assert 0.5 < sand_wedge.gain("launch_deg") / arrives < 0.9
    assert sand_wedge.gain("spin_rpm") < 30
    lob = gain(up, wedge(70, 37, 8400))
    assert lob.gain("spin_rpm") < 0
    # From wet grass the ball slides: all of the loft is launch.
    wet = gain(up, wedge(86, 36, 6000))
    assert wet.gain("launch_deg") / arrives == pytest.approx(1.0, abs=0.03)
    assert wet.gain("spin_rpm") < 0


def test_a_closed_face_and_an_upright_lie_start_it_left_of_a_right_hander_and_right_of_a_left_hander():
    hit = shots(120, 16, 6800)
    club = HitClub(lie_deg=62, loft_deg=33, head_type=HeadType.IRON)
    upright = gain(Change(ChangeKind.LIE, 1.0), hit, club=club)
    assert -0.65 < upright.start_deg < -0.5
    assert upright.start_m == pytest.approx(math.tan(math.radians(upright.start_deg)) * fly_mean(hit), rel=0.02)
    assert gain(Change(ChangeKind.LIE, 1.0), hit, club=replace(club, left_handed=True)).start_deg == -upright.start_deg
    longer = gain(Change(ChangeKind.LENGTH, 0.5), hit, club=club)
    assert longer.start_deg == pytest.approx(upright.start_deg)  # half an inch is a degree of lie
    assert longer.start_error_deg > upright.start_error_deg > 0
    turned = gain(Change(ChangeKind.LOFT, 1.0), hit, club=club)
    assert -turned.face_closed_deg < turned.start_deg < 0
    assert turned.start_error_deg > 0.3


def fly_mean(hit):
    return np.mean([fly(Launch(*(shot.values[key] for key in LAUNCH_KEYS))).carry_m[0] for shot in hit])


def test_short_and_slow_shots_say_that_little_is_known_of_them():
    mph_, share = [20, 30, 40, 50, 70, 100], []
    for speed in mph_:
        pitch = flight_error(mps(speed), 40 * speed)
        share.append(pitch.carry_share[0])
        # Sets of coefficients as good as ours: what they carry lies within two of what is said.
        ours = fly(Launch(mps(speed), 32, 100 * speed)).carry_m[0]
        others = [fly(Launch(mps(speed), 32, 100 * speed), ball=ball).carry_m[0] for ball in ALIKE]
        assert np.abs(np.array(others) / ours - 1).max() < 2.5 * flight_error(mps(speed), 100 * speed).carry_share[0]
    assert share[3] > 0.06 > 2.5 * share[5]
    assert share[0] < share[1] < share[2] < share[3]


def test_every_change_has_a_direction_a_size_or_says_that_there_is_none_and_a_source():
    hit = shots(120, 14, 4500)
    assert yards(gain(Change(ChangeKind.LENGTH, 0.5), hit).gain("carry_m")) == pytest.approx(0.9, abs=0.6)
    down = gain(Change(ChangeKind.GRIP_DOWN, 1.0), hit)
    assert down.gain("carry_m") == pytest.approx(-gain(Change(ChangeKind.LENGTH, 1.0), hit).gain("carry_m"), rel=0.05)
    heavy = gain(Change(ChangeKind.HEAD_WEIGHT, 8.0), hit)
    assert abs(heavy.gain("carry_m")) < heavy.error["carry_m"]  # the two effects nearly cancel
    nothing = gain(Change(ChangeKind.WEIGHT_BACK, 10.0), hit)
    assert nothing.after == {}
    assert all(effect.source and (effect.directions or not effect.only_a_direction) for effect in EFFECTS.values())
    with pytest.raises(BadInput, match="another club"):
        Change(ChangeKind.LOFT, 6)


@pytest.mark.parametrize("kind", [HeadType.HYBRID, HeadType.FAIRWAY])
def test_a_turn_predicted_from_a_players_shots_is_what_the_turned_club_then_does(kind):
    """The golfer's impact is not the model the prediction undoes: shares, bow and smash are its own."""
    steady = Player(speed_mps=35, misses={}, warm_up=0, tiring=0, ball_drag=1.04)

    def hit(loft):
        struck = Swinging(steady, seed=8).shots(SwungClub(kind, loft, 40.5 * METRES_PER_INCH), 60, known=True)
        return [Shot({key: value for key, value in shot.items() if key != "strike"}) for shot in struck]

    before, after = hit(21), hit(23)
    said = gain(Change(ChangeKind.LOFT, 2.0), before)
    really = np.mean([shot.get("carry_m") for shot in after]) - np.mean([shot.get("carry_m") for shot in before])
    assert really < 0
    assert abs(said.gain("carry_m") - really) < 2 * said.error["carry_m"] + 0.5


def test_a_shot_of_a_few_yards_is_left_out_of_the_anchor_and_said():
    carry, _ = measured()
    rows = [
        Shot({"ball_speed_mps": speed, "launch_deg": up, "spin_rpm": spin, "carry_m": far})
        for speed, up, spin, far in zip(*(np.asarray(column) for column in LAUNCH.arrays()[:3]), carry, strict=True)
    ]
    topped = Shot({"ball_speed_mps": 8.0, "launch_deg": 2.0, "spin_rpm": 500.0, "carry_m": 1.5})
    plain, beside = (anchor_to(each, [Air()] * len(each)) for each in (rows, [*rows, topped]))
    assert beside.scales == plain.scales
    assert beside.sentence == f"{plain.sentence!s} 1 shot of a few yards is left out of it."
