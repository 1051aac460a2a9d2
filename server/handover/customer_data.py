"""A customer's data: everything exported, and two that are one merged."""

from __future__ import annotations

import io
import json
import zipfile
from collections.abc import Collection
from typing import Any

from common.problems import Refused
from customers.models import Customer
from django.template import Context, Engine
from fitting.domain.bundle import present_bundle, written_shots
from fitting.domain.lines import for_lines
from fitting.domain.session import load
from fitting.models import FittingSession
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.csv_out import shots_csv
from hemicycle_core.said import say
from shop.audit import action, record
from shop.models import User


def sessions_of(customer: Customer) -> list[FittingSession]:
    """Every visit of a person, under whatever number it is on record, newest first."""
    rows = FittingSession.objects.of(customer.shop_id).filter(customer__in=customer.family())
    return list(for_lines(rows).order_by("-held_on", "-id"))


@action("fit")
def merge(actor: User, customer_id: int, *, other_id: int) -> Customer:
    """Say that another customer is this one too. Their visits stand together from now on; agreed ones still name the
    customer as it was then. It can be taken back."""
    shop_id = actor.shop_id or 0
    people = Customer.objects.select_for_update()
    kept, other = people.one(shop_id, customer_id), people.one(shop_id, other_id)
    if kept.pk == other.pk:
        raise BadInput(say("act-choose-another-customer-these"), field="other")
    if kept.merged_into_id is not None or other.merged_into_id is not None or kept.erased_at or other.erased_at:
        raise Refused(say("act-one-two-was-merged"), kind="merged")
    if kept.try_out or other.try_out:
        raise Refused(say("act-try-out-nobody-no"), kind="try_out")
    Customer.objects.of(shop_id).filter(merged_into=other).update(merged_into=kept)
    other.merged_into = kept
    other.save(update_fields=["merged_into"])
    record(shop_id, actor, "customer.merge", f"customer:{kept.pk}", of_customer=kept.pk, other=other.pk)
    return kept


@action("fit")
def part(actor: User, customer_id: int) -> Customer:
    """Take a merging back: the customer stands alone again."""
    other = Customer.objects.select_for_update().one(actor.shop_id or 0, customer_id)
    if other.merged_into_id is None:
        raise Refused(say("act-customer-stands-alone-already"), kind="merged")
    kept, other.merged_into = other.merged_into_id, None
    other.save(update_fields=["merged_into"])
    record(other.shop_id, actor, "customer.part", f"customer:{other.pk}", of_customer=kept, other=other.pk)
    return other


@action("fit")
def export(actor: User, customer_id: int) -> bytes:
    """Everything on record of a person, zipped: a page to read, their shots as CSV, each visit as a bundle, and their
    own data."""
    customer = Customer.objects.one(actor.shop_id or 0, customer_id)
    visits = sessions_of(customer)
    ready = [load(visit) for visit in visits]
    record(customer.shop_id, actor, "customer.export", f"customer:{customer.pk}", of_customer=customer.pk)
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as packed:
        packed.writestr("person.json", _json(_person(customer)))
        packed.writestr("shots.csv", shots_csv(shot for each in ready for shot in written_shots(each)))
        for each in ready:
            session = each.rows.session
            packed.writestr(f"{session.held_on}-visit-{session.pk}.json", _json(present_bundle(each)))
        packed.writestr("page.html", _page(customer, visits))
    return out.getvalue()


def _json(data: Any) -> str:
    return json.dumps(data, indent=2, ensure_ascii=False)


def _person(customer: Customer) -> dict[str, Any]:
    return {
        "name": customer.name,
        "hand": customer.hand,
        "birth_year": customer.birth_year,
        "email": customer.email,
        "notes": customer.notes,
        "known_since": customer.created_at.date().isoformat(),
    }


PAGE = """<!doctype html>
<html lang="en"><meta charset="utf-8"><title>{{ person.name }}</title>
<style>body{font:16px/1.5 sans-serif;max-width:44rem;margin:2rem auto;padding:0 1rem}h2{margin-top:2rem}</style>
<h1>{{ person.name }}</h1>
{% if made_up %}<p><b>{{ made_up }}</b></p>{% endif %}
<p>{{ shop }}. Known since {{ person.known_since }}. {{ person.hand|title }}-handed{% if person.birth_year %}, \
born {{ person.birth_year }}{% endif %}{% if person.email %}, {{ person.email }}{% endif %}.</p>
{% if person.notes %}<p>{{ person.notes }}</p>{% endif %}
{% for visit in visits %}<h2>{{ visit.held_on }}</h2>
<p>{{ visit.shots }} shots.{% if visit.notes %} {{ visit.notes }}{% endif %}</p>
{% for edition in visit.editions %}<p><b>{{ edition.name }}.</b> {{ edition.reasons }} \
Agreed {{ edition.agreed_at|date:"j F Y" }} with {{ edition.by }}\
{% if edition.correction %}; a correction: {{ edition.correction }}{% endif %}.</p>\
{% empty %}<p>Nothing was agreed.</p>{% endfor %}{% endfor %}
</html>
"""


def _page(customer: Customer, visits: Collection[FittingSession]) -> str:
    told = [
        {
            "held_on": visit.held_on,
            "shots": visit.shots.count(),
            "notes": visit.brief.notes,
            "editions": [
                {
                    "name": row.picture["choice"]["name"],
                    "reasons": row.reasons,
                    "agreed_at": row.agreed_at,
                    "by": row.agreed_by.get_full_name() or row.agreed_by.username,
                    "correction": row.correction,
                }
                for row in visit.recommendations.select_related("agreed_by").order_by("edition")
            ],
        }
        for visit in visits
    ]
    page = Engine().from_string(PAGE)
    made_up = (
        say("act-demo-all-made-up") if customer.shop.demo else say("act-try-out-nobody") if customer.try_out else ""
    )
    given = {"person": _person(customer), "shop": customer.shop.name, "visits": told, "made_up": made_up}
    return page.render(Context(given))
