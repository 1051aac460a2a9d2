"""Builds and shots as they are shown."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

from common.api import shown
from hemicycle_core.answers.clubs import mean_of
from hemicycle_core.bag import HeadType
from hemicycle_core.facts import Club, HitIn
from hemicycle_core.judge.eased import part_swings
from hemicycle_core.judge.feel import last_said
from hemicycle_core.judge.held import held_on
from hemicycle_core.judge.swing_words import struck_clean as clean_of
from hemicycle_core.kept import kept, new_store
from hemicycle_core.rack.specification import detail, shaft_words
from hemicycle_core.runs import Ball, ball_words
from hemicycle_core.said import NOTHING, Said, as_said, joined
from hemicycle_core.samples import certainty, cost_of_a_miss, pattern
from hemicycle_core.samples.averages import average, readings_of, smash, values_of
from hemicycle_core.samples.day import Then, day_of, day_words
from hemicycle_core.samples.drift import Steadiness, steadiness
from hemicycle_core.samples.outliers import questioned, smash_doubted
from hemicycle_core.shots import READINGS, Source, Strike, least_trusted
from hemicycle_core.shots import Shot as CoreShot
from hemicycle_core.units import ninety
from shop.models import AuditEntry, User
from shop.trail import in_words, named

from ...actions.acts import stacks
from ...domain.rows import core_shot
from ...domain.session import JudgedSession
from ...models import FittingSession, Shot
from ..schemas.bag import SpanOut
from ..schemas.bay import ActLine, ActsOut, BuildOut, BuildSeenOut, FeelOut, ShotOut

QUESTIONS = new_store()
DIGITS = 4  # of readings: a tenth of a millimetre, and less than any monitor tells


def present_build(judged: JudgedSession, build: Club) -> BuildOut:
    shots = build.shots
    carry = mean_of(build, "carry_m")
    known = certainty(carry) if carry else None
    # A candidate's certainty is its verdict's, which the player's other builds inform.
    verdict = next((each for each in judged.decided.verdicts if each.letter == build.letter), None)
    carried = judged.known.carried.get(build.key)
    spec = build.specification

    return BuildOut(
        **_stated(build),
        head=build.head.key if build.head else None,
        detail=detail(spec),
        shaft=as_said(shaft_words(spec)),
        price=spec.price,
        turned_from=build.turned_from_words,
        settings_deg=build.head.rack.lofts_deg if build.head else [],
        carry_m=carried.carry_m if carried else None,
        total_m=carried.total_m if carried else None,
        total_read=bool(carried and carried.total_read),
        carry_from=judged.known.carry_from[build.key],
        known_from="" if carry else build.known_from,
        carry_doubt_m=ninety(carried.carry_sd_m) if carried else None,
        spread_m=known.spread if known else None,
        **_averaged(shots),
        half_width_m=verdict.half_width_m if verdict else (known.half_width if known else None),
        settled=verdict.settled if verdict else bool(known and known.settled),
        more=verdict.more if verdict else (known.more if known else None),
        wanted={target.quantity: SpanOut(target.low, target.high) for target in judged.stand.wanted_of(build)},
        roll_known=not build.is_own and judged.known.measured_roll(build) is not None,
        lie_deg=build.made.lie_deg,
        of_set=build.is_of_set,
        kept_out=build.kept_out,
        uses=dict(build.uses or {}),
        complaints=list(build.complaints),
        part_swings=part_swings(shots) if build.head_type in (HeadType.WEDGE, HeadType.IRON) else [],
        assumed=list(build.assumed),
        work=[each.words for each in build.work],
        feel=_feel(build),
        held=None if judged.work.job_counted is None else held_on(shots, judged.work.job_counted),
    )


# Of a build as they were stated or are known, by the names that both have.
STATED = (
    "letter", "name", "head_type", "stated_loft_deg", "set_loft_deg", "measured_loft_deg", "own_shaft", "age_rounds",
    "wear", "length_m", "fixed", "accepted", "liking", "out_of_favour", "stock_swing", "bounce_deg", "sole", "finish",
    "grip", "stamping", "on_order", "kept_for", "borrowed", "cautions",
)  # fmt: skip


def _stated(build: Club) -> dict[str, Any]:
    return {"id": build.key, **{name: getattr(build, name) for name in STATED}}


def _averaged(shots: Sequence[CoreShot]) -> dict[str, Any]:
    """The fields of `Averaged`."""
    carries, spread = values_of(shots, "carry_m"), pattern(shots)

    def averages(*, kept_only: bool) -> dict[str, float]:
        read = readings_of(shots, kept_only=kept_only)
        means = {key: average(read.get(key, [])) for key in READINGS}
        return {key: round(mean.mean, DIGITS) for key, mean in means.items() if mean is not None}

    return {
        "kept": sum(shot.kept for shot in shots),
        "set_aside": sum(shot.aside for shot in shots),
        "old_swing": sum(shot.stock and shot.old_swing for shot in shots),
        "miss_cost_m": cost_of_a_miss(shots),
        "longest_m": max(carries, default=None),
        "shortest_m": min(carries, default=None),
        "smash": smash(shots),
        "depth_m": spread.depth_m if spread else None,
        "width_m": spread.width_m if spread else None,
        "averages": averages(kept_only=True),
        "averages_all": averages(kept_only=False),
        "sources": least_trusted(shot.sources for shot in shots),
    }


def _feel(build: Club) -> FeelOut | None:
    said = build.felt
    last = last_said(said)
    if last is None:
        return None
    times = sum(each.says for each in said)
    marks = {felt.value: mark for felt, mark in last.marks.items()}
    return FeelOut(marks, last.veto, last.word, last.words, last.numbers, times)


def seen_at_once(session: FittingSession, shot: Shot) -> dict[str, Any]:
    """A shot, and what its build's own shots say with it, as screens draw them before anything is read anew."""
    run, build = shot.run.known, shot.run.build
    mine = Shot.objects.of(session.shop_id).filter(session=session, run__struck_ball=Ball.OWN)
    usual = Ball.OWN if run.struck_ball is Ball.OWN or mine.exists() else run.struck_ball

    def knows(each: Shot) -> CoreShot:
        return core_shot(each, each.run.known, session.asked.swing, build.stock_swing, usual)

    beside = Shot.objects.of(session.shop_id).filter(run__build=build, run__imported__undone_at=None)
    shots = [knows(each) for each in beside.select_related("run").order_by("number")]
    carry = average(values_of(shots, "carry_m"))
    averages = BuildSeenOut(
        id=build.pk,
        carry_m=carry.mean if carry else None,
        spread_m=certainty(carry).spread if carry else None,
        **_averaged(shots),
    )
    return {"shot": shown(present_shot(shot, run, known=knows(shot))), "build": shown(averages)}


