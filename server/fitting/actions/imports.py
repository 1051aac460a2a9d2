"""The baseline from a file: looked at first, then taken in; the file is kept as it was."""

from __future__ import annotations

import hashlib
from collections import defaultdict
from collections.abc import Collection, Sequence
from dataclasses import asdict, dataclass, field
from itertools import groupby

from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.club_names import short_name
from hemicycle_core.formats.shots_csv import Column, Parsed, ParsedShot, RowProblem, guess_mapping, parse_shots
from hemicycle_core.formats.table import Table, read_table
from hemicycle_core.protocols import protocol_of
from shop.audit import action
from shop.models import User

from ..models import Build, ColumnMapping, FittingSession, Run, Shot, ShotImport
from .builds import add_own
from .changes import announce, for_change, note
from .shots import run_for, take_in
from .windows import keep_windows

MOST_TEXT = 4_000_000
MOST_SHOTS = 2_000


@dataclass
class ImportRequest:
    """columns: the mapping as the fitter left it, None to propose one. clubs: name in the file to the
    name in the bag, empty to leave its shots out. aside: lines of the file to set aside."""

    file_name: str
    text: str
    columns: Sequence[Column] | None = None
    clubs: dict[str, str] | None = None
    aside: Sequence[int] = ()


@dataclass
class Imported:
    """What was taken in of a file, and what could not be read."""

    shots: int = 0
    clubs: int = 0
    set_aside: int = 0
    computed: int = 0
    problems: list[RowProblem] = field(default_factory=list)


def table_of(text: str) -> Table:
    if len(text) > MOST_TEXT:
        raise BadInput("The file is over 4 MB, more than a session of shots. Export one session.", field="file")
    return read_table(text, most_rows=MOST_SHOTS)


def _signature(table: Table) -> str:
    return hashlib.sha256("\x1f".join(table.headers).encode()).hexdigest()


def columns_for(session: FittingSession, table: Table, given: Sequence[Column] | None) -> tuple[list[Column], bool]:
    """The mapping to use and whether it was remembered."""
    if given is not None:
        if [column.header for column in given] != list(table.headers):
            raise BadInput("The mapping is for another file. Choose the file again.", field="columns")
        return list(given), False
    known = ColumnMapping.objects.of(session.shop_id).filter(signature=_signature(table)).first()
    if known is not None:
        return [Column(**column) for column in known.columns], True
    return guess_mapping(table.headers), False


def letters_of(session: FittingSession) -> set[str]:
    there = Build.objects.of(session.shop_id).filter(session=session, archived=False).exclude(letter="")
    return set(there.values_list("letter", flat=True))


def goes_to(written: str, letters: Collection[str]) -> str:
    """The letter on the stand, where there is one of that name, before any club of the bag: a file's `D` is build D."""
    letter = written.strip().upper()
    return letter if letter in letters else short_name(written)


def by_club(parsed: Parsed) -> dict[str, list[ParsedShot]]:
    groups: dict[str, list[ParsedShot]] = defaultdict(list)
    for shot in parsed.shots:
        groups[shot.club].append(shot)
    return groups


