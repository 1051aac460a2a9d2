"""Wedges of one player for tests: clubs by carry, and clubs that were swung."""

from hemicycle_core.bag import (
    Carried,
    GapRule,
    HeadType,
    usual_rules,
)
from hemicycle_core.brief import Job, JobKind
from hemicycle_core.shots import Shot
from hemicycle_core.simulation.golfer import Player, Swinging, SwungClub
from hemicycle_core.units import METRES_PER_INCH, metres, mps

STEP = usual_rules(GapRule.EVEN_STEPS).wedge_step  # 10 to 15 yd and a tenth
PLAYER = Player(speed_mps=36, attack_deg=-4.5, lean_deg=9, misses={}, warm_up=0, tiring=0)
PITCH = Job("60 yd pitch", JobKind.GREEN, metres(60), width_m=metres(18), depth_m=metres(18))


def club(name, carry, loft=None, ball=None, shots=5, **more):
    kind = HeadType.IRON if name.endswith("i") else HeadType.WEDGE
    speed = None if ball is None else mps(ball)
    return Carried(name, kind, metres(carry), metres(carry), loft, metres(3), ball_speed_mps=speed, shots=shots, **more)


def swung(loft, n=8, length="full", player=PLAYER, seed=3, **more):
    """Stock shots of a simulated wedge, with what makes them none for another length."""
    made = Swinging(player, seed).shots(
        SwungClub(HeadType.WEDGE, loft, 35.3 * METRES_PER_INCH), n, known=True, length=length
    )
    part = {} if length == "full" else {"swing": length, "part": True, "apart": f"{length} swing"}
    return [Shot({key: value for key, value in row.items() if key != "strike"}, **part, **more) for row in made]


ENDS = [club("LW", 84, 58, 72), club("SW", 104, 54, 83), club("PW", 126, 46, 95, of_set=True), club("9i", 138)]
