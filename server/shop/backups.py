"""Backups: everything of the database as it was at one moment, checked by sums, and put back only where it fits.

A file `*.hemicycle` is a zip of `database.dump` (pg_dump's custom format) and `manifest.json`: the format, when it was
made, the migrations it stands on, the sum of the dump, and of every table how many rows it has and their sum.
"""

from __future__ import annotations

import hashlib
import json
import os
import secrets
import subprocess
import zipfile
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any

import psycopg
from django.db import connection
from django.db.migrations.loader import MigrationLoader
from django.utils import timezone
from psycopg import sql

FORMAT, VERSION = "hemicycle-backup", 1
DUMP, MANIFEST = "database.dump", "manifest.json"


class Unusable(Exception):
    """A backup that is not made or not put back; the message says why and what to do."""


def _params(**more: Any) -> dict[str, Any]:
    given = connection.settings_dict
    known = {"host": given["HOST"], "port": given["PORT"], "user": given["USER"], "dbname": given["NAME"]}
    return {**known, "password": given["PASSWORD"], **more}


def _run(program: str, *words: str, database: str) -> None:
    """One of PostgreSQL's own programs, with the password where no list of processes shows it."""
    given = _params()
    env = {
        **{name: os.environ[name] for name in ("PATH", "HOME", "LANG") if name in os.environ},
        "PGHOST": str(given["host"]), "PGPORT": str(given["port"]), "PGUSER": given["user"],
        "PGPASSWORD": given["password"], "PGDATABASE": database,
    }  # fmt: skip
    folder = os.environ.get("HEMICYCLE_PG_BIN", "")
    done = subprocess.run([str(Path(folder) / program), *words], env=env, capture_output=True, text=True, check=False)
    if done.returncode:
        raise Unusable(f"{program} failed: {(done.stderr.strip().splitlines() or ['without a word'])[-1]}")


def tables_of(database: psycopg.Connection[Any]) -> dict[str, dict[str, Any]]:
    """Of every table how many rows it has and one sum over all of them, whatever their order."""
    names = database.execute(
        "SELECT tablename FROM pg_tables WHERE schemaname = 'public' ORDER BY tablename"
    ).fetchall()
    found = {}
    for (name,) in names:
        counted = sql.SQL(
            "SELECT count(*), md5(coalesce(string_agg(md5(t::text), '' ORDER BY md5(t::text)), '')) FROM {} t"
        )
        rows, total = database.execute(counted.format(sql.Identifier(name))).fetchone() or (0, "")
        found[name] = {"rows": rows, "sum": total}
    return found


def _sum(path: Path) -> str:
    with path.open("rb") as file:
        return hashlib.file_digest(file, "sha256").hexdigest()


def make(target: Path) -> dict[str, Any]:
    """Write everything to a file, as it is at one moment, while the shop goes on. Returns its manifest."""
    if target.exists():
        raise Unusable(f"{target} is there already. Give the backup another name.")
    dump = target.with_name(f".{target.name}.{secrets.token_hex(4)}.dump")
    whole = dump.with_suffix(".part")
    try:
        os.close(os.open(dump, os.O_CREAT | os.O_EXCL | os.O_WRONLY, 0o600))
        with psycopg.connect(**_params()) as database:
            database.isolation_level = psycopg.IsolationLevel.REPEATABLE_READ
            database.read_only = True
            snapshot = (database.execute("SELECT pg_export_snapshot()").fetchone() or ("",))[0]
            name = str(_params()["dbname"])
            _run(
                "pg_dump", "--format=custom", "--no-owner", "--no-privileges", f"--snapshot={snapshot}",
                f"--file={dump}", database=name,
            )  # fmt: skip
            migrations = database.execute("SELECT app, name FROM django_migrations ORDER BY id").fetchall()
            manifest = {
                "format": FORMAT,
                "version": VERSION,
                "made_at": timezone.now().isoformat(),
                "sum": _sum(dump),
                "migrations": [f"{app}.{name}" for app, name in migrations],
                "tables": tables_of(database),
            }
        os.close(os.open(whole, os.O_CREAT | os.O_EXCL | os.O_WRONLY, 0o600))
        with zipfile.ZipFile(whole, "w", zipfile.ZIP_STORED) as packed:
            packed.write(dump, DUMP)
            packed.writestr(MANIFEST, json.dumps(manifest, indent=1))
        with whole.open("rb") as file:
            os.fsync(file.fileno())
        whole.rename(target)
    except OSError as error:
        raise Unusable(f"{target} cannot be written: {error.strerror}.") from error
    finally:
        dump.unlink(missing_ok=True)
        whole.unlink(missing_ok=True)
    return manifest


