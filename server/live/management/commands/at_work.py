"""Bays at work, for a shop that is put under load (`./hemicycle speed --bays N`)."""

from __future__ import annotations

import argparse
import json
from typing import Any

from demo.scaled import APART, copy_visits
from django.core.management.base import BaseCommand
from django.db import transaction
from django.db.models import Count
from fitting.actions.bays import take_bay
from fitting.models import FittingSession
from hemicycle_core.bag import BagEnd
from shop.models import Bay

from ...actions import make_key


class Command(BaseCommand):
    help = "Make bays of a demo that is thrown away, each with an open session, and say how to send shots."

    def add_arguments(self, parser: argparse.ArgumentParser) -> None:
        parser.add_argument("bays", type=int)

    def handle(self, *_: Any, bays: int, **__: Any) -> None:
        self.stdout.write(json.dumps(at_work_in(bays)))


def at_work_in(bays: int) -> list[dict[str, Any]]:
    """So many bays, each with a copy of the demo's open session of the most shots. Of each its number, its
    session's and a key to send shots with."""
    copy_visits((bays + 1) * FittingSession.objects.count())
    open_ones = FittingSession.objects.filter(agreed_at=None, pk__lt=APART).exclude(end=BagEnd.SHORT)
    first = open_ones.annotate(many=Count("shots")).order_by("-many", "pk")[0]
    made = []
    for number in range(1, bays + 1):
        bay = Bay.objects.get(pk=first.bay_id)
        bay.pk, bay.name = None, f"At work {number}"
        bay.save()
        session = FittingSession.objects.get(pk=first.pk + number * APART)
        session.bay = bay
        with transaction.atomic():
            session.save()
            take_bay(session)
        made.append({"bay": bay.pk, "session": session.pk, "key": make_key(bay, label="load", hours=2)})
    return made
