"""`manage.py password NAME`: for whoever owns the machine, when a password is lost."""

from __future__ import annotations

import secrets
from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.db import transaction

from shop.audit import record
from shop.models import User


class Command(BaseCommand):
    help = "Give someone a new password and print it once; every sign-in of theirs ends."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("name", help="the name they sign in with")

    def handle(self, *_args: Any, **options: Any) -> None:
        user = User.objects.filter(username=options["name"]).first()
        if user is None:
            names = ", ".join(User.objects.order_by("username").values_list("username", flat=True))
            raise CommandError(f"Nobody signs in as “{options['name']}”. Known: {names or 'nobody'}.")
        password = secrets.token_urlsafe(9)
        user.set_password(password)
        with transaction.atomic():
            user.save(update_fields=["password"])
            if user.shop_id:
                record(user.shop_id, None, "person.reset", f"person:{user.pk}")
        self.stdout.write(password)