def present_shot(shot: Shot, run: HitIn, usual: Mapping[str, Source] | None = None, *, known: CoreShot) -> ShotOut:
    """run: that it was hit in. usual: the sources that need not be named; without them all but measured ones are.
    known: what the shot says by now."""
    usual = usual or {}
    return ShotOut(
        id=shot.pk,
        number=shot.number,
        build=shot.run.build_id,
        run=shot.run_id,
        counts=known.speaks_for_carry,
        aside=shot.aside,
        aside_reason=shot.aside_reason,
        strike=Strike(shot.strike) if shot.strike else None,
        protocol=run.protocol,
        intent=known.intent,
        lie=known.lie if run.lie else None,
        place=run.place,
        apart=as_said(known.apart),
        as_hit_m=shot.carry_m if shot.calm else None,
        old_swing=known.old_swing,
        misread=shot.misread,
        distance="carry_m" not in shot.void,
        line="offline_m" not in shot.void,
        readings={key: round(value, DIGITS) for key, value in known.values.items()},
        check_club=shot.check_club,
        instead=shot.instead_id,
        typed=shot.typed,
        sources={key: source for key, source in known.sources.items() if source is not usual.get(key, Source.MEASURED)},
    )


TRAIL = 200  # acts: what a session holds but for the longest


def present_acts(session: FittingSession, actor: User, *, trail: bool = True) -> ActsOut:
    """What was done in a session, where the trail is wanted, and what this person can take back or do again."""
    done, undone = stacks(session, actor)
    lately = AuditEntry.objects.of(session.shop_id).filter(of_session=session.pk).select_related("actor")
    latest = lately.order_by("-id")[:TRAIL] if trail else []
    return ActsOut(
        undo=named(done[-1]) if done else NOTHING,
        redo=named(undone[-1]) if undone else NOTHING,
        trail=[ActLine(entry.at, in_words(entry)) for entry in latest],
    )


def usual_sources(shots: Sequence[CoreShot]) -> dict[str, Source]:
    """Where each reading comes from in most shots, where that is not the monitor's measuring."""
    counts: dict[str, dict[Source, int]] = {}
    for shot in shots:
        for key, source in shot.sources.items():
            of = counts.setdefault(key, {})
            of[source] = of.get(source, 0) + 1
    most = {key: max(of, key=lambda source: (of[source], source.value)) for key, of in counts.items()}
    return {key: source for key, source in most.items() if source is not Source.MEASURED}


def questions(judged: JudgedSession) -> dict[int, Said]:
    """Kept shots that look unlike the others of their build, by shot."""
    rows, clubs = judged.rows, judged.facts.clubs
    groups = [(club.shots, club.head_type) for club in clubs]
    found: dict[int, Said] = {}
    for club, unlike in zip(clubs, kept(QUESTIONS, questioned, groups), strict=True):
        mine = [shot.pk for shot, _ in rows.by_build.get(club.key, [])]
        found |= {mine[each.index]: each.sentence for each in unlike}
    return found


def struck_clean(judged: JudgedSession) -> dict[int, float]:
    """Of shots that were missed, what each would have carried struck as the clean ones of its build, metres."""
    rows, found = judged.rows, {}
    for club in judged.facts.clubs:
        clean = clean_of(club.shots)
        for shot, known in rows.by_build.get(club.key, []):
            missed = known.counts and known.stock and (known.aside or known.strike is not None)
            would = clean.at(known) if clean is not None and missed else None
            if would is not None:
                found[shot.pk] = would
    return found


def about_the_monitor(judged: JudgedSession) -> Said:
    """What is to be said of the bay's monitor and of the ball, once for all shots."""
    doubted = smash_doubted([(club.shots, club.head_type) for club in judged.facts.clubs])
    return joined([doubted, ball_words(judged.rows.ball)])


def day(judged: JudgedSession) -> Said:
    """What is to be said of the day, with the builds to hit again on another."""
    facts, choice = judged.facts, judged.decision.choice
    known = [
        (club.name, club.shots, Then(**swung))
        for club in facts.own
        if (swung := (club.known_flight or {}).get("swung"))
    ]
    found = day_of(known, facts.monitor, facts.visit.day)
    return day_words(found, [letter for letter in (choice.letter, choice.runner_up) if letter])


def steady(judged: JudgedSession) -> Steadiness:
    """Whether the player is still the same; learning is looked for with a candidate in hand."""
    facts = judged.facts
    hit = [(each.club, each.shot) for each in facts.hit if each.here and each.shot.kept]
    strange = next((club.key for club in facts.candidates if club.key == facts.in_hand), None)
    return steadiness(hit, {club.key: club.length_in_a_set_m for club in facts.clubs}, strange)
