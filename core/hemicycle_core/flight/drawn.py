"""A flight as it is drawn beside others: the shape of the model, the size of the shots."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from .air import Air
from .integrate import FlightScales, Launch, fly

POINTS = 48


def drawn_path(
    launch: Launch, *, carry_m: float, peak_m: float | None = None, air: Air, scales: FlightScales
) -> NDArray[np.float64]:
    """The path (POINTS, 2) of one launch as distance and height in metres, stretched to a carry and a peak.

    Stretched, because the average launch does not fly the average carry, and the shots are the truth. peak_m: None
    leaves the height as flown.
    """
    flight = fly(launch, air=air, scales=scales, path=True)
    assert flight.path is not None
    track = flight.path[:, 0, :]
    flown = int(np.argmax(track[:, 0] >= flight.carry_m[0] - 1e-6))
    track = track[: flown + 1][:, [0, 2]]
    picked = track[np.linspace(0, len(track) - 1, POINTS).astype(int)]
    tall = 1.0 if peak_m is None else peak_m / float(flight.peak_m[0])
    stretched: NDArray[np.float64] = picked * np.array([carry_m / float(flight.carry_m[0]), tall])
    return stretched
