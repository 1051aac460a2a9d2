"""What a fitter can change on a club, and what each change is known to do: size, uncertainty, source.

A change acts on the delivery (dynamic loft, club speed) or on the head (mass); `whatif` takes it
through impact and flight. What is only known as a direction is said in words and never computed.
"""

from __future__ import annotations

import math
from collections.abc import Callable
from dataclasses import dataclass
from enum import StrEnum
from functools import partial

from ..errors import BadInput
from ..impact import SPEED_OF_ONE_HEAD, SPEED_OF_ONE_HEAD_SD
from ..said import Form, Quantity, Said, angle, club_length, inches, say, term, weight


class ChangeKind(StrEnum):
    """The changes Hemicycle can say something about."""

    LOFT = "loft"  # a turn of the sleeve
    BEND = "bend"
    LENGTH = "length"
    GRIP_DOWN = "grip_down"
    HEAD_WEIGHT = "head_weight"
    WEIGHT_BACK = "weight_back"
    WEIGHT_HEEL = "weight_heel"
    SHAFT_WEIGHT = "shaft_weight"
    GRIP = "grip"
    LIE = "lie"


@dataclass(frozen=True)
class Size:
    """An effect for one unit of change and its standard deviation."""

    value: float = 0.0
    sd: float = 0.0


@dataclass(frozen=True)
class Effect:
    """What one unit of a change does.

    unit: of the amount. most: the largest amount either way that is still the same club.
    dynamic_loft_deg: at impact. club_speed_share: of club speed. smash_share: of ball speed at equal club
    speed. lie_deg: more upright. bounce_deg. directions: what is known only as a direction. source: of
    the sizes. caution: shown with it.
    """

    unit: str
    most: float
    source: Said
    dynamic_loft_deg: Size = Size()
    club_speed_share: Size = Size()
    smash_share: Size = Size()
    lie_deg: Size = Size()
    bounce_deg: float = 0.0
    directions: tuple[Said, ...] = ()
    caution: Said | None = None

    @property
    def only_a_direction(self) -> bool:
        sizes = (self.dynamic_loft_deg, self.club_speed_share, self.smash_share)
        return all(size.value == 0 and size.sd == 0 for size in sizes)


TIGHT, BENDING, SHAFT_WORK = say("caution-tight"), say("caution-bending"), say("caution-shaft-work")

# A player squares the face again after a change, and not all of it arrives: within about a sixth.
LOFT_ARRIVES = Size(0.95, 0.15)
# A sleeve's face shows closed when the club is soled as before; a player looks it square again, and about a third of it
# reaches the ball. By judgement.
FACE_ARRIVES = Size(0.3, 0.2)
SPEED_AN_INCH = Size(SPEED_OF_ONE_HEAD, SPEED_OF_ONE_HEAD_SD)
# Hands at one height: fitters count one degree of lie for half an inch.
LIE_AN_INCH = Size(2.0, 0.7)

