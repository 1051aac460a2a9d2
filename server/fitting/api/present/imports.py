"""How a file would be read, and what was taken in of it."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Any

from hemicycle_core.formats.shots import Parsed, RowProblem
from hemicycle_core.samples.outliers import unlike_the_others

from ...actions.imports import FileRead, Imported, ImportRequest
from ...models import FittingSession
from ..schemas.imports import (
    ColumnOut,
    ImportClub,
    ImportPlayer,
    ImportPreview,
    ImportProblem,
    ImportQuestion,
    ImportResult,
    ImportRow,
)


def _problems(found: Iterable[RowProblem]) -> list[ImportProblem]:
    return [ImportProblem(problem.line, problem.column, problem.sentence) for problem in found]


def present_preview(session: FittingSession, request: ImportRequest) -> ImportPreview:
    """How the file would be read; changes nothing."""
    read = FileRead(session, request)
    if not read.readable:
        return _preview(read, questions=_questions(read))
    unlike = []
    for club, shots in read.by_club.items():
        carried = [(shot, shot.values["carry_m"]) for shot in shots if "carry_m" in shot.values and not shot.aside]
        for found in unlike_the_others([carry for _, carry in carried]):
            shot, carry = carried[found.index]
            unlike.append(ImportRow(shot.line, read.goes_to(club), carry, found.sentence))
    here = sum(read.here.values())
    return _preview(
        read,
        clubs=[
            ImportClub(
                club, read.goes_to(club), len(shots), read.kind(club), sum(read.here[shot.line] for shot in shots)
            )
            for club, shots in read.by_club.items()
        ],
        unlike=unlike,
        problems=_problems(read.parsed.problems),
        left=_problems(read.parsed.left),
        shots=len(read.shots) - (0 if request.again else here),
        here=here,
        players=_players(read.parsed),
        whose=read.whose,
        questions=_questions(read),
    )


def _questions(read: FileRead) -> list[ImportQuestion]:
    return [ImportQuestion(each.id, each.sentence) for each in read.questions]


def _players(parsed: Parsed) -> list[ImportPlayer]:
    """Where the file names several."""
    named = parsed.players
    return [ImportPlayer(name, count) for name, count in named.items()] if len(named) > 1 else []


def _preview(read: FileRead, **more: Any) -> ImportPreview:
    """more: what shots can be told of; nothing of it where none can be made yet."""
    first = read.sheet.rows[0].cells
    nothing: dict[str, Any] = {name: [] for name in ("clubs", "unlike", "problems", "left", "players", "questions")}
    return ImportPreview(
        file_name=read.request.file_name,
        sheets=list(read.request.opened.sheets),
        columns=[
            ColumnOut(column.header, column.key, column.unit, column.sure, first[index], column.ask, list(column.maybe))
            for index, column in enumerate(read.columns)
        ],
        remembered=read.remembered,
        **{**nothing, "shots": 0, "here": 0, "whose": "", **more},
    )


def present_imported(result: Imported) -> ImportResult:
    return ImportResult(
        result.shots, result.clubs, result.set_aside, result.computed, result.here, _problems(result.problems)
    )
