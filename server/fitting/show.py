"""From a loaded session to its pictures."""

from __future__ import annotations

from collections.abc import Sequence
from typing import cast

from hemicycle_core.bag import HeadType
from hemicycle_core.brief.common import CommonJob, common_jobs
from hemicycle_core.judge import Verdict
from hemicycle_core.judge.advice import next_step
from hemicycle_core.samples import certainty, cost_of_a_miss
from hemicycle_core.samples.averages import average, values_of
from hemicycle_core.samples.drift import Drift, learning, speed_drift, swing_changes
from hemicycle_core.samples.meant import against_the_shape
from hemicycle_core.samples.outliers import questioned
from hemicycle_core.shots import READINGS, Source
from hemicycle_core.shots import Shot as CoreShot
from hemicycle_core.units import ninety

from . import pictures as p
from .known import core_shot
from .models import Build, FittingSession, Shot
from .read import Loaded
from .remember import Remembered, key_of
from .show_bag import bag_picture

LABELS = {key: reading.label for key, reading in READINGS.items()}


def status_of(session: FittingSession, *, has_shots: bool) -> p.Status:
    if session.agreed_at is not None:
        return "agreed"
    return "open" if has_shots or session.briefed_at is not None else "not_begun"


def person(session: FittingSession) -> p.PersonPicture:
    customer = session.customer
    return p.PersonPicture(id=customer.pk, name=customer.name, hand=customer.hand)


def brief_picture(loaded: Loaded) -> p.BriefPicture:
    session = loaded.session
    return p.BriefPicture(
        miss=session.miss,
        shape=cast(p.ShapeWord, session.shape),
        courses=[p.CoursePicture(**course) for course in session.courses],
        lies=list(session.lies),
        likes=cast(dict[str, p.LikingWord], session.likes),
        firmness=session.firmness,
        most_clubs=session.most_clubs,
        budget=None if session.budget is None else str(session.budget),
        pain=session.pain,
        notes=session.notes,
        done=session.briefed_at is not None,
        common=[_common(each) for each in common_jobs(loaded.bag, loaded.plan)],
        jobs=[
            p.JobPicture(
                name=job.name,
                kind=cast(p.JobWord, job.kind),
                distance_m=job.distance_m,
                carry_over_m=job.carry_over_m,
                width_m=job.width_m,
                depth_m=job.depth_m,
                firmness=cast(p.FirmnessWord, job.firmness),
                uses_per_round=job.uses_per_round,
                course=job.course,
                lie=job.lie,
            )
            for job in loaded.jobs
        ],
    )


def _common(common: CommonJob) -> p.JobPicture:
    job = common.job
    return p.JobPicture(
        name=job.name,
        kind=job.kind.value,
        distance_m=job.distance_m,
        carry_over_m=job.carry_over_m,
        width_m=job.width_m,
        depth_m=job.depth_m,
        firmness=job.firmness.value,
        uses_per_round=job.uses_per_round,
        lie=common.lie,
    )


def _detail(build: Build) -> str:
    """What the club is, in one line: loft as set, length and shaft."""
    parts = []
    if build.set_loft_deg is not None:
        turned = build.stated_loft_deg is not None and abs(build.set_loft_deg - build.stated_loft_deg) > 0.05
        parts.append(
            f"{build.stated_loft_deg:g}° set to {build.set_loft_deg:g}°" if turned else f"{build.set_loft_deg:g}°"
        )
    if build.length_m is not None:
        parts.append(f"{build.length_m / 0.0254:.4g} in")
    return ", ".join(parts)


def _sources(loaded: Loaded, build: Build) -> dict[str, str]:
    """The least trusted source of each reading over a build's shots."""
    rank = {Source.MEASURED: 0, Source.MODELLED: 1, Source.COMPUTED: 2}
    worst: dict[str, Source] = {}
    for shot in loaded.shots_of(build):
        for key, source in shot.sources.items():
            if rank[source] >= rank[worst.get(key, Source.MEASURED)]:
                worst[key] = source
    return {key: source.value for key, source in worst.items()}


