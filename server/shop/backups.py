"""Backups: every row as it was at one moment, checked by sums, and put back only where it fits.

A file `*.hemicycle` is a zip of `rows/TABLE.copy`, PostgreSQL's own text format, and `manifest.json`: the format, when
it was made, the migrations it stands on, of every table its columns, how many rows it has and their sum, where its
numbers stand, who was erased, and a signature with the shop's key. Sign-ins are not in it. A file of version 1 holds
`database.dump` instead, pg_dump's custom format, and no signature; its rows are read and nothing else of it.

Nothing of a file is run: our own migrations make the tables up to those that it stands on, the rows are put in by a
role that may do nothing else, and our migrations go on from there.
"""

from __future__ import annotations

import hashlib
import hmac
import json
import os
import re
import secrets
import subprocess
import sys
import zipfile
from collections.abc import Iterator, Mapping, Sequence
from contextlib import contextmanager, suppress
from dataclasses import dataclass
from pathlib import Path
from typing import IO, Any
from urllib.parse import quote

import psycopg
from django.conf import settings
from django.db import connection
from django.db.migrations.loader import MigrationLoader
from django.utils import timezone
from hemicycle_core.said import Said, say
from psycopg import sql

from .erased import known

FORMAT, VERSION = "hemicycle-backup", 2
DUMP, MANIFEST, ROWS = "database.dump", "manifest.json", "rows"
# Whoever is signed in is not signed in again by a backup; which migrations stand is told by the manifest; what was
# worked out is worked out again.
NOT_TAKEN = frozenset({"django_session", "django_migrations", "fitting_judgedanswer"})
LOADER = "hemicycle_rows"  # the role that puts rows in
BLOCK = 1 << 20


class Unusable(Exception):
    """A backup that is not made or not put back; the message says why and what to do."""


class Foreign(Unusable):
    """A backup that another shop's key signed, or none."""


class Unreadable(Unusable):
    """What is there cannot be read, so that no backup of it can be made."""


def params(**more: Any) -> dict[str, Any]:
    given = connection.settings_dict
    known = {"host": given["HOST"], "port": given["PORT"], "user": given["USER"], "dbname": given["NAME"]}
    return {**known, "password": given["PASSWORD"], **more}


def _url(name: str) -> str:
    given = params()
    user, word = quote(str(given["user"]), safe=""), quote(str(given["password"]), safe="")
    return f"postgres://{user}:{word}@{given['host']}:{given['port']}/{name}"


def key() -> bytes:
    """The shop's own, by the secret beside its data."""
    return hmac.digest(settings.SECRET_KEY.encode(), b"backups are signed with this", "sha256")


def _signature(manifest: Mapping[str, Any]) -> str:
    told = {name: value for name, value in manifest.items() if name != "signature"}
    return hmac.new(key(), json.dumps(told, sort_keys=True).encode(), "sha256").hexdigest()


def _columns(database: psycopg.Connection[Any]) -> dict[str, list[str]]:
    """The columns of every table that is taken, in the order in which they stand; none that the database makes."""
    found = database.execute(
        "SELECT c.relname, a.attname FROM pg_class c JOIN pg_attribute a ON a.attrelid = c.oid "
        "WHERE c.relnamespace = 'public'::regnamespace AND c.relkind = 'r' AND a.attnum > 0 AND NOT a.attisdropped "
        "AND a.attgenerated = '' ORDER BY c.relname, a.attnum"
    ).fetchall()
    made: dict[str, list[str]] = {}
    for table, column in found:
        if table not in NOT_TAKEN:
            made.setdefault(table, []).append(column)
    return made


def _named(columns: Sequence[str]) -> sql.Composed:
    return sql.SQL(", ").join(sql.Identifier(name) for name in columns)


def sums_of(database: psycopg.Connection[Any], columns: Mapping[str, Sequence[str]]) -> dict[str, dict[str, Any]]:
    """Of every table how many rows it has and one sum over these columns of them all, whatever their order."""
    found = {}
    for table, names in columns.items():
        row = sql.SQL("md5(ROW({})::text)").format(_named(names))
        asked = sql.SQL("SELECT count(*), md5(coalesce(string_agg({row}, '' ORDER BY {row}), '')) FROM {table}")
        rows, total = database.execute(asked.format(row=row, table=sql.Identifier(table))).fetchone() or (0, "")
        found[table] = {"rows": rows, "sum": total}
    return found


