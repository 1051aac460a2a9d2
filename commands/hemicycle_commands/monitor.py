"""The stand-in monitor: a separate program that plays the customer's simulated golfer through the shot feed.

It asks the feed what is on the tee, hits that club, and sends the shot until it is answered. The key of
the bay's monitor comes in HEMICYCLE_FEED_KEY, never on the command line, where other users could read it.
"""

from __future__ import annotations

import argparse
import json
import os
import signal
import sys
import time
import urllib.error
import urllib.request
import uuid
from dataclasses import dataclass, field
from datetime import UTC, datetime
from typing import Any

from hemicycle_core.bag import HeadType
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Air
from hemicycle_core.impact import Lie
from hemicycle_core.runs import FULL
from hemicycle_core.shots import Intent
from hemicycle_core.simulation.golfer import Ground, Player, Swinging, SwungClub
from hemicycle_core.units import yards

FIRST_WAIT_S, LONGEST_WAIT_S = 0.2, 5.0
TRY_AGAIN = {408, 425, 429}
PATIENCE_S = 900.0


class FeedRefused(Exception):
    """The server understood and said no."""


@dataclass
class Feed:
    """The documented shot feed (docs/formats/shot-feed.md), at least once."""

    url: str
    key: str
    patience_s: float = PATIENCE_S

    def _call(self, path: str, data: dict[str, Any] | None = None, *, wait_for: frozenset[int] = frozenset()) -> Any:
        """Ask until answered: a server that is away, busy or says to wait is asked again, ever more seldom. wait_for:
        answers that mean not yet. Raises Refused for any other no, and when patience has run out."""
        body = None if data is None else json.dumps(data).encode()
        headers = {"Authorization": f"Bearer {self.key}", "Content-Type": "application/json"}
        request = urllib.request.Request(f"{self.url}/api/feed/{path}", data=body, headers=headers)
        until, wait, said = time.monotonic() + self.patience_s, FIRST_WAIT_S, ""
        while True:
            told: float | None = None
            try:
                with urllib.request.urlopen(request, timeout=10) as answer:
                    return json.load(answer)
            except urllib.error.HTTPError as error:
                title = _title(error)
                if error.code < 500 and error.code not in TRY_AGAIN | wait_for:
                    raise FeedRefused(title) from error
                told = _seconds(error.headers.get("Retry-After"))
            except (urllib.error.URLError, TimeoutError, ConnectionError):
                title = f"{self.url} does not answer."
            if time.monotonic() > until:
                raise FeedRefused(title)
            if title != said:
                print(f"Waiting: {title}", file=sys.stderr, flush=True)
                said = title
            time.sleep(wait if told is None else min(told, LONGEST_WAIT_S))
            wait = min(wait * 2, LONGEST_WAIT_S)

    def tee(self) -> dict[str, Any]:
        """What is on the tee; waits while no build is in hand."""
        tee: dict[str, Any] = self._call("tee", wait_for=frozenset({409}))
        return tee

    def send(self, readings: dict[str, float]) -> dict[str, Any]:
        """Send one shot. The id is made once, so however often it is sent it counts once."""
        hit_at = datetime.now(UTC).isoformat()
        shot = {"id": uuid.uuid4().hex, "readings": readings, "hit_at": hit_at}
        receipt: dict[str, Any] = self._call("shots", {"shots": [shot]})
        return receipt


def _seconds(text: str | None) -> float | None:
    """Of a Retry-After header in seconds; None for none, and for a date."""
    return float(text) if text and text.isascii() and text.isdecimal() else None


def _title(error: urllib.error.HTTPError) -> str:
    try:
        return str(json.load(error)["title"])
    except (ValueError, KeyError):
        return f"The server answered {error.code}."


CARRY_BY_SPEED = 1.6  # d ln carry / d ln club speed of wedges, by `fly`
PRACTICE_SHOTS = 24


