"""The rows of a session, read once, and the facts that the core knows it by."""

from __future__ import annotations

from collections import Counter, defaultdict
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field, replace
from typing import Any, TypeVar

import numpy as np
from common.scoped import ScopedQuerySet
from customers.models import Hand
from django.db.models import Count, QuerySet
from hemicycle_core.answers.ends import irons_of
from hemicycle_core.bag import BagEnd, HeadType
from hemicycle_core.facts import Club, Facts, HitIn, HitShot, IronsThen, Overruled, TargetThen
from hemicycle_core.facts.session import next_to_ask
from hemicycle_core.flight import Air
from hemicycle_core.impact import Lie
from hemicycle_core.judge.weigh import usable
from hemicycle_core.kept import latest, lazily, new_store
from hemicycle_core.protocols.sole.ask import KEY as SOLE
from hemicycle_core.protocols.stop.ask import KEY as STOP
from hemicycle_core.protocols.stop.ask import SEEN, BallSeen, StopGreen
from hemicycle_core.rack import HeadRecord
from hemicycle_core.runs import FULL, Ball, speaks
from hemicycle_core.shots import FULL_SWING, Intent, Source, Strike
from hemicycle_core.shots import Shot as CoreShot
from hemicycle_core.thresholds import Thresholds, changed
from rack.models import DEPARTURES, Head, Shaft, mean_departures

from ..models import (
    BayHold,
    Build,
    Feel,
    FittingSession,
    HeadSeen,
    Job,
    PlayerScreen,
    Run,
    Shot,
    ShotImport,
    TargetOverride,
    Trial,
    TrialEvent,
    WindowVersion,
)
from .pairs import PAIR_TESTS, CodedPair, coded_pair
from .versions import Version, tables_of

Rows = TypeVar("Rows")


def core_shot(shot: Shot, run: HitIn, swing: int, stock: str = FULL, usual: Ball = Ball.OWN) -> CoreShot:
    """run: that it was hit in. swing: the session's by now; a shot of an earlier one says nothing of it. stock: the
    swing that is the club's stock one. usual: the ball that the session's figures are of."""
    said = speaks(
        length=run.length,
        intent=run.intent,
        stock=stock,
        other_ball="" if run.struck_ball == usual else run.struck_ball,
        in_wind=run.wind_mps > 0 and not shot.calm,
        gripped_in=run.gripped_in,
    )
    by_effort = said.intent is Intent.STOCK and run.intent is not Intent.STOCK
    readings = shot.readings
    calm = {key: value for key, value in shot.calm.items() if key in readings}
    return CoreShot(
        values={**readings, **calm},
        sources={key: Source(source) for key, source in shot.sources.items() if key in readings}
        | dict.fromkeys(calm, Source.COMPUTED),
        aside=shot.aside,
        strike=Strike(shot.strike) if shot.strike else None,
        void=frozenset(shot.void),
        intent=said.intent,
        misread=shot.misread,
        protocol=FULL_SWING if by_effort else run.protocol,
        lie=run.lie or (Lie(run.surface) if run.surface in set(Lie) else None),
        old_swing=run.swing < swing,
        apart=said.apart,
        swing=said.swing,
        part=said.part,
        asked_m=run.asked_carry_m if said.intent is Intent.YARDAGE else None,
        # Typed or taken from a file, its place in today's session is not known.
        order=shot.number if shot.feed_id else None,
    )


