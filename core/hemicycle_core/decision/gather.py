"""What a decision is made of: the player's clubs and the builds of the stand as options, each with how it is swung and
how likely it does what was asked."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import replace

from ..bag import Carried, HeadType
from ..brief import Job, Wish
from ..judge import Candidate, Case, Judgement, Kind, Liking, Played, Verdict
from ..judge.landings import usual_roll_m
from ..judge.strokes import USUAL_DRIVE_M
from ..judge.unhit import play_expected
from ..judge.weigh import Swing, Weighed, letter_of_own
from ..rack.expected import expected_as_said
from ..samples.averages import average, values_of
from .options import BagClub, Option, TestedClub

SLACK_SHARE = 1.0  # of half a window: a carry this far outside it closes the hole still
LONGEST_DRIVE = 1.15  # of what the longest other club does in all, for a driver that nobody hit
LEAST_ROLL_M = 20.0  # a ball comes back no further than this


def _as_hit(build: Candidate) -> BagClub | None:
    """A club as far as its shots tell; None where none has a carry."""
    carry = average(values_of(build.shots, "carry_m")) or average(values_of(build.shots, "carry_m", kept_only=False))
    if carry is None:
        return None
    total = average(values_of(build.shots, "total_m"))
    # A total far under the carry is one that was misread: then it rolls as is usual.
    read = total is not None and total.mean >= carry.mean - LEAST_ROLL_M
    stops = total.mean if total is not None and read else carry.mean + usual_roll_m(build.head_type)
    name = build.name or build.letter
    club = Carried(
        name, build.head_type, carry.mean, stops, loft_deg=build.loft_deg, spread_m=carry.sd, total_read=read
    )
    return BagClub(club, build.letter or name)


def own_clubs(own: Sequence[Candidate]) -> list[BagClub]:
    """The player's clubs in favour as far as shots tell."""
    found = (_as_hit(each) for each in own if not each.out_of_favour)
    return [replace(each, key=each.club.name) for each in found if each is not None]


def drive_of(clubs: Sequence[BagClub]) -> float:
    """How far the player drives, metres; that of usual players where nothing of his bag is known."""
    drivers = [each.club.total_m for each in clubs if each.club.head_type is HeadType.DRIVER]
    if drivers:
        return max(drivers)
    return max((LONGEST_DRIVE * each.club.total_m for each in clubs), default=USUAL_DRIVE_M)


def own_options(clubs: Sequence[BagClub], weighed: Weighed, jobs: Sequence[Job]) -> list[Option]:
    """The clubs of the bag as options: by their shots where they were hit."""
    letters = [letter_of_own(each.club.name) for each in clubs]
    unhit = [each for each, letter in zip(clubs, letters, strict=True) if letter not in weighed.swings]
    guessed = dict(zip((each.club.name for each in unhit), _guessed(unhit, weighed, jobs), strict=True))
    made = []
    for each, letter in zip(clubs, letters, strict=True):
        hit = letter in weighed.swings
        swing, played = (weighed.swings[letter], weighed.played[letter]) if hit else guessed[each.club.name]
        key = each.key or each.club.name
        made.append(Option(key, each.club, swing, played, letter, own=True, fixed=each.fixed, hit=hit))
    return made


def unhit_options(clubs: Sequence[BagClub], weighed: Weighed, jobs: Sequence[Job]) -> list[Option]:
    return [
        Option(each.key, each.club, swing, played, price=each.price, hit=False)
        for each, (swing, played) in zip(clubs, _guessed(clubs, weighed, jobs), strict=True)
    ]


def _guessed(clubs: Sequence[BagClub], weighed: Weighed, jobs: Sequence[Job]) -> list[tuple[Swing, tuple[Played, ...]]]:
    """Clubs that were not hit, as they should do by the player's others, with the carry that is known of each."""
    flights = []
    for each in clubs:
        club = each.club
        flight = each.expected or expected_as_said(club.head_type, club.carry_m, club.carry_sd_m)
        flights.append((club.name, replace(flight, carry_m=club.carry_m, carry_sd_m=club.carry_sd_m)))
    return play_expected(flights, weighed.pooled, jobs, eases=weighed.eases, drive_m=weighed.drive_m)


