"""What tests found of a wedge that is played beside a new one counts before what a model says of the two.

A wedge that a test found worth replacing is replaced, though no window was drawn for it; one that is as good on the
ground as a fresh one is kept, though the fresh one would fill its place too.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from ..judge import Kind
from ..judge.stopping import More
from ..judge.verdict import DOING
from ..protocols.found import Outcome
from ..said import Said, joined, money, say
from ..said.quantity import Form
from .choice import Because, Choice
from .options import Option, Plan, TestedClub
from .stand import LIKELY, Stand


def not_instead(may: Sequence[Option], stand: Stand) -> list[Option]:
    """The builds that may be proposed, without those that a test found no better than the club whose place they would
    take, where nothing else is asked that they do."""
    kept = {each.letter: each for each in stand.tested if each.outcome is Outcome.KEEP}
    return [option for option in may if option.letter not in kept or _does_more(option, stand)]


def _does_more(option: Option, stand: Stand) -> bool:
    if stand.asked.of_old:
        return stand.verdict[option.letter].kind in DOING
    return stand.asked.open.get(option.slot, False) and option.likely >= LIKELY


def after_tests(choice: Choice, plan: Plan | None, stand: Stand) -> tuple[Choice, Plan | None]:
    """The headline and the bag with what the tests found in them."""
    for each in stand.tested:
        if each.replaces:
            choice, plan = _with_new(choice, plan, each, stand)
        elif each.outcome is Outcome.KEEP:
            choice = _with_old(choice, each, stand)
    return choice, plan


def _with_old(choice: Choice, tested: TestedClub, stand: Stand) -> Choice:
    """The old one stays. Where nothing else is proposed that is the recommendation, and it is told."""
    if tested.letter in choice.letters:
        return choice
    if choice.letters:
        return replace(choice, sentence=joined([choice.sentence, _stays(tested)]))
    if choice.because is Because.TESTED:
        return replace(choice, sentence=joined([choice.sentence, _kept(tested)]))
    open_ = {each.letter for each in stand.judgement.verdicts if each.kind is not Kind.VETOED} - _tested_letters(stand)
    rest = [choice.sentence] if open_ else []
    return replace(
        choice,
        because=Because.TESTED,
        sentence=joined([_kept(tested), *rest]),
        settled=choice.settled if open_ else True,
        gain_price=0.0,
        more=choice.more if open_ else None,
    )


def _hit_first(choice: Choice, tested: TestedClub, stand: Stand) -> Choice:
    """The old one is worth replacing, and where the new one carries is not known."""
    said = say("hit-before-it-replaces", letter=tested.letter, old=tested.old, why=tested.why)
    if choice.letters:
        return replace(choice, sentence=joined([choice.sentence, said]))
    more = More(((tested.letter, stand.thresholds.least_shots),))
    return replace(choice, because=Because.TESTED, sentence=said, settled=False, more=more)


def _tested_letters(stand: Stand) -> set[str]:
    return {each.letter for each in stand.tested if each.outcome is not Outcome.OPEN}


def _kept(tested: TestedClub) -> Said:
    return say("keep-after-tests", old=tested.old, why=tested.why)


def _stays(tested: TestedClub) -> Said:
    return say("stays-after-tests", old=tested.old, why=tested.why)


def _with_new(choice: Choice, plan: Plan | None, tested: TestedClub, stand: Stand) -> tuple[Choice, Plan | None]:
    """The old one leaves: for the build that was proposed in its place, else for the one it was tested beside."""
    weigher = stand.weigher
    today = weigher.today if plan is None else plan
    own = next((each for each in weigher.options if each.own and each.key == tested.key), None)
    why = say("replace-why-after-tests", old=tested.old, why=tested.why)
    there = tested.fresh in {each.key for each in weigher.options}
    if not tested.letter:
        said = say("replace-by-a-new-one", old=tested.old, why=tested.why)
        rest = [choice.sentence] if choice.letters or choice.because is Because.TESTED else []
        because = choice.because if choice.letters else Because.TESTED
        return replace(choice, because=because, sentence=joined([said, *rest]), settled=True, more=None), plan
    if own is not None and tested.key not in today.keys:
        return replace(choice, sentence=joined([choice.sentence, why])), plan
    if own is None or not there:
        return _hit_first(choice, tested, stand), plan
    if own.fixed:
        return replace(choice, sentence=joined([choice.sentence, say("fixed-all-the-same", why=why)])), plan
    with_it = Plan(today.keys - {tested.key} | {tested.fresh}, today.swap)
    budget = weigher.limits.budget
    if budget is not None and weigher.price(with_it) > budget:
        over = say("worth-replacing-over-the-budget", why=why, budget=money(budget, form=Form.SHORT))
        return replace(choice, sentence=joined([over, choice.sentence])), plan
    bag = weigher.weigh(with_it)
    letters = tuple(sorted({*choice.letters, tested.letter}))
    said = say("replace-after-tests", letter=tested.letter, old=tested.old, why=tested.why)
    further = bool(choice.letters) or choice.because is Because.TESTED
    return (
        replace(
            choice,
            letter=choice.letter or tested.letter,
            because=choice.because if choice.letters else Because.TESTED,
            sentence=joined([said, choice.sentence] if further else [said]),
            settled=choice.settled if choice.letters else True,
            chance_best=choice.chance_best if choice.letters else None,
            gain_strokes=bag.worth.saves if stand.known else None,
            gain_price=bag.price,
            more=choice.more if choice.letters else None,
            letters=letters,
        ),
        with_it,
    )
