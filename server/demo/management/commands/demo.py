"""`manage.py demo`: the made-up shop, when the database is empty or with --fresh."""

from __future__ import annotations

import os
from typing import Any

from django.contrib.auth import get_user_model
from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandParser
from django.db import transaction
from shop.models import Shop


class Command(BaseCommand):
    help = "Load the demo shop when there is no shop yet."
    # The launcher runs this at every start: the checks would import every view, which takes seconds.
    requires_system_checks = []

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("--migrate", action="store_true", help="bring the database up to date first")
        parser.add_argument("--fresh", action="store_true", help="remove everything first")

    def handle(self, *_args: Any, **options: Any) -> None:
        password = os.environ.get("HEMICYCLE_DEMO_PASSWORD", "")
        if options["migrate"]:
            call_command("migrate", interactive=False, verbosity=0, skip_checks=True)
        if options["fresh"]:
            call_command("flush", "--no-input", verbosity=0)
        if not Shop.objects.exists():
            from demo.load import load_demo  # noqa: PLC0415 (the whole core, wanted only once)

            with transaction.atomic():
                load_demo(password)
        elif password:
            self._keep_password(password)

    @staticmethod
    def _keep_password(password: str) -> None:
        """The sign-in that is printed must work, also when the secrets file was made anew."""
        user = get_user_model().objects.filter(username="fitter").first()
        if user is not None and not user.check_password(password):
            user.set_password(password)
            user.save()