def build_picture(loaded: Loaded, build: Build) -> p.BuildPicture:
    shots = loaded.shots_of(build)
    carry = loaded.mean(build, "carry_m")
    known = certainty(carry) if carry else None
    # A candidate's certainty is its verdict's, which the player's other builds inform.
    verdict = next((each for each in loaded.verdicts if each.letter == build.letter), None)
    carried = loaded.carried(build)

    def averages(*, kept_only: bool) -> dict[str, float]:
        means = {key: average(values_of(shots, key, kept_only=kept_only)) for key in READINGS}
        return {key: mean.mean for key, mean in means.items() if mean is not None}

    return p.BuildPicture(
        id=build.pk,
        letter=build.letter,
        name=build.name,
        head_type=build.head_type,
        detail=_detail(build),
        shaft=f"{build.shaft.name} {build.shaft.weight_g} g {build.shaft.flex}" if build.shaft else "",
        stated_loft_deg=build.stated_loft_deg,
        set_loft_deg=build.set_loft_deg,
        length_m=build.length_m,
        price=None if build.price is None else str(build.price),
        fixed=build.fixed,
        liking=cast(p.LikingWord, build.liking),
        turned_from=build.turned_from.letter if build.turned_from else "",
        sleeve_deg=build.head.sleeve_deg if build.head else 0.0,
        carry_m=carried.carry_m if carried else None,
        total_m=carried.total_m if carried else None,
        carry_from="hit" if carry else ("typed" if build.typed_carry_m is not None else "none"),
        carry_doubt_m=ninety(carried.carry_sd_m) if carried else None,
        spread_m=known.spread if known else None,
        kept=sum(shot.kept for shot in shots),
        set_aside=sum(shot.aside for shot in shots),
        half_width_m=verdict.half_width_m if verdict else (known.half_width if known else None),
        settled=verdict.settled if verdict else bool(known and known.settled),
        more=verdict.more if verdict else (known.more if known else None),
        miss_cost_m=cost_of_a_miss(shots),
        averages=averages(kept_only=True),
        averages_all=averages(kept_only=False),
        sources=_sources(loaded, build),
    )


QUESTIONS = Remembered()


def _questions(loaded: Loaded) -> dict[int, str]:
    """Kept shots that look unlike the others of their build, by shot."""

    def make() -> dict[int, str]:
        found: dict[int, str] = {}
        groups = [(loaded.shots_of(build), HeadType(build.head_type)) for build in loaded.builds]
        for build, unlike in zip(loaded.builds, questioned(groups), strict=True):
            mine = [shot.pk for shot in loaded.shots if shot.run.build_id == build.pk]
            found |= {mine[each.index]: each.sentence for each in unlike}
        return found

    return QUESTIONS.get(key_of(loaded.shots), make)


def shot_picture(shot: Shot, question: str) -> p.ShotPicture:
    return p.ShotPicture(
        id=shot.pk,
        number=shot.number,
        build=shot.run.build_id,
        aside=shot.aside,
        aside_reason=shot.aside_reason,
        strike=shot.strike,
        intent=cast(p.IntentWord, shot.run.intent),
        misread=shot.misread,
        distance="carry_m" not in shot.void,
        line="offline_m" not in shot.void,
        question=question,
        readings=shot.readings,
        sources=shot.sources,
    )


