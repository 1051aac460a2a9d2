"""The Bench: flights, patterns and comparisons of the candidates and the neighbours."""

from __future__ import annotations

from itertools import combinations

import numpy as np
from hemicycle_core.flight import Air, Launch, fly
from hemicycle_core.judge import Metric, compare, elsewhere, predict, usual_changes
from hemicycle_core.samples import pattern
from hemicycle_core.samples.meant import range_of_use
from hemicycle_core.units import mps

from . import bench_pictures as bp
from .models import Build
from .read import Loaded

POINTS = 48
METRICS = (Metric.JOBS, Metric.CARRY, Metric.LANDING, Metric.STRAIGHT)
# Where the same club may be played next: label and what is other about the air there.
OTHER_AIR: tuple[tuple[str, dict[str, float]], ...] = (
    ("10 mph against", {"wind_mps": mps(10), "wind_from_deg": 0.0}),
    ("10 mph behind", {"wind_mps": mps(10), "wind_from_deg": 180.0}),
    ("A cold day, 41 °F", {"temperature_c": 5.0}),
    ("A hot day, 95 °F", {"temperature_c": 35.0}),
    ("Up at 5 000 ft", {"altitude_m": 1524.0}),
)


def _path(loaded: Loaded, build: Build, carry_m: float, peak_m: float | None) -> list[list[float]]:
    """The flight of the average launch, stretched to the average carry and height of the kept shots.

    Stretched, because the average launch does not fly the average carry, and the shots are the truth.
    """
    means = [loaded.mean(build, key) for key in ("ball_speed_mps", "launch_deg", "spin_rpm")]
    if any(mean is None for mean in means):
        return []
    speed, launch, spin = (mean.mean for mean in means if mean is not None)
    flight = fly(Launch(speed, launch, spin), air=loaded.air_of(build), trim=loaded.anchored.trim, path=True)
    assert flight.path is not None
    track = flight.path[:, 0, :]
    flown = int(np.argmax(track[:, 0] >= flight.carry_m[0] - 1e-6))
    track = track[: flown + 1]
    wide = carry_m / float(flight.carry_m[0])
    tall = (peak_m / float(flight.peak_m[0])) if peak_m is not None else 1.0
    picked = track[np.linspace(0, len(track) - 1, POINTS).astype(int)]
    return [[round(float(x) * wide, 2), round(float(z) * tall, 2)] for x, _, z in picked]


def board_line(loaded: Loaded, build: Build) -> bp.BoardLine | None:
    club = loaded.carried(build)
    if club is None:
        return None
    offline = loaded.mean(build, "offline_m")
    found = pattern(loaded.shots_of(build))
    return bp.BoardLine(
        build=build.pk,
        letter=build.letter,
        name=build.name,
        carry_m=club.carry_m,
        total_m=club.total_m,
        offline_m=offline.mean if offline else 0.0,
        path=_path(loaded, build, club.carry_m, club.peak_m),
        pattern=None
        if found is None
        else bp.PatternPicture(
            carry_m=found.carry_m,
            offline_m=found.offline_m,
            major_m=found.major_m,
            minor_m=found.minor_m,
            tilt_deg=found.tilt_deg,
            depth_m=found.depth_m,
            width_m=found.width_m,
        ),
    )


def choice_picture(loaded: Loaded) -> bp.ChoicePicture:
    choice = loaded.judgement.choice
    return bp.ChoicePicture(
        letter=choice.letter,
        runner_up=choice.runner_up,
        sentence=choice.sentence,
        settled=choice.settled,
        chance_best=choice.chance_best,
        more_with=choice.more[0] if choice.more else None,
        more=choice.more[1] if choice.more else None,
    )


def bench_picture(loaded: Loaded) -> bp.BenchPicture:
    candidates = [loaded.candidate(build) for build in loaded.candidates]
    weighed = loaded.judgement.weighed
    pairs = [
        compare(a, b, metric=metric, weighed=weighed) for metric in METRICS for a, b in combinations(candidates, 2)
    ]
    hole = loaded.hole
    names = {hole.lower.name, hole.upper.name} if hole else set()
    return bp.BenchPicture(
        lines=[line for build in loaded.candidates if (line := board_line(loaded, build)) is not None],
        neighbours=[line for b in loaded.own if b.name in names and (line := board_line(loaded, b)) is not None],
        comparisons=[
            bp.ComparisonPicture(
                metric=pair.metric.value,
                better=pair.better,
                worse=pair.worse,
                by=pair.by,
                by_equal=pair.by_equal,
                chance=pair.chance,
                settled=pair.settled,
                more=pair.more,
                sentence=pair.sentence,
            )
            for pair in pairs
            if pair is not None
        ],
        choice=choice_picture(loaded),
        meant=_meant(loaded),
    )


def _meant(loaded: Loaded) -> list[bp.MeantPicture]:
    return [
        bp.MeantPicture(build.letter, each.intent.value, each.n, dict(each.by), each.did, each.sentence)
        for build in loaded.candidates
        for each in range_of_use(loaded.shots_of(build), left_handed=loaded.left_handed)
    ]


def what_if_picture(loaded: Loaded, build: Build) -> bp.WhatIfPicture:
    """What a change of this build would do, and what other air would, from its own kept shots."""
    shots, air, anchored = loaded.shots_of(build), loaded.air_of(build), loaded.anchored
    sleeve = build.head.sleeve_deg if build.head else 0.0
    lie = {"lie_deg": build.head.lie_deg} if build.head and build.head.lie_deg else {}
    made = predict(shots, usual_changes(sleeve_deg=sleeve), air=air, anchored=anchored, **lie)
    here = {"altitude_m": air.altitude_m, "temperature_c": air.temperature_c}
    airs = [Air(**{**here, **other}) for _, other in OTHER_AIR]
    moved = elsewhere(shots, airs, was=air, anchored=anchored)
    return bp.WhatIfPicture(
        build=build.pk,
        letter=build.letter,
        shots=made[0].shots if made else 0,
        anchored=anchored.trusted,
        anchor=anchored.sentence,
        before=dict(next((each.before for each in made if each.before), {})),
        changes=[
            bp.ChangePicture(
                kind=each.change.kind.value,
                label=each.change.effect.label,
                words=each.change.words,
                amount=each.change.amount,
                after=dict(each.after),
                error=dict(each.error),
                face_closed_deg=each.face_closed_deg,
                lie_deg=each.lie_deg,
                bounce_deg=each.bounce_deg,
                directions=list(each.change.effect.directions),
                source=each.change.effect.source,
                caution=each.change.effect.caution or "",
            )
            for each in made
        ],
        elsewhere=[
            bp.AirPicture(label, each.carry_m, each.carry_error_m, each.landing_deg)
            for (label, _), each in zip(OTHER_AIR, moved, strict=False)
        ],
    )
