"""What is compiled to machine code. Each is a file of its own, kept compiled beside it, and takes a while to load: only
who needs one waits for it, or somebody who has the time loads them all before."""

from __future__ import annotations

from importlib import import_module

KERNELS = ("flight.kernel", "flight.ground_kernel", "judge.kernel", "samples.kernel")


def load() -> None:
    """All of them, compiled where they are not yet."""
    for name in KERNELS:
        import_module(f"{__package__}.{name}")
