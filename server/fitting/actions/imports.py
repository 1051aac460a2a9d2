"""Shots from a file: looked at first, then taken in; the file is kept as it was. What it leaves open is asked, and
nothing of it goes in before that is answered."""

from __future__ import annotations

import base64
import binascii
import hashlib
from collections import defaultdict
from collections.abc import Collection, Iterator, Mapping, Sequence
from dataclasses import asdict, dataclass, field, replace
from itertools import groupby
from typing import Any

from common.api import shown
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Air
from hemicycle_core.formats.club_names import kind_of, short_name
from hemicycle_core.formats.shots import (
    Column,
    Opened,
    Parsed,
    ParsedShot,
    Question,
    RowProblem,
    Sheet,
    against_flight,
    guess_mapping,
    here_already,
    open_bytes,
    open_text,
    parse_shots,
    speeds_together,
)
from hemicycle_core.formats.shots.file import MOST_BYTES
from hemicycle_core.formats.shots.own import NUMBER, SESSION
from hemicycle_core.heads import HeadType
from hemicycle_core.kept import lazily
from hemicycle_core.protocols import protocol_of
from hemicycle_core.said import listed, say
from hemicycle_core.shots import Source
from shop.audit import action
from shop.models import User

from ..models import LETTERS, Build, ColumnMapping, FittingSession, Run, Shot, ShotImport
from .acts import Whole, is_whole, put_whole
from .builds import add_own
from .changes import announce, for_change, note
from .shots import run_for, take_in
from .windows import keep_windows


@dataclass
class ImportRequest:
    """text: of a delimited file; data: of any other, in base64, else empty; sheet: of a workbook, empty for its first.
    columns: the mapping as the fitter left it, None to propose one. clubs: name in the file to the name in the bag,
    empty to leave its shots out; kinds: of head, of clubs whose names do not say it. aside: lines of the file to set
    aside. whose: player or visit of a file with several. again: take in what is here already too. answered: questions
    that were looked at, by id."""

    file_name: str
    text: str = ""
    data: str = ""
    sheet: str = ""
    columns: Sequence[Column] | None = None
    clubs: dict[str, str] | None = None
    kinds: Mapping[str, HeadType] = field(default_factory=dict)
    aside: Sequence[int] = ()
    whose: str | None = None
    again: bool = False
    answered: Collection[str] = ()

    @lazily
    def bytes(self) -> bytes:
        if len(self.data) > MOST_BYTES * 4 / 3 + 4:
            raise BadInput(say("act-file-over-mb-more"), field="file")
        try:
            return base64.b64decode(self.data, validate=True)
        except (binascii.Error, ValueError) as error:
            raise BadInput(say("act-file-came-pieces-choose"), field="file") from error

    @lazily
    def opened(self) -> Opened:
        return open_bytes(self.bytes, self.sheet) if self.data else open_text(self.text)


@dataclass
class Imported:
    """What was taken in of a file, what could not be read, and how many were here already."""

    shots: int = 0
    clubs: int = 0
    set_aside: int = 0
    computed: int = 0
    here: int = 0
    problems: list[RowProblem] = field(default_factory=list)


def _signature(sheet: Sheet) -> str:
    """Of files of one source: their header with its units."""
    return hashlib.sha256("\x1f".join([*sheet.headers, "", *sheet.units]).encode()).hexdigest()


