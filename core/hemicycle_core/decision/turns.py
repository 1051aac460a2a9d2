"""A turn of the sleeve that is left, or a bend: a bag of its own, that comes before another head."""

from __future__ import annotations

from dataclasses import dataclass

from ..judge.changes import ChangeKind
from ..said import say
from .choice import Because, Choice
from .options import Option, Plan
from .sentences import turning
from .stand import Stand


@dataclass(frozen=True)
class Turn:
    """A turn that is left: the bag with the build as it was hit, and as it is turned."""

    option: Option
    hit: Plan
    turned: Plan


def turn_left(stand: Stand) -> Turn | None:
    """The build that a turn is predicted to bring to what was asked, the one that saves most then; None without one
    that is worth having. A turn that is left comes before another head."""
    single, found = stand.single(), []
    for option in stand.weigher.options:
        plan = single.get(option.turned) if option.turned else None
        if plan is None or not (stand.asked.of_old or stand.asked.open.get(option.slot, False)):
            continue
        as_hit = next(each for each in stand.may if each.letter == option.turned)
        turned = Plan(plan.keys - {as_hit.key} | {option.key})
        if not stand.known or stand.worth(turned).net > stand.floor:
            found.append(Turn(as_hit, plan, turned))
    return max(found, key=lambda each: (stand.worth(each.turned).net, each.option.letter), default=None)


def turned_first(turn: Turn, stand: Stand) -> Choice:
    """The headline of a turn that is left: it is made and hit before anything is bought."""
    verdict = stand.verdict[turn.option.letter]
    assert verdict.turn is not None
    worth, bag = stand.worth(turn.turned), stand.weigher.weigh(turn.hit)
    made = verdict.turn.change
    bent = made.kind is ChangeKind.BEND
    change = say("turn-bent", by=made.words) if bent else say("turn-turned", by=made.words)
    words = turning(stand.asked, turn.option.letter, change, worth, bag, known=stand.known)
    return Choice(
        letter=turn.option.letter,
        runner_up=None,
        because=Because.TURN,
        sentence=words,
        settled=False,
        gain_strokes=bag.worth.saves if stand.known else None,
        gain_price=bag.price,
        letters=(turn.option.letter,),
    )