def make(target: Path) -> dict[str, Any]:
    """Write everything to a file, as it is at one moment, while the shop goes on. Returns its manifest."""
    if target.exists():
        raise Unusable(say("act-there-already-give-backup", target=str(target)))
    part = target.with_name(f".{target.name}.{secrets.token_hex(4)}.part")
    try:
        os.close(os.open(part, os.O_CREAT | os.O_EXCL | os.O_WRONLY, 0o600))
        with zipfile.ZipFile(part, "w", zipfile.ZIP_DEFLATED, compresslevel=4) as packed:
            manifest = _write(packed)
        with part.open("rb") as file:
            os.fsync(file.fileno())
        part.rename(target)
    except OSError as error:
        raise Unusable(say("act-cannot-written", target=str(target), strerror=error.strerror)) from error
    finally:
        part.unlink(missing_ok=True)
    return manifest


def _write(packed: zipfile.ZipFile) -> dict[str, Any]:
    with psycopg.connect(**params()) as database:
        database.isolation_level = psycopg.IsolationLevel.REPEATABLE_READ
        database.read_only = True
        tables: dict[str, dict[str, Any]] = {}
        reading = ""
        try:
            columns = _columns(database)
            if not columns:
                raise Unusable(say("act-there-nothing-here-yet"))
            for reading, names in columns.items():
                with packed.open(f"{ROWS}/{reading}.copy", "w", force_zip64=True) as file:
                    tables[reading] = {"columns": names, "sha256": _copied(database, reading, names, file)}
            for reading, told in sums_of(database, columns).items():
                tables[reading] |= told
        except (psycopg.errors.DataCorrupted, psycopg.errors.IndexCorrupted, psycopg.errors.InternalError_) as error:
            raise Unreadable(say("act-what-there-cannot-backed", reading=reading or "it")) from error
        migrations = database.execute("SELECT app, name FROM django_migrations ORDER BY id").fetchall()
        numbers = database.execute("SELECT sequencename, last_value FROM pg_sequences WHERE schemaname = 'public'")
        manifest: dict[str, Any] = {
            "format": FORMAT,
            "version": VERSION,
            "made_at": timezone.now().isoformat(),
            "migrations": [f"{app}.{name}" for app, name in migrations],
            "tables": tables,
            "sequences": {name: last for name, last in numbers.fetchall() if last is not None},
            "erased": sorted(known()),
        }
    manifest["signature"] = _signature(manifest)
    packed.writestr(MANIFEST, json.dumps(manifest, indent=1))
    return manifest


def _copied(database: psycopg.Connection[Any], table: str, columns: Sequence[str], file: IO[bytes]) -> str:
    """The rows of a table into a file; their SHA-256."""
    made = hashlib.sha256()
    asked = sql.SQL("COPY {} ({}) TO STDOUT").format(sql.Identifier(table), _named(columns))
    with database.cursor().copy(asked) as rows:
        for block in rows:
            made.update(block)
            file.write(block)
    return made.hexdigest()


@dataclass
class BackupKept:
    """A backup that is whole."""

    source: Path
    packed: zipfile.ZipFile
    manifest: Mapping[str, Any]

    @property
    def tables(self) -> dict[str, dict[str, Any]]:
        return {name: told for name, told in self.manifest["tables"].items() if name not in NOT_TAKEN}

    def rows(self) -> Iterator[tuple[str, list[str], Iterator[bytes]]]:
        """Table by table its columns and its rows in PostgreSQL's text format."""
        if self.manifest["version"] == 1:
            yield from _rows_of_dump(self)
            return
        for table, told in self.tables.items():
            with self.packed.open(f"{ROWS}/{table}.copy") as file:
                yield table, told["columns"], iter(lambda file=file: file.read(BLOCK), b"")  # type: ignore[misc]


def _damaged(source: Path) -> Said:
    return say("act-damaged-not-file-was", source=str(source))


