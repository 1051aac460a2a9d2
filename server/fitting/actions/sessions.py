"""Opening a session, and what the player is asked to hit."""

from __future__ import annotations

from datetime import date

from common.problems import Refused
from customers.models import Customer
from django.db.models import BooleanField, ExpressionWrapper, Q
from django.utils import timezone
from hemicycle_core.protocols import asked
from hemicycle_core.shots import Intent
from shop.audit import action
from shop.models import Bay, User

from ..models import Build, FittingSession
from .changes import announce, for_change, note

# Agreed ones last: those to go on with are what the desk is opened for.
TO_GO_ON_WITH_FIRST = (ExpressionWrapper(Q(agreed_at__isnull=False), output_field=BooleanField()).asc(),)
# Of the brief, what is true of the player and not of one visit.
LASTING = ("miss", "fear", "shape", "firmness", "courses", "lies", "likes", "most_clubs")
OWN_FIELDS = (
    "name", "head_type", "stated_loft_deg", "set_loft_deg", "length_m", "fixed", "typed_carry_m", "typed_total_m",
    "typed_doubt_m",
)  # fmt: skip


@action("fit")
def open_session(actor: User, *, customer_id: int, bay_id: int, held_on: date | None = None) -> FittingSession:
    """A new visit. The bag is carried over from the customer's last session, typed figures and all, and of the brief
    where they play, what they like and what they fear."""
    assert actor.shop_id is not None
    customer = Customer.objects.one(actor.shop_id, customer_id)
    if customer.erased_at is not None:
        raise Refused("This customer is erased. Add them anew for a new visit.", kind="erased")
    bay = Bay.objects.one(actor.shop_id, bay_id)
    session = FittingSession.objects.create(
        shop_id=actor.shop_id,
        customer=customer,
        fitter=actor,
        bay=bay,
        held_on=held_on or timezone.localdate(),
        surface=bay.surface,
        indoor=bay.indoor,
        altitude_m=bay.altitude_m,
        temperature_c=bay.temperature_c,
    )
    last = (
        FittingSession.objects.of(actor.shop_id).filter(customer__in=customer.family()).exclude(pk=session.pk).first()
    )
    if last is not None:
        for name in LASTING:
            setattr(session, name, getattr(last, name))
        session.save(update_fields=list(LASTING))
        for build in Build.objects.of(actor.shop_id).filter(session=last, letter="", archived=False):
            Build.objects.create(
                shop_id=actor.shop_id, session=session, **{name: getattr(build, name) for name in OWN_FIELDS}
            )
    note(session, actor, "session.open", f"session:{session.pk}")
    return session


@action("fit")
def ask_for(actor: User, session_id: int, *, intent: Intent, protocol: str) -> FittingSession:
    """What the player is asked to hit from now on: stock shots say what a club does, others what it can be made to."""
    session = for_change(actor, session_id)
    session.protocol, session.intent = asked(protocol, intent).key, intent.value
    session.save(update_fields=["protocol", "intent"])
    note(session, actor, "session.ask", f"session:{session.pk}", protocol=protocol, intent=intent.value)
    announce(session, "ask")
    return session
