"""Changes to the shop's customers."""

from __future__ import annotations

from hemicycle_core.errors import BadInput
from shop.audit import action, record
from shop.models import User

from .models import Customer, Hand


@action("fit")
def add_customer(
    actor: User, *, name: str, hand: str, birth_year: int | None = None, email: str = "", notes: str = ""
) -> Customer:
    name = " ".join(name.split())
    if not name:
        raise BadInput("Give the customer a name.", field="name")
    assert actor.shop_id is not None
    customer = Customer.objects.create(
        shop_id=actor.shop_id, name=name, hand=Hand(hand), birth_year=birth_year, email=email, notes=notes
    )
    record(actor.shop_id, actor, "customer.add", f"customer:{customer.pk}", name=name)
    return customer
