"""What each test still asks for and what came of it, as it is shown; what of it is hit next."""

from __future__ import annotations

from hemicycle_core.answers.short_tests import pairs_of, results, standings
from hemicycle_core.protocols.asked import Standing, Task
from hemicycle_core.protocols.found import Result
from hemicycle_core.protocols.sole.ask import KEY as SOLE
from hemicycle_core.said import Said

from ...domain.pairs import CodedPair
from ...domain.session import JudgedSession
from ..schemas.tests import (
    BlindPairOut,
    CodeOut,
    FigureOut,
    PairOut,
    ResultColumn,
    ResultOut,
    ResultRow,
    StandingOut,
    TaskOut,
)


def next_of_test(judged: JudgedSession) -> Said | None:
    """What is hit next in the test that is asked for; None where it says nothing of it."""
    asked = judged.facts.asked.protocol
    if asked == SOLE:
        on = next((each for each in judged.soles if each.test.is_on), None)
        return None if on is None else on.next
    found = standings_of(judged).get(asked)
    return (found.words or None) if found else None


def standings_of(judged: JudgedSession) -> dict[str, Standing]:
    """What each test still asks for, by its key."""
    return standings(judged.facts, {key: pair.kept for key, pair in judged.rows.blind_now.items()})


def present_standings(judged: JudgedSession) -> list[StandingOut]:
    return [_standing(judged, key, each) for key, each in standings_of(judged).items()]


def _standing(judged: JudgedSession, test: str, found: Standing) -> StandingOut:
    at = {task: number for number, each in enumerate(found.columns) for task in each.tasks}

    def shown(task: Task) -> TaskOut:
        return TaskOut(task.club, task.length, task.lie, task.done, task.wanted, at[task])

    blind = judged.rows.blind_now.get(test)
    return StandingOut(
        test=test,
        columns=[each.name for each in found.columns],
        tasks=[shown(task) for task in found.tasks],
        next=None if found.next is None else shown(found.next),
        minutes=found.minutes,
        none=found.none,
        remarks=list(found.remarks),
        warning=found.warning,
        pairs=[PairOut(old, fresh) for old, fresh in pairs_of(judged.facts, test)],
        blind=None if blind is None else _blind(blind),
    )


def _blind(pair: CodedPair) -> BlindPairOut:
    who, kept = pair.test.setter, pair.kept
    assert who is not None
    codes = [CodeOut(code.pk, code.name) for code in pair.codes]
    return BlindPairOut(pair.test.pk, who.username, who.get_full_name(), codes, kept.guess, kept.confidence)


def present_results(judged: JudgedSession) -> list[ResultOut]:
    """What came of every test over its clubs together."""
    told = {
        key: [pair.kept for pair in pairs if pair.test.revealed_at is not None]
        for key, pairs in judged.rows.coded_pairs.items()
    }
    return [present_result(found) for found in results(judged.bag, told)]


def present_result(found: Result) -> ResultOut:
    return ResultOut(
        test=found.test,
        title=found.title,
        builds=list(found.clubs),
        columns=[ResultColumn(each.key, each.name, each.reading, each.digits) for each in found.columns],
        rows=[
            ResultRow(
                row.name,
                row.club,
                list(row.shots),
                {key: FigureOut(list(figure.at), figure.half, figure.told) for key, figure in row.figures.items()},
            )
            for row in found.rows
        ],
        outcome=found.outcome,
        sentence=found.sentence,
        remarks=list(found.remarks),
    )