def build_options(
    cases: Sequence[Case], judgement: Judgement, builds: Mapping[str, BagClub], replaced: str | None
) -> list[Option]:
    """The builds of the stand as options, those without a shot that counts left out."""
    made = []
    for case, verdict in zip(cases, judgement.verdicts, strict=True):
        build = case.candidate
        seen, swing = builds.get(build.letter) or _as_hit(build), judgement.weighed.swings.get(build.letter)
        if swing is None or seen is None:
            continue
        made.append(
            Option(
                key=seen.key or build.letter,
                club=seen.club,
                swing=swing,
                played=judgement.weighed.played[build.letter],
                letter=build.letter,
                hit=verdict.kind is not Kind.NEEDS_SHOTS,
                price=build.price,
                liking=build.liking,
                answered=build.answered or build.liking is not Liking.NEUTRAL,
                length_m=build.length_m if build.length_stated else None,
                slot=case.slot,
                likely=_chance(case, verdict, judgement.weighed),
                replaces=case.replaces or replaced or "",
                head=build.head,
            )
        )
    return made


def turned_options(built: Sequence[Option], judgement: Judgement) -> list[Option]:
    """The builds that a turn which is left, or a bend, is predicted to bring to what was asked, as they are then."""
    of, made = {option.letter: option for option in built}, []
    for verdict in judgement.verdicts:
        turn, option = verdict.turn, of.get(verdict.letter)
        if turn is None or not turn.after or option is None:
            continue
        further, steeper = turn.gain("carry_m"), turn.gain("landing_deg")
        swing, played = judgement.weighed.moved(verdict.letter, further, steeper, turn.error["carry_m"])
        roll = option.club.roll_m + swing.run.typical_m - option.swing.run.typical_m
        carry = option.club.carry_m + further
        made.append(
            replace(
                option,
                key=f"{option.key} turned",
                club=replace(option.club, carry_m=carry, total_m=carry + roll),
                swing=swing,
                played=tuple(played),
                letter="",
                hit=False,
                turned=verdict.letter,
            )
        )
    return made


def tested_options(options: Sequence[Option], tested: Sequence[TestedClub]) -> list[Option]:
    """The builds that were hit in tests alone: of one loft with the club they were held beside, they carry as it
    does."""
    of = {option.key: option for option in options}
    return [
        replace(
            of[each.key],
            key=each.fresh,
            club=replace(of[each.key].club, name=each.name),
            letter=each.letter,
            own=False,
            fixed=False,
            hit=False,
            price=each.price,
            liking=each.liking,
            replaces=each.old,
        )
        for each in tested
        if each.letter and each.same_loft and each.key in of and each.fresh not in of
    ]


def closes(case: Case) -> tuple[float, float] | None:
    """Between which carries a club closes the hole that a build is tried for, or does the yardage that was named,
    metres; None where no carry is asked for by itself."""
    carry = next((target for target in case.targets if target.quantity == "carry_m"), None)
    if case.wanted.wish is not Wish.GAP or carry is None or carry.low is None or carry.high is None:
        return None
    slack = 0.0 if case.named else SLACK_SHARE * (carry.high - carry.low) / 2
    return carry.low - slack, carry.high + slack


def _chance(case: Case, verdict: Verdict, weighed: Weighed) -> float:
    """That a build does what was asked: of a gap, that it carries to where it closes the hole, whatever its flight,
    which its worth reckons with; else the verdict's own."""
    ends = closes(case)
    if ends is None:
        return verdict.chance or 0.0
    if verdict.kind is Kind.NOT_SUPPORTED:
        return 0.0
    return weighed.centres[case.candidate.letter].played.chance(*ends)
