"""Drafting the handover from a loaded session: what may be chosen, the bag it makes and why the others lost."""

from __future__ import annotations

from collections.abc import Collection, Iterable, Sequence
from dataclasses import replace
from decimal import Decimal

from fitting.models import BagPlan, Build
from fitting.planning_pictures import ClubLine
from fitting.plans import Planning
from fitting.read import Loaded
from fitting.show_bag import between_picture, name_of
from hemicycle_core.bag import Carried, best_plan, coverage, rebagged
from hemicycle_core.errors import BadInput
from hemicycle_core.judge import Kind, Verdict
from hemicycle_core.judge.choice import why_it_lost

from .pictures import BagSide, Choice, LostBuild, PlanLine, SheetLine, Tested

CAUTIONS = [
    "Fourteen clubs at most in play; heads and grooves must conform; a setting may not be changed during a round.",
    "After any change of setting: check that the head is tight and the sleeve screw at the maker’s torque.",
    "The makers’ instructions, local rules and licensed professionals come first. This is not medical or legal advice.",
]


def bag_side(loaded: Loaded, added: Sequence[Build] = (), dropped: Collection[Build] = ()) -> BagSide:
    """The bag as it is, or with candidates in it and own clubs out of it."""
    pairs = [(build, club) for build in loaded.own if (club := loaded.carried(build)) is not None]
    stay = [(build, club) for build, club in pairs if build not in dropped]
    come = [
        (build, replace(club, name=name_of(build))) for build in added if (club := loaded.carried(build)) is not None
    ]
    builds = {club.name: build for build, club in (*stay, *come)}
    covered = coverage([club for _, club in (*stay, *come)], loaded.rules)
    ids = {name: build.pk for name, build in builds.items()}
    return BagSide(
        clubs=[_line(builds[club.name], club) for club in covered.clubs],
        between=[between_picture(gap, ids) for gap in covered.between],
        headline=rebagged(loaded.coverage, covered, [club.name for _, club in come], [b.name for b in dropped]),
        club_count=len(loaded.own) - len(dropped) + len(added),
    )


def _line(build: Build, club: Carried) -> ClubLine:
    return ClubLine(
        id=build.pk,
        letter=build.letter,
        name=build.name,
        head_type=club.head_type.value,
        loft_deg=club.loft_deg,
        carry_m=club.carry_m,
        total_m=club.total_m,
        new=not build.is_own,
    )


def build_sheet(build: Build) -> list[SheetLine]:
    """What is ordered: exactly what was hit."""
    head, shaft = build.head, build.shaft
    rows: list[tuple[str, str | None]] = [
        ("Head", f"{head.maker} {head.model} {head.label}" if head else build.name),
        ("Stated loft", None if build.stated_loft_deg is None else f"{build.stated_loft_deg:g}°"),
        ("Set loft, as hit", None if build.set_loft_deg is None else f"{build.set_loft_deg:g}°"),
        ("Lie", f"{head.lie_deg:g}°" if head and head.lie_deg else None),
        ("Length", None if build.length_m is None else f"{build.length_m / 0.0254:.4g} in"),
        ("Shaft", f"{shaft.name}, {shaft.weight_g} g, {shaft.flex}, {shaft.material}" if shaft else None),
        ("Sleeve", (f"turns {head.sleeve_deg:g}°" if head.sleeve_deg else "bonded") if head else None),
        ("Price", None if build.price is None else f"{build.price}"),
    ]
    return [SheetLine(label, value) for label, value in rows if value]


def _verdicts(loaded: Loaded) -> dict[str, Verdict]:
    """Of the builds that were hit enough to be recommended, by letter."""
    return {verdict.letter: verdict for verdict in loaded.verdicts if verdict.kind is not Kind.NEEDS_SHOTS}


def tested(loaded: Loaded) -> list[Tested]:
    """Every build that may be recommended."""
    verdicts = _verdicts(loaded)
    return [_tested(build, verdicts[build.letter]) for build in loaded.candidates if build.letter in verdicts]


def _tested(build: Build, verdict: Verdict) -> Tested:
    return Tested(
        build=build.pk,
        letter=build.letter,
        name=build.name,
        headline=verdict.headline,
        why=verdict.why,
        sheet=build_sheet(build),
        price=None if build.price is None else str(build.price),
        prediction="" if verdict.settled else "Not settled: more shots would make this surer.",
    )


