"""Shots from a bay's monitor: at least once, each with an id, so that a retry never doubles a shot."""

from __future__ import annotations

import hashlib
import secrets
from collections.abc import Collection, Iterable, Mapping
from dataclasses import dataclass, field
from datetime import UTC, datetime, timedelta
from typing import Any

from common.problems import Refused
from common.scoped import ScopedQuerySet
from django.db import transaction
from django.utils import timezone
from fitting.actions.changes import announce, for_change, note
from fitting.actions.shots import run_for, take_in
from fitting.models import BayHold, Build, FittingSession, Shot, TakenInHand
from hemicycle_core.errors import BadInput
from hemicycle_core.samples.when import LEAST_HEARD, Clock, Taken, hit_with
from hemicycle_core.shots import Source, check_readings
from shop.audit import action, record
from shop.models import Bay, User

from .models import FeedKey, TrayShot

YEAR_H = 365 * 24.0
MOST_DAYS = 730
USED_AGAIN = timedelta(minutes=5)  # written down no oftener


@dataclass
class FeedShot:
    """id: made by the monitor, at most 64 characters, the same in every retry. readings: canonical units. hit_at: when
    it was hit, by the monitor's own clock."""

    id: str
    readings: Mapping[str, float]
    hit_at: datetime | None = None


@dataclass
class Receipt:
    """session, build: where the shots went; None and empty where the bay serves no session and they are in its tray.
    accepted: ids now on record, known ones included. new: how many were not known before. differs: ids that were known
    with other readings; what is on record stays. tray: shots of this bay that wait to be filed."""

    session: int | None
    build: str
    accepted: list[str]
    new: int
    differs: list[str] = field(default_factory=list)
    tray: int = 0


def digest_of(key: str) -> str:
    """Keys are 32 random bytes, so one round of a fast hash is enough."""
    return hashlib.sha256(key.encode()).hexdigest()


def make_key(bay: Bay, *, label: str, stand_in: bool = False, hours: float = YEAR_H) -> str:
    """A new key for a bay's monitor; shown once, only its digest is kept. hours: how long it lasts."""
    key = secrets.token_urlsafe(32)
    FeedKey.objects.create(
        shop_id=bay.shop_id,
        bay=bay,
        digest=digest_of(key),
        label=label,
        stand_in=stand_in,
        expires_at=timezone.now() + timedelta(hours=hours),
        clock=[0.0] * LEAST_HEARD if stand_in else [],  # the stand-in runs on this machine, by its clock
    )
    return key


@action("own")
def give_key(actor: User, bay_id: int, *, label: str, days: int) -> str:
    """A key for a monitor of a bay, to be typed into it now: it cannot be read again."""
    bay = Bay.objects.one(actor.shop_id or 0, bay_id)
    if not 1 <= days <= MOST_DAYS:
        raise BadInput(f"A key lasts 1 to {MOST_DAYS} days.", field="days")
    name = label.strip()
    if not name:
        raise BadInput("Say which monitor it is for.", field="label")
    key = make_key(bay, label=name, hours=days * 24)
    record(bay.shop_id, actor, "key.make", f"bay:{bay.pk}", label=name, days=days)
    return key


@action("own")
def revoke_key(actor: User, key_id: int) -> Bay:
    """From now on the key opens nothing; shots that came by it stay."""
    key = FeedKey.objects.select_for_update().one(actor.shop_id or 0, key_id)
    if key.revoked_at is None:
        key.revoked_at = timezone.now()
        key.save(update_fields=["revoked_at"])
        record(key.shop_id, actor, "key.revoke", f"bay:{key.bay_id}", label=key.label)
    return key.bay


def feed_key_of(secret: str) -> FeedKey | None:
    """The key a monitor shows, when it is known and has not run out."""
    now = timezone.now()
    open_ones = FeedKey.objects.filter(digest=digest_of(secret), revoked_at=None, expires_at__gt=now)
    found = open_ones.select_related("bay").first()
    if found is not None and (found.last_used_at is None or now - found.last_used_at > USED_AGAIN):
        FeedKey.objects.filter(pk=found.pk).update(last_used_at=now)
    return found


def session_in(bay: Bay) -> FittingSession | None:
    """The session that the bay serves, with a build in hand; None where shots have nowhere to go but the tray."""
    held = BayHold.objects.of(bay.shop_id).filter(bay=bay)
    hold = held.select_related("session__customer", "session__in_hand").first()
    ready = hold is not None and hold.session.agreed_at is None and hold.session.in_hand_id is not None
    return hold.session if hold is not None and ready else None


