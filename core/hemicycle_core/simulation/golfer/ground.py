"""What the ground does to a swing: grass and water between face and ball, and the sole in the turf.

By judgement throughout (no probabilities are published): for the simulated golfer only, never shown to a person.
"""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from ...flight import Firmness
from ...impact import FRICTION_SD, ROUGH_SPEED, Lie, Moisture, friction
from .club import SwungClub
from .impact import ClubDelivery

Floats = NDArray[np.float64]

GROUND_BIAS_DEG = {Firmness.SOFT: 4.0, Firmness.MEDIUM: 1.0, Firmness.FIRM: -3.0}
LOW_POINT_AHEAD_MM = 14.0  # of the ball, where a player means to meet the turf
DIG_SPEED, GLIDE_SPEED, BEHIND_SPIN = 0.06, 0.03, 0.15  # lost for each 10 mm of turf before the ball
SKIP_MM = -12.0  # where a sole that skips strikes the face


@dataclass(frozen=True)
class Ground:
    """What is played from: the lie, how wet it is, how hard the ground under it is, and whether the ball's cover is
    hard."""

    lie: Lie = Lie.FAIRWAY
    moisture: Moisture = Moisture.DRY
    firmness: Firmness = Firmness.MEDIUM
    hard_cover: bool = False

    @property
    def under_the_sole(self) -> Firmness:
        return {Lie.SOFT: Firmness.SOFT, Lie.TIGHT: Firmness.FIRM}.get(self.lie, self.firmness)


def met(
    delivery: ClubDelivery, club: SwungClub, ground: Ground, low_point_sd_mm: float, chance: np.random.Generator
) -> ClubDelivery:
    """n deliveries as the ground leaves them: friction for each, club speed that grass takes, and a sole that digs,
    glides or skips where its bounce is known and it meets turf."""
    n = np.size(delivery.club_speed_mps)
    usual = friction(ground.lie, ground.moisture, club.worn, hard_cover=ground.hard_cover)
    slippery = usual * np.exp(FRICTION_SD * chance.normal(size=n))
    speed = np.asarray(delivery.club_speed_mps, dtype=float) * ROUGH_SPEED.get(ground.lie, 1.0)
    made = replace(delivery, club_speed_mps=speed, friction=slippery)
    behind = np.maximum(0.0, chance.normal(-LOW_POINT_AHEAD_MM, low_point_sd_mm, n))
    luck = chance.random((2, n))
    if club.bounce_deg is None or ground.lie in (Lie.TEE, Lie.SAND):
        return made
    return _soled(made, club, club.bounce_deg, ground, behind, luck)


def _soled(
    delivery: ClubDelivery, club: SwungClub, bounce_deg: float, ground: Ground, behind_mm: Floats, luck: Floats
) -> ClubDelivery:
    attack, loft = np.asarray(delivery.attack_deg, dtype=float), np.asarray(delivery.dynamic_loft_deg, dtype=float)
    margin = bounce_deg - (club.loft_deg - loft) - 0.5 * (np.abs(attack) - 4)
    margin = margin - GROUND_BIAS_DEG[ground.under_the_sole]
    on_mat = ground.lie is Lie.MAT  # nothing to dig into: a heavy strike keeps its distance and loses spin
    digs = (behind_mm > 0) & (luck[0] < 1 / (1 + np.exp(margin / 2.5))) & (not on_mat)
    hard = ground.under_the_sole is Firmness.FIRM
    skips = (behind_mm > 0) & ~digs & hard & (luck[1] < 1 / (1 + np.exp((8 - margin) / 2.5)))
    lost = np.where(digs, DIG_SPEED, GLIDE_SPEED) * behind_mm / 10
    return replace(
        delivery,
        club_speed_mps=np.asarray(delivery.club_speed_mps, dtype=float) * np.maximum(0.4, 1 - lost),
        spin_share=np.maximum(0.3, 1 - BEHIND_SPIN * behind_mm / 10),
        high_mm=np.where(skips, SKIP_MM, delivery.high_mm),
    )
