"""`manage.py demo`: the made-up shop, when the database is empty or with --fresh."""

from __future__ import annotations

import json
import os
import time
from pathlib import Path
from typing import Any

from django.contrib.auth import get_user_model
from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.db import ProgrammingError, connection, transaction
from django.db.migrations.executor import MigrationExecutor
from shop.backups import Unusable, make
from shop.models import Shop
from shop.opening import is_own_open

# Who the demo is looked at by: the second where somebody of a shop of one's own has the first.
FITTERS = ("fitter", "demo-fitter")


class Command(BaseCommand):
    help = "Load the demo shop when there is no shop yet."
    # The launcher runs this at every start: the checks would import every view, which takes seconds.
    requires_system_checks = []

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("--migrate", action="store_true", help="bring the database up to date first")
        parser.add_argument("--before", type=Path, help="with --migrate: where what is there is backed up first")
        parser.add_argument("--fresh", action="store_true", help="remove everything first")
        parser.add_argument("--own", action="store_true", help="no demo: a shop of one's own begins empty")
        parser.add_argument("--demo", action="store_true", help="the demo beside a shop of one's own too")

    def handle(self, *_args: Any, **options: Any) -> None:
        password, before = os.environ.get("HEMICYCLE_DEMO_PASSWORD", ""), None
        if options["fresh"]:
            _refuse_to_remove_a_real_shop()
            with connection.cursor() as cursor:  # an empty schema: what was agreed refuses to be removed row by row
                cursor.execute("DROP SCHEMA public CASCADE; CREATE SCHEMA public")
        if options["migrate"]:
            before = keep_before(options["before"]) if options["before"] else None
            call_command("migrate", interactive=False, verbosity=0, skip_checks=True)
            _let_in(os.environ.get("HEMICYCLE_APP_ROLE", ""))
        if options["demo"] or not (options["own"] or Shop.objects.exists()):
            self._load_demo(password)
        # Whether the sign-in that the launcher knows is still the one: a changed password is nobody else's to know.
        user_model = get_user_model()
        user = user_model.objects.filter(shop__demo=True, username__in=FITTERS).first()
        holds = user is not None and user.check_password(password)
        told = {
            "demo": user.get_username() if user is not None and holds else "",
            "own": is_own_open(),
            "known": user_model.objects.exists(),
            **({"before": str(before)} if before else {}),
        }
        self.stdout.write(json.dumps(told))

    def _load_demo(self, password: str) -> None:
        if Shop.objects.filter(demo=True).exists():
            return
        from demo.load import load_demo  # noqa: PLC0415 (the whole core, wanted only once)

        with transaction.atomic():
            load_demo(password)


def keep_before(folder: Path) -> Path | None:
    """A backup of a database of an older version, as its tables cannot be had back once they are brought up to date;
    None where there is nothing yet, or nothing to bring. Refused where none can be made."""
    executor = MigrationExecutor(connection)
    there = any(app == "shop" for app, _ in executor.loader.applied_migrations)
    if not there or not executor.migration_plan(executor.loader.graph.leaf_nodes()):
        return None
    target = folder / f"before-{time.strftime('%Y-%m-%d-%H%M%S')}.hemicycle"
    folder.mkdir(parents=True, exist_ok=True, mode=0o700)
    try:
        make(target)
    except Unusable as error:
        instead = "With --without-backup older tables are brought up to date all the same."
        raise CommandError(f"{error} {instead}") from error
    return target


def _refuse_to_remove_a_real_shop() -> None:
    """A new demo takes the place of the old one, not of somebody's work."""
    if "shop_shop" not in connection.introspection.table_names():
        return
    try:
        own = Shop.objects.filter(demo=False).first()
    except ProgrammingError:  # from before there could be any
        return
    if own is not None:
        raise CommandError(
            f"{own.name} is kept here, not only the demo: --fresh would remove it. HEMICYCLE_HOME names another folder "
            "for a new demo."
        )


def _let_in(role: str) -> None:
    """What the server's own role may do: everything with rows, nothing with tables, and to the trail only add."""
    if not role:
        return
    with connection.cursor() as cursor:
        name = connection.ops.quote_name(role)
        cursor.execute(
            f"GRANT USAGE ON SCHEMA public TO {name};"
            f"GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO {name};"
            f"GRANT USAGE ON ALL SEQUENCES IN SCHEMA public TO {name};"
            f"REVOKE UPDATE, DELETE ON shop_auditentry FROM {name};"
            f"GRANT UPDATE (detail) ON shop_auditentry TO {name};"  # of those who are erased, as a trigger sees to
            f"REVOKE DELETE ON fitting_agreedanswers, handover_recommendation FROM {name}"
        )
