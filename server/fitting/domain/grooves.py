"""Blind groove tests of one session: which build a code is, and which wedge."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from hemicycle_core.protocols.grooves.ask import GroovesKept

from ..models import Build, Trial


@dataclass(frozen=True)
class BlindPair:
    """An old wedge and a fresh one of its loft under two codes, with their rows."""

    test: Trial
    kept: GroovesKept
    builds: Mapping[int, Build]

    @property
    def codes(self) -> list[Build]:
        return [self.builds[each] for each in self.kept.codes]

    def club(self, code: int) -> Build:
        """The wedge that a code is."""
        return self.builds[self.kept.club(code)]


def blind_pair(test: Trial, builds: Mapping[int, Build] | None = None) -> BlindPair:
    """builds: of its session, by number; read for it alone where they are not at hand."""
    kept: GroovesKept = test.known
    if builds is None:
        named = Build.objects.of(test.shop_id).filter(pk__in={kept.old, kept.fresh, *kept.codes})
        builds = {each.pk: each for each in named.select_related("head", "shaft")}
    return BlindPair(test, kept, builds)
