"""`manage.py feed_key BAY`: a new key for a bay's monitor, printed once."""

from __future__ import annotations

from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser
from shop.models import Bay

from live.actions import YEAR_H, make_key


class Command(BaseCommand):
    help = "Make a key for a bay's monitor. It is shown once; only its digest is kept."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("bay", help="name of the bay")
        parser.add_argument("--shop", default="", help="name of its shop, where two have a bay of that name")
        parser.add_argument("--stand-in", action="store_true", help="for the stand-in monitor")
        parser.add_argument("--hours", type=float, default=YEAR_H, help="how long it lasts; a year when not given")

    def handle(self, *_args: Any, **options: Any) -> None:
        bays = list(Bay.objects.filter(name=options["bay"]).select_related("shop"))
        if options["shop"]:
            bays = [bay for bay in bays if bay.shop.name == options["shop"]]
        if len(bays) > 1:
            shops = " or ".join(f"--shop “{bay.shop.name}”" for bay in bays)
            raise CommandError(f"{len(bays)} shops have a bay called “{options['bay']}”. Say which: {shops}.")
        if not bays:
            there = Bay.objects.select_related("shop").order_by("shop", "name")
            names = ", ".join(f"{bay.name} ({bay.shop.name})" for bay in there) or "none"
            raise CommandError(f"There is no such bay called “{options['bay']}”. Bays: {names}.")
        label = "stand-in" if options["stand_in"] else "monitor"
        self.stdout.write(make_key(bays[0], label=label, stand_in=options["stand_in"], hours=options["hours"]))