def _served(bay: Bay) -> FittingSession | None:
    """The session the bay serves, locked. The bay's own row is looked at again under the lock: a shot goes whole to the
    one that has the bay, also while it is being moved. Sessions are always locked before it."""
    while (session := session_in(bay)) is not None:
        # Alone: what is joined to a row that changed while it was waited for would be missing, not the new one.
        locked = FittingSession.objects.select_for_update().get(pk=session.pk)
        hold = BayHold.objects.select_for_update().filter(bay=bay).first()
        if hold is not None and hold.session_id == locked.pk:
            return locked if locked.agreed_at is None and locked.in_hand_id is not None else None
    return None


def receive(key: FeedKey, shots: list[FeedShot]) -> Receipt:
    """Take in shots for the build in hand, all or nothing; ids seen before are accepted and not stored again.

    Nothing is guessed: while the bay serves no session, what comes is kept in its tray.
    """
    wanted = {_scoped(key, shot.id): shot for shot in shots}
    with transaction.atomic():
        session = _served(key.bay)
        if session is None:
            Bay.objects.select_for_update().get(pk=key.bay_id)  # two deliveries of one shot, one after the other
        known = _known(key, wanted)
        differs = [shot.id for feed_id, shot in wanted.items() if known.get(feed_id, shot.readings) != shot.readings]
        if differs:
            record(key.shop_id, None, "feed.differs", f"bay:{key.bay_id}", ids=differs)
        fresh = {feed_id: shot for feed_id, shot in wanted.items() if feed_id not in known}
        build = session.in_hand if session is not None else None
        clock = _heard(key, fresh.values())
        if session is not None and build is not None:
            build = _file_by_time(session, fresh, clock) or build
        elif fresh:
            _keep(key, fresh)
        return Receipt(
            session=session.pk if session is not None else None,
            build="" if build is None else build.letter or build.name,
            accepted=[shot.id for shot in wanted.values()],
            new=len(fresh),
            differs=differs,
            tray=waiting(key.bay).count(),
        )


def _known(key: FeedKey, wanted: Collection[str]) -> dict[str, Mapping[str, float]]:
    """The readings that came with each id that is on record."""
    kept: dict[str, Mapping[str, float]] = {
        row.feed_id: row.readings for row in TrayShot.objects.of(key.shop_id).filter(feed_id__in=wanted)
    }
    for shot in Shot.objects.of(key.shop_id).filter(feed_id__in=wanted):
        kept[shot.feed_id] = {
            name: getattr(shot, name) for name, source in shot.sources.items() if source != Source.COMPUTED
        }
    return kept


def _heard(key: FeedKey, shots: Iterable[FeedShot]) -> Clock:
    """The monitor's clock by what it said so far and says now."""
    said = [shot.hit_at for shot in shots if shot.hit_at is not None]
    clock, now = Clock(tuple(key.clock)), timezone.now().timestamp()
    for hit_at in said:
        clock = clock.after(hit_at.timestamp(), now)
    if said:
        key.clock = [round(by, 3) for by in clock.by]
        key.save(update_fields=["clock"])
    return clock


def _file_by_time(session: FittingSession, fresh: Mapping[str, FeedShot], clock: Clock) -> Build | None:
    """Shots under the builds that were in hand when they were hit, in a session that is locked; the last of these
    builds, None for no shots. What is not sure is marked, to be looked at."""
    rows = TakenInHand.objects.of(session.shop_id).filter(session=session, build__archived=False)
    assert session.in_hand_id is not None
    taken = [Taken(row.build_id, row.at.timestamp()) for row in rows] or [Taken(session.in_hand_id, 0.0)]
    if taken[-1].build != session.in_hand_id:
        taken.append(Taken(session.in_hand_id, taken[-1].at_s))
    now, build = timezone.now().timestamp(), None
    for feed_id, shot in fresh.items():
        hit_s = shot.hit_at.timestamp() + clock.offset_s if shot.hit_at is not None and clock.known else None
        found = hit_with(taken, now, hit_s)
        build = Build.objects.of(session.shop_id).get(pk=found.build)
        told = {
            "hit_at": None if found.hit_s is None else datetime.fromtimestamp(found.hit_s, tz=UTC),
            "check_club": found.why,
            "instead_id": found.instead,
        }
        _file(session, {feed_id: shot}, build, told)
    return build