@dataclass
class FeedBay:
    """The golfer in the bay; goes on swinging as the same person while the session stays the same."""

    seed: int | None
    _swinging: Swinging | None = None
    _session: int | None = field(default=None)

    def hit(self, tee: dict[str, Any]) -> dict[str, float]:
        if tee["golfer"] is None:
            raise FeedRefused("This key is a real monitor's. The stand-in needs a stand-in key.")
        if tee["club"] is None:
            raise FeedRefused(f"{tee['build']} has no loft or length: type them in the bag, then hit it.")
        if self._swinging is None or self._session != tee["session"]:
            seed = self.seed if self.seed is not None else tee["seed"] * 1000 + tee["shots_so_far"]
            self._swinging, self._session = Swinging(Player.from_dict(tee["golfer"]), seed=seed), tee["session"]
        self._swinging.air = Air(
            altitude_m=tee["altitude_m"],
            temperature_c=tee["temperature_c"],
            wind_mps=tee.get("wind_mps", 0.0),
            wind_from_deg=tee.get("wind_from_deg", 0.0),
        )
        self._swinging.ground = Ground(Lie(tee["lie"])) if tee.get("lie") else Ground()
        at_hand = tee["club"]
        club = SwungClub(
            HeadType(at_hand["head_type"]),
            at_hand["loft_deg"],
            at_hand["length_m"],
            closed_deg=at_hand["closed_deg"],
            made_longer_m=at_hand["made_longer_m"],
            bounce_deg=at_hand.get("bounce_deg"),
            worn=at_hand.get("worn", 0.0),
            face_speed=at_hand.get("face_speed", 1.0),
        )
        meant, length = Intent(tee["intent"]), tee.get("length", FULL)
        if tee.get("asked_carry_m"):
            length = self._eased_to(club, tee["asked_carry_m"])
        shot = self._swinging.shots(club, 1, known=at_hand["own"], meant=meant, length=length)[0]
        return {key: round(value, 4) for key, value in shot.items() if key != "strike"}

    def _eased_to(self, club: SwungClub, carry_m: float) -> float:
        """The share of the full swing's speed that a golfer takes to carry so far, as he feels it."""
        assert self._swinging is not None
        full = Swinging(self._swinging.player, 1, air=self._swinging.air).swing(club, PRACTICE_SHOTS, known=True)
        share = carry_m / float(full.readings["carry_m"][full.miss < 0].mean())
        return float(min(share ** (1 / CARRY_BY_SPEED), 1.0))


def play(feed: Feed, *, shots: int, every_s: float, seed: int | None) -> int:
    bay = FeedBay(seed)
    for number in range(1, shots + 1):
        readings = bay.hit(feed.tee())
        receipt = feed.send(readings)
        if receipt.get("differs"):
            print("The server has other readings of this shot.", file=sys.stderr)
        print(f"{number:>3}  {receipt['build'] or 'tray':<4} carry {yards(readings['carry_m']):5.1f} yd", flush=True)
        if number < shots:
            time.sleep(every_s)
    return 0


def main(words: list[str]) -> int:
    parser = argparse.ArgumentParser(
        prog="hemicycle monitor",
        description="Hit shots with the build in hand and send them through the shot feed. "
        "Beside a running Hemicycle, --bay NAME is all it needs.",
    )
    parser.add_argument("--bay", help="name of the bay, such as 'Bay 2'; makes a key for two hours")
    parser.add_argument("--url", default="http://127.0.0.1:8000", help="where Hemicycle is")
    parser.add_argument("--shots", type=int, default=6, help="how many to hit, 1 to 1000")
    parser.add_argument("--every", type=float, default=3.0, help="seconds between shots")
    parser.add_argument("--seed", type=int, help="the same seed hits the same shots")
    parser.add_argument(
        "--patience", type=float, default=PATIENCE_S, help="seconds to go on asking a server that is away"
    )
    options = parser.parse_args(words)
    key = os.environ.get("HEMICYCLE_FEED_KEY", "")
    if not key:
        print("Name the bay with --bay, or put the bay's key in HEMICYCLE_FEED_KEY.", file=sys.stderr)
        return 2
    if not 1 <= options.shots <= 1000 or not 0 <= options.every <= 600:
        print("Hit 1 to 1000 shots, 0 to 600 seconds apart.", file=sys.stderr)
        return 2
    signal.signal(signal.SIGTERM, lambda *_: sys.exit(0))
    try:
        feed = Feed(options.url.rstrip("/"), key, options.patience)
        return play(feed, shots=options.shots, every_s=options.every, seed=options.seed)
    except (FeedRefused, BadInput) as error:
        print(str(error), file=sys.stderr)
        return 1
    except KeyboardInterrupt:
        return 130


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
