"""The people of a shop: the owner adds, disables and resets; everyone has a password and keys of their own."""

from __future__ import annotations

import secrets
from collections.abc import Mapping
from typing import Any

from common.notices import tell_sign_ins
from common.policy import Role
from common.problems import Refused
from common.scoped import check_fits
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.http import Http404
from hemicycle_core.errors import BadInput
from hemicycle_core.said import say
from hemicycle_core.said.reader import ClubLength, Far, High, Speed, Warmth

from .audit import action, record
from .models import Shop, User

MOST_IDLE = 14 * 24 * 60
MOST_YEARS = 50
MOST_KEYS = 80


def person_of(shop_id: int | None, user_id: int) -> User:
    """A person of a shop, locked; one of another shop looks like none."""
    found = User.objects.select_for_update().filter(shop=shop_id, pk=user_id).first()
    if found is None:
        raise Http404
    return found


def name_person(user: User, name: str, *, field: str = "name") -> None:
    first, _, last = " ".join(name.split()).partition(" ")
    if not first:
        raise BadInput(say("act-give-person-name"), field=field)
    user.first_name, user.last_name = first, last


def check_username(text: str) -> str:
    """A name to sign in with that nobody has yet."""
    username = text.strip().lower()
    if not username or not username.isprintable() or " " in username:
        raise BadInput(say("act-name-sign-one-word"), field="username")
    if User.objects.filter(username=username).exists():
        raise BadInput(say("act-taken-choose-another-name", username=username), field="username")
    return username


@action("own")
def add_person(actor: User, *, username: str, name: str, role: Role) -> tuple[User, str]:
    """Someone new, with a first password that is shown once."""
    user = User(username=check_username(username), shop=actor.shop, role=role.value)
    name_person(user, name)
    password = _new_password(user)
    record(user.shop_id or 0, actor, "person.add", f"person:{user.pk}", role=role.value)
    return user, password


def _new_password(user: User) -> str:
    password = secrets.token_urlsafe(9)
    user.set_password(password)
    check_fits(user)
    user.save()
    return password


@action("own")
def change_person(actor: User, user_id: int, *, name: str, role: Role, active: bool) -> User:
    """Name, role, and whether they may sign in. A shop keeps an owner."""
    user = person_of(actor.shop_id, user_id)
    stays_owner = active and role is Role.OWNER
    others = User.objects.filter(shop=actor.shop_id, role=Role.OWNER.value, is_active=True).exclude(pk=user.pk)
    if user.role == Role.OWNER and not stays_owner and not others.exists():
        raise Refused(say("act-shop-needs-owner-make"), kind="last_owner")
    name_person(user, name)
    user.role, user.is_active = role.value, active
    if not active:
        user.sign_ins_from += 1
    check_fits(user)
    user.save(update_fields=["first_name", "last_name", "role", "is_active", "sign_ins_from"])
    record(user.shop_id or 0, actor, "person.change", f"person:{user.pk}", role=role.value, active=active)
    tell_sign_ins(user.pk)
    return user


@action("own")
def reset_password(actor: User, user_id: int) -> tuple[User, str]:
    """A new password, shown once; every sign-in of theirs ends."""
    user = person_of(actor.shop_id, user_id)
    password = _new_password(user)
    record(user.shop_id or 0, actor, "person.reset", f"person:{user.pk}")
    tell_sign_ins(user.pk)
    return user, password


@action("assist")
def change_password(actor: User, *, old: str, new: str) -> User:
    """One's own password; every other sign-in ends."""
    user = person_of(actor.shop_id, actor.pk)
    if not user.check_password(old):
        raise BadInput(say("act-not-your-password"), field="old")
    if len(new) > 256:
        raise BadInput(say("act-characters-most-2"), field="new")
    try:
        validate_password(new, user)
    except ValidationError as error:
        raise BadInput(" ".join(error.messages), field="new") from error
    user.set_password(new)
    user.save(update_fields=["password"])
    record(user.shop_id or 0, actor, "me.password", f"person:{user.pk}")
    tell_sign_ins(user.pk)
    return user


@action("assist")
def set_keys(actor: User, *, off: bool, changed: Mapping[str, str]) -> User:
    """One's own shortcuts. changed: by command, the key that does it; empty for none."""
    if len(changed) > MOST_KEYS or any(len(name) > 40 or len(key) > 12 for name, key in changed.items()):
        raise BadInput(say("act-those-no-shortcuts"), field="changed")
    taken = [key for key in changed.values() if key]
    if len(set(taken)) < len(taken):
        raise BadInput(say("act-one-key-does-one"), field="changed")
    user = person_of(actor.shop_id, actor.pk)
    user.keys = {"off": off, "changed": dict(changed)}
    check_fits(user, ["keys"])
    user.save(update_fields=["keys"])
    record(user.shop_id or 0, actor, "me.keys", f"person:{user.pk}")
    return user


@action("assist")
def set_units(actor: User, *, far: Far, high: High, speed: Speed, warmth: Warmth, club_length: ClubLength) -> User:
    """What one reads quantities in; what is kept of anything is the same."""
    user = person_of(actor.shop_id, actor.pk)
    chosen = {"far": far, "high": high, "speed": speed, "warmth": warmth, "club_length": club_length}
    user.units = {kind: unit.value for kind, unit in chosen.items()}
    check_fits(user, ["units"])
    user.save(update_fields=["units"])
    record(user.shop_id or 0, actor, "me.units", f"person:{user.pk}")
    return user


@action("own")
def set_rules(actor: User, *, idle_minutes: int, keep_years: int) -> Shop:
    """How long a sign-in lasts unused, and how long customers are kept that are not seen any more; 0: for ever."""
    if not (idle_minutes == 0 or 5 <= idle_minutes <= MOST_IDLE):
        raise BadInput(say("act-sign-ends-after-minutes"), field="idle_minutes")
    if not 0 <= keep_years <= MOST_YEARS:
        raise BadInput(say("act-customers-kept-years-ever", most_years=MOST_YEARS), field="keep_years")
    shop = Shop.objects.select_for_update().get(pk=actor.shop_id or 0)
    before: dict[str, Any] = {"idle_minutes": shop.idle_minutes, "keep_years": shop.keep_years}
    shop.idle_minutes, shop.keep_years = idle_minutes, keep_years
    shop.save(update_fields=["idle_minutes", "keep_years"])
    record(shop.pk, actor, "shop.rules", f"shop:{shop.pk}", before=before, idle=idle_minutes, years=keep_years)
    return shop
