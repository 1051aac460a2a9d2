"""`manage.py backup FILE`, `--daily FOLDER --keep N`: see shop.backups."""

from __future__ import annotations

from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.utils import timezone

from shop.backups import Unreadable, Unusable, make

UNREADABLE = 4  # how it ends when what is there cannot be read
BEFORE, BEFORE_KEPT = "before-", 5  # of what a restore or a new demo took the place of


def _prune(folder: Path, keep: int) -> None:
    """The oldest go, by when they were made, those of each kind by themselves; what has another name is not ours."""
    for pattern, count in (("[0-9]*.hemicycle", keep), (f"{BEFORE}*.hemicycle", BEFORE_KEPT)):
        for old in sorted(folder.glob(pattern), key=lambda path: path.stat().st_mtime)[:-count]:
            old.unlink()
    for left in [*folder.glob(".*.dump"), *folder.glob(".*.part")]:
        left.unlink()  # of one that was killed


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
        except Unreadable as error:
            raise CommandError(str(error), returncode=UNREADABLE) from error
        except Unusable as error:
            raise CommandError(str(error)) from error
        if options["keep"]:
            _prune(target.parent, options["keep"])
        rows = sum(table["rows"] for table in manifest["tables"].values())
        self.stdout.write(f"{target}: {rows:,} rows, {target.stat().st_size / 1e6:.1f} MB.")
