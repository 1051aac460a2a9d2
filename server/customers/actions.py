"""Changes to the shop's customers."""

from __future__ import annotations

from common.problems import Refused
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.said import say
from shop.audit import action, record
from shop.models import User

from .models import Customer, Hand


def _name(text: str) -> str:
    name = " ".join(text.split())
    if not name:
        raise BadInput(say("act-give-customer-name"), field="name")
    return name


def _birth_year(year: int | None) -> int | None:
    if year is not None and not 1900 <= year <= timezone.localdate().year:
        raise BadInput(say("act-year-birth-from-year"), field="birth_year")
    return year


@action("fit")
def add_customer(
    actor: User,
    *,
    name: str,
    hand: str,
    birth_year: int | None = None,
    email: str = "",
    notes: str = "",
    units: dict[str, str] | None = None,
) -> Customer:
    assert actor.shop_id is not None
    customer = Customer.objects.create(
        shop_id=actor.shop_id,
        name=_name(name),
        hand=Hand(hand),
        birth_year=_birth_year(birth_year),
        email=email,
        notes=notes,
        units=units,
    )
    # No names: the trail is never changed, and a person can be erased.
    record(actor.shop_id, actor, "customer.add", f"customer:{customer.pk}", of_customer=customer.pk)
    return customer


@action("fit")
def edit_customer(
    actor: User,
    customer_id: int,
    *,
    name: str,
    hand: str,
    birth_year: int | None,
    email: str,
    notes: str,
    units: dict[str, str] | None = None,
) -> Customer:
    customer = Customer.objects.select_for_update().one(actor.shop_id or 0, customer_id)
    if customer.erased_at is not None:
        raise Refused(say("act-customer-erased-only-figures"), kind="erased")
    if customer.try_out:
        raise Refused(say("act-try-out-nobody-thrown"), kind="try_out")
    wanted = {
        "name": _name(name), "hand": Hand(hand), "birth_year": _birth_year(birth_year), "email": email, "notes": notes,
        "units": units,
    }  # fmt: skip
    changed = [field for field, value in wanted.items() if getattr(customer, field) != value]
    for field in changed:
        setattr(customer, field, wanted[field])
    customer.save(update_fields=changed)
    record(customer.shop_id, actor, "customer.edit", f"customer:{customer.pk}", of_customer=customer.pk, fields=changed)
    return customer


def check_pretended(customer: Customer) -> None:
    """Refused where the stand-in would hit among a real player's shots."""
    if not (customer.try_out or customer.shop.demo):
        raise Refused(
            say("act-stand-hits-try-out"),
            kind="not_try_out",
        )
