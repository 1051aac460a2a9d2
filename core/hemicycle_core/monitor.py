"""What a launch monitor reads wrong: a part that differs from shot to shot, and one that is common to the day.

The common part cancels between builds that one monitor read on one day. It does not cancel against a line such as the
landing angle that holds, against a carry that was typed, or against another visit. The defaults are by judgement; a
shop that knows its monitors better sets its own for each bay.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum

from .errors import BadInput
from .said import number, say
from .shots import READINGS
from .units import UNITS


class MonitorKind(StrEnum):
    FLIGHT = "flight"  # follows the ball: carry, height and landing are measured
    IMPACT = "impact"  # sees impact only: speed, launch and spin are measured, the flight is a model's


@dataclass(frozen=True)
class Noise:
    """One standard deviation in the reading's canonical unit: from shot to shot, and common to a day."""

    shot: float
    day: float


USUAL: dict[MonitorKind, dict[str, Noise]] = {
    MonitorKind.FLIGHT: {
        "club_speed_mps": Noise(0.4, 0.3),
        "ball_speed_mps": Noise(0.15, 0.15),
        "launch_deg": Noise(0.2, 0.2),
        "spin_rpm": Noise(60, 50),
        "carry_m": Noise(1.0, 0.9),
        "peak_m": Noise(0.5, 0.5),
        "landing_deg": Noise(0.5, 0.5),
    },
    MonitorKind.IMPACT: {
        "club_speed_mps": Noise(0.4, 0.4),
        "ball_speed_mps": Noise(0.15, 0.15),
        "launch_deg": Noise(0.2, 0.2),
        "spin_rpm": Noise(100, 80),
        "carry_m": Noise(1.5, 1.5),
        "peak_m": Noise(0.7, 0.7),
        "landing_deg": Noise(0.7, 0.7),
    },
}
MOST_TIMES = 10.0  # of the usual noise: more is no monitor to fit with


@dataclass(frozen=True)
class Monitor:
    """A bay's monitor with the noise of each reading."""

    kind: MonitorKind = MonitorKind.FLIGHT
    changed: Mapping[str, Noise] | None = None

    def noise(self, key: str) -> Noise:
        """Of one reading; none for a reading that has no noise of its own here."""
        return (self.changed or {}).get(key) or USUAL[self.kind].get(key, Noise(0.0, 0.0))


def noise_in_shown(monitor: Monitor) -> dict[str, Noise]:
    """Every noise in the unit its reading is shown in."""
    made = {}
    for key in USUAL[monitor.kind]:
        one, noise = UNITS[READINGS[key].shown].to_canonical(1.0), monitor.noise(key)
        made[key] = Noise(noise.shot / one, noise.day / one)
    return made


def noise_from_shown(kind: MonitorKind, shown: Mapping[str, Noise]) -> dict[str, Noise]:
    """Those that differ from the usual, canonical, from what was typed in the units that are shown.

    Raises BadInput for a reading without noise, a negative one, or one that no monitor has.
    """
    made = {}
    for key, typed in shown.items():
        usual = USUAL[kind].get(key)
        if usual is None:
            raise BadInput(say("monitor-no-noise-kept", key=key), field=key)
        one = UNITS[READINGS[key].shown].to_canonical(1.0)
        noise = Noise(typed.shot * one, typed.day * one)
        label = READINGS[key].label
        if noise.shot < 0 or noise.day < 0:
            raise BadInput(say("monitor-noise-is-nought-or-more", label=label), field=key)
        if noise.shot > MOST_TIMES * usual.shot or noise.day > MOST_TIMES * usual.day:
            raise BadInput(say("monitor-noise-of-no-monitor", label=label, most=number(MOST_TIMES)), field=key)
        if abs(noise.shot - usual.shot) > 1e-6 or abs(noise.day - usual.day) > 1e-6:
            made[key] = noise
    return made