def draft(loaded: Loaded, builds: Collection[int], dropped: Collection[int] = ()) -> Choice:
    """The recommendation of these builds, with these own clubs left out; none of either keeps what is there.

    Raises BadInput for a build that was not hit enough, and for a club that is not the player's or is fixed.
    """
    verdicts = _verdicts(loaded)
    hit = [build for build in loaded.candidates if build.letter in verdicts]
    come = [build for build in hit if build.pk in builds]
    leave = [build for build in loaded.own if build.pk in dropped]
    if len(come) != len(set(builds)):
        least = loaded.limits.least_shots
        raise BadInput(f"Only builds with at least {least} kept shots can be recommended.", field="builds")
    if len(leave) != len(set(dropped)):
        raise BadInput("Only clubs of the player’s own bag can be left out.", field="dropped")
    if fixed := next((build for build in leave if build.fixed), None):
        raise BadInput(f"The {fixed.name} is fixed: it stays in the bag. Free it in the Brief first.", field="dropped")
    after = bag_side(loaded, come, leave)
    clubs = [_tested(build, verdicts[build.letter]) for build in come]
    prices = [build.price for build in come if build.price is not None]
    return Choice(
        name=_name(come, leave),
        clubs=clubs,
        dropped=[build.name for build in leave],
        reasons=_reasons(clubs, leave, after),
        lost=[_lost(build, verdicts, come) for build in hit if build not in come],
        after=after,
        over=max(0, after.club_count - loaded.session.most_clubs),
        price=str(sum(prices, Decimal(0))) if prices else None,
    )


def _name(come: Sequence[Build], leave: Sequence[Build]) -> str:
    if come:
        return " and ".join(build.name for build in come)
    return f"Leave out the {' and the '.join(build.name for build in leave)}" if leave else "Keep what is there"


def _reasons(clubs: Sequence[Tested], leave: Sequence[Build], after: BagSide) -> str:
    if not (clubs or leave):
        return f"The bag stays as it is. {after.headline}"
    said = [each.why if len(clubs) == 1 else f"{each.letter}: {each.why}" for each in clubs]
    if leave:
        said.append(f"Left out: {', '.join(build.name for build in leave)}.")
    return " ".join([*said, after.headline])


def _lost(build: Build, verdicts: dict[str, Verdict], come: Sequence[Build]) -> LostBuild:
    chosen = verdicts[come[0].letter] if come else None
    return LostBuild(build.letter, build.name, why_it_lost(verdicts[build.letter], chosen))


def suggestion(loaded: Loaded) -> tuple[list[int], list[int], str]:
    """Which builds to propose, which own clubs to leave out, and the rule they were found by: for one place the
    verdict's own choice, for more the best bag that the builds hit make."""
    if loaded.session.clubs_to_place == 1:
        choice = loaded.judgement.choice
        return [build.pk for build in loaded.candidates if build.letter == choice.letter], [], choice.sentence
    planning = Planning(loaded, {})
    hit = [piece for piece in planning.pieces if piece.own or piece.hit]
    found = best_plan(hit, loaded.session.clubs_to_place, planning.demand, loaded.rules, planning.limits)
    come, leave = _sorted_out(loaded, {int(key) for key in found.bag.plan.keys})
    verdicts = _verdicts(loaded)
    return [build.pk for build in come if build.letter in verdicts], [build.pk for build in leave], found.sentence


def _sorted_out(loaded: Loaded, keys: Collection[int]) -> tuple[list[Build], list[Build]]:
    """Of the clubs of a plan: the candidates that come in, and the own ones with a carry that it leaves out; one that
    was fixed since stays."""
    come = [build for build in loaded.candidates if build.pk in keys]
    loose = [build for build in loaded.own if not build.fixed and loaded.carried(build) is not None]
    return come, [build for build in loose if build.pk not in keys]


def plan_lines(loaded: Loaded, kept: Iterable[BagPlan]) -> list[PlanLine]:
    """The plans that were kept, as choices. Of a pair that is swapped by course both come in."""
    verdicts, made = _verdicts(loaded), []
    for plan in kept:
        come, leave = _sorted_out(loaded, {build.pk for build in plan.builds.all()})
        hit = [build.pk for build in come if build.letter in verdicts]
        unhit = [build.letter for build in come if build.letter not in verdicts]
        made.append(PlanLine(plan.name, hit, [build.pk for build in leave], unhit))
    return made
