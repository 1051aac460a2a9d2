"""What goes into a blind sole test: which soles are fairly held against each other, which one is the control and what
that confounds, which lies a wedge is tried from by its own uses; and what is believed of bounce before any test.

A belief is told after the ranking alone, as a comparison: who knows it beforehand finds it.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ...errors import BadInput
from ...flight import Firmness
from ...said import NOTHING, Form, Said, angle, club_length, joined, listed, plain, say, term
from ...units import METRES_PER_INCH
from ...wedges.delivery import DELIVERY_WORDS, Delivery
from ...wedges.words import WedgeUse
from .ask import LEAST_SOLES, MOST_SOLES, USUAL
from .kept import Control

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


CONTROL_WORDS = {control: term("control", control) for control in Control}
CONFOUNDS = {
    Control.FRESH: NOTHING,
    Control.NEAREST: say("control-confounds-nearest"),
    Control.OWN: say("control-confounds-own"),
}
NO_CONTROL = say("control-there-is-none")


@dataclass(frozen=True)
class SoleClub:
    """A club of the test as far as it is known. Empty and None: not known. own: it is the player's; bent_deg: of a head
    that is bent for the test, weaker positive."""

    name: str
    loft_deg: float
    sole: str = ""
    bounce_deg: float | None = None
    shaft: str = ""
    length_m: float | None = None
    grip: str = ""
    finish: str = ""
    own: bool = False
    bent_deg: float = 0.0

    @property
    def called(self) -> Said:
        if self.own:
            return say("sole-club-own", name=self.name)
        if self.bent_deg:
            by = angle(abs(self.bent_deg), form=Form.SHORT)
            return say("sole-club-bent", name=self.name, by=by, weaker=self.bent_deg > 0)
        return plain(self.name)


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
        raise BadInput(say("sole-test-has-soles", least=LEAST_SOLES, most=MOST_SOLES), field="clubs")
    low, high = (pick(clubs, key=lambda club: club.loft_deg) for pick in (min, max))
    if high.loft_deg - low.loft_deg > ONE_LOFT_DEG + 1e-6:
        raise BadInput(
            say(
                "soles-of-one-loft",
                one=low.name,
                loft=angle(low.loft_deg, form=Form.SHORT),
                other=high.name,
                other_loft=angle(high.loft_deg, form=Form.SHORT),
                within=angle(ONE_LOFT_DEG),
            ),
            field="clubs",
        )


def warnings(clubs: Sequence[SoleClub], control: Control | None) -> list[Said]:
    """What else differs than the sole, and what the control confounds; sentences."""
    said = []
    for what, values in (
        ("shafts", {club.shaft for club in clubs}),
        ("grips", {club.grip for club in clubs}),
        ("finishes", {club.finish for club in clubs}),
    ):
        if len(values - {""}) > 1:
            said.append(say("soles-differ-else", what=what, values=listed(sorted(values - {""}))))
    lengths = [club.length_m for club in clubs if club.length_m is not None]
    if lengths and max(lengths) - min(lengths) > SAME_LENGTH_M:
        said.append(say("soles-differ-in-length", by=club_length(max(lengths) - min(lengths), form=Form.SHORT)))
    if len({club.loft_deg for club in clubs}) > 1:
        said.append(say("soles-differ-in-loft"))
    said.append(NO_CONTROL if control is None else CONFOUNDS[control])
    return [each for each in said if each]


def places_for(uses: Mapping[str, float]) -> tuple[str, ...]:
    """The lies that a wedge is to be tried from by its own uses, those of its commonest use first; the usual ones where
    nobody said what it is used for."""
    often = sorted((use for use in uses if uses[use] > 0), key=lambda use: -uses[use])
    brought = [place for use in often for place in LIES_OF.get(use, ())]
    return USUAL if not brought else tuple(dict.fromkeys([*USUAL[:2], *brought]))


MOST_WEIGHT = 2.0  # of a lie beside the others, and the least its inverse


def weights_for(uses: Mapping[str, float], places: Sequence[str]) -> dict[str, float]:
    """What each lie of a test weighs in its ranking: by how often a round the wedge is used for what is played from it,
    1 on the whole; nothing where nobody said."""
    often = {
        place: sum(n for use, n in uses.items() if place in (*USUAL[:2], *LIES_OF.get(use, ()))) for place in places
    }
    mean = sum(often.values()) / max(len(often), 1)
    if not mean:
        return {}
    return {place: min(max(n / mean, 1 / MOST_WEIGHT), MOST_WEIGHT) for place, n in often.items()}


@dataclass(frozen=True)
class Belief:
    """What is believed of a player's bounce before any test. club: by its place among those asked, None where belief
    says nothing; sentence: beside what was found."""

    club: int | None
    sentence: Said


def belief(clubs: Sequence[SoleClub], liked: int | None, delivery: Delivery | None, firmness: Firmness) -> Belief:
    """The sole that belief would have chosen: steep or soft wants more bounce, shallow or firm less; beside the one
    that was liked (its place among the clubs, None where none was)."""
    known = [at for at, club in enumerate(clubs) if club.bounce_deg is not None]
    if delivery is None or len(known) < 2:
        return Belief(None, say("belief-says-nothing", delivery=delivery is not None))
    pull = {Delivery.STEEP: 1, Delivery.MIDDLING: 0, Delivery.SHALLOW: -1}[delivery]
    pull += {Firmness.SOFT: 1, Firmness.MEDIUM: 0, Firmness.FIRM: -1}[firmness]
    order = sorted(known, key=lambda at: clubs[at].bounce_deg or 0.0)
    chosen = order[-1] if pull > 0 else order[0] if pull < 0 else order[len(order) // 2]
    club = clubs[chosen]
    said = [
        say(
            "belief",
            delivery=DELIVERY_WORDS[delivery],
            ground=term("firmness", firmness),
            wants="more" if pull > 0 else "less" if pull < 0 else "middling",
            name=club.called,
            bounce=angle(club.bounce_deg or 0.0, form=Form.SHORT),
        )
    ]
    if liked is not None:
        said.append(say("belief-and-test", same=clubs[liked].name == club.name, liked=clubs[liked].called))
    return Belief(chosen, joined(said))
