"""Shots from a bay's monitor: at least once, each with an id, so that a retry never doubles a shot."""

from __future__ import annotations

import hashlib
import secrets
from collections.abc import Mapping
from dataclasses import asdict, dataclass
from datetime import timedelta

from common.problems import Refused
from django.db import transaction
from django.utils import timezone
from fitting.actions.changes import announce
from fitting.actions.shots import run_for, take_in
from fitting.api.present.bay import present_shot
from fitting.models import FittingSession, Shot
from shop.audit import record
from shop.models import Bay

from .models import FeedKey


@dataclass
class FeedShot:
    """id: made by the monitor, at most 64 characters, the same in every retry. readings: canonical units."""

    id: str
    readings: Mapping[str, float]


@dataclass
class Receipt:
    """accepted: ids now on record, known ones included. new: how many were not known before."""

    session: int
    build: str
    accepted: list[str]
    new: int


def digest_of(key: str) -> str:
    """Keys are 32 random bytes, so one round of a fast hash is enough."""
    return hashlib.sha256(key.encode()).hexdigest()


def make_key(bay: Bay, *, label: str, stand_in: bool = False, hours: float | None = None) -> str:
    """A new key for a bay's monitor; shown once, only its digest is kept."""
    key = secrets.token_urlsafe(32)
    expires = None if hours is None else timezone.now() + timedelta(hours=hours)
    FeedKey.objects.create(
        shop_id=bay.shop_id, bay=bay, digest=digest_of(key), label=label, stand_in=stand_in, expires_at=expires
    )
    return key


def feed_key_of(secret: str) -> FeedKey | None:
    """The key a monitor shows, when it is known and has not run out."""
    found = FeedKey.objects.filter(digest=digest_of(secret)).select_related("bay").first()
    if found is None or (found.expires_at is not None and found.expires_at < timezone.now()):
        return None
    return found


def session_in(bay: Bay) -> FittingSession | None:
    """The session that shots from this bay belong to: the one last worked in there with a build in hand."""
    return (
        FittingSession.objects.of(bay.shop_id)
        .filter(bay=bay, agreed_at__isnull=True, in_hand__isnull=False)
        .select_related("customer", "in_hand")
        .order_by("-in_hand_at", "-id")
        .first()
    )


def receive(key: FeedKey, shots: list[FeedShot]) -> Receipt:
    """Take in shots for the build in hand. All or nothing; ids seen before are accepted and not stored again."""
    with transaction.atomic():
        session = session_in(key.bay)
        if session is None:
            raise Refused(
                "No build is in hand in this bay. Take one in hand, then send the shot again.", kind="no_build"
            )
        session = FittingSession.objects.select_for_update(of=("self",)).select_related("in_hand").get(pk=session.pk)
        build = session.in_hand
        if build is None or session.agreed_at is not None:
            raise Refused(
                "No build is in hand in this bay. Take one in hand, then send the shot again.", kind="no_build"
            )
        wanted = {_scoped(key, shot.id): shot for shot in shots}
        known = set(Shot.objects.of(key.shop_id).filter(feed_id__in=wanted).values_list("feed_id", flat=True))
        fresh = {feed_id: shot for feed_id, shot in wanted.items() if feed_id not in known}
        for feed_id, shot in fresh.items():
            # One at a time: a revision a shot, so that a screen that missed one knows it.
            (stored,) = take_in(session, run_for(session, build), [shot.readings], feed_ids=[feed_id])
            record(key.shop_id, None, "feed.shot", f"session:{session.pk}", shot=stored.pk)
            announce(session, "shot", shot=asdict(present_shot(stored)))
    return Receipt(
        session=session.pk,
        build=build.letter or build.name,
        accepted=[shot.id for shot in wanted.values()],
        new=len(fresh),
    )


def _scoped(key: FeedKey, shot_id: str) -> str:
    """Ids are one monitor's own: two bays may count alike."""
    return hashlib.sha256(f"{key.bay_id}:{shot_id}".encode()).hexdigest()
