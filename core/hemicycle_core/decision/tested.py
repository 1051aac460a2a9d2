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
from ..said import Form, Said, joined, money, say
from .choice import Because, Choice
from .options import Option, Plan, TestedClub
from .stand import LIKELY, Stand


def not_instead(may: Sequence[Option], stand: Stand) -> list[Option]:
    """The builds that may be proposed, without those that a test found no better than the club whose place they would
    take, where nothing else is asked that they do."""
    kept = {each.letter for each in stand.tested if each.outcome is Outcome.KEEP}
    return [option for option in may if option.letter not in kept or _does_more(option, stand)]


def _does_more(option: Option, stand: Stand) -> bool:
    if stand.asked.of_old:
        return stand.verdict[option.letter].kind in DOING
    return stand.asked.open.get(option.slot, False) and option.likely >= LIKELY


def after_tests(choice: Choice, plan: Plan | None, stand: Stand) -> tuple[Choice, Plan | None]:
    """The headline and the bag with what the tests found in them."""
    for each in stand.tested:
        if each.replaces:
            choice, plan = _replaced(choice, plan, each, stand)
        elif each.outcome is Outcome.KEEP and _carried(plan, each, stand):
            choice = _kept(choice, each, stand)
    return choice, plan


def _carried(plan: Plan | None, tested: TestedClub, stand: Stand) -> bool:
    """Whether the bag that is proposed still has the club."""
    return tested.key in (stand.weigher.today if plan is None else plan).keys


def _kept(choice: Choice, tested: TestedClub, stand: Stand) -> Choice:
    if tested.letter in choice.letters:
        return choice
    if choice.letters:
        return _told(choice, say("stays-after-tests", old=tested.old, why=tested.why), stand)
    return replace(_told(choice, say("keep-after-tests", old=tested.old, why=tested.why), stand), gain_price=0.0)


def _replaced(choice: Choice, plan: Plan | None, tested: TestedClub, stand: Stand) -> tuple[Choice, Plan | None]:
    """The old one leaves: for the build that was proposed in its place, else for the one it was tested beside."""
    options = {option.key: option for option in stand.weigher.options}
    own, new = options.get(tested.key), options.get(tested.fresh)
    names = {"letter": tested.letter, "old": tested.old, "why": tested.why}
    worth_it = say("replace-why-after-tests", old=tested.old, why=tested.why)
    if own is not None and not _carried(plan, tested, stand):
        return replace(choice, sentence=joined([choice.sentence, worth_it])), plan
    if own is not None and own.fixed:
        return _told(choice, say("fixed-all-the-same", why=worth_it), stand), plan
    if not tested.letter or (plan is not None and tested.fresh in plan.keys):
        return _told(choice, say("replace-by-a-new-one", old=tested.old, why=tested.why), stand), plan
    if own is None or new is None or not (new.hit or tested.same_loft):
        more = More(((tested.letter, stand.thresholds.least_shots),))
        told = _told(choice, say("hit-before-it-replaces", **names), stand)
        return told if choice.letters else replace(told, settled=False, more=more), plan
    today = stand.weigher.today if plan is None else plan
    with_it = Plan(today.keys - {tested.key} | {tested.fresh}, today.swap)
    budget = stand.weigher.limits.budget
    if budget is not None and stand.weigher.price(with_it) > budget:
        over = say("worth-replacing-over-the-budget", why=worth_it, budget=money(budget, form=Form.SHORT))
        return _told(choice, over, stand), plan
    bag, told = stand.weigher.weigh(with_it), _told(choice, say("replace-after-tests", **names), stand, first=True)
    return (
        replace(
            told,
            letter=choice.letter or tested.letter,
            letters=tuple(sorted({*choice.letters, tested.letter})),
            gain_strokes=bag.worth.saves if stand.known else None,
            gain_price=bag.price,
        ),
        with_it,
    )


def _told(choice: Choice, said: Said, stand: Stand, *, first: bool = False) -> Choice:
    """The headline with what a test says. Where nothing is proposed, that is the decision, beside what is said of the
    builds that no test told of. first: before what is proposed."""
    if choice.letters or choice.because is Because.TESTED:
        both = [said, choice.sentence] if first else [choice.sentence, said]
        return replace(choice, sentence=joined(both))
    told = {each.letter for each in stand.tested if each.outcome is not Outcome.OPEN}
    others = any(each.letter not in told and each.kind is not Kind.VETOED for each in stand.judgement.verdicts)
    if not others:
        return replace(choice, because=Because.TESTED, sentence=said, settled=True, chance_best=None, more=None)
    return replace(choice, because=Because.TESTED, sentence=joined([said, choice.sentence]))