def verdict_picture(loaded: Loaded, verdict: Verdict) -> p.VerdictPicture:
    build = next(build for build in loaded.candidates if build.letter == verdict.letter)
    slot = loaded.slot_of(build)
    return p.VerdictPicture(
        build=build.pk,
        letter=verdict.letter,
        slot=slot.index if slot else 0,
        kind=verdict.kind.value,
        headline=verdict.headline,
        why=verdict.why,
        chance=verdict.chance,
        settled=verdict.settled,
        more=verdict.more,
        against=verdict.against,
        change=verdict.change,
        turn_deg=verdict.turn.change.amount if verdict.turn else None,
        half_width_m=verdict.half_width_m,
        at_first=loaded.at_first.get(verdict.letter, ""),
        shape=against_the_shape(loaded.shots_of(build), loaded.session.shape, left_handed=loaded.left_handed),
        rounds=verdict.rounds,
        played=[
            p.PlayedPicture(each.job.name, each.job.uses_per_round, each.success, *each.interval, **each.fails)
            for each in verdict.played
        ],
        facts=[
            p.FactPicture(
                quantity=fact.quantity,
                label=LABELS[fact.quantity],
                mean=fact.mean,
                low=fact.low,
                high=fact.high,
                good=fact.good,
                source=fact.source.value,
            )
            for fact in verdict.facts
        ],
    )


def _hit_here(loaded: Loaded) -> list[tuple[int, CoreShot]]:
    """Build and shot of the kept shots hit in this session, in order."""
    rows = ((shot.run.build_id, core_shot(shot)) for shot in loaded.shots if shot.run.imported_id is None)
    return [(build, shot) for build, shot in rows if shot.kept]


def _swings(loaded: Loaded, here: Sequence[tuple[int, CoreShot]]) -> list[tuple[float, float]]:
    """Length and club speed, in order."""
    lengths = {build.pk: build.length_m for build in loaded.builds}
    return [
        (length, speed)
        for build, shot in here
        if (speed := shot.get("club_speed_mps")) is not None and (length := lengths[build]) is not None
    ]


def _steady(here: Sequence[tuple[int, CoreShot]], drift: Drift | None, in_hand: Build | None) -> str:
    """Whether the player is still the same: speed, swing and strike, and learning with the build in hand."""
    said = [drift.sentence if drift else "Too few shots yet to see tiring."]
    said += swing_changes(here)
    if in_hand is not None and not in_hand.is_own:
        mine = [carry for pk, shot in here if pk == in_hand.pk and (carry := shot.get("carry_m")) is not None]
        learnt = learning(mine)
        said += [learnt.sentence] if learnt and learnt.real else []
    return " ".join(said)


def _imports(loaded: Loaded) -> list[p.ImportedPicture]:
    return [
        p.ImportedPicture(
            id=each.pk,
            file_name=each.file_name,
            shots=sum(shot.run.imported_id == each.pk for shot in loaded.shots),
            undone=each.undone_at is not None,
        )
        for each in loaded.imports
    ]


def session_picture(loaded: Loaded, *, stand_in: bool) -> p.SessionPicture:
    session = loaded.session
    here = _hit_here(loaded)
    drift = speed_drift(_swings(loaded, here))
    questions = _questions(loaded)
    in_hand = next((build for build in loaded.builds if build.pk == session.in_hand_id), None)
    return p.SessionPicture(
        id=session.pk,
        customer=person(session),
        fitter=session.fitter.get_full_name() if session.fitter else "",
        bay=session.bay_id,
        bay_name=session.bay.name,
        held_on=session.held_on,
        ball=session.ball,
        surface=session.surface,
        indoor=session.indoor,
        altitude_m=session.altitude_m,
        temperature_c=session.temperature_c,
        status=status_of(session, has_shots=bool(loaded.shots)),
        rule=session.rule,
        clubs_to_place=session.clubs_to_place,
        in_hand=session.in_hand_id,
        intent=cast(p.IntentWord, session.intent),
        brief=brief_picture(loaded),
        builds=[build_picture(loaded, build) for build in (*loaded.own, *loaded.candidates)],
        shots=[shot_picture(shot, questions.get(shot.pk, "")) for shot in loaded.shots],
        bag=bag_picture(loaded),
        imports=_imports(loaded),
        versions=len(loaded.versions),
        verdicts=[verdict_picture(loaded, verdict) for verdict in loaded.verdicts],
        next=next_step(loaded.verdicts, in_hand.letter if in_hand else "", loaded.judgement.choice),
        steady=_steady(here, drift, in_hand),
        tired=bool(drift and drift.tired),
        stand_in=stand_in,
    )
