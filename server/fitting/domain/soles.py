"""Sole tests of one session as the core knows them."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace

from hemicycle_core.facts import Club
from hemicycle_core.kept import lazily
from hemicycle_core.protocols.sole.ask import Handing, Standing, next_words, standing
from hemicycle_core.protocols.sole.ask import SoleTest as CoreSoleTest
from hemicycle_core.protocols.sole.clubs import Belief, SoleClub, belief, warnings, weights_for
from hemicycle_core.protocols.sole.kept import (
    COURSE,
    HANDING,
    Blind,
    CodeKept,
    CourseKept,
    HandingKept,
    LoftRole,
    SoleKept,
)
from hemicycle_core.protocols.sole.measured import SoleMeasured, at_odds, measured
from hemicycle_core.protocols.sole.result import SoleResult, loft_needed, result
from hemicycle_core.rack.eligible import why_not
from hemicycle_core.rack.sole_search import WedgeHead
from hemicycle_core.rack.stock import Made
from hemicycle_core.said import NOTHING, Said, joined, plain, say
from hemicycle_core.shots import Shot as CoreShot
from hemicycle_core.wedges import Delivery
from rack.models import Head, Shaft

from ..models import Build, Trial, TrialEvent
from .rows import SessionRows


def club_of_head(head: Head, shaft: Shaft | None, bend_deg: float) -> SoleClub:
    """A head of the rack as it goes into a test, bent where it is."""
    return SoleClub(
        name=head.called,
        loft_deg=head.loft_deg + bend_deg,
        sole=head.sole,
        bounce_deg=None if head.bounce_deg is None else head.bounce_deg + bend_deg,
        shaft=shaft.name if shaft else "",
        length_m=head.length_m,
        bent_deg=bend_deg,
    )


def wedge_head(head: Head, *, left_handed: bool) -> WedgeHead:
    """A wedge of the rack as the core looks for soles among them."""
    return WedgeHead(
        head.pk,
        head.called,
        head.sole,
        head.loft_deg,
        head.bounce_deg,
        Made(head.made),
        not why_not(head.for_core, left_handed=left_handed),
        head.model,
    )


def club_in_test(club: Club) -> SoleClub:
    """A club of the session as it goes into a test: the player's own, or one of the stand."""
    return SoleClub(
        name=club.called if club.letter else club.name,
        loft_deg=club.loft_deg or 0.0,
        sole=club.sole,
        bounce_deg=club.bounce_deg,
        shaft=club.shaft.name if club.shaft else club.own_shaft,
        length_m=club.length_m,
        grip=club.grip,
        finish=club.finish or "",
        own=not club.letter,
    )


@dataclass(frozen=True)
class Handed:
    """What was said in a test, with the row that holds it."""

    row: TrialEvent
    known: HandingKept

    @property
    def for_core(self) -> Handing:
        known = self.known
        return Handing(
            known.code, known.place, known.said, known.turf, known.duel, known.visit, known.best, known.opened
        )


@dataclass(frozen=True)
class Code:
    """A code of a test with the rows of what it is: a head of the rack with its shaft, or a club of the session."""

    number: int
    build: Build
    head: Head | None
    shaft: Shaft | None
    bend_deg: float
    club: Build | None
    role: LoftRole | None
    taped: bool

    @property
    def what(self) -> SoleClub:
        if self.head is not None:
            return club_of_head(self.head, self.shaft, self.bend_deg)
        assert self.club is not None
        return club_in_test(self.club.known)


@dataclass(frozen=True)
class Named:
    """The rows that codes name by their numbers."""

    builds: dict[int, Build]
    heads: dict[int, Head]
    shafts: dict[int, Shaft]

    @classmethod
    def among(cls, builds: Iterable[Build], heads: Iterable[Head], shafts: Iterable[Shaft]) -> Named:
        return cls(
            {each.pk: each for each in builds},
            {each.pk: each for each in heads},
            {each.pk: each for each in shafts},
        )

    def code(self, number: int, kept: CodeKept) -> Code:
        return Code(
            number,
            self.builds[kept.build],
            None if kept.head is None else self.heads[kept.head],
            None if kept.shaft is None else self.shafts[kept.shaft],
            kept.bend_deg,
            None if kept.club is None else self.builds[kept.club],
            kept.role,
            kept.taped,
        )


def named_by(test: Trial) -> Named:
    """What the codes of a test name, read for it alone."""
    codes, shop = test.known.codes, test.shop_id
    builds = {each.build for each in codes} | {each.club for each in codes if each.club}
    return Named.among(
        Build.objects.of(shop).filter(pk__in=builds).select_related("head", "shaft"),
        Head.objects.of(shop).filter(pk__in={each.head for each in codes if each.head}),
        Shaft.objects.of(shop).filter(pk__in={each.shaft for each in codes if each.shaft}),
    )


