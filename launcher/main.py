"""The launcher's command line."""

from __future__ import annotations

import argparse
import contextlib
import subprocess
import sys
from pathlib import Path

from . import data, developing, install, keep, serve, testing, timing
from .common import PYTHON, ROOT, Stop, home, tools_env, warn


def _passed_on(module: str, words: list[str], extra_env: dict[str, str] | None = None) -> int:
    """Run a command that needs the virtual environment, in place of this process."""
    with contextlib.redirect_stdout(sys.stderr):  # standard output is the command's own, often a file
        install.ensure_python()
    env = {**tools_env(), **(extra_env or {})}
    return subprocess.run([str(PYTHON), "-m", module, *words], env=env, check=False).returncode


PASSED_ON = {
    "flight": "fly launch conditions from a CSV or JSON lines file",
    "judge": "judge a session bundle and print the verdicts as JSON",
    "vocabulary": "print the words, units and ranges that the front end is built with",
    "constants": "the numbers the judge rests on: where each comes from and what it gains",
    "practice": "simulated fittings with a hidden truth: how much is lost by hand and by the verdict",
}


def _monitor(words: list[str]) -> int:
    """The stand-in monitor; beside a running server it needs to be told nothing but the bay."""
    options = argparse.ArgumentParser(prog="hemicycle monitor", add_help=False)
    options.add_argument("--bay")
    options.add_argument("--shop", default="")
    known, rest = options.parse_known_args(words)
    extra: dict[str, str] = {}
    if known.bay is not None:
        extra["HEMICYCLE_FEED_KEY"] = _new_key(known.bay, known.shop)
        rest = ["--url", data.running_address(), *rest]
    return _passed_on("hemicycle_commands.monitor", rest, extra)


def _latency(words: list[str]) -> int:
    """Time shots through the running server, with its own sign-in and a key of its own."""
    options = argparse.ArgumentParser(prog="hemicycle latency", add_help=False)
    options.add_argument("--bay", required=True)
    options.add_argument("--shop", default="")
    known, rest = options.parse_known_args(words)
    extra = {
        "HEMICYCLE_FEED_KEY": _new_key(known.bay, known.shop),
        "HEMICYCLE_DEMO_PASSWORD": data.keep_secrets(home())["demo"],
    }
    return _passed_on("hemicycle_commands.latency", ["--url", data.running_address(), *rest], extra)


def _new_key(bay: str, shop: str) -> str:
    """A two-hour stand-in key for a bay, from the running server's own database. shop: where two have such a bay."""
    words = ["feed_key", bay, "--stand-in", "--hours", "2", *(["--shop", shop] if shop else [])]
    command = [str(PYTHON), str(ROOT / "server" / "manage.py"), *words]
    done = subprocess.run(command, env=data.django_env(), capture_output=True, text=True, check=False)
    if done.returncode:
        raise Stop(
            done.stderr.strip().splitlines()[-1].removeprefix("CommandError: ")
            if done.stderr.strip()
            else "No key could be made."
        )
    return done.stdout.strip()


WITHOUT = "what is there is not backed up first: where it is damaged and cannot be"


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(
        prog="hemicycle", description="The bench, logbook and calculator of a club fitter."
    )
    commands = parser.add_subparsers(dest="command", required=True)
    _add_start(commands)
    dev = commands.add_parser("dev", help="start, told in full of each fault, and again whenever a file is saved")
    dev.add_argument("--port", type=int, default=8000)
    dev.set_defaults(do=developing.dev)
    commands.add_parser("migrations", help="write what the tables lack").set_defaults(do=developing.migrations)
    commands.add_parser("generated", help="write anew what is written out of the code").set_defaults(
        do=developing.generated
    )
    commands.add_parser("shell", help="Python beside the running server").set_defaults(do=developing.shell)
    commands.add_parser("build", help="build the front end where it changed").set_defaults(do=install.build)
    tests = commands.add_parser("test", help="run every test, or some: PATH -k NAME")
    tests.add_argument("paths", nargs="*", metavar="PATH", help="files or folders, from the root of the project")
    tests.add_argument("-k", dest="name", default="", help="only those with this in their name")
    tests.set_defaults(do=testing.test)
    commands.add_parser("check", help="format, lint, types, contracts and fast tests").set_defaults(do=testing.check)
    back = commands.add_parser("backup", help="write everything to a file, also while the shop goes on")
    back.add_argument("file", type=Path)
    back.set_defaults(do=keep.backup)
    again = commands.add_parser("restore", help="put a backup in the place of everything that is there")
    again.add_argument("file", type=Path)
    again.add_argument("--trust", action="store_true", help="also a backup that another shop signed, or none")
    again.add_argument("--without-backup", action="store_true", help=WITHOUT)
    again.set_defaults(do=keep.restore)
    word = commands.add_parser("password", help="give someone a new password, when theirs is lost")
    word.add_argument("name", help="the name they sign in with")
    word.set_defaults(do=keep.password)
    for name, said in PASSED_ON.items():
        commands.add_parser(name, help=said, add_help=False)
    commands.add_parser(
        "speed", help="how fast it is: flight and judge; --server, --visits N, --bays N", add_help=False
    )
    commands.add_parser("monitor", help="the stand-in launch monitor", add_help=False)
    commands.add_parser("latency", help="time shots from sending to an open screen: --bay NAME", add_help=False)
    return parser


def _add_start(commands: argparse._SubParsersAction[argparse.ArgumentParser]) -> None:
    start = commands.add_parser("start", help="install what is missing and serve the application on loopback")
    start.add_argument("--port", type=int, default=8000)
    start.add_argument(
        "--fresh", action="store_true", help="begin with a new demo shop; what is there is backed up first"
    )
    start.add_argument("--own", action="store_true", help="begin with a shop of your own instead of the demo")
    start.add_argument("--demo", action="store_true", help="put the demo beside a shop of your own")
    start.add_argument("--without-backup", action="store_true", help=WITHOUT)
    start.add_argument(
        "--workers",
        type=int,
        default=serve.USUAL_WORKERS,
        help=f"server processes, 1 to {serve.MOST_WORKERS} ({serve.USUAL_WORKERS} on this machine)",
    )
    start.set_defaults(do=serve.start, renewed=None)


def main(words: list[str]) -> int:
    try:
        if words and words[0] in PASSED_ON:
            return _passed_on(f"hemicycle_commands.{words[0]}", words[1:])
        if words[:1] == ["speed"]:
            return timing.speed(words[1:], _passed_on)
        if words[:1] == ["monitor"]:
            return _monitor(words[1:])
        if words[:1] == ["latency"]:
            return _latency(words[1:])
        options = _parser().parse_args(words)
        result: int = options.do(options)
    except Stop as stop:
        warn(f"\n{stop}")
        return 1
    except KeyboardInterrupt:
        return 130
    return result
