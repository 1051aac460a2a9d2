"""A person taken out of the record, for good, by the list of what is kept (`kept`)."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import fields, is_dataclass
from datetime import date
from functools import cache
from types import NoneType, UnionType
from typing import Any, Union, get_args, get_origin, get_type_hints

from common.problems import Refused
from customers.erased import write_down
from customers.models import Customer
from django.apps import apps
from django.db import connection, models, transaction
from django.db.models import F, Q
from django.utils import timezone
from fitting.actions.bays import leave_bay
from fitting.actions.changes import announce, next_revision
from fitting.api.schemas.answers import KEPT as ANSWERS
from fitting.models import AgreedAnswers, FittingSession, PlayerScreen
from hemicycle_core.said import Said, say
from shop.audit import action, record
from shop.models import AuditEntry, Shop, User

from .kept import ALSO, ERASED, ERASED_WORDS, NAMES, TABLES, TRAIL, WORDS
from .models import Recommendation
from .schemas import BagSide, ChosenOut

__all__ = ["ERASED", "ERASED_WORDS", "erase", "erase_again", "erase_unseen", "throw_away", "without_person"]

PICTURE = {"choice": ChosenOut, "before": BagSide}


@action("own")
def erase(actor: User, customer_id: int) -> Customer:
    """Take a person out of the record, for good: name, e-mail, year of birth, notes, files as they came, codes that
    open a page, and every word that may name them. Visits stay as figures without a person, agreed ones as well, say
    so, and are closed. Asked again, it takes out what has come to be counted as the person's since."""
    return _erase(Customer.objects.select_for_update().one(actor.shop_id or 0, customer_id), actor)


@action("fit")
def throw_away(actor: User, customer_id: int) -> Customer:
    """Take a try-out out of the record, with its visits off the desk: nobody is lost by it."""
    customer = Customer.objects.select_for_update().one(actor.shop_id or 0, customer_id)
    if not customer.try_out:
        raise Refused(say("act-no-try-out-customer"), kind="not_try_out")
    return _erase(customer, actor)


def erase_again(uids: set[str]) -> int:
    """Erase whoever is listed as erased and stands in the record again, as after a backup from before; how many that
    were."""
    found = 0
    for customer in Customer.objects.filter(uid__in=uids, erased_at=None):
        with transaction.atomic():
            _erase(Customer.objects.select_for_update().get(pk=customer.pk), None)
        found += 1
    return found


def erase_unseen(shop: Shop, today: date) -> int:
    """Erase the customers of a shop that were not seen for as long as it keeps them; how many that was."""
    if not shop.keep_years:
        return 0
    until = today.replace(year=today.year - shop.keep_years, day=min(today.day, 28))
    people = Customer.objects.of(shop).filter(erased_at=None, merged_into=None, created_at__date__lt=until)
    visits = FittingSession.objects.of(shop)
    unseen = [each for each in people if not visits.filter(customer__in=each.family(), held_on__gte=until).exists()]
    for customer in unseen:
        _erase(customer, None)
    return len(unseen)


def _erase(customer: Customer, actor: User | None) -> Customer:
    shop_id, family = customer.shop_id, customer.family()
    # Whoever changes a visit holds it: what they write is there before this, or refused after.
    visits = list(FittingSession.objects.of(shop_id).filter(customer__in=family).select_for_update(of=("self",)))
    now = timezone.now()
    Customer.objects.of(shop_id).filter(pk__in=family, erased_at=None).update(erased_at=now)
    with _erasing():
        for visit in visits:
            leave_bay(visit)
        ids = [visit.pk for visit in visits]
        for label, kept in TABLES.items():
            if kept.personal:
                _blank(apps.get_model(label), kept.personal, _whose(label, kept.session, family, ids))
        PlayerScreen.objects.filter(session__in=ids, revoked_at=None).update(revoked_at=now)
        for answers in AgreedAnswers.objects.filter(session__in=ids):
            answers.answers = {part: without_person(part, answer) for part, answer in answers.answers.items()}
            answers.save(update_fields=["answers"])
        for row in Recommendation.objects.filter(session__in=ids):
            row.picture = _blanked_parts(PICTURE, row.picture)
            row.save(update_fields=["picture"])
        for entry in AuditEntry.objects.filter(Q(of_customer__in=family) | Q(of_session__in=ids)).exclude(detail={}):
            entry.detail = _of_trail(entry.detail)
            entry.save(update_fields=["detail"])
        Shop.objects.filter(pk=shop_id).update(revision=F("revision") + 1)
        for visit in visits:
            announce(next_revision(visit), "erased")
    record(shop_id, actor, "customer.erase", f"customer:{customer.pk}", of_customer=customer.pk)
    uids = {str(uid) for uid in Customer.objects.filter(pk__in=family).values_list("uid", flat=True)}
    transaction.on_commit(lambda: write_down(uids))
    customer.refresh_from_db()
    return customer