@contextmanager
def opened(source: Path, *, trusted: bool) -> Iterator[BackupKept]:
    """A backup that is whole, signed by this shop or trusted all the same."""
    try:
        packed = zipfile.ZipFile(source)
    except FileNotFoundError as error:
        raise Unusable(say("act-not-there", source=str(source))) from error
    except zipfile.BadZipFile as error:
        raise Unusable(_damaged(source)) from error
    except OSError as error:
        raise Unusable(say("act-cannot-read", source=str(source), strerror=error.strerror)) from error
    with packed:
        try:
            manifest = json.loads(packed.read(MANIFEST))
            if manifest.get("format") != FORMAT or manifest.get("version") not in (1, VERSION):
                raise Unusable(say("act-no-backup-version-hemicycle", source=str(source)))
            _check_whole(source, packed, manifest)
            signed = manifest["version"] == VERSION and hmac.compare_digest(
                _signature(manifest), str(manifest.get("signature", ""))
            )
        except (zipfile.BadZipFile, KeyError, TypeError, AttributeError, ValueError, EOFError, OSError) as error:
            raise Unusable(_damaged(source)) from error
        if not signed and not trusted:
            why = say("act-was-made-before-backups") if manifest["version"] == 1 else say("act-was-signed-another-shop")
            raise Foreign(say("act-whether-what-was-written", source=str(source), why=why))
        yield BackupKept(source, packed, manifest)


def _check_whole(source: Path, packed: zipfile.ZipFile, manifest: Mapping[str, Any]) -> None:
    wanted = (
        {DUMP: manifest["sum"]}
        if manifest["version"] == 1
        else {f"{ROWS}/{name}.copy": told["sha256"] for name, told in manifest["tables"].items()}
    )
    for name, total in wanted.items():
        made = hashlib.sha256()
        with packed.open(name) as file:
            while block := file.read(BLOCK):
                made.update(block)
        if made.hexdigest() != total:
            raise Unusable(_damaged(source))
    unknown = sorted(set(manifest["migrations"]) - _known_here())
    if unknown:
        raise Unusable(say("act-was-made-newer-hemicycle", source=str(source), unknown=unknown[0]))


def _known_here() -> set[str]:
    return {f"{app}.{name}" for app, name in MigrationLoader(None).disk_migrations}


# Of a dump of version 1: where the rows of a table begin.
_ROWS_OF = re.compile(rb"^COPY public\.(\S+) \((.*)\) FROM stdin;\n$")


def _rows_of_dump(kept: BackupKept) -> Iterator[tuple[str, list[str], Iterator[bytes]]]:
    """The rows that pg_restore reads out of a dump, as text; none of what else it would do is done."""
    folder = os.environ.get("HEMICYCLE_PG_BIN", "")
    dump = Path(os.environ.get("TMPDIR", "/tmp")) / f".{secrets.token_hex(8)}.dump"
    try:
        with kept.packed.open(DUMP) as inside, dump.open("xb") as out:
            while block := inside.read(BLOCK):
                out.write(block)
        words = [str(Path(folder) / "pg_restore"), "--data-only", "--file=-", str(dump)]
        with subprocess.Popen(words, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL) as program:
            assert program.stdout is not None
            lines = iter(program.stdout)
            for line in lines:
                begins = _ROWS_OF.match(line)
                if begins is not None:
                    table = begins[1].decode().strip('"')
                    columns = [name.strip().strip('"') for name in begins[2].decode().split(",")]
                    rows = iter(lambda: next(lines), b"\\.\n")
                    if table not in NOT_TAKEN:
                        yield table, columns, rows
                    for _ in rows:
                        pass
        if program.returncode:
            raise Unusable(_damaged(kept.source))
    finally:
        dump.unlink(missing_ok=True)


def restore(source: Path, *, trusted: bool = False) -> Mapping[str, Any]:
    """Put a backup in the place of everything that is there. It is made ready beside it and held against its sums
    first; until then nothing is touched. Returns its manifest."""
    with opened(source, trusted=trusted) as kept:
        manifest = kept.manifest
    gone = {*manifest.get("erased", ())}
    with suppress(Exception):  # what is there may be damaged, or empty: then the list beside it tells
        gone |= known()
    name = str(params()["dbname"])
    beside = f"{name}_restoring_{secrets.token_hex(4)}"
    connection.close()
    with psycopg.connect(**params(dbname="postgres"), autocommit=True) as server:
        server.execute(sql.SQL("CREATE DATABASE {} TEMPLATE template0").format(sql.Identifier(beside)))
        try:
            _make_ready(source, beside, gone)
            _swap(server, name, beside)
        finally:
            server.execute(sql.SQL("DROP DATABASE IF EXISTS {} WITH (FORCE)").format(sql.Identifier(beside)))
    return manifest


