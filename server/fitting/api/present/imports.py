"""How a file would be read, and what was taken in of it."""

from __future__ import annotations

from collections.abc import Iterable

from hemicycle_core.errors import BadInput
from hemicycle_core.formats.shots_csv import Parsed, RowProblem, parse_shots
from hemicycle_core.samples.outliers import unlike_the_others

from ...actions.imports import Imported, ImportRequest, by_club, columns_for, goes_to, letters_of, table_of
from ...models import FittingSession
from ..schemas.imports import ColumnOut, ImportClub, ImportPreview, ImportProblem, ImportResult, ImportRow


def _problems(found: Iterable[RowProblem]) -> list[ImportProblem]:
    return [ImportProblem(problem.line, problem.column, problem.sentence) for problem in found]


def present_preview(session: FittingSession, request: ImportRequest) -> ImportPreview:
    """How the file would be read; changes nothing."""
    table = table_of(request.text)
    columns, remembered = columns_for(session, table, request.columns)
    try:
        parsed = parse_shots(table, columns)
        problems = _problems(parsed.problems)
    except BadInput as error:
        if request.columns is not None:
            raise
        parsed, problems = Parsed((), ()), [ImportProblem(1, "", str(error))]
    groups, letters = by_club(parsed), letters_of(session)
    unlike = []
    for club, shots in groups.items():
        carried = [(shot, shot.values["carry_m"]) for shot in shots if "carry_m" in shot.values]
        for found in unlike_the_others([carry for _, carry in carried]):
            shot, carry = carried[found.index]
            unlike.append(ImportRow(shot.line, goes_to(club, letters), carry, found.sentence))
    first = table.rows[0].cells
    return ImportPreview(
        file_name=request.file_name,
        columns=[
            ColumnOut(column.header, column.key, column.unit, column.sure, first[index])
            for index, column in enumerate(columns)
        ],
        clubs=[ImportClub(club, goes_to(club, letters), len(shots)) for club, shots in groups.items()],
        unlike=unlike,
        problems=problems,
        shots=len(parsed.shots),
        remembered=remembered,
    )


def present_imported(result: Imported) -> ImportResult:
    return ImportResult(result.shots, result.clubs, result.set_aside, result.computed, _problems(result.problems))
