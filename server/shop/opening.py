"""Opening a shop of one's own: beside the demo or in its place, once an installation."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from common.policy import Role, may
from common.problems import NotAllowed, Refused
from common.scoped import check_fits
from django.conf import settings
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.db import connection, transaction
from django.utils.crypto import constant_time_compare
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.said import say

from .audit import record
from .models import Bay, Shop, ShotsBy, User
from .people import check_username, name_person
from .settings_of_shop import MOST_BAY, MOST_BAYS, MOST_SHOP, called, check_currency

ONE_AT_A_TIME = 30_113  # of PostgreSQL's advisory locks


@dataclass(frozen=True)
class FirstBay:
    """A bay as it is first asked for. models_flight: its monitor sees impact only."""

    name: str
    indoor: bool = True
    models_flight: bool = False
    shots_by: ShotsBy = ShotsBy.FEED


@dataclass(frozen=True, kw_only=True)
class Opening:
    """Everything a shop begins with; all of it is changed later on its Shop page."""

    name: str
    owner: str
    username: str
    password: str
    bays: list[FirstBay]
    city: str = ""
    currency: str = "GBP"
    ground: Firmness = Firmness.MEDIUM


def is_own_open() -> bool:
    """Whether this installation has a shop that is not the demo."""
    return Shop.objects.filter(demo=False).exists()


def may_open(user: Any, code: str) -> bool:
    """Whether someone may open the shop: whoever looks at the demo, or holds the code that the start command shows."""
    if may(user, "fit") and user.shop.demo:
        return True
    return bool(settings.OPENING) and constant_time_compare(code, settings.OPENING)


def _owner(shop: Shop, wanted: Opening) -> User:
    user = User(username=check_username(wanted.username), shop=shop, role=Role.OWNER.value)
    name_person(user, wanted.owner, field="owner")
    if len(wanted.password) > 256:
        raise BadInput(say("act-characters-most-2"), field="password")
    try:
        validate_password(wanted.password, user)
    except ValidationError as error:
        raise BadInput(" ".join(error.messages), field="password") from error
    user.set_password(wanted.password)
    check_fits(user)
    user.save()
    return user


def _bays(shop: Shop, wanted: Sequence[FirstBay]) -> None:
    if not 1 <= len(wanted) <= MOST_BAYS:
        raise BadInput(say("act-shop-has-open-bays", most_bays=MOST_BAYS), field="bays")
    names = [called(bay.name, "bay", MOST_BAY, field="bays") for bay in wanted]
    if len({name.casefold() for name in names}) < len(names):
        raise BadInput(say("act-two-bays-called-same"), field="bays")
    for name, bay in zip(names, wanted, strict=True):
        Bay.objects.create(
            shop=shop, name=name, models_flight=bay.models_flight, shots_by=bay.shots_by, **Bay.place(bay.indoor)
        )


@transaction.atomic
def open_shop(user: Any, code: str, wanted: Opening) -> User:
    """The shop with its owner and bays, all or nothing; its owner. Refused where one is open already."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_advisory_xact_lock(%s)", [ONE_AT_A_TIME])
    if is_own_open():
        raise Refused(say("act-shop-installation-open-already"), kind="open_already")
    if not may_open(user, code):
        raise NotAllowed(say("act-code-not-right-start"))
    shop = Shop.objects.create(
        name=called(wanted.name, "shop", MOST_SHOP),
        city=" ".join(wanted.city.split())[:MOST_SHOP],
        currency=check_currency(wanted.currency),
        ground=wanted.ground.value,
    )
    owner = _owner(shop, wanted)
    _bays(shop, wanted.bays)
    record(shop.pk, owner, "shop.open", f"shop:{shop.pk}", bays=len(wanted.bays))
    return owner
