"""The player's screen: as the fitter sees it, and what its mode allows on it."""

from __future__ import annotations

from hemicycle_core.answers.clubs import mean_of
from hemicycle_core.facts import Club
from hemicycle_core.facts.session import air_of
from hemicycle_core.flight import Launch, drawn_path
from hemicycle_core.judge.feel import NUMBERS, PlayerMode
from hemicycle_core.shots import LAUNCH

from ...domain.session import JudgedSession
from ...models import PlayerScreen, Shot
from ..schemas.bag import SpanOut
from ..schemas.player import Landed, PlayerBuild, PlayerFlight, PlayerOut, PlayerView, ToAsk

# Delivery is the fitter's: a player who reads attack or path swings otherwise.
READ_OUT = (
    "carry_m", "total_m", "offline_m", "ball_speed_mps", "club_speed_mps", "launch_deg", "spin_rpm", "peak_m",
    "landing_deg",
)  # fmt: skip
COMPARED = ("carry_m", "total_m", "peak_m", "landing_deg", "spin_rpm")


def present_screen(judged: JudgedSession) -> PlayerOut | None:
    """As the fitter sees it."""
    screen = judged.rows.screen
    if screen is None:
        return None
    asks = judged.rows.to_ask(judged.facts) if screen.mode == PlayerMode.FEEL else None
    return PlayerOut(
        mode=PlayerMode(screen.mode),
        away=screen.away,
        code=screen.code if screen.revoked_at is None else "",
        expires_at=screen.expires_at,
        asks=asks.key if asks else None,
    )


def present_player(judged: JudgedSession, screen: PlayerScreen) -> PlayerView:
    """What may be seen on the player's screen by now; figures of shots only where its mode shows them."""
    rows, facts, mode = judged.rows, judged.facts, PlayerMode(screen.mode)
    build = None if facts.in_hand is None else facts.by_key.get(facts.in_hand)
    hit = rows.by_build.get(build.key, []) if build else []
    asked = rows.to_ask(facts) if mode is PlayerMode.FEEL else None
    view = PlayerView(
        mode=mode,
        revision=rows.session.revision,
        club="" if build is None else build.name if build.coded else build.letter or "own",
        shots=len(hit),
        asks=None if asked is None else ToAsk(asked.key, asked.letter),
        flight=None,
        readings={},
        builds=[],
    )
    if mode in NUMBERS and build is not None and hit:
        last = hit[-1][0]
        view.flight = _flight(judged, build, last)
        if mode is PlayerMode.FULL:
            view.readings = {key: value for key, value in last.readings.items() if key in READ_OUT}
            view.builds = [_line(judged, each) for each in facts.candidates if each.shots]
    return view


def _flight(judged: JudgedSession, build: Club, last: Shot) -> PlayerFlight:
    shots = [shot for shot, _ in judged.rows.by_build[build.key]]
    wanted = {target.quantity: target for target in judged.stand.wanted_of(build)}.get("carry_m")
    return PlayerFlight(
        carry_m=last.readings.get("carry_m"),
        aside=last.aside or last.misread,
        path=_path(judged, build, last),
        landed=[
            Landed(shot.readings["carry_m"], shot.readings.get("offline_m"), shot.aside or shot.misread)
            for shot in shots
            if "carry_m" in shot.readings
        ],
        window=SpanOut(wanted.low, wanted.high) if wanted is not None else None,
    )


def _path(judged: JudgedSession, build: Club, shot: Shot) -> list[list[float]]:
    read = shot.readings
    if not read.keys() >= {*LAUNCH, "carry_m"} or read["carry_m"] <= 0:
        return []
    launch = Launch(*(read[key] for key in LAUNCH))
    air, scales = air_of(judged.facts, build), judged.known.anchored.scales
    path = drawn_path(launch, carry_m=read["carry_m"], peak_m=read.get("peak_m"), air=air, scales=scales)
    return [[round(float(x), 1), round(float(z), 1)] for x, z in path]


def _line(judged: JudgedSession, build: Club) -> PlayerBuild:
    means = {key: mean_of(build, key) for key in COMPARED}
    kept = sum(shot.kept for shot in build.shots)
    return PlayerBuild(build.letter, kept, {key: mean.mean for key, mean in means.items() if mean is not None})
