"""The answers of a session that are kept as they were once it is agreed, by part."""

from __future__ import annotations

from .bench import BenchOut, WhatIfOut
from .plans import PlansOut
from .session import SessionOut
from .shortlist import ShortlistOut

KEPT = {"session": SessionOut, "bench": BenchOut, "shortlist": ShortlistOut, "plans": PlansOut, "what_if": WhatIfOut}