class FileRead:
    """A file as it would be taken in by what was said of it so far."""

    def __init__(self, session: FittingSession, request: ImportRequest) -> None:
        self.session, self.request, self.sheet = session, request, request.opened.sheet
        self.air = Air(altitude_m=session.visit.altitude_m, temperature_c=session.visit.temperature_c)
        self.remembered = False
        self.columns = self._columns()

    def _columns(self) -> list[Column]:
        """The mapping to use: as it was left, else as it was for the last file of this header, else proposed."""
        given = self.request.columns
        if given is not None:
            if [column.header for column in given] != list(self.sheet.headers):
                raise BadInput(say("act-mapping-another-file-choose"), field="columns")
            proposed = guess_mapping(self.sheet, air=self.air)
            taken = {mine.key for mine in given if mine.sure}
            return [
                # What it may have been is another column by now.
                Column(mine.header, "")
                if not mine.sure and theirs.maybe and taken.issuperset(theirs.maybe)
                else replace(mine, ask=theirs.ask, maybe=theirs.maybe)
                for mine, theirs in zip(given, proposed, strict=True)
            ]
        known = ColumnMapping.objects.of(self.session.shop_id).filter(signature=_signature(self.sheet)).first()
        if known is None:
            return guess_mapping(self.sheet, air=self.air)
        self.remembered = True
        return [Column(each["header"], each["key"], each["unit"]) for each in known.columns]

    @lazily
    def parsed(self) -> Parsed:
        """All of its rows; what is not sure of a column is not taken."""
        return parse_shots(self.sheet, [each if each.sure else Column(each.header, "") for each in self.columns])

    @property
    def whose(self) -> str:
        """The player or visit whose shots go in; the only one where there is one."""
        players = self.parsed.players
        if len(players) == 1:
            return next(iter(players))
        return self.request.whose if self.request.whose in players else ""

    @lazily
    def shots(self) -> list[ParsedShot]:
        return list(self.parsed.of(self.whose)) if len(self.parsed.players) > 1 else list(self.parsed.shots)

    @lazily
    def by_club(self) -> dict[str, list[ParsedShot]]:
        groups: dict[str, list[ParsedShot]] = defaultdict(list)
        for shot in self.shots:
            groups[shot.club].append(shot)
        return groups

    @lazily
    def builds(self) -> list[Build]:
        there = Build.objects.of(self.session.shop_id).filter(session=self.session, archived=False)
        return list(there.select_related("head"))

    @property
    def _ours(self) -> bool:
        """Whether it is a file of ours: a letter in it is a build, never a club by that letter."""
        return {SESSION, NUMBER} <= {column.key for column in self.columns}

    def goes_to(self, written: str) -> str:
        """The letter on the stand, where there is one of that name, before any club of the bag: a file's `D` is build
        D. As the fitter said, where he did."""
        said = (self.request.clubs or {}).get(written)
        if said is not None:
            return said
        letter = written.strip().upper()
        if letter in {build.letter for build in self.builds if build.letter}:
            return letter
        return written.strip() if self._ours and letter in LETTERS else short_name(written)

    def build_of(self, written: str) -> Build | None:
        """The build on the stand with this letter, else the club of the bag with this name; None for a new one."""
        name = self.goes_to(written)
        letter = name.strip().upper()
        up = next((build for build in self.builds if build.letter and build.letter == letter), None)
        own = (build for build in self.builds if not build.letter and build.name == short_name(name))
        return up or next(own, None)

    def kind(self, written: str) -> HeadType | None:
        """The kind of head of a club, by the build it goes to, as it was said, or by its name."""
        build = self.build_of(written)
        if build is not None:
            return HeadType(build.head_type)
        return self.request.kinds.get(written) or kind_of(self.goes_to(written))

    @lazily
    def here(self) -> dict[int, bool]:
        """By line, whether the shot is on record in this session: by what it reads, whatever was around it."""
        found: dict[int, bool] = {}
        for written, rows in self.by_club.items():
            build = self.build_of(written)
            known = [] if build is None else [_as_read(shot) for shot in _on_record(self.session, build)]
            values = [{k: v for k, v in row.values.items() if row.sources.get(k) != Source.COMPUTED} for row in rows]
            found |= dict(zip((row.line for row in rows), here_already(values, known), strict=True))
        return found

    @property
    def readable(self) -> bool:
        """Whether shots can be made from it by what is known so far. Raises BadInput where nothing that is asked would
        change that."""
        try:
            return self.parsed is not None
        except BadInput:
            if all(each.sure or not each.ask for each in self.columns):
                raise
            return False

    @lazily
    def questions(self) -> list[Question]:
        """What is to be answered before anything goes in."""
        return [each for each in self._asked() if each.id not in self.request.answered]

    def _asked(self) -> Iterator[Question]:
        open_ = {column.ask: column.header for column in reversed(self.columns) if not column.sure and column.ask}
        yield from (Question(f"column {header}", ask) for ask, header in reversed(open_.items()))
        if not self.readable:
            return
        players = self.parsed.players
        if len(players) > 1 and not self.whose:
            many = listed(say("import-of-a-player", named=bool(name), name=name, n=n) for name, n in players.items())
            yield Question("whose", say("import-whose", n=len(players), players=many))
            return
        if self.shots and not any(self.by_club.keys()) and not self.goes_to(""):
            yield Question("club", say("import-no-club-named"))
        for written in self.by_club:
            if written and self.goes_to(written) and self.kind(written) is None:
                yield Question(f"kind {written}", say("import-kind-of-club", club=written))
        yield from against_flight({self.goes_to(club): rows for club, rows in self.by_club.items()}, air=self.air)
        yield from speeds_together(self.shots)


def _on_record(session: FittingSession, build: Build) -> list[Shot]:
    shots = Shot.objects.of(session.shop_id).filter(session=session, run__build=build, run__imported__undone_at=None)
    return list(shots.order_by("number"))


def _as_read(shot: Shot) -> dict[str, float]:
    """What came with a shot, without what was computed here."""
    return {key: value for key, value in shot.readings.items() if shot.sources.get(key) != Source.COMPUTED}


