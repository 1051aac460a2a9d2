"""What a turn of the sleeve or a bend would do, shot by shot, from the player's own shots."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..errors import BadInput
from ..flight import Air, Launch, fly
from ..shots import Shot

# Share of a change of loft that reaches the face at impact, and of dynamic loft that reaches launch.
# T. P. Jorgensen, The Physics of Golf (1994) ch. 7: launch is 0.8 to 0.9 of dynamic loft for woods.
LOFT_TO_DYNAMIC = 0.95
DYNAMIC_TO_LAUNCH = 0.82
ATTACK_USUAL_DEG = -3.0  # long clubs off the turf, when the monitor has not measured it
CARRY_ERROR_SHARE_PER_DEG = 0.006  # about 1 yd at 175 yd for each degree turned


@dataclass(frozen=True)
class Turned:
    """Mean change over the shots: carry and peak in metres, launch and landing in degrees, spin in rpm,
    ball speed in m/s; carry_error_m is one standard deviation of the predicted carry change."""

    degrees: float
    carry_m: float
    peak_m: float
    launch_deg: float
    landing_deg: float
    spin_rpm: float
    ball_speed_mps: float
    carry_error_m: float


def turn_loft(shots: Sequence[Shot], degrees: float, *, air: Air | None = None) -> Turned | None:
    """Predict `degrees` more loft (negative: less); None when no kept shot has speed, launch and spin.

    Through an oblique impact with spin loft s (dynamic loft less attack angle): ball speed goes with
    cos s and spin with sin s, so each shot's own changes follow from its own s; then both launches
    are flown and the difference taken, so that an error of the flight model common to both drops out.
    """
    if abs(degrees) > 4:
        raise BadInput("A turn of more than 4° is another club: test it as one.", field="degrees")
    keys = ("ball_speed_mps", "launch_deg", "spin_rpm")
    usable = [shot for shot in shots if not shot.aside and all(shot.get(key) is not None for key in keys)]
    if not usable:
        return None
    speed, launch, spin = (np.array([shot.values[key] for shot in usable]) for key in keys)
    attack = np.array([shot.values.get("attack_deg", ATTACK_USUAL_DEG) for shot in usable])
    loft = launch / DYNAMIC_TO_LAUNCH
    before = np.radians(np.clip(loft - attack, 4, 70))
    after = before + np.radians(degrees * LOFT_TO_DYNAMIC)
    speed_after = speed * np.cos(after) / np.cos(before)
    spin_after = spin * np.sin(after) / np.sin(before) * speed_after / speed
    launch_after = launch + degrees * LOFT_TO_DYNAMIC * DYNAMIC_TO_LAUNCH
    old = fly(Launch(speed, launch, spin), air=air)
    new = fly(Launch(speed_after, launch_after, np.clip(spin_after, 0, 20_000)), air=air)
    return Turned(
        degrees=degrees,
        carry_m=float((new.carry_m - old.carry_m).mean()),
        peak_m=float((new.peak_m - old.peak_m).mean()),
        launch_deg=float((launch_after - launch).mean()),
        landing_deg=float((new.landing_deg - old.landing_deg).mean()),
        spin_rpm=float((spin_after - spin).mean()),
        ball_speed_mps=float((speed_after - speed).mean()),
        carry_error_m=CARRY_ERROR_SHARE_PER_DEG * abs(degrees) * float(old.carry_m.mean()),
    )
