"""What a fitter can change on a club, and what each change is known to do: size, uncertainty, source.

A change acts on the delivery (dynamic loft, club speed) or on the head (mass); `whatif` takes it
through impact and flight. What is only known as a direction is said in words and never computed.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import StrEnum

from ..errors import BadInput
from ..impact import SPEED_OF_ONE_HEAD, SPEED_OF_ONE_HEAD_SD


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

    label: str
    unit: str
    most: float
    source: str
    dynamic_loft_deg: Size = Size()
    club_speed_share: Size = Size()
    smash_share: Size = Size()
    lie_deg: Size = Size()
    bounce_deg: float = 0.0
    directions: tuple[str, ...] = ()
    caution: str | None = None

    @property
    def only_a_direction(self) -> bool:
        sizes = (self.dynamic_loft_deg, self.club_speed_share, self.smash_share)
        return all(size.value == 0 and size.sd == 0 for size in sizes)


TIGHT = "Check that the head is tight and the screw at the maker’s torque before the next swing."
BENDING = (
    "2° at most unless the maker says otherwise; cast and hollow heads can crack. "
    "Eye protection; measure loft, lie and bounce again after."
)
SHAFT_WORK = "Heat, epoxy, solvent and dust: ventilate, wear gloves and eye protection, follow the maker’s data sheet."

# A player squares the face again after a change, and not all of it arrives: within about a sixth.
LOFT_ARRIVES = Size(0.95, 0.15)
# A sleeve's face shows closed when the club is soled as before; a player looks it square again, and about a third of it
# reaches the ball. By judgement.
FACE_ARRIVES = Size(0.3, 0.2)
SPEED_AN_INCH = Size(SPEED_OF_ONE_HEAD, SPEED_OF_ONE_HEAD_SD)
# Hands at one height: fitters count one degree of lie for half an inch.
LIE_AN_INCH = Size(2.0, 0.7)
LENGTH_SOURCE = (
    "Lever length: at most 1.4% an inch at one turning speed. Less in tests with players (E. S. Wallace and others, "
    "J. Sports Sci. 25, 2007, 731)."
)

EFFECTS: dict[ChangeKind, Effect] = {
    ChangeKind.LOFT: Effect(
        label="Turn the sleeve",
        unit="°",
        most=4,
        dynamic_loft_deg=LOFT_ARRIVES,
        source="Oblique impact (T. P. Jorgensen, The Physics of Golf, 1994, ch. 7); face by turning about the shaft.",
        directions=("Most sleeves also stand the club more upright as loft goes up: read the maker’s table.",),
        caution=TIGHT,
    ),
    ChangeKind.BEND: Effect(
        label="Bend",
        unit="°",
        most=4,
        dynamic_loft_deg=LOFT_ARRIVES,
        bounce_deg=1.0,
        source="Oblique impact (Jorgensen, 1994, ch. 7). A bend turns the whole head, so the sole moves with the face.",
        caution=BENDING,
    ),
    ChangeKind.LIE: Effect(
        label="Bend the lie",
        unit="°",
        most=4,
        lie_deg=Size(1.0, 0.0),
        source=(
            "A face that leans towards the heel looks that way: lie times the tangent of loft. About 0.85 of it "
            "reaches the start, by judgement."
        ),
        directions=("Carry and height stay. Turf marks on the toe or heel of the sole tell more than a lie board.",),
        caution=BENDING,
    ),
    ChangeKind.LENGTH: Effect(
        label="Length",
        unit="in",
        most=2,
        club_speed_share=SPEED_AN_INCH,
        lie_deg=LIE_AN_INCH,
        source=LENGTH_SOURCE,
        directions=(
            "A longer club spreads shots wider and finds the middle less often. How much is the player’s own: hit it.",
            "The head feels heavier, about 6 swing-weight points an inch.",
        ),
        caution=SHAFT_WORK,
    ),
    ChangeKind.GRIP_DOWN: Effect(
        label="Grip down",
        unit="in",
        most=2,
        club_speed_share=Size(-SPEED_AN_INCH.value, SPEED_AN_INCH.sd),
        lie_deg=Size(-LIE_AN_INCH.value, LIE_AN_INCH.sd),
        source=LENGTH_SOURCE,
        directions=("Shots usually gather closer and strike improves: hit it to know.",),
    ),
    ChangeKind.HEAD_WEIGHT: Effect(
        label="Head weight",
        unit="g",
        most=20,
        # Club speed goes with mass to the power of about -0.19 and a 0.23 kg head (C. B. Daish, 1972);
        # a heavier head gives the ball more of its speed: d ln(1 / (1 + m / M)) / dM.
        club_speed_share=Size(-0.00083, 0.0005),
        smash_share=Size(0.00072, 0.0002),
        source="C. B. Daish, The Physics of Ball Games, 1972: speed against mass. The two nearly cancel.",
        directions=("The swing weight goes up about 1 point for 2 g. Feel and timing change more than distance.",),
        caution=TIGHT,
    ),
    ChangeKind.WEIGHT_BACK: Effect(
        label="Weight to the back",
        unit="g",
        most=30,
        source="Centre of gravity behind the shaft axis bends the shaft forward into impact (Jorgensen, 1994).",
        directions=(
            "Launch goes up a little, height with it; spin a little up or level.",
            "Straighter on off-centre strikes; harder to shape. To the front it is the other way round.",
            "No size is known well enough to compute: hit it.",
        ),
        caution=TIGHT,
    ),
    ChangeKind.WEIGHT_HEEL: Effect(
        label="Weight to the heel",
        unit="g",
        most=30,
        source="A head whose weight lies nearer the shaft turns about it faster (Jorgensen, 1994).",
        directions=(
            "The face closes easier: for a right-hander the ball starts and bends further left. To the toe it is the "
            "other way round.",
            "The middle of the head moves with the weight: watch where on the face it is struck.",
            "No size is known well enough to compute: hit it.",
        ),
        caution=TIGHT,
    ),
    ChangeKind.GRIP: Effect(
        label="Grip",
        unit="mm",
        most=5,
        source="Shop practice, not a published figure: about one swing-weight point less for 5 g more of grip.",
        directions=(
            "A thicker grip stills the hands of some players and frees those of others. No rule holds: hit it.",
            "A heavier grip makes the head feel lighter.",
        ),
        caution="Solvent and a blade: ventilate, wear gloves, cut away from yourself. Let it dry before anyone swings.",
    ),
    ChangeKind.SHAFT_WEIGHT: Effect(
        label="Shaft weight",
        unit="g",
        most=60,
        club_speed_share=Size(-0.0002, 0.0002),
        source=(
            "Tests with players find little: a fifth of a percent of speed for 10 g, either way (shop practice, "
            "not a published figure)."
        ),
        directions=("Strike, tempo and start line differ from player to player. No rule holds: hit it.",),
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
            raise BadInput(
                f"{self.effect.label}: give a change between −{most:g} and {most:g} {self.effect.unit}, and not 0. "
                "More than that is another club: test it as one.",
                field="amount",
            )

    @property
    def effect(self) -> Effect:
        return EFFECTS[self.kind]

    @property
    def words(self) -> str:
        """Such as `2° up`, `0.5 in longer`."""
        ways = {
            ChangeKind.LOFT: ("up", "down"),
            ChangeKind.BEND: ("weaker", "stronger"),
            ChangeKind.LENGTH: ("longer", "shorter"),
            ChangeKind.GRIP_DOWN: ("down the grip", "up the grip"),
            ChangeKind.HEAD_WEIGHT: ("heavier head", "lighter head"),
            ChangeKind.WEIGHT_BACK: ("moved back", "moved forward"),
            ChangeKind.WEIGHT_HEEL: ("moved to the heel", "moved to the toe"),
            ChangeKind.GRIP: ("thicker grip", "thinner grip"),
            ChangeKind.SHAFT_WEIGHT: ("heavier shaft", "lighter shaft"),
            ChangeKind.LIE: ("more upright", "flatter"),
        }[self.kind]
        if self.kind is ChangeKind.GRIP_DOWN and self.amount > 0:
            return f"grip down {self.amount:g} in"
        space = "" if self.effect.unit == "°" else " "
        return f"{abs(self.amount):g}{space}{self.effect.unit} {ways[self.amount < 0]}"


def usual_changes(*, sleeve_deg: float) -> list[Change]:
    """The changes to look at for a club whose sleeve turns sleeve_deg either way; 0 is bonded, so bent instead."""
    apart = {ChangeKind.BEND, ChangeKind.LIE} if sleeve_deg else {ChangeKind.LOFT}
    return [Change(kind, amount) for kind, amount in USUAL_STEPS if kind not in apart]
