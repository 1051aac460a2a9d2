"""A club that was not hit, played out on the jobs from what it should do: a guess, as wide as it is unsure."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from ..brief import Job
from ..estimate import Estimate
from ..flight import Air
from ..heads import HeadType
from ..rack.expected import Expected
from ..samples.mixture import CARRY_SPREAD
from ..samples.pool import Centre, Pool
from ..samples.sides import USUAL_SIDE_DEG
from .eased import CLUB_SD, EasedClub, Eases, can_ease, curve_of
from .from_lie import unhit_from
from .from_wind import InWind, Wind, all_winds, in_wind, landing_in, usual_launch, winds_of
from .landings import OTHERWISE, USUAL_DOWN, Landings, RollOut, runs_expected
from .play import Doubts, Played, possible
from .strokes import USUAL_DRIVE_M
from .weigh import USUAL_GREEN, Swing, Ways, play_job

UNHIT_SIDE_SE_DEG = 1.2  # where a strange club starts and curves beside the player's others
UNHIT_DF = 6.0  # of its spreads: the usual ones drawn from the player's other clubs


def play_expected(
    clubs: Sequence[tuple[str, Expected]],
    pooled: Pool,
    jobs: Sequence[Job],
    *,
    eases: Eases | None = None,
    drive_m: float = USUAL_DRIVE_M,
) -> list[tuple[Swing, tuple[Played, ...]]]:
    """Clubs as they should be, by name, and each job played with each. pooled: of the player's clubs that were hit;
    eases: how well he eases off.

    Spread, misses and side are the player's own; the carry and the landing are as unsure as the expectation.
    """
    if not clubs:
        return []
    landed = [_landing(expected) for _, expected in clubs]
    usual = runs_expected(landed, USUAL_GREEN)
    winds = _winds([expected for _, expected in clubs], jobs)
    on_jobs: list[Ways] = [
        [(winds[wind], runs_expected(landing_in(landed, winds[wind]), job)) for wind in winds_of(job)]
        or [(None, runs_expected(landed, job))]
        for job in jobs
    ]
    made = []
    for number, (name, expected) in enumerate(clubs):
        swing = _swing(name, expected, pooled, eases or Eases(), usual[number])
        lies = [unhit_from(job.off, swing.head_type, expected.head.loft_deg) if job.off else None for job in jobs]
        played = (
            play_job(
                swing, lie, [(None if wind is None else wind[number], run[number]) for wind, run in ways], job, drive_m
            )
            for lie, ways, job in zip(lies, on_jobs, jobs, strict=True)
        )
        made.append((swing, tuple(played)))
    return made


def _winds(clubs: Sequence[Expected], jobs: Sequence[Job]) -> dict[Wind, list[InWind]]:
    """What each wind of the jobs does to clubs as they should be."""
    asked = all_winds(jobs)
    if not asked or not clubs:
        return {}
    launches = []
    for each in clubs:
        speed, up, spin = each.ball_speed_mps, each.launch_deg, each.spin_rpm
        known = (speed, up, spin) if speed and up and spin else None
        launches.append(known or usual_launch(each.head.head_type, each.carry_m))
    return {wind: in_wind(launches, wind, airs=[Air()] * len(clubs)) for wind in asked}


def _landing(expected: Expected) -> Landings:
    """The one landing that a club should have: what is not known of it as is usual of its kind."""
    down = (expected.landing_speed_mps, expected.landing_deg, expected.landing_spin_rpm)
    usual = USUAL_DOWN.get(expected.head.head_type, OTHERWISE)
    fast, steep, spinning = (np.array([u if each is None else each]) for each, u in zip(down, usual, strict=True))
    return Landings(fast, steep, spinning, read=expected.landing_deg is not None)


def _swing(name: str, expected: Expected, pooled: Pool, eases: Eases, run: RollOut) -> Swing:
    kind = expected.head.head_type
    hit = [centre for centre in pooled.centres if centre is not None]
    side = float(np.mean([centre.side_deg for centre in hit])) if hit else 0.0
    # Wedges are typed by their carries at a green: where nobody read a line, it is known no better of one that was not
    # hit than of those that were.
    unread = [centre.side_shared_deg for centre in hit if not centre.side_read]
    shared = float(np.mean(unread)) if kind is HeadType.WEDGE and unread and len(unread) == len(hit) else 0.0
    wide = float(np.mean([centre.side_spread_deg for centre in hit])) if hit else USUAL_SIDE_DEG
    centre = Centre(
        carry=Estimate(expected.carry_m, expected.carry_sd_m, UNHIT_DF, shots=0.5),
        spread_share=pooled.spread_share * CARRY_SPREAD[kind],
        side_deg=side,
        side_se_deg=UNHIT_SIDE_SE_DEG,
        side_shared_deg=shared,
        side_spread_deg=wide,
        side_df=UNHIT_DF,
        n=0.5,
    )
    may_be = possible(name, kind, centre, pooled, doubts=Doubts(landing_deg=expected.landing_sd_deg or 0.0))
    part = None
    if can_ease(kind, expected.head.loft_deg):
        speed, up, spin = expected.ball_speed_mps, expected.launch_deg, expected.spin_rpm
        known = (speed, up, spin) if speed and up and spin else None
        part = EasedClub(curve_of(expected.carry_m, known), replace(eases, own_sd=CLUB_SD), (expected.carry_m,), name)
    return Swing(name, kind, may_be, centre.carry_m, run, part)
