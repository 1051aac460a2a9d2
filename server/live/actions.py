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
from customers.actions import check_pretended
from django.db import transaction
from django.utils import timezone
from fitting.actions.changes import announce, for_change, note
from fitting.actions.shots import run_for, take_in
from fitting.models import BayHold, BayServed, Build, FittingSession, Shot, TakenInHand
from hemicycle_core.errors import BadInput
from hemicycle_core.kept import lazily
from hemicycle_core.said import NOTHING, Said, say
from hemicycle_core.samples.when import LEAST_HEARD, LONGEST_S, Clock, HeldBy, Spell, Taken, held_by, hit_with
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
class RefusedShot:
    """id: of the shot; why: what is wrong with it, in a sentence."""

    id: str
    why: str


@dataclass
class Receipt:
    """session, build: where the shots went; None and empty where the bay serves no session and they are in its tray.
    accepted: ids now on record, known ones included. new: how many were not known before. differs: ids that were known
    with other readings; what is on record stays. tray: shots of this bay that wait to be filed. refused: that cannot be
    taken in, whatever else came with them."""

    session: int | None
    build: str
    accepted: list[str]
    new: int
    differs: list[str] = field(default_factory=list)
    tray: int = 0
    refused: list[RefusedShot] = field(default_factory=list)


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
        raise BadInput(say("act-key-lasts-days", most_days=MOST_DAYS), field="days")
    name = label.strip()
    if not name:
        raise BadInput(say("act-say-which-monitor"), field="label")
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


def _spells(bay: Bay) -> list[Spell]:
    """Whom the bay served in the last hour and before it, in the order of time; nobody where nothing is on record."""
    rows = BayServed.objects.of(bay.shop_id).filter(bay=bay)
    since = timezone.now() - timedelta(seconds=LONGEST_S)
    before = rows.filter(at__lt=since).last()
    there = ([before] if before else []) + list(rows.filter(at__gte=since))
    return [Spell(row.session_id, row.at.timestamp()) for row in there] or [Spell(None, 0.0)]


@dataclass
class _Coming:
    """Shots that came together and are not on record yet: when each was hit by our clock, None where that is not
    known, and whose it is."""

    clock: Clock
    spells: list[Spell]
    fresh: dict[str, FeedShot]

    @lazily
    def hit_s(self) -> dict[str, float | None]:
        return {
            feed_id: shot.hit_at.timestamp() + self.clock.offset_s if shot.hit_at and self.clock.known else None
            for feed_id, shot in self.fresh.items()
        }

    @lazily
    def whose(self) -> dict[str, HeldBy]:
        now = timezone.now().timestamp()
        return {feed_id: held_by(self.spells, now, hit_s) for feed_id, hit_s in self.hit_s.items()}

    @property
    def sessions(self) -> set[int]:
        return {held.session for held in self.whose.values() if held.session is not None}


def receive(key: FeedKey, shots: list[FeedShot]) -> Receipt:
    """Take in shots, each for the session that the bay served and the build that was in hand when it was hit, all or
    nothing; ids seen before are accepted and not stored again.

    Nothing is guessed: what came while the bay served nobody, or between two customers, is kept in its tray.
    """
    wanted = {_scoped(key, shot.id): shot for shot in shots}
    lock: set[int] = set()
    while True:
        with transaction.atomic():
            locked = _locked(key, lock)
            known = _known(key, wanted)
            fresh = {feed_id: shot for feed_id, shot in wanted.items() if feed_id not in known}
            coming = _Coming(_heard(key, fresh.values()), _spells(key.bay), fresh)
            now = coming.spells[-1].session
            needed = coming.sessions | ({now} if now is not None else set())
            if not needed <= lock:
                lock |= needed  # sessions are always locked before their bay: begin again with them
                continue
            if key.stand_in:
                for session in locked.values():
                    check_pretended(session.customer)
            return _received(key, wanted, known, coming, locked)


def _locked(key: FeedKey, sessions: Collection[int]) -> dict[int, FittingSession]:
    """The sessions and then the bay, locked: a shot goes whole to one of them, also while the bay is handed on, and two
    deliveries of one shot come one after the other."""
    rows = FittingSession.objects.select_for_update().filter(pk__in=sessions).order_by("pk")
    locked = {session.pk: session for session in rows}
    Bay.objects.select_for_update(no_key=True).get(pk=key.bay_id)
    return locked