@action("fit")
def import_shots(actor: User, session_id: int, request: ImportRequest) -> Imported:
    """Take the file's shots in. Rows that cannot be read are listed and the rest go in."""
    session = for_change(actor, session_id)
    table = table_of(request.text)
    columns, _ = columns_for(session, table, request.columns)
    parsed = parse_shots(table, columns)
    if ShotImport.objects.of(session.shop_id).filter(session=session, text=request.text, undone_at=None).exists():
        raise BadInput("The shots of this file are in already.", field="file")
    kept = ShotImport.objects.create(
        shop_id=session.shop_id,
        session=session,
        file_name=request.file_name[:120],
        text=request.text,
        columns=[asdict(column) for column in columns],
        problems=[asdict(problem) for problem in parsed.problems],
    )
    ColumnMapping.objects.update_or_create(
        shop_id=session.shop_id,
        signature=_signature(table),
        defaults={"columns": [asdict(column) for column in columns]},
    )
    result, letters = Imported(problems=list(parsed.problems)), letters_of(session)
    for written, shots in by_club(parsed).items():
        name = (request.clubs or {}).get(written, goes_to(written, letters))
        if name:
            _take_club(session, kept, name, shots, set(request.aside), result)
        elif not written:
            words = "No club is named, so the shot was left out."
            result.problems.extend(RowProblem(shot.line, "", words) for shot in shots)
    if not result.shots:
        raise BadInput("No shot of the file could be taken in. Check the mapping.", field="columns")
    note(session, actor, "shots.import", f"session:{session.pk}", file=kept.file_name, shots=result.shots)
    keep_windows(session, actor)
    announce(session, "shots")
    return result


@action("fit")
def undo_import(actor: User, import_id: int, *, undone: bool) -> FittingSession:
    """Take a file's shots back, with the clubs that came with it and have nothing else; or bring them in again.

    Nothing is lost: shots and clubs stay on record and come back as they were.
    """
    session = for_change(actor, ShotImport.objects.one(actor.shop_id or 0, import_id).session_id)
    kept = ShotImport.objects.one(session.shop_id, import_id)
    kept.undone_at = timezone.now() if undone else None
    kept.save(update_fields=["undone_at"])
    session.whole_from = session.revision
    session.save(update_fields=["whole_from"])
    came = Build.objects.of(session.shop_id).filter(session=session, imported=kept)
    alone = came.exclude(runs__in=Run.objects.of(session.shop_id).exclude(imported=kept)).filter(typed_carry_m=None)
    for build in alone.filter(archived=not undone).distinct():
        same = Build.objects.of(session.shop_id).filter(session=session, letter="", name=build.name, archived=False)
        if undone or not same.exists():
            build.archived = undone
            build.save(update_fields=["archived"])
    name = "shots.import_undone" if undone else "shots.import_redone"
    note(session, actor, name, f"session:{session.pk}", file=kept.file_name)
    keep_windows(session, actor)
    announce(session, "shots")
    return session


def _build_for(session: FittingSession, kept: ShotImport, name: str) -> Build:
    """The build on the stand with this letter, else the club of the bag with this name, else a new one there."""
    there = Build.objects.of(session.shop_id).filter(session=session, archived=False)
    up = there.filter(letter=name.strip().upper()).exclude(letter="").first()
    own = up or there.filter(letter="", name=short_name(name)).first()
    return own or add_own(session, name, imported=kept)


def _take_club(
    session: FittingSession,
    kept: ShotImport,
    name: str,
    parsed: Sequence[ParsedShot],
    aside: set[int],
    result: Imported,
) -> None:
    build, shots = _build_for(session, kept, name), []
    # A run holds what was hit alike: what the file says of it parts it.
    for (intent, lie, length, ball), alike in groupby(
        parsed, key=lambda shot: (shot.intent, shot.lie, shot.swing_length, shot.struck_ball)
    ):
        run_of = list(alike)
        said = {"protocol": protocol_of(intent).key, "intent": intent.value, "lie": lie.value if lie else ""}
        said |= {"length": length, "struck_ball": ball.value}
        made = take_in(
            session,
            run_for(session, build, kept, **said),
            [shot.values for shot in run_of],
            strikes=[shot.strike for shot in run_of],
        )
        for line, shot in zip((each.line for each in run_of), made, strict=True):
            if line in aside:
                shot.aside, shot.aside_reason = True, "unlike the others, at import"
        shots += made
    Shot.objects.bulk_update([shot for shot in shots if shot.aside], ["aside", "aside_reason"])
    result.shots += len(shots)
    result.clubs += 1
    result.set_aside += sum(shot.aside for shot in shots)
    result.computed += sum("computed" in shot.sources.values() for shot in shots)
