"""Starting and stopping the stand-in monitor from the Bay: a separate process that uses the feed as any monitor."""

from __future__ import annotations

import contextlib
import os
import signal
import subprocess
import sys
from pathlib import Path

from common.problems import Refused
from customers.actions import check_pretended
from django.conf import settings
from hemicycle_core.errors import BadInput
from hemicycle_core.said import say
from shop.audit import action, record
from shop.models import Bay, User

from .actions import make_key, session_in
from .models import StandIn

MOST_SHOTS = 60
HOURS = 2.0
_started: dict[int, subprocess.Popen[bytes]] = {}


def _is_stand_in(pid: int) -> bool:
    """Whether a process id still is a stand-in monitor; ids are used again."""
    with contextlib.suppress(OSError):
        return b"hemicycle_commands.monitor" in Path(f"/proc/{pid}/cmdline").read_bytes()
    return False


def running(bay: Bay | int) -> bool:
    for pid in [pid for pid, process in _started.items() if process.poll() is not None]:
        del _started[pid]  # reaped
    row = StandIn.objects.filter(bay=bay).first()
    return row is not None and _is_stand_in(row.pid)


@action("fit")
def start(actor: User, *, bay_id: int, shots: int, every_s: float, address: str) -> StandIn:
    """Let the stand-in hit `shots` shots with the build in hand, one every `every_s` seconds."""
    bay = Bay.objects.one(actor.shop_id or 0, bay_id)
    if not 1 <= shots <= MOST_SHOTS:
        raise BadInput(say("stand-in-most-shots", most=MOST_SHOTS), field="shots")
    if not 0.2 <= every_s <= 60:
        raise BadInput(say("stand-in-how-often"), field="every_s")
    session = session_in(bay)
    if session is None:
        raise Refused(say("stand-in-hits-what-is-in-hand"), kind="no_build")
    check_pretended(session.customer)
    if running(bay):
        raise Refused(say("stand-in-hits-already"), kind="busy")
    key = make_key(bay, label="stand-in", stand_in=True, hours=HOURS)
    process = subprocess.Popen(
        [
            sys.executable,
            "-m",
            "hemicycle_commands.monitor",
            "--url",
            address,
            "--shots",
            str(shots),
            "--every",
            str(every_s),
        ],
        env={**_environment(), "HEMICYCLE_FEED_KEY": key},
        stdin=subprocess.DEVNULL,
        stdout=subprocess.DEVNULL,
        stderr=subprocess.DEVNULL,
    )
    _started[process.pid] = process
    row, _ = StandIn.objects.update_or_create(bay=bay, defaults={"shop_id": bay.shop_id, "pid": process.pid})
    record(bay.shop_id, actor, "stand_in.start", f"bay:{bay.pk}", shots=shots)
    return row


def _environment() -> dict[str, str]:
    """What the process needs and no secrets of the server."""
    kept = {name: os.environ[name] for name in ("PATH", "LANG", "HOME") if name in os.environ}
    return {**kept, "PYTHONPATH": os.pathsep.join([str(settings.ROOT / "core"), str(settings.ROOT / "commands")])}


@action("fit")
def stop(actor: User, *, bay_id: int) -> None:
    bay = Bay.objects.one(actor.shop_id or 0, bay_id)
    row = StandIn.objects.filter(bay=bay).first()
    if row is not None and _is_stand_in(row.pid):
        with contextlib.suppress(ProcessLookupError):
            os.kill(row.pid, signal.SIGTERM)
        record(bay.shop_id, actor, "stand_in.stop", f"bay:{bay.pk}")
    StandIn.objects.filter(bay=bay).delete()