def _file(
    session: FittingSession, fresh: Mapping[str, FeedShot], build: Build, told: Mapping[str, Any] | None = None
) -> None:
    """Shots under a build of a session that is locked."""
    for feed_id, shot in fresh.items():
        # One at a time: a revision a shot, so that a screen that missed one knows it.
        run = run_for(session, build)
        (stored,) = take_in(session, run, [shot.readings], feed_ids=[feed_id], told=[told or {}])
        note(session, None, "feed.shot", f"shot:{stored.pk}")
        announce(session, "shot", shot=stored)


def _keep(key: FeedKey, fresh: Mapping[str, FeedShot]) -> None:
    for shot in fresh.values():
        check_readings(shot.readings)
    TrayShot.objects.bulk_create(
        TrayShot(shop_id=key.shop_id, bay=key.bay, feed_id=feed_id, readings=dict(shot.readings))
        for feed_id, shot in fresh.items()
    )
    record(key.shop_id, None, "feed.tray", f"bay:{key.bay_id}", shots=len(fresh))
    _tell_bay(key.bay)


def _tell_bay(bay: Bay) -> None:
    """Every open session of the bay shows its tray."""
    for session in FittingSession.objects.of(bay.shop_id).filter(bay=bay, agreed_at=None):
        announce(session, "tray")


def waiting(bay: Bay) -> ScopedQuerySet[TrayShot]:
    """Shots of a bay that nobody has filed or put away."""
    return TrayShot.objects.of(bay.shop_id).filter(bay=bay, filed_in=None, put_away_at=None)


def _chosen(bay: Bay, ids: Collection[int]) -> list[TrayShot]:
    rows = list(waiting(bay).select_for_update().filter(pk__in=ids))
    if not rows or len(rows) != len(set(ids)):
        raise Refused("Some of these shots were filed or put away already. Look at the tray again.", kind="tray_moved")
    return rows


@action("fit")
def file_tray(actor: User, bay_id: int, *, session_id: int, build_id: int, shots: Collection[int]) -> FittingSession:
    """File shots of a bay's tray under a build of a session, in the order they came."""
    bay = Bay.objects.one(actor.shop_id or 0, bay_id)
    session = for_change(actor, session_id)
    rows = _chosen(bay, shots)
    build = Build.objects.of(bay.shop_id).filter(pk=build_id, session=session, archived=False).first()
    if build is None:
        raise BadInput("That club is not part of this session.", field="build")
    _file(session, {row.feed_id: FeedShot(row.feed_id, row.readings) for row in rows}, build)
    TrayShot.objects.filter(pk__in=[row.pk for row in rows]).update(filed_in=session)
    note(session, actor, "tray.file", f"session:{session.pk}", build=build.pk, shots=[row.pk for row in rows])
    _tell_bay(bay)
    return session


@action("fit")
def put_away(actor: User, bay_id: int, *, shots: Collection[int]) -> Bay:
    """Say that shots of a bay's tray are nobody's. They stay on record."""
    bay = Bay.objects.one(actor.shop_id or 0, bay_id)
    rows = _chosen(bay, shots)
    TrayShot.objects.filter(pk__in=[row.pk for row in rows]).update(put_away_at=timezone.now())
    record(bay.shop_id, actor, "tray.put_away", f"bay:{bay.pk}", shots=[row.pk for row in rows])
    _tell_bay(bay)
    return bay


AWAY_FOR = timedelta(days=1)


def put_away_lately(bay: Bay) -> ScopedQuerySet[TrayShot]:
    """Shots that were said to be nobody's within a day: they can be brought back."""
    return TrayShot.objects.of(bay.shop_id).filter(bay=bay, put_away_at__gt=timezone.now() - AWAY_FOR)


@action("fit")
def bring_back(actor: User, bay_id: int) -> Bay:
    """What was put away within a day waits in the tray again."""
    bay = Bay.objects.one(actor.shop_id or 0, bay_id)
    back = put_away_lately(bay).update(put_away_at=None)
    if not back:
        raise Refused("Nothing was put away within a day.", kind="tray_moved")
    record(bay.shop_id, actor, "tray.back", f"bay:{bay.pk}", shots=back)
    _tell_bay(bay)
    return bay


def _scoped(key: FeedKey, shot_id: str) -> str:
    """Ids are one monitor's own: two bays may count alike."""
    return hashlib.sha256(f"{key.bay_id}:{shot_id}".encode()).hexdigest()