@action("fit")
def import_shots(actor: User, session_id: int, request: ImportRequest) -> Imported:
    """Take the file's shots in. Rows that cannot be read are listed and the rest go in."""
    session = for_change(actor, session_id)
    read = FileRead(session, request)
    if read.questions:
        first = read.questions[0]
        raise BadInput(first.sentence, field="columns" if first.id.startswith("column") else first.id.split()[0])
    fresh = [shot for shot in read.shots if request.again or not read.here[shot.line]]
    if read.shots and not fresh:
        raise BadInput(say("act-shots-file-already"), field="file")
    kept = ShotImport.objects.create(
        shop_id=session.shop_id,
        session=session,
        file_name=request.file_name[:120],
        text=request.text,
        data=request.bytes if request.data else None,
        columns=[_written(column) for column in read.columns],
        problems=shown(list(read.parsed.problems)),
    )
    ColumnMapping.objects.update_or_create(
        shop_id=session.shop_id,
        signature=_signature(read.sheet),
        defaults={"columns": [_written(column) for column in read.columns]},
    )
    result = Imported(problems=list(read.parsed.problems), here=len(read.shots) - len(fresh))
    new = {shot.line for shot in fresh}
    for written, shots in read.by_club.items():
        mine = [shot for shot in shots if shot.line in new]
        if mine and read.goes_to(written):
            _take_club(session, kept, read, written, mine, set(request.aside), result)
        elif not written:
            words = say("import-shot-left-out")
            result.problems.extend(RowProblem(shot.line, "", words) for shot in shots)
    if not result.shots:
        raise BadInput(say("act-no-shot-file-could"), field="columns")
    rows = put_whole(session, "import", kept.pk, False)
    note(
        session,
        actor,
        "shots.import",
        f"session:{session.pk}",
        file=kept.file_name,
        shots=result.shots,
        rows=rows,
    )
    keep_windows(session, actor)
    announce(session, "shots")
    return result


def _written(column: Column) -> dict[str, str]:
    return {"header": column.header, "key": column.key if column.sure else "", "unit": column.unit}


@action("fit")
def undo_import(actor: User, import_id: int, *, undone: bool) -> FittingSession:
    """Take a file's shots back, with the clubs that came with it and have nothing else; or bring them in again.

    Nothing is lost: shots and clubs stay on record and come back as they were.
    """
    session = for_change(actor, ShotImport.objects.one(actor.shop_id or 0, import_id).session_id)
    stood = _is_in(session, str(import_id))
    _bring_in(session, actor, str(import_id), not undone)
    kept = ShotImport.objects.one(session.shop_id, import_id)
    name = "shots.import_undone" if undone else "shots.import_redone"
    rows = put_whole(session, "import", import_id, stood)
    note(session, actor, name, f"session:{session.pk}", file=kept.file_name, rows=rows)
    keep_windows(session, actor)
    announce(session, "shots")
    return session


def _is_in(session: FittingSession, which: str) -> bool:
    """Whether the shots of a file count."""
    return ShotImport.objects.one(session.shop_id, int(which)).undone_at is None


def _bring_in(session: FittingSession, _actor: User, which: str, is_in: bool) -> None:
    undone = not is_in
    kept = ShotImport.objects.one(session.shop_id, int(which))
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


is_whole("import", Whole(_is_in, _bring_in))


def _take_club(
    session: FittingSession,
    kept: ShotImport,
    read: FileRead,
    written: str,
    parsed: Sequence[ParsedShot],
    aside: set[int],
    result: Imported,
) -> None:
    build, shots = read.build_of(written), list[Shot]()
    if build is None:
        kind = read.kind(written)
        build = add_own(session, read.goes_to(written), imported=kept, head_type=kind.value if kind else None)
        read.builds.append(build)  # another spelling of it may follow
    # A run holds what was hit alike: what the file says of it parts it.
    for said, alike in groupby(parsed, key=lambda shot: shot.run):
        run_of = list(alike)
        run = asdict(said) | {"intent": said.intent.value, "struck_ball": said.struck_ball.value}
        run["length"] = run.pop("swing_length")
        run["protocol"] = said.protocol or protocol_of(said.intent).key
        run["tee_mm"] = None if said.tee_mm is None else round(said.tee_mm)
        run["swing"] = session.asked.swing - 1 if run.pop("old_swing") else session.asked.swing
        made = take_in(
            session,
            run_for(session, build, kept, **run),
            [shot.values for shot in run_of],
            strikes=[shot.strike for shot in run_of],
            told=[_told(shot, shot.line in aside) for shot in run_of],
            sources=[shot.sources for shot in run_of],
        )
        shots += made
    result.shots += len(shots)
    result.clubs += 1
    result.set_aside += sum(shot.aside for shot in shots)
    result.computed += sum("computed" in shot.sources.values() for shot in shots)


def _told(shot: ParsedShot, unlike: bool) -> dict[str, Any]:
    """What the file or the preview says of a shot beside its readings."""
    why = str(say("aside-in-the-file")) if shot.aside else str(say("aside-as-unlike")) if unlike else ""
    return {"aside": shot.aside or unlike, "aside_reason": why, "misread": shot.misread, "void": list(shot.void)}