def _make_ready(source: Path, beside: str, gone: set[str]) -> None:
    """In a process of its own, whose database is the new one."""
    words = [sys.executable, str(Path(sys.argv[0]).resolve()), "put_in", str(source)]
    done = subprocess.run(
        words,
        env={**os.environ, "DATABASE_URL": _url(beside)},
        input="\n".join(sorted(gone)),
        capture_output=True,
        text=True,
        check=False,
    )
    if done.returncode:
        said = (done.stderr.strip() or done.stdout.strip()).splitlines()
        raise Unusable(said[-1].removeprefix("CommandError: ") if said else say("backup-failed-without-a-word"))


def put_in(kept: BackupKept) -> None:
    """The rows of a backup into a database whose tables its own migrations have made, held against its sums."""
    with psycopg.connect(**params()) as database:
        here = _columns(database)
        for table in here:
            database.execute(sql.SQL("ALTER TABLE {} DISABLE TRIGGER USER").format(sql.Identifier(table)))
        database.execute(sql.SQL("TRUNCATE {} CASCADE").format(_named(list(here))))
        plain = _plain_role(database)
        database.execute("SET CONSTRAINTS ALL DEFERRED")
        if plain:
            database.execute(sql.SQL("SET ROLE {}").format(sql.Identifier(LOADER)))
        columns: dict[str, list[str]] = {}
        for table, names, blocks in kept.rows():
            if not set(names) <= set(here.get(table, ())):
                raise Unusable(say("act-has-rows-no-table", source=str(kept.source), table=table))
            columns[table] = names
            asked = sql.SQL("COPY {} ({}) FROM STDIN").format(sql.Identifier(table), _named(names))
            try:
                with database.cursor().copy(asked) as into:
                    for block in blocks:
                        into.write(block)
            except (psycopg.DataError, psycopg.IntegrityError) as error:
                raise Unusable(say("act-rows-cannot-read-nothing", source=str(kept.source), table=table)) from error
        if plain:
            database.execute("RESET ROLE")
        try:
            database.execute("SET CONSTRAINTS ALL IMMEDIATE")
        except psycopg.IntegrityError as error:
            raise Unusable(say("act-has-rows-belong-none", source=str(kept.source))) from error
        told = {name: {"rows": each["rows"], "sum": each["sum"]} for name, each in kept.tables.items()}
        if sums_of(database, columns) != {name: told.get(name) for name in columns} or set(told) != set(columns):
            raise Unusable(say("act-did-not-come-back", source=str(kept.source)))
        _count_on(database, here, kept.manifest.get("sequences", {}))
        for table in here:
            database.execute(sql.SQL("ALTER TABLE {} ENABLE TRIGGER USER").format(sql.Identifier(table)))


def _plain_role(database: psycopg.Connection[Any]) -> bool:
    """Whether there is a role that may put rows in and nothing else: where we are a superuser it is made. Else we are
    a plain one ourselves."""
    mighty = (database.execute("SELECT rolsuper FROM pg_roles WHERE rolname = current_user").fetchone() or (False,))[0]
    if not mighty:
        return False
    role = sql.Identifier(LOADER)
    if not database.execute("SELECT 1 FROM pg_roles WHERE rolname = %s", [LOADER]).fetchone():
        database.execute(sql.SQL("CREATE ROLE {} NOLOGIN NOSUPERUSER").format(role))
    database.execute(sql.SQL("GRANT USAGE ON SCHEMA public TO {}").format(role))
    database.execute(sql.SQL("GRANT INSERT ON ALL TABLES IN SCHEMA public TO {}").format(role))
    return True


def _count_on(database: psycopg.Connection[Any], here: Mapping[str, Sequence[str]], told: Mapping[str, int]) -> None:
    """Numbers go on after the last that was given, not after the last that is left."""
    for table, names in here.items():
        if "id" not in names:
            continue
        sequence = (database.execute("SELECT pg_get_serial_sequence(%s, 'id')", [table]).fetchone() or (None,))[0]
        if sequence is None:
            continue
        asked = sql.SQL("SELECT coalesce(max(id), 0) FROM {}").format(sql.Identifier(table))
        last = max((database.execute(asked).fetchone() or (0,))[0], int(told.get(sequence.partition(".")[2], 0)))
        if last:
            database.execute("SELECT setval(%s, %s)", [sequence, last])


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
