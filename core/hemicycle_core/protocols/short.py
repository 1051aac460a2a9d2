"""What holds for every test of short shots that holds an old wedge beside a new one; by judgement."""

from __future__ import annotations

SHORT_A_ROUND = 3.0  # short shots a round with one wedge
LOFT_PART_DEG = 0.5  # lofts that lie further apart than this are read at one
LOFT_PART_SD = 0.3  # one standard deviation of what loft makes, as a share of it: it is computed, not hit
