"""`manage.py backup FILE`, `--daily FOLDER --keep N`: see shop.backups."""

from __future__ import annotations

from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.utils import timezone

from shop.backups import Unusable, make


class Command(BaseCommand):
    help = "Write everything to a file, as it is at one moment."
    requires_system_checks = []

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("file", type=Path, help="where to, or the folder with --keep")
        parser.add_argument("--keep", type=int, help="name it by the time and keep so many in the folder")

    def handle(self, *_args: Any, **options: Any) -> None:
        target: Path = options["file"]
        if options["keep"]:
            target.mkdir(parents=True, exist_ok=True, mode=0o700)
            target = target / f"{timezone.now():%Y-%m-%d-%H%M%S}.hemicycle"
        try:
            manifest = make(target)
        except Unusable as error:
            raise CommandError(str(error)) from error
        if options["keep"]:
            for old in sorted(target.parent.glob("*.hemicycle"))[: -options["keep"]]:
                old.unlink()
            for left in [*target.parent.glob(".*.dump"), *target.parent.glob(".*.part")]:
                left.unlink()  # of one that was killed
        rows = sum(table["rows"] for table in manifest["tables"].values())
        self.stdout.write(f"{target}: {rows:,} rows, {target.stat().st_size / 1e6:.1f} MB.")