@contextmanager
def _opened(source: Path, beside: Path) -> Iterator[tuple[dict[str, Any], Path]]:
    """The manifest of a backup and its dump in a file beside it, when both are whole."""
    damaged = f"{source} is damaged: it is not the file that was written. Take another backup."
    dump = beside / f".{secrets.token_hex(8)}.dump"
    try:
        with zipfile.ZipFile(source) as packed, packed.open(DUMP) as inside, dump.open("xb") as out:
            manifest = json.loads(packed.read(MANIFEST))
            while block := inside.read(1 << 20):
                out.write(block)
        if manifest.get("format") != FORMAT or manifest.get("version") != VERSION:
            raise Unusable(f"{source} is no backup of this version of Hemicycle.")
        if _sum(dump) != manifest["sum"]:
            raise Unusable(damaged)
        yield manifest, dump
    except FileNotFoundError as error:
        raise Unusable(f"{source} is not there.") from error
    except (zipfile.BadZipFile, KeyError, ValueError, EOFError) as error:
        raise Unusable(damaged) from error
    finally:
        dump.unlink(missing_ok=True)


def _known_here() -> set[str]:
    return {f"{app}.{name}" for app, name in MigrationLoader(None).disk_migrations}


def restore(source: Path) -> dict[str, Any]:
    """Put a backup in the place of everything that is there. It is made ready beside it and held against its sums
    first; until then nothing is touched. Returns its manifest."""
    with _opened(source, Path(os.environ.get("TMPDIR", "/tmp"))) as (manifest, dump):
        unknown = sorted(set(manifest["migrations"]) - _known_here())
        if unknown:
            raise Unusable(
                f"{source} was made by a newer Hemicycle ({unknown[0]} is not known here). Bring this one up to date."
            )
        name = str(_params()["dbname"])
        beside = f"{name}_restoring_{secrets.token_hex(4)}"
        with psycopg.connect(**_params(dbname="postgres"), autocommit=True) as server:
            server.execute(sql.SQL("CREATE DATABASE {} TEMPLATE template0").format(sql.Identifier(beside)))
            try:
                _run("pg_restore", "--exit-on-error", "--no-owner", "--no-privileges", f"--dbname={beside}", str(dump),
                     database=beside)  # fmt: skip
                with psycopg.connect(**_params(dbname=beside)) as database:
                    if tables_of(database) != manifest["tables"]:
                        raise Unusable(f"{source} did not come back as it was written. Nothing was changed.")
                _swap(server, name, beside)
            finally:
                server.execute(sql.SQL("DROP DATABASE IF EXISTS {} WITH (FORCE)").format(sql.Identifier(beside)))
    return manifest


def _swap(server: psycopg.Connection[Any], name: str, beside: str) -> None:
    """The restored database takes the place and the name of the one that was there, which is dropped."""
    connection.close()
    connection.close_pool()  # type: ignore[attr-defined]
    old = f"{beside}_old"
    rename = sql.SQL("ALTER DATABASE {} RENAME TO {}")
    others = "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = %s AND pid <> pg_backend_pid()"
    server.execute(others, [name])
    server.execute(rename.format(sql.Identifier(name), sql.Identifier(old)))
    server.execute(rename.format(sql.Identifier(beside), sql.Identifier(name)))
    server.execute(sql.SQL("DROP DATABASE {} WITH (FORCE)").format(sql.Identifier(old)))