def _received(
    key: FeedKey,
    wanted: Mapping[str, FeedShot],
    known: Mapping[str, Mapping[str, float]],
    coming: _Coming,
    locked: Mapping[int, FittingSession],
) -> Receipt:
    differs = [shot.id for feed_id, shot in wanted.items() if known.get(feed_id, shot.readings) != shot.readings]
    if differs:
        record(key.shop_id, None, "feed.differs", f"bay:{key.bay_id}", ids=differs)
    _remember(key, coming.clock)
    now = locked.get(coming.spells[-1].session or 0)
    open_ = now is not None and now.is_open and now.in_hand_id is not None
    build = now.in_hand if now is not None and open_ else None
    waits: dict[str, str] = {}
    for feed_id, shot in coming.fresh.items():
        held = coming.whose[feed_id]
        session = locked.get(held.session or 0)
        filed = None if session is None else _file_by_time(session, feed_id, shot, coming)
        if filed is None:
            waits[feed_id] = str(held.why or _why_not(session))
        elif session is now:
            build = filed
    if waits and key.stand_in and not key.bay.shop.demo:
        # A tray is what a real player's shots are taken from.
        raise Refused(say("act-bay-serves-no-try"), kind="no_build")
    if waits:
        _keep(key, coming, waits)
    return Receipt(
        session=now.pk if now is not None and open_ else None,
        build="" if build is None else build.letter or build.name,
        accepted=[shot.id for shot in wanted.values()],
        new=len(coming.fresh),
        differs=differs,
        tray=waiting(key.bay).count(),
    )


def _why_not(session: FittingSession | None) -> Said:
    """Why a shot of this session cannot be filed in it."""
    if session is None:
        return NOTHING
    if session.agreed_at is not None:
        return say("waits-visit-was-agreed")
    return say("waits-no-club-in-hand") if session.is_open else say("waits-customer-was-erased")


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
    clock, now = Clock(tuple(key.clock), tuple(key.clock_odd)), timezone.now().timestamp()
    for hit_at in sorted(said):
        clock = clock.after(hit_at.timestamp(), now)
    return clock


def _remember(key: FeedKey, clock: Clock) -> None:
    by, odd = ([round(off, 3) for off in offsets] for offsets in (clock.by, clock.odd))
    if [by, odd] != [key.clock, key.clock_odd]:
        key.clock, key.clock_odd = by, odd
        key.save(update_fields=["clock", "clock_odd"])


def _file_by_time(session: FittingSession, feed_id: str, shot: FeedShot, coming: _Coming) -> Build | None:
    """A shot under the build that was in hand when it was hit, in a session that is locked; None where the session
    takes nothing in. What is not sure is marked, to be looked at."""
    if not session.is_open:
        return None
    rows = TakenInHand.objects.of(session.shop_id).filter(session=session, build__archived=False)
    taken = [Taken(row.build_id, row.at.timestamp()) for row in rows]
    if session.in_hand_id is not None and (not taken or taken[-1].build != session.in_hand_id):
        taken.append(Taken(session.in_hand_id, taken[-1].at_s if taken else 0.0))
    if not taken:
        return None
    now = timezone.now().timestamp()
    found = hit_with(taken, now, coming.hit_s[feed_id], jumped_s=coming.clock.jumped_s if shot.hit_at else 0.0)
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


def _keep(key: FeedKey, coming: _Coming, waits: Mapping[str, str]) -> None:
    """Shots in the tray, with why each waits there, where the bay did serve somebody."""
    for feed_id in waits:
        check_readings(coming.fresh[feed_id].readings)
    hit = {
        feed_id: None if (at := coming.hit_s[feed_id]) is None else datetime.fromtimestamp(at, tz=UTC)
        for feed_id in waits
    }
    TrayShot.objects.bulk_create(
        TrayShot(
            shop_id=key.shop_id,
            bay=key.bay,
            feed_id=feed_id,
            readings=dict(coming.fresh[feed_id].readings),
            hit_at=hit[feed_id],
            why=why,
        )
        for feed_id, why in waits.items()
    )
    record(key.shop_id, None, "feed.tray", f"bay:{key.bay_id}", shots=len(waits))
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
        raise Refused(say("act-some-these-shots-were"), kind="tray_moved")
    return rows


@action("fit")
def file_tray(actor: User, bay_id: int, *, session_id: int, build_id: int, shots: Collection[int]) -> FittingSession:
    """File shots of a bay's tray under a build of a session, in the order they came."""
    bay = Bay.objects.one(actor.shop_id or 0, bay_id)
    session = for_change(actor, session_id)
    rows = _chosen(bay, shots)
    build = Build.objects.of(bay.shop_id).filter(pk=build_id, session=session, archived=False).first()
    if build is None:
        raise BadInput(say("act-club-not-part-session"), field="build")
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
        raise Refused(say("act-nothing-was-put-away"), kind="tray_moved")
    record(bay.shop_id, actor, "tray.back", f"bay:{bay.pk}", shots=back)
    _tell_bay(bay)
    return bay


def _scoped(key: FeedKey, shot_id: str) -> str:
    """Ids are one monitor's own: two bays may count alike."""
    return hashlib.sha256(f"{key.bay_id}:{shot_id}".encode()).hexdigest()
