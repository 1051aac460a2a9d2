"""`manage.py restore FILE [--trust]`: see shop.backups."""

from __future__ import annotations

from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser

from shop.backups import Foreign, Unusable, restore

ASKS = 3  # how it ends when whoever restores must say that the file is trusted


class Command(BaseCommand):
    help = "Put a backup in the place of everything that is there."
    requires_system_checks = []

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("file", type=Path)
        parser.add_argument("--trust", action="store_true", help="also one that this shop did not sign")

    def handle(self, *_args: Any, **options: Any) -> None:
        try:
            manifest = restore(options["file"], trusted=options["trust"])
        except Foreign as error:
            raise CommandError(str(error), returncode=ASKS) from error
        except Unusable as error:
            raise CommandError(str(error)) from error
        rows = sum(table["rows"] for table in manifest["tables"].values())
        self.stdout.write(f"Put back as it was on {manifest['made_at'][:16]}: {rows:,} rows, every sum as written.")
