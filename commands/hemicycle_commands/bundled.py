"""A practice fitting as the session bundle that a program outside would send: what was seen, nothing of the truth."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

import numpy as np
from hemicycle_core.brief import Job
from hemicycle_core.formats.bundle_schema import FORMAT, VERSION
from hemicycle_core.shots import Shot
from hemicycle_core.simulation.practice.fittings import OWN, Fitting, TriedOut
from hemicycle_core.simulation.practice.worlds import TYPED_SD_M


def bundled(fitting: Fitting) -> dict[str, Any]:
    """Plain data for JSON, as `formats.bundle` reads it. The shots of the builds must be hit."""
    low, high = fitting.window
    beside = getattr(fitting, "beside", ())
    chance = np.random.default_rng(round(1000 * low))
    return {
        "format": FORMAT,
        "version": VERSION,
        "monitor_models_flight": fitting.indoors,
        "miss": fitting.feared.miss.value,
        "fear": fitting.feared.fear.value,
        "jobs": [_job(job) for job in fitting.jobs],
        **({} if beside else {"slot": {"low_m": low, "high_m": high}}),
        "clubs": [
            *([_club(fitting, fitting.own, OWN)] if fitting.own is not None else []),
            *(_said(each, chance) for each in beside),
        ],
        "builds": [
            _club(fitting, tried, tried.letter) | {"letter": tried.letter, "price": fitting.prices.get(tried.letter)}
            for tried in fitting.tried
        ],
    }


def _job(job: Job) -> dict[str, Any]:
    row = asdict(job)
    if not job.wind_mps:  # as the judge of an earlier program reads it
        row = {key: value for key, value in row.items() if not key.startswith("wind_")}
    return {**row, "kind": job.kind.value, "firmness": job.firmness.value, "lie": job.lie and job.lie.value}


def _club(fitting: Fitting, tried: TriedOut, name: str) -> dict[str, Any]:
    return {
        "name": name,
        "head_type": tried.club.head_type.value,
        "length_m": tried.club.length_m,
        "shots": [_shot(shot) for shot in fitting.shots.get(tried.letter, [])],
    }


def _said(tried: TriedOut, chance: np.random.Generator) -> dict[str, Any]:
    """A club of the bag as the player says it carries."""
    carry = tried.carry_m + float(chance.normal(0, TYPED_SD_M))
    return {"name": tried.letter, "head_type": tried.club.head_type.value, "carry_m": carry, "shots": []}


def _shot(shot: Shot) -> dict[str, Any]:
    return {"readings": dict(shot.values), "aside": shot.aside, "order": shot.order}
