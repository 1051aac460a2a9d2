"""Drafting the handover from a loaded session: each choice with the bag it makes and why the others lost."""

from __future__ import annotations

from dataclasses import replace

from fitting.models import Build
from fitting.planning_pictures import ClubLine
from fitting.read import Loaded
from fitting.show_bag import between_picture, name_of
from hemicycle_core.bag import Carried, coverage, left_open, replanned
from hemicycle_core.judge import Kind, Verdict
from hemicycle_core.judge.choice import why_it_lost

from .pictures import BagSide, Choice, LostBuild, SheetLine

CAUTIONS = [
    "Fourteen clubs at most in play; heads and grooves must conform; a setting may not be changed during a round.",
    "After any change of setting: check that the head is tight and the sleeve screw at the maker’s torque.",
    "The makers’ instructions, local rules and licensed professionals come first. This is not medical or legal advice.",
]


def bag_side(loaded: Loaded, extra: Build | None) -> BagSide:
    """The bag as it is, or with one candidate in it."""
    pairs = [(build, club) for build in loaded.own if (club := loaded.carried(build)) is not None]
    if extra is not None and (club := loaded.carried(extra)) is not None:
        pairs.append((extra, replace(club, name=name_of(extra))))
    builds = {club.name: build for build, club in pairs}
    covered = coverage([club for _, club in pairs], loaded.rules)
    ids = {name: build.pk for name, build in builds.items()}
    return BagSide(
        clubs=[_line(builds[club.name], club, extra) for club in covered.clubs],
        between=[between_picture(gap, ids) for gap in covered.between],
        headline=replanned(loaded.coverage, covered, name_of(extra)) if extra is not None else left_open(covered),
        club_count=len(loaded.own) + (extra is not None),
    )


def _line(build: Build, club: Carried, extra: Build | None) -> ClubLine:
    return ClubLine(
        id=build.pk,
        letter=build.letter,
        name=build.name,
        head_type=club.head_type.value,
        loft_deg=club.loft_deg,
        carry_m=club.carry_m,
        total_m=club.total_m,
        new=extra is not None and build.pk == extra.pk,
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


def choices(loaded: Loaded) -> list[Choice]:
    """Every tested candidate and, last, keeping what is there."""
    verdicts = {verdict.letter: verdict for verdict in loaded.verdicts if verdict.kind is not Kind.NEEDS_SHOTS}
    tested = [build for build in loaded.candidates if build.letter in verdicts]
    made = [_choice(loaded, build, verdicts) for build in tested]
    return [*made, _keep(loaded, verdicts)]


def _lost(loaded: Loaded, verdicts: dict[str, Verdict], chosen: Verdict | None) -> list[LostBuild]:
    names = {build.letter: build.name for build in loaded.candidates}
    return [
        LostBuild(letter, names[letter], why_it_lost(verdict, chosen))
        for letter, verdict in verdicts.items()
        if chosen is None or letter != chosen.letter
    ]


def _choice(loaded: Loaded, build: Build, verdicts: dict[str, Verdict]) -> Choice:
    verdict = verdicts[build.letter]
    after = bag_side(loaded, build)
    return Choice(
        build=build.pk,
        letter=build.letter,
        name=build.name,
        headline=verdict.headline,
        why=verdict.why,
        reasons=f"{verdict.why} {after.headline}",
        lost=_lost(loaded, verdicts, verdict),
        after=after,
        sheet=build_sheet(build),
        price=None if build.price is None else str(build.price),
        prediction="" if verdict.settled else "Not settled: more shots would make this surer.",
    )


def _keep(loaded: Loaded, verdicts: dict[str, Verdict]) -> Choice:
    before = bag_side(loaded, None)
    return Choice(
        build=None,
        letter="",
        name="Keep what is there",
        headline="Keep",
        why="Nothing changes and nothing is spent.",
        reasons=f"The bag stays as it is. {before.headline}",
        lost=_lost(loaded, verdicts, None),
        after=before,
        sheet=[],
        price=None,
        prediction="",
    )


def suggestion(loaded: Loaded) -> tuple[int | None, str]:
    """Which build to propose, and the rule it was found by."""
    choice = loaded.judgement.choice
    build = next((build for build in loaded.candidates if build.letter == choice.letter), None)
    return build.pk if build else None, choice.sentence
