"""What goes into a blind sole test: which soles are fairly held against each other, which one is the control and what
that confounds, which lies a wedge is tried from by its own uses; and what is believed of bounce before any test.

A belief is told after the ranking alone, as a comparison: who knows it beforehand finds it.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum

from ..errors import BadInput
from ..flight import Firmness
from ..protocols.sole import LEAST_SOLES, MOST_SOLES, USUAL
from ..units import METRES_PER_INCH
from ..wedges.delivery import DELIVERY_WORDS, Delivery
from ..wedges.words import WedgeUse

ONE_LOFT_DEG = 1.0
SAME_LENGTH_M = 0.25 * METRES_PER_INCH
# The lies that a use brings, beside the two that all begin with.
LIES_OF: Mapping[str, tuple[str, ...]] = {
    WedgeUse.FULL: ("slope",),
    WedgeUse.PART: ("slope",),
    WedgeUse.PITCH: ("tight", "soft"),
    WedgeUse.CHIP: ("tight", "semi_rough"),
    WedgeUse.SAND: ("sand",),
    WedgeUse.LOB: ("lob",),
}


class Control(StrEnum):
    """What stands for the sole that is played now."""

    FRESH = "fresh"
    NEAREST = "nearest"
    OWN = "own"


CONTROL_WORDS = {
    Control.FRESH: "a fresh copy of the sole played now",
    Control.NEAREST: "the sole nearest to the one played now",
    Control.OWN: "the player’s own club",
}
CONFOUNDS = {
    Control.FRESH: "",
    Control.NEAREST: (
        "The control is not the sole that is played now, only the nearest: a sole that beats it need not beat the own."
    ),
    Control.OWN: (
        "The control is the player’s own club: a new one that beats it may do so by fresh grooves, or because he knows "
        "his own by its feel."
    ),
}
NO_CONTROL = "There is no control: the test tells which sole is liked best, not whether it is better than the own."


@dataclass(frozen=True)
class SoleClub:
    """A club of the test as far as it is known. Empty and None: not known."""

    name: str
    loft_deg: float
    sole: str = ""
    bounce_deg: float | None = None
    shaft: str = ""
    length_m: float | None = None
    grip: str = ""
    finish: str = ""


def bend_to(loft_deg: float, head_deg: float) -> float:
    """How far a head is bent to stand in a test of one loft, weaker positive; not at all within a degree of it."""
    return 0.0 if abs(loft_deg - head_deg) <= ONE_LOFT_DEG else loft_deg - head_deg


def control_of(*, sole: str, played: str, same_head: bool) -> Control | None:
    """What a head of the rack stands for as the control: the same head as is played now a fresh copy of it, one of the
    same sole the nearest to it. played: the sole that is played now, empty where nobody said; None for no control."""
    if not sole or sole != played:
        return None
    return Control.FRESH if same_head else Control.NEAREST


def proposed(controls: Sequence[Control | None]) -> tuple[list[int], int | None]:
    """Which of the clubs that could be in a test are proposed, by their places, and which of them for the control: the
    best control there is, then the others in their order, as many as a test holds. The own club is in it only where
    nothing of the rack stands for it: it is worn, and the player knows it."""
    best = [at for kind in Control for at, control in enumerate(controls) if control is kind]
    control = best[0] if best else None
    rest = [at for at, kind in enumerate(controls) if at != control and kind is not Control.OWN]
    chosen = ([] if control is None else [control]) + rest
    return sorted(chosen[:MOST_SOLES]), control


def check_clubs(clubs: Sequence[SoleClub]) -> None:
    """Raises BadInput for clubs that are no sole test: too few or too many, or not of one loft."""
    if not LEAST_SOLES <= len(clubs) <= MOST_SOLES:
        raise BadInput(f"A sole test has {LEAST_SOLES} to {MOST_SOLES} soles.", field="clubs")
    low, high = (pick(clubs, key=lambda club: club.loft_deg) for pick in (min, max))
    if high.loft_deg - low.loft_deg > ONE_LOFT_DEG + 1e-6:
        raise BadInput(
            f"{low.name} has {low.loft_deg:g}° and {high.name} {high.loft_deg:g}°: soles are tried in one loft, within "
            f"{ONE_LOFT_DEG:g}°. Bend one, or leave it out.",
            field="clubs",
        )


def warnings(clubs: Sequence[SoleClub], control: Control | None) -> list[str]:
    """What else differs than the sole, and what the control confounds; sentences."""
    said = []
    for what, values in (
        ("The shafts differ", {club.shaft for club in clubs}),
        ("The grips differ", {club.grip for club in clubs}),
        ("The finishes differ", {club.finish for club in clubs}),
    ):
        if len(values - {""}) > 1:
            said.append(f"{what} ({', '.join(sorted(values - {''}))}): what is liked may be that.")
    lengths = [club.length_m for club in clubs if club.length_m is not None]
    if lengths and max(lengths) - min(lengths) > SAME_LENGTH_M:
        inches = (max(lengths) - min(lengths)) / METRES_PER_INCH
        said.append(f"The lengths differ by {inches:.2g} in: the lie and the feel of it may decide.")
    if len({club.loft_deg for club in clubs}) > 1:
        said.append("The lofts are not one: within a degree, height and distance still differ a little.")
    said.append(NO_CONTROL if control is None else CONFOUNDS[control])
    return [each for each in said if each]


def places_for(uses: Mapping[str, float]) -> tuple[str, ...]:
    """The lies that a wedge is to be tried from by its own uses, those of its commonest use first; the usual ones where
    nobody said what it is used for."""
    often = sorted((use for use in uses if uses[use] > 0), key=lambda use: -uses[use])
    brought = [place for use in often for place in LIES_OF.get(use, ())]
    return USUAL if not brought else tuple(dict.fromkeys([*USUAL[:2], *brought]))


@dataclass(frozen=True)
class Belief:
    """What is believed of a player's bounce before any test. club: by its place among those asked, None where belief
    says nothing; sentence: beside what was found."""

    club: int | None
    sentence: str


def belief(clubs: Sequence[SoleClub], liked: int | None, delivery: Delivery | None, firmness: Firmness) -> Belief:
    """The sole that belief would have chosen: steep or soft wants more bounce, shallow or firm less; beside the one
    that was liked (its place among the clubs, None where none was)."""
    known = [at for at, club in enumerate(clubs) if club.bounce_deg is not None]
    if delivery is None or len(known) < 2:
        why = "how the player comes down is not known" if delivery is None else "the bounces are not known"
        return Belief(None, f"Belief says nothing here: {why}.")
    pull = {Delivery.STEEP: 1, Delivery.MIDDLING: 0, Delivery.SHALLOW: -1}[delivery]
    pull += {Firmness.SOFT: 1, Firmness.MEDIUM: 0, Firmness.FIRM: -1}[firmness]
    order = sorted(known, key=lambda at: clubs[at].bounce_deg or 0.0)
    chosen = order[-1] if pull > 0 else order[0] if pull < 0 else order[len(order) // 2]
    club = clubs[chosen]
    wants = "more bounce" if pull > 0 else "less bounce" if pull < 0 else "a middling bounce"
    words = (
        f"Belief: {DELIVERY_WORDS[delivery]} on {firmness.value} ground wants {wants}, here {club.name} with "
        f"{club.bounce_deg:g}°."
    )
    if liked is None:
        return Belief(chosen, words)
    same = clubs[liked].name == club.name
    tail = "The test says the same." if same else f"The test liked {clubs[liked].name} better: what was tried decides."
    return Belief(chosen, f"{words} {tail}")