@contextmanager
def _erasing() -> Iterator[None]:
    """PostgreSQL lets what was agreed be changed, of those who are erased, and nothing of anybody else."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT set_config('hemicycle.erasing', 'on', true)")
        yield
        cursor.execute("SELECT set_config('hemicycle.erasing', '', true)")


def _whose(label: str, session: str | None, family: list[int], visits: list[int]) -> Q:
    if label == "customers.Customer":
        return Q(pk__in=family)
    return Q(**{f"{session}__in" if session else "pk__in": visits})


def _blank(model: type[models.Model], personal: Any, whose: Q) -> None:
    """Only rows that have something to blank, so that a second time changes nothing."""
    model._base_manager.filter(whose).update(**personal)


def without_person(part: str, answer: Any) -> Any:
    """One answer of a session that was agreed, as it stays when the person is erased: every word goes but those that
    are listed as figures or the shop's own, and what no program of today knows goes too."""
    return _blanked(ANSWERS[part.partition("/")[0]], answer)


def _blanked_parts(parts: dict[str, Any], document: dict[str, Any]) -> dict[str, Any]:
    return {key: _blanked(parts.get(key, str), value) for key, value in document.items()}


@cache
def _hints(kind: type) -> dict[str, Any]:
    hints = get_type_hints(kind)
    return {each.name: hints[each.name] for each in fields(kind)}


@cache
def _stays(name: str) -> frozenset[str]:
    words = WORDS.get(name)
    return frozenset() if words is None else frozenset(f"{words.figures} {words.shops}".split())


def _blanked(hint: Any, value: Any, *, stays: bool = False) -> Any:
    """A value of a type with its words taken out, or left where they stay; figures and words of a closed list stay."""
    origin, args = get_origin(hint), get_args(hint)
    if origin in (Union, UnionType):
        hint = next((each for each in args if each is not NoneType), str)
        return None if value is None else _blanked(hint, value, stays=stays)
    if hint is Said:
        return value if stays else ""
    if isinstance(value, str):
        return value if stays or (hint is not str and hint is not Any) else ""
    if isinstance(value, list):
        kept = [_blanked(args[0] if args else str, each, stays=stays) for each in value]
        return kept if stays or (args and args[0] not in (str, Said)) else [each for each in kept if each != ""]
    if isinstance(value, dict) and is_dataclass(hint):
        known = _hints(hint)  # type: ignore[arg-type]
        return {key: _field(hint.__name__, key, known.get(key, str), each) for key, each in value.items()}  # type: ignore[union-attr]
    if isinstance(value, dict):
        return {key: _blanked(args[1] if args else str, each, stays=stays) for key, each in value.items()}
    return value


def _field(owner: str, name: str, hint: Any, value: Any) -> Any:
    if (owner, name) in ALSO:
        return ALSO[owner, name]
    if (owner, name) in NAMES:
        return NAMES[owner, name]
    if (owner, name) == ("BriefOut", "maker_likes"):
        return {}
    return _blanked(hint, value, stays=name in _stays(owner))


_CODE = 24  # words of ours are short; a name that was written where a letter belongs is not


def _of_trail(detail: dict[str, Any]) -> dict[str, Any]:
    """What stays of an entry of the trail."""
    stays = set(f"{TRAIL.figures} {TRAIL.shops}".split())
    kept = {key: value for key, value in detail.items() if key in stays}
    if len(str(kept.get("letter", ""))) > 2:
        del kept["letter"]
    return kept
