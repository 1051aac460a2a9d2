"""What a turn of the sleeve or a bend would do, shot by shot, from the player's own shots."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..errors import BadInput
from ..flight import Air, Launch, fly
from ..shots import Shot

# Share of a change of loft that reaches the face at impact, and of dynamic loft that reaches launch.
# T. P. Jorgensen, The Physics of Golf (1994) ch. 7: launch is 0.8 to 0.9 of dynamic loft for woods.
LOFT_TO_DYNAMIC = 0.95
DYNAMIC_TO_LAUNCH = 0.82
MOST_TURN_DEG = 4.0
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


def turn_loft(shots: Sequence[Shot], turns_deg: Sequence[float], *, air: Air | None = None) -> list[Turned]:
    """Predict each of `turns_deg` more loft (negative: less); empty when no kept shot has speed, launch and spin.

    Through an oblique impact with spin loft s (dynamic loft less attack angle): ball speed goes with
    cos s and spin with sin s, so each shot's own changes follow from its own s; then all launches are
    flown in one batch and differences taken, so that an error of the flight model common to both drops out.
    """
    if any(abs(degrees) > MOST_TURN_DEG for degrees in turns_deg):
        raise BadInput("A turn of more than 4° is another club: test it as one.", field="degrees")
    keys = ("ball_speed_mps", "launch_deg", "spin_rpm")
    usable = [shot for shot in shots if not shot.aside and all(shot.get(key) is not None for key in keys)]
    if not usable:
        return []
    turns = np.array([0.0, *turns_deg])[:, None]
    speed, launch, spin = (np.array([shot.values[key] for shot in usable]) for key in keys)
    attack = np.array([shot.values.get("attack_deg", ATTACK_USUAL_DEG) for shot in usable])
    spin_loft = np.clip(launch / DYNAMIC_TO_LAUNCH - attack, 4, 70)
    before, after = np.radians(spin_loft), np.radians(spin_loft + turns * LOFT_TO_DYNAMIC)
    speeds = speed * np.cos(after) / np.cos(before)
    spins = np.clip(spin * np.sin(after) / np.sin(before) * speeds / speed, 0, 20_000)
    launches = launch + turns * LOFT_TO_DYNAMIC * DYNAMIC_TO_LAUNCH
    flight = fly(Launch(speeds.ravel(), launches.ravel(), spins.ravel()), air=air)

    def change(values: NDArray[np.float64], row: int) -> float:
        table = values.reshape(turns.size, -1)
        return float((table[row] - table[0]).mean())

    return [
        Turned(
            degrees=degrees,
            carry_m=change(flight.carry_m, row),
            peak_m=change(flight.peak_m, row),
            launch_deg=change(launches, row),
            landing_deg=change(flight.landing_deg, row),
            spin_rpm=change(spins, row),
            ball_speed_mps=change(speeds, row),
            carry_error_m=CARRY_ERROR_SHARE_PER_DEG * abs(degrees) * float(flight.carry_m.mean()),
        )
        for row, degrees in enumerate(turns_deg, start=1)
    ]
