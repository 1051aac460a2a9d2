"""A try-out: a customer who is nobody, hit for by the stand-in, to try the product with before the first real one."""

from __future__ import annotations

from customers.actions import add_customer
from fitting.actions import builds, sessions
from fitting.models import Build, FittingSession
from hemicycle_core.flight import Air
from hemicycle_core.simulation.golfer import Player, Swinging
from hemicycle_core.units import metres, whole_yards
from shop.audit import action
from shop.models import User

from .golfers import club_of
from .models import SimulatedGolfer

NAME = "Try-out"
# A steady player of middling speed, whose bag has one plain hole, between the 5-wood and the 4-iron.
GOLFER = Player(speed_mps=38.0, attack_deg=-2.8, lean_deg=5.5)
CLUBS = ("Dr", "3W", "5W", "4i", "5i", "6i", "7i", "8i", "9i", "PW", "50", "56")
BALLS = 20  # behind each carry that is known of it


@action("fit")
def begin(actor: User, *, bay_id: int) -> FittingSession:
    """A try-out with a bag of known carries and a visit of its own."""
    customer = add_customer(actor, name=NAME, hand="right")
    customer.try_out = True
    customer.save(update_fields=["try_out"])
    SimulatedGolfer.objects.create(
        shop_id=customer.shop_id, customer=customer, parameters=GOLFER.to_dict(), seed=customer.pk
    )
    session = sessions.open_session(actor, customer_id=customer.pk, bay_id=bay_id)
    for name in CLUBS:
        club = builds.add_club(actor, session.pk, name=name)
        carry, total = _known(club, session)
        builds.change_club(actor, club.pk, typed_carry_m=carry, typed_total_m=total)
    return session


def _known(build: Build, session: FittingSession) -> tuple[float, float]:
    """What a player would say their club carries and rolls to: whole yards."""
    club = club_of(build)
    assert club is not None
    swinging = Swinging(GOLFER, seed=build.pk)
    swinging.air = Air(altitude_m=session.visit.altitude_m, temperature_c=session.visit.temperature_c)
    hit = swinging.shots(club, BALLS, known=True)
    carry, total = (sum(float(shot[key]) for shot in hit) / len(hit) for key in ("carry_m", "total_m"))
    # A wedge that spins back is not told of as stopping short of where it lands.
    return metres(whole_yards(carry)), metres(whole_yards(max(carry, total)))