@dataclass
class SessionRows:
    """Everything on record of one session, read once."""

    session: FittingSession
    builds: list[Build]
    shots: list[Shot]
    jobs: list[Job]
    overrides: list[TargetOverride]
    versions: list[WindowVersion] = field(default_factory=list)
    imports: list[ShotImport] = field(default_factory=list)
    hold: BayHold | None = None
    heads: list[Head] = field(default_factory=list)
    felt: list[Feel] = field(default_factory=list)
    screen: PlayerScreen | None = None
    trials: list[Trial] = field(default_factory=list)
    # Retired ones too: what a code of a test is.
    all_heads: list[Head] = field(default_factory=list)
    all_shafts: list[Shaft] = field(default_factory=list)

    @lazily
    def runs(self) -> dict[int, HitIn]:
        """What each run was hit in, by its number."""
        return {shot.run_id: shot.run.known for shot in {shot.run_id: shot for shot in self.shots}.values()}

    @lazily
    def ball(self) -> Ball:
        """The ball that the session's figures are of: the player's own, where any shot was hit with it."""
        hit = Counter(self.runs[shot.run_id].struck_ball for shot in self.shots)
        return Ball.OWN if Ball.OWN in hit or not hit else hit.most_common(1)[0][0]

    @lazily
    def in_order(self) -> list[tuple[Shot, CoreShot]]:
        """Every shot as it was hit, with what it says."""
        stock = {build.pk: build.stock_swing for build in self.builds}
        swing, ball = self.session.asked.swing, self.ball
        return [
            (shot, core_shot(shot, self.runs[shot.run_id], swing, stock.get(shot.run.build_id, FULL), ball))
            for shot in self.shots
        ]

    @lazily
    def by_build(self) -> dict[int, list[tuple[Shot, CoreShot]]]:
        grouped: dict[int, list[tuple[Shot, CoreShot]]] = defaultdict(list)
        for shot, known in self.in_order:
            grouped[shot.run.build_id].append((shot, known))
        return grouped

    def to_ask(self, facts: Facts) -> Club | None:
        """The build whose feel is to be asked on the player's screen."""
        return next_to_ask(facts, {each.build_id: each.shots for each in self.felt})

    @property
    def left_handed(self) -> bool:
        return bool(self.session.customer.hand == Hand.LEFT)

    def trials_of(self, test: str) -> list[Trial]:
        """The trials of one test, in their order."""
        return [each for each in self.trials if each.test == test]

    @property
    def stop_green(self) -> StopGreen | None:
        """What the stop test is played to; None before it was set."""
        return next((each.known for each in self.trials_of(STOP)), None)

    @lazily
    def stops_seen(self) -> list[tuple[TrialEvent, BallSeen]]:
        """The balls of the stop test."""
        return [(each, each.known) for test in self.trials_of(STOP) for each in test.events_of(SEEN)]

    @lazily
    def coded_pairs(self) -> dict[str, list[CodedPair]]:
        """The tests that were hit blind with two clubs, by test."""
        builds = {each.pk: each for each in self.builds}
        return {key: [coded_pair(each, builds) for each in self.trials_of(key)] for key in PAIR_TESTS}

    @property
    def blind_now(self) -> dict[str, CodedPair]:
        """The pair that is under codes just now, by test."""
        return {key: pair for key, pairs in self.coded_pairs.items() for pair in pairs if pair.test.is_on}


ROWS_READ = new_store(256)  # lists of rows: a dozen and more of each session at work


def read_rows(session: FittingSession, version: Version | None = None) -> SessionRows:
    """A session's builds, shots, jobs, overrides, versions and files, in a fixed number of queries. version: of its
    rows; those of tables that are as they were when they were read last are taken from there, and never written to."""
    shop = session.shop_id

    def mine(model: Any, **which: Any) -> ScopedQuerySet[Any]:
        found: ScopedQuerySet[Any] = model.objects.of(shop).filter(**(which or {"session": session}))
        return found

    def read(name: str, query: Callable[[], QuerySet[Any]]) -> list[Any]:
        if version is None:
            return list(query())
        return latest(ROWS_READ, (name, session.pk), version.of(tables_of(name, query)), lambda: list(query()))

    def one(name: str, query: Callable[[], QuerySet[Any]]) -> Any:
        return next(iter(read(name, query)), None)

    runs = {run.pk: run for run in read("runs", lambda: mine(Run, build__session=session))}
    # Shots of a file that was taken back stay on record and do not count.
    shots = read("shots", lambda: mine(Shot, session=session, run__imported__undone_at=None))
    for shot in shots:
        shot.run = runs[shot.run_id]
    trials = read("trials", lambda: mine(Trial).select_related("setter").prefetch_related("events"))
    named = any(each.test == SOLE for each in trials)
    held_by = ("session__customer", "partner__customer")
    return SessionRows(
        session=session,
        builds=read("builds", lambda: mine(Build).select_related("head", "shaft")),
        shots=shots,
        jobs=read("jobs", lambda: mine(Job)),
        overrides=read("overrides", lambda: mine(TargetOverride)),
        versions=read("versions", lambda: mine(WindowVersion)),
        imports=read("imports", lambda: mine(ShotImport).defer("text", "data")),
        heads=read("heads", lambda: mine(Head, retired_at=None)),
        felt=read("felt", lambda: mine(Feel, build__session=session)),
        trials=trials,
        all_heads=read("all heads", lambda: Head.objects.of(shop)) if named else [],
        all_shafts=read("all shafts", lambda: Shaft.objects.of(shop)) if named else [],
        screen=one("screen", lambda: mine(PlayerScreen)),
        hold=one("hold", lambda: mine(BayHold, bay=session.bay_id).select_related(*held_by)),
    )


