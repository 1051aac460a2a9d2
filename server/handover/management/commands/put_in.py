"""`manage.py put_in FILE`, within a restore: the tables of a new database by the migrations a backup stands on, its
rows, the migrations since, and erased again whoever was. Who that is is told on standard input."""

from __future__ import annotations

import sys
from pathlib import Path
from typing import Any

from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.db import connection
from django.db.migrations.executor import MigrationExecutor
from django.db.migrations.loader import MigrationLoader
from shop.backups import BackupKept, Unusable, opened, put_in

from handover.erasing import erase_again


class Command(BaseCommand):
    help = "Within a restore: rows of a backup into a database that is new."
    requires_system_checks = []

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("file", type=Path)

    def handle(self, *_args: Any, **options: Any) -> None:
        gone = set(sys.stdin.read().split())
        try:
            with opened(options["file"], trusted=True) as kept:
                _tables_for(kept)
                connection.close()
                put_in(kept)
        except Unusable as error:
            raise CommandError(str(error)) from error
        call_command("migrate", interactive=False, verbosity=0, skip_checks=True)
        erase_again(gone)


def _tables_for(kept: BackupKept) -> None:
    """Up to the migrations that the rows were written under. From before several became one, step by step."""
    stood = {(app, name) for app, _, name in (each.partition(".") for each in kept.manifest["migrations"])}
    executor = MigrationExecutor(connection)
    one = {each: migration.replaces for each, migration in executor.loader.disk_migrations.items()}
    if all(set(replaced) <= stood for replaced in one.values()):
        wanted = {each for each in executor.loader.graph.nodes if each in stood or one[each]}
    else:
        executor.loader = MigrationLoader(connection, replace_migrations=False)
        wanted = {each for each in stood if not one[each]}
    graph = executor.loader.graph
    last = [each for each in wanted if not any(child.key in wanted for child in graph.node_map[each].children)]
    executor.migrate(sorted(last))