EFFECTS: dict[ChangeKind, Effect] = {
    ChangeKind.LOFT: Effect(
        unit="°",
        most=4,
        dynamic_loft_deg=LOFT_ARRIVES,
        source=say("change-source-loft"),
        directions=(say("change-direction-loft"),),
        caution=TIGHT,
    ),
    ChangeKind.BEND: Effect(
        unit="°",
        most=4,
        dynamic_loft_deg=LOFT_ARRIVES,
        bounce_deg=1.0,
        source=say("change-source-bend"),
        caution=BENDING,
    ),
    ChangeKind.LIE: Effect(
        unit="°",
        most=4,
        lie_deg=Size(1.0, 0.0),
        source=say("change-source-lie"),
        directions=(say("change-direction-lie"),),
        caution=BENDING,
    ),
    ChangeKind.LENGTH: Effect(
        unit="in",
        most=2,
        club_speed_share=SPEED_AN_INCH,
        lie_deg=LIE_AN_INCH,
        source=say("change-source-lever-length"),
        directions=(
            say("change-direction-length"),
            say("change-direction-length-also", inch=inches(1)),
        ),
        caution=SHAFT_WORK,
    ),
    ChangeKind.GRIP_DOWN: Effect(
        unit="in",
        most=2,
        club_speed_share=Size(-SPEED_AN_INCH.value, SPEED_AN_INCH.sd),
        lie_deg=Size(-LIE_AN_INCH.value, LIE_AN_INCH.sd),
        source=say("change-source-lever-length"),
        directions=(say("change-direction-grip-down"),),
    ),
    # Club speed goes with mass to the power of about -0.19 and a 0.23 kg head (C. B. Daish, 1972); a heavier head gives
    # the ball more of its speed: d ln(1 / (1 + m / M)) / dM.
    ChangeKind.HEAD_WEIGHT: Effect(
        unit="g",
        most=20,
        club_speed_share=Size(-0.00083, 0.0005),
        smash_share=Size(0.00072, 0.0002),
        source=say("change-source-head-weight"),
        directions=(say("change-direction-head-weight"),),
        caution=TIGHT,
    ),
    ChangeKind.WEIGHT_BACK: Effect(
        unit="g",
        most=30,
        source=say("change-source-weight-back"),
        directions=(
            say("change-direction-weight-back"),
            say("change-direction-weight-back-also"),
            say("change-no-size-known"),
        ),
        caution=TIGHT,
    ),
    ChangeKind.WEIGHT_HEEL: Effect(
        unit="g",
        most=30,
        source=say("change-source-weight-heel"),
        directions=(
            say("change-direction-weight-heel"),
            say("change-direction-weight-heel-also"),
            say("change-no-size-known"),
        ),
        caution=TIGHT,
    ),
    ChangeKind.GRIP: Effect(
        unit="mm",
        most=5,
        source=say("change-source-grip"),
        directions=(
            say("change-direction-grip"),
            say("change-direction-grip-also"),
        ),
        caution=say("caution-grip"),
    ),
    ChangeKind.SHAFT_WEIGHT: Effect(
        unit="g",
        most=60,
        club_speed_share=Size(-0.0002, 0.0002),
        source=say("change-source-shaft-weight"),
        directions=(say("change-direction-shaft-weight"),),
        caution=SHAFT_WORK,
    ),
}


# What is worth a look first, from the change that costs least to the one that costs most.
USUAL_STEPS: tuple[tuple[ChangeKind, float], ...] = (
    (ChangeKind.LOFT, 1.0), (ChangeKind.LOFT, -1.0), (ChangeKind.BEND, 1.0), (ChangeKind.BEND, -1.0),
    (ChangeKind.LIE, 1.0), (ChangeKind.LIE, -1.0),
    (ChangeKind.GRIP_DOWN, 1.0), (ChangeKind.WEIGHT_BACK, 8.0), (ChangeKind.WEIGHT_HEEL, 8.0),
    (ChangeKind.HEAD_WEIGHT, 4.0),
    (ChangeKind.LENGTH, 0.5), (ChangeKind.LENGTH, -0.5),
    (ChangeKind.SHAFT_WEIGHT, 10.0), (ChangeKind.SHAFT_WEIGHT, -10.0), (ChangeKind.GRIP, 0.8),
)  # fmt: skip


@dataclass(frozen=True)
class Change:
    """One change: its kind and amount, positive for up, longer, heavier, further back or to the heel, thicker."""

    kind: ChangeKind
    amount: float

    def __post_init__(self) -> None:
        most = self.effect.most
        if not math.isfinite(self.amount) or self.amount == 0 or abs(self.amount) > most:
            most_words = self._amount(most)
            raise BadInput(say("change-between", change=self.label, most=most_words), field="amount")

    @property
    def label(self) -> Said:
        return term("change-label", self.kind)

    @property
    def effect(self) -> Effect:
        return EFFECTS[self.kind]

    @property
    def words(self) -> Said:
        """Such as `2° up`, `0.5 in longer`."""
        return say("change-by", kind=self.kind, by=self._amount(abs(self.amount)), more=self.amount > 0)

    def _amount(self, amount: float) -> Quantity:
        return AMOUNT[self.effect.unit](amount)


AMOUNT: dict[str, Callable[[float], Quantity]] = {
    "°": partial(angle, form=Form.SHORT),
    "in": inches,
    "g": partial(weight, form=Form.SHORT),
    "mm": lambda mm: club_length(mm / 1000, form=Form.SHORT),
}


def usual_changes(*, sleeve_deg: float) -> list[Change]:
    """The changes to look at for a club whose sleeve turns sleeve_deg either way; 0 is bonded, so bent instead."""
    apart = {ChangeKind.BEND, ChangeKind.LIE} if sleeve_deg else {ChangeKind.LOFT}
    return [Change(kind, amount) for kind, amount in USUAL_STEPS if kind not in apart]
