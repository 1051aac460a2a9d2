"""Air density and viscosity from what a fitter knows: altitude, temperature, humidity."""

from __future__ import annotations

import math
from dataclasses import dataclass

from ..errors import BadInput
from ..said import high, say, speed, warmth

SEA_LEVEL_PRESSURE_PA = 101_325.0  # ISO 2533 standard atmosphere
LAPSE_RATE_K_PER_M = 0.0065  # ISO 2533, troposphere
STANDARD_SEA_LEVEL_K = 288.15  # ISO 2533
BAROMETRIC_EXPONENT = 5.25588  # g M / (R L), ISO 2533
GAS_CONSTANT_DRY = 287.058  # J/(kg K)
GAS_CONSTANT_VAPOUR = 461.495  # J/(kg K)
KELVIN = 273.15


@dataclass(frozen=True)
class Air:
    """The air a shot flies through.

    altitude_m: above sea level, used for the pressure when `pressure_pa` is not given.
    temperature_c: of the air at the ball. humidity: relative, 0 to 1.
    wind_mps: speed at 10 m height; wind_from_deg: 0 blows against the shot, 90 from the right,
    180 from behind. The speed falls towards the ground with a 1/7 power law, the usual neutral
    profile over short grass.
    """

    altitude_m: float = 0.0
    temperature_c: float = 20.0
    humidity: float = 0.5
    pressure_pa: float | None = None
    wind_mps: float = 0.0
    wind_from_deg: float = 0.0

    def __post_init__(self) -> None:
        if not -500 <= self.altitude_m <= 5000:
            raise BadInput(say("flight-altitude-between", low=high(-500, -1), high=high(5000, -1)), field="altitude")
        if not -30 <= self.temperature_c <= 55:
            raise BadInput(say("flight-temperature-between", low=warmth(-30), high=warmth(55)), field="temperature")
        if not 0 <= self.humidity <= 1:
            raise BadInput(say("flight-relative-humidity-must-lie"), field="humidity")
        if not 0 <= self.wind_mps <= 30:
            raise BadInput(say("flight-wind-between", most=speed(30)), field="wind")

    @property
    def pressure(self) -> float:
        """Static pressure in Pa: as given, else the standard atmosphere's at this altitude."""
        if self.pressure_pa is not None:
            return self.pressure_pa
        ratio = 1 - LAPSE_RATE_K_PER_M * self.altitude_m / STANDARD_SEA_LEVEL_K
        return float(SEA_LEVEL_PRESSURE_PA * ratio**BAROMETRIC_EXPONENT)

    @property
    def density(self) -> float:
        """kg/m3 of moist air; saturation pressure after Tetens (1930)."""
        kelvin = self.temperature_c + KELVIN
        saturation = 610.78 * math.exp(17.27 * self.temperature_c / (self.temperature_c + 237.3))
        vapour = self.humidity * saturation
        return (self.pressure - vapour) / (GAS_CONSTANT_DRY * kelvin) + vapour / (GAS_CONSTANT_VAPOUR * kelvin)

    @property
    def kinematic_viscosity(self) -> float:
        """m2/s; dynamic viscosity after Sutherland (1893), reference 1.716e-5 Pa s at 273.15 K."""
        kelvin = self.temperature_c + KELVIN
        dynamic = 1.716e-5 * (kelvin / KELVIN) ** 1.5 * (KELVIN + 110.4) / (kelvin + 110.4)
        return float(dynamic / self.density)

    @property
    def wind_along_mps(self) -> float:
        """Along the target line, positive with the shot."""
        return -self.wind_mps * math.cos(math.radians(self.wind_from_deg))

    @property
    def wind_across_mps(self) -> float:
        """Across the target line, positive towards the right."""
        return -self.wind_mps * math.sin(math.radians(self.wind_from_deg))
