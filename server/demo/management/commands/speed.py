"""How long answers take, and how large they are: by the application itself, over the demo or a shop after years."""

from __future__ import annotations

import argparse
import gzip
import json
import math
import os
import statistics
import time
from collections.abc import Callable, Mapping
from itertools import count
from random import Random
from typing import Any, NamedTuple

from django.conf import settings
from django.core.management.base import BaseCommand
from django.db.models import Count
from django.http import HttpResponseBase
from django.test import Client
from fitting.models import FittingSession, Shot
from hemicycle_core.bag import BagEnd
from hemicycle_core.units import shown

from ...scaled import copy_visits

JSON = "application/json"
BRIEFLY = {"Prefer": "return=minimal"}
TIMES = 7
NOT_FIRST = 2  # the first ones read code and plans that later ones have


class Timing(NamedTuple):
    cpu_ms: float
    wall_ms: float
    packed: int  # bytes of the answer, gzip


class Command(BaseCommand):
    help = "Time the answers of a demo that is thrown away afterwards (`./hemicycle speed --server`)."

    def add_arguments(self, parser: argparse.ArgumentParser) -> None:
        parser.add_argument("--visits", type=int, default=0, help="copy the demo's visits until there are so many")

    def handle(self, *_: Any, visits: int, **__: Any) -> None:
        settings.ALLOWED_HOSTS = ["*"]
        client = signed_in(os.environ["HEMICYCLE_DEMO_PASSWORD"])
        few, first = FittingSession.objects.count(), answers(client)
        if visits <= few:
            self._told(first, dict.fromkeys(first, ""))
            power = shown(with_shots(client), 2)
            self.stdout.write(f"The session judged anew grows with its shots to the power of {power}")
            return
        rows = copy_visits(visits)
        many, then = rows["fitting_fittingsession"], answers(client)
        self.stdout.write(f"\n{many:,} visits, {rows['fitting_shot']:,} shots; grown since the first {few:,}")
        powers = {name: math.log(then[name].wall_ms / first[name].wall_ms) / math.log(many / few) for name in then}
        self._told(then, {name: shown(power, 2) for name, power in powers.items()})

    def _told(self, timings: Mapping[str, Timing], powers: Mapping[str, str]) -> None:
        """powers: by what power of the number of visits each has grown; empty where that was not asked for."""
        self.stdout.write(
            "| answer | processor, ms | wall, ms | bytes, gzip | to the power of |\n|---|---|---|---|---|"
        )
        for name, took in timings.items():
            told = (name, shown(took.cpu_ms), shown(took.wall_ms), f"{took.packed:,}", powers[name])
            self.stdout.write(f"| {' | '.join(told)} |")


def answers(client: Client) -> dict[str, Timing]:
    return {name: timed(ask) for name, ask in (lists(client) | at_work(client)).items()}


def signed_in(password: str) -> Client:
    client = Client()
    body = {"username": "fitter", "password": password}
    answer = client.post("/api/sign-in", json.dumps(body), content_type=JSON)
    if answer.status_code != 200:
        raise SystemExit(f"Signing in was refused with {answer.status_code}.")
    return client


def lists(client: Client) -> dict[str, Callable[[], HttpResponseBase]]:
    """What is asked for outside a session. Answers by name; each call asks anew."""
    return {
        "Desk, first page": lambda: client.get("/api/sessions"),
        "Desk, 200 lines of it": lambda: client.get("/api/sessions?size=200"),
        "checks due": lambda: client.get("/api/checks-due"),
        "customers by part of a name": lambda: client.get("/api/customers?search=duarte"),
        "rack": lambda: client.get("/api/rack"),
    }


def in_work() -> FittingSession:
    """The open session with the most shots."""
    open_ones = FittingSession.objects.filter(agreed_at=None).exclude(end=BagEnd.SHORT).annotate(many=Count("shots"))
    return open_ones.order_by("-many", "pk")[0]


def with_shots(client: Client) -> float:
    """By what power of the number of its shots a session is judged anew: four times as many, a little apart."""
    session, name = in_work(), "a shot and the session judged anew"
    few, took = session.shots.count(), timed(at_work(client)[name])
    rows, apart = list(session.shots.all()), Random(4)
    for copy in range(1, 4):
        for row in rows:
            row.feed_id, row.pk, row.number = f"copy-{copy}-{row.pk}", None, row.number + len(rows)
            row.carry_m = row.carry_m and row.carry_m * apart.gauss(1, 0.01)
        Shot.objects.bulk_create(rows)
    many, then = session.shots.count(), timed(at_work(client)[name])
    return math.log(then.cpu_ms / took.cpu_ms) / math.log(many / few)


def at_work(client: Client) -> dict[str, Callable[[], HttpResponseBase]]:
    """What is asked for in the open session with the most shots."""
    session = in_work()
    url, last = f"/api/sessions/{session.pk}", Shot.objects.filter(session=session).latest("number")
    strikes, more = ["toe", "heel"], count()

    def tag(**headers: Any) -> HttpResponseBase:
        strikes.reverse()
        body = json.dumps({"strike": strikes[0]})
        return client.put(f"/api/shots/{last.pk}/strike", body, content_type=JSON, headers=headers)

    def shot() -> HttpResponseBase:
        """Another one each time: of the same shots again the judgement is kept."""
        body = json.dumps({"build": last.run.build_id, "carry_m": (last.carry_m or 150.0) + 0.1 * next(more)})
        return client.post(f"{url}/shots", body, content_type=JSON, headers=BRIEFLY)

    def after_a_shot(part: str) -> Callable[[], HttpResponseBase]:
        def ask() -> HttpResponseBase:
            shot()
            return client.get(f"{url}{part}")

        return ask

    return {
        "a session that did not change": lambda: client.get(url),
        "a tag": lambda: tag(**BRIEFLY),
        "a shot": shot,
        "a shot and the session judged anew": after_a_shot(""),
        "a shot and the Bench": after_a_shot("/bench"),
        "a shot and the Plans": after_a_shot("/plans"),
        "a shot and the Handover": after_a_shot("/handover"),
        "a shot and the short list": after_a_shot("/shortlist"),
        "what was done": lambda: client.get(f"{url}/acts"),
    }


def timed(ask: Callable[[], HttpResponseBase]) -> Timing:
    """The middle of some."""
    took = []
    for _ in range(TIMES):
        wall, cpu = time.perf_counter(), time.process_time()
        answer: Any = ask()
        took.append((time.process_time() - cpu, time.perf_counter() - wall))
        if answer.status_code >= 300:
            raise SystemExit(f"An answer of {answer.status_code}: {answer.content[:200]!r}")
    processor, elapsed = (statistics.median(each) * 1000 for each in zip(*took[NOT_FIRST:], strict=True))
    return Timing(processor, elapsed, len(gzip.compress(answer.content)))
