"""Blind tests of two clubs of one session: which build a code is, and which club."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from hemicycle_core.protocols import PROTOCOLS
from hemicycle_core.protocols.blind import BlindPair

from ..models import Build, Trial

# The tests that can be hit so.
PAIR_TESTS = [key for key, each in PROTOCOLS.items() if each.kept is not None and each.kept.setup is BlindPair]


@dataclass(frozen=True)
class CodedPair:
    """The club that is played and a new one under two codes, with their rows."""

    test: Trial
    kept: BlindPair
    builds: Mapping[int, Build]

    @property
    def codes(self) -> list[Build]:
        return [self.builds[each] for each in self.kept.codes]

    def club(self, code: int) -> Build:
        """The club that a code is."""
        return self.builds[self.kept.club(code)]


def coded_pair(test: Trial, builds: Mapping[int, Build] | None = None) -> CodedPair:
    """builds: of its session, by number; read for it alone where they are not at hand."""
    kept: BlindPair = test.known
    if builds is None:
        named = Build.objects.of(test.shop_id).filter(pk__in={kept.old, kept.fresh, *kept.codes})
        builds = {each.pk: each for each in named.select_related("head", "shaft")}
    return CodedPair(test, kept, builds)
