"""The Bench: verdicts, flights, patterns and comparisons of the candidates and the neighbours."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import combinations

from hemicycle_core.answers.claims import claims_of
from hemicycle_core.answers.clubs import mean_of
from hemicycle_core.answers.space import held_against
from hemicycle_core.bag import as_neighbours, serves
from hemicycle_core.decision import Worth
from hemicycle_core.facts import Club
from hemicycle_core.facts.session import air_of
from hemicycle_core.flight import Launch, drawn_path
from hemicycle_core.judge import (
    Candidate,
    Comparison,
    HitClub,
    Metric,
    Verdict,
    compare,
    elsewhere,
    predict,
    usual_changes,
)
from hemicycle_core.judge.whatif import OTHER_AIRS, USUAL_LIE_DEG, other_airs
from hemicycle_core.protocols import Finding, findings
from hemicycle_core.protocols.shaped import against_the_shape, span_words
from hemicycle_core.said import NOTHING
from hemicycle_core.samples import pattern
from hemicycle_core.samples.lies import by_lie
from hemicycle_core.units import chance_text

from ...domain.session import JudgedSession
from ..schemas.bench import (
    AirOut,
    BenchOut,
    BoardLine,
    BuildWorth,
    ChangeOut,
    ChoiceOut,
    ComparisonOut,
    FactOut,
    FindingOut,
    NeighboursOut,
    PatternOut,
    PlayedOut,
    VerdictOut,
    WhatIfOut,
)
from .plans import present_worth
from .tests import present_results
from .wedges import present_claims, present_flights

METRICS = (Metric.SAVES, Metric.JOBS, Metric.CARRY, Metric.LANDING, Metric.STRAIGHT)
LAUNCH = ("ball_speed_mps", "launch_deg", "spin_rpm")


def present_verdict(judged: JudgedSession, verdict: Verdict) -> VerdictOut:
    facts = judged.facts
    build = next(build for build in facts.candidates if build.letter == verdict.letter)
    slot = judged.work.slot_of(build)
    return VerdictOut(
        build=build.key,
        letter=verdict.letter,
        slot=slot.index if slot else 0,
        kind=verdict.kind,
        headline=verdict.headline,
        why=verdict.why,
        chance=verdict.chance,
        chance_words=chance_text(verdict.chance),
        settled=verdict.settled,
        more=verdict.more,
        against=verdict.against,
        change=verdict.change,
        turn_deg=verdict.turn.change.amount if verdict.turn else None,
        half_width_m=verdict.half_width_m,
        at_first=judged.decided.at_first.get(verdict.letter, NOTHING),
        shape=against_the_shape(build.shots, facts.brief.shape, left_handed=facts.left_handed),
        rounds=verdict.rounds,
        played=[
            PlayedOut(
                each.job.name,
                each.job.uses_per_round,
                each.success,
                *each.interval,
                **each.fails,
                lie=each.met,
                eased_m=each.eased_m,
                never=each.never,
            )
            for each in verdict.played
        ],
        facts=[
            FactOut(fact.quantity, fact.mean, fact.low, fact.high, fact.good, fact.source) for fact in verdict.facts
        ],
    )


def _path(judged: JudgedSession, build: Club, carry_m: float, peak_m: float | None) -> list[list[float]]:
    """The flight of the average launch, as large as the average carry and height of the kept shots."""
    means = [mean_of(build, key) for key in LAUNCH]
    if any(mean is None for mean in means):
        return []
    launch = Launch(*(mean.mean for mean in means if mean is not None))
    air, scales = air_of(judged.facts, build), judged.known.anchored.scales
    path = drawn_path(launch, carry_m=carry_m, peak_m=peak_m, air=air, scales=scales)
    return [[round(float(x), 2), round(float(z), 2)] for x, z in path]


def present_flight(judged: JudgedSession, build: Club) -> BoardLine | None:
    club = judged.known.carried.get(build.key)
    if club is None:
        return None
    offline = mean_of(build, "offline_m")
    found = pattern(build.shots)
    return BoardLine(
        build=build.key,
        letter=build.letter,
        name=build.name,
        carry_m=club.carry_m,
        total_m=club.total_m,
        offline_m=offline.mean if offline else None,
        path=_path(judged, build, club.carry_m, club.peak_m),
        pattern=None
        if found is None
        else PatternOut(
            carry_m=found.carry_m,
            offline_m=found.offline_m,
            major_m=found.major_m,
            minor_m=found.minor_m,
            tilt_deg=found.tilt_deg,
            depth_m=found.depth_m,
            width_m=found.width_m,
        ),
    )


def present_choice(judged: JudgedSession) -> ChoiceOut:
    decision = judged.decision
    choice = decision.choice
    known = decision.worths if decision.known else {}
    return ChoiceOut(
        letter=choice.letter,
        letters=list(choice.letters),
        leaves=list(decision.bag.dropped),
        because=choice.because.value,
        runner_up=choice.runner_up,
        sentence=choice.sentence,
        settled=choice.settled,
        chance_best=choice.chance_best,
        more_with=choice.more.words if choice.more else None,
        more=choice.more.count if choice.more else None,
        more_in_vain=choice.more is not None and choice.more.in_vain,
        worths=[_worth(letter, worth) for letter, worth in sorted(known.items())],
    )


def _worth(letter: str, worth: Worth) -> BuildWorth:
    return BuildWorth(letter, worth.saves, *worth.interval, present_worth(worth))


def _pairs(judged: JudgedSession, candidates: Sequence[Candidate]) -> list[Comparison | None]:
    """Every two builds for one place: a hybrid and a wedge are never held against each other. By what they save, as the
    decision has it; by the jobs where nothing can be said of that."""
    weighed, saved = judged.decided.judgement.weighed, judged.decision.saved
    slots = {case.candidate.letter: case.slot for case in judged.stand.cases}
    metrics = [metric for metric in METRICS if metric is not (Metric.SAVES if saved is None else Metric.JOBS)]
    return [
        compare(a, b, metric=metric, weighed=saved if metric is Metric.SAVES else weighed, thresholds=judged.thresholds)
        for metric in metrics
        for a, b in combinations(candidates, 2)
        if slots.get(a.letter) == slots.get(b.letter)
    ]


def present_bench(judged: JudgedSession) -> BenchOut:
    facts, gap = judged.facts, judged.work.gap
    candidates = [judged.stand.candidates[build.key] for build in facts.candidates]
    pairs = _pairs(judged, candidates)
    beside = held_against(judged.work)
    known = judged.known.carried
    carried = {build: known[build.key] for build in (*facts.candidates, *beside) if build.key in known}
    ids = {club.name: build.key for build, club in carried.items()}
    stand = {build: club for build, club in carried.items() if not build.is_own and not build.accepted}
    hit = [*facts.candidates, *(build for build in facts.own if build.shots)]
    found = {build: findings(build.shots, left_handed=facts.left_handed) for build in hit}
    return BenchOut(
        revision=judged.rows.session.revision,
        lines=[line for build in facts.candidates if (line := present_flight(judged, build)) is not None],
        neighbours=[line for build in beside if (line := present_flight(judged, build)) is not None],
        comparisons=[ComparisonOut(**vars(pair)) for pair in pairs if pair is not None],
        choice=present_choice(judged),
        findings=[_finding(build, each) for build, of_build in found.items() for each in of_build],
        serves={
            build.letter: serves(club, judged.bag.coverage, gap, [other for other in stand.values() if other != club])
            for build, club in stand.items()
        },
        side_by_side=[
            NeighboursOut(ids[two.lower], ids[two.upper], two.step_m, two.coverage_m, two.often, two.sentence)
            for a, b in combinations(carried.values(), 2)
            for two in (as_neighbours(a, b),)
        ],
        lies={
            build.letter: [each.sentence for each in found_from]
            for build in facts.candidates
            if (found_from := by_lie(build.shots))
        },
        spans={
            build.letter: words for build, of_build in found.items() if build.letter and (words := span_words(of_build))
        },
        flights=present_flights(judged),
        claims=present_claims(claims_of(judged.stand)),
        results=present_results(judged),
        eases=judged.decided.judgement.weighed.eases.sentence,
    )


def _finding(build: Club, found: Finding) -> FindingOut:
    told = {**vars(found), "by": dict(found.by), "at": dict(found.at)}
    return FindingOut(build=build.key, letter=build.letter, **told)


def present_what_if(judged: JudgedSession, build: Club) -> WhatIfOut:
    """What a change of this build would do, and what other air would, from its own kept shots."""
    shots, air, anchored = build.shots, air_of(judged.facts, build), judged.known.anchored
    sleeve = build.head.rack.sleeve_deg if build.head else 0.0
    hit = HitClub(
        lie_deg=(build.head.lie_deg if build.head else None) or USUAL_LIE_DEG,
        loft_deg=build.loft_deg,
        head_type=build.head_type,
        left_handed=judged.facts.left_handed,
    )
    made = predict(shots, usual_changes(sleeve_deg=sleeve), air=air, anchored=anchored, club=hit)
    moved = elsewhere(shots, other_airs(air), was=air, anchored=anchored)
    return WhatIfOut(
        build=build.key,
        letter=build.letter,
        shots=made[0].shots if made else 0,
        anchored=anchored.trusted,
        anchor=anchored.sentence,
        before=dict(next((each.before for each in made if each.before), {})),
        changes=[
            ChangeOut(
                kind=each.change.kind,
                label=each.change.label,
                words=each.change.words,
                amount=each.change.amount,
                after=dict(each.after),
                error=dict(each.error),
                face_closed_deg=each.face_closed_deg,
                lie_deg=each.lie_deg,
                bounce_deg=each.bounce_deg,
                start_deg=each.start_deg,
                start_error_deg=each.start_error_deg,
                start_m=each.start_m,
                directions=list(each.change.effect.directions),
                source=each.change.effect.source,
                caution=each.change.effect.caution or NOTHING,
            )
            for each in made
        ],
        elsewhere=[
            AirOut(label, each.carry_m, each.carry_error_m, each.landing_deg)
            for (label, _), each in zip(OTHER_AIRS, moved, strict=False)
        ],
    )