# From rows to facts


def facts_of(rows: SessionRows) -> Facts:
    """All that is known of a session, frozen."""
    session = rows.session
    clubs = _clubs(rows)
    brief = session.brief
    return Facts(
        visit=session.visit,
        brief=brief,
        space=session.space,
        asked=session.asked,
        jobs=tuple(job.known for job in rows.jobs),
        clubs=clubs,
        hit=tuple(_hit(rows, shot, known) for shot, known in rows.in_order),
        left_handed=rows.left_handed,
        monitor=session.bay.monitor,
        in_hand=session.in_hand_id,
        overruled=tuple(
            Overruled(each.slot, each.quantity, each.low, each.high, each.cleared) for each in rows.overrides
        ),
        first_targets=_first_targets(rows.versions),
        heads=tuple(head.known for head in rows.heads),
        records=records_of(session) if any(_unhit(club) for club in clubs) else {},
        # Once agreed, as they were then.
        shop_thresholds=thresholds_of(session),
        stop_green=rows.stop_green,
        seen=tuple(known.seen for row, known in rows.stops_seen if not row.void),
        irons_then=_irons_then(session) if brief.end is BagEnd.SHORT else None,
    )


def thresholds_of(session: FittingSession) -> Thresholds:
    """The shop's thresholds; once agreed, as they were then."""
    kept = session.thresholds
    return changed(session.shop.thresholds if kept is None else kept)


def _hit(rows: SessionRows, shot: Shot, known: CoreShot) -> HitShot:
    run = rows.runs[shot.run_id]
    return HitShot(shot.run.build_id, known, _air(run), shot.run.imported_id is None, run.protocol, run.struck_ball)


def _air(run: HitIn) -> Air:
    return Air(altitude_m=run.altitude_m, temperature_c=run.temperature_c)


def _unhit(club: Club) -> bool:
    """Whether it stands there and is known only by what heads like it do."""
    return bool(club.letter) and not (club.archived or club.accepted or usable(club.shots))


def _first_targets(versions: Sequence[WindowVersion]) -> tuple[tuple[TargetThen, ...], ...]:
    if len(versions) < 2:
        return ()
    first = versions[0].slots
    return tuple(tuple(TargetThen(each["quantity"], each["low"], each["high"]) for each in slot) for slot in first)


def _clubs(rows: SessionRows) -> tuple[Club, ...]:
    called = {build.pk: build.letter or build.name for build in rows.builds}
    felt: dict[int, list[Feel]] = defaultdict(list)
    for each in rows.felt:
        felt[each.build_id].append(each)
    made = []
    for build in rows.builds:
        hit = rows.by_build.get(build.pk, [])
        club = replace(
            build.known,
            turned_from_words=called.get(build.turned_from_id or 0, ""),
            shots=tuple(known for _, known in hit),
            airs=tuple(_air(rows.runs[shot.run_id]) for shot, _ in hit),
            felt=tuple(each.for_core for each in felt[build.pk]),
        )
        made.append(club)
    return tuple(made)


# What other sessions tell


def seen_of(session: FittingSession) -> ScopedQuerySet[HeadSeen]:
    """What the shop knows of its heads from other customers' sessions."""
    return HeadSeen.objects.of(session.shop_id).exclude(session__customer=session.customer_id).order_by()


def records_of(session: FittingSession) -> dict[str, HeadRecord]:
    """By the key under which the rack's predictions have a head."""
    heads = seen_of(session).values("head").annotate(**mean_departures(), players=Count("pk"))
    rows: Any = heads.values_list("head", "players", *DEPARTURES)
    return {f"head {head}": HeadRecord(np.array(departure), players) for head, players, *departure in rows}


def _irons_then(session: FittingSession) -> IronsThen | None:
    """The irons of the customer's last visit before this one in which a wedge was hit."""
    then = (
        FittingSession.objects.of(session.shop_id)
        .filter(
            customer__in=session.customer.family(),
            shots__run__build__head_type=HeadType.WEDGE.value,
            held_on__lte=session.held_on,
        )
        .exclude(pk=session.pk)
        .distinct()
        .first()
    )
    if then is None:
        return None
    builds = Build.objects.of(session.shop_id).filter(session=then).select_related("head", "shaft")
    irons = irons_of(build.known for build in builds)
    day = then.held_on
    return IronsThen(irons, f"{day.day} {day:%b %Y}")