class PlayedSole:
    """One sole test: where it stands and what was said. Nothing here tells which club a code is but `clubs`."""

    def __init__(self, test: Trial, named: Named) -> None:
        self.test = test
        self.kept: SoleKept = test.known
        self.codes = [named.code(number, each) for number, each in enumerate(self.kept.codes)]

    @property
    def told(self) -> bool:
        """Whether everybody may know which code is which club."""
        return self.test.revealed_at is not None or self.kept.blind is Blind.OPEN

    @lazily
    def core(self) -> CoreSoleTest:
        return CoreSoleTest.of(self.kept)

    @lazily
    def handings(self) -> list[Handed]:
        return [Handed(each, each.known) for each in self.test.events_of(HANDING) if not each.void]

    @lazily
    def handed(self) -> list[Handing]:
        return [each.for_core for each in self.handings]

    @lazily
    def standing(self) -> Standing:
        return standing(self.core, self.handed)

    def word(self, code: int) -> str:
        return self.codes[code].build.name

    @lazily
    def clubs(self) -> list[SoleClub]:
        """What each code is."""
        return [code.what for code in self.codes]

    def name(self, code: int) -> Said:
        """How a sentence calls a code: by its club once that is told."""
        return self.clubs[code].called if self.told else plain(self.word(code))

    @lazily
    def result(self) -> SoleResult:
        """Before the reveal each code stands for itself: that two are one club would tell what they are."""
        names = [self.name(code) for code in range(len(self.codes))]
        core = replace(self.core, weights=weights_for(self.uses, self.core.places))
        return result(core, self.handed, names, merged=self.told)

    @property
    def uses(self) -> Mapping[str, float]:
        """What the wedge of the test is used for, as far as it was said."""
        return {}

    @lazily
    def liked(self) -> int | None:
        """The code that leads or is named."""
        if not self.result.ranked.n or self.result.same:
            return None
        return self.result.named if self.result.named is not None else self.result.order[0]

    @property
    def next(self) -> Said:
        """What to do next, in a sentence."""
        coming = self.standing.next
        last = self.handed[-1] if self.handed else None
        together = coming is not None and last is not None and last.stage == (coming.place, coming.visit, coming.duel)
        before = self.word(last.code) if last is not None and together else ""
        return next_words(coming, self.word(coming.code) if coming else "", before)

    @property
    def ruled_out(self) -> list[Said]:
        """Soles that are ruled out for a course, and why."""
        return [
            say("sole-ruled-out", name=self.name(note.code), course=note.ruled_out, why=note.word)
            for note in self.notes
            if note.ruled_out
        ]

    @lazily
    def notes(self) -> list[CourseKept]:
        """What each did on the course, by day."""
        return sorted((each.known for each in self.test.events_of(COURSE)), key=lambda note: note.played_on)


class SessionSole(PlayedSole):
    """A sole test with what was hit in it. delivery: how the player comes down, None while nobody knows."""

    def __init__(self, rows: SessionRows, test: Trial, delivery: Delivery | None) -> None:
        super().__init__(test, Named.among(rows.builds, rows.all_heads, rows.all_shafts))
        self.rows, self.delivery = rows, delivery

    @property
    def uses(self) -> Mapping[str, float]:
        wedge = next((each for each in self.rows.builds if each.pk == self.kept.wedge), None)
        return {} if wedge is None else wedge.known.uses or {}

    @lazily
    def shots(self) -> dict[int, dict[str, list[CoreShot]]]:
        """Shots that count by code and lie; once it is told, those of one club together."""
        found: dict[int, dict[str, list[CoreShot]]] = defaultdict(lambda: defaultdict(list))
        for code in self.codes:
            by = found[self._shown(code.number)]
            for shot, known in self.rows.by_build.get(code.build.pk, []):
                place = self.rows.runs[shot.run_id].place
                if place and not (known.aside or known.misread):
                    by[place].append(known)
        return {code: dict(by) for code, by in found.items() if by}

    def _shown(self, code: int) -> int:
        return self.core.shown(code) if self.told else code

    @lazily
    def measured(self) -> SoleMeasured:
        left: dict[int, dict[str, list[float]]] = defaultdict(lambda: defaultdict(list))
        for each in self.handings:
            if each.known.left_m is not None:
                left[self._shown(each.known.code)][each.known.place].append(each.known.left_m)
        return measured(self.shots, left, self.name)

    @property
    def at_odds(self) -> Said:
        return at_odds(self.liked, self.measured, self.name)

    @property
    def warnings(self) -> list[Said]:
        """What else differs than the sole; it names shafts and soles. Where lofts are tried they are to differ."""
        return [] if self.kept.blind is Blind.OPEN else warnings(self.clubs, self.kept.control_is)

    @property
    def belief(self) -> Belief:
        shown = [code for code in range(len(self.codes)) if self.core.shown(code) == code]
        liked = shown.index(self.core.shown(self.liked)) if self.liked is not None else None
        clubs = [self.clubs[code] for code in shown]
        return belief(clubs, liked, self.delivery, self.rows.session.brief.firmness)

    def chosen_words(self, club: Club) -> Said:
        """What is said of a build of the stand that is the sole chosen here; empty where it is not."""
        chosen = None if self.kept.chosen is None else self.codes[self.kept.chosen]
        if chosen is None or chosen.head is None or club.head is None or chosen.head.pk != club.head.key:
            return NOTHING
        if abs((club.set_loft_deg or 0.0) - chosen.head.loft_deg - chosen.bend_deg) > 0.05:
            return NOTHING
        first = any(note.first and self.core.shown(note.code) == self.core.shown(chosen.number) for note in self.notes)
        told = [say("sole-picked-up-first") if first else NOTHING, *self.ruled_out]
        return joined([*self.result.sentences, *told])

    @property
    def loft_needed(self) -> Said:
        """Where lofts of one sole are tried: whether the shot needs the loft; empty in a blind test."""
        if self.kept.blind is not Blind.OPEN:
            return NOTHING
        return loft_needed(self.result, {code.number: code.role for code in self.codes if code.role is not None})
